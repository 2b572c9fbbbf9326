using Wendrak.Core.Quantities;

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
    /// <param name="reduction">Crank turns per wheel turn, above 0.</param>
    /// <param name="circumferenceMm">Rolling circumference, mm.</param>
    /// <param name="crankLengthMm">Pedal crank, mm; null when not known.</param>
    /// <remarks>
    /// q = 1/i; development U·q; gear inches U/π·q; gain ratio U/(2π)/crank·q. Gear inches use the rolling diameter;
    /// traders often use the nominal 26, 27 or 28 in (common practice).
    /// </remarks>
    public static BicycleGearFigures Of(double reduction, double circumferenceMm, double? crankLengthMm)
    {
        double q = 1 / reduction;
        return new(
            q,
            circumferenceMm / 1000 * q,
            circumferenceMm / Math.PI / UnitFactors.MmPerInch * q,
            crankLengthMm is double crank ? circumferenceMm / (2 * Math.PI) / crank * q : null
        );
    }
}
