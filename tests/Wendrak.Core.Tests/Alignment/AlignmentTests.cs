using Wendrak.Core.Alignment;

namespace Wendrak.Core.Tests.Alignment;

public sealed class AlignmentTests
{
    /// <summary>engineering.md j1.</summary>
    [Fact]
    public void Four_gaps_agree_with_the_check_row()
    {
        FourGapResult r = FourGaps.Of([0, 200, 600, 720], [0, 0, 2, 3.2], 30, 30);
        Published.AgreesWithin(0.1, 2.6, r.OffsetMm, "engineering.md j1");
        Published.AgreesWithin(0.1, 0.572939, r.AngleDeg, "engineering.md j1");
        Published.AgreesWithin(0.1, 4.64286, r.OffsetMmPerM, "engineering.md j1");
        Published.AgreesWithin(0.1, 0.266014, r.OffsetAngleDeg, "engineering.md j1");
        Assert.True(r.EdgeLies);
    }

    /// <summary>A wider rim's face stands further out by half of what it is wider.</summary>
    [Fact]
    public void Rims_of_unequal_width_are_counted_in()
    {
        double even = FourGaps.Of([0, 200, 600, 720], [0, 0, 2, 2], 30, 30).OffsetMm;
        double wider = FourGaps.Of([0, 200, 600, 720], [0, 0, 2, 2], 34, 30).OffsetMm;
        Assert.Equal(even - 2, wider, 1e-12);
        Assert.False(FourGaps.Of([0, 200, 600, 720], [0, 0.8, 2, 2], 30, 30).EdgeLies);
    }

    /// <summary>engineering.md j2.</summary>
    [Fact]
    public void A_skewed_axle_agrees_with_the_check_row()
    {
        AxleSkewResult r = AxleSkew.Of(612, 613.5, 250, 1.25);
        Published.AgreesWithin(0.1, 0.343771, r.SkewDeg, "engineering.md j2");
        Assert.Equal((1.5, -1.2, Side.Left), (r.DifferenceMm, Math.Round(r.RightTurnsToSquare!.Value, 9), r.WalksTo));
        Assert.Null(AxleSkew.Of(612, 612, 250, 1.25).WalksTo);
    }

    [Fact]
    public void What_is_no_straight_edge_is_refused()
    {
        Refusals.Names("xMm[1]", () => FourGaps.Of([0, 0, 600, 720], [0, 0, 2, 2], 30, 30));
        Refusals.Names("xMm[3]", () => FourGaps.Of([0, 200, 600, 600], [0, 0, 2, 2], 30, 30));
        Refusals.Names("gapMm[2]", () => FourGaps.Of([0, 200, 600, 720], [0, 0, 51, 2], 30, 30));
        Refusals.Names("xMm", () => FourGaps.Of([0, 200], [0, 0], 30, 30));
        Refusals.Names("spacingMm", () => AxleSkew.Of(612, 613, 0, 1.25));
    }
}
