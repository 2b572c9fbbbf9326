namespace Wendrak.Core.Loads;

/// <summary>State that a loop runs in.</summary>
public enum OperatingPointKind
{
    HardestPull,
    Cruise,
    TopSpeed,

    /// <summary>Where the drive brakes: the slack run pulls.</summary>
    Braking,
}

/// <summary>What bounds the torque at an operating point.</summary>
public enum TorqueOrigin
{
    /// <summary>Engine, motor or rider.</summary>
    Input,

    /// <summary>The tyre slips before.</summary>
    Grip,

    /// <summary>The front wheel lifts before.</summary>
    FrontLifts,

    /// <summary>Rolling and air resistance at this speed.</summary>
    Resistance,
    Measured,
}

/// <summary>One state the loop runs in.</summary>
/// <param name="GearLabel">Empty without gears.</param>
/// <param name="TorqueNm">On the loop's driving wheel.</param>
/// <param name="Rpm">Of the loop's driving wheel.</param>
/// <param name="RoadSpeedKmh">Null where nothing rolls.</param>
/// <param name="IsPowerGiven">True where a power was typed and the torque follows from it: then the pull is that power over the speed.</param>
public sealed record OperatingPoint(
    OperatingPointKind Kind,
    string GearLabel,
    double TorqueNm,
    double Rpm,
    double? RoadSpeedKmh,
    TorqueOrigin Origin,
    bool IsPowerGiven = false
)
{
    /// <summary>True where the run that is slack otherwise pulls.</summary>
    public bool IsReversed => Kind == OperatingPointKind.Braking;

    /// <summary>Passed on by the loop, kW.</summary>
    public double PowerKw => TorqueNm * Rpm * 2 * Math.PI / 60_000;
}
