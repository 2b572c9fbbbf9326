using Wendrak.Core.Tests.Wear;

namespace Wendrak.Bench;

/// <summary>How often the interval of a wear forecast holds the true crossing, of 2 000 simulated chains for each count of readings.</summary>
internal static class WearFigures
{
    private const int Chains = 2_000;

    public static void Print()
    {
        foreach (int readings in new[] { 3, 5, 8, 12 })
            Console.WriteLine(
                FormattableString.Invariant(
                    $"{readings, 2} readings: held {100 * SimulatedChains.Coverage(readings, Chains, 1):0.0} %, median width {SimulatedChains.MedianWidth(readings, Chains, 1):0} km"
                )
            );
    }
}
