using Wendrak.Core.Evaluation;
using Wendrak.Core.Gearing;
using Wendrak.Core.Records;
using Wendrak.Core.Upkeep;
using Wendrak.Store.Bodies;
using Wendrak.Store.Ledger;
using Wendrak.Store.Logs;
using Wendrak.Store.Records;

namespace Wendrak.Store.Machines;

/// <summary>A machine with the setup that is on it, and what was done at it.</summary>
/// <param name="Jobs">Oldest first.</param>
public sealed record FittedMachine(Machine Machine, Setup Fitted, IReadOnlyList<JobContent> Jobs)
{
    /// <summary>Of its log, what the usual distance is learned from.</summary>
    public IReadOnlyList<OdometerEntry> Odometer { get; init; } = [];

    public FittedMachine(Machine machine, Setup fitted)
        : this(machine, fitted, []) { }

    /// <summary>To its loops, newest first.</summary>
    public IReadOnlyList<SetJob> Visits => JobStore.VisitsOf(Jobs);

    /// <summary>Seen on it, not mended: it does not go out with these.</summary>
    public IReadOnlyList<PartSeen> Stops =>
        [.. PartSeen.Standing(PartSeen.AllOf(Jobs.Select(j => j.Sheet))).Where(s => s.Grade == FindingGrade.Stop)];
}

/// <summary>Machines with the setups that are on them.</summary>
public sealed class MachineStore(Database database, ChangeLog log, JobStore jobs, TimeProvider clock)
{
    private readonly MachineRepository _machines = new();
    private readonly SetupRepository _setups = new();

    /// <summary>All machines, retired ones too, by name.</summary>
    public Task<IReadOnlyList<FittedMachine>> ListAsync() =>
        database.ReadAsync<IReadOnlyList<FittedMachine>>(async session =>
        {
            Dictionary<long, Setup> fitted = (await _setups.ListFittedAsync(session)).ToDictionary(s => s.MachineId);
            ILookup<long, OdometerEntry> odometers = await LogRows.OdometersAsync(session, null);
            ILookup<long, JobContent> done = (await jobs.ContentsAsync(session)).ToLookup(j => j.Job.MachineId);
            return
            [
                .. (await _machines.ListAsync(session))
                    .Where(m => fitted.ContainsKey(m.Id))
                    .OrderBy(m => m.Name, StringComparer.OrdinalIgnoreCase)
                    .ThenBy(m => m.Id)
                    .Select(m => new FittedMachine(m, fitted[m.Id], [.. done[m.Id]])
                    {
                        Odometer = [.. odometers[m.Id]],
                    }),
            ];
        });

    /// <returns>Null when there is no such machine.</returns>
    public Task<FittedMachine?> FindAsync(long id) =>
        database.ReadAsync(async session =>
            await _machines.FindAsync(session, id) is { } machine
                ? new FittedMachine(
                    machine,
                    await _setups.FittedAsync(session, id),
                    await jobs.ContentsAsync(session, id)
                )
                {
                    Odometer = [.. (await LogRows.OdometersAsync(session, id))[id]],
                }
                : null
        );

    /// <summary>Adds a machine with the wheels that are on it.</summary>
    public Task<FittedMachine> AddAsync(string? who, MachineDraft draft, CancellationToken ct)
    {
        MachineRules.Check(draft);
        return log.CommitAsync(who, $"added {draft.Machine.Name}", edit => AddAsync(edit, draft, []), ct);
    }

    /// <summary>What would have to be done again if a change meant other parts; nothing is stored.</summary>
    /// <returns>Null when there is no such machine.</returns>
    /// <exception cref="Core.Quantities.InvalidInputException">The store would refuse it.</exception>
    /// <param name="kindsOf">Setup whose kinds of loops stand on the machine as it is sent; what hangs on these asks for nothing.</param>
    public async Task<IReadOnlyList<FollowUpTask>?> FollowUpsAfterAsync(MachineDraft draft, KindsInView? kindsOf = null)
    {
        if (kindsOf is null)
            draft = MachineReconciling.Checked(draft);
        if (await FindAsync(draft.Machine.Id) is not { } now)
            return null;
        if (kindsOf is not null)
        {
            Setup seen = await database.ReadAsync(s => KindsInViewAsync(s, now.Machine.Id, kindsOf));
            draft = MachineReconciling.Checked(
                draft with
                {
                    Machine = SetupKinds.Split(draft.Machine, now.Machine, seen).Machine,
                }
            );
        }
        Setup next = now.Fitted with
        {
            Loops = draft.Fitted,
            RoadWheels = SetupReconciling.ToOutputs(draft.Machine, now.Fitted.RoadWheels),
        };
        return FollowUps.After(
            new(DrivesAsBuilt.From(now.Machine, now.Fitted), DrivesAsBuilt.From(draft.Machine, next))
        );
    }

    /// <summary>Changes a machine and, where loops came or went, the wheels of all its setups.</summary>
    /// <param name="fittedVersion">Version of the setup as fitted that the wheels were read from.</param>
    /// <param name="kindsOf">Setup whose kinds of loops were on it as it was changed: what hangs on these goes to the setup.</param>
    /// <exception cref="ChangedMeanwhileException">Somebody else changed the machine or its wheels.</exception>
    public Task<FittedMachine> ChangeAsync(
        string? who,
        MachineDraft draft,
        int fittedVersion,
        CancellationToken ct,
        MachineChange change = MachineChange.OtherParts,
        KindsInView? kindsOf = null
    )
    {
        // With the kinds of a setup in view it is checked once these are put where they belong.
        if (kindsOf is null)
            draft = MachineReconciling.Checked(draft);
        return log.CommitAsync(
            who,
            $"changed {draft.Machine.Name}",
            async edit =>
            {
                edit.MachineId = draft.Machine.Id;
                Machine before =
                    await _machines.FindAsync(edit.Session, draft.Machine.Id)
                    ?? throw new ChangedMeanwhileException(Kinds.Machine.Name, null);
                Setup? inView = null;
                if (kindsOf is not null)
                {
                    // Without it a belt that is only tried would pass for what is on.
                    Setup seen = await KindsInViewAsync(edit.Session, draft.Machine.Id, kindsOf);
                    (Machine split, inView) = SetupKinds.Split(draft.Machine, before, seen);
                    draft = MachineReconciling.Checked(draft with { Machine = split });
                    MachineRules.Check(inView, draft.Machine);
                }
                Machine withSets = await BroughtSets.StoreAsync(edit, draft.Machine, before);
                Machine machine = await _machines.ChangeAsync(edit, withSets, before);
                Setup fitted = await ReconcileAsync(edit, before, machine, draft.Fitted, fittedVersion, change, inView);
                return new FittedMachine(machine, fitted, await jobs.ContentsAsync(edit.Session, machine.Id));
            },
            ct
        );
    }

    /// <exception cref="ChangedMeanwhileException">The setup is gone, or has no kinds of its own any more.</exception>
    private async Task<Setup> KindsInViewAsync(Session session, long machineId, KindsInView kindsOf) =>
        await _setups.FindAsync(session, kindsOf.SetupId) is { Kinds.Count: > 0 } setup && setup.MachineId == machineId
            ? setup with
            {
                Version = kindsOf.Version,
            }
            : throw new ChangedMeanwhileException(Kinds.Setup.Name, null);

    /// <summary>Adds a copy with its trials and what was delivered, but none of the aims' memories.</summary>
    /// <returns>Null when there is no such machine.</returns>
    public Task<FittedMachine?> CopyAsync(string? who, long id, string name, CancellationToken ct) =>
        log.CommitAsync(
            who,
            $"copied to {name}",
            async edit =>
            {
                if (await _machines.FindAsync(edit.Session, id) is not { } machine)
                    return null;
                Setup fitted = await _setups.FittedAsync(edit.Session, id);
                Machine copy = machine with { Name = name, RetiredOn = null };
                MachineRules.Check(copy, fitted.Loops);
                FittedMachine added = await AddAsync(edit, new(copy, fitted.Loops), fitted.RoadWheels);
                foreach (Setup setup in await _setups.ListOfMachineAsync(edit.Session, id))
                    if (setup.Status is SetupStatus.Trial or SetupStatus.AsDelivered)
                        await _setups.AddAsync(
                            edit,
                            setup with
                            {
                                MachineId = added.Machine.Id,
                                MadeOn = clock.Today(),
                            }
                        );
                return (FittedMachine?)added;
            },
            ct
        );

    /// <summary>Removes a machine with all that is a part of it; undoing brings all of it back.</summary>
    /// <returns>False when there is no such machine.</returns>
    /// <exception cref="ChangedMeanwhileException">It was changed since it was read.</exception>
    public Task<bool> RemoveAsync(string? who, long id, int version, CancellationToken ct) =>
        log.CommitAsync(
            who,
            "removed a machine",
            async edit =>
            {
                if (await _machines.FindAsync(edit.Session, id) is not { } machine)
                    return false;
                edit.MachineId = id;
                edit.What = $"removed {machine.Name}";
                await _machines.RemoveAsync(edit, id, version);
                return true;
            },
            ct
        );

    private async Task<FittedMachine> AddAsync(Edit edit, MachineDraft draft, IReadOnlyList<RoadWheelChoice> roadWheels)
    {
        Machine withSets = await BroughtSets.StoreAsync(edit, draft.Machine);
        Machine machine = await _machines.AddAsync(edit, withSets);
        edit.MachineId = machine.Id;
        Setup fitted = await _setups.AddAsync(
            edit,
            new(
                0,
                0,
                machine.Id,
                Setup.FittedName,
                SetupStatus.AsFitted,
                draft.Fitted,
                roadWheels,
                clock.Today(),
                FittedOn: null, // it is on the machine: since when, nobody said
                FittedAtKm: null,
                null
            )
        );
        return new(machine, fitted);
    }

    /// <summary>Wheels of every setup follow the loops the machine has now.</summary>
    private async Task<Setup> ReconcileAsync(
        Edit edit,
        Machine before,
        Machine machine,
        IReadOnlyList<LoopChoice> fittedLoops,
        int fittedVersion,
        MachineChange change,
        Setup? inView
    )
    {
        Setup? fitted = null;
        foreach (Setup setup in await _setups.ListOfMachineAsync(edit.Session, machine.Id))
        {
            bool isFitted = setup.Status == SetupStatus.AsFitted;
            IReadOnlyList<LoopKind>? kinds = setup.Id == inView?.Id ? inView.Kinds : setup.Kinds;
            kinds = SetupKinds.For(machine, kinds);
            Loop[] loops = [.. MachineRules.LoopsOf(SetupKinds.On(machine, kinds))];
            Setup next = setup with
            {
                Kinds = kinds,
                Version =
                    isFitted ? fittedVersion
                    : setup.Id == inView?.Id ? inView.Version
                    : setup.Version,
                Loops = isFitted ? fittedLoops : SetupReconciling.ToLoops(loops, setup.Loops, fittedLoops),
                RoadWheels = SetupReconciling.ToOutputs(machine, setup.RoadWheels),
            };
            if (isFitted)
                next = next with { FollowUps = OpenWork.After(setup, before, next, machine, change) };
            Setup stored = await _setups.ChangeAsync(edit, next, setup);
            fitted = isFitted ? stored : fitted;
        }
        return fitted!;
    }
}
