namespace Wendrak.Core.Records;

/// <summary>Names of all that can be found, what was changed last first.</summary>
/// <param name="Machines">Of the yard, retired ones among them.</param>
/// <param name="Trials">Setups that are tried.</param>
/// <param name="Aims">That are kept.</param>
/// <param name="Jobs">That go on or wait.</param>
public sealed record FindIndex(
    IReadOnlyList<FoundMachine> Machines,
    IReadOnlyList<FoundThing> Trials,
    IReadOnlyList<FoundThing> Aims,
    IReadOnlyList<FoundJob> Jobs
);

/// <summary>A machine by its name.</summary>
/// <param name="Id">Its number.</param>
/// <param name="Name">As the yard calls it.</param>
/// <param name="IsRetired">Out of use.</param>
/// <param name="Loops">Its chains and belts.</param>
public sealed record FoundMachine(long Id, string Name, bool IsRetired, IReadOnlyList<FoundLoop> Loops);

/// <summary>A chain or belt by its name.</summary>
/// <param name="Key">Of its stage.</param>
/// <param name="Name">As its machine calls it.</param>
public sealed record FoundLoop(string Key, string Name);

/// <summary>Something of a machine by its name.</summary>
/// <param name="Id">Its number among its kind.</param>
/// <param name="MachineId">Of the machine it hangs on.</param>
/// <param name="Name">As it was called.</param>
public sealed record FoundThing(long Id, long MachineId, string Name);

/// <summary>A job that goes on.</summary>
/// <param name="Id">Its number.</param>
/// <param name="MachineId">Of the machine it is at.</param>
/// <param name="WaitsFor">Null while it waits for nothing.</param>
public sealed record FoundJob(long Id, long MachineId, JobReason Reason, string? WaitsFor);
