using MathNet.Numerics.Distributions;
using Wendrak.Core.Quantities;
using static System.Math;

namespace Wendrak.Core.Comparing;

/// <summary>How many runs or fills each of two setups needs to tell a difference that matters.</summary>
/// <remarks>Source: n = 2·((z₁₋α/₂ + z_power)·s/D)², one more where that is below 30, for the spread is not known then.</remarks>
public static class RunsNeeded
{
    private const double UsualAlpha = 0.05;
    private const double UsualPower = 0.8;
    private const int KnownSpreadFrom = 30;
    private const int Most = 1_000_000;

    /// <param name="sd">Standard deviation of single runs.</param>
    /// <param name="difference">That matters, in the same unit.</param>
    /// <param name="alpha">How often a difference may be told where there is none.</param>
    /// <param name="power">How often one that is there is to be told.</param>
    /// <returns>For each of the two.</returns>
    /// <exception cref="InvalidInputException">Nothing that matters, no spread, or shares that are none.</exception>
    public static int ForEach(double sd, double difference, double alpha = UsualAlpha, double power = UsualPower)
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
        (double z_α, double z_β) = QuantilesOf(alpha, power);
        return Each.Value(z_α, z_β, sd, difference);
    }

    /// <summary>The same with its working, one in twenty told where there is none, four of five found.</summary>
    /// <exception cref="InvalidInputException">Nothing that matters, or no spread.</exception>
    public static Explained Explain(double sd, double difference)
    {
        ByNormal(sd, difference, UsualAlpha, UsualPower);
        (double z_α, double z_β) = QuantilesOf(UsualAlpha, UsualPower);
        return Each.With(z_α, z_β, sd, difference);
    }

    private static (double, double) QuantilesOf(double alpha, double power) =>
        (Normal.InvCDF(0, 1, 1 - alpha / 2), Normal.InvCDF(0, 1, power));

    private static readonly Formula<Func<double, double, double, double, double>> Each = new(
        "Values needed of each of two",
        "n",
        ("of each", ""),
        (z_α, z_β, s, D) => 2 * Pow((z_α + z_β) * s / D, 2),
        [
            ("quantile for a difference told where there is none, one in twenty", ""),
            ("quantile for one that is there and told, four of five", ""),
            ("spread of single values", ""),
            ("difference that matters", ""),
        ],
        "textbook, two samples of normal values",
        "Rounded up; one more below 30, where the spread itself is not well known."
    );
}
