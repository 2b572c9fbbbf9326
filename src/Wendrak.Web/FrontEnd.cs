using Microsoft.Extensions.FileProviders;

namespace Wendrak.Web;

/// <summary>Serves the built front end: hashed assets for ever, the page itself asked for anew each time.</summary>
public static class FrontEnd
{
    /// <summary>Folder of the built page; there is none where the API alone is tested.</summary>
    public static string Root { get; } =
        Environment.GetEnvironmentVariable("WENDRAK_FRONT_END") ?? Path.Combine(AppContext.BaseDirectory, "front-end");

    public static void MapFrontEnd(this WebApplication app)
    {
        if (!Directory.Exists(Root))
            return;
        PhysicalFileProvider files = new(Root);
        StaticFileOptions options = new()
        {
            FileProvider = files,
            ContentTypeProvider = new PackedFiles.ContentTypes(),
            OnPrepareResponse = context =>
                context.Context.Response.Headers.CacheControl = context.Context.Request.Path.StartsWithSegments(
                    "/assets"
                )
                    ? "public, max-age=31536000, immutable"
                    : "no-cache",
        };
        app.UsePackedFiles(files);
        app.UseStaticFiles(options);
        // An unknown API address stays a 404; addresses of the page's own views come back as the page.
        app.Map("/api/{**rest}", () => Results.NotFound()).WithOrder(int.MaxValue);
        app.MapFallbackToFile("index.html", options);
    }
}
