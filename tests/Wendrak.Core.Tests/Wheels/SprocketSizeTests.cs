using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tests.Gearing;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wheels;

namespace Wendrak.Core.Tests.Wheels;

public sealed class SprocketSizeTests
{
    private const string Rows = "engineering.md c; ISO 606, ASME B29.1 in Machinery's Handbook";

    [Fact]
    public void Diameters_agree_with_the_check_rows()
    {
        SprocketDiameters odd = SprocketSize.Compute(12.7, 17, 7.92, 12.07); // c1
        Published.AgreesWithin(0.01, 69.1158, odd.PitchDiameterMm, Rows);
        Published.AgreesWithin(0.01, 75.559, odd.OutsideMm, Rows);
        Published.AgreesWithin(0.01, 61.1958, odd.RootMm, Rows);
        Published.AgreesWithin(0.01, 60.901, odd.CaliperMm, Rows);
        Published.AgreesWithin(0.01, 54.477, odd.LargestHubMm, Rows);
        Published.AgreesWithin(0.01, 77.0708, odd.TipLargestMm, Rows);
        Published.AgreesWithin(0.01, 72.7005, odd.TipSmallestMm, Rows);
        Published.AgreesWithin(0.01, 54.6262, odd.LargestShroudMm!.Value, Rows);
        SprocketDiameters even = SprocketSize.Compute(15.875, 42, 10.16, null); // c2
        Published.AgreesWithin(0.01, 212.431, even.PitchDiameterMm, Rows);
        Published.AgreesWithin(0.01, 202.271, even.CaliperMm, Rows);
        Assert.Null(even.LargestShroudMm);
    }

    /// <summary>A gap in two holds a roller: the links lie on the circle of half as many teeth, the teeth are those of the short chain.</summary>
    [Fact]
    public void A_wheel_of_a_double_pitch_chain_is_counted_in_gaps()
    {
        SprocketDiameters wheel = SprocketSize.OfChain("208A", 21); // b6
        Published.AgreesWithin(0.01, 86.1732, wheel.PitchDiameterMm, "engineering.md b6; ISO 1275");
        Assert.Equal(86.1732 * Math.Cos(Math.PI / 42) - 7.92, wheel.CaliperMm, 0.01);
        Assert.InRange(wheel.OutsideMm, wheel.TipSmallestMm - 0.1, wheel.TipLargestMm);
        Loop chain = Drives.Chain("final", "in", "out") with { Standard = "208A" };
        Assert.Equal(wheel.OutsideMm, 2 * WheelOutline.For(chain, 21).OutsideRadiusMm, 1e-9);
        Refusals.Names("Teeth", () => SprocketSize.OfChain("208A", 9));
    }

    [Fact]
    public void A_toothed_pulley_is_smaller_outside_than_its_pitch_circle()
    {
        Loop belt = Drives.Chain("final", "in", "out") with
        {
            DriveElement = DriveElement.ToothedBelt,
            Standard = "8M",
        };
        WheelOutline outline = WheelOutline.For(belt, 30); // c3
        Published.AgreesWithin(0.01, 76.3944, 2 * outline.RunRadiusMm, Rows);
        Published.AgreesWithin(0.01, 75.0224, 2 * outline.OutsideRadiusMm, Rows);
        WheelOutline trapezoidal = WheelOutline.For(belt with { Standard = "L" }, 20); // c4
        Published.AgreesWithin(0.01, 60.638, 2 * trapezoidal.RunRadiusMm, Rows);
        Published.AgreesWithin(0.01, 59.876, 2 * trapezoidal.OutsideRadiusMm, Rows);
    }

    [Fact]
    public void A_chain_of_no_table_and_a_roller_larger_than_the_pitch_are_refused()
    {
        Loop odd = Drives.Chain("final", "in", "out") with { Standard = "no such chain" };
        Refusals.Names("Loop.Standard", () => WheelOutline.For(odd, 15));
        Refusals.Names("rollerDiameterMm", () => SprocketSize.Compute(12.7, 17, 12.7, null));
        Refusals.Names("Teeth", () => SprocketSize.Compute(12.7, 4, 7.92, null));
        InvalidInputException few = Assert.Throws<InvalidInputException>(() =>
            SprocketSize.Compute(25.4, 9, 7.92, null, gapsPerLink: 2)
        );
        Assert.Equal(2 * WheelSize.FewestChainTeeth, Assert.Single(few.Issues).Limit);
    }
}
