using Wendrak.Core.Evaluation;
using Wendrak.Core.Gearing;
using Wendrak.Core.Markings;
using Wendrak.Core.Stock;
using Wendrak.Core.Tests.Gearing;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Evaluation;

/// <summary>What a marking goes with in a yard: loops, road wheels, and what lies on the shelf.</summary>
public sealed class MarkingInYardTests
{
    private static readonly Loop Final = (Loop)Drives.Motorcycle().Stages.Single(s => s.Key == "final");
    private static readonly LoopChoice On15And45 = Drives.Pair(15, 45).Single(c => c.LoopKey == "final");

    private static readonly Workshop Yard = new(
        [
            Wheel("520", WheelSide.Front, 15, 2),
            Wheel("520", WheelSide.Rear, 43, 0),
            Wheel("8M", WheelSide.Front, 15, 1),
        ],
        [],
        [],
        [Part("112 links", "520", 1), Part("118 links", "520", 0), Part("belt", "8M, 5M", 1)]
    )
    {
        OnMachines =
        [
            new(1, "Curlew", Final, On15And45, FaultKind.Chain) { RoadWheels = ["130/90-16"] },
            new(
                2,
                "Dunlin",
                Final with
                {
                    Standard = "428",
                    Name = "chain",
                },
                On15And45 with
                {
                    RearSize = 40,
                },
                FaultKind.Chain
            ),
        ],
    };

    private static StockItem Wheel(string standard, WheelSide side, double size, int count) =>
        new(0, 0, new(standard, side, size, null, count, null, true), null);

    private static StockPart Part(string name, string goesWith, int count) =>
        new(0, 0, PartKind.Chain, name, goesWith, count, null, true, null);

    private static MarkingInYard Of(string text, MarkedThing? on = null) =>
        MarkingFound.Of(Marking.Read(text, on), Yard).Found!;

    [Fact]
    public void A_chain_goes_on_loops_of_its_size_with_wheels_and_parts_that_are_there()
    {
        MarkingInYard chain = Of("520 x 112");
        Assert.Equal([new($"{Final.Name} of Curlew", 1, null)], chain.OnMachines);
        Assert.Equal([new("front 15", null, 2), new("112 links", null, 1)], chain.OnShelf);
        Assert.Empty(Of("630 x 96").OnMachines);
    }

    [Fact]
    public void A_wheel_that_says_its_teeth_alone_goes_where_such_a_wheel_runs()
    {
        MarkingInYard wheel = Of("15T");
        Assert.Equal(["Curlew", "Dunlin"], wheel.OnMachines.Select(m => m.What.Split(" of ")[1]));
        Assert.Equal(["front 15 for 520", "front 15 for 8M"], wheel.OnShelf.Select(s => s.What));
        Assert.Equal("Curlew", Assert.Single(Of("45T").OnMachines).What.Split(" of ")[1]);
        Assert.Equal([1L], Of("15T 520").OnMachines.Select(m => m.MachineId!.Value));
    }

    [Fact]
    public void A_tyre_goes_on_road_wheels_of_its_size_however_it_is_written()
    {
        Assert.Equal([new("road wheel of Curlew", 1, null)], Of("130/90 - 16").OnMachines);
        Assert.Empty(Of("180/55ZR17").OnMachines);
        Assert.Empty(Of("130/90-16").OnShelf);
    }

    [Fact]
    public void What_could_be_several_things_says_of_each_where_it_goes()
    {
        MarkingFound open = MarkingFound.Of(Marking.Read("520"), Yard);
        Assert.Null(open.Found);
        Assert.Single(open.CouldBe.First(c => c.Reading.Thing == MarkedThing.Chain).OnMachines);
        Assert.Equal(
            "belt",
            Assert.Single(open.CouldBe.First(c => c.Reading.Standard == "8M").OnShelf, s => s.What == "belt").What
        );
    }
}
