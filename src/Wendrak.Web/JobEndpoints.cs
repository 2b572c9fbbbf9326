using Microsoft.AspNetCore.Http.HttpResults;
using Wendrak.Core.Evaluation;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Store.Machines;

namespace Wendrak.Web;

/// <summary>What happened at a visit, with what is to be known once it is written down.</summary>
/// <param name="Ask">Answered from what is stored then; null where nothing is asked.</param>
public sealed record VisitEvents(IReadOnlyList<SentEvent> Events, EvaluationQuestion? Ask = null);

/// <param name="Visit">As it stands after the events.</param>
/// <param name="Evaluation">Null where nothing was asked, or what was asked names something that is not there.</param>
public sealed record VisitAfter(SetJob Visit, EvaluationAnswer? Evaluation);

public static class JobEndpoints
{
    public static void MapJobs(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder jobs = app.MapStored("/api", "Jobs");
        jobs.MapGet("/machines/{id:long}/set-jobs", ListAsync)
            .WithName("listSetJobs")
            .WithSummary("Visits of a machine, the newest first");
        jobs.MapPost("/machines/{id:long}/set-jobs", AddAsync).WithName("addSetJob").WithSummary("Begins a visit");
        jobs.MapPost("/jobs/{id:long}/events", AppendAsync)
            .WithName("addJobEvents")
            .WithSummary("Adds what happened on a visit: readings, moves, cautions, closing");
        jobs.MapDelete("/jobs/{id:long}", RemoveAsync)
            .WithName("removeJob")
            .WithSummary("Removes a visit; undo brings it back");
    }

    private static async Task<Ok<IReadOnlyList<SetJob>>> ListAsync(
        long id,
        JobStore store,
        HttpContext context,
        long? after = null,
        int? most = null
    ) => TypedResults.Ok(ListPart.Take(await store.ListAsync(id), t => t.Id, after, most, context));

    private static async Task<Results<Created<SetJob>, NotFound>> AddAsync(
        long id,
        SetJob job,
        JobStore store,
        HttpContext context,
        CancellationToken ct
    ) =>
        await store.AddAsync(context.Who(), job with { MachineId = id }, ct) is { } added
            ? TypedResults.Created($"/api/jobs/{added.Id}", added)
            : TypedResults.NotFound();

    private static async Task<Results<Ok<VisitAfter>, NotFound>> AppendAsync(
        long id,
        VisitEvents happened,
        JobStore store,
        MachineReader machines,
        TimeProvider clock,
        HttpContext context,
        CancellationToken ct
    )
    {
        if (await store.AppendAsync(context.Who(), id, happened.Events, ct) is not { } visit)
            return TypedResults.NotFound();
        EvaluationAnswer? answer = null;
        try
        {
            if (happened.Ask is { } ask)
                answer = await EvaluationEndpoints.EvaluateAsync(ask, machines, clock);
        }
        catch (InvalidInputException)
        {
            // What happened is written down; a question that can't be answered must not say otherwise.
        }
        return TypedResults.Ok(new VisitAfter(visit, answer));
    }

    private static async Task<Results<NoContent, NotFound>> RemoveAsync(
        long id,
        int version,
        JobStore store,
        HttpContext context,
        CancellationToken ct
    ) => await store.RemoveAsync(context.Who(), id, version, ct) ? TypedResults.NoContent() : TypedResults.NotFound();
}
