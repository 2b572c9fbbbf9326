using MathNet.Numerics.Distributions;
using Wendrak.Core.Quantities;
using static System.Math;

namespace Wendrak.Core.Comparing;

/// <summary>How many runs or fills each of two setups needs to tell a difference that matters.</summary>
/// <remarks>Source: n = 2·((z₁₋α/₂ + z_power)·s/D)², one more where that is below 30, for the spread is not known then.</remarks>
public static class RunsNeeded
{
    private const int KnownSpreadFrom = 30;
    private const int Most = 1_000_000;

    /// <param name="sd">Standard deviation of single runs.</param>
    /// <param name="difference">That matters, in the same unit.</param>
    /// <param name="alpha">How often a difference may be told where there is none.</param>
    /// <param name="power">How often one that is there is to be told.</param>
    /// <returns>For each of the two.</returns>
    /// <exception cref="InvalidInputException">Nothing that matters, no spread, or shares that are none.</exception>
    public static int ForEach(double sd, double difference, double alpha = 0.05, double power = 0.8)
    {
        double runs = ByNormal(sd, difference, alpha, power);
        double whole = Ceiling(runs) + (runs < KnownSpreadFrom ? 1 : 0);
        return whole < Most ? (int)whole : Most;
    }

    /// <summary>The same before it is rounded, as if the spread were known.</summary>
    public static double ByNormal(double sd, double difference, double alpha, double power)
    {
        new Guard()
            .MoreThan(nameof(sd), sd, 0, "")
            .MoreThan(nameof(difference), difference, 0, "")
            .Between(nameof(alpha), alpha, 0.001, 0.5, "")
            .Between(nameof(power), power, 0.5, 0.999, "")
            .ThrowIfAny();
        double z = Normal.InvCDF(0, 1, 1 - alpha / 2) + Normal.InvCDF(0, 1, power);
        return 2 * Pow(z * sd / difference, 2);
    }
}
