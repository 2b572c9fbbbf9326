using System.Net;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Web.Tests;

public sealed class FitApiTests(WendrakServer server) : IClassFixture<WendrakServer>
{
    private async Task<LoopFitInput> QuestionAsync()
    {
        RatioSearchInput q = await Questions.SearchAsync(server);
        LoopChoice choice = q.Fitted[0];
        return new(q.Drive, choice, choice, StartingLayout.For(q.Drive, choice), null, false, 1);
    }

    [Fact]
    public async Task A_loop_is_fitted_and_drawn()
    {
        LoopFitInput question = await QuestionAsync();
        HttpResponseMessage fit = await server.PostAsync("/api/fit/loop", question);
        Assert.Equal(HttpStatusCode.OK, fit.StatusCode);
        JsonNode answer = JsonNode.Parse(await fit.Content.ReadAsStringAsync())!;
        Assert.Equal(question.Choice.Links!.Value, (double)answer["exactLength"]!, 6);
        HttpResponseMessage drawing = await server.PostAsync("/api/fit/drawing", question);
        JsonNode files = JsonNode.Parse(await drawing.Content.ReadAsStringAsync())!;
        Assert.StartsWith("<svg", (string)files["svg"]!, StringComparison.Ordinal);
        Assert.EndsWith("EOF\n", (string)files["dxf"]!, StringComparison.Ordinal);
        HttpResponseMessage layout = await server.PostAsync(
            "/api/fit/starting-layout",
            new StartingLayoutInput(question.Drive, question.Choice, MachineKind.Motorcycle)
        );
        Assert.Equal(HttpStatusCode.OK, layout.StatusCode);
    }

    /// <summary>What JSON has no word for, what is left out, and what is no number.</summary>
    [Theory]
    [InlineData("\"xMm\":0,", "")]
    [InlineData("\"xMm\":0,", "\"xMm\":NaN,")]
    [InlineData("\"xMm\":0,", "\"xMm\":Infinity,")]
    [InlineData("\"xMm\":0,", "\"xMm\":\"0\",")]
    [InlineData("\"xMm\":0,", "\"xMm\":null,")]
    [InlineData("\"xMm\":0,", "\"xMm\":1e400,")]
    [InlineData("\"kind\":\"line\"", "\"kind\":\"spiral\"")]
    [InlineData("\"turning\":\"clockwise\"", "\"turning\":7")]
    public async Task A_broken_layout_is_refused(string from, string to)
    {
        string body = JsonSerializer.Serialize(await QuestionAsync(), Json.Options);
        Assert.Contains(from, body, StringComparison.Ordinal);
        string broken = body.Replace(from, to, StringComparison.Ordinal);
        using StringContent content = new(broken, Encoding.UTF8, "application/json");
        HttpResponseMessage response = await server.Client.PostAsync("/api/fit/loop", content);
        Assert.True(Refusal.IsOne(response.StatusCode), $"{response.StatusCode}");
    }

    [Fact]
    public async Task Every_wrong_field_is_named_together()
    {
        LoopFitInput q = await QuestionAsync();
        LoopLayout layout = q.Layout with
        {
            Front = new(1e9, 0),
            Idlers = [new("", new(0, 0), -1, false, RunSide.Back, LoopRun.Slack)],
        };
        HttpResponseMessage response = await server.PostAsync("/api/fit/loop", q with { Layout = layout });
        JsonNode problem = JsonNode.Parse(await response.Content.ReadAsStringAsync())!;
        string[] fields = [.. problem["issues"]!.AsArray().Select(i => (string)i!["field"]!)];
        Assert.Equal(["layout.front.xMm", "layout.idlers[0].name", "layout.idlers[0].size"], fields);
    }

    [Theory]
    [InlineData("neighbours")]
    [InlineData("combinations")]
    [InlineData("length-for-centre")]
    [InlineData("spacers")]
    [InlineData("rail")]
    [InlineData("belt-code")]
    [InlineData("cut-belt")]
    [InlineData("groove")]
    [InlineData("coil")]
    [InlineData("sprocket")]
    public async Task An_empty_question_is_refused(string call)
    {
        using StringContent content = new("{}", Encoding.UTF8, "application/json");
        HttpResponseMessage response = await server.Client.PostAsync($"/api/fit/{call}", content);
        Assert.Equal(HttpStatusCode.BadRequest, response.StatusCode);
    }

    [Fact]
    public async Task Parts_in_hand_are_read_and_refused_by_name()
    {
        HttpResponseMessage code = await server.PostAsync("/api/fit/belt-code", new BeltCodeInput("300L075"));
        Assert.Equal(80, (int)JsonNode.Parse(await code.Content.ReadAsStringAsync())!["reading"]!["teeth"]!);
        HttpResponseMessage sprocket = await server.PostAsync("/api/fit/sprocket", new SprocketInput("08A", 17));
        JsonNode size = JsonNode.Parse(await sprocket.Content.ReadAsStringAsync())!;
        Assert.Equal(60.901, (double)size["caliperMm"]!, 3); // ISO 606, engineering.md c1
        HttpResponseMessage coil = await server.PostAsync("/api/fit/coil", new CoilInput(100, 200, 5, null));
        Assert.Contains("outerDiameterMm", await coil.Content.ReadAsStringAsync(), StringComparison.Ordinal);
    }
}
