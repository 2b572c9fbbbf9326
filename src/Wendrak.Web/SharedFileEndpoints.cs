using Microsoft.AspNetCore.Http.HttpResults;
using Wendrak.Core.Procedures;
using Wendrak.Core.Sharing;
using Wendrak.Store.Machines;

namespace Wendrak.Web;

/// <summary>What one workshop hands to another, and what reading it in would change.</summary>
public static class SharedFileEndpoints
{
    public static void MapSharedFiles(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder files = app.MapStored("/api", "Shared files");
        files
            .MapGet("/machines/{id:long}/procedures/{family}/file", WriteProcedureAsync)
            .WithName("shareProcedure")
            .WithSummary("What a machine has of its own beside a procedure, as a file for other workshops");
        files
            .MapGet("/gearbox-sets/{id:long}/file", WriteSetAsync)
            .WithName("shareGearboxSet")
            .WithSummary("A set of gears as a file for other workshops");
        files
            .MapGet("/machines/{id:long}/aims/file", WriteAimsAsync)
            .WithName("shareAims")
            .WithSummary("Aims of a drive for one venue, as a file for other workshops; what was tried stays here");
        files
            .MapPost("/shared-files/compare", CompareAsync)
            .WithName("compareShared")
            .WithSummary("What taking a shared file in would change; nothing is stored");
        files
            .MapPost("/shared-files/take", TakeAsync)
            .WithName("takeShared")
            .WithSummary("Takes a shared file in, as one change that can be undone");
    }

    // A route value is not read by the JSON settings, which spell families in camelCase: so it is read here.
    private static async Task<Results<Ok<SharedFile>, NotFound>> WriteProcedureAsync(
        long id,
        string family,
        string author,
        SharedFiles files
    ) =>
        Enum.TryParse(family, ignoreCase: true, out ProcedureFamily known) && Enum.IsDefined(known)
            ? Found(await files.WriteProcedureAsync(id, known, author))
            : TypedResults.NotFound();

    private static async Task<Results<Ok<SharedFile>, NotFound>> WriteSetAsync(
        long id,
        string author,
        SharedFiles files
    ) => Found(await files.WriteSetAsync(id, author));

    private static async Task<Results<Ok<SharedFile>, NotFound>> WriteAimsAsync(
        long id,
        string drive,
        string venue,
        string author,
        SharedFiles files
    ) => Found(await files.WriteAimsAsync(id, drive, venue, author));

    private static async Task<Ok<SharedDifferences>> CompareAsync(SharedTake take, SharedFiles files) =>
        TypedResults.Ok(await files.CompareAsync(take));

    private static async Task<Ok<SharedDifferences>> TakeAsync(
        SharedTake take,
        SharedFiles files,
        HttpContext context,
        CancellationToken ct
    ) => TypedResults.Ok(await files.TakeAsync(context.Who(), take, ct));

    private static Results<Ok<SharedFile>, NotFound> Found(SharedFile? file) =>
        file is null ? TypedResults.NotFound() : TypedResults.Ok(file);
}
