using Wendrak.Core.Procedures;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Records;

/// <summary>What may happen at the plan of a job.</summary>
public static class PlanRules
{
    /// <summary>The order with one step at another place.</summary>
    internal static List<PlannedStep> Moved(IReadOnlyList<PlannedStep> order, StepMoved move)
    {
        List<PlannedStep> others = [.. order.Where(s => s.Step.Key != move.Step)];
        PlannedStep? moved = order.FirstOrDefault(s => s.Step.Key == move.Step);
        if (moved is null)
            return others;
        int at = others.FindIndex(s => s.Step.Key == move.Before);
        others.Insert(at < 0 ? others.Count : at, moved);
        return others;
    }

    /// <summary>What a move breaks.</summary>
    /// <returns>Null where it breaks nothing.</returns>
    public static OrderFault? FaultOf(JobPlan plan, StepMoved move)
    {
        PlannedStep[] order = [.. plan.Steps.Select(s => new PlannedStep(s.Step, s.Because))];
        StepOrder bounds = new([.. order.Select(s => s.Step)]);
        string[] keys = [.. Moved(order, move).Select(s => s.Step.Key)];
        return bounds.FirstFault(keys, alsoHabits: false) ?? bounds.FirstFault(keys);
    }

    internal static Guard Check(Guard guard, JobPlan? before, PlanMade made)
    {
        guard
            .That(before is null, "kind", "begun", "This job has its plan: take that back first, or begin another job.")
            .OneOf(nameof(made.Change), made.Change)
            .OneOf(nameof(made.Family), made.Family)
            .Named(nameof(made.LoopKey), made.LoopKey);
        return made.Made is null
            ? guard.That(false, nameof(made.Made), "missing", "A plan has its steps.")
            : guard.Include(new Guard("Made.").Include(Check(made.Made)));
    }

    private static Guard Check(MadePlan made)
    {
        Guard guard = new Guard()
            .Named(nameof(made.Title), made.Title)
            .Count(nameof(made.Steps), made.Steps.Count, 1, StepBounds.MostSteps, "steps");
        HashSet<string> keys = [];
        for (int i = 0; i < made.Steps.Count; i++)
        {
            ProcedureStep step = made.Steps[i].Step;
            Guard one = new Guard($"{nameof(made.Steps)}[{i}].Step.")
                .Include(StepChecks.Check(step))
                .That(keys.Add(step.Key), nameof(step.Key), "twice", "Give every step another key.");
            guard.Include(one);
        }
        if (guard.HasIssues)
            return guard;
        OrderFault? fault = new StepOrder([.. made.Steps.Select(s => s.Step)]).FirstFault(
            made.Steps.Select(s => s.Step.Key),
            alsoHabits: false
        );
        return guard.That(
            fault is null,
            nameof(made.Steps),
            "order",
            fault is null
                ? ""
                : $"“{made.Steps.First(s => s.Step.Key == fault.Step).Step.Do}” comes too early. {fault.Sentence}"
        );
    }

    internal static Guard Check(Guard guard, JobPlan? plan, StepDone done)
    {
        if (Find(guard, plan, done.Step, nameof(done.Step)) is not { } at)
            return guard;
        ProcedureStep step = at.Step;
        bool isLeftOut = done.Outcome == StepOutcome.LeftOut;
        guard
            .OneOf(nameof(done.Outcome), done.Outcome)
            .That(!step.IsAtSet, nameof(done.Step), "at_set", "This step is done at Set, and done when that is closed.")
            .That(
                !isLeftOut || !step.IsMust,
                nameof(done.Outcome),
                "must",
                "The machine does not go out without this step: do it differently, or let the job wait."
            )
            .That(isLeftOut || at.InTheWay.Count == 0, nameof(done.Step), "order", string.Join(" ", at.InTheWay))
            .That(
                done.Outcome == StepOutcome.Done || !string.IsNullOrWhiteSpace(done.Why),
                nameof(done.Why),
                "missing",
                "Say why in a word; it stands in the record."
            )
            .Note(nameof(done.Why), done.Why);
        if (isLeftOut)
            return guard.That(
                done is { Way: null, Fastening: null, Values.Count: 0 },
                nameof(done.Outcome),
                "unasked",
                "What is left out has no way, no torque and no values: leave them out too."
            );
        CheckWay(guard, step, done);
        CheckValues(guard, step, done);
        return CheckFastening(guard, step, done);
    }

    internal static Guard Check(Guard guard, JobPlan? plan, StepReopened reopened)
    {
        if (Find(guard, plan, reopened.Step, nameof(reopened.Step)) is not { } at)
            return guard;
        StepOrder bounds = new([.. plan!.Steps.Select(s => s.Step)]);
        PlanStep? after = plan.Steps.FirstOrDefault(s =>
            s.State is not (StepState.Open or StepState.LeftOut)
            && bounds.Before(s.Step.Key).Any(b => b.Earlier == reopened.Step && b.Bound != OrderBound.Habit)
        );
        return guard
            .That(at.State != StepState.Open, nameof(reopened.Step), "open", "This step is open.")
            .That(!at.Step.IsAtSet, nameof(reopened.Step), "at_set", "Take the closing at Set back in the history.")
            .That(
                after is null,
                nameof(reopened.Step),
                "order",
                $"“{after?.Step.Do}” was done on it: that is opened again first."
            );
    }

    internal static Guard Check(Guard guard, JobPlan? plan, StepMoved move)
    {
        if (Find(guard, plan, move.Step, nameof(move.Step)) is not { } at)
            return guard;
        if (move.Before is not null && Find(guard, plan, move.Before, nameof(move.Before)) is null)
            return guard;
        OrderFault? fault = FaultOf(plan!, move);
        return guard
            .That(
                at.State == StepState.Open,
                nameof(move.Step),
                "done",
                "It is done: where it stands says nothing any more."
            )
            .That(
                fault is null or { Bound: OrderBound.Habit },
                nameof(move.Before),
                "order",
                fault is null
                    ? ""
                    : $"“{plan!.Steps.First(s => s.Step.Key == fault.Step).Step.Do}” would come too early. {fault.Sentence}"
            );
    }

    internal static Guard Check(Guard guard, JobPlan? plan, TrayTicked tick) =>
        guard
            .That(
                plan is not null && plan.Tray.Any(l => l.Part.Key == tick.Part),
                nameof(tick.Part),
                "unknown",
                "Give a part of the tray of this job."
            )
            .OneOf(nameof(tick.State), tick.State)
            .That(
                tick.State != TrayState.StandIn || !string.IsNullOrWhiteSpace(tick.StandIn),
                nameof(tick.StandIn),
                "missing",
                "Say what stands in for it."
            )
            .Note(nameof(tick.StandIn), tick.StandIn);

    private static PlanStep? Find(Guard guard, JobPlan? plan, string key, string field)
    {
        PlanStep? found = plan?.Steps.FirstOrDefault(s => s.Step.Key == key);
        guard.That(found is not null, field, "unknown", "Give a step of the plan of this job.");
        return found;
    }

    private static void CheckWay(Guard guard, ProcedureStep step, StepDone done)
    {
        if (step.Way is not { } way)
        {
            guard.That(done.Way is null, nameof(done.Way), "unasked", "This step has one way: leave it out.");
            return;
        }
        WrongWay? wrong = way.Wrong.FirstOrDefault(w => w.Way == done.Way);
        guard
            .That(wrong is null, nameof(done.Way), "mirrored", $"Not so: {wrong?.Does}")
            .That(
                wrong is not null || done.Way == way.Right,
                nameof(done.Way),
                "missing",
                $"{way.Question} Say it before it goes on."
            );
    }

    private static void CheckValues(Guard guard, ProcedureStep step, StepDone done)
    {
        guard.Count(nameof(done.Values), done.Values.Count, 0, step.Records.Count, "values");
        for (int i = 0; i < done.Values.Count; i++)
        {
            StepValue value = done.Values[i];
            StepField? field = step.Records.FirstOrDefault(f => f.Key == value.Key);
            guard.That(
                field is not null && done.Values.Count(v => v.Key == value.Key) == 1,
                $"{nameof(done.Values)}[{i}].{nameof(value.Key)}",
                "unknown",
                "Give a field of this step, once."
            );
            if (field is not null)
                guard.Between(
                    $"{nameof(done.Values)}[{i}].{nameof(value.Value)}",
                    value.Value,
                    field.Low,
                    field.High,
                    field.Unit
                );
        }
    }

    private static Guard CheckFastening(Guard guard, ProcedureStep step, StepDone done)
    {
        if (done.Fastening is not { } tight)
            return guard.That(
                step.Fastener is null || done.Outcome != StepOutcome.Done,
                nameof(done.Fastening),
                "missing",
                $"Say of the {step.Fastener?.What} how many are tight, and how."
            );
        Guard inner = new Guard($"{nameof(done.Fastening)}.")
            .That(step.Fastener is not null, nameof(tight.Count), "unasked", "Nothing is tightened at this step.")
            .Between(nameof(tight.Of), tight.Of, 1, StepBounds.MostFasteners, "")
            .That(
                step.Fastener?.Count is not int all || tight.Of >= all,
                nameof(tight.Of),
                "too_few",
                $"The machine has {step.Fastener?.Count} {step.Fastener?.What}.",
                step.Fastener?.Count
            )
            .Between(nameof(tight.Count), tight.Count, 0, Math.Max(tight.Of, 0), "")
            .That(
                tight.Count >= tight.Of || done.Outcome != StepOutcome.Done,
                nameof(tight.Count),
                "too_few",
                "Fewer than there are to be is a deviation, not done: press “Done differently” and say why.",
                tight.Of
            )
            .OneOf(nameof(tight.By), tight.By)
            .BetweenIfGiven(
                nameof(tight.TorqueNm),
                tight.TorqueNm,
                StepBounds.LeastTorqueNm,
                StepBounds.MostTorqueNm,
                "Nm"
            )
            .That(
                tight.By != TorqueBy.Feel || tight.TorqueNm is null,
                nameof(tight.TorqueNm),
                "by_feel",
                "A hand tells no figure: leave it out, or say where it comes from."
            )
            .OneOf(nameof(tight.Lock), tight.Lock)
            .That(
                tight.Lock != LockCondition.None
                    || step.Fastener is null or { Lock: LockKind.None }
                    || done.Outcome != StepOutcome.Done,
                nameof(tight.Lock),
                "missing",
                "It is kept by a lock: put that on, or say why it goes without."
            )
            .That(
                tight.Lock != LockCondition.Spent || done.Outcome != StepOutcome.Done,
                nameof(tight.Lock),
                "spent",
                "A lock that was used before is a deviation, not done: say why, or take a new one."
            );
        return guard.Include(inner);
    }
}
