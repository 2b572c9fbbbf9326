using Wendrak.Core.Gearing;
using Wendrak.Core.Records;
using Wendrak.Core.Tables;
using Wendrak.Core.Upkeep;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wear;

namespace Wendrak.Core.Evaluation;

/// <summary>One measure of a part, where it stands in its record.</summary>
/// <param name="JobId">Of the job it was measured at.</param>
/// <param name="On">Day.</param>
/// <param name="OdometerKm">What the machine had run; null where nobody looked.</param>
/// <param name="Value">As it was read.</param>
/// <param name="Method">What it was read with.</param>
/// <param name="IsOffLine">It lies further off the line than chance has it; it counts all the same.</param>
public sealed record PartMeasure(
    long JobId,
    DateOnly On,
    double? OdometerKm,
    double Value,
    string Method,
    bool IsOffLine
);

/// <summary>How a part wears that is measured by hand at a look: teeth, belt, groove, height, width.</summary>
/// <param name="Part">Which.</param>
/// <param name="Unit">Of its values, as a person writes it.</param>
/// <param name="Limit">At which it is replaced; null where neither its maker nor the trade says one in this unit.</param>
/// <param name="IsMakers">The limit is its maker’s, as it was typed; else common practice.</param>
/// <param name="Measures">Since it was mended or replaced last, oldest first; numbers without a method are none of them.</param>
/// <param name="IsAtLimit">By the newest.</param>
/// <param name="Forecast">In the unit of the values; distances are the odometer’s; null without a limit or a distance.</param>
/// <param name="Earliest">Day on which one more measure may be at the limit; null where that is not known.</param>
/// <param name="Reached">Day on which the line meets it; null where that is not known.</param>
public sealed record PartWear(
    InspectedPart Part,
    string Unit,
    double? Limit,
    bool IsMakers,
    IReadOnlyList<PartMeasure> Measures,
    bool IsAtLimit,
    WearForecast? Forecast,
    DateOnly? Earliest,
    DateOnly? Reached
)
{
    private const string Millimetre = "mm";

    /// <summary>What was measured, and nothing of what it means.</summary>
    internal PartWear Unjudged() => this with { IsAtLimit = false, Forecast = null, Earliest = null, Reached = null };

    /// <param name="seen">Everything that was looked at on the machine, newest first.</param>
    /// <param name="jobs">Of the machine: a look counts on the day of its job.</param>
    /// <param name="chain">How far its chain may grow; null of a belt.</param>
    internal static IReadOnlyList<PartWear> AllOf(
        Loop loop,
        IReadOnlyList<PartSeen> seen,
        IReadOnlyList<JobSheet> jobs,
        UsualDistance? usual,
        ChainLimit? chain
    ) =>
        [
            .. seen.Where(s => s.LoopKey == loop.Key && s.Detail?.Measure is { IsHearsay: false })
                .GroupBy(s => s.Part)
                .OrderBy(g => g.Key)
                .Select(g =>
                    Of(
                        loop,
                        g.Key,
                        [.. g.OrderBy(s => s.Entry)],
                        seen.Where(s => (s.LoopKey, s.Part) == (loop.Key, g.Key)).Max(s => s.CuredAt),
                        jobs,
                        usual,
                        chain
                    )
                ),
        ];

    private static PartWear Of(
        Loop loop,
        InspectedPart part,
        PartSeen[] all,
        DateTimeOffset? mended,
        IReadOnlyList<JobSheet> jobs,
        UsualDistance? usual,
        ChainLimit? chain
    )
    {
        // What was mended is another part, or the same one made good: what was measured before says nothing of it.
        PartSeen[] since = [.. all.Where(s => mended is null || s.At > mended)];
        PartSeen[] same = since.Length == 0 ? [] : [.. since.Where(s => UnitOf(s) == UnitOf(since[^1]))];
        string unit = UnitOf(same.Length == 0 ? all[^1] : same[^1]);
        double? makers = all.LastOrDefault(s =>
            UnitOf(s) == unit && s.Detail!.Measure!.Limit is not null
        )?.Detail!.Measure!.Limit;
        // How far a chain may grow is said in one place, whichever way it was measured.
        ChainLimit? grown = makers is null && part == InspectedPart.Elongation && unit == "%" ? chain : null;
        double? limit = makers ?? grown?.Percent ?? (unit == Millimetre ? UsualLimitOf(loop, part) : null);
        PartSeen[] told = [.. same.Where(s => s.OdometerKm is not null).OrderBy(s => s.OdometerKm)];
        WearForecast? forecast = limit is double most
            ? MeasuredWear.Forecast([.. told.Select(s => (s.OdometerKm!.Value, ValueOf(s)))], most)
            : null;
        HashSet<long> off = [.. (forecast?.OffLine ?? []).Select(i => told[i].Entry)];
        return new(
            part,
            unit,
            limit,
            makers is not null || grown?.By == ChainLimitBy.Maker,
            [
                .. same.Select(s => new PartMeasure(
                    s.JobId,
                    jobs.First(j => j.Id == s.JobId).OpenedOn,
                    s.OdometerKm,
                    ValueOf(s),
                    s.Detail!.Measure!.Method!,
                    off.Contains(s.Entry)
                )),
            ],
            limit is double l && same.Length > 0 && MeasuredWear.IsAtLimit(ValueOf(same[0]), ValueOf(same[^1]), l),
            forecast,
            forecast?.OneReading is { } one ? usual?.DayAt(one.Low) : null,
            forecast?.Reached is double reached ? usual?.DayAt(reached) : null
        );
    }

    private static string UnitOf(PartSeen seen) => seen.Detail!.Measure!.Unit.Trim();

    private static double ValueOf(PartSeen seen) => seen.Detail!.Measure!.Value;

    /// <summary>What the trade says of it, mm. Source: <c>wear_limits.csv</c>.</summary>
    private static double? UsualLimitOf(Loop loop, InspectedPart part) =>
        (loop.DriveElement, part) switch
        {
            (DriveElement.Chain, InspectedPart.FrontTeeth or InspectedPart.RearTeeth) => WearLimits.MmOf(
                "sprocket tooth hook"
            ),
            (DriveElement.VBelt, InspectedPart.FrontTeeth or InspectedPart.RearTeeth) => WearLimits.MmOf(
                "groove wear at gauge"
            ),
            (_, InspectedPart.Teeth) => WearLimits.MmOf("tooth wear depth"),
            _ => null,
        };
}
