using System.Text.Json;
using System.Text.RegularExpressions;
using Microsoft.AspNetCore.Diagnostics;
using Wendrak.Core.Quantities;
using Wendrak.Store;
using Wendrak.Store.Bodies;
using Wendrak.Store.Records;

namespace Wendrak.Web;

/// <summary>Turns every refusal into one kind of body. Our own faults are not caught: they end as a logged 500.</summary>
public sealed partial class RefusalHandler : IExceptionHandler
{
    public async ValueTask<bool> TryHandleAsync(HttpContext context, Exception exception, CancellationToken ct)
    {
        IResult? answer = exception switch
        {
            InvalidInputException e => Invalid(e.Issues, StatusCodes.Status422UnprocessableEntity),
            BadHttpRequestException { StatusCode: StatusCodes.Status413PayloadTooLarge } => Results.Problem(
                statusCode: StatusCodes.Status413PayloadTooLarge,
                detail: RequestLimits.Sentence(context)
            ),
            BadHttpRequestException e => Invalid(
                [Unreadable(e, await SentText.OfAsync(context))],
                StatusCodes.Status400BadRequest
            ),
            NotSupportedException { Source: JsonReader } e => Invalid(
                [WithoutKind(e)],
                StatusCodes.Status400BadRequest
            ),
            ChangedMeanwhileException e => Conflict(e.Message, e.Thing, e.Current),
            CannotUndoException e => Conflict(e.Message, "change", null),
            StillUsedException e => Conflict(e.Message, "held", null),
            StorageException e => Storage(e.Message, e.Trouble),
            DamagedException or UnreadableBodyException => Storage(exception.Message, StorageTrouble.Damaged),
            _ => null,
        };
        if (answer is null)
            return false;
        await answer.ExecuteAsync(context);
        return true;
    }

    /// <param name="status">400 for what can't be read, 422 for what was read and can't be.</param>
    private static IResult Invalid(IReadOnlyList<InputIssue> issues, int status)
    {
        InvalidInputProblem problem = new()
        {
            Status = status,
            Title = "The input was refused",
            Detail = string.Join(" ", issues.Select(i => i.Message)),
            Issues = issues,
        };
        return Results.Json(problem, statusCode: problem.Status, contentType: "application/problem+json");
    }

    /// <summary>“readOnly”, as the wire spells it.</summary>
    public static string Code(StorageTrouble trouble) => JsonNamingPolicy.CamelCase.ConvertName(trouble.ToString());

    private static IResult Storage(string message, StorageTrouble trouble)
    {
        StorageProblem problem = new()
        {
            Status =
                trouble == StorageTrouble.Full
                    ? StatusCodes.Status507InsufficientStorage
                    : StatusCodes.Status503ServiceUnavailable,
            Title = "The data can't be used",
            Detail = message,
            Trouble = Code(trouble),
        };
        return Results.Json(problem, statusCode: problem.Status, contentType: "application/problem+json");
    }

    private static IResult Conflict(string message, string thing, object? current)
    {
        ConflictProblem problem = new()
        {
            Status = StatusCodes.Status409Conflict,
            Title = "Changed meanwhile",
            Detail = message,
            Thing = thing,
            Current = current,
        };
        return Results.Json(problem, statusCode: problem.Status, contentType: "application/problem+json");
    }

    /// <summary>Where reading stopped, in the words of the reader of JSON; nothing of the content is repeated.</summary>
    private static InputIssue Unreadable(BadHttpRequestException exception, byte[] sent)
    {
        if (exception.InnerException is not JsonException json)
            return Parameter().Match(exception.Message) is { Success: true } named
                ? new(named.Groups[1].Value, "unreadable", "Give a value of the right kind in the address.")
                : new("", "unreadable", "Give the JSON that the API description asks for.");
        string path = json.Path is { Length: > 1 } p ? p[1..].TrimStart('.') : UnreadablePlace.Of(sent);
        string at = json.LineNumber is long line ? $" Reading stopped at line {line + 1}." : "";
        string message = json.Message.Contains("missing required", StringComparison.Ordinal)
            ? "A required field is missing: " + MissingFields(json.Message)
            : "This is not the JSON that was asked for: a number, text or list of the right kind is wanted here.";
        return new(path, "unreadable", message + at);
    }

    private const string JsonReader = "System.Text.Json";

    /// <summary>Something that comes in several kinds does not say which; the reader of JSON has no refusal of its own for that.</summary>
    private static InputIssue WithoutKind(NotSupportedException exception)
    {
        Match path = PathInMessage().Match(exception.Message);
        string at = path.Success ? path.Groups[1].Value.TrimStart('.') : "";
        return new(at.Length == 0 ? "kind" : $"{at}.kind", "missing", "Say of which kind it is.");
    }

    [GeneratedRegex("parameter \"\\S+ (\\w+)\"", RegexOptions.CultureInvariant)]
    private static partial Regex Parameter();

    [GeneratedRegex(@"Path: \$([^ |]*)", RegexOptions.CultureInvariant)]
    private static partial Regex PathInMessage();

    private static string MissingFields(string message)
    {
        int colon = message.LastIndexOf(':');
        return colon < 0 ? "see the API description." : message[(colon + 1)..].Trim().TrimEnd('.') + ".";
    }
}
