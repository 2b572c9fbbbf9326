namespace Wendrak.Core.Gearing;

/// <summary>What turns the first shaft of a drive.</summary>
public enum InputKind
{
    Engine,
    Motor,
    Rider,
}

/// <summary>Where the speedometer takes its speed from.</summary>
public enum SpeedPickup
{
    None,

    /// <summary>Before the final drive: a changed ratio changes the reading.</summary>
    GearboxOutput,

    /// <summary>On the wheel this drive turns: only its size matters.</summary>
    DrivenWheel,

    /// <summary>On another wheel: nothing chosen here changes the reading.</summary>
    OtherWheel,
}

/// <summary>The one input of a drive.</summary>
/// <param name="Shaft">Name of the shaft, e.g. “crankshaft”.</param>
/// <param name="LowSpeedRpm">Lowest speed it pulls from, rpm; start of the speed ladder.</param>
/// <param name="LimitSpeedRpm">Speed it must not pass, rpm; end of the speed ladder.</param>
/// <param name="CrankLengthMm">Pedal crank, mm, for the gain ratio; null when not pedalled.</param>
public sealed record DriveInput(
    string Shaft,
    InputKind Kind,
    double LowSpeedRpm,
    double LimitSpeedRpm,
    double? CrankLengthMm
)
{
    /// <summary>The usual length of a pedal crank, counted with where nobody gave one; common practice.</summary>
    public const double UsualCrankMm = 170;
}

/// <summary>Where power leaves a drive.</summary>
/// <param name="Name">E.g. “rear wheel”; unique in the machine.</param>
/// <param name="Shaft">The shaft it sits on.</param>
/// <param name="OnRoad">True for a wheel that shares the ground with others: such wheels must agree.</param>
/// <param name="RoadWheel">Its size; null when nothing rolls or winds on it.</param>
public sealed record DriveOutput(string Name, string Shaft, bool OnRoad, RoadWheel? RoadWheel);

/// <summary>
/// Everything from motor shaft or pedals to what is driven: a tree with one input. A shaft may feed several
/// stages, outputs may be several, and no stage at all (direct drive) is legal.
/// </summary>
/// <param name="Key">Short name, unique in the machine.</param>
/// <param name="Mirrors">Key of the drive on the other side that this one must match; null when it stands alone.</param>
/// <param name="GearsInterchangeable">
/// True when the same overall ratio in another gear is as good. False where fuel or power maps differ by gear.
/// </param>
/// <param name="SpeedometerErrorPercent">What the clock shows too much as delivered, percent; 0 when never checked.</param>
/// <param name="Name">What people call it.</param>
public sealed record Drive(
    string Key,
    string Name,
    string? Mirrors,
    DriveInput Input,
    IReadOnlyList<Stage> Stages,
    IReadOnlyList<DriveOutput> Outputs,
    bool GearsInterchangeable,
    SpeedPickup SpeedPickup,
    double SpeedometerErrorPercent
);
