using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tension;
using Wendrak.Core.Tests.Fit;
using Wendrak.Core.Vocabulary;
using static Wendrak.Core.Tests.Tension.SetCases;

namespace Wendrak.Core.Tests.Tension;

/// <summary>Whose hand, which run, on what it stood: what a reading tells depends on them.</summary>
public sealed class ReadingCircumstancesTests
{
    /// <summary>With an idler on one run the other is longer: the same pitch is more tension there, by the square of the span.</summary>
    [Fact]
    public void A_reading_is_counted_on_the_run_that_was_read()
    {
        SetInput input = Belt() with
        {
            Layout = Fits.Slot(400, 430, new Idler("idler", new(-150, -72), 40, false, RunSide.Back, LoopRun.Slack)),
        };
        double TensionOn(LoopRun? run) =>
            SetEvaluation
                .Advise(input with { Rounds = [Plucked(0, 0, null, 70) with { Run = run }] })
                .Rounds[0]
                .Loosest!.Value;
        SpanFacts span = SetEvaluation.Advise(input).Span;
        Assert.NotEqual(span.SlackRunMm!.Value, span.TightRunMm!.Value, 1.0);
        double ratio = span.TightRunMm.Value / span.SlackRunMm.Value;
        Assert.Equal(ratio * ratio, TensionOn(LoopRun.Tight) / TensionOn(LoopRun.Slack), 1e-9);
        Assert.Equal(Math.Max(TensionOn(LoopRun.Tight), TensionOn(LoopRun.Slack)), TensionOn(null), 1e-9);
        // A hand is tied on the usual run, whichever run is felt later.
        SetRound felt = new(0, 0, LockState.Nipped, [new(ReadingMethod.Feel, 2)]);
        double FeltOn(LoopRun? run) =>
            SetEvaluation
                .Advise(
                    input with
                    {
                        Rounds = [felt with { Run = run }],
                        Gauge = [new(ReadingMethod.Feel, 2, ReadingMethod.Pluck, 69)],
                    }
                )
                .Rounds[0]
                .Loosest!.Value;
        Assert.Equal(FeltOn(null), FeltOn(LoopRun.Slack), 1e-9);
        Assert.Equal(FeltOn(null), FeltOn(LoopRun.Tight), 1e-9);
        // The window is shown as that run would sound.
        double LowOn(LoopRun run) =>
            SetEvaluation
                .Advise(input with { Rounds = [Plucked(0, 0, null, 70) with { Run = run }] })
                .WindowLooseReading!.Value;
        Assert.Equal(ratio, LowOn(LoopRun.Slack) / LowOn(LoopRun.Tight), 1e-9);
    }

    [Fact]
    public void What_makes_a_round_hard_to_compare_is_told()
    {
        SetRound found = Plucked(0, 0, null, 40) with { TemperatureC = 20, LoadKg = 0 };
        SetRound turned = Plucked(0.5, 0.5, null, 45) with { TurnsRolled = 4, TemperatureC = 29, LoadKg = 4 };
        RoundCondition[] Of(SetRound last) => [.. SetEvaluation.Advise(Belt(found, last)).Conditions];
        Assert.Empty(Of(turned));
        Assert.Empty(Of(turned with { TurnsRolled = null, TemperatureC = null, LoadKg = null }));
        Assert.Equal([RoundCondition.RolledTooLittle], Of(turned with { TurnsRolled = 1 }));
        Assert.Empty(Of(turned with { TurnsRolled = 0, LeftUnits = 0, RightUnits = 0 }));
        Assert.Equal([RoundCondition.OtherWarmth], Of(turned with { TemperatureC = 31 }));
        Assert.Equal([RoundCondition.OtherLoad], Of(turned with { LoadKg = 75 }));
    }

    [Fact]
    public void A_hand_is_tied_for_the_person_it_belongs_to()
    {
        SetRound felt = new(0, 0, LockState.Nipped, [new(ReadingMethod.Feel, 2)], Who: "Ada");
        CalibrationPair pair = new(ReadingMethod.Feel, 2, ReadingMethod.Pluck, 69, Who: "Ada");
        SetInput input = Belt(felt) with { Gauge = [pair] };
        Assert.NotNull(SetEvaluation.Advise(input).Rounds[0].Loosest);
        Assert.Null(SetEvaluation.Advise(input with { Rounds = [felt with { Who = "Ben" }] }).Rounds[0].Loosest);
        Assert.NotNull(SetEvaluation.Advise(input with { Gauge = [pair with { Who = null }] }).Rounds[0].Loosest);
    }

    /// <summary>Also of a chain a gauge has its own scale and window, until two pairs tie it to free play.</summary>
    [Fact]
    public void A_gauge_on_a_chain_has_its_own_window_and_can_be_tied()
    {
        SetRound gauged = new(
            0,
            0,
            LockState.Nipped,
            [.. Enumerable.Range(0, 4).Select(k => new Reading(ReadingMethod.Gauge, 4, k))]
        );
        SetInput input = Chain(gauged);
        Assert.Equal(
            (TightnessUnit.Gauge, NextStep.GiveWindow),
            (SetEvaluation.Advise(input).Unit, SetEvaluation.Advise(input).Next)
        );
        SetAdvice own = SetEvaluation.Advise(
            input with
            {
                Setting = input.Setting with { MakerMethod = ReadingMethod.Gauge, MakerLow = 5, MakerHigh = 7 },
            }
        );
        Assert.Equal(NextStep.Turn, own.Next);
        Assert.All(own.Moves, m => Assert.True(m.Tightens));
        SetAdvice tied = SetEvaluation.Advise(
            input with
            {
                Gauge =
                [
                    new(ReadingMethod.Gauge, 4, ReadingMethod.FreePlay, 50),
                    new(ReadingMethod.Gauge, 8, ReadingMethod.FreePlay, 20),
                ],
            }
        );
        Assert.Equal(TightnessUnit.LoopMm, tied.Unit);
        Assert.Equal(-ChainPlay.ExcessMm(tied.Span.SpanMm!.Value, 50), tied.Rounds[0].Loosest!.Value, 1e-9);
    }

    /// <summary>A chain is set where it is tightest; of a belt the loosest place must come in first: common practice.</summary>
    [Fact]
    public void It_tells_where_round_the_wheel_to_set()
    {
        Assert.Equal(2, SetEvaluation.Advise(Chain(Played(0, 34, 31, 27, 30))).Rounds[0].SetAt);
        Assert.Equal(1, SetEvaluation.Advise(Belt(Plucked(0, 0, null, 60, 55, 62, 61))).Rounds[0].SetAt);
        // A chain read by a gauge in its own scale is a chain all the same.
        SetRound gauged = new(0, 0, LockState.Nipped, [new(ReadingMethod.Gauge, 4), new(ReadingMethod.Gauge, 6, 1)]);
        Assert.Equal(1, SetEvaluation.Advise(Chain(gauged)).Rounds[0].SetAt);
        Assert.Equal(0, SetEvaluation.Advise(Belt(gauged)).Rounds[0].SetAt);
    }

    /// <summary>Source: discrete Fourier sum, check row i7. 1 % of a frequency is 2 % of its tension: common practice.</summary>
    [Fact]
    public void A_spread_is_told_with_its_cause_and_a_reading_with_its_uncertainty()
    {
        RoundResult Told(params double[] hz) => SetEvaluation.Advise(Belt(Plucked(0, 0, null, hz))).Rounds[0];
        RoundResult once = Told(60, 64, 68, 64);
        Assert.Equal((8.0, SpreadCause.WheelRunsOut), (once.SpreadReading, once.Cause));
        Assert.Equal(0.02 * once.Loosest!.Value, once.LoosestSigma!.Value, 1e-9);
        Working runOut = SetEvaluation
            .Advise(Belt(Plucked(0, 0, null, 60, 64, 68, 64)))
            .Workings.Single(w => w.Title == "As if a wheel ran out by");
        Assert.Equal(once.RunOutMm!.Value, runOut.Values[0].Value / runOut.Values[1].Value, 1e-9);
        Assert.Equal(once.FirstHarmonic, runOut.Values[0].Value);
        Assert.InRange(once.Mean!.Value, once.Loosest.Value, once.Tightest!.Value);
        // A tension goes with the square of its frequency: T(60), T(64), T(68), T(64).
        Assert.Equal(once.Loosest.Value / 3_600 * (3_600 + 2 * 4_096 + 4_624) / 4, once.Mean.Value, 1e-6);
        // Up and down twice a turn is no wheel.
        Assert.Equal(SpreadCause.LoopIsUneven, Told(60, 68, 60, 68).Cause);
        Assert.Null(Told(64, 64.3, 64.5, 64.2).Cause);
        Assert.Null(Told(60, 68).Cause);
        Assert.Null(Told(60, 68).FirstHarmonic);
    }

    [Fact]
    public void A_play_read_on_the_wheels_is_told_to_be_off_the_stand()
    {
        SetRound found = Played(0, 34, 31, 27, 30);
        Assert.False(SetEvaluation.Advise(Chain(found)).IsOffStand);
        Assert.True(SetEvaluation.Advise(Chain(found with { OnStand = false })).IsOffStand);
        Assert.False(SetEvaluation.Advise(Belt(Plucked(0, 0, null, 60) with { OnStand = false })).IsOffStand);
    }

    [Theory]
    [InlineData("LoadKg", 6_000.0)]
    [InlineData("WayLeftMm", -1.0)]
    public void Circumstances_have_bounds(string field, double value)
    {
        SetRound round = Played(0, 34);
        round = field == "LoadKg" ? round with { LoadKg = value } : round with { WayLeftMm = value };
        Refusals.Names($"Rounds[0].{field}", () => SetEvaluation.Advise(Chain(round)));
    }

    /// <summary>Practice of a bicycle's belt gives way to what a strong pull asks for; a maker's figure stays and is commented.</summary>
    [Fact]
    public void Load_bounds_a_window_of_practice_from_below()
    {
        SetInput input = Belt() with { Kind = MachineKind.Bicycle };
        SetInput practice = input with
        {
            Setting = input.Setting with { MakerMethod = null, MakerLow = null, MakerHigh = null },
        };
        TensionWindow usual = SetEvaluation.Advise(practice).Window!;
        TensionWindow With(SetInput loop, double peakNm) =>
            SetEvaluation.Advise(loop with { Source = new("drive", PeakTorqueNm: peakNm) }).Window!;
        // What is asked for goes with the pull: one newton metre tells how much for each.
        double perNm = SynchronousNeed(practice);
        double inside = (usual.Low + usual.High) / 2;
        TensionWindow calm = With(practice, 0.5 * usual.Low / perNm);
        Assert.Equal((usual.Low, usual.High, usual.Reason), (calm.Low, calm.High, calm.Reason));
        TensionWindow raised = With(practice, inside / perNm);
        Assert.Equal(
            (inside, usual.High, WindowOrigin.Practice),
            (Math.Round(raised.Low, 6), raised.High, raised.Origin)
        );
        Assert.Contains("Raised", raised.Reason, StringComparison.Ordinal);
        // An upper bound is never raised: it is said that tightening does not help.
        TensionWindow hard = With(practice, 2 * usual.High / perNm);
        Assert.Equal((usual.Low, usual.High), (hard.Low, hard.High));
        Assert.Contains("see Loads", hard.Reason, StringComparison.Ordinal);
        TensionWindow maker = With(input, 1.01 * SetEvaluation.Advise(input).Window!.Low / perNm);
        Assert.Equal(SetEvaluation.Advise(input).Window!.Low, maker.Low, 1e-9);
        Assert.Contains("loose end is less", maker.Reason, StringComparison.Ordinal);
    }

    /// <summary>Tension that keeps a pull of one newton metre from tooth jump, as the window by load alone has it: 1.2 times.</summary>
    private static double SynchronousNeed(SetInput practice) =>
        SetEvaluation
            .Advise(practice with { Kind = MachineKind.Moped, Source = new("drive", PeakTorqueNm: 1) })
            .Window!.Low / 1.2;
}
