using System.Collections.Concurrent;
using Dapper;
using Wendrak.Core.Records;
using Wendrak.Store.Bodies;

namespace Wendrak.Store.Jobs;

/// <summary>
/// Visits as their events tell them, kept until an event comes: events are never changed, so the last one's number says
/// whether what is known of a job is all there is.
/// </summary>
internal sealed class KnownVisits
{
    private readonly ConcurrentDictionary<(string Data, long Job), Known> _known = [];

    private sealed record Known(long LastEvent, Job Job, IReadOnlyList<SetJob> Visits);

    /// <param name="data">Of which data they are: after a restore numbers mean other things.</param>
    public async Task<IReadOnlyDictionary<long, IReadOnlyList<SetJob>>> OfAsync(
        Session session,
        string data,
        IReadOnlyList<Job> jobs
    )
    {
        const string sql = """
            SELECT job_id AS Job, max(id) AS Last FROM job_event
            WHERE job_id IN (SELECT value FROM json_each(@list))
            GROUP BY job_id
            """;
        Dictionary<long, long> last = (
            await session.Connection.QueryAsync<(long Job, long Last)>(
                sql,
                new { list = $"[{string.Join(',', jobs.Select(j => j.Id))}]" },
                session.Transaction
            )
        ).ToDictionary(l => l.Job, l => l.Last);
        // Taken once each: another change may put newer ones there meanwhile, which are not of this moment.
        Dictionary<long, IReadOnlyList<SetJob>> visits = [];
        List<Job> others = [];
        foreach (Job job in jobs)
            if (
                _known.TryGetValue((data, job.Id), out Known? known)
                && known.LastEvent == last.GetValueOrDefault(job.Id)
                && known.Job == job
            )
                visits[job.Id] = known.Visits;
            else
                others.Add(job);
        if (others.Count == 0)
            return visits;
        ILookup<long, EventRow> rows = (await EventRow.OfJobsAsync(session, [.. others.Select(j => j.Id)])).ToLookup(
            r => r.JobId
        );
        foreach (Job job in others)
        {
            Known read = Read(session, job, [.. rows[job.Id]]);
            _known[(data, job.Id)] = read;
            visits[job.Id] = read.Visits;
        }
        return visits;
    }

    /// <summary>What an event that is on the disk now made of the visits of a job.</summary>
    public void Remember(string data, Job job, IReadOnlyList<SetJob> visits)
    {
        if (visits.Count > 0)
            _known[(data, job.Id)] = new(visits.Max(v => v.Version), job, visits);
    }

    private static Known Read(Session session, Job job, EventRow[] rows)
    {
        long last = rows.Length == 0 ? 0 : rows[^1].Id;
        try
        {
            return new(last, job, Visits.Replay(job, rows));
        }
        catch (Exception e) when (e is DamagedException or UnreadableBodyException)
        {
            // Left out and told, as a damaged record is; not remembered as read.
            session.Damage.Add("visit", job.Id);
            return new(-1, job, []);
        }
    }
}
