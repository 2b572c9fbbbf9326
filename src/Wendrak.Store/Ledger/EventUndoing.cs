using Wendrak.Core.Records;
using Wendrak.Store.Bodies;
using Wendrak.Store.Jobs;
using Wendrak.Store.Records;

namespace Wendrak.Store.Ledger;

/// <summary>Takes an event of a job back: by one more entry, never by taking it away.</summary>
internal static class EventUndoing
{
    private static readonly Repository<Job> Jobs = new(Kinds.Job);

    /// <returns>The number of the undoing; null when there is no such event.</returns>
    /// <exception cref="CannotUndoException">The visit was gone on with since, or is gone itself.</exception>
    public static async Task<long?> UndoAsync(Edit edit, long id)
    {
        if (await EventRow.FindAsync(edit.Session, id) is not { } row)
            return null;
        Job job =
            await Jobs.FindAsync(edit.Session, row.JobId)
            ?? throw new CannotUndoException("The visit was removed since. Bring it back first.");
        IReadOnlyList<EventRow> rows = await EventRow.OfJobsAsync(edit.Session, [row.JobId]);
        if (rows.Any(r => r.Undoes == id))
            throw new CannotUndoException("This change is undone already.");
        if (State(job, rows.Where(r => r.Id <= id)) != State(job, rows))
            throw new CannotUndoException("This visit was gone on with since. Undo the later change first.");
        (long, long) of = (row.JobId, row.MachineId);
        // What an undoing took back is written down anew: what is written stays, in its order.
        if (row.Kind != EventRow.Undone)
            return await EventRow.AddAsync(edit, of, EventRow.Undone, EventWords.Undoing(row), undoes: id);
        EventRow original = rows.Single(r => r.Id == row.Undoes);
        return await EventRow.AddAsync(
            edit,
            of,
            original.Kind,
            original.Body,
            undoes: id,
            signed: (original.At, original.Actor)
        );
    }

    /// <summary>Whether a visit is as the change left it, which is to be taken away with that change.</summary>
    /// <exception cref="CannotUndoException">Something was written down at it since.</exception>
    public static async Task CheckNothingSinceAsync(Session session, long id, long change)
    {
        Job job = (await Jobs.FindAsync(session, id))!;
        IReadOnlyList<EventRow> rows = await EventRow.OfJobsAsync(session, [id]);
        if (State(job, rows.Where(r => r.Id <= change || r.ChangeId == change)) != State(job, rows))
            throw new CannotUndoException("The visit was gone on with since. Undo what was done at it first.");
    }

    private static string State(Job job, IEnumerable<EventRow> rows) =>
        string.Join('\n', Visits.Replay(job, [.. rows]).Select(v => EarlierJson.ToJson(v with { Version = 0 })));
}
