using Microsoft.AspNetCore.Http.HttpResults;
using Wendrak.Core.Records;
using Wendrak.Store.Machines;

namespace Wendrak.Web;

public static class AimEndpoints
{
    public static void MapAims(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder aims = app.MapStored("/api", "Aims");
        aims.MapGet("/machines/{id:long}/aims", ListAsync).WithName("listAims");
        aims.MapPost("/machines/{id:long}/aims", AddAsync).WithName("addAim");
        aims.MapPut("/aims/{id:long}", ChangeAsync).WithName("changeAim");
        aims.MapDelete("/aims/{id:long}", RemoveAsync).WithName("removeAim");
    }

    private static async Task<Ok<IReadOnlyList<Aim>>> ListAsync(long id, AimStore store) =>
        TypedResults.Ok(await store.ListAsync(id));

    private static async Task<Results<Ok<Aim>, NotFound>> AddAsync(
        long id,
        Aim aim,
        AimStore store,
        HttpContext context,
        CancellationToken ct
    ) =>
        await store.AddAsync(context.Who(), aim with { MachineId = id }, ct) is { } added
            ? TypedResults.Ok(added)
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
