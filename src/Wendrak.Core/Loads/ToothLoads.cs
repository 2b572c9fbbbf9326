using Wendrak.Core.Quantities;
using static System.Math;
using static Wendrak.Core.Quantities.Maths;

namespace Wendrak.Core.Loads;

/// <summary>How a pull is shared among the teeth a chain lies on.</summary>
/// <param name="EvenShareN">Pull over teeth: too kind to the first tooth.</param>
/// <param name="RatioPerTooth">Pull left after a tooth over the pull before it.</param>
/// <param name="FirstToothN">Force on the tooth where the tight run comes on.</param>
/// <param name="AfterLastN">Pull left after the last tooth: the slack run must hold it, or the chain climbs.</param>
/// <param name="TeethEngaged">Whole teeth in mesh.</param>
/// <param name="PressureAngleDeg">Angle at which a tooth carries its roller.</param>
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
/// Source: Binder, Mechanics of the Roller Chain Drive; ACA design manual. A worn chain rides up and is shared by more teeth.
/// </remarks>
public static class ToothLoads
{
    /// <param name="teeth">That bear: half the gaps of a wheel under a double pitch chain.</param>
    /// <param name="pressureAngleDeg">Null for the mean of the standard tooth.</param>
    /// <exception cref="InvalidInputException">A value is not physical.</exception>
    public static ToothLoadsResult Compute(double teeth, double wrapDeg, double pullN, double? pressureAngleDeg = null)
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
            FirstTooth.Value(pullN, teeth, phi),
            AfterLast.Value(pullN, q, engaged)
        );
    }

    private static readonly Quantity Teeth = new("links once round the wheel", "");
    private static readonly Quantity Angle = new("pressure angle", "°");
    private static readonly Quantity Pull = new("pull", "N");
    private const string Series = "Binder, Mechanics of the Roller Chain Drive; ACA design manual";
    private const string Worn = "A worn chain rides up and is shared by more teeth.";

    internal static readonly Formula<Func<double, double>> MeanAngle = new(
        "Mean pressure angle",
        "φ",
        ("of a new chain in a standard tooth", "°"),
        N => Deg(Rad(26) - Rad(92) / N),
        [Teeth],
        "ASME B29.1",
        "The standard's tooth."
    );

    /// <summary>As low as a roller can settle in a new tooth.</summary>
    internal static readonly Formula<Func<double, double>> LeastAngle = new(
        "Least pressure angle",
        "φ",
        ("as low as a roller settles", "°"),
        N => Deg(Rad(17) - Rad(64) / N),
        [Teeth],
        "ASME B29.1 (from memory)",
        "The standard's tooth."
    );

    internal static readonly Formula<Func<double, double, double>> LeftAfterATooth = new(
        "Left over after a tooth",
        "q",
        ("of the pull before it", ""),
        (φ, N) => Sin(Rad(φ)) / Sin(Rad(φ) + 2 * PI / N),
        [Angle, Teeth],
        Series,
        Worn
    );

    internal static readonly Formula<Func<double, double, double, double>> FirstTooth = new(
        "Force on the first tooth",
        "F_1",
        ("where the tight run comes on", "N"),
        (F, N, φ) => F * Sin(2 * PI / N) / Sin(Rad(φ) + 2 * PI / N),
        [Pull, Teeth, Angle],
        Series,
        Worn
    );

    internal static readonly Formula<Func<double, double, double, double>> AfterLast = new(
        "Pull left after the last tooth",
        "F_k",
        ("the slack run must hold it", "N"),
        (F, q, k) => F * Pow(q, k),
        [Pull, ("left over after a tooth", ""), ("teeth engaged", "teeth")],
        Series,
        Worn
    );

    public static double MeanPressureAngleDeg(double teeth) => MeanAngle.Value(teeth);

    internal static double RatioPerTooth(double teeth, double pressureAngleDeg) =>
        LeftAfterATooth.Value(pressureAngleDeg, teeth);
}
