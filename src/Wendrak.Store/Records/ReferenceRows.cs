using Dapper;
using Wendrak.Store.Bodies;

namespace Wendrak.Store.Records;

/// <summary>Table <c>reference</c>: written from the bodies by the rule of their kind.</summary>
internal static class ReferenceRows
{
    public static async Task ReplaceAsync(Session session, string kind, long id, IReadOnlyList<Reference> references)
    {
        const string clear = "DELETE FROM reference WHERE kind = @kind AND id = @id";
        await session.Connection.ExecuteAsync(clear, new { kind, id }, session.Transaction);
        const string add =
            "INSERT INTO reference (kind, id, hold, to_kind, to_id) VALUES (@kind, @id, @hold, @ToKind, @ToId)";
        foreach (Reference r in references)
            await session.Connection.ExecuteAsync(
                add,
                new
                {
                    kind,
                    id,
                    hold = r.Hold.ToString(),
                    r.ToKind,
                    r.ToId,
                },
                session.Transaction
            );
    }

    /// <summary>Records that are a part of one.</summary>
    public static Task<IEnumerable<(string Kind, long Id)>> PartsOfAsync(Session session, string kind, long id) =>
        HoldersAsync(session, kind, id, Hold.BelongsTo);

    /// <summary>Records that hold one in the given way.</summary>
    public static Task<IEnumerable<(string Kind, long Id)>> HoldersAsync(
        Session session,
        string kind,
        long id,
        Hold hold
    )
    {
        const string sql = """
            SELECT kind AS Kind, id AS Id FROM reference
            WHERE to_kind = @kind AND to_id = @id AND hold = @hold
            ORDER BY kind, id
            """;
        return session.Connection.QueryAsync<(string, long)>(
            sql,
            new
            {
                kind,
                id,
                hold = hold.ToString(),
            },
            session.Transaction
        );
    }

    /// <summary>What a record can't be without and that is not there.</summary>
    public static Task<IEnumerable<(string Kind, long Id)>> MissingOfAsync(Session session, string kind, long id)
    {
        const string sql = """
            SELECT to_kind AS Kind, to_id AS Id FROM reference AS r
            WHERE r.kind = @kind AND r.id = @id AND r.hold <> 'Mentions'
              AND NOT EXISTS (SELECT 1 FROM record WHERE record.kind = r.to_kind AND record.id = r.to_id)
            """;
        return session.Connection.QueryAsync<(string, long)>(sql, new { kind, id }, session.Transaction);
    }
}
