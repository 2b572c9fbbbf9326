using System.Diagnostics;
using System.Globalization;
using Dapper;
using Microsoft.Data.Sqlite;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;
using Wendrak.Store;
using Wendrak.Store.Bodies;
using Wendrak.Store.Ledger;
using Wendrak.Store.Machines;
using Wendrak.Web.Tests;

namespace Wendrak.Bench;

/// <summary>A large workshop: how long its pages take, what a save costs beside a bare commit, how much a reading writes.</summary>
internal static class StoreFigures
{
    private const int Machines = 1_000;
    private const int TrialsEach = 4;
    private const int ReadingsEach = 20;
    private static readonly int Entries = int.Parse(
        Environment.GetEnvironmentVariable("WENDRAK_ENTRIES") ?? "100000",
        CultureInfo.InvariantCulture
    );

    public static async Task PrintAsync()
    {
        string folder = Directory.CreateTempSubdirectory("wendrak-large-").FullName;
        try
        {
            long built = Stopwatch.GetTimestamp();
            await BuildAsync(folder);
            Console.WriteLine(
                $"built in {Stopwatch.GetElapsedTime(built).TotalSeconds:0} s, {new FileInfo(Path.Combine(folder, Database.FileName)).Length / 1e6:0} MB"
            );
            await SavesAsync(folder);
            await PagesAsync(folder);
        }
        finally
        {
            Directory.Delete(folder, recursive: true);
        }
    }

    private static async Task BuildAsync(string folder)
    {
        using Database database = Database.Prepare(folder, DateTimeOffset.UtcNow);
        ChangeLog log = new(database, TimeProvider.System);
        JobStore jobs = new(database, log, TimeProvider.System);
        MachineStore machines = new(database, log, jobs, TimeProvider.System);
        SetupStore setups = new(database, log, jobs, TimeProvider.System);
        StockStore stock = new(database, log);
        int entries = 0;
        StockItem? item = null;
        for (int m = 0; m < Machines; m++)
        {
            MachineDraft draft = StartingMachines.For(MachineKind.Motorcycle);
            FittedMachine added = await machines.AddAsync(
                "bench",
                draft with
                {
                    Machine = draft.Machine with { Name = $"Machine {m:0000}" },
                },
                default
            );
            for (int t = 0; t < TrialsEach; t++)
                await setups.AddTrialAsync(
                    "bench",
                    added.Machine.Id,
                    new($"Trial {t}", [added.Fitted.Loops[0] with { RearSize = 40 + t }], null, null),
                    default
                );
            SetRound[] rounds =
            [
                .. Enumerable
                    .Range(0, ReadingsEach / 4)
                    .Select(r => new SetRound(
                        0,
                        0,
                        LockState.Nipped,
                        [.. Enumerable.Range(0, 4).Select(p => new Reading(ReadingMethod.FreePlay, 30 + r + p, p))]
                    )),
            ];
            await jobs.AddAsync(
                "bench",
                new(
                    0,
                    0,
                    added.Machine.Id,
                    added.Fitted.Loops[0].LoopKey,
                    new(2026, 11, 28),
                    null,
                    SetGoal.Both,
                    rounds,
                    [],
                    null
                ),
                default
            );
            entries += 2 + TrialsEach;
        }
        item = await stock.Wheels.AddAsync(
            "bench",
            new(0, 0, new("520", Core.Gearing.WheelSide.Front, 15, null, 0, 1, true), null),
            default
        );
        for (; entries < Entries; entries++)
        {
            item = await stock.Wheels.ChangeAsync("bench", item with { Note = $"{entries}" }, default);
            if (entries % 1000 == 0)
                database.FoldJournalIn();
        }
        database.FoldJournalIn();
    }

    private static async Task SavesAsync(string folder)
    {
        using Database database = Database.Prepare(folder, DateTimeOffset.UtcNow);
        ChangeLog log = new(database, TimeProvider.System);
        JobStore jobs = new(database, log, TimeProvider.System);
        MachineStore machines = new(database, log, jobs, TimeProvider.System);
        using SqliteConnection bare = database.Open();
        bare.Execute("CREATE TABLE bare (words TEXT)");
        FittedMachine machine = (await machines.ListAsync())[0];
        SetJob[] visits = [.. (await machines.ListAsync()).Take(100).Select(m => m.Visits[0])];
        StockStore stock = new(database, log);
        StockItem item = (await stock.Wheels.ListAsync())[0];
        // In turn, so that whatever else the machine does meets all alike.
        List<double>[] took = [.. Enumerable.Range(0, 7).Select(_ => new List<double>())];
        long bytes = 0;
        long events = 0;
        for (int i = 0; i < 500; i++)
        {
            took[0]
                .Add(
                    await MsAsync(() =>
                        bare.ExecuteAsync("INSERT INTO bare VALUES (@words)", new { words = new string('x', 200) })
                    )
                );
            took[1].Add(await MsAsync(() => PlainSaves.RecordAsync(database, Kinds.StockItem.Write(item), 1, i)));
            took[2]
                .Add(
                    await MsAsync(async () =>
                        item = await stock.Wheels.ChangeAsync("bench", item with { Note = $"s{i}" }, default)
                    )
                );
            took[3]
                .Add(await MsAsync(() => PlainSaves.RecordAsync(database, Kinds.Machine.Write(machine.Machine), 2, i)));
            MachineDraft draft = new(machine.Machine with { Note = $"{i}" }, machine.Fitted.Loops);
            took[4]
                .Add(
                    await MsAsync(async () =>
                        machine = await machines.ChangeAsync("bench", draft, machine.Fitted.Version, default)
                    )
                );
            SetJob visit = visits[i % visits.Length];
            ReadingTaken taken = new(visit.LoopKey, new(ReadingMethod.FreePlay, 30, i % 4));
            took[5].Add(await MsAsync(() => PlainSaves.EventAsync(database, visit.MachineId, taken)));
            took[6].Add(await MsAsync(() => jobs.AppendAsync("bench", visit.Id, [new($"t{i}", taken)], default)));
        }
        database.FoldJournalIn();
        (long pages, long rows) = (Pages(), Events());
        for (int i = 0; i < 1000; i++)
            await jobs.AppendAsync(
                "bench",
                visits[i % visits.Length].Id,
                [new($"k{i}", new ReadingTaken(visits[0].LoopKey, new(ReadingMethod.FreePlay, 30, i % 4)))],
                default
            );
        database.FoldJournalIn();
        (bytes, events) = ((Pages() - pages) * 4096, Events() - rows);
        double[] ms = [.. took.Select(Median)];
        Console.WriteLine($"a row of 200 letters and its commit: {ms[0]:0.00} ms");
        foreach ((string what, int at) in new[] { ("a wheel in stock", 1), ("a machine", 3), ("a reading", 5) })
            Console.WriteLine(
                $"{what}: its rows and their commit {ms[at]:0.00} ms, saved {ms[at + 1]:0.00} ms: {ms[at + 1] / ms[at]:0.0}"
            );
        Console.WriteLine($"a reading: {events / 1000.0:0.00} inserts, {bytes / 1000} bytes with its indexes");

        long Events() =>
            bare.ExecuteScalar<long>("SELECT (SELECT count(*) FROM job_event) + (SELECT count(*) FROM change)");

        long Pages() =>
            bare.ExecuteScalar<long>(
                "SELECT (SELECT page_count FROM pragma_page_count) - (SELECT freelist_count FROM pragma_freelist_count)"
            );
    }

    private static async Task PagesAsync(string folder)
    {
        long start = Stopwatch.GetTimestamp();
        await using LoopbackServer server = new(folder);
        await server.StartAsync();
        Console.WriteLine($"server up in {Stopwatch.GetElapsedTime(start).TotalMilliseconds:0} ms");
        foreach (
            string path in new[]
            {
                "/api/machines",
                "/api/machines/500",
                "/api/machines/500/setups",
                "/api/machines/500/set-jobs",
                "/api/machines/500/aims",
                "/api/changes",
                "/api/changes?machineId=500",
                "/api/changes?before=5000",
            }
        )
        {
            List<double> times = [];
            long bytes = 0;
            for (int i = 0; i < 15; i++)
                times.Add(await MsAsync(async () => bytes = (await server.Client.GetByteArrayAsync(path)).Length));
            Console.WriteLine(
                $"{path, -32} {times[0].ToString("0.0", CultureInfo.InvariantCulture), 8} ms first, {Median(times).ToString("0.0", CultureInfo.InvariantCulture), 8} median, {bytes / 1000} kB"
            );
        }
        using Process self = Process.GetCurrentProcess();
        string zip = Path.Combine(folder, "bench.zip");
        double backup = await MsAsync(() => Task.Run(() => BackupZip.Write(folder, zip)));
        Console.WriteLine(
            $"backup {backup:0} ms, {new FileInfo(zip).Length / 1e6:0} MB; working set {self.WorkingSet64 / 1e6:0} MB"
        );
    }

    private static async Task<double> MsAsync(Func<Task> work)
    {
        long start = Stopwatch.GetTimestamp();
        await work();
        return Stopwatch.GetElapsedTime(start).TotalMilliseconds;
    }

    private static double Median(List<double> values) => values.Order().ElementAt(values.Count / 2);
}
