using System.Net;
using System.Text.Json.Nodes;
using Wendrak.Core.Gearing;
using Wendrak.Core.Records;
using Wendrak.Core.Tension;

namespace Wendrak.Web.Tests;

/// <summary>Lists that are read part by part, as RFC 8288 links them.</summary>
public sealed class ListPartTests(WendrakServer server) : IClassFixture<WendrakServer>
{
    [Theory]
    [InlineData("/api/machines", 3)]
    [InlineData("/api/machines/1/setups", 1)]
    [InlineData("/api/machines/1/aims", 1)]
    [InlineData("/api/machines/2/set-jobs", 1)]
    [InlineData("/api/machines/1/jobs", 1)]
    [InlineData("/api/jobs", 1)]
    [InlineData("/api/stock", 7)]
    [InlineData("/api/spacers", 2)]
    [InlineData("/api/gearbox-sets", 1)]
    public async Task Read_part_by_part_it_is_the_whole_list_in_its_order(string path, int most)
    {
        string[] whole = await ReadAsync(path);
        List<string> parts = [];
        for (string? next = $"{path}?most={most}"; next is not null; )
        {
            HttpResponseMessage answer = await server.Client.GetAsync(next);
            string[] part = Items(await answer.Content.ReadAsStringAsync());
            Assert.InRange(part.Length, 1, most);
            parts.AddRange(part);
            next = answer.Headers.TryGetValues("Link", out IEnumerable<string>? links)
                ? links.Single().Split('>')[0].TrimStart('<')
                : null;
        }
        Assert.Equal(whole, parts);
    }

    /// <summary>Several loops of one job have its number: each is told once all the same.</summary>
    [Fact]
    public async Task Visits_of_one_job_are_read_one_by_one()
    {
        const string path = "/api/machines/5/set-jobs";
        DateOnly day = new(2026, 11, 29);
        await server.PostAsync("/api/machines/5/jobs", new NewJob(day, JobReason.Visit));
        MachineCard rail = await server.GetAsync<MachineCard>("/api/machines/5");
        foreach (LoopChoice loop in rail.Fitted.Loops)
            await server.PostAsync(path, new SetJob(0, 0, 5, loop.LoopKey, day, null, SetGoal.Both, [], [], null));
        SetJob[] visits = await server.GetAsync<SetJob[]>(path);
        Assert.Equal(rail.Fitted.Loops.Count, visits.Length);
        Assert.Single(visits.Select(v => v.Id).Distinct());
        await Read_part_by_part_it_is_the_whole_list_in_its_order(path, 1);
    }

    [Theory]
    [InlineData("/api/stock?most=0", "most")]
    [InlineData("/api/stock?most=1001", "most")]
    [InlineData("/api/stock?after=987654", "after")]
    public async Task A_part_that_can_not_be_is_refused_by_name(string path, string field)
    {
        HttpResponseMessage answer = await server.Client.GetAsync(path);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
        JsonNode refusal = JsonNode.Parse(await answer.Content.ReadAsStringAsync())!;
        Assert.Equal(field, (string)refusal["issues"]![0]!["field"]!);
    }

    private async Task<string[]> ReadAsync(string path) => Items(await server.Client.GetStringAsync(path));

    private static string[] Items(string json) => [.. JsonNode.Parse(json)!.AsArray().Select(i => i!.ToJsonString())];
}
