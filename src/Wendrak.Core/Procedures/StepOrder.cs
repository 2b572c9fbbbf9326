namespace Wendrak.Core.Procedures;

/// <summary>How strongly one step waits for another.</summary>
public enum OrderBound
{
    /// <summary>The later one needs what the earlier one made.</summary>
    Needs,

    /// <summary>After the later one the earlier one can’t be done any more.</summary>
    ClosesTheWay,

    /// <summary>It is usually so, and nothing breaks otherwise.</summary>
    Habit,
}

/// <summary>Two steps of which one comes first.</summary>
public sealed record StepBound(string Earlier, string Later, OrderBound Bound);

/// <summary>A place in an order that breaks a bound.</summary>
/// <param name="Step">Key of the step that stands too early.</param>
/// <param name="Missing">Key of the step that should have come before it.</param>
/// <param name="Sentence">What it breaks.</param>
public sealed record OrderFault(string Step, string Missing, OrderBound Bound, string Sentence);

/// <summary>Which step must come before which.</summary>
public sealed class StepOrder
{
    private readonly Dictionary<string, ProcedureStep> _steps;
    private readonly ILookup<string, StepBound> _before;

    /// <param name="all">Of the procedure, also those that do not apply: what they wait for is waited for all the same.</param>
    /// <param name="chosen">Those that apply; null for all.</param>
    public StepOrder(IReadOnlyList<ProcedureStep> all, IReadOnlyList<ProcedureStep>? chosen = null)
    {
        _steps = all.ToDictionary(s => s.Key);
        HashSet<string> here = [.. (chosen ?? all).Select(s => s.Key)];
        StepBound[] bounds =
        [
            .. all.SelectMany(s =>
                s.After.Select(k => new StepBound(k, s.Key, OrderBound.Needs))
                    .Concat(s.Closes.Select(k => new StepBound(k, s.Key, OrderBound.ClosesTheWay)))
                    .Concat(s.Habit.Select(k => new StepBound(k, s.Key, OrderBound.Habit)))
            ),
        ];
        ILookup<string, StepBound> direct = bounds.ToLookup(b => b.Later);
        Bounds =
        [
            .. here.SelectMany(k => Present(k, k, null, direct, here, []))
                .GroupBy(b => (b.Earlier, b.Later))
                .Select(same => same.MinBy(b => b.Bound)!),
        ];
        _before = Bounds.ToLookup(b => b.Later);
    }

    /// <summary>Between steps that are there.</summary>
    public IReadOnlyList<StepBound> Bounds { get; }

    /// <summary>What a step waits for.</summary>
    public IEnumerable<StepBound> Before(string step) => _before[step];

    /// <summary>The first step of an order that stands too early.</summary>
    /// <param name="alsoHabits">Whether a broken habit counts.</param>
    /// <returns>Null for an order that holds.</returns>
    public OrderFault? FirstFault(IEnumerable<string> order, bool alsoHabits = true)
    {
        HashSet<string> done = [];
        ProcedureStep? last = null;
        foreach (string key in order)
        {
            ProcedureStep step = _steps[key];
            StepBound? broken = _before[key]
                .Where(b => !done.Contains(b.Earlier) && (alsoHabits || b.Bound != OrderBound.Habit))
                .MinBy(b => b.Bound);
            if (broken is not null)
                return new(key, broken.Earlier, broken.Bound, Sentence(broken));
            if (last is not null && step.Phase < last.Phase)
                return new(
                    key,
                    last.Key,
                    OrderBound.Needs,
                    $"“{step.Do}” belongs before what the next part of the work begins with."
                );
            done.Add(key);
            last = step;
        }
        return null;
    }

    /// <summary>What is in the way of doing the later one first.</summary>
    public string Sentence(StepBound bound) =>
        bound.Bound switch
        {
            OrderBound.Needs => $"It needs “{_steps[bound.Earlier].Do}” before it.",
            OrderBound.ClosesTheWay => $"It closes the way for “{_steps[bound.Earlier].Do}”.",
            _ => $"“{_steps[bound.Earlier].Do}” is usually done before it.",
        };

    /// <summary>What a step waits for, through those that do not apply.</summary>
    private static IEnumerable<StepBound> Present(
        string of,
        string through,
        OrderBound? weakest,
        ILookup<string, StepBound> direct,
        HashSet<string> here,
        HashSet<string> seen
    )
    {
        foreach (StepBound bound in direct[through])
        {
            // What is passed on through a step that is not there is no tighter than a need.
            OrderBound kind = weakest is OrderBound w && w > bound.Bound ? w : bound.Bound;
            if (here.Contains(bound.Earlier))
                yield return new(bound.Earlier, of, through == of ? bound.Bound : Passed(kind));
            else if (seen.Add(bound.Earlier))
                foreach (StepBound far in Present(of, bound.Earlier, kind, direct, here, seen))
                    yield return far;
        }
    }

    private static OrderBound Passed(OrderBound kind) => kind == OrderBound.Habit ? kind : OrderBound.Needs;
}
