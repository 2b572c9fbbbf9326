using Wendrak.Core.Faults;
using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wear;

namespace Wendrak.Core.Evaluation;

/// <summary>A circumstance that the machine's own record tells.</summary>
/// <param name="Circumstance">Key of the table.</param>
/// <param name="Why">What the record says, in a few words.</param>
/// <param name="On">Day of it.</param>
/// <param name="Measured">What was measured; null for nothing.</param>
public sealed record FaultFact(string Circumstance, string Why, DateOnly On, FaultMeasured? Measured = null);

/// <summary>What stands measured in the record.</summary>
/// <param name="Values">As they were read: one, or from loosest to tightest.</param>
/// <param name="Unit">Of the values: “mm”, “Hz”, “%”; empty for a scale of its own.</param>
public sealed record FaultMeasured(IReadOnlyList<double> Values, string Unit);

/// <summary>A test that the machine's own record answers.</summary>
/// <param name="Test">Key of the test.</param>
/// <param name="Answer">Key of its answer.</param>
/// <param name="Why">What the record says, in a few words.</param>
/// <param name="On">Day of it.</param>
/// <param name="Measured">What was measured; null for nothing.</param>
public sealed record FaultRecordAnswer(
    string Test,
    string Answer,
    string Why,
    DateOnly On,
    FaultMeasured? Measured = null
);

/// <summary>What the record of a machine says of a loop that does something it should not.</summary>
/// <param name="Facts">Circumstances.</param>
/// <param name="Answers">Of tests that need not be done again.</param>
/// <param name="Measures">Where this machine draws its lines.</param>
public sealed record FaultRecord(
    IReadOnlyList<FaultFact> Facts,
    IReadOnlyList<FaultRecordAnswer> Answers,
    IReadOnlyList<FaultMeasure> Measures
)
{
    /// <summary>So long an event, new parts or setting may still have to do with it. Judgement.</summary>
    private const int LatelyDays = 60;

    /// <summary>So long a look or a reading still tells how it is. Judgement: a fault of today may not be in an older one.</summary>
    private const int FreshDays = 3;

    private const int OldYears = 5;

    /// <summary>Of a cut belt, mm. Source: ISO 5296, from memory.</summary>
    private const double WidthToleranceMm = 0.8;

    /// <param name="today">Day on which it is asked.</param>
    public static FaultRecord Of(StoredMachine stored, Loop loop, FaultKind kind, DateOnly today)
    {
        JobSheet[] jobs = [.. stored.Jobs.Select(j => j.Sheet)];
        ChainLimit? chain = LimitOf(stored, loop);
        WearSeries wear = WearSeries.Of(loop.Key, jobs);
        FaultReading? reading = FaultReading.Of(stored, loop);
        bool isReadFresh = reading is not null && IsFresh(reading.On, today) && reading.TestOf(kind) is not null;
        return new(
            [
                .. OfEvents(stored, jobs, loop, today),
                .. OfParts(stored, jobs, loop, today),
                .. OfWear(wear, chain),
                .. isReadFresh ? [] : OfReading(reading, today),
                .. OfSetting(stored, loop, today),
            ],
            [
                .. FaultLooks.Of(kind, PartSeen.AllOf(jobs), loop.Key, d => IsFresh(d, today)),
                .. isReadFresh ? reading!.AnswersOf(kind) : [],
                .. OfElongation(wear, chain, kind, today),
            ],
            [
                .. chain is { Percent: double limit }
                    ? (FaultMeasure[])
                        [
                            new(
                                FaultMeasure.Elongation,
                                "Longer than new",
                                "%",
                                1,
                                null,
                                limit,
                                chain.By == ChainLimitBy.Maker ? "its maker’s limit" : "the limit of such a chain"
                            ),
                        ]
                    : [],
                .. (reading?.MeasureOf(kind) ?? FaultReading.LinesUnread(stored, loop, kind, today)) is { } lines
                    ? (FaultMeasure[])[lines]
                    : [],
                .. WidthOf(stored, loop, kind) is { } width ? (FaultMeasure[])[width] : [],
            ]
        );
    }

    private static bool IsFresh(DateOnly on, DateOnly today) => on.AddDays(FreshDays) >= today;

    private static bool IsLately(DateOnly on, DateOnly today) => on.AddDays(LatelyDays) >= today;

    private static ChainLimit? LimitOf(StoredMachine stored, Loop loop) =>
        ChainOfMachine.LimitOf(stored.Machine, loop, stored.Fitted.Loops.First(c => c.LoopKey == loop.Key));

    /// <summary>Of a toothed belt as it is made; of a belt between sheaves down to the limit that somebody said with a measure.</summary>
    private static FaultMeasure? WidthOf(StoredMachine stored, Loop loop, FaultKind kind)
    {
        if (
            kind == FaultKind.Belt
            && stored.Machine.Loads?.Strengths.FirstOrDefault(s => s.LoopKey == loop.Key)?.WidthMm is double made
        )
            return new(
                FaultMeasure.Width,
                "Width at three places",
                "mm",
                3,
                made - WidthToleranceMm,
                made + WidthToleranceMm,
                "its width and how exactly belts are cut: ISO 5296, from memory"
            );
        double? limit = PartSeen
            .AllOf(stored.Jobs.Select(j => j.Sheet))
            .FirstOrDefault(s => s.LoopKey == loop.Key && s.Part == InspectedPart.Width && s.Detail?.Measure?.Limit > 0)
            ?.Detail!.Measure!.Limit;
        return kind == FaultKind.VariableBelt && limit is double least
            ? new(
                FaultMeasure.Width,
                "Width at three places",
                "mm",
                3,
                least,
                null,
                "its limit, as it was said at Check"
            )
            : null;
    }

    /// <summary>What happened lately, or was not looked at since.</summary>
    private static IEnumerable<FaultFact> OfEvents(StoredMachine stored, JobSheet[] jobs, Loop loop, DateOnly today)
    {
        HashSet<UseEvent?> open =
        [
            .. DueList
                .Of(stored.Machine, stored.Fitted, stored.Jobs, stored.Odometer, new([], []))
                .Items.Where(i => i.Kind == DueKind.Event && i.LoopKey == loop.Key)
                .Select(i => i.Event),
        ];
        return jobs.SelectMany(j => j.UseEvents)
            .Select(e => (e.Event, On: DateOnly.FromDateTime(e.At.UtcDateTime)))
            .Where(e => IsLately(e.On, today) || open.Contains(e.Event))
            .Select(e => (Key: CircumstanceOf(e.Event), e.On))
            .Where(e => e.Key is not null)
            .GroupBy(e => e.Key!)
            .Select(e => new FaultFact(e.Key, "noted at a job", e.Max(n => n.On)));
    }

    private static string? CircumstanceOf(UseEvent happened) =>
        happened switch
        {
            UseEvent.Knock => "knock",
            UseEvent.WheelOut or UseEvent.NewTyre => "wheelOut",
            UseEvent.DeepWater => "rain",
            UseEvent.Dust => "dust",
            UseEvent.Storage => "stored",
            UseEvent.Overload => "load",
            _ => null,
        };

    private static IEnumerable<FaultFact> OfParts(StoredMachine stored, JobSheet[] jobs, Loop loop, DateOnly today)
    {
        DateOnly[] put =
        [
            .. jobs.SelectMany(j => j.UseEvents)
                .Where(e => e.Event == UseEvent.NewParts)
                .Select(e => DateOnly.FromDateTime(e.At.UtcDateTime)),
            .. stored
                .Jobs.SelectMany(j => j.Entries)
                .Where(e => e.Event is SetupFitted fitted && fitted.ChangedLoops?.Contains(loop.Key) == true)
                .Select(e => DateOnly.FromDateTime(e.At.UtcDateTime)),
            .. stored.Fitted.FittedOn is DateOnly on ? (DateOnly[])[on] : [],
        ];
        if (put.Length == 0)
            yield break;
        DateOnly last = put.Max();
        if (IsLately(last, today))
            yield return new("newParts", "fitted", last);
        else if (last.AddYears(OldYears) <= today)
            yield return new("old", "nothing newer was fitted since", last);
    }

    private static IEnumerable<FaultFact> OfWear(WearSeries wear, ChainLimit? chain)
    {
        if (
            chain is { Percent: double limit }
            && wear.GradeFor(limit) is FindingGrade.Watch or FindingGrade.Stop
            && wear.Records is [.., { } last]
        )
            yield return new("worn", "measured, longer than new", last.On, new([last.Measured.WorstPercent], "%"));
    }

    private static IEnumerable<FaultFact> OfReading(FaultReading? reading, DateOnly today)
    {
        if (reading?.IsInside is bool inside && reading.On <= today)
            yield return new(inside ? "windowIn" : "windowOut", "read", reading.On, reading.Measured);
    }

    private static IEnumerable<FaultFact> OfSetting(StoredMachine stored, Loop loop, DateOnly today)
    {
        DateOnly? closed = stored
            .Visits.Where(v => v.LoopKey == loop.Key && v.Closing is not null)
            .Max(v => (DateOnly?)v.Closing!.ClosedOn);
        if (closed is DateOnly on && IsLately(on, today))
            yield return new("set", "set and closed", on);
    }

    private static IEnumerable<FaultRecordAnswer> OfElongation(
        WearSeries wear,
        ChainLimit? chain,
        FaultKind kind,
        DateOnly today
    )
    {
        if (
            kind is FaultKind.Chain or FaultKind.Rail
            && chain is { Percent: double limit }
            && wear.GradeFor(limit) is { } grade
            && wear.Records is [.., { } last]
            && IsFresh(last.On, today)
        )
            yield return new(
                FaultMeasure.Elongation,
                grade == FindingGrade.Stop ? "atLimit" : "below",
                "measured, longer than new",
                last.On,
                new([last.Measured.WorstPercent], "%")
            );
    }
}
