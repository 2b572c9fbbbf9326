using System.Text.Json.Serialization;

namespace Wendrak.Core.Gearing;

/// <summary>What the gearing must achieve, in one of the ways people say it.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(CruiseSpeed), "cruiseSpeed")]
[JsonDerivedType(typeof(TopSpeed), "topSpeed")]
[JsonDerivedType(typeof(SpeedAtCadence), "speedAtCadence")]
[JsonDerivedType(typeof(OutputSpeed), "outputSpeed")]
[JsonDerivedType(typeof(OverallRatio), "overallRatio")]
[JsonDerivedType(typeof(FinalRatio), "finalRatio")]
[JsonDerivedType(typeof(GainRatio), "gainRatio")]
[JsonDerivedType(typeof(MatchSetup), "matchSetup")]
public abstract record AimTarget
{
    /// <summary>The road speed it speaks of, km/h; null for a target that names none.</summary>
    [JsonIgnore]
    public virtual double? RoadSpeedKmh => null;
}

/// <summary>A road speed held with the input turning within a range, in one gear.</summary>
public sealed record CruiseSpeed(double SpeedKmh, int GearIndex, double ShaftSpeedLowRpm, double ShaftSpeedHighRpm)
    : AimTarget
{
    [JsonIgnore]
    public override double? RoadSpeedKmh => SpeedKmh;
}

/// <summary>A road speed reached at the input's limit speed, in one gear.</summary>
/// <param name="TolerancePercent">Half the width of the band, by proportion: from 1/(1 + y) to 1 + y.</param>
public sealed record TopSpeed(double SpeedKmh, int GearIndex, double TolerancePercent) : AimTarget
{
    [JsonIgnore]
    public override double? RoadSpeedKmh => SpeedKmh;
}

/// <summary>A road speed held while pedalling within a range, in one gear.</summary>
public sealed record SpeedAtCadence(double SpeedKmh, int GearIndex, double CadenceLowRpm, double CadenceHighRpm)
    : AimTarget
{
    [JsonIgnore]
    public override double? RoadSpeedKmh => SpeedKmh;
}

/// <summary>A speed of the output shaft, for robots, winches and boards.</summary>
public sealed record OutputSpeed(
    double OutputSpeedRpm,
    int GearIndex,
    double ShaftSpeedLowRpm,
    double ShaftSpeedHighRpm
) : AimTarget;

/// <summary>An overall ratio, in a named gear or in whichever gear gives it.</summary>
public sealed record OverallRatio(double Low, double High, int? GearIndex) : AimTarget;

/// <summary>A ratio of the loop that is chosen, whatever the gear.</summary>
public sealed record FinalRatio(double Low, double High) : AimTarget;

/// <summary>Way of the bicycle per way of the pedal, in one gear.</summary>
public sealed record GainRatio(double Low, double High, int GearIndex) : AimTarget;

/// <summary>The same road speed per input turn as another setup, as that setup was when the aim was made.</summary>
/// <param name="TolerancePercent">Half the width of the band, by proportion: from 1/(1 + y) to 1 + y.</param>
public sealed record MatchSetup(
    long SetupId,
    string SetupName,
    IReadOnlyList<LoopChoice> Loops,
    IReadOnlyList<RoadWheelChoice> RoadWheels,
    double TolerancePercent
) : AimTarget;

/// <summary>What a route, a venue or a day was like; free words, compared as whole words when aims are matched.</summary>
public sealed record Conditions(string? Surface, string? Weather, string? Load);

/// <summary>What the owner values, each 0 (does not matter) to 3 (matters most).</summary>
public sealed record Wishes(int LittleUpkeep, int Quiet, int Range, int CarryingLoads, int Response, int LowCost)
{
    public const int Most = 3;
}

/// <summary>How a setup did against an aim.</summary>
/// <param name="Loops">The wheels as they were that day.</param>
/// <param name="Score">1 (no good) to 5 (just right).</param>
public sealed record AimOutcome(
    DateOnly On,
    long SetupId,
    string SetupName,
    IReadOnlyList<LoopChoice> Loops,
    Conditions Conditions,
    int Score,
    string? Note
);
