using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Fit;

/// <summary>How the gaps around a loop came about.</summary>
internal static class ClearanceWorkings
{
    public static IEnumerable<Working> Of(LoopLayout layout, IReadOnlyList<ClearanceFigure> figures) =>
        (layout.Limits ?? []).Zip(figures).SelectMany(pair => Of(pair.First, pair.Second));

    private static IEnumerable<Working> Of(ClearanceLimit limit, ClearanceFigure figure)
    {
        yield return new(
            $"Gap to {limit.Name} at its worst",
            "g = g0 − swing − move",
            [
                new("g0", $"{figure.Part} to the edge, taut", figure.GapMm, "mm"),
                new("swing", "half the free play, at that place of the slack run", Swing(limit, figure), "mm"),
                new("move", "the edge comes nearer by", limit.MovesMm, "mm"),
            ],
            new("g", "worst gap", figure.WorstGapMm, "mm"),
            "plane geometry; tips from the outside diameter, ASME B29.1",
            "In the plane of the loop. A run swings most at its middle and not at all at its ends."
        );
        if (figure.ChainJamClearance is { } way)
            yield return new(
                $"Way out between {way.Wheel} and {limit.Name}",
                "needed = (d1 + h2) / 2",
                [new("room", $"tips of {way.Wheel} to the edge as near as it comes", way.RoomMm, "mm")],
                new("needed", "height of a chain that stands on the tips", way.NeededMm, "mm"),
                "geometry of ISO 606 sizes (roller d1, plate h2); that a lone chain must fall clear: common practice",
                "One layer of chain. A heap of it needs more; a guard that holds the chain on the teeth needs none."
            );
    }

    private static double Swing(ClearanceLimit limit, ClearanceFigure figure) =>
        figure.GapMm - figure.WorstGapMm - limit.MovesMm;
}
