namespace Wendrak.Core.Tension;

/// <summary>Once for each visit.</summary>
/// <param name="Who">Who read them; null where nobody said.</param>
/// <param name="At">When.</param>
public sealed record CautionsConfirmed(string? Who, DateTimeOffset At);
