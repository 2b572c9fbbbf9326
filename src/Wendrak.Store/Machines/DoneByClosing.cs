using Dapper;
using Wendrak.Core.Records;
using Wendrak.Store.Bodies;
using Wendrak.Store.Records;

namespace Wendrak.Store.Machines;

/// <summary>What a change of parts asked for is ticked off by doing it: with the closing of a loop, in one change.</summary>
internal static class DoneByClosing
{
    private static readonly SetupRepository Setups = new();

    /// <param name="closed">The job as the closing leaves it.</param>
    /// <returns>Number of the change that the closing goes with; null where it ticked nothing off.</returns>
    public static async Task<long?> TickAsync(Edit edit, JobContent closed, string loopKey)
    {
        SetJob visit = closed.VisitTo(loopKey)!;
        Setup fitted = await Setups.FittedAsync(edit.Session, closed.Job.MachineId);
        if (fitted.FollowUps is not { Count: > 0 } open || !open.Any(t => t.IsDoneBy(visit)))
            return null;
        long read = closed.Entries.Last(e => e.Event is RoundKept kept && kept.LoopKey == loopKey).Sequence;
        List<FollowUpTask> left = [];
        foreach (FollowUpTask task in open)
            if (!task.IsDoneBy(visit) || await AskedForAsync(edit.Session, fitted.Id, task) > read)
                left.Add(task);
        if (left.Count == open.Count)
            return null;
        edit.MachineId = fitted.MachineId;
        await Setups.ChangeAsync(edit, fitted with { FollowUps = left.Count == 0 ? null : left }, fitted);
        edit.What = $"closed the setting of {loopKey}: it did what was to be done again";
        return await edit.NumberAsync();
    }

    /// <summary>Number of the change since which it stands there: what was read before that was read of other parts.</summary>
    private static async Task<long> AskedForAsync(Session session, long setup, FollowUpTask task)
    {
        const string sql = """
            SELECT change_id AS Change, schema AS Schema, body AS Body FROM change_item
            WHERE kind = @Name AND id = @setup ORDER BY version DESC
            """;
        long since = 0;
        foreach (
            (long change, long schema, string? body) in await session.Connection.QueryAsync<(long, long, string?)>(
                sql,
                new { Kinds.Setup.Name, setup },
                session.Transaction
            )
        )
        {
            if (body is null || Kinds.Setup.Read((int)schema, body).FollowUps?.Any(task.IsSameAs) != true)
                break;
            since = change;
        }
        return since;
    }
}
