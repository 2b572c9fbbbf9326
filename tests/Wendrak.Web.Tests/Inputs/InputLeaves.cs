using System.Globalization;
using System.Text.Json.Nodes;
using Wendrak.Web.Tests.Fuzz;

namespace Wendrak.Web.Tests.Inputs;

/// <summary>One input of a question: a number, word or switch that is given or could be.</summary>
/// <param name="Name">Of the thing it is part of, as the API calls that, and its own: “LoopStrength.friction”.</param>
/// <param name="Parent">The object it stands in.</param>
/// <param name="Others">Other values it may have instead, nearest first.</param>
/// <param name="FarOut">A number that no bound allows; null for words and switches.</param>
internal sealed record InputLeaf(
    string Name,
    JsonObject Parent,
    string Property,
    IReadOnlyList<JsonNode?> Others,
    double? FarOut = null
)
{
    /// <summary>Where it stands in the question, as a refusal names it.</summary>
    public string Path => $"{Parent.GetPath()}.{Property}"["$.".Length..];

    /// <summary>The question with that value of it, and as it was again.</summary>
    public string With(JsonNode question, JsonNode? value)
    {
        JsonNode? was = Parent[Property]?.DeepClone();
        Parent[Property] = value?.DeepClone();
        string changed = question.ToJsonString();
        Parent[Property] = was;
        return changed;
    }

    /// <summary>The question with each other value of it.</summary>
    public IEnumerable<string> Changed(JsonNode question) => Others.Select(other => With(question, other));
}

/// <summary>Walks a question beside its schema, so that inputs that are left out are found too.</summary>
internal sealed class InputLeaves(ApiDescription api)
{
    // Of every order of size that a field of this trade has.
    private static readonly double[] Sizes = [1e-5, 0.01, 0.3, 1, 3, 10, 30, 100, 300, 1_000, 10_000];

    public IEnumerable<InputLeaf> Of(JsonNode schema, JsonNode? value)
    {
        JsonNode resolved = api.Resolve(schema);
        if (value is JsonArray list)
            return resolved["items"] is { } items ? list.SelectMany(e => Of(items, e)) : [];
        if (value is not JsonObject thing)
            return [];
        return ApiDescription
            .KindsOf(resolved)
            .Select(kind => (Name: ApiDescription.NameOf(kind) ?? ApiDescription.NameOf(schema), Of: api.Resolve(kind)))
            .Where(kind => Fits(kind.Of, thing))
            .SelectMany(kind => (kind.Of["properties"]?.AsObject() ?? []).Select(p => (kind.Name, p.Key, p.Value)))
            .DistinctBy(p => p.Key)
            .Where(p => !IsUnion(resolved) || p.Key != "kind") // another kind is another thing
            .SelectMany(p => OfProperty(p.Value!, thing, p.Key, $"{p.Name}.{p.Key}"));
    }

    private static bool IsUnion(JsonNode schema) => ApiDescription.KindsOf(schema).Count > 1;

    /// <summary>Of a union only the kind that the thing says it is.</summary>
    private static bool Fits(JsonNode kind, JsonObject thing) =>
        kind["properties"]?["kind"]?["enum"] is not JsonArray of
        || thing["kind"] is not JsonValue said
        || of.Any(w => (string?)w == (string?)said);

    private IEnumerable<InputLeaf> OfProperty(JsonNode schema, JsonObject parent, string property, string name)
    {
        if (parent[property] is JsonObject or JsonArray)
            return ApiDescription.KindsOf(schema).SelectMany(k => Of(k, parent[property]));
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
            "integer" =>
            [
                new(name, parent, property, [.. Numbers(now).Select(n => JsonValue.Create(Math.Round(n)))], 1e9),
            ],
            "number" => [new(name, parent, property, [.. Numbers(now).Select(n => JsonValue.Create(n))], 1e300)],
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
