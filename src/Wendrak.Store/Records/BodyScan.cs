using Dapper;
using Microsoft.Data.Sqlite;

namespace Wendrak.Store.Records;

/// <summary>Looks at every body there is: one that is not what was written is found, though the database sees nothing wrong.</summary>
internal static class BodyScan
{
    private const string Sql = """
        SELECT kind AS Kind, id AS Id, version AS Version, schema AS Schema, body AS Body, hash AS Hash FROM record
        UNION ALL SELECT kind, id, version, schema, coalesce(body, ''), hash FROM change_item
        UNION ALL SELECT kind, id, 1, schema, body, hash FROM job_event
        """;

    /// <summary>What is damaged, as it is come upon.</summary>
    public static IEnumerable<(string Kind, long Id)> Of(SqliteConnection connection)
    {
        foreach (RecordRow row in connection.Query<RecordRow>(Sql, buffered: false))
            if (!row.Hash.AsSpan().SequenceEqual(BodyHash.Of(row.Kind, row.Id, row.Version, row.Schema, row.Body)))
                yield return (row.Kind, row.Id);
    }
}
