using Wendrak.Core.Quantities;
using static System.Math;
using static Wendrak.Core.Quantities.Maths;

namespace Wendrak.Core.Alignment;

/// <summary>Distances from a string along the other wheel to this one.</summary>
/// <param name="NearMm">At its edge nearer to the other wheel.</param>
/// <param name="FarMm">At its far edge.</param>
/// <param name="ApartMm">Between both places.</param>
public sealed record StringReading(double NearMm, double FarMm, double ApartMm);

/// <summary>Angle between a wheel and a string stretched along the other one, from two distances.</summary>
public static class StringLine
{
    private static readonly Formula<Func<double, double, double, double>> Turned = new(
        "Angle by string",
        "γ",
        ("between both wheels", "°"),
        (near, far, apart) => Deg(Atan((far - near) / apart)),
        [("string to wheel", "mm"), ("string to wheel", "mm"), ("both places", "mm")],
        "trigonometry",
        "The string must touch the front wheel at both its edges."
    );

    /// <summary>In degrees.</summary>
    /// <exception cref="InvalidInputException">A value is not physical.</exception>
    public static Explained Angle(StringReading reading)
    {
        new Guard("AlongString.")
            .Between(nameof(reading.NearMm), reading.NearMm, -50, 200, "mm")
            .Between(nameof(reading.FarMm), reading.FarMm, -50, 200, "mm")
            .Between(nameof(reading.ApartMm), reading.ApartMm, 1, 3_000, "mm")
            .ThrowIfAny();
        return Turned.With(reading.NearMm, reading.FarMm, reading.ApartMm);
    }
}
