using System.Text.Json;
using Wendrak.Core.Tables;

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
            "jobOpened" => "opened the job",
            "noteWritten" => "wrote a note",
            "waitBegun" => $"waits for {Said(document, "for")}",
            "waitEnded" => "goes on: what it waited for has come",
            "timeSpent" => $"{Said(document, "minutes")} minutes of work",
            "deviationNoted" => $"noted a deviation: {Said(document, "what")}",
            "provisionalFitted" => $"noted as provisional: {Said(document, "what")}",
            "provisionalCleared" => $"cleared what was provisional: {Said(document, "what")}",
            "photoTaken" => "took a photo",
            "photoLineDrawn" => "drew a line on a photo",
            "setupFitted" => $"fitted {Said(document, "name")}",
            "partUsed" => $"used {Said(document, "count")} × {Said(document, "what")}",
            "findingNoted" => $"saw: {Said(document, "what")}",
            "findingCured" => $"mended what was seen: {Said(document, "what")}",
            "restFine" => $"looked at all else of {loop}: fine",
            "useEventNoted" => $"noted what happened: {Said(document, "event")}",
            "elongationMeasured" => $"measured the chain of {loop}",
            "faultDescribed" => $"said what {loop} does",
            "faultTested" => $"tested {loop}: {TestOf(document)}",
            "faultFound" => $"found at {loop}: {Said(document, "what")}",
            "cureJudged" => document.RootElement.GetProperty("isGone").GetBoolean()
                ? $"the fault of {loop} is gone"
                : $"the fault of {loop} is not gone",
            "planMade" => "planned the work",
            "stepDone" => $"{OutcomeOf(document)}: step {Said(document, "step")}",
            "stepReopened" => $"opened a step again: {Said(document, "step")}",
            "stepMoved" => $"moved a step: {Said(document, "step")}",
            "trayTicked" => $"looked for a part: {Said(document, "part")}",
            "jobSigned" => "signed the job",
            "visitBegun" => $"began to set {loop}",
            "goalChosen" => $"chose what {loop} is set for",
            "cautionsSeen" => $"confirmed the cautions at {loop}",
            "roundNoted" => $"noted a round of {loop}",
            "readingTaken" => $"read {loop}",
            "readingDiscarded" => $"discarded a reading of {loop}",
            "roundDropped" => $"reads {loop} anew",
            "roundKept" => $"kept a round of {loop}",
            "readingsTied" => $"tied a gauge or a hand to {loop}",
            "stepTicked" => $"ticked a step of the closing list of {loop}",
            "visitCancelled" => $"began to set {loop} by mistake: cancelled",
            "visitClosed" => $"closed the setting of {loop}",
            _ => kind,
        };
    }

    private static string OutcomeOf(JsonDocument document) =>
        Said(document, "outcome") switch
        {
            "done" => "done",
            "differently" => "done differently",
            "forNow" => "done for now only",
            _ => "left out",
        };

    private static string TestOf(JsonDocument document) =>
        FaultTests.All.FirstOrDefault(t => t.Key == Said(document, "test"))?.Ask ?? Said(document, "test");

    private static string Said(JsonDocument document, string name) => $"{document.RootElement.GetProperty(name)}";
}
