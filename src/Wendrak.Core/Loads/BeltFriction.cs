using Wendrak.Core.Quantities;
using static System.Math;
using static Wendrak.Core.Quantities.Maths;

namespace Wendrak.Core.Loads;

/// <summary>Both runs of a belt on the point of slipping.</summary>
/// <param name="TensionRatio">Of the two tensions less their centrifugal part.</param>
/// <param name="InitialTensionN">Half the sum of both, less the centrifugal part: what is set at rest.</param>
public sealed record FrictionLimit(
    double EffectiveFriction,
    double CentrifugalN,
    double TensionRatio,
    double SlackTensionN,
    double MaxPullN,
    double InitialTensionN,
    double PowerW
);

/// <summary>What friction can carry at a tension as set.</summary>
/// <param name="Margin">Greatest pull over the pull wanted.</param>
/// <param name="NeededTensionN">Installed tension at which that pull would just be carried.</param>
public sealed record SlipMargin(double MaxPullN, double Margin, double NeededTensionN);

/// <summary>Belts and ropes that pull by friction.</summary>
/// <remarks>
/// (T1 − m·v²)/(T2 − m·v²) = e^(f'·θ), f' = f for a flat belt and f/sin(β/2) in a groove of included angle β. Source:
/// Euler and Eytelwein; Shigley ch. 17. An effective coefficient taken from a table for V-belts, as Shigley's 0.5123, has the
/// groove in it already.
/// </remarks>
public static class BeltFriction
{
    private const string Euler = "Euler-Eytelwein, Shigley ch. 17";
    private const string Both = "The wheel that slips first; what going round adds lifts both runs and cancels.";
    private static readonly Quantity Pull = new("pull", "N");
    private static readonly Quantity AtSlip = new("ratio of both runs at which it slips", "");

    internal static readonly Formula<Func<double, double, double>> InRoundGroove = new(
        "Friction with the groove in it",
        "f_e",
        ("effective friction", ""),
        (f, c) => f * c,
        [("rubbing friction", ""), ("form of the groove, 4/π for a round one", "")],
        Euler,
        "Of a rope."
    );

    public static readonly Formula<Func<double, double, double>> InGroove = new(
        "Friction with the groove in it",
        "f_e",
        ("effective friction", ""),
        (f, β) => f / Sin(Rad(β) / 2),
        [("rubbing friction", ""), ("included groove angle", "°")],
        Euler,
        "An effective coefficient from a table of V-belts has the groove in it already."
    );

    internal static readonly Formula<Func<double, double, double>> LetsGo = new(
        "Ratio of both runs at which it slips",
        "E",
        AtSlip,
        (f_e, θ) => Exp(f_e * Rad(θ)),
        [("effective friction", ""), ("wrap it grips by", "°")],
        Euler,
        Both
    );

    internal static readonly Formula<Func<double, double, double, double>> SlipMargin = new(
        "Slip margin",
        "S",
        ("greatest pull over the pull wanted", ""),
        (T_i, E, F) => 2 * T_i * (E - 1) / ((E + 1) * F),
        [("installed tension", "N"), AtSlip, Pull],
        Euler,
        Both
    );

    internal static readonly Formula<Func<double, double, double>> NeededTension = new(
        "Installed tension at which it just holds",
        "T_i",
        ("of one run at rest", "N"),
        (E, F) => F * (E + 1) / (2 * (E - 1)),
        [AtSlip, Pull],
        Euler,
        Both
    );

    public static readonly Formula<Func<double, double, double>> BestSpeed = new(
        "Speed at which it carries most",
        "v",
        ("a third of T1 is centrifugal there", "m/s"),
        (T1, m) => Sqrt(T1 / (3 * m)),
        [("tight run at the hardest pull", "N"), ("all belts together", "kg/m")],
        "Shigley ch. 17",
        "What the pulleys' rims stand is another question: cast iron 30 to 35 m/s, common practice."
    );

    internal static readonly Formula<Func<double, double, double>> Creep = new(
        "Creep at the hardest pull",
        "s",
        ("what it lags behind", "%"),
        (F, F_1) => Percent(F / (100 * F_1)),
        [Pull, ("makes all belts together 1 % longer", "N")],
        "elastic creep: Johnson, Contact Mechanics ch. 8",
        "Slip comes on top once it is pulled over its margin."
    );

    public static readonly Formula<Func<double, double>> WrapFactor = new(
        "Wrap factor of V-belts",
        "K1",
        ("wrap factor", ""),
        θ => 0.143543 + 0.007468 * θ - 0.000015052 * Pow(θ, 2),
        [("wrap in degrees", "")],
        "the fit printed with Shigley Table 17-13",
        "V-belts on V pulleys."
    );

    public static readonly Formula<Func<double, double, double>> DesignPower = new(
        "Design power",
        "P_d",
        ("with the service factor", "kW"),
        (P, k) => P * k,
        [("power", "kW"), ("service factor", "")],
        "Shigley ch. 17",
        "A design factor of 1."
    );

    public static readonly Formula<Func<double, double, double, double>> PowerPerBelt = new(
        "Power of one belt here",
        "P_a",
        ("passed on by each", "kW"),
        (P_tab, K1, K2) => P_tab * K1 * K2,
        [("of one belt, by its maker", "kW"), ("wrap factor", ""), ("length factor", "")],
        "Shigley ch. 17",
        "The table is of half a turn of wrap and a length factor of 1."
    );

    public static readonly Formula<Func<double, double, double>> Needed = new(
        "Belts side by side",
        "z",
        ("needed", ""),
        (P_d, P_a) => Ceiling(P_d / P_a - 0.000000001),
        [("design power", "kW"), ("power of one belt here", "kW")],
        "Shigley ch. 17",
        "Whole belts."
    );

    /// <param name="wrapDeg">Of the wheel that slips first; more than a turn only for ropes.</param>
    /// <param name="tightTensionN">Greatest tension allowed in the belt.</param>
    /// <exception cref="InvalidInputException">A value is not physical, or going round alone takes the whole tension.</exception>
    public static FrictionLimit Limit(
        double effectiveFriction,
        double wrapDeg,
        double massKgPerM,
        double speedMS,
        double tightTensionN
    )
    {
        double centrifugal = massKgPerM * speedMS * speedMS;
        CheckRun(effectiveFriction, wrapDeg)
            .MoreThan(nameof(massKgPerM), massKgPerM, 0, "kg/m")
            .AtLeast(nameof(speedMS), speedMS, 0, "m/s")
            .MoreThan(nameof(tightTensionN), tightTensionN, centrifugal, "N")
            .ThrowIfAny();
        double ratio = RatioAtSlip(effectiveFriction, wrapDeg);
        double slack = (tightTensionN - centrifugal) / ratio + centrifugal;
        double pull = tightTensionN - slack;
        return new(
            effectiveFriction,
            centrifugal,
            ratio,
            slack,
            pull,
            (tightTensionN + slack) / 2 - centrifugal,
            pull * speedMS
        );
    }

    /// <summary>F = 2·T_i·(E − 1)/(E + 1): the centrifugal part lifts both runs and cancels.</summary>
    /// <exception cref="InvalidInputException">A value is not physical.</exception>
    public static Loads.SlipMargin Margin(
        double effectiveFriction,
        double wrapDeg,
        double installedTensionN,
        double pullN
    )
    {
        CheckRun(effectiveFriction, wrapDeg)
            .AtLeast(nameof(installedTensionN), installedTensionN, 0, "N")
            .MoreThan(nameof(pullN), pullN, 0, "N")
            .ThrowIfAny();
        double ratio = RatioAtSlip(effectiveFriction, wrapDeg);
        double margin = SlipMargin.Value(installedTensionN, ratio, pullN);
        return new(margin * pullN, margin, NeededTension.Value(ratio, pullN));
    }

    /// <summary>T1/T2 at which a belt lets go, less the centrifugal part of both: e^(f'·θ).</summary>
    internal static double RatioAtSlip(double effectiveFriction, double wrapDeg) =>
        LetsGo.Value(effectiveFriction, wrapDeg);

    private static Guard CheckRun(double effectiveFriction, double wrapDeg)
    {
        const double mostTurnsDeg = 10 * 360; // a rope several times round a drum
        return new Guard()
            .MoreThan(nameof(effectiveFriction), effectiveFriction, 0, "")
            .Between(nameof(wrapDeg), wrapDeg, 1, mostTurnsDeg, "°");
    }
}
