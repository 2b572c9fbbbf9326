using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tables;

/// <summary>A row of <c>alignment_limits.csv</c>.</summary>
public sealed record AlignmentRow(string Use, string Drive);

/// <summary>
/// What is taken for granted of a kind of machine, in one row: which rows of the other tables are its own, what it is
/// usually set by, and what must be so before hands go near. Common practice, where nothing else is said.
/// </summary>
/// <param name="VehicleClass">Row of <c>road_loads.csv</c>; null for what pushes nothing along a road.</param>
/// <param name="DrivesAllWheels">Then all of its mass gives grip.</param>
/// <param name="Lubrication">What its chain runs on where nobody said.</param>
/// <param name="ChainWear">Use in <c>wear_limits.csv</c>.</param>
/// <param name="Shock">Row of the vehicles in <c>service_factors.csv</c>; null for machines, which are told by how their load is taken.</param>
/// <param name="ShockWithRegeneration">The same where a motor brakes through the loop.</param>
/// <param name="ChainAlignment">How straight its sprockets are to stand.</param>
/// <param name="BeltAlignment">The same of the pulleys of a toothed belt.</param>
/// <param name="ChainPlay">Use in <c>tension_targets.csv</c>; null where it hangs on the suspension, or on how steep the loop runs.</param>
/// <param name="HasSuspension">Whether it matters to its chain how the driven axle is carried.</param>
/// <param name="BeltTension">Use in <c>tension_targets.csv</c> of a belt nobody gave a window for; null for none.</param>
/// <param name="Adjuster">What its loop is usually set by.</param>
/// <param name="MostTeethMoreInFront">Teeth that may find room in front, and millimetres of a pulley.</param>
/// <param name="Held">How it stands before hands go near.</param>
/// <param name="Defers">Whose work it is where people can be hurt.</param>
/// <param name="MostLoopRatio">Of one loop, where that is less than the tables say of its kind; null for theirs.</param>
/// <param name="MayLift">Whether some of them hoist, carry persons up or fly, so that it has to be said of each.</param>
/// <param name="HasRoadBrake">Whether the driven wheel brakes on the road, so that the brake is tried before it goes out.</param>
public sealed record MachineKindRow(
    string? VehicleClass,
    bool DrivesAllWheels,
    LubricationSchool Lubrication,
    string ChainWear,
    string? Shock,
    string? ShockWithRegeneration,
    AlignmentRow ChainAlignment,
    AlignmentRow BeltAlignment,
    string? ChainPlay,
    bool HasSuspension,
    string? BeltTension,
    AdjusterKind Adjuster,
    int MostTeethMoreInFront,
    string Held,
    string Defers,
    bool HasRoadBrake,
    bool MayLift = false,
    double? MostLoopRatio = null
);

/// <summary>One row per kind of machine; nothing else in the program decides by the kind.</summary>
public static class MachineKinds
{
    private static readonly AlignmentRow IndustrialChain = new("industrial", "roller chain");
    private static readonly AlignmentRow IndustrialBelt = new("industrial", "synchronous belt");
    private static readonly AlignmentRow RobotBelt = new("robot", "synchronous belt");

    // Under the cover of an engine or motor there is room for two more, rarely for more; elsewhere a larger wheel is a
    // matter of ordering it.
    private const int UnderACover = 2;
    private const int InTheOpen = 8;

    private const string LicensedWorkshop =
        "Brakes and steering are for a licensed workshop; what the road asks is local law.";
    private const string Workshop = "Brakes and steering are for a workshop; what the road asks is local law.";
    private const string StartsByItself =
        "Machines that start by themselves are made safe by local rules before hands go in.";

    private static readonly MachineKindRow Motorcycle = new(
        VehicleClass: "motorcycle naked",
        DrivesAllWheels: false,
        Lubrication: LubricationSchool.SealedRing,
        ChainWear: "motorcycle sealed-ring",
        Shock: "motorcycle",
        ShockWithRegeneration: "e-motorcycle with regeneration",
        ChainAlignment: new("motorcycle", "roller chain"),
        BeltAlignment: new("motorcycle", "synchronous belt final"),
        ChainPlay: null,
        HasSuspension: true,
        BeltTension: null,
        Adjuster: AdjusterKind.TwoEnds,
        MostTeethMoreInFront: UnderACover,
        Held: "Wheel clear of the ground, vehicle chocked",
        Defers: LicensedWorkshop,
        HasRoadBrake: true
    );

    private static readonly MachineKindRow Moped = Motorcycle with { VehicleClass = "moped and light motorcycle" };

    private static readonly MachineKindRow Bicycle = new(
        VehicleClass: "cargo bike",
        DrivesAllWheels: false,
        Lubrication: LubricationSchool.Industrial,
        ChainWear: "bicycle single speed or hub gear",
        Shock: "motorcycle", // a motor before the loop hits it as hard as on a motorcycle
        ShockWithRegeneration: null,
        ChainAlignment: new("bicycle", "single speed or hub gear chain"),
        BeltAlignment: new("bicycle", "belt"),
        ChainPlay: "bicycle single speed or hub gear",
        HasSuspension: false,
        BeltTension: "bicycle belt",
        Adjuster: AdjusterKind.TwoEnds,
        MostTeethMoreInFront: InTheOpen,
        Held: "Wheel clear of the ground and the bicycle held fast",
        Defers: Workshop,
        HasRoadBrake: true
    );

    private static readonly MachineKindRow Robot = new(
        VehicleClass: "robot competition 55 kg",
        DrivesAllWheels: true,
        Lubrication: LubricationSchool.Industrial,
        ChainWear: "robot",
        Shock: "robot",
        ShockWithRegeneration: null,
        ChainAlignment: new("robot", "chain"),
        BeltAlignment: RobotBelt,
        ChainPlay: "robot",
        HasSuspension: false,
        BeltTension: null,
        Adjuster: AdjusterKind.OneScrew,
        MostTeethMoreInFront: InTheOpen,
        Held: "Wheels clear of the ground and the robot held fast",
        Defers: StartsByItself,
        HasRoadBrake: false,
        MayLift: true, // an arm, a lifting deck
        MostLoopRatio: 3 // 2 to 3 on small robots: common practice
    );

    private static readonly MachineKindRow Other = new(
        VehicleClass: null,
        DrivesAllWheels: false,
        Lubrication: LubricationSchool.Industrial,
        ChainWear: "industrial adjustable",
        Shock: null,
        ShockWithRegeneration: null,
        ChainAlignment: IndustrialChain,
        BeltAlignment: IndustrialBelt,
        ChainPlay: null,
        HasSuspension: false,
        BeltTension: null,
        Adjuster: AdjusterKind.OneScrew,
        MostTeethMoreInFront: InTheOpen,
        Held: "Load off, and what is driven held",
        Defers: StartsByItself,
        HasRoadBrake: false,
        MayLift: true
    );

    private static readonly Dictionary<MachineKind, MachineKindRow> Rows = new()
    {
        [MachineKind.Motorcycle] = Motorcycle,
        [MachineKind.Moped] = Moped,
        [MachineKind.Bicycle] = Bicycle,
        // A moped in everything but its chain, which has no seals and is oiled.
        [MachineKind.LoadCarrier] = Moped with
        {
            Lubrication = LubricationSchool.Industrial,
            ChainWear = "motorcycle unsealed",
        },
        [MachineKind.Robot] = Robot,
        [MachineKind.KickBoard] = new(
            VehicleClass: "e-board",
            DrivesAllWheels: false,
            Lubrication: LubricationSchool.Industrial,
            ChainWear: "industrial adjustable",
            Shock: "e-board",
            ShockWithRegeneration: null,
            ChainAlignment: IndustrialChain,
            BeltAlignment: RobotBelt, // spans as short as a robot's
            ChainPlay: "robot",
            HasSuspension: false,
            BeltTension: null,
            Adjuster: AdjusterKind.SlidingMotor,
            MostTeethMoreInFront: UnderACover,
            Held: "Board on its back or its wheels clear of the ground",
            Defers: Workshop,
            HasRoadBrake: false
        ),
        [MachineKind.Winch] = Other with
        {
            Adjuster = AdjusterKind.SlidingMotor,
            Held = "Load off, and the drum held",
            Defers = "Hoists, and whatever hangs over people, are for licensed people and their rules.",
        },
        [MachineKind.Other] = Other,
    };

    public static MachineKindRow Get(MachineKind kind) => Rows[kind];
}
