using Wendrak.Core.Quantities;

namespace Wendrak.Core.Loads;

/// <summary>How a pull is shared among the teeth a chain lies on.</summary>
/// <param name="EvenShareN">Pull over teeth: too kind to the first tooth.</param>
/// <param name="RatioPerTooth">Pull left after a tooth over the pull before it.</param>
/// <param name="FirstToothN">Force on the tooth where the tight run comes on.</param>
/// <param name="AfterLastN">Pull left after the last tooth: the slack run must hold it, or the chain climbs.</param>
public sealed record ToothLoadsResult(
    int TeethEngaged,
    double EvenShareN,
    double PressureAngleDeg,
    double RatioPerTooth,
    double FirstToothN,
    double AfterLastN
);

/// <summary>Geometric series of the pull round a sprocket.</summary>
/// <remarks>
/// With b = 360°/N and pressure angle φ the pull falls by q = sin φ / sin(φ + b) a tooth; the first tooth takes
/// F·sin b / sin(φ + b). Source: Binder, Mechanics of the Roller Chain Drive; ACA design manual. φ = 26° − 92°/N is the mean
/// of a new chain (ASME B29.1); a worn one rides up and is shared by more teeth.
/// </remarks>
public static class ToothLoads
{
    /// <param name="teeth">That bear: half the gaps of a wheel under a double pitch chain.</param>
    /// <param name="pressureAngleDeg">Null for the mean of the standard tooth.</param>
    /// <exception cref="InvalidInputException">A value is not physical.</exception>
    public static ToothLoadsResult Of(double teeth, double wrapDeg, double pullN, double? pressureAngleDeg = null)
    {
        new Guard()
            .Between(nameof(teeth), teeth, 5, 1_000, "teeth")
            .Between(nameof(wrapDeg), wrapDeg, 1, 360, "°")
            .AtLeast(nameof(pullN), pullN, 0, "N")
            .BetweenIfGiven(nameof(pressureAngleDeg), pressureAngleDeg, 5, 40, "°")
            .ThrowIfAny();
        double phi = pressureAngleDeg ?? MeanPressureAngleDeg(teeth);
        int engaged = (int)Math.Floor(teeth * wrapDeg / 360 + 1e-9);
        double q = RatioPerTooth(teeth, phi);
        return new(
            engaged,
            engaged > 0 ? pullN / engaged : pullN,
            phi,
            q,
            pullN * Sin(360.0 / teeth) / Sin(phi + 360.0 / teeth),
            pullN * Math.Pow(q, engaged)
        );
    }

    public static double MeanPressureAngleDeg(double teeth) => 26 - 92.0 / teeth;

    /// <summary>As low as a roller can settle in a new tooth. Source: ASME B29.1 (from memory).</summary>
    public static double LeastPressureAngleDeg(double teeth) => 17 - 64.0 / teeth;

    internal static double RatioPerTooth(double teeth, double pressureAngleDeg) =>
        Sin(pressureAngleDeg) / Sin(pressureAngleDeg + 360.0 / teeth);

    private static double Sin(double degrees) => Math.Sin(degrees * Math.PI / 180);
}
