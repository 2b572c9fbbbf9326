namespace Wendrak.Core.Records;

/// <summary>Parts that went into the machine at a job.</summary>
/// <param name="Entry">Number of the entry that says so: undone by it.</param>
/// <param name="What">What they are.</param>
/// <param name="Count">How many.</param>
/// <param name="UnitPrice">What one cost; null when not known.</param>
/// <param name="Price">Of all of them; null when not known.</param>
/// <param name="IsFromStock">Whether Stock holds so many fewer since.</param>
/// <param name="Who">Null where nobody said.</param>
/// <param name="At">When it was written down.</param>
public sealed record JobPart(
    long Entry,
    string What,
    int Count,
    double? UnitPrice,
    double? Price,
    bool IsFromStock,
    string? Who,
    DateTimeOffset At
)
{
    internal static JobPart From(JobEntry entry, PartUsed used) =>
        new(
            entry.Sequence,
            used.What,
            used.Count,
            used.UnitPrice,
            used.Count * used.UnitPrice,
            used.From is not null,
            entry.Actor,
            entry.At
        );
}

/// <summary>What the parts of a job cost together.</summary>
/// <param name="Price">Sum of those whose price is known.</param>
/// <param name="Unpriced">Lines whose price nobody knows: not in the sum.</param>
public sealed record PartsCost(double Price, int Unpriced)
{
    /// <returns>Null where no part was used.</returns>
    internal static PartsCost? From(IReadOnlyCollection<JobPart> parts) =>
        parts.Count == 0 ? null : new(parts.Sum(p => p.Price ?? 0), parts.Count(p => p.Price is null));
}
