using Wendrak.Core.Quantities;
using static System.Math;
using static Wendrak.Core.Quantities.Maths;

namespace Wendrak.Core.Lengths;

/// <summary>How far the runs of two wheels lean against the line of their centres.</summary>
internal static class RunLean
{
    private static readonly Quantity Front = new("front, pitch or datum circle", "mm");
    private static readonly Quantity Rear = new("rear, pitch or datum circle", "mm");
    private static readonly Quantity Centre = new("centre distance", "mm");
    private static readonly Quantity Lean = new("positive where the rear is larger", "°");

    public static readonly Formula<Func<double, double, double, double>> Open = new(
        "Lean of the runs",
        "α",
        Lean,
        (d, D, C) => Maths.Deg(Asin((D - d) / (2 * C))),
        [Front, Rear, Centre],
        "geometry",
        "Open: both runs on the same side of the wheels."
    );

    public static readonly Formula<Func<double, double, double, double>> Crossed = new(
        "Lean of the runs",
        "α",
        Lean,
        (d, D, C) => Maths.Deg(Asin((D + d) / (2 * C))),
        [Front, Rear, Centre],
        "geometry",
        "Crossed: the runs change sides."
    );

    /// <summary>In degrees; upright where the wheels touch from within, 0 where two like wheels lie on each other.</summary>
    public static double Deg(double frontMm, double rearMm, double centreMm, bool isCrossed = false)
    {
        double across = isCrossed ? rearMm + frontMm : rearMm - frontMm;
        return Abs(across) >= 2 * centreMm ? 90 * Sign(across)
            : isCrossed ? Crossed.Value(frontMm, rearMm, centreMm)
            : Open.Value(frontMm, rearMm, centreMm);
    }
}
