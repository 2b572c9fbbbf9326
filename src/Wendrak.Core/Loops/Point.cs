namespace Wendrak.Core.Loops;

// A class, not a struct: JSON that leaves a coordinate out is refused, where a struct would silently have a 0.
/// <summary>A place in the side view: x to the right, y up, mm. Origin and view are the machine's own choice.</summary>
/// <param name="XMm">To the right in the side view, mm.</param>
/// <param name="YMm">Up, mm.</param>
public sealed record Point(double XMm, double YMm)
{
    public double DistanceTo(Point other) => Math.Sqrt(Square(XMm - other.XMm) + Square(YMm - other.YMm));

    public static Point operator +(Point a, Point b) => new(a.XMm + b.XMm, a.YMm + b.YMm);

    public static Point operator -(Point a, Point b) => new(a.XMm - b.XMm, a.YMm - b.YMm);

    public static Point operator *(double factor, Point p) => new(factor * p.XMm, factor * p.YMm);

    internal bool IsFinite => double.IsFinite(XMm) && double.IsFinite(YMm);

    private static double Square(double x) => x * x;
}
