using Wendrak.Core.Gearing;
using Wendrak.Core.Procedures;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Store.Bodies;
using Wendrak.Store.Ledger;
using Wendrak.Store.Records;

namespace Wendrak.Store.Machines;

/// <summary>Setups of machines: trials, what is fitted, what was.</summary>
public sealed class SetupStore(Database database, ChangeLog log, JobStore jobs, TimeProvider clock)
{
    private readonly MachineRepository _machines = new();
    private readonly SetupRepository _setups = new();
    private readonly Repository<Aim> _aims = new(Kinds.Aim);

    /// <summary>All setups of a machine, oldest first.</summary>
    public Task<IReadOnlyList<Setup>> ListAsync(long machineId) =>
        database.ReadAsync(session => _setups.ListOfMachineAsync(session, machineId));

    /// <summary>Keeps a trial; loops it does not name stay as fitted, mirrored loops follow.</summary>
    /// <returns>Null when there is no such machine.</returns>
    /// <param name="kinds">Loops that are another kind in it; null for none, and for those of <see cref="NewTrial.KindsOf"/>.</param>
    public Task<Setup?> AddTrialAsync(
        string? who,
        long machineId,
        NewTrial trial,
        CancellationToken ct,
        IReadOnlyList<LoopKind>? kinds = null
    ) =>
        log.CommitAsync(
            who,
            $"made trial {trial.Name}",
            async edit =>
            {
                Machine? machine = await _machines.FindAsync(edit.Session, machineId);
                if (machine is null)
                    return null;
                edit.MachineId = machineId;
                // Those of another machine's setup are none of this one's.
                if (trial.KindsOf is long like && await _setups.FindAsync(edit.Session, like) is { } of)
                    kinds = of.MachineId == machineId ? of.Kinds : null;
                MachineRules.CheckTrial(trial.Loops, SetupKinds.On(machine, kinds));
                Setup fitted = await _setups.FittedAsync(edit.Session, machineId);
                return await AddAsync(
                    edit,
                    machine,
                    trial.Name,
                    MirroredSetups.Complete(machine.Drives, fitted.Loops, trial.Loops),
                    trial.RoadWheels ?? fitted.RoadWheels,
                    trial.Note,
                    kinds
                );
            },
            ct
        );

    /// <summary>Keeps the wheels the machine was delivered with, in the place of what was kept as such before.</summary>
    /// <returns>Null when there is no such machine.</returns>
    public Task<Setup?> SetDeliveredAsync(string? who, long machineId, DeliveredWheels wheels, CancellationToken ct) =>
        log.CommitAsync(
            who,
            "typed what was delivered",
            async edit =>
            {
                Machine? machine = await _machines.FindAsync(edit.Session, machineId);
                if (machine is null)
                    return null;
                edit.MachineId = machineId;
                IReadOnlyList<Setup> all = await _setups.ListOfMachineAsync(edit.Session, machineId);
                Setup? stored = all.FirstOrDefault(s => s.Status == SetupStatus.AsDelivered);
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
                        clock.Today(),
                        null,
                        null,
                        null
                    );
                // They are typed for what is on the machine now.
                next = next with
                {
                    Loops = wheels.Loops,
                    RoadWheels = wheels.RoadWheels,
                    Kinds = null,
                };
                MachineRules.Check(next, machine);
                return stored is null ? await _setups.AddAsync(edit, next) : await _setups.ChangeAsync(edit, next);
            },
            ct
        );

    /// <summary>Changes a setup's name, wheels or note. What is fitted changes only by <see cref="FitAsync"/>.</summary>
    /// <returns>Null when there is no such setup.</returns>
    public Task<Setup?> ChangeAsync(string? who, Setup setup, CancellationToken ct) =>
        log.CommitAsync(
            who,
            setup.Status == SetupStatus.Discarded ? $"discarded {setup.Name}" : $"changed {setup.Name}",
            async edit =>
            {
                Setup? stored = await _setups.FindAsync(edit.Session, setup.Id);
                if (stored is null)
                    return null;
                Machine machine = (await _machines.FindAsync(edit.Session, stored.MachineId))!;
                edit.MachineId = machine.Id;
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
                    AsLeft = stored.AsLeft,
                };
                MachineRules.Check(next, machine);
                // What the caller ticked off is gone from its list; what it changed asks for more.
                bool isFitted = status == SetupStatus.AsFitted;
                next = next with
                {
                    FollowUps = isFitted
                        ? OpenWork.After(stored with { FollowUps = next.FollowUps }, machine, next, machine)
                        : null,
                };
                return await _setups.ChangeAsync(edit, next);
            },
            ct
        );

    /// <summary>Puts a setup on the machine; what was on it is kept as former.</summary>
    /// <returns>The setups of the machine afterwards; null when there is no such setup.</returns>
    /// <exception cref="ChangedMeanwhileException">The setup was changed since it was read.</exception>
    public Task<IReadOnlyList<Setup>?> FitAsync(string? who, long setupId, int version, CancellationToken ct) =>
        log.CommitAsync<IReadOnlyList<Setup>?>(
            who,
            "fitted a setup",
            async edit =>
            {
                Setup? setup = await _setups.FindAsync(edit.Session, setupId);
                if (setup is null)
                    return null;
                Machine machine = (await _machines.FindAsync(edit.Session, setup.MachineId))!;
                edit.MachineId = machine.Id;
                Setup old = await _setups.FittedAsync(edit.Session, machine.Id);
                // What was delivered stays what it is: a copy of it goes on the machine.
                if (setup.Status == SetupStatus.AsDelivered)
                {
                    setup = await _setups.AddAsync(
                        edit,
                        setup with
                        {
                            Id = 0,
                            Status = SetupStatus.Trial,
                            MadeOn = clock.Today(),
                        }
                    );
                    version = setup.Version;
                }
                if (old.Id != setup.Id)
                {
                    edit.What = $"fitted {setup.Name}";
                    await PutOnAsync(edit, (old, machine), (setup with { Version = version }, machine));
                    await jobs.FittedAsync(
                        edit,
                        machine.Id,
                        new(setup.Id, setup.Name, null, SetupFitted.FindChanged(old, setup))
                    );
                }
                return await _setups.ListOfMachineAsync(edit.Session, machine.Id);
            },
            ct
        );

    /// <summary>Says that what the plan of a job puts on is on the machine: a trial with those wheels, or the one there is, is fitted.</summary>
    /// <returns>The setups of the machine afterwards; null when there is no such job, or no plan was made for it.</returns>
    /// <exception cref="InvalidInputException">Its parts are not on yet, or the machine says so already.</exception>
    public Task<IReadOnlyList<Setup>?> PutPlanOnAsync(string? who, long jobId, CancellationToken ct) =>
        log.CommitAsync<IReadOnlyList<Setup>?>(
            who,
            "fitted what was planned",
            async edit =>
            {
                if (await jobs.ContentAsync(edit.Session, jobId) is not { Plan: { } plan } job)
                    return null;
                Machine machine = (await _machines.FindAsync(edit.Session, job.Job.MachineId))!;
                edit.MachineId = machine.Id;
                Setup old = await _setups.FittedAsync(edit.Session, machine.Id);
                LoopChoice wanted =
                    plan.ToFit(old)
                    ?? throw new InvalidInputException(
                        "Id",
                        "nothing_to_fit",
                        "Tell the steps that put its parts on first; or the machine says already what is on."
                    );
                Setup next = plan.TrialId is long trial
                    ? await TrialOfPlanAsync(edit, trial)
                    : await WithWheelsAsync(edit, machine, old, wanted);
                edit.What = $"fitted {next.Name}, as planned";
                await PutOnAsync(edit, (old, machine), (next, machine));
                SetupFitted fitted = new(next.Id, next.Name, null, SetupFitted.FindChanged(old, next));
                await jobs.FittedAtAsync(edit, job, fitted);
                return await _setups.ListOfMachineAsync(edit.Session, machine.Id);
            },
            ct
        );

    /// <summary>
    /// Puts what was on the machine before back, with the places, shims and settings of then, and opens the job that does it.
    /// </summary>
    /// <returns>The job that goes on with it; null when there is no such setup.</returns>
    /// <exception cref="InvalidInputException">It was never on the machine, or the machine takes it no more.</exception>
    /// <exception cref="ChangedMeanwhileException">The setup was changed since it was read.</exception>
    public Task<JobSheet?> FitAgainAsync(string? who, long setupId, int version, CancellationToken ct) =>
        log.CommitAsync(
            who,
            "fitted what worked again",
            async edit =>
            {
                Setup? setup = await _setups.FindAsync(edit.Session, setupId);
                if (setup is null)
                    return null;
                new Guard()
                    .That(
                        setup.Status == SetupStatus.Former,
                        "Version",
                        "not_former",
                        "Give a setup that was on the machine before and is not on it now."
                    )
                    .ThrowIfAny();
                Machine machine = (await _machines.FindAsync(edit.Session, setup.MachineId))!;
                edit.MachineId = machine.Id;
                edit.What = $"fitted {setup.Name} again";
                IReadOnlyList<Setup> setups = await _setups.ListOfMachineAsync(edit.Session, machine.Id);
                FittedAgain again = FittingAgain.Describe(
                    setup,
                    setups,
                    await _aims.ListOfMachineAsync(edit.Session, machine.Id),
                    await jobs.ListAsync(edit.Session, machine.Id)
                );
                Machine back = await PutBackAsync(edit, machine, setup);
                Setup old = await _setups.FittedAsync(edit.Session, machine.Id);
                await PutOnAsync(edit, (old, machine), (setup with { Version = version }, back));
                SetupFitted fitted = new(setup.Id, setup.Name, again, SetupFitted.FindChanged(old, setup));
                JobOpened opened = new(JobReason.AnotherGearing, $"{setup.Name} again", machine.OdometerKm, null);
                return await jobs.FittedAsync(edit, machine.Id, fitted)
                    ?? await jobs.OpenWithAsync(edit, machine.Id, clock.Today(), opened, fitted);
            },
            ct
        );

    /// <exception cref="InvalidInputException">It is given up or removed since: other wheels, or another kind, would go on unsaid.</exception>
    private async Task<Setup> TrialOfPlanAsync(Edit edit, long id) =>
        await _setups.FindAsync(edit.Session, id) is { Status: SetupStatus.Trial } trial
            ? trial
            : throw new InvalidInputException(
                "Id",
                "trial_gone",
                "The trial of this plan is given up or removed: undo that, or fit what is on by hand."
            );

    /// <summary>The trial of the kind that is on with these wheels, or a new one.</summary>
    private async Task<Setup> WithWheelsAsync(Edit edit, Machine machine, Setup old, LoopChoice wanted)
    {
        IReadOnlyList<LoopChoice> wheels = MirroredSetups.Complete(machine.Drives, old.Loops, [wanted]);
        IReadOnlyList<Setup> all = await _setups.ListOfMachineAsync(edit.Session, machine.Id);
        return all.FirstOrDefault(s =>
                s.Status == SetupStatus.Trial
                && s.Kinds is not { Count: > 0 }
                && s.HasSameWheels(wheels, old.RoadWheels)
            ) ?? await AddAsync(edit, machine, MachineRules.TrialName(wanted, all), wheels, old.RoadWheels);
    }

    private Task<Setup> AddAsync(
        Edit edit,
        Machine machine,
        string name,
        IReadOnlyList<LoopChoice> loops,
        IReadOnlyList<RoadWheelChoice> roadWheels,
        string? note = null,
        IReadOnlyList<LoopKind>? kinds = null
    )
    {
        Setup trial = new(
            0,
            0,
            machine.Id,
            name,
            SetupStatus.Trial,
            loops,
            roadWheels,
            clock.Today(),
            null,
            null,
            note,
            Kinds: kinds
        );
        MachineRules.Check(trial, machine);
        return _setups.AddAsync(edit, trial);
    }

    private async Task<Machine> PutBackAsync(Edit edit, Machine machine, Setup former)
    {
        try
        {
            return await _machines.ChangeAsync(edit, FittingAgain.MachineWith(machine, former), machine);
        }
        catch (InvalidInputException e)
        {
            throw new InvalidInputException(
                "Version",
                "no_longer_fits",
                $"The machine was changed since, and can’t stand as it did then. {e.Issues[0].Message}"
            );
        }
    }

    /// <summary>What is on comes off and keeps how the machine stood with it; what is next goes on.</summary>
    private async Task PutOnAsync(Edit edit, (Setup Setup, Machine Machine) old, (Setup Setup, Machine Machine) next)
    {
        IReadOnlyList<Setup> all = await _setups.ListOfMachineAsync(edit.Session, old.Machine.Id);
        // Another kind of chain or belt goes onto the machine with it; the one that comes off stays with those that need it.
        KindsSwapped swapped = SetupKinds.Swap(old.Machine, next.Setup, all.Where(s => s.Id != next.Setup.Id));
        if (next.Setup.Kinds is { Count: > 0 })
        {
            Machine now = next.Machine == old.Machine ? swapped.Machine : next.Machine;
            if (now != old.Machine && next.Machine == old.Machine)
                now = await _machines.ChangeAsync(edit, MachineReconciling.ToDrives(now), old.Machine);
            next = (next.Setup with { Kinds = null }, now);
            foreach (Setup other in swapped.Others.Where(o => o.Id != old.Setup.Id))
                await _setups.ChangeAsync(edit, other);
        }
        IReadOnlyList<LoopKind>? off = swapped.Others.FirstOrDefault(o => o.Id == old.Setup.Id)?.Kinds;
        // First off, then on: the file itself allows only one as fitted.
        await _setups.ChangeAsync(
            edit,
            old.Setup with
            {
                Kinds = off,
                Name = MachineRules.FormerName(old.Setup, clock.Today()),
                Status = SetupStatus.Former,
                FollowUps = null,
                AsLeft = FittingAgain.StateOf(old.Machine, all, clock.GetUtcNow()),
            }
        );
        await _setups.ChangeAsync(
            edit,
            next.Setup with
            {
                Status = SetupStatus.AsFitted,
                FittedOn = clock.Today(),
                FittedAtKm = next.Machine.OdometerKm,
                FollowUps = OpenWork.After(old.Setup, old.Machine, next.Setup, next.Machine),
            }
        );
    }
}
