using System.Text.Json.Serialization;
using Wendrak.Core.Loops;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Records;

/// <summary>How bad something is that was seen.</summary>
public enum FindingGrade
{
    Fine,

    /// <summary>To be looked at again.</summary>
    Watch,

    /// <summary>The machine does not go out with it.</summary>
    Stop,
}

/// <summary>A number that somebody gave for what was seen.</summary>
/// <param name="Value">As it was read.</param>
/// <param name="Unit">Of the number, as a person writes it.</param>
/// <param name="Method">What it was read with; null where nobody said, and then it is hearsay.</param>
/// <param name="Limit">At which the part’s maker has it replaced, in the same unit; null where nobody said.</param>
public sealed record FindingMeasure(double Value, string Unit, string? Method = null, double? Limit = null)
{
    /// <summary>Without a method a number is kept, and weighs as what somebody said.</summary>
    [JsonIgnore]
    public bool IsHearsay => string.IsNullOrWhiteSpace(Method);
}

/// <summary>Which thing at which place, and until when it may go on.</summary>
/// <param name="Part">What was looked at.</param>
/// <param name="FromTooth">First tooth of a wheel, counted from its mark as it runs; null for no place on a wheel.</param>
/// <param name="ToTooth">Last tooth; null for one tooth.</param>
/// <param name="Run">Which run of the loop; null for none.</param>
/// <param name="UntilKm">Of something watched: what the machine has run when it is looked at again, km; null for no distance.</param>
/// <param name="UntilOn">The same as a day; null for none.</param>
/// <param name="Against">What it was compared with; null for nothing.</param>
/// <param name="Measure">Null where nothing was measured.</param>
public sealed record FindingDetail(
    InspectedPart Part,
    int? FromTooth = null,
    int? ToTooth = null,
    LoopRun? Run = null,
    double? UntilKm = null,
    DateOnly? UntilOn = null,
    string? Against = null,
    FindingMeasure? Measure = null
);

/// <summary>Something was seen.</summary>
/// <param name="What">In a few words: while it stands no other one has the same.</param>
/// <param name="LoopKey">Of the loop it is at; null for none.</param>
/// <param name="Words">More of it; null for nothing.</param>
/// <param name="Detail">Of what is looked at on a loop; null of anything else.</param>
public sealed record FindingNoted(
    string What,
    FindingGrade Grade,
    string? LoopKey,
    string? Words,
    FindingDetail? Detail = null
) : JobEvent;

/// <summary>What was seen is mended.</summary>
/// <param name="What">As it was said when it was seen.</param>
/// <param name="How">What was done about it.</param>
public sealed record FindingCured(string What, string How) : JobEvent;

/// <summary>All else was looked at and is fine.</summary>
/// <param name="LoopKey">Of the loop.</param>
/// <param name="Parts">What “all” was.</param>
public sealed record RestFine(string LoopKey, IReadOnlyList<InspectedPart> Parts) : JobEvent;

/// <summary>Something happened to the machine that calls for a look.</summary>
/// <param name="Event">What.</param>
/// <param name="Words">More of it; null for nothing.</param>
public sealed record UseEventNoted(UseEvent Event, string? Words) : JobEvent;
