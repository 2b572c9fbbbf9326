using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Tests.Gearing;
using Wendrak.Core.Vocabulary;
using static Wendrak.Core.Loads.OperatingPointKind;

namespace Wendrak.Core.Tests.Loads;

public sealed class OperatingPointTests
{
    private const double FirstGear = 76.0 / 28 * 2.643;

    private static OperatingPoint Point(LoadsInput input, OperatingPointKind kind) =>
        LoopLoads.Evaluate(input).At(kind).Point;

    /// <summary>T = T_in·i·η: 40 Nm through 76/28 and 2.643 at 0.98 each.</summary>
    [Fact]
    public void The_hardest_pull_is_the_peak_torque_in_the_lowest_gear()
    {
        LoadsInput input = LoadCases.Motorcycle();
        input = input with { Source = input.Source with { Friction = 2, MassKg = 2_000 } };
        OperatingPoint point = Point(input, HardestPull);
        Assert.Equal(40 * FirstGear * 0.98 * 0.98, point.TorqueNm, 1e-9);
        Assert.Equal(6_500 / FirstGear, point.Rpm, 1e-9);
        Assert.Equal((TorqueOrigin.Input, "1"), (point.Origin, point.GearLabel));
    }

    /// <summary>engineering.md l4: a push of 2957 N lifts the front; by r and the final ratio that is the torque in front.</summary>
    [Fact]
    public void Tyre_or_front_wheel_bound_it_where_they_are_the_smaller()
    {
        LoadsInput input = LoadCases.Motorcycle();
        input = input with { Source = input.Source with { PeakTorqueNm = 90, MassKg = 280 } };
        OperatingPoint dry = Point(input with { Source = input.Source with { Friction = 1.1 } }, HardestPull);
        Assert.Equal(TorqueOrigin.FrontLifts, dry.Origin);
        double radius = 1.895 / (2 * Math.PI);
        Published.AgreesWithin(0.1, 2957.08 * radius / (3 * 0.97), dry.TorqueNm, "engineering.md l4");
        OperatingPoint wet = Point(input with { Source = input.Source with { Friction = 0.5 } }, HardestPull);
        Assert.Equal(TorqueOrigin.Grip, wet.Origin);
        Assert.True(wet.TorqueNm < dry.TorqueNm);
    }

    [Fact]
    public void A_measured_pull_wins_over_all_torques()
    {
        LoadsInput input = LoadCases.Motorcycle();
        LoopLoadsResult result = LoopLoads.Evaluate(input with { Source = input.Source with { PullN = 1_234 } });
        Assert.Equal(1_234, result.At(HardestPull).PullN, 1e-9);
        Assert.Equal(TorqueOrigin.Measured, result.At(HardestPull).Point.Origin);
        // Then the torque may be unknown.
        Assert.NotEmpty(LoopLoads.Evaluate(input with { Source = new("drive", PullN: 1_234) }).Checks);
    }

    /// <summary>Power at the wheel is resistance times speed; the chain passes on 0.97 of what it gets.</summary>
    [Fact]
    public void Cruise_is_what_rolling_and_air_ask_for()
    {
        LoadsInput input = LoadCases.Motorcycle();
        OperatingPoint point = Point(input with { Source = input.Source with { CruiseKmh = 90 } }, Cruise);
        double resistance = RoadLoad.ResistanceN(265, 0.015, 0.55, 25); // table road_loads.csv, motorcycle naked
        Assert.Equal(resistance * 25 / 1_000 / 0.97, point.PowerKw, 1e-9);
        Assert.Equal((90, "6"), (Math.Round(point.RoadSpeedKmh!.Value, 9), point.GearLabel));
        Assert.Equal(TorqueOrigin.Resistance, point.Origin);
    }

    /// <summary>35 kW at the limit of 10 000 rpm, less primary and gearbox.</summary>
    [Fact]
    public void Top_speed_is_bounded_by_the_power()
    {
        OperatingPoint point = Point(LoadCases.Motorcycle(), OperatingPointKind.TopSpeed);
        Assert.Equal(35 * 0.98 * 0.98, point.PowerKw, 1e-9);
        Assert.Equal(10_000 / (76.0 / 28 * 0.846), point.Rpm, 1e-6);
    }

    /// <summary>A rider of 80 kg standing on a crank of 175 mm, his whole weight on one pedal: m·g·l.</summary>
    [Fact]
    public void A_rider_pulls_by_weight_and_crank()
    {
        Drive drive = Drives.WithStages([Drives.Chain("final", "in", "hub")]) with
        {
            Input = new("in", InputKind.Rider, 40, 100, 175),
        };
        LoadsInput input = new(
            drive,
            MachineKind.Bicycle,
            [new("final", 44, 18, null)],
            [],
            null,
            new("drive"),
            new("final", Standard: "520")
        );
        OperatingPoint point = Point(input, HardestPull);
        Assert.Equal(80 * 9.80665 * 0.175, point.TorqueNm, 1e-9);
        Assert.Equal(40, point.Rpm, 1e-9);
    }

    /// <summary>A gear hub behind the loop: cruise is in its tallest gear, and so is the hardest pull the tyre still holds.</summary>
    [Fact]
    public void Gears_behind_the_loop_count_for_the_road_and_not_for_the_pedals()
    {
        Drive drive = Drives.WithStages(
            [
                Drives.Chain("final", "in", "hub"),
                new HubGear("hub", "hub", "hub", "wheel", "three", [0.75, 1, 1.333], null),
            ],
            new DriveOutput("rear wheel", "wheel", true, new(null, 2_100))
        ) with
        {
            Input = new("in", InputKind.Rider, 40, 100, 170),
        };
        LoadsInput input = new(
            drive,
            MachineKind.Bicycle,
            [new("final", 44, 18, null)],
            [],
            null,
            new("drive", CruiseKmh: 18),
            new("final")
        );
        OperatingPoint cruise = Point(input, Cruise);
        Assert.Equal("3", cruise.GearLabel);
        double wheelRpm = 18 / 3.6 / 2.1 * 60;
        Assert.Equal(wheelRpm / 1.333 * 18 / 44, cruise.Rpm, 1e-9);
        Assert.Equal(18, cruise.RoadSpeedKmh!.Value, 1e-9);
        Assert.Equal("3", Point(input, HardestPull).GearLabel);
    }

    [Fact]
    public void A_drive_brakes_only_where_it_is_said_to()
    {
        LoadsInput input = LoadCases.ToothedBelt();
        Assert.DoesNotContain(LoopLoads.Evaluate(input).Points, p => p.Point.Kind == Braking);
        OperatingPoint point = Point(input with { Source = input.Source with { BrakingTorqueNm = 12 } }, Braking);
        Assert.Equal(12, point.TorqueNm);
    }

    [Fact]
    public void Without_a_torque_the_field_is_named()
    {
        LoadsInput input = LoadCases.Motorcycle();
        Refusals.Names("Source.PeakTorqueNm", () => LoopLoads.Evaluate(input with { Source = new("drive") }));
        Refusals.Names(
            "Source.Friction",
            () => LoopLoads.Evaluate(input with { Source = input.Source with { Friction = 2.5 } })
        );
        Refusals.Names(
            "Source.PeakTorqueNm",
            () => LoopLoads.Evaluate(input with { Source = input.Source with { PeakTorqueNm = double.NaN } })
        );
    }
}
