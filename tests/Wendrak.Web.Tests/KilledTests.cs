using System.Diagnostics;
using System.Net.Http.Json;

namespace Wendrak.Web.Tests;

/// <summary>The program killed in the middle of what it does; hundreds of times in the bench, here a few.</summary>
public sealed class KilledTests : IDisposable
{
    private readonly Started _program = new();

    public void Dispose() => _program.Dispose();

    [Fact]
    public async Task Killed_again_and_again_while_it_writes_it_has_lost_nothing_that_was_answered()
    {
        Kills kills = new(_program);
        for (int kill = 0; kill < 8; kill++)
            await kills.WriteAndKillAsync();
        await kills.CheckAsync();
    }

    [Fact]
    public async Task Killed_again_and_again_while_it_starts_and_brings_old_data_up_to_date_everything_is_there()
    {
        Kills kills = new(_program);
        for (int kill = 0; kill < 10; kill++)
            await kills.StartAndKillAsync(TimeSpan.FromMilliseconds(60 + (kill * 74)));
        int port = LoopbackServer.FreePort();
        using HttpClient client = await Started.WhenUpAsync(_program.Start(port), port);
        MachineCard[] cards = (await client.GetFromJsonAsync<MachineCard[]>("/api/machines", Json.Options))!;
        Assert.Equal(9, cards.Length);
    }

    [Fact]
    public async Task Killed_while_it_fills_the_demo_data_it_begins_anew()
    {
        int port = LoopbackServer.FreePort();
        Process process = _program.Start(port);
        string unfinished = Path.Combine(_program.Folder, "data", "unfinished");
        while (!Directory.Exists(unfinished) && !process.HasExited)
            await Task.Delay(1);
        process.Kill();
        await process.WaitForExitAsync();
        using HttpClient client = await Started.WhenUpAsync(_program.Start(port), port);
        MachineCard[] cards = (await client.GetFromJsonAsync<MachineCard[]>("/api/machines", Json.Options))!;
        Assert.Equal(7, cards.Length);
    }
}
