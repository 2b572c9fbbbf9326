using MathNet.Numerics.Distributions;
using Wendrak.Core.Quantities;
using static System.Math;

namespace Wendrak.Core.Wear;

/// <summary>Growth, or another wear that adds up, as it was found once.</summary>
/// <param name="At">Distance or hours since the part was new, km or h.</param>
/// <param name="Percent">Of wear, %.</param>
public sealed record WearReading(double At, double Percent);

/// <summary>What a record of wear can say.</summary>
public enum WearTrend
{
    /// <summary>Fewer than three readings tell no line and how sure it is.</summary>
    TooFew,

    /// <summary>All are at one distance: nothing has worn between them.</summary>
    OneDistance,

    /// <summary>The line does not rise.</summary>
    None,

    Rising,
}

/// <summary>Where something may be, in km or h.</summary>
/// <param name="Low">At the earliest.</param>
/// <param name="High">Null where the record can’t say how late.</param>
public sealed record OpenInterval(double Low, double? High);

/// <summary>When a part will have worn to its limit.</summary>
/// <param name="SlopePercent">Wear for each thousand km or h, %.</param>
/// <param name="InterceptPercent">Of the line where the part was new, %.</param>
/// <param name="ResidualPercent">How far readings lie off the line, standard deviation, %; null with fewer than three.</param>
/// <param name="Reached">Where the line meets the limit.</param>
/// <param name="MeanLine">Where the true line meets it, at the level asked for (Fieller).</param>
/// <param name="OneReading">Where a single further reading may show it: wider, and what an alarm goes by.</param>
/// <param name="OffLine">Places in the list of readings that lie further off than chance has it; shown, never left out.</param>
public sealed record WearForecast(
    WearTrend Trend,
    double? SlopePercent,
    double? InterceptPercent,
    double? ResidualPercent,
    double? Reached,
    OpenInterval? MeanLine,
    OpenInterval? OneReading,
    IReadOnlyList<int> OffLine
);

/// <summary>Least squares on the wear of one part, and the interval of its crossing with a limit.</summary>
/// <remarks>
/// Source: Draper and Smith, Applied Regression Analysis (line, prediction interval, Fieller’s interval of x for a given y). One
/// use of the part: where the use changed, the record is to be split before.
/// </remarks>
public static class GrowthForecast
{
    public const double UsualLevel = 0.9;
    private const int Fewest = 3;

    /// <summary>More than one a day for two hundred years: judgement, to catch a list that is no record.</summary>
    private const int MostReadings = 100_000;

    // Of studentized residuals: one in a hundred lies further off by chance.
    private const double OffLineLevel = 0.99;

    /// <param name="limitPercent">Wear at which the part is replaced, %.</param>
    /// <param name="level">Part of the records whose interval is to hold the truth.</param>
    /// <exception cref="InvalidInputException">Readings that can’t be wear of one part, or all at one distance.</exception>
    public static WearForecast From(IReadOnlyList<WearReading> readings, double limitPercent, double level = UsualLevel)
    {
        Check(readings, limitPercent, level);
        if (readings.Count < Fewest)
            return new(WearTrend.TooFew, null, null, null, null, null, null, []);
        Line line = Line.Through(readings);
        int[] off = [.. line.OffBy(readings, OffLineLevel)];
        double perThousand = 1_000 * line.Slope;
        if (line.Slope <= 0)
            return new(WearTrend.None, perThousand, line.Intercept, line.Sd, null, null, null, off);
        return new(
            WearTrend.Rising,
            perThousand,
            line.Intercept,
            line.Sd,
            (limitPercent - line.Intercept) / line.Slope,
            line.Crossing(limitPercent, level, ofOneReading: false),
            line.Crossing(limitPercent, level, ofOneReading: true),
            off
        );
    }

    private static void Check(IReadOnlyList<WearReading> readings, double limitPercent, double level)
    {
        Guard guard = new Guard()
            .Between(nameof(limitPercent), limitPercent, 0.05, 50, "%")
            .Between(nameof(level), level, 0.5, 0.99, "")
            .Between(nameof(readings), readings.Count, 1, MostReadings, "");
        for (int i = 0; i < readings.Count; i++)
        {
            string at = FormattableString.Invariant($"{nameof(readings)}[{i}].");
            guard
                .Between(
                    $"{at}{nameof(WearReading.At)}",
                    readings[i].At,
                    i == 0 ? 0 : readings[i - 1].At,
                    10_000_000,
                    ""
                )
                .Between(
                    $"{at}{nameof(WearReading.Percent)}",
                    readings[i].Percent,
                    ChainGrowth.LeastPercent,
                    ChainGrowth.MostPercent,
                    "%"
                );
        }
        guard
            .That(
                readings.Count < 2 || readings[0].At < readings[^1].At,
                nameof(readings),
                "one_distance",
                "All are at one distance: measure again after the part has run."
            )
            .ThrowIfAny();
    }

    /// <summary>y = a + b·x, and how sure it is.</summary>
    private sealed record Line(int Count, double MeanX, double MeanY, double Sxx, double Slope, double Sd)
    {
        public double Intercept => MeanY - Slope * MeanX;

        public static Line Through(IReadOnlyList<WearReading> readings)
        {
            double meanX = readings.Average(r => r.At);
            double meanY = readings.Average(r => r.Percent);
            double sxx = readings.Sum(r => Pow(r.At - meanX, 2));
            double slope = readings.Sum(r => (r.At - meanX) * (r.Percent - meanY)) / sxx;
            double left = readings.Sum(r => Pow(r.Percent - meanY - slope * (r.At - meanX), 2));
            return new(readings.Count, meanX, meanY, sxx, slope, Sqrt(left / (readings.Count - 2)));
        }

        /// <summary>x at which the line, or one reading more, may have the value: roots of Fieller’s quadratic.</summary>
        public OpenInterval Crossing(double value, double level, bool ofOneReading)
        {
            double reach = Quantile(level, Count - 2) * Sd;
            double below = value - MeanY;
            double square = Slope * Slope - reach * reach / Sxx;
            double constant = below * below - reach * reach * ((ofOneReading ? 1 : 0) + 1.0 / Count);
            // Both roots of square·d² − 2·b·below·d + constant = 0 in a form that loses no digits.
            double root = Sqrt(Max(0, Pow(Slope * below, 2) - square * constant));
            double sum = Slope * below + CopySign(root, Slope * below);
            (double one, double other) = (constant / sum, sum / square);
            // A slope that may be none at this level: never is not out of the question.
            return square <= 0
                ? new(MeanX + Max(one, other), null)
                : new(MeanX + Min(one, other), MeanX + Max(one, other));
        }

        public IEnumerable<int> OffBy(IReadOnlyList<WearReading> readings, double level)
        {
            if (Count <= Fewest || Sd == 0)
                yield break;
            double most = Quantile(level, Count - Fewest);
            for (int i = 0; i < Count; i++)
            {
                double fromMean = readings[i].At - MeanX;
                double share = 1 - 1.0 / Count - fromMean * fromMean / Sxx;
                if (share <= 1e-9)
                    continue;
                double off = (readings[i].Percent - MeanY - Slope * fromMean) / (Sd * Sqrt(share));
                // Studentized without the reading itself, so that it does not hide behind the spread it makes.
                double left = Count - 2 - off * off;
                if (left <= 0 || Abs(off) * Sqrt((Count - Fewest) / left) > most)
                    yield return i;
            }
        }

        private static double Quantile(double level, int degrees) => StudentT.InvCDF(0, 1, degrees, (1 + level) / 2);
    }
}
