using System.Globalization;
using System.Text.Json.Nodes;
using Wendrak.Web.Tests.Fuzz;

namespace Wendrak.Web.Tests.Inputs;

/// <summary>One input of a question: a number, word or switch that is given or could be.</summary>
/// <param name="Name">Its path without the places in lists: “strength.friction”, “drive.stages.slipFraction”.</param>
/// <param name="Parent">The object it stands in.</param>
/// <param name="Others">Other values it may have instead, nearest first.</param>
internal sealed record InputLeaf(string Name, JsonObject Parent, string Property, IReadOnlyList<JsonNode?> Others)
{
    /// <summary>The question with another value of it, and as it was again.</summary>
    public IEnumerable<string> Changed(JsonNode question)
    {
        JsonNode? was = Parent[Property]?.DeepClone();
        foreach (JsonNode? other in Others)
        {
            Parent[Property] = other?.DeepClone();
            string asked = question.ToJsonString();
            Parent[Property] = was?.DeepClone();
            yield return asked;
        }
    }
}

/// <summary>Walks a question beside its schema, so that inputs that are left out are found too.</summary>
internal sealed class InputLeaves(ApiDescription api)
{
    // Of every order of size that a field of this trade has.
    private static readonly double[] Sizes = [0.3, 1, 3, 10, 30, 100, 300, 1_000, 10_000];

    public IEnumerable<InputLeaf> Of(JsonNode schema, JsonNode question) => Below(schema, question, "");

    private IEnumerable<InputLeaf> Below(JsonNode schema, JsonNode? value, string at)
    {
        JsonNode resolved = api.Resolve(schema);
        if (value is JsonArray list)
            return resolved["items"] is { } items ? list.SelectMany(e => Below(items, e, at)) : [];
        if (value is not JsonObject thing)
            return [];
        return ApiDescription
            .KindsOf(resolved)
            .Select(api.Resolve)
            .Where(k => Fits(k, thing))
            .SelectMany(k => k["properties"]?.AsObject() ?? [])
            .DistinctBy(p => p.Key)
            .SelectMany(p => OfProperty(p.Value!, thing, p.Key, at));
    }

    /// <summary>Of a union only the kind that the thing says it is.</summary>
    private static bool Fits(JsonNode kind, JsonObject thing) =>
        kind["properties"]?["kind"]?["enum"] is not JsonArray of
        || thing["kind"] is not JsonValue said
        || of.Any(w => (string?)w == (string?)said);

    private IEnumerable<InputLeaf> OfProperty(JsonNode schema, JsonObject parent, string property, string at)
    {
        string name = at + property;
        if (parent[property] is JsonObject or JsonArray)
            return ApiDescription.KindsOf(schema).SelectMany(k => Below(k, parent[property], name + "."));
        JsonNode? now = parent[property];
        JsonNode of = ApiDescription.KindsOf(schema).Select(api.Resolve).Last();
        if (of["enum"] is JsonArray words)
            return
            [
                new(
                    name,
                    parent,
                    property,
                    [.. words.Where(w => w is not null && (string?)w != (string?)now).Select(w => (JsonNode?)w)]
                ),
            ];
        return ApiDescription.TypeOf(of) switch
        {
            "boolean" => [new(name, parent, property, [JsonValue.Create(!((bool?)now ?? false))])],
            "integer" => [new(name, parent, property, [.. Numbers(now).Select(n => JsonValue.Create(Math.Round(n)))])],
            "number" => [new(name, parent, property, [.. Numbers(now).Select(n => JsonValue.Create(n))])],
            _ => [],
        };
    }

    private static IEnumerable<double> Numbers(JsonNode? now)
    {
        if (now is not JsonValue given)
            return Sizes;
        double value = double.Parse(given.ToJsonString(), CultureInfo.InvariantCulture);
        return value == 0
            ? Sizes.Concat(Sizes.Select(s => -s))
            : [value * 1.1, value * 0.9, value + 1, value - 1, value * 2, value / 2, 0];
    }
}
