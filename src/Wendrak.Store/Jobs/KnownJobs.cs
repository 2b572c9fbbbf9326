using System.Collections.Concurrent;
using Dapper;
using Wendrak.Core.Records;
using Wendrak.Store.Bodies;

namespace Wendrak.Store.Jobs;

/// <summary>
/// Jobs as their events tell them, kept until an event comes: events are never changed, so the last one's number says
/// whether what is known of a job is all there is.
/// </summary>
internal sealed class KnownJobs
{
    private readonly ConcurrentDictionary<(string Data, long Job), Known> _known = [];

    private sealed record Known(long LastEvent, Job Job, JobContent Content);

    /// <param name="data">Of which data they are: after a restore numbers mean other things.</param>
    /// <returns>By number; a damaged one is left out and told.</returns>
    public async Task<IReadOnlyDictionary<long, JobContent>> OfAsync(
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
        Dictionary<long, JobContent> contents = [];
        List<Job> others = [];
        foreach (Job job in jobs)
            if (
                _known.TryGetValue((data, job.Id), out Known? known)
                && known.LastEvent == last.GetValueOrDefault(job.Id)
                && known.Job == job
            )
                contents[job.Id] = known.Content;
            else
                others.Add(job);
        if (others.Count == 0)
            return contents;
        ILookup<long, EventRow> rows = (await EventRow.OfJobsAsync(session, [.. others.Select(j => j.Id)])).ToLookup(
            r => r.JobId
        );
        foreach (Job job in others)
            if (Read(session, job, [.. rows[job.Id]]) is { } content)
                contents[job.Id] = content;
        foreach (Job job in others)
            if (contents.TryGetValue(job.Id, out JobContent? content))
                _known[(data, job.Id)] = new(content.Sheet.Version, job, content);
        return contents;
    }

    /// <summary>What an event that is on the disk now made of a job.</summary>
    public void Remember(string data, JobContent content) =>
        _known[(data, content.Job.Id)] = new(content.Sheet.Version, content.Job, content);

    private static JobContent? Read(Session session, Job job, EventRow[] rows)
    {
        try
        {
            return EventRow.ToContent(job, rows);
        }
        catch (Exception e) when (e is DamagedException or UnreadableBodyException)
        {
            session.Damage.Add("visit", job.Id);
            return null;
        }
    }
}
