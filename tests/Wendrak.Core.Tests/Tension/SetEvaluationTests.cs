using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;
using static Wendrak.Core.Tests.Tension.SetCases;

namespace Wendrak.Core.Tests.Tension;

public sealed class SetEvaluationTests
{
    [Fact]
    public void Before_a_reading_it_asks_for_one_as_found()
    {
        SetAdvice advice = SetEvaluation.Advise(Belt());
        Assert.Equal(NextStep.ReadAsFound, advice.Next);
        Assert.Empty(advice.Moves);
        Assert.Equal(
            (64.0, 74.0),
            (Math.Round(advice.WindowLooseReading!.Value, 6), Math.Round(advice.WindowTightReading!.Value, 6))
        );
    }

    [Fact]
    public void What_is_turned_and_not_read_yet_leaves_what_was_told()
    {
        SetRound found = Plucked(0, 0, 3.5, 51, 55, 59, 54);
        SetAdvice before = SetEvaluation.Advise(Belt(found));
        SetAdvice turned = SetEvaluation.Advise(Belt(found, Plucked(0.25, 0.25, null)));
        Assert.Equal(before.Next, turned.Next);
        Assert.Equal(before.Moves, turned.Moves);
        Assert.Equal(before.ExpectedLoosestReading, turned.ExpectedLoosestReading);
        SetRound mended = Plucked(0, 0, null) with { LearnAnew = true };
        Assert.Equal(NextStep.ReadAsFound, SetEvaluation.Advise(Belt(found, mended)).Next);
    }

    /// <summary>Too loose and too far from the flange on the left: tightened, and by no more than half a turn.</summary>
    [Fact]
    public void A_loose_belt_is_tightened_and_moved_in_one_move()
    {
        SetAdvice advice = SetEvaluation.Advise(Belt(Plucked(0, 0, 3.5, 51, 55, 59, 54)));
        Assert.Equal(NextStep.Turn, advice.Next);
        Assert.All(advice.Moves, m => Assert.InRange(m.Units, 1 / 16.0, 0.5));
        Assert.Contains(advice.Moves, m => m.Tightens);
        Assert.True(advice.ExpectedLoosestReading > 51);
        Assert.True(advice.ExpectedTightestReading <= 74);
        Assert.True(advice.ExpectedGapMm < 3.5);
        Assert.Equal(4, advice.TurnsToRoll);
        Assert.Equal((32.0, 148.0), (Math.Round(advice.Expected!.Low, 9), Math.Round(advice.Expected.High, 9)));
    }

    [Fact]
    public void Moved_exactly_the_loosest_place_would_lie_on_the_aim()
    {
        SetInput input = Belt(Plucked(0, 0, 1.2, 51, 52, 53, 52));
        SetAdvice advice = SetEvaluation.Advise(input);
        Assert.Equal(
            advice.Aim!.Value,
            advice.Rounds[^1].Loosest!.Value + advice.ExactMoveMm!.Value * advice.ResponsePerMm,
            1e-6
        );
        Assert.Null(SetEvaluation.Advise(input with { Goal = SetGoal.TrackingOnly }).ExactMoveMm);
        Assert.Null(SetEvaluation.Advise(Belt()).ExactMoveMm);
    }

    [Fact]
    public void It_speaks_clockwise_by_what_was_asked_once()
    {
        SetInput input = Belt(Plucked(0, 0, 1.2, 51, 52, 53, 52));
        bool?[] Senses(bool left, bool right) =>
            [
                .. SetEvaluation
                    .Advise(
                        input with
                        {
                            Setting = input.Setting with
                            {
                                Adjuster = input.Setting.Adjuster with
                                {
                                    LeftClockwiseTightens = left,
                                    RightClockwiseTightens = right,
                                },
                            },
                        }
                    )
                    .Moves.Select(m => m.Clockwise),
            ];
        Assert.Equal([true, true], Senses(true, true));
        Assert.Equal([false, true], Senses(false, true));
        AdjusterMove move = SetEvaluation.Advise(input).Moves[0];
        Assert.Equal((move.Units * 6, move.Units * 12, move.Units * 1.5), (move.Flats, move.ClockHours, move.Mm));
    }

    /// <summary>Both ends count: an average inside the window is no verdict.</summary>
    [Fact]
    public void The_lowest_and_the_highest_are_judged_not_their_mean()
    {
        SetAdvice wide = SetEvaluation.Advise(Belt(Plucked(0, 0, 1.2, 60, 69, 78, 69)));
        Assert.Equal(NextStep.SpreadTooWide, wide.Next);
        Assert.NotEmpty(wide.Suspects);
        Assert.False(wide.Rounds[0].IsInside);
    }

    /// <summary>Where nothing tells how square the axle stands it is not made askew: common practice.</summary>
    [Fact]
    public void Without_a_gap_both_ends_go_alike()
    {
        SetInput belt = Belt(Plucked(0, 0, null, 51, 55, 59, 54));
        SetInput chain = Chain(Played(0, 60, 58, 58, 60), Played(0.25, 49, 47, 47, 49));
        foreach (SetAdvice advice in new[] { SetEvaluation.Advise(belt), SetEvaluation.Advise(chain) })
        {
            Assert.Equal(2, advice.Moves.Count);
            Assert.Equal(advice.Moves[0].Units, advice.Moves[1].Units);
        }
    }

    [Fact]
    public void When_it_is_there_the_nut_is_tightened_and_it_is_read_again()
    {
        SetRound good = Plucked(0, 0, 1.2, 66, 68, 70, 68);
        Assert.Equal(NextStep.TightenAndRead, SetEvaluation.Advise(Belt(good)).Next);
        SetRound tight = good with { Lock = LockState.Torqued };
        Assert.Equal(NextStep.Done, SetEvaluation.Advise(Belt(good, tight)).Next);
        // What the nut did is told as the ear would hear it.
        SetRound lower = Plucked(0, 0, 1.2, 64, 66, 68, 66) with
        {
            Lock = LockState.Torqued,
        };
        Assert.InRange(SetEvaluation.Advise(Belt(good, lower)).NutShiftReading!.Value, -2.2, -0.5);
        Assert.Null(SetEvaluation.Advise(Belt(good)).NutShiftReading);
        // Tightened it may have moved: then it is not done.
        SetRound moved = tight with
        {
            Readings = [new(ReadingMethod.Pluck, 60)],
        };
        Assert.Equal(NextStep.Turn, SetEvaluation.Advise(Belt(good, moved)).Next);
    }

    [Fact]
    public void It_learns_what_a_turn_does_and_says_so()
    {
        SetRound[] rounds = [Plucked(0, 0, 1.2, 50, 51, 52, 51), Plucked(0.125, 0.125, 1.2, 55, 56, 57, 56)];
        SetAdvice first = SetEvaluation.Advise(Belt(rounds[0]));
        SetAdvice then = SetEvaluation.Advise(Belt(rounds));
        Assert.Equal((0, 1), (first.LearnedRounds, then.LearnedRounds));
        // By hand: tension goes with f²; 0.125 turn of 1.5 mm made it (56² − 51²)·4·m·L².
        SpanFacts span = then.Span;
        double perMm =
            (
                SpanVibration.TensionN(span.SpanMm!.Value, span.MassKgPerM!.Value, 56)
                - SpanVibration.TensionN(span.SpanMm.Value, span.MassKgPerM.Value, 51)
            ) / (0.125 * 1.5);
        double learned = then
            .Workings.Single(w => w.Title.StartsWith("How this", StringComparison.Ordinal))
            .Result.Value;
        Assert.Equal(perMm, learned, 0.2 * perMm);
    }

    /// <summary>What was inside nipped and fell out when tightened is not called right a second time.</summary>
    [Fact]
    public void The_shift_of_the_nut_is_learned_and_allowed_for()
    {
        SetRound nipped = Plucked(0, 0, 1.2, 66, 67, 68, 67);
        SetRound torqued = Plucked(0, 0, 1.2, 61, 62, 63, 62) with { Lock = LockState.Torqued };
        Assert.Equal(NextStep.TightenAndRead, SetEvaluation.Advise(Belt(nipped)).Next);
        SetAdvice again = SetEvaluation.Advise(Belt(nipped, torqued, nipped));
        SpanFacts span = again.Span;
        double N(double hz) => SpanVibration.TensionN(span.SpanMm!.Value, span.MassKgPerM!.Value, hz);
        Assert.InRange(again.NutShift, N(62) - N(67), 0.5 * (N(62) - N(67)));
        Assert.Equal(NextStep.Turn, again.Next);
        Assert.All(again.Moves, m => Assert.True(m.Tightens));
    }

    [Fact]
    public void A_working_explains_the_reading_that_was_the_loosest()
    {
        SetRound mixed = new(
            0,
            0,
            LockState.Nipped,
            [new(ReadingMethod.Push, 12, 0, 8), new(ReadingMethod.Pluck, 70, 1), new(ReadingMethod.Push, 4, 2, 5)]
        );
        SetAdvice advice = SetEvaluation.Advise(Belt(mixed));
        Working working = advice.Workings[0];
        Assert.Equal(advice.Rounds[0].Loosest, working.Result.Value);
        Working answer = advice.Workings.Single(w => w.Title == "How this machine answers");
        Assert.Equal(advice.ResponsePerMm, answer.Result.Value);
        Assert.True(advice.ResponseSigma > 0);
        Assert.Equal((8.0, 12.0), (working.Values[0].Value, working.Values[2].Value));
        Assert.Equal(SpanDeflection.TensionN(advice.Span.SpanMm!.Value, 12, 8), working.Result.Value, 1e-9);
    }

    [Fact]
    public void An_answer_that_cannot_be_is_called_loose_or_bent()
    {
        SetRound before = Plucked(0, 0, 1.2, 55, 56, 57, 56);
        SetRound after = Plucked(0.5, 0.5, 1.2, 35, 36, 37, 36);
        SetAdvice advice = SetEvaluation.Advise(Belt(before, after));
        Assert.Equal(NextStep.LooseOrBent, advice.Next);
        Assert.Contains(advice.Suspects, s => s.Contains("slips", StringComparison.Ordinal));
    }

    [Theory]
    [InlineData(SetGoal.TensionOnly)]
    [InlineData(SetGoal.TrackingOnly)]
    public void One_thing_only_when_asked(SetGoal goal)
    {
        SetInput input = Belt(Plucked(0, 0, 4, 51, 52, 53, 52)) with { Goal = goal };
        AdjusterMove[] moves = [.. SetEvaluation.Advise(input).Moves];
        double sum = moves.Sum(m => m.Tightens ? m.Units : -m.Units);
        if (goal == SetGoal.TensionOnly)
            Assert.True(moves.Length == 2 && moves[0].Units == moves[1].Units && sum > 0);
        else
            Assert.True(moves.Length == 1 || sum == 0);
    }

    /// <summary>Right end back: the shafts are closer on the left, the belt walks left and a gap there narrows.</summary>
    [Theory]
    [InlineData(Side.Left, true)]
    [InlineData(Side.Right, false)]
    public void Which_end_goes_back_depends_on_the_side_of_the_gap(Side side, bool rightGoesBack)
    {
        SetInput input = Belt(Plucked(0, 0, 4, 68, 69, 70, 69));
        input = input with { Goal = SetGoal.TrackingOnly, Setting = input.Setting with { GapSide = side } };
        double skew = SetEvaluation.Advise(input).Moves.Sum(m => (m.Side == Side.Right ? 1 : -1) * m.Mm);
        Assert.Equal(rightGoesBack, skew > 0);
    }

    /// <summary>Chains are set at the tight place: 25 to 35 mm, raised where the suspension asks for more.</summary>
    [Fact]
    public void A_chain_is_set_at_its_tight_place()
    {
        SetAdvice found = SetEvaluation.Advise(Chain(Played(0, 58, 55, 51, 54)));
        Assert.Equal(NextStep.Turn, found.Next);
        Assert.All(found.Moves, m => Assert.True(m.Tightens));
        Assert.True(found.WindowTightReading >= 25);
        Assert.Equal(10, found.WindowLooseReading!.Value - found.WindowTightReading!.Value, 1e-6);
        double middle = (found.WindowLooseReading.Value + found.WindowTightReading.Value) / 2;
        SetAdvice good = SetEvaluation.Advise(Chain(Played(0, middle + 6, middle + 3, middle, middle + 3)));
        Assert.Equal(NextStep.TightenAndRead, good.Next);
        SetAdvice taut = SetEvaluation.Advise(Chain(Played(0, 20, 18, 15, 18)));
        Assert.All(taut.Moves, m => Assert.False(m.Tightens));
    }

    [Fact]
    public void Without_span_or_mass_the_maker_s_hertz_still_serve_and_nothing_else_is_borrowed()
    {
        SetInput bare = Belt(Plucked(0, 0, null, 50, 51, 52, 51)) with { Layout = null, Strength = null };
        SetAdvice maker = SetEvaluation.Advise(bare);
        Assert.Equal((TightnessUnit.HertzSquared, NextStep.Turn), (maker.Unit, maker.Next));
        SetAdvice none = SetEvaluation.Advise(
            bare with
            {
                Setting = bare.Setting with { MakerMethod = null, MakerLow = null, MakerHigh = null },
            }
        );
        Assert.Equal((NextStep.GiveWindow, null), (none.Next, none.Window));
        Assert.Equal(50, none.Rounds[0].LoosestReading);
    }

    /// <summary>A gauge keeps its own scale until two pairs tie it to newtons.</summary>
    [Fact]
    public void A_gauge_keeps_its_own_scale_until_it_is_calibrated()
    {
        SetRound gauge = new(0, 0, LockState.Nipped, [new(ReadingMethod.Gauge, 4), new(ReadingMethod.Gauge, 5, 1)]);
        SetInput input = Belt(gauge);
        Assert.Equal(TightnessUnit.Gauge, SetEvaluation.Advise(input).Unit);
        CalibrationPair[] pairs =
        [
            new(ReadingMethod.Gauge, 4, ReadingMethod.Pluck, 60),
            new(ReadingMethod.Gauge, 8, ReadingMethod.Pluck, 75),
        ];
        SetAdvice tied = SetEvaluation.Advise(input with { Gauge = pairs });
        SpanFacts span = tied.Span;
        double N(double hz) => SpanVibration.TensionN(span.SpanMm!.Value, span.MassKgPerM!.Value, hz);
        Assert.Equal((TightnessUnit.Newton, N(60)), (tied.Unit, tied.Rounds[0].Loosest));
        Assert.Equal(N(60) + (N(75) - N(60)) / 4, tied.Rounds[0].Tightest!.Value, 1e-9);
    }

    /// <summary>A hand says nothing in newtons until it was tied to one reading; then it is known to a third.</summary>
    [Fact]
    public void A_feel_is_a_figure_once_it_is_tied_to_a_reading()
    {
        SetRound felt = new(0, 0, LockState.Nipped, [new(ReadingMethod.Feel, 1)]);
        SetAdvice alone = SetEvaluation.Advise(Belt(felt));
        Assert.Null(alone.Rounds[0].Loosest);
        Assert.All(alone.Moves, m => Assert.Equal(alone.Setting.Adjuster.Step, m.Units));
        SetAdvice tied = SetEvaluation.Advise(
            Belt(felt) with
            {
                Gauge = [new(ReadingMethod.Feel, 2, ReadingMethod.Pluck, 69)],
            }
        );
        double right = SpanVibration.TensionN(tied.Span.SpanMm!.Value, tied.Span.MassKgPerM!.Value, 69);
        Assert.Equal(right / 1.4, tied.Rounds[0].Loosest!.Value, 1e-9);
        Assert.Equal(NextStep.Turn, tied.Next);
        Assert.All(tied.Moves, m => Assert.True(m.Tightens));
    }

    [Fact]
    public void Practice_knows_no_window_for_a_run_that_is_too_short_for_its_play()
    {
        SetInput Run(double spanMm) =>
            Chain() with
            {
                Layout = null,
                Setting = new("final", new(AdjusterKind.TwoEnds), SpanMm: spanMm, Suspension: RearSuspension.SwingArm),
            };
        Assert.NotNull(SetEvaluation.Advise(Run(600)).Window);
        Assert.Null(SetEvaluation.Advise(Run(90)).Window);
        // To practise on it, a window must be typed: the field is named.
        Refusals.Names("Loop.Setting.MakerLow", () => PracticeDrive.Read(new(1, Run(90), LockState.Torqued)));
    }

    [Fact]
    public void A_bearing_bounds_the_window_and_load_makes_one()
    {
        SetInput input = Belt(Plucked(0, 0, 1.2, 60, 61, 62, 61));
        double high = SetEvaluation.Advise(input).Window!.High;
        SetAdvice bounded = SetEvaluation.Advise(
            input with
            {
                Setting = input.Setting with { MostShaftLoadN = 2 * high * 0.95 },
            }
        );
        Assert.Equal(high * 0.95, bounded.Window!.High, 1e-6);
        // A shaft that may carry less than the belt asks for is never overruled, and it is said.
        TensionWindow weak = SetEvaluation
            .Advise(input with { Setting = input.Setting with { MostShaftLoadN = 20 } })
            .Window!;
        Assert.Equal((10.0, 10.0), (weak.Low, weak.High));
        Assert.Contains("less than that asks for", weak.Reason, StringComparison.Ordinal);
        SetAdvice byLoad = SetEvaluation.Advise(
            input with
            {
                Setting = input.Setting with { MakerMethod = null, MakerLow = null, MakerHigh = null },
                Source = new("drive", PeakTorqueNm: 6),
            }
        );
        Assert.Equal(WindowOrigin.Load, byLoad.Window!.Origin);
        Assert.Equal(1.5 / 1.2, byLoad.Window.High / byLoad.Window.Low, 1e-9);
        // Shallow teeth want a tighter belt: 3 mm more than 5 mm, at the same pull.
        double Low(string standard)
        {
            Loop loop = input.Loop() with { Standard = standard };
            return SetEvaluation
                .Advise(
                    input with
                    {
                        Drive = input.Drive with { Stages = [loop] },
                        Setting = new("final", new(AdjusterKind.TwoEnds), MassKgPerM: 0.1),
                        Source = new("drive", PullN: 100),
                    }
                )
                .Window!.Low;
        }
        Assert.True(Low("3M") > 1.1 * Low("5M"));
    }

    [Fact]
    public void Four_positions_tell_what_runs_out()
    {
        SetAdvice advice = SetEvaluation.Advise(Belt(Plucked(0, 0, 1.2, 58, 63, 66, 61)));
        Assert.True(advice.Rounds[0].RunOutMm > 0);
        Assert.Equal((0, 2), (advice.Rounds[0].LoosestAt, advice.Rounds[0].TightestAt));
        SetAdvice two = SetEvaluation.Advise(Belt(Plucked(0, 0, 1.2, 58, 63)));
        Assert.Null(two.Rounds[0].RunOutMm);
        Assert.Equal((true, false), (two.IsPartial, advice.IsPartial));
        Assert.False(SetEvaluation.Advise(Belt()).IsPartial);
    }

    /// <summary>58 put in as a deflection would be next to nothing; as Hz it is what such a belt has.</summary>
    [Fact]
    public void A_reading_in_the_wrong_unit_is_noticed()
    {
        SetRound push = new(0, 0, LockState.Nipped, [new(ReadingMethod.Push, 58, 2, 5)]);
        ReadingDoubt doubt = SetEvaluation.Advise(Belt(push)).Doubts.Single();
        Assert.Equal(
            (2, ReadingMethod.Push, 58.0, ReadingMethod.Pluck),
            (doubt.Position, doubt.Method, doubt.Value, doubt.Meant)
        );
        Assert.Equal(
            SpanDeflection.TensionN(SetEvaluation.Advise(Belt()).Span.SpanMm!.Value, 58, 5),
            doubt.WouldBe!.Value,
            1e-9
        );
        Assert.Empty(SetEvaluation.Advise(Belt(Plucked(0, 0, 1, 40, 90))).Doubts);
        // Ten times too high in Hz: told, but nothing better is known of it.
        Assert.Null(SetEvaluation.Advise(Belt(Plucked(0, 0, 1, 640))).Doubts.Single().Meant);
    }

    [Fact]
    public void Wrong_input_is_refused_at_its_field()
    {
        Refusals.Names("Rounds[0].LeftUnits", () => SetEvaluation.Advise(Belt(Plucked(0.5, 0, 1, 50))));
        Refusals.Names("Rounds[0].Readings[0].Value", () => SetEvaluation.Advise(Belt(Plucked(0, 0, 1, -3))));
        Refusals.Names("Rounds[0].GapMm", () => SetEvaluation.Advise(Belt(Plucked(0, 0, 80, 50))));
        Refusals.Names(
            "Setting.Adjuster.MmPerUnit",
            () => SetEvaluation.Advise(Belt() with { Setting = new("final", new(AdjusterKind.TwoEnds, MmPerUnit: 0)) })
        );
        Refusals.Names(
            "Setting.Adjuster.SmallestStep",
            () =>
                SetEvaluation.Advise(
                    Belt() with
                    {
                        Setting = new("final", new(AdjusterKind.TwoEnds, SmallestStep: 0.75)),
                    }
                )
        );
        Refusals.Names(
            "Setting.LoopKey",
            () => SetEvaluation.Advise(Belt() with { Setting = new("none", new(AdjusterKind.TwoEnds)) })
        );
        Refusals.Names(
            "Setting.MakerMethod",
            () =>
                SetEvaluation.Advise(
                    Belt() with
                    {
                        Setting = new("final", new(AdjusterKind.TwoEnds), MakerMethod: ReadingMethod.FreePlay),
                    }
                )
        );
        Refusals.Names(
            "Gauge[0].Known",
            () => SetEvaluation.Advise(Belt() with { Gauge = [new(ReadingMethod.Gauge, 4, ReadingMethod.Feel, 2)] })
        );
        SetRound push = new(0, 0, LockState.Nipped, [new(ReadingMethod.Push, 5)]);
        Refusals.Names("Rounds[0].Readings[0].ForceN", () => SetEvaluation.Advise(Belt(push)));
    }

    /// <summary>Where the tight place is too loose, no place is called inside: the drawing says what the verdict says.</summary>
    [Fact]
    public void A_place_looser_than_the_window_is_inside_only_beside_a_tight_one_in_it()
    {
        double most = SetEvaluation.Advise(Chain(Played(0, 40, 40, 40, 40))).WindowLooseReading!.Value;
        RoundResult Of(double tight) =>
            SetEvaluation.Advise(Chain(Played(0, most + 4, tight, most + 3, most + 3))).Rounds[0];
        RoundResult loose = Of(most + 2);
        Assert.Equal((false, 4), (loose.IsInside!.Value, loose.Inside.Count(i => i == false)));
        RoundResult spread = Of(most - 2);
        Assert.Equal((true, 4), (spread.IsInside!.Value, spread.Inside.Count(i => i == true)));
    }
}
