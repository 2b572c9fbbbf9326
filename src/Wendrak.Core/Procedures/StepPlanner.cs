namespace Wendrak.Core.Procedures;

/// <summary>A step at its place in a plan.</summary>
/// <param name="Step">With the bounds to other steps of the plan alone.</param>
/// <param name="Because">Why it stands there, in sentences.</param>
public sealed record PlannedStep(ProcedureStep Step, IReadOnlyList<string> Because);

/// <summary>Composes the plan for one machine and one change.</summary>
public static class StepPlanner
{
    /// <summary>Only the steps that apply, in an order that breaks no bound, with the fewest changes of place and tool.</summary>
    /// <param name="facts">That hold of the machine and of the change.</param>
    public static IReadOnlyList<PlannedStep> Compose(Procedure procedure, IReadOnlySet<Fact> facts)
    {
        ProcedureStep[] steps = [.. procedure.Steps.Where(s => s.AppliesTo(facts))];
        StepOrder order = new(procedure.Steps, steps);
        IReadOnlyList<ProcedureStep> found = FewestChanges.Find(steps, order);
        return
        [
            .. found.Select(
                (s, i) =>
                    new PlannedStep(
                        s with
                        {
                            When = [],
                            Unless = [],
                            After = Earlier(s, OrderBound.Needs),
                            Closes = Earlier(s, OrderBound.ClosesTheWay),
                            Habit = Earlier(s, OrderBound.Habit),
                        },
                        Because(found, i, order)
                    )
            ),
        ];
        string[] Earlier(ProcedureStep step, OrderBound bound) =>
            [.. order.Before(step.Key).Where(b => b.Bound == bound).Select(b => b.Earlier)];
    }

    /// <summary>How often hands go to another place or take up another tool on the way through.</summary>
    public static int CountChanges(IEnumerable<ProcedureStep> order) => FewestChanges.Count(order);

    private static string[] Because(IReadOnlyList<ProcedureStep> order, int at, StepOrder bounds)
    {
        ProcedureStep step = order[at];
        Dictionary<string, int> place = order.Select((s, i) => (s.Key, i)).ToDictionary(p => p.Key, p => p.i);
        // What came last of what it waits for, and what comes first of what waits for it.
        IEnumerable<string> waits = bounds
            .Before(step.Key)
            .Where(b => b.Bound != OrderBound.Habit)
            .OrderByDescending(b => place[b.Earlier])
            .Take(1)
            .Select(bounds.Sentence);
        IEnumerable<string> closed = bounds
            .Bounds.Where(b => b.Earlier == step.Key && b.Bound == OrderBound.ClosesTheWay)
            .OrderBy(b => place[b.Later])
            .Take(1)
            .Select(b => $"“{order[place[b.Later]].Do}” closes the way for it.");
        string[] said = [.. waits, .. closed];
        if (said.Length > 0)
            return said;
        if (at == 0 || order[at - 1].Phase != step.Phase)
            return ["It begins this part of the work."];
        return order[at - 1].Place == step.Place
            ? ["The hands are there already."]
            : ["It waits for nothing: here it costs the fewest changes of place and tool."];
    }
}
