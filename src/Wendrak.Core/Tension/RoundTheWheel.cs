using Wendrak.Core.Quantities;

namespace Wendrak.Core.Tension;

/// <summary>Readings at several positions of a wheel.</summary>
/// <param name="Amplitude">Of the part that goes round once a turn, in the unit of the readings; null for fewer than four.</param>
/// <param name="PhaseDeg">Where that part is highest, from the first position.</param>
/// <param name="LowestAt">Position of the lowest, counted from 0.</param>
public sealed record RoundTheWheelResult(
    double Mean,
    double Lowest,
    double Highest,
    double Spread,
    int LowestAt,
    int HighestAt,
    double? Amplitude,
    double? PhaseDeg
);

/// <summary>What readings at equal steps of a wheel tell. Source: discrete Fourier sum.</summary>
public static class RoundTheWheel
{
    private const int MostPositions = 36;
    internal const int FewestForHarmonic = 4;

    /// <exception cref="InvalidInputException">None, too many, or one that is no number.</exception>
    public static RoundTheWheelResult Analyze(IReadOnlyList<double> readings)
    {
        Guard guard = new Guard().Count(nameof(readings), readings.Count, 1, MostPositions, "readings");
        for (int i = 0; i < readings.Count; i++)
            guard.Between($"{nameof(readings)}[{i}]", readings[i], 0, 1e6, "");
        guard.ThrowIfAny();
        int low = 0;
        int high = 0;
        (double a, double b) = (0, 0);
        for (int k = 0; k < readings.Count; k++)
        {
            if (readings[k] < readings[low])
                low = k;
            if (readings[k] > readings[high])
                high = k;
            double angle = 2 * Math.PI * k / readings.Count;
            a += 2.0 / readings.Count * readings[k] * Math.Cos(angle);
            b += 2.0 / readings.Count * readings[k] * Math.Sin(angle);
        }
        bool isEnough = readings.Count >= FewestForHarmonic;
        double phase = Math.Atan2(b, a) * 180 / Math.PI;
        return new(
            readings.Average(),
            readings[low],
            readings[high],
            readings[high] - readings[low],
            low,
            high,
            isEnough ? Math.Sqrt(a * a + b * b) : null,
            isEnough ? (phase + 360) % 360 : null
        );
    }
}
