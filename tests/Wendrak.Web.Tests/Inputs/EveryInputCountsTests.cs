using System.Net;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Wendrak.Web.Tests.Fuzz;

namespace Wendrak.Web.Tests.Inputs;

/// <summary>
/// No input is accepted and then ignored: each one that the description of the API names, of each computing call, is changed,
/// and something in the answer must change.
/// </summary>
public sealed class EveryInputCountsTests(WendrakServer server) : IClassFixture<WendrakServer>
{
    private const int Questions = 8; // of each call, from what is stored
    private const int Tries = 40;
    private static readonly string[] Computing =
    [
        "/api/ratio/",
        "/api/fit/",
        "/api/loads/",
        "/api/set/",
        "/api/follow-ups",
        "/api/evaluation",
    ];

    /// <summary>What may be given and needn't count, and why.</summary>
    private static readonly Dictionary<string, string> Excused = new()
    {
        ["GearboxSet.id"] = "names a set",
        ["GearboxSet.version"] = "names what was read of it",
        ["Adjuster.eccentricOffset"] = "worked out of the others, as are those below",
        ["Adjuster.eccentricStart"] = "worked out",
        ["LoopSetting.gapHigh"] = "worked out",
        ["LoopSetting.gapLow"] = "worked out",
        ["Adjuster.hasTwoEnds"] = "worked out",
        ["Adjuster.mostAtOnce"] = "worked out",
        ["Adjuster.setsItself"] = "worked out",
        ["Adjuster.step"] = "worked out",
        ["Adjuster.turns"] = "worked out",
        ["Adjuster.isCounted"] = "worked out",
        ["Adjuster.isEccentric"] = "worked out",
        ["Adjuster.isFixed"] = "worked out",
        ["Adjuster.isOfSheave"] = "worked out",
        ["ShimPack.raisesByPuttingIn"] = "worked out",
        ["Adjuster.travelMm"] = "worked out",
    };

    [Fact]
    public async Task No_input_is_accepted_and_then_ignored()
    {
        ApiDescription api = new(ApiDescription.Kept);
        InputLeaves leaves = new(api);
        Dictionary<string, bool> counts = [];
        List<string> unanswered = [];
        foreach (ApiOperation call in api.Operations.Where(IsComputing))
        {
            int answered = 0;
            await foreach (JsonNode question in QuestionsOf(call, api))
            {
                (HttpStatusCode status, string result) = await AskAsync(call.Path, question.ToJsonString());
                if (status != HttpStatusCode.OK)
                    continue;
                answered++;
                foreach (InputLeaf leaf in leaves.Of(call.Body!, question).ToArray())
                    if (!counts.GetValueOrDefault(leaf.Name))
                        counts[leaf.Name] = await CountsAsync(call, question, result, leaf);
                if (answered >= Questions)
                    break;
            }
            if (answered == 0)
                unanswered.Add(call.Path);
        }
        Assert.Empty(unanswered);
        Assert.True(counts.Count > 200, $"only {counts.Count} inputs were found");
        string[] ignored = [.. counts.Where(c => !c.Value).Select(c => c.Key).Except(Excused.Keys).Order()];
        Assert.True(ignored.Length == 0, "accepted and ignored: " + string.Join(", ", ignored));
        Assert.DoesNotContain(Excused.Keys, e => counts.GetValueOrDefault(e, true));
    }

    private static bool IsComputing(ApiOperation call) =>
        call.Method == "POST"
        && call.Body is not null
        && Computing.Any(c => call.Path.StartsWith(c, StringComparison.Ordinal));

    /// <summary>First those that hold everything, then some made up from what is stored.</summary>
    private async IAsyncEnumerable<JsonNode> QuestionsOf(ApiOperation call, ApiDescription api)
    {
        foreach ((string path, JsonNode body) in InputQuestions.All())
            if (path == call.Path)
            {
                (HttpStatusCode status, string result) = await AskAsync(path, body.ToJsonString());
                Assert.True(status == HttpStatusCode.OK, $"{path}: {result}");
                yield return body;
            }
        if (call.Path == "/api/evaluation")
            foreach (
                EvaluationQuestion question in EvaluationQuestions.All(
                    await server.GetAsync<MachineCard[]>("/api/machines")
                )
            )
            {
                JsonNode body = JsonSerializer.SerializeToNode(question, Json.Options)!;
                (HttpStatusCode status, string result) = await AskAsync(call.Path, body.ToJsonString());
                Assert.True(status == HttpStatusCode.OK, result);
                Assert.DoesNotContain("\"refused\":[", result, StringComparison.Ordinal);
                yield return body;
            }
        KnownParts parts = await KnownParts.ReadAsync(api, server.Client);
        for (int seed = 0; seed < Tries; seed++)
        {
            Random random = new(seed);
            if (new SchemaSample(api, parts.OfAny(random), random).Of(call.Body!) is { } made)
                yield return made;
        }
    }

    private async Task<bool> CountsAsync(ApiOperation call, JsonNode question, string result, InputLeaf leaf)
    {
        foreach (string changed in leaf.Changed(question))
        {
            (HttpStatusCode status, string answer) = await AskAsync(call.Path, changed);
            if (status == HttpStatusCode.OK && answer != result)
                return true;
        }
        return false;
    }

    private async Task<(HttpStatusCode Status, string Told)> AskAsync(string path, string body)
    {
        using StringContent content = new(body, Encoding.UTF8, "application/json");
        HttpResponseMessage response = await server.Client.PostAsync(path, content);
        return (response.StatusCode, await response.Content.ReadAsStringAsync());
    }
}
