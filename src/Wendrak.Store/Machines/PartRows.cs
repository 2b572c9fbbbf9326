using Dapper;
using Wendrak.Core.Loads;
using Wendrak.Core.Tension;
using Wendrak.Store.Ledger;

namespace Wendrak.Store.Machines;

/// <summary>Parts of a machine that are kept whole, as JSON, in a table of their own; they change with the machine.</summary>
internal static class PartRows
{
    public static PartRows<MachineLoads> Loads { get; } = new("machine_loads", "loads");
    public static PartRows<IReadOnlyList<LoopSetting>> Settings { get; } = new("machine_settings", "settings");
}

/// <param name="table">Of one row for a machine at most.</param>
/// <param name="column">Of the JSON.</param>
internal sealed class PartRows<T>(string table, string column)
    where T : class
{
    /// <summary>Null where nobody said anything of it.</summary>
    public async Task<T?> FindAsync(Session session, long machineId)
    {
        string? row = await session.Connection.QuerySingleOrDefaultAsync<string>(
            $"SELECT {column} FROM {table} WHERE machine_id = @machineId",
            new { machineId },
            session.Transaction
        );
        return row is null ? null : Rows.FromJson<T>(row);
    }

    /// <summary>Writes the part in place of what there was.</summary>
    public async Task ReplaceAsync(Session session, long machineId, T? part)
    {
        await session.Connection.ExecuteAsync(
            $"DELETE FROM {table} WHERE machine_id = @machineId",
            new { machineId },
            session.Transaction
        );
        if (part is null)
            return;
        await session.Connection.ExecuteAsync(
            $"INSERT INTO {table} (machine_id, {column}) VALUES (@machineId, @json)",
            new { machineId, json = Rows.ToJson(part) },
            session.Transaction
        );
    }
}
