using Dapper;
using Wendrak.Core.Tension;
using Wendrak.Store.Ledger;

namespace Wendrak.Store.Machines;

/// <summary>Visits at which a loop was set, in table <c>set_job</c>.</summary>
internal sealed class SetJobShelf : IShelf<SetJob>
{
    public const string Name = "setJob";
    private const string Select = """
        SELECT id AS Id, version AS Version, machine_id AS MachineId, loop_key AS LoopKey, opened_on AS OpenedOn, who AS Who,
               goal AS Goal, rounds AS Rounds, gauge AS Gauge, closing AS Closing,
               in_hand AS InHand, cautions AS Cautions
        FROM set_job
        """;

    public string Thing => Name;

    public async Task<SetJob?> FindAsync(Session session, long id)
    {
        Row? row = await session.Connection.QuerySingleOrDefaultAsync<Row>(
            $"{Select} WHERE id = @id",
            new { id },
            session.Transaction
        );
        return row?.ToJob();
    }

    /// <summary>Newest first.</summary>
    public static async Task<IReadOnlyList<SetJob>> ListAsync(Session session, long machineId)
    {
        IEnumerable<Row> rows = await session.Connection.QueryAsync<Row>(
            $"{Select} WHERE machine_id = @machineId ORDER BY opened_on DESC, id DESC",
            new { machineId },
            session.Transaction
        );
        return [.. rows.Select(r => r.ToJob())];
    }

    public Task<long> InsertAsync(Session session, SetJob value)
    {
        const string sql = """
            INSERT INTO set_job (id, version, machine_id, loop_key, opened_on, who, goal, rounds, gauge, closing, in_hand, cautions)
            VALUES (nullif(@Id, 0), @Version, @MachineId, @LoopKey, @OpenedOn, @Who, @Goal, @Rounds, @Gauge, @Closing, @InHand,
                    @Cautions)
            RETURNING id
            """;
        return session.Connection.ExecuteScalarAsync<long>(sql, Row.Of(value), session.Transaction);
    }

    public Task ReplaceAsync(Session session, SetJob value)
    {
        const string sql = """
            UPDATE set_job
            SET version = @Version, machine_id = @MachineId, loop_key = @LoopKey, opened_on = @OpenedOn, who = @Who,
                goal = @Goal, rounds = @Rounds, gauge = @Gauge, closing = @Closing, in_hand = @InHand, cautions = @Cautions
            WHERE id = @Id
            """;
        return session.Connection.ExecuteAsync(sql, Row.Of(value), session.Transaction);
    }

    public Task RemoveAsync(Session session, long id) =>
        session.Connection.ExecuteAsync("DELETE FROM set_job WHERE id = @id", new { id }, session.Transaction);

    public long IdOf(SetJob value) => value.Id;

    public int VersionOf(SetJob value) => value.Version;

    public SetJob With(SetJob value, long id, int version) => value with { Id = id, Version = version };

    private sealed record Row
    {
        public required long Id { get; init; }
        public required int Version { get; init; }
        public required long MachineId { get; init; }
        public required string LoopKey { get; init; }
        public required DateOnly OpenedOn { get; init; }
        public required string? Who { get; init; }
        public required string Goal { get; init; }
        public required string Rounds { get; init; }
        public required string Gauge { get; init; }
        public required string? Closing { get; init; }
        public required string? InHand { get; init; }
        public required string? Cautions { get; init; }

        public static Row Of(SetJob job) =>
            new()
            {
                Id = job.Id,
                Version = job.Version,
                MachineId = job.MachineId,
                LoopKey = job.LoopKey,
                OpenedOn = job.OpenedOn,
                Who = job.Who,
                Goal = job.Goal.ToString(),
                Rounds = Store.Rows.ToJson(job.Rounds),
                Gauge = Store.Rows.ToJson(job.Gauge),
                Closing = job.Closing is { } closing ? Store.Rows.ToJson(closing) : null,
                InHand = job.InHand is { } inHand ? Store.Rows.ToJson(inHand) : null,
                Cautions = job.Cautions is { } cautions ? Store.Rows.ToJson(cautions) : null,
            };

        public SetJob ToJob() =>
            new(
                Id,
                Version,
                MachineId,
                LoopKey,
                OpenedOn,
                Who,
                Enum.Parse<SetGoal>(Goal),
                Store.Rows.FromJson<SetRound[]>(Rounds),
                Store.Rows.FromJson<CalibrationPair[]>(Gauge),
                Closing is null ? null : Store.Rows.FromJson<SetClosing>(Closing),
                InHand is null ? null : Store.Rows.FromJson<SetInHand>(InHand),
                Cautions is null ? null : Store.Rows.FromJson<CautionsConfirmed>(Cautions)
            );
    }
}
