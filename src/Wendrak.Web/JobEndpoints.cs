using Microsoft.AspNetCore.Http.HttpResults;
using Wendrak.Core.Evaluation;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Store.Machines;

namespace Wendrak.Web;

/// <summary>What happened at a job, with what is to be known once it is written down.</summary>
/// <param name="Ask">Answered from what is stored then; null where nothing is asked.</param>
public sealed record HappenedAtJob(IReadOnlyList<SentEvent> Events, EvaluationQuestion? Ask = null);

/// <param name="Job">As it stands after the events.</param>
/// <param name="Visit">To the loop that the last event was at; null where it was at none.</param>
/// <param name="Evaluation">Null where nothing was asked, or what was asked names something that is not there.</param>
public sealed record JobAfter(JobSheet Job, SetJob? Visit, EvaluationAnswer? Evaluation);

/// <summary>A machine that comes in.</summary>
/// <param name="OpenedOn">Day of arrival.</param>
/// <param name="Reason">Why it came in.</param>
/// <param name="About">What it does, or which part it is about, in free words; null for nothing.</param>
/// <param name="OdometerKm">As it stands; null where nobody looked. The machine has run so far then.</param>
/// <param name="Hours">Hours run, where those are counted; null where they are not.</param>
public sealed record NewJob(
    DateOnly OpenedOn,
    JobReason Reason,
    string? About = null,
    double? OdometerKm = null,
    double? Hours = null
);

public static class JobEndpoints
{
    public static void MapJobs(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder jobs = app.MapStored("/api", "Jobs");
        jobs.MapGet("/jobs", ListOpenAsync)
            .WithName("listOpenJobs")
            .WithSummary("Jobs that go on or wait, on all machines, the newest first");
        jobs.MapGet("/people", ListPeopleAsync)
            .WithName("listPeople")
            .WithSummary("Names of who did something at a job, on whatever machine, who did last first");
        jobs.MapGet("/machines/{id:long}/jobs", ListSheetsAsync)
            .WithName("listJobs")
            .WithSummary("Jobs of a machine, the newest first");
        jobs.MapPost("/machines/{id:long}/jobs", OpenAsync)
            .WithName("openJob")
            .WithSummary("Opens a job: a machine came in");
        jobs.MapGet("/machines/{id:long}/set-jobs", ListAsync)
            .WithName("listSetJobs")
            .WithSummary("Visits to the loops of a machine, the newest first");
        jobs.MapPost("/machines/{id:long}/set-jobs", AddAsync)
            .WithName("addSetJob")
            .WithSummary("Begins to set a loop, at the job that goes on, or at one of its own");
        jobs.MapPost("/jobs/{id:long}/events", AppendAsync)
            .WithName("addJobEvents")
            .WithSummary("Adds what happened at a job: notes, waiting, readings, moves, cautions, closing, signature");
        jobs.MapGet("/jobs/{id:long}/plan", FindPlanAsync)
            .WithName("findPlan")
            .WithSummary("The order of the work at a job, with what is done of it and what stands in the way");
        jobs.MapPost("/jobs/{id:long}/plan/on", PutOnAsync)
            .WithName("putPlanOn")
            .WithSummary("Says that what the plan of a job puts on is on the machine");
        jobs.MapDelete("/jobs/{id:long}", RemoveAsync)
            .WithName("removeJob")
            .WithSummary("Removes a job with all that happened at it; undo brings it back");
    }

    private static async Task<Ok<IReadOnlyList<JobSheet>>> ListOpenAsync(
        JobStore store,
        HttpContext context,
        long? after = null,
        int? most = null
    ) => TypedResults.Ok(ListPart.Take(await store.ListOpenAsync(), j => j.Id, after, most, context));

    private static async Task<Ok<IReadOnlyList<string>>> ListPeopleAsync(JobStore store) =>
        TypedResults.Ok(await store.ListPeopleAsync());

    private static async Task<Ok<IReadOnlyList<JobSheet>>> ListSheetsAsync(
        long id,
        JobStore store,
        HttpContext context,
        long? after = null,
        int? most = null
    ) => TypedResults.Ok(ListPart.Take(await store.ListSheetsAsync(id), j => j.Id, after, most, context));

    private static async Task<Results<Created<JobSheet>, NotFound>> OpenAsync(
        long id,
        NewJob job,
        JobStore store,
        HttpContext context,
        CancellationToken ct
    )
    {
        JobOpened opened = new(job.Reason, job.About, job.OdometerKm, job.Hours);
        return await store.OpenAsync(context.Who(), id, job.OpenedOn, opened, ct) is { } sheet
            ? TypedResults.Created($"/api/jobs/{sheet.Id}", sheet)
            : TypedResults.NotFound();
    }

    private static async Task<Ok<IReadOnlyList<SetJob>>> ListAsync(
        long id,
        JobStore store,
        HttpContext context,
        long? after = null,
        int? most = null
    ) =>
        TypedResults.Ok<IReadOnlyList<SetJob>>([
            .. ListPart.Take(await store.ListBegunAsync(id), b => b.Begun, after, most, context).Select(b => b.Visit),
        ]);

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

    private static async Task<Results<Ok<JobAfter>, NotFound>> AppendAsync(
        long id,
        HappenedAtJob happened,
        JobStore store,
        MachineReader machines,
        TimeProvider clock,
        HttpContext context,
        CancellationToken ct
    )
    {
        if (await store.AppendAsync(context.Who(), id, happened.Events, ct) is not { } now)
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
        return TypedResults.Ok(new JobAfter(now.Job, now.Visit, answer));
    }

    private static async Task<Results<Ok<PlanToWork>, NotFound>> FindPlanAsync(
        long id,
        JobStore store,
        MachineReader machines
    ) =>
        await store.FindPlanAsync(id) is { } found && await machines.FindAsync(found.MachineId) is { } stored
            ? TypedResults.Ok(PlanToWork.From(found.Plan, found.Minutes, stored, await machines.WorkshopAndYardAsync()))
            : TypedResults.NotFound();

    private static async Task<Results<Ok<IReadOnlyList<Setup>>, NotFound>> PutOnAsync(
        long id,
        SetupStore store,
        HttpContext context,
        CancellationToken ct
    ) =>
        await store.PutPlanOnAsync(context.Who(), id, ct) is { } setups
            ? TypedResults.Ok(setups)
            : TypedResults.NotFound();

    private static async Task<Results<NoContent, NotFound>> RemoveAsync(
        long id,
        long version,
        JobStore store,
        HttpContext context,
        CancellationToken ct
    ) => await store.RemoveAsync(context.Who(), id, version, ct) ? TypedResults.NoContent() : TypedResults.NotFound();
}
