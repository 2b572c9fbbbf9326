using Wendrak.Core.Gearing;

namespace Wendrak.Core.Tests.Gearing;

public sealed class SetupComparisonTests
{
    private static ComparedSetup Setup(string name, double front, double rear, double? rollOut = null) =>
        new(name, Drives.Pair(front, rear), rollOut is double mm ? [new("rear wheel", new(null, mm))] : []);

    private static SetupComparisonInput Input(params ComparedSetup[] others) =>
        new(
            Drives.Motorcycle() with
            {
                SpeedPickup = SpeedPickup.GearboxOutput,
            },
            ["final"],
            Setup("as fitted", 15, 45),
            others,
            new CruiseSpeed(90, 5, 5020, 5330),
            [],
            Setup("as delivered", 15, 45)
        );

    [Fact]
    public void A_trial_beside_as_fitted_has_every_figure()
    {
        SetupComparisonResult result = SetupComparison.Compare(Input(Setup("B", 15, 43)));
        SetupFigures fitted = result.Setups[0];
        SetupFigures trial = result.Setups[1];
        Assert.Equal("6", result.AimGearLabel);
        Assert.Equal((0, RatioDirection.Same), (fitted.ChangePercent, fitted.Direction));
        Published.Agrees(6.8889, fitted.Gears[5].OverallRatio, 0.0001, "76/28 · 0.846 · 3 by hand");
        Published.Agrees(5453, fitted.AimShaftSpeedRpm!.Value, 1, "791.557 · 6.8889 by hand");
        Assert.False(fitted.MeetsAim);
        Assert.True(trial.MeetsAim);
        Published.Agrees(-4.4444, trial.Speedometer!.ErrorPercent, 0.0001, "43/45 − 1, pickup before the final drive");
        Assert.Null(trial.RearTeethLike);
        double step = Math.Log(0.962 / 0.846);
        Assert.Equal(6 + Math.Log(45.0 / 43) / step, trial.Gears[5].FeelsLike!.Gear, 9);
        Assert.Equal(RatioDirection.Taller, trial.Gears[5].FeelsLike!.Beyond);
    }

    [Fact]
    public void A_change_in_front_is_told_in_rear_teeth() =>
        Assert.Equal(3.21429, SetupComparison.Compare(Input(Setup("C", 14, 45))).Setups[1].RearTeethLike!.Value, 5);

    [Fact]
    public void A_larger_wheel_is_a_taller_gearing()
    {
        SetupFigures figures = SetupComparison.Compare(Input(Setup("big", 15, 45, 1990))).Setups[1];
        Assert.Equal((1895.0 / 1990 - 1) * 100, figures.ChangePercent, 9);
        Assert.Equal(RatioDirection.Taller, figures.Direction);
        Assert.Equal(1990, figures.CircumferenceMm);
    }

    [Fact]
    public void Every_working_ends_in_the_figure_that_is_shown()
    {
        SetupFigures trial = SetupComparison.Compare(Input(Setup("B", 15, 43))).Setups[1];
        double Result(string title) => trial.Workings.Single(w => w.Title == title).Result.Value;
        Assert.Equal(trial.FinalRatio, Result("Ratio of final"), 12);
        Assert.Equal(trial.ChangePercent, Result("Change against as fitted"), 12);
        Assert.Equal(trial.Gears[5].OverallRatio, Result("Overall ratio to rear wheel in gear 6"), 12);
        Assert.Equal(trial.AimShaftSpeedRpm!.Value, Result("Shaft speed at a road speed"), 9);
        Assert.Equal(trial.Speedometer!.ErrorPercent, Result("Speedometer error"), 12);
        Assert.All(trial.Workings, w => Assert.All(new[] { w.Formula, w.Source, w.Limits }, Assert.NotEmpty));
    }

    [Fact]
    public void A_pedalled_drive_speaks_development_and_cadence()
    {
        Drive drive = Drives.WithStages(
            [Drives.Chain("final", "in", "wheel")],
            new DriveOutput("rear wheel", "wheel", true, new("47-622", null))
        ) with
        {
            Input = new("in", InputKind.Rider, 50, 100, 170),
        };
        SetupComparisonInput input = new(drive, ["final"], Setup("as fitted", 44, 20), [], null, []);
        SetupComparisonResult result = SetupComparison.Compare(input);
        Assert.Equal(75, result.CadenceRpm); // the middle of 50 to 100
        GearFigures gear = result.Setups[0].Gears[0];
        Assert.Equal(gear.Bicycle!.DevelopmentM * 75 * 60 / 1000, gear.SpeedAtCadenceKmh!.Value, 9);
        Assert.Equal(44 / 20.0, result.Setups[0].FrontOverRear, 12);
        Assert.Equal(85, SetupComparison.Compare(input with { Aim = new SpeedAtCadence(20, 0, 80, 90) }).CadenceRpm);
        Assert.NotNull(gear.Bicycle.GainRatio);
        Assert.Contains(SetupComparison.Compare(input).Setups[0].Workings, w => w.Title == "Gain ratio");
    }

    [Fact]
    public void Loops_beside_the_way_to_the_wheel_do_not_count_into_the_ratio()
    {
        Drive drive = Drives.WithStages(
            [Drives.Chain("final", "in", "a"), Drives.Chain("other", "in", "b")],
            new DriveOutput("rear wheel", "a", true, null),
            new DriveOutput("front wheel", "b", true, null)
        );
        LoopChoice[] loops = [new("final", 15, 45, null), new("other", 10, 20, null)];
        SetupComparisonInput input = new(drive, ["final", "other"], new("as fitted", loops, []), [], null, []);
        Assert.Equal(3, SetupComparison.Compare(input).Setups[0].FinalRatio);
    }

    /// <summary>The clock was made for 15/45: whatever is on the machine now, each setup's error stays what it is.</summary>
    [Fact]
    public void The_speedometer_is_told_against_as_delivered_whatever_is_fitted()
    {
        ComparedSetup b = Setup("B", 15, 43);
        ComparedSetup first = Setup("as fitted", 15, 45);
        double Error(ComparedSetup fitted, ComparedSetup question) =>
            SetupComparison.Compare(Input(question) with { Fitted = fitted }).Setups[1].Speedometer!.ErrorPercent;
        double own(ComparedSetup fitted) =>
            SetupComparison.Compare(Input() with { Fitted = fitted }).Setups[0].Speedometer!.ErrorPercent;
        Published.Agrees(-4.4444, Error(first, b), 0.0001, "43/45 − 1, pickup before the final drive");
        Assert.Equal(Error(first, b), own(b), 1e-9); // fitted
        Assert.Equal(0, Error(b, first), 1e-9); // seen from there
        Assert.Equal(0, own(first), 1e-9); // and back again
    }

    [Fact]
    public void Without_what_was_delivered_the_speedometer_says_what_it_needs()
    {
        SetupComparisonInput none = Input() with { Delivered = null };
        SetupFigures figures = SetupComparison.Compare(none).Setups[0];
        Assert.Equal((null, SpeedometerNeed.DeliveredSetup), (figures.Speedometer, figures.SpeedometerNeeds));
        SetupComparisonInput other = none with
        {
            Drive = none.Drive with { SpeedPickup = SpeedPickup.OtherWheel, SpeedometerErrorPercent = 5 },
        };
        Assert.Equal(5, SetupComparison.Compare(other).Setups[0].Speedometer!.ErrorPercent, 1e-9);
        Refusals.Names(
            "Delivered.Loops[0].FrontSize",
            () => SetupComparison.Compare(Input() with { Delivered = Setup("as delivered", 0, 45) })
        );
    }

    /// <summary>A loop before the gearbox changes nothing between pickup and wheel.</summary>
    [Fact]
    public void Only_what_is_behind_the_pickup_moves_the_speedometer()
    {
        Drive drive = Drives.WithStages(
            [
                Drives.Chain("primary", "in", "clutch"),
                new Gearbox("box", "gearbox", "clutch", "out", new(1, 1, "six", Drives.SixGears, true, null)),
                Drives.Chain("final", "out", "axle"),
            ],
            new DriveOutput("rear wheel", "axle", true, new(null, 1895))
        ) with
        {
            SpeedPickup = SpeedPickup.GearboxOutput,
        };
        ComparedSetup With(double primary, double final) =>
            new("s", [new("primary", 20, primary, null), new("final", 15, final, null)], []);
        SetupComparisonInput input = new(
            drive,
            ["primary", "final"],
            With(40, 45),
            [With(44, 45), With(40, 48)],
            null,
            [],
            With(40, 45)
        );
        SetupFigures[] figures = [.. SetupComparison.Compare(input).Setups];
        Assert.Equal(0, figures[1].Speedometer!.ErrorPercent, 1e-9);
        Published.Agrees(6.6667, figures[2].Speedometer!.ErrorPercent, 0.0001, "48/45 − 1, by inspection");
    }

    [Fact]
    public void A_loop_whose_shaft_drives_nothing_tells_its_own_ratio_and_says_so()
    {
        Drive drive = Drives.WithStages(
            [Drives.Chain("final", "in", "a"), Drives.Chain("pump", "in", "idle")],
            new DriveOutput("rear wheel", "a", true, new(null, 1895))
        );
        LoopChoice[] loops = [new("final", 15, 45, null), new("pump", 15, 30, null)];
        SetupComparisonInput input = new(drive, ["pump"], new("as fitted", loops, []), [], null, []);
        SetupComparisonResult result = SetupComparison.Compare(input);
        Assert.Equal("idle", result.IdleShaft);
        Assert.Equal(2, result.Setups[0].FinalRatio, 1e-9);
        Assert.Equal(2, result.Setups[0].Gears[0].OverallRatio, 1e-9);
        Assert.Null(result.Setups[0].Gears[0].SpeedHighKmh);
        Assert.Null(SetupComparison.Compare(input with { LoopKeys = ["final"] }).IdleShaft);
    }

    [Fact]
    public void Wrong_wheels_of_a_trial_are_named_with_their_place()
    {
        Refusals.Names("Others[0].Loops[0].RearSize", () => SetupComparison.Compare(Input(Setup("B", 15, -43))));
        Refusals.Names("Others", () => SetupComparison.Compare(Input([.. Enumerable.Repeat(Setup("B", 15, 43), 5)])));
        Refusals.Names("LoopKeys[0]", () => SetupComparison.Compare(Input() with { LoopKeys = ["nowhere"] }));
    }
}
