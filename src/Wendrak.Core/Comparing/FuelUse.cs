using Wendrak.Core.Quantities;

namespace Wendrak.Core.Comparing;

/// <summary>How fuel use is told. There are two gallons: which one is always asked.</summary>
public enum FuelMeasure
{
    LitresPer100Km,
    KmPerLitre,
    MilesPerImperialGallon,
    MilesPerUsGallon,
}

/// <summary>Fuel use in all its measures.</summary>
/// <param name="LitresPer100Km">L/100 km.</param>
/// <param name="KmPerLitre">km/L.</param>
/// <param name="MilesPerImperialGallon">Miles on a gallon of 4.54609 L.</param>
/// <param name="MilesPerUsGallon">Miles on a gallon of 3.785411784 L.</param>
public sealed record FuelUse(
    double LitresPer100Km,
    double KmPerLitre,
    double MilesPerImperialGallon,
    double MilesPerUsGallon
)
{
    /// <summary>L/100 km = 100/(km/L). Source: definitions of the units; exact.</summary>
    /// <exception cref="InvalidInputException">Not more than nothing.</exception>
    public static FuelUse From(FuelMeasure measure, double value)
    {
        new Guard().Between(nameof(value), value, 0.01, 10_000, "").ThrowIfAny();
        double kmPerLitre = measure switch
        {
            FuelMeasure.LitresPer100Km => 100 / value,
            FuelMeasure.KmPerLitre => value,
            FuelMeasure.MilesPerImperialGallon => value * UnitFactors.KmPerMile / UnitFactors.LitresPerImperialGallon,
            FuelMeasure.MilesPerUsGallon => value * UnitFactors.KmPerMile / UnitFactors.LitresPerUsGallon,
            _ => throw new ArgumentOutOfRangeException(nameof(measure), measure, null),
        };
        double milesPerLitre = kmPerLitre / UnitFactors.KmPerMile;
        return new(
            100 / kmPerLitre,
            kmPerLitre,
            milesPerLitre * UnitFactors.LitresPerImperialGallon,
            milesPerLitre * UnitFactors.LitresPerUsGallon
        );
    }
}
