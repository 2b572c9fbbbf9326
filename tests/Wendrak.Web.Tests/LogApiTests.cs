using System.Net;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Wendrak.Core.Importing;
using Wendrak.Core.Records;

namespace Wendrak.Web.Tests;

/// <summary>Logs over HTTP: lines and tables in, tables out, comparisons, and traces.</summary>
public sealed class LogApiTests(WendrakServer server) : IClassFixture<WendrakServer>
{
    private const string Fills = "Date,Odometer (km),Fuel (L)\n2026-01-03,100,4\n2026-01-10,200,4.5\nnever,1,1\n";

    private static StringContent Table(string text) => new(text, Encoding.UTF8, "text/csv");

    private async Task<long> MachineAsync() =>
        (await server.GetAsync<JsonNode>("/api/machines")).AsArray().Select(m => (long)m!["machine"]!["id"]!).Last();

    private async Task<JsonNode> LookAsync(long id, string text) =>
        (
            await (
                await server.Client.PostAsync($"/api/machines/{id}/log/look", Table(text))
            ).Content.ReadFromJsonAsync<JsonNode>()
        )!;

    private Task<HttpResponseMessage> TakeAsync(long id, string text, string columns, bool onlyTry = false) =>
        server.Client.PostAsync(
            $"/api/machines/{id}/log/file?name=fills.csv&onlyTry={onlyTry}&columns={Uri.EscapeDataString(columns)}",
            Table(text)
        );

    [Fact]
    public async Task A_table_is_looked_at_tried_and_taken_in_once()
    {
        long id = await MachineAsync();
        JsonNode guess = (await LookAsync(id, Fills))["guess"]!;
        guess["areAllFull"] = true;
        string columns = guess.ToJsonString();
        JsonNode tried = (
            await (await TakeAsync(id, Fills, columns, onlyTry: true)).Content.ReadFromJsonAsync<JsonNode>()
        )!;
        Assert.Equal((2, 1), ((int)tried["added"]!, (int)tried["refusedCount"]!));
        JsonNode taken = (await (await TakeAsync(id, Fills, columns)).Content.ReadFromJsonAsync<JsonNode>())!;
        Assert.Equal((2, 0), ((int)taken["added"]!, (int)taken["known"]!));
        JsonNode again = (await (await TakeAsync(id, Fills, columns)).Content.ReadFromJsonAsync<JsonNode>())!;
        Assert.Equal((0, 2), ((int)again["added"]!, (int)again["known"]!));
        Assert.True((bool)(await LookAsync(id, Fills))["isRemembered"]!);
        string table = await server.Client.GetStringAsync($"/api/machines/{id}/log.csv");
        Assert.Contains("2026-01-10,fuel,200,4.5,L,yes", table, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("{", "columns")]
    [InlineData("null", "columns")]
    [InlineData("{\"kind\":\"fuel\"}", "columns")]
    [InlineData(
        "{\"kind\":\"fuel\",\"heads\":[\"a\"],\"columns\":[null],\"days\":\"yearMonthDay\",\"decimals\":\"point\",\"areAllFull\":true,\"hasHead\":true}",
        "columns[0]"
    )]
    public async Task Columns_that_are_none_are_refused(string columns, string field)
    {
        HttpResponseMessage response = await TakeAsync(await MachineAsync(), Fills, columns);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, response.StatusCode);
        JsonNode problem = (await response.Content.ReadFromJsonAsync<JsonNode>())!;
        Assert.Equal(field, (string)problem["issues"]![0]!["field"]!);
    }

    [Fact]
    public async Task A_long_log_is_told_in_parts_of_a_bounded_length()
    {
        long id = await MachineAsync();
        await server.PostAsync(
            $"/api/machines/{id}/log",
            new NewLogLines([.. Enumerable.Range(0, 30).Select(i => new OdometerRead(new(2026, 2, 1), 1_000 + i))])
        );
        JsonNode part = await server.GetAsync<JsonNode>($"/api/machines/{id}/log?kind=odometerRead&most=20");
        Assert.Equal(20, part["entries"]!.AsArray().Count);
        JsonNode rest = await server.GetAsync<JsonNode>(
            $"/api/machines/{id}/log?kind=odometerRead&most=20&after={part["next"]}"
        );
        Assert.Equal((10, true), (rest["entries"]!.AsArray().Count, rest["next"] is null));
        Assert.Equal(
            HttpStatusCode.UnprocessableEntity,
            (await server.Client.GetAsync($"/api/machines/{id}/log?kind=fuel")).StatusCode
        );
        foreach (int most in (int[])[0, 501])
            Assert.Equal(
                HttpStatusCode.UnprocessableEntity,
                (await server.Client.GetAsync($"/api/machines/{id}/log?most={most}")).StatusCode
            );
    }

    [Fact]
    public async Task What_is_not_there_is_not_found()
    {
        const string none = "/api/machines/99999";
        foreach (string path in (string[])["log", "log.csv"])
            Assert.Equal(HttpStatusCode.NotFound, (await server.Client.GetAsync($"{none}/{path}")).StatusCode);
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await server.PostAsync($"{none}/log/struck", new StruckLine(1, 0, true))).StatusCode
        );
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await server.PostAsync($"{none}/comparison", new { measure = "fuel" })).StatusCode
        );
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await server.Client.PostAsync($"{none}/trace?question=%7B%7D", Table("t,speed\n0,1\n"))).StatusCode
        );
        long id = await MachineAsync();
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await server.PostAsync($"/api/machines/{id}/log/struck", new StruckLine(999, 0, true))).StatusCode
        );
    }

    [Fact]
    public async Task A_trace_is_read_with_the_gears_of_its_machine()
    {
        JsonArray machines = (await server.GetAsync<JsonNode>("/api/machines")).AsArray();
        long curlew = (long)machines.Single(m => (string)m!["machine"]!["name"]! == "Curlew")!["machine"]!["id"]!;
        string rows = string.Join('\n', Enumerable.Range(0, 100).Select(i => $"{i / 10.0},{40 + i / 2.0}"));
        string question = Uri.EscapeDataString(JsonSerializer.Serialize(new { fromKmh = 60, toKmh = 80 }));
        HttpResponseMessage response = await server.Client.PostAsync(
            $"/api/machines/{curlew}/trace?question={question}",
            Table("t,speed\n" + rows)
        );
        JsonNode trace = (await response.Content.ReadFromJsonAsync<JsonNode>())!;
        JsonNode run = Assert.Single(trace["runs"]!.AsArray())!;
        Assert.Equal(4, (double)run["seconds"]!, 6);
        int[] gears = [.. run["possibleGears"]!.AsArray().Select(g => (int)g!)];
        Assert.NotEmpty(gears);
        Assert.All(gears, g => Assert.InRange(g, 1, 6));
        HttpResponseMessage refused = await server.Client.PostAsync(
            $"/api/machines/{curlew}/trace?question=no",
            Table("t,speed\n" + rows)
        );
        Assert.Equal(HttpStatusCode.UnprocessableEntity, refused.StatusCode);
    }

    [Fact]
    public async Task A_film_is_timed_without_a_machine()
    {
        HttpResponseMessage response = await server.PostAsync(
            "/api/log/film-time",
            new
            {
                framesASecond = 50,
                firstFrame = 10,
                lastFrame = 60,
            }
        );
        Assert.Equal(1, (double)(await response.Content.ReadFromJsonAsync<JsonNode>())!["seconds"]!);
    }

    [Fact]
    public async Task The_demo_has_a_comparison_that_can_be_told_and_one_that_can_t()
    {
        JsonArray machines = (await server.GetAsync<JsonNode>("/api/machines")).AsArray();
        long Id(string name) => (long)machines.Single(m => (string)m!["machine"]!["name"]! == name)!["machine"]!["id"]!;
        async Task<string> VerdictAsync(string name, string measure) =>
            (string)
                (
                    await (
                        await server.PostAsync($"/api/machines/{Id(name)}/comparison", new { measure })
                    ).Content.ReadFromJsonAsync<JsonNode>()
                )!["verdict"]!;
        Assert.Equal("shown", await VerdictAsync("Curlew", "fuel"));
        Assert.Equal("notShown", await VerdictAsync("Dunlin", "energy"));
        Assert.Equal("notShown", await VerdictAsync("Dunlin", "noise"));
    }
}
