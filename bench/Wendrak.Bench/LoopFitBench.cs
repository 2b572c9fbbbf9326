using BenchmarkDotNet.Attributes;
using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Bench;

/// <summary>The questions of the Fit page: budget 10 ms a call, so the core must stay well under it.</summary>
[MemoryDiagnoser]
public class LoopFitBench
{
    private readonly LoopFitInput _chain = Chain();
    private readonly LoopCombinationsInput _belt = Belt();

    [Benchmark(Description = "one loop in its slot")]
    public LoopFitResult Fit() => LoopFit.Evaluate(_chain);

    [Benchmark(Description = "21 pairs around it")]
    public NeighbourPairsResult Neighbours() => NeighbourPairs.Find(_chain);

    [Benchmark(Description = "21 × 25 wheels, every length")]
    public LoopCombinationsResult Combinations() => LoopCombinations.Find(_belt);

    private static LoopFitInput Chain()
    {
        Drive drive = DriveOf(InputKind.Engine, DriveElement.Chain, "520");
        LoopChoice choice = new("final", 15, 45, 112);
        return new(drive, choice, choice, Slot(628, 668), null, false, 1);
    }

    private static LoopCombinationsInput Belt()
    {
        Drive drive = DriveOf(InputKind.Rider, DriveElement.ToothedBelt, "BIKE11");
        LoopChoice choice = new("final", 46, 24, 118);
        int[] fronts = [.. Enumerable.Range(36, 21)];
        int[] rears = [.. Enumerable.Range(18, 25)];
        return new(drive, choice, Slot(446, 464), fronts, rears, [], []);
    }

    private static LoopLayout Slot(double from, double to) =>
        new(
            "final",
            Turning.Clockwise,
            new(0, 0),
            new(-from, 0),
            [],
            new(LoopLayout.RearName, new LineTrack(new(-from, 0), new(-to, 0)))
        );

    private static Drive DriveOf(InputKind kind, DriveElement element, string standard) =>
        new(
            "drive",
            "Drive",
            null,
            new("in", kind, 40, 10_000, null),
            [
                new Loop(
                    "final",
                    "final",
                    "in",
                    "axle",
                    element,
                    standard,
                    BeltArrangement.Open,
                    0,
                    null,
                    null,
                    null,
                    null,
                    false
                ),
            ],
            [new("wheel", "axle", true, new(null, 2_000))],
            true,
            SpeedPickup.None,
            0
        );
}
