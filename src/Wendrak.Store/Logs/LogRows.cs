using System.Data.Common;
using System.Globalization;
using Dapper;
using Microsoft.Data.Sqlite;
using Wendrak.Core.Records;
using Wendrak.Core.Upkeep;
using Wendrak.Store.Bodies;
using Wendrak.Store.Records;

namespace Wendrak.Store.Logs;

/// <summary>Which lines of a log are asked for.</summary>
/// <param name="Kind">As it stands in a line; null for all.</param>
/// <param name="From">First day; null for the first there is.</param>
/// <param name="To">Last day; null for the last there is.</param>
public sealed record LogFilter(string? Kind = null, DateOnly? From = null, DateOnly? To = null);

/// <summary>Table <c>log_line</c>: lines are written once, and the record of their lot says which of them stand.</summary>
internal static class LogRows
{
    private const string Select = """
        SELECT id AS Id, lot_id AS LotId, number AS Number, schema AS Schema, body AS Body, hash AS Hash,
               file AS File, is_struck AS IsStruck
        FROM log
        """;

    /// <summary>Newest day first, and of a day what was written last.</summary>
    /// <param name="after">Number of the row that was read last; null for the newest.</param>
    public static async Task<IReadOnlyList<LogRow>> PageAsync(
        Session session,
        long machine,
        LogFilter filter,
        long? after,
        int most
    )
    {
        string ofKind = filter.Kind is null ? "" : "AND kind = @Kind";
        string beyond = after is null ? "" : "AND (day, id) < (SELECT day, id FROM log_line WHERE id = @after)";
        string sql = $"""
            {Select} WHERE machine_id = @machine {ofKind} AND day BETWEEN @from AND @to {beyond}
            ORDER BY day DESC, id DESC LIMIT @most
            """;
        return
        [
            .. await session.Connection.QueryAsync<LogRow>(
                sql,
                new
                {
                    machine,
                    filter.Kind,
                    from = filter.From is { } first ? Day(first) : "",
                    to = filter.To is { } last ? Day(last) : "9999-99",
                    after,
                    most,
                },
                session.Transaction
            ),
        ];
    }

    /// <summary>All of a machine of the given kinds, in the order in which they were written.</summary>
    public static IAsyncEnumerable<LogRow> AllAsync(Session session, long machine, IReadOnlyCollection<string> kinds) =>
        session.Connection.QueryUnbufferedAsync<LogRow>(
            $"{Select} WHERE machine_id = @machine AND kind IN @kinds ORDER BY id",
            new { machine, kinds },
            session.Transaction
        );

    /// <summary>All of a machine, by their lots.</summary>
    public static async Task<ILookup<long, LogRow>> ByLotAsync(Session session, long machine)
    {
        IEnumerable<LogRow> rows = await session.Connection.QueryAsync<LogRow>(
            $"{Select} WHERE machine_id = @machine ORDER BY lot_id, number",
            new { machine },
            session.Transaction
        );
        return rows.ToLookup(r => r.LotId);
    }

    /// <summary>Bodies of a machine over some days: what is there already is not taken twice.</summary>
    public static async Task<HashSet<string>> BodiesAsync(Session session, long machine, DateOnly from, DateOnly to)
    {
        const string sql = "SELECT body FROM log WHERE machine_id = @machine AND day BETWEEN @from AND @to";
        return
        [
            .. await session.Connection.QueryAsync<string>(
                sql,
                new
                {
                    machine,
                    from = Day(from),
                    to = Day(to),
                },
                session.Transaction
            ),
        ];
    }

    private static readonly string[] Names = ["lot", "number", "machine", "schema", "body", "hash"];

    public static async Task AddAsync(Edit edit, LogLot lot, IEnumerable<string> bodies)
    {
        const string sql = """
            INSERT INTO log_line (lot_id, number, machine_id, schema, body, hash)
            VALUES (@lot, @number, @machine, @schema, @body, @hash)
            """;
        // One statement for all: a file has many lines.
        await using DbCommand command = edit.Connection.CreateCommand();
        command.Transaction = edit.Transaction;
        command.CommandText = sql;
        SqliteParameter[] values = [.. Names.Select(n => new SqliteParameter { ParameterName = n })];
        command.Parameters.AddRange(values);
        int number = 0;
        foreach (string body in bodies)
        {
            byte[] hash = BodyHash.Compute(LogRow.HashKind, lot.Id, number, LogJson.Schema, body);
            object[] row = [lot.Id, number++, lot.MachineId, LogJson.Schema, body, hash];
            for (int i = 0; i < row.Length; i++)
                values[i].Value = row[i];
            await command.ExecuteNonQueryAsync();
        }
    }

    /// <summary>
    /// What the usual distance is learned from: the newest reading of the odometer, the newest that is a year older, and the first.
    /// </summary>
    /// <param name="machine">Null for all.</param>
    public static async Task<ILookup<long, OdometerEntry>> OdometersAsync(Session session, long? machine)
    {
        const string ofMachine = "FROM log WHERE machine_id = m.id AND odometer_km IS NOT NULL AND NOT is_struck";
        const string sql = $"""
            WITH m AS (SELECT id FROM record WHERE kind = 'machine' AND (@machine IS NULL OR id = @machine)),
            newest AS (SELECT m.id, (SELECT log.id {ofMachine} ORDER BY day DESC, odometer_km DESC LIMIT 1) AS line FROM m),
            kept AS (
                SELECT line FROM newest
                UNION SELECT (SELECT log.id {ofMachine} ORDER BY day LIMIT 1) FROM m
                UNION SELECT (
                    SELECT log.id {ofMachine} AND day <= (SELECT date(day, '-1 year') FROM log_line WHERE id = m.line)
                    ORDER BY day DESC LIMIT 1) FROM newest AS m)
            SELECT machine_id AS Machine, day AS Day, odometer_km AS Km FROM kept JOIN log_line ON log_line.id = kept.line
            """;
        IEnumerable<OdometerRow> rows = await session.Connection.QueryAsync<OdometerRow>(
            sql,
            new { machine },
            session.Transaction
        );
        return rows.ToLookup(
            r => r.Machine,
            r => new OdometerEntry(DateOnly.Parse(r.Day, CultureInfo.InvariantCulture), r.Km)
        );
    }

    private sealed record OdometerRow
    {
        public required long Machine { get; init; }
        public required string Day { get; init; }
        public required double Km { get; init; }
    }

    private static string Day(DateOnly day) => day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);
}
