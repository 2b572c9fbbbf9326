using Wendrak.Core.Quantities;

namespace Wendrak.Core.Alignment;

/// <summary>Distances from a string along the other wheel to this one.</summary>
/// <param name="NearMm">At its edge nearer to the other wheel.</param>
/// <param name="FarMm">At its far edge.</param>
/// <param name="ApartMm">Between both places.</param>
public sealed record StringReading(double NearMm, double FarMm, double ApartMm);

/// <summary>Angle between a wheel and a string stretched along the other one, from two distances. Source: trigonometry.</summary>
public static class StringLine
{
    /// <exception cref="InvalidInputException">A value is not physical.</exception>
    public static double AngleDeg(StringReading reading)
    {
        new Guard("AlongString.")
            .Between(nameof(reading.NearMm), reading.NearMm, -50, 200, "mm")
            .Between(nameof(reading.FarMm), reading.FarMm, -50, 200, "mm")
            .Between(nameof(reading.ApartMm), reading.ApartMm, 1, 3_000, "mm")
            .ThrowIfAny();
        return Math.Atan((reading.FarMm - reading.NearMm) / reading.ApartMm) * 180 / Math.PI;
    }
}
