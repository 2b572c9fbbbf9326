using Wendrak.Core.Quantities;
using Wendrak.Core.Wheels;

namespace Wendrak.Core.Loads;

/// <summary>What pulls at a chain.</summary>
/// <param name="SpeedMS">Chain speed, m/s.</param>
/// <param name="PullN">From the torque alone.</param>
/// <param name="CentrifugalN">In every run, from going round.</param>
/// <param name="SagN">In every run, from the weight of the slack one.</param>
/// <param name="TotalN">Pull with shock, centrifugal and sag tension together.</param>
public sealed record ChainPullResult(double SpeedMS, double PullN, double CentrifugalN, double SagN, double TotalN);

/// <summary>Pull of a chain, and what is added to it. Source: Shigley ch. 17; sag: statics of a slack cable.</summary>
public static class ChainPull
{
    public const double GravityMS2 = 9.80665;

    /// <param name="torqueNm">On the sprocket, 0 or more.</param>
    /// <param name="sagMm">Of the slack run at its middle; the parabola is 0.3 % low at a twentieth of the span.</param>
    /// <param name="shockFactor">1 or more, on the pull alone.</param>
    /// <exception cref="InvalidInputException">A value is not physical.</exception>
    public static ChainPullResult Of(
        double pitchMm,
        int teeth,
        double rpm,
        double torqueNm,
        double massKgPerM,
        double slackSpanMm,
        double sagMm,
        double shockFactor
    )
    {
        new Guard()
            .AtLeast(nameof(rpm), rpm, 0, "rpm")
            .AtLeast(nameof(torqueNm), torqueNm, 0, "Nm")
            .MoreThan(nameof(massKgPerM), massKgPerM, 0, "kg/m")
            .MoreThan(nameof(slackSpanMm), slackSpanMm, 0, "mm")
            .MoreThan(nameof(sagMm), sagMm, 0, "mm")
            .Between(nameof(shockFactor), shockFactor, 1, 5, "")
            .ThrowIfAny();
        double speed = SpeedMS(pitchMm, teeth, rpm);
        double pull = PullN(torqueNm, 2 * SprocketSize.PitchRadiusMm(pitchMm, teeth));
        double centrifugal = massKgPerM * speed * speed;
        double sag = SagTensionN(massKgPerM, slackSpanMm, sagMm);
        return new(speed, pull, centrifugal, sag, pull * shockFactor + centrifugal + sag);
    }

    /// <summary>N·p·n/60 000, m/s.</summary>
    public static double SpeedMS(double pitchMm, double teeth, double rpm) => teeth * pitchMm * rpm / 60_000;

    /// <summary>2000·T/d, N: of a torque, at the pitch circle, as handbooks do.</summary>
    public static double PullN(double torqueNm, double pitchDiameterMm) => 2_000 * torqueNm / pitchDiameterMm;

    /// <summary>1000·P/v, N: of a power.</summary>
    /// <remarks>
    /// A sprocket is a polygon: what goes round in a turn, N·p, is a little less than π·d, so that the mean pull of a power is
    /// (π/N)²/6 above that of its torque on the pitch circle, 0.7 % at 15 teeth. Source: geometry.
    /// </remarks>
    public static double PullOfPowerN(double powerKw, double speedMS) => 1_000 * powerKw / speedMS;

    /// <summary>w·L²/(8·s) + w·s with w = m·g, N: horizontal run, parabola.</summary>
    public static double SagTensionN(double massKgPerM, double spanMm, double sagMm)
    {
        double weight = massKgPerM * GravityMS2;
        (double span, double sag) = (spanMm / 1_000, sagMm / 1_000);
        return weight * span * span / (8 * sag) + weight * sag;
    }

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
