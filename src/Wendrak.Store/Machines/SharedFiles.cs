using Wendrak.Core.Gearing;
using Wendrak.Core.Procedures;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Sharing;
using Wendrak.Store.Bodies;
using Wendrak.Store.Ledger;
using Wendrak.Store.Records;

namespace Wendrak.Store.Machines;

/// <summary>Procedures, gearbox sets and aims of a venue, to files for other workshops and from theirs.</summary>
public sealed class SharedFiles(Database database, ChangeLog log, History history, TimeProvider clock)
{
    private readonly MachineRepository _machines = new();
    private readonly SetupRepository _setups = new();
    private readonly Repository<Aim> _aims = new(Kinds.Aim);
    private readonly Repository<GearboxSet> _sets = new(Kinds.GearboxSet);

    /// <returns>Null when the machine is not there or has nothing of its own beside that procedure.</returns>
    /// <exception cref="InvalidInputException">There is no such family, or the author is no name.</exception>
    public Task<SharedFile?> WriteProcedureAsync(long machineId, ProcedureFamily family, string author)
    {
        Procedure procedure = ProcedureLibrary.Get(family);
        return database.ReadAsync(async session =>
            await _machines.FindAsync(session, machineId) is { } machine
            && machine.Procedures?.FirstOrDefault(p => p.Family == family) is { } own
                ? Written(
                    $"{procedure.Title} as on {machine.Name}",
                    machine.Version,
                    author,
                    SharingProcedures.From(own)
                )
                : null
        );
    }

    /// <returns>Null when there is no such set.</returns>
    /// <exception cref="InvalidInputException">The author is no name.</exception>
    public Task<SharedFile?> WriteSetAsync(long id, string author) =>
        database.ReadAsync(async session =>
            await _sets.FindAsync(session, id) is { } set
                ? Written(set.Name, set.Version, author, SharingGearboxSets.From(set))
                : null
        );

    /// <returns>Null when there is no such machine.</returns>
    /// <exception cref="InvalidInputException">No aim of that venue can go along, or the author is no name.</exception>
    public async Task<SharedFile?> WriteAimsAsync(long machineId, string driveKey, string venue, string author)
    {
        (Machine? Machine, IReadOnlyList<Aim> Aims) here = await database.ReadAsync(async session =>
            (await _machines.FindAsync(session, machineId), await AimsAsync(session, machineId, driveKey))
        );
        if (here.Machine is null)
            return null;
        // The number of what was done last to the machine: aims that come and go have no version of their own together.
        long last = (await history.ListAsync(machineId, null, 1)).Select(c => c.Id).FirstOrDefault(1);
        return Written($"Aims for {venue}", (int)last, author, SharingAims.From(venue, here.Aims));
    }

    /// <summary>What taking a file in would change; nothing is stored.</summary>
    /// <exception cref="InvalidInputException">It can't be taken in.</exception>
    public Task<SharedDifferences> CompareAsync(SharedTake take)
    {
        take.Check();
        return database.ReadAsync(session => CompareAsync(session, take));
    }

    /// <summary>Takes a file in, as one change that can be undone.</summary>
    /// <returns>What it changed.</returns>
    /// <exception cref="InvalidInputException">It can't be taken in; nothing of it is stored then.</exception>
    public Task<SharedDifferences> TakeAsync(string? who, SharedTake take, CancellationToken ct)
    {
        take.Check();
        SharedFile file = take.File;
        return log.CommitAsync(
            who,
            $"took in {file.Title}, version {file.Version} by {file.Author}, from a file",
            async edit =>
            {
                SharedDifferences changed = await CompareAsync(edit.Session, take);
                if (changed.Adds + changed.ChangesHere > 0)
                    await StoreAsync(edit, take);
                return changed;
            },
            ct
        );
    }

    private SharedFile Written(string title, int version, string author, SharedContent content)
    {
        SharedFile file = new(
            SharedFile.FormatName,
            SharedFile.NewestVersion,
            title[..Math.Min(title.Length, Guard.LongestName)],
            version,
            author,
            clock.Today(),
            content
        );
        file.Check();
        return file;
    }

    private async Task<SharedDifferences> CompareAsync(Session session, SharedTake take)
    {
        switch (take.File.Content)
        {
            case SharedProcedure procedure:
                return SharingProcedures.Compare(procedure, await MachineAsync(session, take));
            case SharedGearboxSet set:
                return SharingGearboxSets.Compare(set, await NamedAsync(session, NameFor(set, take)));
            case SharedAims aims:
                Drive drive = DriveOf(await MachineAsync(session, take), take);
                return SharingAims.Compare(aims, await AimsAsync(session, take.MachineId!.Value, drive.Key), drive);
            default:
                throw new InvalidOperationException($"{take.File.Content.GetType()} is not compared.");
        }
    }

    private async Task StoreAsync(Edit edit, SharedTake take)
    {
        switch (take.File.Content)
        {
            case SharedProcedure procedure:
                await StoreAsync(edit, await MachineAsync(edit.Session, take), procedure);
                break;
            case SharedGearboxSet set:
                await StoreAsync(edit, set, take);
                break;
            case SharedAims aims:
                await StoreAsync(edit, await MachineAsync(edit.Session, take), aims, take);
                break;
        }
    }

    private async Task StoreAsync(Edit edit, Machine machine, SharedProcedure file)
    {
        edit.MachineId = machine.Id;
        Machine changed = SharingProcedures.Take(file, machine);
        MachineRules.Check(changed, (await _setups.FittedAsync(edit.Session, machine.Id)).Loops);
        await _machines.ChangeAsync(edit, changed, machine);
    }

    private async Task StoreAsync(Edit edit, SharedGearboxSet file, SharedTake take)
    {
        SharedGearboxSet named = file with { Name = NameFor(file, take) };
        if (await NamedAsync(edit.Session, named.Name) is { } here)
            await _sets.ChangeAsync(edit, SharingGearboxSets.Take(named, here));
        else
            await _sets.AddAsync(edit, named.ToSet());
    }

    private async Task StoreAsync(Edit edit, Machine machine, SharedAims file, SharedTake take)
    {
        edit.MachineId = machine.Id;
        Drive drive = DriveOf(machine, take);
        foreach (
            Aim aim in SharingAims.Take(file, await AimsAsync(edit.Session, machine.Id, drive.Key), machine, drive)
        )
        {
            MachineRules.Check(aim, machine);
            if (aim.Id == 0)
                await _aims.AddAsync(edit, aim);
            else
                await _aims.ChangeAsync(edit, aim);
        }
    }

    /// <summary>Its own; beside another by its author and version, shortened where it must be.</summary>
    private static string NameFor(SharedGearboxSet set, SharedTake take)
    {
        if (!take.IsBeside)
            return set.Name;
        string name = set.Name;
        string by = $" ({take.File.Author}, {take.File.Version})";
        return by.Length >= Guard.LongestName
            ? by[^Guard.LongestName..]
            : name[..Math.Min(name.Length, Guard.LongestName - by.Length)] + by;
    }

    private async Task<Machine> MachineAsync(Session session, SharedTake take) =>
        await _machines.FindAsync(session, take.MachineId!.Value)
        ?? throw new InvalidInputException(nameof(take.MachineId), "unknown", "Give a machine of this yard.");

    private async Task<GearboxSet?> NamedAsync(Session session, string name) =>
        (await _sets.ListAsync(session)).FirstOrDefault(s => s.Name == name);

    private async Task<IReadOnlyList<Aim>> AimsAsync(Session session, long machineId, string driveKey) =>
        [.. (await _aims.ListOfMachineAsync(session, machineId)).Where(a => a.DriveKey == driveKey)];

    private static Drive DriveOf(Machine machine, SharedTake take) =>
        machine.Drives.FirstOrDefault(d => d.Key == take.DriveKey)
        ?? throw new InvalidInputException(
            nameof(take.DriveKey),
            "unknown",
            $"Give one of this machine's drives: {string.Join(", ", machine.Drives.Select(d => d.Key))}."
        );
}
