using Dapper;

namespace Wendrak.Store.Jobs;

/// <summary>Keys under which events of a job were sent.</summary>
internal static class EventKeys
{
    /// <summary>Those of the given ones that were used before.</summary>
    public static async Task<HashSet<string>> OfAsync(Session session, long job, IReadOnlyCollection<string> sent)
    {
        const string sql = "SELECT client_key FROM job_event WHERE job_id = @job AND client_key IN @sent";
        return [.. await session.Connection.QueryAsync<string>(sql, new { job, sent }, session.Transaction)];
    }
}
