using Wendrak.Core.Gearing;

namespace Wendrak.Core.Loads;

/// <summary>What a belt or rope by friction could do at best.</summary>
/// <param name="TightN">Tension of the tight run at the hardest pull: what the belt is asked to stand.</param>
/// <param name="BestSpeedMS">Where that tension carries the most power: a third of it is centrifugal there.</param>
/// <param name="GreatestPowerKw">There, on the point of slipping.</param>
/// <param name="CreepLowPercent">What it lags behind without slipping.</param>
/// <param name="SpeedFromMS">Range that is said to suit the kind.</param>
/// <param name="SpeedSource">Who says so, and who says otherwise.</param>
/// <param name="DistanceFromM">Centres such a drive is used for.</param>
public sealed record FrictionFigures(
    double TightN,
    double? BestSpeedMS,
    double? GreatestPowerKw,
    double CreepLowPercent,
    double CreepHighPercent,
    double SpeedFromMS,
    double SpeedToMS,
    string SpeedSource,
    double DistanceFromM,
    double DistanceToM
)
{
    /// <returns>Null for chains and toothed belts.</returns>
    internal static FrictionFigures? Of(LoadedLoop loop, double tightN)
    {
        if (loop.Loop.IsToothed)
            return null;
        double? mass = LoopMass.KgPerM(loop);
        double? best = mass is double m ? BeltFriction.BestSpeedMS(tightN, m) : null;
        double wrap = loop.LeastWrapDeg;
        double? power =
            best is double speed && mass is double kg
                ? BeltFriction.Limit(FrictionBeltChecks.EffectiveFriction(loop), wrap, kg, speed, tightN).PowerW / 1_000
                : null;
        (double from, double to, string source) = loop.Loop.Medium switch
        {
            LoopMedium.VBelt => (
                5.0,
                25.0,
                "Shigley ch. 17; teaching texts say 5 to 50, some makers 40 to 50 for narrow ones"
            ),
            LoopMedium.FlatBelt => (10.0, 50.0, "common practice; thin high-speed belts go beyond"),
            _ => (3.0, 20.0, "common practice for round belts and ropes"),
        };
        // Distances by kind: common practice, from memory.
        (double near, double far) = loop.Loop.Medium switch
        {
            LoopMedium.VBelt => (0.3, 5.0),
            LoopMedium.FlatBelt => (0.5, 15.0),
            _ => (0.1, 30.0),
        };
        return new(tightN, best, power, 1, 2, from, to, source, near, far);
    }
}
