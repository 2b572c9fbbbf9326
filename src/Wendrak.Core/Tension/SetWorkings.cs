using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Tension;

/// <summary>How the figures of a round came about.</summary>
internal static class SetWorkings
{
    public static IReadOnlyList<Working> Explain(
        SetInput input,
        TightnessScale scale,
        TensionWindow? window,
        NextStepFinder advisor,
        RoundResult? last,
        SetReserve? reserve,
        Explained? exact
    )
    {
        string unit = UnitOf(scale.Unit);
        return
        [
            .. OfReading(input, scale),
            .. window is null
                ? Array.Empty<Working>()
                : [Aim(window.AimOfLoosest(scale, last?.Spread ?? 0, advisor.Bias).Working, unit)],
            Answer(input.Setting, advisor),
            .. exact is { } way ? new[] { ExactMove.Explain(way, unit) } : [],
            .. last?.RunOut is { } runOut ? [runOut.Working] : Array.Empty<Working>(),
            .. reserve?.Figures.Select(f => f.Working) ?? [],
        ];
    }

    private static IEnumerable<Working> OfReading(SetInput input, TightnessScale any)
    {
        TightnessScale scale = input.Rounds is [.., { } round] ? any.In(round) : any;
        // The one that told the loosest, whatever the round was read by beside it.
        Reading? least = input.Rounds is [.., { } newest]
            ? newest.Readings.Where(r => scale.Read(r) is not null).MinBy(r => scale.Read(r)!.Value)
            : null;
        if (least is null)
            yield break;
        SpanFacts facts = scale.Span;
        Given Span() => new(facts.SpanMm!.Value, IsUsual: input.Setting.SpanMm is null);
        Explained? explained = (least.Method, scale.Unit) switch
        {
            (ReadingMethod.Pluck, TightnessUnit.Newton) => SpanVibration.OfString.With(
                new(facts.MassKgPerM!.Value, IsUsual: input.Setting.MassKgPerM is null),
                Span(),
                least.Value
            ),
            (ReadingMethod.Push, TightnessUnit.Newton) => facts.Stretch is (double stiffness, double over)
                ? SpanDeflection.OfPushStretched.With(least.ForceN ?? 0, Span(), least.Value, stiffness, over)
                : SpanDeflection.OfPush.With(least.ForceN ?? 0, Span(), least.Value),
            (ReadingMethod.FreePlay, TightnessUnit.LoopMm) => SlackRun.Excess.With(Span(), least.Value),
            _ => null,
        };
        if (explained is { Working: var working })
            yield return working with
            {
                Title = $"{working.Title}, loosest position",
            };
    }

    /// <summary>In the unit of the scale; how tight is a number between none and all.</summary>
    private static Working Aim(Working working, string unit) =>
        working.In(unit) with
        {
            Values = [.. working.Values.Select(v => v.Symbol == "bias" ? v : v with { Unit = unit })],
        };

    private static Working Answer(LoopSetting setting, NextStepFinder advisor)
    {
        Working working = advisor.Tension.Explain(UnitOf(advisor.Unit), advisor.ExpectedSlope);
        Adjuster adjuster = setting.Adjuster;
        WorkingValue way = adjuster.IsEccentric
            ? new("e", "offset of the eccentric", adjuster.EccentricOffset, "mm", adjuster.EccentricMm is null)
            : new("P", adjuster.IsOfSheave ? "rise by one shim" : "way of a turn or click", adjuster.TravelMm, "mm");
        return working with { Beside = [.. working.Beside, way] };
    }

    internal static string UnitOf(TightnessUnit unit) =>
        unit switch
        {
            TightnessUnit.Newton => "N",
            TightnessUnit.HertzSquared => "Hz²",
            TightnessUnit.LoopMm => "mm of loop",
            TightnessUnit.AboveRimMm => "mm above the rim",
            _ => "of the gauge",
        };
}
