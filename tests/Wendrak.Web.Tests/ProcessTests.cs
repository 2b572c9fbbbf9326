using System.Diagnostics;
using System.Net;
using System.Net.Http.Json;
using System.Net.NetworkInformation;
using Wendrak.Core.Gearing;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;

namespace Wendrak.Web.Tests;

/// <summary>The program as a process of its own: started and stopped as a person would.</summary>
public sealed class ProcessTests : IDisposable
{
    private readonly Started _program = new();

    public void Dispose() => _program.Dispose();

    private static StockItem Item(int number) =>
        new(0, 0, new("520", WheelSide.Front, 15, $"number {number}", 1, 1, true), null);

    [Fact]
    public async Task Fresh_puts_the_old_data_aside_and_shows_the_demo_again()
    {
        int port = LoopbackServer.FreePort();
        Process first = _program.Start(port, "--empty");
        (await Started.WhenUpAsync(first, port)).Dispose();
        first.Kill();
        await first.WaitForExitAsync();
        Process second = _program.Start(port, "--fresh");
        using HttpClient client = await Started.WhenUpAsync(second, port);
        Assert.Equal(7, (await client.GetFromJsonAsync<MachineCard[]>("/api/machines", Json.Options))!.Length);
        string aside = Assert.Single(Directory.GetDirectories(Path.Combine(_program.Folder, "data", "backups")));
        Assert.True(File.Exists(Path.Combine(aside, "wendrak.db")));
    }

    [Fact]
    public async Task A_port_in_use_is_one_clear_line()
    {
        int port = LoopbackServer.FreePort();
        using HttpClient first = await Started.WhenUpAsync(_program.Start(port, "--empty"), port);
        await Started.RefusesInOneLineAsync(_program.Start(port), $"port {port} is in use");
    }

    [Fact]
    public async Task A_folder_that_cannot_be_written_is_one_clear_line()
    {
        await File.WriteAllTextAsync(_program.Data, "a file where the folder should be");
        await Started.RefusesInOneLineAsync(_program.Start(LoopbackServer.FreePort()), "can't be used");
    }

    [Fact]
    public async Task A_data_file_that_is_not_SQLite_is_one_clear_line_and_stays()
    {
        string file = Path.Combine(Directory.CreateDirectory(_program.Data).FullName, "wendrak.db");
        await File.WriteAllTextAsync(file, new string('n', 9000));
        await Started.RefusesInOneLineAsync(_program.Start(LoopbackServer.FreePort()), "not a Wendrak data file");
        Assert.Equal(9000, new FileInfo(file).Length);
    }

    [Fact]
    public async Task An_unknown_argument_is_one_clear_line() =>
        await Started.RefusesInOneLineAsync(_program.Start(LoopbackServer.FreePort(), "--speed"), "--speed");

    [Fact]
    public async Task A_second_server_on_the_same_data_is_told_who_holds_it()
    {
        int port = LoopbackServer.FreePort();
        Process first = _program.Start(port, "--empty");
        using HttpClient client = await Started.WhenUpAsync(first, port);
        foreach (string more in new[] { "--empty", "--fresh" })
            await Started.RefusesInOneLineAsync(
                _program.Start(LoopbackServer.FreePort(), more),
                $"in use by Wendrak, process {first.Id}, on port {port}"
            );
        Assert.Equal(HttpStatusCode.OK, (await client.GetAsync("/health")).StatusCode);
    }

    [Fact]
    public async Task Of_two_first_starts_at_once_one_serves_and_one_is_refused()
    {
        int[] ports = [LoopbackServer.FreePort(), LoopbackServer.FreePort()];
        Process[] both = [.. ports.Select(p => _program.Start(p))];
        string?[] lines = await Task.WhenAll(both.Select(async p => await p.StandardOutput.ReadLineAsync()));
        Assert.Single(lines, l => l?.StartsWith("Wendrak is up", StringComparison.Ordinal) == true);
        await Started.RefusesInOneLineAsync(both[lines.ToList().FindIndex(l => l is null)], "in use by Wendrak");
    }

    [Fact]
    public async Task A_variable_of_the_web_server_does_not_open_it_to_the_network()
    {
        int port = LoopbackServer.FreePort();
        int other = LoopbackServer.FreePort();
        foreach (string name in new[] { "ASPNETCORE_URLS", "Kestrel__Endpoints__Http__Url" })
        {
            Process process = _program.Run(
                ["--port", $"{port}", "--data", _program.Data, "--empty"],
                variable: (name, $"http://0.0.0.0:{other}")
            );
            (await Started.WhenUpAsync(process, port)).Dispose();
            IPEndPoint[] open = IPGlobalProperties.GetIPGlobalProperties().GetActiveTcpListeners();
            Assert.DoesNotContain(open, e => e.Port == other);
            Assert.All(open.Where(e => e.Port == port), e => Assert.True(IPAddress.IsLoopback(e.Address)));
            process.Kill();
            await process.WaitForExitAsync();
        }
    }

    /// <summary>A disk of 3 MB of its own, in a name space of its own: filled up, and room made on it.</summary>
    [Fact]
    public async Task On_a_full_disk_it_says_so_and_goes_on_by_itself_when_there_is_room()
    {
        int port = LoopbackServer.FreePort();
        Directory.CreateDirectory(_program.Data);
        Process process = _program.Run(
            ["--port", $"{port}", "--data", _program.Data, "--empty"],
            inShell: $"mount -t tmpfs -o size=3m none {_program.Data}"
        );
        using HttpClient client = await Started.WhenUpAsync(process, port);
        string filler = $"/proc/{process.Id}/root{_program.Data}/filler";
        await FillAsync(filler);
        HttpResponseMessage full = await client.PostAsJsonAsync("/api/stock", Item(1), Json.Options);
        for (int i = 0; full.IsSuccessStatusCode && i < 200; i++)
            full = await client.PostAsJsonAsync("/api/stock", Item(i), Json.Options);
        string result = await full.Content.ReadAsStringAsync();
        Assert.True(full.StatusCode == HttpStatusCode.InsufficientStorage, $"{full.StatusCode} {result}");
        Assert.Contains("The disk is full", result, StringComparison.Ordinal);
        Assert.Contains("\"trouble\":\"full\"", result, StringComparison.Ordinal);
        HttpResponseMessage health = await client.GetAsync("/health");
        Assert.Equal(HttpStatusCode.ServiceUnavailable, health.StatusCode);
        Assert.Contains("The disk is full", await health.Content.ReadAsStringAsync(), StringComparison.Ordinal);
        int before = (await client.GetFromJsonAsync<StockItem[]>("/api/stock", Json.Options))!.Length;
        File.Delete(filler);
        // It is known at once, not only when somebody saves again.
        health = await client.GetAsync("/health");
        Assert.Equal(HttpStatusCode.OK, health.StatusCode);
        Assert.Contains("nearly full", await health.Content.ReadAsStringAsync(), StringComparison.Ordinal);
        Assert.True((await client.PostAsJsonAsync("/api/stock", Item(999), Json.Options)).IsSuccessStatusCode);
        Assert.Equal(before + 1, (await client.GetFromJsonAsync<StockItem[]>("/api/stock", Json.Options))!.Length);
    }

    private static async Task FillAsync(string file)
    {
        await using FileStream stream = File.Create(file);
        try
        {
            while (true)
            {
                await stream.WriteAsync(new byte[4096]);
                await stream.FlushAsync();
            }
        }
        catch (IOException) { } // full
    }

    [Fact]
    public async Task A_folder_that_may_only_be_read_is_one_clear_line()
    {
        Directory.CreateDirectory(_program.Data);
        Process process = _program.Run(
            ["--port", $"{LoopbackServer.FreePort()}", "--data", _program.Data],
            inShell: $"mount -t tmpfs -o ro none {_program.Data}"
        );
        await Started.RefusesInOneLineAsync(process, "can't be used");
    }

    [Fact]
    public async Task A_file_taken_away_while_it_runs_takes_no_edits()
    {
        int port = LoopbackServer.FreePort();
        using HttpClient client = await Started.WhenUpAsync(_program.Start(port, "--empty"), port);
        File.Delete(Path.Combine(_program.Data, "wendrak.db"));
        HttpResponseMessage gone = await client.PostAsJsonAsync("/api/stock", Item(1), Json.Options);
        Assert.Equal(HttpStatusCode.ServiceUnavailable, gone.StatusCode);
        Assert.Contains("not where it was", await gone.Content.ReadAsStringAsync(), StringComparison.Ordinal);
        Assert.Contains(
            "\"gone\"",
            await (await client.GetAsync("/health")).Content.ReadAsStringAsync(),
            StringComparison.Ordinal
        );
    }

    [Fact]
    public async Task At_the_command_line_data_is_backed_up_while_it_runs_restored_and_rescued()
    {
        int port = LoopbackServer.FreePort();
        Process server = _program.Start(port, "--empty");
        using HttpClient client = await Started.WhenUpAsync(server, port);
        await client.PostAsJsonAsync("/api/stock", Item(1), Json.Options);
        string zip = Path.Combine(_program.Folder, "all.zip");
        async Task<string> RunAsync(params string[] arguments)
        {
            Process process = _program.Run(["--data", _program.Data, .. arguments]);
            string result =
                await process.StandardOutput.ReadToEndAsync() + await process.StandardError.ReadToEndAsync();
            await process.WaitForExitAsync();
            return result;
        }
        Assert.Contains("looked through and good", await RunAsync("--backup", zip), StringComparison.Ordinal);
        Assert.Contains("in use by Wendrak", await RunAsync("--restore", zip), StringComparison.Ordinal);
        await client.PostAsJsonAsync("/api/stock", Item(2), Json.Options);
        server.Kill();
        await server.WaitForExitAsync();
        string rescued = Path.Combine(_program.Folder, "rescued");
        Assert.Contains("2 of record", await RunAsync("--rescue", rescued), StringComparison.Ordinal);
        Assert.Contains("is restored", await RunAsync("--restore", zip), StringComparison.Ordinal);
        Assert.Contains("There is no file", await RunAsync("--restore", zip + "x"), StringComparison.Ordinal);
        int again = LoopbackServer.FreePort();
        using HttpClient reopened = await Started.WhenUpAsync(_program.Start(again), again);
        Assert.Single((await reopened.GetFromJsonAsync<StockItem[]>("/api/stock", Json.Options))!);
    }
}
