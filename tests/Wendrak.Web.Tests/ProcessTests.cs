using System.Diagnostics;
using System.Net.Http.Json;
using Microsoft.Data.Sqlite;
using Wendrak.Core.Gearing;
using Wendrak.Core.Machines;

namespace Wendrak.Web.Tests;

/// <summary>The program as a process of its own: started, stopped and killed as a person would.</summary>
public sealed class ProcessTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("wendrak-process-").FullName;
    private readonly List<Process> _started = [];

    public void Dispose()
    {
        foreach (Process process in _started)
        {
            if (!process.HasExited)
                process.Kill();
            process.Dispose();
        }
        Directory.Delete(_folder, recursive: true);
    }

    private Process Start(int port, params string[] more)
    {
        ProcessStartInfo info = new("dotnet")
        {
            RedirectStandardError = true,
            RedirectStandardOutput = true,
            WorkingDirectory = _folder,
        };
        string program = typeof(WendrakApp).Assembly.Location;
        foreach (
            string argument in new[] { program, "--port", $"{port}", "--data", Path.Combine(_folder, "data") }.Concat(
                more
            )
        )
            info.ArgumentList.Add(argument);
        Process process = Process.Start(info)!;
        _started.Add(process);
        return process;
    }

    private static async Task<HttpClient> WhenUpAsync(Process process, int port)
    {
        string? line = await process.StandardOutput.ReadLineAsync().WaitAsync(TimeSpan.FromSeconds(60));
        Assert.StartsWith("Wendrak is up", line, StringComparison.Ordinal);
        return new() { BaseAddress = new Uri($"http://127.0.0.1:{port}") };
    }

    private static StockItem Item(int number) =>
        new(0, 0, new("520", WheelSide.Front, 15, $"number {number}", 1, 1, true), null);

    [Fact]
    public async Task Killed_while_it_writes_it_has_lost_nothing_that_was_answered()
    {
        int port = LoopbackServer.FreePort();
        Process process = Start(port, "--empty");
        using HttpClient client = await WhenUpAsync(process, port);
        int answered = 0;
        Task writer = Task.Run(async () =>
        {
            for (int i = 0; ; i++)
            {
                HttpResponseMessage response = await client.PostAsJsonAsync("/api/stock", Item(i), Json.Options);
                response.EnsureSuccessStatusCode();
                Interlocked.Increment(ref answered);
            }
        });
        while (Volatile.Read(ref answered) < 40)
            await Task.Delay(5);
        process.Kill();
        await Assert.ThrowsAnyAsync<HttpRequestException>(() => writer);
        await process.WaitForExitAsync();

        await using SqliteConnection connection = new(
            $"Data Source={Path.Combine(_folder, "data", "wendrak.db")};Pooling=False"
        );
        connection.Open();
        Assert.Equal("ok", Scalar(connection, "PRAGMA integrity_check"));
        long stored = (long)Scalar(connection, "SELECT count(*) FROM record WHERE kind = 'stock_item'");
        long recorded = (long)Scalar(connection, "SELECT count(*) FROM change");
        // One more may have been stored and its answer cut off; none may be missing, and each has its record.
        Assert.InRange(stored, answered, answered + 1);
        Assert.Equal(stored, recorded);
        connection.Close();

        int again = LoopbackServer.FreePort();
        using HttpClient reopened = await WhenUpAsync(Start(again, "--empty"), again);
        StockItem[] items = (await reopened.GetFromJsonAsync<StockItem[]>("/api/stock", Json.Options))!;
        Assert.Equal(stored, items.Length);
    }

    private static object Scalar(SqliteConnection connection, string sql)
    {
        using SqliteCommand command = connection.CreateCommand();
        command.CommandText = sql;
        return command.ExecuteScalar()!;
    }

    [Fact]
    public async Task Killed_while_it_fills_the_demo_data_it_begins_anew()
    {
        int port = LoopbackServer.FreePort();
        Process process = Start(port);
        string unfinished = Path.Combine(_folder, "data", "unfinished");
        while (!Directory.Exists(unfinished) && !process.HasExited)
            await Task.Delay(1);
        process.Kill();
        await process.WaitForExitAsync();
        using HttpClient client = await WhenUpAsync(Start(port), port);
        MachineCard[] cards = (await client.GetFromJsonAsync<MachineCard[]>("/api/machines", Json.Options))!;
        Assert.Equal(7, cards.Length);
    }

    [Fact]
    public async Task Fresh_puts_the_old_data_aside_and_shows_the_demo_again()
    {
        int port = LoopbackServer.FreePort();
        Process first = Start(port, "--empty");
        (await WhenUpAsync(first, port)).Dispose();
        first.Kill();
        await first.WaitForExitAsync();
        Process second = Start(port, "--fresh");
        using HttpClient client = await WhenUpAsync(second, port);
        Assert.Equal(7, (await client.GetFromJsonAsync<MachineCard[]>("/api/machines", Json.Options))!.Length);
        string aside = Assert.Single(Directory.GetDirectories(Path.Combine(_folder, "data", "backups")));
        Assert.True(File.Exists(Path.Combine(aside, "wendrak.db")));
    }

    private static async Task RefusesInOneLineAsync(Process process, string wanted)
    {
        string error = await process.StandardError.ReadToEndAsync().WaitAsync(TimeSpan.FromSeconds(60));
        await process.WaitForExitAsync();
        Assert.NotEqual(0, process.ExitCode);
        string line = Assert.Single(error.Split('\n', StringSplitOptions.RemoveEmptyEntries));
        Assert.Contains(wanted, line, StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_port_in_use_is_one_clear_line()
    {
        int port = LoopbackServer.FreePort();
        using HttpClient first = await WhenUpAsync(Start(port, "--empty"), port);
        await RefusesInOneLineAsync(Start(port), $"port {port} is in use");
    }

    [Fact]
    public async Task A_folder_that_cannot_be_written_is_one_clear_line()
    {
        await File.WriteAllTextAsync(Path.Combine(_folder, "data"), "a file where the folder should be");
        await RefusesInOneLineAsync(Start(LoopbackServer.FreePort()), "can't be used");
    }

    [Fact]
    public async Task A_data_file_that_is_not_SQLite_is_one_clear_line_and_stays()
    {
        string file = Path.Combine(Directory.CreateDirectory(Path.Combine(_folder, "data")).FullName, "wendrak.db");
        await File.WriteAllTextAsync(file, new string('n', 9000));
        await RefusesInOneLineAsync(Start(LoopbackServer.FreePort()), "not a Wendrak data file");
        Assert.Equal(9000, new FileInfo(file).Length);
    }

    [Fact]
    public async Task An_unknown_argument_is_one_clear_line() =>
        await RefusesInOneLineAsync(Start(LoopbackServer.FreePort(), "--speed"), "--speed");
}
