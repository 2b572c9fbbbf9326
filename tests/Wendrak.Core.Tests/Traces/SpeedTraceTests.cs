using System.Globalization;
using Wendrak.Core.Traces;
using static Wendrak.Core.Tests.Traces.TraceFiles;

namespace Wendrak.Core.Tests.Traces;

/// <summary>Times between two speeds, from traces whose speeds are known: a constant pull of a km/h each tenth of a second.</summary>
public sealed class SpeedTraceTests
{
    private static double Pull(double t) => t < 2 ? 40 : Math.Min(120, 40 + (t - 2) * 10);

    private static double UpAndDown(double t) => t < 10 ? 10 * t : Math.Max(0, 100 - 8 * (t - 10));

    [Theory]
    [InlineData(true, 1e-3)]
    [InlineData(false, 1e-2)]
    public void A_steady_pull_takes_its_time_by_speeds_or_by_places(bool hasSpeed, double within)
    {
        SpeedTrace trace = Read(Gpx(Pull, 12, hasSpeed), 60, 100);
        FoundRun run = Assert.Single(trace.Runs);
        Assert.Equal((4, 4, 8), (run.Seconds, run.FromS, run.ToS), Within(within));
        Assert.Equal(!hasSpeed, trace.AreFromPlaces);
        Assert.InRange(trace.NoiseKmh!.Value, 0, 0.1);
        Assert.Equal(12, trace.DurationS, 3);
        Assert.Equal(new DateOnly(2026, 5, 2), trace.On);
    }

    private static IEqualityComparer<(double, double, double)> Within(double near) =>
        EqualityComparer<(double, double, double)>.Create(
            (a, b) =>
                Math.Abs(a.Item1 - b.Item1) < near
                && Math.Abs(a.Item2 - b.Item2) < near
                && Math.Abs(a.Item3 - b.Item3) < near
        );

    [Fact]
    public void From_rest_it_is_timed_from_the_first_movement()
    {
        SpeedTrace trace = Read(Gpx(t => t < 5 ? 0 : 10 * (t - 5), 15, true), 0, 60);
        Assert.Equal(5.8, Assert.Single(trace.Runs).Seconds, 2);
        Assert.Equal(RunFinder_MovesFrom, trace.MovesFromKmh);
        Assert.Null(Read(Gpx(Pull, 12, true), 60, 100).MovesFromKmh);
    }

    private const double RunFinder_MovesFrom = 2;

    [Fact]
    public void Running_out_goes_from_the_higher_speed_down()
    {
        FoundRun run = Assert.Single(Read(Gpx(UpAndDown, 25, true), 80, 40).Runs);
        Assert.Equal(5, run.Seconds, 2);
    }

    [Fact]
    public void The_last_passing_of_the_first_speed_counts_and_every_run_is_found()
    {
        // 60 is passed, lost and passed again before 80 is reached; then all of it once more.
        double[] corners = [50, 65, 55, 85, 50, 85];
        double At(double t) =>
            t >= 50
                ? 85
                : corners[(int)(t / 10)] + (corners[(int)(t / 10) + 1] - corners[(int)(t / 10)]) * (t % 10 / 10);
        IReadOnlyList<FoundRun> runs = Read(Gpx(At, 50, true), 60, 80).Runs;
        Assert.Equal(2, runs.Count);
        Assert.Equal(20 / 3.0, runs[0].Seconds, 2);
        Assert.Equal(20 / 3.5, runs[1].Seconds, 2);
    }

    [Fact]
    public void Only_the_part_that_was_chosen_counts()
    {
        string text = Gpx(t => UpAndDown(t % 25), 50, true);
        Assert.Equal(2, Read(text, 40, 80).Runs.Count);
        FoundRun second = Assert.Single(Read(text, 40, 80, q => q with { FirstS = 25, LastS = 40 }).Runs);
        Assert.Equal(29, second.FromS, 1);
    }

    [Fact]
    public void Places_that_wander_are_told_as_noise_and_as_error_of_the_time()
    {
        Random random = new(7);
        SpeedTrace trace = Read(Gpx(Pull, 12, false, 0.1, _ => 0.3 * (random.NextDouble() - 0.5)), 60, 100);
        // 0.3 m over all of its width is 0.087 m of spread; √2 of that over two seconds.
        double speed = 0.0866 * Math.Sqrt(2) / 2 * 3.6;
        Assert.InRange(trace.NoiseKmh!.Value, 0.7 * speed, 1.4 * speed);
        FoundRun run = Assert.Single(trace.Runs);
        Assert.Equal(trace.NoiseKmh.Value * Math.Sqrt(2) / 10, run.ErrorS!.Value, 0.01);
        Assert.InRange(run.Seconds, 3.9, 4.1);
    }

    private static string WithRpm(Func<double, double> rpmAt) =>
        Table(
            "Time (s);Speed km/h;Engine rpm",
            Enumerable
                .Range(0, 120)
                .Select(i => i / 10.0)
                .Select(t => string.Create(CultureInfo.InvariantCulture, $"{t};{Pull(t)};{rpmAt(t)}"))
        );

    // A road speed of 1 km/h turns the motor so fast in each gear.
    private static readonly double[] Gears = [120, 80, 60];

    [Theory]
    [InlineData(60, 3)]
    [InlineData(63.7, 3)]
    [InlineData(64, null)]
    [InlineData(80, 2)]
    [InlineData(69, null)]
    public void The_gear_is_known_by_the_speed_of_the_motor(double rpmAtOneKmh, int? gear)
    {
        FoundRun run = Assert.Single(Read(WithRpm(t => Pull(t) * rpmAtOneKmh), 60, 100, gears: Gears).Runs);
        Assert.Equal(gear, run.Gear);
        Assert.Equal([1, 2, 3], run.PossibleGears);
    }

    [Fact]
    public void A_run_over_a_shift_is_in_no_one_gear_and_without_a_motor_speed_what_may_be_is_told()
    {
        Assert.Null(Assert.Single(Read(WithRpm(t => Pull(t) * (t < 6 ? 80 : 60)), 60, 100, gears: Gears).Runs).Gear);
        FoundRun plain = Assert.Single(Read(Gpx(Pull, 12, true), 80, 100, gears: Gears).Runs);
        Assert.Equal((null, 2), (plain.Gear, plain.PossibleGears.Count));
        Assert.Empty(Assert.Single(Read(Gpx(Pull, 12, true), 80, 100).Runs).PossibleGears);
    }

    [Fact]
    public void A_long_trace_is_drawn_in_few_strokes_and_no_peak_is_lost()
    {
        SpeedTrace trace = Read(
            Table("t,speed", Enumerable.Range(0, 20_000).Select(i => $"{i},{(i == 12_345 ? 99 : 50)}")),
            60,
            80
        );
        Assert.InRange(trace.Strokes.Count, 400, 800);
        Assert.Equal(99, trace.Strokes.Max(s => s.HighKmh));
        Assert.Equal(50, trace.Strokes.Min(s => s.LowKmh));
        Assert.Equal((0, 19_999), (trace.Strokes[0].FromS, trace.Strokes[^1].ToS));
        Assert.All(trace.Strokes.Zip(trace.Strokes.Skip(1)), p => Assert.True(p.First.ToS < p.Second.FromS));
    }

    [Fact]
    public void Where_nobody_said_which_speeds_they_go_by_the_highest()
    {
        using MemoryStream file = new(System.Text.Encoding.UTF8.GetBytes(Gpx(Pull, 12, true)));
        SpeedTrace trace = SpeedTrace.Read(file, new(), [], (0, 1));
        Assert.Equal((50, 95), (trace.FromKmh, trace.ToKmh));
        Assert.Equal(4.5, Assert.Single(trace.Runs).Seconds, 2);
        file.Position = 0;
        Assert.Equal(
            (95, 90),
            (SpeedTrace.Read(file, new(95, 90), [], (0, 1)) is var t ? (t.FromKmh, t.ToKmh) : default)
        );
        file.Position = 0;
        SpeedTrace miles = SpeedTrace.Read(file, new(RoundKmh: 8.04672), [], (0, 1));
        Assert.Equal((30, 60), (Math.Round(miles.FromKmh / 1.609344, 9), Math.Round(miles.ToKmh / 1.609344, 9)));
        using MemoryStream slow = new("t,speed\n0,1\n1,2\n2,3\n"u8.ToArray());
        SpeedTrace still = SpeedTrace.Read(slow, new(), [], (0, 1));
        Assert.Equal((0, 5), (still.FromKmh, still.ToKmh));
    }

    [Fact]
    public void What_can_t_be_asked_is_refused_at_its_field()
    {
        string text = Gpx(Pull, 3, true);
        Refusals.Names("FromKmh", () => Read(text, -1, 60));
        Refusals.Names("ToKmh", () => Read(text, 60, 60));
        Refusals.Names("ToKmh", () => Read(text, 60, 0));
        Refusals.Names("ToKmh", () => Read(text, 60, 501));
        Refusals.Names("RoundKmh", () => Read(text, 60, 80, q => q with { RoundKmh = 0.5 }));
        Refusals.Names("FirstS", () => Read(text, 60, 80, q => q with { FirstS = -1 }));
        Refusals.Names("LastS", () => Read(text, 60, 80, q => q with { FirstS = 5, LastS = 4 }));
        Refusals.Names("file", () => Read("", 60, 80));
        Refusals.Names("file", () => Read("t,speed\n1,50\n", 60, 80));
    }
}
