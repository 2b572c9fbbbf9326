using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Gearing;

/// <summary>What a stage or drive that somebody adds begins with. Names, keys and shafts are given where it is added.</summary>
/// <remarks>Shapes are common practice; every number is to be replaced, none is of a real machine.</remarks>
public static class StartingStages
{
    private const string Added = "";

    /// <summary>One of each kind.</summary>
    public static IReadOnlyList<Stage> All { get; } =
    [
        new FixedPair(Added, "reduction", Added, Added, 20, 40, Meshing.ExternalGears),
        new Gearbox(Added, "gearbox", Added, Added, new(0, 0, "New gearbox set", [2.5, 1.5, 1], true, null)),
        new HubGear(Added, "hub gear", Added, Added, "hub gear", [0.75, 1, 1.333], null),
        new PlanetaryStage(Added, "planetary", Added, Added, 18, 72, PlanetaryMember.Ring, PlanetaryMember.Sun),
        new Loop(
            Added,
            "loop",
            Added,
            Added,
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
    ];

    public static Drive Drive { get; } =
        new(
            Added,
            "drive",
            null,
            new("motor", InputKind.Motor, 300, 3000, null),
            [],
            [new("wheel", "motor", true, null)],
            true,
            SpeedPickup.None,
            0
        );
}
