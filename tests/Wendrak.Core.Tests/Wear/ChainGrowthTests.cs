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

    /// <summary>
    /// By hand: 20 pitches of 15.875 mm are 317.5 mm. Under 500 N instead of 250 N it is 0.2 mm longer: 0.0008 mm/N. Measured with
    /// 500 N it is 250 N too many: 0.2 mm, 0.06299 %.
    /// </summary>
    [Fact]
    public void What_another_load_makes_of_it_is_taken_off_by_what_the_chain_itself_gives()
    {
        const double pitchesMm = 20 * 15.875;
        ChainGrowthInput hard = new("520", 20, MeasuredOver.Pins, [320.2, 319], Pull: new(500, 250, 320, 250));
        ChainGrowthResult result = Grown(hard);
        Assert.Equal(100 * 0.2 / pitchesMm, result.OfLoadPercent!.Value, 9);
        Assert.Equal(Grown(hard with { Pull = null, MeasuredMm = [320] }).WorstPercent, result.WorstPercent, 9);
        Assert.Equal(100 * 1.2 / pitchesMm, result.Percent[0] - result.Percent[1], 9);
        // Pulled with less than it should be it is longer than it was read.
        ChainGrowthResult slack = Grown(hard with { MeasuredMm = [320], Pull = new(250, 500, 320.2, 500) });
        Assert.Equal(-100 * 0.2 / pitchesMm, slack.OfLoadPercent!.Value, 9);
        Assert.Equal(Grown(hard with { Pull = null }).WorstPercent, slack.WorstPercent, 9);
        Assert.Equal("g", result.Workings[1].Result.Symbol);
    }

    [Fact]
    public void Without_a_second_load_nothing_is_taken_off()
    {
        ChainGrowthInput input = new("520", 20, MeasuredOver.Pins, [320], Pull: new(500, NominalN: 250));
        Assert.Null(Grown(input).OfLoadPercent);
        Assert.Equal(Grown(input with { Pull = null }).WorstPercent, Grown(input).WorstPercent);
    }

    [Fact]
    public void What_the_instrument_reads_short_is_put_on()
    {
        ChainGrowthInput input = new("520", 20, MeasuredOver.Pins, [320]);
        Assert.Equal(
            Grown(input with { MeasuredMm = [320.15] }).WorstPercent,
            Grown(input with { ReadsShortMm = 0.15 }).WorstPercent,
            9
        );
    }

    [Fact]
    public void A_pull_that_tells_nothing_is_refused_at_its_field()
    {
        ChainGrowthInput input = new("520", 20, MeasuredOver.Pins, [320.2]);
        void Refuses(string field, MeasuringPull pull) =>
            Refusals.Names(field, () => Grown(input with { Pull = pull }));
        Refuses("Pull.LoadN", new(0));
        Refuses("Pull.SecondLoadN", new(500, 340, 320.1));
        Refuses("Pull.SecondLoadN", new(500, SecondMm: 320.1));
        Refuses("Pull.SecondMm", new(500, 250));
        // Pulled less hard and longer.
        Refuses("Pull.SecondMm", new(500, 250, 320.3));
        Refusals.Names("ReadsShortMm", () => Grown(input with { ReadsShortMm = 6 }));
        Assert.Equal(0, Grown(input with { Pull = new(500, 300, 320.2, 250) }).OfLoadPercent);
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
