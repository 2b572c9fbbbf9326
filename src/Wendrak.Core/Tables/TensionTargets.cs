namespace Wendrak.Core.Tables;

/// <summary>How tight a use of a chain or belt is set. Source: table <c>tension_targets.csv</c>, common practice.</summary>
public sealed record TensionTarget
{
    public required string Use { get; init; }
    public required string Drive { get; init; }
    public required string Quantity { get; init; }
    public required double Low { get; init; }
    public required double High { get; init; }
    public required string Unit { get; init; }
    public required string Source { get; init; }
    public required string Certainty { get; init; }
}

public static class TensionTargets
{
    public static IReadOnlyList<TensionTarget> All { get; } = CsvTable.Read<TensionTarget>("tension_targets");

    /// <exception cref="InvalidOperationException">The table has no such row.</exception>
    public static TensionTarget Get(string use, string quantity) =>
        All.First(t => t.Use == use && t.Quantity == quantity);
}
