using System.Globalization;
using Wendrak.Core.Evaluation;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;
using Wendrak.Store.Bodies;
using Wendrak.Store.Jobs;
using Wendrak.Store.Ledger;
using Wendrak.Store.Records;

namespace Wendrak.Store.Machines;

/// <summary>Writes events down at a job, one after the other, each as the ones before it left the job.</summary>
internal sealed class JobAppending(Database database, KnownJobs known, TimeProvider clock)
{
    private readonly Repository<Job> _jobs = new(Kinds.Job);
    private readonly MachineRepository _machines = new();
    private readonly Repository<Setup> _setups = new(Kinds.Setup);
    private readonly Repository<HandTool> _tools = new(Kinds.HandTool);

    /// <summary>Writes down what was sent, each that is not there yet.</summary>
    /// <param name="path">Where one stands in what was sent, by its number.</param>
    /// <returns>The job afterwards; null when there is no such one.</returns>
    /// <exception cref="InvalidInputException">It can't have been, or can't come next.</exception>
    public async Task<JobContent?> AppendAsync(
        Edit edit,
        long id,
        IReadOnlyList<SentEvent> sent,
        Func<int, string> path
    )
    {
        if (await _jobs.FindAsync(edit.Session, id) is not { } job)
            return null;
        // A damaged one can't be gone on with: read by itself it says so.
        JobContent content =
            (await known.OfAsync(edit.Session, database.DataId, [job])).GetValueOrDefault(id)
            ?? EventRow.ToContent(job, await EventRow.OfJobsAsync(edit.Session, [id]));
        HashSet<string> keys = await EventKeys.OfAsync(edit.Session, id, [.. sent.Select(s => s.Key)]);
        for (int i = 0; i < sent.Count; i++)
            if (keys.Add(sent[i].Key))
                content = await AppendAsync(edit, content, sent[i], path(i));
        await ChangeLog.RecordAsync(edit, edit.What ?? "", null);
        return content;
    }

    /// <summary>Writes down what is done to the machine in the same change.</summary>
    /// <param name="path">Where it stands in what was sent; empty for nowhere.</param>
    public Task<JobContent> AddAsync(Edit edit, JobContent job, JobEvent done, string path = "") =>
        AppendAsync(edit, job, new($"{Guid.NewGuid()}", done), path);

    /// <summary>Writes one event down, if the job may stand as it would after it.</summary>
    /// <param name="path">Where it stands in what was sent.</param>
    private async Task<JobContent> AppendAsync(Edit edit, JobContent before, SentEvent sent, string path)
    {
        JobEvent next = SetVisit.AsRecorded(sent.Event, edit.Actor, clock.GetUtcNow());
        if (next is PlanMade plan)
            next = await PlannedAsync(edit, before.Job.MachineId, plan, path);
        if (
            next is ElongationMeasured measured
            && await _machines.FindAsync(edit.Session, before.Job.MachineId) is { } of
        )
            next = WearAnswers.Fill(measured, of, path);
        if (FaultSearch.LoopOf(next) is { } searched)
            next = await SearchedAsync(edit, before, next, searched, path);
        JobRules.CheckNext(before, next, path);
        if (next is PhotoTaken { LoopKey: string shown })
            await CheckLoopAsync(edit, before.Job.MachineId, shown, path);
        if (next is FindingNoted { LoopKey: string at })
            await CheckLoopAsync(edit, before.Job.MachineId, at, path);
        if (next is RestFine { LoopKey: string looked })
            await CheckLoopAsync(edit, before.Job.MachineId, looked, path);
        if (next is SetEvent { LoopKey: string loop } and not VisitCancelled)
        {
            SetJob after = before.After(Entry(0)).VisitTo(loop)!;
            if (next is VisitBegun && await _machines.FindAsync(edit.Session, before.Job.MachineId) is { } machine)
                SetJobRules.CheckLoop(after, machine);
            SetJobRules.Check(after);
            if (next is VisitClosed closed && (await ClosedAsync(edit, after)).Closing is { } closing)
                next = closed with { Despite = closing.Despite, Reason = closing.Reason, Outside = closing.Outside };
        }
        long? change = null;
        if (next is PartUsed { From: not null } used)
            (next, change) = await StockTaking.TakeAsync(edit, before.Job.MachineId, used, path);
        if (next is SetupFitted)
            change = await edit.NumberAsync();
        if (next is JobSigned signed)
            next = JobRules.Fill(before.Sheet, signed);
        if (next is VisitClosed { LoopKey: string done })
            change = await DoneByClosing.TickAsync(edit, before.After(Entry(0)), done);
        string body = EventJson.Write(next);
        long number = await EventRow.AddAsync(
            edit,
            (before.Job.Id, before.Job.MachineId),
            EventJson.KindOf(body),
            body,
            change,
            sent.Key
        );
        return before.After(Entry(number));

        JobEntry Entry(long sequence) =>
            new(sequence, DateTimeOffset.Parse(edit.At, CultureInfo.InvariantCulture), edit.Actor, next);
    }

    /// <summary>The order of the work is the core's to say, by the machine as it is stored.</summary>
    private async Task<PlanMade> PlannedAsync(Edit edit, long machineId, PlanMade sent, string path)
    {
        if (await _machines.FindAsync(edit.Session, machineId) is not { } machine)
            return sent;
        await CheckLoopAsync(edit, machineId, sent.LoopKey, path);
        IReadOnlyList<Setup> setups = await _setups.ListOfMachineAsync(edit.Session, machineId);
        return WorkPlan.Fill(
            sent,
            machine,
            setups.First(s => s.Status == SetupStatus.AsFitted),
            path,
            setups.FirstOrDefault(s => s.Id == sent.TrialId)
        );
    }

    /// <summary>What a search rests on is the core's to say, by all that is stored of the machine and the one beside it.</summary>
    private async Task<JobEvent> SearchedAsync(Edit edit, JobContent before, JobEvent sent, string loopKey, string path)
    {
        if (await StoredAsync(edit, before.Job.MachineId, before) is not { } stored)
            return sent;
        await CheckLoopAsync(edit, before.Job.MachineId, loopKey, path);
        long? stands = FaultSearch.ControlOf(before, loopKey);
        long? beside = sent is FaultDescribed said ? said.Control?.MachineId : stands;
        StoredMachine? control = beside is long id ? await StoredAsync(edit, id, null) : null;
        // One that stood beside it and left the yard since stays as it was described.
        if (
            sent is FaultDescribed
            && beside is not null
            && beside != stands
            && (control is null || beside == before.Job.MachineId)
        )
            throw new InvalidInputException(
                $"{path}.{nameof(FaultDescribed.Control)}.{nameof(ControlSaid.MachineId)}",
                "unknown",
                "Name another machine of the yard."
            );
        DateOnly today = DateOnly.FromDateTime(clock.GetLocalNow().DateTime);
        Workshop workshop = new([], [], await _tools.ListAsync(edit.Session), []);
        return new FaultSearch(stored, loopKey, control, today, before).Fill(sent, workshop, path);
    }

    /// <param name="at">A job of it as it stands in this change; null for none.</param>
    /// <returns>Null where there is no such machine.</returns>
    private async Task<StoredMachine?> StoredAsync(Edit edit, long id, JobContent? at)
    {
        if (await _machines.FindAsync(edit.Session, id) is not { } machine)
            return null;
        IReadOnlyList<Setup> setups = await _setups.ListOfMachineAsync(edit.Session, id);
        IReadOnlyList<Job> jobs = await _jobs.ListOfMachineAsync(edit.Session, id);
        IReadOnlyDictionary<long, JobContent> others = await known.OfAsync(
            edit.Session,
            database.DataId,
            [.. jobs.Where(j => j.Id != at?.Job.Id)]
        );
        JobContent[] contents =
        [
            .. jobs.Select(j => j.Id == at?.Job.Id ? at : others.GetValueOrDefault(j.Id)).OfType<JobContent>(),
        ];
        return new(
            machine,
            setups.First(s => s.Status == SetupStatus.AsFitted),
            setups,
            [],
            JobStore.VisitsOf(contents)
        )
        {
            Jobs = contents,
        };
    }

    private async Task CheckLoopAsync(Edit edit, long machineId, string loopKey, string path)
    {
        if (
            await _machines.FindAsync(edit.Session, machineId) is { } machine
            && MachineRules.LoopsOf(machine).All(l => l.Key != loopKey)
        )
            throw new InvalidInputException(
                path.Length == 0 ? "LoopKey" : $"{path}.LoopKey",
                "unknown",
                "Give a loop of this machine."
            );
    }

    /// <summary>What it is closed over is the core's to say, by the machine as it is stored.</summary>
    public async Task<SetJob> ClosedAsync(Edit edit, SetJob visit)
    {
        if (visit.Closing is null || await _machines.FindAsync(edit.Session, visit.MachineId) is not { } machine)
            return visit;
        IReadOnlyList<Setup> setups = await _setups.ListOfMachineAsync(edit.Session, machine.Id);
        return ClosedVisit.Fill(visit, machine, setups.First(s => s.Status == SetupStatus.AsFitted));
    }
}
