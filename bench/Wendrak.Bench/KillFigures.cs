using Wendrak.Store.Tests;
using Wendrak.Web.Tests;

namespace Wendrak.Bench;

/// <summary>Hundreds of kills, minutes of many at once, hundreds of orders of doing and undoing: a fault ends it.</summary>
internal static class KillFigures
{
    private const int WhileWriting = 300;
    private const int WhileStarting = 50;
    private const int Orders = 60;
    private static readonly TimeSpan AtOnce = TimeSpan.FromMinutes(2);

    public static async Task PrintAsync()
    {
        using (Started program = new())
        {
            Kills kills = new(program);
            for (int kill = 0; kill < WhileWriting; kill++)
                await kills.WriteAndKillAsync();
            await kills.CheckAsync();
            Console.WriteLine(
                $"killed {WhileWriting} times while writing: every one of {kills.Answered} acknowledged edits is there"
            );
        }
        using (Started program = new())
        {
            Kills kills = new(program);
            for (int kill = 0; kill < WhileStarting; kill++)
                await kills.StartAndKillAsync(TimeSpan.FromMilliseconds(40 + (kill * 17)));
            int port = LoopbackServer.FreePort();
            using HttpClient client = await Started.WhenUpAsync(program.Start(port), port);
            Console.WriteLine($"killed {WhileStarting} times while starting and migrating: it serves");
        }
    }

    /// <summary>Minutes of many at once, and orders of doing and undoing.</summary>
    public static async Task PrintOrdersAsync()
    {
        using (TempStore store = new())
        {
            ManyAtOnce many = await ManyAtOnce.BeginAsync(store);
            await many.RunAsync(writers: 20, readers: 10, AtOnce);
            await many.CheckAsync();
            Console.WriteLine(
                $"20 writers and 10 readers for {AtOnce.TotalMinutes} minutes: {many.Written} writes, {many.Read} reads, none torn, none lost"
            );
        }
        for (int seed = 1000; seed < 1000 + Orders; seed++)
            await EveryOrderTests.TakeBackAndBringAgainAsync(seed, steps: 100);
        Console.WriteLine($"{Orders} orders of 100 steps taken back to nothing and brought again");
    }
}
