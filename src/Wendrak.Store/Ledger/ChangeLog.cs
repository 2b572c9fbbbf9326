using Dapper;
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
    public Task<T> MakeAsync<T>(string? who, string what, Func<Writing, Task<T>> work, CancellationToken ct) =>
        WriteAsync(
            who,
            async writing =>
            {
                T result = await work(writing);
                await Whole.CheckAsync(writing, names => new StillUsedException(names));
                await RecordAsync(writing, writing.What ?? what, null);
                return result;
            },
            ct
        );

    /// <summary>Runs something that writes, in one transaction and without a record of its own.</summary>
    internal Task<T> WriteAsync<T>(string? who, Func<Writing, Task<T>> work, CancellationToken ct) =>
        database.WriteAsync(session => work(new(session, _kinds, who, clock.GetUtcNow())), ct);

    /// <summary>Writes down what a change did to records; nothing where it did nothing.</summary>
    /// <returns>Its number.</returns>
    internal static async Task<long> RecordAsync(Writing writing, string what, long? undoes)
    {
        if (writing.Items.Count == 0)
            return 0;
        const string change = $"""
            INSERT INTO change (id, at, actor, name, machine_id, undoes)
            VALUES (coalesce(@known, {Writing.NextNumber}), @At, @Actor, @what, @MachineId, @undoes)
            RETURNING id
            """;
        long id = await writing.Connection.ExecuteScalarAsync<long>(
            change,
            new
            {
                known = writing.Number,
                writing.At,
                writing.Actor,
                what,
                writing.MachineId,
                undoes,
            },
            writing.Transaction
        );
        const string item = """
            INSERT INTO change_item (change_id, position, kind, id, version, schema, body, hash)
            VALUES (@change, @position, @Kind, @Id, @Version, @Schema, @Body, @hash)
            """;
        for (int position = 0; position < writing.Items.Count; position++)
        {
            ChangeItem i = writing.Items[position];
            await writing.Connection.ExecuteAsync(
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
                    hash = BodyHash.Of(i.Kind, i.Id, i.Version, i.Schema, i.Body ?? ""),
                },
                writing.Transaction
            );
        }
        return id;
    }
}
