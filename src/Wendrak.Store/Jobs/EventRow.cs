using System.Globalization;
using Dapper;
using Wendrak.Core.Records;
using Wendrak.Store.Bodies;
using Wendrak.Store.Records;

namespace Wendrak.Store.Jobs;

/// <summary>A row of table <c>job_event</c>.</summary>
internal sealed record EventRow
{
    /// <summary>Kind of the entry that takes another one back.</summary>
    public const string Undone = "undone";

    private const string Select = """
        SELECT id AS Id, change_id AS ChangeId, job_id AS JobId, machine_id AS MachineId, kind AS Kind, at AS At, actor AS Actor, undoes AS Undoes,
               schema AS Schema, body AS Body, hash AS Hash
        FROM job_event
        """;

    public required long Id { get; init; }

    /// <summary>The change it came with; null for an entry of its own.</summary>
    public required long? ChangeId { get; init; }
    public required long JobId { get; init; }
    public required long MachineId { get; init; }
    public required string Kind { get; init; }
    public required string At { get; init; }
    public required string? Actor { get; init; }
    public required long? Undoes { get; init; }
    public required long Schema { get; init; }
    public required string Body { get; init; }
    public required byte[] Hash { get; init; }

    public static Task<EventRow?> FindAsync(Session session, long id) =>
        session.Connection.QuerySingleOrDefaultAsync<EventRow?>(
            $"{Select} WHERE id = @id",
            new { id },
            session.Transaction
        );

    /// <summary>Those that came with a change, in their order.</summary>
    public static async Task<IReadOnlyList<EventRow>> OfChangeAsync(Session session, long change) =>
        [
            .. await session.Connection.QueryAsync<EventRow>(
                $"{Select} WHERE change_id = @change ORDER BY id",
                new { change },
                session.Transaction
            ),
        ];

    /// <summary>All of the given jobs, in their order, also those that were taken back.</summary>
    public static async Task<IReadOnlyList<EventRow>> OfJobsAsync(Session session, IReadOnlyCollection<long> jobs) =>
        [
            .. await session.Connection.QueryAsync<EventRow>(
                $"{Select} WHERE job_id IN (SELECT value FROM json_each(@list)) ORDER BY id",
                new { list = $"[{string.Join(',', jobs)}]" },
                session.Transaction
            ),
        ];

    /// <summary>Those that stand: not taken back by one of the others.</summary>
    public static IEnumerable<EventRow> Standing(IReadOnlyCollection<EventRow> rows)
    {
        HashSet<long> undone = [.. rows.Where(r => r.Undoes is not null).Select(r => r.Undoes!.Value)];
        return rows.Where(r => r.Kind != Undone && !undone.Contains(r.Id));
    }

    /// <summary>A job as its rows tell it, also when what came last was taken back.</summary>
    /// <exception cref="DamagedException">One is not what was written.</exception>
    public static JobContent ToContent(Job job, IReadOnlyCollection<EventRow> rows) =>
        JobContent.From(job, [.. Standing(rows).Select(r => r.ToEntry())], rows.Count == 0 ? 0 : rows.Max(r => r.Id));

    /// <exception cref="DamagedException">It is not what was written.</exception>
    public JobEntry ToEntry()
    {
        if (!BodyHash.IsOf(Hash, Kind, Id, 1, Schema, Body))
            throw new DamagedException("event", Id);
        return new(Id, DateTimeOffset.Parse(At, CultureInfo.InvariantCulture), Actor, EventJson.Read(Schema, Body));
    }

    /// <summary>Writes an event down; with a key that was used before, nothing.</summary>
    /// <param name="change">The change it comes with; null for an entry of its own.</param>
    /// <param name="key">Of whoever sent it.</param>
    /// <returns>Its number.</returns>
    public static async Task<long> AddAsync(
        Edit edit,
        (long Job, long Machine) of,
        string kind,
        string body,
        long? change = null,
        string? key = null,
        long? undoes = null,
        (string At, string? Actor)? signed = null
    )
    {
        const string next = $"SELECT {Edit.NextNumber}";
        long id = await edit.Connection.ExecuteScalarAsync<long>(next, transaction: edit.Transaction);
        if (change is long c)
            id = Math.Max(c + 1, id);
        const string sql = """
            INSERT INTO job_event (id, change_id, job_id, machine_id, kind, at, actor, client_key, undoes, schema, body, hash)
            VALUES (@id, @change, @Job, @Machine, @kind, @at, @actor, @key, @undoes, @schema, @body, @hash)
            """;
        await edit.Connection.ExecuteAsync(
            sql,
            new
            {
                id,
                change,
                of.Job,
                of.Machine,
                kind,
                at = signed?.At ?? edit.At,
                actor = signed is { } s ? s.Actor : edit.Actor,
                key,
                undoes,
                schema = EventJson.Schema,
                body,
                hash = BodyHash.Compute(kind, id, 1, EventJson.Schema, body),
            },
            edit.Transaction
        );
        return id;
    }
}
