using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Wendrak.Core.Quantities;
using Wendrak.Store;
using Wendrak.Store.Machines;

namespace Wendrak.Web;

/// <summary>A backup that is there.</summary>
/// <param name="Name">Of its file, in the backups of the data folder.</param>
public sealed record BackupMade(string Name, DateTimeOffset At);

/// <summary>A backup to go back to, among those that were made by themselves.</summary>
public sealed record BackupName(string Name);

/// <summary>A backup that was looked through and is to be restored.</summary>
public sealed record RestoreToken(string Token);

public static class BackupEndpoints
{
    public static void MapBackups(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder backups = app.MapStored("/api/backups", "Backups");
        backups.MapGet("/", List).WithName("listBackups");
        backups
            .MapGet("/whole", WholeAsync)
            .WithName("downloadBackup")
            .Produces<Stream>(contentType: "application/zip");
        backups
            .MapGet("/open", OpenAsync)
            .WithName("downloadWorkshop")
            .Produces<Stream>(contentType: "application/zip");
        backups
            .MapPost("/preview", PreviewAsync)
            .Accepts<Stream>("application/octet-stream")
            .WithMetadata(new RequestSizeLimitAttribute(RequestLimits.MostBackupBytes))
            .WithName("previewRestore");
        backups.MapPost("/preview-kept", PreviewKept).WithName("previewKeptBackup");
        backups.MapPost("/restore", RestoreAsync).WithName("restoreBackup");
    }

    private static Ok<List<BackupMade>> List(Database database) =>
        TypedResults.Ok(
            Backups.Of(database.Folder).Select(m => new BackupMade(Path.GetFileName(m.File), m.At)).ToList()
        );

    private static async Task<PhysicalFileHttpResult> WholeAsync(
        Database database,
        TimeProvider clock,
        HttpContext context
    )
    {
        string zip = Temporary(database, context, ".zip");
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
        string zip = Temporary(database, context, ".json.zip");
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
        string file = Temporary(database, context, ".upload");
        await using (FileStream upload = File.Create(file))
            await backup.CopyToAsync(upload, ct);
        return TypedResults.Ok(await Task.Run(() => Staged(restoring, file), ct));
    }

    private static Results<Ok<RestorePreview>, NotFound> PreviewKept(
        BackupName asked,
        Database database,
        Restoring restoring
    ) =>
        Backups.Of(database.Folder).FirstOrDefault(m => Path.GetFileName(m.File) == asked.Name) is { } made
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
        RestoreToken asked,
        Restoring restoring,
        HttpContext context
    ) =>
        await restoring.RestoreAsync(asked.Token, context.Who()) is { } kept
            ? TypedResults.Ok(new BackupMade(Path.GetFileName(kept.File), kept.At))
            : TypedResults.NotFound();

    /// <summary>Beside the data, where there is room for it; gone once the answer is given.</summary>
    private static string Temporary(Database database, HttpContext context, string suffix)
    {
        string folder = Path.Combine(database.Folder, Beginning.PassingName);
        Directory.CreateDirectory(folder);
        string file = Path.Combine(folder, Guid.NewGuid().ToString("N") + suffix);
        context.Response.OnCompleted(() =>
        {
            File.Delete(file);
            return Task.CompletedTask;
        });
        return file;
    }
}
