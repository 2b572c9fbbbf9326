using System.Numerics;
using Wendrak.Core.Stock;

namespace Wendrak.Core.Procedures;

/// <summary>The order with the fewest changes of place and tool among those that hold every bound.</summary>
/// <remarks>
/// Layer by layer over what is done so far, where the hands are and what they hold: exact up to <see cref="ExactSteps"/> steps;
/// of more only the best <see cref="Kept"/> of each layer are gone on with. Of orders that are alike the one nearest to the
/// procedure’s own is taken.
/// </remarks>
internal static class FewestChanges
{
    public const int MostSteps = 64;
    public const int ExactSteps = 10;
    private const int Kept = 48; // judgement: sixty steps in a few ms
    private const int NoTool = -1;

    private sealed record Node(ulong Done, int Place, int Tool, int Changes, int Turned, int Step, Node? Before);

    /// <summary>How often place or tool change on the way through.</summary>
    public static int Count(IEnumerable<ProcedureStep> order)
    {
        int changes = 0;
        (int place, int tool) = (-1, NoTool);
        foreach (ProcedureStep step in order)
        {
            changes += ChangesTo(step, place, tool);
            (place, tool) = ((int)step.Place, ToolOf(step) is int t && t != NoTool ? t : tool);
        }
        return changes;
    }

    public static IReadOnlyList<ProcedureStep> Find(IReadOnlyList<ProcedureStep> steps, StepOrder order)
    {
        Dictionary<string, int> at = steps.Select((s, i) => (s.Key, i)).ToDictionary(p => p.Key, p => p.i);
        ulong[] before =
        [
            .. steps.Select(s =>
                order.Before(s.Key).Aggregate(0UL, (mask, b) => mask | (1UL << at[b.Earlier]))
                | steps.Where(e => e.Phase < s.Phase).Aggregate(0UL, (mask, e) => mask | (1UL << at[e.Key]))
            ),
        ];
        List<Node> layer = [new(0, -1, NoTool, 0, 0, -1, null)];
        for (int count = 0; count < steps.Count; count++)
        {
            Dictionary<(ulong, int, int), Node> next = [];
            foreach (Node node in layer)
                for (int i = 0; i < steps.Count; i++)
                    if ((node.Done & (1UL << i)) == 0 && (before[i] & ~node.Done) == 0)
                        Keep(next, After(node, i, steps[i]));
            IEnumerable<Node> best = next.Values.OrderBy(n => n.Changes).ThenBy(n => n.Turned);
            layer = [.. steps.Count <= ExactSteps ? best : best.Take(Kept)];
        }
        Stack<ProcedureStep> found = [];
        for (Node? node = layer[0]; node is { Step: >= 0 }; node = node.Before)
            found.Push(steps[node.Step]);
        return [.. found];
    }

    private static Node After(Node node, int i, ProcedureStep step)
    {
        ulong done = node.Done | (1UL << i);
        ulong earlier = (1UL << i) - 1;
        int tool = ToolOf(step);
        return new(
            done,
            (int)step.Place,
            tool == NoTool ? node.Tool : tool,
            node.Changes + ChangesTo(step, node.Place, node.Tool),
            node.Turned + BitOperations.PopCount(earlier & ~done),
            i,
            node
        );
    }

    private static void Keep(Dictionary<(ulong, int, int), Node> layer, Node node)
    {
        (ulong, int, int) key = (node.Done, node.Place, node.Tool);
        if (
            !layer.TryGetValue(key, out Node? other)
            || (node.Changes, node.Turned).CompareTo((other.Changes, other.Turned)) < 0
        )
            layer[key] = node;
    }

    private static int ChangesTo(ProcedureStep step, int place, int tool) =>
        (place >= 0 && place != (int)step.Place ? 1 : 0)
        + (tool != NoTool && ToolOf(step) is int other && other != NoTool && other != tool ? 1 : 0);

    /// <summary>The tool that is taken up for a step: the first it asks for; bare hands lay none down.</summary>
    private static int ToolOf(ProcedureStep step) => step.Tools is [{ Kind: ToolKind kind }, ..] ? (int)kind : NoTool;
}
