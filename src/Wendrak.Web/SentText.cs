namespace Wendrak.Web;

/// <summary>Keeps the JSON of a request until it is answered: where it can't be read, it is told at which place.</summary>
public sealed class SentText(RequestDelegate next)
{
    public Task InvokeAsync(HttpContext context)
    {
        // What comes without its length, or is long, is read as it comes and told without a place.
        if (context.Request is { ContentLength: <= Most } request && request.HasJsonContentType())
            request.EnableBuffering(Most);
        return next(context);
    }

    private const int Most = 64 * 1024;

    /// <summary>What was sent; empty where it was not kept.</summary>
    internal static async Task<byte[]> OfAsync(HttpContext context)
    {
        if (!context.Request.Body.CanSeek)
            return [];
        context.Request.Body.Position = 0;
        using MemoryStream copy = new();
        await context.Request.Body.CopyToAsync(copy, context.RequestAborted);
        return copy.ToArray();
    }
}
