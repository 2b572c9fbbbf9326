using System.IO.Compression;
using System.Text.Json.Nodes;

namespace Wendrak.Web.Tests.Fuzz;

/// <summary>
/// Parts of what is stored, by the name of their schema and by machine, so that a made-up question is one that somebody could ask:
/// drive, wheels and layout of one and the same machine.
/// </summary>
public sealed class KnownParts
{
    private static readonly string[] Shared = ["/api/stock", "/api/spacers", "/api/gearbox-sets"];
    private static readonly string[] OfMachine = ["setups", "aims", "set-jobs", "file"];

    private readonly List<Dictionary<string, List<JsonNode>>> _machines = [];

    public static async Task<KnownParts> ReadAsync(ApiDescription api, HttpClient client)
    {
        KnownParts parts = new();
        async Task CollectAsync(Dictionary<string, List<JsonNode>> into, string path, string address) =>
            Collect(api, api.AnswerOf(path)!, JsonNode.Parse(Text(await client.GetByteArrayAsync(address)))!, into);
        foreach (JsonNode? card in JsonNode.Parse(await client.GetStringAsync("/api/machines"))!.AsArray())
        {
            long id = (long)card!["machine"]!["id"]!;
            Dictionary<string, List<JsonNode>> own = [];
            await CollectAsync(own, "/api/machines/{id}", $"/api/machines/{id}");
            foreach (string part in OfMachine)
                await CollectAsync(own, "/api/machines/{id}/" + part, $"/api/machines/{id}/{part}");
            foreach (string path in Shared)
                await CollectAsync(own, path, path);
            parts._machines.Add(own);
        }
        return parts;
    }

    /// <summary>JSON as it was sent, or as it lies in the zip that a machine with photos goes out as.</summary>
    private static byte[] Text(byte[] sent)
    {
        if (!sent.AsSpan().StartsWith("PK"u8))
            return sent;
        using ZipArchive archive = new(new MemoryStream(sent));
        using Stream entry = archive.GetEntry("machine.json")!.Open();
        using MemoryStream text = new();
        entry.CopyTo(text);
        return text.ToArray();
    }

    public Dictionary<string, List<JsonNode>> OfAny(Random random) => _machines[random.Next(_machines.Count)];

    /// <summary>What a whole list of a schema is kept under.</summary>
    public static string ListOf(string schema) => schema + "[]";

    /// <summary>What words of a property are kept under: keys name each other.</summary>
    public static string WordsOf(string property) => "=" + property;

    private static JsonObject WordsRef(string property) =>
        new() { ["$ref"] = $"#/components/schemas/{WordsOf(property)}" };

    private static void Collect(
        ApiDescription api,
        JsonNode schema,
        JsonNode value,
        Dictionary<string, List<JsonNode>> into
    )
    {
        void Keep(string name)
        {
            if (!into.TryGetValue(name, out List<JsonNode>? known))
                into[name] = known = [];
            known.Add(value);
        }
        if (ApiDescription.NameOf(schema) is { } own)
            Keep(own);
        if (schema["items"] is { } of && ApiDescription.NameOf(of) is { } each)
            Keep(ListOf(each));
        JsonNode resolved = api.Resolve(schema);
        if (value is JsonArray list && resolved["items"] is { } items)
            foreach (JsonNode element in list.OfType<JsonNode>())
                Collect(api, items, element, into);
        if (value is not JsonObject thing)
            return;
        foreach (JsonNode kind in ApiDescription.KindsOf(resolved).Select(api.Resolve))
        foreach ((string property, JsonNode? part) in thing)
            if (part is not null && kind["properties"]?[property] is { } inner)
            {
                foreach (JsonNode choice in ApiDescription.KindsOf(inner))
                    Collect(api, choice, part, into);
                if (ApiDescription.TypeOf(inner) == "string")
                    Collect(api, WordsRef(property), part, into);
            }
    }
}
