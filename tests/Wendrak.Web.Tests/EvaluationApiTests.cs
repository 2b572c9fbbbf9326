using System.IO.Compression;
using System.Net;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Wendrak.Core.Evaluation;
using Wendrak.Core.Records;
using Wendrak.Core.Tension;
using Wendrak.Store.Machines;

namespace Wendrak.Web.Tests;

/// <summary>The one question of a page, over HTTP.</summary>
public sealed class EvaluationApiTests(WendrakServer server) : IClassFixture<WendrakServer>
{
    private async Task<(HttpStatusCode Status, JsonNode Body)> AskAsync(string question)
    {
        HttpResponseMessage response = await server.Client.PostAsync(
            "/api/evaluation",
            new StringContent(question, Encoding.UTF8, "application/json")
        );
        return (response.StatusCode, JsonNode.Parse(await response.Content.ReadAsStringAsync())!);
    }

    private async Task<(long Id, string Loop)> MachineAsync(string name)
    {
        MachineCard card = (await server.GetAsync<MachineCard[]>("/api/machines")).First(m => m.Machine.Name == name);
        return (card.Machine.Id, card.Fitted.Loops[0].LoopKey);
    }

    private static string Question(long id, string loop, string parts) =>
        $$"""{"machineId":{{id}},"scope":{"loopKeys":["{{loop}}"]},"parts":{{parts}}}""";

    [Fact]
    public async Task Answers_only_what_is_asked_and_refuses_a_part_by_its_path()
    {
        (long id, string loop) = await MachineAsync("Curlew");
        (HttpStatusCode status, JsonNode body) = await AskAsync(
            Question(id, loop, """{"headlines":{},"lengthForCentre":{"centreMm":-5}}""")
        );
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal(["headlines", "lengthForCentre"], body.AsObject().Select(m => m.Key));
        Assert.NotNull(body["headlines"]!["answer"]);
        Assert.Equal("centreMm", (string)body["lengthForCentre"]!["refused"]![0]!["field"]!);
    }

    /// <summary>What is asked anew at a station when another tooth is picked there.</summary>
    public static TheoryData<string, EvaluationParts> AskedOfATooth() =>
        new()
        {
            {
                "ratio",
                new()
                {
                    Headlines = new(),
                    Comparison = new(),
                    FollowUps = new(),
                }
            },
            {
                "fit",
                new() { Headlines = new(), Fit = new() }
            },
            {
                "loads",
                new()
                {
                    Headlines = new(),
                    Loads = new(),
                    Mends = new(),
                }
            },
            {
                "loads, side by side",
                new()
                {
                    Headlines = new(),
                    Loads = new(),
                    Mends = new(),
                    LoadsBeside = new(),
                }
            },
        };

    [Theory]
    [MemberData(nameof(AskedOfATooth))]
    public async Task A_changed_tooth_is_under_eight_kilobytes(string station, EvaluationParts parts)
    {
        foreach (string machine in new[] { "Curlew", "Dunlin", "Godwit", "Turnstone", "Knot", "Plover" })
        {
            (long id, string loop) = await MachineAsync(machine);
            EvaluationScope scope = new([loop], Picks: [new(loop, 16, 43)]);
            string question = JsonSerializer.Serialize(new EvaluationQuestion(scope, parts, id), Json.Options);
            HttpRequestMessage request = new(HttpMethod.Post, "/api/evaluation")
            {
                Content = new StringContent(question, Encoding.UTF8, "application/json"),
                Headers = { { "Accept-Encoding", "gzip" } }, // as every browser says
            };
            HttpResponseMessage response = await server.Client.SendAsync(request);
            Assert.Equal(HttpStatusCode.OK, response.StatusCode);
            byte[] sent = await response.Content.ReadAsByteArrayAsync();
            if (response.Content.Headers.ContentEncoding.Contains("gzip"))
                Assert.NotNull(JsonNode.Parse(new GZipStream(new MemoryStream(sent), CompressionMode.Decompress)));
            else
                Assert.NotNull(JsonNode.Parse(sent));
            int bytes = question.Length + sent.Length;
            Assert.True(bytes is > 500 and < 8000, $"{machine} at {station}: {bytes}");
        }
    }

    [Fact]
    public async Task Whoever_can_not_unpack_gets_it_as_it_is()
    {
        (long id, string loop) = await MachineAsync("Curlew");
        foreach (string takes in new[] { "identity", "gzip;q=0" })
        {
            HttpRequestMessage request = new(HttpMethod.Post, "/api/evaluation")
            {
                Content = new StringContent(Question(id, loop, """{"loads":{}}"""), Encoding.UTF8, "application/json"),
                Headers = { { "Accept-Encoding", takes } },
            };
            HttpResponseMessage response = await server.Client.SendAsync(request);
            Assert.Empty(response.Content.Headers.ContentEncoding);
            Assert.NotNull(JsonNode.Parse(await response.Content.ReadAsStringAsync())!["loads"]!["answer"]);
        }
    }

    [Fact]
    public async Task Numbers_that_are_shown_have_eight_digits_and_those_of_a_working_all()
    {
        (long id, string loop) = await MachineAsync("Curlew");
        (_, JsonNode body) = await AskAsync(Question(id, loop, """{"loads":{"workings":true}}"""));
        JsonNode loads = body["loads"]!["answer"]!;
        string[] shown = [.. loads["points"]!.AsArray().Select(p => p!["pullN"]!.ToJsonString())];
        Assert.All(shown, n => Assert.InRange(n.Count(char.IsAsciiDigit), 1, 8));
        Assert.Contains(shown, n => n.Contains('.', StringComparison.Ordinal));
        Assert.Contains(
            loads["workings"]!.AsArray(),
            w => w!["result"]!["value"]!.ToJsonString().Count(char.IsAsciiDigit) > 12
        );
    }

    [Fact]
    public async Task What_is_no_question_or_no_machine_is_said()
    {
        (HttpStatusCode status, JsonNode body) = await AskAsync("""{"scope":{"loopKeys":5},"parts":{}}""");
        Assert.Equal(HttpStatusCode.BadRequest, status);
        Assert.Equal("scope.loopKeys", (string)body["issues"]![0]!["field"]!);
        (status, body) = await AskAsync("""{"machineId":1,"scope":{"loopKeys":[null]},"parts":{}}""");
        Assert.Equal(HttpStatusCode.UnprocessableEntity, status);
        Assert.Equal("scope.loopKeys[0]", (string)body["issues"]![0]!["field"]!);
        (status, _) = await AskAsync(Question(99_999, "final", "{}"));
        Assert.Equal(HttpStatusCode.NotFound, status);
        (status, body) = await AskAsync("""{"practiceMachine":"none","scope":{"loopKeys":[]},"parts":{}}""");
        Assert.Equal("practiceMachine", (string)body["issues"]![0]!["field"]!);
        HttpResponseMessage text = await server.Client.PostAsync("/api/evaluation", new StringContent("{}"));
        Assert.Equal(HttpStatusCode.UnsupportedMediaType, text.StatusCode);
    }

    [Fact]
    public async Task A_machine_to_practise_on_is_asked_by_its_name()
    {
        (HttpStatusCode status, JsonNode body) = await AskAsync(
            """{"practiceMachine":"Belt, two screws","scope":{"loopKeys":["final"]},"parts":{"set":{},"fit":{}}}"""
        );
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.NotNull(body["set"]!["answer"]!["window"]);
        Assert.NotNull(body["fit"]!["answer"]);
    }

    [Fact]
    public async Task What_was_answered_before_a_change_is_not_answered_after_it()
    {
        (long id, string loop) = await MachineAsync("Dunlin");
        string question = Question(id, loop, """{"headlines":{}}""");
        (_, JsonNode first) = await AskAsync(question);
        (_, JsonNode again) = await AskAsync(question);
        Assert.True(JsonNode.DeepEquals(first, again));
        Setup fitted = (await server.GetAsync<Setup[]>($"/api/machines/{id}/setups")).First(s =>
            s.Status == SetupStatus.AsFitted
        );
        Setup other = fitted with { Loops = [fitted.Loops[0] with { FrontSize = 30 }] };
        (await server.PutAsync($"/api/setups/{fitted.Id}", other)).EnsureSuccessStatusCode();
        (_, JsonNode after) = await AskAsync(question);
        Assert.NotEqual(
            (double)first["headlines"]!["answer"]!["ratio"]!["finalRatio"]!,
            (double)after["headlines"]!["answer"]!["ratio"]!["finalRatio"]!
        );
    }

    [Fact]
    public async Task A_reading_is_one_request_stored_and_answered()
    {
        (long id, string loop) = await MachineAsync("Curlew");
        SetJob visit = new(0, 0, 0, loop, new(2026, 11, 28), null, SetGoal.Both, [], [], null);
        (await server.PostAsync($"/api/machines/{id}/set-jobs", visit)).EnsureSuccessStatusCode();
        visit = (await server.GetAsync<SetJob[]>($"/api/machines/{id}/set-jobs"))[0];
        EvaluationQuestion ask = new(new([loop]), new() { Set = new(new(visit.Id, loop)), Headlines = new() }, id);
        SentEvent read = new("r1", new ReadingTaken(loop, new(ReadingMethod.FreePlay, 41)));
        JobAfter after = await HappenedAsync(visit.Id, new([read], ask));
        Assert.Equal(41, Assert.Single(after.Visit!.InHand!.Round!.Readings).Value);
        Assert.Single(after.Evaluation!.Set!.Answer!.Rounds);
        Assert.True(after.Evaluation.Headlines!.Answer!.Set.GoesOn);
        // A question that can't be answered keeps nothing from being written down.
        SentEvent next = new("r2", new ReadingTaken(loop, new(ReadingMethod.FreePlay, 42, 1)));
        after = await HappenedAsync(visit.Id, new([next], ask with { Scope = new(["none"]) }));
        Assert.Equal(2, after.Visit!.InHand!.Round!.Readings.Count);
        Assert.Null(after.Evaluation);
    }

    private async Task<JobAfter> HappenedAsync(long visit, HappenedAtJob events) =>
        (
            await (await server.PostAsync($"/api/jobs/{visit}/events", events)).Content.ReadFromJsonAsync<JobAfter>(
                Json.Options
            )
        )!;
}
