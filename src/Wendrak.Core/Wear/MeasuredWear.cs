using Wendrak.Core.Quantities;
using static System.Math;

namespace Wendrak.Core.Wear;

/// <summary>Wear that is measured by hand in whatever unit: growing to its limit, or, as a width, falling to it.</summary>
public static class MeasuredWear
{
    // The way from the first reading to the limit, as wear in percent: the line takes any scale.
    private const double WholePercent = 5;

    /// <summary>When it will be at its limit; distances are those of the readings.</summary>
    /// <param name="readings">Distance, km, and value, by their distance.</param>
    /// <param name="limit">In the unit of the values.</param>
    /// <returns>Null where the first reading is at the limit already, where all are at one distance, and where one lies far off the way.</returns>
    public static WearForecast? Forecast(IReadOnlyList<(double Km, double Value)> readings, double limit)
    {
        if (
            readings.Count == 0
            || readings[0].Value == limit
            || (readings.Count > 1 && readings[0].Km == readings[^1].Km)
        )
            return null;
        double first = readings[0].Value;
        try
        {
            WearForecast scaled = GrowthForecast.From(
                [.. readings.Select(r => new WearReading(r.Km, WholePercent * (r.Value - first) / (limit - first)))],
                WholePercent
            );
            double unit = (limit - first) / WholePercent;
            return scaled with
            {
                SlopePercent = scaled.SlopePercent * unit,
                InterceptPercent = scaled.InterceptPercent is double a ? first + a * unit : null,
                ResidualPercent = scaled.ResidualPercent * Abs(unit),
            };
        }
        catch (InvalidInputException)
        {
            return null;
        }
    }

    /// <summary>Whether a value is at the limit, coming from the first reading.</summary>
    public static bool IsAtLimit(double first, double value, double limit) =>
        first <= limit ? value >= limit : value <= limit;
}
