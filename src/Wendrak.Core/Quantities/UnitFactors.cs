namespace Wendrak.Core.Quantities;

/// <summary>Exact factors between units. Source: the international yard and pound (1959), all exact.</summary>
public static class UnitFactors
{
    /// <summary>Millimetres in an inch, exact.</summary>
    public const double MmPerInch = 25.4;

    /// <summary>Kilometres in a mile, exact.</summary>
    public const double KmPerMile = 1.609344;
}
