using Wendrak.Web.Tests;
using Wendrak.Web.Tests.Fuzz;

namespace Wendrak.Bench;

/// <summary>Asks a hundred thousand made-up questions of the whole API and prints what came of them.</summary>
internal static class FuzzFigures
{
    private const int Requests = 100_000;

    // What is made up is stored as well: a yard of thousands would be all that is timed.
    private const int OfOneServer = 5_000;

    private const double Slow = 1_000; // ms

    public static async Task PrintAsync()
    {
        List<FuzzAnswer> answers = [];
        int operations = 0;
        for (int first = 0; first < Requests; first += OfOneServer)
        {
            await using LoopbackServer server = new();
            await server.StartAsync();
            ApiFuzzer fuzzer = await ApiFuzzer.OfAsync(server.Client);
            operations = fuzzer.Operations;
            for (int seed = first; seed < first + OfOneServer; seed++)
            {
                FuzzAnswer answer = await fuzzer.AskAsync(seed);
                answers.Add(
                    answer with
                    {
                        Told = "",
                        Request = answer.Fault is null && answer.Ms < Slow ? "" : answer.Request,
                    }
                );
            }
        }
        Console.WriteLine($"{Requests} requests of {operations} operations");
        foreach (var status in answers.GroupBy(a => (int)a.Status).OrderBy(g => g.Key))
            Console.WriteLine($"  {status.Key}  {status.Count(), 7}");
        double[] ms = [.. answers.Select(a => a.Ms).Order()];
        Console.WriteLine(
            $"median {ms[Requests / 2]:0.0} ms, 99th {ms[Requests * 99 / 100]:0} ms, slowest {ms[^1]:0} ms"
        );
        foreach (FuzzAnswer slow in answers.OrderByDescending(a => a.Ms).Take(3).Where(a => a.Ms >= Slow))
            Console.WriteLine($"  {slow.Ms:0} ms: {slow.Request[..Math.Min(400, slow.Request.Length)]}");
        FuzzAnswer[] faults = [.. answers.Where(a => a.Fault is not null)];
        Console.WriteLine($"faults  {faults.Length}");
        foreach (FuzzAnswer fault in faults.Take(20))
            Console.WriteLine($"  {fault.Fault}\n    {fault.Request}");
    }
}
