using CsCheck;
using Wendrak.Core.Lengths;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Lengths;

public sealed class BeltLengthTests
{
    private const string Rows = "engineering.md e; Shigley ch. 17";

    [Fact]
    public void Lengths_agree_with_the_check_rows()
    {
        Published.AgreesWithin(0.01, 2090.07, BeltLength.Mm(BeltArrangement.Open, 150, 400, 600), Rows); // e1
        Published.AgreesWithin(0.01, 2089.98, BeltLength.HandbookMm(BeltArrangement.Open, 150, 400, 600), Rows);
        Published.AgreesWithin(0.01, 2192.34, BeltLength.Mm(BeltArrangement.Crossed, 150, 400, 600), Rows); // e2
        Published.AgreesWithin(0.01, 2189.98, BeltLength.HandbookMm(BeltArrangement.Crossed, 150, 400, 600), Rows);
        Published.AgreesWithin(0.001, 484.829, BeltLength.CentreMm(BeltArrangement.Open, 112, 280, 1600), Rows); // e3
        Published.AgreesWithin(0.001, 484.847, BeltLength.HandbookCentreMm(112, 280, 1600), Rows);
        Published.AgreesWithin(0.001, 418.37, BeltLength.CentreMm(BeltArrangement.Open, 100, 250, 1400), Rows); // e5
    }

    /// <summary>Printed in inches: 6 and 18 in pulleys 8 ft apart wrap the small one by 3.0165 rad.</summary>
    [Fact]
    public void The_wrap_of_a_printed_example_follows_from_the_length()
    {
        const double inch = 25.4;
        // With L = 2C·cos α + π(D + d)/2 + α(D − d) and α = (π − 3.0165)/2.
        double alpha = (Math.PI - 3.0165) / 2;
        double expected = inch * (2 * 96 * Math.Cos(alpha) + Math.PI * 12 + alpha * 12);
        double found = BeltLength.Mm(BeltArrangement.Open, 6 * inch, 18 * inch, 96 * inch);
        Published.Agrees(expected, found, 0.01, "Shigley ch. 17, flat belt example (printed wrap from memory)");
    }

    [Fact]
    public void Solving_and_measuring_again_gives_the_same() =>
        Gen.Select(Gen.Double[20, 600], Gen.Double[20, 600], Gen.Double[1.01, 10], Gen.Bool)
            .Sample(
                (d1, d2, apart, crossed) =>
                {
                    BeltArrangement arrangement = crossed ? BeltArrangement.Crossed : BeltArrangement.Open;
                    double centre = apart * (d1 + d2) / 2;
                    double length = BeltLength.Mm(arrangement, d1, d2, centre);
                    Assert.Equal(centre, BeltLength.CentreMm(arrangement, d1, d2, length), 1e-6);
                    Assert.True(BeltLength.Mm(arrangement, d1, d2, centre + 1) > length);
                },
                iter: 500
            );

    /// <summary>Series expansion: the short form is short by (D ∓ d)⁴/(192·C³).</summary>
    [Fact]
    public void The_short_form_is_short_by_its_next_term() =>
        Gen.Select(Gen.Double[100, 300], Gen.Double[100, 300], Gen.Double[4, 10], Gen.Bool)
            .Sample(
                (d1, d2, apart, crossed) =>
                {
                    BeltArrangement arrangement = crossed ? BeltArrangement.Crossed : BeltArrangement.Open;
                    double centre = apart * (d1 + d2) / 2;
                    double across = crossed ? d1 + d2 : d1 - d2;
                    double term = Math.Pow(across, 4) / (192 * Math.Pow(centre, 3));
                    double found =
                        BeltLength.Mm(arrangement, d1, d2, centre) - BeltLength.HandbookMm(arrangement, d1, d2, centre);
                    Assert.Equal(term, found, 0.02 * term + 1e-6);
                },
                iter: 300
            );

    [Fact]
    public void A_coil_agrees_with_the_check_row_and_with_adding_its_turns()
    {
        CoilLengthResult coil = CoilLength.Compute(380, 120, 26, 5);
        Published.AgreesWithin(0.01, 20420.3, coil.LengthMm, "engineering.md e6");
        Assert.Equal((5.0, true), (coil.ImpliedThicknessMm, coil.Agree));
        Assert.Equal(coil.LengthMm, coil.Workings[0].Result.Value);
        // Turn by turn, each on top of the one before.
        double added = Enumerable.Range(0, 26).Sum(turn => Math.PI * (120 + 2 * 5 * turn + 5));
        Assert.Equal(added, coil.LengthMm, 1e-6);
        Assert.Equal(coil.LengthMm, CoilLength.Compute(380, 120, null, 5).LengthMm, 1e-6);
        Assert.False(CoilLength.Compute(380, 120, 26, 3).Agree);
    }

    [Fact]
    public void Impossible_belts_and_coils_are_refused()
    {
        Refusals.Names("CentreMm", () => BeltLength.Mm(BeltArrangement.Open, 100, 300, 99));
        Refusals.Names("CentreMm", () => BeltLength.Mm(BeltArrangement.Crossed, 100, 300, 199));
        Refusals.Names("Diameter1Mm", () => BeltLength.Mm(BeltArrangement.Open, 0, 300, 500));
        Refusals.Names("Diameter2Mm", () => BeltLength.Mm(BeltArrangement.Open, 100, double.NaN, 500));
        Refusals.Names("LengthMm", () => BeltLength.CentreMm(BeltArrangement.Open, 100, 300, 500));
        Refusals.Names("LengthMm", () => BeltLength.HandbookCentreMm(100, 300, 500));
        Refusals.Names("outerDiameterMm", () => CoilLength.Compute(100, 120, 5, null));
        Refusals.Names("turns", () => CoilLength.Compute(380, 120, null, null));
    }
}
