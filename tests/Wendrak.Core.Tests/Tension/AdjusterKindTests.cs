using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tension;
using Wendrak.Core.Tests.Fit;
using Wendrak.Core.Vocabulary;
using static Wendrak.Core.Tests.Tension.SetCases;

namespace Wendrak.Core.Tests.Tension;

public sealed class AdjusterKindTests
{
    /// <summary>e·(cos φ₁ − cos φ₂): plane trigonometry.</summary>
    [Theory]
    [InlineData(90)]
    [InlineData(30)]
    [InlineData(140)]
    public void An_eccentric_moves_much_in_its_middle_and_little_at_its_ends(double at)
    {
        AdjusterMove move = Eccentric(at).Moves.Single();
        double to = (at + move.Degrees!.Value) * Math.PI / 180;
        Assert.Equal(8 * (Math.Cos(at * Math.PI / 180) - Math.Cos(to)), move.Mm, 1e-9);
    }

    /// <summary>The same play is one move in the middle and another near the end; neither goes past the end.</summary>
    [Fact]
    public void An_eccentric_is_turned_by_what_its_place_asks_for()
    {
        AdjusterMove middle = Eccentric(90).Moves.Single();
        AdjusterMove near = Eccentric(30).Moves.Single();
        Assert.True(near.Degrees > middle.Degrees);
        Assert.Equal((middle.Units * 360, null), (middle.Degrees!.Value, middle.Flats));
        Assert.InRange(middle.Units, 1 / 180.0, 1 / 8.0);
        Assert.True(middle.Tightens);
        Assert.Equal(NextStep.AtItsEnd, Eccentric(178).Next);
        Assert.Equal(ReserveOrigin.Eccentric, Eccentric(90).Reserve!.Origin);
        Assert.Equal(8 - middle.Mm, Eccentric(90).Reserve!.AfterMm, 1e-9);
    }

    /// <summary>What it moves between two rounds is counted from where it stood in the first.</summary>
    [Fact]
    public void An_eccentric_is_learned_from_where_it_stood()
    {
        SetInput input = EccentricInput(60);
        SetAdvice first = SetEvaluation.Of(input);
        double units = first.Moves.Single().Units;
        // It answers just as geometry says: then the slope stays what it was.
        double moved = 8 * (Math.Cos(Math.PI / 3) - Math.Cos(Math.PI / 3 + units * 2 * Math.PI));
        SetAdvice after = SetEvaluation.Of(
            input with
            {
                Rounds =
                [
                    input.Rounds[0],
                    Round(units, first.ExpectedLoosestReading!.Value, first.ExpectedTightestReading!.Value),
                ],
            }
        );
        Assert.Equal(moved, first.Moves.Single().Mm, 1e-9);
        Assert.Equal(1, after.LearnedRounds);
        Working answer = after.Workings.Single(w => w.Title == "How this machine answers");
        Assert.Equal(answer.Values.Single(v => v.Symbol == "k₀").Value, answer.Result.Value, 0.02);
    }

    private static SetRound Round(double units, double loose, double tight) =>
        new(
            units,
            0,
            LockState.Nipped,
            [
                new(ReadingMethod.FreePlay, loose),
                new(ReadingMethod.FreePlay, tight, 1),
                new(ReadingMethod.FreePlay, tight, 2),
                new(ReadingMethod.FreePlay, loose, 3),
            ]
        );

    private static SetInput EccentricInput(double at)
    {
        SetInput input = Chain(Played(0, 60, 58, 58, 60));
        return input with { Setting = new("final", AdjusterKind.Eccentric, EccentricMm: 8, EccentricDeg: at) };
    }

    private static SetAdvice Eccentric(double at) => SetEvaluation.Of(EccentricInput(at));

    /// <summary>T = F·l/(2·sin(θ/2)·r·sin α): a screw that presses the spring by 1 mm adds its rate. Source: statics, i11.</summary>
    [Fact]
    public void A_sprung_arm_answers_by_its_spring_not_by_the_belt()
    {
        SetInput input = Belt(Plucked(0, 0, null, 55, 55, 55, 55));
        SprungArmInput arm = new(209.579, 40, 70, 80, 45, RateNPerMm: 10);
        SetAdvice advice = SetEvaluation.Of(
            input with
            {
                Setting = input.Setting with
                {
                    Kind = AdjusterKind.SprungArm,
                    GapSide = null,
                    MmPerUnit = 1,
                    Arm = arm,
                },
            }
        );
        Working answer = advice.Workings.Single(w => w.Title == "How this machine answers");
        // 209.579 N of spring hold 200 N (engineering.md i11): 10 N/mm give 9.543 N for each mm.
        Published.AgreesWithin(
            0.1,
            2000 / 209.579,
            answer.Values.Single(v => v.Symbol == "k₀").Value,
            "engineering.md i11"
        );
        Assert.Null(advice.Rounds[0].RunOutMm);
        Assert.Null(advice.Moves.Single().Side);
        Refusals.Names(
            "Setting.Arm.WrapDeg",
            () =>
                SetEvaluation.Of(
                    input with
                    {
                        Setting = input.Setting with { Kind = AdjusterKind.SprungArm, Arm = arm with { WrapDeg = 0 } },
                    }
                )
        );
        SetInput chain = Chain();
        Refusals.Names(
            "Setting.Kind",
            () => SetEvaluation.Of(chain with { Setting = chain.Setting with { Kind = AdjusterKind.SprungArm } })
        );
    }

    [Fact]
    public void A_motor_on_its_slide_has_one_adjuster()
    {
        SetInput input = Belt(Plucked(0, 0, null, 55, 56, 57, 56));
        SetAdvice advice = SetEvaluation.Of(
            input with
            {
                Setting = input.Setting with { Kind = AdjusterKind.SlidingMotor },
            }
        );
        Assert.Null(advice.Moves.Single().Side);
        Assert.True(advice.Moves.Single().Flats > 0);
    }

    /// <summary>What was read at the marks counts, less what was turned since; a move that needs more is not told.</summary>
    [Fact]
    public void What_is_left_on_the_adjuster_is_told_after_the_move_and_bounds_it()
    {
        SetRound found = Played(0, 60, 58, 58, 60) with { WayLeftMm = 6 };
        SetAdvice advice = SetEvaluation.Of(Chain(found));
        double way = advice.Moves.Average(m => m.Mm);
        Assert.Equal((6.0, 6 - way), (advice.Reserve!.NowMm, advice.Reserve.AfterMm));
        Assert.Equal((6 - way) / 1.25, advice.Reserve.AfterUnits!.Value, 1e-9);
        Assert.True(advice.Reserve.IsNearlyUsedUp); // a tenth of 80 mm of slot is more
        Working left = advice.Workings.Single(w => w.Title == "What the adjuster has left");
        Assert.Equal((advice.Reserve.AfterMm, 6.0), (left.Result.Value, left.Values[0].Value));
        SetAdvice after = SetEvaluation.Of(Chain(found, Played(0.25, 56, 54, 54, 56)));
        Assert.Equal(6 - 0.25 * 1.25, after.Reserve!.NowMm, 1e-9);
        Assert.Equal(NextStep.AtItsEnd, SetEvaluation.Of(Chain(found with { WayLeftMm = 0.01 })).Next);
    }

    /// <summary>Without a mark, Fit tells where a new chain is taut: what is missing against taut is still to come.</summary>
    [Fact]
    public void Unmeasured_the_reserve_is_that_of_fit()
    {
        SetInput input = Chain(Played(0, 45, 45, 45, 45));
        SetInput laid = input with { Loops = [new("final", 15, 45, 110)] };
        SetReserve reserve = SetEvaluation.Of(laid).Reserve!;
        SetReserve tighter = SetEvaluation.Of(laid with { Rounds = [Played(0, 35, 35, 35, 35)] }).Reserve!;
        Assert.Equal(ReserveOrigin.Fit, reserve.Origin);
        // The working's own values give its result.
        Working told = SetEvaluation.Of(laid).Workings.Single(w => w.Title == "What the adjuster has left");
        double Of(string symbol) => told.Values.Single(v => v.Symbol == symbol).Value;
        Assert.Equal(told.Result.Value, Of("taut") - Of("t") / Of("k") - Of("move"), 1e-9);
        // engineering.md i4: from 45 to 35 mm of play at a run near 600 mm are some 0.33 mm of axle.
        double span = SetEvaluation.Of(laid).Span.SpanMm!.Value;
        double cos = SetEvaluation.Of(laid).Span.CosRun;
        Assert.Equal(ChainPlay.AxleMoveMm(span, 45, 35, cos), reserve.NowMm - tighter.NowMm, 0.01);
        Assert.Null(SetEvaluation.Of(input with { Layout = null }).Reserve);
    }

    /// <summary>Nobody was asked: what Fit says moves the loop is what it is set by.</summary>
    [Theory]
    [InlineData(MoverKind.Axle, AdjusterStepKind.Turn, AdjusterKind.TwoEnds)]
    [InlineData(MoverKind.BothArms, AdjusterStepKind.Click, AdjusterKind.Cam)]
    [InlineData(MoverKind.Motor, AdjusterStepKind.Turn, AdjusterKind.SlidingMotor)]
    [InlineData(MoverKind.Motor, AdjusterStepKind.Shim, AdjusterKind.Shims)]
    [InlineData(MoverKind.Tensioner, AdjusterStepKind.Turn, AdjusterKind.OneScrew)]
    public void It_begins_with_what_fit_moves(MoverKind mover, AdjusterStepKind step, AdjusterKind kind)
    {
        LoopLayout slot = Fits.Slot(400, 430);
        LoopSetting setting = StartingSetting.Of(
            "final",
            slot with
            {
                Mover = slot.Mover! with { Kind = mover, Step = new(step, 0.8) },
            },
            MachineKind.Moped
        );
        Assert.Equal((kind, 0.8), (setting.Kind, setting.MmPerUnit));
        Assert.Equal(AdjusterKind.TwoEnds, StartingSetting.Of("final", null, MachineKind.Moped).Kind);
        // A driven shaft of a robot is a bearing on one screw, laid out or not.
        LoopLayout bearing = slot with
        {
            Mover = slot.Mover! with { Kind = MoverKind.Axle },
        };
        Assert.Equal(AdjusterKind.OneScrew, StartingSetting.Of("final", null, MachineKind.Robot).Kind);
        Assert.Equal(AdjusterKind.OneScrew, StartingSetting.Of("final", bearing, MachineKind.Robot).Kind);
        // A board has no axle in slots: its motor slides.
        Assert.Equal(AdjusterKind.SlidingMotor, StartingSetting.Of("final", null, MachineKind.KickBoard).Kind);
    }

    [Fact]
    public void An_eccentric_begins_with_the_radius_it_was_laid_out_with()
    {
        LoopLayout layout = Fits.Slot(400, 430) with
        {
            Mover = new(MoverKind.Eccentric, LoopLayout.RearName, new ArcTrack(new(-410, 0), 7, 90, 180)),
        };
        LoopSetting setting = StartingSetting.Of("final", layout, MachineKind.Motorcycle);
        Assert.Equal((AdjusterKind.Eccentric, 7.0), (setting.Kind, setting.EccentricMm));
    }
}
