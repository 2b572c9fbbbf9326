using System.Text.Json;
using System.Text.Json.Nodes;
using Wendrak.Core.Records;

namespace Wendrak.Store.Bodies;

/// <summary>Brings a visit that was one body over to events; the migration calls it as a function of SQL.</summary>
internal static class EarlierVisits
{
    /// <param name="body">A visit as an earlier version wrote it.</param>
    /// <returns>Its events as a JSON list of {kind, at, actor, body}.</returns>
    public static string ToEntries(string body)
    {
        JsonObject newest = EarlierBodies.Visit(JsonNode.Parse(body)!.AsObject());
        SetJob visit = newest.Deserialize<SetJob>(EarlierJson.Json)!;
        JsonArray entries = [];
        foreach (JobEntry entry in SetVisit.ToEntries(visit))
        {
            string written = EventJson.Write(entry.Event);
            entries.Add(
                new JsonObject
                {
                    ["kind"] = EventJson.KindOf(written),
                    ["at"] = Moment.Text(entry.At),
                    ["actor"] = entry.Actor,
                    ["body"] = written,
                }
            );
        }
        return entries.ToJsonString();
    }
}
