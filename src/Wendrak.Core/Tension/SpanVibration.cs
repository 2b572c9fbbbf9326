using Wendrak.Core.Quantities;
using static System.Math;

namespace Wendrak.Core.Tension;

/// <summary>Tension of a free span from the frequency it sounds with when plucked, and back.</summary>
/// <remarks>
/// A stiff short span reads high: f² = T/(4·m·L²) + (π²/4)·E·I/(m·L⁴). Source: equation of the string;
/// belt engineering handbooks. Belt at rest, no torque on the drive; span at least some twenty times its thickness.
/// </remarks>
public static class SpanVibration
{
    public const double LeastHz = 0.5;
    public const double MostHz = 1_000;

    internal static readonly Formula<Func<double, double, double, double>> OfString = new(
        "Tension from the frequency",
        "T",
        ("tension", "N"),
        (m, L, f) => 4 * m * Pow(L / 1000, 2) * Pow(f, 2),
        [("mass of a metre", "kg/m"), ("free span", "mm"), ("as plucked", "Hz")],
        "equation of the string; belt engineering handbooks",
        "Belt at rest, no torque on the drive; a short stiff span reads high."
    );

    /// <param name="spanMm">Free run from wheel to wheel, its tangent length.</param>
    /// <param name="massKgPerM">Of the whole width, or of all belts that sound together.</param>
    /// <param name="bendingStiffnessNmm2">E·I of the belt, N·mm²; 0 for a string.</param>
    /// <returns>N, 0 where stiffness alone would sound as high.</returns>
    /// <exception cref="InvalidInputException">A value is not physical.</exception>
    public static double TensionN(double spanMm, double massKgPerM, double hz, double bendingStiffnessNmm2 = 0)
    {
        Check(spanMm, massKgPerM, bendingStiffnessNmm2).Between(nameof(hz), hz, LeastHz, MostHz, "Hz").ThrowIfAny();
        return Max(0, OfString.Value(massKgPerM, spanMm, hz) - StiffnessN(spanMm, bendingStiffnessNmm2));
    }

    /// <returns>Hz.</returns>
    /// <exception cref="InvalidInputException">A value is not physical.</exception>
    public static double FrequencyHz(double spanMm, double massKgPerM, double tensionN, double bendingStiffnessNmm2 = 0)
    {
        Check(spanMm, massKgPerM, bendingStiffnessNmm2).AtLeast(nameof(tensionN), tensionN, 0, "N").ThrowIfAny();
        double spanM = spanMm / 1_000;
        return Sqrt((tensionN + StiffnessN(spanMm, bendingStiffnessNmm2)) / massKgPerM) / (2 * spanM);
    }

    /// <summary>What bending adds to the tension that is heard: π²·E·I/L².</summary>
    private static double StiffnessN(double spanMm, double bendingStiffnessNmm2) =>
        PI * PI * bendingStiffnessNmm2 / (spanMm * spanMm);

    private static Guard Check(double spanMm, double massKgPerM, double bendingStiffnessNmm2) =>
        new Guard()
            .Between(nameof(spanMm), spanMm, 5, 20_000, "mm")
            .Between(nameof(massKgPerM), massKgPerM, 0.001, 100, "kg/m")
            .Between(nameof(bendingStiffnessNmm2), bendingStiffnessNmm2, 0, 1e9, "N·mm²");
}
