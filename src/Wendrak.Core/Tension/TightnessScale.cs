using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

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

    /// <summary>Top of a belt above the rim of its sheave, mm: the higher, the tighter.</summary>
    AboveRimMm,
}

/// <summary>What is known of the span that is read.</summary>
/// <param name="SpanMm">Free run from wheel to wheel; null where nothing was laid out.</param>
/// <param name="MassKgPerM">Of the whole width.</param>
/// <param name="AxialStiffnessN">E·A of the whole width; null for a guess where one is needed.</param>
/// <param name="LoopLengthMm">Length that stretch is spread over.</param>
/// <param name="IsStiffnessTyped">False where <paramref name="AxialStiffnessN"/> is a guess: good for a first move, not for a reading.</param>
/// <param name="CosRun">Cosine of the angle between runs and the way of the axle.</param>
/// <param name="SlackRunMm">Longest free piece of the slack run, and <paramref name="TightRunMm"/> of the other one; null where nothing was laid out, or the span was typed.</param>
/// <param name="TightRunMm">Longest free piece of the tight run.</param>
public sealed record SpanFacts(
    double? SpanMm,
    double? MassKgPerM,
    double? AxialStiffnessN,
    double? LoopLengthMm,
    double CosRun = 1,
    double? SlackRunMm = null,
    double? TightRunMm = null,
    bool IsStiffnessTyped = false
)
{
    /// <summary>What a push is counted with beside the string: stiffness and length, where both are known; else none.</summary>
    internal (double AxialStiffnessN, double OverMm)? Stretch =>
        IsStiffnessTyped && AxialStiffnessN is double stiffness && LoopLengthMm is double length
            ? (stiffness, length)
            : null;
}

/// <summary>A reading as tightness with its uncertainty; what can't be turned into it is null.</summary>
/// <param name="Sigma">One standard deviation.</param>
public sealed record Tightness(double Value, double Sigma);

/// <summary>Turns readings of any method into one scale and back.</summary>
/// <remarks>
/// Uncertainties of one reading by hand: 1 % of a frequency, 1 mm of a deflection, 1.5 mm of a play, 0.3 mm of a height above the
/// rim; common practice.
/// </remarks>
public sealed class TightnessScale
{
    private const double PluckShare = 0.01;
    private const double PushMm = 1;
    private const double PlayMm = 1.5;
    private const double GaugeShare = 0.03;
    private const double AboveRimMm = 0.3; // by rule or calliper; common practice

    // A hand tells loose from right from tight: a step of it is some 40 %, and one is known to a third. Judgement, from memory.
    private const double FeelStep = 1.4;
    private const double FeelShare = 0.33;

    public SpanFacts Span { get; }
    public TightnessUnit Unit { get; }

    /// <summary>A chain is set where it is tightest, in whatever scale it is read.</summary>
    public bool IsChain { get; }
    private readonly IReadOnlyList<CalibrationPair> _pairs;
    private readonly TightnessScale _usual; // the run that pairs are taken on

    /// <param name="isChain">A chain is counted by its play.</param>
    /// <param name="usesGauge">A gauge whose scale nobody can turn into newtons is the scale itself.</param>
    /// <param name="isOfSheave">It is counted by how high the belt stands in its sheave, whatever else was read.</param>
    /// <param name="pairs">Two turn a gauge into the loop's scale, one the feel of a person; without them they say nothing in it.</param>
    public TightnessScale(
        bool isChain,
        SpanFacts span,
        bool usesGauge = false,
        IReadOnlyList<CalibrationPair>? pairs = null,
        bool isOfSheave = false
    )
    {
        Span = span;
        IsChain = isChain;
        _usual = this;
        _pairs = pairs ?? [];
        Unit =
            isOfSheave ? TightnessUnit.AboveRimMm
            : usesGauge && _pairs.Count(p => p.Own == ReadingMethod.Gauge) < ReadingMethods.Pairs.Gauge
                ? TightnessUnit.Gauge
            : isChain ? TightnessUnit.LoopMm
            : span is { SpanMm: not null, MassKgPerM: not null } ? TightnessUnit.Newton
            : TightnessUnit.HertzSquared;
    }

    /// <summary>Of a loop that is being set.</summary>
    internal static TightnessScale For(SetInput input, SpanFacts span, bool usesGauge) =>
        new(
            input.Loop.DriveElement == DriveElement.Chain,
            span,
            usesGauge,
            input.Gauge,
            input.Setting.Adjuster.IsOfSheave
        );

    private TightnessScale(TightnessScale like, SpanFacts span, IReadOnlyList<CalibrationPair> pairs) =>
        (Span, Unit, IsChain, _pairs, _usual) = (span, like.Unit, like.IsChain, pairs, like._usual);

    /// <summary>The same scale as a round was read: on its run, by its person's hand.</summary>
    public TightnessScale In(SetRound round)
    {
        double? read = round.Run switch
        {
            LoopRun.Slack => Span.SlackRunMm,
            LoopRun.Tight => Span.TightRunMm,
            _ => null,
        };
        return new(
            this,
            Span with
            {
                SpanMm = read ?? Span.SpanMm,
            },
            [
                .. _pairs.Where(p =>
                    p.Own != ReadingMethod.Feel || p.Who is null || round.Who is null || p.Who == round.Who
                ),
            ]
        );
    }

    /// <returns>Null where this method says nothing in this scale, as a feel or a gauge without its pair.</returns>
    /// <exception cref="InvalidInputException">The value is not physical.</exception>
    public Tightness? Read(Reading reading) =>
        reading.Method switch
        {
            ReadingMethod.Pluck => OfPluck(reading.Value),
            ReadingMethod.Push when reading.ForceN is double force => OfPush(reading.Value, force),
            ReadingMethod.FreePlay => OfPlay(reading.Value),
            ReadingMethod.Gauge => OfGauge(reading.Value),
            ReadingMethod.Feel => OfFeel(reading.Value),
            ReadingMethod.BeltHeight when Unit == TightnessUnit.AboveRimMm => new(reading.Value, AboveRimMm),
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
            (ReadingMethod.Push, TightnessUnit.Newton) when forceN is double force => Span.Stretch
                is (double stiffness, double over)
                ? SpanDeflection.DeflectionMm(Span.SpanMm!.Value, force, tightness, stiffness, over)
                : SpanDeflection.DeflectionMm(Span.SpanMm!.Value, force, tightness),
            (ReadingMethod.Gauge, TightnessUnit.Gauge) or (ReadingMethod.BeltHeight, TightnessUnit.AboveRimMm) =>
                tightness,
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
        if (Unit != TightnessUnit.Newton || Span.SpanMm is not double span || IsBeyond(deflectionMm, span))
            return null;
        double tension = Span.Stretch is (double stiffness, double over)
            ? SpanDeflection.TensionN(span, deflectionMm, forceN, stiffness, over)
            : SpanDeflection.TensionN(span, deflectionMm, forceN);
        return Relative(tension, PushMm / deflectionMm);
    }

    private Tightness? OfPlay(double playMm)
    {
        if (Unit != TightnessUnit.LoopMm || Span.SpanMm is not double span || IsBeyond(playMm, span))
            return null;
        double excess = ChainPlay.ExcessMm(span, playMm);
        return new(-excess, playMm / span * PlayMm);
    }

    /// <summary>A push or play of more than a fifth of the span is none: then it says nothing, and a doubt says so.</summary>
    internal bool IsBeyond(Reading reading) =>
        reading.Method is ReadingMethod.Push or ReadingMethod.FreePlay
        && Span.SpanMm is double span
        && IsBeyond(reading.Value, span);

    private static bool IsBeyond(double mm, double spanMm) => mm > spanMm * SpanDeflection.MostShareOfSpan;

    private Tightness? OfGauge(double value)
    {
        new Guard().Between("Value", value, 0, 1e6, "").ThrowIfAny();
        if (Unit == TightnessUnit.Gauge)
            return Relative(value, GaugeShare);
        (double Own, double Known)[] tied = [.. Tied(ReadingMethod.Gauge)];
        if (tied.Length < ReadingMethods.Pairs.Gauge || tied[0].Own == tied[1].Own)
            return null;
        double part = (value - tied[0].Own) / (tied[1].Own - tied[0].Own);
        return Relative(tied[0].Known + part * (tied[1].Known - tied[0].Known), 2 * GaugeShare);
    }

    /// <summary>A person's hand, tied to one reading: loose, about right or tight are steps from there.</summary>
    private Tightness? OfFeel(double grade)
    {
        foreach ((double own, double known) in Tied(ReadingMethod.Feel))
        {
            double steps = Math.Pow(FeelStep, grade - own);
            // Tightness of a chain is what is missing: the tighter, the less of it.
            return Relative(Unit == TightnessUnit.LoopMm ? known / steps : known * steps, FeelShare);
        }
        return null;
    }

    private IEnumerable<(double Own, double Known)> Tied(ReadingMethod own)
    {
        foreach (CalibrationPair pair in _pairs)
            if (
                pair.Own == own
                && pair.Known is not (ReadingMethod.Gauge or ReadingMethod.Feel)
                && _usual.Read(new Reading(pair.Known, pair.KnownValue, 0, pair.KnownForceN)) is { } known
            )
                yield return (pair.OwnValue, known.Value);
    }

    private static Tightness Relative(double value, double share) => new(value, Math.Abs(value) * share);
}
