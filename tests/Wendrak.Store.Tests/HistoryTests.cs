using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;
using Wendrak.Store.Bodies;
using Wendrak.Store.Ledger;
using Wendrak.Store.Machines;
using Wendrak.Store.Records;

namespace Wendrak.Store.Tests;

public sealed class HistoryTests : IDisposable
{
    private readonly TempStore _store = new();

    public void Dispose() => _store.Dispose();

    [Fact]
    public async Task A_change_is_recorded_with_when_who_before_and_after()
    {
        FittedMachine machine = await _store.AddMachineAsync("Before");
        MachineDraft changed = new(machine.Machine with { Name = "After" }, machine.Fitted.Loops);
        await _store.Machines.ChangeAsync("Ann", changed, machine.Fitted.Version, CancellationToken.None);
        Change change = await _store.LastChangeAsync();
        Assert.Equal(("Ann", "changed After", machine.Machine.Id), (change.Who, change.What, change.MachineId));
        Assert.EndsWith("Z", change.MadeAt, StringComparison.Ordinal);
        ChangeDetail thing = Assert.Single(change.Things);
        Assert.Equal(("machine", machine.Machine.Id), (thing.Thing, thing.ThingId));
        Assert.Contains("\"name\":\"Before\"", thing.Before, StringComparison.Ordinal);
        Assert.Contains("\"name\":\"After\"", thing.After, StringComparison.Ordinal);
    }

    [Fact]
    public async Task Saving_without_a_change_is_no_change()
    {
        FittedMachine machine = await _store.AddMachineAsync();
        long before = (await _store.LastChangeAsync()).Id;
        MachineDraft same = new(machine.Machine, machine.Fitted.Loops);
        FittedMachine saved = await _store.Machines.ChangeAsync(
            "Ann",
            same,
            machine.Fitted.Version,
            CancellationToken.None
        );
        Assert.Equal(before, (await _store.LastChangeAsync()).Id);
        Assert.Equal(machine.Machine.Version, saved.Machine.Version);
    }

    [Fact]
    public async Task An_undone_change_is_as_before_and_can_be_redone()
    {
        StockItem item = await _store.Stock.Wheels.AddAsync(
            "Ann",
            new(0, 0, new("520", WheelSide.Front, 15, null, 1, 20, true), null),
            default
        );
        await _store.Stock.Wheels.ChangeAsync("Ann", item with { Wheel = item.Wheel with { Count = 5 } }, default);
        await _store.UndoLastAsync();
        Assert.Equal(1, (await _store.Stock.Wheels.ListAsync()).Single().Wheel.Count);
        await _store.UndoLastAsync(); // the undoing is a change itself
        Assert.Equal(5, (await _store.Stock.Wheels.ListAsync()).Single().Wheel.Count);
    }

    [Fact]
    public async Task An_undone_addition_is_gone_and_an_undone_removal_is_back_under_its_id()
    {
        FittedMachine machine = await _store.AddMachineAsync();
        Aim aim = (await _store.Aims.AddAsync("Ann", TempStore.AimFor(machine.Machine.Id), default))!;
        await _store.UndoLastAsync();
        Assert.Empty(await _store.Aims.ListAsync(machine.Machine.Id));
        await _store.UndoLastAsync();
        Aim back = (await _store.Aims.ListAsync(machine.Machine.Id)).Single();
        Assert.Equal((aim.Id, aim.Name), (back.Id, back.Name));
        Assert.Equal(EarlierJson.ToJson(aim.Outcomes), EarlierJson.ToJson(back.Outcomes));
        Assert.True(back.Version > aim.Version);
    }

    [Fact]
    public async Task Undoing_a_new_machine_takes_its_setup_with_it()
    {
        await _store.AddMachineAsync();
        await _store.UndoLastAsync();
        Assert.Empty(await _store.Machines.ListAsync());
    }

    [Fact]
    public async Task Fitting_a_trial_keeps_the_old_one_and_undoes_as_one()
    {
        FittedMachine machine = await _store.AddMachineAsync();
        Setup trial = await _store.AddTrialAsync(machine.Machine.Id, "Trial B", 15, 43);
        IReadOnlyList<Setup> after = (await _store.Setups.FitAsync("Ann", trial.Id, trial.Version, default))!;
        Assert.Equal(SetupStatus.Former, after.Single(s => s.Id == machine.Fitted.Id).Status);
        Setup fitted = after.Single(s => s.Status == SetupStatus.AsFitted);
        Assert.Equal((trial.Id, 43), (fitted.Id, fitted.Loops[0].RearSize));
        Assert.NotNull(fitted.FittedOn);
        await _store.UndoLastAsync();
        FittedMachine back = (await _store.Machines.FindAsync(machine.Machine.Id))!;
        Assert.Equal(machine.Fitted.Id, back.Fitted.Id);
        Assert.Equal(
            SetupStatus.Trial,
            (await _store.Setups.ListAsync(machine.Machine.Id)).Single(s => s.Id == trial.Id).Status
        );
    }

    [Fact]
    public async Task Only_the_latest_change_of_a_thing_can_be_undone()
    {
        StockItem item = await _store.Stock.Wheels.AddAsync(
            "Ann",
            new(0, 0, new("520", WheelSide.Front, 15, null, 1, 20, true), null),
            default
        );
        item = await _store.Stock.Wheels.ChangeAsync("Ann", item with { Note = "first" }, default);
        long first = (await _store.LastChangeAsync()).Id;
        await _store.Stock.Wheels.ChangeAsync("Ann", item with { Note = "second" }, default);
        CannotUndoException refused = await Assert.ThrowsAsync<CannotUndoException>(() =>
            _store.Undoing.UndoAsync("Ann", first, default)
        );
        Assert.Contains("later change first", refused.Message, StringComparison.Ordinal);
        Assert.Equal("second", (await _store.Stock.Wheels.ListAsync()).Single().Note);
    }

    [Fact]
    public async Task A_change_is_undone_once()
    {
        await _store.AddMachineAsync();
        long id = (await _store.LastChangeAsync()).Id;
        await _store.Undoing.UndoAsync("Ann", id, default);
        await Assert.ThrowsAsync<CannotUndoException>(() => _store.Undoing.UndoAsync("Ann", id, default));
        await Assert.ThrowsAsync<CannotUndoException>(() => _store.Undoing.UndoAsync("Ann", 9999, default));
    }

    [Fact]
    public async Task A_machine_can_be_undone_after_its_gearbox_set_was_corrected()
    {
        FittedMachine machine = await _store.AddMachineAsync("Old name");
        MachineDraft renamed = new(machine.Machine with { Name = "New name" }, machine.Fitted.Loops);
        await _store.Machines.ChangeAsync("Ann", renamed, machine.Fitted.Version, default);
        long rename = (await _store.LastChangeAsync()).Id;
        GearboxSet set = (await _store.Stock.GearboxSets.ListAsync()).Single();
        await _store.Stock.GearboxSets.ChangeAsync("Ann", set with { Reductions = [3, 2, 1] }, default);
        await _store.Undoing.UndoAsync("Ann", rename, default);
        FittedMachine back = (await _store.Machines.FindAsync(machine.Machine.Id))!;
        Assert.Equal("Old name", back.Machine.Name);
        Assert.Equal([3, 2, 1], back.Machine.Drives[0].Stages.OfType<Gearbox>().Single().Set.Reductions);
    }

    [Fact]
    public async Task Two_windows_the_second_is_told_and_shown_what_is_stored()
    {
        FittedMachine machine = await _store.AddMachineAsync();
        Aim aim = (await _store.Aims.AddAsync("Ann", TempStore.AimFor(machine.Machine.Id), default))!;
        await _store.Aims.ChangeAsync("Ann", aim with { Name = "Annes" }, default);
        ChangedMeanwhileException result = await Assert.ThrowsAsync<ChangedMeanwhileException>(() =>
            _store.Aims.ChangeAsync("Ben", aim with { Name = "Benes" }, default)
        );
        Aim current = Assert.IsType<Aim>(result.Current);
        Assert.Equal("Annes", current.Name);
        // Ben looked at it and stores his over it; Annes stays in the history.
        Aim stored = (
            await _store.Aims.ChangeAsync("Ben", aim with { Name = "Benes", Version = current.Version }, default)
        )!;
        Assert.Equal("Benes", stored.Name);
        Assert.Contains("Annes", (await _store.LastChangeAsync()).Things[0].Before, StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_removed_thing_is_told_as_gone()
    {
        FittedMachine machine = await _store.AddMachineAsync();
        Aim aim = (await _store.Aims.AddAsync("Ann", TempStore.AimFor(machine.Machine.Id), default))!;
        await _store.Aims.RemoveAsync("Ann", aim.Id, aim.Version, default);
        ChangedMeanwhileException result = await Assert.ThrowsAsync<ChangedMeanwhileException>(() =>
            _store.Aims.ChangeAsync("Ben", aim with { Name = "Benes" }, default)
        );
        Assert.Null(result.Current);
    }

    [Fact]
    public async Task A_refused_change_leaves_nothing_behind()
    {
        FittedMachine machine = await _store.AddMachineAsync();
        long before = (await _store.LastChangeAsync()).Id;
        await Assert.ThrowsAsync<InvalidInputException>(() => _store.AddTrialAsync(machine.Machine.Id, "bad", 0, 45));
        Assert.Equal(before, (await _store.LastChangeAsync()).Id);
        Assert.Single(await _store.Setups.ListAsync(machine.Machine.Id));
    }

    [Fact]
    public async Task The_history_of_a_machine_is_its_own()
    {
        FittedMachine one = await _store.AddMachineAsync("One");
        FittedMachine two = await _store.AddMachineAsync("Two");
        await _store.AddTrialAsync(one.Machine.Id, "Trial A", 15, 43);
        Assert.Equal(["made trial Trial A", "added One"], await WhatAsync(one.Machine.Id));
        Assert.Equal(["added Two"], await WhatAsync(two.Machine.Id));
    }

    [Fact]
    public async Task Without_a_name_the_workshop_did_it_and_a_long_name_is_cut()
    {
        await _store.Log.CommitAsync("  ", "x", _ => Task.FromResult(true), default); // nothing changed, nothing recorded
        Assert.Empty(await _store.History.ListAsync(null, null, 10));
        StockItem item = new(0, 0, new("520", WheelSide.Front, 15, null, 1, 20, true), null);
        await _store.Stock.Wheels.AddAsync(" ", item, default);
        Assert.Equal("workshop", (await _store.LastChangeAsync()).Who);
        await _store.Stock.Wheels.AddAsync(new string('x', 500), item, default);
        Assert.Equal(Edit.LongestActor, (await _store.LastChangeAsync()).Who.Length);
    }

    private async Task<IEnumerable<string>> WhatAsync(long machineId) =>
        (await _store.History.ListAsync(machineId, null, 10)).Select(c => c.What);
}
