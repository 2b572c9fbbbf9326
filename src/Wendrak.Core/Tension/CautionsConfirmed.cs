namespace Wendrak.Core.Tension;

/// <summary>Once for each visit.</summary>
public sealed record CautionsConfirmed(string? Who, DateTimeOffset At);
