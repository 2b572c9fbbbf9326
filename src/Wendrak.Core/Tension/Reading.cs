using Wendrak.Core.Quantities;

namespace Wendrak.Core.Tension;

/// <summary>How tightness is read.</summary>
public enum ReadingMethod
{
    /// <summary>Frequency of the plucked span, Hz.</summary>
    Pluck,

    /// <summary>Deflection at mid-span under a given force, mm.</summary>
    Push,

    /// <summary>A gauge in its own scale.</summary>
    Gauge,

    /// <summary>Free play of a chain at mid-span in all, mm.</summary>
    FreePlay,

    /// <summary>By hand: 1 loose, 2 about right, 3 tight.</summary>
    Feel,

    /// <summary>Top of a belt above the rim of its sheave, mm; negative below it.</summary>
    BeltHeight,
}

/// <summary>What was fast when a reading was taken.</summary>
public enum LockState
{
    Loose,

    /// <summary>Nipped by hand, so that nothing moves of itself.</summary>
    Nipped,

    /// <summary>At its final torque: only such a reading can be the last one.</summary>
    Torqued,
}

/// <summary>One value at one position of the wheel.</summary>
/// <param name="Position">Counted from 0 in equal steps of the wheel, from the mark or valve up.</param>
/// <param name="ForceN">Of a push; null for other methods.</param>
/// <param name="Value">In the unit of the method.</param>
public sealed record Reading(ReadingMethod Method, double Value, int Position = 0, double? ForceN = null);

/// <summary>Two readings of the same state: by a gauge or a hand, and by a method that knows newtons, Hz or mm.</summary>
/// <param name="Own"><see cref="ReadingMethod.Gauge"/>, or <see cref="ReadingMethod.Feel"/> of one person.</param>
/// <param name="OwnValue">In the scale of the gauge or hand.</param>
/// <param name="Who">Whose hand it is: another person's feel is not tied by it; null for anybody's.</param>
/// <param name="KnownValue">What it read of the same state.</param>
/// <param name="KnownForceN">Of a push, where that is the other method, N.</param>
public sealed record CalibrationPair(
    ReadingMethod Own,
    double OwnValue,
    ReadingMethod Known,
    double KnownValue,
    double? KnownForceN = null,
    string? Who = null
)
{
    internal Guard Check() =>
        new Guard()
            .That(
                Own is ReadingMethod.Gauge or ReadingMethod.Feel,
                nameof(Own),
                "other_kind",
                "Only a gauge or a hand is tied to another reading."
            )
            .Between(nameof(OwnValue), OwnValue, 0, 1e6, "")
            .That(
                Known is ReadingMethod.Pluck or ReadingMethod.Push or ReadingMethod.FreePlay,
                nameof(Known),
                "other_kind",
                "Tie it to a pluck, a push or a free play."
            )
            .Between(nameof(KnownValue), KnownValue, 0.1, SpanVibration.MostHz, "")
            .BetweenIfGiven(nameof(KnownForceN), KnownForceN, 0.5, 1_000, "N");
}
