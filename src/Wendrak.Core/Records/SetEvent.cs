using Wendrak.Core.Tension;

namespace Wendrak.Core.Records;

/// <summary>An event of Set, at one loop.</summary>
/// <param name="LoopKey">The loop that is set.</param>
public abstract record SetEvent(string LoopKey) : JobEvent;

/// <summary>Setting a loop was begun.</summary>
/// <param name="On">Day it was begun; null for the day the machine came in.</param>
public sealed record VisitBegun(string LoopKey, SetGoal Goal, DateOnly? On = null) : SetEvent(LoopKey);

/// <summary>What the rounds are for, said anew.</summary>
public sealed record GoalChosen(string LoopKey, SetGoal Goal) : SetEvent(LoopKey);

/// <summary>What must be so before hands go near was confirmed.</summary>
public sealed record CautionsSeen(string LoopKey) : SetEvent(LoopKey);

/// <summary>Circumstances of the round in hand: what was turned, what is fast, how warm it is.</summary>
/// <param name="Round">All but its readings, who and when: those are not taken from here.</param>
public sealed record RoundNoted(string LoopKey, SetRound Round) : SetEvent(LoopKey);

/// <summary>One value read at one place of the wheel, in place of one that was read there in the same round.</summary>
public sealed record ReadingTaken(string LoopKey, Reading Reading) : SetEvent(LoopKey);

/// <summary>One value of the round in hand was no reading: a slip, a knock at the gauge.</summary>
/// <param name="Position">Place of the wheel it was read at.</param>
public sealed record ReadingDiscarded(string LoopKey, int Position) : SetEvent(LoopKey);

/// <summary>The round in hand was given up, to be read anew.</summary>
public sealed record RoundDropped(string LoopKey) : SetEvent(LoopKey);

/// <summary>The round in hand was kept; the first one is as found.</summary>
/// <param name="At">When it was; null where nobody noted it.</param>
public sealed record RoundKept(string LoopKey, DateTimeOffset? At) : SetEvent(LoopKey);

/// <summary>A gauge or a hand was tied to a reading of the same state.</summary>
public sealed record ReadingsTied(string LoopKey, CalibrationPair Pair) : SetEvent(LoopKey);

/// <summary>A step of the closing list was done, or taken back.</summary>
/// <param name="IsDone">False takes the tick away.</param>
public sealed record StepTicked(string LoopKey, ClosingStep Step, bool IsDone) : SetEvent(LoopKey);

/// <summary>Setting a loop was begun by mistake: nothing was kept at it, and it stands no more.</summary>
public sealed record VisitCancelled(string LoopKey) : SetEvent(LoopKey);

/// <summary>The visit ended.</summary>
/// <param name="TorqueNm">Of what holds it; null where nobody measured it.</param>
/// <param name="Done">Steps in their order.</param>
/// <param name="Despite">What it was closed over, as it stood then; null for nothing. The core says it, whoever sends what.</param>
/// <param name="Reason">Why it was closed over that.</param>
/// <param name="Outside">Readings outside their windows, as they stood then; null for none. The core says it, whoever sends what.</param>
/// <param name="ClosedOn">Day of closing.</param>
/// <param name="NextCheckOn">Day to look again; null for none.</param>
/// <param name="Note">Free words; null for none.</param>
public sealed record VisitClosed(
    string LoopKey,
    DateOnly ClosedOn,
    double? TorqueNm,
    IReadOnlyList<ClosingStep> Done,
    DateOnly? NextCheckOn,
    string? Note,
    IReadOnlyList<ClosedDespite>? Despite,
    string? Reason,
    IReadOnlyList<OutsideReading>? Outside = null
) : SetEvent(LoopKey);
