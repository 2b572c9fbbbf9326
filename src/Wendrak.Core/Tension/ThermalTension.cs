using Wendrak.Core.Quantities;

namespace Wendrak.Core.Tension;

/// <summary>What holds two shafts apart.</summary>
public enum CaseMetal
{
    Aluminium,
    Steel,
}

/// <summary>A belt on fixed centres that gets warm.</summary>
/// <param name="BeltExpansionPerK">Next to none for aramid cord; 0 where nobody said.</param>
/// <param name="AxialStiffnessN">E·A of the belt.</param>
/// <param name="CentreMm">Distance of the shafts when cold, mm.</param>
/// <param name="HotC">As warm as it gets, °C.</param>
/// <param name="ColdC">As it was set, °C.</param>
/// <param name="CosRun">Cosine of the angle between runs and the line of the shafts.</param>
/// <param name="BeltLengthMm">Once round, mm.</param>
public sealed record ThermalTensionInput(
    CaseMetal Case,
    double CentreMm,
    double HotC,
    double ColdC,
    double CosRun,
    double BeltLengthMm,
    double AxialStiffnessN,
    double? BeltExpansionPerK = null
);

/// <summary>What warmth does to the tension.</summary>
/// <param name="CentreGrowthMm">Of the case between both shafts.</param>
/// <param name="NetStretchMm">What the loop is asked for beyond its own growth.</param>
/// <param name="TensionRiseN">What that adds to each run, N.</param>
public sealed record ThermalTensionResult(
    double CentreGrowthMm,
    double NetStretchMm,
    double TensionRiseN,
    IReadOnlyList<Working> Workings
);

/// <summary>What warmth does to a belt on fixed centres. Source: linear expansion.</summary>
public static class ThermalTension
{
    private const double AluminiumPerK = 23e-6;
    private const double SteelPerK = 12e-6;

    /// <exception cref="InvalidInputException">A value is not physical.</exception>
    public static ThermalTensionResult Compute(ThermalTensionInput input)
    {
        new Guard()
            .OneOf(nameof(input.Case), input.Case)
            .Between(nameof(input.CentreMm), input.CentreMm, 5, 20_000, "mm")
            .Between(nameof(input.HotC), input.HotC, -50, 300, "°C")
            .Between(nameof(input.ColdC), input.ColdC, -50, 300, "°C")
            .Between(nameof(input.CosRun), input.CosRun, 0.1, 1, "")
            .Between(nameof(input.BeltLengthMm), input.BeltLengthMm, 10, 100_000, "mm")
            .BetweenIfGiven(nameof(input.BeltExpansionPerK), input.BeltExpansionPerK, 0, 1e-3, "1/K")
            .Between(nameof(input.AxialStiffnessN), input.AxialStiffnessN, 1, 1e8, "N")
            .ThrowIfAny();
        double perK = input.Case == CaseMetal.Aluminium ? AluminiumPerK : SteelPerK;
        double warmer = input.HotC - input.ColdC;
        Given belt = new(input.BeltExpansionPerK ?? 0, IsUsual: input.BeltExpansionPerK is null);
        Explained growth = Growth.With(perK, input.CentreMm, warmer);
        Explained net = NetStretch.With(input.CosRun, growth.Value, belt, input.BeltLengthMm, warmer);
        Explained rise = Rise.With(input.AxialStiffnessN, net.Value, input.BeltLengthMm);
        return new(growth.Value, net.Value, rise.Value, [rise.Working, net.Working, growth.Working]);
    }

    private const string Expansion = "linear expansion";
    private const string SameWarmth =
        "Case and belt at the same temperature. Verify hot: it must never become tight there.";

    private static readonly Formula<Func<double, double, double, double>> Growth = new(
        "Growth of the centre distance",
        "ΔC",
        ("of the case between both shafts", "mm"),
        (a, C, ΔK) => a * C * ΔK,
        [("expansion of the case", "1/K"), ("centre distance", "mm"), ("warmer by", "K")],
        Expansion,
        SameWarmth
    );

    private static readonly Formula<Func<double, double, double, double, double, double>> NetStretch = new(
        "What the belt is asked for beyond its own growth",
        "ΔL",
        ("longer path less longer belt", "mm"),
        (c, ΔC, a_b, L, ΔK) => 2 * c * ΔC - a_b * L * ΔK,
        [
            ("cosine of the lean of the runs", ""),
            ("growth of the centre distance", "mm"),
            ("expansion of the belt", "1/K"),
            ("belt", "mm"),
            ("warmer by", "K"),
        ],
        Expansion,
        SameWarmth
    );

    private static readonly Formula<Func<double, double, double, double>> Rise = new(
        "What warmth adds",
        "ΔT",
        ("on each run", "N"),
        (EA, ΔL, L) => EA * ΔL / L,
        [("stiffness of the belt, E·A", "N"), ("stretch", "mm"), ("belt", "mm")],
        "Hooke's law on linear expansion",
        SameWarmth
    );
}
