using System.Diagnostics;
using Wendrak.Core.Alignment;
using Wendrak.Core.Gearing;
using Wendrak.Core.Geometry;
using Wendrak.Core.Machines;
using Wendrak.Core.Tension;

namespace Wendrak.Bench;

/// <summary>Prints how the advisor fares with 1000 simulated drives it knows nothing of.</summary>
internal static class AdvisorFigures
{
    private const int Drives = 1_000;

    public static void Print()
    {
        foreach (
            (string name, SetInput loop) in new[] { ("toothed belt, two ends", Belt()), ("chain, two ends", Chain()) }
        )
        {
            long started = Stopwatch.GetTimestamp();
            PracticeRun[] runs = [.. Enumerable.Range(0, Drives).Select(seed => PracticeRuns.Of(seed, loop))];
            double ms = Stopwatch.GetElapsedTime(started).TotalMilliseconds;
            int[] rounds = [.. runs.Select(r => r.Rounds).Order()];
            Console.WriteLine(name);
            Console.WriteLine(
                $"  in window and track when done  {runs.Count(r => r.IsInside && r.End == NextStep.Done)} of {Drives}"
            );
            Console.WriteLine($"  rounds, median and 95th        {rounds[Drives / 2]}, {rounds[Drives * 95 / 100]}");
            Console.WriteLine(
                $"  farthest past the window       {runs.Max(r => r.OverByUnits):0.000} turn (a hand step is 0.063)"
            );
            Console.WriteLine($"  said “as near as a hand can”   {runs.Count(r => r.End == NextStep.AsNearAsAHand)}");
            Console.WriteLine($"  one drive, all its rounds      {ms / Drives:0.0} ms");
        }
    }

    private static SetInput Belt() =>
        Loop(LoopMedium.ToothedBelt, "8M", 28, 80, 410) with
        {
            Strength = new("final", WidthMm: 20),
            Setting = new(
                "final",
                MmPerUnit: 1.5,
                GapSide: Side.Left,
                MakerMethod: ReadingMethod.Pluck,
                MakerLow: 64,
                MakerHigh: 74
            ),
        };

    private static SetInput Chain() => Loop(LoopMedium.Chain, "520", 15, 45, 640);

    private static SetInput Loop(LoopMedium medium, string standard, double front, double rear, double centreMm)
    {
        Loop loop = new(
            "final",
            "final",
            "in",
            "out",
            medium,
            standard,
            LoopCourse.Open,
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
            new("in", InputKind.Engine, 1_000, 9_000, null),
            [loop],
            [new("wheel", "out", true, null)],
            true,
            SpeedPickup.None,
            0
        );
        LoopLayout layout = new(
            "final",
            Turning.Clockwise,
            new(0, 0),
            new(-centreMm, 0),
            [],
            new(MoverKind.Axle, LoopLayout.RearName, new LineTrack(new(10 - centreMm, 0), new(-10 - centreMm, 0)))
        );
        return new(
            drive,
            MachineKind.Motorcycle,
            [new("final", front, rear, null)],
            [],
            layout,
            null,
            null,
            new("final"),
            []
        );
    }
}
