using Dapper;
using Wendrak.Store.Bodies;

namespace Wendrak.Store.Records;

/// <summary>A record that is being replaced.</summary>
internal sealed record Replaced(long Version, IReadOnlyList<Reference> References);

/// <summary>Table <c>record</c> and what hangs on it. Every row that changes is noted in the change being made.</summary>
internal static class RecordRows
{
    private const string Select =
        "SELECT kind AS Kind, id AS Id, version AS Version, schema AS Schema, body AS Body, hash AS Hash FROM record";

    public static Task<RecordRow?> FindAsync(Session session, string kind, long id) =>
        session.Connection.QuerySingleOrDefaultAsync<RecordRow?>(
            $"{Select} WHERE kind = @kind AND id = @id",
            new { kind, id },
            session.Transaction
        );

    public static Task<IEnumerable<RecordRow>> ListAsync(Session session, string kind) =>
        session.Connection.QueryAsync<RecordRow>(
            $"{Select} WHERE kind = @kind ORDER BY id",
            new { kind },
            session.Transaction
        );

    public static Task<IEnumerable<RecordRow>> ListAsync(Session session, string kind, IReadOnlyCollection<long> ids) =>
        session.Connection.QueryAsync<RecordRow>(
            $"{Select} WHERE kind = @kind AND id IN (SELECT value FROM json_each(@list))",
            new { kind, list = $"[{string.Join(',', ids)}]" },
            session.Transaction
        );

    public static Task<IEnumerable<RecordRow>> ListOfMachineAsync(Session session, string kind, long machineId) =>
        session.Connection.QueryAsync<RecordRow>(
            $"{Select} WHERE kind = @kind AND machine_id = @machineId ORDER BY id",
            new { kind, machineId },
            session.Transaction
        );

    /// <summary>Of all machines.</summary>
    public static Task<IEnumerable<RecordRow>> ListFittedAsync(Session session) =>
        session.Connection.QueryAsync<RecordRow>(
            $"{Select} INDEXED BY one_as_fitted WHERE kind = 'setup' AND status = 'asFitted'",
            transaction: session.Transaction
        );

    /// <summary>A number that nothing of the kind ever had.</summary>
    public static Task<long> NextIdAsync(Session session, string kind)
    {
        const string sql = """
            INSERT INTO number_given (kind, last) VALUES (@kind, 1)
            ON CONFLICT (kind) DO UPDATE SET last = last + 1
            RETURNING last
            """;
        return session.Connection.ExecuteScalarAsync<long>(sql, new { kind }, session.Transaction);
    }

    /// <summary>Adds a record or replaces it.</summary>
    /// <param name="references">What it refers to now.</param>
    /// <param name="before">The one that is replaced; null where none is there.</param>
    /// <returns>Its new version: higher than any it ever had.</returns>
    public static async Task<long> PutAsync(
        Edit edit,
        IStoredKind kind,
        long id,
        string body,
        IReadOnlyList<Reference> references,
        Replaced? before
    )
    {
        const string sql = """
            INSERT INTO record (kind, id, version, schema, body, hash, at, actor)
            VALUES (@Name, @id, @version, @Schema, @body, @hash, @At, @Actor)
            ON CONFLICT (kind, id) DO UPDATE
            SET version = @version, schema = @Schema, body = @body, hash = @hash, at = @At, actor = @Actor
            """;
        long version = before is null ? await NextVersionAsync(edit, kind.Name, id) : before.Version + 1;
        byte[] hash = BodyHash.Compute(kind.Name, id, version, kind.Schema, body);
        await edit.Connection.ExecuteAsync(
            sql,
            new
            {
                kind.Name,
                id,
                version,
                kind.Schema,
                body,
                hash,
                edit.At,
                edit.Actor,
            },
            edit.Transaction
        );
        bool refers = !references.SequenceEqual(before?.References ?? []);
        if (refers)
            await ReferenceRows.ReplaceAsync(edit.Session, kind.Name, id, references);
        edit.Items.Add(new(kind.Name, id, version, kind.Schema, body, refers));
        return version;
    }

    /// <summary>Puts back a body that was stored before.</summary>
    /// <param name="current">The row that is replaced; null where none is there.</param>
    public static Task<long> PutBackAsync(Edit edit, IStoredKind kind, long id, string body, RecordRow? current) =>
        PutAsync(
            edit,
            kind,
            id,
            body,
            kind.ReferencesOf(body),
            current is null ? null : new(current.Version, kind.ReferencesOf(current.Newest(kind)))
        );

    public static async Task RemoveAsync(Edit edit, IStoredKind kind, long id)
    {
        long version = await NextVersionAsync(edit, kind.Name, id);
        await ReferenceRows.ReplaceAsync(edit.Session, kind.Name, id, []);
        const string sql = "DELETE FROM record WHERE kind = @Name AND id = @id";
        await edit.Connection.ExecuteAsync(sql, new { kind.Name, id }, edit.Transaction);
        edit.Items.Add(new(kind.Name, id, version, kind.Schema, null, Refers: true));
    }

    private static async Task<long> NextVersionAsync(Edit edit, string kind, long id)
    {
        if (edit.Items.FindLast(i => i.Kind == kind && i.Id == id) is { } here)
            return here.Version + 1;
        const string sql = "SELECT coalesce(max(version), 0) + 1 FROM change_item WHERE kind = @kind AND id = @id";
        return await edit.Connection.ExecuteScalarAsync<long>(sql, new { kind, id }, edit.Transaction);
    }
}
