using Wendrak.Core.Lengths;

namespace Wendrak.Core.Tests.Lengths;

public sealed class CutBeltTests
{
    private static readonly CutBeltInput Cord = new(CutBeltKind.WeldedCord, 1080, 8, 2, 6, 40, null);

    [Fact]
    public void A_cord_stretched_onto_its_path_measures_the_path()
    {
        CutBeltResult cut = CutBelt.Compute(Cord);
        Assert.Equal(1000, cut.FreeLengthMm, 1e-9);
        Assert.Equal(1002, cut.CutLengthMm, 1e-9);
        // Hooke: 40 MPa · 8 % on a circle of 6 mm.
        Assert.Equal(40 * 0.08 * Math.PI * 9, cut.PullN!.Value, 1e-9);
        Assert.Equal([cut.CutLengthMm, cut.FreeLengthMm, cut.PullN.Value], cut.Workings.Select(w => w.Result.Value));
    }

    [Fact]
    public void A_ring_is_bought_by_its_inside()
    {
        CutBeltResult ring = CutBelt.Compute(Cord with { Kind = CutBeltKind.ORing, JointMm = 0 });
        // Its middle line, stretched by 8 %, is the path.
        Assert.Contains(ring.Workings, w => w.Result.Value == ring.InsideDiameterMm);
        Assert.Equal(1080, Math.PI * (ring.InsideDiameterMm!.Value + 6) * 1.08, 1e-9);
    }

    [Fact]
    public void A_link_belt_has_whole_links()
    {
        CutBeltInput links = Cord with { Kind = CutBeltKind.LinkBelt, LinkPitchMm = 9.5, StretchPercent = 5 };
        Assert.Equal((int)Math.Floor(1080 / 1.05 / 9.5), CutBelt.Compute(links).Links);
    }

    [Fact]
    public void The_usual_stretch_stands_in_and_is_told()
    {
        CutBeltResult usual = CutBelt.Compute(Cord with { StretchPercent = null });
        Assert.InRange(usual.StretchPercent, 5, 10);
        Assert.True(usual.Workings[1].Values[1].IsDefault);
        Assert.True(usual.IsUsualStretch);
        Assert.False(CutBelt.Compute(Cord with { StretchPercent = 12 }).IsUsualStretch);
    }

    [Fact]
    public void Wrong_cords_are_refused()
    {
        void Refused(string field, CutBeltInput input) => Refusals.Names(field, () => CutBelt.Compute(input));
        Refused("FittedMm", Cord with { FittedMm = 0 });
        Refused("FittedMm", Cord with { FittedMm = double.NaN });
        Refused("StretchPercent", Cord with { StretchPercent = -1 });
        Refused("JointMm", Cord with { JointMm = double.PositiveInfinity });
        Refused("SectionMm", Cord with { Kind = CutBeltKind.ORing, SectionMm = null });
        Refused("SectionMm", Cord with { Kind = CutBeltKind.ORing, FittedMm = 100, SectionMm = 40 });
        Refused("LinkPitchMm", Cord with { LinkPitchMm = 0 });
    }
}
