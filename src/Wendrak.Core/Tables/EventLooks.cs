using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tables;

/// <summary>What is looked at after something happened, and why. Source: table <c>event_looks.csv</c>.</summary>
public sealed record EventLook
{
    public required UseEvent Event { get; init; }
    public required IReadOnlyList<InspectionKind> Kinds { get; init; }
    public required IReadOnlyList<InspectedPart> Parts { get; init; }
    public required string Why { get; init; }
    public required string Source { get; init; }
    public required string Certainty { get; init; }

    internal static EventLook Read(CsvRow row) =>
        new()
        {
            Event = row.Word<UseEvent>("event"),
            Kinds = row.Words<InspectionKind>("kinds"),
            Parts = row.Words<InspectedPart>("parts"),
            Why = row.Text("why"),
            Source = row.Text("source"),
            Certainty = row.Text("certainty"),
        };
}

/// <summary>What each event asks for on each kind of loop.</summary>
public static class EventLooks
{
    public static IReadOnlyList<EventLook> All { get; } = CsvTable.Read("event_looks", EventLook.Read);

    /// <returns>Null where the event asks nothing of such a loop.</returns>
    public static EventLook? Find(UseEvent happened, InspectionKind kind) =>
        All.SingleOrDefault(l => l.Event == happened && l.Kinds.Contains(kind));
}
