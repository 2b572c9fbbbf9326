namespace Wendrak.Core.Loops;

/// <summary>Straight pieces between two points.</summary>
internal static class Segments
{
    public static Point At(Point from, Point to, double part) => from + part * (to - from);

    /// <summary>Where the nearest point of a piece lies: 0 at its start to 1 at its end.</summary>
    public static double Foot(Point p, Point from, Point to)
    {
        Point along = to - from;
        Point there = p - from;
        double squared = along.XMm * along.XMm + along.YMm * along.YMm;
        double t = squared == 0 ? 0 : (there.XMm * along.XMm + there.YMm * along.YMm) / squared;
        return Math.Clamp(t, 0, 1);
    }

    public static double Distance(Point p, Point from, Point to) => p.DistanceTo(At(from, to, Foot(p, from, to)));

    /// <summary>True when two pieces cross inside both; touching ends do not count.</summary>
    public static bool Cross(Point a, Point b, Point c, Point d)
    {
        const double tiny = 1e-9;
        return Side(a, b, c) * Side(a, b, d) < -tiny && Side(c, d, a) * Side(c, d, b) < -tiny;
    }

    /// <summary>Positive left of the line from one point to the next, in proportion to the distance from it.</summary>
    public static double Side(Point from, Point to, Point p) =>
        (to.XMm - from.XMm) * (p.YMm - from.YMm) - (to.YMm - from.YMm) * (p.XMm - from.XMm);
}
