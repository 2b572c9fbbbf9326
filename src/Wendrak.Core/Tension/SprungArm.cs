using Wendrak.Core.Quantities;

namespace Wendrak.Core.Tension;

public sealed record SprungArmResult(double IdlerForceN, double ArmMomentNm, double SpringForceN);

/// <summary>Static balance of an idler on a sprung arm. Source: statics.</summary>
public static class SprungArm
{
    /// <param name="wrapDeg">Of the run round the idler.</param>
    /// <param name="angleDeg">Between the idler's force and the arm.</param>
    /// <param name="springLeverMm">From the arm's pivot to the line of the spring.</param>
    /// <exception cref="InvalidInputException">A value is not physical.</exception>
    public static SprungArmResult Of(
        double tensionN,
        double wrapDeg,
        double armMm,
        double angleDeg,
        double springLeverMm
    )
    {
        Check(wrapDeg, armMm, angleDeg, springLeverMm).AtLeast(nameof(tensionN), tensionN, 0, "N").ThrowIfAny();
        double idler = 2 * tensionN * Math.Sin(Half(wrapDeg));
        double moment = idler * armMm / 1_000 * Math.Sin(angleDeg * Math.PI / 180);
        return new(idler, moment, moment / (springLeverMm / 1_000));
    }

    /// <summary>Tension of the run that a spring holds, N.</summary>
    /// <exception cref="InvalidInputException">A value is not physical.</exception>
    public static double TensionN(
        double springForceN,
        double wrapDeg,
        double armMm,
        double angleDeg,
        double springLeverMm
    )
    {
        Check(wrapDeg, armMm, angleDeg, springLeverMm).AtLeast(nameof(springForceN), springForceN, 0, "N").ThrowIfAny();
        return springForceN
            * springLeverMm
            / (2 * Math.Sin(Half(wrapDeg)) * armMm * Math.Sin(angleDeg * Math.PI / 180));
    }

    private static double Half(double wrapDeg) => wrapDeg / 2 * Math.PI / 180;

    private static Guard Check(double wrapDeg, double armMm, double angleDeg, double springLeverMm) =>
        new Guard()
            .Between(nameof(wrapDeg), wrapDeg, 1, 360, "°")
            .Between(nameof(armMm), armMm, 1, 5_000, "mm")
            .Between(nameof(angleDeg), angleDeg, 1, 179, "°")
            .Between(nameof(springLeverMm), springLeverMm, 1, 5_000, "mm");
}
