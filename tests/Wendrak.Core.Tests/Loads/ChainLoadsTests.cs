using Wendrak.Core.Loads;
using Wendrak.Core.Wheels;

namespace Wendrak.Core.Tests.Loads;

public sealed class ChainLoadsTests
{
    private const double KwPerHp = 0.7457; // mechanical horsepower

    [Fact]
    public void Pull_and_what_is_added_agree_with_the_check_row()
    {
        double speed = ChainPull.Speed.Value(16, 15.875, 2000); // g1
        double pull = ChainPull.OfTorque.Value(180, SprocketSize.PitchDiameterMm.Value(15.875, 16));
        double sag = ChainPull.Sag.Value(1, ChainPull.GravityMS2, 620, 15);
        Published.AgreesWithin(0.1, 8.46667, speed, "engineering.md g1");
        Published.AgreesWithin(0.1, 4424.1, pull, "engineering.md g1");
        Published.AgreesWithin(0.1, 71.6844, ChainPull.Standing.Value(1, speed, 0), "engineering.md g1");
        Published.AgreesWithin(0.1, 31.5611, sag, "engineering.md g1");
        Published.AgreesWithin(0.1, 6296.98, 1.4 * pull + ChainPull.Standing.Value(1, speed, sag), "engineering.md g1");
        // No speed, no centrifugal part.
        Assert.Equal(sag, ChainPull.Standing.Value(1, 0, sag));
    }

    [Theory]
    [InlineData(2, 30)]
    [InlineData(3, 28)]
    [InlineData(0.1, 38)]
    [InlineData(40, 15)]
    public void Pin_pressure_is_read_between_the_speeds_of_the_guide(double speed, double pressure) =>
        Assert.Equal(pressure, ChainPull.AllowedPinPressure(speed), 1e-9); // ISO 10823 charts, from memory

    [Fact]
    public void The_series_over_the_teeth_agrees_with_the_check_row()
    {
        ToothLoadsResult r = ToothLoads.Compute(17, 165, 3000); // g2
        Assert.Equal(7, r.TeethEngaged);
        Published.AgreesWithin(0.1, 428.571, r.EvenShareN, "engineering.md g2");
        Published.AgreesWithin(0.1, 20.5882, r.PressureAngleDeg, "engineering.md g2");
        Published.AgreesWithin(0.1, 0.527944, r.RatioPerTooth, "engineering.md g2");
        Published.AgreesWithin(0.1, 1627.04, r.FirstToothN, "engineering.md g2");
        Published.AgreesWithin(0.1, 34.2955, r.AfterLastN, "engineering.md g2");
    }

    /// <summary>Equilibrium of each link: the pulls before and after a tooth, and its force, close a triangle.</summary>
    [Theory]
    [InlineData(11, 120)]
    [InlineData(17, 165)]
    [InlineData(45, 200)]
    public void Each_tooth_balances_its_link_and_all_of_them_sum_to_the_torque(int teeth, double wrap)
    {
        const double pull = 1000;
        ToothLoadsResult r = ToothLoads.Compute(teeth, wrap, pull);
        double b = 2 * Math.PI / teeth;
        double phi = r.PressureAngleDeg * Math.PI / 180;
        double torque = 0;
        for (int k = 0; k < r.TeethEngaged; k++)
        {
            double before = pull * Math.Pow(r.RatioPerTooth, k);
            double after = before * r.RatioPerTooth;
            double tooth = before * Math.Sin(b) / Math.Sin(phi + b);
            // Law of cosines of the force triangle.
            Assert.Equal(tooth * tooth, before * before + after * after - 2 * before * after * Math.Cos(b), 1e-6);
            torque += before - after;
        }
        Assert.Equal(pull - r.AfterLastN, torque, 1e-9);
    }

    /// <summary>Shigley Eq. 17-32 and 17-33, engineering.md g3 and g4.</summary>
    [Theory]
    [InlineData(0.75, 17, 1200, 21.575, 22.7719, RatingLimit.LinkPlate)]
    [InlineData(0.5, 17, 3000, 14.7164, 4.16501, RatingLimit.RollerBushing)]
    [InlineData(0.5, 21, 900, 6.25635, 34.8009, RatingLimit.LinkPlate)]
    public void Ratings_agree_with_the_equations_of_the_textbook(
        double inch,
        int teeth,
        double rpm,
        double plateHp,
        double rollerHp,
        RatingLimit governs
    )
    {
        double mm = inch * 25.4;
        Published.AgreesWithin(0.1, plateHp, ChainRating.LinkPlateKw(mm, teeth, rpm) / KwPerHp, "g3 to g5");
        Published.AgreesWithin(0.1, rollerHp, ChainRating.RollerBushingKw(mm, teeth, rpm) / KwPerHp, "g3 to g5");
        Assert.Equal(governs, ChainRating.Of(mm, teeth, rpm).Governs);
    }

    /// <summary>Shigley Table 17-20: rated horsepower of 17 teeth, single strand, at 100 rpm, to its digits (from memory).</summary>
    [Theory]
    [InlineData(0.25, false, 0.09)] // no. 25
    [InlineData(0.375, false, 0.29)] // no. 35
    [InlineData(0.5, false, 0.69)] // no. 40
    [InlineData(0.5, true, 0.38)] // no. 41
    [InlineData(0.625, false, 1.34)] // no. 50
    [InlineData(0.75, false, 2.31)] // no. 60
    public void Ratings_agree_with_the_printed_table(double inch, bool light, double hp) =>
        Published.Agrees(hp, ChainRating.Of(inch * 25.4, 17, 100, light).Kw / KwPerHp, 0.005, "Shigley Table 17-20");

    [Theory]
    [InlineData(9.525)]
    [InlineData(12.7)]
    [InlineData(25.4)]
    public void Both_lines_of_the_tent_cross_at_its_top(double pitch)
    {
        double top = ChainRating.CrossingRpm(pitch, 17);
        Assert.Equal(ChainRating.LinkPlateKw(pitch, 17, top), ChainRating.RollerBushingKw(pitch, 17, top), 1e-9);
        Assert.Equal(RatingLimit.LinkPlate, ChainRating.Of(pitch, 17, top * 0.99).Governs);
        Assert.Equal(RatingLimit.RollerBushing, ChainRating.Of(pitch, 17, top * 1.01).Governs);
    }

    [Fact]
    public void Galling_strands_and_corrected_power_agree_with_the_check_rows()
    {
        Published.AgreesWithin(0.1, 7015.61, ChainRating.Galling(12.7, 21, 300 * 4.448222).Value, "engineering.md g5");
        Published.AgreesWithin(0.1, 8.18138, 6.25635 * ChainRating.StrandFactor(2) / 1.3, "engineering.md g5");
        Published.AgreesWithin(
            0.1,
            11.8402,
            ChainRating.ChartPowerIso.Value(7.5, 1.4, ChainRating.ToothFactorIso.Value(17)),
            "engineering.md g7"
        );
    }

    [Theory]
    [InlineData(19.05, 7, LubricationClass.BathOrSlinger)] // g6
    [InlineData(19.05, 1, LubricationClass.ManualOrDrip)]
    [InlineData(15.875, 18.9, LubricationClass.OilStream)]
    public void The_lubrication_class_follows_the_chain_speed(double pitch, double speed, LubricationClass expected) =>
        Assert.Equal(expected, ChainLubrication.ClassOf(pitch, speed));

    /// <summary>engineering.md g, the ACA's speeds as ANSI B29.1 prints them, ft/min: every column, so that none drifts.</summary>
    [Theory]
    [InlineData(6.35, 480, 3250)]
    [InlineData(9.525, 350, 2650)]
    [InlineData(12.7, 300, 2200)]
    [InlineData(15.875, 250, 1900)]
    [InlineData(19.05, 215, 1750)]
    [InlineData(25.4, 165, 1475)]
    [InlineData(31.75, 145, 1250)]
    [InlineData(38.1, 125, 1170)]
    [InlineData(44.45, 110, 1050)]
    [InlineData(50.8, 100, 1000)]
    public void Speeds_of_the_lubrication_classes_are_the_printed_ones(double pitch, double handFtMin, double bathFtMin)
    {
        (double hand, double bath) = ChainLubrication.UpTo(pitch);
        Assert.Equal((handFtMin, bathFtMin), (Math.Round(hand / 0.00508, 6), Math.Round(bath / 0.00508, 6)));
    }

    [Fact]
    public void What_is_not_physical_is_named()
    {
        Refusals.Names("teeth", () => ToothLoads.Compute(1, 165, 3000));
        Refusals.Names("strands", () => ChainRating.StrandFactor(7));
        Refusals.Names("rpm", () => ChainRating.Of(12.7, 17, 0));
        Refusals.Names("speedMS", () => ChainLubrication.ClassOf(12.7, -1));
    }
}
