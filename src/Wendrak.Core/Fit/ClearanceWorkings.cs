using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Fit;

/// <summary>How the gaps around a loop came about.</summary>
internal static class ClearanceWorkings
{
    public static IEnumerable<Working> Explain(LoopLayout layout, IReadOnlyList<ClearanceFigure> figures) =>
        (layout.Limits ?? []).Zip(figures).SelectMany(pair => Explain(pair.First, pair.Second));

    private static IEnumerable<Working> Explain(ClearanceLimit limit, ClearanceFigure figure)
    {
        yield return figure.AtWorst.Working with
        {
            Title = $"Gap to {limit.Name} at its worst",
        };
        if (figure.ChainJamClearance is { } way)
            yield return way.Needed.Working with
            {
                Title = $"Way out between {way.Wheel} and {limit.Name}",
                Beside = [new("room", $"tips of {way.Wheel} to the edge as near as it comes", way.RoomMm, "mm")],
            };
    }
}
