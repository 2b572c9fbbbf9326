using Microsoft.AspNetCore.Http.HttpResults;
using Wendrak.Core.Quantities;
using Wendrak.Store.Machines;

namespace Wendrak.Web;

/// <summary>Endpoints of records that stand by themselves in a list.</summary>
/// <remarks>Mapped for each kind by its name: the generator writes how a call is read only where it sees the kind.</remarks>
internal static class ListEndpoints<T>
    where T : StoredRecord
{
    public static async Task<Ok<IReadOnlyList<T>>> ListAsync(
        ListStore<T> store,
        HttpContext context,
        long? after = null,
        int? most = null
    ) => TypedResults.Ok(ListPart.Take(await store.ListAsync(), t => t.Id, after, most, context));

    public static async Task<Created<T>> AddAsync(
        T value,
        ListStore<T> store,
        HttpContext context,
        CancellationToken ct
    )
    {
        T added = await store.AddAsync(context.Who(), value, ct);
        return TypedResults.Created($"{context.Request.Path.Value!.TrimEnd('/')}/{added.Id}", added);
    }

    public static async Task<Ok<T>> ChangeAsync(
        long id,
        T value,
        ListStore<T> store,
        HttpContext context,
        CancellationToken ct
    ) => TypedResults.Ok(await store.ChangeAsync(context.Who(), (T)(value with { Id = id }), ct));

    public static async Task<NoContent> RemoveAsync(
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

/// <summary>What the calls of a list are called.</summary>
/// <param name="Name">Of one of them, as the operations say it: “addStock”.</param>
/// <param name="ListName">Of the operation that lists them.</param>
/// <param name="One">What one of them is called, with its article.</param>
/// <param name="Things">What all of them are called.</param>
internal sealed record ListWords(string Name, string ListName, string One, string Things)
{
    public void Give(
        RouteHandlerBuilder list,
        RouteHandlerBuilder add,
        RouteHandlerBuilder change,
        RouteHandlerBuilder remove
    )
    {
        list.WithName(ListName).WithSummary($"All {Things}");
        add.WithName($"add{Name}").WithSummary($"Adds {One}");
        change.WithName($"change{Name}").WithSummary($"Changes {One}");
        remove.WithName($"remove{Name}").WithSummary($"Removes {One}; undo brings it back");
    }
}
