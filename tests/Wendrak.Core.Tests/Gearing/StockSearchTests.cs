using Wendrak.Core.Gearing;
using static Wendrak.Core.Tests.Gearing.Searches;

namespace Wendrak.Core.Tests.Gearing;

public sealed class StockSearchTests
{
    [Fact]
    public void Stock_says_on_the_shelf_to_buy_other_mounting_or_not_obtainable()
    {
        Drive drive = Drives.Motorcycle();
        Stage[] stages = [.. drive.Stages.Select(s => s is Loop l ? l with { RearMounting = "6-hole" } : s)];
        RatioSearchInput input = Search(new FinalRatio(2.5, 3.2)) with
        {
            Drive = drive with { Stages = stages },
            Stock =
            [
                Wheel(WheelSide.Rear, 43, 1, 40, true, "6-hole"),
                Wheel(WheelSide.Rear, 44, 0, 47, true, "6-hole"),
                Wheel(WheelSide.Rear, 42, 3, 20, true, "4-hole"),
                Wheel(WheelSide.Rear, 41, 0, null, false, "6-hole"),
                Wheel(WheelSide.Front, 43, 9, 1, true, "6-hole"),
            ],
        };
        RatioSearchResult result = RatioSearch.Run(input);
        Dictionary<string, RatioCandidate> by = result.Hits.ToDictionary(h => Pairs([h])[0]);
        Assert.Equal(Availability.OnShelf, by["15/43"].Loops[0].Rear.Availability);
        Assert.Equal((Availability.ToBuy, 47), (by["15/44"].Loops[0].Rear.Availability, by["15/44"].Money));
        Assert.Equal(Availability.OtherMounting, by["15/42"].Loops[0].Rear.Availability);
        Assert.Equal(Availability.NotObtainable, by["15/41"].Loops[0].Rear.Availability);
        Assert.Equal(Availability.NotListed, by["15/46"].Loops[0].Rear.Availability);
        Assert.Equal(Availability.Fitted, by["15/45"].Loops[0].Rear.Availability);
        Assert.Null(by["15/46"].Money);
        // What can't be had stands behind everything that can.
        Assert.True(by["15/42"].Rank > by["16/44"].Rank);
        Assert.Contains(result.Hits, h => h.DecidedBy == RankTerm.Obtainable);
    }

    [Fact]
    public void The_shelf_alone_tries_what_lies_there_and_what_is_fitted()
    {
        RatioSearchInput input = Search(null, Range(13, 17, 40, 48) with { OnShelfOnly = true }) with
        {
            Stock = [Wheel(WheelSide.Front, 14, 1, 1, true, "x"), Wheel(WheelSide.Rear, 43, 0, 1, true, "x")],
        };
        Assert.Equal(["14/45", "15/45"], Pairs(RatioSearch.Run(input).Others).Order());
    }
}
