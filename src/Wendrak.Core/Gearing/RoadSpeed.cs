using Wendrak.Core.Quantities;

namespace Wendrak.Core.Gearing;

/// <summary>Road speed from shaft speed, and back.</summary>
/// <remarks>v = n/i·U. Source: Machinery's Handbook, gear trains. Leaves out tyre slip, 1 to 3 % under full pull.</remarks>
public static class RoadSpeed
{
    /// <summary>Road speed, km/h.</summary>
    /// <param name="shaftRpm">Speed of the shaft, rpm.</param>
    /// <param name="reduction">Shaft turns per wheel turn, without sign.</param>
    /// <param name="circumferenceMm">Rolling circumference, mm.</param>
    public static double Kmh(double shaftRpm, double reduction, double circumferenceMm) =>
        shaftRpm / reduction * circumferenceMm / UnitFactors.MmPerMinutePerKmh;

    /// <summary>Shaft speed at a road speed, rpm.</summary>
    public static double ShaftRpm(double speedKmh, double reduction, double circumferenceMm) =>
        speedKmh * UnitFactors.MmPerMinutePerKmh / circumferenceMm * reduction;

    /// <summary>Reduction that gives a road speed at a shaft speed.</summary>
    public static double Reduction(double speedKmh, double shaftRpm, double circumferenceMm) =>
        shaftRpm * circumferenceMm / (speedKmh * UnitFactors.MmPerMinutePerKmh);
}
