using System.Text.Json.Nodes;

namespace Wendrak.Store.Bodies;

/// <summary>
/// Brings bodies of form 1 to form 2. Form 1 is what versions before the records wrote: fields that came later are
/// missing, what a record works out from the rest is written, and a gearbox set is a stub inside its machine.
/// </summary>
internal static class EarlierBodies
{
    public static JsonObject AsIs(JsonObject body) => Without(body, "id", "version");

    /// <summary>Nobody could say of a spacer that it can’t be had any more.</summary>
    public static JsonObject Spacer(JsonObject spacer)
    {
        spacer["obtainable"] = true;
        return spacer;
    }

    public static JsonObject Machine(JsonObject machine)
    {
        foreach (JsonObject stage in Each(machine, "drives").SelectMany(d => Each(d, "stages")))
        {
            Without(stage, "isToothed");
            if (stage["set"] is JsonObject set)
                stage["set"] = set["id"]!.GetValue<long>();
        }
        foreach (JsonObject limit in Each(machine, "layouts").SelectMany(l => Each(l, "limits")))
            Told(limit, "movesMm", 0);
        if (machine["loads"] is JsonObject loads)
        {
            foreach (JsonObject source in Each(loads, "sources"))
                Told(source, "liftsOrFlies", false);
            foreach (
                JsonObject strength in Each(loads, "strengths")
                    .Concat(Each(loads, "alternatives").Select(a => a["strength"]).OfType<JsonObject>())
            )
                Told(Told(strength, "strands", 1), "extraHalfTurns", 0);
        }
        foreach (JsonObject setting in Each(machine, "settings"))
            Without(
                setting,
                [
                    "step",
                    "mostAtOnce",
                    "eccentricOffset",
                    "eccentricStart",
                    "turns",
                    "setsItself",
                    "hasTwoEnds",
                    "gapLow",
                    "gapHigh",
                ]
            );
        return AsIs(machine);
    }

    public static JsonObject Setup(JsonObject setup)
    {
        foreach (JsonObject item in Each(setup, "redo"))
            Without(item, "station");
        return AsIs(setup);
    }

    public static JsonObject Aim(JsonObject aim)
    {
        if (aim["target"] is JsonObject target)
            Without(target, "roadSpeedKmh");
        return AsIs(aim);
    }

    /// <summary>A visit was one body with its rounds. What it called “turned as told” is one of the parts assumed now.</summary>
    public static JsonObject Visit(JsonObject visit)
    {
        foreach (
            JsonObject round in Each(visit, "rounds")
                .Concat(visit["inHand"]?["round"] is JsonObject begun ? [begun] : [])
        )
        {
            if (round["isTurnAssumed"]?.GetValue<bool>() == true && round["assumed"] is null)
                round["assumed"] = new JsonArray("turned");
            Told(Without(round, "isTurnAssumed"), "learnAnew", false);
        }
        return visit;
    }

    internal static IEnumerable<JsonObject> Each(JsonObject of, string list) =>
        of[list] is JsonArray array ? array.OfType<JsonObject>() : [];

    private static JsonObject Without(JsonObject body, params string[] names)
    {
        foreach (string name in names)
            body.Remove(name);
        return body;
    }

    private static JsonObject Told(JsonObject body, string name, JsonNode value)
    {
        if (!body.ContainsKey(name))
            body[name] = value;
        return body;
    }
}
