using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using Wendrak.Web.Tests.Fuzz;
using Xunit.Abstractions;

namespace Wendrak.Web.Tests.Inputs;

public sealed class EveryInputCountsTests(WendrakServer server, ITestOutputHelper output) : IClassFixture<WendrakServer>
{
    [Fact]
    public async Task Explore()
    {
        ApiDescription api = new(JsonNode.Parse(await server.Client.GetStringAsync("/openapi/v1.json"))!);
        KnownParts parts = await KnownParts.ReadAsync(api, server.Client);
        InputLeaves leaves = new(api);
        int asks = 0;
        foreach (
            ApiOperation op in api.Operations.Where(o =>
                o.Method == "POST"
                && o.Body is not null
                && (
                    o.Path.StartsWith("/api/fit/")
                    || o.Path.StartsWith("/api/loads/")
                    || o.Path.StartsWith("/api/set/")
                    || o.Path.StartsWith("/api/ratio/")
                    || o.Path.StartsWith("/api/redo")
                )
            )
        )
        {
            Dictionary<string, bool> counts = [];
            int good = 0;
            var sw = System.Diagnostics.Stopwatch.StartNew();
            for (int seed = 0; seed < 400 && good < 25 && sw.Elapsed.TotalSeconds < 40; seed++)
            {
                Random random = new(seed);
                JsonNode? q = new SchemaSample(api, parts.OfAny(random), random).Of(op.Body!);
                if (q is null)
                    continue;
                (HttpStatusCode s, string told) = await AskAsync(op.Path, q.ToJsonString());
                if (s != HttpStatusCode.OK)
                    continue;
                good++;
                foreach (InputLeaf leaf in leaves.Of(op.Body!, q).ToArray())
                {
                    if (counts.GetValueOrDefault(leaf.Name))
                        continue;
                    counts.TryAdd(leaf.Name, false);
                    foreach (string asked in leaf.Changed(q))
                    {
                        asks++;
                        (HttpStatusCode s2, string told2) = await AskAsync(op.Path, asked);
                        if (s2 == HttpStatusCode.OK && told2 != told)
                        {
                            counts[leaf.Name] = true;
                            break;
                        }
                    }
                }
            }
            output.WriteLine(
                $"{op.Path}: good {good}, {counts.Count} leaves, {sw.Elapsed.TotalSeconds:0.0} s; never: {string.Join(", ", counts.Where(c => !c.Value).Select(c => c.Key))}"
            );
        }
        output.WriteLine($"{asks}");
        Assert.Fail("see");
    }

    private async Task<(HttpStatusCode, string)> AskAsync(string path, string body)
    {
        HttpResponseMessage r = await server.Client.PostAsync(
            path,
            new StringContent(body, Encoding.UTF8, "application/json")
        );
        return (r.StatusCode, await r.Content.ReadAsStringAsync());
    }
}
