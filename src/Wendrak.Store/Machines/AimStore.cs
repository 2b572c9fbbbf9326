using Microsoft.Data.Sqlite;
using Wendrak.Core.Machines;
using Wendrak.Core.Quantities;
using Wendrak.Store.Ledger;

namespace Wendrak.Store.Machines;

/// <summary>Aims of machines.</summary>
public sealed class AimStore(Database database, ChangeLog log)
{
    public async Task<IReadOnlyList<Aim>> ListAsync(long machineId)
    {
        await using SqliteConnection connection = database.Open();
        return await AimShelf.ListAsync(new(connection, null), machineId);
    }

    /// <returns>Null when there is no such machine.</returns>
    public Task<Aim?> AddAsync(string who, Aim aim, CancellationToken ct) =>
        log.MakeAsync<Aim?>(
            who,
            $"added aim {aim.Name}",
            async writing =>
            {
                if (!await IsCheckedAsync(writing, aim))
                    return null;
                return await Shelves.RecordedAims.AddAsync(writing, aim with { Id = 0 });
            },
            ct
        );

    /// <returns>Null when there is no such machine.</returns>
    /// <exception cref="ChangedMeanwhileException">The aim was changed or removed since it was read.</exception>
    public Task<Aim?> ChangeAsync(string who, Aim aim, CancellationToken ct) =>
        log.MakeAsync<Aim?>(
            who,
            $"changed aim {aim.Name}",
            async writing =>
            {
                if (!await IsCheckedAsync(writing, aim))
                    return null;
                return await Shelves.RecordedAims.ChangeAsync(writing, aim);
            },
            ct
        );

    /// <exception cref="ChangedMeanwhileException">The aim was changed or removed since it was read.</exception>
    public Task<bool> RemoveAsync(string who, long id, int version, CancellationToken ct) =>
        log.MakeAsync(
            who,
            "removed an aim",
            async writing =>
            {
                Aim? aim = await Shelves.Aims.FindAsync(writing.Session, id);
                if (aim is null)
                    return false;
                writing.MachineId = aim.MachineId;
                await Shelves.RecordedAims.RemoveAsync(writing, id, version);
                return true;
            },
            ct
        );

    /// <summary>False when the machine is not there; throws when the aim does not suit it.</summary>
    /// <exception cref="InvalidInputException">The aim does not suit the machine.</exception>
    private static async Task<bool> IsCheckedAsync(Writing writing, Aim aim)
    {
        Machine? machine = await Shelves.Machines.FindAsync(writing.Session, aim.MachineId);
        if (machine is null)
            return false;
        writing.MachineId = machine.Id;
        MachineRules.Check(aim, machine);
        return true;
    }
}
