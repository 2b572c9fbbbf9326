using Wendrak.Core.Gearing;
using Wendrak.Core.Records;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Gearing;

/// <summary>A first range holds what the shelf offers and what the aim can reach.</summary>
public sealed class StartingSearchTests
{
    private static StartingSearchInput Input(AimTarget? aim, params StockWheel[] stock) =>
        new(Drives.Motorcycle(), Drives.Pair(15, 45), [], ["final"], aim, [], null, stock);

    private static LoopSearch Of(AimTarget? aim, params StockWheel[] stock) =>
        Assert.Single(StartingSearch.For(Input(aim, stock)));

    [Fact]
    public void Without_shelf_and_aim_it_is_the_range_around_what_is_fitted()
    {
        StartingSearchInput input = Input(null);
        Loop loop = input.Drive.Stages.OfType<Loop>().Single();
        LoopSearch around = SearchAround.Fitted(loop, input.Fitted[0], null);
        Assert.Equal(
            (around.FrontMin, around.FrontMax, around.RearMin, around.RearMax),
            (Of(null).FrontMin, Of(null).FrontMax, Of(null).RearMin, Of(null).RearMax)
        );
    }

    [Fact]
    public void It_holds_the_wheels_on_the_shelf_that_are_made_for_the_loop()
    {
        StockWheel small = new("520", WheelSide.Rear, 30, null, 1, 20, true);
        Assert.Equal(30, Of(null, small).RearMin);
        Assert.Equal(40, Of(null, small with { Standard = "428" }).RearMin);
        Assert.Equal(40, Of(null, small with { Count = 0 }).RearMin);
        Assert.Equal(10, Of(null, small with { Side = WheelSide.Front, Size = 10 }).FrontMin);
    }

    /// <summary>Ratios from far above to far below what is fitted: where a pair exists, the range holds one.</summary>
    [Theory]
    [InlineData(1.9)]
    [InlineData(2.5)]
    [InlineData(3.0)]
    [InlineData(3.6)]
    [InlineData(4.4)]
    public void It_reaches_the_aim(double ratio)
    {
        FinalRatio aim = new(ratio * 0.99, ratio * 1.01);
        LoopSearch search = Of(aim);
        RatioSearchResult found = RatioSearch.Run(Searches.Search(aim, search));
        Assert.True(found.HitCount > 0);
    }

    [Fact]
    public void What_nothing_reaches_does_not_widen_it() =>
        Assert.Equal((40, 50), (Of(new FinalRatio(20, 21)).RearMin, Of(new FinalRatio(20, 21)).RearMax));

    [Fact]
    public void A_pulley_is_widened_to_any_diameter()
    {
        MachineDraft winch = StartingMachines.For(MachineKind.Winch);
        Drive drive = winch.Machine.Drives[0];
        LoopSearch search = StartingSearch
            .For(new(drive, winch.Fitted, [], ["final"], new FinalRatio(4.9, 5.1), [], null, []))
            .Single();
        Assert.True(search.RearMax / search.FrontMin >= 4.9);
    }

    [Theory]
    [InlineData(-1e300)]
    [InlineData(1e300)]
    [InlineData(double.NaN)]
    public void A_wheel_in_stock_of_no_size_is_refused_and_not_looked_for_without_end(double size) =>
        Refusals.Names(
            "Stock[0].Size",
            () =>
                StartingSearch.For(
                    Input(new FinalRatio(2, 3), new StockWheel("520", WheelSide.Rear, size, null, 1, null, true))
                )
        );

    [Fact]
    public void A_loop_that_is_not_there_is_refused() =>
        Refusals.Names("LoopKeys[0]", () => StartingSearch.For(Input(null) with { LoopKeys = ["other"] }));
}
