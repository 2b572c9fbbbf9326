using Wendrak.Core.Logbook;
using Wendrak.Core.Records;
using static Wendrak.Core.Tests.Logbook.Logs;

namespace Wendrak.Core.Tests.Logbook;

/// <summary>What a distance costs with a setup.</summary>
public sealed class DistanceCostTests
{
    private static readonly Setup Only = Setup(1, 15, 45, 0, SetupStatus.AsFitted, atKm: 0);

    private static DistanceCost? CostOf(double? rate, params LogLine[] lines) =>
        Compare([Only], lines, asked: q => q with { RatePerHour = rate }).Second?.Cost;

    /// <summary>Parts, upkeep and fuel of side a of check p1 of the engineering reference, over one life of its parts: 111.773.</summary>
    [Fact]
    public void All_of_it_is_that_of_the_reference()
    {
        const double life = 22_000;
        DistanceCost cost = CostOf(
            60,
            new FuelFilled(Start, 0, 11, true, Cost: 20),
            new PartPaid(Start, 0, "chain and sprockets", 180),
            new UpkeepDone(Start, 0, "fitting", 90),
            new UpkeepDone(Start.AddDays(1), 1, "oil", 0, 1.2 * life / 800),
            new UpkeepDone(Start.AddDays(2), 2, "service", 0.2 * 60 * life / 1_500),
            new FuelFilled(Start.AddDays(3), life, 5 * life / 100, true, Cost: 5 * life / 100 * 1.8)
        )!;
        Assert.Equal(111.773, cost.TotalPer1000Km, 3);
        Assert.Equal(90, cost.FuelPer1000Km, 9);
        Assert.Equal(life, cost.Km);
        Assert.Equal(cost.TotalPer1000Km, cost.Working.Result.Value);
        Assert.Equal(cost.TotalPer1000Km, cost.PartsPer1000Km + cost.UpkeepPer1000Km + cost.FuelPer1000Km, 9);
    }

    [Fact]
    public void A_part_costs_over_the_distance_it_lasted_and_one_that_is_on_says_so()
    {
        DistanceCost first = CostOf(
            null,
            new PartPaid(Start, 0, "Chain", 100),
            new PartPaid(Start.AddDays(9), 1_000, "chain ", 100, 4_000),
            new OdometerRead(Start.AddDays(10), 2_000)
        )!;
        Assert.Equal((100 + 100 / 4.0) / 2, first.PartsPer1000Km, 9);
        Assert.False(first.HasPartsThatLast);
        DistanceCost on = CostOf(
            null,
            new PartPaid(Start, 0, "chain", 100),
            new OdometerRead(Start.AddDays(10), 2_000)
        )!;
        Assert.Equal((50, true), (on.PartsPer1000Km, on.HasPartsThatLast));
    }

    [Fact]
    public void Work_is_worth_what_is_said_and_nothing_where_nobody_said()
    {
        LogLine[] log = [new UpkeepDone(Start, 0, "set", 30, 4), new OdometerRead(Start.AddDays(1), 500)];
        Assert.Equal(8, CostOf(null, log)!.UpkeepPer1000Km, 9);
        Assert.Equal(48, CostOf(40, log)!.UpkeepPer1000Km, 9);
    }

    [Fact]
    public void What_was_paid_with_another_setup_is_not_in_it()
    {
        FairComparison found = Compare(
            [Setup(1, 15, 45, 0, atKm: 0), Setup(2, 15, 43, 60, SetupStatus.AsFitted, atKm: 1_000)],
            [
                new PartPaid(Start, 0, "chain", 100, 2_000),
                new UpkeepDone(Start.AddDays(59), 990, "oil", 0, 7),
                new UpkeepDone(Start.AddDays(60), 1_000, "oil", 0, 9),
                new OdometerRead(Start.AddDays(70), 1_500),
            ]
        );
        Assert.Equal((7, 50), (found.First!.Cost!.UpkeepPer1000Km, found.First.Cost.PartsPer1000Km));
        Assert.Equal((18, 50), (found.Second!.Cost!.UpkeepPer1000Km, found.Second.Cost.PartsPer1000Km));
    }

    [Fact]
    public void What_somebody_said_to_be_of_another_setup_is_of_that_one()
    {
        FairComparison found = Compare(
            [Setup(1, 15, 45, 0, atKm: 0), Setup(2, 15, 43, 60, SetupStatus.AsFitted, atKm: 1_000)],
            [
                new OdometerRead(Start.AddDays(59), 990),
                new UpkeepDone(Start.AddDays(61), 1_010, "oil", 0, 9, SetupId: 1),
                new OdometerRead(Start.AddDays(70), 1_500),
            ]
        );
        Assert.True(found.First!.Cost!.UpkeepPer1000Km > 0);
        Assert.Equal(0, found.Second!.Cost!.UpkeepPer1000Km);
    }

    [Fact]
    public void Without_a_distance_there_is_none() =>
        Assert.Null(CostOf(10, new UpkeepDone(Start, null, "set", 30), new UpkeepDone(Start, 0, "set", 30)));
}
