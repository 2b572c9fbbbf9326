using Wendrak.Core.Quantities;

namespace Wendrak.Core.Gearing;

/// <summary>Which wheels have to be changed.</summary>
public enum ChangedSprockets
{
    Nothing,
    FrontOnly,
    RearOnly,
    Both,

    /// <summary>Wheels of two loops.</summary>
    SeveralLoops,
}

/// <summary>What the size of the small wheel means. Bounds: <see cref="SmallWheel"/>.</summary>
public enum SmallWheelAdvice
{
    Fine,

    /// <summary>Usual on motorcycles; a compromise at high chain speed.</summary>
    Compromise,

    /// <summary>Slow or tight space only.</summary>
    SlowOnly,

    /// <summary>Below what is advised for a power drive: computed, not recommended.</summary>
    BelowAdvised,
}

/// <summary>A limit of the machine that a pair breaks.</summary>
public enum ConstraintBreak
{
    RearTooLarge,
    FrontTooSmall,
    HubPrimaryTooLow,
    LoopRatioTooLarge,
}

/// <summary>One loop's wheels in a hit.</summary>
/// <param name="RipplePercent">Speed ripple of the smaller wheel of a chain; null for belts.</param>
/// <param name="Hunting">How often tooth meets link; null without a link count, or on a friction belt.</param>
/// <param name="LoopKey">Key of the loop it is about.</param>
/// <param name="FrontSize">Driving wheel: teeth, or datum diameter in mm of a friction belt.</param>
/// <param name="RearSize">Driven wheel, in the same measure.</param>
/// <param name="Ratio">Driven over driving wheel.</param>
/// <param name="IsTyped">True for a pair that was typed, not found.</param>
public sealed record LoopPick(
    string LoopKey,
    double FrontSize,
    double RearSize,
    double Ratio,
    ChangedSprockets ChangedSprockets,
    double? RipplePercent,
    HuntingResult? Hunting,
    SmallWheelAdvice SmallWheel,
    WheelSupply Front,
    WheelSupply Rear,
    IReadOnlyList<ConstraintBreak> Breaks,
    bool IsTyped
);

/// <summary>The term that put a hit below the one above it.</summary>
public enum RankTerm
{
    /// <summary>The first in the list.</summary>
    First,
    Obtainable,
    Minutes,
    Money,
    Closeness,
    TeethMeeting,
    Ripple,

    /// <summary>Equal in every term; the larger front wheel stands first.</summary>
    LargerFront,
}

/// <summary>One combination of wheels with all that is known about it.</summary>
/// <param name="FinalRatio">Product of the chosen loops' ratios.</param>
/// <param name="ChangePercent">Against as fitted; positive is shorter.</param>
/// <param name="OverallRatio">In the aim's gear, or the last gear without an aim.</param>
/// <param name="AimShaftSpeedRpm">
/// Shaft speed at the aim, in the aim's gear or else in the first gear that meets it; null where the aim names no speed.
/// </param>
/// <param name="OutputAtLimitRpm">Speed of the output with the input at its limit, in the aim's gear.</param>
/// <param name="Bicycle">In a rider's terms, in the aim's gear; null where nobody pedals or the wheel size is unknown.</param>
/// <param name="BandGears">Labels of the gears whose band it meets; empty outside.</param>
/// <param name="OffMiddlePercent">From the geometric middle of the nearest band; null without an aim.</param>
/// <param name="Money">Work and parts to buy; null when a price is not known.</param>
/// <param name="Rank">Place among the hits, 1 for the first; null when it is not one.</param>
/// <param name="DecidedBy">Why it stands below the hit above it; null when it is not a hit.</param>
/// <param name="WorkMinutes">What it takes to fit it, minutes.</param>
public sealed record RatioCandidate(
    IReadOnlyList<LoopPick> Loops,
    double FinalRatio,
    double ChangePercent,
    RatioDirection Direction,
    double OverallRatio,
    double? AimShaftSpeedRpm,
    double OutputAtLimitRpm,
    BicycleGearFigures? Bicycle,
    IReadOnlyList<string> BandGears,
    double? OffMiddlePercent,
    ChangedSprockets ChangedSprockets,
    double WorkMinutes,
    double? Money,
    int? Rank,
    RankTerm? DecidedBy
)
{
    // Set while the hits are sorted, before anybody sees them: copying every hit for it cost a fifth of a search.
    /// <summary>Place among the hits, 1 for the first; null when it is not one.</summary>
    public int? Rank { get; internal set; } = Rank;

    /// <summary>Why it stands below the hit above it; null when it is not a hit.</summary>
    public RankTerm? DecidedBy { get; internal set; } = DecidedBy;
}

/// <summary>One gear of the drive that is searched.</summary>
/// <param name="RestReduction">All stages that stay: a pair's overall ratio in this gear is its final ratio times this.</param>
/// <param name="Label">Of the gear.</param>
public sealed record SearchedGear(string Label, double RestReduction);

/// <summary>The answer to a search.</summary>
/// <param name="Hits">In a band and within every limit, best first. Two loops: the first <see cref="RatioSearch.MostTwoLoopHits"/>.</param>
/// <param name="HitCount">How many there are, also beyond those listed.</param>
/// <param name="Others">The other pairs that were tried, for the scale; empty for two loops.</param>
/// <param name="Nearest">The nearest two outside the band when nothing hits it.</param>
/// <param name="FittedRatio">Final ratio of the wheels on the machine.</param>
/// <param name="Gears">Every gear of the drive, first gear first.</param>
/// <param name="AimGearLabel">Gear that <see cref="RatioCandidate.OverallRatio"/> is for.</param>
/// <param name="UsesDefaultWork">True when the work figures are the defaults.</param>
public sealed record RatioSearchResult(
    IReadOnlyList<RatioBand> Bands,
    IReadOnlyList<RatioCandidate> Hits,
    int HitCount,
    IReadOnlyList<RatioCandidate> Others,
    IReadOnlyList<RatioCandidate> Nearest,
    double FittedRatio,
    IReadOnlyList<SearchedGear> Gears,
    string AimGearLabel,
    bool UsesDefaultWork,
    IReadOnlyList<Working> Workings
);
