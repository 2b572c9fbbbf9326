using System.Net;
using System.Text.Json;
using System.Text.Json.Nodes;
using Xunit.Abstractions;

namespace Wendrak.Web.Tests.Fuzz;

/// <summary>A few thousand seeded requests, of every operation; a hundred thousand in the benchmark.</summary>
public sealed class FuzzTests(WendrakServer server, ITestOutputHelper output) : IClassFixture<WendrakServer>
{
    private const int Requests = 3_000;

    [Fact]
    public async Task Nothing_that_is_asked_breaks_it()
    {
        ApiFuzzer fuzzer = await ApiFuzzer.OfAsync(server.Client);
        List<FuzzAnswer> answers = [];
        for (int seed = 0; seed < Requests; seed++)
            answers.Add(await fuzzer.AskAsync(seed));
        foreach (var status in answers.GroupBy(a => a.Status))
            output.WriteLine($"{(int)status.Key}: {status.Count()}");
        foreach (var by in answers.GroupBy(a => a.Operation).Where(g => g.All(a => (int)a.Status >= 300)))
            output.WriteLine($"never answered: {by.Key.Method} {by.Key.Path} " + by.Last().Told);
        output.WriteLine($"slowest {answers.Max(a => a.Ms):0} ms");
        // Enough of them went deep: a fuzzer that is always refused at the door tries nothing.
        Assert.True(answers.Count(a => a.Status == HttpStatusCode.OK) > Requests / 8);
        Assert.True(answers.Count(a => a.Status == HttpStatusCode.UnprocessableEntity) > Requests / 8);
        string[] astray =
        [
            .. answers
                .Where(a => Refusal.IsOne(a.Status) && JsonOf(a.Body) is not null)
                .SelectMany(a =>
                    SentPaths
                        .Astray(JsonOf(a.Body), JsonNode.Parse(a.Told)!, m => fuzzer.MayHold(a.Operation, m))
                        .Select(p => $"{a.Operation.Path}: {p}")
                )
                .Distinct()
                .Order(),
        ];
        Assert.True(astray.Length == 0, "refused by a path that was not sent:\n" + string.Join("\n", astray));
        FuzzAnswer[] faults = [.. answers.Where(a => a.Fault is not null)];
        Assert.True(
            faults.Length == 0,
            $"{faults.Length}: " + string.Join("\n", faults.Take(12).Select(f => $"{f.Fault}\n   {f.Request}"))
        );
    }

    /// <summary>Null for what is no JSON.</summary>
    private static JsonNode? JsonOf(string? body)
    {
        try
        {
            return body is null ? null : JsonNode.Parse(body);
        }
        catch (JsonException)
        {
            return null;
        }
    }
}
