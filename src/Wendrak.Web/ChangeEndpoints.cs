using Microsoft.AspNetCore.Http.HttpResults;
using Wendrak.Store.Ledger;

namespace Wendrak.Web;

public static class ChangeEndpoints
{
    private const int MostListed = 50;

    public static void MapChanges(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder changes = app.MapStored("/api/changes", "Changes");
        changes
            .MapGet("/", ListAsync)
            .WithName("listChanges")
            .WithSummary("What was changed, the newest first; `before` is the last one read, to go on");
        changes
            .MapGet("/stream", Stream)
            .Produces<StoredMeanwhile>(contentType: "text/event-stream")
            .WithName("followChanges")
            .WithSummary("Tells, as long as it is open, whenever somebody else stored something (server-sent events)");
        changes.MapPost("/{id:long}/undo", UndoAsync).WithName("undoChange").WithSummary("Undoes a change");
    }

    /// <summary>Newest first; `before` the last one read, to go on.</summary>
    private static async Task<Ok<IReadOnlyList<Change>>> ListAsync(long? machineId, long? before, History history) =>
        TypedResults.Ok(await history.ListAsync(machineId, before, MostListed));

    /// <param name="page">Of the page that listens, as it tells it with what it stores: of that it hears nothing.</param>
    private static IResult Stream(string page, OpenPages pages, CancellationToken ct) =>
        TypedResults.ServerSentEvents(pages.ListenAsync(page, ct));

    private static async Task<Ok<Change>> UndoAsync(
        long id,
        Undoing undoing,
        HttpContext context,
        CancellationToken ct
    ) => TypedResults.Ok(await undoing.UndoAsync(context.Who(), id, ct));
}
