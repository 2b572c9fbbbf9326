using BenchmarkDotNet.Attributes;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Loops;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Bench;

/// <summary>Budget: one setup at four operating points, all its checks, in under 100 µs.</summary>
[MemoryDiagnoser]
public class LoadsBench
{
    private static readonly double[] SixGears = [2.643, 1.857, 1.409, 1.160, 0.962, 0.846];

    private readonly LoadsInput _chain = Chain(15, 45);
    private readonly LoadsInput _poor = Chain(9, 27);

    [Benchmark(Description = "a chain at four operating points")]
    public LoopLoadsResult Fine() => LoopLoads.Evaluate(_chain);

    [Benchmark(Description = "what would mend a poor one")]
    public IReadOnlyList<CheckMends> Mends() => LoadMends.Find(_poor);

    private static LoadsInput Chain(double front, double rear)
    {
        Drive drive = new(
            "drive",
            "Drive",
            null,
            new("in", InputKind.Engine, 3_500, 10_000, null),
            [
                new FixedPair("primary", "primary", "in", "clutch", 28, 76, Meshing.ExternalGears),
                new Gearbox("box", "gearbox", "clutch", "out", new(1, 1, "six", SixGears, true, null)),
                new Loop(
                    "final",
                    "final",
                    "out",
                    "axle",
                    DriveElement.Chain,
                    "520",
                    BeltArrangement.Open,
                    0,
                    null,
                    null,
                    null,
                    null,
                    false
                ),
            ],
            [new("wheel", "axle", true, new(null, 1_895))],
            true,
            SpeedPickup.None,
            0
        );
        LoopLayout layout = new(
            "final",
            Turning.Clockwise,
            new(0, 0),
            new(-620, 0),
            [],
            new(LoopLayout.RearName, new LineTrack(new(-620, 0), new(-700, 0)))
        );
        LoadSource source = new("drive", PeakTorqueNm: 40, PeakTorqueRpm: 6_500, PeakPowerKw: 35, BrakingTorqueNm: 10);
        return new(
            drive,
            MachineKind.Motorcycle,
            [new("final", front, rear, null)],
            [],
            layout,
            source,
            new("final", BearingAreaMm2: 60)
        );
    }
}
