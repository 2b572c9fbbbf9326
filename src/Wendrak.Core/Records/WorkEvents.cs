namespace Wendrak.Core.Records;

/// <summary>Why a machine came in.</summary>
public enum JobReason
{
    /// <summary>To be read and looked at as found, set and closed.</summary>
    Visit,

    /// <summary>Other wheels are wanted.</summary>
    AnotherGearing,

    /// <summary>It does something it should not.</summary>
    SomethingWrong,

    /// <summary>A part that it needs can't be had.</summary>
    PartNotToBeHad,
}

/// <summary>A machine came in.</summary>
/// <param name="Reason">Why.</param>
/// <param name="About">What it does, or which part it is about, in free words; null for nothing.</param>
/// <param name="OdometerKm">As it stood then; null where nobody looked.</param>
/// <param name="Hours">Hours run, where those are counted; null where they are not.</param>
public sealed record JobOpened(JobReason Reason, string? About, double? OdometerKm, double? Hours) : JobEvent;

/// <summary>Something was written down.</summary>
/// <param name="Text">In free words.</param>
public sealed record NoteWritten(string Text) : JobEvent;

/// <summary>The job can't go on until something comes.</summary>
/// <param name="For">What it waits for, in free words.</param>
public sealed record WaitBegun(string For) : JobEvent;

/// <summary>What it waited for has come.</summary>
public sealed record WaitEnded : JobEvent;

/// <summary>Time was spent on it by whoever says so.</summary>
/// <param name="Minutes">Working time, min.</param>
public sealed record TimeSpent(double Minutes) : JobEvent;

/// <summary>Something was done otherwise than it should be.</summary>
/// <param name="What">What was done, in a few words.</param>
/// <param name="Why">The reason.</param>
public sealed record DeviationNoted(string What, string Why) : JobEvent;

/// <summary>A part was fitted, or a step left, that must be undone before the job is signed.</summary>
/// <param name="What">In a few words: while it stands no other one has the same.</param>
public sealed record ProvisionalFitted(string What) : JobEvent;

/// <summary>Something provisional was replaced by what belongs there.</summary>
/// <param name="What">As it was said when it was fitted.</param>
public sealed record ProvisionalCleared(string What) : JobEvent;

/// <summary>The machine goes out again.</summary>
/// <param name="SignedOn">Day of the signature.</param>
/// <param name="Score">What the rider or owner says of it, 1 to 5; null where nobody was asked.</param>
/// <param name="Word">In their words; null for none.</param>
/// <param name="Despite">What it was signed over, as it stood then; null for nothing. The core says it, whoever sends what.</param>
/// <param name="Reason">Why it was signed over that.</param>
public sealed record JobSigned(
    DateOnly SignedOn,
    int? Score,
    string? Word,
    IReadOnlyList<SignedDespite>? Despite,
    string? Reason
) : JobEvent;
