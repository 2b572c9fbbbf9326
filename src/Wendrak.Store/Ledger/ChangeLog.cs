using Dapper;
using Wendrak.Store.Bodies;
using Wendrak.Store.Records;

namespace Wendrak.Store.Ledger;

/// <summary>Makes changes in transactions and keeps the record of them.</summary>
/// <param name="kinds">Every kind of record there is; null for those of this program.</param>
public sealed class ChangeLog(Database database, TimeProvider clock, KindRegistry? kinds = null)
{
    private readonly KindRegistry _kinds = kinds ?? new(Kinds.All);

    /// <summary>Runs a change. It is on the disk when this returns.</summary>
    /// <param name="who">Who makes it, as the server knows; null or blank where nobody said.</param>
    /// <param name="what">What was done, in a few words for the history.</param>
    /// <exception cref="StillUsedException">It would leave something without what it can't be without.</exception>
    public Task<T> CommitAsync<T>(string? who, string what, Func<Edit, Task<T>> work, CancellationToken ct) =>
        WriteAsync(
            who,
            async edit =>
            {
                T result = await work(edit);
                await Whole.CheckAsync(edit, names => new StillUsedException(names));
                await RecordAsync(edit, edit.What ?? what, null);
                return result;
            },
            ct
        );

    /// <summary>Runs something that writes, in one transaction and without a record of its own.</summary>
    internal Task<T> WriteAsync<T>(string? who, Func<Edit, Task<T>> work, CancellationToken ct) =>
        database.WriteAsync(session => work(new(session, _kinds, who, clock.GetUtcNow())), ct);

    /// <summary>Writes down what a change did to records; nothing where it did nothing.</summary>
    /// <returns>Its number.</returns>
    internal static async Task<long> RecordAsync(Edit edit, string what, long? undoes)
    {
        if (edit.Items.Count == 0)
            return 0;
        const string change = $"""
            INSERT INTO change (id, at, actor, name, machine_id, undoes)
            VALUES (coalesce(@known, {Edit.NextNumber}), @At, @Actor, @what, @MachineId, @undoes)
            RETURNING id
            """;
        long id = await edit.Connection.ExecuteScalarAsync<long>(
            change,
            new
            {
                known = edit.Number,
                edit.At,
                edit.Actor,
                what,
                edit.MachineId,
                undoes,
            },
            edit.Transaction
        );
        const string item = """
            INSERT INTO change_item (change_id, position, kind, id, version, schema, body, hash)
            VALUES (@change, @position, @Kind, @Id, @Version, @Schema, @Body, @hash)
            """;
        for (int position = 0; position < edit.Items.Count; position++)
        {
            ChangeItem i = edit.Items[position];
            await edit.Connection.ExecuteAsync(
                item,
                new
                {
                    change = id,
                    position,
                    i.Kind,
                    i.Id,
                    i.Version,
                    i.Schema,
                    i.Body,
                    hash = BodyHash.Compute(i.Kind, i.Id, i.Version, i.Schema, i.Body ?? ""),
                },
                edit.Transaction
            );
        }
        return id;
    }
}
