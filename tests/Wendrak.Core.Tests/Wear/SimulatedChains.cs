using Wendrak.Core.Wear;

namespace Wendrak.Core.Tests.Wear;

/// <summary>Chains that grow along a known line and are measured with a known error.</summary>
public static class SimulatedChains
{
    private const double LimitPercent = 1;

    /// <summary>Part of the chains whose interval of the mean line holds the true crossing.</summary>
    public static double Coverage(int readings, int chains, int seed)
    {
        Random random = new(seed);
        int held = 0;
        int told = 0;
        for (int i = 0; i < chains; i++)
        {
            (WearReading[] record, double truth) = Draw(random, readings);
            if (GrowthForecast.From(record, LimitPercent).MeanLine is not { } interval)
                continue;
            told++;
            if (truth >= interval.Low && !(truth > interval.High))
                held++;
        }
        return (double)held / told;
    }

    /// <summary>Of the intervals, km; one that is open counts as the widest.</summary>
    public static double MedianWidth(int readings, int chains, int seed)
    {
        Random random = new(seed);
        double[] widths =
        [
            .. Enumerable
                .Range(0, chains)
                .Select(_ => GrowthForecast.From(Draw(random, readings).Record, LimitPercent).MeanLine)
                .Select(i => i?.High - i?.Low ?? double.PositiveInfinity)
                .Order(),
        ];
        return widths[chains / 2];
    }

    /// <summary>A chain of 12 000 to 30 000 km, measured every thousand and a half with an error of 0.02 %.</summary>
    private static (WearReading[] Record, double Truth) Draw(Random random, int readings)
    {
        double life = 12_000 + 18_000 * random.NextDouble();
        double beddedIn = 0.08 * random.NextDouble();
        double slope = (LimitPercent - beddedIn) / life;
        WearReading[] record =
        [
            .. Enumerable
                .Range(0, readings)
                .Select(i => 500 + 1_500.0 * i + 300 * random.NextDouble())
                .Select(km => new WearReading(
                    km,
                    beddedIn + slope * km + MathNet.Numerics.Distributions.Normal.Sample(random, 0, 0.02)
                )),
        ];
        return (record, life);
    }
}
