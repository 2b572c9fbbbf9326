namespace Wendrak.Web;

/// <summary>Headers that keep a page from running or loading anything that did not ship with it, on every answer and error.</summary>
public sealed class SecurityHeaders(RequestDelegate next)
{
    // Styles: the component library sets style attributes and one style element for its variables, hence
    // 'unsafe-inline' there and nowhere else. See docs/decisions/0006.
    private const string ContentPolicy =
        "default-src 'none'; script-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; "
        + "font-src 'self'; connect-src 'self'; worker-src 'self'; manifest-src 'self'; base-uri 'none'; "
        + "form-action 'none'; frame-ancestors 'none'";

    // The reference of the API starts itself from a line of script in its page, which holds nothing that was sent.
    private const string ReferencePolicy =
        "default-src 'none'; script-src 'self' 'unsafe-inline'; style-src 'self' 'unsafe-inline'; "
        + "img-src 'self' data: blob:; font-src 'self' data:; connect-src 'self'; base-uri 'none'; form-action 'none'; "
        + "frame-ancestors 'none'";

    // Ears and eyes for its own page; nothing else of the device.
    private const string Permissions =
        "microphone=(self), camera=(self), geolocation=(), display-capture=(), payment=(), usb=(), serial=(), bluetooth=()";

    public Task InvokeAsync(HttpContext context)
    {
        // Set as the answer starts: an error throws away what stood there before.
        context.Response.OnStarting(
            static state =>
            {
                HttpContext answering = (HttpContext)state;
                IHeaderDictionary headers = answering.Response.Headers;
                headers.ContentSecurityPolicy = answering.Request.Path.StartsWithSegments(ApiReference.Path)
                    ? ReferencePolicy
                    : ContentPolicy;
                headers.XContentTypeOptions = "nosniff";
                headers["Referrer-Policy"] = "no-referrer";
                headers["Permissions-Policy"] = Permissions;
                headers["Cross-Origin-Opener-Policy"] = "same-origin";
                headers["Cross-Origin-Resource-Policy"] = "same-origin";
                // The page's own files say for how long; data and errors are kept by nobody.
                if (headers.CacheControl.Count == 0)
                    headers.CacheControl = "no-store";
                return Task.CompletedTask;
            },
            context
        );
        return next(context);
    }
}
