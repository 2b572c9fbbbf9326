using Wendrak.Core.Quantities;
using static System.Math;

namespace Wendrak.Core.Gearing;

/// <summary>A gear in the ways riders speak of it.</summary>
/// <param name="TurnsOutPerTurnIn">Wheel turns per crank turn, the inverse of a reduction.</param>
/// <param name="DevelopmentM">Way per crank turn, m.</param>
/// <param name="GearInches">Diameter of the direct-drive wheel of the same development, in.</param>
/// <param name="GainRatio">Way of the bicycle per way of the pedal; null without a crank length.</param>
public sealed record BicycleGearFigures(
    double TurnsOutPerTurnIn,
    double DevelopmentM,
    double GearInches,
    double? GainRatio
);

public static class BicycleGear
{
    private static readonly Quantity Circumference = new("rolling circumference", "mm");
    private static readonly Quantity WheelTurns = new("wheel turns per crank turn", "");

    private static readonly Formula<Func<double, double, double>> Development = new(
        "Development",
        "D",
        ("way per crank turn", "m"),
        (U, q) => U / 1000 * q,
        [Circumference, WheelTurns],
        "common practice",
        "Rolling circumference under load."
    );

    private static readonly Formula<Func<double, double, double>> Inches = new(
        "Gear inches",
        "d",
        ("wheel that would do the same in direct drive", "in"),
        (U, q) => U / PI / 25.4 * q,
        [Circumference, WheelTurns],
        "common practice",
        "From the rolling diameter; traders often use the nominal wheel size instead."
    );

    private static readonly Formula<Func<double, double, double, double>> Gain = new(
        "Gain ratio",
        "gain",
        ("way of the bicycle per way of the pedal", ""),
        (U, crank, q) => U / (2 * PI) / crank * q,
        [Circumference, ("crank length", "mm"), WheelTurns],
        "common practice",
        "None beyond the rolling circumference."
    );

    /// <param name="reduction">Crank turns per wheel turn, above 0.</param>
    /// <param name="circumferenceMm">Rolling circumference, mm.</param>
    /// <param name="crankLengthMm">Pedal crank, mm; null when not known.</param>
    public static BicycleGearFigures Compute(double reduction, double circumferenceMm, double? crankLengthMm)
    {
        double q = 1 / reduction;
        return new(
            q,
            Development.Value(circumferenceMm, q),
            Inches.Value(circumferenceMm, q),
            crankLengthMm is double crank ? Gain.Value(circumferenceMm, crank, q) : null
        );
    }

    /// <summary>Gain ratio of one turn of the wheel for one of the crank.</summary>
    internal static double DirectGain(double circumferenceMm, double crankLengthMm) =>
        Gain.Value(circumferenceMm, crankLengthMm, 1);

    /// <inheritdoc cref="Compute"/>
    internal static IEnumerable<Working> Workings(double reduction, double circumferenceMm, double? crankLengthMm)
    {
        double q = 1 / reduction;
        yield return Development.With(circumferenceMm, q).Working;
        yield return Inches.With(circumferenceMm, q).Working;
        if (crankLengthMm is double crank)
            yield return Gain.With(circumferenceMm, crank, q).Working;
    }
}
