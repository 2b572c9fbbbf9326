using Dapper;
using Wendrak.Core.Machines;
using Wendrak.Store.Ledger;

namespace Wendrak.Store.Machines;

/// <summary>Spacers in table <c>stock_spacer</c>.</summary>
internal sealed class SpacerShelf : IShelf<StockSpacer>
{
    public const string Name = "stock_spacer";
    private const string Select = """
        SELECT id AS Id, version AS Version, thickness_mm AS ThicknessMm, bore_mm AS BoreMm, count AS Count
        FROM stock_spacer
        """;

    public string Thing => Name;

    public async Task<StockSpacer?> FindAsync(Session session, long id) =>
        (
            await session.Connection.QuerySingleOrDefaultAsync<Row>(
                $"{Select} WHERE id = @id",
                new { id },
                session.Transaction
            )
        )?.ToSpacer();

    /// <summary>All spacers, by bore and thickness.</summary>
    public static async Task<IReadOnlyList<StockSpacer>> ListAsync(Session session)
    {
        IEnumerable<Row> rows = await session.Connection.QueryAsync<Row>(
            $"{Select} ORDER BY bore_mm, thickness_mm, id",
            transaction: session.Transaction
        );
        return [.. rows.Select(r => r.ToSpacer())];
    }

    public Task<long> InsertAsync(Session session, StockSpacer value)
    {
        const string sql = """
            INSERT INTO stock_spacer (id, version, thickness_mm, bore_mm, count)
            VALUES (nullif(@Id, 0), @Version, @ThicknessMm, @BoreMm, @Count)
            RETURNING id
            """;
        return session.Connection.ExecuteScalarAsync<long>(sql, value, session.Transaction);
    }

    public Task ReplaceAsync(Session session, StockSpacer value)
    {
        const string sql = """
            UPDATE stock_spacer
            SET version = @Version, thickness_mm = @ThicknessMm, bore_mm = @BoreMm, count = @Count
            WHERE id = @Id
            """;
        return session.Connection.ExecuteAsync(sql, value, session.Transaction);
    }

    public Task RemoveAsync(Session session, long id) =>
        session.Connection.ExecuteAsync("DELETE FROM stock_spacer WHERE id = @id", new { id }, session.Transaction);

    public long IdOf(StockSpacer value) => value.Id;

    public int VersionOf(StockSpacer value) => value.Version;

    public StockSpacer With(StockSpacer value, long id, int version) => value with { Id = id, Version = version };

    private sealed record Row
    {
        public required long Id { get; init; }
        public required int Version { get; init; }
        public required double ThicknessMm { get; init; }
        public required double BoreMm { get; init; }
        public required int Count { get; init; }

        public StockSpacer ToSpacer() => new(Id, Version, ThicknessMm, BoreMm, Count);
    }
}
