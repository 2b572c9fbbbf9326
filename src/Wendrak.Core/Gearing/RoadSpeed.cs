using Wendrak.Core.Quantities;

namespace Wendrak.Core.Gearing;

/// <summary>Road speed from shaft speed, and back.</summary>
/// <remarks>v = n/i·U; a km/h is 10⁶/60 mm in a minute.</remarks>
public static class RoadSpeed
{
    internal const string Source = "Machinery's Handbook, gear trains";

    /// <summary>Road speed, km/h, of a shaft speed (rpm), the shaft's turns per turn of the wheel, and the way of that turn (mm).</summary>
    public static readonly Formula<Func<double, double, double, double>> Kmh = new(
        "Road speed at the limit",
        "v",
        ("road speed", "km/h"),
        (n, i, U) => n / i * U * 60 / 1_000_000,
        [("limit speed of the input", "rpm"), ("overall ratio", ""), ("rolling circumference", "mm")],
        Source,
        "What the gearing allows; whether the power suffices is another question."
    );

    /// <summary>Shaft speed, rpm, at a road speed (km/h).</summary>
    public static readonly Formula<Func<double, double, double, double>> ShaftRpm = new(
        "Shaft speed at a road speed",
        "n",
        ("shaft speed", "rpm"),
        (v, i, U) => v * 1_000_000 / 60 / U * i,
        [("road speed", "km/h"), ("overall ratio", ""), ("rolling circumference", "mm")],
        Source,
        "Leaves out tyre slip, 1 to 3 % under full pull."
    );

    /// <summary>Reduction that gives a road speed (km/h) at a shaft speed (rpm).</summary>
    public static readonly Formula<Func<double, double, double, double>> Reduction = new(
        "Overall ratio for the aim",
        "i",
        ("tallest overall ratio accepted", ""),
        (v, n, U) => n * U * 60 / (v * 1_000_000),
        [("road speed", "km/h"), ("lowest shaft speed", "rpm"), ("rolling circumference", "mm")],
        Source,
        "Leaves out tyre slip, and says nothing about whether there is power enough for the speed."
    );
}
