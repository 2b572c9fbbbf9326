using Microsoft.AspNetCore.Http.HttpResults;
using Wendrak.Core.Quantities;
using Wendrak.Store;
using Wendrak.Store.Machines;

namespace Wendrak.Web;

/// <summary>A backup that is there.</summary>
/// <param name="Name">Of its file, in the backups of the data folder.</param>
/// <param name="At">When it was made.</param>
public sealed record BackupMade(string Name, DateTimeOffset At);

/// <summary>A backup to go back to, among those that were made by themselves.</summary>
/// <param name="Name">Of the backup’s file, without a folder.</param>
public sealed record BackupName(string Name);

/// <summary>A backup that was looked through and is to be restored.</summary>
/// <param name="Token">Of the backup that was looked through.</param>
public sealed record RestoreToken(string Token);

public static class BackupEndpoints
{
    public static void MapBackups(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder backups = app.MapStored("/api/backups", "Backups");
        backups.MapGet("/", List).WithName("listBackups").WithSummary("Backups that are kept");
        backups
            .MapGet("/whole", WholeAsync)
            .WithName("downloadBackup")
            .WithSummary("All data as one backup file")
            .Produces<Stream>(contentType: "application/zip");
        backups
            .MapGet("/open", OpenAsync)
            .WithName("downloadWorkshop")
            .WithSummary("All data in open formats: JSON and CSV in one archive")
            .Produces<Stream>(contentType: "application/zip");
        backups
            .MapPost("/preview", PreviewAsync)
            .Accepts<Stream>("application/octet-stream")
            .WithMetadata(new RequestSizeLimit(RequestLimits.MostBackupBytes))
            .WithName("previewRestore")
            .WithSummary("What a backup that is sent would bring back and take away");
        backups
            .MapPost("/preview-kept", PreviewKept)
            .WithName("previewKeptBackup")
            .WithSummary("The same of a backup that is kept");
        backups
            .MapPost("/restore", RestoreAsync)
            .WithName("restoreBackup")
            .WithSummary("Goes back to a backup; what is there is put aside");
    }

    private static Ok<List<BackupMade>> List(Database database) =>
        TypedResults.Ok(
            Backups.List(database.Folder).Select(m => new BackupMade(Path.GetFileName(m.File), m.At)).ToList()
        );

    private static async Task<PhysicalFileHttpResult> WholeAsync(
        Database database,
        TimeProvider clock,
        HttpContext context
    )
    {
        string zip = PassingFile.Name(database, context, ".zip");
        await Task.Run(() => BackupZip.Write(database.Folder, zip));
        return TypedResults.PhysicalFile(zip, "application/zip", $"wendrak-{clock.GetLocalNow():yyyy-MM-dd-HHmm}.zip");
    }

    private static async Task<PhysicalFileHttpResult> OpenAsync(
        WorkshopExport export,
        Database database,
        TimeProvider clock,
        HttpContext context
    )
    {
        string zip = PassingFile.Name(database, context, ".json.zip");
        await using (FileStream file = File.Create(zip))
            await export.WriteAsync(file);
        return TypedResults.PhysicalFile(zip, "application/zip", $"workshop-{clock.GetLocalNow():yyyy-MM-dd-HHmm}.zip");
    }

    private static async Task<Ok<RestorePreview>> PreviewAsync(
        Stream backup,
        Database database,
        Restoring restoring,
        HttpContext context,
        CancellationToken ct
    )
    {
        string file = PassingFile.Name(database, context, ".upload");
        await using (FileStream upload = File.Create(file))
            await backup.CopyToAsync(upload, ct);
        return TypedResults.Ok(await Task.Run(() => Staged(restoring, file), ct));
    }

    private static Results<Ok<RestorePreview>, NotFound> PreviewKept(
        BackupName backup,
        Database database,
        Restoring restoring
    ) =>
        Backups.List(database.Folder).FirstOrDefault(m => Path.GetFileName(m.File) == backup.Name) is { } made
            ? TypedResults.Ok(Staged(restoring, made.File))
            : TypedResults.NotFound();

    private static RestorePreview Staged(Restoring restoring, string file)
    {
        try
        {
            return restoring.Stage(file);
        }
        catch (DataFileException e)
        {
            throw new InvalidInputException("backup", "not_a_backup", e.Message);
        }
    }

    private static async Task<Results<Ok<BackupMade>, NotFound>> RestoreAsync(
        RestoreToken restore,
        Restoring restoring,
        HttpContext context
    ) =>
        await restoring.RestoreAsync(restore.Token, context.Who()) is { } kept
            ? TypedResults.Ok(new BackupMade(Path.GetFileName(kept.File), kept.At))
            : TypedResults.NotFound();
}
