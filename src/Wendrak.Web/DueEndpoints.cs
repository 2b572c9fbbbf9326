using Microsoft.AspNetCore.Http.HttpResults;
using Wendrak.Core.Evaluation;
using Wendrak.Core.Records;
using Wendrak.Store.Ledger;
using Wendrak.Store.Machines;

namespace Wendrak.Web;

/// <summary>Something that happened to a machine.</summary>
/// <param name="On">Day on which a job is opened for it, where none goes on.</param>
/// <param name="Happened">What.</param>
public sealed record NewUseEvent(DateOnly On, UseEventNoted Happened);

public static class DueEndpoints
{
    public static void MapDue(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder due = app.MapStored("/api", "Due");
        due.MapGet("/due", ListAsync)
            .WithName("listDue")
            .WithSummary("What is due on each machine that is in use, by its name");
        due.MapGet("/due.ics", CalendarAsync)
            .Produces<string>(contentType: DueCalendar.Type)
            .WithName("writeDueCalendar")
            .WithSummary("The same as a calendar: one event each, under an identity that stays");
        due.MapPost("/machines/{id:long}/use-events", HappenedAsync)
            .WithName("noteUseEvent")
            .WithSummary("Writes down what happened to a machine, at the job that goes on or at one of its own");
    }

    private static async Task<Ok<IReadOnlyList<MachineDue>>> ListAsync(
        DueReader due,
        HttpContext context,
        long? after = null,
        int? most = null
    ) => TypedResults.Ok(ListPart.Take(await due.AllAsync(), d => d.MachineId, after, most, context));

    private static async Task<ContentHttpResult> CalendarAsync(DueReader due, History history, TimeProvider clock)
    {
        DateOnly today = DateOnly.FromDateTime(clock.GetLocalNow().DateTime);
        IReadOnlyList<Change> newest = await history.ListAsync(null, null, 1);
        long number = newest is [{ } last, ..] ? last.Id : 0;
        return TypedResults.Text(DueCalendar.Write(await due.AllAsync(), today, number), DueCalendar.Type);
    }

    private static async Task<Results<Ok<JobSheet>, NotFound>> HappenedAsync(
        long id,
        NewUseEvent sent,
        JobStore store,
        HttpContext context,
        CancellationToken ct
    ) =>
        await store.HappenedAsync(context.Who(), id, sent.On, sent.Happened, ct) is { } job
            ? TypedResults.Ok(job)
            : TypedResults.NotFound();
}
