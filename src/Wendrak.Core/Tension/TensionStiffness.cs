using Wendrak.Core.Quantities;

namespace Wendrak.Core.Tension;

/// <summary>How much a loop's tension answers when its axle moves.</summary>
public static class TensionStiffness
{
    /// <summary>k = 2·E·A·cos α/L_b, N of one run for each mm of axle. Source: statics.</summary>
    /// <exception cref="InvalidInputException">A value is not physical.</exception>
    public static double NPerMm(double axialStiffnessN, double cosRun, double beltLengthMm)
    {
        new Guard()
            .Between(nameof(axialStiffnessN), axialStiffnessN, 1, 1e8, "N")
            .Between(nameof(cosRun), cosRun, 0.1, 1, "")
            .Between(nameof(beltLengthMm), beltLengthMm, 10, 100_000, "mm")
            .ThrowIfAny();
        return 2 * axialStiffnessN * cosRun / beltLengthMm;
    }
}
