using Wendrak.Core.Gearing;
using static Wendrak.Core.Tests.Gearing.Searches;

namespace Wendrak.Core.Tests.Gearing;

public sealed class TwoLoopSearchTests
{
    private static RatioSearchInput TwoLoops(double low, double high, double? largest = null)
    {
        Drive drive = Drives.WithStages([Drives.Chain("first", "in", "jack"), Drives.Chain("final", "jack", "axle")]);
        LoopSearch first = new("first", 12, 16, 30, 40, false, false, largest, null, null, []);
        return new(
            drive,
            [new("first", 14, 36, null), new("final", 15, 45, null)],
            [],
            [first, Range(13, 17, 40, 48)],
            new FinalRatio(low, high),
            [],
            RatioRanking.Closeness,
            []
        );
    }

    [Fact]
    public void Two_loops_in_series_give_every_product_in_the_band()
    {
        RatioSearchResult result = RatioSearch.Run(TwoLoops(8.0, 8.05));
        int expected = 0;
        for (int a = 12; a <= 16; a++)
        for (int b = 30; b <= 40; b++)
        for (int c = 13; c <= 17; c++)
        for (int d = 40; d <= 48; d++)
            expected += (double)b / a * d / c is >= 8.0 and <= 8.05 ? 1 : 0;
        Assert.Equal(expected, result.HitCount);
        Assert.All(result.Hits, h => Assert.Equal(h.FinalRatio, h.Loops[0].Ratio * h.Loops[1].Ratio, 12));
    }

    [Fact]
    public void No_loop_of_two_passes_its_largest_ratio() =>
        Assert.All(RatioSearch.Run(TwoLoops(7, 9, 2.5)).Hits, h => Assert.True(h.Loops[0].Ratio <= 2.5));

    [Fact]
    public void A_wide_band_of_two_loops_lists_the_best_and_counts_all()
    {
        RatioSearchResult result = RatioSearch.Run(TwoLoops(5, 12));
        Assert.Equal(RatioSearch.MostTwoLoopHits, result.Hits.Count);
        Assert.True(result.HitCount > 2000);
        double[] off = [.. result.Hits.Select(h => Math.Round(Math.Abs(h.OffMiddlePercent!.Value), 4))];
        Assert.Equal(off.Order(), off);
    }

    [Fact]
    public void Two_loops_that_miss_the_band_name_the_nearest() =>
        Assert.Equal(2, RatioSearch.Run(TwoLoops(30, 31)).Nearest.Count);

    [Fact]
    public void Loops_beside_each_other_cannot_be_chosen_together()
    {
        Drive drive = Drives.WithStages(
            [Drives.Chain("a", "in", "left"), Drives.Chain("b", "in", "right")],
            new DriveOutput("left", "left", true, null),
            new DriveOutput("right", "right", true, null)
        );
        RatioSearchInput input = Search(null) with
        {
            Drive = drive,
            Fitted = [new("a", 15, 45, null), new("b", 15, 45, null)],
            Search = [Range(13, 17, 40, 48) with { LoopKey = "a" }, Range(13, 17, 40, 48) with { LoopKey = "b" }],
        };
        Refusals.Names("Search[1].LoopKey", () => RatioSearch.Run(input));
    }
}
