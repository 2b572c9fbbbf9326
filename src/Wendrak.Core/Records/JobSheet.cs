using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Records;

/// <summary>How far a job is.</summary>
public enum JobState
{
    GoesOn,

    /// <summary>For a part, or for somebody.</summary>
    Waits,

    /// <summary>Signed; or, where only setting was begun, all of that closed.</summary>
    Ended,
}

/// <summary>Something that stands in the way of the signature.</summary>
public enum SignatureBlock
{
    /// <summary>It waits for something that has not come.</summary>
    Waits,

    /// <summary>Something provisional stands.</summary>
    Provisional,

    /// <summary>Setting a loop was begun and its closing list is not done.</summary>
    LoopNotClosed,

    /// <summary>A loop was not read since its nut was tightened, or since other wheels went on it.</summary>
    NoLastReading,

    /// <summary>Something was seen with which it does not go out, and is not mended.</summary>
    StopFinding,

    /// <summary>A step without which the machine does not go out is open.</summary>
    StepOpen,

    /// <summary>A step was done for now only.</summary>
    StepForNow,

    /// <summary>A part of the tray is missing, and nothing stands in for it.</summary>
    PartMissing,
}

/// <summary>Something that asks for a reason before a job is signed over it, and is printed.</summary>
public enum SignedDespite
{
    /// <summary>Something was done otherwise than it should be.</summary>
    Deviation,

    /// <summary>A loop was closed outside its window.</summary>
    OutsideWindow,

    /// <summary>A loop was closed though the advisor said stop.</summary>
    AdvisorStopped,

    /// <summary>Nobody said of a loop that the cautions were so.</summary>
    CautionsNotConfirmed,

    /// <summary>A final torque is ticked off without a figure.</summary>
    NoTorque,

    /// <summary>The machine was not told what its plan put on: it still says what was on before.</summary>
    NotOnMachine,
}

/// <summary>One thing that blocks a signature.</summary>
/// <param name="Kind">How it blocks.</param>
/// <param name="What">What it waits for, what is provisional, open or missing, or the key of the loop.</param>
public sealed record BlockedBy(SignatureBlock Kind, string What);

/// <summary>Words somebody wrote down.</summary>
/// <param name="Text">In free words.</param>
/// <param name="Who">Null where nobody said.</param>
/// <param name="At">When.</param>
public sealed record JobNote(string Text, string? Who, DateTimeOffset At);

/// <summary>Something done otherwise than it should be.</summary>
/// <param name="What">What was done.</param>
/// <param name="Why">The reason given.</param>
/// <param name="Who">Null where nobody said.</param>
/// <param name="At">When it was noted.</param>
public sealed record Deviation(string What, string Why, string? Who, DateTimeOffset At);

/// <summary>A part or a step that must be undone before the signature.</summary>
/// <param name="What">In a few words.</param>
/// <param name="Who">Null where nobody said.</param>
/// <param name="At">When it was noted.</param>
/// <param name="ClearedAt">When what belongs there was put there; null while it stands.</param>
public sealed record ProvisionalPart(string What, string? Who, DateTimeOffset At, DateTimeOffset? ClearedAt);

/// <summary>Somebody who did something at a job.</summary>
/// <param name="Name">As they call themselves here.</param>
/// <param name="Minutes">Working time they said, min.</param>
public sealed record JobPerson(string Name, double Minutes);

/// <summary>A loop that was set at a job.</summary>
/// <param name="LoopKey">Key of the loop.</param>
/// <param name="Rounds">That were kept.</param>
/// <param name="IsClosed">Whether its closing list is done, with everything told.</param>
/// <param name="Done">Steps of its closing list that are done, in their order.</param>
/// <param name="IsReadTight">Whether it was read last with everything tight.</param>
public sealed record LoopAtJob(
    string LoopKey,
    int Rounds,
    bool IsClosed,
    IReadOnlyList<ClosingStep> Done,
    bool IsReadTight
);

/// <summary>A reading that lay outside its window as a loop was closed at a job.</summary>
/// <param name="LoopKey">Key of the loop.</param>
/// <param name="Reading">As it stood then.</param>
public sealed record OutsideAtJob(string LoopKey, OutsideReading Reading);

/// <summary>What was fine at a job, all at once.</summary>
/// <param name="Entry">Number of the entry that says so: undone by it.</param>
/// <param name="LoopKey">Of the loop.</param>
/// <param name="Parts">What “all” was.</param>
/// <param name="Who">Null where nobody said.</param>
/// <param name="At">When it was looked at.</param>
public sealed record RestAtJob(
    long Entry,
    string LoopKey,
    IReadOnlyList<InspectedPart> Parts,
    string? Who,
    DateTimeOffset At
);

/// <summary>Something that happened to the machine, as a job tells it.</summary>
/// <param name="Entry">Number of the entry that says so: undone by it.</param>
/// <param name="Event">What.</param>
/// <param name="Words">More of it; null for nothing.</param>
/// <param name="Who">Null where nobody said.</param>
/// <param name="At">When it was said.</param>
public sealed record UseEventAtJob(long Entry, UseEvent Event, string? Words, string? Who, DateTimeOffset At);

/// <summary>How a job ended.</summary>
/// <param name="SignedOn">Day of the signature.</param>
/// <param name="Who">Who signed; null where nobody said.</param>
/// <param name="Score">1 to 5, by the rider or owner; null where nobody was asked.</param>
/// <param name="Word">In their words; null for none.</param>
/// <param name="Despite">What it was signed over; empty for nothing.</param>
/// <param name="Reason">Why it was signed over that; null where nothing asked.</param>
public sealed record Signature(
    DateOnly SignedOn,
    string? Who,
    int? Score,
    string? Word,
    IReadOnlyList<SignedDespite> Despite,
    string? Reason
);

/// <summary>A visit of a machine as its events tell it, from arrival to signature.</summary>
/// <param name="Id">Of the job.</param>
/// <param name="Version">Number of its newest entry.</param>
/// <param name="MachineId">Of the machine it belongs to.</param>
/// <param name="OpenedOn">Day of arrival.</param>
/// <param name="Who">Who opened it; null where nobody said.</param>
/// <param name="Reason">Why it came in.</param>
/// <param name="About">What it does, or which part it is about; null for nothing.</param>
/// <param name="OdometerKm">As it stood then; null where nobody looked.</param>
/// <param name="Hours">Hours run; null where they are not counted.</param>
/// <param name="Stations">Where such a job is done, in the order of the work.</param>
/// <param name="State">How far it is.</param>
/// <param name="WaitsFor">Null while it waits for nothing.</param>
/// <param name="Loops">That were set at it, in the order in which they were begun.</param>
/// <param name="Notes">In the order in which they were written.</param>
/// <param name="Deviations">What was done otherwise than it should be.</param>
/// <param name="Provisional">Cleared ones too.</param>
/// <param name="Findings">What was seen, in its order; mended ones too.</param>
/// <param name="Rest">What was said to be fine in one press.</param>
/// <param name="UseEvents">What happened to the machine that called for a look.</param>
/// <param name="Elongations">How long chains had become.</param>
/// <param name="Faults">Searches for a fault, in the order in which they were begun.</param>
/// <param name="Photos">In the order in which they came.</param>
/// <param name="Fitted">Setups that went onto the machine, in their order.</param>
/// <param name="Parts">That were used, in the order in which it was said.</param>
/// <param name="PartsCost">Of all of them; null where none was used.</param>
/// <param name="Minutes">Working time of everybody, min.</param>
/// <param name="People">Who did something at it, in the order in which they came.</param>
/// <param name="BlockedBy">What stands in the way of the signature; empty for nothing, and once it is signed.</param>
/// <param name="Despite">What the signature asks a reason for; empty for nothing, and once it is signed.</param>
/// <param name="Outside">Readings outside their windows, of loops that were closed at it.</param>
/// <param name="Signature">Null while it is not signed.</param>
/// <param name="Plan">The order of the work, at a glance; null where none was made.</param>
public sealed record JobSheet(
    long Id,
    long Version,
    long MachineId,
    DateOnly OpenedOn,
    string? Who,
    JobReason Reason,
    string? About,
    double? OdometerKm,
    double? Hours,
    IReadOnlyList<Station> Stations,
    JobState State,
    string? WaitsFor,
    IReadOnlyList<LoopAtJob> Loops,
    IReadOnlyList<JobNote> Notes,
    IReadOnlyList<Deviation> Deviations,
    IReadOnlyList<ProvisionalPart> Provisional,
    IReadOnlyList<JobFinding> Findings,
    IReadOnlyList<RestAtJob> Rest,
    IReadOnlyList<UseEventAtJob> UseEvents,
    IReadOnlyList<ElongationAtJob> Elongations,
    IReadOnlyList<FaultAtJob> Faults,
    IReadOnlyList<JobPhoto> Photos,
    IReadOnlyList<FittedAtJob> Fitted,
    IReadOnlyList<JobPart> Parts,
    PartsCost? PartsCost,
    double Minutes,
    IReadOnlyList<JobPerson> People,
    IReadOnlyList<BlockedBy> BlockedBy,
    IReadOnlyList<SignedDespite> Despite,
    IReadOnlyList<OutsideAtJob> Outside,
    Signature? Signature,
    PlanAtJob? Plan
);
