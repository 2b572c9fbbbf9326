using System.Net;
using System.Text.Json.Nodes;
using Wendrak.Web.Tests.Fuzz;

namespace Wendrak.Web.Tests;

public sealed class ContractTests(WendrakServer server) : IClassFixture<WendrakServer>
{
    [Fact]
    public void Every_call_says_what_it_is_for_and_how_it_refuses()
    {
        JsonNode description = ApiDescription.Kept;
        string[] sections = [.. description["tags"]!.AsArray().Select(t => (string)t!["name"]!)];
        Assert.All(description["tags"]!.AsArray(), t => Assert.NotEmpty((string)t!["description"]!));
        foreach ((string path, JsonNode? calls) in description["paths"]!.AsObject())
        foreach ((string method, JsonNode? call) in calls!.AsObject())
        {
            string name = $"{method} {path}";
            Assert.True((string?)call!["summary"] is { Length: > 10 }, $"{name} says nothing of itself");
            Assert.True(sections.Contains((string)call["tags"]![0]!), $"{name} stands in no section");
            string[] answers = [.. call["responses"]!.AsObject().Select(r => r.Key)];
            if (path.StartsWith("/api/", StringComparison.Ordinal))
                Assert.True(answers.Contains("400") && answers.Contains("422"), $"{name} does not say how it refuses");
        }
    }

    [Fact]
    public void Every_property_says_what_it_is_or_its_type_does()
    {
        JsonObject schemas = ApiDescription.Kept["components"]!["schemas"]!.AsObject();
        Assert.All(
            from schema in schemas
            from property in schema.Value!["properties"]?.AsObject() ?? []
            where property.Value!["enum"] is not JsonArray { Count: 1 } // the word that tells its kind
            select (Name: $"{schema.Key}.{property.Key}", Words: WordsOf(property.Value!)),
            p => Assert.True(p.Words is { Length: > 3 }, $"{p.Name} says nothing of itself")
        );

        string? WordsOf(JsonNode property)
        {
            JsonNode of = ApiDescription.KindsOf(property["items"] ?? property)[^1];
            return (string?)property["description"]
                ?? (ApiDescription.NameOf(of) is { } name ? (string?)schemas[name]!["description"] : null);
        }
    }

    [Fact]
    public void Every_bound_that_is_known_is_told()
    {
        JsonNode schemas = ApiDescription.Kept["components"]!["schemas"]!;
        string[] rows = File.ReadAllLines(Path.Combine(Repository.Root, "src", "Wendrak.Web", "bounds.csv"));
        Assert.All(
            rows.Select(row => row.Split(',')),
            row =>
            {
                string[] name = row[0].Split('.');
                JsonNode number = schemas[name[0]]!["properties"]![name[1]]!;
                Assert.Equal(row[1].Length > 0, number["minimum"] is not null);
                Assert.Equal(row[2].Length > 0, number["maximum"] is not null);
            }
        );
    }

    [Fact]
    public async Task The_reference_is_a_page_that_needs_nothing_from_elsewhere()
    {
        HttpResponseMessage page = await server.Client.GetAsync("/reference/");
        string html = await page.Content.ReadAsStringAsync();
        Assert.Equal(HttpStatusCode.OK, page.StatusCode);
        Assert.DoesNotContain("https://", html, StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.OK, (await server.Client.GetAsync("/reference/scalar.js")).StatusCode);
        // The looser rule for scripts is this page's alone.
        HttpResponseMessage other = await server.Client.GetAsync("/health/live");
        Assert.DoesNotContain("script-src 'self' 'unsafe", Policy(other), StringComparison.Ordinal);
        Assert.Contains("script-src 'self' 'unsafe-inline'", Policy(page), StringComparison.Ordinal);

        static string Policy(HttpResponseMessage answer) =>
            answer.Headers.GetValues("Content-Security-Policy").Single();
    }

    [Fact]
    public async Task Every_answer_tells_its_build()
    {
        HttpResponseMessage alive = await server.Client.GetAsync("/health/live");
        HttpResponseMessage refused = await server.Client.GetAsync("/api/set/pluck?hz=9999");
        string build = alive.Headers.GetValues("X-Wendrak-Build").Single();
        Assert.Equal(12, build.Length);
        Assert.Equal(build, refused.Headers.GetValues("X-Wendrak-Build").Single());
        Assert.NotEmpty(refused.Headers.GetValues("X-Wendrak-Data").Single());
        Assert.Contains(build, await alive.Content.ReadAsStringAsync(), StringComparison.Ordinal);
    }
}
