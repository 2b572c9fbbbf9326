using Wendrak.Core.Quantities;
using static Wendrak.Core.Quantities.Maths;

namespace Wendrak.Core.Tension;

/// <summary>Way of the axle for what is done at an adjuster.</summary>
/// <remarks>
/// A screw, click or shim goes straight. An eccentric moves its axle by e·(cos φ₁ − cos φ₂), φ from its loosest place: much in
/// the middle, next to nothing at both ends. Source: plane trigonometry.
/// </remarks>
internal sealed class AdjusterTravel(LoopSetting setting)
{
    private const double Degrees = 360;
    private const double TightestDeg = 180;

    /// <param name="standing">Turns, clicks or shims done since as found; positive tightens.</param>
    /// <param name="units">To be done from there.</param>
    public double Mm(double standing, double units) =>
        setting.Adjuster.IsEccentric
            ? setting.Adjuster.EccentricOffset * (Cos(AngleDeg(standing)) - Cos(AngleDeg(standing + units)))
            : units * setting.Adjuster.TravelMm;

    /// <summary>Whether an eccentric would still be between its loosest and its tightest place; anything else has no such end.</summary>
    public bool IsWithin(double standing) =>
        !setting.Adjuster.IsEccentric || AngleDeg(standing) is >= 0 and <= TightestDeg;

    private static readonly Formula<Func<double, double, double>> EccentricLeft = new(
        "What the adjuster has left now",
        "now",
        ("left of the eccentric", "mm"),
        (e, φ) => e * (1 + Math.Cos(Rad(φ))),
        [("offset of the eccentric", "mm"), ("from its loosest place", "°")],
        "plane trigonometry",
        "As long as the eccentric stays seated."
    );

    /// <summary>Way that an eccentric has left, mm; null for anything else.</summary>
    public Explained? Left(double standing) =>
        setting.Adjuster.IsEccentric
            ? EccentricLeft.With(
                new(setting.Adjuster.EccentricOffset, IsUsual: setting.Adjuster.EccentricMm is null),
                Math.Clamp(AngleDeg(standing), 0, TightestDeg)
            )
            : null;

    private double AngleDeg(double standing) => setting.Adjuster.EccentricStart + Degrees * standing;

    private static double Cos(double degrees) => Math.Cos(Rad(degrees));
}
