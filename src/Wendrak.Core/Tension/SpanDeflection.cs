using MathNet.Numerics.RootFinding;
using Wendrak.Core.Quantities;
using static System.Math;

namespace Wendrak.Core.Tension;

/// <summary>Tension of a free span from how far a force at its middle pushes it aside, and back.</summary>
/// <remarks>
/// F = 2·T'·d/s, s = √((L/2)² + d²), T' = T + E·A·(2s − L)/L_b; small: F = 4·T·d/L. The stretch spreads over the whole loop when a
/// shaft can turn, over the span alone when both are held. Source: statics; V-belt practice of d = L/64: Machinery's Handbook.
/// </remarks>
public static class SpanDeflection
{
    /// <summary>Beyond it nothing is a deflection or a play any more: a bound of entry, no figure of the trade.</summary>
    public const double MostShareOfSpan = 1 / 5.0;

    /// <summary>1/64 inch for each inch of span.</summary>
    public const double VBeltShareOfSpan = 1 / 64.0;

    private const double AccuracyMm = 1e-9;

    private static readonly Quantity Force = new("force", "N");
    private static readonly Quantity FreeSpan = new("free span", "mm");
    private static readonly Quantity Aside = new("deflection", "mm");
    private const string PushTitle = "Tension from the push";

    internal static readonly Formula<Func<double, double, double, double>> OfPush = new(
        PushTitle,
        "T",
        ("tension", "N"),
        (F, L, d) => F * Sqrt(Pow(L / 2, 2) + Pow(d, 2)) / (2 * d),
        [Force, FreeSpan, Aside],
        "statics",
        "The belt's stretch is left out, so that T comes out a little high: give the pull that makes it 1 % longer, and lay the drive out, to have it counted."
    );

    internal static readonly Formula<Func<double, double, double, double, double, double>> OfPushStretched = new(
        PushTitle,
        "T",
        ("tension", "N"),
        (F, L, d, EA, L_b) =>
            Max(
                0,
                F * Sqrt(Pow(L / 2, 2) + Pow(d, 2)) / (2 * d) - EA * (2 * Sqrt(Pow(L / 2, 2) + Pow(d, 2)) - L) / L_b
            ),
        [
            Force,
            FreeSpan,
            Aside,
            ("E·A, a hundred times the pull that makes it 1 % longer", "N"),
            ("whole belt, over which the stretch spreads", "mm"),
        ],
        "statics",
        "One shaft can turn, so that the whole belt stretches; 0 where stretch alone would hold against the force."
    );

    /// <param name="axialStiffnessN">E·A; 0 for a belt that does not stretch measurably.</param>
    /// <param name="stretchedLengthMm">Length the stretch is spread over.</param>
    /// <returns>Force at mid-span, N.</returns>
    /// <exception cref="InvalidInputException">A value is not physical.</exception>
    public static double ForceN(
        double spanMm,
        double deflectionMm,
        double tensionN,
        double axialStiffnessN = 0,
        double stretchedLengthMm = 1_000
    )
    {
        Check(spanMm, deflectionMm, axialStiffnessN, stretchedLengthMm)
            .AtLeast(nameof(tensionN), tensionN, 0, "N")
            .ThrowIfAny();
        (double half, double longer) = Bent(spanMm, deflectionMm);
        return 2 * (tensionN + axialStiffnessN * longer / stretchedLengthMm) * deflectionMm / half;
    }

    /// <returns>N; 0 where stretch alone would hold against the force.</returns>
    /// <exception cref="InvalidInputException">A value is not physical.</exception>
    public static double TensionN(
        double spanMm,
        double deflectionMm,
        double forceN,
        double axialStiffnessN = 0,
        double stretchedLengthMm = 1_000
    )
    {
        Check(spanMm, deflectionMm, axialStiffnessN, stretchedLengthMm)
            .MoreThan(nameof(forceN), forceN, 0, "N")
            .ThrowIfAny();
        return OfPushStretched.Value(forceN, spanMm, deflectionMm, axialStiffnessN, stretchedLengthMm);
    }

    /// <summary>How far a force pushes a span aside that does not stretch, mm; null where it holds against no such force.</summary>
    /// <remarks>F = 2·T·d/s turned round: d = (L/2)·F/√(4·T² − F²).</remarks>
    public static double? DeflectionMm(double spanMm, double forceN, double tensionN) =>
        2 * tensionN > forceN ? spanMm / 2 * forceN / Math.Sqrt(4 * tensionN * tensionN - forceN * forceN) : null;

    /// <summary>The same of a span that stretches over a length, mm.</summary>
    /// <remarks>F = 2·T'·d/s rises with d without end: its one root, by bisection.</remarks>
    /// <exception cref="InvalidInputException">A value is not physical.</exception>
    public static double DeflectionMm(
        double spanMm,
        double forceN,
        double tensionN,
        double axialStiffnessN,
        double stretchedLengthMm
    )
    {
        Check(spanMm, spanMm * MostShareOfSpan, axialStiffnessN, stretchedLengthMm)
            .MoreThan(nameof(forceN), forceN, 0, "N")
            .AtLeast(nameof(tensionN), tensionN, 0, "N")
            .MoreThan(nameof(axialStiffnessN), axialStiffnessN, 0, "N")
            .ThrowIfAny();
        double TooMuch(double deflection)
        {
            (double half, double longer) = Bent(spanMm, deflection);
            return 2 * (tensionN + axialStiffnessN * longer / stretchedLengthMm) * deflection / half - forceN;
        }
        double far = spanMm;
        while (TooMuch(far) < 0)
            far *= 2;
        return Bisection.FindRoot(TooMuch, 0, far, AccuracyMm);
    }

    /// <summary>Half of the bent span, and what both halves are longer than the straight one.</summary>
    private static (double HalfMm, double LongerMm) Bent(double spanMm, double deflectionMm)
    {
        double half = Math.Sqrt(spanMm * spanMm / 4 + deflectionMm * deflectionMm);
        return (half, 2 * half - spanMm);
    }

    private static Guard Check(double spanMm, double deflectionMm, double axialStiffnessN, double stretchedLengthMm) =>
        new Guard()
            .Between(nameof(spanMm), spanMm, 5, 20_000, "mm")
            .MoreThan(nameof(deflectionMm), deflectionMm, 0, "mm")
            .AtMost(nameof(deflectionMm), deflectionMm, spanMm * MostShareOfSpan, "mm")
            .Between(nameof(axialStiffnessN), axialStiffnessN, 0, 1e8, "N")
            .Between(nameof(stretchedLengthMm), stretchedLengthMm, 5, 100_000, "mm");
}
