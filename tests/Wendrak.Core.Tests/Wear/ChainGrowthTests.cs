using Wendrak.Core.Wear;

namespace Wendrak.Core.Tests.Wear;

/// <summary>Growth of a chain. Checks k1 and k2 of the engineering reference; the others by hand.</summary>
public sealed class ChainGrowthTests
{
    private static ChainGrowthResult Grown(ChainGrowthInput input) => ChainGrowth.Compute(input);

    /// <summary>k1: 321.0 mm over 20 pitches of 15.875 mm; k2: 314.4 mm outside the rollers, 7.75 mm each, over 24 of 12.7 mm.</summary>
    [Theory]
    [InlineData("520", 20, MeasuredOver.Pins, 321.0, 1.10236)]
    [InlineData("1/2 x 11/128", 24, MeasuredOver.OuterRollers, 314.4, 0.606955)]
    public void As_the_reference_has_it(
        string chain,
        int pitches,
        MeasuredOver over,
        double measuredMm,
        double percent
    ) => Assert.Equal(percent, Grown(new(chain, pitches, over, [measuredMm])).WorstPercent, 5e-4 * percent);

    [Fact]
    public void Its_worst_place_counts_and_all_are_told()
    {
        ChainGrowthResult result = Grown(new("520", 20, MeasuredOver.Pins, [319, 321, 320]));
        Assert.Equal(3, result.Percent.Count);
        Assert.Equal(result.Percent[1], result.WorstPercent);
        Assert.Equal(result.Percent[1] - result.Percent[0], result.SpreadPercent, 12);
        Assert.Equal(321, result.Workings.Single().Values[0].Value);
    }

    /// <summary>Jaws outside press the rollers together, jaws inside push them apart: both lengths are of the same chain.</summary>
    [Fact]
    public void Outside_and_inside_the_same_chain_has_grown_alike()
    {
        const double play = 0.2;
        const double pins = 320;
        double roller = Core.Tables.Chains.Find("520")!.RollerDiameterMm;
        double outside = Grown(new("520", 20, MeasuredOver.OuterRollers, [pins + roller - play], play)).WorstPercent;
        double inside = Grown(new("520", 20, MeasuredOver.InnerRollers, [pins - roller + play], play)).WorstPercent;
        Assert.Equal(Grown(new("520", 20, MeasuredOver.Pins, [pins])).WorstPercent, outside, 9);
        Assert.Equal(outside, inside, 9);
    }

    [Fact]
    public void What_no_chain_can_be_is_refused_at_its_field()
    {
        ChainGrowthInput good = new("520", 20, MeasuredOver.Pins, [320, 320]);
        Refusals.Names("ChainId", () => Grown(good with { ChainId = "none" }));
        Refusals.Names("Pitches", () => Grown(good with { Pitches = 5 }));
        Refusals.Names("MeasuredMm", () => Grown(good with { MeasuredMm = [] }));
        // One pitch too many counted, or too few.
        Refusals.Names("MeasuredMm[1]", () => Grown(good with { MeasuredMm = [320, 320 + 15.875 * 2] }));
        Refusals.Names("MeasuredMm[0]", () => Grown(good with { MeasuredMm = [320 - 15.875] }));
        Refusals.Names("MeasuredMm[0]", () => Grown(good with { MeasuredMm = [double.NaN] }));
        Refusals.Names("RollerPlayMm", () => Grown(good with { RollerPlayMm = -0.1 }));
    }
}
