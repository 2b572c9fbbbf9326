using Wendrak.Core.Frequency;
using Wendrak.Core.Loads;
using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tension;

/// <summary>What is to be done next.</summary>
public enum NextStep
{
    /// <summary>Read it as it is, before anything is touched.</summary>
    ReadAsFound,

    /// <summary>Nothing tells where it should lie: as found and trend are kept.</summary>
    GiveWindow,

    /// <summary>Turn, roll, read again.</summary>
    Turn,

    /// <summary>It is where it should be: bring the nut to its torque and read again.</summary>
    TightenAndRead,

    /// <summary>Tight enough and straight, with everything tight.</summary>
    Done,

    /// <summary>No setting brings both ends into the window.</summary>
    SpreadTooWide,

    /// <summary>The smallest step would not bring it nearer.</summary>
    AsNearAsAHand,

    /// <summary>It does not answer as such a drive can.</summary>
    LooseOrBent,

    /// <summary>A gauge or hand that nobody tied to this loop says nothing of it.</summary>
    TieReading,

    /// <summary>The adjuster has less way left than it would need.</summary>
    AtItsEnd,

    /// <summary>Either end could be turned for the gap: the people of the machine say which.</summary>
    ChooseTrackingEnd,

    /// <summary>How the axle is carried decides the window: it must be said first.</summary>
    SaySuspension,

    /// <summary>Loosen the clamp, push and let go, so that the spring finds the place; nip and read.</summary>
    LetSpringSet,

    /// <summary>More than a fifth of the run is no push and no play: read it anew.</summary>
    ReadAgain,

    /// <summary>The spring was let go and does not bring it inside: too weak, too strong, or it sticks.</summary>
    SpringIsWrong,

    /// <summary>Nothing moves here: only another length or other wheels bring it nearer.</summary>
    NothingMoves,

    /// <summary>How thick its shims are, the angle of the sheave and what a shim does there must be said first.</summary>
    SayShims,

    /// <summary>None is left to take out, or none there to put in: another thickness, or a wish to have some.</summary>
    NoShimLeft,

    /// <summary>The belt stands where it should, and the driving sheave does not turn free at idle: stop and look.</summary>
    NotFreeAtIdle,
}

/// <summary>What a round is for.</summary>
public enum SetGoal
{
    Both,
    TensionOnly,
    TrackingOnly,
}

/// <summary>What to do next, and why.</summary>
/// <param name="Setting">As it was counted with, its defaults filled in.</param>
/// <param name="EccentricByFitMm">How far an eccentric is off its middle where it was laid out; null elsewhere.</param>
/// <param name="IsByIdler">Whether an idler tensions it, on an arm or on its slide.</param>
/// <param name="Unit">What tightness is counted in here.</param>
/// <param name="Span">Of the run that is read.</param>
/// <param name="Window">Null where nothing tells where it should lie.</param>
/// <param name="Aim">Where the loosest place is aimed at by the bias, in the scale of the loop; null without a window.</param>
/// <param name="WindowMethod">What the window's ends are told in: the method of the last round, else the one that is natural here.</param>
/// <param name="WindowLooseReading">The loose end of the window; null where no method tells it.</param>
/// <param name="Expected">Where its span is expected to sound, loose or tight as it may be found; null without a window in Hz.</param>
/// <param name="Moves">For both adjusters together; empty when nothing is to be turned.</param>
/// <param name="ExactMoveMm">Way of the axle to the aim, before it is made what a hand can; positive tightens; null where tension is not to be set or nothing tells it.</param>
/// <param name="TurnsToRoll">Of the wheel before the next reading.</param>
/// <param name="ExpectedLoosestReading">After the move, in the method of the last round.</param>
/// <param name="Reserve">What the adjuster has left, now and after the move; null where nothing tells it.</param>
/// <param name="Shims">Of a sheave that is set by them: what is there now and after the move; null elsewhere, and where nobody said what they do.</param>
/// <param name="UsualLock">What is fast when the next round is read, where nobody says otherwise.</param>
/// <param name="IsOffStand">True when the last round was read on the wheels, while the window is for the stand.</param>
/// <param name="LoosenFirst">True when something is to be turned and the nut was tight at the last reading.</param>
/// <param name="IsTensionInside">True when the last round was read for tension and is inside: only then it may be called tight enough.</param>
/// <param name="IsTrackInside">True when its gap was read and is inside: only then it may be called straight.</param>
/// <param name="OverReading">How far the tightest place is past the window, in the method of the last round; null where it is not.</param>
/// <param name="StifferBy">How many times as much it answers as was supposed, where that is worth saying; null elsewhere.</param>
/// <param name="Runs">T1/T2 at the loosest place as read, where friction drives; null elsewhere.</param>
/// <param name="Findings">What each instrument of the visit told last, in its own scale.</param>
/// <param name="Manual">Words, cautions and closing list for this adjuster.</param>
/// <param name="GapWalksTo">Where the belt must go so that its gap comes between its bounds; null where it is there or none is read.</param>
/// <param name="PerStepReading">What the smallest step of both adjusters does to the loosest reading, as learned.</param>
/// <param name="PerStepGapMm">What the smallest step of the right adjuster alone does to the gap.</param>
/// <param name="NutShift">What tightening the nut does to tightness, as learned; 0 before it was seen.</param>
/// <param name="NutShiftReading">The same of the loosest reading, in the method of the last round; null before it was seen.</param>
/// <param name="Doubts">Readings of the last round that can hardly be meant as they stand.</param>
/// <param name="IsPartial">True when the last round was read at fewer than four places: its tight place may be elsewhere.</param>
/// <param name="Conditions">What makes the last round hard to compare with the one before it.</param>
/// <param name="LearnedRounds">Rounds that taught how this machine answers.</param>
/// <param name="ResponsePerMm">How stiff it is: what each mm of axle adds, in the unit of the scale, as learned by now.</param>
/// <param name="ResponseSigma">One standard deviation of that.</param>
/// <param name="WindowTightReading">The tight end in the same way.</param>
/// <param name="ExpectedTightestReading">The same at the tightest place.</param>
/// <param name="ExpectedGapMm">Gap between belt and flange after the move, mm; null where it is not read.</param>
/// <param name="Suspects">Where to look when it does not answer as it can, likeliest first.</param>
public sealed record SetAdvice(
    NextStep Next,
    LoopSetting Setting,
    double? EccentricByFitMm,
    bool IsByIdler,
    TightnessUnit Unit,
    SpanFacts Span,
    TensionWindow? Window,
    double? Aim,
    ReadingMethod WindowMethod,
    double? WindowLooseReading,
    double? WindowTightReading,
    ExpectedHz? Expected,
    IReadOnlyList<RoundResult> Rounds,
    IReadOnlyList<AdjusterMove> Moves,
    double? ExactMoveMm,
    int TurnsToRoll,
    double? ExpectedLoosestReading,
    double? ExpectedTightestReading,
    double? ExpectedGapMm,
    SetReserve? Reserve,
    ShimsLeft? Shims,
    LockState UsualLock,
    bool IsOffStand,
    bool LoosenFirst,
    bool IsTensionInside,
    bool IsTrackInside,
    double? OverReading,
    double? StifferBy,
    FrictionRuns? Runs,
    IReadOnlyList<InstrumentFinding> Findings,
    SetManual Manual,
    Side? GapWalksTo,
    double? PerStepReading,
    double? PerStepGapMm,
    double NutShift,
    double? NutShiftReading,
    int LearnedRounds,
    double ResponsePerMm,
    double ResponseSigma,
    IReadOnlyList<string> Suspects,
    IReadOnlyList<ReadingDoubt> Doubts,
    bool IsPartial,
    IReadOnlyList<RoundCondition> Conditions,
    IReadOnlyList<Working> Workings
);
