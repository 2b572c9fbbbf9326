using Wendrak.Core.Quantities;

namespace Wendrak.Core.Records;

/// <summary>A visit of a machine, from arrival to sign-off. What was done at it are its events.</summary>
public sealed record Job(long Id, int Version, long MachineId, DateOnly OpenedOn) : StoredRecord(Id, Version);
