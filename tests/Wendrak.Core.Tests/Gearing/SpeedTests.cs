using CsCheck;
using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Tests.Gearing;

public sealed class SpeedTests
{
    [Fact]
    public void Road_speed_agrees_with_the_check_row() =>
        Published.AgreesWithin(0.01, 113.226, RoadSpeed.Kmh.Value(6000, 6.2, 1950), "engineering.md a4");

    [Theory]
    [InlineData(3000, 26, 3.5)]
    [InlineData(5500, 24.8, 6.9)]
    public void Road_speed_agrees_with_the_trade_s_constant_of_336(double rpm, double tyreInches, double ratio)
    {
        double mph =
            RoadSpeed.Kmh.Value(rpm, ratio, Math.PI * tyreInches * UnitFactors.MmPerInch) / UnitFactors.KmPerMile;
        double expected = rpm * tyreInches / (ratio * 336);
        Published.AgreesWithin(0.05, expected, mph, "mph = rpm · diameter in inches / (ratio · 336), common practice");
    }

    [Fact]
    public void Shaft_speed_is_the_way_back_from_road_speed() =>
        Gen.Select(Gen.Double[100, 15000], Gen.Double[0.2, 60], Gen.Double[200, 3000])
            .Sample(
                (rpm, ratio, u) =>
                    Assert.Equal(
                        rpm,
                        RoadSpeed.ShaftRpm.Value(RoadSpeed.Kmh.Value(rpm, ratio, u), ratio, u),
                        rpm * 1e-9
                    )
            );

    [Fact]
    public void A_bicycle_gear_agrees_with_the_check_row()
    {
        BicycleGearFigures gear = BicycleGear.Compute(17.0 / 50, 2105, 170);
        Published.AgreesWithin(0.01, 2.94118, gear.TurnsOutPerTurnIn, "engineering.md a5");
        Published.AgreesWithin(0.01, 6.19118, gear.DevelopmentM, "engineering.md a5");
        Published.AgreesWithin(0.01, 77.5871, gear.GearInches, "engineering.md a5");
        Published.AgreesWithin(0.01, 5.79621, gear.GainRatio!.Value, "engineering.md a5");
        Published.AgreesWithin(0.01, 33.4323, RoadSpeed.Kmh.Value(90, 17.0 / 50, 2105), "engineering.md a5");
    }

    /// <summary>Teeth and the inches of the classic gear table for a 27 in wheel: 27 · front / rear.</summary>
    [Theory]
    [InlineData(48, 16, 81.0)]
    [InlineData(52, 14, 100.3)]
    [InlineData(46, 18, 69.0)]
    [InlineData(36, 24, 40.5)]
    public void Gear_inches_agree_with_the_classic_table(int front, int rear, double inches)
    {
        double circumference = Math.PI * 27 * UnitFactors.MmPerInch;
        double actual = BicycleGear.Compute((double)rear / front, circumference, null).GearInches;
        Published.Agrees(inches, actual, 0.05, "riders' gear tables for a 27 in wheel, common practice");
    }

    [Fact]
    public void Without_a_crank_length_there_is_no_gain_ratio() =>
        Assert.Null(BicycleGear.Compute(0.5, 2100, null).GainRatio);

    [Fact]
    public void One_tooth_less_in_front_acts_like_three_behind() =>
        Published.AgreesWithin(0.01, 3.21429, RatioChange.RearTeethLike(15, 45, -1), "engineering.md a10");

    [Theory]
    [InlineData(3.3, 3.0, RatioDirection.Shorter)]
    [InlineData(2.8, 3.0, RatioDirection.Taller)]
    [InlineData(3.0, 3.0, RatioDirection.Same)]
    public void A_larger_reduction_is_shorter(double now, double before, RatioDirection expected) =>
        Assert.Equal(expected, RatioChange.Direction(RatioChange.Percent.Value(now, before)));

    [Fact]
    public void A_fifth_with_a_shorter_final_feels_as_in_the_check_row()
    {
        double[] old = [.. new[] { 2.8, 2.0, 1.55, 1.28, 1.1, 0.96 }.Select(g => g * 3.0)];
        FeelsLikeResult feels = FeelsLike.Compare(old, 1.1 * 3.3)!;
        Published.AgreesWithin(0.01, 4.3711, feels.Gear, "engineering.md a11");
        Assert.Equal(RatioDirection.Same, feels.Beyond);
    }

    /// <summary>Between second and fourth, half-way by proportion, it is third: the one nobody knows.</summary>
    [Fact]
    public void Across_a_gap_gears_keep_their_numbers()
    {
        double between = Math.Sqrt(2.0 * 1.28);
        Assert.Equal(3, FeelsLike.Compare([2.8, 2.0, 1.28], between, [1, 2, 4])!.Gear, 1e-9);
        Assert.Equal(RatioDirection.Taller, FeelsLike.Compare([2.8, 2.0, 1.28], 1.2, [1, 2, 4])!.Beyond);
    }

    [Fact]
    public void An_unchanged_gear_feels_like_itself()
    {
        for (int g = 0; g < Drives.SixGears.Length; g++)
        {
            FeelsLikeResult feels = FeelsLike.Compare(Drives.SixGears, Drives.SixGears[g])!;
            Assert.Equal(g + 1, feels.Gear, 9);
            Assert.Equal(RatioDirection.Same, feels.Beyond);
        }
    }

    [Theory]
    [InlineData(0.7, RatioDirection.Taller)]
    [InlineData(3.5, RatioDirection.Shorter)]
    public void Outside_the_old_box_it_says_so(double reduction, RatioDirection beyond) =>
        Assert.Equal(beyond, FeelsLike.Compare(Drives.SixGears, reduction)!.Beyond);

    [Fact]
    public void A_machine_with_one_gear_has_nothing_to_feel_like() => Assert.Null(FeelsLike.Compare([3.0], 3.2));

    /// <summary>Pickup, ratio change, wheel change, and the error that follows from +5 %.</summary>
    [Theory]
    [InlineData(SpeedPickup.GearboxOutput, 3.2 / 3.0, 1.0, 12.0)]
    [InlineData(SpeedPickup.DrivenWheel, 3.2 / 3.0, 1.0, 5.0)]
    [InlineData(SpeedPickup.DrivenWheel, 1.0, 1.05, 0.0)]
    [InlineData(SpeedPickup.OtherWheel, 3.2 / 3.0, 1.05, 5.0)]
    public void The_speedometer_follows_its_pickup(SpeedPickup pickup, double ratio, double wheel, double expected)
    {
        SpeedometerResult result = Speedometer.After(pickup, 5, ratio, wheel)!;
        Published.Agrees(expected, result.ErrorPercent, 1e-9, "engineering.md a12 and its other pickups by inspection");
        Assert.Equal(1, (1 + result.ErrorPercent / 100) * (1 + result.CorrectionPercent / 100), 12);
        Assert.False(result.ShowsTooLittle);
    }

    [Fact]
    public void A_taller_gearing_makes_a_gearbox_pickup_show_too_little() =>
        Assert.True(Speedometer.After(SpeedPickup.GearboxOutput, 0, 43.0 / 45, 1)!.ShowsTooLittle);

    [Fact]
    public void Without_a_speedometer_there_is_no_error() =>
        Assert.Null(Speedometer.After(SpeedPickup.None, 5, 1.1, 1));
}
