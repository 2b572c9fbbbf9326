using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Store.Bodies;
using Wendrak.Store.Ledger;
using Wendrak.Store.Records;

namespace Wendrak.Store.Machines;

/// <summary>Aims of machines.</summary>
public sealed class AimStore(Database database, ChangeLog log)
{
    private readonly MachineRepository _machines = new();
    private readonly Repository<Aim> _aims = new(Kinds.Aim);

    public Task<IReadOnlyList<Aim>> ListAsync(long machineId) =>
        database.ReadAsync(session => _aims.ListOfMachineAsync(session, machineId));

    /// <returns>Null when there is no such machine.</returns>
    /// <exception cref="InvalidInputException">The aim does not suit the machine.</exception>
    public Task<Aim?> AddAsync(string? who, Aim aim, CancellationToken ct) =>
        log.CommitAsync(
            who,
            $"added aim {aim.Name}",
            async edit => await IsCheckedAsync(edit, aim) ? await _aims.AddAsync(edit, aim) : null,
            ct
        );

    /// <summary>Changes an aim; it stays with its machine.</summary>
    /// <exception cref="InvalidInputException">The aim does not suit its machine.</exception>
    /// <exception cref="ChangedMeanwhileException">The aim was changed or removed since it was read.</exception>
    public Task<Aim> ChangeAsync(string? who, Aim aim, CancellationToken ct) =>
        log.CommitAsync(
            who,
            $"changed aim {aim.Name}",
            async edit =>
            {
                Aim stored =
                    await _aims.FindAsync(edit.Session, aim.Id)
                    ?? throw new ChangedMeanwhileException(Kinds.Aim.Name, null);
                Aim next = aim with { MachineId = stored.MachineId };
                await IsCheckedAsync(edit, next);
                return await _aims.ChangeAsync(edit, next);
            },
            ct
        );

    /// <returns>False when there is no such aim.</returns>
    /// <exception cref="ChangedMeanwhileException">The aim was changed since it was read.</exception>
    public Task<bool> RemoveAsync(string? who, long id, int version, CancellationToken ct) =>
        log.CommitAsync(
            who,
            "removed an aim",
            async edit =>
            {
                if (await _aims.FindAsync(edit.Session, id) is not { } aim)
                    return false;
                edit.MachineId = aim.MachineId;
                edit.What = $"removed aim {aim.Name}";
                await _aims.RemoveAsync(edit, id, version);
                return true;
            },
            ct
        );

    /// <summary>False when the machine is not there; throws when the aim does not suit it.</summary>
    private async Task<bool> IsCheckedAsync(Edit edit, Aim aim)
    {
        if (await _machines.FindAsync(edit.Session, aim.MachineId) is not { } machine)
            return false;
        edit.MachineId = machine.Id;
        MachineRules.Check(aim, machine);
        return true;
    }
}
