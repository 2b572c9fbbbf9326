using Dapper;
using Wendrak.Store.Ledger;

namespace Wendrak.Store.Jobs;

/// <summary>Keys under which events of a job were sent.</summary>
internal static class EventKeys
{
    public static async Task<HashSet<string>> OfAsync(Session session, long job)
    {
        const string sql = "SELECT client_key FROM job_event WHERE job_id = @job AND client_key IS NOT NULL";
        return [.. await session.Connection.QueryAsync<string>(sql, new { job }, session.Transaction)];
    }
}
