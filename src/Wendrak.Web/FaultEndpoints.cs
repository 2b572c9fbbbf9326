using Microsoft.AspNetCore.Http.HttpResults;
using Wendrak.Core.Evaluation;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Store.Machines;

namespace Wendrak.Web;

/// <summary>Something said or tried in a search for a fault.</summary>
/// <param name="On">Day on which a job is opened for it, where none goes on.</param>
/// <param name="Key">The sender’s own: sent twice with the same key it counts once.</param>
/// <param name="Event">What was said or tried.</param>
public sealed record NewFaultEvent(DateOnly On, string Key, JobEvent Event);

public static class FaultEndpoints
{
    public static void MapFaults(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder faults = app.MapStored("/api", "Faults");
        faults
            .MapGet("/faults", ListAsync)
            .WithName("listFaults")
            .WithSummary(
                "Searches for a fault that go on, and mended ones that nobody tried since, on all machines, the newest first"
            );
        faults
            .MapGet("/machines/{id:long}/faults/{loopKey}", FindAsync)
            .WithName("findFault")
            .WithSummary("Where the search for a fault of a loop stands: odds, the next test, what was found");
        faults
            .MapPost("/machines/{id:long}/faults/{loopKey}", SearchAsync)
            .WithName("searchFault")
            .WithSummary("Writes down what was said or tried, at the job of the search or at one of its own");
    }

    private static async Task<Ok<IReadOnlyList<FaultGoingOn>>> ListAsync(
        JobStore jobs,
        HttpContext context,
        long? after = null,
        int? most = null
    )
    {
        FaultGoingOn[] open = [.. FaultGoingOn.AllOf(await jobs.ListSearchedAsync())];
        return TypedResults.Ok(ListPart.Take(open, f => f.JobId, after, most, context));
    }

    private static async Task<Results<Ok<FaultDesk>, NotFound>> FindAsync(
        long id,
        string loopKey,
        JobStore jobs,
        MachineReader machines,
        TimeProvider clock,
        string? test = null
    ) =>
        await DeskAsync(id, loopKey, test, jobs, machines, clock) is { } desk
            ? TypedResults.Ok(desk)
            : TypedResults.NotFound();

    private static async Task<Results<Ok<FaultDesk>, NotFound>> SearchAsync(
        long id,
        string loopKey,
        NewFaultEvent sent,
        JobStore jobs,
        MachineReader machines,
        TimeProvider clock,
        HttpContext context,
        CancellationToken ct
    )
    {
        if (FaultSearch.LoopOf(sent.Event) != loopKey)
            throw new InvalidInputException(
                "Event.LoopKey",
                "unknown",
                "Send what was said or tried of that loop in a search for its fault."
            );
        return
            await jobs.SearchAsync(context.Who(), id, loopKey, sent.On, new(sent.Key, sent.Event), ct) is not null
            && await DeskAsync(id, loopKey, null, jobs, machines, clock) is { } desk
            ? TypedResults.Ok(desk)
            : TypedResults.NotFound();
    }

    private static async Task<FaultDesk?> DeskAsync(
        long id,
        string loopKey,
        string? test,
        JobStore jobs,
        MachineReader machines,
        TimeProvider clock
    )
    {
        if (await machines.FindAsync(id) is not { } stored)
            return null;
        long? beside = FaultSearch.ControlOf(FaultSearch.JobOf(stored.Jobs, loopKey), loopKey);
        FaultSearch search = new(
            stored,
            loopKey,
            beside is long control ? await machines.FindAsync(control) : null,
            DateOnly.FromDateTime(clock.GetLocalNow().DateTime)
        );
        return FaultDesk.Of(search, await machines.WorkshopAndYardAsync(), await jobs.CountFaultsAsync(), test);
    }
}
