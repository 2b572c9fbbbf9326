using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Http.Metadata;

namespace Wendrak.Web;

/// <summary>How large a request may be.</summary>
public static class RequestLimits
{
    /// <summary>1 MB: the largest search stays far below.</summary>
    public const long MostBytes = 1_000_000;

    /// <summary>A minute of sound: 16 bit, two channels, 48 000 samples a second.</summary>
    public const long MostSoundBytes = 12_000_000;

    /// <summary>20 MB: the finest a phone takes.</summary>
    public const long MostPhotoBytes = 20_000_000;

    /// <summary>100 MB: half a million lines with words.</summary>
    public const long MostLogBytes = 100_000_000;

    /// <summary>300 MB: a million points of GPX with all that a device adds.</summary>
    public const long MostTraceBytes = 300_000_000;

    /// <summary>A machine with ten thousand visits.</summary>
    public const long MostFileBytes = 500_000_000;

    /// <summary>A workshop with years of photos.</summary>
    public const long MostBackupBytes = 20_000_000_000;

    /// <summary>Says the limit where the server cut a body off before any handler saw it.</summary>
    public static void Explain(ProblemDetailsContext context)
    {
        if (context.ProblemDetails.Status == StatusCodes.Status413PayloadTooLarge)
            context.ProblemDetails.Detail = Sentence(context.HttpContext);
    }

    public static string Sentence(HttpContext context) => $"Give at most {MostOf(context) / 1000} kB.";

    private static long MostOf(HttpContext context)
    {
        // Once something was thrown the endpoint is only known to the handler of exceptions.
        Endpoint? endpoint = context.GetEndpoint() ?? context.Features.Get<IExceptionHandlerFeature>()?.Endpoint;
        return endpoint?.Metadata.GetMetadata<IRequestSizeLimitMetadata>()?.MaxRequestBodySize ?? MostBytes;
    }
}

/// <summary>How large the requests of one endpoint may be.</summary>
/// <param name="MaxRequestBodySize">Bytes.</param>
internal sealed record RequestSizeLimit(long? MaxRequestBodySize) : IRequestSizeLimitMetadata;
