using Dapper;
using Wendrak.Core.Gearing;
using Wendrak.Store.Ledger;

namespace Wendrak.Store.Machines;

/// <summary>Drives of a machine in tables <c>drive</c>, <c>stage</c> and <c>drive_output</c>.</summary>
internal static class DriveRows
{
    private static readonly GearboxSetShelf Sets = new();

    public static async Task<IReadOnlyList<Drive>> ListAsync(Session session, long machineId)
    {
        const string sql = """
            SELECT id AS Id, drive_key AS DriveKey, name AS Name, mirrors AS Mirrors, input_shaft AS InputShaft,
                   input_kind AS InputKind, low_speed_rpm AS LowSpeedRpm, limit_speed_rpm AS LimitSpeedRpm,
                   crank_length_mm AS CrankLengthMm, gears_interchangeable AS GearsInterchangeable,
                   speed_pickup AS SpeedPickup, speedometer_error_percent AS SpeedometerErrorPercent
            FROM drive
            WHERE machine_id = @machineId
            ORDER BY position
            """;
        IEnumerable<DriveRow> rows = await session.Connection.QueryAsync<DriveRow>(
            sql,
            new { machineId },
            session.Transaction
        );
        List<Drive> drives = [];
        foreach (DriveRow row in rows)
            drives.Add(row.ToDrive(await StagesAsync(session, row.Id), await OutputsAsync(session, row.Id)));
        return drives;
    }

    public static async Task InsertAsync(Session session, long machineId, IReadOnlyList<Drive> drives)
    {
        const string sql = """
            INSERT INTO drive (machine_id, position, drive_key, name, mirrors, input_shaft, input_kind, low_speed_rpm,
                               limit_speed_rpm, crank_length_mm, gears_interchangeable, speed_pickup,
                               speedometer_error_percent)
            VALUES (@machineId, @position, @Key, @Name, @Mirrors, @Shaft, @inputKind, @LowSpeedRpm, @LimitSpeedRpm,
                    @CrankLengthMm, @GearsInterchangeable, @pickup, @SpeedometerErrorPercent)
            RETURNING id
            """;
        for (int position = 0; position < drives.Count; position++)
        {
            Drive d = drives[position];
            object values = new
            {
                machineId,
                position,
                d.Key,
                d.Name,
                d.Mirrors,
                d.Input.Shaft,
                inputKind = d.Input.Kind.ToString(),
                d.Input.LowSpeedRpm,
                d.Input.LimitSpeedRpm,
                d.Input.CrankLengthMm,
                d.GearsInterchangeable,
                pickup = d.SpeedPickup.ToString(),
                d.SpeedometerErrorPercent,
            };
            long id = await session.Connection.ExecuteScalarAsync<long>(sql, values, session.Transaction);
            await InsertStagesAsync(session, id, d.Stages);
            await InsertOutputsAsync(session, id, d.Outputs);
        }
    }

    /// <summary>The set lives in its own table, so that a correction there reaches every machine that uses it.</summary>
    public static Stage WithoutSet(Stage stage) =>
        stage is Gearbox box ? box with { Set = new(box.Set.Id, 0, "", [], false, null) } : stage;

    private static async Task<IReadOnlyList<Stage>> StagesAsync(Session session, long driveId)
    {
        const string sql = """
            SELECT spec AS Spec, gearbox_set_id AS GearboxSetId
            FROM stage
            WHERE drive_id = @driveId
            ORDER BY position
            """;
        List<Stage> stages = [];
        foreach (
            StageRow row in await session.Connection.QueryAsync<StageRow>(sql, new { driveId }, session.Transaction)
        )
        {
            Stage stage = Rows.FromJson<Stage>(row.Spec);
            if (stage is Gearbox box && row.GearboxSetId is long setId)
                stage = box with { Set = (await Sets.FindAsync(session, setId))! };
            stages.Add(stage);
        }
        return stages;
    }

    private static async Task<IReadOnlyList<DriveOutput>> OutputsAsync(Session session, long driveId)
    {
        const string sql = """
            SELECT name AS Name, shaft AS Shaft, on_road AS OnRoad, wheel_size AS WheelSize, roll_out_mm AS RollOutMm
            FROM drive_output
            WHERE drive_id = @driveId
            ORDER BY position
            """;
        IEnumerable<OutputRow> rows = await session.Connection.QueryAsync<OutputRow>(
            sql,
            new { driveId },
            session.Transaction
        );
        return [.. rows.Select(r => r.ToOutput())];
    }

    private static async Task InsertStagesAsync(Session session, long driveId, IReadOnlyList<Stage> stages)
    {
        const string sql = """
            INSERT INTO stage (drive_id, position, stage_key, gearbox_set_id, spec)
            VALUES (@driveId, @position, @Key, @setId, @spec)
            """;
        for (int position = 0; position < stages.Count; position++)
        {
            Stage stage = stages[position];
            long? setId = (stage as Gearbox)?.Set.Id;
            string spec = Rows.ToJson(WithoutSet(stage));
            object values = new
            {
                driveId,
                position,
                stage.Key,
                setId,
                spec,
            };
            await session.Connection.ExecuteAsync(sql, values, session.Transaction);
        }
    }

    private static async Task InsertOutputsAsync(Session session, long driveId, IReadOnlyList<DriveOutput> outputs)
    {
        const string sql = """
            INSERT INTO drive_output (drive_id, position, name, shaft, on_road, wheel_size, roll_out_mm)
            VALUES (@driveId, @position, @Name, @Shaft, @OnRoad, @size, @rollOutMm)
            """;
        for (int position = 0; position < outputs.Count; position++)
        {
            DriveOutput o = outputs[position];
            object values = new
            {
                driveId,
                position,
                o.Name,
                o.Shaft,
                o.OnRoad,
                size = o.RoadWheel?.Size,
                rollOutMm = o.RoadWheel?.RollOutMm,
            };
            await session.Connection.ExecuteAsync(sql, values, session.Transaction);
        }
    }

    private sealed record StageRow
    {
        public required string Spec { get; init; }
        public required long? GearboxSetId { get; init; }
    }

    private sealed record OutputRow
    {
        public required string Name { get; init; }
        public required string Shaft { get; init; }
        public required bool OnRoad { get; init; }
        public required string? WheelSize { get; init; }
        public required double? RollOutMm { get; init; }

        public DriveOutput ToOutput()
        {
            bool sized = WheelSize is not null || RollOutMm is not null;
            return new(Name, Shaft, OnRoad, sized ? new(WheelSize, RollOutMm) : null);
        }
    }

    private sealed record DriveRow
    {
        public required long Id { get; init; }
        public required string DriveKey { get; init; }
        public required string Name { get; init; }
        public required string? Mirrors { get; init; }
        public required string InputShaft { get; init; }
        public required string InputKind { get; init; }
        public required double LowSpeedRpm { get; init; }
        public required double LimitSpeedRpm { get; init; }
        public required double? CrankLengthMm { get; init; }
        public required bool GearsInterchangeable { get; init; }
        public required string SpeedPickup { get; init; }
        public required double SpeedometerErrorPercent { get; init; }

        public Drive ToDrive(IReadOnlyList<Stage> stages, IReadOnlyList<DriveOutput> outputs) =>
            new(
                DriveKey,
                Name,
                Mirrors,
                new(InputShaft, Enum.Parse<InputKind>(InputKind), LowSpeedRpm, LimitSpeedRpm, CrankLengthMm),
                stages,
                outputs,
                GearsInterchangeable,
                Enum.Parse<SpeedPickup>(SpeedPickup),
                SpeedometerErrorPercent
            );
    }
}
