using Microsoft.Data.Sqlite;
using SQLitePCL;
using Wendrak.Core.Records;
using Wendrak.Core.Tension;
using Wendrak.Store.Demo;
using Wendrak.Store.Machines;

namespace Wendrak.Store.Tests;

/// <summary>How often the database is asked: as often for a thousand machines as for ten.</summary>
public sealed class StatementsTests : IDisposable
{
    private const int Most = 10;
    private readonly TempStore _store = new();
    private readonly List<string> _asked = [];

    public void Dispose() => _store.Dispose();

    /// <summary>What SQLite itself says that it ran, on the connection that the pool hands out next.</summary>
    private async Task<IReadOnlyList<string>> AskedAsync(Func<Task> what)
    {
        using (SqliteConnection connection = _store.Database.Open())
            raw.sqlite3_trace(connection.Handle, (_, sql) => _asked.Add(sql), null);
        _asked.Clear();
        await what();
        // What opens, begins and ends asks for nothing.
        return
        [
            .. _asked.Where(s =>
                !s.StartsWith("PRAGMA", StringComparison.Ordinal)
                && !s.StartsWith("BEGIN", StringComparison.Ordinal)
                && s is not ("COMMIT;" or "ROLLBACK;")
            ),
        ];
    }

    [Fact]
    public async Task A_list_takes_ten_statements_at_most()
    {
        await DemoData.FillAsync(_store.Database, TimeProvider.System);
        foreach (
            Func<Task> list in (Func<Task>[])
                [
                    () => _store.Machines.ListAsync(),
                    () => _store.Machines.FindAsync(1),
                    () => _store.Setups.ListAsync(1),
                    () => _store.Aims.ListAsync(1),
                    () => _store.Jobs.ListAsync(1),
                    () => _store.Stock.Wheels.ListAsync(),
                    () => _store.History.ListAsync(null, null, 50),
                    () => _store.Files.WriteAsync(1),
                    () => _store.Logs.PageAsync(1, new(), null, 50),
                    () => new FindReader(_store.Database, _store.Jobs).ReadAsync(),
                    () => _store.Logs.CompareAsync(1, new(Core.Logbook.ComparedMeasure.Fuel)),
                ]
        )
        {
            IReadOnlyList<string> question = await AskedAsync(list);
            Assert.InRange(question.Count, 1, Most);
        }
    }

    [Fact]
    public async Task A_reading_is_one_insert_of_less_than_a_kilobyte()
    {
        long machine = (await _store.AddMachineAsync()).Machine.Id;
        SetJob begun = new(0, 0, machine, "final", new(2026, 11, 28), null, SetGoal.Both, [], [], null);
        long visit = (await _store.Jobs.AddAsync("Ann", begun, default))!.Id;
        ReadingTaken taken = new("final", new(ReadingMethod.FreePlay, 30, 1));
        IReadOnlyList<string> question = await AskedAsync(() =>
            _store.Jobs.AppendAsync("Ann", visit, [new("key", taken)], default)
        );
        string insert = Assert.Single(question, s => s.StartsWith("INSERT", StringComparison.OrdinalIgnoreCase));
        Assert.InRange(insert.Length, 100, 1000);
        Assert.DoesNotContain(question, s => s.StartsWith("DELETE", StringComparison.OrdinalIgnoreCase));
    }
}
