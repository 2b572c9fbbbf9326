using Wendrak.Core.Frequency;
using Wendrak.Core.Loads;
using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tension;

/// <summary>What the rounds of a loop tell, and what to do next.</summary>
public static class SetEvaluation
{
    private const int TurnsToRoll = 4; // a belt finds its place in a few turns of the wheel: common practice
    private const double WornSpreadMm = 8; // of play round the wheel: common practice, 8 to 10 mm

    /// <summary>
    /// A drive is found as it runs: tight. After that it is nipped between rounds, until it is where it should be; the bolts of a
    /// sheave go in before its belt can climb. Source: common practice.
    /// </summary>
    private static LockState UsualLock(SetInput input, NextStep next) =>
        input.Rounds.Count == 0 || next == NextStep.TightenAndRead || input.Setting.Adjuster.IsOfSheave
            ? LockState.Torqued
            : LockState.Nipped;

    /// <exception cref="InvalidInputException">A part of the question is refused.</exception>
    /// <param name="explains">Whether the workings are told, too.</param>
    public static SetAdvice Advise(SetInput input, bool explains = true)
    {
        Check(input);
        LoopSetting typed = input.Setting;
        input = (input with { Rounds = Told(input.Rounds) }).OnLayout();
        SpanFacts span = SpanFinder.Find(input);
        CheckAgainst(input, span);
        bool usesGauge = input.Rounds.SelectMany(r => r.Readings).LastOrDefault()?.Method == ReadingMethod.Gauge;
        TightnessScale scale = TightnessScale.For(input, span, usesGauge);
        (TensionWindow? window, bool needsSuspension) = WindowFinder.Find(input, scale);
        NextStepFinder advisor = new(input.Setting, scale, window, input.Goal, input.Rounds);
        // A spring gives way to a wheel that runs out: what goes round then tells nothing of how far.
        double runOutPer = input.Setting.Adjuster.Kind == AdjusterKind.SprungArm ? 0 : advisor.Tension.Slope;
        RoundResult[] rounds = [.. input.Rounds.Select((r, i) => RoundResult.From(i, r, scale, window, runOutPer))];
        RoundResult? last = rounds.LastOrDefault();
        (NextStep next, double left, double right) = advisor.Next(last);
        if (next == NextStep.GiveWindow && needsSuspension)
            next = NextStep.SaySuspension;
        if (next == NextStep.GiveWindow && IsBeyondSpan(input, scale))
            next = NextStep.ReadAgain;
        double? force = input.Rounds is [.., { Readings: [.., { } reading] }] ? reading.ForceN : null;
        ReadingMethod natural = ReadingMethods.For(input.Loop.DriveElement, input.Setting.Adjuster.Kind)[0];
        ReadingMethod method = last?.Method ?? natural;
        TightnessScale shownIn = input.Rounds is [.., { } shown] ? scale.In(shown) : scale;
        double? Shown(double? tightness) => tightness is double t ? shownIn.ToReading(method, t, force) : null;
        (double mean, double skew) = advisor.Moved(left, right);
        // A hand has no figures: then the window is told as an instrument would read it.
        ReadingMethod windowMethod = window is not null && Shown(window.Low) is null ? natural : method;
        double? AsWindow(double? tightness) => tightness is double t ? shownIn.ToReading(windowMethod, t, force) : null;
        AdjusterMove[] moves = [.. MovesOf(input.Setting, left, right, mean)];
        double? aim = window?.AimOfLoosest(scale, last?.Spread ?? 0, input.Setting.Bias).Value;
        Explained? exact = ExactMove.Compute(input, aim, last, advisor.Tension);
        SetReserve? reserve = SetReserve.Compute(input, advisor, (last?.Loosest + last?.Tightest) / 2, mean);
        ShimsLeft? shims = ShimsLeft.Of(input.Setting, input.Rounds, left);
        double change = advisor.Tension.Predict(mean, 0);
        FrictionRuns? runs = RunsAt(input, scale, last?.Loosest);
        double perStep =
            advisor.Tension.Slope * advisor.Moved(input.Setting.Adjuster.Step, input.Setting.Adjuster.Step).MeanMm;
        return new(
            next,
            typed,
            typed.Adjuster.EccentricMm is null ? input.Setting.Adjuster.EccentricMm : null,
            typed.Adjuster.Kind == AdjusterKind.SprungArm || input.Layout?.MovesIdler == true,
            scale.Unit,
            span,
            window,
            aim,
            windowMethod,
            AsWindow(window?.Low),
            AsWindow(window?.High),
            ExpectedOf(scale, window),
            rounds,
            moves,
            exact?.Value,
            TurnsToRoll,
            Shown(last?.Loosest + change),
            Shown(last?.Tightest + change),
            last?.GapMm is double gap ? Math.Max(0, gap + advisor.Gap.Predict(skew, 0)) : null,
            reserve,
            shims,
            UsualLock(input, next),
            input is { Layout.SwingArm: not null, Rounds: [.., { OnStand: false }] }
                && input.Loop.DriveElement == DriveElement.Chain,
            next == NextStep.Turn && input.Rounds is [.., { Lock: LockState.Torqued }],
            IsInside(input, window, last, SetGoal.TensionOnly),
            IsInside(input, window, last, SetGoal.TrackingOnly),
            OverReading(last, window, Shown),
            advisor.Tension.Rounds > 0 && advisor.Tension.Slope > StifferFrom * advisor.ExpectedSlope
                ? advisor.Tension.Slope / advisor.ExpectedSlope
                : null,
            runs,
            InstrumentFinding.AllOf(input, span),
            SetManual.For(input.Kind, input.Drive.Input.Kind, input.Loop.DriveElement, input.Setting.Adjuster.Kind),
            WalksTo(input.Setting, last?.GapMm),
            Shown(last?.Loosest + perStep) - Shown(last?.Loosest),
            input.Setting.GapSide is null
                ? null
                : advisor.Gap.Slope * input.Setting.Adjuster.TravelMm * input.Setting.Adjuster.Step,
            advisor.Tension.Shift,
            advisor.Tension.Shift == 0 ? null : Shown(last?.Loosest + advisor.Tension.Shift) - Shown(last?.Loosest),
            advisor.Tension.Rounds,
            advisor.Tension.Slope,
            advisor.Tension.SlopeSigma,
            [.. Suspects(next, last, input)],
            input.Rounds is [.., { } newest] ? [.. ReadingDoubt.Find(newest, scale.In(newest), window)] : [],
            input.Rounds is [.., { Readings.Count: > 0 and int read }]
                && read < ReadingMethods.PlacesFor(input.Setting.Adjuster.Kind)[0],
            [.. RoundConditions.Find(input.Rounds, TurnsToRoll)],
            explains
                ?
                [
                    .. SetWorkings.Explain(input, scale, window, advisor, last, reserve, exact),
                    .. runs?.Explain() is { } ratio ? new[] { ratio } : [],
                    .. shims?.Rises is { } rises ? new[] { rises.Working } : [],
                ]
                : []
        );
    }

    /// <summary>Half of the window's low end to twice its high one: what is found loose or tight is expected, too. Judgement.</summary>
    private static ExpectedHz? ExpectedOf(TightnessScale scale, TensionWindow? window) =>
        window is not null
        && scale.ToReading(ReadingMethod.Pluck, window.Low) is double low
        && scale.ToReading(ReadingMethod.Pluck, window.High) is double high
            ? new(low / 2, high * 2)
            : null;

    /// <summary>A round of which nothing is read yet tells nothing of how the loop stands: the one before it does.</summary>
    private static IReadOnlyList<SetRound> Told(IReadOnlyList<SetRound> rounds) =>
        rounds is [_, .., { Readings.Count: 0, GapMm: null, LearnAnew: false }] ? [.. rounds.SkipLast(1)] : rounds;

    private const double StifferFrom = 1.5; // times what was supposed: worth saying. Judgement.

    /// <summary>Whether the last round itself was read for one goal and is right by it: what was not read is not said.</summary>
    private static bool IsInside(SetInput input, TensionWindow? window, RoundResult? last, SetGoal goal) =>
        goal == SetGoal.TensionOnly
            ? input.Goal != SetGoal.TrackingOnly
                && last is not null
                && (
                    last.Grades is { } felt
                        ? !felt.HasLoose && !felt.HasTight
                        : window is not null && last.IsInside == true
                )
            : input.Goal != SetGoal.TensionOnly
                && input.Setting.GapSide is not null
                && last?.GapMm is double gap
                && gap >= input.Setting.GapLow
                && gap <= input.Setting.GapHigh;

    /// <summary>How far the tightest place is past the tight end, in the method of the last round; null where it is not.</summary>
    private static double? OverReading(RoundResult? last, TensionWindow? window, Func<double?, double?> shown) =>
        last is { Tightest: double high } && window is not null && high > window.High
            ? Math.Abs((shown(high) - shown(window.High)) ?? 0)
            : null;

    private static FrictionRuns? RunsAt(SetInput input, TightnessScale scale, double? tensionN) =>
        scale.Unit == TightnessUnit.Newton && tensionN is double set && WindowFinder.Loaded(input) is { } loop
            ? FrictionRuns.Compute(loop, set)
            : null;

    private static bool IsBeyondSpan(SetInput input, TightnessScale scale) =>
        input.Rounds is [.., { Readings.Count: > 0 } newest] && newest.Readings.All(scale.In(newest).IsBeyond);

    /// <summary>
    /// A maker's push or play of more than a fifth of the span is none; only the span tells how much that is. A reading like that
    /// is kept and doubted, so that it can be read anew.
    /// </summary>
    private static void CheckAgainst(SetInput input, SpanFacts facts)
    {
        if (facts.SpanMm is not double span)
            return;
        double most = span * SpanDeflection.MostShareOfSpan;
        Guard guard = new();
        void Bound(string field, ReadingMethod? method, double? value)
        {
            if (method is ReadingMethod.Push or ReadingMethod.FreePlay)
                guard.BetweenIfGiven(field, value, 0, most, "mm");
        }
        LoopSetting setting = input.Setting;
        Bound("Setting.MakerLow", setting.MakerMethod, setting.MakerLow);
        Bound("Setting.MakerHigh", setting.MakerMethod, setting.MakerHigh);
        guard.ThrowIfAny();
    }

    private static void Check(SetInput input)
    {
        Guard guard = new();
        guard
            .Include(new Guard("Setting.").Include(input.Setting.Check(input.Loop, input.Layout)))
            .OneOf(nameof(input.Goal), input.Goal)
            .Include(SetRound.Check(input.Rounds));
        for (int i = 0; i < (input.Gauge?.Count ?? 0); i++)
            guard.Include(new Guard($"{nameof(input.Gauge)}[{i}].").Include(input.Gauge![i].Check()));
        guard.ThrowIfAny();
    }

    /// <summary>Towards its flange where the gap is too wide, away from it where it is too narrow.</summary>
    private static Side? WalksTo(LoopSetting setting, double? gapMm)
    {
        if (setting.GapSide is not Side flange || gapMm is not double gap)
            return null;
        Side away = flange == Side.Left ? Side.Right : Side.Left;
        return gap > setting.GapHigh ? flange
            : gap < setting.GapLow ? away
            : null;
    }

    /// <param name="mm">Way of a single adjuster.</param>
    private static IEnumerable<AdjusterMove> MovesOf(LoopSetting setting, double left, double right, double mm)
    {
        if (!setting.Adjuster.HasTwoEnds)
        {
            if (left != 0)
                yield return AdjusterMove.From(setting, null, left, mm);
            yield break;
        }
        if (left != 0)
            yield return AdjusterMove.From(setting, Side.Left, left, left * setting.Adjuster.TravelMm);
        if (right != 0)
            yield return AdjusterMove.From(setting, Side.Right, right, right * setting.Adjuster.TravelMm);
    }

    /// <summary>Parts to look at. Source: common practice.</summary>
    private static IEnumerable<string> Suspects(NextStep next, RoundResult? last, SetInput input)
    {
        bool isChain = input.Loop.DriveElement == DriveElement.Chain;
        bool hasAxle = input.Setting.Adjuster.HasTwoEnds;
        if (next == NextStep.LooseOrBent && input.Setting.Adjuster.IsOfSheave)
        {
            yield return "it was not turned until the belt had climbed";
            yield return "another count of shims at one bolt: a half stands askew";
            yield return "the moving half sticks on its hub, or its spring";
            yield return "the shims work the other way here: say at how it is set what one of them does";
            yield break;
        }
        if (next == NextStep.LooseOrBent)
        {
            yield return hasAxle
                ? "an adjuster or the axle nut slips, or the axle was not free to move"
                : "the adjuster or its clamp slips, or what it moves was not free";
            yield return hasAxle ? "axle, arm or bracket bent or loose" : "shaft or bracket bent or loose";
            yield return "the wheel was not rolled before the reading";
        }
        if (next == NextStep.NotFreeAtIdle)
        {
            yield return "the belt is not the one for this machine: number, width, angle";
            yield return "idle speed too high";
            yield return "the clutch or the sheave sticks: clean, look at its rollers or springs";
        }
        if (next == NextStep.SpringIsWrong)
        {
            yield return "the slide sticks or is dirty, or its bolts were not loose enough";
            yield return "the spring is tired, or not the one for this belt";
        }
        bool isWide =
            next == NextStep.SpreadTooWide
            || (
                isChain
                && last
                    is { Method: ReadingMethod.FreePlay, LoosestReading: double loose, TightestReading: double tight }
                && loose - tight > WornSpreadMm
            );
        if (!isWide)
            yield break;
        yield return isChain
            ? "a sprocket runs out or sits off its centre"
            : "a pulley runs out or sits off its centre";
        yield return isChain
            ? "stiff links, or a chain grown unevenly"
            : "a belt whose cords or joint differ along its length";
        yield return "a bent axle or worn bearing";
    }
}
