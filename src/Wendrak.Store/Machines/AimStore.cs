using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
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
        log.MakeAsync(
            who,
            $"added aim {aim.Name}",
            async writing => await IsCheckedAsync(writing, aim) ? await _aims.AddAsync(writing, aim) : null,
            ct
        );

    /// <summary>Changes an aim; it stays with its machine.</summary>
    /// <exception cref="InvalidInputException">The aim does not suit its machine.</exception>
    /// <exception cref="ChangedMeanwhileException">The aim was changed or removed since it was read.</exception>
    public Task<Aim> ChangeAsync(string? who, Aim aim, CancellationToken ct) =>
        log.MakeAsync(
            who,
            $"changed aim {aim.Name}",
            async writing =>
            {
                Aim stored =
                    await _aims.FindAsync(writing.Session, aim.Id)
                    ?? throw new ChangedMeanwhileException(Kinds.Aim.Name, null);
                Aim next = aim with { MachineId = stored.MachineId };
                await IsCheckedAsync(writing, next);
                return await _aims.ChangeAsync(writing, next);
            },
            ct
        );

    /// <returns>False when there is no such aim.</returns>
    /// <exception cref="ChangedMeanwhileException">The aim was changed since it was read.</exception>
    public Task<bool> RemoveAsync(string? who, long id, int version, CancellationToken ct) =>
        log.MakeAsync(
            who,
            "removed an aim",
            async writing =>
            {
                if (await _aims.FindAsync(writing.Session, id) is not { } aim)
                    return false;
                writing.MachineId = aim.MachineId;
                writing.What = $"removed aim {aim.Name}";
                await _aims.RemoveAsync(writing, id, version);
                return true;
            },
            ct
        );

    /// <summary>False when the machine is not there; throws when the aim does not suit it.</summary>
    private async Task<bool> IsCheckedAsync(Writing writing, Aim aim)
    {
        if (await _machines.FindAsync(writing.Session, aim.MachineId) is not { } machine)
            return false;
        writing.MachineId = machine.Id;
        MachineRules.Check(aim, machine);
        return true;
    }
}
