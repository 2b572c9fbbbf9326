using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Loads;

/// <summary>What drives a drive and what it moves. Everything that is null has a default, or is not counted.</summary>
/// <param name="DriveKey">The drive it belongs to.</param>
/// <param name="PeakTorqueNm">Of engine or motor at the input shaft; a rider's follows from weight and crank.</param>
/// <param name="PeakTorqueRpm">Where the engine gives it; null for the lowest speed it pulls from.</param>
/// <param name="PeakPowerKw">Bounds the torque at the highest speed; null where nobody knows it.</param>
/// <param name="ContinuousTorqueNm">At the input shaft, for machines that push nothing along a road.</param>
/// <param name="RiderMassKg">Whole weight on one pedal.</param>
/// <param name="PullN">Measured in the loop; wins over all torques of the hardest pull.</param>
/// <param name="MassKg">Of vehicle, rider and load together.</param>
/// <param name="Friction">Between tyre and road.</param>
/// <param name="CruiseKmh">Speed it mostly runs at.</param>
/// <param name="LiftsOrFlies">A hoist, a lift for people, an aircraft or its controls: figures are told, verdicts are not. Null where nobody said.</param>
/// <param name="DrivenMassKg">Carried by the driven wheels, where the tyre's grip is not that of a rear-driven vehicle in its side view.</param>
/// <param name="Character">How what is driven takes its load; null for the usual of such a machine.</param>
/// <param name="Efficiency">School by whose mean the loops of the drive lose; null for the usual figures between both.</param>
/// <param name="BrakingTorqueNm">At the input shaft, where the drive brakes; null where it does not.</param>
public sealed record LoadSource(
    string DriveKey,
    double? PeakTorqueNm = null,
    double? PeakTorqueRpm = null,
    double? PeakPowerKw = null,
    double? ContinuousTorqueNm = null,
    double? RiderMassKg = null,
    double? PullN = null,
    double? MassKg = null,
    double? Friction = null,
    double? CruiseKmh = null,
    double? BrakingTorqueNm = null,
    bool? LiftsOrFlies = null,
    double? DrivenMassKg = null,
    LoadCharacter? Character = null,
    EfficiencySchool? Efficiency = null
)
{
    internal bool IsJudged => Judges(LiftsOrFlies == true);

    /// <summary>Such a machine may lift, and nobody said whether it does: no default is safe for that.</summary>
    internal bool IsLiftUnsaid(MachineKind kind) => LiftsOrFlies is null && MachineKinds.Get(kind).MayLift;

    /// <summary>Whether this program says if something holds; the one place that decides it.</summary>
    internal static bool Judges(bool liftsOrFlies) => !liftsOrFlies;

    /// <summary>Whether it tells how hard a drive is pulled: a rider's weight is known well enough, a motor's torque is not.</summary>
    internal static bool TellsPull(LoadSource? source, Drive drive) =>
        drive.Input.Kind == InputKind.Rider || source?.PeakTorqueNm is not null || source?.PullN is not null;

    internal Guard Check()
    {
        Guard guard = new();
        if (Character is LoadCharacter character)
            guard.OneOf(nameof(Character), character);
        if (Efficiency is EfficiencySchool school)
            guard.OneOf(nameof(Efficiency), school);
        return guard
            .BetweenIfGiven(nameof(PeakTorqueNm), PeakTorqueNm, 0.01, 100_000, "Nm")
            .BetweenIfGiven(nameof(PeakTorqueRpm), PeakTorqueRpm, 0, 100_000, "rpm")
            .BetweenIfGiven(nameof(PeakPowerKw), PeakPowerKw, 0.001, 10_000, "kW")
            .BetweenIfGiven(nameof(ContinuousTorqueNm), ContinuousTorqueNm, 0.01, 100_000, "Nm")
            .BetweenIfGiven(nameof(RiderMassKg), RiderMassKg, 20, 250, "kg")
            .BetweenIfGiven(nameof(PullN), PullN, 0.1, 1e6, "N")
            .BetweenIfGiven(nameof(MassKg), MassKg, 1, 50_000, "kg")
            .BetweenIfGiven(nameof(Friction), Friction, 0.05, 2, "")
            .BetweenIfGiven(nameof(CruiseKmh), CruiseKmh, 1, 400, "km/h")
            .BetweenIfGiven(nameof(DrivenMassKg), DrivenMassKg, 0.5, 50_000, "kg")
            .BetweenIfGiven(nameof(BrakingTorqueNm), BrakingTorqueNm, 0.01, 100_000, "Nm");
    }
}

/// <summary>Values that stand in where nobody has said more.</summary>
public static class LoadDefaults
{
    /// <summary>Dry asphalt and a road tyre; common practice, 0.9 to 1.1.</summary>
    public const double Friction = 1.0;

    public const double RiderMassKg = 80;

    /// <summary>Cruise as a part of the speed at the limit, where none was given.</summary>
    public const double CruiseShare = 0.6;

    /// <summary>Typical figures of such a machine; null for those that push nothing along a road.</summary>
    public static VehicleClass? ClassOf(MachineKind kind) =>
        MachineKinds.Get(kind).VehicleClass is string name ? VehicleClasses.Find(name) : null;

    /// <summary>Part of the power that a stage passes on. Common practice: gears 0.98, chain 0.97, hub gears 0.95 (memory).</summary>
    public static double EfficiencyOf(Stage stage, EfficiencySchool? school = null) =>
        stage switch
        {
            Loop loop when school is EfficiencySchool chosen => LoopEfficiency.MeanOf(chosen, loop.DriveElement),
            Loop { DriveElement: DriveElement.VBelt or DriveElement.FlatBelt or DriveElement.RoundBelt } => 0.95,
            Loop or PlanetaryStage => 0.97,
            HubGear => 0.95,
            _ => 0.98,
        };
}
