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

/// <summary>Something was seen.</summary>
/// <param name="What">In a few words: while it stands no other one has the same.</param>
/// <param name="LoopKey">Of the loop it is at; null for none.</param>
/// <param name="Words">More of it; null for nothing.</param>
public sealed record FindingNoted(string What, FindingGrade Grade, string? LoopKey, string? Words) : JobEvent;

/// <summary>What was seen is mended.</summary>
/// <param name="What">As it was said when it was seen.</param>
/// <param name="How">What was done about it.</param>
public sealed record FindingCured(string What, string How) : JobEvent;
