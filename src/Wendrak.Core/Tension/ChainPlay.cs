using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Tension;

/// <summary>Free play of a chain at the middle of its slack run, and how much loop is behind it.</summary>
/// <remarks>
/// Straight legs: pulled taut both ways the middle moves by s in all; s = √((L + e)² − L²) for e too much of chain. A chain that
/// hangs under its weight is a parabola and is never mixed with it. Source: plane geometry.
/// </remarks>
public static class ChainPlay
{
    /// <summary>Too much of chain behind a free play, mm.</summary>
    /// <param name="playMm">In all, from pulled up to pulled down.</param>
    /// <exception cref="InvalidInputException">A value is not physical: more than a fifth of the span is no play.</exception>
    public static double ExcessMm(double spanMm, double playMm)
    {
        Check(spanMm).Between(nameof(playMm), playMm, 0, spanMm * SpanDeflection.MostShareOfSpan, "mm").ThrowIfAny();
        return SlackRun.ExcessMm(spanMm, playMm);
    }

    /// <summary>Free play in all that so much of chain too long gives, mm.</summary>
    /// <exception cref="InvalidInputException">A value is not physical; less than none stretches the chain.</exception>
    public static double PlayMm(double spanMm, double excessMm)
    {
        Check(spanMm).Between(nameof(excessMm), excessMm, 0, spanMm / 10, "mm").ThrowIfAny();
        return SlackRun.PlayMm(spanMm, excessMm);
    }

    /// <summary>How far the axle goes back to bring one play to another, mm; negative to the front.</summary>
    /// <param name="cosRun">Cosine of the angle between the runs and the way of the axle.</param>
    /// <exception cref="InvalidInputException">A value is not physical.</exception>
    public static double AxleMoveMm(double spanMm, double playMm, double wantedPlayMm, double cosRun)
    {
        new Guard().Between(nameof(cosRun), cosRun, 0.1, 1, "").ThrowIfAny();
        return (ExcessMm(spanMm, playMm) - ExcessMm(spanMm, wantedPlayMm)) / (2 * cosRun);
    }

    private static Guard Check(double spanMm) => new Guard().Between(nameof(spanMm), spanMm, 20, 20_000, "mm");
}
