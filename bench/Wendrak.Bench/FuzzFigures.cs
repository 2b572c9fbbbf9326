using Wendrak.Web.Tests;
using Wendrak.Web.Tests.Fuzz;

namespace Wendrak.Bench;

/// <summary>Asks a hundred thousand made-up questions of the whole API and prints what came of them.</summary>
internal static class FuzzFigures
{
    private const int Requests = 100_000;

    public static async Task PrintAsync()
    {
        await using LoopbackServer server = new();
        await server.StartAsync();
        ApiFuzzer fuzzer = await ApiFuzzer.OfAsync(server.Client);
        List<FuzzAnswer> answers = [];
        for (int seed = 0; seed < Requests; seed++)
        {
            FuzzAnswer answer = await fuzzer.AskAsync(seed);
            answers.Add(answer with { Told = "", Request = answer.Fault is null ? "" : answer.Request });
        }
        Console.WriteLine($"{Requests} requests of {fuzzer.Operations} operations");
        foreach (var status in answers.GroupBy(a => (int)a.Status).OrderBy(g => g.Key))
            Console.WriteLine($"  {status.Key}  {status.Count(), 7}");
        double[] ms = [.. answers.Select(a => a.Ms).Order()];
        Console.WriteLine(
            $"median {ms[Requests / 2]:0.0} ms, 99th {ms[Requests * 99 / 100]:0} ms, slowest {ms[^1]:0} ms"
        );
        FuzzAnswer[] faults = [.. answers.Where(a => a.Fault is not null)];
        Console.WriteLine($"faults  {faults.Length}");
        foreach (FuzzAnswer fault in faults.Take(20))
            Console.WriteLine($"  {fault.Fault}\n    {fault.Request}");
    }
}
