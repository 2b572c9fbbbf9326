using Wendrak.Core.Quantities;
using static System.Math;

namespace Wendrak.Core.Tension;

/// <summary>How a new belt loses tension: part of what was set that is left after some time.</summary>
/// <remarks>
/// Rubber: more than a fifth is lost in the first hours, about half in a week, then it levels
/// off (common practice): r 0.45 through (4 h, 0.8) and (168 h, 0.5). Aramid or carbon cord loses 5 to 10 % (common practice). An
/// engineering fit; two readings of the same belt make it that belt's.
/// </remarks>
/// <param name="Floor">r: what it levels off at.</param>
public sealed record Relaxation(double Floor, double Exponent, double TauHours)
{
    private const double RubberFloor = 0.45;

    private static readonly Formula<Func<double, double, double, double, double>> Left = new(
        "Part of the tension that is left",
        "f",
        ("of what was set", ""),
        (r, t, τ, β) => r + (1 - r) * Exp(-Pow(t / τ, β)),
        [("what it levels off at", ""), ("since it was fitted", "h"), ("time", "h"), ("exponent", "")],
        "engineering fit through what the trade says of rubber belts: a fifth lost in hours, half in a week (common practice)",
        "Two readings of this belt make it its own curve."
    );

    /// <summary>The part that is left, with its working.</summary>
    /// <param name="isUsual">False where two readings of the belt made the curve.</param>
    internal Explained Explain(double hours, bool isUsual) =>
        Left.With(new(Floor, isUsual), hours, new(TauHours, isUsual), new(Exponent, isUsual));

    /// <summary>A new rubber belt.</summary>
    public static Relaxation Rubber { get; } = Fit(RubberFloor, (4, 0.8), (168, 0.5));

    /// <summary>A belt with cords of aramid or carbon: as quick, to nine tenths and a little more.</summary>
    public static Relaxation StiffCord { get; } = Rubber with { Floor = 0.92 };

    /// <summary>Through two readings of the same belt.</summary>
    /// <param name="floor">0 to below the second fraction.</param>
    /// <exception cref="InvalidInputException">The fractions do not fall with time.</exception>
    public static Relaxation Fit(
        double floor,
        (double Hours, double Fraction) first,
        (double Hours, double Fraction) second
    )
    {
        new Guard()
            .Between("Floor", floor, 0, 0.99, "")
            .MoreThan("Time1H", first.Hours, 0, "h")
            .MoreThan("Time2H", second.Hours, first.Hours, "h")
            .MoreThan("Fraction2", second.Fraction, floor, "")
            .MoreThan("Fraction1", first.Fraction, second.Fraction, "")
            .That(first.Fraction < 1, "Fraction1", "too_high", "Give less than 1: what was set is 1.", 1)
            .ThrowIfAny();
        double y1 = -Log((first.Fraction - floor) / (1 - floor));
        double y2 = -Log((second.Fraction - floor) / (1 - floor));
        double exponent = Log(y2 / y1) / Log(second.Hours / first.Hours);
        return new(floor, exponent, first.Hours / Pow(y1, 1 / exponent));
    }

    /// <summary>Part of the tension that is left.</summary>
    /// <exception cref="InvalidInputException">Negative time.</exception>
    public double FractionAfter(double hours)
    {
        new Guard().AtLeast(nameof(hours), hours, 0, "h").ThrowIfAny();
        return Left.Value(Floor, hours, TauHours, Exponent);
    }

    /// <summary>Part of what is there so many hours after fitting that is left some hours later.</summary>
    public double LeftAfter(double runHours, double hours) => FractionAfter(runHours + hours) / FractionAfter(runHours);
}
