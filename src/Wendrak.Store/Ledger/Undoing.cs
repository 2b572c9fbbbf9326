using Dapper;
using Wendrak.Store.Bodies;
using Wendrak.Store.Jobs;
using Wendrak.Store.Records;

namespace Wendrak.Store.Ledger;

/// <summary>Takes changes and events back; the undoing is itself written down and can be undone.</summary>
public sealed class Undoing(ChangeLog log, History history)
{
    /// <summary>Takes one entry of the history back, all its records together.</summary>
    /// <returns>The entry of the undoing.</returns>
    /// <exception cref="CannotUndoException">It is not there, is undone already, or something stands on it since.</exception>
    public async Task<Change> UndoAsync(string? who, long id, CancellationToken ct)
    {
        long undoing = await log.WriteAsync(
            who,
            async edit =>
                await ChangeRow.FindAsync(edit.Session, id) is { } change ? await UndoAsync(edit, change)
                : await EventRow.FindAsync(edit.Session, id) is { } row ? await UndoAsync(edit, row)
                : throw new CannotUndoException("There is no such change."),
            ct
        );
        return (await history.FindAsync(undoing))!;
    }

    private static async Task<long> UndoAsync(Edit edit, ChangeRow change)
    {
        if (change.IsUndone)
            throw new CannotUndoException("This change is undone already.");
        edit.MachineId = change.MachineId;
        IReadOnlyList<ItemRow> items = await ItemRow.OfAsync(edit.Session, change.Id);
        // Backwards: what was added last may depend on what was added first.
        foreach (ItemRow item in items.Reverse())
            await RestoreAsync(edit, item, change.Id);
        // What happened at a job and came with it; events of a job that came or goes with it go with that.
        foreach (EventRow row in await EventRow.OfChangeAsync(edit.Session, change.Id))
            if (items.All(i => i.Kind != Kinds.Job.Name || i.Id != row.JobId))
                await EventUndoing.TakeBackAsync(edit, row, await edit.NumberAsync());
        await Whole.CheckAsync(edit, names => new CannotUndoException(names));
        await MachineWhole.CheckAsync(edit);
        return await ChangeLog.RecordAsync(edit, $"undone: {change.Name}", change.Id);
    }

    /// <summary>One that came with a change of something else goes with that; one that came with its job can go alone.</summary>
    private static async Task<long> UndoAsync(Edit edit, EventRow row)
    {
        if (
            row.ChangeId is long change
            && (await ItemRow.OfAsync(edit.Session, change)).All(i => i.Kind != Kinds.Job.Name || i.Id != row.JobId)
        )
            return await UndoAsync(edit, (await ChangeRow.FindAsync(edit.Session, change))!);
        return await EventUndoing.TakeBackAsync(edit, row, null);
    }

    /// <summary>Puts a record back to how it was before a change; refuses when it was changed again since.</summary>
    private static async Task RestoreAsync(Edit edit, ItemRow item, long change)
    {
        IStoredKind kind = edit.KindOf(item.Kind);
        RecordRow? row = await RecordRows.FindAsync(edit.Session, item.Kind, item.Id);
        string? current = row?.Newest(kind);
        string? after = item.After(kind);
        string? before = await item.BeforeAsync(edit.Session, kind);
        // Contents are compared, not versions: an undone and redone thing has a higher version and is the same.
        if (current != after)
            before =
                before is not null
                && after is not null
                && current is not null
                && kind.TakeBackBesideCount(before, after, current) is { } counted
                    ? counted
                    : throw new CannotUndoException(
                        $"This {kind.Word} was changed again since. Undo the later change first."
                    );
        if (before is not null)
            await RecordRows.PutBackAsync(edit, kind, item.Id, before, row);
        else
        {
            if (item.Kind == Kinds.Job.Name)
                await EventUndoing.CheckNothingSinceAsync(edit.Session, item.Id, change);
            await RecordRows.RemoveAsync(edit, kind, item.Id);
        }
    }
}

/// <summary>A row of table <c>change</c>.</summary>
internal sealed record ChangeRow
{
    public required long Id { get; init; }
    public required string Name { get; init; }
    public required long? MachineId { get; init; }
    public required bool IsUndone { get; init; }

    public static Task<ChangeRow?> FindAsync(Session session, long id)
    {
        const string sql = """
            SELECT id AS Id, name AS Name, machine_id AS MachineId,
                   EXISTS (SELECT 1 FROM change AS u WHERE u.undoes = change.id) AS IsUndone
            FROM change WHERE id = @id
            """;
        return session.Connection.QuerySingleOrDefaultAsync<ChangeRow?>(sql, new { id }, session.Transaction);
    }
}

/// <summary>A row of table <c>change_item</c>; the state before it is the one that the row before it left.</summary>
internal sealed record ItemRow
{
    public required string Kind { get; init; }
    public required long Id { get; init; }
    public required long Version { get; init; }
    public required long Schema { get; init; }
    public required string? Body { get; init; }
    public required byte[] Hash { get; init; }

    private const string Select = """
        SELECT kind AS Kind, id AS Id, version AS Version, schema AS Schema, body AS Body, hash AS Hash FROM change_item
        """;

    public static async Task<IReadOnlyList<ItemRow>> OfAsync(Session session, long change) =>
        [
            .. await session.Connection.QueryAsync<ItemRow>(
                $"{Select} WHERE change_id = @change ORDER BY position",
                new { change },
                session.Transaction
            ),
        ];

    /// <summary>The body as the change left it, in its newest form; null where it was removed.</summary>
    /// <exception cref="DamagedException">It is not what was written.</exception>
    public string? After(IStoredKind kind)
    {
        if (!BodyHash.IsOf(Hash, Kind, Id, Version, Schema, Body ?? ""))
            throw new DamagedException(Kind, Id);
        return Body is null ? null : kind.Newest((int)Schema, Body);
    }

    /// <summary>The body as the change found it; null where it added it.</summary>
    public async Task<string?> BeforeAsync(Session session, IStoredKind kind)
    {
        ItemRow? before = await session.Connection.QuerySingleOrDefaultAsync<ItemRow?>(
            $"{Select} WHERE kind = @Kind AND id = @Id AND version < @Version ORDER BY version DESC LIMIT 1",
            new
            {
                Kind,
                Id,
                Version,
            },
            session.Transaction
        );
        return before?.After(kind);
    }
}
