using Wendrak.Core.Quantities;

namespace Wendrak.Core.Tension;

/// <summary>How the figures of a round came about.</summary>
internal static class SetWorkings
{
    public static IReadOnlyList<Working> Of(
        SetInput input,
        TightnessScale scale,
        TensionWindow? window,
        NextStepFinder advisor,
        RoundResult? last,
        SetReserve? reserve
    ) =>
        [
            .. OfReading(input, scale),
            .. OfWindow(scale, window, advisor, last),
            .. OfAnswer(input.Setting, advisor),
            .. OfRunOut(advisor, last),
            .. OfReserve(advisor, last, reserve),
        ];

    private static IEnumerable<Working> OfRunOut(NextStepFinder advisor, RoundResult? last)
    {
        if (last?.RunOutMm is not double runOut)
            yield break;
        yield return new(
            "As if a wheel ran out by",
            "r = A/k, A = √(a² + b²), a = 2/n·Σ x·cos(2πk/n), b = 2/n·Σ x·sin(2πk/n)",
            [
                new("A", "goes round once a turn", runOut * advisor.Tension.Slope, UnitOf(advisor.Unit)),
                new("k", "for each mm of axle, as learned", advisor.Tension.Slope, UnitOf(advisor.Unit) + "/mm"),
            ],
            new("r", "run-out", runOut, "mm"),
            "discrete Fourier sum",
            "Read at equal steps of the wheel. A sprocket, its seat or the axle may be what runs out."
        );
    }

    private static IEnumerable<Working> OfReserve(NextStepFinder advisor, RoundResult? last, SetReserve? reserve)
    {
        if (reserve is null)
            yield break;
        double move = reserve.NowMm - reserve.AfterMm;
        double middle = (last?.Loosest + last?.Tightest) / 2 ?? 0;
        WorkingValue[] now = reserve.Origin switch
        {
            ReserveOrigin.Fit =>
            [
                new(
                    "taut",
                    "left where a loop of its nominal length is taut, by Fit",
                    reserve.NowMm + middle / advisor.Tension.Slope,
                    "mm"
                ),
                new("t", "middle of loosest and tightest", middle, UnitOf(advisor.Unit)),
                new("k", "for each mm of axle, as learned", advisor.Tension.Slope, UnitOf(advisor.Unit) + "/mm"),
            ],
            ReserveOrigin.Eccentric => [new("now", "e·(1 + cos φ), φ from its loosest place", reserve.NowMm, "mm")],
            _ => [new("now", "as measured, less what was turned since", reserve.NowMm, "mm")],
        };
        yield return new(
            "What the adjuster has left",
            reserve.Origin == ReserveOrigin.Fit ? "after = taut − t/k − move" : "after = now − move",
            [.. now, new("move", "way of the axle's middle", move, "mm")],
            new("after", "left after the move", reserve.AfterMm, "mm"),
            "plane geometry",
            reserve.Origin == ReserveOrigin.Fit
                ? "Of a loop of its nominal length: a grown one has less. Measure it at the marks to be sure."
                : "As long as both ends of the axle stay seated against their adjusters."
        );
    }

    private static IEnumerable<Working> OfReading(SetInput input, TightnessScale any)
    {
        TightnessScale scale = input.Rounds is [.., { } round] ? any.In(round) : any;
        // The one that told the loosest, whatever the round was read by beside it.
        Reading? least = input.Rounds is [.., { } newest]
            ? newest.Readings.Where(r => scale.Of(r) is not null).MinBy(r => scale.Of(r)!.Value)
            : null;
        if (least is null)
            yield break;
        (ReadingMethod method, double reading) = (least.Method, least.Value);
        double tightness = scale.Of(least)!.Value;
        SpanFacts span = scale.Span;
        if (method == ReadingMethod.Pluck && scale.Unit == TightnessUnit.Newton)
            yield return new(
                "Tension from the frequency, loosest position",
                "T = 4·m·L²·f²",
                [
                    new("m", "mass of a metre", span.MassKgPerM!.Value, "kg/m", input.Setting.MassKgPerM is null),
                    new("L", "free span", span.SpanMm!.Value / 1_000, "m", input.Setting.SpanMm is null),
                    new("f", "as plucked", reading, "Hz"),
                ],
                new("T", "tension", tightness, "N"),
                "equation of the string; belt engineering handbooks",
                "Belt at rest, no torque on the drive; a short stiff span reads high."
            );
        if (method == ReadingMethod.Push && scale.Unit == TightnessUnit.Newton)
            yield return new(
                "Tension from the push, loosest position",
                span.Stretch is null
                    ? "T = F·√((L/2)² + d²)/(2·d)"
                    : "T = F·√((L/2)² + d²)/(2·d) − E·A·(2·√((L/2)² + d²) − L)/L_b",
                [
                    new("F", "force", least.ForceN ?? 0, "N"),
                    new("L", "free span", span.SpanMm!.Value, "mm", input.Setting.SpanMm is null),
                    new("d", "deflection", reading, "mm"),
                    .. span.Stretch is (double stiffness, double over)
                        ? new WorkingValue[]
                        {
                            new("E·A", "a hundred times the pull that makes it 1 % longer", stiffness, "N"),
                            new("L_b", "whole belt, over which the stretch spreads", over, "mm"),
                        }
                        : [],
                ],
                new("T", "tension", tightness, "N"),
                "statics",
                span.Stretch is null
                    ? "The belt's stretch is left out, so that T comes out a little high: give the pull that makes it 1 % longer, and lay the drive out, to have it counted."
                    : "One shaft can turn, so that the whole belt stretches."
            );
        if (method == ReadingMethod.FreePlay && scale.Unit == TightnessUnit.LoopMm)
            yield return new(
                "Too much of chain, loosest position",
                "e = √(L² + s²) − L",
                [
                    new("L", "slack run", span.SpanMm!.Value, "mm", input.Setting.SpanMm is null),
                    new("s", "free play in all", reading, "mm"),
                ],
                new("e", "too much of chain", -tightness, "mm"),
                "plane geometry",
                "Pulled taut both ways: sag under its own weight is another curve."
            );
    }

    private static IEnumerable<Working> OfWindow(
        TightnessScale scale,
        TensionWindow? window,
        NextStepFinder advisor,
        RoundResult? last
    )
    {
        if (window is null)
            yield break;
        string unit = UnitOf(scale.Unit);
        double spread = last?.Spread ?? 0;
        yield return new(
            "Where the loosest position is aimed at",
            scale.Unit == TightnessUnit.LoopMm ? "aim = low + bias·(high − low) − spread"
                : spread >= window.High - window.Low ? "aim = (low + high − spread)/2"
                : "aim = low + bias·(high − low − spread)",
            [
                new("low", window.Reason, window.Low, unit),
                new("high", "tight end of the window", window.High, unit),
                new("spread", "round the wheel", spread, unit),
                new("bias", "0 as loose as holds, 1 as tight as allowed", advisor.Bias, ""),
            ],
            new("aim", "loosest position", window.AimOfLoosest(scale, spread, advisor.Bias), unit),
            "both ends must be inside: common practice",
            scale.Unit != TightnessUnit.LoopMm && spread >= window.High - window.Low
                ? "The spread fills the window: its middle is aimed at."
                : "The maker's figure wins."
        );
    }

    private static IEnumerable<Working> OfAnswer(LoopSetting setting, NextStepFinder advisor)
    {
        yield return new(
            "How this machine answers",
            "Δ = k·way + nut, k learned by regression from its rounds",
            [
                new("k₀", "expected for each mm of axle", advisor.ExpectedSlope, UnitOf(advisor.Unit) + "/mm", true),
                new("rounds", "that taught something", advisor.Tension.Rounds, ""),
                setting.Adjuster.IsEccentric
                    ? new(
                        "e",
                        "offset of the eccentric",
                        setting.Adjuster.EccentricOffset,
                        "mm",
                        setting.Adjuster.EccentricMm is null
                    )
                    : new("P", "way of a turn or click", setting.Adjuster.TravelMm, "mm"),
                new("nut", "shift when tightened, as learned", advisor.Tension.Shift, UnitOf(advisor.Unit)),
            ],
            new("k", "learned", advisor.Tension.Slope, UnitOf(advisor.Unit) + "/mm"),
            "statics for the first guess; linear regression with a normal prior (Bishop, Pattern Recognition and Machine Learning, ch. 3)",
            FormattableString.Invariant($"Known to ±{advisor.Tension.SlopeSigma:0.##} by now (one standard deviation).")
        );
    }

    private static string UnitOf(TightnessUnit unit) =>
        unit switch
        {
            TightnessUnit.Newton => "N",
            TightnessUnit.HertzSquared => "Hz²",
            TightnessUnit.LoopMm => "mm of loop",
            _ => "of the gauge",
        };
}
