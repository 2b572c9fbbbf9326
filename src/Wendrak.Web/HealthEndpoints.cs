using Microsoft.AspNetCore.Http.HttpResults;
using Wendrak.Store;

namespace Wendrak.Web;

/// <summary>How the data is.</summary>
/// <param name="Status">“ok”, or what is in the way of writing.</param>
/// <param name="Writes">Whether what is sent is stored.</param>
/// <param name="FreeMb">Left on the disk of the data, in millions of bytes.</param>
/// <param name="LastBackup">When the newest one was made; null when there is none.</param>
/// <param name="Damaged">What was found damaged since the start.</param>
public sealed record Health(
    string Status,
    bool Writes,
    long FreeMb,
    DateTimeOffset? LastBackup,
    IReadOnlyList<string> Damaged
);

/// <summary>The program answers.</summary>
public sealed record Alive(string Status);

public static class HealthEndpoints
{
    private const long LeastFreeMb = 20;

    public static void MapHealth(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder health = app.MapGroup("/health").WithTags("Health");
        health.MapGet("/live", () => TypedResults.Ok(new Alive("ok"))).WithName("live");
        health.MapGet("/", Ready).WithName("health");
    }

    private static Results<Ok<Health>, JsonHttpResult<Health>> Ready(Database database)
    {
        long free = new DriveInfo(database.Folder).AvailableFreeSpace / 1_000_000;
        StorageTrouble? trouble =
            database.Damage.IsAny ? StorageTrouble.Damaged
            : !database.IsInPlace ? StorageTrouble.Gone
            : free < LeastFreeMb ? StorageTrouble.Full
            : database.Trouble;
        Health health = new(
            trouble is { } t ? RefusalHandler.Code(t) : "ok",
            trouble is null,
            free,
            Backups.Of(database.Folder) is [var newest, ..] ? newest.At : null,
            database.Damage.Found
        );
        return trouble is null
            ? TypedResults.Ok(health)
            : TypedResults.Json(health, statusCode: StatusCodes.Status503ServiceUnavailable);
    }
}
