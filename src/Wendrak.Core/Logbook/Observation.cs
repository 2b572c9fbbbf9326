using Wendrak.Core.Records;

namespace Wendrak.Core.Logbook;

/// <summary>What two setups are compared by.</summary>
public enum ComparedMeasure
{
    /// <summary>L/100 km, from full to full.</summary>
    Fuel,

    /// <summary>Wh/km out of the plug, from full to full.</summary>
    Energy,

    /// <summary>s between two speeds.</summary>
    Time,

    /// <summary>dB(A), at one distance and read in one way.</summary>
    Noise,
}

/// <summary>One value of one setup.</summary>
/// <param name="SetupId">Whose.</param>
/// <param name="Value">In the unit of the measure.</param>
/// <param name="From">Day it begins on.</param>
/// <param name="On">Day it ends on.</param>
/// <param name="Km">Over which distance, km; null of what has none.</param>
/// <param name="AtKm">What the odometer said at its end, km; null where nobody looked.</param>
/// <param name="Under">Of each line that is in it.</param>
public sealed record Observation(
    long SetupId,
    double Value,
    DateOnly From,
    DateOnly On,
    double? Km,
    double? AtKm,
    IReadOnlyList<RunConditions?> Under
);

/// <summary>Values that may be compared with each other: read alike.</summary>
/// <param name="Key">Tells it from the others; empty where there is one only.</param>
/// <param name="Values">In the order of their days.</param>
public sealed record ObservedAlike(string Key, IReadOnlyList<Observation> Values);

/// <summary>What did not come into a comparison, and why.</summary>
/// <param name="Missing">Stretches in which a fill was not written down.</param>
/// <param name="Backwards">Stretches over which the odometer did not go forward.</param>
/// <param name="OfNoSetup">Values of a time of which no setup is known, or across a change of setup.</param>
/// <param name="Struck">Lines that were struck out.</param>
public sealed record NotCounted(int Missing, int Backwards, int OfNoSetup, int Struck);
