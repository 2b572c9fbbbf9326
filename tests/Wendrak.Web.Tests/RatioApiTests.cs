using System.Net;
using System.Net.Http.Json;
using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;

namespace Wendrak.Web.Tests;

public sealed class RatioApiTests(WendrakServer server) : IClassFixture<WendrakServer>
{
    private sealed record Refused(string Title, int Status, InputIssue[] Issues);

    private static async Task<InputIssue[]> IssuesAsync(HttpResponseMessage response)
    {
        Assert.True(Refusal.IsOne(response.StatusCode), $"{response.StatusCode}");
        Assert.Equal("application/problem+json", response.Content.Headers.ContentType!.MediaType);
        return (await response.Content.ReadFromJsonAsync<Refused>(Json.Options))!.Issues;
    }

    private async Task<HttpResponseMessage> AskAsync(string from, string to) =>
        await server.Client.PostAsync(
            "/api/ratio/search",
            Questions.Spoiled(await Questions.SearchAsync(server), from, to)
        );

    [Fact]
    public async Task A_search_answers_as_the_core_does()
    {
        RatioSearchInput question = await Questions.SearchAsync(server);
        HttpResponseMessage response = await server.PostAsync("/api/ratio/search", question);
        RatioSearchResult answer = (await response.Content.ReadFromJsonAsync<RatioSearchResult>(Json.Options))!;
        RatioSearchResult direct = RatioSearch.Run(question);
        Assert.Equal(direct.HitCount, answer.HitCount);
        Assert.Equal(direct.Hits.Select(h => h.FinalRatio), answer.Hits.Select(h => h.FinalRatio));
    }

    [Theory]
    [InlineData("\"frontMin\":13", "\"frontMin\":0", "search[0].frontMin", 5)]
    [InlineData("\"frontMin\":13", "\"frontMin\":-2", "search[0].frontMin", 5)]
    [InlineData("\"rearMax\":50", "\"rearMax\":1000000000", "search[0].rearMax", 500)]
    [InlineData("\"frontMax\":17", "\"frontMax\":11", "search[0].frontMax", 13)]
    [InlineData("\"speedKmh\":90", "\"speedKmh\":0", "aim.speedKmh", 0.1)]
    [InlineData("\"shaftSpeedHighRpm\":5330", "\"shaftSpeedHighRpm\":100", "aim.shaftSpeedHighRpm", 5020)]
    [InlineData("\"gearIndex\":5", "\"gearIndex\":6", "aim.gearIndex", 5)]
    [InlineData("[2.643,1.857,1.409,1.16,0.962,0.846]", "[]", "drive.stages[1].set.reductions", 1)]
    [InlineData("\"driverTeeth\":28", "\"driverTeeth\":0", "drive.stages[0].driverTeeth", 5)]
    public async Task A_value_out_of_bounds_is_refused_with_field_and_bound(
        string from,
        string to,
        string field,
        double limit
    )
    {
        InputIssue issue = (await IssuesAsync(await AskAsync(from, to))).First(i => i.Field == field);
        Assert.Equal(limit, issue.Limit);
        Assert.StartsWith("Give ", issue.Message, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("\"frontMin\":13", "\"frontMin\":\"thirteen\"", "search[0].frontMin")]
    [InlineData("\"frontMin\":13", "\"frontMin\":null", "search[0].frontMin")]
    [InlineData("\"frontMin\":13", "\"frontMin\":NaN", "search[0].frontMin")]
    [InlineData("\"speedKmh\":90", "\"speedKmh\":NaN", "aim.speedKmh")]
    [InlineData("\"speedKmh\":90", "\"speedKmh\":Infinity", "aim.speedKmh")]
    [InlineData("\"ranking\":\"leastWork\"", "\"ranking\":\"fastest\"", "ranking")]
    [InlineData("\"ranking\":\"leastWork\"", "\"ranking\":0", "ranking")]
    [InlineData("\"kind\":\"cruiseSpeed\"", "\"kind\":\"flying\"", "aim")]
    public async Task What_is_no_number_or_no_known_word_is_refused_at_its_place(string from, string to, string field)
    {
        InputIssue issue = Assert.Single(await IssuesAsync(await AskAsync(from, to)));
        Assert.Equal(("unreadable", true), (issue.Code, issue.Field.StartsWith(field, StringComparison.Ordinal)));
    }

    [Fact]
    public async Task A_missing_field_is_named_and_never_taken_as_zero()
    {
        InputIssue issue = Assert.Single(await IssuesAsync(await AskAsync("\"frontMin\":13,", "")));
        Assert.Contains("frontMin", issue.Message, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("")]
    [InlineData("{")]
    [InlineData("[]")]
    [InlineData("null")]
    [InlineData("hello")]
    public async Task What_is_no_question_at_all_is_refused(string body)
    {
        using StringContent content = new(body, System.Text.Encoding.UTF8, "application/json");
        _ = await IssuesAsync(await server.Client.PostAsync("/api/ratio/search", content));
    }

    [Fact]
    public async Task All_issues_come_back_together()
    {
        RatioSearchInput question = await Questions.SearchAsync(server);
        LoopSearch bad = question.Search[0] with { FrontMin = 0, RearMin = -1, Links = 1 };
        InputIssue[] issues = await IssuesAsync(
            await server.PostAsync("/api/ratio/search", question with { Search = [bad] })
        );
        Assert.Equal(["search[0].frontMin", "search[0].rearMin", "search[0].links"], issues.Select(i => i.Field));
    }

    [Fact]
    public async Task The_other_computing_calls_answer()
    {
        RatioSearchInput q = await Questions.SearchAsync(server);
        ComparedSetup fitted = new("as fitted", q.Fitted, []);
        object[][] calls =
        [
            ["bands", new RatioBandsInput(q.Drive, q.Fitted, [], ["final"], q.Aim!, [])],
            ["compare", new SetupComparisonInput(q.Drive, ["final"], fitted, [fitted], q.Aim, [])],
            ["drives", new MachineDrivesInput([q.Drive], q.Fitted, [], 5000)],
            ["starting-aim", new StartingAimInput(q.Drive, q.Fitted, [], ["final"], StartingAimKind.TopSpeed)],
            ["road-wheel", new RoadWheel("47-622", null)],
            [
                "nearest-aim",
                new NearestAimInput(
                    q.Drive,
                    q.Fitted,
                    [],
                    "final",
                    q.Aim!,
                    new(null, null, null),
                    new(0, 0, 0, 0, 0, 0),
                    []
                ),
            ],
        ];
        foreach (object[] call in calls)
        {
            HttpResponseMessage response = await server.PostAsync<object>($"/api/ratio/{call[0]}", call[1]);
            Assert.Equal(HttpStatusCode.OK, response.StatusCode);
        }
    }

    [Fact]
    public async Task An_unreadable_tyre_is_refused_with_what_was_understood()
    {
        InputIssue issue = Assert.Single(
            await IssuesAsync(await server.PostAsync("/api/ratio/road-wheel", new RoadWheel("26 x 1 3/8", null)))
        );
        Assert.Equal(("size", "ambiguous"), (issue.Field, issue.Code));
        Assert.Contains("590", issue.Message, StringComparison.Ordinal);
    }
}
