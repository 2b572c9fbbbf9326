using System.Collections.Concurrent;
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
    private readonly MachineRepository _machines = new();
    private readonly SetupRepository _setups = new();
    private readonly Repository<Aim> _aims = new(Kinds.Aim);
    private readonly Repository<StockItem> _wheels = new(Kinds.StockItem);
    private readonly Repository<StockSpacer> _spacers = new(Kinds.StockSpacer);
    private readonly Repository<StockPart> _parts = new(Kinds.StockPart);
    private readonly Repository<HandTool> _tools = new(Kinds.HandTool);
    private Kept _kept = new(-1);

    /// <returns>Null when there is no such machine.</returns>
    /// <exception cref="StorageException">The file can't be read.</exception>
    public async Task<StoredMachine?> FindAsync(long id)
    {
        Kept kept = Current();
        if (kept.Machines.TryGetValue(id, out StoredMachine? known))
            return known;
        StoredMachine? read = await database.ReadAsync(async session =>
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
        if (read is not null && kept.Machines.Count < MostKept)
            kept.Machines[id] = read;
        return read;
    }

    /// <exception cref="StorageException">The file can't be read.</exception>
    public async Task<Workshop> WorkshopAsync()
    {
        Kept kept = Current();
        return kept.Workshop ??= await database.ReadAsync(async session => new Workshop(
            await _wheels.ListAsync(session),
            await _spacers.ListAsync(session),
            await _tools.ListAsync(session),
            await _parts.ListAsync(session)
        ));
    }

    /// <summary>With what is on the machines of the yard.</summary>
    /// <exception cref="StorageException">The file can't be read.</exception>
    public async Task<Workshop> WorkshopAndYardAsync()
    {
        Kept kept = Current();
        kept.OnMachines ??= await database.ReadAsync(async session =>
        {
            ILookup<long, Setup> fitted = (await _setups.ListFittedAsync(session)).ToLookup(s => s.MachineId);
            return (LoopOnMachine[])
                [
                    .. (await _machines.ListAsync(session)).SelectMany(m =>
                        LoopOnMachine.Of(m, fitted[m.Id].FirstOrDefault())
                    ),
                ];
        });
        return await WorkshopAsync() with { OnMachines = kept.OnMachines };
    }

    /// <summary>
    /// What was read since the last commit. The count is taken before anything is read: what is read later and kept under it
    /// may be newer than it says, never older.
    /// </summary>
    private Kept Current()
    {
        long commits = database.Commits;
        return _kept.Commits == commits ? _kept : _kept = new(commits);
    }

    private sealed class Kept(long commits)
    {
        public long Commits { get; } = commits;
        public ConcurrentDictionary<long, StoredMachine> Machines { get; } = [];
        public Workshop? Workshop { get; set; }
        public IReadOnlyList<LoopOnMachine>? OnMachines { get; set; }
    }
}
