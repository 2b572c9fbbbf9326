using Microsoft.Data.Sqlite;
using Wendrak.Core.Machines;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tension;
using Wendrak.Store.Ledger;

namespace Wendrak.Store.Machines;

/// <summary>Visits at which loops are set.</summary>
public sealed class SetJobStore(Database database, ChangeLog log)
{
    /// <summary>Newest first.</summary>
    public async Task<IReadOnlyList<SetJob>> ListAsync(long machineId)
    {
        await using SqliteConnection connection = database.Open();
        return await SetJobShelf.ListAsync(new(connection, null), machineId);
    }

    /// <returns>Null when there is no such machine.</returns>
    /// <exception cref="InvalidInputException">The visit does not suit the machine.</exception>
    public Task<SetJob?> AddAsync(string who, SetJob job, CancellationToken ct) =>
        log.MakeAsync<SetJob?>(
            who,
            $"began to set {job.LoopKey}",
            async writing =>
                await IsCheckedAsync(writing, job)
                    ? await Shelves.RecordedSetJobs.AddAsync(writing, job with { Id = 0 })
                    : null,
            ct
        );

    /// <returns>Null when there is no such visit.</returns>
    /// <exception cref="InvalidInputException">What must stay was changed, or the visit does not suit the machine.</exception>
    /// <exception cref="ChangedMeanwhileException">It was changed or removed since it was read.</exception>
    public Task<SetJob?> ChangeAsync(string who, SetJob job, CancellationToken ct) =>
        log.MakeAsync<SetJob?>(
            who,
            WhatWasDone(job),
            async writing =>
            {
                SetJob? before = await Shelves.SetJobs.FindAsync(writing.Session, job.Id);
                if (before is null)
                    return null;
                SetJob after = job with { MachineId = before.MachineId };
                if (!await IsCheckedAsync(writing, after))
                    return null;
                if (before.Version == after.Version)
                    SetJobRules.CheckChange(before, after);
                return await Shelves.RecordedSetJobs.ChangeAsync(writing, await ClosedAsync(writing, after));
            },
            ct
        );

    private static string WhatWasDone(SetJob job) =>
        job switch
        {
            { Closing: not null } => $"closed the setting of {job.LoopKey}",
            { InHand.Round: not null } => $"is reading {job.LoopKey}, round {job.Rounds.Count}",
            _ => $"set {job.LoopKey}, round {job.Rounds.Count - 1}",
        };

    /// <exception cref="ChangedMeanwhileException">It was changed or removed since it was read.</exception>
    public Task<bool> RemoveAsync(string who, long id, int version, CancellationToken ct) =>
        log.MakeAsync(
            who,
            "removed a visit",
            async writing =>
            {
                SetJob? job = await Shelves.SetJobs.FindAsync(writing.Session, id);
                if (job is null)
                    return false;
                writing.MachineId = job.MachineId;
                await Shelves.RecordedSetJobs.RemoveAsync(writing, id, version);
                return true;
            },
            ct
        );

    /// <summary>What it is closed over is the core's to say, by the machine as it is stored.</summary>
    private static async Task<SetJob> ClosedAsync(Writing writing, SetJob job)
    {
        if (job.Closing is null)
            return job;
        Machine machine = (await Shelves.Machines.FindAsync(writing.Session, job.MachineId))!;
        IReadOnlyList<Setup> setups = await SetupShelf.ListAsync(writing.Session, machine.Id);
        return SetJobRules.Closed(job, machine, setups.First(s => s.Status == SetupStatus.AsFitted));
    }

    private static async Task<bool> IsCheckedAsync(Writing writing, SetJob job)
    {
        Machine? machine = await Shelves.Machines.FindAsync(writing.Session, job.MachineId);
        if (machine is null)
            return false;
        writing.MachineId = machine.Id;
        SetJobRules.Check(job, machine);
        return true;
    }
}
