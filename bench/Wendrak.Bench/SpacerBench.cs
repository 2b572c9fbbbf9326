using BenchmarkDotNet.Attributes;
using Wendrak.Core.Gearing;
using Wendrak.Core.Shafts;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Bench;

/// <summary>Budget 10 ms a call, and a rail asks for several shafts in one.</summary>
[MemoryDiagnoser]
public class SpacerBench
{
    private readonly SpacerStacksInput _twoRows = Shaft(
        new("a", WheelSide.Front, 14, 4, 20, true),
        new("b", WheelSide.Front, 14, 10, 43, true)
    );
    private readonly SpacerStacksInput _oneRow = Shaft(new SprocketOnShaft("a", WheelSide.Front, 18, 9, 20, false));

    [Benchmark(Description = "two rows that can be turned, 32 spacers of 7 thicknesses")]
    public SpacerStacksResult TwoRowsOnAShaft() => SpacerStacks.Find(_twoRows);

    [Benchmark(Description = "one row, the same drawer")]
    public SpacerStacksResult OneRowOnAShaft() => SpacerStacks.Find(_oneRow);

    private static SpacerStacksInput Shaft(params SprocketOnShaft[] hubs)
    {
        Loop Row(string key, string to) =>
            new(
                key,
                key,
                "middle",
                to,
                DriveElement.Chain,
                "06B",
                BeltArrangement.Open,
                0,
                null,
                null,
                null,
                null,
                false
            );
        Drive drive = new(
            "drive",
            "Drive",
            null,
            new("middle", InputKind.Motor, 10, 200, null),
            [Row("a", "front"), Row("b", "rear")],
            [new("front wheel", "front", true, null), new("rear wheel", "rear", true, null)],
            true,
            SpeedPickup.None,
            0
        );
        SpacerCount[] drawer = [new(0.5, 6), new(1, 8), new(2, 6), new(3, 4), new(5, 4), new(8, 2), new(10, 2)];
        ShaftWidths shaft = new("drive", "middle", -190, 60, 12, hubs);
        return new(drive, shaft, drawer, null, 0, null, SpacerOrder.FewestPieces);
    }
}
