using Dapper;
using Wendrak.Core.Loads;
using Wendrak.Store.Ledger;

namespace Wendrak.Store.Machines;

/// <summary>What is known of a machine's loads, in table <c>machine_loads</c>; it changes with the machine.</summary>
internal static class LoadRows
{
    /// <summary>Null where nobody said anything of them.</summary>
    public static async Task<MachineLoads?> FindAsync(Session session, long machineId)
    {
        const string sql = "SELECT loads FROM machine_loads WHERE machine_id = @machineId";
        string? row = await session.Connection.QuerySingleOrDefaultAsync<string>(
            sql,
            new { machineId },
            session.Transaction
        );
        return row is null ? null : Rows.FromJson<MachineLoads>(row);
    }

    /// <summary>Writes the loads of a machine in place of those it had.</summary>
    public static async Task ReplaceAsync(Session session, long machineId, MachineLoads? loads)
    {
        const string clear = "DELETE FROM machine_loads WHERE machine_id = @machineId";
        await session.Connection.ExecuteAsync(clear, new { machineId }, session.Transaction);
        if (loads is null)
            return;
        const string sql = "INSERT INTO machine_loads (machine_id, loads) VALUES (@machineId, @json)";
        await session.Connection.ExecuteAsync(sql, new { machineId, json = Rows.ToJson(loads) }, session.Transaction);
    }
}
