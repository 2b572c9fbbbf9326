using Wendrak.Core.Quantities;

namespace Wendrak.Web;

/// <summary>A part of a list, where not all of it is wanted at once: the answer's `Link` header tells where the rest is (RFC 8288).</summary>
internal static class ListPart
{
    /// <summary>Most of a list that may be asked for by number; without a number all of it is told.</summary>
    private const int MostAtOnce = 1_000;

    /// <param name="after">Id of the last one read; null to begin.</param>
    /// <param name="most">How many at most; null for all.</param>
    /// <exception cref="InvalidInputException">The number is out of bounds, or the last one read is not there any more.</exception>
    public static IReadOnlyList<T> Take<T>(
        IReadOnlyList<T> all,
        Func<T, long> id,
        long? after,
        int? most,
        HttpContext context
    )
    {
        int begin = after is null ? 0 : all.ToList().FindIndex(t => id(t) == after) + 1;
        new Guard()
            .BetweenIfGiven(nameof(most), most, 1, MostAtOnce, "")
            .That(
                after is null || begin > 0,
                nameof(after),
                "unknown",
                "Begin anew: what was read last is not there any more."
            )
            .ThrowIfAny();
        T[] part = [.. all.Skip(begin).Take(most ?? int.MaxValue)];
        if (begin + part.Length < all.Count)
            context.Response.Headers.Link =
                $"<{context.Request.Path}?after={id(part[^1])}&most={part.Length}>; rel=\"next\"";
        return part;
    }
}
