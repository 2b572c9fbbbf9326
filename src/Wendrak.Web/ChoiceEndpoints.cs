using Microsoft.AspNetCore.Http.HttpResults;
using Wendrak.Core.Choices;
using Wendrak.Core.Evaluation;
using Wendrak.Store.Machines;

namespace Wendrak.Web;

/// <summary>What is weighed at a loop.</summary>
/// <param name="Matter">What is chosen: a key of the choices between parts; null for the kind of drive.</param>
/// <param name="Weighing">As it is being typed; null for what is stored, or for what one begins with.</param>
public sealed record ChoiceAsked(string? Matter = null, LoopWeighing? Weighing = null);

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
    }

    private static async Task<Results<Ok<ChoiceDesk>, NotFound>> WeighAsync(
        long id,
        string loopKey,
        ChoiceAsked asked,
        MachineReader machines,
        TimeProvider clock
    ) =>
        await machines.FindAsync(id) is { } stored
            ? TypedResults.Ok(
                ChoiceDesk.Of(
                    stored,
                    await machines.WorkshopAsync(),
                    loopKey,
                    asked.Matter,
                    asked.Weighing,
                    DateOnly.FromDateTime(clock.GetLocalNow().DateTime)
                )
            )
            : TypedResults.NotFound();
}
