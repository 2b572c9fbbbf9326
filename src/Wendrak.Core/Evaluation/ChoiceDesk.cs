using Wendrak.Core.Choices;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Evaluation;

/// <summary>Something that can be weighed at a loop.</summary>
/// <param name="Key">Null for the kind of drive.</param>
/// <param name="Name">What it is.</param>
public sealed record MatterOffered(string? Key, string Name);

/// <summary>Something that can stand in a column.</summary>
/// <param name="Key">Its key.</param>
/// <param name="Name">What people call it.</param>
/// <param name="What">What it is, in a few words; null for a part.</param>
public sealed record OptionOffered(string Key, string Name, string? What);

/// <summary>A question that a change hangs on.</summary>
/// <param name="Key">Its key.</param>
/// <param name="Text">As it is asked.</param>
/// <param name="IfFine">What must be so, in words that follow “if”.</param>
/// <param name="Of">Keys of the columns that bring it up.</param>
/// <param name="IsYes">What was answered; null where nobody did.</param>
/// <param name="IsStop">Whether the harmful answer ends it, else it is watched.</param>
/// <param name="Because">What the harmful answer means.</param>
public sealed record QuestionAsked(
    string Key,
    string Text,
    string IfFine,
    IReadOnlyList<string> Of,
    bool? IsYes,
    bool IsStop,
    string Because
);

/// <summary>What can be weighed in the place of a loop, and what it comes to.</summary>
/// <param name="LoopName">What people call the loop.</param>
/// <param name="Weighing">As it is: typed, stored, or what one begins with.</param>
/// <param name="WishesFrom">Aim that the wishes begin with; null where somebody said them, and where no aim does.</param>
/// <param name="AskWishesAgain">Something else went on since they were asked.</param>
/// <param name="Unit">What the machine counts in.</param>
/// <param name="Offered">All that can stand in a column.</param>
/// <param name="Matters">What can be weighed at this loop.</param>
/// <param name="Musts">What can be asked to be so.</param>
/// <param name="Questions">That the columns bring up.</param>
/// <param name="Outcome">What it comes to.</param>
/// <param name="Turns">What would put something else first.</param>
/// <param name="Split">Where one loop of it is asked too much: shared between stages; null where one can do it, and for parts.</param>
/// <param name="MostColumns">That can stand side by side.</param>
/// <param name="NearEqual">Nearer than this they are equal.</param>
/// <param name="Workings">Of the outcome.</param>
/// <param name="IsLiftUnsaid">Such a machine may lift, and nobody said whether it does: what it comes to, it comes to if it does not.</param>
public sealed record ChoiceDesk(
    string LoopName,
    LoopWeighing Weighing,
    string? WishesFrom,
    bool AskWishesAgain,
    RunUnit Unit,
    IReadOnlyList<ChoiceColumn> Columns,
    IReadOnlyList<OptionOffered> Offered,
    IReadOnlyList<MatterOffered> Matters,
    IReadOnlyList<DriveMust> Musts,
    IReadOnlyList<QuestionAsked> Questions,
    Decision Outcome,
    IReadOnlyList<TurnOver> Turns,
    StageSplit? Split,
    int MostColumns,
    double NearEqual,
    IReadOnlyList<Working> Workings,
    bool IsLiftUnsaid
)
{
    /// <summary>How old an answer about what can be had may be: what is sold changes with the season. Judgement.</summary>
    private const int DaysOfSeason = 92;

    /// <param name="at">What can stand in the place of the loop.</param>
    /// <param name="typed">As it is being typed; null for what is stored.</param>
    /// <param name="today">Day on which it is asked.</param>
    /// <exception cref="InvalidInputException">Something typed is refused.</exception>
    public static ChoiceDesk Of(OptionsAtLoop at, LoopWeighing? typed, DateOnly today)
    {
        ChoiceTable table = new(at);
        LoopWeighing? kept =
            typed
            ?? at.View.Stored.Machine.Weighings?.FirstOrDefault(w =>
                w.LoopKey == at.View.AnyLoop.Key && w.Matter == at.Matter
            );
        (LoopWeighing weighing, string? from) = kept is null ? table.Begin() : (kept, null);
        new Guard("Weighing.")
            .Include(weighing.Check([.. at.Options.Select(o => o.Key)]))
            .That(
                weighing.LoopKey == at.View.AnyLoop.Key,
                nameof(weighing.LoopKey),
                "unknown",
                "Weigh the loop that is asked about."
            )
            .That(weighing.Matter == at.Matter, nameof(weighing.Matter), "unknown", "Weigh what is asked about.")
            .ThrowIfAny();
        string[] shown = table.Shown(weighing);
        QuestionAsked[] questions = [.. table.Questions(shown, weighing)];
        Decision outcome = table.Decide(weighing, shown);
        IReadOnlyList<TurnOver> turns = at.IsJudged
            ? TurnOver.Find(weighing, w => table.Decide(w, shown), shown, [.. questions.Select(q => q.Key)])
            : [];
        return new(
            at.View.AnyLoop.Name,
            weighing,
            from,
            weighing.WishesOn is DateOnly asked && at.View.Fitted.FittedOn > asked,
            at.Unit,
            [.. shown.Select(key => table.Column(key, weighing, shown, today.AddDays(-DaysOfSeason)))],
            [.. at.Options.Select(o => new OptionOffered(o.Key, o.Name, o.Kind?.What))],
            at.Matters,
            at.Musts,
            questions,
            outcome,
            turns,
            at.Split,
            LoopWeighing.MostShown,
            Decision.NearEqual,
            [.. table.Workings(weighing, shown, outcome)],
            at.IsLiftUnsaid
        );
    }
}
