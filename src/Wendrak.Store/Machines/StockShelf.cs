using Dapper;
using Wendrak.Core.Gearing;
using Wendrak.Core.Machines;
using Wendrak.Store.Ledger;

namespace Wendrak.Store.Machines;

/// <summary>Wheels on the shelf in table <c>stock_item</c>.</summary>
internal sealed class StockShelf : IShelf<StockItem>
{
    public const string Name = "stock_item";
    private const string Select = """
        SELECT id AS Id, version AS Version, standard AS Standard, side AS Side, size AS Size, mounting AS Mounting,
               count AS Count, price AS Price, obtainable AS Obtainable, note AS Note
        FROM stock_item
        """;

    public string Thing => Name;

    public async Task<StockItem?> FindAsync(Session session, long id)
    {
        Row? row = await session.Connection.QuerySingleOrDefaultAsync<Row>(
            $"{Select} WHERE id = @id",
            new { id },
            session.Transaction
        );
        return row?.ToItem();
    }

    public static async Task<IReadOnlyList<StockItem>> ListAsync(Session session)
    {
        IEnumerable<Row> rows = await session.Connection.QueryAsync<Row>(
            $"{Select} ORDER BY standard, side, mounting, size, id",
            transaction: session.Transaction
        );
        return [.. rows.Select(r => r.ToItem())];
    }

    public Task<long> InsertAsync(Session session, StockItem value)
    {
        const string sql = """
            INSERT INTO stock_item (id, version, standard, side, size, mounting, count, price, obtainable, note)
            VALUES (nullif(@Id, 0), @Version, @Standard, @Side, @Size, @Mounting, @Count, @Price, @Obtainable, @Note)
            RETURNING id
            """;
        return session.Connection.ExecuteScalarAsync<long>(sql, Row.Of(value), session.Transaction);
    }

    public Task ReplaceAsync(Session session, StockItem value)
    {
        const string sql = """
            UPDATE stock_item
            SET version = @Version, standard = @Standard, side = @Side, size = @Size, mounting = @Mounting,
                count = @Count, price = @Price, obtainable = @Obtainable, note = @Note
            WHERE id = @Id
            """;
        return session.Connection.ExecuteAsync(sql, Row.Of(value), session.Transaction);
    }

    public Task RemoveAsync(Session session, long id) =>
        session.Connection.ExecuteAsync("DELETE FROM stock_item WHERE id = @id", new { id }, session.Transaction);

    public long IdOf(StockItem value) => value.Id;

    public int VersionOf(StockItem value) => value.Version;

    public StockItem With(StockItem value, long id, int version) => value with { Id = id, Version = version };

    private sealed record Row
    {
        public required long Id { get; init; }
        public required int Version { get; init; }
        public required string Standard { get; init; }
        public required string Side { get; init; }
        public required double Size { get; init; }
        public required string? Mounting { get; init; }
        public required int Count { get; init; }
        public required double? Price { get; init; }
        public required bool Obtainable { get; init; }
        public required string? Note { get; init; }

        public static Row Of(StockItem item) =>
            new()
            {
                Id = item.Id,
                Version = item.Version,
                Standard = item.Wheel.Standard,
                Side = item.Wheel.Side.ToString(),
                Size = item.Wheel.Size,
                Mounting = item.Wheel.Mounting,
                Count = item.Wheel.Count,
                Price = item.Wheel.Price,
                Obtainable = item.Wheel.Obtainable,
                Note = item.Note,
            };

        public StockItem ToItem() =>
            new(
                Id,
                Version,
                new(Standard, Enum.Parse<WheelSide>(Side), Size, Mounting, Count, Price, Obtainable),
                Note
            );
    }
}
