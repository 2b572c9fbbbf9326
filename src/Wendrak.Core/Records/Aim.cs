using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Records;

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
