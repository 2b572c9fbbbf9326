using Microsoft.AspNetCore.Http.HttpResults;
using Wendrak.Core.Records;
using Wendrak.Store.Machines;

namespace Wendrak.Web;

/// <summary>Version of the thing as it was read, so that a change made meanwhile is noticed.</summary>
/// <param name="Version">That was read: another one is refused.</param>
public sealed record ReadVersion(int Version);

public static class SetupEndpoints
{
    public static void MapSetups(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder setups = app.MapStored("/api", "Setups");
        setups
            .MapGet("/machines/{id:long}/setups", ListAsync)
            .WithName("listSetups")
            .WithSummary("Setups of a machine: as fitted, as delivered, trials, earlier ones");
        setups
            .MapPost("/machines/{id:long}/setups", AddAsync)
            .WithName("addTrial")
            .WithSummary("Keeps wheels and lengths as a trial");
        setups
            .MapPut("/machines/{id:long}/delivered", DeliveredAsync)
            .WithName("setDelivered")
            .WithSummary("Says with which wheels the machine was delivered");
        setups
            .MapPut("/setups/{id:long}", ChangeAsync)
            .WithName("changeSetup")
            .WithSummary("Changes name, note or wheels of a setup");
        setups
            .MapPost("/setups/{id:long}/fit", FitAsync)
            .WithName("fitSetup")
            .WithSummary("Says that a setup was fitted, when and at which distance or hours");
        setups
            .MapPost("/setups/{id:long}/fit-again", FitAgainAsync)
            .WithName("fitSetupAgain")
            .WithSummary("Puts a former setup back as it was, and opens the job that does it");
    }

    private static async Task<Ok<IReadOnlyList<Setup>>> ListAsync(
        long id,
        SetupStore store,
        HttpContext context,
        long? after = null,
        int? most = null
    ) => TypedResults.Ok(ListPart.Take(await store.ListAsync(id), t => t.Id, after, most, context));

    private static async Task<Results<Created<Setup>, NotFound>> AddAsync(
        long id,
        NewTrial trial,
        SetupStore store,
        HttpContext context,
        CancellationToken ct
    ) =>
        await store.AddTrialAsync(context.Who(), id, trial, ct) is { } setup
            ? TypedResults.Created($"/api/setups/{setup.Id}", setup)
            : TypedResults.NotFound();

    private static async Task<Results<Ok<Setup>, NotFound>> DeliveredAsync(
        long id,
        DeliveredWheels wheels,
        SetupStore store,
        HttpContext context,
        CancellationToken ct
    ) =>
        await store.SetDeliveredAsync(context.Who(), id, wheels, ct) is { } setup
            ? TypedResults.Ok(setup)
            : TypedResults.NotFound();

    private static async Task<Results<Ok<Setup>, NotFound>> ChangeAsync(
        long id,
        Setup setup,
        SetupStore store,
        HttpContext context,
        CancellationToken ct
    ) =>
        await store.ChangeAsync(context.Who(), setup with { Id = id }, ct) is { } changed
            ? TypedResults.Ok(changed)
            : TypedResults.NotFound();

    private static async Task<Results<Ok<IReadOnlyList<Setup>>, NotFound>> FitAsync(
        long id,
        ReadVersion read,
        SetupStore store,
        HttpContext context,
        CancellationToken ct
    ) =>
        await store.FitAsync(context.Who(), id, read.Version, ct) is { } setups
            ? TypedResults.Ok(setups)
            : TypedResults.NotFound();

    private static async Task<Results<Ok<JobSheet>, NotFound>> FitAgainAsync(
        long id,
        ReadVersion read,
        SetupStore store,
        HttpContext context,
        CancellationToken ct
    ) =>
        await store.FitAgainAsync(context.Who(), id, read.Version, ct) is { } job
            ? TypedResults.Ok(job)
            : TypedResults.NotFound();
}
