namespace Wendrak.Core.Tables;

/// <summary>How straight a use wants its wheels. Source: table <c>alignment_limits.csv</c>, common practice.</summary>
public sealed record AlignmentLimit
{
    public required string Use { get; init; }
    public required string Drive { get; init; }
    public double? AngularLimitDeg { get; init; }
    public double? OffsetLimitMm { get; init; }
    public double? OffsetLimitMmPerM { get; init; }
    public required string Source { get; init; }
    public required string Certainty { get; init; }

    internal static AlignmentLimit Read(CsvRow row) =>
        new()
        {
            Use = row.Text("use"),
            Drive = row.Text("drive"),
            AngularLimitDeg = row.NumberOrNull("angular_limit_deg"),
            OffsetLimitMm = row.NumberOrNull("offset_limit_mm"),
            OffsetLimitMmPerM = row.NumberOrNull("offset_limit_mm_per_m"),
            Source = row.Text("source"),
            Certainty = row.Text("certainty"),
        };
}

public static class AlignmentLimits
{
    public static IReadOnlyList<AlignmentLimit> All { get; } = CsvTable.Read("alignment_limits", AlignmentLimit.Read);

    /// <exception cref="InvalidOperationException">The table has no such row.</exception>
    public static AlignmentLimit Get(string use, string drive) => All.First(l => l.Use == use && l.Drive == drive);
}
