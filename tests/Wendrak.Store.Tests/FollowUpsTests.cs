using Wendrak.Core.Evaluation;
using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Store.Machines;

namespace Wendrak.Store.Tests;

/// <summary>What must be done again is kept with what is fitted, until a person says that it is done.</summary>
public sealed class FollowUpsTests : IDisposable
{
    private readonly TempStore _store = new();

    public void Dispose() => _store.Dispose();

    private async Task<Setup> FittedAsync(long machineId) => (await _store.Machines.FindAsync(machineId))!.Fitted;

    private static FollowUpKind[] TasksOf(Setup setup) => [.. (setup.FollowUps ?? []).Select(i => i.Task)];

    private async Task<(FittedMachine Machine, Setup Fitted)> WithTrialFittedAsync()
    {
        FittedMachine machine = await _store.AddMachineAsync();
        Setup trial = await _store.AddTrialAsync(machine.Machine.Id, "Trial B", 15, 43);
        await _store.Setups.FitAsync("Ann", trial.Id, trial.Version, default);
        return (machine, await FittedAsync(machine.Machine.Id));
    }

    [Fact]
    public async Task A_fitted_trial_leaves_a_list_and_what_it_replaced_has_none()
    {
        (FittedMachine machine, Setup fitted) = await WithTrialFittedAsync();
        Assert.Equal(
            [
                FollowUpKind.Ratio,
                FollowUpKind.Speedometer,
                FollowUpKind.Length,
                FollowUpKind.Slot,
                FollowUpKind.Clearances,
                FollowUpKind.Alignment,
                FollowUpKind.Reading,
            ],
            TasksOf(fitted)
        );
        IReadOnlyList<Setup> setups = await _store.Setups.ListAsync(machine.Machine.Id);
        Assert.Null(setups.Single(s => s.Status == SetupStatus.Former).FollowUps);
    }

    [Fact]
    public async Task An_item_is_ticked_off_and_the_tick_undone()
    {
        (_, Setup fitted) = await WithTrialFittedAsync();
        Setup ticked = fitted with { FollowUps = [.. fitted.FollowUps!.Where(i => i.Task != FollowUpKind.Slot)] };
        Setup stored = (await _store.Setups.ChangeAsync("Ann", ticked, default))!;
        Assert.DoesNotContain(FollowUpKind.Slot, TasksOf(stored));
        Assert.Equal(fitted.FollowUps!.Count - 1, stored.FollowUps!.Count);
        await _store.Undoing.UndoAsync("Ann", (await _store.LastChangeAsync()).Id, default);
        Assert.Contains(FollowUpKind.Slot, TasksOf(await FittedAsync(fitted.MachineId)));
    }

    [Fact]
    public async Task What_is_open_goes_along_to_the_next_wheels()
    {
        (FittedMachine machine, _) = await WithTrialFittedAsync();
        Setup longer = await _store.AddTrialAsync(machine.Machine.Id, "Same wheels", 15, 43);
        await _store.Setups.FitAsync("Ann", longer.Id, longer.Version, default);
        Assert.Contains(FollowUpKind.Reading, TasksOf(await FittedAsync(machine.Machine.Id)));
    }

    [Fact]
    public async Task Another_tyre_on_the_machine_reopens_ratio_and_fit()
    {
        FittedMachine machine = await _store.AddMachineAsync();
        Drive drive = machine.Machine.Drives[0];
        Machine other = machine.Machine with
        {
            Drives = [drive with { Outputs = [drive.Outputs[0] with { RoadWheel = new("120/90-17", null) }] }],
        };
        MachineDraft draft = new(other, machine.Fitted.Loops);
        Setup fitted = (await _store.Machines.ChangeAsync("Ann", draft, machine.Fitted.Version, default)).Fitted;
        Assert.Equal(
            [Station.Ratio, Station.Ratio, Station.Fit, Station.Fit, Station.Set, Station.Set],
            fitted.FollowUps!.Select(i => i.Station)
        );
        Assert.All(fitted.FollowUps!, i => Assert.Equal([ChangedPart.RoadWheel], i.Because));
        // A tyre of the setup alone does the same.
        Setup own = fitted with
        {
            FollowUps = null,
            RoadWheels = [new("rear wheel", new("110/90-17", null))],
        };
        Setup changed = (await _store.Setups.ChangeAsync("Ann", own, default))!;
        Assert.Equal(TasksOf(fitted), TasksOf(changed));
    }

    [Fact]
    public async Task A_correction_of_what_was_typed_asks_for_nothing_and_takes_nothing_off()
    {
        FittedMachine machine = await _store.AddMachineAsync();
        Drive drive = machine.Machine.Drives[0];
        Machine other = machine.Machine with
        {
            Drives = [drive with { Outputs = [drive.Outputs[0] with { RoadWheel = new("120/90-17", null) }] }],
        };
        LoopChoice[] wheels = [.. machine.Fitted.Loops.Select(c => c with { RearSize = c.RearSize + 2 })];
        Setup corrected = (
            await _store.Machines.ChangeAsync(
                "Ann",
                new(other, wheels),
                machine.Fitted.Version,
                default,
                MachineChange.Correction
            )
        ).Fitted;
        Assert.Null(corrected.FollowUps);
        // What was open stays open.
        Setup open = (
            await _store.Machines.ChangeAsync(
                "Ann",
                new(other with { Version = other.Version + 1 }, machine.Fitted.Loops),
                corrected.Version,
                default
            )
        ).Fitted;
        Assert.NotEmpty(open.FollowUps!);
        FittedMachine now = (await _store.Machines.FindAsync(machine.Machine.Id))!;
        Setup still = (
            await _store.Machines.ChangeAsync(
                "Ann",
                new(now.Machine, wheels),
                open.Version,
                default,
                MachineChange.Correction
            )
        ).Fitted;
        Assert.Equal(TasksOf(open), TasksOf(still));
    }

    [Fact]
    public async Task A_note_or_a_name_asks_for_nothing()
    {
        FittedMachine machine = await _store.AddMachineAsync();
        MachineDraft draft = new(machine.Machine with { Name = "Other name", Note = "new" }, machine.Fitted.Loops);
        Setup fitted = (await _store.Machines.ChangeAsync("Ann", draft, machine.Fitted.Version, default)).Fitted;
        Assert.Null(fitted.FollowUps);
        Setup noted = (await _store.Setups.ChangeAsync("Ann", fitted with { Note = "seen" }, default))!;
        Assert.Null(noted.FollowUps);
    }

    [Fact]
    public async Task A_trial_has_no_list_whatever_is_sent_and_a_list_of_nonsense_is_refused()
    {
        FittedMachine machine = await _store.AddMachineAsync();
        Setup trial = await _store.AddTrialAsync(machine.Machine.Id, "Trial B", 15, 43);
        FollowUpTask item = new(FollowUpKind.Slot, "drive", "final", [ChangedPart.RearWheel]);
        Assert.Null((await _store.Setups.ChangeAsync("Ann", trial with { FollowUps = [item] }, default))!.FollowUps);
        FollowUpTask nonsense = item with { Task = (FollowUpKind)99 };
        await Assert.ThrowsAsync<InvalidInputException>(() =>
            _store.Setups.ChangeAsync("Ann", machine.Fitted with { FollowUps = [nonsense] }, default)
        );
    }

    [Fact]
    public async Task The_list_goes_into_the_machine_file_and_comes_back()
    {
        (FittedMachine machine, Setup fitted) = await WithTrialFittedAsync();
        MachineFile file = (await _store.Files.WriteAsync(machine.Machine.Id))!;
        FittedMachine read = await _store.Files.ReadAsync("Ann", file, default);
        Assert.Equal(TasksOf(fitted), TasksOf(read.Fitted));
        Assert.All(read.Fitted.FollowUps!, i => Assert.NotEmpty(i.Because));
    }
}
