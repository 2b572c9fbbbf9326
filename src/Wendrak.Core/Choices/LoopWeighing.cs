using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Choices;

/// <summary>Something that must be so: what does not meet it is out, whatever else speaks for it.</summary>
public enum DriveMust
{
    /// <summary>The frame is not opened.</summary>
    FrameStaysClosed,

    /// <summary>No oil on it.</summary>
    RunsDry,

    /// <summary>The ratio is exact.</summary>
    NeverSlips,

    /// <summary>It slips before something breaks.</summary>
    SlipsFirst,

    /// <summary>What is driven turns as it does now.</summary>
    SameSense,

    /// <summary>It can be bought now.</summary>
    ToBeHad,
}

/// <summary>How much a wish matters: 0 does not, 3 matters most.</summary>
/// <param name="Wish">Which.</param>
/// <param name="Weight">0 to 3.</param>
public sealed record WishWeight(DriveWish Wish, int Weight)
{
    public const int Most = 3;
}

/// <summary>What was answered to a question that a change hangs on.</summary>
/// <param name="Question">Its key.</param>
/// <param name="IsYes">Yes, or no.</param>
public sealed record QuestionAnswered(string Question, bool IsYes);

/// <summary>A reason that somebody brought up.</summary>
/// <param name="Option">What it is about.</param>
/// <param name="Side">For it or against it.</param>
/// <param name="Text">In a few words.</param>
/// <param name="SaidBy">Who says so; one person’s word never turns the outcome.</param>
/// <param name="Who">His name, or the book; null where nobody said.</param>
/// <param name="Wish">The wish it bears on; null for none.</param>
public sealed record OwnReason(
    string Option,
    ReasonSide Side,
    string Text,
    SaidBy SaidBy,
    string? Who = null,
    DriveWish? Wish = null
)
{
    private const int LongestText = 300;

    internal Guard Check()
    {
        Guard guard = new Guard().OneOf(nameof(Side), Side).OneOf(nameof(SaidBy), SaidBy);
        if (Wish is DriveWish wish)
            guard.OneOf(nameof(Wish), wish);
        if (Who is not null)
            guard.Named(nameof(Who), Who);
        return guard.That(
            !string.IsNullOrWhiteSpace(Text) && Text.Length <= LongestText,
            nameof(Text),
            "text_length",
            FormattableString.Invariant($"Write 1 to {LongestText} characters."),
            LongestText
        );
    }
}

/// <summary>What is weighed in the place of a loop, and what it is worth to the owner.</summary>
/// <param name="LoopKey">Key of the loop.</param>
/// <param name="Matter">What is chosen: a key of the choices between parts; null for the kind of drive.</param>
/// <param name="Wishes">One of each at most; what is not named does not matter.</param>
/// <param name="WishesOn">Day on which they were asked; null where nobody was.</param>
/// <param name="Musts">What must be so.</param>
/// <param name="Answers">To the questions that a change hangs on.</param>
/// <param name="Figures">One for each option at most.</param>
/// <param name="Reasons">Brought up here, beside those of the trade.</param>
/// <param name="Shown">Keys of the options side by side; null for the usual ones.</param>
/// <param name="RatePerHour">What an hour of work is worth.</param>
/// <param name="FuelPrice">Of a litre or a kWh.</param>
/// <param name="LevelHow">At which distance and how the levels were read: only alike ones are compared.</param>
public sealed record LoopWeighing(
    string LoopKey,
    string? Matter,
    IReadOnlyList<WishWeight> Wishes,
    DateOnly? WishesOn,
    IReadOnlyList<DriveMust> Musts,
    IReadOnlyList<QuestionAnswered> Answers,
    IReadOnlyList<OptionFigures> Figures,
    IReadOnlyList<OwnReason> Reasons,
    IReadOnlyList<string>? Shown = null,
    double? RatePerHour = null,
    double? FuelPrice = null,
    string? LevelHow = null
)
{
    public const int MostShown = 4;
    private const int MostReasons = 100;

    public static LoopWeighing Empty(string loopKey, string? matter) => new(loopKey, matter, [], null, [], [], [], []);

    internal int WeightOf(DriveWish wish) => Wishes.FirstOrDefault(w => w.Wish == wish)?.Weight ?? 0;

    internal OptionFigures FiguresOf(string option) => Figures.FirstOrDefault(f => f.Option == option) ?? new(option);

    internal bool? AnswerTo(string question) => Answers.FirstOrDefault(a => a.Question == question)?.IsYes;

    /// <summary>With other figures of one option.</summary>
    internal LoopWeighing With(OptionFigures figures) =>
        this with
        {
            Figures = [.. Figures.Where(f => f.Option != figures.Option), figures],
        };

    internal LoopWeighing With(WishWeight wish) =>
        this with
        {
            Wishes = [.. Wishes.Where(w => w.Wish != wish.Wish), wish],
        };

    /// <param name="options">Keys of what can stand there.</param>
    internal Guard Check(IReadOnlyCollection<string> options)
    {
        Guard guard = new Guard()
            .BetweenIfGiven(nameof(RatePerHour), RatePerHour, 0, 10_000, "/h")
            .BetweenIfGiven(nameof(FuelPrice), FuelPrice, 0, 10_000, "")
            .Count(nameof(Reasons), Reasons.Count, 0, MostReasons, "reasons")
            .Count(nameof(Shown), Shown?.Count ?? 0, 0, MostShown, "columns");
        if (LevelHow is not null)
            guard.Named(nameof(LevelHow), LevelHow);
        CheckEach(
            guard,
            nameof(Wishes),
            Wishes,
            w => w.Wish,
            (g, w, at) =>
                g.OneOf(at + nameof(w.Wish), w.Wish).Between(at + nameof(w.Weight), w.Weight, 0, WishWeight.Most, "")
        );
        CheckEach(guard, nameof(Musts), Musts, m => m, (g, m, at) => g.OneOf(at.TrimEnd('.'), m));
        CheckEach(
            guard,
            nameof(Answers),
            Answers,
            a => a.Question,
            (g, a, at) =>
                g.That(
                    Tables.ChoiceQuestions.Find(a.Question) is not null,
                    at + nameof(a.Question),
                    "unknown",
                    "Give a question that is asked."
                )
        );
        CheckEach(
            guard,
            nameof(Figures),
            Figures,
            f => f.Option,
            (g, f, at) => CheckOption(g, at + nameof(f.Option), f.Option).Include(new Guard(at).Include(f.Check()))
        );
        for (int i = 0; i < Reasons.Count; i++)
        {
            string at = FormattableString.Invariant($"{nameof(Reasons)}[{i}].");
            CheckOption(guard, at + nameof(OwnReason.Option), Reasons[i].Option)
                .Include(new Guard(at).Include(Reasons[i].Check()));
        }
        CheckEach(guard, nameof(Shown), Shown ?? [], s => s, (g, s, at) => CheckOption(g, at.TrimEnd('.'), s));
        return guard;

        Guard CheckOption(Guard of, string field, string option) =>
            of.That(options.Contains(option), field, "unknown", $"Give one of: {string.Join(", ", options)}.");
    }

    private static void CheckEach<TItem, TId>(
        Guard guard,
        string list,
        IReadOnlyList<TItem> items,
        Func<TItem, TId> key,
        Action<Guard, TItem, string> check
    )
    {
        for (int i = 0; i < items.Count; i++)
        {
            string at = FormattableString.Invariant($"{list}[{i}]");
            check(guard, items[i], at + ".");
            guard.That(!items.Take(i).Select(key).Contains(key(items[i])), at, "twice", "Give each once.");
        }
    }
}
