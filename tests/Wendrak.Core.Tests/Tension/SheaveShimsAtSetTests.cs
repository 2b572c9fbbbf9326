using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Lengths;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tension;
using Wendrak.Core.Tests.Gearing;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Tension;

/// <summary>
/// A belt set by the shims of its sheave. By hand, from the wedge: at 28° a shim of 0.5 mm lets it rise or sink by
/// 0.5/(2·tan 14°) = 1.0027 mm. Level or slightly proud is common practice.
/// </summary>
public sealed class SheaveShimsAtSetTests
{
    private static readonly ShimPack Told = new(0.5, 28, ShimSense.UnderOpeningBolts, Owned: 6, Bolts: 3);

    private static SetInput Input(ShimPack? shims, params SetRound[] rounds)
    {
        Loop loop = Drives.Chain("final", "in", "out") with
        {
            DriveElement = DriveElement.VBelt,
            Standard = "SPA",
            SlipFraction = 0.015,
        };
        return new(
            Drives.WithStages([loop]),
            MachineKind.Moped,
            [new("final", 100, 120, null)],
            [],
            null,
            null,
            null,
            new("final", new(AdjusterKind.SheaveShims), Shims: shims),
            rounds
        );
    }

    private static SetRound Stands(double mm, double raised = 0, int? shims = null, bool? free = null) =>
        new(raised, 0, LockState.Torqued, [new(ReadingMethod.BeltHeight, mm)], ShimsIn: shims, FreeAtIdle: free);

    private static SetAdvice Advise(ShimPack? shims, params SetRound[] rounds) =>
        SetEvaluation.Advise(Input(shims, rounds));

    [Fact]
    public void It_is_read_by_how_high_the_belt_stands_and_by_nothing_else()
    {
        SetAdvice advice = Advise(Told);
        Assert.Equal(NextStep.ReadAsFound, advice.Next);
        Assert.Equal([ReadingMethod.BeltHeight], advice.Manual.ReadBy);
        Assert.Equal((TightnessUnit.AboveRimMm, ReadingMethod.BeltHeight), (advice.Unit, advice.WindowMethod));
        Assert.Equal((0, 1.5), (advice.WindowLooseReading, advice.WindowTightReading));
        Assert.False(Advise(Told, Stands(1)).IsPartial);
    }

    [Theory]
    [InlineData(ShimSense.UnderOpeningBolts, 3.7, false)]
    [InlineData(ShimSense.UnderOpeningBolts, -2.3, true)]
    [InlineData(ShimSense.BetweenHalves, 3.7, true)]
    [InlineData(ShimSense.BetweenHalves, -2.3, false)]
    public void Too_high_and_too_low_are_mended_by_shims_the_way_they_work_here(
        ShimSense sense,
        double stands,
        bool putsIn
    )
    {
        SetAdvice advice = Advise(Told with { Sense = sense, Owned = 10 }, Stands(stands, shims: 5));
        Assert.Equal(NextStep.Turn, advice.Next);
        AdjusterMove move = advice.Moves.Single();
        Assert.Equal((3, putsIn, stands < 0), (move.Units, move.PutsIn!.Value, move.Tightens));
        Assert.Equal((null, null, null), (move.Clockwise, move.Flats, move.Degrees));
        double rises = 0.5 / (2 * Math.Tan(14 * Math.PI / 180));
        Assert.Equal(stands + (stands < 0 ? 3 : -3) * rises, advice.ExpectedLoosestReading!.Value, 9);
        Assert.Equal(1.0027, rises, 4);
        ShimsLeft left = advice.Shims!;
        Assert.Equal((rises, 5, 5, 9), (left.RisesMm, left.In, left.Spare, left.MovedInAll));
        Assert.Equal(putsIn ? (8, 2) : (2, 8), (left.InAfter, left.SpareAfter));
        Assert.Contains(advice.Workings, w => Math.Abs(w.Result.Value - rises) < 1e-12);
    }

    [Fact]
    public void What_is_left_is_counted_on_from_the_newest_count()
    {
        SetAdvice advice = Advise(Told, Stands(3.7, shims: 4), Stands(0.7, raised: -3));
        Assert.Equal(NextStep.Done, advice.Next);
        Assert.Equal((1, 5), (advice.Shims!.In, advice.Shims.Spare));
        advice = Advise(Told, Stands(3.7, shims: 4), Stands(0.7, raised: -3, shims: 2));
        Assert.Equal(2, advice.Shims!.In);
        Assert.Null(Advise(Told with { Owned = null }, Stands(3.7, shims: 4)).Shims!.Spare);
    }

    [Fact]
    public void No_more_are_taken_out_than_there_are_and_where_none_is_left_it_is_said()
    {
        SetAdvice two = Advise(Told, Stands(4, shims: 2));
        Assert.Equal((NextStep.Turn, 2, 0), (two.Next, two.Moves.Single().Units, two.Shims!.InAfter));
        Assert.Equal(NextStep.NoShimLeft, Advise(Told, Stands(4, shims: 0)).Next);
        // Its bolts are at their torque whenever it is read: a loose sheave lets no belt climb.
        Assert.Equal(LockState.Torqued, two.UsualLock);
        Assert.Equal(NextStep.NoShimLeft, Advise(Told with { Owned = 3 }, Stands(-2, shims: 3)).Next);
        // A shim would bring it no nearer: it is no matter that none is there.
        Assert.Equal(NextStep.AsNearAsAHand, Advise(Told with { ShimMm = 2 }, Stands(1.6, shims: 0)).Next);
    }

    [Fact]
    public void What_they_do_here_is_asked_once_before_one_is_moved()
    {
        Assert.Equal(NextStep.SayShims, Advise(null, Stands(4)).Next);
        Assert.Equal(NextStep.SayShims, Advise(Told with { Sense = null }, Stands(4)).Next);
        Assert.Equal(NextStep.SayShims, Advise(Told with { ShimMm = null }, Stands(4)).Next);
        Assert.Equal(NextStep.SayShims, Advise(Told with { SheaveAngleDeg = null }, Stands(4)).Next);
        // Where it stands right, nothing is asked.
        Assert.Equal(NextStep.Done, Advise(null, Stands(0.7)).Next);
    }

    [Fact]
    public void One_that_stands_right_and_does_not_turn_free_at_idle_is_a_stop()
    {
        SetAdvice advice = Advise(Told, Stands(0.7, free: false));
        Assert.Equal(NextStep.NotFreeAtIdle, advice.Next);
        Assert.Contains(advice.Suspects, s => s.Contains("belt is not the one", StringComparison.Ordinal));
        Assert.Equal(NextStep.Done, Advise(Told, Stands(0.7, free: true)).Next);
        // Too high it creeps anyway: the shims come first.
        Assert.Equal(NextStep.Turn, Advise(Told, Stands(3.7, shims: 5, free: false)).Next);
        Assert.Contains(
            ClosedDespite.AdvisorStopped,
            ClosingReasons.Find(new(Input(Told, Stands(0.7, free: false)), true, 20)).Despite
        );
    }

    [Fact]
    public void A_belt_that_does_not_answer_as_the_wedge_says_is_looked_at() =>
        Assert.Equal(NextStep.LooseOrBent, Advise(Told, Stands(6, shims: 8), Stands(6, raised: -4)).Next);

    [Fact]
    public void The_maker_s_height_wins_also_below_the_rim()
    {
        SetInput input = Input(Told, Stands(0.7));
        LoopSetting below = input.Setting with
        {
            MakerMethod = ReadingMethod.BeltHeight,
            MakerLow = -3,
            MakerHigh = -1,
        };
        SetAdvice advice = SetEvaluation.Advise(input with { Setting = below });
        Assert.Equal(WindowOrigin.Maker, advice.Window!.Origin);
        Assert.Equal((-3, -1), (advice.Window.Low, advice.Window.High));
        Assert.Equal((3, false), (advice.Moves.Single().Units, advice.Moves.Single().Tightens));
    }

    [Fact]
    public void What_can_t_be_is_refused_at_its_field()
    {
        void Refuses(string field, LoopSetting setting, SetRound? round = null) =>
            Refusals.Names(
                field,
                () => SetEvaluation.Advise(Input(Told, round ?? Stands(1)) with { Setting = setting })
            );
        LoopSetting setting = Input(Told).Setting;
        Refuses("Setting.Shims.ShimMm", setting with { Shims = Told with { ShimMm = 0.04 } });
        Refuses("Setting.Shims.SheaveAngleDeg", setting with { Shims = Told with { SheaveAngleDeg = 61 } });
        Refuses("Setting.Shims.Owned", setting with { Shims = Told with { Owned = 31 } });
        Refuses("Setting.Shims.Bolts", setting with { Shims = Told with { Bolts = 1 } });
        Refuses("Setting.Shims", setting with { Adjuster = new(AdjusterKind.OneScrew) });
        Refuses("Setting.Adjuster.MmPerUnit", setting with { Adjuster = new(AdjusterKind.SheaveShims, 2) });
        Refuses("Setting.MakerMethod", setting with { MakerMethod = ReadingMethod.Pluck });
        Refuses("Rounds[0].Readings[0].Value", setting, Stands(30.1));
        Refuses("Rounds[0].ShimsIn", setting, Stands(1, shims: 31));
        Refusals.Names(
            "Setting.Adjuster.Kind",
            () => SetEvaluation.Advise(SetCases.Belt() with { Setting = setting with { Shims = null } })
        );
    }

    [Fact]
    public void It_has_no_simulated_drive() =>
        Refusals.Names(
            "Loop.Setting.Adjuster.Kind",
            () => PracticeDrive.Read(new(1, Input(Told, Stands(1)), LockState.Torqued))
        );

    [Fact]
    public void It_moves_no_wheel_and_another_adjuster_forgets_how_far_one_goes()
    {
        SetInput belt = SetCases.Belt();
        (Adjuster shims, MovingWheel? moving) = StartingAdjuster.For(
            new(belt.Drive, belt.Loops[0], belt.Layout!, AdjusterKind.SheaveShims, null, new(AdjusterKind.Shims, 1))
        );
        Assert.Null(moving);
        Assert.Null(shims.MmPerUnit);
        Assert.Null(shims.Counted);
        Assert.Equal(InspectionKind.VariableBelt, InspectionKinds.Suiting(DriveElement.VBelt, shims.Kind)[0]);
    }
}
