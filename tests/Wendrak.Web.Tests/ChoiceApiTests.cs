using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Wendrak.Core.Choices;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Web.Tests;

/// <summary>Every machine of the demo is weighed, and what is typed of it is refused at its field.</summary>
public sealed class ChoiceApiTests(WendrakServer server) : IClassFixture<WendrakServer>
{
    private Task<HttpResponseMessage> SendAsync(string path, ChoiceAsked asked) => server.PostAsync(path, asked);

    private async Task<JsonNode> DeskAsync(string path, LoopWeighing? weighing = null, string? matter = null)
    {
        HttpResponseMessage answer = await SendAsync(path, new(matter, weighing));
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        return (await answer.Content.ReadFromJsonAsync<JsonNode>())!;
    }

    [Fact]
    public async Task Every_loop_of_every_machine_is_weighed_and_what_hoists_gets_figures_only()
    {
        JsonArray machines = (await server.Client.GetFromJsonAsync<JsonArray>("/api/machines"))!;
        int weighed = 0;
        foreach (JsonNode? card in machines)
        foreach (JsonNode? loop in card!["summary"]!["loops"]!.AsArray())
        {
            string path = $"/api/machines/{card["machine"]!["id"]}/choice/{loop!["loopKey"]}";
            JsonNode desk = await DeskAsync(path);
            JsonArray columns = desk["columns"]!.AsArray();
            Assert.Single(columns, c => (bool)c!["isFitted"]!);
            Assert.All(columns, c => Assert.NotEmpty(c!["for"]!.AsArray()));
            Assert.All(columns, c => Assert.NotEmpty(c!["against"]!.AsArray()));
            bool isWinch = (string?)card["machine"]!["kind"] == "winch";
            Assert.Equal(isWinch, (string?)desk["outcome"]!["kind"] == "figuresOnly");
            Assert.Equal(isWinch, columns.Any(c => (string?)c!["place"]!["holds"] == "figuresOnly"));
            foreach (JsonNode? matter in desk["matters"]!.AsArray())
                if ((string?)matter!["key"] is { } key)
                    Assert.True((await DeskAsync(path, null, key))["columns"]!.AsArray().Count > 1);
            weighed++;
        }
        Assert.True(weighed >= 10);
    }

    [Fact]
    public async Task Each_kind_can_stand_in_a_column_of_every_machine()
    {
        JsonArray machines = (await server.Client.GetFromJsonAsync<JsonArray>("/api/machines"))!;
        foreach (JsonNode? card in machines)
        {
            JsonNode loop = card!["summary"]!["loops"]![0]!;
            string path = $"/api/machines/{card["machine"]!["id"]}/choice/{loop["loopKey"]}";
            foreach (JsonNode? option in (await DeskAsync(path))["offered"]!.AsArray())
            {
                LoopWeighing weighing = LoopWeighing.Empty((string)loop["loopKey"]!, null) with
                {
                    Shown = [(string)option!["key"]!],
                };
                JsonNode place = (await DeskAsync(path, weighing))["columns"]![0]!["place"]!;
                string holds = (string)place["holds"]!;
                bool isLoop = (string?)place["kind"]!["element"] is not null;
                Assert.Equal(isLoop && holds != "nothingNear", place["setup"] is not null);
                Assert.Equal(!isLoop, place["figure"] is not null);
            }
        }
    }

    [Fact]
    public async Task What_is_wrong_is_refused_at_its_field()
    {
        LoopWeighing weighing = LoopWeighing.Empty("final", null) with
        {
            Wishes = [new(DriveWish.Quiet, 4)],
            Figures = [new("toothedBelt", Price: -1)],
        };
        HttpResponseMessage answer = await SendAsync("/api/machines/1/choice/final", new(null, weighing));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
        JsonArray issues = (await answer.Content.ReadFromJsonAsync<JsonNode>())!["issues"]!.AsArray();
        Assert.Equal(
            ["weighing.figures[0].price", "weighing.wishes[0].weight"],
            issues.Select(i => (string)i!["field"]!).Order()
        );
    }

    /// <summary>Curlew’s two years of growth, oilings, fills and scores.</summary>
    [Fact]
    public async Task The_record_of_what_is_on_is_told_beside()
    {
        JsonNode? told = await server.Client.GetFromJsonAsync<JsonNode>("/api/machines/1/choice/final/record");
        Assert.Equal("sealedChain", (string)told!["option"]!);
        Assert.True((double)told["life"]!["low"]! < (double)told["life"]!["high"]!);
        Assert.True((double)told["upkeep"]!["everyKm"]! > 0);
        Assert.InRange((double)told["use"]!["per100"]!, 3, 6);
        Assert.InRange((double)told["score"]!["mean"]!, 1, 5);
        Assert.Equal(3, told["workings"]!.AsArray().Count);
    }

    [Fact]
    public async Task A_loop_or_a_machine_that_is_not_there_is_said()
    {
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await server.Client.GetAsync("/api/machines/1/choice/gone/record")).StatusCode
        );
        Assert.Equal(HttpStatusCode.NotFound, (await SendAsync("/api/machines/999/choice/final", new())).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await SendAsync("/api/machines/1/choice/gone", new())).StatusCode);
    }
}
