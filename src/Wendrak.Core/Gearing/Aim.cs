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
/// <param name="SpeedKmh">Speed to be held, km/h.</param>
/// <param name="GearIndex">Gear it is held in, counted from 0.</param>
/// <param name="ShaftSpeedLowRpm">Least speed of engine or motor there, rpm.</param>
/// <param name="ShaftSpeedHighRpm">Highest speed of it there, rpm.</param>
public sealed record CruiseSpeed(double SpeedKmh, int GearIndex, double ShaftSpeedLowRpm, double ShaftSpeedHighRpm)
    : AimTarget
{
    [JsonIgnore]
    public override double? RoadSpeedKmh => SpeedKmh;
}

/// <summary>A road speed reached at the input's limit speed, in one gear.</summary>
/// <param name="TolerancePercent">Half the width of the band, by proportion: from 1/(1 + y) to 1 + y.</param>
/// <param name="SpeedKmh">Speed to be reached, km/h.</param>
/// <param name="GearIndex">Gear it is reached in, counted from 0.</param>
public sealed record TopSpeed(double SpeedKmh, int GearIndex, double TolerancePercent) : AimTarget
{
    [JsonIgnore]
    public override double? RoadSpeedKmh => SpeedKmh;
}

/// <summary>A road speed held while pedalling within a range, in one gear.</summary>
/// <param name="SpeedKmh">Speed at that cadence, km/h.</param>
/// <param name="GearIndex">Gear it is ridden in, counted from 0.</param>
/// <param name="CadenceLowRpm">Least cadence, turns a minute.</param>
/// <param name="CadenceHighRpm">Highest cadence.</param>
public sealed record SpeedAtCadence(double SpeedKmh, int GearIndex, double CadenceLowRpm, double CadenceHighRpm)
    : AimTarget
{
    [JsonIgnore]
    public override double? RoadSpeedKmh => SpeedKmh;
}

/// <summary>A speed of the output shaft, for robots, winches and boards.</summary>
/// <param name="OutputSpeedRpm">Speed the output shall have, rpm.</param>
/// <param name="GearIndex">Gear it is meant in, counted from 0.</param>
/// <param name="ShaftSpeedLowRpm">Least speed of the motor then, rpm.</param>
/// <param name="ShaftSpeedHighRpm">Highest speed of it then, rpm.</param>
public sealed record OutputSpeed(
    double OutputSpeedRpm,
    int GearIndex,
    double ShaftSpeedLowRpm,
    double ShaftSpeedHighRpm
) : AimTarget;

/// <summary>An overall ratio, in a named gear or in whichever gear gives it.</summary>
/// <param name="Low">Least turns of the input for one of the output.</param>
/// <param name="High">Most.</param>
/// <param name="GearIndex">Gear it is meant in, counted from 0; null for any.</param>
public sealed record OverallRatio(double Low, double High, int? GearIndex) : AimTarget;

/// <summary>A ratio of the loop that is chosen, whatever the gear.</summary>
/// <param name="Low">Least ratio of the chosen loops.</param>
/// <param name="High">Largest.</param>
public sealed record FinalRatio(double Low, double High) : AimTarget;

/// <summary>Way of the bicycle per way of the pedal, in one gear.</summary>
/// <param name="Low">Least way of the machine for one way of the pedal.</param>
/// <param name="High">Largest.</param>
/// <param name="GearIndex">Gear it is meant in, counted from 0.</param>
public sealed record GainRatio(double Low, double High, int GearIndex) : AimTarget;

/// <summary>The same road speed per input turn as another setup, as that setup was when the aim was made.</summary>
/// <param name="TolerancePercent">Half the width of the band, by proportion: from 1/(1 + y) to 1 + y.</param>
/// <param name="SetupId">Setup whose ratio is wanted.</param>
/// <param name="SetupName">Its name.</param>
public sealed record MatchSetup(
    long SetupId,
    string SetupName,
    IReadOnlyList<LoopChoice> Loops,
    IReadOnlyList<RoadWheelChoice> RoadWheels,
    double TolerancePercent
) : AimTarget;

/// <summary>What a route, a venue or a day was like; free words, compared as whole words when aims are matched.</summary>
/// <param name="Surface">What is driven on.</param>
/// <param name="Weather">What it was like.</param>
/// <param name="Load">What was carried.</param>
public sealed record Conditions(string? Surface, string? Weather, string? Load);

/// <summary>What the owner values, each 0 (does not matter) to 3 (matters most).</summary>
/// <param name="LittleUpkeep">Little to look after.</param>
/// <param name="Quiet">Quiet running.</param>
/// <param name="Range">Going far, by fuel or charge.</param>
/// <param name="CarryingLoads">Pulling away with a load.</param>
/// <param name="Response">Quick to answer.</param>
/// <param name="LowCost">Cheap to have and to run.</param>
public sealed record Wishes(int LittleUpkeep, int Quiet, int Range, int CarryingLoads, int Response, int LowCost)
{
    public const int Most = 3;
}

/// <summary>How a setup did against an aim.</summary>
/// <param name="Loops">The wheels as they were that day.</param>
/// <param name="Score">1 (no good) to 5 (just right).</param>
/// <param name="On">Day it was tried.</param>
/// <param name="SetupId">What was tried.</param>
/// <param name="SetupName">Its name, as it was that day.</param>
/// <param name="Note">How it went, in free words.</param>
public sealed record AimOutcome(
    DateOnly On,
    long SetupId,
    string SetupName,
    IReadOnlyList<LoopChoice> Loops,
    Conditions Conditions,
    int Score,
    string? Note
);
