namespace Wendrak.Core.Quantities;

/// <summary>Exact factors between units. Source: the international yard and pound (1959), all exact.</summary>
public static class UnitFactors
{
    /// <summary>Millimetres in an inch, exact.</summary>
    public const double MmPerInch = 25.4;

    /// <summary>Kilometres in a mile, exact.</summary>
    public const double KmPerMile = 1.609344;

    /// <summary>Kilograms in a pound, exact.</summary>
    public const double KgPerPound = 0.45359237;

    /// <summary>Litres in an imperial gallon, exact (Weights and Measures Act 1985).</summary>
    public const double LitresPerImperialGallon = 4.54609;

    /// <summary>Litres in a gallon of the United States, 231 cubic inches, exact.</summary>
    public const double LitresPerUsGallon = 3.785411784;
}
