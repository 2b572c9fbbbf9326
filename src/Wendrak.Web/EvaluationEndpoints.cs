using System.Text.Json;
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
        app.MapComputing("/api", "Evaluation")
            .MapPost("/evaluation", AnswerAsync)
            .Accepts<EvaluationQuestion>("application/json")
            .Produces<EvaluationAnswer>()
            .Produces(StatusCodes.Status404NotFound)
            .WithName("evaluate")
            .WithSummary("Everything that is wanted to be known of a machine, in one question");

    private static async Task<IResult> AnswerAsync(
        HttpContext context,
        MachineReader machines,
        KnownAnswers known,
        TimeProvider clock,
        CancellationToken ct
    )
    {
        if (!context.Request.HasJsonContentType())
            return TypedResults.StatusCode(StatusCodes.Status415UnsupportedMediaType);
        using StreamReader reader = new(context.Request.Body);
        string text = await reader.ReadToEndAsync(ct);
        if (known.Find(text) is { } before)
            return PackedAnswer.For(context, before);
        long commits = known.Commits;
        EvaluationQuestion question = Read(text);
        InputDoor.Check(question);
        if (await EvaluateAsync(question, machines, clock) is not { } answer)
            return TypedResults.NotFound();
        byte[] bytes = JsonSerializer.SerializeToUtf8Bytes(answer, Json.Brief);
        known.Keep(commits, text, bytes);
        return PackedAnswer.For(context, bytes);
    }

    /// <exception cref="BadHttpRequestException">It is not the JSON that is asked for; where reading stopped is told.</exception>
    private static EvaluationQuestion Read(string text)
    {
        try
        {
            return JsonSerializer.Deserialize<EvaluationQuestion>(text, Json.Options)
                ?? throw new JsonException("null");
        }
        catch (JsonException e)
        {
            throw new BadHttpRequestException("This is no question.", e);
        }
    }

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
            : StoredMachine.From(PracticeMachine(question.PracticeMachine), clock.Today());
        if (machine is null)
            return null;
        Workshop? workshop =
            question.Parts.NeedsYard ? await machines.WorkshopAndYardAsync()
            : question.Parts.NeedsWorkshop ? await machines.WorkshopAsync()
            : null;
        return MachineEvaluation.Answer(machine, workshop, question.Scope, question.Parts);
    }

    private static MachineDraft PracticeMachine(string? name) =>
        PracticeMachines.All.FirstOrDefault(m => m.Machine.Name == name)
        ?? throw new InvalidInputException(
            nameof(EvaluationQuestion.PracticeMachine),
            "unknown",
            "Name a machine to practise on, or give the number of a stored one."
        );
}
