using Wendrak.Core.Records;
using Wendrak.Store.Bodies;

namespace Wendrak.Store.Records;

/// <summary>Setups of machines; every machine has one as fitted.</summary>
internal sealed class SetupRepository() : Repository<Setup>(Kinds.Setup)
{
    /// <summary>What is on a machine that is there.</summary>
    public async Task<Setup> FittedAsync(Session session, long machineId) =>
        (await ListOfMachineAsync(session, machineId)).FirstOrDefault(s => s.Status == SetupStatus.AsFitted)
        ?? throw new DamagedException(Kind.Name, machineId);

    /// <summary>Of all machines.</summary>
    public async Task<IReadOnlyList<Setup>> ListFittedAsync(Session session) =>
        await ReadAsync(session, await RecordRows.ListFittedAsync(session));
}
