namespace Wendrak.Web;

/// <summary>
/// Refuses requests that were not made by Wendrak's own page on this computer: another Host (a rebound name), or
/// another Origin (a foreign page in the same browser).
/// </summary>
public sealed class SameOriginOnly(RequestDelegate next)
{
    private static readonly HashSet<string> OwnHosts = new(StringComparer.OrdinalIgnoreCase)
    {
        "127.0.0.1",
        "localhost",
        "[::1]",
    };

    public Task InvokeAsync(HttpContext context)
    {
        HttpRequest request = context.Request;
        bool ownHost = OwnHosts.Contains(request.Host.Host);
        string? origin = request.Headers.Origin;
        bool ownOrigin =
            origin is null
            || (Uri.TryCreate(origin, UriKind.Absolute, out Uri? uri) && uri.Authority == request.Host.Value);
        // A browser names where a request was started; a link from a foreign page is no reason to refuse the page itself.
        bool crossSite = request.Headers["Sec-Fetch-Site"] == "cross-site" && !HttpMethods.IsGet(request.Method);
        if (ownHost && ownOrigin && !crossSite)
            return next(context);
        return Results
            .Problem(
                statusCode: StatusCodes.Status403Forbidden,
                title: "Refused",
                detail: "Wendrak answers only its own page, opened on this computer."
            )
            .ExecuteAsync(context);
    }
}
