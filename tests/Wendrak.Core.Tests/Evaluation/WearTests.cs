using Wendrak.Core.Evaluation;
using Wendrak.Core.Loads;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wear;

namespace Wendrak.Core.Tests.Evaluation;

/// <summary>A chain is measured at a job, its record tells when it is worn, and a new chain begins anew.</summary>
public sealed class WearTests
{
    private const double PitchMm = 15.875;
    private static readonly DateOnly Day = new(2026, 1, 1);

    private static ElongationMeasured At(params double[] percent) =>
        new("final", 16, MeasuredOver.Pins, [.. percent.Select(p => 16 * PitchMm * (1 + p / 100))], ChainId: "520");

    private static JobContent Job(int number, double? km, ElongationMeasured measured)
    {
        JobContent job = JobContent.From(new(number, 1, 7, Day.AddDays(70 * number)), []);
        JobEvent[] events = [new JobOpened(JobReason.Visit, null, km, null), measured];
        for (int i = 0; i < events.Length; i++)
        {
            JobRules.CheckNext(job, events[i]);
            job = job.After(new(number * 10 + i, DateTimeOffset.UnixEpoch, "Ann", events[i]));
        }
        return job;
    }

    /// <summary>The reference's chain: 0.05, 0.16, 0.25, 0.37, 0.46 % at 0 to 8 000 km.</summary>
    internal static JobContent[] Reference =>
        [.. new[] { 0.05, 0.16, 0.25, 0.37, 0.46 }.Select((p, i) => Job(i + 1, 2_000 * i, At(p, p - 0.03, p - 0.01)))];

    internal static StoredMachine With(params JobContent[] jobs) => Benches.Motorcycle() with { Jobs = jobs };

    private static WearAnswer Wear(StoredMachine stored) => stored.Ask(new() { Wear = new() }).Wear!.Answer!;

    [Fact]
    public void The_record_of_the_worst_places_tells_when_the_limit_is_reached()
    {
        WearAnswer wear = Wear(With(Reference));
        Assert.Equal((1.0, 0.5), (wear.LimitPercent, wear.WatchPercent));
        Assert.Equal([0.05, 0.16, 0.25, 0.37, 0.46], wear.Readings.Select(r => Math.Round(r.Measured.WorstPercent, 9)));
        Assert.Equal(0.03, wear.Readings[0].Measured.SpreadPercent, 9);
        // The published row k4 of least squares, by the code that the page asks.
        Published.AgreesWithin(0.1, 0.0515, wear.Forecast!.SlopePercent!.Value, "least squares, row k4");
        Published.AgreesWithin(0.1, 18_407.8, wear.Forecast.Reached!.Value, "least squares, row k4");
        Assert.True(wear.Forecast.OneReading!.Low < wear.Forecast.MeanLine!.Low);
        // 8 000 km in 280 days: 200 km a week; 10 407.8 km from there.
        Assert.Equal(Day.AddDays(350 + 365), wear.Reached);
        Assert.True(wear.Earliest < wear.Reached);
        Assert.Null(wear.UsualLife);
        Assert.Equal(0.46, wear.Workings[0].Result.Value, 9);
    }

    private static StoredMachine WithMaker(double percent, params JobContent[] jobs)
    {
        StoredMachine stored = With(jobs);
        MachineLoads loads = stored.Machine.Loads! with { Strengths = [new("final", ElongationLimitPercent: percent)] };
        return stored with { Machine = stored.Machine with { Loads = loads } };
    }

    [Fact]
    public void A_makers_limit_wins_wherever_the_limit_counts()
    {
        StoredMachine stored = WithMaker(0.7, Reference);
        WearAnswer wear = Wear(stored);
        Assert.Equal((0.7, ChainLimitBy.Maker), (wear.LimitPercent, wear.LimitBy));
        Assert.Equal(FindingGrade.Watch, wear.Grade);
        Assert.True(wear.Forecast!.Reached < Wear(With(Reference)).Forecast!.Reached);
        Assert.Equal(0.7, MachineSummary.From(stored.Machine, stored.Fitted, []).Loops[0].WearLimitPercent);
        Assert.Equal(FindingGrade.Stop, Wear(WithMaker(0.4, Reference)).Grade);
        Assert.Equal(
            DueKind.Forecast,
            WithMaker(0.4, Reference)
                .Ask(new() { Due = new() })
                .Due!.Answer!.Items.First(i => i.Kind == DueKind.Forecast)
                .Kind
        );
    }

    /// <summary>Machinery's Handbook, ACA: 200/45 % on the largest wheel, whatever its maker lets the chain grow by.</summary>
    [Fact]
    public void The_largest_wheel_wins_over_the_maker()
    {
        WearAnswer wear = Wear(WithMaker(6, Reference));
        Assert.Equal((200 / 45.0, ChainLimitBy.LargestWheel), (wear.LimitPercent, wear.LimitBy));
        Assert.Equal(ChainLimitBy.Trade, Wear(With(Reference)).LimitBy);
    }

    /// <summary>A hundredth of the breaking load: of the table's chain, or of its maker's, on all strands.</summary>
    [Fact]
    public void What_it_is_to_be_pulled_with_is_said_by_the_machine()
    {
        Assert.Equal(0.01 * Core.Tables.Chains.Find("520")!.MinTensileN, Wear(With()).MeasuringLoadN!.Value, 9);
        StoredMachine stored = With();
        MachineLoads loads = stored.Machine.Loads! with
        {
            Strengths = [new("final", BreakingLoadN: 40_000, Strands: 2)],
        };
        Machine strong = stored.Machine with { Loads = loads };
        Assert.Equal(800, Wear(stored with { Machine = strong }).MeasuringLoadN!.Value, 9);
        ElongationMeasured sent = At(0.2) with { Pull = new(300, 150, 254, NominalN: 1) };
        Assert.Equal(new(300, 150, 254, 800), WearAnswers.Fill(sent, strong, "").Pull);
    }

    [Fact]
    public void What_may_be_at_the_limit_is_due_at_its_earliest()
    {
        StoredMachine stored = With(Reference);
        DueItem due = stored.Ask(new() { Due = new() }).Due!.Answer!.Items.Single(i => i.Kind == DueKind.Forecast);
        Assert.Equal(Wear(stored).Forecast!.OneReading!.Low, due.AtKm);
        Assert.Equal((DueBy.Forecast, Wear(stored).Earliest), (due.By, due.Expected));
        Assert.DoesNotContain(
            With(Reference[..2]).Ask(new() { Due = new() }).Due!.Answer!.Items,
            i => i.Kind == DueKind.Forecast
        );
    }

    [Fact]
    public void Two_readings_tell_no_line_and_what_is_usual_stands_in()
    {
        StoredMachine two = With(Reference[..2]);
        // Where nothing tells how it is used, nothing is made up.
        Assert.Null(Wear(two).UsualLife);
        two = two with
        {
            Machine = two.Machine with
            {
                Loads = new(
                    [new("drive", PeakTorqueNm: 60, PeakTorqueRpm: 7_000, CruiseKmh: 90, MassKg: 250)],
                    [new("final", BearingAreaMm2: 50)]
                ),
            },
        };
        WearAnswer wear = Wear(two);
        Assert.Equal(WearTrend.TooFew, wear.Forecast!.Trend);
        Assert.NotNull(wear.UsualLife);
        Assert.Null(wear.Reached);
    }

    [Fact]
    public void A_new_chain_begins_anew_and_says_how_many_were_before()
    {
        WearAnswer wear = Wear(With([.. Reference, Job(6, 9_000, At(0.01) with { IsNewChain = true })]));
        Assert.Equal((1, 5), (wear.Readings.Count, wear.Before));
        Assert.Equal(WearTrend.TooFew, wear.Forecast!.Trend);
    }

    [Fact]
    public void A_reading_without_a_distance_is_shown_and_counts_in_no_line()
    {
        WearAnswer wear = Wear(With([.. Reference, Job(6, null, At(0.9))]));
        Assert.Equal(6, wear.Readings.Count);
        Published.AgreesWithin(0.1, 0.0515, wear.Forecast!.SlopePercent!.Value, "least squares, row k4");
        Assert.Null(Wear(With(Job(1, null, At(0.1)))).Forecast);
        // All at one distance: nothing wore between them.
        Assert.Equal(WearTrend.OneDistance, Wear(With(Job(1, 500, At(0.1)), Job(2, 500, At(0.12)))).Forecast!.Trend);
    }

    [Fact]
    public void A_reading_that_does_not_fit_is_named_and_kept()
    {
        double[] steady = [0.05, 0.16, 0.25, 0.37, 0.46, 0.56, 0.67];
        JobContent[] jobs = [.. steady.Select((p, i) => Job(i + 1, 2_000 * i, At(i == 4 ? 0.8 : p)))];
        WearAnswer wear = Wear(With(jobs));
        Assert.Equal([5L], wear.Readings.Where(r => r.IsOffLine).Select(r => r.JobId));
        Assert.Equal(7, wear.Readings.Count);
    }

    [Fact]
    public void One_reading_at_the_limit_says_so_whatever_a_line_would()
    {
        DueItem? ForecastOf(double percent) =>
            With(Job(1, 500, At(percent)))
                .Ask(new() { Due = new() })
                .Due!.Answer!.Items.SingleOrDefault(i => i.Kind == DueKind.Forecast);
        Assert.True(ForecastOf(1.01)!.IsNow);
        Assert.Null(ForecastOf(0.99));
        FindingGrade? Grade(double percent) => Wear(With(Job(1, 500, At(percent)))).Grade;
        Assert.Equal(
            [FindingGrade.Fine, FindingGrade.Watch, FindingGrade.Watch, FindingGrade.Stop],
            new[] { 0.49, 0.51, 0.99, 1.01 }.Select(p => Grade(p)!.Value)
        );
        Assert.Null(Wear(With()).Grade);
    }

    /// <summary>Twice as fast since 8 000 km: the line of before would say twice as long.</summary>
    [Fact]
    public void A_change_of_use_begins_the_line_and_keeps_what_was_before_in_sight()
    {
        JobContent[] harder =
        [
            .. Reference,
            Job(6, 8_000, At(0.46) with { IsNewUse = true }),
            Job(7, 9_000, At(0.56)),
            Job(8, 10_000, At(0.66)),
        ];
        WearAnswer wear = Wear(With(harder));
        Assert.Equal(0.1, wear.Forecast!.SlopePercent!.Value, 9);
        Assert.Equal(13_400, wear.Forecast.Reached!.Value, 3);
        Assert.Equal(8, wear.Readings.Count);
        Assert.Equal([false, false, false, false, false, true, true, true], wear.Readings.Select(r => r.IsCounted));
        Assert.Equal(0, wear.Before);
        Assert.All(Wear(With(Reference)).Readings, r => Assert.True(r.IsCounted));
    }

    [Fact]
    public void Another_size_of_chain_begins_anew_though_nobody_said_so()
    {
        ElongationMeasured other = At(0.1) with { ChainId = "428", MeasuredMm = [16 * 12.7 * 1.001] };
        WearAnswer wear = Wear(With([.. Reference, Job(6, 9_000, other)]));
        Assert.Equal((1, 5), (wear.Readings.Count, wear.Before));
    }

    [Fact]
    public void The_machine_says_which_chain_it_is_and_a_belt_is_none()
    {
        Machine machine = Benches.Motorcycle().Machine;
        Assert.Equal("520", WearAnswers.Fill(At(0.1) with { ChainId = "428" }, machine, "").ChainId);
        Refusals.Names("LoopKey", () => WearAnswers.Fill(At(0.1) with { LoopKey = "no such" }, machine, ""));
        Refusals.Names(
            "Events[0].Event.LoopKey",
            () => WearAnswers.Fill(At(0.1) with { LoopKey = "x" }, machine, "Events[0].Event")
        );
        Refusals.Names("MeasuredMm[1]", () => Job(1, 0, At(0.1, 7)));
        Refusals.Names("RollerPlayMm", () => Job(1, 0, At(0.1) with { RollerPlayMm = 0.1 }));
        Refusals.Names("Pitches", () => Job(1, 0, At(0.1) with { Pitches = 3 }));
        Refusals.Names("MeasuredMm", () => Job(1, 0, At(0.1) with { MeasuredMm = [] }));
        Refusals.Names("ChainId", () => Job(1, 0, At(0.1) with { ChainId = null }));
    }
}
