using MathNet.Numerics.Distributions;
using Wendrak.Core.Quantities;
using static System.Math;

namespace Wendrak.Core.Comparing;

/// <summary>What was found with one setup, in short.</summary>
/// <param name="Mean">Of all of them.</param>
/// <param name="Sd">Standard deviation of single runs or fills.</param>
/// <param name="Count">How many there are.</param>
public sealed record Sample(double Mean, double Sd, int Count)
{
    /// <exception cref="InvalidInputException">Fewer than two values tell no spread.</exception>
    public static Sample Of(IReadOnlyList<double> values, string field)
    {
        new Guard()
            .AtLeast(field, values.Count, 2, "")
            .That(values.All(double.IsFinite), field, "not_finite", "Give numbers.")
            .ThrowIfAny();
        double mean = values.Average();
        return new(mean, Sqrt(values.Sum(v => Pow(v - mean, 2)) / (values.Count - 1)), values.Count);
    }
}

/// <summary>Difference of two setups, with how sure it is.</summary>
/// <param name="First">What was found with the first.</param>
/// <param name="Second">What was found with the second.</param>
/// <param name="Difference">Second less first.</param>
/// <param name="T">The difference by its own standard error.</param>
/// <param name="DegreesOfFreedom">By Satterthwaite: not whole.</param>
/// <param name="Low">Lower end of its interval at the level asked for.</param>
/// <param name="High">Upper end of it.</param>
/// <param name="PValue">How often so large a difference comes of chance alone, both ways.</param>
/// <param name="IsShown">None of the interval is on the other side of nothing.</param>
/// <param name="IsFew">Fewer than five of one: said beside the result.</param>
public sealed record Comparison(
    Sample First,
    Sample Second,
    double Difference,
    double T,
    double DegreesOfFreedom,
    double PValue,
    double Low,
    double High,
    bool IsShown,
    bool IsFew
);

/// <summary>Two means whose spreads need not be alike. Source: Welch 1947, degrees of freedom by Satterthwaite.</summary>
public static class Welch
{
    public const double UsualLevel = 0.95;

    // Common practice: below it a single odd run decides.
    private const int FewBelow = 5;

    /// <exception cref="InvalidInputException">Fewer than two of one, or no spread in either.</exception>
    public static Comparison Compare(Sample first, Sample second, double level = UsualLevel)
    {
        new Guard()
            .AtLeast("First.Count", first.Count, 2, "")
            .AtLeast("Second.Count", second.Count, 2, "")
            .Between(nameof(level), level, 0.5, 0.999, "")
            .That(
                first.Sd > 0 || second.Sd > 0,
                "First.Sd",
                "no_spread",
                "Both have no spread at all: no run repeats so well. Type every run, not its mean."
            )
            .ThrowIfAny();
        (double a, double b) = (first.Sd * first.Sd / first.Count, second.Sd * second.Sd / second.Count);
        double error = Sqrt(a + b);
        double degrees = Pow(a + b, 2) / (a * a / (first.Count - 1) + b * b / (second.Count - 1));
        double difference = second.Mean - first.Mean;
        double t = difference / error;
        double reach = Reach.Value(QuantileOf(degrees, level), first.Sd, first.Count, second.Sd, second.Count);
        return new(
            first,
            second,
            difference,
            t,
            degrees,
            2 * StudentT.CDF(0, 1, degrees, -Abs(t)),
            difference - reach,
            difference + reach,
            Abs(difference) > reach,
            Min(first.Count, second.Count) < FewBelow
        );
    }

    /// <summary>How far the interval of a difference reaches to either side, at the usual level.</summary>
    public static Explained Explain(Comparison compared) =>
        Reach.With(
            QuantileOf(compared.DegreesOfFreedom, UsualLevel),
            compared.First.Sd,
            compared.First.Count,
            compared.Second.Sd,
            compared.Second.Count
        );

    private static double QuantileOf(double degrees, double level) => StudentT.InvCDF(0, 1, degrees, (1 + level) / 2);

    private static readonly Formula<Func<double, double, double, double, double, double>> Reach = new(
        "Reach of the interval of a difference of two means",
        "Δ",
        ("to either side of the difference", ""),
        (t, s_1, n_1, s_2, n_2) => t * Sqrt(s_1 * s_1 / n_1 + s_2 * s_2 / n_2),
        [
            ("quantile of Student’s t, degrees of freedom by Satterthwaite", ""),
            ("spread of the first", ""),
            ("number of the first", ""),
            ("spread of the second", ""),
            ("number of the second", ""),
        ],
        "Welch 1947",
        "Values by themselves and of one kind: what else differed between the two is in the difference, not in its interval."
    );
}
