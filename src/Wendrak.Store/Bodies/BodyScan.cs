using Dapper;
using Microsoft.Data.Sqlite;

namespace Wendrak.Store.Bodies;

/// <summary>A body that is not what was written.</summary>
/// <param name="Table">record, change_item, job_event or log_line; of that the id is its lot’s and the version its number.</param>
internal sealed record BadBody(string Table, string Kind, long Id, long Version);

/// <summary>Looks at every body there is: one that is not what was written is found, though the database sees nothing wrong.</summary>
internal static class BodyScan
{
    private const string Sql = """
        SELECT 'record' AS InTable, kind AS Kind, id AS Id, version AS Version, schema AS Schema, body AS Body, hash AS Hash
        FROM record
        UNION ALL SELECT 'change_item', kind, id, version, schema, coalesce(body, ''), hash FROM change_item
        UNION ALL SELECT 'job_event', kind, id, 1, schema, body, hash FROM job_event
        """;

    private const string Lines =
        "UNION ALL SELECT 'log_line', 'log_line', lot_id, number, schema, body, hash FROM log_line";

    /// <summary>A file of form 9 or earlier has no log.</summary>
    private const string HasLog = "SELECT count(*) FROM pragma_table_list WHERE name = 'log_line'";

    /// <summary>What is damaged, as it is come upon.</summary>
    public static IEnumerable<BadBody> Find(SqliteConnection connection)
    {
        string sql = connection.ExecuteScalar<long>(HasLog) == 0 ? Sql : $"{Sql}\n{Lines}";
        foreach (Row row in connection.Query<Row>(sql, buffered: false))
            if (!BodyHash.IsOf(row.Hash, row.Kind, row.Id, row.Version, row.Schema, row.Body))
                yield return new(row.InTable, row.Kind, row.Id, row.Version);
    }

    private sealed record Row
    {
        public required string InTable { get; init; }
        public required string Kind { get; init; }
        public required long Id { get; init; }
        public required long Version { get; init; }
        public required long Schema { get; init; }
        public required string Body { get; init; }
        public required byte[] Hash { get; init; }
    }
}
