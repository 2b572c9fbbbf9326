using System.Collections.Frozen;

namespace Wendrak.Core.Tables;

/// <summary>What a check of loads is held against. Source: table <c>load_limits.csv</c>, which names its own sources.</summary>
public sealed record LoadLimit
{
    public required string Check { get; init; }
    public required string Use { get; init; }

    /// <summary>Null where it follows from the loop itself.</summary>
    public double? Limit { get; init; }

    /// <summary>Part of the limit's margin under which it is no matter of watching any more; null where that follows from the loop.</summary>
    public double? StopShare { get; init; }
    public required string Source { get; init; }
    public required string Certainty { get; init; }

    internal static LoadLimit Read(CsvRow row) =>
        new()
        {
            Check = row.Text("check"),
            Use = row.Text("use"),
            Limit = row.NumberOrNull("limit"),
            StopShare = row.NumberOrNull("stop_share"),
            Source = row.Text("source"),
            Certainty = row.Text("certainty"),
        };
}

public static class LoadLimits
{
    public static IReadOnlyList<LoadLimit> All { get; } = CsvTable.Read("load_limits", LoadLimit.Read);

    private static readonly FrozenDictionary<(string, string), LoadLimit> Rows = All.ToFrozenDictionary(l =>
        (l.Check, l.Use)
    );

    /// <exception cref="KeyNotFoundException">The table has no such row.</exception>
    public static LoadLimit Get(string check, string use) => Rows[(check, use)];
}
