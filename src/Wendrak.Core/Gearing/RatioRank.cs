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
        hits.Sort((a, b) => Compare(a, b, terms, out _));
        RatioCandidate[] ranked = new RatioCandidate[hits.Count];
        for (int i = 0; i < hits.Count; i++)
        {
            RankTerm decidedBy = RankTerm.First;
            if (i > 0)
                _ = Compare(hits[i - 1], hits[i], terms, out decidedBy);
            ranked[i] = hits[i] with { Rank = i + 1, DecidedBy = decidedBy };
        }
        return ranked;
    }

    private static int Compare(RatioCandidate a, RatioCandidate b, RankTerm[] terms, out RankTerm decidedBy)
    {
        foreach (RankTerm term in terms)
        {
            int order = Figure(a, term).CompareTo(Figure(b, term));
            decidedBy = term;
            if (order != 0)
                return order;
        }
        decidedBy = RankTerm.LargerFront;
        int byFront = b.Loops[0].FrontSize.CompareTo(a.Loops[0].FrontSize);
        return byFront != 0 ? byFront : b.Loops[0].RearSize.CompareTo(a.Loops[0].RearSize);
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
