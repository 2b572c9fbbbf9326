using Wendrak.Core.Gearing;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Gearing;

public sealed class DriveTrainTests
{
    /// <summary>A gear whose ratio nobody knows is left out; the others keep their numbers.</summary>
    [Fact]
    public void A_gearbox_set_may_have_gaps()
    {
        Drive Box(params double[] reductions) =>
            Drives.WithStages([
                new Gearbox("box", "box", "in", "out", new(1, 1, "measured", reductions, false, null)),
                Drives.Chain("final", "out", "axle"),
            ]);
        DriveTrain train = new(Box(2.6, 0, 1.4, 1.1), Drives.Pair(15, 45));
        Assert.Equal(["1", "3", "4"], train.Gears.Select(g => g.Label));
        Assert.Equal(3 * 1.4, Math.Abs(train.Reduction("axle", train.Gears[1])), 1e-12);
        Refusals.Names("Drive.Stages[0].Set.Reductions", () => _ = new DriveTrain(Box(0, 0), Drives.Pair(15, 45)));
        Refusals.Names("Drive.Stages[0].Set.Reductions[1]", () => _ = new DriveTrain(Box(2, -1), Drives.Pair(15, 45)));
    }

    [Fact]
    public void Overall_ratio_of_a_motorcycle_agrees_with_the_worked_example()
    {
        // Two external pairs turn the sense round twice; the chain keeps it.
        Drive drive = Drives.WithStages([
            new FixedPair("a", "primary", "in", "clutch", 23, 73, Meshing.ExternalGears),
            new FixedPair("b", "gear", "clutch", "out", 22, 31, Meshing.ExternalGears),
            Drives.Chain("final", "out", "axle"),
        ]);
        DriveTrain train = new(drive, Drives.Pair(15, 45));
        double actual = train.Reduction("axle", train.Gears[0]);
        Published.AgreesWithin(0.01, 13.417, actual, "engineering.md a1 (73/23 · 31/22 · 45/15 by hand: 13.417)");
    }

    [Fact]
    public void No_stage_at_all_is_a_direct_drive()
    {
        DriveTrain train = new(Drives.WithStages([]), []);
        Assert.Single(train.Gears);
        Assert.Equal("", train.Gears[0].Label);
        Assert.Equal(1, train.Reduction("in", train.Gears[0]));
    }

    [Fact]
    public void A_hub_gear_divides_by_its_speed_factor()
    {
        Drive drive = Drives.WithStages([
            Drives.Chain("final", "in", "sprocket"),
            new HubGear("hub", "hub", "sprocket", "wheel", "five", [0.64, 0.75, 1.0, 1.333, 1.57], null),
        ]);
        DriveTrain train = new(drive, Drives.Pair(40, 20));
        Assert.Equal(0.5, train.Reduction("wheel", train.Gears[2]), 12);
        Assert.Equal(0.5 / 1.57, train.Reduction("wheel", train.Gears[4]), 12);
        Assert.Equal(["1", "2", "3", "4", "5"], train.Gears.Select(g => g.Label));
    }

    [Fact]
    public void Two_shifted_stages_give_every_combination_of_gears()
    {
        Drive drive = Drives.WithStages([
            new Gearbox("box", "box", "in", "mid", new(1, 1, "two", [2, 1], false, null)),
            new HubGear("hub", "hub", "mid", "wheel", "three", [0.5, 1, 2], null),
        ]);
        DriveTrain train = new(drive, []);
        Assert.Equal(["1·1", "1·2", "1·3", "2·1", "2·2", "2·3"], train.Gears.Select(g => g.Label));
        Assert.Equal([4, 2, 1, 2, 1, 0.5], train.Gears.Select(g => train.Reduction("wheel", g)));
    }

    [Theory]
    [InlineData(Meshing.ExternalGears, -1)]
    [InlineData(Meshing.InternalGears, 1)]
    [InlineData(Meshing.Chain, 1)]
    [InlineData(Meshing.ToothedBelt, 1)]
    public void Only_external_gears_turn_the_sense_round(Meshing meshing, int sense)
    {
        DriveTrain train = new(Drives.WithStages([new FixedPair("a", "a", "in", "out", 20, 40, meshing)]), []);
        Assert.Equal(2 * sense, train.Reduction("out", train.Gears[0]));
    }

    [Fact]
    public void A_crossed_belt_turns_the_sense_round_and_slip_makes_it_shorter()
    {
        Loop belt = Drives.Chain("final", "in", "out") with
        {
            DriveElement = DriveElement.FlatBelt,
            Standard = "flat",
            Arrangement = BeltArrangement.Crossed,
            SlipFraction = 0.02,
        };
        DriveTrain train = new(Drives.WithStages([belt]), [new("final", 100, 300, null)]);
        Assert.Equal(-3 / 0.98, train.Reduction("out", train.Gears[0]), 12);
    }

    [Fact]
    public void A_shaft_may_feed_several_loops()
    {
        Drive drive = Drives.WithStages(
            [Drives.Chain("a", "in", "left"), Drives.Chain("b", "in", "right")],
            new DriveOutput("left", "left", true, null),
            new DriveOutput("right", "right", true, null)
        );
        DriveTrain train = new(drive, [new("a", 10, 20, null), new("b", 10, 30, null)]);
        Assert.Equal(2, train.Reduction("left", train.Gears[0]));
        Assert.Equal(3, train.Reduction("right", train.Gears[0]));
        Assert.Equal("right", train.ReferenceOutput("b").Name);
    }

    [Theory]
    [InlineData(0, "Loops[0].FrontSize")]
    [InlineData(-3, "Loops[0].FrontSize")]
    [InlineData(1e9, "Loops[0].FrontSize")]
    [InlineData(15.5, "Loops[0].FrontSize")]
    [InlineData(double.NaN, "Loops[0].FrontSize")]
    [InlineData(double.PositiveInfinity, "Loops[0].FrontSize")]
    public void Impossible_teeth_are_refused_at_their_field(double front, string field) =>
        Refusals.Names(field, () => _ = new DriveTrain(Drives.Motorcycle(), Drives.Pair(front, 45)));

    [Fact]
    public void A_loop_without_wheels_is_asked_for() =>
        Refusals.Names("Loops", () => _ = new DriveTrain(Drives.Motorcycle(), []));

    [Fact]
    public void A_stage_must_start_on_a_shaft_that_is_driven_already() =>
        Refusals.Names(
            "Drive.Stages[0].DrivingShaft",
            () => _ = new DriveTrain(Drives.WithStages([Drives.Chain("final", "nowhere", "out")]), Drives.Pair(15, 45))
        );

    [Fact]
    public void A_shaft_has_one_source() =>
        Refusals.Names(
            "Drive.Stages[1].DrivenShaft",
            () =>
                _ = new DriveTrain(
                    Drives.WithStages([Drives.Chain("a", "in", "out"), Drives.Chain("b", "in", "out")]),
                    [new("a", 15, 45, null), new("b", 15, 45, null)]
                )
        );

    [Fact]
    public void An_empty_gear_list_is_refused() =>
        Refusals.Names(
            "Drive.Stages[0].Set.Reductions",
            () =>
                _ = new DriveTrain(
                    Drives.WithStages([new Gearbox("box", "box", "in", "out", new(1, 1, "none", [], true, null))]),
                    []
                )
        );

    [Fact]
    public void All_that_is_wrong_comes_back_together()
    {
        Drive drive = Drives.WithStages([new FixedPair("a", "", "in", "out", 0, -1, Meshing.Chain)]);
        string[] fields = [.. Refusals.Of(() => _ = new DriveTrain(drive, [])).Select(i => i.Field)];
        Assert.Equal(["Drive.Stages[0].Name", "Drive.Stages[0].DriverTeeth", "Drive.Stages[0].DrivenTeeth"], fields);
    }
}
