using System.Diagnostics;
using System.IO.Compression;
using System.Net.Http.Json;
using Microsoft.Data.Sqlite;
using Wendrak.Core.Gearing;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;

namespace Wendrak.Web.Tests;

/// <summary>Kills the program again and again, and counts every edit that was acknowledged.</summary>
public sealed class Kills(Started program)
{
    private const int AnsweredBeforeKill = 10;
    private readonly HashSet<string> _answered = [];
    private int _sent;

    public int Answered => _answered.Count;

    /// <summary>Starts it on what the last kill left, writes to it and kills it in the middle of a write.</summary>
    public async Task WriteAndKillAsync()
    {
        int port = LoopbackServer.FreePort();
        Process process = program.Start(port, "--empty");
        using HttpClient client = await Started.WhenUpAsync(process, port);
        int answered = 0;
        Task writer = Task.Run(async () =>
        {
            while (true)
            {
                string name = $"number {_sent++}";
                StockItem item = new(0, 0, new("520", WheelSide.Front, 15, name, 1, 1, true), null);
                HttpResponseMessage response = await client.PostAsJsonAsync("/api/stock", item, Json.Options);
                response.EnsureSuccessStatusCode();
                _answered.Add(name);
                Interlocked.Increment(ref answered);
            }
        });
        while (Volatile.Read(ref answered) < AnsweredBeforeKill)
            await Task.Delay(1);
        process.Kill();
        await Assert.ThrowsAnyAsync<HttpRequestException>(() => writer);
        await process.WaitForExitAsync();
    }

    /// <summary>Starts it on data of an earlier version and kills it some time after.</summary>
    public async Task StartAndKillAsync(TimeSpan after)
    {
        if (!Directory.Exists(program.Data))
            ZipFile.ExtractToDirectory(Fixture, program.Data);
        Process process = program.Start(LoopbackServer.FreePort());
        await Task.Delay(after);
        process.Kill();
        await process.WaitForExitAsync();
    }

    /// <summary>Nothing that was answered is missing; what was sent and not answered may be there, each with its record.</summary>
    public async Task CheckAsync()
    {
        int port = LoopbackServer.FreePort();
        Process process = program.Start(port, "--empty");
        using (HttpClient client = await Started.WhenUpAsync(process, port))
        {
            StockItem[] items = (await client.GetFromJsonAsync<StockItem[]>("/api/stock", Json.Options))!;
            string[] names = [.. items.Select(i => i.Wheel.Mounting!)];
            Assert.Superset(_answered, new HashSet<string>(names));
            Assert.Equal(names.Length, names.Distinct().Count());
        }
        process.Kill();
        await process.WaitForExitAsync();
        await using SqliteConnection connection = new(
            $"Data Source={Path.Combine(program.Data, "wendrak.db")};Pooling=False"
        );
        connection.Open();
        Assert.Equal("ok", Scalar("PRAGMA integrity_check"));
        Assert.Equal(Scalar("SELECT count(*) FROM record"), Scalar("SELECT count(*) FROM change"));

        object Scalar(string sql)
        {
            using SqliteCommand command = connection.CreateCommand();
            command.CommandText = sql;
            return command.ExecuteScalar()!;
        }
    }

    private static string Fixture =>
        Path.Combine(Repository.Root, "tests", "Wendrak.Store.Tests", "Fixtures", "5-loads.zip");
}
