using System.Text;
using Dapper;
using Microsoft.Data.Sqlite;
using Wendrak.Core.Importing;
using Wendrak.Core.Logbook;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Store.Logs;
using Wendrak.Store.Machines;

namespace Wendrak.Store.Tests;

/// <summary>A machine's log: lines come in lots, stand or are struck, and go with their lot and their machine.</summary>
public sealed class LogTests : IDisposable
{
    private static readonly DateOnly Day = new(2026, 3, 1);
    private readonly TempStore _store = new();

    public void Dispose() => _store.Dispose();

    private async Task<long> MachineAsync() => (await _store.AddMachineAsync()).Machine.Id;

    private static FuelFilled Fill(int day, double km, double litres = 4) => new(Day.AddDays(day), km, litres, true);

    private async Task<LogLot> WriteAsync(long machine, params LogLine[] lines) =>
        (await _store.Logs.AddAsync("Ann", machine, lines, default))!;

    private async Task<IReadOnlyList<LogEntry>> PageAsync(long machine, LogFilter? filter = null) =>
        (await _store.Logs.PageAsync(machine, filter ?? new(), null, 100))!.Entries;

    private Task<string> EverythingAsync() => EveryOrder.EverythingAsync(_store);

    [Fact]
    public async Task What_was_written_is_read_newest_day_first_and_moves_the_odometer()
    {
        long machine = await MachineAsync();
        LogLot lot = await WriteAsync(
            machine,
            Fill(0, 900_000),
            new ScoreGiven(Day.AddDays(5), null, 4),
            Fill(2, 900_100)
        );
        Assert.Equal(3, lot.Count);
        Assert.Equal([5, 2, 0], (await PageAsync(machine)).Select(e => e.Line.On.DayNumber - Day.DayNumber));
        Assert.Equal(900_100, (await _store.Machines.FindAsync(machine))!.Machine.OdometerKm);
        await WriteAsync(machine, Fill(1, 900_050));
        Assert.Equal(900_100, (await _store.Machines.FindAsync(machine))!.Machine.OdometerKm);
        Assert.Null(await _store.Logs.AddAsync("Ann", 99, [Fill(0, 1)], default));
        Assert.Null(await _store.Logs.PageAsync(99, new(), null, 10));
        await Assert.ThrowsAsync<InvalidInputException>(() => WriteAsync(machine, Fill(0, 1, litres: 0)));
    }

    [Fact]
    public async Task Parts_of_it_join_without_a_gap_and_by_kind_and_day()
    {
        long machine = await MachineAsync();
        await WriteAsync(machine, [.. Enumerable.Range(0, 23).Select(i => Fill(i / 2, 100 + i))]);
        await WriteAsync(machine, new ScoreGiven(Day.AddDays(3), null, 4));
        List<LogEntry> read = [];
        long? after = null;
        do
        {
            LogPage page = (await _store.Logs.PageAsync(machine, new(), after, 5))!;
            read.AddRange(page.Entries);
            after = page.Next;
        } while (after is not null);
        Assert.Equal(24, read.Distinct().Count());
        Assert.Equal(read.Select(e => e.Line.On).OrderDescending(), read.Select(e => e.Line.On));
        Assert.Single(await PageAsync(machine, new("scoreGiven")));
        Assert.Equal(4, (await PageAsync(machine, new("fuelFilled", Day.AddDays(2), Day.AddDays(3)))).Count);
        Assert.Empty(await PageAsync(machine, new("noiseRead")));
    }

    [Fact]
    public async Task Undo_takes_a_lot_with_its_odometer_back_and_its_undo_brings_it_again()
    {
        long machine = await MachineAsync();
        string before = await EverythingAsync();
        await WriteAsync(machine, Fill(0, 900_000), Fill(1, 900_100));
        string after = await EverythingAsync();
        Assert.NotEqual(before, after);
        await _store.UndoLastAsync();
        Assert.Equal(before, await EverythingAsync());
        Assert.Empty(await PageAsync(machine));
        await _store.UndoLastAsync();
        Assert.Equal(after, await EverythingAsync());
        Assert.Equal(2, (await PageAsync(machine)).Count);
    }

    [Fact]
    public async Task A_line_that_is_struck_out_stays_and_counts_no_more_until_it_stands_again()
    {
        long machine = await MachineAsync();
        LogLot lot = await WriteAsync(machine, Fill(0, 100), Fill(1, 200), Fill(2, 300));
        Assert.True(await _store.Logs.StrikeAsync("Ann", machine, lot.Id, 1, true, default));
        Assert.Equal([false, true, false], (await PageAsync(machine)).Select(e => e.IsStruck));
        Assert.Equal(1, (await _store.Logs.CompareAsync(machine, new(ComparedMeasure.Fuel)))!.NotCounted.Struck);
        await _store.UndoLastAsync();
        Assert.DoesNotContain(await PageAsync(machine), e => e.IsStruck);
        await _store.Logs.StrikeAsync("Ann", machine, lot.Id, 2, true, default);
        await _store.Logs.StrikeAsync("Ann", machine, lot.Id, 2, false, default);
        Assert.DoesNotContain(await PageAsync(machine), e => e.IsStruck);
        Assert.False(await _store.Logs.StrikeAsync("Ann", machine, lot.Id, 3, true, default));
        Assert.False(await _store.Logs.StrikeAsync("Ann", machine, 99, 0, true, default));
        long other = (await _store.AddMachineAsync("Other")).Machine.Id;
        Assert.False(await _store.Logs.StrikeAsync("Ann", other, lot.Id, 0, true, default));
    }

    [Fact]
    public async Task It_goes_with_its_machine_and_comes_back_with_it()
    {
        FittedMachine machine = await _store.AddMachineAsync();
        await WriteAsync(machine.Machine.Id, Fill(0, 1));
        string before = await EverythingAsync();
        await _store.Machines.RemoveAsync(
            "Ann",
            machine.Machine.Id,
            (await _store.Machines.FindAsync(machine.Machine.Id))!.Machine.Version,
            default
        );
        Assert.Null(await _store.Logs.AllAsync(machine.Machine.Id));
        await _store.UndoLastAsync();
        Assert.Equal(before, await EverythingAsync());
        Assert.Single(await PageAsync(machine.Machine.Id));
    }

    private async Task<LogTaken> TakeInAsync(long machine, string text, bool onlyTry = false)
    {
        using MemoryStream file = new(Encoding.UTF8.GetBytes(text));
        LogColumns columns = LogFileLook.Of(file, []).Guess with { AreAllFull = true };
        LogImport read = LogImport.Read(file, columns);
        return (await _store.Logs.TakeInAsync("Ann", machine, "fuel.csv", columns, read, onlyTry, default))!;
    }

    [Fact]
    public async Task A_file_is_taken_in_as_far_as_it_can_be_and_what_is_there_is_not_taken_twice()
    {
        long machine = await MachineAsync();
        const string first = "date,odometer,liters\n2026-03-01,100,4\n2026-03-02,200,4\n2026-03-02,200,4\nnever,1,1\n";
        LogTaken tried = await TakeInAsync(machine, first, onlyTry: true);
        Assert.Empty(await PageAsync(machine));
        LogTaken taken = await TakeInAsync(machine, first);
        Assert.Equal((2, 1, 1), (taken.Added, taken.Known, taken.RefusedCount));
        Assert.Equal((tried.Added, tried.Known, tried.RefusedCount), (taken.Added, taken.Known, taken.RefusedCount));
        LogTaken longer = await TakeInAsync(machine, first + "2026-03-03,300,4\n");
        Assert.Equal((1, 3), (longer.Added, longer.Known));
        Assert.All(await PageAsync(machine), e => Assert.Equal("fuel.csv", e.File));
        Assert.Equal(2, (await _store.Logs.EarlierColumnsAsync()).Count);
        string before = await EverythingAsync();
        Assert.Equal(0, (await TakeInAsync(machine, first)).Added);
        Assert.Equal(before, await EverythingAsync());
    }

    [Fact]
    public async Task A_machine_file_takes_its_log_along_with_what_is_struck_and_the_setups_it_names()
    {
        FittedMachine machine = await _store.AddMachineAsync();
        await _store.AddTrialAsync(machine.Machine.Id, "Other", 14, 45);
        LogLot lot = await WriteAsync(
            machine.Machine.Id,
            Fill(0, 100),
            Fill(1, 200) with
            {
                SetupId = machine.Fitted.Id,
            },
            Fill(2, 300) with
            {
                SetupId = 9_999,
            }
        );
        await _store.Logs.StrikeAsync("Ann", machine.Machine.Id, lot.Id, 0, true, default);
        await TakeInAsync(machine.Machine.Id, "date,odometer,liters\n2026-05-01,400,4\n");
        MachineFile file = (await _store.Files.WriteAsync(machine.Machine.Id))!;
        FittedMachine read = await _store.Files.ReadAsync("Ben", file, default);
        IReadOnlyList<LogEntry> there = await PageAsync(read.Machine.Id);
        Assert.Equal([false, false, false, true], there.Select(e => e.IsStruck));
        Assert.Equal(("fuel.csv", null), (there[0].File, there[1].Line.SetupId));
        Assert.Equal(read.Fitted.Id, there[2].Line.SetupId);
    }

    [Fact]
    public void A_long_log_goes_into_a_file_in_parts_that_a_file_can_hold()
    {
        FiledLog[] parts =
        [
            .. new FiledLog("f", null, [1, 10_000, 20_001], [.. Enumerable.Repeat(Fill(0, 1), 25_000)]).InParts(),
        ];
        Assert.Equal([10_000, 10_000, 5_000], parts.Select(p => p.Lines.Count));
        Assert.Equal(["1", "0", "1"], parts.Select(p => string.Join(',', p.Struck!)));
    }

    [Fact]
    public async Task The_usual_distance_is_learned_from_the_newest_the_one_a_year_older_and_the_first()
    {
        long machine = await MachineAsync();
        LogLot lot = await WriteAsync(
            machine,
            Fill(-800, 10),
            Fill(-400, 1_000),
            Fill(-366, 1_200),
            Fill(-200, 1_500),
            Fill(0, 2_200),
            Fill(1, 9_999)
        );
        await _store.Logs.StrikeAsync("Ann", machine, lot.Id, 5, true, default);
        Assert.Equal(
            [10, 1_200, 2_200],
            (await _store.Machines.FindAsync(machine))!.Odometer.Select(o => o.Km).Order()
        );
        Assert.Equal(
            [10, 1_200, 2_200],
            (await _store.Machines.ListAsync()).Single(m => m.Machine.Id == machine).Odometer.Select(o => o.Km).Order()
        );
    }

    [Fact]
    public async Task A_line_that_was_changed_past_the_program_is_found_and_left_out()
    {
        long machine = await MachineAsync();
        await WriteAsync(machine, Fill(0, 100), Fill(1, 200), Fill(2, 300));
        using (SqliteConnection connection = _store.Database.Open())
            connection.Execute("UPDATE log_line SET body = replace(body, '200', '250') WHERE number = 1");
        Assert.Equal(2, (await _store.Logs.AllAsync(machine))!.Count);
        Assert.Contains("log line 1", _store.Database.Damage.Found);
        string into = Directory.CreateTempSubdirectory("wendrak-saved-").FullName;
        try
        {
            _store.Database.FoldJournalIn();
            Rescued rescued = Rescue.Run(_store.Folder, into, DateTimeOffset.UnixEpoch);
            Assert.Equal(["log line: log_line 1"], rescued.Lost);
            using TempStore saved = new(into, keep: true);
            Assert.Equal(2, (await saved.Logs.AllAsync(machine))!.Count);
        }
        finally
        {
            Directory.Delete(into, recursive: true);
        }
    }
}
