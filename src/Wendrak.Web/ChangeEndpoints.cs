using Microsoft.AspNetCore.Http.HttpResults;
using Wendrak.Store.Ledger;

namespace Wendrak.Web;

public static class ChangeEndpoints
{
    private const int MostListed = 100;

    public static void MapChanges(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder changes = app.MapStored("/api/changes", "Changes");
        changes.MapGet("/", ListAsync).WithName("listChanges");
        changes.MapPost("/{id:long}/undo", UndoAsync).WithName("undoChange");
    }

    private static async Task<Ok<IReadOnlyList<Change>>> ListAsync(
        long? machineId,
        ChangeLog log,
        CancellationToken ct
    ) => TypedResults.Ok(await log.ListAsync(machineId, MostListed, ct));

    private static async Task<Ok<Change>> UndoAsync(
        long id,
        ChangeLog log,
        HttpContext context,
        CancellationToken ct
    ) => TypedResults.Ok(await log.UndoAsync(context.Who(), id, ct));
}
