using Wendrak.Core.Quantities;

namespace Wendrak.Core.Tension;

/// <summary>What tightness is counted in: each goes straight with the place of the axle, and more is tighter.</summary>
public enum TightnessUnit
{
    /// <summary>Tension of the span, N.</summary>
    Newton,

    /// <summary>Square of its frequency, where span or mass is not known: as found and trend only, or by a maker's Hz.</summary>
    HertzSquared,

    /// <summary>Chain that is missing against a taut one, mm: never above 0.</summary>
    LoopMm,

    /// <summary>A gauge's own scale.</summary>
    Gauge,
}

/// <summary>What is known of the span that is read.</summary>
/// <param name="SpanMm">Free run from wheel to wheel; null where nothing was laid out.</param>
/// <param name="MassKgPerM">Of the whole width.</param>
/// <param name="AxialStiffnessN">E·A of the whole width; null for a guess where one is needed.</param>
/// <param name="LoopLengthMm">Length that stretch is spread over.</param>
/// <param name="CosRun">Cosine of the angle between runs and the way of the axle.</param>
public sealed record SpanFacts(
    double? SpanMm,
    double? MassKgPerM,
    double? AxialStiffnessN,
    double? LoopLengthMm,
    double CosRun = 1
);

/// <summary>A reading as tightness with its uncertainty; what can't be turned into it is null.</summary>
/// <param name="Sigma">One standard deviation.</param>
public sealed record Tightness(double Value, double Sigma);

/// <summary>Turns readings of any method into one scale and back.</summary>
/// <remarks>Uncertainties of one reading by hand: 1 % of a frequency, 1 mm of a deflection, 1.5 mm of a play; common practice.</remarks>
public sealed class TightnessScale
{
    private const double PluckShare = 0.01;
    private const double PushMm = 1;
    private const double PlayMm = 1.5;
    private const double GaugeShare = 0.03;

    public SpanFacts Span { get; }
    public TightnessUnit Unit { get; }
    private readonly IReadOnlyList<CalibrationPair> _gauge;

    /// <param name="isChain">A chain is counted by its play.</param>
    /// <param name="usesGauge">A gauge whose scale nobody can turn into newtons is the scale itself.</param>
    /// <param name="gauge">Two pairs turn a gauge into the loop's scale; fewer do not.</param>
    public TightnessScale(
        bool isChain,
        SpanFacts span,
        bool usesGauge = false,
        IReadOnlyList<CalibrationPair>? gauge = null
    )
    {
        Span = span;
        _gauge = gauge ?? [];
        Unit =
            isChain ? TightnessUnit.LoopMm
            : usesGauge && _gauge.Count < 2 ? TightnessUnit.Gauge
            : span is { SpanMm: not null, MassKgPerM: not null } ? TightnessUnit.Newton
            : TightnessUnit.HertzSquared;
    }

    /// <returns>Null where this method says nothing in this scale, as a feel or a gauge without its pairs.</returns>
    /// <exception cref="InvalidInputException">The value is not physical.</exception>
    public Tightness? Of(Reading reading) =>
        reading.Method switch
        {
            ReadingMethod.Pluck => OfPluck(reading.Value),
            ReadingMethod.Push when reading.ForceN is double force => OfPush(reading.Value, force),
            ReadingMethod.FreePlay => OfPlay(reading.Value),
            ReadingMethod.Gauge => OfGauge(reading.Value),
            _ => null,
        };

    /// <summary>What a method would read at a tightness; null where it can't be told.</summary>
    public double? ToReading(ReadingMethod method, double tightness, double? forceN = null) =>
        (method, Unit) switch
        {
            (ReadingMethod.Pluck, TightnessUnit.Newton) => SpanVibration.FrequencyHz(
                Span.SpanMm!.Value,
                Span.MassKgPerM!.Value,
                Math.Max(0, tightness)
            ),
            (ReadingMethod.Pluck, TightnessUnit.HertzSquared) => Math.Sqrt(Math.Max(0, tightness)),
            (ReadingMethod.FreePlay, TightnessUnit.LoopMm) when Span.SpanMm is double span => ChainPlay.PlayMm(
                span,
                Math.Clamp(-tightness, 0, span / 10)
            ),
            (ReadingMethod.Push, TightnessUnit.Newton) when forceN is double force && tightness > 0 => force
                * Span.SpanMm!.Value
                / (4 * tightness),
            (ReadingMethod.Gauge, TightnessUnit.Gauge) => tightness,
            _ => null,
        };

    private Tightness? OfPluck(double hz)
    {
        new Guard().Between("Value", hz, SpanVibration.LeastHz, SpanVibration.MostHz, "Hz").ThrowIfAny();
        return Unit switch
        {
            TightnessUnit.Newton => Relative(
                SpanVibration.TensionN(Span.SpanMm!.Value, Span.MassKgPerM!.Value, hz),
                2 * PluckShare
            ),
            TightnessUnit.HertzSquared => Relative(hz * hz, 2 * PluckShare),
            _ => null,
        };
    }

    private Tightness? OfPush(double deflectionMm, double forceN)
    {
        if (Unit != TightnessUnit.Newton || Span.SpanMm is not double span)
            return null;
        double tension = SpanDeflection.TensionN(span, deflectionMm, forceN);
        return Relative(tension, PushMm / deflectionMm);
    }

    private Tightness? OfPlay(double playMm)
    {
        if (Unit != TightnessUnit.LoopMm || Span.SpanMm is not double span)
            return null;
        double excess = ChainPlay.ExcessMm(span, playMm);
        return new(-excess, playMm / span * PlayMm);
    }

    private Tightness? OfGauge(double value)
    {
        new Guard().Between("Value", value, 0, 1e6, "").ThrowIfAny();
        if (Unit == TightnessUnit.Gauge)
            return Relative(value, GaugeShare);
        if (_gauge.Count < 2 || Unit is TightnessUnit.LoopMm)
            return null;
        (CalibrationPair a, CalibrationPair b) = (_gauge[0], _gauge[1]);
        if (a.OwnValue == b.OwnValue)
            return null;
        double part = (value - a.OwnValue) / (b.OwnValue - a.OwnValue);
        return Relative(a.Tightness + part * (b.Tightness - a.Tightness), 2 * GaugeShare);
    }

    private static Tightness Relative(double value, double share) => new(value, Math.Abs(value) * share);
}
