using Wendrak.Core.Gearing;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Loads;

/// <summary>What was counted with where nobody said more, and what the tables tell; null where it means nothing here.</summary>
/// <param name="MassKg">Of a typical vehicle of the kind.</param>
/// <param name="SagMm">Of the slack run of a chain.</param>
/// <param name="BreakingLoadN">Least of the standard, one strand.</param>
/// <param name="BeltFriction">Between belt and pulley, the groove not counted in.</param>
/// <param name="ShockSource">Row of the table that the factor is taken from.</param>
/// <param name="TorqueShare">Of a branch; null where the drive does not fork.</param>
/// <param name="InstalledTensionN">Of one run of a belt: what the advised margin asks for.</param>
/// <param name="PeakTorqueRpm">Speed of the greatest torque, rpm.</param>
/// <param name="RiderMassKg">Of who pedals, kg.</param>
/// <param name="TyreFriction">Between tyre and ground.</param>
/// <param name="CruiseKmh">Usual speed, km/h.</param>
/// <param name="ShockFactor">By which shocks raise the pull.</param>
/// <param name="BearingAreaMm2">Pin times bush of a chain, mm².</param>
/// <param name="GrooveAngleDeg">Included angle of the groove.</param>
/// <param name="LengthFactor">K2 of a V-belt.</param>
/// <param name="DrivenMassKg">On the driven axle, kg.</param>
public sealed record AssumedLoads(
    double? PeakTorqueRpm,
    double? RiderMassKg,
    double? MassKg,
    double? TyreFriction,
    double? CruiseKmh,
    double ShockFactor,
    string ShockSource,
    double? SagMm,
    double? BreakingLoadN,
    double? BearingAreaMm2,
    double? BeltFriction,
    double? GrooveAngleDeg,
    double? InstalledTensionN,
    double? LengthFactor,
    double? TorqueShare,
    double? DrivenMassKg,
    LubricationSchool? School
)
{
    internal static AssumedLoads From(LoadedLoop loop, double? installedN)
    {
        bool isPedalled = loop.Input.Drive.Input.Kind == InputKind.Rider;
        bool isChain = loop.Loop.DriveElement == DriveElement.Chain;
        bool isFriction = !loop.Loop.IsToothed;
        VehicleClass? vehicle = loop.IsVehicle ? LoadDefaults.ClassOf(loop.Input.Kind) : null;
        ChainSize? chain = isChain ? Chains.Find(loop.Standard) : null;
        return new(
            isPedalled ? null : loop.Input.Drive.Input.LowSpeedRpm,
            isPedalled ? LoadDefaults.RiderMassKg : null,
            vehicle?.MassWithRiderKg,
            vehicle is null ? null : LoadDefaults.Friction,
            loop.PointOf(OperatingPointKind.Cruise)?.RoadSpeedKmh,
            loop.UsualShock.Factor,
            $"{loop.UsualShock.DrivenLoad}: {loop.UsualShock.Source}",
            isChain ? ChainChecks.SagMm(loop) : null,
            chain?.MinTensileN,
            chain?.BearingAreaMm2,
            isFriction ? FrictionBeltChecks.Friction(loop)
                : isChain ? null
                : ToothedBeltChecks.Friction(loop),
            FrictionBeltChecks.GrooveDeg(loop),
            installedN,
            loop.Loop.DriveElement == DriveElement.VBelt ? FrictionBeltChecks.LengthFactor(loop) : null,
            loop.IsForked ? 1 : null,
            vehicle is not null && MachineKinds.Get(loop.Input.Kind).DrivesAllWheels
                ? loop.Input.Source.MassKg ?? vehicle.MassWithRiderKg
                : null,
            isChain ? MachineKinds.Get(loop.Input.Kind).Lubrication : null
        );
    }
}
