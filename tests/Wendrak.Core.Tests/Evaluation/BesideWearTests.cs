using Wendrak.Core.Evaluation;
using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wear;

namespace Wendrak.Core.Tests.Evaluation;

/// <summary>What goes with a worn chain: the adjuster, the wheels, set or part, and until when to order.</summary>
public sealed class BesideWearTests
{
    private const double PitchMm = 15.875;
    private static readonly DateOnly Day = new(2026, 1, 1);
    private int _jobs;

    private JobContent Job(double km, params JobEvent[] events)
    {
        int number = ++_jobs;
        JobContent job = JobContent.From(new(number, 1, 7, Day.AddDays(70 * number)), []);
        int entry = number * 100;
        foreach (JobEvent e in events.Prepend(new JobOpened(JobReason.Visit, null, km, null)))
            job = job.After(new(entry++, DateTimeOffset.UnixEpoch, "Ann", e));
        return job;
    }

    private static ElongationMeasured Measured(double percent, bool isNew = false) =>
        new("final", 16, MeasuredOver.Pins, [16 * PitchMm * (1 + percent / 100)], null, isNew, "520");

    private static FindingNoted Teeth(InspectedPart part, FindingGrade grade) =>
        new($"{part} lean", grade, "final", null, new(part));

    private static readonly RestFine Even = new("final", [InspectedPart.FrontTeeth, InspectedPart.RearTeeth]);

    private static WearAnswer Wear(params JobContent[] jobs) =>
        (Benches.Motorcycle() with { Jobs = jobs }).Ask(new() { Wear = new() }).Wear!.Answer!;

    [Fact]
    public void What_is_left_of_the_adjuster_at_the_limit_is_in_proportion_to_what_it_takes_up()
    {
        AdjustmentReserve fit = Benches.Motorcycle().Ask(new() { Fit = new() }).Fit!.Answer!.Reserve!;
        ReserveAtLimit reserve = Wear(Job(0, Measured(0.1))).Reserve!;
        Assert.Equal(fit.ElongationPercent, reserve.TakesUpPercent);
        Assert.Equal(fit.LeftMm * (1 - 1.0 / fit.ElongationPercent), reserve.LeftMm, 9);
        Assert.Equal((false, reserve.LeftMm), (reserve.IsUsedUpFirst, reserve.Working.Result.Value));
        StoredMachine bare = Benches.Motorcycle();
        Assert.Null(
            (bare with { Machine = bare.Machine with { Layouts = null }, Jobs = [Job(0, Measured(0.1))] })
                .Ask(new() { Wear = new() })
                .Wear!.Answer!.Reserve
        );
    }

    [Fact]
    public void An_adjuster_that_ends_first_is_the_limit()
    {
        StoredMachine stored = Benches.Motorcycle();
        StoredMachine longer = stored with
        {
            Machine = stored.Machine with { Layouts = [Tests.Fit.Fits.Slot(628, 655)] },
            Jobs = [Job(0, Measured(0.1))],
        };
        ReserveAtLimit reserve = longer.Ask(new() { Wear = new() }).Wear!.Answer!.Reserve!;
        Assert.Equal((true, 0), (reserve.IsUsedUpFirst, reserve.LeftMm));
        Assert.True(reserve.TakesUpPercent < 1);
    }

    [Fact]
    public void Worn_teeth_under_a_new_chain_are_told_until_they_are_mended()
    {
        JobContent worn = Job(9_000, Measured(1), Teeth(InspectedPart.FrontTeeth, FindingGrade.Watch));
        JobContent fresh = Job(9_100, Measured(0.02, isNew: true));
        Assert.Equal("FrontTeeth lean", Assert.Single(Wear(worn, fresh).WornWheels).What);
        JobContent mended = Job(9_200, new FindingCured("FrontTeeth lean", "new"));
        Assert.Single(Wear(worn, fresh).WornWheels);
        Assert.Empty(Wear(Job(1, Measured(0.1), Even), mended).WornWheels);
    }

    [Fact]
    public void Set_or_chain_alone_goes_by_the_teeth_and_names_the_other_school()
    {
        Assert.Null(Wear(Job(0, Measured(0.2), Even)).SetOrPart);
        SetOrPart unseen = Wear(Job(0, Measured(0.6))).SetOrPart!;
        SetOrPart even = Wear(Job(0, Measured(0.6), Even)).SetOrPart!;
        SetOrPart worn = Wear(
            Job(0, Measured(0.6), Even, Teeth(InspectedPart.RearTeeth, FindingGrade.Watch))
        ).SetOrPart!;
        Assert.Equal(
            [Replacing.LookAtTeeth, Replacing.ChainMayDo, Replacing.Set],
            new[] { unseen, even, worn }.Select(s => s.Replacing)
        );
        Assert.All(new[] { unseen, even, worn }, s => Assert.True(s.Why.Length > 10 && s.OtherSchool.Length > 10));
        Assert.NotEqual(even.OtherSchool, worn.OtherSchool);
        // What the workshop usually takes: both in one go, and one after the other.
        Assert.Equal((75, 85, 0, 0), (worn.OnceMinutes, worn.TwiceMinutes, worn.OnceMoney, worn.TwiceMoney));
        // Or what the owner typed.
        StoredMachine stored = Benches.Motorcycle() with
        {
            Jobs = [Job(0, Measured(0.6))],
        };
        SetOrPart own = (stored with { Machine = stored.Machine with { Work = new(20, 30, 40, 50, 45, 60) } })
            .Ask(new() { Wear = new() })
            .Wear!.Answer!.SetOrPart!;
        Assert.Equal((45, 60, 60, 80), (own.OnceMinutes, own.TwiceMinutes, own.OnceMoney, own.TwiceMoney));
    }

    private static StockPart Chain(int count, int? days, string name = "112 links, sealed", bool obtainable = true) =>
        new(0, 0, PartKind.Chain, name, "520", count, null, obtainable, null, new("Harbour Drives", days, null));

    private DueItem Forecast(params StockPart[] parts)
    {
        JobContent[] jobs = [.. new[] { 0.05, 0.16, 0.25, 0.37, 0.46 }.Select((p, i) => Job(2_000 * i, Measured(p)))];
        StoredMachine stored = Benches.Motorcycle() with { Jobs = jobs };
        return MachineEvaluation
            .Answer(stored, new([], [], [], parts), new(["final"]), new() { Due = new() })
            .Due!.Answer!.Items.Single(i => i.Kind == DueKind.Forecast);
    }

    [Fact]
    public void A_chain_is_ordered_so_long_before_as_its_delivery_takes()
    {
        DueItem due = Forecast(Chain(0, 14), Chain(0, 3, "118 links"));
        Assert.Equal((0, 14), (due.Order!.OnShelf, due.Order.DeliveryDays));
        Assert.Equal(due.Expected!.Value.AddDays(-14), due.Order.OrderOn);
    }

    [Fact]
    public void One_on_the_shelf_one_of_unknown_delivery_and_none_known_are_told_apart()
    {
        Assert.Equal(new OrderInTime(2, 14, null), Forecast(Chain(2, 14)).Order);
        Assert.Equal(new OrderInTime(0, null, null), Forecast(Chain(0, null)).Order);
        Assert.Equal(new OrderInTime(0, null, null), Forecast(Chain(0, 14, obtainable: false)).Order);
        Assert.Null(Forecast(Chain(3, 2, "96 links")).Order);
        Assert.Null(Forecast().Order);
    }

    [Fact]
    public void What_is_due_asks_for_what_is_in_stock() =>
        Assert.True(new EvaluationParts { Due = new() }.NeedsWorkshop);
}
