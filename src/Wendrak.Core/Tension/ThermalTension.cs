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

/// <param name="CentreGrowthMm">Of the case between both shafts.</param>
/// <param name="NetStretchMm">What the loop is asked for beyond its own growth.</param>
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
    public static ThermalTensionResult Of(ThermalTensionInput input)
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
        double beltPerK = input.BeltExpansionPerK ?? 0;
        double growth = perK * input.CentreMm * warmer;
        double net = 2 * input.CosRun * growth - beltPerK * input.BeltLengthMm * warmer;
        double rise = input.AxialStiffnessN * net / input.BeltLengthMm;
        return new(
            growth,
            net,
            rise,
            [
                new(
                    "What warmth adds",
                    "ΔT = E·A·(2·cos α·a·C·ΔK − a_b·L·ΔK)/L",
                    [
                        new("E·A", "of the belt", input.AxialStiffnessN, "N"),
                        new("cos α", "of the runs", input.CosRun, ""),
                        new("a", "of the case", perK, "1/K"),
                        new("C", "centre distance", input.CentreMm, "mm"),
                        new("ΔK", "warmer by", warmer, "K"),
                        new("a_b", "of the belt", beltPerK, "1/K", input.BeltExpansionPerK is null),
                        new("L", "belt", input.BeltLengthMm, "mm"),
                    ],
                    new("ΔT", "on each run", rise, "N"),
                    "linear expansion",
                    "Case and belt at the same temperature. Verify hot: it must never become tight there."
                ),
            ]
        );
    }
}
