using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Store.Bodies;
using Wendrak.Store.Ledger;
using Wendrak.Store.Records;

namespace Wendrak.Store.Machines;

/// <summary>Machines with everything that belongs to them, to files and from files.</summary>
public sealed class MachineFiles(Database database, ChangeLog log, JobStore jobs)
{
    private readonly LogStore _log = new(database, log, jobs);
    private readonly MachineRepository _machines = new();
    private readonly SetupRepository _setups = new();
    private readonly Repository<Aim> _aims = new(Kinds.Aim);

    /// <summary>Of the data, where the pictures lie.</summary>
    public string Folder => database.Folder;

    /// <returns>Null when there is no such machine.</returns>
    public Task<MachineFile?> WriteAsync(long id) =>
        database.ReadAsync(async session =>
            await _machines.FindAsync(session, id) is { } machine
                ? MachineFile.From(
                    machine,
                    await _setups.ListOfMachineAsync(session, id),
                    await _aims.ListOfMachineAsync(session, id),
                    [.. (await jobs.ContentsAsync(session, id)).Select(FiledJob.From)],
                    await _log.FiledAsync(session, id)
                )
                : null
        );

    /// <summary>Adds the machine of a file, under new ids, whatever is here already.</summary>
    /// <param name="pictures">That came with the file, by hash; they are moved from where they lie.</param>
    /// <exception cref="InvalidInputException">It can't be taken in whole; nothing of it is stored then.</exception>
    public Task<FittedMachine> ReadAsync(
        string? who,
        MachineFile file,
        CancellationToken ct,
        IReadOnlyDictionary<string, string>? pictures = null
    )
    {
        file.Check();
        return log.CommitAsync(
            who,
            $"read {file.Machine.Name} from a file",
            async edit =>
            {
                FittedMachine added = await AddAsync(edit, file);
                await AddPicturesAsync(edit, file, pictures ?? new Dictionary<string, string>());
                return added;
            },
            ct
        );
    }

    /// <summary>What the jobs of a file show comes with it, or is here already.</summary>
    private async Task AddPicturesAsync(Edit edit, MachineFile file, IReadOnlyDictionary<string, string> brought)
    {
        IReadOnlyList<FiledJob> jobs = file.Jobs ?? [];
        for (int j = 0; j < jobs.Count; j++)
        for (int e = 0; e < jobs[j].Events.Count; e++)
            if (jobs[j].Events[e].Event is PhotoTaken p && !await Attachments.HasAsync(edit.Session, p.Hash))
            {
                string picture =
                    brought.GetValueOrDefault(p.Hash)
                    ?? throw new InvalidInputException(
                        $"Jobs[{j}].Events[{e}].Event.Hash",
                        "unknown",
                        "This photo does not come with the file: give the zip that it was written with."
                    );
                PictureFile moved = new(picture, null, p.WidthPx, p.HeightPx, p.TakenAt);
                await Attachments.AddAsync(edit.Session, database.Folder, p.Hash, moved);
            }
    }

    private async Task<FittedMachine> AddAsync(Edit edit, MachineFile file)
    {
        Machine machine = await _machines.AddAsync(edit, await BroughtSets.StoreAsync(edit, file.Machine));
        edit.MachineId = machine.Id;
        Dictionary<long, long> newIds = [];
        Setup? fitted = null;
        foreach (Setup setup in file.Setups)
        {
            Setup added = await _setups.AddAsync(edit, setup with { MachineId = machine.Id });
            newIds[setup.Id] = added.Id;
            fitted = added.Status == SetupStatus.AsFitted ? added : fitted;
        }
        foreach (Aim aim in file.Aims)
            await _aims.AddAsync(edit, Renumbered(aim, machine.Id, newIds));
        // In the order in which they were: a file may name them in any.
        foreach (FiledJob job in (file.Jobs ?? []).OrderBy(j => j.OpenedOn))
            await jobs.AddAsync(edit, machine.Id, Renumbered(job, newIds));
        foreach (FiledLog lot in file.Log ?? [])
            await _log.AddAsync(edit, machine.Id, Renumbered(lot, newIds));
        return new(machine, fitted!, await jobs.ContentsAsync(edit.Session, machine.Id));
    }

    private static FiledLog Renumbered(FiledLog lot, Dictionary<long, long> newIds) =>
        lot with
        {
            Lines =
            [
                .. lot.Lines.Select(l =>
                    l.SetupId is long id ? l with { SetupId = newIds.TryGetValue(id, out long now) ? now : null } : l
                ),
            ],
        };

    private static FiledJob Renumbered(FiledJob job, Dictionary<long, long> newIds) =>
        job with
        {
            Events =
            [
                .. job.Events.Select(e =>
                    e with
                    {
                        Event = e.Event switch
                        {
                            SetupFitted f => f with { SetupId = newIds.GetValueOrDefault(f.SetupId) },
                            PlanMade { TrialId: long trial } p => p with { TrialId = newIds.GetValueOrDefault(trial) },
                            JobEvent other => other,
                        },
                    }
                ),
            ],
        };

    private static Aim Renumbered(Aim aim, long machineId, Dictionary<long, long> newIds) =>
        aim with
        {
            MachineId = machineId,
            Target = aim.Target is MatchSetup m ? m with { SetupId = newIds.GetValueOrDefault(m.SetupId) } : aim.Target,
            Outcomes = [.. aim.Outcomes.Select(o => o with { SetupId = newIds.GetValueOrDefault(o.SetupId) })],
        };
}
