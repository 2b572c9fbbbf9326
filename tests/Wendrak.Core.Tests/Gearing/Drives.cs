using Wendrak.Core.Gearing;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Gearing;

/// <summary>Small drives to test with.</summary>
internal static class Drives
{
    public static readonly double[] SixGears = [2.643, 1.857, 1.409, 1.160, 0.962, 0.846];

    public static Loop Chain(string key, string from, string to) =>
        new(key, key, from, to, DriveElement.Chain, "520", BeltArrangement.Open, 0, null, null, null, null, false);

    public static Drive WithStages(IReadOnlyList<Stage> stages, params IReadOnlyList<DriveOutput> outputs) =>
        new(
            "drive",
            "Drive",
            null,
            new("in", InputKind.Engine, 1000, 10000, null),
            stages,
            outputs.Count > 0 ? outputs : [new("wheel", stages.Count > 0 ? stages[^1].DrivenShaft : "in", true, null)],
            true,
            SpeedPickup.None,
            0
        );

    /// <summary>Primary 28/76, six gears, chain; a wheel rolled out at 1895 mm.</summary>
    public static Drive Motorcycle(bool interchangeable = false) =>
        WithStages(
            [
                new FixedPair("primary", "primary", "in", "clutch", 28, 76, Meshing.ExternalGears),
                new Gearbox("box", "gearbox", "clutch", "out", new(1, 1, "six", SixGears, true, null)),
                Chain("final", "out", "axle"),
            ],
            new DriveOutput("rear wheel", "axle", true, new(null, 1895))
        ) with
        {
            GearsInterchangeable = interchangeable,
        };

    public static IReadOnlyList<LoopChoice> Pair(double front, double rear, int? links = 112) =>
        [new("final", front, rear, links)];
}
