using Wendrak.Core.Lengths;

namespace Wendrak.Core.Tests.Lengths;

/// <summary>By hand, from the wedge: at 28° half the angle has a tangent of 0.24933, a shim of 1 mm lets the belt sink by 2.0054 mm.</summary>
public sealed class SheaveShimsTests
{
    private static readonly SheaveShimsInput High = new(28, 1, ShimSense.UnderOpeningBolts, 4, 0, 3, 2);

    [Fact]
    public void One_that_stands_high_is_let_down_by_taking_out_where_they_lie_under_opening_bolts()
    {
        SheaveShimsResult result = SheaveShims.Find(High);
        Assert.Equal(2.0054, result.PerShimMm, 4);
        Assert.Equal((2, 0, 1, 0), (result.Out, result.In, result.Left, result.Missing));
        Assert.Equal(4 - 2 * 2.0054, result.ThenMm, 3);
        Assert.Equal(result.PerShimMm, result.Workings.Single().Result.Value);
    }

    [Fact]
    public void Between_its_halves_they_work_the_other_way()
    {
        SheaveShimsResult result = SheaveShims.Find(High with { Sense = ShimSense.BetweenHalves });
        Assert.Equal((0, 2, 5), (result.Out, result.In, result.Left));
        SheaveShimsResult low = SheaveShims.Find(High with { Sense = ShimSense.BetweenHalves, StandsMm = -2 });
        Assert.Equal((1, 0, 2), (low.Out, low.In, low.Left));
        Assert.Equal(0.0054, low.ThenMm, 4);
        low = SheaveShims.Find(High with { StandsMm = -2 });
        Assert.Equal((0, 1, 4), (low.Out, low.In, low.Left));
    }

    [Fact]
    public void Where_none_is_left_it_says_how_many_are_short_and_where_the_belt_stands_then()
    {
        SheaveShimsResult result = SheaveShims.Find(High with { ShimsIn = 1 });
        Assert.Equal((1, 0, 1), (result.Out, result.Left, result.Missing));
        Assert.Equal(4 - 2.0054, result.ThenMm, 3);
        result = SheaveShims.Find(High with { ShimsIn = 0, Sense = ShimSense.BetweenHalves, Spare = 0 });
        Assert.Equal((0, 0, 0, 2), (result.Out, result.In, result.Left, result.Missing));
        Assert.Equal(4, result.ThenMm);
    }

    /// <summary>As it should be, and nearer to that than half a shim: nothing is touched.</summary>
    [Theory]
    [InlineData(0)]
    [InlineData(0.99)]
    [InlineData(-0.99)]
    public void Near_enough_is_left_as_it_is(double stands)
    {
        SheaveShimsResult result = SheaveShims.Find(High with { StandsMm = stands });
        Assert.Equal((0, 0, 3, 0, stands), (result.Out, result.In, result.Left, result.Missing, result.ThenMm));
    }

    /// <summary>The belt keeps its length: as one sheave gives way, so does the other.</summary>
    [Fact]
    public void The_ratio_moves_with_the_radius()
    {
        SheaveShimsInput asked = High with { RadiusMm = 60, CentreMm = 270, LengthMm = 850 };
        SheaveShimsResult driven = SheaveShims.Find(asked);
        Assert.True(driven.RatioThen < driven.RatioNow);
        SheaveShimsResult driver = SheaveShims.Find(asked with { IsDriver = true });
        Assert.True(driver.RatioThen > driver.RatioNow);
        Assert.Equal(1, driven.RatioNow!.Value * driver.RatioNow!.Value, 9);
        Assert.Null(SheaveShims.Find(High).RatioNow);
    }

    [Fact]
    public void What_can_t_be_is_refused_at_its_field()
    {
        void Refuses(string field, SheaveShimsInput input) => Refusals.Names(field, () => SheaveShims.Find(input));
        Refuses("SheaveAngleDeg", High with { SheaveAngleDeg = 0 });
        Refuses("SheaveAngleDeg", High with { SheaveAngleDeg = 90 });
        Refuses("ShimMm", High with { ShimMm = 0 });
        Refuses("Sense", High with { Sense = (ShimSense)9 });
        Refuses("StandsMm", High with { StandsMm = 31 });
        Refuses("WantedMm", High with { WantedMm = -31 });
        Refuses("ShimsIn", High with { ShimsIn = -1 });
        Refuses("Spare", High with { Spare = 31 });
        Refuses("RadiusMm", High with { CentreMm = 270, LengthMm = 850 });
        Refuses("CentreMm", High with { RadiusMm = 60, LengthMm = 850 });
        Refuses("LengthMm", High with { RadiusMm = 60, CentreMm = 270 });
        Refuses("LengthMm", High with { RadiusMm = 60, CentreMm = 270, LengthMm = 400 });
        Refuses("RadiusMm", High with { RadiusMm = 5, CentreMm = 270, LengthMm = 850 });
        Refuses("CentreMm", High with { RadiusMm = 60, CentreMm = 5, LengthMm = 850 });
    }
}
