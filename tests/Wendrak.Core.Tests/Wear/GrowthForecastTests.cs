using Wendrak.Core.Wear;

namespace Wendrak.Core.Tests.Wear;

/// <summary>
/// Least squares and the interval of its crossing with a limit: check k4 of the engineering reference, a worked line of a handbook,
/// and simulated chains whose truth is known.
/// </summary>
public sealed class GrowthForecastTests
{
    private static readonly WearReading[] K4 =
    [
        new(0, 0.05),
        new(2_000, 0.16),
        new(4_000, 0.25),
        new(6_000, 0.37),
        new(8_000, 0.46),
    ];

    [Fact]
    public void Line_limit_and_band_are_those_of_the_reference()
    {
        WearForecast forecast = GrowthForecast.From(K4, 1, level: 0.95);
        Assert.Equal(0.0515, forecast.SlopePercent!.Value, 6);
        Assert.Equal(0.052, forecast.InterceptPercent!.Value, 6);
        Assert.Equal(0.00795822, forecast.ResidualPercent!.Value, 8);
        Assert.Equal(18_407.8, forecast.Reached!.Value, 0.1);
        // Where the upper band of one further reading meets the limit.
        Assert.Equal(17_245.5, forecast.OneReading!.Low, 0.1);
    }

    /// <summary>Fieller’s ends are where the bands of the line meet the limit, put in and worked out the long way.</summary>
    [Theory]
    [InlineData(false)]
    [InlineData(true)]
    public void Each_end_is_where_a_band_meets_the_limit(bool ofOneReading)
    {
        const double t = 2.353363; // Student, 3 degrees, 0.95 one way: table of any handbook of statistics
        WearForecast forecast = GrowthForecast.From(K4, 1);
        OpenInterval ends = ofOneReading ? forecast.OneReading! : forecast.MeanLine!;
        double Band(double x) =>
            t
            * forecast.ResidualPercent!.Value
            * Math.Sqrt((ofOneReading ? 1 : 0) + 0.2 + Math.Pow(x - 4_000, 2) / 4e7);
        double Mean(double x) => 0.052 + 0.0515e-3 * x;
        Assert.Equal(1, Mean(ends.Low) + Band(ends.Low), 5);
        Assert.Equal(1, Mean(ends.High!.Value) - Band(ends.High.Value), 5);
        Assert.InRange(forecast.Reached!.Value, ends.Low, ends.High.Value);
    }

    [Fact]
    public void One_further_reading_is_less_sure_than_the_line_and_more_level_is_wider()
    {
        WearForecast forecast = GrowthForecast.From(K4, 1);
        Assert.True(forecast.OneReading!.Low < forecast.MeanLine!.Low);
        Assert.True(forecast.OneReading.High > forecast.MeanLine.High);
        Assert.True(GrowthForecast.From(K4, 1, 0.99).MeanLine!.Low < forecast.MeanLine.Low);
    }

    [Fact]
    public void Readings_on_a_line_leave_no_doubt()
    {
        WearForecast forecast = GrowthForecast.From([new(0, 0), new(1_000, 0.1), new(3_000, 0.3)], 1);
        Assert.Equal(10_000, forecast.MeanLine!.Low, 3);
        Assert.Equal(10_000, forecast.MeanLine.High!.Value, 3);
        Assert.Equal((WearTrend.Rising, 0), (forecast.Trend, forecast.OffLine.Count));
    }

    [Fact]
    public void Where_it_may_never_be_reached_the_far_end_is_open()
    {
        WearForecast forecast = GrowthForecast.From(
            [new(0, 0.1), new(1_000, 0.3), new(2_000, 0.15), new(3_000, 0.3)],
            1
        );
        Assert.Equal(WearTrend.Rising, forecast.Trend);
        Assert.Null(forecast.MeanLine!.High);
        Assert.Null(forecast.OneReading!.High);
        Assert.InRange(forecast.MeanLine.Low, 3_000, forecast.Reached!.Value);
    }

    [Fact]
    public void Too_few_and_no_trend_are_said()
    {
        Assert.Equal(WearTrend.TooFew, GrowthForecast.From([new(100, 0.1)], 1).Trend);
        Assert.Equal(WearTrend.TooFew, GrowthForecast.From(K4[..2], 1).Trend);
        WearForecast none = GrowthForecast.From([new(0, 0.3), new(1_000, 0.2), new(2_000, 0.2)], 1);
        Assert.Equal(WearTrend.None, none.Trend);
        Assert.Null(none.Reached);
        Assert.True(none.SlopePercent < 0);
    }

    [Fact]
    public void A_reading_that_does_not_fit_is_named_and_still_counts()
    {
        WearReading[] odd =
        [
            .. Enumerable.Range(0, 8).Select(i => new WearReading(1_000 * i, 0.05 * i + 0.001 * (i % 3))),
        ];
        Assert.Empty(GrowthForecast.From(odd, 1).OffLine);
        odd[4] = odd[4] with { Percent = 0.6 };
        WearForecast forecast = GrowthForecast.From(odd, 1);
        Assert.Equal([4], forecast.OffLine);
        Assert.NotEqual(GrowthForecast.From([.. odd.Where((_, i) => i != 4)], 1).Reached, forecast.Reached);
    }

    [Fact]
    public void What_is_no_record_of_one_part_is_refused_at_its_field()
    {
        Refusals.Names("readings", () => GrowthForecast.From([], 1));
        Refusals.Names("readings", () => GrowthForecast.From([new(500, 0.1), new(500, 0.2)], 1));
        Refusals.Names("readings[1].At", () => GrowthForecast.From([new(500, 0.1), new(400, 0.2)], 1));
        Refusals.Names("readings[0].Percent", () => GrowthForecast.From([new(0, 6.1), new(400, 0.2)], 1));
        Refusals.Names("readings[1].Percent", () => GrowthForecast.From([new(0, 0), new(400, -0.6)], 1));
        Refusals.Names("limitPercent", () => GrowthForecast.From(K4, 0));
        Refusals.Names("level", () => GrowthForecast.From(K4, 1, 1));
    }

    /// <summary>
    /// The interval holds the true crossing in 90 of 100 simulated chains, give or take what 400 of them leave to chance (three
    /// standard deviations); the benchmark asks 2 000 of each.
    /// </summary>
    [Theory]
    [InlineData(3)]
    [InlineData(5)]
    [InlineData(8)]
    [InlineData(12)]
    public void Its_interval_holds_the_truth_as_often_as_it_says(int readings) =>
        Assert.InRange(SimulatedChains.Coverage(readings, 400, seed: 17), 0.855, 0.945);

    [Fact]
    public void Three_readings_say_how_little_they_know()
    {
        (double few, double many) = (SimulatedChains.MedianWidth(3, 200, 5), SimulatedChains.MedianWidth(12, 200, 5));
        Assert.True(few > 4 * many, $"{few} {many}");
    }
}
