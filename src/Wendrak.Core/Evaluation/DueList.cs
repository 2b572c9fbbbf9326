using System.Globalization;
using Wendrak.Core.Gearing;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;
using Wendrak.Core.Tables;
using Wendrak.Core.Upkeep;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wear;

namespace Wendrak.Core.Evaluation;

/// <summary>What is due on a machine: by distance, by a day or because something happened, whichever comes first.</summary>
/// <remarks>Source: intervals and what an event asks for are common practice, in the tables; a maker's instructions win.</remarks>
public static class DueList
{
    // Fields of a plan's step “Say when it is read again”.
    private const string AgainKm = "again-km";
    private const string AgainHours = "again-h";

    /// <param name="jobs">All jobs of the machine, oldest first.</param>
    /// <param name="odometer">Of its log.</param>
    /// <param name="shelf">What Stock has; empty where nobody asks for what is to be ordered.</param>
    public static DueAnswer Of(
        Machine machine,
        Setup fitted,
        IReadOnlyList<JobContent> jobs,
        IReadOnlyList<OdometerEntry> odometer,
        Shelf shelf
    )
    {
        JobSheet[] sheets = [.. jobs.Select(j => j.Sheet)];
        UsualDistance? usual = UsualDistance.Learn([
            .. odometer,
            .. sheets
                .Where(s => s.OdometerKm is not null)
                .Select(s => new OdometerEntry(s.OpenedOn, s.OdometerKm!.Value)),
        ]);
        HourEntry[] counted =
        [
            .. sheets.Where(s => s.Hours is not null).Select(s => new HourEntry(s.OpenedOn, s.Hours!.Value)),
        ];
        UsualHours? hours = UsualHours.Learn(counted);
        IReadOnlyList<PartSeen> seen = PartSeen.AllOf(sheets);
        Loop[] loops = [.. MachineRules.LoopsOf(machine)];
        // Of what hoists, lifts people or flies what was found is kept, and nothing is said of how long it lasts.
        Loop[] judged = [.. loops.Where(l => LookAnswers.IsJudged(machine, l))];
        IEnumerable<DueItem> items =
        [
            .. PartSeen.Standing(seen).Select(OfFinding),
            .. sheets.SelectMany(s => s.UseEvents).SelectMany(e => OfEvent(e, machine, loops, seen)),
            .. (fitted.FollowUps ?? []).Select(OfTask),
            .. loops.SelectMany(l => OfReading(l, jobs)),
            .. judged.SelectMany(l => OfWear(l, machine, fitted, sheets, seen, usual)),
            .. loops.Select(l => OfInterval(l, machine, seen)),
        ];
        return new(
            [
                .. items
                    .Select(i => Expect(i, machine, usual, hours, counted.Max(h => (double?)h.Hours)))
                    .Select(i =>
                        i.Kind == DueKind.Forecast && i.Parts is [InspectedPart worn]
                            ? Ordered(i, worn, loops, fitted, shelf)
                            : i
                    )
                    .OrderByDescending(i => i.IsNow)
                    .ThenBy(i => i.Expected ?? DateOnly.MaxValue)
                    .ThenBy(i => i.Kind)
                    .ThenBy(i => i.Key, StringComparer.Ordinal),
            ],
            usual,
            hours
        );
    }

    /// <summary>As what a loop is looked at: what somebody said, else the usual of such a loop.</summary>
    internal static InspectionKind KindOf(Machine machine, Loop loop) =>
        machine.Inspections?.FirstOrDefault(i => i.LoopKey == loop.Key)?.Kind
        ?? InspectionKinds.Suiting(loop.DriveElement, PlanFacts.AdjusterOf(machine, loop))[0];

    private static DueItem Expect(DueItem item, Machine machine, UsualDistance? usual, UsualHours? hours, double? run)
    {
        DateOnly?[] days =
        [
            item.On,
            item.AtKm is double km ? usual?.DayAt(km) : null,
            item.AtHours is double h ? hours?.DayAt(h) : null,
        ];
        return item with
        {
            Expected = days.Min(),
            IsNow = item.IsNow || item.AtKm <= machine.OdometerKm || item.AtHours <= run,
        };
    }

    private static DueItem Ordered(DueItem item, InspectedPart worn, Loop[] loops, Setup fitted, Shelf shelf)
    {
        Loop loop = loops.First(l => l.Key == item.LoopKey);
        LoopChoice choice = fitted.Loops.First(c => c.LoopKey == loop.Key);
        return item with { Order = OrderInTime.Of(shelf, loop, choice, worn, item.Expected) };
    }

    private static DueItem OfFinding(PartSeen seen) =>
        new(
            Key("finding", seen.Entry),
            seen.Grade == FindingGrade.Stop ? DueKind.Stop : DueKind.Watch,
            seen.LoopKey,
            seen.What,
            null,
            null,
            [seen.Part],
            seen.Grade == FindingGrade.Stop ? "It does not go out with that."
                : seen.Detail is null ? "It was seen, and nobody said until when it may go on."
                : "It was seen and may go on until then, not longer.",
            DueBy.Person,
            seen.Detail?.UntilKm,
            null,
            seen.Detail?.UntilOn,
            null,
            seen.Grade == FindingGrade.Stop,
            null
        );

    /// <summary>What of an event's looks was not done since.</summary>
    private static IEnumerable<DueItem> OfEvent(
        UseEventAtJob happened,
        Machine machine,
        Loop[] loops,
        IReadOnlyList<PartSeen> seen
    )
    {
        foreach (Loop loop in loops)
        {
            InspectionKind kind = KindOf(machine, loop);
            if (EventLooks.Find(happened.Event, kind) is not { } look)
                continue;
            HashSet<InspectedPart> has = [.. InspectionItems.For(kind).Select(i => i.Part)];
            InspectedPart[] open =
            [
                .. look.Parts.Where(p =>
                    has.Contains(p) && !seen.Any(s => s.Entry > happened.Entry && (s.LoopKey, s.Part) == (loop.Key, p))
                ),
            ];
            if (open.Length > 0)
                yield return new(
                    Key("event", happened.Entry, loop.Key),
                    DueKind.Event,
                    loop.Key,
                    null,
                    happened.Event,
                    null,
                    open,
                    look.Why,
                    DueBy.Event,
                    null,
                    null,
                    null,
                    null,
                    true,
                    null
                );
        }
    }

    private static DueItem OfTask(FollowUpTask task) =>
        new(
            Key("task", task.Task, task.DriveKey, task.LoopKey),
            DueKind.FollowUp,
            task.LoopKey,
            null,
            null,
            task,
            [],
            "Other parts are on it.",
            DueBy.Change,
            null,
            null,
            null,
            null,
            true,
            null
        );

    /// <summary>Until it is set once more: a day from its closing list, a distance or hours from the last step of a plan.</summary>
    private static IEnumerable<DueItem> OfReading(Loop loop, IReadOnlyList<JobContent> jobs)
    {
        JobContent? closed = jobs.Where(j => j.VisitTo(loop.Key)?.Closing is not null).MaxBy(j => j.BegunAt(loop.Key));
        JobContent? last = jobs.LastOrDefault(j => j == closed || AgainOf(j, loop.Key) is not null);
        if (last is null || (closed is not null && last.Job.Id < closed.Job.Id))
            last = closed;
        StepValue? again = last is null ? null : AgainOf(last, loop.Key);
        DateOnly? on = last?.VisitTo(loop.Key)?.Closing?.NextCheckOn;
        if (on is null && again is null)
            yield break;
        double? km = again?.Key == AgainKm ? last!.Sheet.OdometerKm + again.Value : null;
        double? hours = again?.Key == AgainHours ? last!.Sheet.Hours + again.Value : null;
        yield return new(
            Key("reading", loop.Key),
            DueKind.Reading,
            loop.Key,
            null,
            null,
            null,
            [],
            again is null || km is not null || hours is not null ? "Whoever set it last wants it read again then."
                : again.Key == AgainKm
                    ? "It is to be read again after a distance, and nobody said what the odometer showed when it came in."
                : "It is to be read again after some hours of running, and nobody said what its hour counter showed when it came in.",
            DueBy.Person,
            km,
            hours,
            on,
            null,
            false,
            null
        );
    }

    /// <summary>What a plan's step “Say when it is read again” wrote down; null for nothing.</summary>
    private static StepValue? AgainOf(JobContent job, string loopKey) =>
        job.Plan is { } plan && plan.LoopKey == loopKey
            ? plan.Steps.SelectMany(s => s.Values).FirstOrDefault(v => v.Key is AgainKm or AgainHours)
            : null;

    /// <summary>What wears on a loop; of a chain whose own record tells its end, a look at its elongation says nothing more.</summary>
    private static IEnumerable<DueItem> OfWear(
        Loop loop,
        Machine machine,
        Setup fitted,
        JobSheet[] sheets,
        IReadOnlyList<PartSeen> seen,
        UsualDistance? usual
    )
    {
        ChainLimit? limit = ChainOfMachine.LimitOf(machine, loop, fitted.Loops.First(c => c.LoopKey == loop.Key));
        DueItem[] chain = [.. OfForecast(loop, limit, sheets)];
        return
        [
            .. chain,
            .. PartWear
                .AllOf(loop, seen, sheets, usual, limit)
                .Where(w => chain.Length == 0 || w.Part != InspectedPart.Elongation)
                .SelectMany(w => OfPart(loop, w)),
        ];
    }

    /// <summary>The earliest at which one more reading may show the limit: parts are to be there by then; or it is there.</summary>
    private static IEnumerable<DueItem> OfForecast(Loop loop, ChainLimit? chain, JobSheet[] sheets)
    {
        if (chain is not { Percent: double limit })
            yield break;
        WearSeries series = WearSeries.Of(loop.Key, sheets);
        bool isAtLimit = series.GradeFor(limit) == FindingGrade.Stop;
        OpenInterval? one = series.Forecast(limit)?.OneReading;
        if (isAtLimit || one is not null)
            yield return new(
                Key("forecast", loop.Key),
                DueKind.Forecast,
                loop.Key,
                null,
                null,
                null,
                [InspectedPart.Elongation],
                isAtLimit
                    ? "It was measured at its limit: it is to be replaced."
                    : "By the record of its elongation one more reading may be at the limit then: have the parts by that day.",
                DueBy.Forecast,
                isAtLimit ? null : Math.Max(0, one!.Low),
                null,
                null,
                null,
                isAtLimit,
                null
            );
    }

    private static IEnumerable<DueItem> OfPart(Loop loop, PartWear wear)
    {
        if (wear.IsAtLimit || wear.Forecast?.OneReading is not null)
            yield return new(
                Key("forecast", loop.Key, wear.Part),
                DueKind.Forecast,
                loop.Key,
                null,
                null,
                null,
                [wear.Part],
                wear.IsAtLimit
                    ? "It was measured at its limit: it is to be replaced."
                    : "By the record of its measures one more may be at the limit then: have the parts by that day.",
                DueBy.Forecast,
                wear.IsAtLimit ? null : Math.Max(0, wear.Forecast!.OneReading!.Low),
                null,
                null,
                null,
                wear.IsAtLimit,
                null
            );
    }

    /// <summary>Since all of it was looked at: a part that was seen by itself is not the loop.</summary>
    private static DueItem OfInterval(Loop loop, Machine machine, IReadOnlyList<PartSeen> seen)
    {
        InspectionKind kind = KindOf(machine, loop);
        CheckInterval usual = CheckIntervals.Get(machine.Kind, kind);
        PartSeen?[] newest =
        [
            .. InspectionItems
                .For(kind)
                .Select(i => seen.FirstOrDefault(s => (s.LoopKey, s.Part) == (loop.Key, i.Part))),
        ];
        PartSeen? last = newest.Contains(null) ? null : newest.MinBy(s => s!.Entry);
        return new(
            Key("interval", loop.Key),
            DueKind.Interval,
            loop.Key,
            null,
            null,
            null,
            [],
            newest.All(s => s is null) ? "It was not looked at yet."
                : last is null ? "Not all of it was looked at yet."
                : "By the usual interval of such a drive.",
            DueBy.Practice,
            last?.OdometerKm + usual.KmLow,
            null,
            last is null ? null : DateOnly.FromDateTime(last.At.UtcDateTime).AddDays(usual.Days),
            null,
            false,
            new(usual.KmLow, usual.KmHigh, usual.Days)
        );
    }

    private static string Key(params object?[] parts) =>
        string.Join('/', parts.Select(p => string.Create(CultureInfo.InvariantCulture, $"{p}").ToLowerInvariant()));
}
