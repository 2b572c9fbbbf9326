using Dapper;
using Wendrak.Core.Gearing;
using Wendrak.Store.Ledger;

namespace Wendrak.Store.Machines;

/// <summary>Gearbox sets in table <c>gearbox_set</c>.</summary>
internal sealed class GearboxSetShelf : IShelf<GearboxSet>
{
    public const string Name = "gearbox_set";
    private const string Select = """
        SELECT id AS Id, version AS Version, name AS Name, reductions AS Reductions, turns_round AS TurnsRound, note AS Note
        FROM gearbox_set
        """;

    public string Thing => Name;

    public async Task<GearboxSet?> FindAsync(Session session, long id)
    {
        Row? row = await session.Connection.QuerySingleOrDefaultAsync<Row>(
            $"{Select} WHERE id = @id",
            new { id },
            session.Transaction
        );
        return row?.ToSet();
    }

    public static async Task<IReadOnlyList<GearboxSet>> ListAsync(Session session)
    {
        IEnumerable<Row> rows = await session.Connection.QueryAsync<Row>(
            $"{Select} ORDER BY name, id",
            transaction: session.Transaction
        );
        return [.. rows.Select(r => r.ToSet())];
    }

    /// <summary>Names of the machines that use a set.</summary>
    public static async Task<IReadOnlyList<string>> UsersAsync(Session session, long id)
    {
        const string sql = """
            SELECT DISTINCT machine.name
            FROM machine JOIN drive ON drive.machine_id = machine.id JOIN stage ON stage.drive_id = drive.id
            WHERE stage.gearbox_set_id = @id
            ORDER BY machine.name
            """;
        return [.. await session.Connection.QueryAsync<string>(sql, new { id }, session.Transaction)];
    }

    public Task<long> InsertAsync(Session session, GearboxSet value)
    {
        const string sql = """
            INSERT INTO gearbox_set (id, version, name, reductions, turns_round, note)
            VALUES (nullif(@Id, 0), @Version, @Name, @Reductions, @TurnsRound, @Note)
            RETURNING id
            """;
        return session.Connection.ExecuteScalarAsync<long>(sql, Row.Of(value), session.Transaction);
    }

    public Task ReplaceAsync(Session session, GearboxSet value)
    {
        const string sql = """
            UPDATE gearbox_set
            SET version = @Version, name = @Name, reductions = @Reductions, turns_round = @TurnsRound, note = @Note
            WHERE id = @Id
            """;
        return session.Connection.ExecuteAsync(sql, Row.Of(value), session.Transaction);
    }

    public Task RemoveAsync(Session session, long id) =>
        session.Connection.ExecuteAsync("DELETE FROM gearbox_set WHERE id = @id", new { id }, session.Transaction);

    public long IdOf(GearboxSet value) => value.Id;

    public int VersionOf(GearboxSet value) => value.Version;

    public GearboxSet With(GearboxSet value, long id, int version) => value with { Id = id, Version = version };

    private sealed record Row
    {
        public required long Id { get; init; }
        public required int Version { get; init; }
        public required string Name { get; init; }
        public required string Reductions { get; init; }
        public required bool TurnsRound { get; init; }
        public required string? Note { get; init; }

        public static Row Of(GearboxSet set) =>
            new()
            {
                Id = set.Id,
                Version = set.Version,
                Name = set.Name,
                Reductions = Rows.ToJson(set.Reductions),
                TurnsRound = set.TurnsRound,
                Note = set.Note,
            };

        public GearboxSet ToSet() => new(Id, Version, Name, Rows.FromJson<double[]>(Reductions), TurnsRound, Note);
    }
}
