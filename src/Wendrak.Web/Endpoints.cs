using Wendrak.Core.Quantities;

namespace Wendrak.Web;

/// <summary>What all groups of endpoints share.</summary>
internal static class Endpoints
{
    /// <summary>Header with the name of the person at the page, for the record of changes.</summary>
    public const string WhoHeader = "X-Wendrak-Who";

    /// <summary>A group of computing endpoints: the whole input in, results and workings out.</summary>
    public static RouteGroupBuilder MapComputing(this IEndpointRouteBuilder app, string path, string tag) =>
        app.MapGroup(path).WithTags(tag).WithMetadata(Unreadable, Refusal).AddEndpointFilter(InputDoor.CheckAsync);

    /// <summary>A group of stored things: refusals, and conflicts with another window.</summary>
    public static RouteGroupBuilder MapStored(this IEndpointRouteBuilder app, string path, string tag) =>
        app.MapGroup(path)
            .WithTags(tag)
            .WithMetadata(Unreadable, Refusal, ChangedMeanwhile)
            .AddEndpointFilter(InputDoor.CheckAsync);

    /// <summary>Who makes a change. Percent-encoded by the page, since headers hold ASCII only.</summary>
    /// <exception cref="InvalidInputException">A name without end.</exception>
    public static string Who(this HttpContext context) =>
        Uri.UnescapeDataString(context.Request.Headers[WhoHeader].ToString()) is var who
        && who.Length <= Guard.LongestName
            ? who
            : throw new InvalidInputException(WhoHeader, "too_long", $"Give {Guard.LongestName} characters or fewer.");

    private static ProducesResponseTypeMetadata Unreadable { get; } =
        new(StatusCodes.Status400BadRequest, typeof(InvalidInputProblem), ["application/problem+json"]);

    private static ProducesResponseTypeMetadata Refusal { get; } =
        new(StatusCodes.Status422UnprocessableEntity, typeof(InvalidInputProblem), ["application/problem+json"]);

    private static ProducesResponseTypeMetadata ChangedMeanwhile { get; } =
        new(StatusCodes.Status409Conflict, typeof(ConflictProblem), ["application/problem+json"]);
}
