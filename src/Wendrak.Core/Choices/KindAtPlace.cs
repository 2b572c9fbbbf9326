using Wendrak.Core.Lengths;
using Wendrak.Core.Loads;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;
using Wendrak.Core.Tension;

namespace Wendrak.Core.Choices;

/// <summary>Whether a kind of drive holds in the place of a loop.</summary>
public enum KindHolds
{
    Holds,

    /// <summary>A margin is to be watched.</summary>
    Watch,

    /// <summary>Nobody said what it can take.</summary>
    NotTold,
    DoesNotHold,

    /// <summary>Nothing of the tables comes near what is there.</summary>
    NothingNear,

    /// <summary>Its ratio is none that one stage of it gives.</summary>
    NotThisRatio,

    /// <summary>No loop: strength is worked out elsewhere.</summary>
    NotJudgedHere,

    /// <summary>It hoists, carries persons or flies: this program does not decide it.</summary>
    FiguresOnly,
}

/// <summary>How a kind fits between the shafts that are there.</summary>
/// <param name="Length">To order: links, belt teeth or mm; null where none reaches.</param>
/// <param name="OverMm">Of shafts that stay where they are: how much of that length is over, mm; null where something is moved.</param>
/// <param name="ExactLength">Length of its way where the shafts stand, in the same unit.</param>
/// <param name="MovedMm">How far what is moved goes from where it stands with what is fitted; null where that is not known, or nothing moves.</param>
/// <param name="Mover">What is moved; null where nothing is.</param>
/// <param name="LeftPercent">Of the adjustment that is left then; null where nothing is moved, or none reaches.</param>
/// <param name="FrontOutsideMm">Over the teeth or rim of the driving wheel, mm.</param>
/// <param name="RearOutsideMm">Of the driven one.</param>
/// <param name="RearMoreMm">How much larger than the one that is on, mm.</param>
/// <param name="WithoutIdlers">What is fitted runs over an idler or tensioner: it was left out.</param>
public sealed record KindFit(
    double? Length,
    double? OverMm,
    double ExactLength,
    LengthUnit Unit,
    double? MovedMm,
    string? Mover,
    double? LeftPercent,
    double FrontOutsideMm,
    double RearOutsideMm,
    double RearMoreMm,
    bool WithoutIdlers
);

/// <summary>What a kind would be set to, as its usual instrument reads it.</summary>
/// <param name="Method">Of that instrument.</param>
/// <param name="Loose">The loose end of the window.</param>
/// <param name="Tight">The tight end.</param>
/// <param name="Reason">Why it lies there, with its source.</param>
public sealed record KindWindow(ReadingMethod Method, double Loose, double Tight, string Reason);

/// <summary>A kind of drive in the place of a loop: the smallest of it that holds, else the one that comes nearest.</summary>
/// <param name="IsFitted">It is what is on.</param>
/// <param name="Setup">What it would be; null for kinds that are no loop, and where nothing comes near.</param>
/// <param name="IsOwn">It was typed for this machine, by its maker’s figures.</param>
/// <param name="RatioPercent">How far its ratio is off the one that is fitted.</param>
/// <param name="Fit">Null where nobody said where things stand, and where it can’t be laid.</param>
/// <param name="FitProblem">Why it can’t be laid; null where it can, or nobody said where things stand.</param>
/// <param name="Window">What it would be set to; null where nothing tells it, or it must be said first how the axle is carried.</param>
/// <param name="Figures">Of its loads; null where they can’t be told.</param>
/// <param name="Missing">Field of the loads that would tell whether it holds; null where it is told.</param>
/// <param name="NeedsPullN">Pull with shock that its maker must allow, N; null where that is not the question.</param>
/// <param name="Worst">The check that does not hold or is to be watched; null where none is.</param>
/// <param name="MassKg">Of what runs round, without its wheels; null where neither tables nor person tell.</param>
/// <param name="Figure">One line on a kind that is no loop: what it would be between these shafts.</param>
/// <param name="Workings">Of that line.</param>
public sealed record KindAtPlace(
    ChoiceKind Kind,
    bool IsFitted,
    KindHolds Holds,
    LoopAlternative? Setup,
    bool IsOwn,
    double RatioPercent,
    KindFit? Fit,
    string? FitProblem,
    KindWindow? Window,
    LoopFigures? Figures,
    string? Missing,
    double? NeedsPullN,
    LoadCheck? Worst,
    double? MassKg,
    string? Figure,
    IReadOnlyList<Working> Workings
);
