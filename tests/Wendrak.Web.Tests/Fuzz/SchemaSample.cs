using System.Text.Json.Nodes;

namespace Wendrak.Web.Tests.Fuzz;

/// <summary>Makes up JSON that a schema describes, mostly from parts of one machine that is stored.</summary>
public sealed class SchemaSample(ApiDescription api, Dictionary<string, List<JsonNode>> known, Random random)
{
    private const int Deepest = 8;

    public JsonNode? Of(JsonNode schema, int depth = 0)
    {
        if (ApiDescription.NameOf(schema) is { } name && Known(name) is { } part)
            return part;
        if (schema["items"] is { } items && ApiDescription.NameOf(items) is { } each)
            if (Known(KnownParts.ListOf(each)) is { } list)
                return list;
        JsonNode resolved = api.Resolve(schema);
        IReadOnlyList<JsonNode> kinds = ApiDescription.KindsOf(resolved);
        if (kinds.Count > 1)
            return depth >= Deepest ? null : Of(kinds[random.Next(kinds.Count)], depth + 1);
        // A kind that may be left out somewhere is described as one that may be left out everywhere.
        if (resolved["enum"] is JsonArray words)
            return random.Next(12) == 0 ? null : words[random.Next(words.Count(w => w is not null))]?.DeepClone();
        if (ApiDescription.MayBeNull(resolved) && random.Next(3) == 0)
            return null;
        return ApiDescription.TypeOf(resolved) switch
        {
            "object" => Thing(resolved, depth),
            "array" => List(resolved, depth),
            "integer" => random.Next(5) == 0 ? random.Next(-1_000, 10_000) : random.Next(0, 60),
            "number" => Math.Round(Math.Pow(10, random.NextDouble() * 5 - 1), 3),
            "boolean" => random.Next(2) == 0,
            "string" => (string?)resolved["format"] switch
            {
                "date" => "2026-05-01",
                "date-time" => "2026-05-01T09:30:00Z",
                _ => Words[random.Next(Words.Length)],
            },
            _ => resolved["properties"] is null ? null : Thing(resolved, depth),
        };
    }

    /// <summary>One that is stored, mostly; null where none is, or for something new.</summary>
    private JsonNode? Known(string name) =>
        known.TryGetValue(name, out List<JsonNode>? parts) && random.Next(12) > 0
            ? parts[random.Next(parts.Count)].DeepClone()
            : null;

    private static readonly string[] Words =
    [
        "final",
        "drive",
        "in",
        "out",
        "front",
        "rear",
        "520",
        "8M",
        "A",
        "name",
        "1240-8M-30",
        "A52",
    ];

    private JsonObject Thing(JsonNode schema, int depth)
    {
        HashSet<string> required = [.. schema["required"]?.AsArray().Select(r => (string)r!) ?? []];
        JsonObject made = [];
        if (depth < Deepest)
            foreach ((string property, JsonNode? inner) in schema["properties"]?.AsObject() ?? [])
                if (required.Contains(property) || random.Next(2) == 0)
                    made[property] =
                        ApiDescription.TypeOf(inner!) == "string" && Known(KnownParts.WordsOf(property)) is { } word
                            ? word
                            : Of(inner!, depth + 1);
        return made;
    }

    private JsonArray List(JsonNode schema, int depth) =>
        depth >= Deepest ? [] : [.. Enumerable.Range(0, random.Next(4)).Select(_ => Of(schema["items"]!, depth + 1))];
}
