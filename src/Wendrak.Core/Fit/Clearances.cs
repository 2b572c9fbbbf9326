using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Fit;

/// <summary>Whether there is room enough.</summary>
public enum ClearanceState
{
    Clear,

    /// <summary>Nearer than wanted.</summary>
    Near,

    /// <summary>Touches only when the slack run swings through its free play.</summary>
    RubsWhenSlack,

    /// <summary>Touches only when the edge has come as near as it moves or flexes.</summary>
    RubsWhenMoved,
    Rubs,
}

/// <summary>The part of the loop that comes nearest to a limit.</summary>
/// <param name="Part">“tips of rear”, “run front–rear”.</param>
/// <param name="GapMm">Negative when it touches.</param>
/// <param name="WorstGapMm">With the slack run at its widest and the edge as near as it comes.</param>
/// <param name="ChainJamClearance">Room for a chain that has come off; null for belts and where the tables are silent.</param>
/// <param name="Name">Of the limit.</param>
/// <param name="LeastMm">Gap that is wanted, mm.</param>
public sealed record ClearanceFigure(
    string Name,
    string Part,
    double GapMm,
    double WorstGapMm,
    double LeastMm,
    ClearanceState State,
    ChainJamClearance? ChainJamClearance
)
{
    internal Explained AtWorst { get; init; }
}

/// <summary>Measures the gap between a loop and what is around it.</summary>
public static class Clearances
{
    internal static IReadOnlyList<ClearanceFigure> Measure(FittedLoop fitted, LoopPath path, FreePlay? freePlay)
    {
        double half = HalfHeightMm(fitted.Loop);
        double swing = (freePlay?.FreePlayMm ?? 0) / 2;
        return [.. (fitted.Layout.Limits ?? []).Select(l => Nearest(l, fitted, path, half, swing))];
    }

    private static readonly Formula<Func<double, double, double, double>> Worst = new(
        "Gap at its worst",
        "g",
        ("worst gap", "mm"),
        (g_0, swing, move) => g_0 - swing - move,
        [
            ("to the edge, taut", "mm"),
            ("half the free play, at that place of the slack run", "mm"),
            ("the edge comes nearer by", "mm"),
        ],
        "plane geometry; tips from the outside diameter, ASME B29.1",
        "In the plane of the loop. A run swings most at its middle and not at all at its ends."
    );

    private static ClearanceFigure Nearest(
        ClearanceLimit limit,
        FittedLoop fitted,
        LoopPath path,
        double half,
        double swing
    )
    {
        List<(string Part, double Gap, double Swing)> gaps = [];
        foreach (WrappedWheel wheel in path.Wheels)
        {
            double gap = Segments.Distance(wheel.Centre, limit.From, limit.To) - wheel.Outline.OutsideRadiusMm;
            gaps.Add(($"tips of {wheel.Name}", gap, 0));
        }
        for (int i = 0; i < path.Spans.Count; i++)
        {
            LoopSpan span = path.Spans[i];
            (double distance, double at) = Nearest(span.Start, span.End, limit.From, limit.To);
            // It swings most at its middle and not at all at its ends.
            double here = i < fitted.RearIndex ? swing * (1 - Math.Abs(2 * at - 1)) : 0;
            gaps.Add(($"run {span.From}–{span.To}", distance - half, here));
        }
        (string part, double least, double swung) = gaps.MinBy(g => g.Gap - g.Swing);
        double slack = least - swung;
        Explained atWorst = Worst.With(new(least, Meaning: $"{part} to the edge, taut"), swung, limit.MovesMm);
        double worst = atWorst.Value;
        ClearanceState state =
            least <= 0 ? ClearanceState.Rubs
            : slack <= 0 ? ClearanceState.RubsWhenSlack
            : worst <= 0 ? ClearanceState.RubsWhenMoved
            : worst < limit.LeastMm ? ClearanceState.Near
            : ClearanceState.Clear;
        return new(limit.Name, part, least, worst, limit.LeastMm, state, ChainJamClearance.Measure(limit, fitted, path))
        {
            AtWorst = atWorst,
        };
    }

    /// <summary>From the pitch line to the outer edge of the chain or belt, mm; 0 where the tables are silent.</summary>
    /// <remarks>Half the plate of a chain, half the thickness of a belt: the pitch line is taken as its middle.</remarks>
    private static double HalfHeightMm(Loop loop) =>
        loop.DriveElement switch
        {
            DriveElement.Chain => (Chains.Find(loop.Standard)?.PlateHeightMm ?? 0) / 2,
            DriveElement.ToothedBelt => (SynchronousProfiles.Find(loop.Standard)?.BeltThicknessMm ?? 0) / 2,
            DriveElement.VBelt => (VSections.Find(loop.Standard)?.HeightMm ?? 0) / 2,
            _ => 0,
        };

    /// <summary>Distance of two straight pieces, and where on the first it is: 0 where they cross, else at an end of one.</summary>
    private static (double Distance, double At) Nearest(Point a, Point b, Point c, Point d)
    {
        if (Segments.Cross(a, b, c, d))
        {
            double from = Segments.Side(a, b, c);
            Point crossing = Segments.At(c, d, from / (from - Segments.Side(a, b, d)));
            return (0, Segments.Foot(crossing, a, b));
        }
        return new[]
        {
            (Segments.Distance(a, c, d), 0.0),
            (Segments.Distance(b, c, d), 1.0),
            (Segments.Distance(c, a, b), Segments.Foot(c, a, b)),
            (Segments.Distance(d, a, b), Segments.Foot(d, a, b)),
        }.MinBy(n => n.Item1);
    }
}
