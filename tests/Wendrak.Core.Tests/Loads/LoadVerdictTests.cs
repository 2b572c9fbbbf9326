using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Tests.Fit;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wheels;
using static Wendrak.Core.Loads.LoadCheckKind;
using static Wendrak.Core.Tests.Loads.LoadCases;

namespace Wendrak.Core.Tests.Loads;

/// <summary>A check that can't be made is a row that says so; one that is poor is poor everywhere.</summary>
public sealed class LoadVerdictTests
{
    [Fact]
    public void A_power_that_was_typed_is_pull_times_speed()
    {
        PointLoads top = LoopLoads.Evaluate(Motorcycle()).At(OperatingPointKind.TopSpeed);
        Assert.True(top.Point.IsPowerGiven);
        Assert.Equal(top.Point.PowerKw * 1_000, top.PullN * top.SpeedMS, 1e-6);
        double onThePitchCircle = ChainPull.OfTorque.Value(
            top.Point.TorqueNm,
            2 * SprocketSize.PitchRadiusMm(15.875, 15)
        );
        Assert.Equal(Math.Pow(Math.PI / 15, 2) / 6, top.PullN / onThePitchCircle - 1, 1e-4); // engineering.md g
        Assert.Contains(
            LoopLoads.Evaluate(Motorcycle()).Workings,
            w => w is { Title: "Pull, top speed", Formula: "F = 1000·P/v" }
        );
    }

    /// <summary>engineering.md h8: with a friction of 0.3 the tooth needs 500 N; one that holds by itself only half the pull.</summary>
    [Fact]
    public void Friction_of_a_toothed_belt_is_counted_with()
    {
        LoadsInput usual = ToothedBelt();
        double Jump(double? friction) =>
            LoopLoads
                .Evaluate(usual with { Strength = usual.Strength with { Friction = friction } })
                .Check(LoadCheckKind.ToothJump)
                .Value!.Value;
        Assert.Equal(Jump(0.3), Jump(null), 1e-9);
        Assert.True(Jump(0.2) < Jump(0.3));
        // tan 20° = 0.364: from there on a flank of 20° slides no more.
        double pull = LoopLoads.Evaluate(usual).At(OperatingPointKind.HardestPull).PullN;
        Assert.Equal(800 / (pull / 2), Jump(0.364), 0.001);
    }

    /// <summary>engineering.md h7: what goes round by itself is not there to pull.</summary>
    [Fact]
    public void Mass_and_number_of_toothed_belts_count_in_what_they_may_pull()
    {
        LoadsInput usual = ToothedBelt();
        double Allowed(LoopStrength strength) =>
            LoopLoads.Evaluate(usual with { Strength = strength }).Check(BeltPull).Limit!.Value;
        double speed = LoopLoads.Evaluate(usual).At(OperatingPointKind.HardestPull).SpeedMS;
        double own = Allowed(usual.Strength);
        Assert.Equal(
            speed * speed,
            Allowed(usual.Strength with { MassKgPerM = 1 }) - Allowed(usual.Strength with { MassKgPerM = 2 }),
            1e-6
        );
        Assert.Equal(2 * own, Allowed(usual.Strength with { Strands = 2 }), 1e-6);
    }

    [Fact]
    public void The_smaller_wheel_is_always_a_row()
    {
        // The tables advise against XH over 3600 rpm and have no figure there; flat belts are in no table.
        LoadsInput fast = ToothedBelt("XH", 30, 60);
        fast = fast with { Drive = fast.Drive with { Input = fast.Drive.Input with { LimitSpeedRpm = 5_000 } } };
        Assert.Equal(Unjudged.TableSilent, LoopLoads.Evaluate(fast).Checks.Single(c => c.Kind == SmallPulley).Unjudged);
        Assert.Null(LoopLoads.Evaluate(ToothedBelt()).Checks.Single(c => c.Kind == SmallPulley).Unjudged);
        Assert.Equal(
            Unjudged.TableSilent,
            LoopLoads
                .Evaluate(As(VBelt(), DriveElement.FlatBelt, "flat"))
                .Checks.Single(c => c.Kind == SmallPulley)
                .Unjudged
        );
    }

    [Fact]
    public void The_smallest_wheel_of_the_machine_itself_is_asked()
    {
        foreach (LoadsInput input in new[] { Motorcycle(), ToothedBelt(), VBelt() })
        {
            double front = input.Loops[0].FrontSize;
            Assert.DoesNotContain(LoopLoads.Evaluate(input).Checks, c => c.Kind == SmallestFront);
            Assert.Equal(Verdict.Fine, OwnFront(input, front));
            Assert.Equal(Verdict.Stop, OwnFront(input, front + 1));
        }
        static Verdict OwnFront(LoadsInput input, double smallest) =>
            LoopLoads
                .Evaluate(Changed(input, l => l with { SmallestFront = smallest }))
                .Checks.Single(c => c.Kind == SmallestFront)
                .Verdict;
    }

    /// <summary>engineering.md b: fewer than nine teeth stop a power drive and may be turned by hand.</summary>
    [Fact]
    public void Fewer_than_nine_teeth_stop_a_power_drive()
    {
        Assert.Equal(Verdict.Stop, LoopLoads.Evaluate(Motorcycle(8, 24)).Check(Ripple).Verdict);
        Assert.Equal(Verdict.Watch, LoopLoads.Evaluate(Motorcycle(9, 27)).Check(Ripple).Verdict);
        LoadsInput byMuscle = Motorcycle(8, 24);
        byMuscle = byMuscle with
        {
            Drive = byMuscle.Drive with { Input = byMuscle.Drive.Input with { Kind = InputKind.Rider } },
        };
        Assert.Equal(Verdict.Watch, LoopLoads.Evaluate(byMuscle).Check(Ripple).Verdict);
        Assert.Equal(Verdict.Stop, LoopLoads.Evaluate(Motorcycle(8, 24)).Verdict);
    }

    /// <summary>Shigley ch. 17 asks for 5 m/s and more of V-belts; ropes and distances: common practice.</summary>
    [Fact]
    public void Slow_belts_and_far_ropes_are_watched()
    {
        LoadsInput slow = VBelt();
        slow = slow with
        {
            Drive = slow.Drive with { Input = slow.Drive.Input with { LimitSpeedRpm = 300, LowSpeedRpm = 100 } },
        };
        Assert.Equal(Verdict.Watch, LoopLoads.Evaluate(slow).Checks.Single(c => c.Kind == LowBeltSpeed).Verdict);
        LoadsInput far = As(VBelt(), DriveElement.RoundBelt, "round") with { Layout = Fits.Slot(70_000, 70_500) };
        Assert.Equal(Verdict.Watch, Distance(far, RopeKind.FibreRope));
        Assert.Equal(Verdict.Fine, Distance(far, RopeKind.WireLinedSheave));
        Assert.Equal((5.0, 60.0), RangeOf(far, RopeKind.FibreRope));
        Assert.Equal((20.0, 150.0), RangeOf(far, RopeKind.WireVGroove));
        static LoopLoadsResult Result(LoadsInput input, RopeKind rope) =>
            LoopLoads.Evaluate(input with { Strength = new("final", Rope: rope) });
        static Verdict Distance(LoadsInput input, RopeKind rope) =>
            Result(input, rope).Checks.Single(c => c.Kind == LongDistance).Verdict;
        static (double, double) RangeOf(LoadsInput input, RopeKind rope) =>
            (Result(input, rope).Friction!.DistanceFromM, Result(input, rope).Friction!.DistanceToM);
    }

    /// <summary>Counts, angles and speeds have a limit and no margin: three belts of three needed are not safe once over.</summary>
    [Fact]
    public void The_smallest_margin_is_one_of_strength_or_grip_and_the_worst_stands_first()
    {
        LoopLoadsResult few = LoopLoads.Evaluate(ToothedBelt("H", 14, 28));
        Assert.NotEqual(TeethInMesh, few.Smallest!.Kind);
        foreach (
            LoopLoadsResult result in new[]
            {
                few,
                LoopLoads.Evaluate(Motorcycle(8, 24)),
                LoopLoads.Evaluate(VBelt(30)),
            }
        )
        {
            LoadCheck[] counted = [.. result.Checks.Where(c => c is { IsAdvisory: false, Unjudged: null })];
            Assert.Equal(counted[0].Verdict, result.Verdict);
            Assert.Equal(
                counted.OrderBy(c =>
                    (int)c.Verdict switch
                    {
                        2 => 0,
                        1 => 1,
                        _ => 2,
                    }
                ),
                counted
            );
        }
        Assert.All(
            LoopLoads.Evaluate(Motorcycle()).Checks.Where(c => c.Limit is not null),
            c => Assert.Equal(c.Side == LimitSide.AtLeast ? c.Value >= c.Limit : c.Value <= c.Limit, c.Margin >= 1)
        );
    }

    private static LoadsInput As(LoadsInput input, DriveElement element, string standard) =>
        Changed(input, l => l with { DriveElement = element, Standard = standard });

    private static LoadsInput Changed(LoadsInput input, Func<Loop, Loop> change) =>
        input with
        {
            Drive = input.Drive with
            {
                Stages = [.. input.Drive.Stages.Select(s => s is Loop loop ? change(loop) : s)],
            },
        };
}
