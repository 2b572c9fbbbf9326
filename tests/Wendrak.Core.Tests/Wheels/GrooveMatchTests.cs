using Wendrak.Core.Tables;
using Wendrak.Core.Wheels;

namespace Wendrak.Core.Tests.Wheels;

public sealed class GrooveMatchTests
{
    // A groove for A: datum width 11, top about 13.1, 2.75 above the datum line and 8.7 below it at least.
    private static readonly GrooveInput A = new("A", 112, 12.68, 11.5, null, null);

    [Theory]
    [InlineData("A", 100, 34)]
    [InlineData("A", 125, 38)]
    [InlineData("B", 180, 34)]
    [InlineData("B", 200, 38)]
    [InlineData("D", 450, 36)]
    public void Small_pulleys_have_the_narrower_angle(string section, double datum, double angle) =>
        Published.Agrees(angle, GrooveMatch.AngleFor(VSections.Find(section)!, datum), 0, "ISO 4183");

    [Fact]
    public void A_belt_rests_where_groove_and_belt_are_equally_wide()
    {
        GrooveResult seat = GrooveMatch.Judge(A);
        double widthThere = 12.68 + 2 * seat.AboveRimMm * Math.Tan(17 * Math.PI / 180);
        Assert.Equal(13, widthThere, 1e-9);
        Assert.Equal(11.5 + seat.AboveRimMm - 8, seat.BottomGapMm, 1e-9);
        Assert.Equal(GrooveVerdict.Seated, seat.Verdict);
        Assert.Equal(seat.AboveRimMm, seat.Workings[0].Result.Value);
    }

    [Theory]
    [InlineData("A", 12.68, 11.5, GrooveVerdict.Seated)]
    [InlineData("B", 12.68, 11.5, GrooveVerdict.StandsProud)] // a 17 mm belt in an A groove
    [InlineData("A", 16.5, 14, GrooveVerdict.SitsDeep)] // an A belt in a B groove
    [InlineData("A", 13.2, 8, GrooveVerdict.Bottoms)]
    public void The_wrong_section_is_told(string section, double top, double depth, GrooveVerdict verdict) =>
        Assert.Equal(
            verdict,
            GrooveMatch.Judge(A with { Section = section, TopWidthMm = top, DepthMm = depth }).Verdict
        );

    [Fact]
    public void A_measured_angle_and_a_hollow_are_judged()
    {
        Assert.True(GrooveMatch.Judge(A with { AngleDeg = 34.5 }).AngleFits);
        Assert.False(GrooveMatch.Judge(A with { AngleDeg = 38 }).AngleFits);
        Assert.Null(GrooveMatch.Judge(A).IsWorn);
        // 1/32 in under the gauge, common practice.
        Assert.True(GrooveMatch.Judge(A with { HollowMm = 0.9 }).IsWorn);
        Assert.False(GrooveMatch.Judge(A with { HollowMm = 0.5 }).IsWorn);
    }

    [Fact]
    public void Impossible_grooves_are_refused()
    {
        void Refused(string field, GrooveInput input) => Refusals.Names(field, () => GrooveMatch.Judge(input));
        Refused("Section", A with { Section = "Q" });
        Refused("TopWidthMm", A with { TopWidthMm = double.NaN });
        Refused("DepthMm", A with { DepthMm = 40 });
        Refused("AngleDeg", A with { AngleDeg = 0 });
        Refused("HollowMm", A with { HollowMm = -1 });
        Refused("DatumDiameterMm", A with { DatumDiameterMm = double.PositiveInfinity });
    }
}
