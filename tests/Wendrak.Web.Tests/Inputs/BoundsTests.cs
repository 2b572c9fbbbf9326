using System.Globalization;
using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Wendrak.Web.Tests.Fuzz;

namespace Wendrak.Web.Tests.Inputs;

/// <summary>
/// The bounds that the description of the API tells are those of the core's own guards: each number of each call is set far out,
/// and the refusal says between what it must lie.
/// </summary>
public sealed class BoundsTests(WendrakServer server) : IClassFixture<WendrakServer>
{
    private const int Questions = 8; // of each call, from what is stored
    private const int Tries = 40;
    private const int Asked = 10; // of each number: what is allowed goes by what it stands beside
    private const int AskedInVain = 40; // while no call has told a bound of it
    private const int AskedInOtherWords = 2; // with each other word and switch beside it
    private static readonly string Kept = Path.Combine(Repository.Root, "src", "Wendrak.Web", "bounds.csv");

    /// <summary>What is allowed goes by another number of the same question: no bound of theirs is always true.</summary>
    private static readonly string[] GoByOthers =
    [
        "CoilInput.outerDiameterMm",
        "FasteningDone.count",
        "FixedCentreInput.frontMax",
        "FixedCentreInput.rearMax",
        "LengthForCentreInput.centreMm",
        "LoopFitInput.travelMm",
        "LoopSetting.gapHighMm",
        "ShaftHubConnectionSolidShaft.boreMm",
        "ShaftHubConnectionSplineJoint.innerMm",
        "SpacerStacksInput.floatMostMm",
        "SprocketOnShaft.lineMm",
        "StepValue.value",
    ];

    private sealed record Range(double? Low, double? High)
    {
        /// <summary>Of both what takes more: what one call refuses another may take.</summary>
        public static Range? Widest(Range? one, Range? other) =>
            one is null || other is null
                ? one ?? other
                : new(
                    one.Low is double a && other.Low is double b ? Math.Min(a, b) : null,
                    one.High is double c && other.High is double d ? Math.Max(c, d) : null
                );
    }

    [Fact]
    public async Task Bounds_that_are_told_are_those_that_are_held()
    {
        ApiDescription api = new(ApiDescription.Kept);
        SortedDictionary<string, Range> found = new(StringComparer.Ordinal);
        Dictionary<string, int> times = [];
        KnownParts parts = await KnownParts.ReadAsync(api, server.Client);
        foreach (ApiOperation call in api.Operations.Where(o => o.Method == "POST" && o.Body is not null))
        foreach (JsonNode question in QuestionsOf(call, api, parts))
        {
            InputLeaf[] leaves = [.. new InputLeaves(api).Of(call.Body!, question)];
            foreach (InputLeaf leaf in leaves.Where(l => l.FarOut is not null && !GoByOthers.Contains(l.Name)))
            {
                int time = times[leaf.Name] = times.GetValueOrDefault(leaf.Name) + 1;
                if (time > (found.ContainsKey(leaf.Name) ? Asked : AskedInVain))
                    continue;
                InputLeaf[] words =
                    time > AskedInOtherWords
                        ? []
                        : [.. leaves.Where(l => l.FarOut is null && ReferenceEquals(l.Parent, leaf.Parent))];
                if (
                    Range.Widest(
                        found.GetValueOrDefault(leaf.Name),
                        await AroundAsync(call.Path, leaf, question, words)
                    ) is
                    { } range
                )
                    found[leaf.Name] = range;
            }
        }
        Assert.True(found.Count > 150, $"only {found.Count} bounds were found");
        string rows = string.Concat(
            found.Select(f => string.Create(CultureInfo.InvariantCulture, $"{f.Key},{f.Value.Low},{f.Value.High}\n"))
        );
        if (Environment.GetEnvironmentVariable("WENDRAK_WRITE_CONTRACT") == "yes")
            await File.WriteAllTextAsync(Kept, rows);
        Assert.Equal(await File.ReadAllTextAsync(Kept), rows);
    }

    private static IEnumerable<JsonNode> QuestionsOf(ApiOperation call, ApiDescription api, KnownParts parts) =>
        InputQuestions
            .All()
            .Concat(InputQuestions.OfStored())
            .Where(q => q.Path == call.Path)
            .Select(q => q.Body)
            .Concat(
                Enumerable
                    .Range(0, Tries)
                    .Select(seed => new Random(seed))
                    .Select(r => new SchemaSample(api, parts.OfAny(r), r).Of(call.Body!))
                    .OfType<JsonNode>()
                    .Take(Questions)
            );

    /// <summary>As the question is, and with each other word beside the number: a smooth idler may be larger than a toothed one.</summary>
    private async Task<Range?> AroundAsync(string path, InputLeaf leaf, JsonNode question, InputLeaf[] words)
    {
        Range? widest = await BoundsAsync(path, leaf, question);
        foreach (InputLeaf word in words)
        {
            JsonNode? was = word.Parent[word.Property]?.DeepClone();
            foreach (JsonNode? other in word.Others)
            {
                word.Parent[word.Property] = other?.DeepClone();
                widest = Range.Widest(widest, await BoundsAsync(path, leaf, question));
            }
            word.Parent[word.Property] = was;
        }
        return widest;
    }

    /// <summary>A range comes back whole; of one bound alone the side that breaks it must be found.</summary>
    private async Task<Range?> BoundsAsync(string path, InputLeaf leaf, JsonNode question) =>
        await BoundsAsync(path, leaf, question, -1) ?? await BoundsAsync(path, leaf, question, 1);

    private async Task<Range?> BoundsAsync(string path, InputLeaf leaf, JsonNode question, int sign)
    {
        string field = leaf.Path;
        using StringContent content = new(
            leaf.With(question, sign * leaf.FarOut!.Value),
            System.Text.Encoding.UTF8,
            "application/json"
        );
        HttpResponseMessage response = await server.Client.PostAsync(
            path.Replace("{id}", "1", StringComparison.Ordinal).Replace("{loopKey}", "final", StringComparison.Ordinal),
            content
        );
        if (response.StatusCode != HttpStatusCode.UnprocessableEntity)
            return null;
        JsonNode refusal = (await response.Content.ReadFromJsonAsync<JsonNode>())!;
        return refusal["issues"]!
            .AsArray()
            .Where(i => (string)i!["field"]! == field && i["bounds"] is JsonObject)
            .Select(i => new Range((double?)i!["bounds"]!["low"], (double?)i["bounds"]!["high"]))
            .Aggregate((Range?)null, Range.Widest);
    }
}
