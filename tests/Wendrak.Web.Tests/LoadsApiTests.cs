using System.Net;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Web.Tests;

public sealed class LoadsApiTests(WendrakServer server) : IClassFixture<WendrakServer>
{
    private async Task<LoadsInput> QuestionAsync()
    {
        RatioSearchInput q = await Questions.SearchAsync(server);
        string loop = q.Fitted[0].LoopKey;
        return new(q.Drive, MachineKind.Motorcycle, q.Fitted, [], null, new(q.Drive.Key, PeakTorqueNm: 28), new(loop));
    }

    [Fact]
    public async Task Loads_and_mends_are_answered()
    {
        LoadsInput question = await QuestionAsync();
        HttpResponseMessage response = await server.PostAsync("/api/loads/loop", question);
        JsonNode answer = JsonNode.Parse(await response.Content.ReadAsStringAsync())!;
        Assert.Equal("hardestPull", (string)answer["points"]![0]!["point"]!["kind"]!);
        Assert.True((double)answer["points"]![0]!["pullN"]! > 0);
        Assert.NotEmpty(answer["workings"]!.AsArray());
        HttpResponseMessage mends = await server.PostAsync("/api/loads/mends", question);
        Assert.Equal(HttpStatusCode.OK, mends.StatusCode);
    }

    [Fact]
    public async Task Without_a_torque_the_field_is_named()
    {
        LoadsInput question = await QuestionAsync();
        HttpResponseMessage response = await server.PostAsync(
            "/api/loads/loop",
            question with
            {
                Source = new(question.Drive.Key),
            }
        );
        Assert.Equal(HttpStatusCode.UnprocessableEntity, response.StatusCode);
        Assert.Contains("source.peakTorqueNm", await response.Content.ReadAsStringAsync(), StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("\"peakTorqueNm\":28", "\"peakTorqueNm\":NaN")]
    [InlineData("\"peakTorqueNm\":28", "\"peakTorqueNm\":1e999")]
    [InlineData("\"peakTorqueNm\":28", "\"peakTorqueNm\":\"much\"")]
    [InlineData("\"strands\":1", "\"strands\":0")]
    [InlineData("\"strands\":1", "\"strands\":1.5")]
    [InlineData("\"school\":null", "\"school\":\"other\"")]
    public async Task Broken_input_is_refused(string from, string to)
    {
        string body = JsonSerializer.Serialize(await QuestionAsync(), Json.Options);
        Assert.Contains(from, body, StringComparison.Ordinal);
        using StringContent content = new(
            body.Replace(from, to, StringComparison.Ordinal),
            Encoding.UTF8,
            "application/json"
        );
        HttpResponseMessage response = await server.Client.PostAsync("/api/loads/loop", content);
        Assert.True(Refusal.IsOne(response.StatusCode), $"{response.StatusCode}");
    }
}
