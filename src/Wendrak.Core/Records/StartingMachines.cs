using Wendrak.Core.Gearing;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Records;

/// <summary>A machine to begin with: drives and wheels that the owner then corrects.</summary>
public sealed record MachineDraft(Machine Machine, IReadOnlyList<LoopChoice> Fitted);

/// <summary>Typical drives by kind of machine, so that nobody starts from an empty tree.</summary>
/// <remarks>Shapes are common practice; every number is a starting value to be replaced, none is of a real machine.</remarks>
public static class StartingMachines
{
    private const string Loop = "final";

    public static MachineDraft For(MachineKind kind) =>
        kind switch
        {
            MachineKind.Motorcycle => Motorcycle(),
            MachineKind.Bicycle => Bicycle(),
            MachineKind.Robot => Robot(),
            MachineKind.Winch => Winch(),
            MachineKind.Moped => Electric(kind, DriveElement.ToothedBelt, "8M", 28, 84, 150, "100/80-14", 4500),
            MachineKind.LoadCarrier => Electric(kind, DriveElement.Chain, "428", 14, 42, 112, "3.50-10", 3500),
            MachineKind.KickBoard => Electric(kind, DriveElement.ToothedBelt, "5M", 16, 40, 60, "100 mm", 6000),
            _ => Electric(MachineKind.Other, DriveElement.Chain, "08B", 15, 45, 110, "400 mm", 3000),
        };

    private static MachineDraft Motorcycle()
    {
        GearboxSet set = new(0, 0, "Six-speed starting values", [2.75, 1.9, 1.45, 1.2, 1.0, 0.88], true, null);
        Drive drive = new(
            "drive",
            "Drive",
            null,
            new("crankshaft", InputKind.Engine, 3000, 9000, null),
            [
                new FixedPair("primary", "primary", "crankshaft", "clutch", 28, 76, Meshing.ExternalGears),
                new Gearbox("gearbox", "gearbox", "clutch", "output shaft", set),
                LoopStage("output shaft", "rear wheel", DriveElement.Chain, "520"),
            ],
            [new("rear wheel", "rear wheel", true, new("130/80-17", null))],
            false, // injected engines have maps by gear: the owner says when gears are as good as each other
            SpeedPickup.GearboxOutput,
            0
        );
        return Draft(MachineKind.Motorcycle, drive, new(Loop, 15, 45, 112));
    }

    private static MachineDraft Bicycle()
    {
        HubGearPattern hub = HubGears.All.First(h => h.SpeedFactors.Count == 5);
        Drive drive = new(
            "drive",
            "Drive",
            null,
            new("crank", InputKind.Rider, 50, 100, 170),
            [
                LoopStage("crank", "hub sprocket", DriveElement.Chain, "1/2 x 1/8"),
                new HubGear("hub", "hub gear", "hub sprocket", "rear wheel", hub.Name, hub.SpeedFactors, null),
            ],
            [new("rear wheel", "rear wheel", true, new("47-622", null))],
            true,
            SpeedPickup.None,
            0
        );
        return Draft(MachineKind.Bicycle, drive, new(Loop, 38, 18, 104));
    }

    private static MachineDraft Robot()
    {
        Drive drive = new(
            "drive",
            "Drive",
            null,
            new("motor", InputKind.Motor, 300, 3000, null),
            [
                new PlanetaryStage(
                    "planetary",
                    "planetary",
                    "motor",
                    "output shaft",
                    18,
                    72,
                    PlanetaryMember.Ring,
                    PlanetaryMember.Sun
                ),
                LoopStage("output shaft", "wheel", DriveElement.Chain, "06B"),
            ],
            [new("wheel", "wheel", true, new("200 mm", null))],
            true,
            SpeedPickup.None,
            0
        );
        return Draft(MachineKind.Robot, drive, new(Loop, 15, 30, 80));
    }

    private static MachineDraft Winch()
    {
        Drive drive = new(
            "drive",
            "Drive",
            null,
            new("motor", InputKind.Motor, 1400, 1450, null),
            [LoopStage("motor", "drum", DriveElement.VBelt, "A") with { SlipFraction = 0.01 }],
            [new("drum", "drum", false, new("120 mm", null))],
            true,
            SpeedPickup.None,
            0
        );
        return Draft(MachineKind.Winch, drive, new(Loop, 90, 355, null, 2240));
    }

    private static MachineDraft Electric(
        MachineKind kind,
        DriveElement element,
        string standard,
        int front,
        int rear,
        int links,
        string tyre,
        double limitRpm
    )
    {
        Drive drive = new(
            "drive",
            "Drive",
            null,
            new("motor", InputKind.Motor, 300, limitRpm, null),
            [LoopStage("motor", "wheel", element, standard)],
            [new("wheel", "wheel", true, new(tyre, null))],
            true,
            SpeedPickup.None,
            0
        );
        return Draft(kind, drive, new(Loop, front, rear, links));
    }

    private static Loop LoopStage(string driving, string driven, DriveElement element, string standard) =>
        new(
            Loop,
            "final drive",
            driving,
            driven,
            element,
            standard,
            BeltArrangement.Open,
            0,
            null,
            null,
            null,
            null,
            false
        );

    private static MachineDraft Draft(MachineKind kind, Drive drive, LoopChoice choice) =>
        new(new(0, 0, "", kind, null, null, null, [drive], null), [choice]);
}
