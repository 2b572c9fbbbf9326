using Wendrak.Core.Quantities;
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
/// <param name="Rating">Null for other belts than V-belts, and where nobody said what one is rated at.</param>
/// <param name="SpeedFromMS">Range that is said to suit the kind.</param>
/// <param name="SpeedSource">Who says so, and who says otherwise.</param>
/// <param name="DistanceFromM">Centres such a drive is used for.</param>
/// <param name="CreepHighPercent">And up to here.</param>
/// <param name="SpeedToMS">The other end of that range.</param>
/// <param name="DistanceToM">The other end of it.</param>
/// <param name="RopeSource">Who says so of ropes; null for others.</param>
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
    VBeltRating? Rating,
    string? RopeSource
)
{
    /// <returns>Null for chains and toothed belts.</returns>
    internal static FrictionFigures? Compute(LoadedLoop loop, double tightN, double? installedN)
    {
        if (loop.Loop.IsToothed)
            return null;
        double? mass = LoopMass.KgPerM(loop);
        Explained? bestBy = mass is double m ? BeltFriction.BestSpeed.With(tightN, m) : null;
        double? best = bestBy?.Value;
        Explained? creep = CreepOf(loop);
        double wrap = loop.GrippingWrapDeg;
        double? power =
            best is double speed && mass is double kg
                ? BeltFriction.Limit(FrictionBeltChecks.EffectiveFriction(loop), wrap, kg, speed, tightN).PowerW / 1_000
                : null;
        BeltSpeedRange speeds = BeltSpeedRange.For(loop);
        (double near, double far) = FrictionBeltChecks.DistanceM(loop);
        return new(
            tightN,
            installedN is double installed ? FrictionRuns.Compute(loop, installed) : null,
            best,
            power,
            creep?.Value,
            1,
            2,
            speeds.FromMS,
            speeds.ToMS,
            speeds.Source,
            near,
            far,
            loop.Loop.DriveElement == DriveElement.VBelt ? FrictionBeltChecks.LengthFactor(loop) : null,
            VBeltRating.Compute(loop, loop.Lasting),
            loop.Loop.DriveElement == DriveElement.RoundBelt ? Rope.Source : null
        )
        {
            Figures = [.. new[] { bestBy, creep }.OfType<Explained>()],
        };
    }

    /// <summary>Each part of the belt is stretched by its tension, so as it slackens it falls back.</summary>
    private static Explained? CreepOf(LoadedLoop loop) =>
        loop is { Strength.ForceAt1PercentN: double force }
        && loop.PointOf(OperatingPointKind.HardestPull) is { } hardest
            ? BeltFriction.Creep.With(loop.PullN(hardest), force)
            : null;

    private IReadOnlyList<Explained> Figures { get; init; } = [];

    internal IEnumerable<Working> Workings() =>
        [.. Runs?.Explain() is { } ratio ? [ratio] : Array.Empty<Working>(), .. Figures.Select(f => f.Working)];
}
