using System.Globalization;
using Wendrak.Core.Evaluation;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Store.Bodies;
using Wendrak.Store.Jobs;
using Wendrak.Store.Ledger;
using Wendrak.Store.Records;

namespace Wendrak.Store.Machines;

/// <summary>An event as somebody sends it.</summary>
/// <param name="Key">Their own: sent twice with the same key it counts once.</param>
public sealed record SentEvent(string Key, JobEvent Event);

/// <summary>Visits of machines.</summary>
public sealed class JobStore(Database database, ChangeLog log, TimeProvider clock)
{
    private const int LongestKey = 64;
    private readonly KnownVisits _known = new();
    private readonly Repository<Job> _jobs = new(Kinds.Job);
    private readonly MachineRepository _machines = new();
    private readonly Repository<Setup> _setups = new(Kinds.Setup);

    /// <summary>Of one machine, newest first.</summary>
    public Task<IReadOnlyList<SetJob>> ListAsync(long machineId) =>
        database.ReadAsync(session => ListAsync(session, machineId));

    /// <summary>Of all machines, newest first.</summary>
    internal async Task<IReadOnlyList<SetJob>> ListAsync(Session session) =>
        await ListAsync(session, await _jobs.ListAsync(session));

    internal async Task<IReadOnlyList<SetJob>> ListAsync(Session session, long machineId) =>
        await ListAsync(session, await _jobs.ListOfMachineAsync(session, machineId));

    private async Task<IReadOnlyList<SetJob>> ListAsync(Session session, IReadOnlyList<Job> jobs)
    {
        IReadOnlyDictionary<long, IReadOnlyList<SetJob>> visits = await _known.OfAsync(session, database.DataId, jobs);
        return [.. jobs.Reverse().SelectMany(j => visits[j.Id])];
    }

    /// <summary>Begins a visit to a loop, or takes one in that was written down elsewhere.</summary>
    /// <returns>Null when there is no such machine.</returns>
    /// <exception cref="InvalidInputException">The visit does not suit the machine.</exception>
    public Task<SetJob?> AddAsync(string? who, SetJob visit, CancellationToken ct) =>
        log.CommitAsync(
            who,
            $"began to set {visit.LoopKey}",
            async edit =>
            {
                if (await _machines.FindAsync(edit.Session, visit.MachineId) is not { } machine)
                    return null;
                SetJobRules.CheckLoop(visit, machine);
                SetJobRules.Check(visit);
                edit.MachineId = machine.Id;
                bool begins = visit is { Rounds: [], InHand: null, Closing: null };
                return await AddAsync(edit, await ClosedAsync(edit, visit), begins);
            },
            ct
        );

    /// <summary>Writes a visit down event by event.</summary>
    /// <param name="begins">It is signed by whoever writes it; one that was written down elsewhere as it says, or not at all.</param>
    internal async Task<SetJob> AddAsync(Edit edit, SetJob visit, bool begins = false)
    {
        Job job = await _jobs.AddAsync(edit, new(0, 0, visit.MachineId, visit.OpenedOn));
        long change = await edit.NumberAsync();
        foreach (JobEntry entry in SetVisit.ToEntries(visit))
        {
            string body = EventJson.Write(entry.Event);
            (string, string?)? signed = begins ? null : (Moment.Text(entry.At), entry.Actor);
            await EventRow.AddAsync(
                edit,
                (job.Id, job.MachineId),
                EventJson.KindOf(body),
                body,
                change,
                signed: signed
            );
        }
        return (await VisitAsync(edit.Session, job))!;
    }

    /// <summary>Writes down what happened at a visit. What two devices send is added, never laid over each other.</summary>
    /// <returns>The visit afterwards; null when there is no such one.</returns>
    /// <exception cref="InvalidInputException">It can't have been, or can't come next; none of them is written then.</exception>
    public Task<SetJob?> AppendAsync(string? who, long id, IReadOnlyList<SentEvent> sent, CancellationToken ct)
    {
        Guard guard = new();
        for (int i = 0; i < sent.Count; i++)
            guard.That(
                sent[i].Key.Length is > 0 and <= LongestKey,
                $"Events[{i}].Key",
                "length",
                $"Give 1 to {LongestKey} characters.",
                LongestKey
            );
        guard.ThrowIfAny();
        return AppendCheckedAsync(who, id, sent, ct);
    }

    private async Task<SetJob?> AppendCheckedAsync(
        string? who,
        long id,
        IReadOnlyList<SentEvent> sent,
        CancellationToken ct
    )
    {
        if (await log.WriteAsync(who, edit => AppendAsync(edit, id, sent), ct) is not { } appended)
            return null;
        // Only what is on the disk is remembered.
        _known.Remember(database.DataId, appended.Job, appended.Visits);
        return appended.Visits is [var visit, ..] ? visit : null;
    }

    private sealed record Appended(Job Job, IReadOnlyList<SetJob> Visits);

    private async Task<Appended?> AppendAsync(Edit edit, long id, IReadOnlyList<SentEvent> sent)
    {
        if (await _jobs.FindAsync(edit.Session, id) is not { } job)
            return null;
        List<SetJob> visits = [.. (await _known.OfAsync(edit.Session, database.DataId, [job]))[id]];
        HashSet<string> known = await EventKeys.OfAsync(edit.Session, id, [.. sent.Select(s => s.Key)]);
        foreach (SentEvent s in sent)
            if (known.Add(s.Key))
                await AppendAsync(edit, job, visits, s);
        return new(job, visits);
    }

    /// <summary>Writes one event down, and the visit it happened at as it stands after it.</summary>
    private async Task AppendAsync(Edit edit, Job job, List<SetJob> visits, SentEvent sent)
    {
        JobEvent next = SetVisit.AsRecorded(sent.Event, edit.Actor, clock.GetUtcNow());
        int at = visits.FindIndex(v => next is SetEvent e && v.LoopKey == e.LoopKey);
        if (at < 0)
            throw new InvalidInputException("event.loopKey", "unknown", "Give the loop that is set at this visit.");
        SetJobRules.CheckNext(visits[at], next);
        SetJob after = After(0, next);
        SetJobRules.Check(after);
        if (next is VisitClosed closed && (await ClosedAsync(edit, after)).Closing is { } closing)
            next = closed with { Despite = closing.Despite, Reason = closing.Reason };
        string body = EventJson.Write(next);
        long number = await EventRow.AddAsync(
            edit,
            (job.Id, job.MachineId),
            EventJson.KindOf(body),
            body,
            key: sent.Key
        );
        visits[at] = After(number, next);

        SetJob After(long sequence, JobEvent e) =>
            SetVisit.After(
                visits[at],
                new(sequence, DateTimeOffset.Parse(edit.At, CultureInfo.InvariantCulture), edit.Actor, e)
            );
    }

    /// <exception cref="ChangedMeanwhileException">Something was written down at it since it was read.</exception>
    /// <param name="version">Number of its newest event, as it was read.</param>
    public Task<bool> RemoveAsync(string? who, long id, int version, CancellationToken ct) =>
        log.CommitAsync(
            who,
            "removed a visit",
            async edit =>
            {
                if (await _jobs.FindAsync(edit.Session, id) is not { } job)
                    return false;
                SetJob? now = await VisitAsync(edit.Session, job);
                if (now is not null && now.Version != version)
                    throw new ChangedMeanwhileException(Kinds.Job.Name, now);
                edit.MachineId = job.MachineId;
                await _jobs.RemoveAsync(edit, id, job.Version);
                return true;
            },
            ct
        );

    /// <summary>What it is closed over is the core's to say, by the machine as it is stored.</summary>
    private async Task<SetJob> ClosedAsync(Edit edit, SetJob visit)
    {
        if (visit.Closing is null || await _machines.FindAsync(edit.Session, visit.MachineId) is not { } machine)
            return visit;
        IReadOnlyList<Setup> setups = await _setups.ListOfMachineAsync(edit.Session, machine.Id);
        return ClosedVisit.Fill(visit, machine, setups.First(s => s.Status == SetupStatus.AsFitted));
    }

    private static async Task<SetJob?> VisitAsync(Session session, Job job) =>
        Visits.Replay(job, await EventRow.OfJobsAsync(session, [job.Id])) is [var visit, ..] ? visit : null;
}
