namespace Wendrak.Web;

/// <summary>Headers that keep a page from running or loading anything that did not ship with it.</summary>
public sealed class SecurityHeaders(RequestDelegate next)
{
    // Styles: the component library sets style attributes and one style element for its variables, hence
    // 'unsafe-inline' there and nowhere else. See docs/decisions/0006.
    private const string ContentPolicy =
        "default-src 'none'; script-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; "
        + "font-src 'self'; connect-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'";

    public Task InvokeAsync(HttpContext context)
    {
        IHeaderDictionary headers = context.Response.Headers;
        headers.ContentSecurityPolicy = ContentPolicy;
        headers.XContentTypeOptions = "nosniff";
        headers["Referrer-Policy"] = "no-referrer";
        headers["Cross-Origin-Opener-Policy"] = "same-origin";
        headers["Cross-Origin-Resource-Policy"] = "same-origin";
        return next(context);
    }
}
