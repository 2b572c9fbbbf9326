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

    /// <summary>Turns still to make, from two readings and what was turned between them (secant).</summary>
    /// <param name="isFrequency">Readings in Hz: tension goes with their square.</param>
    /// <param name="noise">Readings nearer than this taught nothing.</param>
    /// <exception cref="InvalidInputException">The readings did not change.</exception>
    public static double FurtherTurns(
        double before,
        double after,
        double turnsMade,
        double target,
        bool isFrequency,
        double noise = 0
    )
    {
        new Guard()
            .That(
                Math.Abs(after - before) > Math.Max(noise, 1e-9) && turnsMade != 0,
                "ReadingAfter",
                "unchanged",
                "The reading did not change: nothing was learned of a turn."
            )
            .ThrowIfAny();
        double Linear(double reading) => isFrequency ? reading * reading : reading;
        return (Linear(target) - Linear(after)) * turnsMade / (Linear(after) - Linear(before));
    }
}
