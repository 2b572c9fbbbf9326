using Wendrak.Core.Quantities;
using Wendrak.Store.Bodies;
using Wendrak.Store.Ledger;
using Wendrak.Store.Machines;
using Wendrak.Store.Records;

namespace Wendrak.Store.Tests;

/// <summary>A stored thing that this program does not have costs its record, one registration, and what serves and shows it.</summary>
public sealed class NewKindTests : IDisposable
{
    private readonly TempStore _store = new();

    public void Dispose() => _store.Dispose();

    /// <summary>A bell on a machine: the record with its rule.</summary>
    private sealed record Bell(long Id, int Version, long MachineId, string Name, double Hz) : StoredRecord(Id, Version)
    {
        public static void Check(Bell bell) =>
            new Guard().Named(nameof(Name), bell.Name).Between(nameof(Hz), bell.Hz, 20, 20_000, "Hz").ThrowIfAny();
    }

    private static readonly StoredKind<Bell> Bells = new()
    {
        Name = "bell",
        Word = "bell",
        NameOf = b => b.Name,
        References = b => [new(Hold.BelongsTo, "machine", b.MachineId)],
        // Form 1 gave the period.
        Upcasters =
        [
            body =>
            {
                body["hz"] = 1 / body["periodS"]!.GetValue<double>();
                body.Remove("periodS");
                return body;
            },
        ],
    };

    [Fact]
    public async Task It_is_added_changed_removed_and_undone_like_any_other_and_goes_with_its_machine()
    {
        ChangeLog log = new(_store.Database, TimeProvider.System, new KindRegistry([.. Kinds.All, Bells]));
        ListStore<Bell> bells = new(_store.Database, log, new(Bells), Bell.Check, b => $"bell {b.Name}", b => b);
        Undoing undoing = new(log, _store.History);
        MachineStore machines = new(_store.Database, log, _store.Jobs, TimeProvider.System);
        async Task UndoAsync() => await undoing.UndoAsync("Ann", (await _store.LastChangeAsync()).Id, default);

        FittedMachine machine = await _store.AddMachineAsync();
        Bell bell = await bells.AddAsync("Ann", new(0, 0, machine.Machine.Id, "brass", 880), default);
        await Assert.ThrowsAsync<InvalidInputException>(() => bells.ChangeAsync("Ann", bell with { Hz = 1 }, default));
        Bell tuned = await bells.ChangeAsync("Ann", bell with { Hz = 440 }, default);
        await Assert.ThrowsAsync<ChangedMeanwhileException>(() =>
            bells.ChangeAsync("Ann", bell with { Hz = 660 }, default)
        );
        await UndoAsync();
        Assert.Equal(880, Assert.Single(await bells.ListAsync()).Hz);
        await UndoAsync();
        Assert.Equal(tuned.Hz, (await bells.ListAsync())[0].Hz);
        // What hangs on a machine holds its addition, goes with it and comes back with it.
        long added = (await _store.History.ListAsync(null, null, 9))[^1].Id;
        CannotUndoException held = await Assert.ThrowsAsync<CannotUndoException>(() =>
            undoing.UndoAsync("Ann", added, default)
        );
        Assert.Contains("bell “brass”", held.Message, StringComparison.Ordinal);
        await machines.RemoveAsync("Ann", machine.Machine.Id, machine.Machine.Version, default);
        Assert.Empty(await bells.ListAsync());
        await UndoAsync();
        Assert.Equal("brass", Assert.Single(await bells.ListAsync()).Name);
    }

    [Fact]
    public void A_body_of_its_first_form_is_brought_up()
    {
        Bell bell = Bells.Read(1, """{"machineId":3,"name":"brass","periodS":0.002}""");
        Assert.Equal(500, bell.Hz);
        Assert.Throws<UnreadableBodyException>(() =>
            Bells.Read(2, """{"machineId":3,"name":"brass","periodS":0.002}""")
        );
    }
}
