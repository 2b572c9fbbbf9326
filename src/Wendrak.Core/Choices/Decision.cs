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
        WishWeight[] asked = [.. wishes.Where(w => w.Weight > 0)];
        Compared[] left = [.. options.Where(o => !o.IsOut).Select(o => new Compared(o, new double[asked.Length]))];
        List<int> weighed = [];
        for (int w = 0; w < asked.Length; w++)
            if (Weigh(left, asked[w].Wish, w))
                weighed.Add(w);
        double total = weighed.Sum(w => asked[w].Weight);
        foreach (Compared option in left)
            if (total > 0)
                option.Score = weighed.Sum(w => asked[w].Weight * option.Parts[w]) / total;
        DriveWish[] counted = [.. weighed.Select(w => asked[w].Wish)];
        DriveWish[] not = [.. asked.Select(w => w.Wish).Except(counted)];
        OptionScore[] scores =
        [
            .. options.Select(o => new OptionScore(
                o.Key,
                Array.Find(left, c => ReferenceEquals(c.Option, o))?.Score,
                PracticeOf(o, asked)
            )),
        ];
        Decision Says(OutcomeKind kind, string? first, string? second, IEnumerable<DriveWish>? by = null) =>
            new(kind, first, second, scores, [.. by ?? []], counted, not);
        if (left.Length == 0)
            return Says(OutcomeKind.NothingLeft, null, null);
        if (left.Length == 1)
            return Says(OutcomeKind.OneLeft, left[0].Option.Key, null);
        if (asked.Length == 0)
            return Says(OutcomeKind.NothingAsked, null, null);
        if (total > 0)
        {
            Compared[] ordered = [.. left.OrderByDescending(c => c.Score)];
            (Compared first, Compared second) = (ordered[0], ordered[1]);
            if (first.Score - second.Score >= NearEqual)
                return Says(
                    OutcomeKind.Ahead,
                    first.Option.Key,
                    second.Option.Key,
                    Leading(asked, w => weighed.Contains(w) ? first.Parts[w] - second.Parts[w] : 0)
                );
            // Only those that are as good as the first by their figures are left to what the trade says.
            left = [.. ordered.Where(c => first.Score - c.Score < NearEqual)];
        }
        Compared[] byPractice = [.. left.OrderByDescending(c => PracticeOf(c.Option, asked))];
        (WeighedOption best, WeighedOption next) = (byPractice[0].Option, byPractice[1].Option);
        return PracticeOf(best, asked) > PracticeOf(next, asked)
            ? Says(
                OutcomeKind.PracticeOnly,
                best.Key,
                next.Key,
                Leading(asked, w => Practice(best, asked[w]) - Practice(next, asked[w]))
            )
            : Says(OutcomeKind.Equal, null, null);
    }

    /// <summary>One that meets what must be so.</summary>
    /// <param name="Parts">Of the best, for each wish that is asked for.</param>
    private sealed record Compared(WeighedOption Option, double[] Parts)
    {
        /// <summary>Null where nothing could be weighed.</summary>
        public double? Score { get; set; }
    }

    /// <summary>Puts down what part of the best each comes to.</summary>
    /// <returns>False where one of them has no firm figure, or none is left.</returns>
    private static bool Weigh(Compared[] left, DriveWish wish, int at)
    {
        WishFact?[] facts = [.. left.Select(c => FirmOf(c.Option, wish))];
        if (left.Length == 0 || facts.Contains(null))
            return false;
        double most = WishMeasure.BestOf(wish, facts.Select(f => f!.Middle));
        for (int i = 0; i < left.Length; i++)
            left[i].Parts[at] = WishMeasure.PartOf(most, wish, facts[i]!.Middle);
        return true;
    }

    /// <summary>Wishes by which one is ahead of the other, the one that does most first.</summary>
    private static IEnumerable<DriveWish> Leading(WishWeight[] asked, Func<int, double> lead) =>
        asked
            .Select((wish, w) => (wish.Wish, Lead: wish.Weight * lead(w)))
            .Where(w => w.Lead > 0)
            .OrderByDescending(w => w.Lead)
            .Select(w => w.Wish);

    private static int Practice(WeighedOption option, WishWeight wish) => option.Practice.GetValueOrDefault(wish.Wish);

    private static double PracticeOf(WeighedOption option, WishWeight[] asked)
    {
        double sum = 0;
        foreach (WishWeight wish in asked)
            sum += wish.Weight * Practice(option, wish);
        return sum;
    }

    private static WishFact? FirmOf(WeighedOption option, DriveWish wish)
    {
        foreach (WishFact fact in option.Facts)
            if (fact.Wish == wish && fact.IsFirm)
                return fact;
        return null;
    }
}
