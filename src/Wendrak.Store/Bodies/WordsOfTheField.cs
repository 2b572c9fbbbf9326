using System.Text.Json.Nodes;

namespace Wendrak.Store.Bodies;

/// <summary>
/// Brings a machine of form 3 to form 4 and a setup of form 2 to form 3: the same things by the words of the field. What a loop
/// is was its “medium”, how a belt is laid on its “course”, and what other parts make necessary again “redo”.
/// </summary>
internal static class WordsOfTheField
{
    public static JsonObject Machine(JsonObject machine)
    {
        foreach (
            JsonObject stage in EarlierBodies.Each(machine, "drives").SelectMany(d => EarlierBodies.Each(d, "stages"))
        )
        {
            Rename(stage, "medium", "driveElement");
            Rename(stage, "course", "arrangement");
        }
        if (machine["loads"] is JsonObject loads)
            foreach (JsonObject alternative in EarlierBodies.Each(loads, "alternatives"))
                Rename(alternative, "medium", "driveElement");
        return machine;
    }

    public static JsonObject Setup(JsonObject setup) => Rename(setup, "redo", "followUps");

    private static JsonObject Rename(JsonObject body, string was, string name)
    {
        if (body.Remove(was, out JsonNode? value))
            body[name] = value;
        return body;
    }
}
