using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Store.Bodies;
using Wendrak.Store.Jobs;
using Wendrak.Store.Records;

namespace Wendrak.Store.Ledger;

/// <summary>Takes an event of a job back: by one more entry, never by taking it away.</summary>
internal static class EventUndoing
{
    private static readonly Repository<Job> Jobs = new(Kinds.Job);

    /// <param name="change">The undoing it goes with; null for an entry of its own.</param>
    /// <returns>The number of the entry that takes it back.</returns>
    /// <exception cref="CannotUndoException">What came since needs it, or the job is gone itself.</exception>
    public static async Task<long> TakeBackAsync(Edit edit, EventRow row, long? change)
    {
        long id = row.Id;
        Job job =
            await Jobs.FindAsync(edit.Session, row.JobId)
            ?? throw new CannotUndoException("The visit was removed since. Bring it back first.");
        IReadOnlyList<EventRow> rows = await EventRow.OfJobsAsync(edit.Session, [row.JobId]);
        if (rows.Any(r => r.Undoes == id))
            throw new CannotUndoException("This change is undone already.");
        EventRow original = row.Kind == EventRow.Undone ? rows.Single(r => r.Id == row.Undoes) : row;
        JobEvent happened = original.ToEntry().Event;
        JobContent now = EventRow.ToContent(job, rows);
        if (now.Sheet.Signature is not null && happened is not (JobSigned or CureJudged))
            throw new CannotUndoException("This job is signed. Take the signature back first.");
        if (happened is SetEvent set)
            CheckLoop(
                set.LoopKey,
                now,
                // Of what stands now: what was taken back since, though it came before, was no going on.
                EventRow.ToContent(job, [.. EventRow.Standing(rows).Where(r => r.Id <= id)]),
                // As it stood then: what was taken back since and came again stands under other numbers.
                EventRow.ToContent(job, [.. rows.Where(r => r.Id <= id)])
            );
        else if (row.Kind == EventRow.Undone)
        {
            CheckAgain(now, happened);
            if (happened is JobSigned s && !(s.Despite ?? []).SequenceEqual(now.Sheet.Despite))
                throw new CannotUndoException("It was signed over something else than what is open now. Sign it anew.");
        }
        // What a plan did after Set closed its part hangs on that closing.
        if (row.Kind != EventRow.Undone && happened is (VisitClosed or not SetEvent))
            CheckWithout(now, id);
        (long, long) of = (row.JobId, row.MachineId);
        // What an undoing took back is written down anew: what is written stays, in its order.
        return row.Kind != EventRow.Undone
            ? await EventRow.AddAsync(edit, of, EventRow.Undone, EventWords.Undoing(row), change, undoes: id)
            : await EventRow.AddAsync(
                edit,
                of,
                original.Kind,
                original.Body,
                change,
                undoes: id,
                signed: (original.At, original.Actor)
            );
    }

    /// <summary>Whether a job is as the change left it, which is to be taken away with that change.</summary>
    /// <exception cref="CannotUndoException">Something was written down at it since.</exception>
    public static async Task CheckNothingSinceAsync(Session session, long id, long change)
    {
        Job job = (await Jobs.FindAsync(session, id))!;
        IReadOnlyList<EventRow> rows = await EventRow.OfJobsAsync(session, [id]);
        JobContent then = EventRow.ToContent(job, [.. rows.Where(r => r.Id <= change || r.ChangeId == change)]);
        if (State(then) != State(EventRow.ToContent(job, rows)))
            throw new CannotUndoException("The visit was gone on with since. Undo what was done at it first.");
    }

    /// <summary>Rounds of a loop hang on each other: only the last thing done there can be taken back.</summary>
    private static void CheckLoop(string loopKey, JobContent now, params JobContent[] then)
    {
        if (then.All(t => State(t.VisitTo(loopKey)) != State(now.VisitTo(loopKey))))
            throw new CannotUndoException("This visit was gone on with since. Undo the later change first.");
    }

    /// <summary>Everything else that happened must be able to have happened without it.</summary>
    private static void CheckWithout(JobContent now, long id)
    {
        JobContent without = JobContent.From(now.Job, []);
        foreach (JobEntry entry in now.Entries.Where(e => e.Sequence != id))
        {
            // A line lies on its photo, and comes back with it.
            if (entry.Event is not (SetEvent or PhotoLineDrawn))
                CheckAgain(without, entry.Event);
            without = without.After(entry);
        }
    }

    private static void CheckAgain(JobContent before, JobEvent next)
    {
        try
        {
            JobRules.CheckNext(before, next);
        }
        catch (InvalidInputException e)
        {
            throw new CannotUndoException(
                $"What happened since at this job needs it as it is. {e.Issues[0].Message}",
                e
            );
        }
    }

    /// <summary>What was taken back and came again has another number and stands last: it is the same all the same.</summary>
    private static string State(JobContent content)
    {
        JobSheet sheet = content.Sheet;
        JobSheet without = sheet with
        {
            Version = 0,
            Notes = [],
            Deviations = [],
            Provisional = [],
            Findings = [],
            Rest = [],
            UseEvents = [],
            Elongations = [],
            Faults = [],
            Photos = [],
            Parts = [],
            Fitted = [],
            People = [],
        };
        IEnumerable<string> gathered =
        [
            .. sheet.Notes.Select(EarlierJson.ToJson),
            .. sheet.Deviations.Select(EarlierJson.ToJson),
            .. sheet.Provisional.Select(EarlierJson.ToJson),
            .. sheet.Findings.Select(f => EarlierJson.ToJson(f with { Entry = 0 })),
            .. sheet.Rest.Select(r => EarlierJson.ToJson(r with { Entry = 0 })),
            .. sheet.UseEvents.Select(u => EarlierJson.ToJson(u with { Entry = 0 })),
            .. sheet.Elongations.Select(e => EarlierJson.ToJson(e with { Entry = 0 })),
            .. sheet.Faults.Select(f =>
                EarlierJson.ToJson(
                    f with
                    {
                        Entry = 0,
                        Answers =
                        [
                            .. f.Answers.OrderBy(a => a.Test, StringComparer.Ordinal).Select(a => a with { Entry = 0 }),
                        ],
                        Found = f.Found is { } found ? found with { Entry = 0 } : null,
                    }
                )
            ),
            .. sheet.Fitted.Select(f => EarlierJson.ToJson(f with { Entry = 0 })),
            .. sheet.Parts.Select(p => EarlierJson.ToJson(p with { Entry = 0 })),
            .. sheet.Photos.Select(p =>
                EarlierJson.ToJson(p with { Entry = 0, Lines = [.. p.Lines.Select(l => l with { Entry = 0 })] })
            ),
            .. sheet.People.Select(EarlierJson.ToJson),
        ];
        return string.Join(
            '\n',
            [
                EarlierJson.ToJson(without),
                EarlierJson.ToJson(content.Plan),
                .. content.Visits.Select(State),
                .. gathered.Order(StringComparer.Ordinal),
            ]
        );
    }

    private static string State(SetJob? visit) => visit is null ? "" : EarlierJson.ToJson(visit with { Version = 0 });
}
