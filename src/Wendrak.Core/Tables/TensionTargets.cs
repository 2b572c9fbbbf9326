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

    internal static TensionTarget Read(CsvRow row) =>
        new()
        {
            Use = row.Text("use"),
            Drive = row.Text("drive"),
            Quantity = row.Text("quantity"),
            Low = row.Number("low"),
            High = row.Number("high"),
            Unit = row.Text("unit"),
            Source = row.Text("source"),
            Certainty = row.Text("certainty"),
        };
}

public static class TensionTargets
{
    public static IReadOnlyList<TensionTarget> All { get; } = CsvTable.Read("tension_targets", TensionTarget.Read);

    /// <exception cref="InvalidOperationException">The table has no such row.</exception>
    public static TensionTarget Get(string use, string quantity) =>
        All.First(t => t.Use == use && t.Quantity == quantity);
}
