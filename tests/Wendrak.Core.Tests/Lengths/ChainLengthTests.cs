using CsCheck;
using Wendrak.Core.Lengths;
using Wendrak.Core.Wheels;

namespace Wendrak.Core.Tests.Lengths;

public sealed class ChainLengthTests
{
    [Theory]
    [InlineData(12.7, 17, 51, 500, 113.485, 113.484)] // d1
    [InlineData(15.875, 15, 45, 640, 111.196, 111.195)] // d2
    public void Links_agree_with_the_check_rows(
        double pitch,
        int teeth1,
        int teeth2,
        double centre,
        double exact,
        double handbook
    )
    {
        Published.Agrees(exact, ChainLength.Links(pitch, teeth1, teeth2, centre), 0.0006, "engineering.md d1, d2");
        Published.Agrees(handbook, ChainLength.HandbookLinks(pitch, teeth1, teeth2, centre), 0.0006, "engineering.md");
    }

    [Theory]
    [InlineData(12.7, 17, 51, 114, 503.301)] // d1
    [InlineData(15.875, 15, 45, 112, 646.426)] // d2
    [InlineData(44.45, 17, 34, 76, 1115.88)] // d3
    [InlineData(15.875, 15, 44, 112, 650.714)] // d5
    public void Centres_agree_with_the_check_rows(double pitch, int teeth1, int teeth2, double links, double centre) =>
        Published.AgreesWithin(0.001, centre, ChainLength.CentreMm(pitch, teeth1, teeth2, links), "engineering.md d");

    /// <summary>Printed: C/p = 25.104 and 43.93 in at a pitch of 1.75 in for 17/34 teeth and 76 links.</summary>
    [Fact]
    public void A_printed_example_is_reproduced()
    {
        const string source = "Shigley ch. 17, roller chain example (printed numbers from memory)";
        Published.Agrees(75.79, ChainLength.HandbookLinks(44.45, 17, 34, 25 * 44.45), 0.005, source);
        double centre = ChainLength.HandbookCentreMm(44.45, 17, 34, 76);
        Published.Agrees(25.104, centre / 44.45, 0.0006, source);
        Published.Agrees(43.93, centre / 25.4, 0.006, source);
    }

    [Fact]
    public void Solving_and_measuring_again_gives_the_same_links_within_a_micrometre_of_centre() =>
        Gen.Select(Gen.Int[5, 120], Gen.Int[5, 120], Gen.Double[1.05, 30], Gen.Double[4, 80])
            .Sample(
                (n1, n2, apart, pitch) =>
                {
                    double centre =
                        apart * (SprocketSize.PitchRadiusMm(pitch, n1) + SprocketSize.PitchRadiusMm(pitch, n2));
                    double links = ChainLength.Links(pitch, n1, n2, centre);
                    Assert.Equal(centre, ChainLength.CentreMm(pitch, n1, n2, links), 1e-6 * Math.Max(1, centre / 1e3));
                },
                iter: 500
            );

    [Fact]
    public void The_short_form_is_not_longer_and_the_length_grows_with_the_centre() =>
        Gen.Select(Gen.Int[9, 60], Gen.Int[9, 60], Gen.Double[1.1, 10], Gen.Double[0.1, 100])
            .Sample(
                (n1, n2, apart, more) =>
                {
                    double centre = apart * (SprocketSize.PitchRadiusMm(10, n1) + SprocketSize.PitchRadiusMm(10, n2));
                    double links = ChainLength.Links(10, n1, n2, centre);
                    // engineering.md d says “always a little short”; 5 and 7 teeth near each other come out 0.00006 long.
                    Assert.True(ChainLength.HandbookLinks(10, n1, n2, centre) <= links + 1e-4);
                    Assert.True(ChainLength.Links(10, n1, n2, centre + more) > links);
                },
                iter: 500
            );

    /// <summary>Error of the short form in links at C = 1.1 and 2 times (R1 + R2), printed in engineering.md d.</summary>
    [Theory]
    [InlineData(15, 45, 1.1, 0.040, 0.001)]
    [InlineData(15, 45, 2, 0.006, 0.001)]
    [InlineData(17, 120, 1.1, 0.51, 0.01)]
    [InlineData(17, 120, 2, 0.08, 0.005)]
    public void The_short_form_is_short_by_what_is_printed(int n1, int n2, double apart, double error, double tolerance)
    {
        double centre = apart * (SprocketSize.PitchRadiusMm(10, n1) + SprocketSize.PitchRadiusMm(10, n2));
        double found = ChainLength.Links(10, n1, n2, centre) - ChainLength.HandbookLinks(10, n1, n2, centre);
        Published.Agrees(error, found, tolerance, "engineering.md d");
    }

    /// <summary>Common practice: two links more move the axle by one pitch, a tooth more by a quarter of one.</summary>
    [Fact]
    public void The_rules_of_thumb_hold_for_near_equal_sprockets()
    {
        double before = ChainLength.CentreMm(15.875, 20, 22, 100);
        Assert.Equal(15.875, ChainLength.CentreMm(15.875, 20, 22, 102) - before, 0.02);
        Assert.Equal(-15.875 / 4, ChainLength.CentreMm(15.875, 20, 23, 100) - before, 0.1);
    }

    [Theory]
    [InlineData(0, 15, 45, 600, "PitchMm")]
    [InlineData(double.NaN, 15, 45, 600, "PitchMm")]
    [InlineData(15.875, 4, 45, 600, "Teeth1")]
    [InlineData(15.875, 15, 1_000_000_000, 600, "Teeth2")]
    [InlineData(15.875, 15, 45, 0, "CentreMm")]
    [InlineData(15.875, 15, 45, 60, "CentreMm")]
    [InlineData(15.875, 15, 45, double.PositiveInfinity, "CentreMm")]
    public void Impossible_centres_are_refused(double pitch, int teeth1, int teeth2, double centre, string field) =>
        Refusals.Names(field, () => ChainLength.Links(pitch, teeth1, teeth2, centre));

    [Theory]
    [InlineData(20)]
    [InlineData(-4)]
    [InlineData(double.NaN)]
    [InlineData(double.PositiveInfinity)]
    public void Too_few_links_are_refused(double links)
    {
        Refusals.Names("Links", () => ChainLength.CentreMm(15.875, 15, 45, links));
        if (double.IsFinite(links))
            Refusals.Names("Links", () => ChainLength.HandbookCentreMm(15.875, 15, 45, links));
    }

    [Fact]
    public void Centre_advice_agrees_with_the_check_row()
    {
        CentreAdviceResult advice = CentreAdvice.Advise(19.05, 19, 76); // d4
        Published.AgreesWithin(0.01, 345.241, advice.LeastForWrapMm, "engineering.md d4");
        Published.AgreesWithin(0.01, 298.803, advice.LeastWithoutTouchMm, "engineering.md d4");
        Assert.Equal(
            (571.5, 952.5, 1524.0),
            (advice.RecommendedLeastMm, advice.RecommendedMostMm, advice.UpperLimitMm)
        );
    }
}
