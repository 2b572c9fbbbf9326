using Dapper;
using Wendrak.Core.Gearing;
using Wendrak.Core.Machines;
using Wendrak.Store.Ledger;

namespace Wendrak.Store.Machines;

/// <summary>Setups in table <c>setup</c>, their wheels in <c>setup_loop</c> and <c>setup_road_wheel</c>, what is open by <see cref="RedoRows"/>.</summary>
internal sealed class SetupShelf : IShelf<Setup>
{
    public const string Name = "setup";
    private const string Select = """
        SELECT id AS Id, version AS Version, machine_id AS MachineId, name AS Name, status AS Status, made_on AS MadeOn,
               fitted_on AS FittedOn, fitted_at_km AS FittedAtKm, note AS Note
        FROM setup
        """;

    public string Thing => Name;

    public async Task<Setup?> FindAsync(Session session, long id)
    {
        Row? row = await session.Connection.QuerySingleOrDefaultAsync<Row>(
            $"{Select} WHERE id = @id",
            new { id },
            session.Transaction
        );
        return row is null ? null : await WithWheelsAsync(session, row);
    }

    /// <summary>All setups of a machine, oldest first.</summary>
    public static async Task<IReadOnlyList<Setup>> ListAsync(Session session, long machineId)
    {
        IEnumerable<Row> rows = await session.Connection.QueryAsync<Row>(
            $"{Select} WHERE machine_id = @machineId ORDER BY id",
            new { machineId },
            session.Transaction
        );
        List<Setup> setups = [];
        foreach (Row row in rows)
            setups.Add(await WithWheelsAsync(session, row));
        return setups;
    }

    public async Task<long> InsertAsync(Session session, Setup value)
    {
        const string sql = """
            INSERT INTO setup (id, version, machine_id, name, status, made_on, fitted_on, fitted_at_km, note)
            VALUES (nullif(@Id, 0), @Version, @MachineId, @Name, @Status, @MadeOn, @FittedOn, @FittedAtKm, @Note)
            RETURNING id
            """;
        long id = await session.Connection.ExecuteScalarAsync<long>(sql, Row.Of(value), session.Transaction);
        await InsertWheelsAsync(session, id, value);
        return id;
    }

    public async Task ReplaceAsync(Session session, Setup value)
    {
        const string sql = """
            UPDATE setup
            SET version = @Version, machine_id = @MachineId, name = @Name, status = @Status, made_on = @MadeOn,
                fitted_on = @FittedOn, fitted_at_km = @FittedAtKm, note = @Note
            WHERE id = @Id
            """;
        await session.Connection.ExecuteAsync(sql, Row.Of(value), session.Transaction);
        const string clear = """
            DELETE FROM setup_loop WHERE setup_id = @Id;
            DELETE FROM setup_road_wheel WHERE setup_id = @Id;
            """;
        await session.Connection.ExecuteAsync(clear, new { value.Id }, session.Transaction);
        await InsertWheelsAsync(session, value.Id, value);
    }

    public Task RemoveAsync(Session session, long id) =>
        session.Connection.ExecuteAsync("DELETE FROM setup WHERE id = @id", new { id }, session.Transaction);

    public long IdOf(Setup value) => value.Id;

    public int VersionOf(Setup value) => value.Version;

    public Setup With(Setup value, long id, int version) => value with { Id = id, Version = version };

    private static async Task<Setup> WithWheelsAsync(Session session, Row row)
    {
        const string loopSql = """
            SELECT loop_key AS LoopKey, front_size AS FrontSize, rear_size AS RearSize, links AS Links,
                   length_mm AS LengthMm
            FROM setup_loop
            WHERE setup_id = @Id
            ORDER BY position
            """;
        const string wheelSql = """
            SELECT output_name AS OutputName, wheel_size AS WheelSize, roll_out_mm AS RollOutMm
            FROM setup_road_wheel
            WHERE setup_id = @Id
            ORDER BY position
            """;
        IEnumerable<LoopRow> loops = await session.Connection.QueryAsync<LoopRow>(
            loopSql,
            new { row.Id },
            session.Transaction
        );
        IEnumerable<WheelRow> wheels = await session.Connection.QueryAsync<WheelRow>(
            wheelSql,
            new { row.Id },
            session.Transaction
        );
        return row.ToSetup(
            [.. loops.Select(l => new LoopChoice(l.LoopKey, l.FrontSize, l.RearSize, l.Links, l.LengthMm))],
            [.. wheels.Select(w => new RoadWheelChoice(w.OutputName, new(w.WheelSize, w.RollOutMm)))],
            await RedoRows.ListAsync(session, row.Id)
        );
    }

    private static async Task InsertWheelsAsync(Session session, long setupId, Setup setup)
    {
        await RedoRows.ReplaceAsync(session, setupId, setup.Redo ?? []);
        const string loopSql = """
            INSERT INTO setup_loop (setup_id, position, loop_key, front_size, rear_size, links, length_mm)
            VALUES (@setupId, @position, @LoopKey, @FrontSize, @RearSize, @Links, @LengthMm)
            """;
        for (int position = 0; position < setup.Loops.Count; position++)
        {
            LoopChoice l = setup.Loops[position];
            object values = new
            {
                setupId,
                position,
                l.LoopKey,
                l.FrontSize,
                l.RearSize,
                l.Links,
                l.LengthMm,
            };
            await session.Connection.ExecuteAsync(loopSql, values, session.Transaction);
        }
        const string wheelSql = """
            INSERT INTO setup_road_wheel (setup_id, position, output_name, wheel_size, roll_out_mm)
            VALUES (@setupId, @position, @OutputName, @Size, @RollOutMm)
            """;
        for (int position = 0; position < setup.RoadWheels.Count; position++)
        {
            RoadWheelChoice w = setup.RoadWheels[position];
            object values = new
            {
                setupId,
                position,
                w.OutputName,
                w.RoadWheel.Size,
                w.RoadWheel.RollOutMm,
            };
            await session.Connection.ExecuteAsync(wheelSql, values, session.Transaction);
        }
    }

    private sealed record LoopRow
    {
        public required string LoopKey { get; init; }
        public required double FrontSize { get; init; }
        public required double RearSize { get; init; }
        public required int? Links { get; init; }
        public required double? LengthMm { get; init; }
    }

    private sealed record WheelRow
    {
        public required string OutputName { get; init; }
        public required string? WheelSize { get; init; }
        public required double? RollOutMm { get; init; }
    }

    private sealed record Row
    {
        public required long Id { get; init; }
        public required int Version { get; init; }
        public required long MachineId { get; init; }
        public required string Name { get; init; }
        public required string Status { get; init; }
        public required DateOnly MadeOn { get; init; }
        public required DateOnly? FittedOn { get; init; }
        public required double? FittedAtKm { get; init; }
        public required string? Note { get; init; }

        public static Row Of(Setup setup) =>
            new()
            {
                Id = setup.Id,
                Version = setup.Version,
                MachineId = setup.MachineId,
                Name = setup.Name,
                Status = setup.Status.ToString(),
                MadeOn = setup.MadeOn,
                FittedOn = setup.FittedOn,
                FittedAtKm = setup.FittedAtKm,
                Note = setup.Note,
            };

        public Setup ToSetup(
            IReadOnlyList<LoopChoice> loops,
            IReadOnlyList<RoadWheelChoice> roadWheels,
            IReadOnlyList<RedoItem>? redo
        ) =>
            new(
                Id,
                Version,
                MachineId,
                Name,
                Enum.Parse<SetupStatus>(Status),
                loops,
                roadWheels,
                MadeOn,
                FittedOn,
                FittedAtKm,
                Note,
                redo
            );
    }
}
