using Dapper;
using Wendrak.Core.Geometry;
using Wendrak.Store.Ledger;

namespace Wendrak.Store.Machines;

/// <summary>Layouts of a machine's loops in table <c>loop_layout</c>; they change with the machine.</summary>
internal static class LayoutRows
{
    /// <summary>Null where nothing was measured, as in a machine that says nothing of it.</summary>
    public static async Task<IReadOnlyList<LoopLayout>?> ListAsync(Session session, long machineId)
    {
        const string sql = "SELECT layout FROM loop_layout WHERE machine_id = @machineId ORDER BY position";
        IEnumerable<string> rows = await session.Connection.QueryAsync<string>(
            sql,
            new { machineId },
            session.Transaction
        );
        LoopLayout[] layouts = [.. rows.Select(Rows.FromJson<LoopLayout>)];
        return layouts.Length == 0 ? null : layouts;
    }

    /// <summary>Writes all layouts of a machine in place of those it had.</summary>
    public static async Task ReplaceAsync(Session session, long machineId, IReadOnlyList<LoopLayout> layouts)
    {
        const string clear = "DELETE FROM loop_layout WHERE machine_id = @machineId";
        await session.Connection.ExecuteAsync(clear, new { machineId }, session.Transaction);
        const string sql = """
            INSERT INTO loop_layout (machine_id, position, loop_key, layout)
            VALUES (@machineId, @position, @LoopKey, @layout)
            """;
        for (int position = 0; position < layouts.Count; position++)
        {
            LoopLayout layout = layouts[position];
            await session.Connection.ExecuteAsync(
                sql,
                new
                {
                    machineId,
                    position,
                    layout.LoopKey,
                    layout = Rows.ToJson(layout),
                },
                session.Transaction
            );
        }
    }
}
