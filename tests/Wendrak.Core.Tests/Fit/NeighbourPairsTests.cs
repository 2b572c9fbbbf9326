using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Lengths;
using Wendrak.Core.Tests.Gearing;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Fit;

public sealed class NeighbourPairsTests
{
    [Fact]
    public void Both_sides_of_an_odd_change_are_told()
    {
        NeighbourPairsResult found = NeighbourPairs.Find(Fits.Motorcycle(Fits.Slot(630, 670), 15, 44, 112));
        Assert.Equal([14.0, 15, 16], found.Fronts);
        Assert.Equal([41.0, 42, 43, 44, 45, 46, 47], found.Rears);
        Assert.Equal(21, found.Pairs.Count);
        double stands = ChainLength.CentreMm(15.875, 15, 44, 112);
        foreach (NeighbourPair pair in found.Pairs)
        {
            (int front, int rear) = ((int)pair.Fit.FrontSize, (int)pair.Fit.RearSize);
            double centre = ChainLength.CentreMm(15.875, front, rear, 112);
            Assert.Equal(centre is >= 630 and <= 670, pair.Fit.Fits);
            if (pair.Fit.Fits)
                Assert.Equal(centre - stands, pair.Fit.MoveMm!.Value, 1e-6);
            Assert.Equal(((double)rear / front / (44.0 / 15) - 1) * 100, pair.RatioChangePercent, 1e-9);
        }
    }

    /// <summary>One tooth more on either sprocket moves the axle forward by a quarter of the pitch. Common practice.</summary>
    [Fact]
    public void One_tooth_is_about_a_quarter_pitch_of_the_axle()
    {
        NeighbourPairsResult found = NeighbourPairs.Find(Fits.Motorcycle(Fits.Slot(630, 670), 15, 44, 112));
        NeighbourPair more = found.Pairs.First(p => p.Fit.FrontSize == 15 && p.Fit.RearSize == 45);
        Published.AgreesWithin(15, -15.875 / 4, more.Fit.MoveMm!.Value, "common practice, engineering.md d");
    }

    [Fact]
    public void Friction_pulleys_step_along_the_preferred_diameters()
    {
        Drive belt = Drives.WithStages([
            Drives.Chain("final", "in", "axle") with
            {
                DriveElement = DriveElement.VBelt,
                Standard = "A",
            },
        ]);
        LoopChoice choice = new("final", 100, 250, null, 1400);
        NeighbourPairsResult found = NeighbourPairs.Find(
            new(belt, choice, choice, Fits.Slot(400, 440), null, false, null)
        );
        Assert.Equal([95.0, 100, 106], found.Fronts);
        Assert.Equal([180.0, 200, 224, 250, 280, 315, 355], found.Rears);
    }
}
