using CsCheck;
using Wendrak.Core.Tension;

namespace Wendrak.Core.Tests.Tension;

public sealed class SpanTensionTests
{
    /// <summary>engineering.md i1, i2: the string.</summary>
    [Fact]
    public void Frequency_and_tension_agree_with_the_check_rows()
    {
        Published.AgreesWithin(0.1, 585.64, SpanVibration.TensionN(440, 0.25, 55), "engineering.md i1");
        Published.AgreesWithin(0.1, 43.0331, SpanVibration.FrequencyHz(600, 0.12, 320), "engineering.md i2");
    }

    [Fact]
    public void Frequency_and_tension_are_each_other_s_inverse() =>
        Gen.Select(Gen.Double[50, 2_000], Gen.Double[0.01, 2], Gen.Double[1, 5_000], Gen.Double[0, 1e5])
            .Sample(
                (span, mass, tension, stiff) =>
                {
                    double hz = SpanVibration.FrequencyHz(span, mass, tension, stiff);
                    return hz > SpanVibration.MostHz
                        || hz < SpanVibration.LeastHz
                        || Math.Abs(SpanVibration.TensionN(span, mass, hz, stiff) - tension) < 1e-6 * tension;
                }
            );

    /// <summary>engineering.md i: f² = T/(4mL²) + (π²/4)·EI/(mL⁴): a stiff span sounds higher at the same tension.</summary>
    [Fact]
    public void A_stiff_short_span_reads_high()
    {
        const double stiff = 2e4; // N·mm²
        double hz = SpanVibration.FrequencyHz(150, 0.2, 300, stiff);
        double square = 300 / (4 * 0.2 * 0.15 * 0.15) + Math.PI * Math.PI / 4 * 0.02 / (0.2 * Math.Pow(0.15, 4));
        Assert.Equal(Math.Sqrt(square), hz, 1e-9);
        Assert.Equal(300, SpanVibration.TensionN(150, 0.2, hz, stiff), 1e-6);
    }

    /// <summary>engineering.md i3; simple form F = 4·T·d/L beside it.</summary>
    [Fact]
    public void A_push_agrees_with_the_check_row()
    {
        Published.AgreesWithin(0.1, 25.5367, SpanDeflection.ForceN(480, 7.5, 400, 60_000, 1_600), "engineering.md i3");
        Published.AgreesWithin(0.1, 25, SpanDeflection.ForceN(480, 7.5, 400), "engineering.md i3");
        Assert.Equal(400, SpanDeflection.TensionN(480, 7.5, 25.5367, 60_000, 1_600), 0.01);
        double aside = SpanDeflection.DeflectionMm(480, 60, 250)!.Value;
        Assert.Equal(250, SpanDeflection.TensionN(480, aside, 60), 1e-9);
        Assert.Null(SpanDeflection.DeflectionMm(480, 60, 30));
        // Machinery's Handbook: at 1/64 of the span the force is a sixteenth of the tension.
        double force = SpanDeflection.ForceN(640, 640 * SpanDeflection.VBeltShareOfSpan, 400);
        Published.AgreesWithin(0.1, 25, force, "Machinery's Handbook, V-belt tensioning");
    }

    /// <summary>engineering.md i4.</summary>
    [Fact]
    public void Free_play_agrees_with_the_check_row()
    {
        Published.AgreesWithin(0.1, 1.68513, ChainPlay.ExcessMm(600, 45), "engineering.md i4");
        Published.AgreesWithin(0.1, 45, ChainPlay.PlayMm(600, 1.68513), "engineering.md i4");
        double move = ChainPlay.AxleMoveMm(600, 45, 30, 0.99);
        Published.AgreesWithin(0.1, 0.472526, move, "engineering.md i4");
        Published.AgreesWithin(0.1, 0.378021, move / 1.25, "engineering.md i4");
    }

    /// <summary>engineering.md i6.</summary>
    [Fact]
    public void What_an_axle_does_agrees_with_the_check_row()
    {
        double k = TensionStiffness.NPerMm(100_000, 0.98, 1_500);
        Published.AgreesWithin(0.1, 130.667, k, "engineering.md i6");
        Published.AgreesWithin(0.1, 1.91326, (600 - 350) / k, "engineering.md i6");
    }

    /// <summary>engineering.md i7.</summary>
    [Fact]
    public void Four_positions_agree_with_the_check_row()
    {
        RoundTheWheelResult r = RoundTheWheel.Analyze([34, 31, 27, 30]);
        Assert.Equal((30.5, 7.0, 2, 0), (r.Mean, r.Spread, r.LowestAt, r.HighestAt));
        Published.AgreesWithin(0.1, 3.53553, r.Amplitude!.Value, "engineering.md i7");
        Published.AgreesWithin(0.1, 8.1301, r.PhaseDeg!.Value, "engineering.md i7");
        Assert.Null(RoundTheWheel.Analyze([34, 31, 27]).Amplitude);
    }

    /// <summary>engineering.md i8, and the trade's two points for rubber.</summary>
    [Fact]
    public void A_new_belt_loses_tension_as_the_check_row_says()
    {
        Relaxation fit = Relaxation.Fit(0.45, (4, 0.8), (168, 0.5));
        Published.AgreesWithin(0.1, 0.446454, fit.Exponent, "engineering.md i8");
        Published.AgreesWithin(0.1, 23.6885, fit.TauHours, "engineering.md i8");
        Published.AgreesWithin(0.1, 0.651154, fit.FractionAfter(24), "engineering.md i8");
        Assert.Equal(1, fit.FractionAfter(0));
        Assert.InRange(Relaxation.StiffCord.FractionAfter(168), 0.9, 0.95);
        Refusals.Names("Fraction1", () => Relaxation.Fit(0.45, (4, 0.5), (168, 0.6)));
    }

    /// <summary>Common practice: half is lost in a week, so a belt fitted today for a race in a week is set twice as high.</summary>
    [Fact]
    public void A_belt_is_set_today_for_the_day_it_is_needed()
    {
        RunningInResult now = RunningIn.Predict(new(CordKind.Rubber, 0, 168, 300));
        Assert.Equal(600, now.SetNowN!.Value, 0.5);
        Assert.Equal(100, now.OverPercent, 0.2);
        // Fitted a week ago it has lost most already.
        Assert.InRange(RunningIn.Predict(new(CordKind.Rubber, 168, 168, 300)).OverPercent, 1, 15);
        Assert.InRange(RunningIn.Predict(new(CordKind.StiffCord, 0, 168, 300)).OverPercent, 5, 12);
        Assert.Equal(0.9, Relaxation.Rubber.FractionAfter(now.CheckAfterHours!.Value), 1e-6);
        Assert.Null(RunningIn.Predict(new(CordKind.StiffCord, 24, 0, 300)).CheckAfterHours);
        Assert.Equal(1, now.Curve[0].Fraction);
        // Two readings make it this belt's: half as much is lost.
        OwnReadings readings = new(InHz: false, 500, 4, 450, 168, 375);
        RunningInResult own = RunningIn.Predict(new(CordKind.Rubber, 0, 168, 300, Own: readings));
        Assert.Equal(400, own.SetNowN!.Value, 0.5);
        // Hz go with the root of tension.
        OwnReadings spectrum = new(InHz: true, 100, 4, 100 * Math.Sqrt(0.9), 168, 100 * Math.Sqrt(0.75));
        Assert.Equal(400, RunningIn.Predict(new(CordKind.Rubber, 0, 168, 300, Own: spectrum)).SetNowN!.Value, 0.5);
        Refusals.Names(
            "Own.First",
            () => RunningIn.Predict(new(CordKind.Rubber, 0, 1, 300, Own: readings with { First = 600 }))
        );
        Refusals.Names(
            "Own.SecondHours",
            () => RunningIn.Predict(new(CordKind.Rubber, 0, 1, 300, Own: readings with { SecondHours = 4 }))
        );
        Assert.Equal(own.SetNowN!.Value, own.Workings[0].Result.Value);
        // Left as it was read: half of it is there in a week; set as high as that asks for, the shaft would carry 1200 N.
        // Two readings that nearly agree tell no curve: their error would be all of it.
        Refusals.Names(
            "Own.Second",
            () =>
                RunningIn.Predict(
                    new(CordKind.Rubber, 0, 1, 300, Own: readings with { Second = readings.First * 0.999 })
                )
        );
        RunningInResult left = RunningIn.Predict(new(CordKind.Rubber, 0, 168, 300, NowN: 420, MostShaftLoadN: 1_100));
        Assert.Equal(210, left.ExpectedN!.Value, 0.2);
        Assert.Equal(left.ExpectedN.Value, left.Workings[0].Result.Value);
        Assert.True(left.IsAboveBearing);
        Assert.False(RunningIn.Predict(new(CordKind.Rubber, 0, 168, 300, MostShaftLoadN: 1_300)).IsAboveBearing);
        Assert.Null(now.ExpectedN);
        Refusals.Names("WantedN", () => RunningIn.Predict(new(CordKind.Rubber, 0, 168, 0)));
    }

    [Fact]
    public void A_pull_over_the_window_or_the_shaft_is_told_with_the_other_ways()
    {
        // A new rubber belt for a week later asks for twice as much: the window ends at 450 N, the shaft carries 2 × 400 N.
        RunningInInput week = new(CordKind.Rubber, 0, 168, 300, MostN: 450, MostShaftLoadN: 800);
        RunningInResult result = RunningIn.Predict(week);
        Assert.True(result.IsAboveWindow && result.IsAboveBearing);
        Assert.Equal(400, result.MostNowN);
        // Fitted as late as that, or set to the most and set again then, it comes down to just what is wanted.
        Assert.Equal(300, 400 * Relaxation.Rubber.FractionAfter(result.FitWithinHours!.Value), 1e-6);
        Assert.Equal(result.FitWithinHours!.Value, result.SetAgainAfterHours!.Value, 1e-6);
        RunningInResult allowed = RunningIn.Predict(week with { MostN = 650, MostShaftLoadN = null });
        Assert.False(allowed.IsAboveWindow || allowed.IsAboveBearing);
        Assert.Null(allowed.FitWithinHours);
        Assert.Null(allowed.SetAgainAfterHours);
        // A window below what is wanted leaves no way.
        Assert.Null(RunningIn.Predict(week with { MostN = 290 }).FitWithinHours);
    }

    [Fact]
    public void Without_window_or_mass_running_in_is_told_as_a_share()
    {
        RunningInResult share = RunningIn.Predict(new(CordKind.Rubber, 0, 168));
        Assert.Equal(RunningIn.Predict(new(CordKind.Rubber, 0, 168, 300)).OverPercent, share.OverPercent, 1e-12);
        Assert.Equal(50, share.LeftPercent, 0.1);
        Assert.Null(share.SetNowN);
        Assert.Equal(100, share.OverPercent, 0.4);
        Assert.Equal([share.OverPercent, share.LeftPercent], share.Workings.Take(2).Select(w => w.Result.Value));
    }

    [Fact]
    public void What_is_lost_never_comes_back() =>
        Gen.Select(Gen.Double[0, 500], Gen.Double[0, 500])
            .Sample(
                (t, more) => Relaxation.Rubber.FractionAfter(t + more) <= Relaxation.Rubber.FractionAfter(t) + 1e-12
            );

    /// <summary>engineering.md i10, i11.</summary>
    [Fact]
    public void Warmth_and_sprung_arms_agree_with_the_check_rows()
    {
        ThermalTensionResult r = ThermalTension.Compute(new(CaseMetal.Aluminium, 600, 95, 20, 0.985, 1_600, 100_000));
        Published.AgreesWithin(0.1, 1.035, r.CentreGrowthMm, "engineering.md i10");
        Published.AgreesWithin(0.1, 2.03895, r.NetStretchMm, "engineering.md i10");
        Published.AgreesWithin(0.1, 127.434, r.TensionRiseN, "engineering.md i10");
        Assert.Equal(r.TensionRiseN, r.Workings[0].Result.Value);
        Refusals.Names(
            "HotC",
            () => ThermalTension.Compute(new(CaseMetal.Aluminium, 600, 900, 20, 0.985, 1_600, 100_000))
        );
        SprungArmResult arm = SprungArm.Compute(new(209.579, 40, 70, 80, 45));
        Published.AgreesWithin(0.1, 200, arm.TensionN, "engineering.md i11");
        Published.AgreesWithin(0.1, 136.808, arm.IdlerForceN, "engineering.md i11");
        Published.AgreesWithin(0.1, 9.43107, arm.ArmMomentNm, "engineering.md i11");
        Assert.Null(arm.NPerMm);
        // A mm of its screw is as many newtons more of the spring: the tension grows in proportion.
        SprungArmResult screwed = SprungArm.Compute(new(209.579, 40, 70, 80, 45, RateNPerMm: 209.579));
        Assert.Equal(screwed.TensionN, screwed.NPerMm!.Value, 1e-9);
        Refusals.Names("WrapDeg", () => SprungArm.Compute(new(200, 0, 70, 80, 45)));
    }

    [Theory]
    [InlineData(0)]
    [InlineData(-5)]
    [InlineData(1_001)]
    [InlineData(double.NaN)]
    public void A_frequency_that_is_none_is_refused(double hz) =>
        Refusals.Names("hz", () => SpanVibration.TensionN(400, 0.2, hz));

    [Fact]
    public void What_is_no_span_push_or_play_is_refused()
    {
        Refusals.Names("spanMm", () => SpanVibration.TensionN(0, 0.2, 50));
        Refusals.Names("massKgPerM", () => SpanVibration.TensionN(400, 0, 50));
        Refusals.Names("deflectionMm", () => SpanDeflection.TensionN(400, 100, 20));
        Refusals.Names("forceN", () => SpanDeflection.TensionN(400, 5, 0));
        Refusals.Names("playMm", () => ChainPlay.ExcessMm(500, 101));
        Refusals.Names("readings", () => RoundTheWheel.Analyze([]));
    }
}
