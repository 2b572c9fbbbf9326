using Microsoft.AspNetCore.Http.HttpResults;
using Wendrak.Store;

namespace Wendrak.Web;

/// <summary>How the data is.</summary>
/// <param name="Status">“ok”, “nearlyFull”, or what is in the way of writing.</param>
/// <param name="Message">What is the matter and what to do, in a sentence; null when all is well.</param>
/// <param name="Writes">Whether what is sent is stored.</param>
/// <param name="FreeMb">Left on the disk of the data, in millions of bytes.</param>
/// <param name="LastBackup">When the newest one was made; null when there is none.</param>
/// <param name="Damaged">What was found damaged since the start.</param>
public sealed record Health(
    string Status,
    string? Message,
    bool Writes,
    long FreeMb,
    DateTimeOffset? LastBackup,
    IReadOnlyList<string> Damaged
);

/// <summary>The program answers.</summary>
/// <param name="Status">“ok”.</param>
/// <param name="Build">The same as in the header of every answer.</param>
public sealed record Alive(string Status, string Build);

public static class HealthEndpoints
{
    private const long LeastFreeMb = 20;

    public static void MapHealth(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder health = app.MapGroup("/health").WithTags("Health");
        health
            .MapGet("/live", () => TypedResults.Ok(new Alive("ok", BuildId.Value)))
            .WithName("live")
            .WithSummary("Whether the program answers");
        health
            .MapGet("/", ReadyAsync)
            .WithName("health")
            .WithSummary("How the data is: whether it can be written, what is in the way, the newest backup");
    }

    private static async Task<Results<Ok<Health>, JsonHttpResult<Health>>> ReadyAsync(
        Database database,
        CancellationToken ct
    )
    {
        StorageTrouble? trouble = await database.TroubleNowAsync(ct);
        long free = new DriveInfo(database.Folder).AvailableFreeSpace / 1_000_000;
        bool isNearlyFull = trouble is null && free < LeastFreeMb;
        Health health = new(
            trouble is { } t ? RefusalHandler.Code(t)
                : isNearlyFull ? "nearlyFull"
                : "ok",
            trouble is { } found ? StorageException.Sentence(found)
                : isNearlyFull ? $"The disk is nearly full ({free} MB left): soon nothing can be stored. Make room."
                : null,
            trouble is null,
            free,
            Backups.List(database.Folder) is [var newest, ..] ? newest.At : null,
            database.Damage.Found
        );
        return trouble is null
            ? TypedResults.Ok(health)
            : TypedResults.Json(health, statusCode: StatusCodes.Status503ServiceUnavailable);
    }
}
