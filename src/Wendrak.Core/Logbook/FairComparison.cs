using Wendrak.Core.Comparing;
using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using static System.Math;

namespace Wendrak.Core.Logbook;

/// <summary>Two setups against each other.</summary>
/// <param name="Measure">By what.</param>
/// <param name="FirstId">The one it was before; null for the one that was on before the second.</param>
/// <param name="SecondId">The one it is now; null for what is on.</param>
/// <param name="Alike">Key of the values that are compared; null for those of which there are the most.</param>
/// <param name="Matters">A difference that matters, in the unit of the measure; null for the usual one.</param>
/// <param name="RatePerHour">What an hour of work is worth, for what a distance costs; null for nothing.</param>
public sealed record FairComparisonQuestion(
    ComparedMeasure Measure,
    long? FirstId = null,
    long? SecondId = null,
    string? Alike = null,
    double? Matters = null,
    double? RatePerHour = null
);

/// <summary>How far a comparison may be told.</summary>
public enum ComparisonVerdict
{
    /// <summary>One of them, or both, has no value.</summary>
    NoValues,

    /// <summary>One of them has a single value: nobody knows how far such values lie apart.</summary>
    TooFew,

    /// <summary>All values of each are the same to the last figure: they are means or copies, not fills.</summary>
    NoSpread,

    /// <summary>No difference is in the interval, too.</summary>
    NotShown,

    /// <summary>They differ.</summary>
    Shown,
}

/// <summary>What one setup brought.</summary>
/// <param name="SetupId">Which one.</param>
/// <param name="Name">What people call it.</param>
/// <param name="Sample">Mean, spread and number; null with fewer than two values.</param>
/// <param name="Overall">All that was used over all that was run, in the unit of the measure; null of what has no distance.</param>
/// <param name="Count">How many values there are.</param>
/// <param name="Values">The newest of them, as many as can be drawn, in the order of their days.</param>
/// <param name="Use">The mean in all the measures of fuel; null of anything else.</param>
/// <param name="Hearsay">Means that somebody told without their fills: beside, never counted in.</param>
/// <param name="Score">Mean of what its owner gave, 1 to 5; null for nothing given. Beside, never mixed in.</param>
/// <param name="Scores">How often a score was given.</param>
/// <param name="Cost">What a distance costs with it; null where no distance is known.</param>
public sealed record SetupOutcome(
    long SetupId,
    string Name,
    Sample? Sample,
    double? Overall,
    int Count,
    IReadOnlyList<Observation> Values,
    FuelUse? Use,
    IReadOnlyList<Hearsay> Hearsay,
    double? Score,
    int Scores,
    DistanceCost? Cost
);

/// <summary>A mean that somebody told.</summary>
/// <param name="On">Day.</param>
/// <param name="Value">In the unit of the measure.</param>
/// <param name="Whose">Who told it, or where it was read; null where nobody said.</param>
public sealed record Hearsay(DateOnly On, double Value, string? Whose);

/// <summary>Two setups that differ in one part alone: their comparison is of that part.</summary>
/// <param name="FirstId">One.</param>
/// <param name="SecondId">The other.</param>
/// <param name="Difference">The part.</param>
public sealed record SeparatingPair(long FirstId, long SecondId, SetupDifference Difference);

/// <summary>A setup that can be compared.</summary>
/// <param name="Id">Its number.</param>
/// <param name="Name">What people call it.</param>
/// <param name="Count">How many values there are of it, by the measure that was asked.</param>
public sealed record ComparableSetup(long Id, string Name, int Count);

/// <summary>What a change of setup brought, and how sure it is.</summary>
/// <param name="Setups">That were on the machine, in the order in which they first went on.</param>
/// <param name="Alike">Keys of values that may be compared with each other, those with the most first.</param>
/// <param name="AlikeKey">Of the ones that were compared; null for none.</param>
/// <param name="First">The one before; null where there was none.</param>
/// <param name="Second">The one after; null where none was on the machine as far as is known.</param>
/// <param name="Compared">Difference with its interval; null where it can't be told.</param>
/// <param name="Verdict">How far it may be told.</param>
/// <param name="Matters">Difference that matters, in the unit of the measure; null without a mean.</param>
/// <param name="IsMattersUsual">Nobody said what matters.</param>
/// <param name="NeededEach">How many values each needs to tell such a difference; null where no spread is known.</param>
/// <param name="Blocks">How often A B B A is to be run for that many more: then warmth, wind and season cancel.</param>
/// <param name="IsUnexpected">It is the other way round than the change of gearing has it.</param>
/// <param name="Changes">What differs between the two setups.</param>
/// <param name="Separating">Pairs of setups with values that differ in one part alone.</param>
/// <param name="Others">What else differed between the two, and is in their difference.</param>
/// <param name="Unsaid">What may have differed unseen, since nobody wrote it down each time.</param>
/// <param name="NotCounted">What did not come in.</param>
/// <param name="Sound">Of levels: how much louder that is; null of anything else.</param>
public sealed record FairComparison(
    IReadOnlyList<ComparableSetup> Setups,
    IReadOnlyList<string> Alike,
    string? AlikeKey,
    SetupOutcome? First,
    SetupOutcome? Second,
    Comparison? Compared,
    ComparisonVerdict Verdict,
    double? Matters,
    bool IsMattersUsual,
    int? NeededEach,
    int? Blocks,
    bool IsUnexpected,
    IReadOnlyList<SetupDifference> Changes,
    IReadOnlyList<SeparatingPair> Separating,
    IReadOnlyList<OtherDifference> Others,
    IReadOnlyList<OtherCondition> Unsaid,
    NotCounted NotCounted,
    SoundDifference? Sound,
    IReadOnlyList<Working> Workings
)
{
    /// <summary>Of the first mean. Judgement: less is not noticed at the pump.</summary>
    private const double UsualPart = 0.05;

    /// <summary>dB. Source: common practice, the least that most people hear; twice the power.</summary>
    private const double UsualDb = 3;

    /// <summary>Two of each setup in A B B A.</summary>
    private const int EachInBlock = 2;

    /// <param name="log">Of the machine, in any order.</param>
    /// <exception cref="InvalidInputException">A setup is none that was on the machine, or a number can't be.</exception>
    public static FairComparison Of(
        IReadOnlyList<Setup> setups,
        IReadOnlyList<JobSheet> jobs,
        IReadOnlyList<LogEntry> log,
        FairComparisonQuestion question
    )
    {
        IReadOnlyList<SetupPeriod> periods = SetupPeriod.AllOf(setups, jobs);
        Setup[] known =
        [
            .. periods
                .Select(p => p.SetupId)
                .Concat(log.Select(e => e.Line.SetupId).OfType<long>())
                .Distinct()
                .SelectMany(id => setups.Where(s => s.Id == id)),
        ];
        Check(question, known);
        Observing observed = new(question.Measure, periods, log);
        IReadOnlyList<ObservedAlike> alike = observed.Alike;
        new Guard()
            .That(
                question.Alike is null || alike.Any(a => a.Key == question.Alike),
                nameof(question.Alike),
                "unknown",
                "Give values that were written down of this machine."
            )
            .ThrowIfAny();
        ObservedAlike? chosen =
            alike.FirstOrDefault(a => a.Key == question.Alike) ?? (alike is [{ } most, ..] ? most : null);
        ILookup<long, Observation> values = (chosen?.Values ?? []).ToLookup(v => v.SetupId);
        Setup? second =
            known.FirstOrDefault(s => s.Id == question.SecondId) ?? known.FirstOrDefault(s => s.Id == LastOn(periods));
        Setup? first =
            known.FirstOrDefault(s => s.Id == question.FirstId)
            ?? known.FirstOrDefault(s => s.Id == LastOn(periods, second?.Id) && s != second);
        Outcomes outcomes = new(question, periods, log);
        Observation[] ofFirst = first is null ? [] : [.. values[first.Id]];
        Observation[] ofSecond = second is null ? [] : [.. values[second.Id]];
        SetupOutcome? a = first is null ? null : outcomes.Of(first, ofFirst);
        SetupOutcome? b = second is null ? null : outcomes.Of(second, ofSecond);
        ComparisonVerdict verdict = VerdictOf(a, b);
        Explained[] explained = [];
        Comparison? compared = null;
        if (verdict == ComparisonVerdict.NotShown)
        {
            compared = Welch.Compare(a!.Sample!, b!.Sample!);
            verdict = compared.IsShown ? ComparisonVerdict.Shown : verdict;
            explained = [Welch.Explain(compared)];
        }
        double? matters = question.Matters ?? UsualMatters(question.Measure, a);
        Needed? needed = compared is not null && matters is double m ? NeededFor(compared, m) : null;
        return new(
            [.. known.Select(s => new ComparableSetup(s.Id, s.Name, values[s.Id].Count()))],
            [.. alike.Select(g => g.Key)],
            chosen?.Key,
            a,
            b,
            compared,
            verdict,
            matters,
            question.Matters is null,
            needed?.Each,
            needed?.Blocks,
            verdict == ComparisonVerdict.Shown && IsAgainst(question.Measure, chosen!, first!, second!, compared!),
            first is null || second is null ? [] : SetupDifference.Between(first, second),
            SeparatingIn([.. known.Where(s => values[s.Id].Any())]),
            ofFirst.Length > 0 && ofSecond.Length > 0 ? OtherDifferences.Between(ofFirst, ofSecond, periods) : [],
            OtherDifferences.Unsaid([.. ofFirst, .. ofSecond]),
            observed.NotCounted,
            compared is not null && question.Measure == ComparedMeasure.Noise
                ? SoundDifference.Between(compared.First.Mean, compared.Second.Mean)
                : null,
            [.. explained.Select(e => e.Working), .. needed is null ? [] : new[] { needed.Explained.Working }]
        );
    }

    private static void Check(FairComparisonQuestion question, Setup[] known) =>
        new Guard()
            .OneOf(nameof(question.Measure), question.Measure)
            .That(
                question.FirstId is null || known.Any(s => s.Id == question.FirstId),
                nameof(question.FirstId),
                "unknown",
                "Give a setup that was on this machine."
            )
            .That(
                question.SecondId is null || known.Any(s => s.Id == question.SecondId),
                nameof(question.SecondId),
                "unknown",
                "Give a setup that was on this machine."
            )
            .That(
                question.SecondId is null || question.SecondId != question.FirstId,
                nameof(question.SecondId),
                "same",
                "Give another setup than the first one."
            )
            .That(
                question.Matters is not double m || (m > 0 && double.IsFinite(m)),
                nameof(question.Matters),
                "too_small",
                "Give more than 0.",
                0
            )
            .BetweenIfGiven(nameof(question.RatePerHour), question.RatePerHour, 0, StockWheel.MostMoney, "")
            .ThrowIfAny();

    /// <summary>The one that was on last, but for one.</summary>
    private static long? LastOn(IReadOnlyList<SetupPeriod> periods, long? but = null) =>
        periods.LastOrDefault(p => p.SetupId != but)?.SetupId;

    private static ComparisonVerdict VerdictOf(SetupOutcome? a, SetupOutcome? b) =>
        a is not { Count: > 0 } || b is not { Count: > 0 } ? ComparisonVerdict.NoValues
        : a.Sample is null || b.Sample is null ? ComparisonVerdict.TooFew
        : a.Sample.Sd == 0 && b.Sample.Sd == 0 ? ComparisonVerdict.NoSpread
        : ComparisonVerdict.NotShown;

    private static double? UsualMatters(ComparedMeasure measure, SetupOutcome? first) =>
        measure == ComparedMeasure.Noise ? UsualDb : first?.Sample?.Mean * UsualPart;

    private sealed record Needed(int Each, int Blocks, Explained Explained);

    /// <summary>By the spread of both together.</summary>
    private static Needed NeededFor(Comparison compared, double matters)
    {
        double sd = Sqrt((Pow(compared.First.Sd, 2) + Pow(compared.Second.Sd, 2)) / 2);
        int each = RunsNeeded.ForEach(sd, matters);
        int more = Max(each - compared.First.Count, each - compared.Second.Count);
        return new(each, (int)Ceiling(Max(0, more) / (double)EachInBlock), RunsNeeded.Explain(sd, matters));
    }

    /// <summary>
    /// A shorter gearing turns the motor faster: it takes more fuel, and less time to get faster. Source: common practice. Of
    /// running out and of sound nothing is expected.
    /// </summary>
    private static bool IsAgainst(
        ComparedMeasure measure,
        ObservedAlike chosen,
        Setup first,
        Setup second,
        Comparison compared
    )
    {
        if (SetupDifference.ShorterBy(first, second) is not double shorter || shorter == 1)
            return false;
        int expected = measure switch
        {
            ComparedMeasure.Fuel or ComparedMeasure.Energy => 1,
            ComparedMeasure.Time when !chosen.Key.Contains(Observing.RunningOut, StringComparison.Ordinal) => -1,
            _ => 0,
        };
        return expected * Sign(shorter - 1) * Sign(compared.Difference) < 0;
    }

    private static IReadOnlyList<SeparatingPair> SeparatingIn(Setup[] setups) =>
        [
            .. from i in Enumerable.Range(0, setups.Length)
            from j in Enumerable.Range(i + 1, setups.Length - i - 1)
            let effects = SetupDifference.Between(setups[i], setups[j]).Where(d => d.Part != SetupPart.Length).ToArray()
            where effects.Length == 1
            select new SeparatingPair(setups[i].Id, setups[j].Id, effects[0]),
        ];
}
