using System.Collections.Immutable;
using Wendrak.Core.Gearing;
using Wendrak.Core.Procedures;

namespace Wendrak.Core.Records;

/// <summary>How far a step of a plan is.</summary>
public enum StepState
{
    Open,
    Done,
    Differently,
    ForNow,
    LeftOut,
}

/// <summary>A step of a plan as it stands.</summary>
/// <param name="Step">What is to be done.</param>
/// <param name="Because">Why it stands there, in sentences.</param>
/// <param name="Why">Reason given; null where none was asked.</param>
/// <param name="Way">Which way round the part went on; null where it was not asked.</param>
/// <param name="Values">What was written down.</param>
/// <param name="Fastening">What was tightened; null for nothing.</param>
/// <param name="Who">Who did it last; null where nobody did, or nobody said.</param>
/// <param name="At">When; null while it is open.</param>
/// <param name="HoldsFrom">When its lock has cured; null for what holds at once.</param>
/// <param name="InTheWay">What must come first, as sentences; empty for a step that can be done now.</param>
/// <param name="Warnings">What is to be minded in how it was done, as sentences.</param>
public sealed record PlanStep(
    ProcedureStep Step,
    IReadOnlyList<string> Because,
    StepState State,
    string? Why,
    string? Way,
    IReadOnlyList<StepValue> Values,
    FasteningDone? Fastening,
    string? Who,
    DateTimeOffset? At,
    DateTimeOffset? HoldsFrom,
    IReadOnlyList<string> InTheWay,
    IReadOnlyList<string> Warnings
);

/// <summary>A part of the tray as it stands.</summary>
/// <param name="Step">Key of the step that takes it.</param>
/// <param name="StandIn">What stands in for it; null for nothing.</param>
/// <param name="Who">Who looked; null where nobody did, or nobody said.</param>
public sealed record TrayLine(TrayPart Part, string Step, TrayState State, string? StandIn, string? Who);

/// <summary>The plan of a job as its events tell it.</summary>
/// <param name="LoopKey">Key of the loop it is about.</param>
/// <param name="Title">Of the procedure it was made from.</param>
/// <param name="ProcedureVersion">Of that, when the plan was made.</param>
/// <param name="Wanted">What is to go on; null for what is on.</param>
/// <param name="Was">As fitted when it was made.</param>
/// <param name="Next">Key of the step that is next; null when none is left.</param>
/// <param name="Done">Steps that are not open.</param>
/// <param name="MinutesDone">Usual time of those, min.</param>
/// <param name="MinutesLeft">Usual time of the others, min.</param>
/// <param name="TrialId">The trial that is to go on; 0 where it is gone, null where the plan is of no trial.</param>
public sealed record JobPlan(
    ChangeKind Change,
    string LoopKey,
    ProcedureFamily Family,
    string Title,
    int ProcedureVersion,
    LoopChoice? Wanted,
    LoopChoice Was,
    IReadOnlyList<PlanStep> Steps,
    IReadOnlyList<TrayLine> Tray,
    string? Next,
    int Done,
    double MinutesDone,
    double MinutesLeft,
    long? TrialId
)
{
    private const string DryTorqueOnWet =
        "Its torque is for a dry thread: with what is on this one it pulls harder than it says. Ask the maker for the wet one.";

    private const string TorqueForNotSaid =
        "Threadlocker or grease on a thread makes a dry torque pull harder: ask the maker whether this one is for a dry thread.";

    private const string NoReading = "Length of the arm times its pull is an estimate, no torque reading.";

    /// <summary>No step that puts a part on is left.</summary>
    private bool IsOn => Steps.All(s => s.Step.Phase != StepPhase.On || s.State != StepState.Open);

    /// <summary>What went on and the machine does not say yet; null until its parts are on, and where nothing else goes on.</summary>
    /// <param name="fitted">What the machine says.</param>
    public LoopChoice? ToFit(Setup fitted) =>
        Wanted is { } wanted
        && IsOn
        && fitted.Loops.FirstOrDefault(l => l.LoopKey == LoopKey) is { } on
        // A trial of another kind may have the very numbers of what is on.
        && (TrialId is long trial ? fitted.Id != trial : on != wanted)
            ? wanted
            : null;

    /// <summary>Other wheels went on by this plan, and nobody has said at the job that the machine has others since.</summary>
    internal bool IsUntold(IEnumerable<JobEntry> entries) =>
        Wanted is { } wanted
        && (TrialId is not null || wanted != Was)
        && IsOn
        && !entries
            .SkipWhile(e => e.Event is not PlanMade)
            .Any(e => e.Event is SetupFitted { ChangedLoops: { } changed } && changed.Contains(LoopKey));

    /// <returns>Null where none was made.</returns>
    internal static JobPlan? From(IReadOnlyList<JobEntry> entries, IReadOnlyList<SetJob> visits)
    {
        if (entries.FirstOrDefault(e => e.Event is PlanMade)?.Event is not PlanMade { Made: { } made } plan)
            return null;
        ImmutableDictionary<string, JobEntry> done = ImmutableDictionary<string, JobEntry>.Empty;
        ImmutableDictionary<string, JobEntry> looked = done;
        List<PlannedStep> order = [.. made.Steps];
        foreach (JobEntry entry in entries)
            switch (entry.Event)
            {
                case StepDone e:
                    done = done.SetItem(e.Step, entry);
                    break;
                case StepReopened e:
                    done = done.Remove(e.Step);
                    break;
                case TrayTicked e:
                    looked = looked.SetItem(e.Part, entry);
                    break;
                case StepMoved e:
                    order = PlanRules.Moved(order, e);
                    break;
                // Set closes its part of the plan.
                case VisitClosed e when e.LoopKey == plan.LoopKey:
                    foreach (PlannedStep at in order.Where(s => s.Step.IsAtSet))
                        done = done.SetItem(
                            at.Step.Key,
                            entry with
                            {
                                Event = new StepDone(at.Step.Key, StepOutcome.Done, null, null, [], null),
                            }
                        );
                    break;
            }
        StepOrder bounds = new([.. order.Select(s => s.Step)]);
        PlanStep[] steps =
        [
            .. order.Select(s =>
                done.TryGetValue(s.Step.Key, out JobEntry? entry)
                    ? Ended(s, entry)
                    : Open(s, InTheWay(bounds, order, s, done), BrokenHabits(bounds, order, s, done))
            ),
        ];
        return new(
            plan.Change,
            plan.LoopKey,
            plan.Family,
            made.Title,
            made.ProcedureVersion,
            plan.Wanted,
            made.Was,
            steps,
            [.. order.SelectMany(s => s.Step.Parts.Select(p => Lie(p, s.Step.Key, looked.GetValueOrDefault(p.Key))))],
            steps.FirstOrDefault(s => s.State == StepState.Open)?.Step.Key,
            steps.Count(s => s.State != StepState.Open),
            steps.Where(s => s.State != StepState.Open).Sum(s => s.Step.Minutes),
            steps.Where(s => s.State == StepState.Open).Sum(s => s.Step.Minutes),
            plan.TrialId
        );
    }

    private static TrayLine Lie(TrayPart part, string step, JobEntry? looked) =>
        looked?.Event is TrayTicked tick
            ? new(part, step, tick.State, tick.StandIn, looked.Actor)
            : new(part, step, TrayState.NotLooked, null, null);

    private static string[] InTheWay(
        StepOrder bounds,
        List<PlannedStep> order,
        PlannedStep step,
        ImmutableDictionary<string, JobEntry> done
    ) =>
        [
            .. bounds
                .Before(step.Step.Key)
                .Where(b => b.Bound != OrderBound.Habit && !done.ContainsKey(b.Earlier))
                .Select(b => (b.Bound, First: order.First(s => s.Step.Key == b.Earlier).Step.Do))
                .Select(b =>
                    b.Bound == OrderBound.ClosesTheWay
                        ? $"It closes the way for “{b.First}”: that comes first."
                        : $"First: {b.First}"
                ),
        ];

    private static PlanStep Open(PlannedStep planned, string[] inTheWay, string[] brokenHabits) =>
        new(
            planned.Step,
            planned.Because,
            StepState.Open,
            null,
            null,
            [],
            null,
            null,
            null,
            null,
            inTheWay,
            brokenHabits
        );

    private static PlanStep Ended(PlannedStep planned, JobEntry entry)
    {
        StepDone done = (StepDone)entry.Event;
        return new(
            planned.Step,
            planned.Because,
            done.Outcome switch
            {
                StepOutcome.Done => StepState.Done,
                StepOutcome.Differently => StepState.Differently,
                StepOutcome.ForNow => StepState.ForNow,
                _ => StepState.LeftOut,
            },
            done.Why,
            done.Way,
            done.Values,
            done.Fastening,
            entry.Actor,
            entry.At,
            planned.Step.Fastener?.CureHours is double hours && done.Outcome != StepOutcome.LeftOut
                ? entry.At.AddHours(hours)
                : null,
            [],
            Warn(planned.Step, done)
        );
    }

    /// <summary>What is usually done before an open step and stands after it now.</summary>
    private static string[] BrokenHabits(
        StepOrder bounds,
        List<PlannedStep> order,
        PlannedStep step,
        ImmutableDictionary<string, JobEntry> done
    ) =>
        [
            .. bounds
                .Before(step.Step.Key)
                .Where(b => b.Bound == OrderBound.Habit && !done.ContainsKey(b.Earlier))
                .Where(b => order.FindIndex(s => s.Step.Key == b.Earlier) > order.IndexOf(step))
                .Select(bounds.Sentence),
        ];

    private static string[] Warn(ProcedureStep step, StepDone done) =>
        done.Fastening is not { } fastening
            ? []
            :
            [
                .. step.Fastener is { IsWet: true } wet && fastening is { By: TorqueBy.Maker, TorqueNm: not null }
                    ? WarnOfTorque(wet)
                    : [],
                .. fastening.By == TorqueBy.ArmAndPull ? new[] { NoReading } : [],
                .. fastening.Lock == LockCondition.Spent ? new[] { "Its lock was used before and may not hold." } : [],
            ];

    private static string[] WarnOfTorque(StepFastener wet) =>
        wet.TorqueFor switch
        {
            TorqueThread.Dry => [DryTorqueOnWet],
            TorqueThread.Wet => [],
            _ => [TorqueForNotSaid],
        };
}

/// <summary>The plan of a job, at a glance.</summary>
/// <param name="LoopKey">Key of the loop it is about.</param>
/// <param name="Title">Of the procedure.</param>
/// <param name="Done">Steps that are not open.</param>
/// <param name="Of">Steps in all.</param>
/// <param name="MinutesLeft">Usual time of what is open, min.</param>
/// <param name="Next">What is next, as a sentence; null when nothing is left.</param>
public sealed record PlanAtJob(
    ChangeKind Change,
    string LoopKey,
    string Title,
    int Done,
    int Of,
    double MinutesLeft,
    string? Next
)
{
    internal static PlanAtJob? From(JobPlan? plan) =>
        plan is null
            ? null
            : new(
                plan.Change,
                plan.LoopKey,
                plan.Title,
                plan.Done,
                plan.Steps.Count,
                plan.MinutesLeft,
                plan.Steps.FirstOrDefault(s => s.Step.Key == plan.Next)?.Step.Do
            );
}
