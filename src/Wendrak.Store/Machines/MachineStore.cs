using Microsoft.Data.Sqlite;
using Wendrak.Core.Gearing;
using Wendrak.Core.Machines;
using Wendrak.Core.Tension;
using Wendrak.Store.Ledger;

namespace Wendrak.Store.Machines;

/// <summary>A machine with the setup that is on it, and the visits to its loops.</summary>
public sealed record FittedMachine(Machine Machine, Setup Fitted, IReadOnlyList<SetJob> Visits)
{
    public FittedMachine(Machine machine, Setup fitted)
        : this(machine, fitted, []) { }
}

/// <summary>Machines and the setups that belong to them.</summary>
public sealed class MachineStore(Database database, ChangeLog log, TimeProvider clock)
{
    /// <summary>All machines, retired ones too, by name.</summary>
    public async Task<IReadOnlyList<FittedMachine>> ListAsync()
    {
        await using SqliteConnection connection = database.Open();
        Session session = new(connection, null);
        List<FittedMachine> machines = [];
        foreach (Machine machine in await MachineShelf.ListAsync(session))
            machines.Add(await WithVisitsAsync(session, machine));
        return machines;
    }

    public async Task<FittedMachine?> FindAsync(long id)
    {
        await using SqliteConnection connection = database.Open();
        Session session = new(connection, null);
        Machine? machine = await Shelves.Machines.FindAsync(session, id);
        return machine is null ? null : await WithVisitsAsync(session, machine);
    }

    /// <summary>Adds a machine with the wheels that are on it.</summary>
    public Task<FittedMachine> AddAsync(string who, MachineDraft draft, CancellationToken ct)
    {
        MachineRules.Check(draft.Machine, draft.Fitted);
        return log.MakeAsync(who, $"added {draft.Machine.Name}", writing => AddAsync(writing, draft), ct);
    }

    /// <summary>What would have to be done again if a change meant other parts; nothing is stored.</summary>
    /// <returns>Null when there is no such machine.</returns>
    /// <exception cref="Core.Quantities.InvalidInputException">The store would refuse it.</exception>
    public async Task<IReadOnlyList<RedoItem>?> RedoAfterAsync(MachineDraft draft)
    {
        draft = draft with { Machine = MachineReconciling.ToDrives(draft.Machine) };
        MachineRules.Check(draft.Machine, draft.Fitted);
        if (await FindAsync(draft.Machine.Id) is not { } now)
            return null;
        Setup next = now.Fitted with
        {
            Loops = draft.Fitted,
            RoadWheels = SetupReconciling.ToOutputs(draft.Machine, now.Fitted.RoadWheels),
        };
        return Redo.After(new(DrivesAsBuilt.Of(now.Machine, now.Fitted), DrivesAsBuilt.Of(draft.Machine, next)));
    }

    /// <summary>Changes a machine and, where loops came or went, the wheels of all its setups.</summary>
    /// <param name="fittedVersion">Version of the setup as fitted that the wheels were read from.</param>
    /// <exception cref="ChangedMeanwhileException">Somebody else changed the machine or its wheels.</exception>
    public Task<FittedMachine> ChangeAsync(
        string who,
        MachineDraft draft,
        int fittedVersion,
        CancellationToken ct,
        MachineChange change = MachineChange.OtherParts
    )
    {
        draft = draft with { Machine = MachineReconciling.ToDrives(draft.Machine) };
        MachineRules.Check(draft.Machine, draft.Fitted);
        return log.MakeAsync(
            who,
            $"changed {draft.Machine.Name}",
            async writing =>
            {
                writing.MachineId = draft.Machine.Id;
                Machine before =
                    await Shelves.Machines.FindAsync(writing.Session, draft.Machine.Id)
                    ?? throw new ChangedMeanwhileException(MachineShelf.Name, null);
                Machine withSets = await StoreSetsAsync(writing, draft.Machine);
                Machine machine = await Shelves.RecordedMachines.ChangeAsync(writing, withSets);
                Setup fitted = await ReconcileAsync(writing, before, machine, draft.Fitted, fittedVersion, change);
                return new FittedMachine(machine, fitted, await SetJobShelf.ListAsync(writing.Session, machine.Id));
            },
            ct
        );
    }

    /// <summary>Adds a copy with its trials and what was delivered, but none of the aims' memories.</summary>
    /// <returns>Null when there is no such machine.</returns>
    public Task<FittedMachine?> CopyAsync(string who, long id, string name, CancellationToken ct) =>
        log.MakeAsync<FittedMachine?>(
            who,
            $"copied to {name}",
            async writing =>
            {
                Machine? machine = await Shelves.Machines.FindAsync(writing.Session, id);
                if (machine is null)
                    return null;
                Setup fitted = await FittedAsync(writing.Session, id);
                Machine copy = machine with { Id = 0, Name = name, RetiredOn = null };
                MachineRules.Check(copy, fitted.Loops);
                FittedMachine added = await AddAsync(writing, new(copy, fitted.Loops), fitted.RoadWheels);
                foreach (Setup setup in await SetupShelf.ListAsync(writing.Session, id))
                    if (setup.Status is SetupStatus.Trial or SetupStatus.AsDelivered)
                        await Shelves.RecordedSetups.AddAsync(
                            writing,
                            setup with
                            {
                                Id = 0,
                                MachineId = added.Machine.Id,
                                MadeOn = Today(),
                            }
                        );
                return added;
            },
            ct
        );

    /// <summary>All setups of a machine, oldest first.</summary>
    public async Task<IReadOnlyList<Setup>> SetupsAsync(long machineId)
    {
        await using SqliteConnection connection = database.Open();
        return await SetupShelf.ListAsync(new(connection, null), machineId);
    }

    /// <summary>Keeps a trial; loops it does not name stay as fitted, mirrored loops follow.</summary>
    /// <returns>Null when there is no such machine.</returns>
    public Task<Setup?> AddTrialAsync(string who, long machineId, NewTrial trial, CancellationToken ct) =>
        log.MakeAsync<Setup?>(
            who,
            $"made trial {trial.Name}",
            async writing =>
            {
                Machine? machine = await Shelves.Machines.FindAsync(writing.Session, machineId);
                if (machine is null)
                    return null;
                writing.MachineId = machineId;
                Setup fitted = await FittedAsync(writing.Session, machineId);
                Setup setup = new(
                    0,
                    0,
                    machineId,
                    trial.Name,
                    SetupStatus.Trial,
                    MirroredSetups.Complete(machine.Drives, fitted.Loops, trial.Loops),
                    trial.RoadWheels ?? fitted.RoadWheels,
                    Today(),
                    null,
                    null,
                    trial.Note
                );
                MachineRules.Check(setup, machine);
                return await Shelves.RecordedSetups.AddAsync(writing, setup);
            },
            ct
        );

    /// <summary>Keeps the wheels the machine was delivered with, in the place of what was kept as such before.</summary>
    /// <returns>Null when there is no such machine.</returns>
    public Task<Setup?> SetDeliveredAsync(string who, long machineId, DeliveredWheels wheels, CancellationToken ct) =>
        log.MakeAsync<Setup?>(
            who,
            "typed what was delivered",
            async writing =>
            {
                Machine? machine = await Shelves.Machines.FindAsync(writing.Session, machineId);
                if (machine is null)
                    return null;
                writing.MachineId = machineId;
                IReadOnlyList<Setup> setups = await SetupShelf.ListAsync(writing.Session, machineId);
                Setup? stored = setups.FirstOrDefault(s => s.Status == SetupStatus.AsDelivered);
                Setup next =
                    stored
                    ?? new(
                        0,
                        0,
                        machineId,
                        "As delivered",
                        SetupStatus.AsDelivered,
                        wheels.Loops,
                        wheels.RoadWheels,
                        Today(),
                        null,
                        null,
                        null
                    );
                next = next with { Loops = wheels.Loops, RoadWheels = wheels.RoadWheels };
                MachineRules.Check(next, machine);
                return stored is null
                    ? await Shelves.RecordedSetups.AddAsync(writing, next)
                    : await Shelves.RecordedSetups.ChangeAsync(writing, next);
            },
            ct
        );

    /// <summary>Changes a setup's name, wheels or note. What is fitted changes only by <see cref="FitAsync"/>.</summary>
    /// <returns>Null when there is no such setup.</returns>
    public Task<Setup?> ChangeSetupAsync(string who, Setup setup, CancellationToken ct) =>
        log.MakeAsync<Setup?>(
            who,
            setup.Status == SetupStatus.Discarded ? $"discarded {setup.Name}" : $"changed {setup.Name}",
            async writing =>
            {
                Setup? stored = await Shelves.Setups.FindAsync(writing.Session, setup.Id);
                if (stored is null)
                    return null;
                Machine machine = (await Shelves.Machines.FindAsync(writing.Session, stored.MachineId))!;
                writing.MachineId = machine.Id;
                // Only a trial can be given up; everything else about when it was fitted is the store's business.
                SetupStatus status =
                    stored.Status is SetupStatus.Trial or SetupStatus.Discarded
                    && setup.Status is SetupStatus.Trial or SetupStatus.Discarded
                        ? setup.Status
                        : stored.Status;
                Setup next = setup with
                {
                    MachineId = stored.MachineId,
                    Status = status,
                    MadeOn = stored.MadeOn,
                    FittedOn = stored.FittedOn,
                    FittedAtKm = stored.FittedAtKm,
                };
                MachineRules.Check(next, machine);
                // What the caller ticked off is gone from its list; what it changed asks for more.
                bool isFitted = status == SetupStatus.AsFitted;
                next = next with
                {
                    Redo = isFitted ? OpenAfter(stored with { Redo = next.Redo }, machine, next, machine) : null,
                };
                return await Shelves.RecordedSetups.ChangeAsync(writing, next);
            },
            ct
        );

    /// <summary>Puts a setup on the machine; what was on it is kept as former.</summary>
    /// <returns>The setups of the machine afterwards; null when there is no such setup.</returns>
    /// <exception cref="ChangedMeanwhileException">The setup was changed since it was read.</exception>
    public Task<IReadOnlyList<Setup>?> FitAsync(string who, long setupId, int version, CancellationToken ct) =>
        log.MakeAsync<IReadOnlyList<Setup>?>(
            who,
            "fitted a setup",
            async writing =>
            {
                Setup? setup = await Shelves.Setups.FindAsync(writing.Session, setupId);
                if (setup is null)
                    return null;
                Machine machine = (await Shelves.Machines.FindAsync(writing.Session, setup.MachineId))!;
                writing.MachineId = machine.Id;
                Setup old = await FittedAsync(writing.Session, machine.Id);
                // What was delivered stays what it is: a copy of it goes on the machine.
                if (setup.Status == SetupStatus.AsDelivered)
                {
                    setup = await Shelves.RecordedSetups.AddAsync(
                        writing,
                        setup with
                        {
                            Id = 0,
                            Status = SetupStatus.Trial,
                            MadeOn = Today(),
                        }
                    );
                    version = setup.Version;
                }
                if (old.Id != setup.Id)
                {
                    // First off, then on: the file itself allows only one as fitted.
                    await Shelves.RecordedSetups.ChangeAsync(
                        writing,
                        old with
                        {
                            Name = MachineRules.FormerName(old, Today()),
                            Status = SetupStatus.Former,
                            Redo = null,
                        }
                    );
                    await Shelves.RecordedSetups.ChangeAsync(
                        writing,
                        setup with
                        {
                            Version = version,
                            Status = SetupStatus.AsFitted,
                            FittedOn = Today(),
                            FittedAtKm = machine.OdometerKm,
                            Redo = OpenAfter(old, machine, setup, machine),
                        }
                    );
                }
                return await SetupShelf.ListAsync(writing.Session, machine.Id);
            },
            ct
        );

    /// <summary>A machine with everything that belongs to it, for a file; null when there is no such machine.</summary>
    public async Task<MachineFile?> ToFileAsync(long id)
    {
        await using SqliteConnection connection = database.Open();
        Session session = new(connection, null);
        Machine? machine = await Shelves.Machines.FindAsync(session, id);
        return machine is null
            ? null
            : MachineFile.Of(
                machine,
                await SetupShelf.ListAsync(session, id),
                await AimShelf.ListAsync(session, id),
                await SetJobShelf.ListAsync(session, id)
            );
    }

    /// <summary>Adds the machine of a file, under new ids, whatever is here already.</summary>
    public Task<FittedMachine> FromFileAsync(string who, MachineFile file, CancellationToken ct)
    {
        file.Check();
        return log.MakeAsync(
            who,
            $"read {file.Machine.Name} from a file",
            async writing =>
            {
                Machine withSets = await StoreSetsAsync(writing, file.Machine with { Id = 0 });
                Machine machine = await Shelves.RecordedMachines.AddAsync(writing, withSets);
                writing.MachineId = machine.Id;
                Dictionary<long, long> newIds = [];
                Setup? fitted = null;
                foreach (Setup setup in file.Setups)
                {
                    Setup added = await Shelves.RecordedSetups.AddAsync(
                        writing,
                        setup with
                        {
                            Id = 0,
                            MachineId = machine.Id,
                        }
                    );
                    newIds[setup.Id] = added.Id;
                    fitted = added.Status == SetupStatus.AsFitted ? added : fitted;
                }
                foreach (Aim aim in file.Aims)
                    await Shelves.RecordedAims.AddAsync(writing, Renumbered(aim, machine.Id, newIds));
                foreach (SetJob job in file.SetJobs ?? [])
                    await Shelves.RecordedSetJobs.AddAsync(writing, job with { Id = 0, MachineId = machine.Id });
                return new FittedMachine(machine, fitted!);
            },
            ct
        );
    }

    private static Aim Renumbered(Aim aim, long machineId, Dictionary<long, long> newIds) =>
        aim with
        {
            Id = 0,
            MachineId = machineId,
            Target = aim.Target is MatchSetup m ? m with { SetupId = newIds.GetValueOrDefault(m.SetupId) } : aim.Target,
            Outcomes = [.. aim.Outcomes.Select(o => o with { SetupId = newIds.GetValueOrDefault(o.SetupId) })],
        };

    private Task<FittedMachine> AddAsync(Writing writing, MachineDraft draft) => AddAsync(writing, draft, []);

    private async Task<FittedMachine> AddAsync(
        Writing writing,
        MachineDraft draft,
        IReadOnlyList<RoadWheelChoice> roadWheels
    )
    {
        Machine withSets = await StoreSetsAsync(writing, draft.Machine with { Id = 0 });
        Machine machine = await Shelves.RecordedMachines.AddAsync(writing, withSets);
        writing.MachineId = machine.Id;
        Setup fitted = await Shelves.RecordedSetups.AddAsync(
            writing,
            new(
                0,
                0,
                machine.Id,
                Setup.FittedName,
                SetupStatus.AsFitted,
                draft.Fitted,
                roadWheels,
                Today(),
                FittedOn: null, // it is on the machine: since when, nobody said
                FittedAtKm: null,
                null
            )
        );
        return new(machine, fitted);
    }

    /// <summary>Wheels of every setup follow the loops the machine has now.</summary>
    private static async Task<Setup> ReconcileAsync(
        Writing writing,
        Machine before,
        Machine machine,
        IReadOnlyList<LoopChoice> fittedLoops,
        int fittedVersion,
        MachineChange change
    )
    {
        Loop[] loops = [.. MachineRules.LoopsOf(machine)];
        Setup? fitted = null;
        foreach (Setup setup in await SetupShelf.ListAsync(writing.Session, machine.Id))
        {
            bool isFitted = setup.Status == SetupStatus.AsFitted;
            Setup next = setup with
            {
                Version = isFitted ? fittedVersion : setup.Version,
                Loops = isFitted ? fittedLoops : SetupReconciling.ToLoops(loops, setup.Loops, fittedLoops),
                RoadWheels = SetupReconciling.ToOutputs(machine, setup.RoadWheels),
            };
            if (isFitted)
                next = next with { Redo = OpenAfter(setup, before, next, machine, change) };
            Setup stored = await Shelves.RecordedSetups.ChangeAsync(writing, next);
            fitted = isFitted ? stored : fitted;
        }
        return fitted!;
    }

    /// <summary>What is open on a machine once a setup is on it; null for nothing.</summary>
    private static IReadOnlyList<RedoItem>? OpenAfter(
        Setup old,
        Machine oldMachine,
        Setup next,
        Machine machine,
        MachineChange change = MachineChange.OtherParts
    )
    {
        RedoInput made = new(DrivesAsBuilt.Of(oldMachine, old), DrivesAsBuilt.Of(machine, next));
        IReadOnlyList<RedoItem> open =
            change == MachineChange.Correction
                ? Redo.StillThere(old.Redo ?? [], made.After)
                : Redo.With(old.Redo ?? [], made);
        return open.Count == 0 ? null : open;
    }

    /// <summary>
    /// Gearbox sets a machine brings along: one with an id is the shared set; one without is matched by name and
    /// ratios, and added when there is none like it.
    /// </summary>
    private static async Task<Machine> StoreSetsAsync(Writing writing, Machine machine)
    {
        IReadOnlyList<GearboxSet> known = await GearboxSetShelf.ListAsync(writing.Session);
        List<Drive> drives = [];
        foreach (Drive drive in machine.Drives)
        {
            List<Stage> stages = [];
            foreach (Stage stage in drive.Stages)
                stages.Add(stage is Gearbox box ? box with { Set = await StoredAsync(box.Set) } : stage);
            drives.Add(drive with { Stages = stages });
        }
        return machine with { Drives = drives };

        async Task<GearboxSet> StoredAsync(GearboxSet set)
        {
            GearboxSet? same =
                known.FirstOrDefault(k => k.Id == set.Id && IsAlike(k, set))
                ?? known.FirstOrDefault(k => IsAlike(k, set));
            if (same is not null)
                return same;
            GearboxSet added = await Shelves.RecordedGearboxSets.AddAsync(writing, set with { Id = 0 });
            known = [.. known, added];
            return added;
        }
    }

    private static bool IsAlike(GearboxSet a, GearboxSet b) =>
        a.Name == b.Name && a.TurnsRound == b.TurnsRound && a.Reductions.SequenceEqual(b.Reductions);

    private static async Task<FittedMachine> WithVisitsAsync(Session session, Machine machine) =>
        new(machine, await FittedAsync(session, machine.Id), await SetJobShelf.ListAsync(session, machine.Id));

    private static async Task<Setup> FittedAsync(Session session, long machineId) =>
        (await SetupShelf.ListAsync(session, machineId)).First(s => s.Status == SetupStatus.AsFitted);

    private DateOnly Today() => DateOnly.FromDateTime(clock.GetLocalNow().DateTime);
}

/// <summary>Wheels a machine was delivered with.</summary>
/// <param name="RoadWheels">Other road wheels than the machine's own; empty when they stay.</param>
public sealed record DeliveredWheels(IReadOnlyList<LoopChoice> Loops, IReadOnlyList<RoadWheelChoice> RoadWheels);

/// <summary>A trial to be made.</summary>
/// <param name="Loops">Loops that differ from as fitted.</param>
/// <param name="RoadWheels">Null keeps those of as fitted.</param>
public sealed record NewTrial(
    string Name,
    IReadOnlyList<LoopChoice> Loops,
    IReadOnlyList<RoadWheelChoice>? RoadWheels,
    string? Note
);
