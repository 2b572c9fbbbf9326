using Microsoft.AspNetCore.Http.HttpResults;
using Wendrak.Core.Evaluation;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Store;
using Wendrak.Store.Machines;

namespace Wendrak.Web;

/// <summary>Everything a page wants to know of a machine, in one question.</summary>
/// <param name="MachineId">A stored machine; null for one to practise on.</param>
/// <param name="PracticeMachine">Name of a machine to practise on; null for a stored one.</param>
public sealed record EvaluationQuestion(
    EvaluationScope Scope,
    EvaluationParts Parts,
    long? MachineId = null,
    string? PracticeMachine = null
);

public static class EvaluationEndpoints
{
    public static void MapEvaluation(this IEndpointRouteBuilder app) =>
        app.MapComputing("/api", "Evaluation").MapPost("/evaluation", AnswerAsync).WithName("evaluate");

    private static async Task<Results<Ok<EvaluationAnswer>, NotFound>> AnswerAsync(
        EvaluationQuestion question,
        MachineReader machines,
        TimeProvider clock
    ) =>
        await EvaluateAsync(question, machines, clock) is { } answer
            ? TypedResults.Ok(answer)
            : TypedResults.NotFound();

    /// <returns>Null when there is no such machine.</returns>
    /// <exception cref="InvalidInputException">The question names something that is not there, or no machine.</exception>
    internal static async Task<EvaluationAnswer?> EvaluateAsync(
        EvaluationQuestion question,
        MachineReader machines,
        TimeProvider clock
    )
    {
        StoredMachine? machine = question.MachineId is long id
            ? await machines.FindAsync(id)
            : StoredMachine.Of(PracticeMachine(question.PracticeMachine), clock.Today());
        if (machine is null)
            return null;
        Workshop? workshop = question.Parts.NeedsWorkshop ? await machines.WorkshopAsync() : null;
        return MachineEvaluation.Of(machine, workshop, question.Scope, question.Parts);
    }

    private static MachineDraft PracticeMachine(string? name) =>
        PracticeMachines.All.FirstOrDefault(m => m.Machine.Name == name)
        ?? throw new InvalidInputException(
            nameof(EvaluationQuestion.PracticeMachine),
            "unknown",
            "Name a machine to practise on, or give the number of a stored one."
        );
}
