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

    /// <summary>Way that an eccentric has left, mm; null for anything else.</summary>
    public double? LeftMm(double standing) =>
        setting.Adjuster.IsEccentric
            ? setting.Adjuster.EccentricOffset * (1 + Cos(Math.Clamp(AngleDeg(standing), 0, TightestDeg)))
            : null;

    private double AngleDeg(double standing) => setting.Adjuster.EccentricStart + Degrees * standing;

    private static double Cos(double degrees) => Math.Cos(degrees * Math.PI / 180);
}
