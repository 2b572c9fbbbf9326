using Microsoft.AspNetCore.Http.HttpResults;
using Wendrak.Core.Records;
using Wendrak.Store.Machines;

namespace Wendrak.Web;

public static class JobEndpoints
{
    public static void MapJobs(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder jobs = app.MapStored("/api", "Jobs");
        jobs.MapGet("/machines/{id:long}/set-jobs", ListAsync).WithName("listSetJobs");
        jobs.MapPost("/machines/{id:long}/set-jobs", AddAsync).WithName("addSetJob");
        jobs.MapPost("/jobs/{id:long}/events", AppendAsync).WithName("addJobEvents");
        jobs.MapDelete("/jobs/{id:long}", RemoveAsync).WithName("removeJob");
    }

    private static async Task<Ok<IReadOnlyList<SetJob>>> ListAsync(long id, JobStore store) =>
        TypedResults.Ok(await store.ListAsync(id));

    private static async Task<Results<Ok<SetJob>, NotFound>> AddAsync(
        long id,
        SetJob job,
        JobStore store,
        HttpContext context,
        CancellationToken ct
    ) =>
        await store.AddAsync(context.Who(), job with { MachineId = id }, ct) is { } added
            ? TypedResults.Ok(added)
            : TypedResults.NotFound();

    private static async Task<Results<Ok<SetJob>, NotFound>> AppendAsync(
        long id,
        IReadOnlyList<SentEvent> events,
        JobStore store,
        HttpContext context,
        CancellationToken ct
    ) =>
        await store.AppendAsync(context.Who(), id, events, ct) is { } visit
            ? TypedResults.Ok(visit)
            : TypedResults.NotFound();

    private static async Task<Results<NoContent, NotFound>> RemoveAsync(
        long id,
        int version,
        JobStore store,
        HttpContext context,
        CancellationToken ct
    ) => await store.RemoveAsync(context.Who(), id, version, ct) ? TypedResults.NoContent() : TypedResults.NotFound();
}
