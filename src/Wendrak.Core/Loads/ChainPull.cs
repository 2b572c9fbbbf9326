using Wendrak.Core.Quantities;
using static System.Math;

namespace Wendrak.Core.Loads;

/// <summary>Pull of a chain or belt, and what is added to that of a chain.</summary>
public static class ChainPull
{
    /// <summary>Standard gravity. Source: CGPM 1901.</summary>
    public const double GravityMS2 = 9.80665;
    private const string Shigley = "Shigley ch. 17";
    private static readonly Quantity PullQuantity = new("pull", "N");
    private static readonly Quantity SpeedQuantity = new("speed", "m/s");

    /// <summary>N, of a torque (Nm) at the pitch circle (mm), as handbooks do.</summary>
    public static readonly Formula<Func<double, double, double>> OfTorque = new(
        "Pull",
        "F",
        PullQuantity,
        (T, d) => 2000 * T / d,
        [("torque on the driving wheel", "Nm"), ("pitch or datum circle", "mm")],
        "Shigley ch. 17; torque: T_in·i·η, or tyre and resistance by Gillespie and Cossalter",
        "Mean over a turn, at the pitch circle."
    );

    /// <summary>N, of a power (kW) at the speed of the loop (m/s).</summary>
    /// <remarks>
    /// A sprocket is a polygon: what goes round in a turn, N·p, is a little less than π·d, so that the mean pull of a power is
    /// (π/N)²/6 above that of its torque on the pitch circle, 0.7 % at 15 teeth. Source: geometry.
    /// </remarks>
    public static readonly Formula<Func<double, double, double>> OfPower = new(
        "Pull",
        "F",
        PullQuantity,
        (P, v) => 1000 * P / v,
        [("power at the driving wheel, from the power that was given", "kW"), ("speed of the loop", "m/s")],
        "definition of power; of a chain's torque alone it would be (π/N)²/6 less",
        "Mean over a turn."
    );

    /// <summary>m/s, of a loop that lies in links or teeth of a pitch (mm) on a wheel that turns at a speed (rpm).</summary>
    public static readonly Formula<Func<double, double, double, double>> Speed = new(
        "Speed of the loop",
        "v",
        SpeedQuantity,
        (N, p, n) => N * p * n / 60_000,
        [("links or belt teeth once round the driving wheel", ""), ("pitch", "mm"), ("its speed", "rpm")],
        Shigley,
        "No slip counted."
    );

    /// <summary>m/s, of a belt on a smooth wheel (mm) that turns at a speed (rpm).</summary>
    public static readonly Formula<Func<double, double, double>> BeltSpeed = new(
        "Speed of the loop",
        "v",
        SpeedQuantity,
        (d, n) => PI * d * n / 60_000,
        [("driving wheel", "mm"), ("its speed", "rpm")],
        Shigley,
        "No slip counted."
    );

    /// <summary>N in every run, from the weight (kg/m) of a slack run (mm) that sags (mm).</summary>
    public static readonly Formula<Func<double, double, double, double, double>> Sag = new(
        "Tension from sag",
        "F_s",
        ("in every run, from the weight of the slack one", "N"),
        (m, g, L, s) => m * g * (Pow(L / 1000, 2) / (8 * s / 1000) + s / 1000),
        [("mass of a metre", "kg/m"), ("standard gravity", "m/s²"), ("slack run", "mm"), ("sag at its middle", "mm")],
        "statics of a slack cable",
        "A level run; the parabola is 0.3 % low at a twentieth of the span."
    );

    /// <summary>N in every run, from going round and from sag.</summary>
    public static readonly Formula<Func<double, double, double, double>> Standing = new(
        "Tension from going round and sag",
        "F_0",
        ("in every run, whatever it pulls", "N"),
        (m, v, F_s) => m * Pow(v, 2) + F_s,
        [("mass of a metre", "kg/m"), ("speed of the loop", "m/s"), ("from sag", "N")],
        Shigley,
        "The mass as it is in the tables, without oil and dirt."
    );

    /// <summary>Bearing pressure of a pin in its bush that is good for a long life, N/mm², by chain speed.</summary>
    /// <remarks>Guide of the ISO 10823 charts, from memory; straight between the speeds given, level beyond them.</remarks>
    public static double AllowedPinPressure(double speedMS)
    {
        (double Speed, double Pressure)[] guide =
        [
            (0.5, 38),
            (1, 34),
            (2, 30),
            (4, 26),
            (6, 23),
            (8, 21),
            (10, 19),
            (15, 15),
        ];
        if (speedMS <= guide[0].Speed)
            return guide[0].Pressure;
        for (int i = 1; i < guide.Length; i++)
            if (speedMS <= guide[i].Speed)
            {
                double part = (speedMS - guide[i - 1].Speed) / (guide[i].Speed - guide[i - 1].Speed);
                return guide[i - 1].Pressure + part * (guide[i].Pressure - guide[i - 1].Pressure);
            }
        return guide[^1].Pressure;
    }
}
