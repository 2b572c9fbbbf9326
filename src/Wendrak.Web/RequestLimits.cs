namespace Wendrak.Web;

/// <summary>How large a request may be.</summary>
public static class RequestLimits
{
    /// <summary>1 MB: the largest search and the largest machine file stay far below.</summary>
    public const long MostBytes = 1_000_000;

    /// <summary>Says the limit where the server cut a body off before any handler saw it.</summary>
    public static void Explain(ProblemDetailsContext context)
    {
        if (context.ProblemDetails.Status == StatusCodes.Status413PayloadTooLarge)
            context.ProblemDetails.Detail = $"Give at most {MostBytes / 1000} kB.";
    }
}
