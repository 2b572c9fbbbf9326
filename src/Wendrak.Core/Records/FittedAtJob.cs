namespace Wendrak.Core.Records;

/// <summary>A setup that went onto the machine at a job.</summary>
/// <param name="Entry">Number of the entry that says so.</param>
/// <param name="SetupId">Which one; 0 where it is gone.</param>
/// <param name="Name">As it was called then.</param>
/// <param name="Again">What was put back with it; null for one that was new on the machine.</param>
/// <param name="Who">Null where nobody said.</param>
/// <param name="At">When it went on.</param>
public sealed record FittedAtJob(
    long Entry,
    long SetupId,
    string Name,
    FittedAgain? Again,
    string? Who,
    DateTimeOffset At
);
