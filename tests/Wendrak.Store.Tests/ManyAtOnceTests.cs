using System.Collections.Concurrent;
using System.Diagnostics;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;
using Wendrak.Core.Tension;
using Wendrak.Store.Machines;
using Wendrak.Store.Records;

namespace Wendrak.Store.Tests;

/// <summary>Many write and read at once: no answer holds parts of two moments, and no update is lost.</summary>
public sealed class ManyAtOnceTests : IDisposable
{
    private readonly TempStore _store = new();

    public void Dispose() => _store.Dispose();

    [Fact]
    public async Task Twenty_writers_and_ten_readers()
    {
        ManyAtOnce many = await ManyAtOnce.BeginAsync(_store);
        await many.RunAsync(writers: 20, readers: 10, TimeSpan.FromSeconds(2));
        await many.CheckAsync();
        Assert.InRange(many.Written, 20, int.MaxValue);
        Assert.InRange(many.Read, 20, int.MaxValue);
    }
}

/// <summary>Writers and readers of one store for a while, and what they must find in the end.</summary>
public sealed class ManyAtOnce
{
    private const string AtFirst = "at first";
    private readonly TempStore _store;
    private readonly long _machine;
    private readonly SetJob _visit;
    private readonly StockItem _counted;
    private readonly ConcurrentBag<(int Place, double Value)> _readings = [];
    private int _increments;
    private int _notes;
    private int _written;
    private int _read;

    public int Written => _written;
    public int Read => _read;

    private ManyAtOnce(TempStore store, long machine, SetJob visit, StockItem counted) =>
        (_store, _machine, _visit, _counted) = (store, machine, visit, counted);

    public static async Task<ManyAtOnce> BeginAsync(TempStore store)
    {
        long machine = (await store.AddMachineAsync(AtFirst)).Machine.Id;
        SetJob visit = (
            await store.Jobs.AddAsync(
                "Ann",
                new(0, 0, machine, "final", new(2026, 11, 28), null, SetGoal.Both, [], [], null),
                default
            )
        )!;
        StockItem item = new(0, 0, new("520", Core.Gearing.WheelSide.Front, 15, null, 0, 1, true), null);
        return new(store, machine, visit, await store.Stock.Wheels.AddAsync("Ann", item, default));
    }

    public async Task RunAsync(int writers, int readers, TimeSpan time)
    {
        // All of them go at once, however few processors there are.
        ThreadPool.SetMinThreads(writers + readers + 4, 4);
        long until = Stopwatch.GetTimestamp() + (long)(time.TotalSeconds * Stopwatch.Frequency);
        bool Goes() => Stopwatch.GetTimestamp() < until;
        await Task.WhenAll([
            .. Enumerable.Range(0, writers).Select(w => Task.Run(() => WriteAsync(w, Goes))),
            .. Enumerable.Range(0, readers).Select(_ => Task.Run(() => ReadAsync(Goes))),
        ]);
    }

    private async Task WriteAsync(int writer, Func<bool> goes)
    {
        for (int i = 0; goes(); i++)
        {
            try
            {
                Task write = (writer % 3) switch
                {
                    0 => CountUpAsync(),
                    1 => NoteAsync(),
                    _ => ReadingAsync(writer, i),
                };
                await write;
                Interlocked.Increment(ref _written);
            }
            catch (ChangedMeanwhileException) { } // told, and tried again
        }
    }

    private async Task CountUpAsync()
    {
        StockItem now = (await _store.Stock.Wheels.ListAsync()).Single(i => i.Id == _counted.Id);
        await _store.Stock.Wheels.ChangeAsync(
            null,
            now with
            {
                Wheel = now.Wheel with { Count = now.Wheel.Count + 1 },
            },
            default
        );
        Interlocked.Increment(ref _increments);
    }

    /// <summary>The name of the machine and the teeth of its rear wheel say the same in every state there was.</summary>
    private async Task NoteAsync()
    {
        FittedMachine now = (await _store.Machines.FindAsync(_machine))!;
        int next = Interlocked.Increment(ref _notes) % 40;
        MachineDraft draft = new(
            now.Machine with
            {
                Name = $"{next}",
            },
            [.. now.Fitted.Loops.Select(l => l with { RearSize = 30 + next })]
        );
        await _store.Machines.ChangeAsync(null, draft, now.Fitted.Version, default);
    }

    private async Task ReadingAsync(int writer, int i)
    {
        (int place, double value) = (writer, 10 + (i % 90));
        ReadingTaken taken = new("final", new(ReadingMethod.FreePlay, value, place));
        await _store.Jobs.AppendAsync(null, _visit.Id, [new($"{writer}/{i}", taken)], default);
        _readings.Add((place, value));
    }

    private async Task ReadAsync(Func<bool> goes)
    {
        while (goes())
        {
            FittedMachine found = (await _store.Machines.FindAsync(_machine))!;
            Assert.Equal(RearOf(found.Machine.Name), found.Fitted.Loops[0].RearSize);
            FittedMachine listed = (await _store.Machines.ListAsync())[0];
            Assert.Equal(RearOf(listed.Machine.Name), listed.Fitted.Loops[0].RearSize);
            MachineFile file = (await _store.Files.WriteAsync(_machine))!;
            Assert.Equal(RearOf(file.Machine.Name), file.Setups[0].Loops[0].RearSize);
            await _store.History.ListAsync(_machine, null, 5);
            Interlocked.Increment(ref _read);
        }
    }

    /// <summary>Teeth of the rear wheel in every state in which the machine had this name.</summary>
    private static double RearOf(string name) =>
        name == AtFirst ? 45 : 30 + int.Parse(name, System.Globalization.CultureInfo.InvariantCulture);

    /// <summary>Every acknowledged update is there.</summary>
    public async Task CheckAsync()
    {
        Assert.Equal(_increments, (await _store.Stock.Wheels.ListAsync()).Single(i => i.Id == _counted.Id).Wheel.Count);
        SetRound round = (await _store.Jobs.ListAsync(_machine))[0].InHand!.Round!;
        Assert.Equal(_readings.Select(r => r.Place).Distinct().Order(), round.Readings.Select(r => r.Position));
        int events = 0;
        long? before = null;
        while (await _store.History.ListAsync(_machine, before, 500) is { Count: > 0 } page)
        {
            events += page.Count(c => c.What == "read final");
            before = page[^1].Id;
        }
        Assert.Equal(_readings.Count, events);
        _store.Database.LookThrough();
        Assert.Empty(_store.Database.Damage.Found);
    }
}
