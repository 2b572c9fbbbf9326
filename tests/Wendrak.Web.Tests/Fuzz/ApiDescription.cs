using System.Text.Json.Nodes;

namespace Wendrak.Web.Tests.Fuzz;

/// <param name="Body">Schema of its JSON; null where it takes none.</param>
/// <param name="Parameters">Of path and query: name, place and schema.</param>
public sealed record ApiOperation(string Method, string Path, JsonNode? Body, IReadOnlyList<JsonNode> Parameters);

/// <summary>The description of the API as it is served, read without any code of the product.</summary>
public sealed class ApiDescription(JsonNode document)
{
    /// <summary>As it is kept with the page, which is as it is served: ContractTests hold it.</summary>
    public static JsonNode Kept { get; } =
        JsonNode.Parse(File.ReadAllText(Path.Combine(Repository.Root, "web", "public", "openapi.json")))!;

    private const string RefPrefix = "#/components/schemas/";

    public IReadOnlyList<ApiOperation> Operations { get; } =
    [
        .. from path in document["paths"]!.AsObject()
        from method in path.Value!.AsObject()
        select new ApiOperation(
            method.Key.ToUpperInvariant(),
            path.Key,
            method.Value!["requestBody"]?["content"]?["application/json"]?["schema"],
            [.. method.Value["parameters"]?.AsArray().Select(p => p!) ?? []]
        ),
    ];

    /// <summary>Schema of a good answer; null where there is none in JSON.</summary>
    public JsonNode? AnswerOf(string path) =>
        document["paths"]![path]!["get"]!["responses"]!["200"]!["content"]?["application/json"]?["schema"];

    /// <summary>Name of a schema that is referred to; null for one written in place.</summary>
    public static string? NameOf(JsonNode schema) => ((string?)schema["$ref"])?[RefPrefix.Length..];

    public JsonNode Resolve(JsonNode schema) =>
        NameOf(schema) is { } name ? document["components"]!["schemas"]![name] ?? schema : schema;

    /// <summary>The kinds a schema may be: one, for most.</summary>
    public static IReadOnlyList<JsonNode> KindsOf(JsonNode schema) =>
        [.. (schema["anyOf"] ?? schema["oneOf"])?.AsArray().Select(k => k!) ?? [schema]];

    public static bool MayBeNull(JsonNode schema) => TypesOf(schema).Contains("null");

    /// <summary>“number”, “string”, “array”, “object” …, without “null”; null where anything goes.</summary>
    public static string? TypeOf(JsonNode schema) => TypesOf(schema).FirstOrDefault(t => t != "null");

    private static string[] TypesOf(JsonNode schema) =>
        schema["type"] switch
        {
            JsonArray many => [.. many.Select(t => (string)t!)],
            JsonValue one => [(string)one!],
            _ => [],
        };
}
