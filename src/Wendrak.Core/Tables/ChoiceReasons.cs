using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tables;

/// <summary>What is said for a kind of drive or a part, or against it. Source: table <c>choice_reasons.csv</c>.</summary>
public sealed record ChoiceReason
{
    public required string Key { get; init; }

    /// <summary>Kinds of drive and options of parts that it is about.</summary>
    public required IReadOnlyList<string> Options { get; init; }

    /// <summary>Machines it holds for; empty for all.</summary>
    public required IReadOnlyList<MachineKind> Machines { get; init; }
    public required ReasonSide Side { get; init; }

    /// <summary>The wish it bears on; null for none.</summary>
    public required DriveWish? Wish { get; init; }
    public required SaidBy SaidBy { get; init; }

    /// <summary>Whose view it is where the trade disagrees; null where it does not.</summary>
    public required string? School { get; init; }
    public required string Text { get; init; }
    public required string Source { get; init; }

    internal static ChoiceReason Read(CsvRow row) =>
        new()
        {
            Key = row.Text("reason"),
            Options = row.Text("options").Split(' '),
            Machines = row.TextOrNull("machines") is null ? [] : row.Words<MachineKind>("machines"),
            Side = row.Word<ReasonSide>("side"),
            Wish = row.TextOrNull("wish") is null ? null : row.Word<DriveWish>("wish"),
            SaidBy = row.Word<SaidBy>("said_by"),
            School = row.TextOrNull("school"),
            Text = row.Text("text"),
            Source = row.Text("source"),
        };
}

/// <summary>Everything the trade says for and against.</summary>
public static class ChoiceReasons
{
    public static IReadOnlyList<ChoiceReason> All { get; } = CsvTable.Read("choice_reasons", ChoiceReason.Read);

    public static IEnumerable<ChoiceReason> Of(string option, MachineKind machine) =>
        All.Where(r => r.Options.Contains(option) && (r.Machines.Count == 0 || r.Machines.Contains(machine)));
}
