namespace Wendrak.Web;

/// <summary>How large a request may be.</summary>
public static class RequestLimits
{
    /// <summary>1 MB: the largest search and the largest machine file stay far below.</summary>
    public const long MostBytes = 1_000_000;
}
