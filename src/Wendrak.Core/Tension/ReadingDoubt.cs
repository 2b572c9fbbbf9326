namespace Wendrak.Core.Tension;

/// <summary>A reading that can hardly be meant as it was put in.</summary>
/// <param name="WouldBe">Tightness it would tell, in the scale of the loop; null where it can't be one at all.</param>
/// <param name="MostMm">Largest push or play that the span allows; null for other doubts.</param>
/// <param name="Meant">Method by which the same number would be a likely one; null where there is none.</param>
/// <param name="Position">Place on the wheel, counted from 0.</param>
/// <param name="Value">As it was put in.</param>
public sealed record ReadingDoubt(
    int Position,
    ReadingMethod Method,
    double Value,
    double? WouldBe,
    ReadingMethod? Meant,
    double? MostMm = null
)
{
    // Beyond these parts of the window nobody finds a drive that still runs; within those a number is likely.
    private const double FarBelow = 0.1;
    private const double FarAbove = 6;
    private const double LikelyFrom = 0.4;
    private const double LikelyTo = 2.5;

    /// <summary>Readings far from anything such a drive can have. Bounds: judgement, from memory.</summary>
    internal static IEnumerable<ReadingDoubt> Find(SetRound round, TightnessScale scale, TensionWindow? window)
    {
        foreach (Reading reading in round.Readings.Where(scale.IsBeyond))
            yield return new(
                reading.Position,
                reading.Method,
                reading.Value,
                null,
                null,
                scale.Span.SpanMm * SpanDeflection.MostShareOfSpan
            );
        // Free play and the height above a rim are measured from nothing: a long slack chain is no mistake.
        if (window is null || scale.Unit is TightnessUnit.LoopMm or TightnessUnit.AboveRimMm)
            yield break;
        foreach (Reading reading in round.Readings)
            if (scale.Read(reading) is { } tightness && !Within(tightness.Value, window, FarBelow, FarAbove))
                yield return new(
                    reading.Position,
                    reading.Method,
                    reading.Value,
                    tightness.Value,
                    Other(reading, scale, window)
                );
    }

    private static ReadingMethod? Other(Reading reading, TightnessScale scale, TensionWindow window)
    {
        if (reading.Method == ReadingMethod.Pluck || reading.Value is < SpanVibration.LeastHz or > SpanVibration.MostHz)
            return null;
        Tightness? plucked = scale.Read(reading with { Method = ReadingMethod.Pluck });
        return plucked is not null && Within(plucked.Value, window, LikelyFrom, LikelyTo) ? ReadingMethod.Pluck : null;
    }

    private static bool Within(double tightness, TensionWindow window, double from, double to) =>
        tightness >= from * window.Low && tightness <= to * window.High;
}
