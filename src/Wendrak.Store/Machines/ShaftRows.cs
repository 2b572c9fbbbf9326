using Dapper;
using Wendrak.Core.Geometry;
using Wendrak.Store.Ledger;

namespace Wendrak.Store.Machines;

/// <summary>Widths along a machine's shafts in table <c>shaft_widths</c>; they change with the machine.</summary>
internal static class ShaftRows
{
    /// <summary>Null where nothing was measured, as in a machine that says nothing of it.</summary>
    public static async Task<IReadOnlyList<ShaftWidths>?> ListAsync(Session session, long machineId)
    {
        const string sql = "SELECT widths FROM shaft_widths WHERE machine_id = @machineId ORDER BY position";
        IEnumerable<string> rows = await session.Connection.QueryAsync<string>(
            sql,
            new { machineId },
            session.Transaction
        );
        ShaftWidths[] shafts = [.. rows.Select(Rows.FromJson<ShaftWidths>)];
        return shafts.Length == 0 ? null : shafts;
    }

    /// <summary>Writes all shafts of a machine in place of those it had.</summary>
    public static async Task ReplaceAsync(Session session, long machineId, IReadOnlyList<ShaftWidths> shafts)
    {
        const string clear = "DELETE FROM shaft_widths WHERE machine_id = @machineId";
        await session.Connection.ExecuteAsync(clear, new { machineId }, session.Transaction);
        const string sql =
            "INSERT INTO shaft_widths (machine_id, position, widths) VALUES (@machineId, @position, @widths)";
        for (int position = 0; position < shafts.Count; position++)
        {
            string widths = Rows.ToJson(shafts[position]);
            await session.Connection.ExecuteAsync(
                sql,
                new
                {
                    machineId,
                    position,
                    widths,
                },
                session.Transaction
            );
        }
    }
}
