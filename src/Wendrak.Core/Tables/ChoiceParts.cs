using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tables;

/// <summary>One of the parts that can be chosen between. Source: table <c>choice_parts.csv</c>; common practice.</summary>
public sealed record ChoicePart
{
    /// <summary>What is being chosen.</summary>
    public required string Matter { get; init; }
    public required string MatterName { get; init; }
    public required string Key { get; init; }
    public required string Name { get; init; }

    /// <summary>Loops that have the choice; empty for all.</summary>
    public required IReadOnlyList<DriveElement> Elements { get; init; }

    /// <summary>Machines that have it; empty for all.</summary>
    public required IReadOnlyList<MachineKind> Machines { get; init; }

    internal static ChoicePart Read(CsvRow row) =>
        new()
        {
            Matter = row.Text("matter"),
            MatterName = row.Text("matter_name"),
            Key = row.Text("option"),
            Name = row.Text("name"),
            Elements = row.TextOrNull("elements") is null ? [] : row.Words<DriveElement>("elements"),
            Machines = row.TextOrNull("machines") is null ? [] : row.Words<MachineKind>("machines"),
        };
}

/// <summary>Choices between parts.</summary>
public static class ChoiceParts
{
    public static IReadOnlyList<ChoicePart> All { get; } = CsvTable.Read("choice_parts", ChoicePart.Read);

    /// <summary>Those that such a loop of such a machine has.</summary>
    public static IEnumerable<ChoicePart> For(DriveElement element, MachineKind machine) =>
        All.Where(p =>
            (p.Elements.Count == 0 || p.Elements.Contains(element))
            && (p.Machines.Count == 0 || p.Machines.Contains(machine))
        );
}
