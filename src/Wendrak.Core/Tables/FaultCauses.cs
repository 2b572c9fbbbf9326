using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tables;

/// <summary>Something that can be wrong with a loop. Source: table <c>fault_causes.csv</c>; common practice, weights by judgement.</summary>
public sealed record FaultCause
{
    public required string Key { get; init; }
    public required IReadOnlyList<FaultKind> Kinds { get; init; }

    /// <summary>What must be there for it; null where it can always be.</summary>
    public required FaultSetting? At { get; init; }
    public required string What { get; init; }
    public required HowUsual Usual { get; init; }

    /// <summary>The machine does not go out with it.</summary>
    public required bool IsStop { get; init; }

    /// <summary>It is no fault: it is noted as normal.</summary>
    public required bool IsNormal { get; init; }
    public required string Cure { get; init; }

    /// <summary>Station where the cure is done, as it is written in an address; null where none of them is about it.</summary>
    public required string? CureAt { get; init; }

    /// <summary>What of the loop is changed by it, of a cure at Build; null elsewhere.</summary>
    public required string? CureChange { get; init; }
    public required string Why { get; init; }

    internal static FaultCause Read(CsvRow row) =>
        new()
        {
            Key = row.Text("cause"),
            Kinds = row.Words<FaultKind>("kinds"),
            At = row.TextOrNull("at") is null ? null : row.Word<FaultSetting>("at"),
            What = row.Text("what"),
            Usual = row.Word<HowUsual>("usual"),
            IsStop = row.TextOrNull("is_stop") is not null,
            IsNormal = row.TextOrNull("is_normal") is not null,
            Cure = row.Text("cure"),
            CureAt = row.TextOrNull("cure_at"),
            CureChange = row.TextOrNull("cure_change"),
            Why = row.Text("why"),
        };
}

/// <summary>Two causes that come together more often than chance has it. Source: table <c>fault_pairs.csv</c>.</summary>
public sealed record FaultPair(string First, string Second, HowUsual Usual, string Why)
{
    internal static FaultPair Read(CsvRow row) =>
        new(row.Text("first"), row.Text("second"), row.Word<HowUsual>("usual"), row.Text("why"));
}

/// <summary>What can be wrong.</summary>
public static class FaultCauses
{
    public static IReadOnlyList<FaultCause> All { get; } = CsvTable.Read("fault_causes", FaultCause.Read);
    public static IReadOnlyList<FaultPair> Pairs { get; } = CsvTable.Read("fault_pairs", FaultPair.Read);

    /// <summary>Those that such a loop can have.</summary>
    /// <param name="at">What is at it or beside it.</param>
    public static IEnumerable<FaultCause> For(FaultKind kind, IReadOnlyList<FaultSetting> at) =>
        All.Where(c => c.Kinds.Contains(kind) && (c.At is not FaultSetting needs || at.Contains(needs)));
}
