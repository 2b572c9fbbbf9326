namespace Wendrak.Core.Tension;

/// <summary>What one instrument told last in a visit, judged in its own scale.</summary>
/// <param name="Round">Index of the round; 0 is as found.</param>
/// <param name="WindowLooseReading">The loose end of the window as this instrument would read it; null where nothing tells it.</param>
/// <param name="IsInside">Null where no window is known for this instrument.</param>
/// <param name="IsSettled">True where it is inside, or an instrument tied to it by a pair read inside later.</param>
/// <param name="LoosestReading">Read at the loosest place.</param>
/// <param name="TightestReading">Read at the tightest place.</param>
/// <param name="WindowTightReading">The tight end in the same way.</param>
public sealed record InstrumentFinding(
    ReadingMethod Method,
    int Round,
    double LoosestReading,
    double TightestReading,
    double? WindowLooseReading,
    double? WindowTightReading,
    bool? IsInside,
    bool IsSettled
)
{
    /// <summary>Whether it stands open: it was read outside, and nothing that counts has read it inside since.</summary>
    public bool IsOpen => IsInside == false && !IsSettled;

    /// <summary>One for every instrument of the visit, in the order they were last used. A reading by another one settles nothing.</summary>
    internal static IReadOnlyList<InstrumentFinding> AllOf(SetInput input, SpanFacts span)
    {
        ReadingMethod[] methods = [.. input.Rounds.SelectMany(r => r.Readings).Select(r => r.Method).Distinct()];
        InstrumentFinding[] own = [.. methods.Select(m => OfMethod(input, span, m)).OfType<InstrumentFinding>()];
        return
        [
            .. own.Select(f =>
                    f with
                    {
                        IsSettled =
                            f.IsInside == true
                            || own.Any(o =>
                                o.Round > f.Round && o.IsInside == true && AreTied(input.Gauge, o.Method, f.Method)
                            ),
                    }
                )
                .OrderBy(f => f.Round),
        ];
    }

    /// <summary>The window as an instrument would read it, also where nobody read it yet: its loose end and its tight one.</summary>
    /// <returns>Null where no window is known, or nothing tells how it reads.</returns>
    internal static (double Loose, double Tight)? WindowOf(SetInput input, SpanFacts span, ReadingMethod method)
    {
        TightnessScale scale = TightnessScale.For(input, span, usesGauge: false);
        return
            WindowFinder.Find(input, scale).Window is { } window
            && scale.ToReading(method, window.Low, null) is double loose
            && scale.ToReading(method, window.High, null) is double tight
            ? (loose, tight)
            : null;
    }

    private static InstrumentFinding? OfMethod(SetInput input, SpanFacts span, ReadingMethod method)
    {
        int index = input.Rounds.Select((r, i) => (r, i)).Last(x => x.r.Readings.Any(v => v.Method == method)).i;
        SetRound round = input.Rounds[index];
        SetRound alone = round with { Readings = [.. round.Readings.Where(r => r.Method == method)] };
        TightnessScale scale = TightnessScale.For(input, span, method == ReadingMethod.Gauge);
        TensionWindow? window = WindowFinder.Find(input, scale).Window;
        RoundResult result = RoundResult.From(index, alone, scale, window, 0);
        if (result is not { LoosestReading: double loosest, TightestReading: double tightest })
            return null;
        double? force = alone.Readings[^1].ForceN;
        TightnessScale shownIn = scale.In(alone);
        return new(
            method,
            index,
            loosest,
            tightest,
            window is null ? null : shownIn.ToReading(method, window.Low, force),
            window is null ? null : shownIn.ToReading(method, window.High, force),
            result.Grades is { } grades ? !grades.HasLoose && !grades.HasTight : result.IsInside,
            false
        );
    }

    private static bool AreTied(IReadOnlyList<CalibrationPair>? pairs, ReadingMethod one, ReadingMethod other) =>
        (pairs ?? []).Any(p => (p.Own == one && p.Known == other) || (p.Own == other && p.Known == one));
}
