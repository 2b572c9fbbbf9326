using Dapper;
using Wendrak.Core.Machines;
using Wendrak.Store.Ledger;

namespace Wendrak.Store.Machines;

/// <summary>What must still be done again for a setup, in table <c>setup_redo</c>; it changes with the setup.</summary>
internal static class RedoRows
{
    /// <summary>Null where nothing is open, as in a setup that says nothing of it.</summary>
    public static async Task<IReadOnlyList<RedoItem>?> ListAsync(Session session, long setupId)
    {
        const string sql = "SELECT item FROM setup_redo WHERE setup_id = @setupId ORDER BY position";
        IEnumerable<string> rows = await session.Connection.QueryAsync<string>(
            sql,
            new { setupId },
            session.Transaction
        );
        RedoItem[] items = [.. rows.Select(Rows.FromJson<RedoItem>)];
        return items.Length == 0 ? null : items;
    }

    /// <summary>Writes all open items of a setup in place of those it had.</summary>
    public static async Task ReplaceAsync(Session session, long setupId, IReadOnlyList<RedoItem> items)
    {
        const string clear = "DELETE FROM setup_redo WHERE setup_id = @setupId";
        await session.Connection.ExecuteAsync(clear, new { setupId }, session.Transaction);
        const string sql = "INSERT INTO setup_redo (setup_id, position, item) VALUES (@setupId, @position, @item)";
        for (int position = 0; position < items.Count; position++)
        {
            string item = Rows.ToJson(items[position]);
            await session.Connection.ExecuteAsync(
                sql,
                new
                {
                    setupId,
                    position,
                    item,
                },
                session.Transaction
            );
        }
    }
}
