using Microsoft.AspNetCore.Http.HttpResults;
using Wendrak.Core.Choices;
using Wendrak.Core.Evaluation;
using Wendrak.Core.Records;
using Wendrak.Store.Machines;

namespace Wendrak.Web;

/// <summary>What is weighed at a loop.</summary>
/// <param name="Matter">What is chosen: a key of the choices between parts; null for the kind of drive.</param>
/// <param name="Weighing">As it is being typed; null for what is stored, or for what one begins with.</param>
public sealed record ChoiceAsked(string? Matter = null, LoopWeighing? Weighing = null);

/// <summary>A kind of drive to be kept as a trial.</summary>
/// <param name="Kind">Key of the kind.</param>
public sealed record KindToTry(string Kind);

public static class ChoiceEndpoints
{
    public static void MapChoice(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder choice = app.MapStored("/api", "Choice");
        choice
            .MapPost("/machines/{id:long}/choice/{loopKey}", WeighAsync)
            .WithName("weighChoice")
            .WithSummary(
                "Kinds of drive or parts side by side in the place of a loop, what they come to, and what would turn it"
            );
        choice
            .MapGet("/machines/{id:long}/choice/{loopKey}/record", RecordAsync)
            .WithName("recordedFigures")
            .WithSummary("What the record says of what is on: how long it lasts, its upkeep, what it uses, its score");
        choice
            .MapPost("/machines/{id:long}/choice/{loopKey}/trial", TryAsync)
            .WithName("tryKind")
            .WithSummary("Keeps a kind of drive as a trial, with its wheels, length, layout and loads begun");
    }

    private static async Task<Results<Ok<RecordedFigures>, NotFound>> RecordAsync(
        long id,
        string loopKey,
        MachineReader machines,
        LogStore log
    ) =>
        await FindAsync(id, loopKey, machines) is { } stored
            ? TypedResults.Ok(RecordedFigures.Of(stored, loopKey, await log.ListAsync(id, RecordedFigures.LogKinds)))
            : TypedResults.NotFound();

    private static async Task<Results<Created<Setup>, NotFound>> TryAsync(
        long id,
        string loopKey,
        KindToTry wanted,
        MachineReader machines,
        SetupStore setups,
        HttpContext context,
        CancellationToken ct
    )
    {
        if (await FindAsync(id, loopKey, machines) is not { } stored)
            return TypedResults.NotFound();
        KindTrial trial = KindTrial.Of(stored, loopKey, wanted.Kind);
        string name = MachineRules.FreeName(trial.Name, stored.Setups);
        return
            await setups.AddTrialAsync(context.Who(), id, new(name, trial.Loops, null, null), ct, trial.Kinds)
                is { } setup
            ? TypedResults.Created($"/api/setups/{setup.Id}", setup)
            : TypedResults.NotFound();
    }

    private static async Task<Results<Ok<ChoiceDesk>, NotFound>> WeighAsync(
        long id,
        string loopKey,
        ChoiceAsked asked,
        OptionsReader options,
        TimeProvider clock
    ) =>
        await options.FindAsync(id, loopKey, asked.Matter) is { } at
            ? TypedResults.Ok(ChoiceDesk.Of(at, asked.Weighing, DateOnly.FromDateTime(clock.GetLocalNow().DateTime)))
            : TypedResults.NotFound();

    /// <summary>The machine, where it has such a loop: both stand in the address.</summary>
    private static async Task<StoredMachine?> FindAsync(long id, string loopKey, MachineReader machines) =>
        await machines.FindAsync(id) is { } stored && stored.HasLoop(loopKey) ? stored : null;
}
