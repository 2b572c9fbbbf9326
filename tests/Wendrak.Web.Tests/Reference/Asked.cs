using System.Text.Json.Nodes;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Web.Tests.Reference;

/// <summary>
/// Check rows of the engineering reference asked of the API, as the page asks it: what agrees here is what the product runs. A row
/// is put as a drive that has its figures.
/// </summary>
internal static class Asked
{
    public static async Task<JsonNode> Of<T>(WendrakServer server, string path, T question)
    {
        HttpResponseMessage response = await server.PostAsync(path, question);
        string result = await response.Content.ReadAsStringAsync();
        Assert.True(response.IsSuccessStatusCode, result);
        return JsonNode.Parse(result)!;
    }

    /// <summary>The tolerance of the row in percent, and its name in the failure.</summary>
    public static void Agrees(string row, double percent, double expected, JsonNode? result)
    {
        double actual = result!.GetValue<double>();
        Assert.True(
            Math.Abs(actual - expected) <= Math.Abs(expected) * percent / 100 + 1e-12,
            FormattableString.Invariant($"{actual:G8}, but row {row} gives {expected:G8}")
        );
    }

    /// <summary>The figure of a working, by its title.</summary>
    public static JsonNode Result(JsonNode answer, string title) => Working(answer, title)["result"]!["value"]!;

    /// <summary>What was put into a working, by its symbol.</summary>
    public static JsonNode Put(JsonNode answer, string title, string symbol) =>
        Working(answer, title)["values"]!.AsArray().First(v => (string)v!["symbol"]! == symbol)!["value"]!;

    private static JsonNode Working(JsonNode answer, string title) =>
        answer["workings"]!
            .AsArray()
            .FirstOrDefault(w => ((string)w!["title"]!).StartsWith(title, StringComparison.Ordinal))
        ?? throw new InvalidOperationException(
            $"No working “{title}” among: "
                + string.Join(", ", answer["workings"]!.AsArray().Select(w => (string)w!["title"]!))
        );

    public static Loop LoopOf(DriveElement element, string standard, string from = "in", string to = "out") =>
        new("final", "final", from, to, element, standard, BeltArrangement.Open, 0, null, null, null, null, false);

    public static Loop Chain(string standard, string from = "in", string to = "out") =>
        LoopOf(DriveElement.Chain, standard, from, to);

    /// <summary>Stages one behind the other, a road wheel of a rolled-out circumference on the last shaft.</summary>
    public static Drive DriveOf(double? rollOutMm, params Stage[] stages) =>
        new(
            "drive",
            "Drive",
            null,
            new("in", InputKind.Motor, 100, 6_000, null),
            stages,
            [new("wheel", stages[^1].DrivenShaft, rollOutMm is not null, rollOutMm is double u ? new(null, u) : null)],
            true,
            SpeedPickup.None,
            0
        );

    public static FixedPair Pair(string key, string from, string to, int driver, int driven) =>
        new(key, key, from, to, driver, driven, Meshing.ExternalGears);

    public static LoopChoice[] Wheels(double front, double rear, int? links = null) =>
        [new("final", front, rear, links)];

    /// <summary>Front at the origin, rear behind it, fixed.</summary>
    public static LoopLayout Apart(double centreMm) =>
        new("final", Turning.Clockwise, new(0, 0), new(-centreMm, 0), [], null);

    /// <summary>The rear wheel in a level slot.</summary>
    public static LoopLayout Slot(double fromMm, double toMm) =>
        Apart(fromMm) with
        {
            Moving = new(LoopLayout.RearName, new LineTrack(new(-fromMm, 0), new(-toMm, 0))),
        };
}
