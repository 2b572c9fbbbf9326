using Microsoft.AspNetCore.Http.HttpResults;
using Wendrak.Core.Records;
using Wendrak.Store.Machines;

namespace Wendrak.Web;

public static class AimEndpoints
{
    public static void MapAims(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder aims = app.MapStored("/api", "Aims");
        aims.MapGet("/machines/{id:long}/aims", ListAsync).WithName("listAims").WithSummary("Aims of a machine");
        aims.MapPost("/machines/{id:long}/aims", AddAsync).WithName("addAim").WithSummary("Keeps an aim");
        aims.MapPut("/aims/{id:long}", ChangeAsync).WithName("changeAim").WithSummary("Changes an aim");
        aims.MapDelete("/aims/{id:long}", RemoveAsync)
            .WithName("removeAim")
            .WithSummary("Removes an aim; undo brings it back");
    }

    private static async Task<Ok<IReadOnlyList<Aim>>> ListAsync(
        long id,
        AimStore store,
        HttpContext context,
        long? after = null,
        int? most = null
    ) => TypedResults.Ok(ListPart.Take(await store.ListAsync(id), t => t.Id, after, most, context));

    private static async Task<Results<Created<Aim>, NotFound>> AddAsync(
        long id,
        Aim aim,
        AimStore store,
        HttpContext context,
        CancellationToken ct
    ) =>
        await store.AddAsync(context.Who(), aim with { MachineId = id }, ct) is { } added
            ? TypedResults.Created($"/api/aims/{added.Id}", added)
            : TypedResults.NotFound();

    private static async Task<Ok<Aim>> ChangeAsync(
        long id,
        Aim aim,
        AimStore store,
        HttpContext context,
        CancellationToken ct
    ) => TypedResults.Ok(await store.ChangeAsync(context.Who(), aim with { Id = id }, ct));

    private static async Task<Results<NoContent, NotFound>> RemoveAsync(
        long id,
        int version,
        AimStore store,
        HttpContext context,
        CancellationToken ct
    ) => await store.RemoveAsync(context.Who(), id, version, ct) ? TypedResults.NoContent() : TypedResults.NotFound();
}
