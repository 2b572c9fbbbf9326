using Wendrak.Core.Gearing;

namespace Wendrak.Store.Machines;

/// <summary>Wheels a machine was delivered with.</summary>
/// <param name="RoadWheels">Other road wheels than the machine's own; empty when they stay.</param>
public sealed record DeliveredWheels(IReadOnlyList<LoopChoice> Loops, IReadOnlyList<RoadWheelChoice> RoadWheels);

/// <summary>A trial to be made.</summary>
/// <param name="Loops">Loops that differ from as fitted.</param>
/// <param name="RoadWheels">Null keeps those of as fitted.</param>
/// <param name="Name">What it shall be called.</param>
/// <param name="Note">Free words; null for none.</param>
/// <param name="KindsOf">Number of a setup whose kinds of loops it has, too; null where they are as on the machine.</param>
public sealed record NewTrial(
    string Name,
    IReadOnlyList<LoopChoice> Loops,
    IReadOnlyList<RoadWheelChoice>? RoadWheels,
    string? Note,
    long? KindsOf = null
);

/// <summary>A setup whose kinds of loops stood on a machine as it was read.</summary>
/// <param name="SetupId">Its number.</param>
/// <param name="Version">That was read: another one is refused.</param>
public sealed record KindsInView(long SetupId, int Version);
