using Wendrak.Core.Quantities;

namespace Wendrak.Core.Loads;

/// <summary>Both runs of a belt on the point of slipping.</summary>
/// <param name="TensionRatio">Of the two tensions less their centrifugal part.</param>
/// <param name="InitialTensionN">Half the sum of both, less the centrifugal part: what is set at rest.</param>
public sealed record FrictionLimit(
    double EffectiveFriction,
    double CentrifugalN,
    double TensionRatio,
    double SlackTensionN,
    double MaxPullN,
    double InitialTensionN,
    double PowerW
);

/// <summary>What friction can carry at a tension as set.</summary>
/// <param name="Margin">Greatest pull over the pull wanted.</param>
/// <param name="NeededTensionN">Installed tension at which that pull would just be carried.</param>
public sealed record SlipMargin(double MaxPullN, double Margin, double NeededTensionN);

/// <summary>Belts and ropes that pull by friction.</summary>
/// <remarks>
/// (T1 − m·v²)/(T2 − m·v²) = e^(f'·θ), f' = f for a flat belt and f/sin(β/2) in a groove of included angle β. Source:
/// Euler and Eytelwein; Shigley ch. 17. An effective coefficient taken from a table for V-belts, as Shigley's 0.5123, has the
/// groove in it already.
/// </remarks>
public static class BeltFriction
{
    /// <summary>Friction of a belt in a groove, by its included angle; null for a flat one.</summary>
    /// <exception cref="InvalidInputException">Friction beyond 0 to 2 or a groove beyond 20° to 60°.</exception>
    public static double Effective(double friction, double? grooveAngleDeg)
    {
        new Guard()
            .MoreThan(nameof(friction), friction, 0, "")
            .AtMost(nameof(friction), friction, 2, "")
            .BetweenIfGiven(nameof(grooveAngleDeg), grooveAngleDeg, 20, 60, "°")
            .ThrowIfAny();
        return grooveAngleDeg is double angle ? friction / Math.Sin(angle / 2 * Math.PI / 180) : friction;
    }

    /// <param name="wrapDeg">Of the wheel that slips first; more than a turn only for ropes.</param>
    /// <param name="tightTensionN">Greatest tension allowed in the belt.</param>
    /// <exception cref="InvalidInputException">A value is not physical, or going round alone takes the whole tension.</exception>
    public static FrictionLimit Limit(
        double effectiveFriction,
        double wrapDeg,
        double massKgPerM,
        double speedMS,
        double tightTensionN
    )
    {
        double centrifugal = massKgPerM * speedMS * speedMS;
        CheckRun(effectiveFriction, wrapDeg)
            .MoreThan(nameof(massKgPerM), massKgPerM, 0, "kg/m")
            .AtLeast(nameof(speedMS), speedMS, 0, "m/s")
            .MoreThan(nameof(tightTensionN), tightTensionN, centrifugal, "N")
            .ThrowIfAny();
        double ratio = RatioAtSlip(effectiveFriction, wrapDeg);
        double slack = (tightTensionN - centrifugal) / ratio + centrifugal;
        double pull = tightTensionN - slack;
        return new(
            effectiveFriction,
            centrifugal,
            ratio,
            slack,
            pull,
            (tightTensionN + slack) / 2 - centrifugal,
            pull * speedMS
        );
    }

    /// <summary>F = 2·T_i·(E − 1)/(E + 1): the centrifugal part lifts both runs and cancels.</summary>
    /// <exception cref="InvalidInputException">A value is not physical.</exception>
    public static SlipMargin Margin(double effectiveFriction, double wrapDeg, double installedTensionN, double pullN)
    {
        CheckRun(effectiveFriction, wrapDeg)
            .AtLeast(nameof(installedTensionN), installedTensionN, 0, "N")
            .MoreThan(nameof(pullN), pullN, 0, "N")
            .ThrowIfAny();
        double ratio = RatioAtSlip(effectiveFriction, wrapDeg);
        double share = 2 * (ratio - 1) / (ratio + 1);
        return new(share * installedTensionN, share * installedTensionN / pullN, pullN / share);
    }

    /// <summary>Speed at which a given tension carries the most power, m/s: a third of it is centrifugal there.</summary>
    public static double BestSpeedMS(double tightTensionN, double massKgPerM) =>
        Math.Sqrt(tightTensionN / (3 * massKgPerM));

    /// <summary>Belts side by side: ⌈P·Ks/(P_tab·K1·K2)⌉. Source: Shigley ch. 17.</summary>
    /// <exception cref="InvalidInputException">A value is not physical.</exception>
    public static int BeltsNeeded(
        double powerKw,
        double serviceFactor,
        double ratingPerBeltKw,
        double angleFactor,
        double lengthFactor
    )
    {
        new Guard()
            .MoreThan(nameof(powerKw), powerKw, 0, "kW")
            .Between(nameof(serviceFactor), serviceFactor, 1, 5, "")
            .MoreThan(nameof(ratingPerBeltKw), ratingPerBeltKw, 0, "kW")
            .Between(nameof(angleFactor), angleFactor, 0.1, 1.5, "")
            .Between(nameof(lengthFactor), lengthFactor, 0.1, 2, "")
            .ThrowIfAny();
        double each = ratingPerBeltKw * angleFactor * lengthFactor;
        return (int)Math.Ceiling(powerKw * serviceFactor / each - 1e-9);
    }

    /// <summary>Wrap factor of V-belts on V pulleys. Source: the fit printed with Shigley Table 17-13.</summary>
    public static double VBeltWrapFactor(double wrapDeg) =>
        0.143543 + 0.007468 * wrapDeg - 0.000015052 * wrapDeg * wrapDeg;

    /// <summary>T1/T2 at which a belt lets go, less the centrifugal part of both: e^(f'·θ).</summary>
    internal static double RatioAtSlip(double effectiveFriction, double wrapDeg) =>
        Math.Exp(effectiveFriction * wrapDeg * Math.PI / 180);

    private static Guard CheckRun(double effectiveFriction, double wrapDeg)
    {
        const double mostTurnsDeg = 10 * 360; // a rope several times round a drum
        return new Guard()
            .MoreThan(nameof(effectiveFriction), effectiveFriction, 0, "")
            .Between(nameof(wrapDeg), wrapDeg, 1, mostTurnsDeg, "°");
    }
}
