using Microsoft.AspNetCore.Http.HttpResults;
using Wendrak.Core.Quantities;
using Wendrak.Store.Machines;

namespace Wendrak.Web;

/// <summary>Endpoints of records that stand by themselves in a list.</summary>
internal static class ListEndpoints<T>
    where T : StoredRecord
{
    /// <param name="name">Of one of them, as the operations say it: “addStock”.</param>
    /// <param name="listName">Of the operation that lists them.</param>
    public static RouteGroupBuilder Map(IEndpointRouteBuilder app, string path, string name, string listName)
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

    private static async Task<Ok<IReadOnlyList<T>>> ListAsync(ListStore<T> store) =>
        TypedResults.Ok(await store.ListAsync());

    private static async Task<Ok<T>> AddAsync(T value, ListStore<T> store, HttpContext context, CancellationToken ct) =>
        TypedResults.Ok(await store.AddAsync(context.Who(), value, ct));

    private static async Task<Ok<T>> ChangeAsync(
        long id,
        T value,
        ListStore<T> store,
        HttpContext context,
        CancellationToken ct
    ) => TypedResults.Ok(await store.ChangeAsync(context.Who(), (T)(value with { Id = id }), ct));

    private static async Task<NoContent> RemoveAsync(
        long id,
        int version,
        ListStore<T> store,
        HttpContext context,
        CancellationToken ct
    )
    {
        await store.RemoveAsync(context.Who(), id, version, ct);
        return TypedResults.NoContent();
    }
}
