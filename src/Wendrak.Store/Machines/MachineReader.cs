using Wendrak.Core.Evaluation;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;
using Wendrak.Store.Bodies;
using Wendrak.Store.Logs;
using Wendrak.Store.Records;

namespace Wendrak.Store.Machines;

/// <summary>
/// Machines with all that hangs on them, and the workshop, to be asked about. What was read is kept until something is
/// written: somebody who drags a tooth asks many times about the same machine.
/// </summary>
public sealed class MachineReader(Database database, JobStore jobs)
{
    private const int MostKept = 50;
    private const string Whole = "";
    private readonly MachineRepository _machines = new();
    private readonly SetupRepository _setups = new();
    private readonly Repository<Aim> _aims = new(Kinds.Aim);
    private readonly Repository<StockItem> _wheels = new(Kinds.StockItem);
    private readonly Repository<StockSpacer> _spacers = new(Kinds.StockSpacer);
    private readonly Repository<StockPart> _parts = new(Kinds.StockPart);
    private readonly Repository<HandTool> _tools = new(Kinds.HandTool);
    private readonly SinceCommit<long, StoredMachine> _read = new(database, MostKept);
    private readonly SinceCommit<string, Workshop> _workshop = new(database, 1);
    private readonly SinceCommit<string, IReadOnlyList<LoopOnMachine>> _onMachines = new(database, 1);

    /// <returns>Null when there is no such machine.</returns>
    /// <exception cref="StorageException">The file can't be read.</exception>
    public Task<StoredMachine?> FindAsync(long id) => _read.FindAsync(id, () => ReadAsync(id));

    private Task<StoredMachine?> ReadAsync(long id) =>
        database.ReadAsync(async session =>
        {
            if (await _machines.FindAsync(session, id) is not { } machine)
                return null;
            IReadOnlyList<Setup> setups = await _setups.ListOfMachineAsync(session, id);
            IReadOnlyList<JobContent> contents = await jobs.ContentsAsync(session, id);
            return new StoredMachine(
                machine,
                // Not found where it is damaged: asked for by itself it says so.
                setups.FirstOrDefault(s => s.Status == SetupStatus.AsFitted) ?? await _setups.FittedAsync(session, id),
                setups,
                await _aims.ListOfMachineAsync(session, id),
                JobStore.VisitsOf(contents),
                await jobs.PlanAsync(session, id)
            )
            {
                Jobs = contents,
                Odometer = [.. (await LogRows.OdometersAsync(session, id))[id]],
            };
        });

    /// <exception cref="StorageException">The file can't be read.</exception>
    public Task<Workshop> WorkshopAsync() =>
        _workshop.GetAsync(
            Whole,
            () =>
                database.ReadAsync(async session => new Workshop(
                    await _wheels.ListAsync(session),
                    await _spacers.ListAsync(session),
                    await _tools.ListAsync(session),
                    await _parts.ListAsync(session)
                ))
        );

    /// <summary>With what is on the machines of the yard.</summary>
    /// <exception cref="StorageException">The file can't be read.</exception>
    public async Task<Workshop> WorkshopAndYardAsync() =>
        await WorkshopAsync() with
        {
            OnMachines = await _onMachines.GetAsync(Whole, ReadOnMachinesAsync),
        };

    private Task<IReadOnlyList<LoopOnMachine>> ReadOnMachinesAsync() =>
        database.ReadAsync<IReadOnlyList<LoopOnMachine>>(async session =>
        {
            ILookup<long, Setup> fitted = (await _setups.ListFittedAsync(session)).ToLookup(s => s.MachineId);
            return
            [
                .. (await _machines.ListAsync(session)).SelectMany(m =>
                    LoopOnMachine.Of(m, fitted[m.Id].FirstOrDefault())
                ),
            ];
        });
}
