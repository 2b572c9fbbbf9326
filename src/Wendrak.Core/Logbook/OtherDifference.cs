using System.Globalization;
using Wendrak.Core.Records;

namespace Wendrak.Core.Logbook;

/// <summary>What may differ between two setups beside themselves.</summary>
public enum OtherCondition
{
    /// <summary>The part of the year.</summary>
    Season,
    Load,
    Route,
    Rider,
    Weather,
    Wind,
    Slope,
    Surface,

    /// <summary>How far each had run since it was put on.</summary>
    PartsAge,

    /// <summary>All of the one came before all of the other: whatever changed with time is in the difference.</summary>
    Order,
}

/// <summary>Something that differed between two setups beside themselves, and is in their difference.</summary>
/// <param name="Condition">What.</param>
/// <param name="First">How it was with the first one; null where it is the number.</param>
/// <param name="Second">The same of the second one.</param>
/// <param name="FirstMean">Mean, in kg, km/h, % or km; null where it is words.</param>
/// <param name="SecondMean">The same of the second one.</param>
public sealed record OtherDifference(
    OtherCondition Condition,
    string? First,
    string? Second,
    double? FirstMean = null,
    double? SecondMean = null
);

/// <summary>Lists what else differed, from the records.</summary>
internal static class OtherDifferences
{
    /// <summary>Share of two samples that must be alike for them to count as alike. Judgement: three of ten others are seen.</summary>
    private const double AlikeFrom = 0.7;

    /// <summary>Means of a load apart by more of the larger one are named. Judgement: less is a full tank.</summary>
    private const double LoadApart = 0.1;

    /// <summary>Means of wind apart by more are named, km/h. Judgement: as much as a hand feels.</summary>
    private const double WindApartKmh = 5;

    /// <summary>Means of slope apart by more are named, %. Judgement: half a percent already takes more than a chain loses.</summary>
    private const double SlopeApartPercent = 0.5;

    /// <summary>Means of what was run on the parts apart by more, km. Judgement: about the first distance on new parts.</summary>
    private const double AgeApartKm = 500;
    private const int MonthsOfQuarter = 3;

    /// <summary>What was said of both and was not alike.</summary>
    public static IReadOnlyList<OtherDifference> Between(
        IReadOnlyList<Observation> first,
        IReadOnlyList<Observation> second,
        IReadOnlyList<SetupPeriod> periods
    ) =>
        [
            .. new[]
            {
                Order(first, second),
                Words(
                    OtherCondition.Season,
                    first,
                    second,
                    (o, _) => $"{(o.On.Month - 1) / MonthsOfQuarter}",
                    o => o.On.ToString("MMM", CultureInfo.InvariantCulture)
                ),
                Means(OtherCondition.Load, first, second, c => c.LoadKg, (a, b) => LoadApart * Math.Max(a, b)),
                Words(OtherCondition.Route, first, second, (_, c) => c?.Route),
                Words(OtherCondition.Rider, first, second, (_, c) => c?.Who),
                Words(OtherCondition.Weather, first, second, (_, c) => c?.Weather),
                Words(OtherCondition.Surface, first, second, (_, c) => c?.Surface),
                Means(OtherCondition.Wind, first, second, c => c.WindKmh, (_, _) => WindApartKmh),
                Means(OtherCondition.Slope, first, second, c => c.SlopePercent, (_, _) => SlopeApartPercent),
                Age(first, second, periods),
            }.OfType<OtherDifference>(),
        ];

    /// <summary>What nobody said of all of both, and so may have differed unseen.</summary>
    public static IReadOnlyList<OtherCondition> Unsaid(IEnumerable<Observation> values)
    {
        RunConditions?[] under = [.. values.SelectMany(v => v.Under)];
        return
        [
            .. new (OtherCondition Condition, Func<RunConditions, object?> Said)[]
            {
                (OtherCondition.Load, c => c.LoadKg),
                (OtherCondition.Route, c => c.Route),
                (OtherCondition.Rider, c => c.Who),
                (OtherCondition.Weather, c => c.Weather),
            }
                .Where(s => under.Any(c => c is null || s.Said(c) is null))
                .Select(s => s.Condition),
        ];
    }

    private static OtherDifference? Order(IReadOnlyList<Observation> first, IReadOnlyList<Observation> second) =>
        // What is of one day may have been in any order.
        first.Min(o => o.From) == second.Max(o => o.On)
        && second.Min(o => o.From) == first.Max(o => o.On)
            ? null
        : first.Max(o => o.On) <= second.Min(o => o.From) ? new(OtherCondition.Order, "before", "after")
        : second.Max(o => o.On) <= first.Min(o => o.From) ? new(OtherCondition.Order, "after", "before")
        : null;

    /// <summary>By how many of each share one word.</summary>
    private static OtherDifference? Words(
        OtherCondition condition,
        IReadOnlyList<Observation> first,
        IReadOnlyList<Observation> second,
        Func<Observation, RunConditions?, string?> wordOf,
        Func<Observation, string>? shown = null
    )
    {
        Said[] a = [.. SaidOf(first)];
        Said[] b = [.. SaidOf(second)];
        if (a.Length == 0 || b.Length == 0)
            return null;
        double alike = a.Select(s => s.Key).Union(b.Select(s => s.Key)).Sum(w => Math.Min(Share(a, w), Share(b, w)));
        return alike >= AlikeFrom ? null : new(condition, Told(a), Told(b));

        IEnumerable<Said> SaidOf(IReadOnlyList<Observation> values) =>
            from value in values
            from under in value.Under
            let word = wordOf(value, under)
            where word is not null
            select new Said(word.Trim().ToLowerInvariant(), shown?.Invoke(value) ?? word.Trim());

        static double Share(Said[] said, string key) => (double)said.Count(s => s.Key == key) / said.Length;

        // The same words of both, in other shares, would look alike.
        string Told(Said[] said) =>
            string.Join(
                ", ",
                said.GroupBy(s => s.Shown, StringComparer.OrdinalIgnoreCase)
                    .Select(g =>
                        shown is not null || g.Count() == said.Length
                            ? g.Key
                            : string.Create(
                                CultureInfo.InvariantCulture,
                                $"{g.Key} {100.0 * g.Count() / said.Length:0} %"
                            )
                    )
            );
    }

    /// <param name="Key">Words that are alike have the same.</param>
    private sealed record Said(string Key, string Shown);

    private static OtherDifference? Means(
        OtherCondition condition,
        IReadOnlyList<Observation> first,
        IReadOnlyList<Observation> second,
        Func<RunConditions, double?> numberOf,
        Func<double, double, double> apart
    )
    {
        double? a = MeanOf(first.SelectMany(o => o.Under).Select(c => c is null ? null : numberOf(c)));
        double? b = MeanOf(second.SelectMany(o => o.Under).Select(c => c is null ? null : numberOf(c)));
        return a is double one && b is double other && Math.Abs(one - other) > apart(one, other)
            ? new(condition, null, null, one, other)
            : null;
    }

    private static OtherDifference? Age(
        IReadOnlyList<Observation> first,
        IReadOnlyList<Observation> second,
        IReadOnlyList<SetupPeriod> periods
    )
    {
        double? a = MeanOf(first.Select(Run));
        double? b = MeanOf(second.Select(Run));
        return a is double one && b is double other && Math.Abs(one - other) > AgeApartKm
            ? new(OtherCondition.PartsAge, null, null, one, other)
            : null;

        double? Run(Observation o) =>
            o.AtKm - periods.LastOrDefault(p => p.SetupId == o.SetupId && p.From <= o.On)?.FromKm;
    }

    private static double? MeanOf(IEnumerable<double?> numbers)
    {
        double[] said = [.. numbers.OfType<double>()];
        return said.Length == 0 ? null : said.Average();
    }
}
