using Microsoft.AspNetCore.Http.HttpResults;
using Wendrak.Core.Quantities;
using Wendrak.Store.Machines;
using Wendrak.Store.Records;

namespace Wendrak.Web;

/// <summary>Endpoints of records that stand by themselves in a list.</summary>
/// <param name="of">The list among those of the workshop.</param>
internal sealed class ListEndpoints<T>(Func<StockStore, ListStore<T>> of)
    where T : StoredRecord
{
    /// <param name="name">Of one of them, as the operations say it: “addStock”.</param>
    /// <param name="listName">Of the operation that lists them.</param>
    public RouteGroupBuilder Map(IEndpointRouteBuilder app, string path, string name, string listName)
    {
        RouteGroupBuilder group = app.MapStored(path, "Stock");
        // Named first: the framework's analyzer fails on handlers of a generic type where it sees them.
        (Delegate list, Delegate add, Delegate change, Delegate remove) = (
            ListAsync,
            AddAsync,
            ChangeAsync,
            RemoveAsync
        );
        group.MapGet("/", list).WithName(listName);
        group.MapPost("/", add).WithName($"add{name}");
        group.MapPut("/{id:long}", change).WithName($"change{name}");
        group.MapDelete("/{id:long}", remove).WithName($"remove{name}");
        return group;
    }

    private async Task<Ok<IReadOnlyList<T>>> ListAsync(StockStore store) =>
        TypedResults.Ok(await of(store).ListAsync());

    private async Task<Ok<T>> AddAsync(T value, StockStore store, HttpContext context, CancellationToken ct) =>
        TypedResults.Ok(await of(store).AddAsync(context.Who(), value, ct));

    private async Task<Ok<T>> ChangeAsync(
        long id,
        T value,
        StockStore store,
        HttpContext context,
        CancellationToken ct
    ) => TypedResults.Ok(await of(store).ChangeAsync(context.Who(), (T)(value with { Id = id }), ct));

    private async Task<NoContent> RemoveAsync(
        long id,
        int version,
        StockStore store,
        HttpContext context,
        CancellationToken ct
    )
    {
        await of(store).RemoveAsync(context.Who(), id, version, ct);
        return TypedResults.NoContent();
    }
}
