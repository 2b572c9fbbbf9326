using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Loads;

/// <summary>What a belt or rope by friction could do at best.</summary>
/// <param name="TightN">Tension of the tight run at the hardest pull: what the belt is asked to stand.</param>
/// <param name="Runs">T1/T2; null where no pull is known.</param>
/// <param name="BestSpeedMS">Where that tension carries the most power: a third of it is centrifugal there.</param>
/// <param name="GreatestPowerKw">There, on the point of slipping.</param>
/// <param name="CreepPercent">What it lags behind without slipping, at the hardest pull; null where nobody said how it stretches.</param>
/// <param name="CreepLowPercent">What is usual.</param>
/// <param name="LengthFactor">K2 of a V-belt; null for others.</param>
/// <param name="SpeedFromMS">Range that is said to suit the kind.</param>
/// <param name="SpeedSource">Who says so, and who says otherwise.</param>
/// <param name="DistanceFromM">Centres such a drive is used for.</param>
public sealed record FrictionFigures(
    double TightN,
    FrictionRuns? Runs,
    double? BestSpeedMS,
    double? GreatestPowerKw,
    double? CreepPercent,
    double CreepLowPercent,
    double CreepHighPercent,
    double SpeedFromMS,
    double SpeedToMS,
    string SpeedSource,
    double DistanceFromM,
    double DistanceToM,
    double? LengthFactor,
    string? RopeSource
)
{
    /// <returns>Null for chains and toothed belts.</returns>
    internal static FrictionFigures? Of(LoadedLoop loop, double tightN, double? installedN)
    {
        if (loop.Loop.IsToothed)
            return null;
        double? mass = LoopMass.KgPerM(loop);
        double? best = mass is double m ? BeltFriction.BestSpeedMS(tightN, m) : null;
        double wrap = loop.GrippingWrapDeg;
        double? power =
            best is double speed && mass is double kg
                ? BeltFriction.Limit(FrictionBeltChecks.EffectiveFriction(loop), wrap, kg, speed, tightN).PowerW / 1_000
                : null;
        BeltSpeedRange speeds = BeltSpeedRange.Of(loop);
        (double near, double far) = FrictionBeltChecks.DistanceM(loop);
        return new(
            tightN,
            installedN is double installed ? FrictionRuns.Of(loop, installed) : null,
            best,
            power,
            CreepOf(loop),
            1,
            2,
            speeds.FromMS,
            speeds.ToMS,
            speeds.Source,
            near,
            far,
            loop.Loop.Medium == DriveElement.VBelt ? FrictionBeltChecks.LengthFactor(loop) : null,
            loop.Loop.Medium == DriveElement.RoundBelt ? Rope.Source : null
        );
    }

    /// <summary>F/(E·A): each part of the belt is stretched by its tension, so as it slackens it falls back.</summary>
    /// <remarks>Source: theory of elastic creep, Johnson, Contact Mechanics ch. 8. E·A is a hundred times the pull for 1 %.</remarks>
    private static double? CreepOf(LoadedLoop loop) =>
        loop.PointOf(OperatingPointKind.HardestPull) is { } hardest
            ? loop.PullN(hardest) / loop.Strength.ForceAt1PercentN
            : null;
}
