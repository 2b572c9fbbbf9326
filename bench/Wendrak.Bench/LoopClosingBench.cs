using BenchmarkDotNet.Attributes;
using Wendrak.Core.Loops;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wheels;

namespace Wendrak.Bench;

/// <summary>Budget: a loop of 6 wheels, one of them movable, solved in under 20 µs.</summary>
[MemoryDiagnoser]
public class LoopClosingBench
{
    private static readonly LineTrack Down = new(new(200, 160), new(200, 40));

    private readonly LoopWheel[] _six =
    [
        Wheel("a", 0, 0, 60, RunSide.Inside),
        Wheel("b", 250, -90, 30, RunSide.Inside),
        Wheel("c", 500, -20, 110, RunSide.Inside),
        Wheel("d", 420, 220, 40, RunSide.Inside),
        Wheel("tensioner", 200, 120, 30, RunSide.Back),
        Wheel("f", 40, 200, 40, RunSide.Inside),
    ];

    private double _length;

    [GlobalSetup]
    public void Prepare()
    {
        LoopWheel[] placed = [.. _six];
        placed[4] = placed[4] with { Centre = Down.At(63.7) };
        (LoopPath? path, LayoutProblem? problem) = LoopTracing.Trace(placed, Turning.Counterclockwise);
        _length = path?.LengthMm ?? throw new InvalidOperationException($"{problem}");
    }

    [Benchmark(Description = "6 wheels, tensioner solved")]
    public double? Solve() =>
        LoopClosing.TravelMm(_six, 4, Down, Turning.Counterclockwise, BeltArrangement.Open, _length);

    private static LoopWheel Wheel(string name, double x, double y, double radius, RunSide side) =>
        new(name, new(x, y), WheelOutline.Roller(2 * radius), side, null);
}
