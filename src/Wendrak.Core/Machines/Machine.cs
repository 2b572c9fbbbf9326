using Wendrak.Core.Gearing;
using Wendrak.Core.Geometry;
using Wendrak.Core.Loads;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tension;

namespace Wendrak.Core.Machines;

public enum MachineKind
{
    Motorcycle,
    Moped,
    Bicycle,
    LoadCarrier,
    Robot,
    Winch,
    KickBoard,
    Other,
}

/// <summary>A vehicle or robot, with one drive or several that mirror each other.</summary>
/// <param name="Id">Where it is stored; 0 for one that is not stored yet.</param>
/// <param name="Version">Grows with every change; a change must name the version it was made from.</param>
/// <param name="OdometerKm">Distance run, km; null where none is counted.</param>
/// <param name="RetiredOn">Day it left the yard; null while it is in use.</param>
/// <param name="Work">Minutes and money of changing its wheels; null for the default.</param>
/// <param name="Layouts">Where the wheels of its loops stand, for those that were measured.</param>
/// <param name="Shafts">What sits on its shafts from side to side, for those that were measured.</param>
/// <param name="Settings">How its loops are set, for those that were asked about.</param>
/// <param name="Loads">What drives its drives and what its chains and belts can take, as far as somebody said.</param>
public sealed record Machine(
    long Id,
    int Version,
    string Name,
    MachineKind Kind,
    string? Note,
    double? OdometerKm,
    DateOnly? RetiredOn,
    IReadOnlyList<Drive> Drives,
    WorkCosts? Work,
    IReadOnlyList<LoopLayout>? Layouts = null,
    IReadOnlyList<ShaftWidths>? Shafts = null,
    MachineLoads? Loads = null,
    IReadOnlyList<LoopSetting>? Settings = null
) : StoredRecord(Id, Version);

public enum SetupStatus
{
    /// <summary>On the machine now; every machine has one.</summary>
    AsFitted,
    Trial,

    /// <summary>Was on the machine once.</summary>
    Former,

    /// <summary>A trial given up; kept, since what was tried against an aim refers to it.</summary>
    Discarded,

    /// <summary>As the maker delivered the machine, typed once: what its speedometer was made for. One at most.</summary>
    AsDelivered,
}

/// <summary>One complete choice of parts for a machine's drives.</summary>
/// <param name="RoadWheels">Other road wheels than the machine's own; empty when they stay.</param>
/// <param name="FittedAtKm">Odometer when it went on, km.</param>
/// <param name="Redo">What must still be done again since it went on or was changed; only as fitted has any.</param>
public sealed record Setup(
    long Id,
    int Version,
    long MachineId,
    string Name,
    SetupStatus Status,
    IReadOnlyList<LoopChoice> Loops,
    IReadOnlyList<RoadWheelChoice> RoadWheels,
    DateOnly MadeOn,
    DateOnly? FittedOn,
    double? FittedAtKm,
    string? Note,
    IReadOnlyList<RedoItem>? Redo = null
) : StoredRecord(Id, Version)
{
    /// <summary>Name of a setup that went onto the machine with it.</summary>
    public const string FittedName = "As fitted";
}

/// <summary>What the gearing of a machine must achieve, named and kept, with what was tried against it.</summary>
public sealed record Aim(
    long Id,
    int Version,
    long MachineId,
    string Name,
    string DriveKey,
    AimTarget Target,
    Conditions Conditions,
    Wishes Wishes,
    string? Note,
    IReadOnlyList<AimOutcome> Outcomes
) : StoredRecord(Id, Version);

/// <summary>A wheel in the workshop's lists.</summary>
public sealed record StockItem(long Id, int Version, StockWheel Wheel, string? Note) : StoredRecord(Id, Version);

/// <summary>Spacers of one size in the workshop's drawer.</summary>
/// <param name="BoreMm">The shaft they go on.</param>
public sealed record StockSpacer(long Id, int Version, double ThicknessMm, double BoreMm, int Count)
    : StoredRecord(Id, Version);

/// <summary>A visit of a machine, from arrival to sign-off. What was done at it are its events.</summary>
public sealed record Job(long Id, int Version, long MachineId, DateOnly OpenedOn) : StoredRecord(Id, Version);
