using BenchmarkDotNet.Attributes;
using Wendrak.Core.Gearing;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Bench;

/// <summary>Budget: 40 fronts × 80 rears × 8 gears with all annotations under 2 ms.</summary>
[MemoryDiagnoser]
public class RatioSearchBench
{
    private static readonly double[] EightGears = [2.9, 2.2, 1.75, 1.45, 1.25, 1.1, 0.98, 0.88];

    private RatioSearchInput _wide = null!;
    private RatioSearchInput _usual = null!;
    private RatioSearchInput _twoLoops = null!;

    [GlobalSetup]
    public void Prepare()
    {
        Loop chain = Chain("final", "out", "axle");
        Drive drive = DriveOf(
            new FixedPair("primary", "primary", "in", "clutch", 28, 76, Meshing.ExternalGears),
            new Gearbox("box", "gearbox", "clutch", "out", new(1, 1, "eight", EightGears, true, null)),
            chain
        );
        LoopChoice[] fitted = [new("final", 15, 45, 112)];
        StockWheel[] stock =
        [
            .. Enumerable.Range(10, 30).Select(z => new StockWheel("520", WheelSide.Front, z, null, z % 3, 20, true)),
            .. Enumerable
                .Range(30, 60)
                .Select(z => new StockWheel("520", WheelSide.Rear, z, null, z % 4, 45, z % 7 != 0)),
        ];
        // An overall aim without a gear gives a band in each of the eight gears: about a third of all pairs are hits.
        _wide = new(
            drive,
            fitted,
            [],
            [Range("final", 10, 49, 20, 99)],
            new OverallRatio(7, 8.5, null),
            [],
            RatioRanking.LeastWork,
            stock
        );
        _usual = _wide with { Search = [Range("final", 13, 17, 40, 50)], Aim = new CruiseSpeed(90, 7, 5020, 5330) };
        Drive two = DriveOf(Chain("first", "in", "jack"), Chain("final", "jack", "axle"));
        _twoLoops = new(
            two,
            [new("first", 14, 38, 84), new("final", 15, 45, 96)],
            [],
            [Range("first", 10, 25, 30, 55), Range("final", 10, 25, 30, 55)],
            new FinalRatio(7.9, 8.3),
            [],
            RatioRanking.Closeness,
            stock
        );
    }

    [Benchmark(Baseline = true, Description = "40 × 80 × 8, all annotations")]
    public RatioSearchResult Wide() => RatioSearch.Run(_wide);

    [Benchmark(Description = "5 × 11 × 8, as the page asks")]
    public RatioSearchResult Usual() => RatioSearch.Run(_usual);

    [Benchmark(Description = "two loops, 16 × 26 each")]
    public RatioSearchResult TwoLoops() => RatioSearch.Run(_twoLoops);

    private static Drive DriveOf(params Stage[] stages) =>
        new(
            "drive",
            "Drive",
            null,
            new("in", InputKind.Engine, 3500, 10000, null),
            stages,
            [new("rear wheel", "axle", true, new(null, 1895))],
            true,
            SpeedPickup.GearboxOutput,
            0
        );

    private static Loop Chain(string key, string from, string to) =>
        new(key, key, from, to, DriveElement.Chain, "520", BeltArrangement.Open, 0, null, null, 90, 11, false);

    private static LoopSearch Range(string key, double frontMin, double frontMax, double rearMin, double rearMax) =>
        new(key, frontMin, frontMax, rearMin, rearMax, false, false, null, 112, null, []);
}
