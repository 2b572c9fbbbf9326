using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Records;

/// <summary>What a setup is to its machine.</summary>
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
/// <param name="FollowUps">What must still be done again since it went on or was changed; only as fitted has any.</param>
/// <param name="AsLeft">How the machine stood when it came off last; null where it never did, and where nobody kept it.</param>
/// <param name="Kinds">Loops that are another kind in it than on the machine; null where all are as they are there.</param>
/// <param name="MachineId">Of the machine it belongs to.</param>
/// <param name="Name">What people call it.</param>
/// <param name="MadeOn">Day it was noted.</param>
/// <param name="FittedOn">Day it was fitted; null where it never was.</param>
/// <param name="Note">Free words; null for none.</param>
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
    IReadOnlyList<FollowUpTask>? FollowUps = null,
    FittedState? AsLeft = null,
    IReadOnlyList<LoopKind>? Kinds = null
) : StoredRecord(Id, Version)
{
    /// <summary>Name of a setup that went onto the machine with it.</summary>
    public const string FittedName = "As fitted";

    /// <summary>The same wheels and lengths on every loop, and the same road wheels, in whatever order.</summary>
    public bool HasSameWheels(IReadOnlyList<LoopChoice> loops, IReadOnlyList<RoadWheelChoice> roadWheels) =>
        Loops.ToHashSet().SetEquals(loops) && RoadWheels.ToHashSet().SetEquals(roadWheels);
}
