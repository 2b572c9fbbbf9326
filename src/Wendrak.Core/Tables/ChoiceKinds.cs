using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tables;

/// <summary>A kind of drive that can stand in the place of a loop. Source: table <c>choice_kinds.csv</c>.</summary>
public sealed record ChoiceKind
{
    /// <summary>Its key.</summary>
    public required string Key { get; init; }

    /// <summary>What people call it.</summary>
    public required string Name { get; init; }

    /// <summary>What runs round; null for kinds that are no loop.</summary>
    public required DriveElement? Element { get; init; }

    /// <summary>Machines it is made for; empty for all.</summary>
    public required IReadOnlyList<MachineKind> Machines { get; init; }

    /// <summary>What it is, in a few words.</summary>
    public required string What { get; init; }

    /// <summary>Whether it can be fitted without another frame or case, so that a trial of it can be kept.</summary>
    public required bool CanBeTried { get; init; }

    /// <summary>It runs on oil.</summary>
    public required bool IsOiled { get; init; }

    /// <summary>It has no joint: it is put on from the side.</summary>
    public required bool IsEndless { get; init; }

    /// <summary>It drives by friction: its ratio is not exact.</summary>
    public required bool Slips { get; init; }

    /// <summary>What is driven turns the other way than the shaft that drives.</summary>
    public required bool TurnsRound { get; init; }

    /// <summary>Least ratio of one stage of it; null for none.</summary>
    public required double? LeastRatio { get; init; }

    /// <summary>Largest ratio that one stage of it is used for.</summary>
    public required double MostRatio { get; init; }

    /// <summary>Who says so.</summary>
    public required string MostRatioSource { get; init; }

    /// <summary>Standard or practice that its row is from.</summary>
    public required string Source { get; init; }

    /// <summary>How sure that is.</summary>
    public required string Certainty { get; init; }

    /// <summary>What else is to be known of it.</summary>
    public required string Note { get; init; }

    internal static ChoiceKind Read(CsvRow row) =>
        new()
        {
            Key = row.Text("kind"),
            Name = row.Text("name"),
            Element = row.TextOrNull("element") is null ? null : row.Word<DriveElement>("element"),
            Machines = row.TextOrNull("machines") is null ? [] : row.Words<MachineKind>("machines"),
            What = row.Text("what"),
            CanBeTried = row.TextOrNull("can_be_tried") is not null,
            IsOiled = row.TextOrNull("is_oiled") is not null,
            IsEndless = row.TextOrNull("is_endless") is not null,
            Slips = row.TextOrNull("slips") is not null,
            TurnsRound = row.TextOrNull("turns_round") is not null,
            LeastRatio = row.NumberOrNull("least_ratio"),
            MostRatio = row.Number("most_ratio"),
            MostRatioSource = row.Text("most_ratio_source"),
            Source = row.Text("source"),
            Certainty = row.Text("certainty"),
            Note = row.Text("note"),
        };
}

/// <summary>Kinds of drive by their key.</summary>
public static class ChoiceKinds
{
    public static IReadOnlyList<ChoiceKind> All { get; } = CsvTable.Read("choice_kinds", ChoiceKind.Read);

    /// <summary>Those that are made for such a machine.</summary>
    public static IEnumerable<ChoiceKind> For(MachineKind machine) =>
        All.Where(k => k.Machines.Count == 0 || k.Machines.Contains(machine));

    public static ChoiceKind? Find(string key) => All.FirstOrDefault(k => k.Key == key);
}
