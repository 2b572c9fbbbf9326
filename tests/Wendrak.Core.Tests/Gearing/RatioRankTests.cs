using Wendrak.Core.Gearing;
using static Wendrak.Core.Tests.Gearing.Searches;

namespace Wendrak.Core.Tests.Gearing;

public sealed class RatioRankTests
{
    [Fact]
    public void Least_work_is_front_before_rear_before_both()
    {
        RatioSearchResult result = RatioSearch.Run(Search(new CruiseSpeed(90, 5, 5020, 5330)));
        Assert.Equal(result.Hits.Select(h => h.WorkMinutes).Order(), result.Hits.Select(h => h.WorkMinutes));
        Assert.Equal((ChangedSprockets.FrontOnly, 25), (result.Hits[0].ChangedSprockets, result.Hits[0].WorkMinutes));
        Assert.Equal(RankTerm.First, result.Hits[0].DecidedBy);
        Assert.Equal(RankTerm.Minutes, result.Hits[1].DecidedBy);
        Assert.True(result.UsesDefaultWork);
    }

    [Fact]
    public void A_split_rear_sprocket_may_be_the_easy_one()
    {
        Drive drive = Drives.Motorcycle();
        Stage[] stages = [.. drive.Stages.Select(s => s is Loop l ? l with { RearIsSplit = true } : s)];
        RatioSearchInput input = Search(new CruiseSpeed(90, 5, 5020, 5330)) with
        {
            Drive = drive with { Stages = stages },
        };
        Assert.Equal(ChangedSprockets.RearOnly, RatioSearch.Run(input).Hits[0].ChangedSprockets);
    }

    [Fact]
    public void A_machine_s_own_work_figures_replace_the_defaults()
    {
        LoopSearch own = Range(13, 17, 40, 48) with { Work = new(90, 1, 20, 2, 95, 3) };
        RatioSearchInput input = Search(new CruiseSpeed(90, 5, 5020, 5330), own) with
        {
            Stock = [Wheel(WheelSide.Rear, 43, 1, 40, true, "any")],
        };
        RatioSearchResult result = RatioSearch.Run(input);
        Assert.Equal(
            (ChangedSprockets.RearOnly, 20, 2),
            (result.Hits[0].ChangedSprockets, result.Hits[0].WorkMinutes, result.Hits[0].Money)
        );
        Assert.False(result.UsesDefaultWork);
    }

    [Theory]
    [InlineData(RatioRanking.Closeness)]
    [InlineData(RatioRanking.Wear)]
    [InlineData(RatioRanking.Price)]
    [InlineData(RatioRanking.LeastWork)]
    public void Every_order_lists_the_same_hits_with_ranks_from_one(RatioRanking ranking)
    {
        RatioSearchResult result = RatioSearch.Run(Search(new FinalRatio(2.7, 3.1)) with { Ranking = ranking });
        Assert.Equal(Enumerable.Range(1, result.HitCount), result.Hits.Select(h => h.Rank!.Value));
        Assert.Equal(Pairs(RatioSearch.Run(Search(new FinalRatio(2.7, 3.1))).Hits).Order(), Pairs(result.Hits).Order());
    }

    [Fact]
    public void Closest_first_sorts_by_distance_from_the_middle()
    {
        RatioSearchResult result = RatioSearch.Run(
            Search(new FinalRatio(2.7, 3.1)) with
            {
                Ranking = RatioRanking.Closeness,
            }
        );
        double[] off = [.. result.Hits.Select(h => Math.Round(Math.Abs(h.OffMiddlePercent!.Value), 4))];
        Assert.Equal(off.Order(), off);
    }

    [Fact]
    public void Even_wear_puts_hunting_teeth_before_repeating_ones()
    {
        RatioSearchResult result = RatioSearch.Run(
            Search(new FinalRatio(2.7, 3.1)) with
            {
                Ranking = RatioRanking.Wear,
            }
        );
        HuntingResult first = result.Hits[0].Loops[0].Hunting!;
        HuntingResult last = result.Hits[^1].Loops[0].Hunting!;
        Assert.True(first.FrontHunts && first.RearHunts);
        Assert.False(last.FrontHunts || last.RearHunts);
    }

    /// <summary>The library's own stable sort, asked term by term, as a second opinion.</summary>
    [Theory]
    [InlineData(RatioRanking.LeastWork)]
    [InlineData(RatioRanking.Price)]
    [InlineData(RatioRanking.Closeness)]
    public void Orders_agree_with_sorting_term_by_term(RatioRanking ranking)
    {
        RatioSearchInput input = Search(new FinalRatio(2.5, 3.3), Range(11, 19, 36, 52)) with
        {
            Ranking = ranking,
            Stock =
            [
                .. Enumerable.Range(36, 17).Select(z => Wheel(WheelSide.Rear, z, z % 2, z, z % 5 != 0, "any")),
                .. Enumerable.Range(11, 9).Select(z => Wheel(WheelSide.Front, z, z % 3, 20 + z, z != 12, "any")),
            ],
        };
        IReadOnlyList<RatioCandidate> hits = RatioSearch.Run(input).Hits;
        Assert.Equal(Pairs(TermByTerm(hits, ranking)), Pairs(hits));
    }

    private static IEnumerable<RatioCandidate> TermByTerm(IEnumerable<RatioCandidate> hits, RatioRanking ranking)
    {
        static bool Missing(WheelSupply s) =>
            s.Availability is Availability.NotObtainable or Availability.OtherMounting;
        static double Closeness(RatioCandidate h) => Math.Round(Math.Abs(h.OffMiddlePercent!.Value), 4);
        static double Money(RatioCandidate h) => h.Money ?? double.MaxValue;
        IOrderedEnumerable<RatioCandidate> can = hits.OrderBy(h =>
            Missing(h.Loops[0].Front) || Missing(h.Loops[0].Rear)
        );
        IOrderedEnumerable<RatioCandidate> byTerms = ranking switch
        {
            RatioRanking.Closeness => can.ThenBy(Closeness).ThenBy(h => h.WorkMinutes),
            RatioRanking.Price => can.ThenBy(Money).ThenBy(h => h.WorkMinutes).ThenBy(Closeness),
            _ => can.ThenBy(h => h.WorkMinutes).ThenBy(Money).ThenBy(Closeness),
        };
        return byTerms.ThenByDescending(h => h.Loops[0].FrontSize).ThenByDescending(h => h.Loops[0].RearSize);
    }

    [Fact]
    public void Equals_in_every_term_stand_with_the_larger_front_first()
    {
        // 14/42 and 16/48 have one ratio, and with the fitted 15/45 aside the same work.
        RatioSearchInput input = Search(new FinalRatio(2.99, 3.01), Range(14, 16, 42, 48)) with
        {
            Stock = [Wheel(WheelSide.Front, 14, 1, 0, true, "any"), Wheel(WheelSide.Front, 16, 1, 0, true, "any")],
        };
        RatioSearchResult result = RatioSearch.Run(input);
        Assert.Equal(["15/45", "16/48", "14/42"], Pairs(result.Hits));
        Assert.Equal(RankTerm.LargerFront, result.Hits[2].DecidedBy);
    }
}
