using Dapper;
using Wendrak.Core.Gearing;
using Wendrak.Core.Machines;
using Wendrak.Store.Ledger;

namespace Wendrak.Store.Machines;

/// <summary>Aims in table <c>aim</c>, with what was tried against them in <c>aim_outcome</c>.</summary>
internal sealed class AimShelf : IShelf<Aim>
{
    public const string Name = "aim";
    private const string Select = """
        SELECT id AS Id, version AS Version, machine_id AS MachineId, name AS Name, drive_key AS DriveKey,
               target AS Target, surface AS Surface, weather AS Weather, load AS Load, wishes AS Wishes, note AS Note
        FROM aim
        """;

    public string Thing => Name;

    public async Task<Aim?> FindAsync(Session session, long id)
    {
        Row? row = await session.Connection.QuerySingleOrDefaultAsync<Row>(
            $"{Select} WHERE id = @id",
            new { id },
            session.Transaction
        );
        return row is null ? null : await WithOutcomesAsync(session, row);
    }

    public static async Task<IReadOnlyList<Aim>> ListAsync(Session session, long machineId)
    {
        IEnumerable<Row> rows = await session.Connection.QueryAsync<Row>(
            $"{Select} WHERE machine_id = @machineId ORDER BY id",
            new { machineId },
            session.Transaction
        );
        List<Aim> aims = [];
        foreach (Row row in rows)
            aims.Add(await WithOutcomesAsync(session, row));
        return aims;
    }

    public async Task<long> InsertAsync(Session session, Aim value)
    {
        const string sql = """
            INSERT INTO aim (id, version, machine_id, name, drive_key, target, surface, weather, load, wishes, note)
            VALUES (nullif(@Id, 0), @Version, @MachineId, @Name, @DriveKey, @Target, @Surface, @Weather, @Load, @Wishes,
                    @Note)
            RETURNING id
            """;
        long id = await session.Connection.ExecuteScalarAsync<long>(sql, Row.Of(value), session.Transaction);
        await InsertOutcomesAsync(session, id, value.Outcomes);
        return id;
    }

    public async Task ReplaceAsync(Session session, Aim value)
    {
        const string sql = """
            UPDATE aim
            SET version = @Version, machine_id = @MachineId, name = @Name, drive_key = @DriveKey, target = @Target,
                surface = @Surface, weather = @Weather, load = @Load, wishes = @Wishes, note = @Note
            WHERE id = @Id
            """;
        await session.Connection.ExecuteAsync(sql, Row.Of(value), session.Transaction);
        const string clear = "DELETE FROM aim_outcome WHERE aim_id = @Id";
        await session.Connection.ExecuteAsync(clear, new { value.Id }, session.Transaction);
        await InsertOutcomesAsync(session, value.Id, value.Outcomes);
    }

    public Task RemoveAsync(Session session, long id) =>
        session.Connection.ExecuteAsync("DELETE FROM aim WHERE id = @id", new { id }, session.Transaction);

    public long IdOf(Aim value) => value.Id;

    public int VersionOf(Aim value) => value.Version;

    public Aim With(Aim value, long id, int version) => value with { Id = id, Version = version };

    private static async Task<Aim> WithOutcomesAsync(Session session, Row row)
    {
        const string sql = """
            SELECT happened_on AS HappenedOn, setup_id AS SetupId, setup_name AS SetupName, loops AS Loops,
                   surface AS Surface, weather AS Weather, load AS Load, score AS Score, note AS Note
            FROM aim_outcome
            WHERE aim_id = @Id
            ORDER BY position
            """;
        IEnumerable<OutcomeRow> outcomes = await session.Connection.QueryAsync<OutcomeRow>(
            sql,
            new { row.Id },
            session.Transaction
        );
        return row.ToAim([.. outcomes.Select(o => o.ToOutcome())]);
    }

    private static async Task InsertOutcomesAsync(Session session, long aimId, IReadOnlyList<AimOutcome> outcomes)
    {
        const string sql = """
            INSERT INTO aim_outcome (aim_id, position, happened_on, setup_id, setup_name, loops, surface, weather, load,
                                     score, note)
            VALUES (@aimId, @position, @On, @SetupId, @SetupName, @loops, @Surface, @Weather, @Load, @Score, @Note)
            """;
        for (int position = 0; position < outcomes.Count; position++)
        {
            AimOutcome o = outcomes[position];
            string loops = Rows.ToJson(o.Loops);
            await session.Connection.ExecuteAsync(
                sql,
                new
                {
                    aimId,
                    position,
                    o.On,
                    o.SetupId,
                    o.SetupName,
                    loops,
                    o.Conditions.Surface,
                    o.Conditions.Weather,
                    o.Conditions.Load,
                    o.Score,
                    o.Note,
                },
                session.Transaction
            );
        }
    }

    private sealed record Row
    {
        public required long Id { get; init; }
        public required int Version { get; init; }
        public required long MachineId { get; init; }
        public required string Name { get; init; }
        public required string DriveKey { get; init; }
        public required string Target { get; init; }
        public required string? Surface { get; init; }
        public required string? Weather { get; init; }
        public required string? Load { get; init; }
        public required string Wishes { get; init; }
        public required string? Note { get; init; }

        public static Row Of(Aim aim) =>
            new()
            {
                Id = aim.Id,
                Version = aim.Version,
                MachineId = aim.MachineId,
                Name = aim.Name,
                DriveKey = aim.DriveKey,
                Target = Rows.ToJson(aim.Target),
                Surface = aim.Conditions.Surface,
                Weather = aim.Conditions.Weather,
                Load = aim.Conditions.Load,
                Wishes = Rows.ToJson(aim.Wishes),
                Note = aim.Note,
            };

        public Aim ToAim(IReadOnlyList<AimOutcome> outcomes) =>
            new(
                Id,
                Version,
                MachineId,
                Name,
                DriveKey,
                Rows.FromJson<AimTarget>(Target),
                new(Surface, Weather, Load),
                Rows.FromJson<Wishes>(Wishes),
                Note,
                outcomes
            );
    }

    private sealed record OutcomeRow
    {
        public required DateOnly HappenedOn { get; init; }
        public required long SetupId { get; init; }
        public required string SetupName { get; init; }
        public required string Loops { get; init; }
        public required string? Surface { get; init; }
        public required string? Weather { get; init; }
        public required string? Load { get; init; }
        public required int Score { get; init; }
        public required string? Note { get; init; }

        public AimOutcome ToOutcome() =>
            new(
                HappenedOn,
                SetupId,
                SetupName,
                Rows.FromJson<LoopChoice[]>(Loops),
                new(Surface, Weather, Load),
                Score,
                Note
            );
    }
}
