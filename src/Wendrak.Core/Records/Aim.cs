using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Records;

/// <summary>What the gearing of a machine must achieve, named and kept, with what was tried against it.</summary>
/// <param name="MachineId">Of the machine it belongs to.</param>
/// <param name="Name">What people call it.</param>
/// <param name="DriveKey">Key of the drive it is about.</param>
/// <param name="Note">Free words; null for none.</param>
/// <param name="Venue">Where it is for, as people call it: a route, a track, a yard; null for anywhere.</param>
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
    IReadOnlyList<AimOutcome> Outcomes,
    string? Venue = null
) : StoredRecord(Id, Version);
