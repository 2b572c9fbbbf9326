using Wendrak.Core.Quantities;

namespace Wendrak.Core.Tension;

/// <param name="CentreGrowthMm">Of the case between both shafts.</param>
/// <param name="NetStretchMm">What the loop is asked for beyond its own growth.</param>
public sealed record ThermalTensionResult(double CentreGrowthMm, double NetStretchMm, double TensionRiseN);

/// <summary>What warmth does to a belt on fixed centres. Source: linear expansion.</summary>
public static class ThermalTension
{
    public const double AluminiumPerK = 23e-6;
    public const double SteelPerK = 12e-6;

    /// <param name="expansionPerK">Of what holds the shafts apart.</param>
    /// <param name="beltExpansionPerK">Next to none for aramid cord.</param>
    /// <param name="axialStiffnessN">E·A of the belt.</param>
    /// <exception cref="InvalidInputException">A value is not physical.</exception>
    public static ThermalTensionResult Of(
        double expansionPerK,
        double centreMm,
        double hotC,
        double coldC,
        double cosRun,
        double beltLengthMm,
        double beltExpansionPerK,
        double axialStiffnessN
    )
    {
        new Guard()
            .Between(nameof(expansionPerK), expansionPerK, 0, 1e-3, "1/K")
            .Between(nameof(centreMm), centreMm, 5, 20_000, "mm")
            .Between(nameof(hotC), hotC, -50, 300, "°C")
            .Between(nameof(coldC), coldC, -50, 300, "°C")
            .Between(nameof(cosRun), cosRun, 0.1, 1, "")
            .Between(nameof(beltLengthMm), beltLengthMm, 10, 100_000, "mm")
            .Between(nameof(beltExpansionPerK), beltExpansionPerK, 0, 1e-3, "1/K")
            .Between(nameof(axialStiffnessN), axialStiffnessN, 1, 1e8, "N")
            .ThrowIfAny();
        double growth = expansionPerK * centreMm * (hotC - coldC);
        double net = 2 * cosRun * growth - beltExpansionPerK * beltLengthMm * (hotC - coldC);
        return new(growth, net, axialStiffnessN * net / beltLengthMm);
    }
}
