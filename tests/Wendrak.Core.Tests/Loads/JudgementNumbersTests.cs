using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Tables;
using Wendrak.Core.Tests.Gearing;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wheels;
using static Wendrak.Core.Loads.OperatingPointKind;
using static Wendrak.Core.Tests.Loads.LoadCases;

namespace Wendrak.Core.Tests.Loads;

/// <summary>Numbers of judgement, each by what is seen of it: change one and something here fails.</summary>
public sealed class JudgementNumbersTests
{
    /// <summary>Common practice: every 500 to 1000 km, and after rain.</summary>
    [Fact]
    public void A_sealed_ring_chain_is_oiled_every_five_hundred_to_a_thousand_kilometres()
    {
        ChainOiling oiling = LoopLoads.Evaluate(Motorcycle()).Oiling!;
        Assert.Equal((500, 1_000), (oiling.SealedFromKm, oiling.SealedToKm));
    }

    /// <summary>Handbooks and makers for the test bench, common practice for every day; both from memory.</summary>
    [Theory]
    [InlineData(DriveElement.Chain, 0.97, 0.99, 0.92, 0.97)]
    [InlineData(DriveElement.ToothedBelt, 0.96, 0.98, 0.95, 0.98)]
    [InlineData(DriveElement.VBelt, 0.93, 0.96, 0.88, 0.95)]
    [InlineData(DriveElement.FlatBelt, 0.96, 0.98, 0.92, 0.97)]
    public void Each_kind_loses_so_much_by_both_schools(
        DriveElement element,
        double benchLow,
        double benchHigh,
        double everydayLow,
        double everydayHigh
    )
    {
        LoadsInput input = element switch
        {
            DriveElement.Chain => Motorcycle(),
            DriveElement.ToothedBelt => ToothedBelt(),
            DriveElement.VBelt => VBelt(),
            _ => VBelt() with { Alternative = new("flat", element, "flat", 100, 250, new("final")) },
        };
        Assert.Equal(
            [(benchLow, benchHigh), (everydayLow, everydayHigh)],
            LoopLoads.Evaluate(input).Efficiency.Select(e => (e.Low, e.High))
        );
    }

    /// <summary>Common practice: gears 0.98, chain and planetary gears 0.97, friction belts 0.95, hub gears 0.95 (from memory).</summary>
    [Fact]
    public void Each_stage_passes_on_so_much()
    {
        Loop chain = Drives.Chain("final", "in", "out");
        double Of(DriveElement element) => LoadDefaults.EfficiencyOf(chain with { DriveElement = element });
        Assert.Equal((0.97, 0.97), (Of(DriveElement.Chain), Of(DriveElement.ToothedBelt)));
        Assert.Equal(
            (0.95, 0.95, 0.95),
            (Of(DriveElement.VBelt), Of(DriveElement.FlatBelt), Of(DriveElement.RoundBelt))
        );
        FixedPair gears = new("primary", "primary", "in", "clutch", 28, 76, Meshing.ExternalGears);
        Assert.Equal(0.98, LoadDefaults.EfficiencyOf(gears));
        HubGear hub = new("hub", "hub", "sprocket", "wheel", "three", [0.75, 1, 1.333], null);
        Assert.Equal(0.95, LoadDefaults.EfficiencyOf(hub));
        // By a school it is the middle of its range.
        Assert.Equal(0.98, LoadDefaults.EfficiencyOf(chain, EfficiencySchool.TestBench), 1e-12);
        Assert.Equal(0.945, LoadDefaults.EfficiencyOf(chain, EfficiencySchool.Everyday), 1e-12);
    }

    /// <summary>What is tried to mend a drive: common sense of a workshop, the least change first.</summary>
    [Fact]
    public void Wider_belts_more_tension_and_more_strands_are_tried_in_steps()
    {
        IEnumerable<LoadsInput> narrow = Sweep(torque =>
            ToothedBelt("L", 28, 70) with
            {
                Strength = new("final", WidthMm: 20),
                Source = new("drive", PeakTorqueNm: torque),
            }
        );
        Assert.Equal([1.25, 1.5, 2, 3], Tried(narrow, MendKind.WiderBelt, 20));
        IEnumerable<LoadsInput> slack = Sweep(torque =>
            VBelt(350) with
            {
                Source = new("drive", PeakTorqueNm: torque),
            }
        );
        Assert.Equal([1.1, 1.25, 1.5, 2, 3], Tried(slack, MendKind.MoreTension, 350));
        IEnumerable<LoadsInput> weak = Sweep(torque =>
            Chain(15, 45) with
            {
                Strength = new("final", BreakingLoadN: 5_000),
                Source = new("drive", PeakTorqueNm: torque),
            }
        );
        Assert.Equal([2, 3], Tried(weak, MendKind.MoreStrands, 1));
    }

    private static IEnumerable<LoadsInput> Sweep(Func<double, LoadsInput> ask) =>
        Enumerable.Range(0, 90).Select(i => ask(1.5 * Math.Pow(1.05, i)));

    /// <summary>By what the least change that mended something was larger than what was there, over all of them.</summary>
    private static double[] Tried(IEnumerable<LoadsInput> inputs, MendKind kind, double was) =>
        [
            .. inputs
                .SelectMany(LoadMends.Find)
                .SelectMany(m => m.Mends)
                .Where(m => m.Kind == kind)
                .Select(m => Math.Round(m.To!.Value / was, 6))
                .Distinct()
                .Order(),
        ];

    /// <summary>A usual start: the pitch that is most common, and a pulley that bends no belt too hard (judgement).</summary>
    [Fact]
    public void Another_kind_begins_with_usual_sizes()
    {
        LoadsInput pulleys = VBelt();
        LoopAlternative Start(DriveElement element) =>
            LoopAlternative.Start(new(pulleys.Drive, pulleys.Loops[0], element));
        Assert.Equal(100, Start(DriveElement.FlatBelt).FrontSize);
        Assert.Equal(12.7, Chains.Find(Start(DriveElement.Chain).Standard)!.PitchMm);
        LoopAlternative named = Start(DriveElement.FlatBelt) with { Name = new string('n', 60) };
        LoopLoads.Evaluate(pulleys with { Alternative = named });
        Refusals.Names(
            "Alternative.Name",
            () => LoopLoads.Evaluate(pulleys with { Alternative = named with { Name = new string('n', 61) } })
        );
    }

    [Fact]
    public void Units_are_those_that_are_told()
    {
        LoadsInput input = VBelt();
        LoopLoadsResult belt = LoopLoads.Evaluate(input);
        double centreM = belt.Path!.Wheels[0].Centre.DistanceTo(belt.Path.Wheels[1].Centre) / 1_000;
        Assert.Equal(centreM, belt.Check(LoadCheckKind.LongDistance).Value!.Value, 1e-9);
        LoopLoadsResult chain = LoopLoads.Evaluate(Motorcycle());
        Assert.Equal(Chains.Find("520")!.MassKgPerM * chain.Path!.LengthMm / 1_000, chain.MassKg!.Value, 1e-9);
        FrictionFigures friction = belt.Friction!;
        // Power is pull times speed: what is left of the tight run at its best speed, by what the wrap can hold.
        double pull = friction.GreatestPowerKw!.Value * 1_000 / friction.BestSpeedMS!.Value;
        Assert.InRange(pull, 1, friction.TightN);
    }

    /// <summary>The picture of the rating reaches past the top of the tent and past the fastest that this drive runs.</summary>
    [Fact]
    public void The_tent_is_drawn_to_twice_its_top_and_a_tenth_past_the_drive()
    {
        LoopLoadsResult slow = LoopLoads.Evaluate(Motorcycle());
        RatingTent tent = slow.Tent!;
        double fastest = slow.Points.Max(p => p.SmallerRpm);
        Assert.Equal(17, tent.Rpm.Count);
        Assert.Equal(Math.Max(2 * tent.CrossingRpm, 1.1 * fastest), tent.Rpm[^1], 1e-9);
        LoadsInput input = Motorcycle();
        Drive faster = input.Drive with { Input = input.Drive.Input with { LimitSpeedRpm = 20_000 } };
        LoopLoadsResult fast = LoopLoads.Evaluate(
            input with
            {
                Drive = faster,
                Source = input.Source with { PeakTorqueRpm = 20_000 },
            }
        );
        Assert.Equal(
            Math.Max(2 * fast.Tent!.CrossingRpm, 1.1 * fast.Points.Max(p => p.SmallerRpm)),
            fast.Tent.Rpm[^1],
            1e-9
        );
        Refusals.Names("teeth", () => ChainRating.Of(12.7, 4, 100));
        Assert.True(ChainRating.Of(12.7, 5, 100).Kw > 0);
    }

    [Fact]
    public void Checks_stand_worst_first()
    {
        Verdict[] order = [Verdict.Stop, Verdict.Watch, Verdict.NotApplicable, Verdict.Advice, Verdict.Fine];
        LoadsInput[] inputs = [Motorcycle(), Motorcycle(9, 27), Chain(10, 27), VBelt(100), ToothedBelt()];
        HashSet<(Verdict, Verdict)> neighbours = [];
        foreach (LoadsInput input in inputs)
        {
            Verdict[] result = [.. LoopLoads.Evaluate(input).Checks.Select(c => c.Verdict)];
            Assert.Equal(result.OrderBy(v => Array.IndexOf(order, v)), result);
            neighbours.UnionWith(result.Zip(result.Skip(1)));
        }
        Assert.Contains((Verdict.NotApplicable, Verdict.Advice), neighbours);
        Assert.Contains((Verdict.Advice, Verdict.Fine), neighbours);
    }

    /// <summary>Common practice: where nobody gave a crank it is 170 mm long.</summary>
    [Fact]
    public void A_pedal_crank_is_of_the_usual_length() => Assert.Equal(170, DriveInput.UsualCrankMm);

    [Fact]
    public void What_pulls_at_a_standstill_has_a_margin_of_a_million_over_power() =>
        Assert.Equal(1_000_000, LoadCheck.MostMargin);

    /// <summary>A rope several times round a drum: up to ten turns.</summary>
    [Fact]
    public void A_rope_lies_up_to_ten_times_round()
    {
        Assert.True(BeltFriction.Limit(0.1, 3_600, 0.1, 1, 100).PowerW > 0);
        Refusals.Names("wrapDeg", () => BeltFriction.Limit(0.1, 3_601, 0.1, 1, 100));
    }

    /// <summary>Usual figures of ropes: Machinery's Handbook and common practice (speeds and distances from memory).</summary>
    [Theory]
    [InlineData(RopeKind.Cord, 0.3, 3, 20, 0.1, 5)]
    [InlineData(RopeKind.FibreRope, 0.2, 10, 30, 5, 60)]
    [InlineData(RopeKind.WireLinedSheave, 0.22, 8, 30, 20, 150)]
    [InlineData(RopeKind.WireRoundGroove, 0.1, 8, 30, 20, 150)]
    [InlineData(RopeKind.WireVGroove, 0.1, 8, 30, 20, 150)]
    public void A_rope_runs_so_fast_and_so_far(
        RopeKind rope,
        double friction,
        double slowest,
        double fastest,
        double near,
        double far
    )
    {
        LoadsInput input = VBelt() with
        {
            Alternative = new(
                "rope",
                DriveElement.RoundBelt,
                "round",
                100,
                250,
                new("final", InstalledTensionN: 2_000, Rope: rope, BreakingLoadN: 20_000)
            ),
        };
        LoopLoadsResult result = LoopLoads.Evaluate(input);
        FrictionFigures figures = result.Friction!;
        Assert.Equal((near, far), (figures.DistanceFromM, figures.DistanceToM));
        Assert.Equal(fastest, result.Checks.First(c => c.Kind == LoadCheckKind.BeltSpeed).Limit);
        Assert.Equal(slowest, result.Checks.First(c => c.Kind == LoadCheckKind.LowBeltSpeed).Limit);
        Assert.Equal(friction, result.Assumed.BeltFriction);
    }

    /// <summary>Common practice: twice against yield where the torque comes and goes; mild steel where nobody said more.</summary>
    [Fact]
    public void A_joint_is_fine_at_half_of_what_it_yields_at()
    {
        ShaftHubCapacityResult Of(double torque) =>
            ShaftHubCapacity.Compute(new(new SolidShaft(20, 0), torque, null, null));
        Assert.Equal(235, Of(100).YieldMpa);
        double atTwice = 100 * Of(100).Stresses.Single().Margin / 2;
        Assert.Equal(Verdict.Fine, Of(0.999 * atTwice).Verdict);
        Assert.NotEqual(Verdict.Fine, Of(1.001 * atTwice).Verdict);
    }

    [Fact]
    public void Teeth_are_in_mesh_over_the_wrap()
    {
        Assert.Equal(7, ToothLoads.Compute(15, 168, 1).TeethEngaged);
        Assert.Equal(6, ToothLoads.Compute(15, 167.9, 1).TeethEngaged);
        Assert.Equal(14, ToothLoads.Compute(28, 180, 1).TeethEngaged);
    }

    /// <summary>Statics: what one run of a belt gains by the pull the other loses.</summary>
    [Fact]
    public void The_pull_is_shared_by_both_runs_of_a_belt()
    {
        PointLoads hardest = LoopLoads.Evaluate(ToothedBelt()).At(HardestPull);
        Assert.Equal(800 + hardest.CentrifugalN + hardest.PullN / 2, hardest.TightN, 1e-6);
        Assert.Equal(800 + hardest.CentrifugalN - hardest.PullN / 2, hardest.SlackN, 1e-6);
    }
}
