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
        SetAdvice first = SetEvaluation.Advise(input);
        double units = first.Moves.Single().Units;
        // It answers just as geometry says: then the slope stays what it was.
        double moved = 8 * (Math.Cos(Math.PI / 3) - Math.Cos(Math.PI / 3 + units * 2 * Math.PI));
        SetAdvice after = SetEvaluation.Advise(
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
        Assert.Equal(answer.Beside.Single(v => v.Symbol == "k_0").Value, answer.Result.Value, 0.02);
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
        return input with
        {
            Layout = input.Layout! with { Moving = new(LoopLayout.RearName, new ArcTrack(new(-660, 0), 8, 0, 180)) },
            Setting = new("final", new(AdjusterKind.Eccentric, EccentricDeg: at)),
        };
    }

    private static SetAdvice Eccentric(double at) => SetEvaluation.Advise(EccentricInput(at));

    /// <summary>T = F·l/(2·sin(θ/2)·r·sin α): a screw that presses the spring by 1 mm adds its rate. Source: statics, i11.</summary>
    [Fact]
    public void A_sprung_arm_answers_by_its_spring_not_by_the_belt()
    {
        SetInput input = Belt(Plucked(0, 0, null, 55, 55, 55, 55));
        SprungArmInput arm = new(209.579, 40, 70, 80, 45, RateNPerMm: 10);
        SetAdvice advice = SetEvaluation.Advise(
            input with
            {
                Layout = WithIdler(input.Layout!),
                Setting = input.Setting with
                {
                    Adjuster = new(AdjusterKind.SprungArm, MmPerUnit: 1),
                    GapSide = null,
                    Arm = arm,
                },
            }
        );
        Working answer = advice.Workings.Single(w => w.Title == "How this machine answers");
        // 209.579 N of spring hold 200 N (engineering.md i11): 10 N/mm give 9.543 N for each mm.
        Published.AgreesWithin(
            0.1,
            2000 / 209.579,
            answer.Beside.Single(v => v.Symbol == "k_0").Value,
            "engineering.md i11"
        );
        Assert.Equal(0.3, advice.ResponseSigma / advice.ResponsePerMm, 1e-9); // measured by hand: judgement
        Assert.Null(advice.Rounds[0].RunOutMm);
        Assert.Null(advice.Moves.Single().Side);
        Refusals.Names(
            "Setting.Arm.WrapDeg",
            () =>
                SetEvaluation.Advise(
                    input with
                    {
                        Layout = WithIdler(input.Layout!),
                        Setting = input.Setting with
                        {
                            Adjuster = new(AdjusterKind.SprungArm),
                            Arm = arm with { WrapDeg = 0 },
                        },
                    }
                )
        );
        SetInput chain = Chain();
        Refusals.Names(
            "Setting.Adjuster.Kind",
            () =>
                SetEvaluation.Advise(
                    chain with
                    {
                        Layout = null,
                        Setting = chain.Setting with { Adjuster = new(AdjusterKind.SprungArm) },
                    }
                )
        );
    }

    [Fact]
    public void A_motor_on_its_slide_has_one_adjuster()
    {
        SetInput input = Belt(Plucked(0, 0, null, 55, 56, 57, 56));
        SetAdvice advice = SetEvaluation.Advise(On(input, AdjusterKind.SlidingMotor, LoopLayout.FrontName));
        Assert.Null(advice.Moves.Single().Side);
        Assert.True(advice.Moves.Single().Flats > 0);
    }

    /// <summary>What was read at the marks counts, less what was turned since; a move that needs more is not told.</summary>
    [Fact]
    public void What_is_left_on_the_adjuster_is_told_after_the_move_and_bounds_it()
    {
        SetRound found = Played(0, 60, 58, 58, 60) with { WayLeftMm = 6 };
        SetAdvice advice = SetEvaluation.Advise(Chain(found));
        double way = advice.Moves.Average(m => m.Mm);
        Assert.Equal((6.0, 6 - way), (advice.Reserve!.NowMm, advice.Reserve.AfterMm));
        Assert.Equal((6 - way) / 1.25, advice.Reserve.AfterUnits!.Value, 1e-9);
        Assert.True(advice.Reserve.IsNearlyUsedUp); // a tenth of 80 mm of slot is more
        Working left = advice.Workings.Single(w => w.Title == "What the adjuster has left");
        Assert.Equal((advice.Reserve.AfterMm, 6.0), (left.Result.Value, left.Values[0].Value));
        SetAdvice after = SetEvaluation.Advise(Chain(found, Played(0.25, 56, 54, 54, 56)));
        Assert.Equal(6 - 0.25 * 1.25, after.Reserve!.NowMm, 1e-9);
        Assert.Equal(NextStep.AtItsEnd, SetEvaluation.Advise(Chain(found with { WayLeftMm = 0.01 })).Next);
    }

    /// <summary>Without a mark, Fit tells where a new chain is taut: what is missing against taut is still to come.</summary>
    [Fact]
    public void Unmeasured_the_reserve_is_that_of_fit()
    {
        SetInput input = Chain(Played(0, 45, 45, 45, 45));
        SetInput laid = input with { Loops = [new("final", 15, 45, 110)] };
        SetReserve reserve = SetEvaluation.Advise(laid).Reserve!;
        SetReserve tighter = SetEvaluation.Advise(laid with { Rounds = [Played(0, 35, 35, 35, 35)] }).Reserve!;
        Assert.Equal(ReserveOrigin.Fit, reserve.Origin);
        Working now = SetEvaluation.Advise(laid).Workings.Single(w => w.Title == "What the adjuster has left now");
        Assert.Equal(reserve.NowMm, now.Result.Value);
        // engineering.md i4: from 45 to 35 mm of play at a run near 600 mm are some 0.33 mm of axle.
        double span = SetEvaluation.Advise(laid).Span.SpanMm!.Value;
        double cos = SetEvaluation.Advise(laid).Span.CosRun;
        Assert.Equal(ChainPlay.AxleMoveMm(span, 45, 35, cos), reserve.NowMm - tighter.NowMm, 0.01);
        Assert.Null(SetEvaluation.Advise(input with { Layout = null }).Reserve);
    }

    /// <summary>Nobody was asked: what Fit says moves the loop is what it is set by, else what is usual for such a machine.</summary>
    [Theory]
    [InlineData(MachineKind.Moped, AdjusterKind.TwoEnds, AdjusterKind.TwoEnds, AdjusterKind.SlidingMotor)]
    [InlineData(MachineKind.Robot, AdjusterKind.OneScrew, AdjusterKind.OneScrew, AdjusterKind.SlidingMotor)]
    [InlineData(MachineKind.KickBoard, AdjusterKind.SlidingMotor, AdjusterKind.TwoEnds, AdjusterKind.SlidingMotor)]
    public void It_begins_with_what_fit_moves(
        MachineKind machine,
        AdjusterKind unlaid,
        AdjusterKind rear,
        AdjusterKind front
    )
    {
        AdjusterKind KindOf(LoopLayout? layout) => StartingSetting.For("final", layout, machine).Adjuster.Kind;
        LoopLayout slot = WithIdler(Fits.Slot(400, 430));
        Track line = slot.Moving!.Track;
        Assert.Equal(unlaid, KindOf(null));
        Assert.Equal(rear, KindOf(slot with { Moving = new(LoopLayout.RearName, line) }));
        Assert.Equal(front, KindOf(slot with { Moving = new(LoopLayout.FrontName, line) }));
        Assert.Equal(AdjusterKind.OneScrew, KindOf(slot with { Moving = new("idler", line) }));
        Assert.Equal(AdjusterKind.FixedCentres, KindOf(slot with { Moving = null }));
        ArcTrack arc = new(new(-410, 0), 7, 90, 180);
        Assert.Equal(AdjusterKind.Eccentric, KindOf(slot with { Moving = new(LoopLayout.RearName, arc) }));
    }

    /// <summary>Its offset stands in one place: in the layout where there is one.</summary>
    [Fact]
    public void An_eccentric_is_as_far_off_its_middle_as_it_was_laid_out()
    {
        SetInput input = EccentricInput(60);
        Working answer = SetEvaluation.Advise(input).Workings.Single(w => w.Title == "How this machine answers");
        Assert.Equal(8, answer.Beside.Single(v => v.Symbol == "e").Value);
        LoopSetting typed = input.Setting with { Adjuster = input.Setting.Adjuster with { EccentricMm = 6 } };
        Refusals.Names("Setting.Adjuster.EccentricMm", () => SetEvaluation.Advise(input with { Setting = typed }));
        SetAdvice unlaid = SetEvaluation.Advise(input with { Layout = null, Setting = typed with { SpanMm = 600 } });
        answer = unlaid.Workings.Single(w => w.Title == "How this machine answers");
        Assert.Equal(6, answer.Beside.Single(v => v.Symbol == "e").Value);
    }

    /// <summary>What Fit moves and what Set turns are one adjuster: another wheel, or a slot for an eccentric, is refused.</summary>
    [Theory]
    [InlineData(AdjusterKind.TwoEnds, LoopLayout.FrontName)]
    [InlineData(AdjusterKind.Cam, LoopLayout.FrontName)]
    [InlineData(AdjusterKind.SlidingMotor, LoopLayout.RearName)]
    [InlineData(AdjusterKind.SpringSlide, LoopLayout.RearName)]
    [InlineData(AdjusterKind.SprungArm, LoopLayout.RearName)]
    [InlineData(AdjusterKind.Eccentric, LoopLayout.RearName)]
    [InlineData(AdjusterKind.FixedCentres, LoopLayout.RearName)]
    [InlineData(AdjusterKind.OneScrew, null)]
    public void One_that_moves_another_wheel_than_is_laid_out_is_refused(AdjusterKind kind, string? moves)
    {
        SetInput belt = Belt();
        Refusals.Names(
            "Setting.Adjuster.Kind",
            () =>
                SetEvaluation.Advise(
                    belt with
                    {
                        Layout = belt.Layout! with
                        {
                            Moving = moves is null ? null : new(moves, belt.Layout.Moving!.Track),
                        },
                        Setting = belt.Setting with { Adjuster = new(kind), GapSide = null },
                    }
                )
        );
    }

    /// <summary>Between fixed centres nothing is to be turned, whatever is read.</summary>
    [Fact]
    public void Between_fixed_centres_it_is_read_and_nothing_is_turned()
    {
        SetInput input = On(Belt(Plucked(0, 0, null, 55, 55, 55, 55)), AdjusterKind.FixedCentres, null);
        SetAdvice loose = SetEvaluation.Advise(input);
        Assert.Equal(NextStep.NothingMoves, loose.Next);
        Assert.Empty(loose.Moves);
        Assert.Equal(
            NextStep.TightenAndRead,
            SetEvaluation.Advise(input with { Rounds = [Plucked(0, 0, null, 68, 69, 69, 68)] }).Next
        );
    }

    private static LoopLayout WithIdler(LoopLayout layout) =>
        layout with
        {
            Idlers = [new("idler", new(-200, -60), 30, false, RunSide.Back, LoopRun.Slack)],
            Moving = new("idler", new LineTrack(new(-200, -60), new(-200, -50))),
        };
}
