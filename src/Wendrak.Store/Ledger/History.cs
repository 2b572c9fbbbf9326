using Dapper;
using Wendrak.Core.Records;
using Wendrak.Store.Bodies;
using Wendrak.Store.Jobs;

namespace Wendrak.Store.Ledger;

/// <summary>A change or an event of a job as the history shows it.</summary>
/// <param name="UndoneBy">The entry that took it back; null while it stands.</param>
/// <param name="Undoes">The entry it took back; null for an ordinary one.</param>
/// <param name="Id">Of the change.</param>
/// <param name="MadeAt">When.</param>
/// <param name="Who">Who did it; null where nobody said.</param>
/// <param name="What">What was done, as a sentence.</param>
/// <param name="MachineId">Of the machine it belongs to; null for what belongs to none.</param>
/// <param name="Round">What it is of a round at Set, which is told in one line; null for none of it.</param>
public sealed record Change(
    long Id,
    string MadeAt,
    string Who,
    string What,
    long? MachineId,
    long? Undoes,
    long? UndoneBy,
    IReadOnlyList<ChangeDetail> Things,
    RoundEntry? Round = null
);

/// <summary>One record of a change, before and after, as JSON text: both in the newest form, so that nothing but the change differs.</summary>
/// <param name="Thing">Kind of record.</param>
/// <param name="ThingId">Which of them.</param>
/// <param name="Before">As it was; null where it was not there.</param>
/// <param name="After">As it was then; null where it was removed.</param>
public sealed record ChangeDetail(string Thing, long ThingId, string? Before, string? After);

/// <summary>Everything that happened, newest first.</summary>
public sealed class History(Database database, KindRegistry? kinds = null)
{
    private readonly KindRegistry _kinds = kinds ?? new(Kinds.All);

    /// <summary>Shown where nobody said who it was.</summary>
    public const string Nobody = "workshop";

    /// <param name="machineId">Only that of one machine; null for all.</param>
    /// <param name="before">Only what came before this entry, to go on reading a long history; null from the newest on.</param>
    /// <param name="most">At most so many.</param>
    public Task<IReadOnlyList<Change>> ListAsync(long? machineId, long? before, int most) =>
        database.ReadAsync(session => ListAsync(session, machineId, before ?? long.MaxValue, most));

    internal Task<Change?> FindAsync(long id) =>
        database.ReadAsync(async session =>
            (await ListAsync(session, null, id + 1, 1)).FirstOrDefault(c => c.Id == id)
        );

    private async Task<IReadOnlyList<Change>> ListAsync(Session session, long? machineId, long before, int most)
    {
        string where = machineId is null ? "" : "AND machine_id = @machineId";
        string sql = $"""
            SELECT * FROM (
                SELECT id AS Id, at AS At, actor AS Actor, name AS Name, machine_id AS MachineId, undoes AS Undoes,
                       (SELECT max(u.id) FROM change AS u WHERE u.undoes = change.id) AS UndoneBy,
                       NULL AS Event, NULL AS Body
                FROM change WHERE id < @before {where} ORDER BY id DESC LIMIT @most)
            UNION ALL
            SELECT * FROM (
                SELECT id, at, actor, NULL, machine_id, undoes,
                       (SELECT max(u.id) FROM job_event AS u WHERE u.undoes = job_event.id), kind, body
                FROM job_event WHERE change_id IS NULL AND id < @before {where} ORDER BY id DESC LIMIT @most)
            ORDER BY 1 DESC LIMIT @most
            """;
        EntryRow[] entries =
        [
            .. await session.Connection.QueryAsync<EntryRow>(
                sql,
                new
                {
                    machineId,
                    before,
                    most,
                },
                session.Transaction
            ),
        ];
        ILookup<long, ChangeDetail> details = await DetailsAsync(session, entries);
        return [.. entries.Select(e => e.ToChange([.. details[e.Id]]))];
    }

    private async Task<ILookup<long, ChangeDetail>> DetailsAsync(Session session, EntryRow[] entries)
    {
        const string sql = """
            SELECT i.change_id AS ChangeId, i.kind AS Kind, i.id AS Id, i.schema AS SchemaAfter, i.body AS After,
                   b.schema AS SchemaBefore, b.body AS Before
            FROM change_item AS i
            LEFT JOIN change_item AS b ON b.kind = i.kind AND b.id = i.id AND b.version =
                (SELECT max(version) FROM change_item WHERE kind = i.kind AND id = i.id AND version < i.version)
            WHERE i.change_id IN @ids ORDER BY i.change_id, i.position
            """;
        long[] ids = [.. entries.Where(e => e.Event is null).Select(e => e.Id)];
        IEnumerable<DetailRow> rows = await session.Connection.QueryAsync<DetailRow>(
            sql,
            new { ids },
            session.Transaction
        );
        return rows.ToLookup(
            r => r.ChangeId,
            r => new ChangeDetail(
                r.Kind,
                r.Id,
                Newest(r.Kind, r.SchemaBefore, r.Before),
                Newest(r.Kind, r.SchemaAfter, r.After)
            )
        );
    }

    /// <summary>What can't be read is shown as it stands there.</summary>
    private string? Newest(string name, long? schema, string? body)
    {
        if (body is null || _kinds.Find(name) is not { } kind || schema >= kind.Schema)
            return body;
        try
        {
            return kind.Newest((int)schema!, body);
        }
        catch (UnreadableBodyException)
        {
            return body;
        }
    }

    private sealed record EntryRow
    {
        public required long Id { get; init; }
        public required string At { get; init; }
        public required string? Actor { get; init; }
        public required string? Name { get; init; }
        public required long? MachineId { get; init; }
        public required long? Undoes { get; init; }
        public required long? UndoneBy { get; init; }
        public required string? Event { get; init; }
        public required string? Body { get; init; }

        public Change ToChange(IReadOnlyList<ChangeDetail> things) =>
            new(
                Id,
                At,
                Actor ?? Nobody,
                Name ?? EventWords.Describe(Event!, Body!),
                MachineId,
                Undoes,
                UndoneBy,
                things,
                Event switch
                {
                    "roundNoted" or "readingTaken" or "readingDiscarded" => RoundEntry.Reading,
                    "roundKept" or "roundDropped" => RoundEntry.End,
                    _ => null,
                }
            );
    }

    private sealed record DetailRow
    {
        public required long ChangeId { get; init; }
        public required string Kind { get; init; }
        public required long Id { get; init; }
        public required long? SchemaBefore { get; init; }
        public required string? Before { get; init; }
        public required long SchemaAfter { get; init; }
        public required string? After { get; init; }
    }
}
