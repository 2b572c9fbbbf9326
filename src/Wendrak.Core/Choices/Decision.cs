using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Choices;

/// <summary>How far an outcome can be told.</summary>
public enum OutcomeKind
{
    /// <summary>It hoists, carries persons or flies: figures only.</summary>
    FiguresOnly,

    /// <summary>Nothing is left that meets what must be so.</summary>
    NothingLeft,

    /// <summary>One alone meets what must be so.</summary>
    OneLeft,

    /// <summary>One is ahead by what was measured, or is by a maker or standard.</summary>
    Ahead,

    /// <summary>By figures they are equal, or none were given: common practice speaks for one, and only that.</summary>
    PracticeOnly,
    Equal,

    /// <summary>No wish was said to matter.</summary>
    NothingAsked,
}

/// <summary>One of the things that are weighed, as far as the weighing needs it.</summary>
/// <param name="Key">Its key.</param>
/// <param name="IsOut">It does not meet what must be so, does not hold, or an answer speaks against it.</param>
/// <param name="Facts">One for a wish at most.</param>
/// <param name="Practice">For each wish +1 where common practice speaks for it, −1 where against; left out where it says nothing or both.</param>
public sealed record WeighedOption(
    string Key,
    bool IsOut,
    IReadOnlyList<WishFact> Facts,
    IReadOnlyDictionary<DriveWish, int> Practice
);

/// <summary>What one of them came to.</summary>
/// <param name="Key">Its key.</param>
/// <param name="Score">Part of the best of each wish, weighed, 0 to 1; null where nothing could be weighed, and of what is out.</param>
/// <param name="Practice">What common practice says, weighed; told beside, never mixed in.</param>
public sealed record OptionScore(string Key, double? Score, double Practice);

/// <summary>What a weighing comes to.</summary>
/// <param name="First">What comes first; null where none does.</param>
/// <param name="Second">What comes next by the same rule; null for none.</param>
/// <param name="By">Wishes that put it first, the one that does most first.</param>
/// <param name="Weighed">Wishes that were weighed: figures of every one that is left.</param>
/// <param name="NotWeighed">Wishes that matter and were not weighed, since one of them has no firm figure.</param>
/// <remarks>
/// The rule: what must be so excludes; each wish counts by its weight, by the part of the best that each comes to, and only where
/// all that are left have a figure that was measured or is by a maker or standard. Ahead is who is ahead by <see cref="NearEqual"/>.
/// Where nobody is, common practice is asked, and it is said that it is only that. One person’s word is never asked. Judgement.
/// </remarks>
public sealed record Decision(
    OutcomeKind Kind,
    string? First,
    string? Second,
    IReadOnlyList<OptionScore> Scores,
    IReadOnlyList<DriveWish> By,
    IReadOnlyList<DriveWish> Weighed,
    IReadOnlyList<DriveWish> NotWeighed
)
{
    /// <summary>Nearer than this they are equal: figures of this kind are no better. Judgement.</summary>
    public const double NearEqual = 0.03;

    /// <summary>Of what hoists, carries persons or flies: figures, and no word on which is better.</summary>
    public static Decision None { get; } = new(OutcomeKind.FiguresOnly, null, null, [], [], [], []);

    /// <param name="options">That are compared.</param>
    /// <param name="wishes">How much each matters.</param>
    public static Decision Of(IReadOnlyList<WeighedOption> options, IReadOnlyList<WishWeight> wishes)
    {
        WeighedOption[] left = [.. options.Where(o => !o.IsOut)];
        WishWeight[] asked = [.. wishes.Where(w => w.Weight > 0)];
        List<DriveWish> weighed = [];
        Dictionary<string, Dictionary<DriveWish, double>> parts = left.ToDictionary(
            o => o.Key,
            _ => new Dictionary<DriveWish, double>()
        );
        foreach (WishWeight wish in asked)
        {
            WishFact?[] facts = [.. left.Select(o => FirmOf(o, wish.Wish))];
            if (left.Length == 0 || facts.Contains(null))
                continue;
            weighed.Add(wish.Wish);
            double most = WishMeasure.BestOf(wish.Wish, facts.Select(f => f!.Middle));
            for (int i = 0; i < left.Length; i++)
                parts[left[i].Key][wish.Wish] = WishMeasure.PartOf(most, wish.Wish, facts[i]!.Middle);
        }
        DriveWish[] not = [.. asked.Select(w => w.Wish).Except(weighed)];
        double total = asked.Where(w => weighed.Contains(w.Wish)).Sum(w => w.Weight);
        double Part(WeighedOption option, WishWeight wish) => parts[option.Key][wish.Wish];
        double? ScoreOf(WeighedOption option)
        {
            if (total == 0 || option.IsOut)
                return null;
            double sum = 0;
            foreach (WishWeight wish in asked)
                sum += wish.Weight * parts[option.Key].GetValueOrDefault(wish.Wish);
            return sum / total;
        }
        OptionScore[] scores =
        [
            .. options.Select(o => new OptionScore(
                o.Key,
                ScoreOf(o),
                asked.Sum(w => w.Weight * o.Practice.GetValueOrDefault(w.Wish))
            )),
        ];
        double Score(WeighedOption option) => scores.First(s => s.Key == option.Key).Score!.Value;
        Decision Says(OutcomeKind kind, string? first, string? second, IEnumerable<DriveWish>? by = null) =>
            new(kind, first, second, scores, [.. by ?? []], weighed, not);
        if (left.Length == 0)
            return Says(OutcomeKind.NothingLeft, null, null);
        if (left.Length == 1)
            return Says(OutcomeKind.OneLeft, left[0].Key, null);
        if (asked.Length == 0)
            return Says(OutcomeKind.NothingAsked, null, null);
        if (total > 0)
        {
            WeighedOption[] ordered = [.. left.OrderByDescending(Score)];
            (WeighedOption first, WeighedOption second) = (ordered[0], ordered[1]);
            if (Score(first) - Score(second) >= NearEqual)
                return Says(
                    OutcomeKind.Ahead,
                    first.Key,
                    second.Key,
                    asked
                        .Where(w => weighed.Contains(w.Wish))
                        .Select(w => (w.Wish, Lead: w.Weight * (Part(first, w) - Part(second, w))))
                        .Where(w => w.Lead > 0)
                        .OrderByDescending(w => w.Lead)
                        .Select(w => w.Wish)
                );
            // Only those that are as good as the first by their figures are left to what the trade says.
            left = [.. ordered.Where(o => Score(first) - Score(o) < NearEqual)];
        }
        WeighedOption[] byPractice = [.. left.OrderByDescending(o => PracticeOf(scores, o))];
        (WeighedOption best, WeighedOption next) = (byPractice[0], byPractice[1]);
        return PracticeOf(scores, best) > PracticeOf(scores, next)
            ? Says(
                OutcomeKind.PracticeOnly,
                best.Key,
                next.Key,
                asked
                    .Select(w =>
                        (
                            w.Wish,
                            Lead: w.Weight
                                * (best.Practice.GetValueOrDefault(w.Wish) - next.Practice.GetValueOrDefault(w.Wish))
                        )
                    )
                    .Where(w => w.Lead > 0)
                    .OrderByDescending(w => w.Lead)
                    .Select(w => w.Wish)
            )
            : Says(OutcomeKind.Equal, null, null);
    }

    private static double PracticeOf(OptionScore[] scores, WeighedOption option) =>
        scores.First(s => s.Key == option.Key).Practice;

    private static WishFact? FirmOf(WeighedOption option, DriveWish wish)
    {
        foreach (WishFact fact in option.Facts)
            if (fact.Wish == wish && fact.IsFirm)
                return fact;
        return null;
    }
}
