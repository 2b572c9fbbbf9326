using System.Globalization;
using Dapper;
using Microsoft.Data.Sqlite;
using Wendrak.Store.Machines;

namespace Wendrak.Store.Ledger;

/// <summary>A change as the history shows it.</summary>
/// <param name="UndoneBy">The change that took it back; null while it stands.</param>
/// <param name="Undoes">The change it took back; null for an ordinary one.</param>
public sealed record Change(
    long Id,
    string MadeAt,
    string Who,
    string What,
    long? MachineId,
    long? Undoes,
    long? UndoneBy,
    IReadOnlyList<ChangeDetail> Things
);

/// <summary>One thing of a change, before and after, as JSON text.</summary>
public sealed record ChangeDetail(string Thing, long ThingId, string? Before, string? After);

/// <summary>Makes changes in transactions, keeps the record of them, and undoes them.</summary>
public sealed class ChangeLog(Database database, TimeProvider clock)
{
    public const int LongestWho = 60;

    /// <summary>Runs a change. It is on the disk when this returns.</summary>
    /// <param name="who">Name of the person, as the page knows it.</param>
    /// <param name="what">What was done, in a few words for the history.</param>
    public async Task<T> MakeAsync<T>(string who, string what, Func<Writing, Task<T>> work, CancellationToken ct)
    {
        await using SqliteConnection connection = database.Open();
        // Takes the write lock at once, so that what is read inside can't be overtaken.
        await using SqliteTransaction transaction = connection.BeginTransaction();
        Writing writing = new(connection, transaction);
        T result = await work(writing);
        if (writing.Things.Count > 0)
            await RecordAsync(writing, who, what, null);
        ct.ThrowIfCancellationRequested();
        await transaction.CommitAsync(ct);
        return result;
    }

    /// <summary>Takes a change back, all its things together; the undoing is itself a change.</summary>
    /// <exception cref="CannotUndoException">It is not there, is undone already, or a thing was changed again since.</exception>
    public async Task<Change> UndoAsync(string who, long changeId, CancellationToken ct)
    {
        await using SqliteConnection connection = database.Open();
        await using SqliteTransaction transaction = connection.BeginTransaction();
        Writing writing = new(connection, transaction);
        Change change =
            await FindAsync(writing.Session, changeId) ?? throw new CannotUndoException("There is no such change.");
        if (change.UndoneBy is not null)
            throw new CannotUndoException("This change is undone already.");
        writing.MachineId = change.MachineId;
        // Backwards: what was added last may depend on what was added first.
        foreach (ChangeDetail thing in change.Things.Reverse())
            await Shelves.RestoreAsync(writing, new(thing.Thing, thing.ThingId, thing.Before, thing.After));
        long undoing = await RecordAsync(writing, who, $"undone: {change.What}", changeId);
        const string mark = "UPDATE change SET undone_by = @undoing WHERE id = @changeId";
        await connection.ExecuteAsync(mark, new { undoing, changeId }, transaction);
        await transaction.CommitAsync(ct);
        Session reading = new(connection, null);
        return (await FindAsync(reading, undoing))!;
    }

    /// <summary>Newest changes first.</summary>
    /// <param name="machineId">Only those of one machine; null for all.</param>
    public async Task<IReadOnlyList<Change>> ListAsync(long? machineId, int most, CancellationToken ct)
    {
        await using SqliteConnection connection = database.Open();
        string where = machineId is null ? "" : "WHERE machine_id = @machineId";
        string sql = $"{SelectChange} {where} ORDER BY id DESC LIMIT @most";
        IEnumerable<ChangeRow> rows = await connection.QueryAsync<ChangeRow>(
            new CommandDefinition(sql, new { machineId, most }, cancellationToken: ct)
        );
        List<Change> changes = [];
        foreach (ChangeRow row in rows)
            changes.Add(await WithThingsAsync(new(connection, null), row));
        return changes;
    }

    private const string SelectChange = """
        SELECT id AS Id, made_at AS MadeAt, who AS Who, what AS What, machine_id AS MachineId,
               undoes AS Undoes, undone_by AS UndoneBy
        FROM change
        """;

    private static async Task<Change?> FindAsync(Session session, long id)
    {
        ChangeRow? row = await session.Connection.QuerySingleOrDefaultAsync<ChangeRow>(
            $"{SelectChange} WHERE id = @id",
            new { id },
            session.Transaction
        );
        return row is null ? null : await WithThingsAsync(session, row);
    }

    private static async Task<Change> WithThingsAsync(Session session, ChangeRow row)
    {
        const string sql = """
            SELECT thing AS Thing, thing_id AS ThingId, before AS Before, after AS After
            FROM changed_thing
            WHERE change_id = @Id
            ORDER BY position
            """;
        IEnumerable<ChangeDetail> things = await session.Connection.QueryAsync<ChangeDetail>(
            sql,
            new { row.Id },
            session.Transaction
        );
        return new(row.Id, row.MadeAt, row.Who, row.What, row.MachineId, row.Undoes, row.UndoneBy, [.. things]);
    }

    private async Task<long> RecordAsync(Writing writing, string who, string what, long? undoes)
    {
        const string insert = """
            INSERT INTO change (made_at, who, what, machine_id, undoes)
            VALUES (@madeAt, @who, @what, @MachineId, @undoes)
            RETURNING id
            """;
        string madeAt = clock.GetUtcNow().ToString("yyyy-MM-dd'T'HH:mm:ss'Z'", CultureInfo.InvariantCulture);
        long id = await writing.Connection.ExecuteScalarAsync<long>(
            insert,
            new
            {
                madeAt,
                who = Shortened(who),
                what,
                writing.MachineId,
                undoes,
            },
            writing.Transaction
        );
        const string thing = """
            INSERT INTO changed_thing (change_id, position, thing, thing_id, before, after)
            VALUES (@id, @position, @Thing, @ThingId, @Before, @After)
            """;
        for (int position = 0; position < writing.Things.Count; position++)
        {
            ChangedThing t = writing.Things[position];
            await writing.Connection.ExecuteAsync(
                thing,
                new
                {
                    id,
                    position,
                    t.Thing,
                    t.ThingId,
                    t.Before,
                    t.After,
                },
                writing.Transaction
            );
        }
        return id;
    }

    private static string Shortened(string who) =>
        string.IsNullOrWhiteSpace(who) ? "workshop" : who.Trim()[..Math.Min(LongestWho, who.Trim().Length)];

    private sealed record ChangeRow
    {
        public required long Id { get; init; }
        public required string MadeAt { get; init; }
        public required string Who { get; init; }
        public required string What { get; init; }
        public required long? MachineId { get; init; }
        public required long? Undoes { get; init; }
        public required long? UndoneBy { get; init; }
    }
}
