using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Lengths;
using Wendrak.Core.Loops;
using Wendrak.Core.Tests.Gearing;

namespace Wendrak.Core.Tests.Fit;

public sealed class PairFitsTests
{
    private static readonly LoopChoice Fitted = new("final", 15, 45, 112);

    private static IReadOnlyList<PairFit> Of(LoopLayout layout, params WheelPair[] pairs) =>
        PairFits.Find(new(Drives.Motorcycle(), Fitted, layout, pairs));

    [Fact]
    public void The_axle_moves_by_the_difference_of_the_centres()
    {
        PairFit[] fits = [.. Of(Fits.Slot(628, 668), new(15, 45), new(15, 43), new(14, 45), new(16, 46))];
        Assert.Equal(0, fits[0].MoveMm!.Value, 1e-6);
        double fitted = ChainLength.CentreMm(15.875, 15, 45, 112);
        foreach (PairFit fit in fits)
        {
            double centre = ChainLength.CentreMm(15.875, (int)fit.FrontSize, (int)fit.RearSize, 112);
            Assert.Equal(centre - fitted, fit.MoveMm!.Value, 1e-5);
            Assert.True(fit.Fits);
            Assert.Equal(0, fit.LengthChange);
        }
        // Common practice: a tooth is worth about a quarter of a pitch at the axle.
        Assert.Equal(2 * 15.875 / 4, fits[1].MoveMm!.Value, 1.0);
    }

    /// <summary>The question the other way round gives back the pair it was asked from.</summary>
    [Theory]
    [InlineData(15, 43)]
    [InlineData(14, 46)]
    [InlineData(16, 45)]
    public void A_move_of_the_axle_asks_for_the_teeth_that_make_it(double front, double rear)
    {
        double move = ChainLength.CentreMm(15.875, front, rear, 112) - ChainLength.CentreMm(15.875, 15, 45, 112);
        IReadOnlyList<PairForMove> result = PairsForMove.Find(
            new(Drives.Motorcycle(), Fitted, Fits.Slot(610, 690), move)
        );
        Assert.Equal((front, rear), (result[0].FrontSize, result[0].RearSize));
        Assert.Equal(0, result[0].OffMm, 1e-5);
        Assert.Equal((rear / front / 3 - 1) * 100, result[0].RatioChangePercent, 1e-9);
        Assert.Equal(result.OrderBy(p => Math.Abs(p.OffMm)), result);
        Refusals.Names(
            "MoveMm",
            () => PairsForMove.Find(new(Drives.Motorcycle(), Fitted, Fits.Slot(610, 690), double.NaN))
        );
    }

    [Fact]
    public void A_pair_beyond_the_slot_says_how_many_links_to_change()
    {
        PairFit[] fits = [.. Of(Fits.Slot(640, 655), new(15, 40), new(15, 50), new(20, 70))];
        Assert.Equal([(false, -2.0), (false, 2.0)], fits[..2].Select(f => (f.Fits, f.LengthChange!.Value)));
        Assert.All(fits[..2], f => Assert.Null(f.MoveMm));
        Assert.True(fits[2].LengthChange > 8);
    }

    [Fact]
    public void Fixed_centres_and_an_uncounted_chain_say_nothing()
    {
        Assert.Null(Of(Fits.Slot(640, 655) with { Moving = null }, new WheelPair(15, 43))[0].LengthChange);
        PairFitsInput uncounted = new(
            Drives.Motorcycle(),
            Fitted with
            {
                Links = null,
            },
            Fits.Slot(628, 668),
            [new(15, 43)]
        );
        Assert.Null(PairFits.Find(uncounted)[0].MoveMm);
    }

    [Fact]
    public void Wrong_pairs_and_too_many_are_refused()
    {
        Refusals.Names("Pairs[0].FrontSize", () => Of(Fits.Slot(628, 668), new WheelPair(0, 43)));
        WheelPair[] many = [.. Enumerable.Repeat(new WheelPair(15, 43), PairFits.MostPairs + 1)];
        Refusals.Names("Pairs", () => Of(Fits.Slot(628, 668), many));
    }
}
