using CsCheck;
using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wear;
using Wendrak.Core.Wheels;
using static Wendrak.Core.Loads.LoadCheckKind;
using static Wendrak.Core.Loads.OperatingPointKind;
using static Wendrak.Core.Tests.Loads.LoadCases;

namespace Wendrak.Core.Tests.Loads;

public sealed class LoopLoadsTests
{
    [Fact]
    public void Breaking_load_over_pull_takes_the_table_the_maker_or_more_strands()
    {
        LoopLoadsResult result = LoopLoads.Evaluate(Motorcycle());
        double pull = result.At(HardestPull).PullN;
        Assert.Equal(26_500 / pull, result.Check(BreakingLoad).Value!.Value, 1e-9); // table chains.csv, 520
        LoadsInput strong = Motorcycle() with { Strength = new("final", BreakingLoadN: 40_000, Strands: 2) };
        Assert.Equal(80_000 / pull, LoopLoads.Evaluate(strong).Check(BreakingLoad).Value!.Value, 1e-9);
        Assert.Equal(26_500 / 3.0, result.PullLimitN!.Value, 1e-6);
        Assert.Equal(result.At(HardestPull).Point.TorqueNm * 1.5, result.HardestTorqueNm, 1e-9);
        double withShock = 26_500 / (pull * 1.5 + result.At(HardestPull).SlackN);
        Assert.Equal(withShock, result.Check(BreakingLoadWithShock).Value!.Value, 1e-9);
    }

    [Fact]
    public void The_smallest_margin_is_the_headline_and_advice_is_not_counted()
    {
        LoopLoadsResult result = LoopLoads.Evaluate(Motorcycle());
        double least = result.Checks.Where(c => c is { Margin: not null, IsAdvisory: false }).Min(c => c.Margin!.Value);
        Assert.Equal(least, result.Smallest!.Margin);
        Assert.Contains(result.Checks, c => c is { Kind: Rating, IsAdvisory: true });
        Assert.All(result.Checks.Where(c => c.IsAdvisory), c => Assert.NotEqual(Verdict.Stop, c.Verdict));
    }

    [Fact]
    public void What_the_tables_do_not_tell_is_asked_for_by_its_field()
    {
        LoadCheck pins = LoopLoads.Evaluate(Motorcycle()).Check(PinPressure, Cruise);
        Assert.Equal((Verdict.NotApplicable, "Strength.BearingAreaMm2"), (pins.Verdict, pins.Missing));
        LoopLoadsResult result = LoopLoads.Evaluate(Motorcycle() with { Strength = new("final", BearingAreaMm2: 60) });
        PointLoads cruise = result.At(Cruise);
        double pressure = (cruise.PullN * 1.5 + cruise.SlackN) / 60;
        Assert.Equal(pressure, result.Check(PinPressure, Cruise).Value!.Value, 1e-9);
        Assert.Equal(
            ChainPull.AllowedPinPressure(cruise.SpeedMS),
            result.Check(PinPressure, Cruise).Limit!.Value,
            1e-9
        );
        LoadsInput bare = ToothedBelt() with { Strength = new("final") };
        Assert.Equal("Strength.WidthMm", LoopLoads.Evaluate(bare).Check(BeltPull).Missing);
        Assert.Equal("Strength.InstalledTensionN", LoopLoads.Evaluate(bare).Check(LoadCheckKind.ToothJump).Missing);
        Assert.Equal("Strength.AllowedPullN", LoopLoads.Evaluate(ToothedBelt("8M")).Check(BeltPull).Missing);
    }

    [Fact]
    public void Ripple_wrap_and_speed_are_those_of_the_loop()
    {
        LoopLoadsResult result = LoopLoads.Evaluate(Motorcycle());
        Assert.Equal(SpeedRipple.Percent.Value(15), result.Check(Ripple).Value!.Value, 1e-12);
        LoopFitResult fit = LoopFit.Evaluate(
            new(
                Motorcycle().Drive,
                Motorcycle().Loops[0],
                Motorcycle().Loops[0],
                Motorcycle().Layout!,
                null,
                false,
                null
            )
        );
        Assert.Equal(fit.Path.Wheels.Min(w => w.WrapDeg), result.Check(Wrap).Value!.Value, 1e-9);
        double rpm = result.At(OperatingPointKind.TopSpeed).Point.Rpm;
        Assert.Equal(
            15 * 15.875 * rpm / 60_000,
            result.Check(ChainSpeed, OperatingPointKind.TopSpeed).Value!.Value,
            1e-9
        );
        Assert.Equal(26, result.Check(ChainSpeed, OperatingPointKind.TopSpeed).Limit);
    }

    /// <summary>h5 by another way: E = e^(0.9215·θ) of the smaller wheel.</summary>
    [Fact]
    public void A_v_belt_slips_by_the_law_of_its_groove()
    {
        LoopLoadsResult result = LoopLoads.Evaluate(VBelt());
        double wrap = LoadedWrap(VBelt());
        double e = Math.Exp(0.3 / Math.Sin(19 * Math.PI / 180) * wrap * Math.PI / 180);
        double margin = 2 * 350 * (e - 1) / (e + 1) / result.At(HardestPull).PullN;
        Assert.Equal(margin, result.Check(Slip).Value!.Value, 1e-9);
        Assert.Null(result.Oiling);
        Assert.False(result.IsTensionAdvised);
    }

    private static double LoadedWrap(LoadsInput input) =>
        LoopFit
            .Evaluate(new(input.Drive, input.Loops[0], input.Loops[0], input.Layout!, null, false, null))
            .Path.Wheels.Min(w => w.WrapDeg);

    [Fact]
    public void A_tension_nobody_gave_is_the_advised_one_and_holds()
    {
        LoopLoadsResult advised = LoopLoads.Evaluate(VBelt() with { Strength = new("final", Friction: 0.3) });
        Assert.True(advised.IsTensionAdvised);
        LoopLoadsResult set = LoopLoads.Evaluate(VBelt(advised.InstalledTensionN!.Value));
        Assert.Equal(1.3, set.Check(Slip).Value!.Value, 1e-9);
        LoopLoadsResult teeth = LoopLoads.Evaluate(ToothedBelt() with { Strength = new("final", WidthMm: 50.8) });
        LoadsInput at = ToothedBelt() with
        {
            Strength = new("final", WidthMm: 50.8, InstalledTensionN: teeth.InstalledTensionN),
        };
        Assert.Equal(1.5, LoopLoads.Evaluate(at).Check(LoadCheckKind.ToothJump).Value!.Value, 1e-9);
    }

    /// <summary>Both runs differ by the pull, whatever the kind: equal tensions carry no power.</summary>
    [Fact]
    public void Tight_less_slack_is_the_pull_at_every_point_of_every_kind()
    {
        foreach (LoadsInput input in new[] { Motorcycle(), ToothedBelt(), VBelt() })
        {
            LoopLoadsResult result = LoopLoads.Evaluate(input);
            Assert.NotEmpty(result.Points);
            Assert.All(result.Points, p => Assert.Equal(p.PullN, p.TightN - p.SlackN, 1e-6));
            Assert.All(result.Points, p => Assert.Equal(p.Point.PowerKw, p.PullN * PullSpeed(input, p) / 1_000, 1e-6));
        }
    }

    // A torque pulls at the pitch circle of the polygon; a power that was typed is pull times the speed of pitch times teeth.
    private static double PullSpeed(LoadsInput input, PointLoads p)
    {
        if (p.Point.IsPowerGiven)
            return p.SpeedMS;

        Loop loop = input.Drive.Stages.OfType<Loop>().Single();
        double radius = WheelOutline.For(loop, input.Loops[0].FrontSize).RunRadiusMm / 1_000;
        return radius * p.Point.Rpm * 2 * Math.PI / 60;
    }

    [Fact]
    public void The_curve_goes_once_round_and_stays_between_both_runs()
    {
        foreach (LoadsInput input in new[] { Motorcycle(), ToothedBelt(), VBelt() })
        foreach (PointLoads p in LoopLoads.Evaluate(input).Points)
        {
            LoopPath path = LoopLoads.Evaluate(input).Path!;
            Assert.Equal(path.LengthMm, p.Curve[^1].AtMm[^1], 1e-6 * path.LengthMm);
            double[] at = [.. p.Curve.SelectMany(c => c.AtMm)];
            double[] tension = [.. p.Curve.SelectMany(c => c.TensionN)];
            Assert.Equal(at.Length, tension.Length);
            Assert.Equal(0, at[0]);
            Assert.Equal(p.TightN, tension[0], 1e-6);
            Assert.Equal(p.TightN, tension[^1], 1e-6);
            Assert.Equal(at.Order(), at);
            Assert.All(tension, t => Assert.InRange(t, p.SlackN - 1e-6, p.TightN + 1e-6));
            Assert.Contains(tension, t => Math.Abs(t - p.SlackN) < 1e-6);
            // Each part begins where the one before it ends, and pulls as hard there.
            foreach ((PullOver before, PullOver after) in p.Curve.Zip(p.Curve.Skip(1)))
                Assert.Equal((before.AtMm[^1], before.TensionN[^1]), (after.AtMm[0], after.TensionN[0]));
        }
    }

    /// <summary>Held back by the driving wheel, the run that is slack otherwise pulls.</summary>
    [Fact]
    public void Braking_pulls_with_the_other_run()
    {
        LoadsInput input = ToothedBelt();
        LoopLoadsResult result = LoopLoads.Evaluate(input with { Source = input.Source with { BrakingTorqueNm = 12 } });
        PointLoads braking = result.At(Braking);
        Assert.Equal(braking.SlackN, braking.Curve[0].TensionN[0], 1e-9);
        Assert.Equal(["front", "tight", "rear", "slack"], braking.Curve.Select(c => c.Part));
        Assert.Equal(["front", "slack", "rear", "tight"], result.At(HardestPull).Curve.Select(c => c.Part));
    }

    /// <summary>Over the sprocket the pull falls by the series of Binder, tooth by tooth.</summary>
    [Fact]
    public void A_chain_lets_go_tooth_by_tooth()
    {
        PointLoads p = LoopLoads.Evaluate(Motorcycle()).At(HardestPull);
        IReadOnlyList<double> front = p.Curve.Single(c => c.Part == LoopLayout.FrontName).TensionN;
        double q = ToothLoads.Compute(15, 160, 1).RatioPerTooth;
        Assert.Equal(p.TightN * q, front[1], 1e-6);
        IReadOnlyList<double> places = p.Curve.Single(c => c.Part == LoopLayout.FrontName).AtMm;
        Assert.Equal(15.875, places[1] - places[0], 0.01 * 15.875); // a pitch further, on the arc a little more
        Assert.Equal(p.TightN * q * q, front[2], 1e-6);
    }

    [Fact]
    public void Every_value_has_a_working_that_ends_in_it()
    {
        foreach (LoadsInput input in new[] { Motorcycle(), ToothedBelt(), VBelt() })
        {
            LoopLoadsResult result = LoopLoads.Evaluate(input);
            int known = result.Checks.Count(c => c.Value is not null);
            Assert.Equal(known, result.Workings.Count(w => w.Beside.Any(v => v.Symbol == "limit")));
            Assert.All(
                result.Checks.Where(c => c.Value is double),
                c => Assert.Contains(result.Workings, w => w.Result.Value == c.Value)
            );
            Assert.Equal(result.Workings.Count, result.Workings.Select(w => w.Title).Distinct().Count());
            Assert.All(result.Workings, w => Assert.All(new[] { w.Formula, w.Source, w.Limits }, Assert.NotEmpty));
        }
        Assert.Contains(
            LoopLoads.Evaluate(VBelt()).Workings.SelectMany(w => w.Values),
            v => v is { Symbol: "β", Value: 38 }
        );
    }

    [Fact]
    public void More_torque_never_widens_a_margin_of_strength() =>
        Gen.Select(Gen.Double[1, 200], Gen.Double[1.01, 3])
            .Sample(
                (torque, factor) =>
                {
                    LoadsInput At(double nm)
                    {
                        LoadsInput input = Motorcycle();
                        return input with { Source = input.Source with { PeakTorqueNm = nm, PeakPowerKw = null } };
                    }
                    LoadCheckKind[] strength = [BreakingLoad, BreakingLoadWithShock];
                    LoopLoadsResult less = LoopLoads.Evaluate(At(torque));
                    LoopLoadsResult more = LoopLoads.Evaluate(At(torque * factor));
                    return strength.All(k => more.Check(k).Margin <= less.Check(k).Margin + 1e-9);
                },
                iter: 100
            );

    /// <summary>At the guide pressure 15 000 h are 3 % by ISO 10823's guide: the range on the road is 1/30 to 1/8 of that.</summary>
    [Fact]
    public void Growth_life_is_a_range_that_goes_with_the_pressure()
    {
        Assert.Null(LoopLoads.Evaluate(Motorcycle()).Life); // the bearing area is not known
        LoopLoadsResult at = LoopLoads.Evaluate(Motorcycle() with { Strength = new("final", BearingAreaMm2: 60) });
        LoadCheck pins = at.Check(PinPressure, Cruise);
        ElongationLife life = at.Life!;
        Assert.Equal(1, life.LimitPercent); // wear_limits.csv, sealed-ring
        double rated = 15_000 * pins.Limit!.Value / pins.Value!.Value / 3;
        Assert.Equal((rated / 30, rated / 8), (life.LowHours, life.HighHours));
        Assert.Equal(life.LowHours * at.At(Cruise).Point.RoadSpeedKmh!.Value, life.LowKm!.Value, 1e-6);
        // Twice the pin, half the pressure, twice the life.
        ElongationLife twice = LoopLoads
            .Evaluate(Motorcycle() with { Strength = new("final", BearingAreaMm2: 120) })
            .Life!;
        Assert.Equal(2 * life.HighHours, twice.HighHours, 1e-6);
        Assert.Equal(life.HighHours, at.Workings.Single(w => w.Result.Symbol == "h").Result.Value);
        Assert.Null(LoopLoads.Evaluate(VBelt()).Life);
        // Its maker lets it grow by half as much: half the life.
        LoopStrength makers = new("final", BearingAreaMm2: 60, ElongationLimitPercent: 0.5);
        Assert.Equal(
            life.HighHours / 2,
            LoopLoads.Evaluate(Motorcycle() with { Strength = makers }).Life!.HighHours,
            1e-6
        );
        Refusals.Names(
            "Strength.ElongationLimitPercent",
            () => LoopLoads.Evaluate(Motorcycle() with { Strength = makers with { ElongationLimitPercent = 6.5 } })
        );
        LoopStrength belts = new(VBelt().Strength.LoopKey, ElongationLimitPercent: 1);
        Assert.Contains(
            LoopLoads.Evaluate(VBelt() with { Strength = belts }).Uncounted,
            u => u.Field == "Strength.ElongationLimitPercent"
        );
    }

    [Fact]
    public void Both_schools_of_oil_stand_side_by_side()
    {
        ChainOiling sealed_ = LoopLoads.Evaluate(Motorcycle()).Oiling!;
        Assert.Equal((LubricationClass.OilStream, LubricationSchool.SealedRing), (sealed_.Class, sealed_.School));
        LoadsInput industrial = Motorcycle() with { Strength = new("final", School: LubricationSchool.Industrial) };
        LoadCheck speed = LoopLoads.Evaluate(industrial).Check(ChainSpeed, OperatingPointKind.TopSpeed);
        Assert.Equal(LoopLoads.Evaluate(industrial).Oiling!.BathUpToMS, speed.Limit!.Value, 1e-9);
        Assert.NotEqual(Verdict.Fine, speed.Verdict);
    }

    /// <summary>What is told as assumed is what was counted with: typing it in changes nothing.</summary>
    [Fact]
    public void What_is_assumed_is_told()
    {
        LoadsInput input = Motorcycle();
        LoopLoadsResult result = LoopLoads.Evaluate(input);
        AssumedLoads a = result.Assumed;
        Assert.Equal((265, 1.0, 1.5, 26_500), (a.MassKg, a.TyreFriction, a.ShockFactor, a.BreakingLoadN));
        LoadsInput typed = input with
        {
            Source = input.Source with { MassKg = a.MassKg, Friction = a.TyreFriction, CruiseKmh = a.CruiseKmh },
            Strength = new("final", BreakingLoadN: a.BreakingLoadN, SagMm: a.SagMm, ShockFactor: a.ShockFactor),
        };
        Assert.Equal(
            result.Checks.Select(c => Math.Round(c.Value ?? 0, 9)),
            LoopLoads.Evaluate(typed).Checks.Select(c => Math.Round(c.Value ?? 0, 9))
        );
        AssumedLoads belt = LoopLoads.Evaluate(VBelt() with { Strength = new("final") }).Assumed;
        Assert.Equal((0.17, 38), (belt.BeltFriction, belt.GrooveAngleDeg));
        Assert.Null(belt.MassKg);
    }

    /// <summary>engineering.md h6 by its formula, with this drive's wrap in K1.</summary>
    [Fact]
    public void So_many_belts_are_needed_as_the_rating_of_one_says()
    {
        Assert.Equal(
            "Strength.RatingPerBeltKw",
            LoopLoads.Evaluate(VBelt()).Checks.Single(c => c.Kind == BeltCount).Missing
        );
        LoadsInput input = VBelt() with { Strength = new("final", InstalledTensionN: 600, RatingPerBeltKw: 1.8) };
        LoopLoadsResult result = LoopLoads.Evaluate(input);
        LoadCheck count = result.Checks.Single(c => c.Kind == BeltCount);
        double power = result.At(OperatingPointKind.TopSpeed).Point.PowerKw;
        Assert.Equal(OperatingPointKind.TopSpeed, count.Point);
        double k1 = BeltFriction.WrapFactor.Value(LoadedWrap(input));
        // Table service_factors.csv: V-belt, medium shock, normal motor; 1.43 m are 55 in inside, K2 0.95.
        Assert.Equal(Math.Ceiling(power * 1.2 / (1.8 * k1 * 0.95)), count.Limit);
        Assert.Equal(count.Limit, result.Friction!.Rating!.Needed);
        Assert.Equal(power * 1.2, result.Friction.Rating.DesignPowerKw, 1e-9);
        Assert.Equal(1.8 * k1 * 0.95, result.Friction.Rating.PerBeltKw, 1e-9);
        Mend mend = LoadMends
            .Find(input)
            .Single(m => m.Kind == BeltCount)
            .Mends.Single(m => m.Kind == MendKind.MoreStrands);
        Assert.Equal(count.Limit, mend.To);
    }

    /// <summary>The trade disagrees which loses more: on the bench the chain wins, in everyday use the belt.</summary>
    [Fact]
    public void Both_schools_of_efficiency_are_told_with_what_they_cost()
    {
        LoopLoadsResult chain = LoopLoads.Evaluate(Motorcycle());
        IReadOnlyList<LoopEfficiency> belt = LoopLoads.Evaluate(ToothedBelt()).Efficiency;
        Assert.True(chain.Efficiency[0].High > belt[0].High && chain.Efficiency[1].Low < belt[1].Low);
        double cruise = chain.At(Cruise).Point.PowerKw;
        Assert.All(chain.Efficiency, e => Assert.Equal(cruise * (1 - e.Low), e.LossMostKw!.Value, 1e-9));
        // The one that is chosen is counted with: what the chain loses it must be pulled for.
        double CruisePull(EfficiencySchool? school) =>
            LoopLoads
                .Evaluate(Motorcycle() with { Source = Motorcycle().Source with { Efficiency = school } })
                .At(Cruise)
                .PullN;
        double resistance = CruisePull(null) * 0.97;
        Assert.Equal(resistance / 0.98, CruisePull(EfficiencySchool.TestBench), 1e-9);
        Assert.Equal(resistance / 0.945, CruisePull(EfficiencySchool.Everyday), 1e-9);
        Assert.All(chain.Efficiency, e => Assert.InRange(e.LossLeastKw!.Value, 0, e.LossMostKw!.Value));
    }

    [Fact]
    public void Hoists_and_aircraft_get_figures_but_no_verdict()
    {
        LoadsInput input = Motorcycle(9, 27);
        LoadsInput hoist = input with { Source = input.Source with { LiftsOrFlies = true } };
        LoopLoadsResult result = LoopLoads.Evaluate(hoist);
        Assert.False(result.IsJudged);
        Assert.Null(result.Smallest);
        Assert.Empty(LoadMends.Find(hoist));
        Assert.All(result.Checks, c => Assert.Equal(Verdict.NotApplicable, c.Verdict));
        Assert.Equal(Verdict.NotApplicable, result.Verdict);
        Assert.Equal(
            LoopLoads.Evaluate(input).Checks.Select(c => (c.Kind, c.Point, c.Value)).ToHashSet(),
            result.Checks.Select(c => (c.Kind, c.Point, c.Value)).ToHashSet()
        );
        // A joint is no other matter than a chain.
        ShaftHubCapacityInput joint = new(new SolidShaft(10, 0), 500, null, null);
        Assert.Equal(Verdict.Stop, ShaftHubCapacity.Compute(joint).Verdict);
        ShaftHubCapacityResult undecided = ShaftHubCapacity.Compute(joint with { LiftsOrFlies = true });
        Assert.Equal(Verdict.NotApplicable, undecided.Verdict);
        Assert.Equal(ShaftHubCapacity.Compute(joint).Margin, undecided.Margin);
    }

    [Fact]
    public void The_tent_covers_this_drive_and_holds_its_own_rating()
    {
        LoopLoadsResult result = LoopLoads.Evaluate(Motorcycle());
        RatingTent tent = result.Tent!;
        Assert.True(tent.Rpm[^1] >= result.Points.Max(p => p.SmallerRpm));
        int top = tent.Rpm.ToList().IndexOf(tent.CrossingRpm);
        Assert.Equal(tent.LinkPlateKw[top], tent.RollerBushingKw[top], 1e-9);
        Assert.Equal(ChainRating.LinkPlateKw(15.875, 15, tent.CrossingRpm) / 1.5, tent.LinkPlateKw[top], 1e-9);
        Assert.Equal(tent.LinkPlateKw[0], tent.RatedKw[0]);
        Assert.Equal(tent.RollerBushingKw[^1], tent.RatedKw[^1]);
        double lasting = result.Points.Single(p => p.Point.Kind == result.Chart!.Point).SmallerRpm;
        Assert.Equal(lasting <= tent.CrossingRpm ? RatingLine.LinkPlates : RatingLine.RollersAndBushings, tent.Governs);
        Assert.Null(LoopLoads.Evaluate(VBelt()).Tent);
        Assert.Contains("525", result.Sizes);
        Assert.DoesNotContain("428", result.Sizes);
    }

    /// <summary>A motor that pulls at a standstill carries no power: the margin is told as a large one, not as infinite.</summary>
    [Fact]
    public void No_speed_is_no_centrifugal_part_and_no_power()
    {
        LoadsInput input = Motorcycle();
        LoopLoadsResult result = LoopLoads.Evaluate(input with { Source = input.Source with { PeakTorqueRpm = 0 } });
        PointLoads still = result.At(HardestPull);
        Assert.Equal((0, 0), (still.SpeedMS, still.Point.PowerKw));
        // Sag of 2 % in a run of 620 to 700 mm: w·L/(8·0.02) + w·0.02·L.
        Assert.InRange(
            still.SlackN,
            ChainPull.Sag.Value(0.9, ChainPull.GravityMS2, 620, 12.4),
            ChainPull.Sag.Value(0.9, ChainPull.GravityMS2, 700, 14)
        );
        Assert.Equal(LoadCheck.MostMargin, result.Check(Rating).Margin);
        Assert.All(result.Checks, c => Assert.True(c.Margin is null || double.IsFinite(c.Margin.Value)));
    }

    [Fact]
    public void Bad_input_is_named()
    {
        void Refused(string field, LoopStrength strength) =>
            Refusals.Names(field, () => LoopLoads.Evaluate(Motorcycle() with { Strength = strength }));
        Refused("Strength.LoopKey", new("nowhere"));
        Refused("Strength.BreakingLoadN", new("final", BreakingLoadN: 0));
        Refused("Strength.Strands", new("final", Strands: 0));
        Refused("Strength.Friction", new("final", Friction: 2.1));
        Refused("Strength.GrooveAngleDeg", new("final", GrooveAngleDeg: 181));
        Refused("Strength.WidthMm", new("final", WidthMm: 0));
        Refused("Strength.Standard", new("final", Standard: "428"));
        Refusals.Names("Loops[0].FrontSize", () => LoopLoads.Evaluate(Motorcycle(1, 45)));
    }
}
