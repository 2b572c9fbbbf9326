using Dapper;
using Wendrak.Core.Gearing;
using Wendrak.Core.Machines;
using Wendrak.Store.Ledger;

namespace Wendrak.Store.Machines;

/// <summary>Machines in table <c>machine</c>; their drives are kept by <see cref="DriveRows"/>, where their wheels stand by <see cref="LayoutRows"/> and <see cref="ShaftRows"/>, their loads and settings by <see cref="PartRows"/>.</summary>
internal sealed class MachineShelf : IShelf<Machine>
{
    public const string Name = "machine";
    private const string Select = """
        SELECT id AS Id, version AS Version, name AS Name, kind AS Kind, note AS Note, odometer_km AS OdometerKm,
               retired_on AS RetiredOn, work AS Work
        FROM machine
        """;

    public string Thing => Name;

    public async Task<Machine?> FindAsync(Session session, long id)
    {
        Row? row = await session.Connection.QuerySingleOrDefaultAsync<Row>(
            $"{Select} WHERE id = @id",
            new { id },
            session.Transaction
        );
        return row is null ? null : await row.ToMachineAsync(session);
    }

    /// <summary>All machines, also retired ones, by name.</summary>
    public static async Task<IReadOnlyList<Machine>> ListAsync(Session session)
    {
        IEnumerable<Row> rows = await session.Connection.QueryAsync<Row>(
            $"{Select} ORDER BY name COLLATE NOCASE, id",
            transaction: session.Transaction
        );
        List<Machine> machines = [];
        foreach (Row row in rows)
            machines.Add(await row.ToMachineAsync(session));
        return machines;
    }

    public async Task<long> InsertAsync(Session session, Machine value)
    {
        const string sql = """
            INSERT INTO machine (id, version, name, kind, note, odometer_km, retired_on, work)
            VALUES (nullif(@Id, 0), @Version, @Name, @Kind, @Note, @OdometerKm, @RetiredOn, @Work)
            RETURNING id
            """;
        long id = await session.Connection.ExecuteScalarAsync<long>(sql, Row.Of(value), session.Transaction);
        await DriveRows.InsertAsync(session, id, value.Drives);
        await LayoutRows.ReplaceAsync(session, id, value.Layouts ?? []);
        await ShaftRows.ReplaceAsync(session, id, value.Shafts ?? []);
        await PartRows.Loads.ReplaceAsync(session, id, value.Loads);
        await PartRows.Settings.ReplaceAsync(session, id, value.Settings);
        return id;
    }

    public async Task ReplaceAsync(Session session, Machine value)
    {
        const string sql = """
            UPDATE machine
            SET version = @Version, name = @Name, kind = @Kind, note = @Note, odometer_km = @OdometerKm,
                retired_on = @RetiredOn, work = @Work
            WHERE id = @Id
            """;
        await session.Connection.ExecuteAsync(sql, Row.Of(value), session.Transaction);
        const string clear = "DELETE FROM drive WHERE machine_id = @Id";
        await session.Connection.ExecuteAsync(clear, new { value.Id }, session.Transaction);
        await DriveRows.InsertAsync(session, value.Id, value.Drives);
        await LayoutRows.ReplaceAsync(session, value.Id, value.Layouts ?? []);
        await ShaftRows.ReplaceAsync(session, value.Id, value.Shafts ?? []);
        await PartRows.Loads.ReplaceAsync(session, value.Id, value.Loads);
        await PartRows.Settings.ReplaceAsync(session, value.Id, value.Settings);
    }

    public Task RemoveAsync(Session session, long id) =>
        session.Connection.ExecuteAsync("DELETE FROM machine WHERE id = @id", new { id }, session.Transaction);

    public long IdOf(Machine value) => value.Id;

    public int VersionOf(Machine value) => value.Version;

    public Machine With(Machine value, long id, int version) => value with { Id = id, Version = version };

    /// <summary>A gearbox set has a history of its own; a machine only says which one it uses.</summary>
    public Machine OwnPart(Machine value) =>
        value with
        {
            Drives = [.. value.Drives.Select(d => d with { Stages = [.. d.Stages.Select(DriveRows.WithoutSet)] })],
        };

    private sealed record Row
    {
        public required long Id { get; init; }
        public required int Version { get; init; }
        public required string Name { get; init; }
        public required string Kind { get; init; }
        public required string? Note { get; init; }
        public required double? OdometerKm { get; init; }
        public required DateOnly? RetiredOn { get; init; }
        public required string? Work { get; init; }

        public static Row Of(Machine machine) =>
            new()
            {
                Id = machine.Id,
                Version = machine.Version,
                Name = machine.Name,
                Kind = machine.Kind.ToString(),
                Note = machine.Note,
                OdometerKm = machine.OdometerKm,
                RetiredOn = machine.RetiredOn,
                Work = machine.Work is { } work ? Rows.ToJson(work) : null,
            };

        public async Task<Machine> ToMachineAsync(Session session) =>
            new(
                Id,
                Version,
                Name,
                Enum.Parse<MachineKind>(Kind),
                Note,
                OdometerKm,
                RetiredOn,
                await DriveRows.ListAsync(session, Id),
                Work is null ? null : Rows.FromJson<WorkCosts>(Work),
                await LayoutRows.ListAsync(session, Id),
                await ShaftRows.ListAsync(session, Id),
                await PartRows.Loads.FindAsync(session, Id),
                await PartRows.Settings.FindAsync(session, Id)
            );
    }
}
