using Wendrak.Core.Gearing;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Gearing;

public sealed class SupplyTests
{
    private static readonly Loop Loop = Drives.Chain("final", "a", "b") with
    {
        FrontMounting = "13-spline",
        RearMounting = null,
    };

    private static StockWheel Wheel(double size, string? mounting, int count, double? price, bool obtainable = true) =>
        new("520", WheelSide.Front, size, mounting, count, price, obtainable);

    private static WheelSupply Of(double size, params StockWheel[] stock) =>
        Supply.Find(stock, Loop, WheelSide.Front, size, 15);

    [Fact]
    public void The_wheel_on_the_machine_costs_nothing() => Assert.Equal(new(Availability.Fitted, 0), Of(15));

    [Fact]
    public void One_on_the_shelf_beats_one_to_be_bought() =>
        Assert.Equal(
            new(Availability.OnShelf, 0),
            Of(14, Wheel(14, "13-spline", 0, 20), Wheel(14, "13-spline", 2, 25))
        );

    [Fact]
    public void The_cheapest_offer_counts_and_an_unknown_price_is_no_offer() =>
        Assert.Equal(
            new(Availability.ToBuy, 20),
            Of(14, Wheel(14, "13-spline", 0, 25), Wheel(14, "13-spline", 0, 20), Wheel(14, "13-spline", 0, null))
        );

    [Fact]
    public void A_wheel_without_a_noted_mounting_fits_any_shaft() =>
        Assert.Equal(Availability.OnShelf, Of(14, Wheel(14, null, 1, 20)).Availability);

    /// <summary>Not said is not “any”.</summary>
    [Fact]
    public void On_a_machine_whose_mounting_nobody_said_a_wheel_may_fit_or_not()
    {
        Loop unsaid = Loop with { FrontMounting = null };
        WheelSupply On(StockWheel wheel) => Supply.Find([wheel], unsaid, WheelSide.Front, 14, 15);
        Assert.Equal(new(Availability.MountingNotSaid, 0), On(Wheel(14, "13-spline", 1, 20)));
        Assert.Equal(new(Availability.MountingNotSaid, 20), On(Wheel(14, "13-spline", 0, 20)));
        Assert.Equal(new(Availability.OnShelf, 0), On(Wheel(14, null, 1, 20)));
    }

    [Fact]
    public void Words_of_a_mounting_are_compared_without_case_and_spaces_around() =>
        Assert.Equal(Availability.OnShelf, Of(14, Wheel(14, " 13-SPLINE ", 1, 20)).Availability);

    [Fact]
    public void Another_chain_is_another_wheel() =>
        Assert.Equal(
            Availability.NotListed,
            Of(14, Wheel(14, "13-spline", 1, 20) with { Standard = "525" }).Availability
        );

    [Theory]
    [InlineData(15, 45, 13, 17, 40, 50)]
    [InlineData(46, 24, 40, 52, 21, 27)]
    [InlineData(6, 10, 5, 8, 7, 13)]
    public void A_search_starts_around_what_is_fitted(
        double front,
        double rear,
        double f0,
        double f1,
        double r0,
        double r1
    )
    {
        LoopSearch search = SearchAround.Fitted(Loop, new("final", front, rear, 112), null);
        Assert.Equal((f0, f1, r0, r1), (search.FrontMin, search.FrontMax, search.RearMin, search.RearMax));
        Assert.Equal(112, search.Links);
    }

    [Fact]
    public void Pulleys_are_searched_among_the_standard_diameters() =>
        Assert.True(
            SearchAround
                .Fitted(Loop with { DriveElement = DriveElement.VBelt }, new("final", 90, 355, null), null)
                .StandardSizesOnly
        );
}
