using System.Net;
using System.Text.Json.Nodes;
using Wendrak.Core.Evaluation;
using Wendrak.Core.Gearing;

namespace Wendrak.Web.Tests;

public sealed class FollowUpApiTests(WendrakServer server) : IClassFixture<WendrakServer>
{
    private async Task<FollowUpInput> QuestionAsync(Func<LoopChoice, LoopChoice> change)
    {
        RatioSearchInput q = await Questions.SearchAsync(server);
        DrivesAsBuilt before = new([q.Drive], q.Fitted, [], null);
        return new(before, before with { Loops = [change(q.Fitted[0])] });
    }

    [Fact]
    public async Task A_change_is_answered_with_its_stations()
    {
        FollowUpInput question = await QuestionAsync(c => c with { RearSize = c.RearSize - 2 });
        HttpResponseMessage response = await server.PostAsync("/api/follow-ups", question);
        JsonArray items = JsonNode.Parse(await response.Content.ReadAsStringAsync())!.AsArray();
        Assert.Equal(["ratio", "fit", "set"], items.Select(i => (string)i!["station"]!).Distinct());
        Assert.All(items, i => Assert.Equal("rearWheel", (string)i!["because"]![0]!));
    }

    [Fact]
    public async Task Wrong_wheels_are_named()
    {
        FollowUpInput question = await QuestionAsync(c => c with { RearSize = 0 });
        HttpResponseMessage response = await server.PostAsync("/api/follow-ups", question);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, response.StatusCode);
        Assert.Contains(
            "after.loops[0].rearSize",
            await response.Content.ReadAsStringAsync(),
            StringComparison.Ordinal
        );
    }
}
