using Wendrak.Core.Choices;
using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Choices;

/// <summary>What a distance costs: row p1, and ranges worked out by hand.</summary>
public sealed class RunningCostTests
{
    private static readonly OptionFigures Chain = new(
        "plainChain",
        Price: 180,
        FitMinutes: 90,
        LifeLow: 22_000,
        OilCost: 1.2,
        OilEvery: 800,
        UpkeepMinutes: 12,
        UpkeepEvery: 1_500,
        FuelPer100: 5
    );
    private static readonly OptionFigures Belt = new(
        "toothedBelt",
        Price: 420,
        FitMinutes: 150,
        LifeLow: 60_000,
        UpkeepMinutes: 12,
        UpkeepEvery: 8_000,
        FuelPer100: 5.1
    );

    private static RunningCost Of(OptionFigures figures) => RunningCost.Of(figures, 60, 1.8)!;

    [Fact]
    public void Chain_and_belt_of_row_p1()
    {
        Published.AgreesWithin(0.1, 111.773, Of(Chain).Middle, "engineering.md p1");
        Published.AgreesWithin(0.1, 102.8, Of(Belt).Middle, "engineering.md p1");
        Published.AgreesWithin(
            0.1,
            33_434.7,
            RunningCost.PaidBack(Of(Chain).Middle, Of(Belt).Middle, 300)!.Value.Value,
            "engineering.md p1"
        );
    }

    [Fact]
    public void A_change_that_is_dearer_to_run_is_never_paid_back()
    {
        Assert.Null(RunningCost.PaidBack(Of(Belt).Middle, Of(Chain).Middle, 300));
        Assert.Null(RunningCost.PaidBack(100, 100, 300));
    }

    [Fact]
    public void A_life_of_10_to_20_thousand_makes_a_range()
    {
        // By hand: (200 + 1 h · 30)/10 000 = 23.00 and /20 000 = 11.50; 5 min · 30/60 each 500 = 5.00; 0.5 in 10 000 at 400 = 20.00.
        OptionFigures figures = new(
            "sealedChain",
            Price: 200,
            FitMinutes: 60,
            LifeLow: 10_000,
            LifeHigh: 20_000,
            UpkeepMinutes: 5,
            UpkeepEvery: 500,
            Failures: 0.5,
            FailureCost: 400
        );
        RunningCost cost = RunningCost.Of(figures, 30, null)!;
        IReadOnlyList<Working> workings = RunningCost.Explain(figures, 30, null, RunUnit.Km);
        Assert.Equal(48, cost.High, 9);
        Assert.Equal(36.5, cost.Low, 9);
        Assert.Equal(42.25, cost.Middle, 9);
        Assert.Equal((17.25, 5, 0, 20), (cost.Parts, cost.Upkeep, cost.Fuel, cost.Failure));
        Assert.Equal(2, workings.Select(w => w.Title).Distinct().Count());
        Assert.Equal([cost.High, cost.Low], workings.Select(w => w.Result.Value));
        Assert.Single(RunningCost.Explain(Chain, 60, 1.8, RunUnit.Km));
    }

    [Fact]
    public void The_parts_of_it_are_the_whole()
    {
        RunningCost cost = Of(Chain with { LifeHigh = 30_000, Failures = 1, FailureCost = 250 });
        Assert.Equal(cost.Middle, cost.Parts + cost.Upkeep + cost.Fuel + cost.Failure, 9);
    }

    [Fact]
    public void Nothing_is_said_without_a_price_and_a_life()
    {
        Assert.Null(RunningCost.Of(Chain with { Price = null }, 60, 1.8));
        Assert.Null(RunningCost.Of(Chain with { LifeLow = null }, 60, 1.8));
    }

    [Theory]
    [InlineData(null, null, SaidBy.OnePersonsWord)]
    [InlineData(SaidBy.MakerOrStandard, null, SaidBy.MakerOrStandard)]
    [InlineData(SaidBy.MeasuredHere, SaidBy.CommonPractice, SaidBy.CommonPractice)]
    public void It_is_as_sure_as_the_least_sure_of_its_figures(SaidBy? life, SaidBy? upkeep, SaidBy expected) =>
        Assert.Equal(expected, Of(Chain with { LifeBy = life, UpkeepBy = upkeep }).SaidBy);

    [Fact]
    public void A_machine_that_counts_hours_is_told_in_hours() =>
        Assert.Contains(
            RunningCost.Explain(Chain, 60, null, RunUnit.Hours)[0].Values,
            v => v is { Symbol: "L", Unit: "h" }
        );
}
