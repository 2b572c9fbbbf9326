using System.Text.Json;

namespace Wendrak.Store.Jobs;

/// <summary>An event in a few words, for the history.</summary>
internal static class EventWords
{
    /// <summary>Body of the entry that takes one back: what it took back, in words.</summary>
    public static string Undoing(EventRow row) =>
        JsonSerializer.Serialize(new Dictionary<string, string> { ["undone"] = Describe(row.Kind, row.Body) });

    public static string Describe(string kind, string body)
    {
        using JsonDocument document = JsonDocument.Parse(body);
        if (kind == EventRow.Undone)
            return $"undone: {document.RootElement.GetProperty("undone").GetString()}";
        string loop = document.RootElement.TryGetProperty("loopKey", out JsonElement key) ? $"{key.GetString()}" : "";
        return kind switch
        {
            "visitBegun" => $"began to set {loop}",
            "goalChosen" => $"chose what {loop} is set for",
            "cautionsSeen" => $"confirmed the cautions at {loop}",
            "roundNoted" => $"noted a round of {loop}",
            "readingTaken" => $"read {loop}",
            "roundDropped" => $"reads {loop} anew",
            "roundKept" => $"kept a round of {loop}",
            "readingsTied" => $"tied a gauge or a hand to {loop}",
            "stepTicked" => $"ticked a step of the closing list of {loop}",
            "visitClosed" => $"closed the setting of {loop}",
            _ => kind,
        };
    }
}
