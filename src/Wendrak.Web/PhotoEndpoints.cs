using Microsoft.AspNetCore.Http.HttpResults;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Store;
using Wendrak.Store.Machines;

namespace Wendrak.Web;

public static class PhotoEndpoints
{
    // What lies under a hash never changes.
    private const string ForEver = "private, max-age=31536000, immutable";

    public static void MapPhotos(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder photos = app.MapStored("/api", "Photos");
        photos
            .MapPost("/jobs/{id:long}/photos", AddAsync)
            .Accepts<Stream>("image/jpeg", "image/png", "image/webp")
            .WithMetadata(new RequestSizeLimit(RequestLimits.MostPhotoBytes))
            .WithName("addPhoto")
            .WithSummary("Puts a photo with a job: written anew, upright, without where and by what it was taken");
        photos
            .MapGet("/photos/{hash}", Find)
            .WithName("readPhoto")
            .WithSummary("A stored picture")
            .Produces<Stream>(contentType: "image/jpeg");
    }

    /// <param name="key">The sender's own: sent twice with the same key it counts once.</param>
    /// <param name="shows">What it shows: anything, freePlay, gap or span; left out for anything.</param>
    /// <param name="loopKey">Of the loop it shows; left out for none.</param>
    /// <param name="round">It goes with this round of that loop, 0 as found; left out for none.</param>
    /// <param name="about">In free words; left out for none.</param>
    /// <param name="finding">What was seen and is shown on it, as it was said; left out for none.</param>
    /// <param name="step">It goes with this step of the plan; left out for none.</param>
    private static async Task<Results<Created<JobSheet>, NotFound>> AddAsync(
        long id,
        Stream picture,
        string key,
        JobStore store,
        PictureDesk desk,
        Database database,
        HttpContext context,
        CancellationToken ct,
        string? shows = null,
        string? loopKey = null,
        int? round = null,
        string? about = null,
        string? step = null,
        string? finding = null
    )
    {
        // A word of the address is not read by the JSON settings, which spell it in camelCase: so it is read here.
        if (!Enum.TryParse(shows ?? nameof(PhotoShows.Anything), ignoreCase: true, out PhotoShows what))
            throw new InvalidInputException("shows", "unknown", "Say what it shows in one of the words for it.");
        string Passing(string suffix) => PassingFile.Name(database, context, suffix);
        (string sent, string kept, string small) = (Passing(".sent"), Passing(".jpg"), Passing(".small.jpg"));
        await using (FileStream file = File.Create(sent))
            await picture.CopyToAsync(file, ct);
        PictureFile made = await desk.MakeAsync(sent, kept, small, ct);
        PhotoTaken taken = new("", 0, 0, null, what, loopKey, round, about, step, finding);
        return await store.AddPhotoAsync(context.Who(), id, key, taken, made, ct) is { } job
            ? TypedResults.Created($"/api/jobs/{job.Id}", job)
            : TypedResults.NotFound();
    }

    /// <param name="small">Whether the smaller one will do.</param>
    private static Results<PhysicalFileHttpResult, NotFound> Find(
        string hash,
        Database database,
        HttpContext context,
        bool small = false
    )
    {
        if (Attachments.Find(database.Folder, hash, small) is not { } file)
            return TypedResults.NotFound();
        context.Response.Headers.CacheControl = ForEver;
        return TypedResults.PhysicalFile(Path.GetFullPath(file), "image/jpeg");
    }
}
