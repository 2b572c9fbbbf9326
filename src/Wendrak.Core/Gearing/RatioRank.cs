using System.Buffers;

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
        // Every figure once per hit, not once per comparison: sorting asks some ten times as often. The room for them is
        // borrowed: thousands would be a large object at every search, and those are costly to collect.
        Key[] room = ArrayPool<Key>.Shared.Rent(hits.Count);
        Span<Key> keys = room.AsSpan(0, hits.Count);
        for (int i = 0; i < keys.Length; i++)
            keys[i] = new(hits[i], i, terms);
        keys.Sort();
        RatioCandidate[] ranked = new RatioCandidate[keys.Length];
        for (int i = 0; i < keys.Length; i++)
        {
            ranked[i] = hits[keys[i].Index];
            RankTerm decidedBy = i == 0 ? RankTerm.First : keys[i].DecidedAgainst(keys[i - 1], terms);
            (ranked[i].Rank, ranked[i].DecidedBy) = (i + 1, decidedBy);
        }
        ArrayPool<Key>.Shared.Return(room);
        return ranked;
    }

    /// <summary>Figures of a hit in the order they are compared; those an order does not use are 0.</summary>
    private readonly struct Key(RatioCandidate hit, int index, RankTerm[] terms) : IComparable<Key>
    {
        private readonly double _first = Figure(hit, terms[0]);
        private readonly double _second = Figure(hit, terms[1]);
        private readonly double _third = Figure(hit, terms[2]);
        private readonly double _fourth = terms.Length > 3 ? Figure(hit, terms[3]) : 0;

        private readonly double _front = hit.Loops[0].FrontSize;
        private readonly double _rear = hit.Loops[0].RearSize;

        /// <summary>Place among the hits; no reference to the hit, since sorting would have to report each move of one.</summary>
        public readonly int Index = index;

        public int CompareTo(Key other)
        {
            if (_first != other._first)
                return _first < other._first ? -1 : 1;
            if (_second != other._second)
                return _second < other._second ? -1 : 1;
            if (_third != other._third)
                return _third < other._third ? -1 : 1;
            if (_fourth != other._fourth)
                return _fourth < other._fourth ? -1 : 1;
            return _front != other._front ? other._front.CompareTo(_front) : other._rear.CompareTo(_rear);
        }

        /// <summary>The first term in which two hits differ.</summary>
        public RankTerm DecidedAgainst(Key above, RankTerm[] terms) =>
            _first != above._first ? terms[0]
            : _second != above._second ? terms[1]
            : _third != above._third ? terms[2]
            : _fourth != above._fourth ? terms[3]
            : RankTerm.LargerFront;
    }

    /// <summary>Smaller is better. A figure that is not known stands last.</summary>
    private static double Figure(RatioCandidate hit, RankTerm term) =>
        term switch
        {
            RankTerm.Obtainable => CanBeHad(hit) ? 0 : 1,
            RankTerm.Minutes => hit.WorkMinutes,
            RankTerm.Money => hit.Money ?? double.MaxValue,
            // Rounded to what a person can tell apart, so that noise in the tenth digit does not decide.
            RankTerm.Closeness => Math.Round(Math.Abs(hit.OffMiddlePercent ?? 0), 4),
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
