using System.Diagnostics;
using System.Net.Http.Json;
using Microsoft.Data.Sqlite;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;
using Wendrak.Store.Ledger;
using Wendrak.Store.Machines;
using Xunit.Abstractions;

namespace Wendrak.Web.Tests.TwoPages;

/// <summary>
/// Two pages at one job, each with what comes by lot, and a server that stops in between: nothing is lost, nothing is there
/// twice, both show the same, and each thing can be taken back by either.
/// </summary>
public sealed class TwoPagesTests(ITestOutputHelper output) : IDisposable
{
    /// <summary>Two seconds are promised; a test on a busy machine waits longer, and tells how long it was.</summary>
    private static readonly TimeSpan AtMost = TimeSpan.FromSeconds(20);
    private readonly Started _program = new();
    private readonly int _port = LoopbackServer.FreePort();

    public void Dispose() => _program.Dispose();

    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    public async Task In_whatever_order_it_comes_nothing_is_lost_nothing_is_twice_and_both_show_the_same(int seed)
    {
        Process process = _program.Start(_port);
        using HttpClient client = await Started.WhenUpAsync(process, _port);
        (long machine, long job, EventLot[] lots) = await OpenAsync(client, seed);
        await using OpenPage one = new("one", client, machine, job);
        await using OpenPage two = new("two", client, machine, job);
        one.Open();
        two.Open();
        Random random = new(seed);
        for (int round = 0; round < 3; round++)
        {
            // Of each kind one, by one page after the other; then both at once whatever comes.
            if (round == 0)
            {
                foreach (JobEvent e in lots[0].EachOnce())
                    Assert.True(await (random.Next(2) == 0 ? one : two).HappensAsync(e), e.GetType().Name);
                // One signs, the other one takes the signature back.
                Assert.True(await two.UndoAsync((await two.EntriesAsync())[0].Id));
            }
            Task both = Task.WhenAll(DoAsync(one, lots[0], seed + round), DoAsync(two, lots[1], seed - round));
            if (round == 1)
            {
                await Task.Delay(random.Next(300));
                process.Kill();
                await process.WaitForExitAsync();
                process = _program.Start(_port);
                (await Started.WhenUpAsync(process, _port)).Dispose();
            }
            await both;
            await ShowTheSameAsync(one, two);
        }
        Assert.Equal(EachKind(), one.Stored.Values.Concat(two.Stored.Values).Distinct().Order());
        await TakeAllBackAsync(one, two);
        process.Kill();
        await process.WaitForExitAsync();
        Count([.. one.Stored.Keys, .. two.Stored.Keys]);
    }

    private static async Task<(long Machine, long Job, EventLot[] Lots)> OpenAsync(HttpClient client, int seed)
    {
        MachineCard machine = (await client.GetFromJsonAsync<MachineCard[]>("/api/machines", Json.Options))!.Single(m =>
            m.Machine.Name == "Knot"
        );
        // A picture that is stored: the demo’s motorcycle has two.
        string photo = (await client.GetFromJsonAsync<JobSheet[]>("/api/machines/1/jobs", Json.Options))!
            .SelectMany(j => j.Photos)
            .First()
            .Hash;
        StockPart part = (await client.GetFromJsonAsync<StockPart[]>("/api/parts", Json.Options))!.MaxBy(p => p.Count)!;
        using HttpResponseMessage opened = await client.PostAsJsonAsync(
            $"/api/machines/{machine.Machine.Id}/jobs",
            new NewJob(new(2026, 11, 30), JobReason.Visit, null, null, null),
            Json.Options
        );
        JobSheet job = (await opened.Content.ReadFromJsonAsync<JobSheet>(Json.Options))!;
        string loop = machine.Fitted.Loops[0].LoopKey;
        return (
            machine.Machine.Id,
            job.Id,
            [new(seed * 2, loop, photo, part.Id), new((seed * 2) + 1, loop, photo, part.Id)]
        );
    }

    /// <summary>Whatever comes, and now and then something is taken back, whoever did it.</summary>
    private static async Task DoAsync(OpenPage page, EventLot lot, int seed)
    {
        Random random = new(seed);
        for (int i = 0; i < 25; i++)
            if (random.Next(5) > 0)
                await page.HappensAsync(lot.Draw());
            else
                try
                {
                    IReadOnlyList<Change> entries = await page.EntriesAsync();
                    if (entries.Count > 0)
                        await page.UndoAsync(entries[random.Next(Math.Min(8, entries.Count))].Id);
                }
                catch (HttpRequestException)
                {
                    // The server is away: what was to be taken back is looked for when it is back.
                    await Task.Delay(50);
                }
    }

    private async Task ShowTheSameAsync(OpenPage one, OpenPage two)
    {
        string stored = await one.StoredAsync();
        Stopwatch since = Stopwatch.StartNew();
        while ((one.Shown, two.Shown) != (stored, stored) && since.Elapsed < AtMost)
            await Task.Delay(10);
        output.WriteLine($"both show the same after {since.ElapsedMilliseconds} ms");
        Assert.Equal(stored, one.Shown);
        Assert.Equal(stored, two.Shown);
    }

    /// <summary>The newest first, by one page and the other in turn: nothing stands in its way, until only the opening is left.</summary>
    private async Task TakeAllBackAsync(OpenPage one, OpenPage two)
    {
        bool isFirst = true;
        while (await one.EntriesAsync() is [{ } newest, ..])
        {
            Assert.True(await (isFirst ? one : two).UndoAsync(newest.Id), newest.What);
            isFirst = !isFirst;
        }
        await ShowTheSameAsync(one, two);
        JobSheet sheet = await one.SheetAsync();
        Assert.Equal((0, 0, 0, 0), (sheet.Notes.Count, sheet.Parts.Count, sheet.Photos.Count, sheet.Loops.Count));
        Assert.Equal((0d, null), (sheet.Minutes, sheet.Signature));
    }

    /// <summary>Every event that was answered stands in the file, once.</summary>
    private void Count(string[] answered)
    {
        using SqliteConnection connection = new(
            $"Data Source={Path.Combine(_program.Data, "wendrak.db")};Pooling=False"
        );
        connection.Open();
        using SqliteCommand command = connection.CreateCommand();
        command.CommandText = "SELECT client_key FROM job_event WHERE client_key IS NOT NULL";
        List<string> keys = [];
        using (SqliteDataReader reader = command.ExecuteReader())
            while (reader.Read())
                keys.Add(reader.GetString(0));
        Assert.Equal(keys.Count, keys.Distinct().Count());
        Assert.Subset(new HashSet<string>(keys), new HashSet<string>(answered));
        Assert.InRange(answered.Length, 40, 200);
    }

    /// <summary>All that a page sends; a job is opened and a setup is fitted by calls of their own.</summary>
    private static IEnumerable<string> EachKind() =>
        typeof(JobEvent)
            .Assembly.GetTypes()
            .Where(t => t.IsSubclassOf(typeof(JobEvent)) && !t.IsAbstract)
            .Select(t => t.Name)
            // The loop of this machine is a belt: its pitches are not measured.
            .Except([nameof(JobOpened), nameof(SetupFitted), nameof(ElongationMeasured)])
            .Order();
}
