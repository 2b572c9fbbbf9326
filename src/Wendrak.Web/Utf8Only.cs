using Microsoft.Net.Http.Headers;

namespace Wendrak.Web;

/// <summary>Refuses text that is not UTF-8, the only way JSON is exchanged between programs. Source: RFC 8259, 8.1.</summary>
public sealed class Utf8Only(RequestDelegate next)
{
    public Task InvokeAsync(HttpContext context)
    {
        string? declared = context.Request.ContentType;
        if (
            declared is null
            || (
                MediaTypeHeaderValue.TryParse(declared, out MediaTypeHeaderValue? type)
                && (type.Charset.Length == 0 || type.Charset.Equals("utf-8", StringComparison.OrdinalIgnoreCase))
            )
        )
            return next(context);
        return Results
            .Problem(
                statusCode: StatusCodes.Status415UnsupportedMediaType,
                title: "The input was refused",
                detail: "Send JSON in UTF-8: content-type application/json, with no other charset."
            )
            .ExecuteAsync(context);
    }
}
