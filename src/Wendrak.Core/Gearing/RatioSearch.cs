using Wendrak.Core.Quantities;

namespace Wendrak.Core.Gearing;

/// <summary>Finds every combination of wheels that meets an aim, with what each would cost and bring.</summary>
public static class RatioSearch
{
    /// <summary>Pairs of one loop that are tried at once.</summary>
    public const int MostPairs = 10_000;

    /// <summary>Pairs per loop when two loops are chosen together: their products are what is tried.</summary>
    public const int MostPairsOfTwo = 1_600;

    /// <summary>Hits listed when two loops are chosen together; all are counted.</summary>
    public const int MostTwoLoopHits = 200;

    /// <summary>Runs a search.</summary>
    /// <exception cref="InvalidInputException">Any part of the question is refused; every issue is named.</exception>
    /// <remarks>
    /// Every front × rear is computed; nothing is sampled. Order of equals: the larger front wheel first (less ripple,
    /// common practice).
    /// </remarks>
    public static RatioSearchResult Run(RatioSearchInput input)
    {
        new Guard()
            .Count(nameof(input.Search), input.Search.Count, 1, 2, "loops")
            .OneOf(nameof(input.Ranking), input.Ranking)
            .Include(StockWheel.Check(nameof(input.Stock), input.Stock))
            .ThrowIfAny();
        DriveTrain train = new(input.Drive, input.Fitted, nameof(input.Fitted));
        CheckSeries(train, input.Search);
        int mostPairs = input.Search.Count == 1 ? MostPairs : MostPairsOfTwo;
        LoopCandidates[] loops =
        [
            .. input.Search.Select((s, i) => new LoopCandidates(train, s, i, input.Stock, mostPairs)),
        ];
        RatioAssessor assessor = new(train, input, loops);
        return loops.Length == 1 ? OneLoop(input, loops[0], assessor) : TwoLoops(input, loops, assessor);
    }

    private static void CheckSeries(DriveTrain train, IReadOnlyList<LoopSearch> search)
    {
        if (search.Count < 2)
            return;
        DriveOutput output = train.ReferenceOutput(search[1].LoopKey);
        string[] path = [.. train.PathTo(output.Shaft).Select(s => train.Drive.Stages[s].Key)];
        new Guard()
            .That(
                search[0].LoopKey != search[1].LoopKey && search.All(s => path.Contains(s.LoopKey)),
                "Search[1].LoopKey",
                "not_in_series",
                "Give another loop on the same way from the input to the output."
            )
            .ThrowIfAny();
    }

    private static RatioSearchResult OneLoop(RatioSearchInput input, LoopCandidates loop, RatioAssessor assessor)
    {
        List<RatioCandidate> hits = [];
        List<RatioCandidate> others = new(loop.Picks.Count);
        foreach (LoopPick pick in loop.Picks)
        {
            RatioCandidate candidate = assessor.Assess([pick], pick.Ratio);
            bool isHit = candidate.BandGears.Count > 0 && pick.Breaks.Count == 0;
            (isHit ? hits : others).Add(candidate);
        }
        IReadOnlyList<RatioCandidate> ranked = RatioRank.Sorted(hits, input.Ranking);
        return Result(input, assessor, ranked, ranked.Count, others, Nearest(ranked, others));
    }

    /// <summary>Second loop's pairs are sorted by ratio, so that for each first pair only those in a band are looked at.</summary>
    private static RatioSearchResult TwoLoops(RatioSearchInput input, LoopCandidates[] loops, RatioAssessor assessor)
    {
        LoopPick[] firsts = [.. loops[0].Picks.Where(p => p.Breaks.Count == 0)];
        LoopPick[] seconds = [.. loops[1].Picks.Where(p => p.Breaks.Count == 0).OrderBy(p => p.Ratio)];
        double[] ratios = [.. seconds.Select(p => p.Ratio)];
        List<RatioCandidate> hits = [];
        int count = 0;
        foreach (LoopPick first in firsts)
        foreach ((double low, double high) in assessor.MergedBands)
        {
            for (
                int s = FirstAtLeast(ratios, low / first.Ratio);
                s < ratios.Length && ratios[s] <= high / first.Ratio;
                s++
            )
            {
                count++;
                hits.Add(assessor.Assess([first, seconds[s]], first.Ratio * ratios[s]));
            }
            // Only the best are listed: cut back now and then, so that a wide band can't fill the memory.
            if (hits.Count > 50 * MostTwoLoopHits)
                hits = [.. RatioRank.Sorted(hits, input.Ranking).Take(MostTwoLoopHits)];
        }
        RatioCandidate[] ranked = [.. RatioRank.Sorted(hits, input.Ranking).Take(MostTwoLoopHits)];
        return Result(
            input,
            assessor,
            ranked,
            count,
            [],
            ranked.Length > 0 ? [] : NearestOfTwo(firsts, seconds, assessor)
        );
    }

    private static int FirstAtLeast(double[] sorted, double bound)
    {
        int at = Array.BinarySearch(sorted, bound);
        at = at >= 0 ? at : ~at;
        while (at > 0 && sorted[at - 1] >= bound)
            at--;
        return at;
    }

    private static RatioCandidate[] Nearest(IReadOnlyList<RatioCandidate> hits, List<RatioCandidate> others) =>
        hits.Count > 0
            ? []
            :
            [
                .. others
                    .Where(c => c.OffMiddlePercent is not null && c.Loops[0].Breaks.Count == 0)
                    .OrderBy(c => Math.Abs(c.OffMiddlePercent!.Value))
                    .Take(2),
            ];

    private static RatioCandidate[] NearestOfTwo(LoopPick[] firsts, LoopPick[] seconds, RatioAssessor assessor)
    {
        if (assessor.MergedBands.Count == 0 || seconds.Length == 0)
            return [];
        double target = Math.Sqrt(assessor.MergedBands[0].Low * assessor.MergedBands[0].High);
        return
        [
            .. firsts
                .Select(first =>
                    (first, second: seconds.MinBy(s => Math.Abs(Math.Log(first.Ratio * s.Ratio / target)))!)
                )
                .OrderBy(p => Math.Abs(Math.Log(p.first.Ratio * p.second.Ratio / target)))
                .Take(2)
                .Select(p => assessor.Assess([p.first, p.second], p.first.Ratio * p.second.Ratio)),
        ];
    }

    private static RatioSearchResult Result(
        RatioSearchInput input,
        RatioAssessor assessor,
        IReadOnlyList<RatioCandidate> hits,
        int count,
        IReadOnlyList<RatioCandidate> others,
        IReadOnlyList<RatioCandidate> nearest
    ) =>
        new(
            assessor.Bands?.Bands ?? [],
            hits,
            count,
            others,
            nearest,
            assessor.FittedRatio,
            assessor.Gears,
            assessor.AimGear.Label,
            input.Search.Any(s => s.Work is null),
            assessor.Bands?.Workings ?? []
        );
}
