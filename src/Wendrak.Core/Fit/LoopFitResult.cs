using System.Text.Json.Serialization;
using Wendrak.Core.Lengths;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Fit;

/// <summary>Why a length is the recommended one.</summary>
public enum LengthReason
{
    NoneReaches,

    /// <summary>The only one that reaches.</summary>
    OnlyOne,

    /// <summary>Starts in the front third of the track: room for elongation.</summary>
    FrontThird,

    /// <summary>Of those that last, changes the wheelbase least.</summary>
    LeastChange,

    /// <summary>The one of the standard's series that reaches with the least change.</summary>
    StandardLength,

    /// <summary>Leaves the most to take up.</summary>
    MostReserve,
}

/// <summary>A length, and where the mover stands with it.</summary>
/// <param name="TravelMm">From the start of the track; beyond its ends where it does not fit; null where nothing closes it.</param>
/// <param name="TravelUsedPercent">Of the track; null where nothing closes it.</param>
/// <param name="ReservePercent">Elongation the track can still take up from there; negative beyond its end.</param>
/// <param name="ReachesWearLimit">True when the track outlasts the chain; null without a limit.</param>
/// <param name="WheelbaseChangeMm">Against as fitted; null where the mover carries no road wheel or that is not known.</param>
/// <param name="IsStandard">Whether it is of the standard's series; null where no table tells, as for chains.</param>
/// <param name="MovedMm">How far the mover goes from where it is as fitted, mm, positive tightens; null where that is not known.</param>
/// <param name="MovedSteps">The same in turns, clicks or shims; null where nobody said how far one goes.</param>
/// <param name="IsHalfLink">Joined by a cranked link: weaker, and not for sealed-ring or derailleur chains.</param>
/// <param name="Length">In links, belt teeth or mm.</param>
/// <param name="CentreMm">Distance of the shafts with it; null where nothing closes it.</param>
/// <param name="Fits">True where it closes on the track.</param>
public sealed record FittingLength(
    double Length,
    double? TravelMm,
    double? TravelUsedPercent,
    double? CentreMm,
    bool Fits,
    double? ReservePercent,
    bool? ReachesWearLimit,
    double? WheelbaseChangeMm,
    bool IsHalfLink,
    bool? IsStandard,
    double? MovedMm,
    double? MovedSteps
);

/// <summary>Slack of the length in view where the mover stands.</summary>
/// <param name="ExcessMm">Loop length beyond the path; negative when it is too short to reach.</param>
/// <param name="FreePlayMm">Whole up-and-down movement at the middle of the slack run.</param>
/// <param name="TakenUpByMm">Travel of the mover that takes it up; null where nothing closes this length.</param>
/// <param name="RunMm">Length of the slack run, mm.</param>
public sealed record FreePlay(double ExcessMm, double FreePlayMm, double RunMm, double? TakenUpByMm);

/// <summary>Something about a fit that a person should know.</summary>
public enum FitFindingKind
{
    /// <summary>Tips of two wheels touch; the value is the gap, mm, negative.</summary>
    TipsTouch,

    /// <summary>The small wheel of a chain is wrapped less than 120°.</summary>
    LittleWrap,

    /// <summary>A toothed belt meshes with fewer than 6 teeth.</summary>
    FewTeethInMesh,

    /// <summary>Fewer than 20 pitches between centres.</summary>
    ShortCentre,

    /// <summary>More than 80 pitches: wants a guide.</summary>
    LongCentre,

    /// <summary>A chain lies on fewer than 3 teeth of an idler.</summary>
    FewTeethOnIdler,

    /// <summary>An idler on the run that pulls.</summary>
    IdlerOnTightRun,

    /// <summary>A chain with an odd number of links needs a cranked one.</summary>
    HalfLink,

    /// <summary>The length in view, mm, is beyond the longest or shortest path on the track, which is the limit.</summary>
    OffTheTrack,

    /// <summary>Less than a tenth of the track is left.</summary>
    LittleReserve,
}

/// <summary>Something about the layout that ought to be looked at.</summary>
/// <param name="Wheel">The wheel it is about; null for the whole loop.</param>
/// <param name="Value">The figure that is out of bounds.</param>
/// <param name="Limit">The bound.</param>
/// <param name="Source">Who says so.</param>
public sealed record FitFinding(FitFindingKind Kind, string? Wheel, double Value, double Limit, string Source);

/// <summary>How a loop fits.</summary>
/// <param name="UnitMm">Loop length of one link, tooth or millimetre.</param>
/// <param name="TravelMm">Where the mover stands in this picture.</param>
/// <param name="MovesRoadWheel">Whether what moves is the axle of a road wheel: else the wheelbase stays.</param>
/// <param name="CentreMm">Front to rear.</param>
/// <param name="CentreAdvice">Where that distance should lie; null for belts.</param>
/// <param name="ExactLength">Length of the path, in the unit.</param>
/// <param name="ChosenLength">Length in view; null when none is counted.</param>
/// <param name="ClosingTravelMm">Where that length closes without slack; null where nothing closes it.</param>
/// <param name="Clearances">One for every limit of the layout.</param>
/// <param name="Reserve">Adjustment left where the mover stands; null with fixed centres.</param>
/// <param name="Lengths">
/// Those that reach, with one beyond either end: standard lengths first, then the shortest first.
/// </param>
/// <param name="TrackMm">Whole way of the adjuster, mm; 0 where nothing moves.</param>
/// <param name="RecommendedLength">What to order: links, belt teeth or mm; null where none reaches.</param>
public sealed record LoopFitResult(
    LoopPath Path,
    LengthUnit LengthUnit,
    double UnitMm,
    double TravelMm,
    double TrackMm,
    bool MovesRoadWheel,
    double CentreMm,
    CentreAdviceResult? CentreAdvice,
    double ExactLength,
    double? ChosenLength,
    double? ClosingTravelMm,
    FreePlay? FreePlay,
    AdjustmentReserve? Reserve,
    IReadOnlyList<FittingLength> Lengths,
    double? RecommendedLength,
    LengthReason Reason,
    IReadOnlyList<ClearanceFigure> Clearances,
    IReadOnlyList<FitFinding> Findings,
    IReadOnlyList<Working> Workings
);
