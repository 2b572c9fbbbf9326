using Dapper;
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

/// <summary>A job as it stands after something happened.</summary>
/// <param name="Visit">To the loop that the last event was at; null where it was at none.</param>
public sealed record JobAfterEvents(JobSheet Job, SetJob? Visit);

/// <summary>A visit to a loop, with its place in the order of all visits.</summary>
public sealed record BegunVisit(long Begun, SetJob Visit);

/// <summary>The plan of a job of a machine.</summary>
/// <param name="Minutes">Working time written down at the job, min.</param>
public sealed record PlanOfMachine(JobPlan Plan, double Minutes, long MachineId);

/// <summary>Jobs of machines, and what was done at them.</summary>
public sealed class JobStore
{
    private const int LongestKey = 64;
    private readonly KnownJobs _known;
    private readonly JobAppending _appending;
    private readonly Repository<Job> _jobs = new(Kinds.Job);
    private readonly MachineRepository _machines = new();
    private readonly Database _database;
    private readonly ChangeLog _log;
    private readonly SinceCommit<string, IReadOnlyList<FaultCount>> _faultCounts;

    public JobStore(Database database, ChangeLog log, TimeProvider clock)
    {
        (_database, _log) = (database, log);
        _known = new();
        _faultCounts = new(database, 1);
        _appending = new(database, _known, clock);
    }

    /// <summary>Visits to the loops of one machine, newest first.</summary>
    public Task<IReadOnlyList<SetJob>> ListAsync(long machineId) =>
        _database.ReadAsync(session => ListAsync(session, machineId));

    /// <summary>The same, each with its place.</summary>
    public Task<IReadOnlyList<BegunVisit>> ListBegunAsync(long machineId) =>
        _database.ReadAsync<IReadOnlyList<BegunVisit>>(async session =>
            BegunOf(await ContentsAsync(session, machineId))
        );

    /// <summary>Jobs of one machine, newest first.</summary>
    public Task<IReadOnlyList<JobSheet>> ListSheetsAsync(long machineId) =>
        _database.ReadAsync<IReadOnlyList<JobSheet>>(async session =>
            [.. (await ContentsAsync(session, machineId)).Reverse().Select(j => j.Sheet)]
        );

    /// <summary>The plan of a job, and the machine it is for.</summary>
    /// <returns>Null when there is no such job, or no plan was made for it.</returns>
    public Task<PlanOfMachine?> FindPlanAsync(long id) =>
        _database.ReadAsync(async session =>
            await ContentAsync(session, id) is { Plan: { } plan } content
                ? new PlanOfMachine(plan, content.Sheet.Minutes, content.Job.MachineId)
                : null
        );

    /// <summary>Of the newest job of a machine that is not ended and has a plan; null for none.</summary>
    internal async Task<PlanAtJob?> PlanAsync(Session session, long machineId) =>
        (await ContentsAsync(session, machineId))
            .LastOrDefault(j => j.Plan is not null && j.Sheet.State != JobState.Ended)
            ?.Sheet.Plan;

    /// <summary>Names of who did something at a job, on whatever machine, who did last first.</summary>
    public Task<IReadOnlyList<string>> ListPeopleAsync() =>
        _database.ReadAsync<IReadOnlyList<string>>(async session =>
            [
                .. await session.Connection.QueryAsync<string>(
                    "SELECT actor FROM job_event WHERE actor IS NOT NULL GROUP BY actor ORDER BY max(at) DESC, actor LIMIT 200",
                    transaction: session.Transaction
                ),
            ]
        );

    /// <summary>What goes on or waits, on all machines, newest first.</summary>
    public Task<IReadOnlyList<JobSheet>> ListOpenAsync() => ListAsync(s => s.State != JobState.Ended);

    /// <summary>Those at which a fault was searched, on all machines, newest first.</summary>
    public Task<IReadOnlyList<JobSheet>> ListSearchedAsync() => ListAsync(s => s.Faults.Count > 0);

    private Task<IReadOnlyList<JobSheet>> ListAsync(Func<JobSheet, bool> which) =>
        _database.ReadAsync<IReadOnlyList<JobSheet>>(async session =>
            [
                .. (await ContentsAsync(session, await _jobs.ListAsync(session)))
                    .Reverse()
                    .Select(j => j.Sheet)
                    .Where(which),
            ]
        );

    /// <summary>How often cures helped, on all machines.</summary>
    public Task<IReadOnlyList<FaultCount>> CountFaultsAsync() => _faultCounts.GetAsync("", ReadFaultCountsAsync);

    private Task<IReadOnlyList<FaultCount>> ReadFaultCountsAsync() =>
        _database.ReadAsync(async session =>
        {
            HashSet<long> asked =
            [
                .. await session.Connection.QueryAsync<long>(
                    // As its index has it, word by word.
                    "SELECT DISTINCT job_id FROM job_event WHERE kind = 'cureJudged'",
                    transaction: session.Transaction
                ),
            ];
            List<Job> jobs = [];
            foreach (long id in asked)
                if (await _jobs.FindAsync(session, id) is { } job)
                    jobs.Add(job);
            return FaultCount.AllOf((await ContentsAsync(session, jobs)).Select(j => j.Sheet));
        });

    /// <summary>Of all machines, oldest first.</summary>
    internal async Task<IReadOnlyList<JobContent>> ContentsAsync(Session session) =>
        await ContentsAsync(session, await _jobs.ListAsync(session));

    internal async Task<IReadOnlyList<SetJob>> ListAsync(Session session, long machineId) =>
        VisitsOf(await ContentsAsync(session, machineId));

    /// <summary>Of one machine, oldest first.</summary>
    internal async Task<IReadOnlyList<JobContent>> ContentsAsync(Session session, long machineId) =>
        await ContentsAsync(session, await _jobs.ListOfMachineAsync(session, machineId));

    private async Task<IReadOnlyList<JobContent>> ContentsAsync(Session session, IReadOnlyList<Job> jobs)
    {
        IReadOnlyDictionary<long, JobContent> known = await _known.OfAsync(session, _database.DataId, jobs);
        return [.. jobs.Where(j => known.ContainsKey(j.Id)).Select(j => known[j.Id])];
    }

    /// <summary>Newest first.</summary>
    internal static IReadOnlyList<SetJob> VisitsOf(IReadOnlyList<JobContent> jobs) =>
        [.. BegunOf(jobs).Select(b => b.Visit)];

    /// <summary>Newest first: what was begun last may be of an older job.</summary>
    private static BegunVisit[] BegunOf(IReadOnlyList<JobContent> jobs) =>
        [
            .. jobs.SelectMany(j => j.Visits.Select(v => new BegunVisit(j.BegunAt(v.LoopKey), v)))
                .OrderByDescending(b => b.Begun),
        ];

    /// <summary>Opens a job. What the odometer says is then what the machine has run.</summary>
    /// <returns>Null when there is no such machine.</returns>
    /// <exception cref="InvalidInputException">What was said at its opening can't be.</exception>
    public Task<JobSheet?> OpenAsync(
        string? who,
        long machineId,
        DateOnly on,
        JobOpened opened,
        CancellationToken ct
    ) =>
        _log.CommitAsync(
            who,
            "opened a job",
            async edit =>
            {
                if (await _machines.FindAsync(edit.Session, machineId) is not { } machine)
                    return null;
                JobRules.CheckNext(JobContent.From(new(0, 0, machineId, on), []), opened);
                edit.MachineId = machineId;
                if (JobRules.MachineAfter(machine, opened) is { } moved && moved != machine)
                    await _machines.ChangeAsync(edit, moved, machine);
                return (await AddAsync(edit, new(0, 0, machineId, on), [new(default, null, opened)], true)).Sheet;
            },
            ct
        );

    /// <summary>Writes down what happened to a machine: at the newest job that goes on, else at one that is opened for it.</summary>
    /// <returns>The job afterwards; null when there is no such machine.</returns>
    /// <exception cref="InvalidInputException">It can't have been.</exception>
    public Task<JobSheet?> HappenedAsync(
        string? who,
        long machineId,
        DateOnly on,
        UseEventNoted happened,
        CancellationToken ct
    ) =>
        _log.CommitAsync(
            who,
            "noted what happened",
            async edit =>
            {
                if (await _machines.FindAsync(edit.Session, machineId) is null)
                    return null;
                JobRules.CheckNext(JobContent.From(new(0, 0, machineId, on), []), happened, "Happened");
                edit.MachineId = machineId;
                JobContent? open = (await ContentsAsync(edit.Session, machineId)).LastOrDefault(j =>
                    j.Sheet.State == JobState.GoesOn
                );
                if (open is not null)
                    return (await _appending.AddAsync(edit, open, happened)).Sheet;
                JobOpened opened = new(JobReason.Visit, null, null, null);
                return await OpenWithAsync(edit, machineId, on, opened, happened);
            },
            ct
        );

    /// <summary>
    /// Writes down what was said or tried in a search for a fault of a loop: at the job where it goes on, else at the newest one that
    /// goes on, one about something wrong before others, else at one that is opened for it.
    /// </summary>
    /// <returns>The job afterwards; null when there is no such machine.</returns>
    /// <exception cref="InvalidInputException">It can't have been, or can't come next.</exception>
    public async Task<JobSheet?> SearchAsync(
        string? who,
        long machineId,
        string loopKey,
        DateOnly on,
        SentEvent sent,
        CancellationToken ct
    )
    {
        CheckKey("Key", sent.Key).ThrowIfAny();
        long? at = await _database.ReadAsync(async session =>
            JobForSearch(await ContentsAsync(session, machineId), loopKey)?.Job.Id
        );
        if (at is long id)
        {
            JobContent? job = await _log.WriteAsync(
                who,
                edit => _appending.AppendAsync(edit, id, [sent], _ => "Event"),
                ct
            );
            if (job is not null)
                _known.Remember(_database.DataId, job);
            return job?.Sheet;
        }
        return await _log.CommitAsync(
            who,
            "opened a job",
            async edit =>
            {
                if (await _machines.FindAsync(edit.Session, machineId) is null)
                    return null;
                edit.MachineId = machineId;
                JobOpened opened = new(JobReason.SomethingWrong, null, null, null);
                JobContent begun = await AddAsync(edit, new(0, 0, machineId, on), [new(default, null, opened)], true);
                return (await _appending.AddAsync(edit, begun, sent.Event, "Event")).Sheet;
            },
            ct
        );
    }

    private static JobContent? JobForSearch(IReadOnlyList<JobContent> jobs, string loopKey)
    {
        JobContent[] open = [.. jobs.Where(j => j.Sheet.State == JobState.GoesOn)];
        return FaultSearch.JobOf(jobs, loopKey)
            ?? open.LastOrDefault(j => j.Sheet.Reason == JobReason.SomethingWrong)
            ?? open.LastOrDefault();
    }

    /// <summary>Begins to set a loop, at the job that goes on, or takes in a visit that was written down elsewhere.</summary>
    /// <returns>Null when there is no such machine.</returns>
    /// <exception cref="InvalidInputException">The visit does not suit the machine.</exception>
    public async Task<SetJob?> AddAsync(string? who, SetJob visit, CancellationToken ct)
    {
        bool begins = visit is { Rounds: [], InHand: null, Closing: null };
        if (begins && await JobThatTakesAsync(visit) is { } open)
            return (await AppendAsync(who, open, [.. BeginningOf(visit)], ct))?.Visit;
        return await _log.CommitAsync(
            who,
            $"began to set {visit.LoopKey}",
            async edit =>
            {
                if (await _machines.FindAsync(edit.Session, visit.MachineId) is not { } machine)
                    return null;
                SetJobRules.CheckLoop(visit, machine);
                SetJobRules.Check(visit);
                edit.MachineId = machine.Id;
                FiledJob filed = FiledJob.From(await _appending.ClosedAsync(edit, visit));
                return (await AddAsync(edit, new(0, 0, machine.Id, visit.OpenedOn), filed.Events, begins)).Visits[0];
            },
            ct
        );
    }

    /// <summary>A job with all that happened at it; null when there is no such one.</summary>
    internal async Task<JobContent?> ContentAsync(Session session, long id) =>
        await _jobs.FindAsync(session, id) is { } job && await ContentsAsync(session, [job]) is [{ } content, ..]
            ? content
            : null;

    /// <summary>Writes a setup that went onto the machine down at the job whose plan put it on; not at one that is ended.</summary>
    internal Task FittedAtAsync(Edit edit, JobContent job, SetupFitted fitted) =>
        job.Sheet.State == JobState.Ended ? Task.CompletedTask : _appending.AddAsync(edit, job, fitted);

    /// <summary>Writes a setup that went onto a machine down at the job that takes it; at none, where none does.</summary>
    /// <returns>The job afterwards; null for none.</returns>
    internal async Task<JobSheet?> FittedAsync(Edit edit, long machineId, SetupFitted fitted)
    {
        JobContent? open = (await ContentsAsync(edit.Session, machineId)).LastOrDefault(j =>
            j.TakesFittingOf(fitted.ChangedLoops ?? [])
        );
        return open is null ? null : (await _appending.AddAsync(edit, open, fitted)).Sheet;
    }

    /// <summary>Opens a job for something that is done with its opening, in one change.</summary>
    internal async Task<JobSheet> OpenWithAsync(
        Edit edit,
        long machineId,
        DateOnly on,
        JobOpened opened,
        JobEvent first
    ) =>
        (
            await AddAsync(
                edit,
                new(0, 0, machineId, on),
                [new(default, null, opened), new(default, null, first)],
                true
            )
        ).Sheet;

    /// <summary>The newest job of the machine that goes on and at which the loop was not set yet; null for none.</summary>
    private Task<long?> JobThatTakesAsync(SetJob visit) =>
        _database.ReadAsync(async session =>
            (await _machines.FindAsync(session, visit.MachineId)) is { } machine
            && MachineRules.LoopsOf(machine).Any(l => l.Key == visit.LoopKey)
                ? (await ContentsAsync(session, visit.MachineId))
                    .LastOrDefault(j => j.Sheet.State == JobState.GoesOn && j.VisitTo(visit.LoopKey) is null)
                    ?.Job.Id
                : null
        );

    private static IEnumerable<SentEvent> BeginningOf(SetJob visit) =>
        SetVisit.ToEntries(visit).Select(e => new SentEvent($"{Guid.NewGuid()}", e.Event));

    /// <summary>Takes a job of a file in, event by event.</summary>
    internal Task<JobContent> AddAsync(Edit edit, long machineId, FiledJob filed) =>
        AddAsync(edit, new(0, 0, machineId, filed.OpenedOn), filed.Events, false);

    /// <param name="begins">It is signed by whoever writes it; one that was written down elsewhere as it says, or not at all.</param>
    private async Task<JobContent> AddAsync(Edit edit, Job fresh, IReadOnlyList<FiledEvent> events, bool begins)
    {
        Job job = await _jobs.AddAsync(edit, fresh);
        long change = await edit.NumberAsync();
        foreach (FiledEvent filed in events)
        {
            string body = EventJson.Write(filed.Event);
            (string, string?)? signed = begins ? null : (Moment.Text(filed.At), filed.Who);
            await EventRow.AddAsync(
                edit,
                (job.Id, job.MachineId),
                EventJson.KindOf(body),
                body,
                change,
                signed: signed
            );
        }
        return EventRow.ToContent(job, await EventRow.OfJobsAsync(edit.Session, [job.Id]));
    }

    /// <summary>Stores a photo and writes down that it goes with a job.</summary>
    /// <param name="taken">Without its hash and size: those are the picture's.</param>
    /// <returns>The job afterwards; null when there is no such one.</returns>
    /// <exception cref="InvalidInputException">It does not go with this job; nothing is stored then.</exception>
    public async Task<JobSheet?> AddPhotoAsync(
        string? who,
        long id,
        string key,
        PhotoTaken taken,
        PictureFile picture,
        CancellationToken ct
    )
    {
        CheckKey("Key", key).ThrowIfAny();
        string hash = await Attachments.HashAsync(picture.File, ct);
        PhotoTaken photo = taken with
        {
            Hash = hash,
            WidthPx = picture.WidthPx,
            HeightPx = picture.HeightPx,
            TakenAt = picture.TakenAt,
        };
        JobContent? job = await _log.WriteAsync(
            who,
            async edit =>
            {
                JobContent? after = await _appending.AppendAsync(edit, id, [new(key, photo)], _ => "");
                if (after is not null)
                    await Attachments.AddAsync(edit.Session, _database.Folder, hash, picture);
                return after;
            },
            ct
        );
        if (job is not null)
            _known.Remember(_database.DataId, job);
        return job?.Sheet;
    }

    /// <summary>Writes down what happened at a job. What two devices send is added, never laid over each other.</summary>
    /// <returns>The job afterwards; null when there is no such one.</returns>
    /// <exception cref="InvalidInputException">It can't have been, or can't come next; none of them is written then.</exception>
    public Task<JobAfterEvents?> AppendAsync(string? who, long id, IReadOnlyList<SentEvent> sent, CancellationToken ct)
    {
        Guard guard = new();
        for (int i = 0; i < sent.Count; i++)
            guard.Include(CheckKey($"Events[{i}].Key", sent[i].Key));
        guard.ThrowIfAny();
        return AppendCheckedAsync(who, id, sent, ct);
    }

    private static Guard CheckKey(string field, string key) =>
        new Guard().That(
            key.Length is > 0 and <= LongestKey,
            field,
            "length",
            $"Give 1 to {LongestKey} characters.",
            LongestKey
        );

    private async Task<JobAfterEvents?> AppendCheckedAsync(
        string? who,
        long id,
        IReadOnlyList<SentEvent> sent,
        CancellationToken ct
    )
    {
        if (await _log.WriteAsync(who, edit => AppendSentAsync(edit, id, sent), ct) is not { } job)
            return null;
        // Only what is on the disk is remembered.
        _known.Remember(_database.DataId, job);
        return new(job.Sheet, sent is [.., { Event: SetEvent last }] ? job.VisitTo(last.LoopKey) : null);
    }

    private async Task<JobContent?> AppendSentAsync(Edit edit, long id, IReadOnlyList<SentEvent> sent)
    {
        for (int i = 0; i < sent.Count; i++)
        {
            string at = $"Events[{i}].Event";
            if (sent[i].Event is SetupFitted)
                throw new InvalidInputException($"{at}.Kind", "unknown", "Fit a setup: then it is written down.");
            if (sent[i].Event is PhotoTaken photo && !await Attachments.HasAsync(edit.Session, photo.Hash))
                throw new InvalidInputException($"{at}.Hash", "unknown", "Give the hash of a picture that is stored.");
        }
        return await _appending.AppendAsync(edit, id, sent, i => $"Events[{i}].Event");
    }

    /// <exception cref="ChangedMeanwhileException">Something was written down at it since it was read.</exception>
    /// <param name="version">Number of its newest event, as it was read.</param>
    public Task<bool> RemoveAsync(string? who, long id, long version, CancellationToken ct) =>
        _log.CommitAsync(
            who,
            "removed a visit",
            async edit =>
            {
                if (await _jobs.FindAsync(edit.Session, id) is not { } job)
                    return false;
                IReadOnlyList<EventRow> rows = await EventRow.OfJobsAsync(edit.Session, [id]);
                if (rows.Count > 0 && rows.Max(r => r.Id) != version)
                    throw new ChangedMeanwhileException(Kinds.Job.Name, EventRow.ToContent(job, rows).Sheet);
                edit.MachineId = job.MachineId;
                await _jobs.RemoveAsync(edit, id, job.Version);
                return true;
            },
            ct
        );
}
