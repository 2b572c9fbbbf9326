using System.Text.Json.Serialization;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Gearing;

/// <summary>One ratio in a drive, from the shaft that drives it to the shaft that is driven.</summary>
/// <param name="Key">Short name, unique in the machine; setups and aims refer to it.</param>
/// <param name="Name">What people call it, e.g. “primary”.</param>
/// <param name="DrivingShaft">Name of the shaft power comes in on.</param>
/// <param name="DrivenShaft">Name of the shaft power leaves on; every shaft is driven by one stage only.</param>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(FixedPair), "fixedPair")]
[JsonDerivedType(typeof(Gearbox), "gearbox")]
[JsonDerivedType(typeof(HubGear), "hubGear")]
[JsonDerivedType(typeof(PlanetaryStage), "planetary")]
[JsonDerivedType(typeof(Loop), "loop")]
public abstract record Stage(string Key, string Name, string DrivingShaft, string DrivenShaft);

/// <summary>How the two wheels of a <see cref="FixedPair"/> act on each other.</summary>
public enum Meshing
{
    /// <summary>Spur or helical gears side by side: turns the sense of rotation round.</summary>
    ExternalGears,

    /// <summary>A gear inside a ring: keeps the sense.</summary>
    InternalGears,

    /// <summary>A primary chain: keeps the sense.</summary>
    Chain,

    /// <summary>A toothed primary belt: keeps the sense.</summary>
    ToothedBelt,
}

/// <summary>Two wheels that nobody changes when gearing is chosen: a primary pair, a reduction gear.</summary>
/// <param name="DriverTeeth">Teeth of the driving wheel.</param>
/// <param name="DrivenTeeth">Teeth of the driven wheel.</param>
public sealed record FixedPair(
    string Key,
    string Name,
    string DrivingShaft,
    string DrivenShaft,
    int DriverTeeth,
    int DrivenTeeth,
    Meshing Meshing
) : Stage(Key, Name, DrivingShaft, DrivenShaft);

/// <summary>A gearbox built into the machine, its ratios taken from a shared <see cref="GearboxSet"/>.</summary>
public sealed record Gearbox(string Key, string Name, string DrivingShaft, string DrivenShaft, GearboxSet Set)
    : Stage(Key, Name, DrivingShaft, DrivenShaft);

/// <summary>A gear hub or crank gearbox, described by wheel turns per sprocket turn.</summary>
/// <param name="SpeedFactors">Turns out per turn in, lowest gear first, each above 0.</param>
/// <param name="SmallestPrimaryRatio">
/// Smallest front over rear that the hub's maker allows before it, so that its torque limit holds; null if unlimited.
/// </param>
/// <param name="HubName">Of the pattern.</param>
public sealed record HubGear(
    string Key,
    string Name,
    string DrivingShaft,
    string DrivenShaft,
    string HubName,
    IReadOnlyList<double> SpeedFactors,
    double? SmallestPrimaryRatio
) : Stage(Key, Name, DrivingShaft, DrivenShaft);

/// <summary>A simple planetary set with one member held.</summary>
/// <param name="SunTeeth">Teeth of the sun wheel.</param>
/// <param name="RingTeeth">Teeth of the ring.</param>
public sealed record PlanetaryStage(
    string Key,
    string Name,
    string DrivingShaft,
    string DrivenShaft,
    int SunTeeth,
    int RingTeeth,
    PlanetaryMember Held,
    PlanetaryMember Input
) : Stage(Key, Name, DrivingShaft, DrivenShaft);

/// <summary>
/// A chain or belt loop. The wheels on it are the setup's choice (<see cref="LoopChoice"/>); what is here stays.
/// </summary>
/// <param name="Standard">Designation of the chain, belt profile or section, e.g. “520”, “8M”, “A”.</param>
/// <param name="FrontMounting">How a driving wheel sits on its shaft, e.g. “13-spline 25 mm”; null when not noted.</param>
/// <param name="RearMounting">How a driven wheel sits, e.g. “6-hole 110 mm”; null when not noted.</param>
/// <param name="SlipFraction">Speed lost to slip and creep, 0 to below 0.1; 0 for chains and toothed belts.</param>
/// <param name="LargestRear">Largest rear wheel that clears its surroundings; teeth or datum mm; null if not known.</param>
/// <param name="SmallestFront">Smallest front wheel the machine's owner accepts; teeth or datum mm; null for the table's.</param>
/// <param name="RearIsSplit">True where the rear wheel is in two halves and comes off without the axle.</param>
public sealed record Loop(
    string Key,
    string Name,
    string DrivingShaft,
    string DrivenShaft,
    DriveElement DriveElement,
    string Standard,
    BeltArrangement Arrangement,
    double SlipFraction,
    string? FrontMounting,
    string? RearMounting,
    double? LargestRear,
    double? SmallestFront,
    bool RearIsSplit
) : Stage(Key, Name, DrivingShaft, DrivenShaft)
{
    /// <summary>True when wheels are counted in teeth; friction pulleys are measured by datum diameter, mm.</summary>
    [JsonIgnore]
    public bool IsToothed => DriveElement.IsToothed();

    /// <summary>V, flat and round belts lose some 2 %: common practice.</summary>
    public static double UsualSlip(DriveElement element) => element.IsToothed() ? 0 : 0.02;
}
