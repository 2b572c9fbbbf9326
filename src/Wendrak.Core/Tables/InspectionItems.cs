using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tables;

/// <summary>One thing that is looked at, and what makes it fine, watched or a stop. Source: table <c>inspection.csv</c>.</summary>
public sealed record InspectionItem
{
    public required IReadOnlyList<InspectionKind> Kinds { get; init; }
    public required InspectedPart Part { get; init; }
    public required InspectedPlace Place { get; init; }

    /// <summary>Place in the order of the hand.</summary>
    public required int Order { get; init; }
    public required string What { get; init; }
    public required string Fine { get; init; }

    /// <summary>Null where there is nothing between fine and stop.</summary>
    public string? Watch { get; init; }
    public required string Stop { get; init; }

    /// <summary>Where the hand goes in; null for nothing to say.</summary>
    public string? Caution { get; init; }

    /// <summary>How far something that is watched usually goes until it is looked at again, km.</summary>
    public double? WatchKm { get; init; }

    /// <summary>The same in days.</summary>
    public int? WatchDays { get; init; }
    public required string Source { get; init; }
    public required string Certainty { get; init; }

    internal static InspectionItem Read(CsvRow row) =>
        new()
        {
            Kinds = row.Words<InspectionKind>("kinds"),
            Part = row.Word<InspectedPart>("part"),
            Place = row.Word<InspectedPlace>("place"),
            Order = row.Whole("order"),
            What = row.Text("what"),
            Fine = row.Text("fine"),
            Watch = row.TextOrNull("watch"),
            Stop = row.Text("stop"),
            Caution = row.TextOrNull("caution"),
            WatchKm = row.NumberOrNull("watch_km"),
            WatchDays = row.WholeOrNull("watch_days"),
            Source = row.Text("source"),
            Certainty = row.Text("certainty"),
        };
}

/// <summary>What is looked at on each kind of loop.</summary>
public static class InspectionItems
{
    public static IReadOnlyList<InspectionItem> All { get; } = CsvTable.Read("inspection", InspectionItem.Read);

    /// <summary>In the order of the hand.</summary>
    public static IEnumerable<InspectionItem> For(InspectionKind kind) =>
        All.Where(i => i.Kinds.Contains(kind)).OrderBy(i => i.Order);

    /// <summary>Whether a part is looked at on any of these kinds.</summary>
    public static bool IsLookedAt(InspectedPart part, IReadOnlyList<InspectionKind> kinds) =>
        All.Any(i => i.Part == part && i.Kinds.Any(kinds.Contains));

    /// <summary>What comes before all else: dirt hides cracks. Source: common practice.</summary>
    public static string WashFirst(InspectionKind kind) =>
        kind is InspectionKind.Chain or InspectionKind.Rail
            ? "Clean it first: a soft brush and what its maker allows on the rings, then dry. Dirt hides cracks."
            : "Wash it first, with soapy water and a soft brush, and let it dry. Nothing sharp, no solvent: dirt hides cracks, and solvent makes them.";
}
