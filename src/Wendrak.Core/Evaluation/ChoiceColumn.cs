using Wendrak.Core.Choices;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Evaluation;

/// <summary>Why something can’t come first.</summary>
public enum OutBecause
{
    DoesNotHold,
    NothingNear,
    NotThisRatio,
    Must,
    Answer,
}

/// <summary>One thing that keeps it out, or that is to be watched.</summary>
/// <param name="Because">Why.</param>
/// <param name="Must">Which must it fails; null for none.</param>
/// <param name="Text">What an answer means; null where none is the matter.</param>
public sealed record OutTold(OutBecause Because, DriveMust? Must, string? Text);

/// <summary>A reason for something or against it.</summary>
/// <param name="Text">In a few words.</param>
/// <param name="SaidBy">Who says so.</param>
/// <param name="Who">A name, or the book; null where nobody in particular does.</param>
/// <param name="School">Whose view it is where the trade disagrees; null where it does not.</param>
/// <param name="Wish">The wish it bears on; null for none.</param>
public record ReasonTold(string Text, SaidBy SaidBy, string? Who, string? School, DriveWish? Wish);

/// <summary>One of the things that are weighed, in full.</summary>
/// <param name="Key">Its key.</param>
/// <param name="Name">What people call it.</param>
/// <param name="IsFitted">It is what is on.</param>
/// <param name="Place">What it would be here; null for a choice between parts.</param>
/// <param name="Out">What keeps it from coming first; empty for nothing.</param>
/// <param name="Watched">What the answers say is to be watched.</param>
/// <param name="Open">Keys of the questions it hangs on that nobody answered.</param>
/// <param name="For">Reasons for it, the surest first.</param>
/// <param name="Against">Reasons against it; none is hidden.</param>
/// <param name="FrameMustOpen">It has no joint, and what is on has one.</param>
/// <param name="Cost">Null where its price or how long it lasts was not typed.</param>
/// <param name="PaidBackAfter">Distance or hours after which its conversion is paid back; null where it is not cheaper to run, or nothing was typed.</param>
/// <param name="Facts">What it does for each wish, in figures.</param>
/// <param name="Figures">What was typed of it.</param>
/// <param name="IsAskedLongAgo">Whether it can be had was asked more than a season ago.</param>
/// <param name="CanBeTried">It can be kept as a trial.</param>
/// <param name="TrialId">Number of the trial it is kept as; null for none.</param>
public sealed record ChoiceColumn(
    string Key,
    string Name,
    bool IsFitted,
    KindAtPlace? Place,
    IReadOnlyList<OutTold> Out,
    IReadOnlyList<string> Watched,
    IReadOnlyList<string> Open,
    IReadOnlyList<ReasonTold> For,
    IReadOnlyList<ReasonTold> Against,
    bool FrameMustOpen,
    RunningCost? Cost,
    double? PaidBackAfter,
    IReadOnlyList<WishFact> Facts,
    OptionFigures Figures,
    bool IsAskedLongAgo,
    bool CanBeTried,
    long? TrialId
);
