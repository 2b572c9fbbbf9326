using System.Text.Json.Serialization;

namespace Wendrak.Core.Records;

/// <summary>One line of a machine's log: what it took, cost, did or sounded like. It is written once; a wrong one is struck out.</summary>
/// <param name="On">Day.</param>
/// <param name="OdometerKm">What the odometer said, km; null where nobody looked.</param>
/// <param name="SetupId">With which setup, where somebody said so; null for the one that was on by that day.</param>
/// <param name="Under">Load, route, weather and the like; null for nothing said.</param>
/// <param name="Words">More of it; null for nothing.</param>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(FuelFilled), "fuelFilled")]
[JsonDerivedType(typeof(Charged), "charged")]
[JsonDerivedType(typeof(MeanTold), "meanTold")]
[JsonDerivedType(typeof(RunTimed), "runTimed")]
[JsonDerivedType(typeof(NoiseRead), "noiseRead")]
[JsonDerivedType(typeof(PartPaid), "partPaid")]
[JsonDerivedType(typeof(UpkeepDone), "upkeepDone")]
[JsonDerivedType(typeof(OdometerRead), "odometerRead")]
[JsonDerivedType(typeof(ScoreGiven), "scoreGiven")]
public abstract record LogLine(DateOnly On, double? OdometerKm, long? SetupId, RunConditions? Under, string? Words);

/// <summary>Under what it was run: whatever of it differs between two setups is in their difference too.</summary>
/// <param name="Who">Rode or drove; null where nobody said.</param>
/// <param name="LoadKg">Rider and what was carried, kg; null where nobody said.</param>
/// <param name="Route">In a few words; null where nobody said.</param>
/// <param name="Weather">In a few words; null where nobody said.</param>
/// <param name="WindKmh">Against it, km/h, negative from behind; null where nobody said.</param>
/// <param name="SlopePercent">Of the road, % up; null where nobody said.</param>
/// <param name="Surface">In a few words; null where nobody said.</param>
/// <param name="IsOnStand">The wheel ran free: nothing of the road is in it.</param>
public sealed record RunConditions(
    string? Who = null,
    double? LoadKg = null,
    string? Route = null,
    string? Weather = null,
    double? WindKmh = null,
    double? SlopePercent = null,
    string? Surface = null,
    bool? IsOnStand = null
);

/// <summary>Fuel was filled in.</summary>
/// <param name="Litres">How much, L.</param>
/// <param name="IsFull">Up to where it is always filled: only from full to full it is known what was used.</param>
/// <param name="IsOneMissing">A fill before it was not written down: no stretch ends here.</param>
/// <param name="Cost">Paid for it; null where nobody said.</param>
public sealed record FuelFilled(
    DateOnly On,
    double? OdometerKm,
    double Litres,
    bool IsFull,
    bool? IsOneMissing = null,
    double? Cost = null,
    long? SetupId = null,
    RunConditions? Under = null,
    string? Words = null
) : LogLine(On, OdometerKm, SetupId, Under, Words);

/// <summary>A battery was charged.</summary>
/// <param name="EnergyWh">Out of the plug, Wh: what the charger loses is in it.</param>
/// <param name="IsFull">Until the charger ended by itself.</param>
/// <param name="IsOneMissing">A charge before it was not written down: no stretch ends here.</param>
/// <param name="Cost">Paid for it; null where nobody said.</param>
public sealed record Charged(
    DateOnly On,
    double? OdometerKm,
    double EnergyWh,
    bool IsFull,
    bool? IsOneMissing = null,
    double? Cost = null,
    long? SetupId = null,
    RunConditions? Under = null,
    string? Words = null
) : LogLine(On, OdometerKm, SetupId, Under, Words);

/// <summary>In what a mean is told. There are two gallons: which one is always asked.</summary>
public enum ToldMean
{
    LitresPer100Km,
    KmPerLitre,
    MilesPerImperialGallon,
    MilesPerUsGallon,
    WhPerKm,
}

/// <summary>A mean that somebody told without its fills: hearsay, which stands beside and is never counted in.</summary>
/// <param name="Of">In what.</param>
/// <param name="Value">As it was told.</param>
/// <param name="Whose">Who told it, or where it was read; null where nobody said.</param>
public sealed record MeanTold(
    DateOnly On,
    double? OdometerKm,
    ToldMean Of,
    double Value,
    string? Whose = null,
    long? SetupId = null,
    RunConditions? Under = null,
    string? Words = null
) : LogLine(On, OdometerKm, SetupId, Under, Words);

/// <summary>How a timed run begins.</summary>
public enum RunStart
{
    /// <summary>Already under way when the first speed is passed.</summary>
    Rolling,

    /// <summary>From rest, timed from the first movement.</summary>
    Standing,

    /// <summary>From rest, timed from the signal: what it took to react is in it.</summary>
    StandingFromSignal,

    /// <summary>Nothing drives: from the higher speed down to the lower one.</summary>
    CoastDown,
}

/// <summary>How a run was timed.</summary>
public enum RunTiming
{
    /// <summary>With a watch, or by another person.</summary>
    Watch,

    /// <summary>By two taps on the page.</summary>
    TwoTaps,

    /// <summary>From a trace of its speed.</summary>
    Trace,

    /// <summary>By the frames of a film.</summary>
    Film,
}

/// <summary>The time between two speeds.</summary>
/// <param name="Seconds">From the first speed to the second, s.</param>
/// <param name="FromKmh">First speed, km/h; 0 from rest.</param>
/// <param name="ToKmh">Second one, km/h.</param>
/// <param name="Start">How it began.</param>
/// <param name="Timing">How it was timed.</param>
/// <param name="Gear">In which gear; null for more than one, or where nobody said.</param>
public sealed record RunTimed(
    DateOnly On,
    double? OdometerKm,
    double Seconds,
    double FromKmh,
    double ToKmh,
    RunStart Start,
    RunTiming Timing,
    int? Gear = null,
    long? SetupId = null,
    RunConditions? Under = null,
    string? Words = null
) : LogLine(On, OdometerKm, SetupId, Under, Words);

/// <summary>A level of sound was read.</summary>
/// <param name="Db">dB(A).</param>
/// <param name="DistanceM">From the drive, m: two levels are compared only at the same one.</param>
/// <param name="Method">How it was read: two levels are compared only where both were read alike.</param>
public sealed record NoiseRead(
    DateOnly On,
    double? OdometerKm,
    double Db,
    double DistanceM,
    string Method,
    long? SetupId = null,
    RunConditions? Under = null,
    string? Words = null
) : LogLine(On, OdometerKm, SetupId, Under, Words);

/// <summary>A part was paid for that wears.</summary>
/// <param name="What">Under one name each time: it lasts until the next one of that name.</param>
/// <param name="Cost">Paid for it.</param>
/// <param name="ExpectedKm">How far it is expected to last, km; null for until the next one.</param>
public sealed record PartPaid(
    DateOnly On,
    double? OdometerKm,
    string What,
    double Cost,
    double? ExpectedKm = null,
    long? SetupId = null,
    RunConditions? Under = null,
    string? Words = null
) : LogLine(On, OdometerKm, SetupId, Under, Words);

/// <summary>It was looked after: oiled, cleaned, set.</summary>
/// <param name="What">In a few words.</param>
/// <param name="Minutes">Working time, min.</param>
/// <param name="Cost">Of what was used up; null for nothing.</param>
public sealed record UpkeepDone(
    DateOnly On,
    double? OdometerKm,
    string What,
    double Minutes,
    double? Cost = null,
    long? SetupId = null,
    RunConditions? Under = null,
    string? Words = null
) : LogLine(On, OdometerKm, SetupId, Under, Words);

/// <summary>Somebody read the odometer.</summary>
public sealed record OdometerRead(
    DateOnly On,
    double? OdometerKm,
    long? SetupId = null,
    RunConditions? Under = null,
    string? Words = null
) : LogLine(On, OdometerKm, SetupId, Under, Words);

/// <summary>How its owner likes it: it stands beside what was measured and is never mixed in.</summary>
/// <param name="Score">1 to 5, 5 the best.</param>
public sealed record ScoreGiven(
    DateOnly On,
    double? OdometerKm,
    int Score,
    long? SetupId = null,
    RunConditions? Under = null,
    string? Words = null
) : LogLine(On, OdometerKm, SetupId, Under, Words);
