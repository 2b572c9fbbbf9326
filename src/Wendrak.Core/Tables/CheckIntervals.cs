using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tables;

/// <summary>How often a kind of loop on a kind of machine is looked at. Source: table <c>check_intervals.csv</c>.</summary>
public sealed record CheckInterval
{
    public required IReadOnlyList<MachineKind> Machines { get; init; }
    public required IReadOnlyList<InspectionKind> Kinds { get; init; }

    /// <summary>The shortest that is usual, km; null where no distance is.</summary>
    public double? KmLow { get; init; }
    public double? KmHigh { get; init; }
    public required int Days { get; init; }
    public required string Source { get; init; }
    public required string Certainty { get; init; }

    internal static CheckInterval Read(CsvRow row) =>
        new()
        {
            Machines = row.Words<MachineKind>("machines"),
            Kinds = row.Words<InspectionKind>("kinds"),
            KmLow = row.NumberOrNull("km_low"),
            KmHigh = row.NumberOrNull("km_high"),
            Days = row.Whole("days"),
            Source = row.Text("source"),
            Certainty = row.Text("certainty"),
        };
}

/// <summary>One row for each kind of loop on each kind of machine.</summary>
public static class CheckIntervals
{
    public static IReadOnlyList<CheckInterval> All { get; } = CsvTable.Read("check_intervals", CheckInterval.Read);

    public static CheckInterval Get(MachineKind machine, InspectionKind kind) =>
        All.Single(i => i.Machines.Contains(machine) && i.Kinds.Contains(kind));
}
