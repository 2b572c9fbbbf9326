using Dapper;
using Microsoft.Data.Sqlite;
using Wendrak.Core.Records;
using Wendrak.Store;
using Wendrak.Store.Bodies;

namespace Wendrak.Bench;

/// <summary>
/// The bare commit beside which a save is measured: the very rows of that save, written by plain SQL in one transaction,
/// with nothing read, checked or kept count of.
/// </summary>
internal static class PlainSaves
{
    private const string At = "2026-11-28T12:00:00.0000000Z";

    /// <summary>A record, its change, and its place in the history.</summary>
    public static async Task RecordAsync(Database database, string body, long id, long version)
    {
        await using SqliteConnection connection = database.Open();
        await using SqliteTransaction transaction = connection.BeginTransaction();
        byte[] hash = BodyHash.Compute("bare", id, version, 1, body);
        var row = new
        {
            id,
            version,
            body,
            hash,
            At,
        };
        await connection.ExecuteAsync(
            """
            INSERT INTO record (kind, id, version, schema, body, hash, at, actor)
            VALUES ('bare', @id, @version, 1, @body, @hash, @At, 'bench')
            ON CONFLICT (kind, id) DO UPDATE SET version = @version, body = @body, hash = @hash, at = @At
            """,
            row,
            transaction
        );
        await connection.ExecuteAsync(
            """
            INSERT INTO change (id, at, actor, name, machine_id)
            SELECT 1 + max(id), @At, 'bench', 'changed something', @id FROM (SELECT max(id) AS id FROM change UNION ALL SELECT max(id) FROM job_event)
            """,
            row,
            transaction
        );
        await connection.ExecuteAsync(
            """
            INSERT INTO change_item (change_id, position, kind, id, version, schema, body, hash)
            SELECT max(id), 0, 'bare', @id, @version, 1, @body, @hash FROM change
            """,
            row,
            transaction
        );
        await transaction.CommitAsync();
    }

    public static async Task EventAsync(Database database, long machineId, JobEvent what)
    {
        await using SqliteConnection connection = database.Open();
        await using SqliteTransaction transaction = connection.BeginTransaction();
        long id = await connection.ExecuteScalarAsync<long>(
            "SELECT 1 + max(id) FROM (SELECT max(id) AS id FROM change UNION ALL SELECT max(id) FROM job_event)",
            transaction: transaction
        );
        string body = EventJson.Write(what);
        await connection.ExecuteAsync(
            """
            INSERT INTO job_event (id, job_id, machine_id, kind, at, actor, client_key, schema, body, hash)
            VALUES (@id, -1, @machineId, 'readingTaken', @At, 'bench', @key, 1, @body, @hash)
            """,
            new
            {
                id,
                machineId,
                key = $"{id}",
                body,
                hash = BodyHash.Compute("readingTaken", id, 1, 1, body),
                At,
            },
            transaction
        );
        await transaction.CommitAsync();
    }
}
