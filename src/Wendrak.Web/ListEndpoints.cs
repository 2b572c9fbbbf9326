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
    /// <param name="one">What one of them is called, with its article.</param>
    /// <param name="things">What all of them are called.</param>
    public static RouteGroupBuilder Map(
        IEndpointRouteBuilder app,
        string path,
        string name,
        string listName,
        string one,
        string things
    )
    {
        RouteGroupBuilder group = app.MapStored(path, "Stock");
        // Named first: the framework's analyzer fails on handlers of a generic type where it sees them.
        (Delegate list, Delegate add, Delegate change, Delegate remove) = (
            ListAsync,
            AddAsync,
            ChangeAsync,
            RemoveAsync
        );
        // Handlers of a generic type are read at their first call.
#pragma warning disable RDG002
        group.MapGet("/", list).WithName(listName).WithSummary($"All {things}");
        group.MapPost("/", add).WithName($"add{name}").WithSummary($"Adds {one}");
        group.MapPut("/{id:long}", change).WithName($"change{name}").WithSummary($"Changes {one}");
        group
            .MapDelete("/{id:long}", remove)
            .WithName($"remove{name}")
            .WithSummary($"Removes {one}; undo brings it back");
#pragma warning restore RDG002
        return group;
    }

    private static async Task<Ok<IReadOnlyList<T>>> ListAsync(
        ListStore<T> store,
        HttpContext context,
        long? after = null,
        int? most = null
    ) => TypedResults.Ok(ListPart.Take(await store.ListAsync(), t => t.Id, after, most, context));

    private static async Task<Created<T>> AddAsync(
        T value,
        ListStore<T> store,
        HttpContext context,
        CancellationToken ct
    )
    {
        T added = await store.AddAsync(context.Who(), value, ct);
        return TypedResults.Created($"{context.Request.Path.Value!.TrimEnd('/')}/{added.Id}", added);
    }

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
