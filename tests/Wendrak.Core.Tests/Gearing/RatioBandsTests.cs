using CsCheck;
using Wendrak.Core.Gearing;

namespace Wendrak.Core.Tests.Gearing;

public sealed class RatioBandsTests
{
    private static readonly string[] Final = ["final"];

    private static RatioBandsResult Of(AimTarget target, bool interchangeable = false, params int[] gears) =>
        RatioBands.Find(new(Drives.Motorcycle(interchangeable), Drives.Pair(15, 45)), Final, [], target, gears);

    [Fact]
    public void Ninety_in_sixth_asks_for_a_final_ratio_worked_by_hand()
    {
        // 90 km/h on 1895 mm are 791.557 turns a minute; 5020 rpm over that and over 76/28 · 0.846.
        RatioBand band = Of(new CruiseSpeed(90, 5, 5020, 5330)).Bands.Single();
        Published.Agrees(2.7618, band.FinalLow, 0.0001, "5020 / 791.557 / (76/28 · 0.846) by hand");
        Published.Agrees(2.9324, band.FinalHigh, 0.0001, "5330 / 791.557 / (76/28 · 0.846) by hand");
        Assert.Equal("6", band.GearLabel);
    }

    [Fact]
    public void Any_ratio_in_a_cruise_band_turns_the_shaft_within_the_range() =>
        Gen.Select(Gen.Double[20, 160], Gen.Int[0, 5], Gen.Double[2000, 6000], Gen.Double[1, 3000], Gen.Double[0, 1])
            .Sample(
                (kmh, gear, low, width, part) =>
                {
                    RatioBand band = Of(new CruiseSpeed(kmh, gear, low, low + width)).Bands.Single();
                    double final = band.FinalLow + part * (band.FinalHigh - band.FinalLow);
                    double overall = 76.0 / 28 * Drives.SixGears[gear] * final;
                    double rpm = RoadSpeed.ShaftRpm.Value(kmh, overall, 1895);
                    Assert.InRange(rpm, low * (1 - 1e-9), (low + width) * (1 + 1e-9));
                }
            );

    [Fact]
    public void Top_speed_is_reached_at_the_limit_in_the_middle_of_the_band()
    {
        RatioBand band = Of(new TopSpeed(160, 5, 4)).Bands.Single();
        double middle = Math.Sqrt(band.OverallLow * band.OverallHigh);
        Assert.Equal(160, RoadSpeed.Kmh.Value(10000, middle, 1895), 9);
        Assert.Equal(1.04, band.OverallHigh / middle, 9);
        Assert.Equal(1.04, middle / band.OverallLow, 9);
    }

    /// <summary>A setup that is itself what was wished is exactly on its wish, whatever the tolerance.</summary>
    [Fact]
    public void What_was_asked_is_nothing_off_its_band()
    {
        MatchSetup target = new(1, "own", Drives.Pair(15, 45), [], 20);
        RatioSearchResult result = RatioSearch.Run(Searches.Search(target, Searches.Range(15, 15, 45, 45)));
        Assert.Equal(0, Assert.Single(result.Hits).OffMiddlePercent!.Value, 1e-9);
    }

    [Fact]
    public void Cadence_and_cruise_are_the_same_arithmetic()
    {
        RatioBand a = Of(new SpeedAtCadence(20, 0, 70, 90)).Bands.Single();
        RatioBand b = Of(new CruiseSpeed(20, 0, 70, 90)).Bands.Single();
        Assert.Equal(b, a);
    }

    /// <summary>engineering.md a5 the other way round: its gain ratio asks for its 17/50.</summary>
    [Fact]
    public void A_gain_ratio_asks_for_the_gear_that_has_it()
    {
        Drive chain = Drives.WithStages(
            [Drives.Chain("final", "in", "axle")],
            new DriveOutput("wheel", "axle", true, new(null, 2105))
        );
        Drive ridden = chain with { Input = chain.Input with { Kind = InputKind.Rider, CrankLengthMm = 170 } };
        RatioBandsResult Gain(Drive drive) =>
            RatioBands.Find(new(drive, Drives.Pair(50, 17)), Final, [], new GainRatio(5.79621, 5.9, 0), []);
        RatioBand band = Gain(ridden).Bands.Single();
        Published.AgreesWithin(0.01, 17.0 / 50, band.FinalHigh, "engineering.md a5");
        Assert.True(band.FinalLow < band.FinalHigh);
        Refusals.Names(
            "Drive.Input.CrankLengthMm",
            () => Gain(ridden with { Input = ridden.Input with { CrankLengthMm = null } })
        );
    }

    [Fact]
    public void A_speed_of_the_output_needs_no_wheel_size()
    {
        DriveTrain train = new(Drives.WithStages([Drives.Chain("final", "in", "drum")]), Drives.Pair(15, 45));
        RatioBand band = RatioBands.Find(train, Final, [], new OutputSpeed(50, 0, 1000, 1100), []).Bands.Single();
        Assert.Equal((20, 22), (band.FinalLow, band.FinalHigh));
    }

    [Fact]
    public void An_overall_ratio_gives_one_band_of_final_ratio_per_gear()
    {
        RatioBandsResult result = Of(new OverallRatio(6, 7, null), interchangeable: true);
        Assert.Equal(["1", "2", "3", "4", "5", "6"], result.Bands.Select(b => b.GearLabel));
        Assert.All(result.Bands, b => Assert.Equal(6 / (76.0 / 28 * Drives.SixGears[b.GearIndex]), b.FinalLow, 12));
    }

    [Fact]
    public void Other_gears_count_only_where_the_machine_says_so()
    {
        CruiseSpeed aim = new(90, 5, 5020, 5330);
        Assert.Equal([5], Of(aim).Bands.Select(b => b.GearIndex));
        Assert.Equal([5], Of(aim, false, 3, 4).Bands.Select(b => b.GearIndex));
        Assert.Equal([3, 5], Of(aim, true, 3).Bands.Select(b => b.GearIndex));
        Assert.Equal([0, 1, 2, 3, 4, 5], Of(aim, true).Bands.Select(b => b.GearIndex));
    }

    [Fact]
    public void A_final_ratio_comes_back_as_it_was_typed()
    {
        RatioBand band = Of(new FinalRatio(2.8, 3.1)).Bands.Single();
        Assert.Equal((2.8, 3.1), (band.FinalLow, band.FinalHigh));
    }

    [Fact]
    public void Matching_a_setup_with_a_smaller_wheel_wants_a_taller_ratio()
    {
        MatchSetup target = new(1, "old", Drives.Pair(15, 45), [new("rear wheel", new(null, 1990))], 1);
        RatioBand band = Of(target).Bands.Single();
        Assert.Equal(3.0 * 1895 / 1990, band.FinalGeometricMiddle, 9);
        Assert.Equal(1.01 * 1.01, band.FinalHigh / band.FinalLow, 9);
    }

    [Fact]
    public void The_middle_of_a_band_is_geometric()
    {
        RatioBand band = Of(new FinalRatio(2, 4.5)).Bands.Single();
        Assert.Equal(3, band.FinalGeometricMiddle, 12);
    }

    public static TheoryData<AimTarget, string> Impossible =>
        new()
        {
            { new CruiseSpeed(0, 5, 5000, 5300), "Aim.SpeedKmh" },
            { new CruiseSpeed(-90, 5, 5000, 5300), "Aim.SpeedKmh" },
            { new CruiseSpeed(double.NaN, 5, 5000, 5300), "Aim.SpeedKmh" },
            { new CruiseSpeed(90, 6, 5000, 5300), "Aim.GearIndex" },
            { new CruiseSpeed(90, -1, 5000, 5300), "Aim.GearIndex" },
            { new CruiseSpeed(90, 5, 5300, 5000), "Aim.ShaftSpeedHighRpm" },
            { new TopSpeed(160, 5, 0), "Aim.TolerancePercent" },
            { new TopSpeed(160, 5, 51), "Aim.TolerancePercent" },
            { new SpeedAtCadence(20, 0, 0, 90), "Aim.CadenceLowRpm" },
            { new OutputSpeed(0, 0, 10, 20), "Aim.OutputSpeedRpm" },
            { new OverallRatio(7, 6, null), "Aim.High" },
            { new FinalRatio(3.1, 2.8), "Aim.High" },
            { new FinalRatio(0, 2.8), "Aim.Low" },
        };

    [Theory, MemberData(nameof(Impossible))]
    public void An_impossible_aim_is_refused_at_its_field(AimTarget aim, string field) =>
        Refusals.Names(field, () => Of(aim));

    [Fact]
    public void A_road_speed_without_a_wheel_size_asks_for_the_size()
    {
        DriveTrain train = new(Drives.WithStages([Drives.Chain("final", "in", "axle")]), Drives.Pair(15, 45));
        Refusals.Names("Aim.SpeedKmh", () => RatioBands.Find(train, Final, [], new CruiseSpeed(20, 0, 900, 1000), []));
    }
}
