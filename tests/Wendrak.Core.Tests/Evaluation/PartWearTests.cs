using Wendrak.Core.Evaluation;
using Wendrak.Core.Gearing;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wear;

namespace Wendrak.Core.Tests.Evaluation;

/// <summary>Teeth, belts and grooves that are measured at looks wear to their limit, too.</summary>
public sealed class PartWearTests
{
    private static readonly DateOnly Day = new(2026, 1, 1);
    private int _jobs;

    private JobContent Job(double? km, params JobEvent[] events)
    {
        int number = ++_jobs;
        JobContent job = JobContent.From(new(number, 1, 7, Day.AddDays(70 * number)), []);
        int entry = number * 100;
        foreach (JobEvent e in events.Prepend(new JobOpened(JobReason.Visit, null, km, null)))
        {
            JobRules.CheckNext(job, e);
            job = job.After(new(entry++, new(Day.AddDays(70 * number), default, TimeSpan.Zero), "Ann", e));
        }
        return job;
    }

    private static FindingNoted Seen(
        double value,
        InspectedPart part = InspectedPart.FrontTeeth,
        string unit = "mm",
        string? method = "template",
        double? limit = null
    ) => new($"{part} {value}", FindingGrade.Fine, "final", null, new(part, Measure: new(value, unit, method, limit)));

    private static StoredMachine With(params JobContent[] jobs) => Benches.Motorcycle() with { Jobs = jobs };

    private static PartWear Of(params JobContent[] jobs) =>
        With(jobs).Ask(new() { Wear = new() }).Wear!.Answer!.Parts.Single();

    private JobContent[] Leaning => [.. new[] { 0.1, 0.21, 0.29, 0.4 }.Select((mm, i) => Job(2_000 * i, Seen(mm)))];

    /// <summary>The limit is the table’s: tooth hook 1.0 mm, common practice.</summary>
    [Fact]
    public void Teeth_that_lean_meet_the_limit_of_the_trade()
    {
        PartWear wear = Of(Leaning);
        Assert.Equal((1.0, false, "mm", false), (wear.Limit, wear.IsMakers, wear.Unit, wear.IsAtLimit));
        // Least squares by hand: 0.049 mm each 1 000 km from 0.103 mm.
        Assert.Equal(0.049, wear.Forecast!.SlopePercent!.Value, 9);
        Assert.Equal(0.103, wear.Forecast.InterceptPercent!.Value, 9);
        Assert.Equal((1 - 0.103) / 0.049 * 1_000, wear.Forecast.Reached!.Value, 6);
        Assert.True(wear.Forecast.OneReading!.Low < wear.Forecast.MeanLine!.Low);
        Assert.True(wear.Earliest < wear.Reached);
        Assert.Equal([0.1, 0.21, 0.29, 0.4], wear.Measures.Select(m => m.Value));
        Assert.Equal(4, wear.Measures.DistinctBy(m => m.On).Count());
    }

    /// <summary>Said in one place: a chain measured at a look has the limit of its record, and is due once.</summary>
    [Fact]
    public void Elongation_seen_at_a_look_has_the_limit_of_the_chain()
    {
        JobContent[] looked =
        [
            .. new[] { 0.2, 0.42, 0.58, 0.8 }.Select((p, i) => Job(2_000 * i, Seen(p, InspectedPart.Elongation, "%"))),
        ];
        PartWear wear = Of(looked);
        Assert.Equal((1.0, false, false), (wear.Limit, wear.IsMakers, wear.IsAtLimit));
        PartWear makers = Of(Job(0, Seen(0.2, InspectedPart.Elongation, "%", limit: 2)));
        Assert.Equal((2.0, true), (makers.Limit, makers.IsMakers));
        DueItem[] Forecasts(JobContent[] jobs) =>
            [.. With(jobs).Ask(new() { Due = new() }).Due!.Answer!.Items.Where(i => i.Kind == DueKind.Forecast)];
        Assert.Single(Forecasts(looked));
        ElongationMeasured worn = new("final", 16, MeasuredOver.Pins, [16 * 15.875 * 1.011], ChainId: "520");
        Assert.Single(Forecasts([.. looked, Job(9_000, worn)]));
    }

    private static StockItem Wheel(WheelSide side, double size, int count, int? days) =>
        new(0, 0, new("520", side, size, null, count, null, true), null, new("Harbour Drives", days, null));

    /// <summary>Front teeth that wear ask for that wheel, what wears on the chain for the chain, and a guard for nothing.</summary>
    [Fact]
    public void The_part_that_wears_is_ordered_in_time()
    {
        OrderInTime? Order(JobContent[] jobs, params StockItem[] wheels) =>
            MachineEvaluation
                .Answer(With(jobs), new(wheels, [], [], []), new(["final"]), new() { Due = new() })
                .Due!.Answer!.Items.Single(i => i.Kind == DueKind.Forecast)
                .Order;
        OrderInTime order = Order(Leaning, Wheel(WheelSide.Front, 15, 0, 9), Wheel(WheelSide.Rear, 15, 4, 2))!;
        Assert.Equal((0, 9), (order.OnShelf, order.DeliveryDays));
        Assert.NotNull(order.OrderOn);
        Assert.Equal(new(3, 9, null), Order(Leaning, Wheel(WheelSide.Front, 15, 3, 9)));
        Assert.Null(Order(Leaning, Wheel(WheelSide.Front, 16, 3, 9)));
        JobContent[] Measured(InspectedPart part) =>
            [.. new[] { 0.1, 0.21, 0.29, 0.4 }.Select((mm, i) => Job(2_000 * i, Seen(mm, part, limit: 1)))];
        Assert.Equal(4, Order(Measured(InspectedPart.RearTeeth), Wheel(WheelSide.Rear, 45, 4, 2))!.OnShelf);
        Assert.Null(Order(Measured(InspectedPart.Guard), Wheel(WheelSide.Front, 15, 3, 9)));
        Assert.Null(Order(Measured(InspectedPart.Plates), Wheel(WheelSide.Front, 15, 3, 9)));
    }

    [Fact]
    public void What_may_be_at_its_limit_is_due_and_what_is_at_it_is_due_now()
    {
        DueItem due = With(Leaning)
            .Ask(new() { Due = new() })
            .Due!.Answer!.Items.Single(i => i.Kind == DueKind.Forecast);
        Assert.Equal([InspectedPart.FrontTeeth], due.Parts);
        Assert.Equal(Of(Leaning).Forecast!.OneReading!.Low, due.AtKm!.Value, 6);
        Assert.False(due.IsNow);
        PartWear worn = Of(Job(0, Seen(0.9)), Job(1_000, Seen(1)));
        Assert.True(worn.IsAtLimit);
        Assert.True(
            With(Job(0, Seen(0.9)), Job(1_000, Seen(1)))
                .Ask(new() { Due = new() })
                .Due!.Answer!.Items.Single(i => i.Kind == DueKind.Forecast)
                .IsNow
        );
        Assert.False(Of(Job(0, Seen(0.9)), Job(1_000, Seen(0.99))).IsAtLimit);
    }

    [Fact]
    public void A_width_falls_to_the_limit_that_its_maker_says_and_a_makers_wins_over_the_trade()
    {
        PartWear width = Of([
            .. new[] { 24.0, 23.6, 23.2 }.Select(
                (mm, i) => Job(1_000 * i, Seen(mm, InspectedPart.Width, limit: i == 0 ? 22 : null))
            ),
        ]);
        Assert.Equal((22, true), (width.Limit, width.IsMakers));
        Assert.Equal(-0.4, width.Forecast!.SlopePercent!.Value, 9);
        Assert.Equal(5_000, width.Forecast.Reached!.Value, 6);
        Assert.True(
            Of(Job(0, Seen(24, InspectedPart.Width, limit: 22)), Job(1, Seen(22, InspectedPart.Width))).IsAtLimit
        );
        Assert.Equal(
            (0.6, true),
            Of(Job(0, Seen(0.1, limit: 0.6))) is var tooth ? (tooth.Limit, tooth.IsMakers) : default
        );
    }

    [Fact]
    public void Without_a_limit_in_its_unit_nothing_is_foretold_and_hearsay_is_none_of_it()
    {
        PartWear width = Of(Job(0, Seen(24, InspectedPart.Width)), Job(1_000, Seen(23.5, InspectedPart.Width)));
        Assert.Equal((null, null, false), (width.Limit, width.Forecast, width.IsAtLimit));
        PartWear inch = Of(Job(0, Seen(0.004, unit: "in")));
        Assert.Null(inch.Limit);
        Assert.Equal(2, Of(Job(0, Seen(0.1)), Job(1, Seen(0.2, method: null)), Job(2, Seen(0.3))).Measures.Count);
        Assert.Empty(With(Job(0, Seen(0.1, method: " "))).Ask(new() { Wear = new() }).Wear!.Answer!.Parts);
        // Another unit than the newest is another scale.
        Assert.Single(Of(Job(0, Seen(0.004, unit: "in")), Job(1, Seen(0.2))).Measures);
    }

    [Fact]
    public void What_was_mended_begins_anew_and_keeps_its_limit()
    {
        JobContent worn = Job(
            0,
            Seen(0.9, limit: 1.2) with
            {
                Grade = FindingGrade.Stop,
            },
            new FindingCured("FrontTeeth 0.9", "new wheel")
        );
        PartWear fresh = Of(worn, Job(500, Seen(0.05)));
        Assert.Equal((0.05, 1.2), (Assert.Single(fresh.Measures).Value, fresh.Limit));
        Assert.Empty(Of(worn).Measures);
    }

    [Fact]
    public void What_was_mended_without_a_number_begins_anew_as_well()
    {
        FindingNoted chipped = new("chipped", FindingGrade.Stop, "final", null, new(InspectedPart.FrontTeeth));
        PartWear fresh = Of(
            Job(0, Seen(0.9)),
            Job(100, chipped, new FindingCured("chipped", "new wheel")),
            Job(500, Seen(0.05))
        );
        Assert.Equal(0.05, Assert.Single(fresh.Measures).Value);
    }

    [Fact]
    public void Of_what_hoists_or_flies_measures_are_kept_and_nothing_is_said_of_them()
    {
        StoredMachine stored = With(Leaning);
        StoredMachine hoist = stored with
        {
            Machine = stored.Machine with { Loads = new([new("drive", LiftsOrFlies: true)], []) },
        };
        PartWear wear = hoist.Ask(new() { Wear = new() }).Wear!.Answer!.Parts.Single();
        Assert.Equal((4, null, false), (wear.Measures.Count, wear.Forecast, wear.IsAtLimit));
        Assert.DoesNotContain(hoist.Ask(new() { Due = new() }).Due!.Answer!.Items, i => i.Kind == DueKind.Forecast);
    }

    [Fact]
    public void One_distance_and_a_first_reading_at_the_limit_tell_no_line()
    {
        Assert.Null(MeasuredWear.Forecast([], 1));
        Assert.Null(MeasuredWear.Forecast([(0, 1), (10, 1.1)], 1));
        Assert.Null(MeasuredWear.Forecast([(5, 0.1), (5, 0.2), (5, 0.3)], 1));
        // Far on the other side of where it began: no wear of this part.
        Assert.Null(MeasuredWear.Forecast([(0, 0.5), (10, 0.1), (20, 0.6)], 1));
        Assert.Equal(WearTrend.TooFew, MeasuredWear.Forecast([(0, 0.1), (10, 0.2)], 1)!.Trend);
        Assert.Equal(WearTrend.None, MeasuredWear.Forecast([(0, 0.3), (10, 0.29), (20, 0.28)], 1)!.Trend);
    }

    [Fact]
    public void A_limit_that_is_none_is_refused_at_its_field() =>
        Refusals.Names("Detail.Measure.Limit", () => Job(1, Seen(0.1, limit: double.NaN)));
}
