namespace Wendrak.Core.Tables;

/// <summary>One limit of wear. Source: table <c>wear_limits.csv</c>, which names its own sources.</summary>
public sealed record WearLimit
{
    public required string Use { get; init; }
    public required string Item { get; init; }

    /// <summary>Null where the rule is in words.</summary>
    public double? Limit { get; init; }
    public required string Unit { get; init; }
    public required string Source { get; init; }
    public required string Certainty { get; init; }

    internal static WearLimit Read(CsvRow row) =>
        new()
        {
            Use = row.Text("use"),
            Item = row.Text("item"),
            Limit = row.NumberOrNull("limit"),
            Unit = row.Text("unit"),
            Source = row.Text("source"),
            Certainty = row.Text("certainty"),
        };
}

/// <summary>How far parts may wear before they are replaced.</summary>
public static class WearLimits
{
    private const string Elongation = "chain elongation";

    // A longer pitch rides up a large sprocket and jumps: 200/N percent. Source: Machinery's Handbook, ACA.
    private const double LargeSprocketPercent = 200;

    public static IReadOnlyList<WearLimit> All { get; } = CsvTable.Read("wear_limits", WearLimit.Read);

    /// <summary>Hollow of a V-pulley's flank under a straight edge at which the pulley is replaced, mm.</summary>
    public static double GrooveHollowMm => All.First(l => l.Item == "groove wear at gauge").Limit!.Value;

    /// <summary>Of a part that is measured by hand, mm: how far the top of a tooth leans, how deep a belt’s teeth are worn, how hollow a V-groove is.</summary>
    /// <param name="item">An item of the table.</param>
    /// <returns>Null where the table has none in millimetres.</returns>
    public static double? MmOf(string item) => All.FirstOrDefault(l => l.Item == item && l.Unit == "mm")?.Limit;

    /// <summary>Elongation at which a chain is replaced, percent.</summary>
    /// <param name="use">A use of the table.</param>
    /// <exception cref="InvalidOperationException">The table has no such use.</exception>
    public static double ChainElongationPercent(string use) =>
        All.First(l => l.Use == use && l.Item == Elongation && l.Limit is not null).Limit!.Value;

    /// <summary>Elongation at which a chain rides up its largest sprocket and jumps, percent.</summary>
    /// <param name="largestTeeth">Teeth of the largest sprocket on it.</param>
    public static double RidesUpPercent(double largestTeeth) => LargeSprocketPercent / largestTeeth;
}
