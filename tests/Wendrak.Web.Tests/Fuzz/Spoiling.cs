using System.Text.Json.Nodes;

namespace Wendrak.Web.Tests.Fuzz;

/// <summary>Puts at a place of a JSON text what nobody should send.</summary>
public static class Spoiling
{
    /// <summary>As JSON writes them; some are none.</summary>
    private static readonly string[] Hostile =
    [
        "null",
        "0",
        "-1",
        "1e-300",
        "1e300",
        "1e400",
        "-1e400",
        "0.1",
        "3.5",
        "2147483647",
        "-2147483648",
        "9223372036854775808",
        "\"\"",
        "\"NaN\"",
        "\"\\u0000\"",
        "\"\\ud800\"",
        "\"" + new string('x', 3_000) + "\"",
        "\"0001-01-01\"",
        "\"9999-12-31T23:59:59Z\"",
        "true",
        "[]",
        "[null]",
        "{}",
        "[[[[]]]]",
        "{\"kind\":\"none\"}",
        "NaN",
        "",
    ];

    // A word that no body has: what stands in for a hostile piece until the text is written.
    private const string Mark = "spoilt-here";

    /// <summary>The text with some of its places spoiled, or as it was.</summary>
    public static string Spoil(JsonNode? body, Random random)
    {
        JsonNode? spoiled = body?.DeepClone();
        List<string> pieces = [];
        for (int i = Math.Max(0, random.Next(8) - 4); i > 0 && spoiled is not null; i--)
            if (Place(spoiled, random) is { } place)
                switch (random.Next(6))
                {
                    case 0 when place.Parent is JsonObject parent:
                        parent.Remove(place.GetPropertyName());
                        break;
                    case 1 when place.Parent is JsonArray list:
                        list.Add(place.DeepClone());
                        break;
                    default:
                        pieces.Add(Hostile[random.Next(Hostile.Length)]);
                        place.ReplaceWith($"{Mark}{pieces.Count - 1}.");
                        break;
                }
        string text = spoiled?.ToJsonString() ?? "null";
        for (int i = 0; i < pieces.Count; i++)
            text = text.Replace($"\"{Mark}{i}.\"", pieces[i], StringComparison.Ordinal);
        return random.Next(60) == 0 ? text[..random.Next(text.Length)] : text;
    }

    /// <summary>Any place below the top, found by going down; null where there is none.</summary>
    private static JsonNode? Place(JsonNode top, Random random)
    {
        JsonNode at = top;
        while (true)
        {
            JsonNode[] below = at switch
            {
                JsonObject thing => [.. thing.Select(p => p.Value).OfType<JsonNode>()],
                JsonArray list => [.. list.OfType<JsonNode>()],
                _ => [],
            };
            if (below.Length == 0 || (at != top && random.Next(4) == 0))
                return at == top ? null : at;
            at = below[random.Next(below.Length)];
        }
    }
}
