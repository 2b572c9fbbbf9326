using Wendrak.Core.Comparing;
using Wendrak.Core.Logbook;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using static Wendrak.Core.Tests.Logbook.Logs;

namespace Wendrak.Core.Tests.Logbook;

/// <summary>What a change of setup brought, by the log.</summary>
public sealed class FairComparisonTests
{
    // Values of check m1 of the engineering reference, as fuel used.
    private static readonly double[] A = [4.12, 4.05, 4.2, 4.15, 4.09];
    private static readonly double[] B = [3.98, 4.02, 3.91, 4.05, 3.95];
    private static readonly Setup Before = Setup(1, 15, 45, 0, atKm: 0);
    private static readonly Setup After = Setup(2, 15, 43, 59, SetupStatus.AsFitted, atKm: 1_000);

    private static IEnumerable<LogLine> Two => [.. Fills(0, 0, A), .. Fills(60, 1_000, B)];

    /// <summary>Check m1 of the engineering reference, by the code that the page asks.</summary>
    [Fact]
    public void Difference_and_interval_are_those_of_the_reference()
    {
        FairComparison found = Compare([Before, After], Two);
        Assert.Equal((4.122, 3.982), (found.First!.Sample!.Mean, found.Second!.Sample!.Mean), Near);
        Assert.Equal((-0.222129, -0.0578713), (found.Compared!.Low, found.Compared.High), Near);
        Assert.Equal(ComparisonVerdict.Shown, found.Verdict);
        Assert.Equal((1, 2), (found.First.SetupId, found.Second.SetupId));
        Assert.Equal(2, found.Workings.Count);
        Assert.Equal(found.Compared.High - found.Compared.Difference, found.Workings[0].Result.Value, 9);
        // The stretch across the change of setups is of neither.
        Assert.Equal(1, found.NotCounted.OfNoSetup);
    }

    private static readonly IEqualityComparer<(double, double)> Near = EqualityComparer<(double, double)>.Create(
        (a, b) => Math.Abs(a.Item1 - b.Item1) < 1e-5 && Math.Abs(a.Item2 - b.Item2) < 1e-5
    );

    [Fact]
    public void How_many_more_are_needed_follows_from_what_matters()
    {
        FairComparison usual = Compare([Before, After], Two);
        Assert.Equal(0.05 * 4.122, usual.Matters!.Value, 9);
        Assert.True(usual.IsMattersUsual);
        double sd = Math.Sqrt((Math.Pow(usual.First!.Sample!.Sd, 2) + Math.Pow(usual.Second!.Sample!.Sd, 2)) / 2);
        FairComparison fine = Compare([Before, After], Two, asked: q => q with { Matters = 0.03 });
        Assert.Equal(RunsNeeded.ForEach(sd, 0.03), fine.NeededEach);
        Assert.Equal((int)Math.Ceiling((fine.NeededEach!.Value - 5) / 2.0), fine.Blocks);
        Assert.Equal(0, usual.Blocks);
        Assert.Equal(RunsNeeded.ByNormal(sd, 0.03, 0.05, 0.8), fine.Workings[1].Result.Value, 9);
    }

    [Fact]
    public void With_one_value_or_none_or_no_spread_nothing_is_told_of_a_difference()
    {
        Assert.Equal(ComparisonVerdict.NoValues, Compare([Before, After], Fills(0, 0, A)).Verdict);
        FairComparison few = Compare([Before, After], [.. Fills(0, 0, A), .. Fills(60, 1_000, [4])]);
        Assert.Equal((ComparisonVerdict.TooFew, null), (few.Verdict, few.Compared));
        Assert.Equal(
            ComparisonVerdict.NoSpread,
            Compare([Before, After], [.. Fills(0, 0, [4, 4]), .. Fills(60, 1_000, [5, 5])]).Verdict
        );
        FairComparison wide = Compare(
            [Before, After],
            [.. Fills(0, 0, [4, 5, 6]), .. Fills(60, 1_000, [4.2, 5.2, 6.1])]
        );
        Assert.Equal(ComparisonVerdict.NotShown, wide.Verdict);
        Assert.True(wide.NeededEach > 3);
    }

    [Fact]
    public void Nothing_on_the_machine_is_nothing_to_compare()
    {
        FairComparison none = Compare([], []);
        Assert.Equal((null, null, ComparisonVerdict.NoValues), (none.First, none.Second, none.Verdict));
        FairComparison one = Compare([After], Two);
        Assert.Equal((null, 2), (one.First, one.Second!.SetupId));
    }

    /// <summary>Common practice: a shorter gearing takes more fuel, and less time to get faster.</summary>
    [Theory]
    [InlineData(46, true)]
    [InlineData(43, false)]
    public void A_result_against_the_sense_of_the_change_is_said_to_be(double rear, bool isUnexpected)
    {
        FairComparison found = Compare([Before, Setup(2, 15, rear, 59)], Two);
        Assert.Equal(ComparisonVerdict.Shown, found.Verdict);
        Assert.Equal(isUnexpected, found.IsUnexpected);
    }

    [Theory]
    [InlineData(RunStart.Rolling, true)]
    [InlineData(RunStart.CoastDown, false)]
    public void Getting_faster_is_expected_to_take_longer_with_a_taller_gearing(RunStart start, bool isUnexpected)
    {
        (double from, double to) = start == RunStart.CoastDown ? (100, 60) : (60, 100);
        IEnumerable<LogLine> Runs(int day, double[] seconds) =>
            seconds.Select(s => (LogLine)new RunTimed(Start.AddDays(day), null, s, from, to, start, RunTiming.Watch));
        FairComparison found = Compare([Before, After], [.. Runs(1, A), .. Runs(61, B)], ComparedMeasure.Time);
        Assert.Equal(ComparisonVerdict.Shown, found.Verdict);
        Assert.Equal(isUnexpected, found.IsUnexpected);
        Assert.Null(found.First!.Overall);
    }

    [Fact]
    public void With_other_road_wheels_nothing_is_expected()
    {
        Setup wheels = Setup(2, 15, 46, 59) with { RoadWheels = [new("rear wheel", new(null, 1_950))] };
        FairComparison found = Compare([Before, wheels], Two);
        Assert.False(found.IsUnexpected);
        Assert.Contains(found.Changes, c => c.Part == SetupPart.RoadWheel);
    }

    [Fact]
    public void What_differs_between_the_two_is_listed_and_which_pair_tells_one_effect()
    {
        Setup both = Setup(3, 16, 43, 119, SetupStatus.AsFitted, links: 110);
        FairComparison found = Compare(
            [Before, After with { Status = SetupStatus.Former }, both],
            [.. Two, .. Fills(120, 2_000, B)],
            asked: q => q with { FirstId = 1, SecondId = 3 }
        );
        Assert.Equal([SetupPart.Front, SetupPart.Rear, SetupPart.Length], found.Changes.Select(c => c.Part));
        Assert.Equal((15d, 16d), (found.Changes[0].First, found.Changes[0].Second));
        Assert.Equal(
            [(1, 2, SetupPart.Rear), (2, 3, SetupPart.Front)],
            found.Separating.Select(s => (s.FirstId, s.SecondId, s.Difference.Part))
        );
        Assert.Equal([5, 5, 5], found.Setups.Select(s => s.Count));
    }

    [Fact]
    public void Levels_are_compared_only_at_one_distance_and_read_in_one_way()
    {
        IEnumerable<LogLine> Levels(int day, double distance, string method, params double[] db) =>
            db.Select(d => (LogLine)new NoiseRead(Start.AddDays(day), null, d, distance, method));
        LogLine[] log =
        [
            .. Levels(1, 1, "phone, on a stand", 82, 83, 82.5),
            .. Levels(61, 1, "Phone, on a stand", 78, 79, 78.5),
            .. Levels(61, 0.5, "phone, on a stand", 84, 85),
        ];
        FairComparison found = Compare([Before, After], log, ComparedMeasure.Noise);
        Assert.Equal(["1 m, phone, on a stand", "0.5 m, phone, on a stand"], found.Alike);
        Assert.Equal(-4, found.Compared!.Difference, 9);
        Assert.Equal(Math.Pow(10, -4 / 20.0), found.Sound!.PressureRatio, 9);
        Assert.Equal(Math.Pow(2, -0.4), found.Sound.LoudnessRatio, 9);
        Assert.Equal(3, found.Matters);
        FairComparison other = Compare(
            [Before, After],
            log,
            ComparedMeasure.Noise,
            q => q with { Alike = "0.5 m, phone, on a stand" }
        );
        Assert.Equal(
            (ComparisonVerdict.NoValues, 0, 2),
            (other.Verdict, other.First!.Values.Count, other.Second!.Values.Count)
        );
    }

    [Fact]
    public void Where_somebody_said_with_which_setup_that_goes_before_the_day()
    {
        LogLine[] alternating =
        [
            .. new[] { 1, 2, 2, 1 }.Select(
                (id, i) => (LogLine)new NoiseRead(Start.AddDays(61), null, 80 + i, 1, "m", id)
            ),
        ];
        FairComparison found = Compare([Before, After], alternating, ComparedMeasure.Noise);
        Assert.Equal([80, 83], found.First!.Values.Select(v => v.Value));
        Assert.Equal([81, 82], found.Second!.Values.Select(v => v.Value));
        // A B B A in one day: nothing that changed with time is in it.
        Assert.DoesNotContain(found.Others, o => o.Condition == OtherCondition.Order);
        FuelFilled[] mixed =
        [
            new(Start.AddDays(70), 2_000, 5, true),
            new(Start.AddDays(71), 2_050, 2, false, SetupId: 1),
            new(Start.AddDays(72), 2_100, 2, true, SetupId: 2),
        ];
        Assert.Equal(1, Compare([Before, After], mixed).NotCounted.OfNoSetup);
    }

    [Fact]
    public void Hearsay_and_scores_stand_beside_and_change_nothing()
    {
        FairComparison plain = Compare([Before, After], Two);
        FairComparison told = Compare(
            [Before, After],
            [
                .. Two,
                new MeanTold(Start.AddDays(10), null, ToldMean.MilesPerImperialGallon, 60, "a friend"),
                new MeanTold(Start.AddDays(10), null, ToldMean.WhPerKm, 30),
                new ScoreGiven(Start.AddDays(62), null, 4),
                new ScoreGiven(Start.AddDays(63), null, 5),
            ]
        );
        Assert.Equal(plain.Compared, told.Compared);
        // Check l7 of the engineering reference.
        Assert.Equal(4.70802, Assert.Single(told.First!.Hearsay).Value, 5);
        Assert.Equal(100 / told.First.Sample!.Mean, told.First.Use!.KmPerLitre, 9);
        Assert.Equal((4.5, 2), (told.Second!.Score, told.Second.Scores));
        Assert.Null(told.First.Score);
    }

    [Fact]
    public void What_was_struck_out_counts_no_more()
    {
        LogEntry[] entries = Entries(Two);
        entries[3] = entries[3] with { IsStruck = true };
        FairComparison found = FairComparison.Of([Before, After], [], entries, new(ComparedMeasure.Fuel));
        Assert.Equal((4, 1), (found.First!.Values.Count, found.NotCounted.Struck));
        // The stretch is longer then, and took what was filled in later only.
        Assert.Equal(4.15 / 2, found.First.Values[2].Value, 9);
    }

    [Fact]
    public void Overall_is_weighed_by_distance_and_energy_is_out_of_the_plug()
    {
        LogLine[] charges =
        [
            new Charged(Start.AddDays(1), 0, 500, true),
            new Charged(Start.AddDays(2), 10, 400, true),
            new Charged(Start.AddDays(3), 40, 600, true),
        ];
        SetupOutcome found = Compare([Before], charges, ComparedMeasure.Energy).Second!;
        Assert.Equal([40, 20], found.Values.Select(v => v.Value));
        Assert.Equal((30, 25, null), (found.Sample!.Mean, found.Overall, found.Use));
    }

    [Fact]
    public void Of_very_many_values_all_count_and_the_newest_are_shown()
    {
        double[] many = [.. Enumerable.Range(0, 400).Select(i => 4 + i % 5 / 10.0)];
        SetupOutcome found = Compare([Before], Fills(0, 0, many)).Second!;
        Assert.Equal((400, 400, 300), (found.Count, found.Sample!.Count, found.Values.Count));
        Assert.Equal(40_000, found.Values[^1].AtKm);
    }

    [Fact]
    public void A_setup_that_was_not_on_it_and_numbers_that_can_t_be_are_refused_at_their_fields()
    {
        void Names(string field, Func<FairComparisonQuestion, FairComparisonQuestion> asked) =>
            Refusals.Names(
                field,
                () => Compare([Before, After, Setup(9, 15, 45, 0, SetupStatus.Trial)], Two, asked: asked)
            );
        Names("FirstId", q => q with { FirstId = 9 });
        Names("SecondId", q => q with { SecondId = 9 });
        Names("SecondId", q => q with { FirstId = 1, SecondId = 1 });
        Names("Alike", q => q with { Alike = "1 m, by ear" });
        Names("Matters", q => q with { Matters = 0 });
        Names("RatePerHour", q => q with { RatePerHour = -1 });
        Names("Measure", q => q with { Measure = (ComparedMeasure)9 });
    }
}
