using Wendrak.Core.Fit;
using Wendrak.Core.Lengths;
using Wendrak.Core.Tests.Gearing;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Fit;

public sealed class LengthForCentreTests
{
    private static LengthForCentreInput Input(
        DriveElement element,
        string standard,
        double front,
        double rear,
        double c
    ) =>
        new(
            Drives.WithStages([
                Drives.Chain("final", "in", "axle") with
                {
                    DriveElement = element,
                    Standard = standard,
                },
            ]),
            new("final", front, rear, null),
            c,
            false
        );

    [Fact]
    public void A_toothed_belt_agrees_with_the_check_row()
    {
        LengthForCentreResult found = LengthForCentre.Find(Input(DriveElement.ToothedBelt, "8M", 28, 70, 420));
        // Whole tooth counts: 155 is nearest, but 1200 mm is of the standard's series and stands first.
        LengthAtCentre whole = found.Nearest.First(l => l.Length == 155);
        Published.AgreesWithin(0.001, 420.596, whole.CentreMm, "engineering.md e4");
        Published.AgreesWithin(0.001, 165.391, whole.SmallWrapDeg, "engineering.md e4");
        Assert.Equal(12, whole.TeethInMesh);
        Assert.Equal((150, true), ((int)found.Nearest[0].Length, found.Nearest[0].IsStandard));
    }

    [Fact]
    public void A_V_belt_agrees_with_the_check_row()
    {
        LengthForCentreResult found = LengthForCentre.Find(Input(DriveElement.VBelt, "A", 100, 250, 450));
        Published.AgreesWithin(0.01, 1462.31, found.NeededLength, "engineering.md e5");
        Assert.Equal(1400, found.Nearest[0].Length);
        Published.AgreesWithin(0.01, 418.37, found.Nearest[0].CentreMm, "engineering.md e5");
        Assert.Equal([1400.0, 1600, 1250, 1800], found.Nearest.Take(4).Select(l => l.Length));
    }

    [Fact]
    public void A_chain_agrees_with_the_check_row()
    {
        LengthForCentreResult found = LengthForCentre.Find(Input(DriveElement.Chain, "520", 15, 45, 640));
        Published.AgreesWithin(0.001, 111.196, found.NeededLength, "engineering.md d2");
        Published.AgreesWithin(0.001, 111.195, found.Handbook.Sum, "engineering.md d2");
        // By hand: 2·640/15.875, half of 15 + 45 teeth, and (30/2π)²·15.875/640.
        Assert.Equal(80.63, found.Handbook.Runs, 0.001);
        Assert.Equal(30, found.Handbook.Wheels);
        Assert.Equal(0.5655, found.Handbook.Difference, 0.0001);
        Assert.Equal(found.NeededLength, found.Workings[0].Result.Value);
        Assert.Equal(112, found.Nearest[0].Length);
        Published.AgreesWithin(0.001, 646.426, found.Nearest[0].CentreMm, "engineering.md d2");
        Assert.All(found.Nearest, l => Assert.Equal(0, l.Length % 2));
    }

    /// <summary>Growth of 1 percent, to first order and by closing the longer chain.</summary>
    [Fact]
    public void Growth_moves_the_axle_as_the_check_row_says()
    {
        double travel = ChainLength.ElongationTravelMm(15.875, 15, 44, 112, 650, 1);
        Published.AgreesWithin(0.01, 8.94674, travel, "engineering.md d6");
        double exact = ChainLength.CentreMm(15.875, 15, 44, 113.12) - ChainLength.CentreMm(15.875, 15, 44, 112);
        Assert.Equal(exact, travel, 0.01);
        Refusals.Names("ElongationPercent", () => ChainLength.ElongationTravelMm(15.875, 15, 44, 112, 650, -1));
    }

    [Fact]
    public void Impossible_distances_are_refused_and_a_cut_belt_has_no_list()
    {
        Assert.Empty(LengthForCentre.Find(Input(DriveElement.RoundBelt, "6 mm", 40, 80, 200)).Nearest);
        void Refused(string field, LengthForCentreInput input) =>
            Refusals.Names(field, () => LengthForCentre.Find(input));
        Refused("CentreMm", Input(DriveElement.Chain, "520", 15, 45, double.NaN));
        Refused("CentreMm", Input(DriveElement.Chain, "520", 15, 100, 20));
        // The smaller sprocket is not inside the larger one any more, but their tips still touch.
        Refused("CentreMm", Input(DriveElement.Chain, "520", 15, 45, 155));
        Refused("Choice.FrontSize", Input(DriveElement.Chain, "520", 0, 45, 640));
    }
}
