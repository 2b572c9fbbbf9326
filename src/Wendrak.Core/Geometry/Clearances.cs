using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;

namespace Wendrak.Core.Geometry;

/// <summary>An edge that nothing of the loop may touch: case, arm, pad, tyre, guard, ground.</summary>
/// <param name="From">One end of the edge in the side view; the same as the other end for a corner.</param>
/// <param name="LeastMm">Gap wanted, mm.</param>
public sealed record ClearanceLimit(string Name, Point From, Point To, double LeastMm);

public enum ClearanceState
{
    Clear,

    /// <summary>Nearer than wanted.</summary>
    Near,

    /// <summary>Touches only when the slack run swings through its free play.</summary>
    RubsWhenSlack,
    Rubs,
}

/// <summary>The part of the loop that comes nearest to a limit.</summary>
/// <param name="Part">“tips of rear”, “run front–rear”.</param>
/// <param name="GapMm">Negative when it touches.</param>
public sealed record ClearanceFigure(string Name, string Part, double GapMm, double LeastMm, ClearanceState State);

/// <summary>Measures the gap between a loop and what is around it.</summary>
public static class Clearances
{
    internal static IReadOnlyList<ClearanceFigure> Of(FittedLoop fitted, LoopPath path, FreePlay? freePlay)
    {
        double half = HalfHeightMm(fitted.Loop);
        double swing = (freePlay?.FreePlayMm ?? 0) / 2;
        return [.. (fitted.Layout.Limits ?? []).Select(l => Nearest(l, fitted, path, half, swing))];
    }

    private static ClearanceFigure Nearest(
        ClearanceLimit limit,
        FittedLoop fitted,
        LoopPath path,
        double half,
        double swing
    )
    {
        List<(string Part, double Gap, double GapWhenSlack)> gaps = [];
        foreach (WrappedWheel wheel in path.Wheels)
        {
            double gap = Distance(wheel.Centre, limit.From, limit.To) - wheel.Outline.OutsideRadiusMm;
            gaps.Add(($"tips of {wheel.Name}", gap, gap));
        }
        for (int i = 0; i < path.Spans.Count; i++)
        {
            LoopSpan span = path.Spans[i];
            (double distance, double at) = Nearest(span.Start, span.End, limit.From, limit.To);
            // It swings most at its middle and not at all at its ends.
            double here = i < fitted.RearIndex ? swing * (1 - Math.Abs(2 * at - 1)) : 0;
            gaps.Add(($"run {span.From}–{span.To}", distance - half, distance - half - here));
        }
        (string part, double least, double slack) = gaps.MinBy(g => g.GapWhenSlack);
        ClearanceState state =
            least <= 0 ? ClearanceState.Rubs
            : slack <= 0 ? ClearanceState.RubsWhenSlack
            : slack < limit.LeastMm ? ClearanceState.Near
            : ClearanceState.Clear;
        return new(limit.Name, part, least, limit.LeastMm, state);
    }

    /// <summary>From the pitch line to the outer edge of the chain or belt, mm; 0 where the tables are silent.</summary>
    /// <remarks>Half the plate of a chain, half the thickness of a belt: the pitch line is taken as its middle.</remarks>
    private static double HalfHeightMm(Loop loop) =>
        loop.Medium switch
        {
            LoopMedium.Chain => (Chains.Find(loop.Standard)?.PlateHeightMm ?? 0) / 2,
            LoopMedium.ToothedBelt => (SynchronousProfiles.Find(loop.Standard)?.BeltThicknessMm ?? 0) / 2,
            LoopMedium.VBelt => (VSections.Find(loop.Standard)?.HeightMm ?? 0) / 2,
            _ => 0,
        };

    private static double Distance(Point p, Point from, Point to) => p.DistanceTo(Along(from, to, Foot(p, from, to)));

    private static Point Along(Point from, Point to, double part) => from + part * (to - from);

    /// <summary>Where the nearest point of a straight piece lies, 0 at its start to 1 at its end.</summary>
    private static double Foot(Point p, Point from, Point to)
    {
        Point along = to - from;
        Point there = p - from;
        double squared = along.XMm * along.XMm + along.YMm * along.YMm;
        double t = squared == 0 ? 0 : (there.XMm * along.XMm + there.YMm * along.YMm) / squared;
        return Math.Clamp(t, 0, 1);
    }

    /// <summary>Distance of two straight pieces, and where on the first it is: 0 where they cross, else at an end of one.</summary>
    private static (double Distance, double At) Nearest(Point a, Point b, Point c, Point d)
    {
        static double Side(Point p, Point q, Point r) =>
            (q.XMm - p.XMm) * (r.YMm - p.YMm) - (q.YMm - p.YMm) * (r.XMm - p.XMm);
        double sideC = Side(a, b, c);
        double sideD = Side(a, b, d);
        if (sideC * sideD < 0 && Side(c, d, a) * Side(c, d, b) < 0)
            return (0, Foot(Along(c, d, sideC / (sideC - sideD)), a, b));
        return new[]
        {
            (Distance(a, c, d), 0.0),
            (Distance(b, c, d), 1.0),
            (Distance(c, a, b), Foot(c, a, b)),
            (Distance(d, a, b), Foot(d, a, b)),
        }.MinBy(n => n.Item1);
    }

    internal static Guard Check(ClearanceLimit limit) =>
        new Guard()
            .Named(nameof(limit.Name), limit.Name)
            .Include(TrackBounds.Place(nameof(limit.From), limit.From))
            .Include(TrackBounds.Place(nameof(limit.To), limit.To))
            .Between(nameof(limit.LeastMm), limit.LeastMm, 0, 500, "mm");
}
