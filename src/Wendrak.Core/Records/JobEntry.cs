namespace Wendrak.Core.Records;

/// <summary>An event as it stands in the record of its job.</summary>
/// <param name="Sequence">Its place in the order of everything that happened; 0 for one that is not stored yet.</param>
/// <param name="Actor">Who did it; null where nobody said.</param>
public sealed record JobEntry(long Sequence, DateTimeOffset At, string? Actor, JobEvent Event);
