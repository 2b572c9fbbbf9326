using Wendrak.Core.Evaluation;
using Wendrak.Core.Gearing;
using Wendrak.Core.Procedures;
using Wendrak.Core.Records;
using Wendrak.Core.Shafts;
using Wendrak.Core.Stock;
using Wendrak.Core.Tests.Evaluation;
using Wendrak.Core.Tests.Gearing;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Procedures;

/// <summary>What takes the place of what is missing on the tray, and what that takes from elsewhere.</summary>
public sealed class TrayTests
{
    private static StockPart Chain(string name, string goesWith, int count) =>
        new(0, 0, PartKind.Chain, name, goesWith, count, null, true, null);

    private static TrayCount Count(Workshop workshop, string part = "chain")
    {
        StoredMachine stored = Benches.Motorcycle(Benches.Setup(2, SetupStatus.Trial, Drives.Pair(16, 45)));
        return stored
            .Ask(new() { Build = new(Changes: [ChangeKind.WholeSet]) }, new(["final"], 2), workshop)
            .Build!.Answer!.Tray.Single(t => t.Part.Key == part);
    }

    /// <summary>Source: 112 links of 15.875 mm (ISO 10190, chain 520) are 1.778 m; links go in pairs, common practice.</summary>
    [Fact]
    public void A_longer_chain_or_a_reel_of_the_same_kind_takes_the_place_of_a_chain_the_nearest_first()
    {
        TrayCount count = Count(
            new(
                [],
                [],
                [],
                [
                    Chain("1.77 m on a reel", "520", 1),
                    Chain("1.78 m on a reel", "520", 3),
                    Chain("118 links, sealed", "520", 2),
                    Chain("116 links", "520", 1),
                    Chain("115 links", "520", 1),
                    Chain("110 links", "520", 1),
                    Chain("114 links", "428", 1),
                    Chain("114 links", "520", 0),
                ]
            )
        );
        Assert.Equal((0, true), (count.InStock, count.IsShort));
        Assert.Equal(
            [("4 links are taken out", 0), ("6 links are taken out", 1), ("cut from it", (int?)3)],
            count.StandIns.Select(s => (s.How, s.Left))
        );
        Assert.Contains("116 links", count.StandIns[0].Line);
    }

    /// <summary>Two chains of 100 links of 15.875 mm (ISO 10190, chain 520) are 3.175 m.</summary>
    [Theory]
    [InlineData("3.18 m on a reel", 1, true)]
    [InlineData("3.17 m on a reel", 1, false)]
    [InlineData("102 links", 2, true)]
    [InlineData("102 links", 1, false)]
    public void As_many_chains_as_are_missing_must_come_of_it(string name, int there, bool does)
    {
        TrayCount count = Benches
            .Rail()
            .Ask(
                new() { Build = new([ProcedureFamily.RobotRail], [ChangeKind.WholeSet]) },
                new(["left first"]),
                new([], [], [], [Chain(name, "520", there)])
            )
            .Build!.Answer!.Tray.Single(t => t.Part.Kind == PartKind.Chain);
        Assert.Equal(2, count.Part.Count);
        Assert.Equal(does, count.StandIns.Count == 1);
    }

    [Fact]
    public void What_there_is_enough_of_needs_nothing_in_its_place()
    {
        TrayCount count = Count(new([], [], [], [Chain("112 links", "520", 1), Chain("116 links", "520", 1)]));
        Assert.Equal((1, false), (count.InStock, count.IsShort));
        Assert.Empty(count.StandIns);
    }

    /// <summary>Common practice: what is short comes off a machine that can spare it, and that one is named.</summary>
    [Fact]
    public void What_is_short_can_come_off_another_machine_which_then_stands_without()
    {
        Loop loop = (Loop)Drives.Motorcycle().Stages.Single(s => s.Key == "final");
        LoopOnMachine On(long machine, string name, LoopChoice choice, string? standard = null) =>
            new(machine, name, loop with { Standard = standard ?? loop.Standard }, choice, FaultKind.Chain);
        LoopChoice wanted = Drives.Pair(16, 45).Single(c => c.LoopKey == "final");
        Workshop workshop = new([], [], [], [])
        {
            OnMachines =
            [
                On(Benches.Motorcycle().Machine.Id, "itself", wanted),
                On(901, "another chain", wanted, "428"),
                On(902, "Heron", wanted with { FrontSize = 17 }),
                On(903, "Snipe", wanted with { RearSize = 46, Links = wanted.Links + 2 }),
            ],
        };
        Assert.StartsWith("the front wheel of Snipe", Assert.Single(Count(workshop, "front-wheel").StandIns).Line);
        TrayStandIn rear = Assert.Single(Count(workshop, "rear-wheel").StandIns);
        Assert.Equal(("the rear wheel of Heron", null), (rear.Line, rear.Left));
        Assert.Contains("Heron then stands without one", rear.How);
        Assert.Equal("the chain of Heron", Assert.Single(Count(workshop).StandIns).Line);
    }

    private static TrayCount Spacers(params StockSpacer[] drawer)
    {
        StoredMachine rail = Benches.Rail();
        ShaftWidths Shaft(string name, WheelSide side) =>
            new("left", name, 0, 40, 12, [new("left first", side, 20, 10, 20, false)]);
        StoredMachine measured = rail with
        {
            Machine = rail.Machine with
            {
                Shafts =
                [
                    Shaft("in", WheelSide.Front),
                    Shaft("middle", WheelSide.Rear),
                    new("right", "in", 0, 40, 12, [new("right first", WheelSide.Front, 20, 10, 20, false)]),
                ],
            },
        };
        return measured
            .Ask(
                new() { Build = new([ProcedureFamily.RobotRail], [ChangeKind.BothWheels]) },
                new(["left first"]),
                new([], drawer, [], [])
            )
            .Build!.Answer!.Tray.Single(t => t.Part.Key == "spacers");
    }

    private static StockSpacer Piece(double mm, int count) => new(0, 0, mm, 12, count);

    [Fact]
    public void Spacers_are_laid_out_by_shaft_from_the_one_drawer_of_the_machine()
    {
        TrayCount count = Spacers(Piece(10, 6));
        Assert.False(count.IsShort);
        // The shaft of the other drive has no wheel of this loop, and takes its two all the same.
        Assert.Equal(["in", "middle"], count.Shafts.Select(s => s.Shaft));
        Assert.All(
            count.Shafts,
            s =>
                Assert.Equal(
                    [
                        [10.0],
                        [10.0],
                    ],
                    s.GapsMm
                )
        );
    }

    [Fact]
    public void A_missing_spacer_is_named_with_the_shaft_that_takes_the_last_of_its_kind()
    {
        TrayCount count = Spacers(Piece(10, 3));
        Assert.True(count.IsShort);
        ShaftOnTray open = count.Shafts.First(s => !s.IsFilled);
        Assert.Equal((10.0, false), (open.Missing!.ThicknessMm, open.Missing.IsMade));
        Assert.NotNull(open.Missing.TakenBy);
    }

    [Fact]
    public void A_drawer_of_more_kinds_than_are_tried_is_said_and_keeps_nobody_from_the_work()
    {
        TrayCount count = Spacers([.. Enumerable.Range(1, 41).Select(i => Piece(i / 10.0, 1))]);
        Assert.Empty(count.Shafts);
        Assert.Contains("they can't be laid out here: Give 1 to 40 thicknesses.", count.What);
    }

    [Fact]
    public void A_bore_that_the_drawer_does_not_have_and_a_shaft_that_nobody_measured_are_said()
    {
        TrayCount none = Spacers(new StockSpacer(0, 0, 10, 17, 6));
        Assert.True(none.IsShort);
        Assert.All(none.Shafts, s => Assert.Equal((false, 0), (s.IsFilled, s.GapsMm.Count)));
        TrayCount unmeasured = Benches
            .Rail()
            .Ask(
                new() { Build = new([ProcedureFamily.RobotRail], [ChangeKind.BothWheels]) },
                new(["left first"]),
                new([], [Piece(10, 6)], [], [])
            )
            .Build!.Answer!.Tray.Single(t => t.Part.Key == "spacers");
        Assert.Contains("no shaft of this loop is measured", unmeasured.What);
        Assert.False(unmeasured.IsShort);
    }
}
