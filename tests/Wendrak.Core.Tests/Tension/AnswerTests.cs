using Wendrak.Core.Loops;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;
using static Wendrak.Core.Tests.Tension.SetCases;

namespace Wendrak.Core.Tests.Tension;

/// <summary>How a drive answers its adjusters: what is stiffness, and what is a fault.</summary>
public sealed class AnswerTests
{
    private static readonly double[] AsFound = [51, 55, 59, 54];

    private static SetAdvice After(double turns, params double[] hz) =>
        SetEvaluation.Advise(Belt(Plucked(0, 0, 1.2, AsFound), Plucked(turns, turns, 1.2, hz)));

    [Fact]
    public void A_stiffer_belt_is_learned_and_turned_back_never_called_loose()
    {
        SetAdvice result = After(0.25, 92, 94, 97, 94);
        Assert.Equal(NextStep.Turn, result.Next);
        Assert.All(result.Moves, m => Assert.False(m.Tightens));
        Assert.True(result.StifferBy > 1.5);
        Assert.Equal(97 - 74, result.OverReading!.Value, 0.1);
        // What is turned back is what this belt answers, not what was supposed.
        Assert.InRange(result.ExpectedTightestReading!.Value, 64, 74);
        Assert.Equal(result.Moves[0].Units, result.Moves[1].Units);
    }

    [Fact]
    public void None_the_wrong_way_or_a_change_without_a_turn_points_at_clamp_thread_or_axle()
    {
        Assert.Equal(NextStep.LooseOrBent, After(0.5, 51.1, 55, 59, 54).Next);
        Assert.Equal(NextStep.LooseOrBent, After(0.25, 40, 44, 48, 43).Next);
        Assert.Equal(NextStep.LooseOrBent, After(0, 62, 66, 70, 65).Next);
        Assert.All(new[] { After(0.25, 40, 44, 48, 43) }, result => Assert.NotEmpty(result.Suspects));
    }

    [Fact]
    public void What_was_looked_at_and_mended_begins_to_learn_anew()
    {
        SetRound wrongWay = Plucked(0.25, 0.25, 1.2, 40, 44, 48, 43);
        SetRound mended = Plucked(0, 0, 1.2, 50, 54, 58, 53) with { LearnAnew = true };
        SetAdvice result = SetEvaluation.Advise(Belt(Plucked(0, 0, 1.2, AsFound), wrongWay, mended));
        Assert.Equal(NextStep.Turn, result.Next);
        Assert.Equal(0, result.LearnedRounds);
        Assert.All(result.Moves, m => Assert.True(m.Tightens));
    }

    [Fact]
    public void A_gauge_without_a_scale_is_given_the_smallest_step_once()
    {
        SetInput belt = Belt();
        SetRound found = new(0, 0, LockState.Nipped, [new(ReadingMethod.Gauge, 4.8)], 1.2);
        SetAdvice result = SetEvaluation.Advise(
            belt with
            {
                Setting = belt.Setting with { MakerMethod = ReadingMethod.Gauge, MakerLow = 5, MakerHigh = 7 },
                Rounds = [found],
            }
        );
        Assert.Equal(NextStep.Turn, result.Next);
        Assert.Equal([belt.Setting.Adjuster.Step, belt.Setting.Adjuster.Step], result.Moves.Select(m => m.Units));
    }

    /// <summary>Tracking alone: slack is tightened, tight is loosened, else the end that people use, else they are asked.</summary>
    [Fact]
    public void Tracking_alone_takes_the_end_that_also_mends_the_tension_or_asks()
    {
        SetInput Tracking(params double[] hz) => Belt(Plucked(0, 0, 3.5, hz)) with { Goal = SetGoal.TrackingOnly };
        Assert.All(SetEvaluation.Advise(Tracking(52, 53)).Moves, m => Assert.True(m.Tightens));
        Assert.All(SetEvaluation.Advise(Tracking(90, 91)).Moves, m => Assert.False(m.Tightens));
        SetInput unread = Tracking();
        Assert.Equal(NextStep.ChooseTrackingEnd, SetEvaluation.Advise(unread).Next);
        foreach (Side end in Enum.GetValues<Side>())
        {
            SetAdvice result = SetEvaluation.Advise(
                unread with
                {
                    Setting = unread.Setting with { TrackingEnd = end },
                }
            );
            Assert.Equal(NextStep.Turn, result.Next);
            Assert.Equal([end], result.Moves.Select(m => m.Side));
        }
        // Felt slack counts as well.
        SetRound felt = new(0, 0, LockState.Nipped, [new(ReadingMethod.Feel, 1)], 3.5);
        Assert.All(SetEvaluation.Advise(unread with { Rounds = [felt] }).Moves, m => Assert.True(m.Tightens));
    }

    [Fact]
    public void What_was_not_read_is_not_said()
    {
        SetRound gapOnly = Plucked(0, 0, 1.2) with { Lock = LockState.Torqued };
        SetAdvice track = SetEvaluation.Advise(Belt(gapOnly) with { Goal = SetGoal.TrackingOnly });
        Assert.Equal((NextStep.Done, false, true), (track.Next, track.IsTensionInside, track.IsTrackInside));
        SetRound hzOnly = Plucked(0, 0, null, 68, 69) with { Lock = LockState.Torqued };
        SetAdvice tension = SetEvaluation.Advise(Belt(hzOnly) with { Goal = SetGoal.TensionOnly });
        Assert.Equal((NextStep.Done, true, false), (tension.Next, tension.IsTensionInside, tension.IsTrackInside));
        SetAdvice both = SetEvaluation.Advise(Belt(hzOnly with { GapMm = 1.2 }));
        Assert.Equal((true, true), (both.IsTensionInside, both.IsTrackInside));
    }

    [Fact]
    public void Loosen_first_is_said_when_it_stands_tight()
    {
        SetRound found = Plucked(0, 0, 1.2, AsFound);
        Assert.False(SetEvaluation.Advise(Belt(found)).LoosenFirst);
        Assert.True(SetEvaluation.Advise(Belt(found with { Lock = LockState.Torqued })).LoosenFirst);
        SetRound right = Plucked(0, 0, 1.2, 67, 68, 69, 68) with { Lock = LockState.Torqued };
        Assert.False(SetEvaluation.Advise(Belt(right)).LoosenFirst);
    }

    /// <summary>Common practice: found tight as it runs, nipped from then on, tight again for the last reading.</summary>
    [Fact]
    public void What_is_fast_at_the_next_reading_follows_from_what_is_next()
    {
        SetRound found = Plucked(0, 0, 1.2, AsFound);
        SetRound right = Plucked(0, 0, 1.2, 66, 68, 70, 68);
        Assert.Equal(LockState.Torqued, SetEvaluation.Advise(Belt()).UsualLock);
        Assert.Equal(LockState.Nipped, SetEvaluation.Advise(Belt(found)).UsualLock);
        Assert.Equal(LockState.Torqued, SetEvaluation.Advise(Belt(right)).UsualLock);
    }

    /// <summary>A slip test has no other instrument beside it, and advises step by step.</summary>
    [Theory]
    [InlineData(1, NextStep.Turn, true)]
    [InlineData(2, NextStep.TightenAndRead, null)]
    [InlineData(3, NextStep.Turn, false)]
    public void A_hand_alone_tightens_loosens_or_keeps(double felt, NextStep next, bool? tightens)
    {
        SetRound round = new(0, 0, LockState.Nipped, [new(ReadingMethod.Feel, felt)]);
        SetAdvice result = SetEvaluation.Advise(Belt(round) with { Goal = SetGoal.TensionOnly });
        Assert.Equal(next, result.Next);
        Assert.All(result.Moves, m => Assert.Equal(tightens, m.Tightens));
        Assert.Equal(felt == 2, result.IsTensionInside);
    }

    [Fact]
    public void A_spring_loaded_slide_is_let_go_and_read()
    {
        SetInput belt = Belt();
        SetInput sprung = On(belt, AdjusterKind.SpringSlide, LoopLayout.FrontName);
        SetAdvice found = SetEvaluation.Advise(sprung with { Rounds = [Plucked(0, 0, null, AsFound)] });
        Assert.Equal(NextStep.LetSpringSet, found.Next);
        Assert.Empty(found.Moves);
        Assert.Equal(5, found.Manual.Procedure.Count);
        SetRound let = Plucked(0, 0, null, 45, 46);
        SetAdvice weak = SetEvaluation.Advise(sprung with { Rounds = [Plucked(0, 0, null, AsFound), let] });
        Assert.Equal(NextStep.SpringIsWrong, weak.Next);
        Assert.NotEmpty(weak.Suspects);
        SetRound right = Plucked(0, 0, null, 67, 68);
        Assert.Equal(
            NextStep.TightenAndRead,
            SetEvaluation.Advise(sprung with { Rounds = [Plucked(0, 0, null, AsFound), right] }).Next
        );
    }

    /// <summary>Left of a motorcycle's chain without a word of its swing arm, no window is given.</summary>
    [Fact]
    public void How_an_axle_is_carried_is_asked_not_supposed()
    {
        SetInput unsaid = Chain(Played(0, 30, 31));
        unsaid = unsaid with { Layout = unsaid.Layout! with { SwingArm = null } };
        SetAdvice question = SetEvaluation.Advise(unsaid);
        Assert.Equal(NextStep.SaySuspension, question.Next);
        Assert.Null(question.Window);
        TensionWindow Said(RearSuspension how) =>
            SetEvaluation.Advise(unsaid with { Setting = unsaid.Setting with { Suspension = how } }).Window!;
        Assert.Contains("without rear suspension", Said(RearSuspension.Rigid).Reason, StringComparison.Ordinal);
        Assert.True(Said(RearSuspension.SwingArm).High < Said(RearSuspension.Rigid).High);
        // The maker's own figure needs no such word.
        LoopSetting maker = unsaid.Setting with
        {
            MakerMethod = ReadingMethod.FreePlay,
            MakerLow = 25,
            MakerHigh = 35,
        };
        Assert.NotNull(SetEvaluation.Advise(unsaid with { Setting = maker }).Window);
    }

    /// <summary>What the store takes the advice takes: it is doubted, and can be read anew.</summary>
    [Fact]
    public void A_play_beyond_the_span_is_doubted_and_read_anew()
    {
        SetAdvice result = SetEvaluation.Advise(Chain(Played(0, 199)));
        Assert.Equal(NextStep.ReadAgain, result.Next);
        ReadingDoubt doubt = Assert.Single(result.Doubts);
        Assert.Equal((199, null), (doubt.Value, doubt.WouldBe));
        Assert.Equal(result.Span.SpanMm!.Value / 5, doubt.MostMm!.Value, 1e-9);
        // One slip of the pen among good readings does not hide them.
        Assert.NotEqual(NextStep.ReadAgain, SetEvaluation.Advise(Chain(Played(0, 40, 199))).Next);
    }

    [Fact]
    public void A_spread_is_told_in_percent_of_tension_as_well()
    {
        // Tension goes with the square of the frequency.
        double percent = 200 * (72.0 * 72 - 66 * 66) / (72.0 * 72 + 66 * 66);
        Assert.Equal(
            percent,
            SetEvaluation.Advise(Belt(Plucked(0, 0, 1.2, 66, 72))).Rounds[0].SpreadPercent!.Value,
            1e-9
        );
        Assert.Null(SetEvaluation.Advise(Chain(Played(0, 30, 34))).Rounds[0].SpreadPercent);
    }

    [Fact]
    public void No_figure_is_finer_than_its_instrument()
    {
        Assert.Null(SetEvaluation.Advise(Belt(Plucked(0, 0, 1.2, 68, 68, 68, 68))).Rounds[0].RunOutMm);
        Assert.True(SetEvaluation.Advise(Belt(Plucked(0, 0, 1.2, 60, 68, 76, 68))).Rounds[0].RunOutMm > 0.05);
    }
}
