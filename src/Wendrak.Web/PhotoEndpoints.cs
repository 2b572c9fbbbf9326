using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Wendrak.Core.Records;
using Wendrak.Store;
using Wendrak.Store.Machines;

namespace Wendrak.Web;

/// <summary>What is said of a photo that is sent.</summary>
/// <param name="Key">The sender's own: sent twice with the same key it counts once.</param>
/// <param name="Shows">What it shows.</param>
/// <param name="LoopKey">Of the loop it shows; null for none.</param>
/// <param name="Round">It goes with this round of that loop, 0 as found; null for none.</param>
/// <param name="About">In free words; null for none.</param>
public sealed record SentPhoto(
    string Key,
    PhotoShows Shows = PhotoShows.Anything,
    string? LoopKey = null,
    int? Round = null,
    string? About = null
);

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
            .WithMetadata(new RequestSizeLimitAttribute(RequestLimits.MostPhotoBytes))
            .WithName("addPhoto")
            .WithSummary("Puts a photo with a job: written anew, upright, without where and by what it was taken");
        photos
            .MapGet("/photos/{hash}", Find)
            .WithName("readPhoto")
            .WithSummary("A stored picture")
            .Produces<Stream>(contentType: "image/jpeg");
    }

    /// <param name="said">What is said of it.</param>
    private static async Task<Results<Created<JobSheet>, NotFound>> AddAsync(
        long id,
        Stream picture,
        [AsParameters] SentPhoto said,
        JobStore store,
        PictureDesk desk,
        Database database,
        HttpContext context,
        CancellationToken ct
    )
    {
        string Passing(string suffix) => PassingFile.Name(database, context, suffix);
        (string sent, string kept, string small) = (Passing(".sent"), Passing(".jpg"), Passing(".small.jpg"));
        await using (FileStream file = File.Create(sent))
            await picture.CopyToAsync(file, ct);
        PictureFile made = await desk.MakeAsync(sent, kept, small, ct);
        PhotoTaken taken = new("", 0, 0, null, said.Shows, said.LoopKey, said.Round, said.About);
        return await store.AddPhotoAsync(context.Who(), id, said.Key, taken, made, ct) is { } job
            ? TypedResults.Created($"/api/photos/{job.Photos[^1].Hash}", job)
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
