namespace Wendrak.Core.Gearing;

/// <summary>Sorts hits, and knows for each which term put it below the one above.</summary>
internal static class RatioRank
{
    private static readonly RankTerm[] ByWork =
    [
        RankTerm.Obtainable,
        RankTerm.Minutes,
        RankTerm.Money,
        RankTerm.Closeness,
    ];
    private static readonly RankTerm[] ByCloseness = [RankTerm.Obtainable, RankTerm.Closeness, RankTerm.Minutes];
    private static readonly RankTerm[] ByWear =
    [
        RankTerm.Obtainable,
        RankTerm.TeethMeeting,
        RankTerm.Ripple,
        RankTerm.Closeness,
    ];
    private static readonly RankTerm[] ByPrice =
    [
        RankTerm.Obtainable,
        RankTerm.Money,
        RankTerm.Minutes,
        RankTerm.Closeness,
    ];

    public static IReadOnlyList<RatioCandidate> Sorted(List<RatioCandidate> hits, RatioRanking ranking)
    {
        RankTerm[] terms = ranking switch
        {
            RatioRanking.Closeness => ByCloseness,
            RatioRanking.Wear => ByWear,
            RatioRanking.Price => ByPrice,
            _ => ByWork,
        };
        // Every figure once per hit, not once per comparison: sorting asks some ten times as often.
        Key[] keys = new Key[hits.Count];
        for (int i = 0; i < keys.Length; i++)
            keys[i] = KeyOf(hits[i], terms);
        int[] order = [.. Enumerable.Range(0, keys.Length)];
        Array.Sort(order, (a, b) => Compare(in keys[a], in keys[b], out _));
        RatioCandidate[] ranked = new RatioCandidate[keys.Length];
        for (int i = 0; i < keys.Length; i++)
        {
            RankTerm decidedBy = RankTerm.First;
            if (i > 0)
            {
                _ = Compare(in keys[order[i - 1]], in keys[order[i]], out int term);
                decidedBy = term < terms.Length ? terms[term] : RankTerm.LargerFront;
            }
            ranked[i] = keys[order[i]].Hit;
            (ranked[i].Rank, ranked[i].DecidedBy) = (i + 1, decidedBy);
        }
        return ranked;
    }

    /// <summary>Figures of a hit in the order they are compared; those an order does not use are 0.</summary>
    private readonly record struct Key(RatioCandidate Hit, double First, double Second, double Third, double Fourth);

    private static Key KeyOf(RatioCandidate hit, RankTerm[] terms) =>
        new(
            hit,
            Figure(hit, terms[0]),
            Figure(hit, terms[1]),
            Figure(hit, terms[2]),
            terms.Length > 3 ? Figure(hit, terms[3]) : 0
        );

    /// <param name="term">Place of the term that decided; 4 when all are equal.</param>
    private static int Compare(in Key a, in Key b, out int term)
    {
        term = 0;
        int order = a.First.CompareTo(b.First);
        if (order != 0)
            return order;
        term = 1;
        order = a.Second.CompareTo(b.Second);
        if (order != 0)
            return order;
        term = 2;
        order = a.Third.CompareTo(b.Third);
        if (order != 0)
            return order;
        term = 3;
        order = a.Fourth.CompareTo(b.Fourth);
        if (order != 0)
            return order;
        term = 4;
        LoopPick pickA = a.Hit.Loops[0];
        LoopPick pickB = b.Hit.Loops[0];
        int byFront = pickB.FrontSize.CompareTo(pickA.FrontSize);
        return byFront != 0 ? byFront : pickB.RearSize.CompareTo(pickA.RearSize);
    }

    /// <summary>Smaller is better. A figure that is not known stands last.</summary>
    private static double Figure(RatioCandidate hit, RankTerm term) =>
        term switch
        {
            RankTerm.Obtainable => CanBeHad(hit) ? 0 : 1,
            RankTerm.Minutes => hit.WorkMinutes,
            RankTerm.Money => hit.Money ?? double.MaxValue,
            // Rounded to what a person can tell apart, so that noise in the tenth digit does not decide.
            RankTerm.Closeness => Math.Round(Math.Abs(hit.OffTargetPercent ?? 0), 4),
            RankTerm.TeethMeeting => WheelsThatRepeat(hit),
            RankTerm.Ripple => Math.Round(WorstRipple(hit), 4),
            _ => 0,
        };

    private static bool CanBeHad(RatioCandidate hit)
    {
        foreach (LoopPick pick in hit.Loops)
            if (Missing(pick.Front) || Missing(pick.Rear))
                return false;
        return true;

        static bool Missing(WheelSupply supply) =>
            supply.Availability is Availability.NotObtainable or Availability.OtherMounting;
    }

    private static int WheelsThatRepeat(RatioCandidate hit)
    {
        int repeating = 0;
        foreach (LoopPick pick in hit.Loops)
            if (pick.Hunting is { } hunting)
                repeating += (hunting.FrontHunts ? 0 : 1) + (hunting.RearHunts ? 0 : 1);
        return repeating;
    }

    private static double WorstRipple(RatioCandidate hit)
    {
        double worst = 0;
        foreach (LoopPick pick in hit.Loops)
            worst = Math.Max(worst, pick.RipplePercent ?? 0);
        return worst;
    }
}
