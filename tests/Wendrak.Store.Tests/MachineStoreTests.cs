using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Vocabulary;
using Wendrak.Store.Bodies;
using Wendrak.Store.Machines;
using Wendrak.Store.Records;

namespace Wendrak.Store.Tests;

public sealed class MachineStoreTests : IDisposable
{
    private readonly TempStore _store = new();

    public void Dispose() => _store.Dispose();

    [Fact]
    public async Task A_copy_brings_the_trials_along_under_new_ids()
    {
        FittedMachine machine = await _store.AddMachineAsync("Original");
        Setup trial = await _store.AddTrialAsync(machine.Machine.Id, "Trial B", 15, 43);
        FittedMachine copy = (await _store.Machines.CopyAsync("Ann", machine.Machine.Id, "The copy", default))!;
        IReadOnlyList<Setup> setups = await _store.Setups.ListAsync(copy.Machine.Id);
        Assert.Equal("The copy", copy.Machine.Name);
        Assert.Equal(["As fitted", "Trial B"], setups.Select(s => s.Name));
        Assert.DoesNotContain(setups, s => s.Id == trial.Id || s.Id == machine.Fitted.Id);
        Assert.Single(await _store.Stock.GearboxSets.ListAsync());
    }

    [Fact]
    public async Task An_added_loop_gives_every_setup_its_wheels()
    {
        FittedMachine machine = await _store.AddMachineAsync();
        await _store.AddTrialAsync(machine.Machine.Id, "Trial B", 15, 43);
        Drive drive = machine.Machine.Drives[0];
        Loop more = drive.Stages.OfType<Loop>().Single() with
        {
            Key = "second",
            DrivingShaft = "rear wheel",
            DrivenShaft = "aux",
        };
        Machine changed = machine.Machine with { Drives = [drive with { Stages = [.. drive.Stages, more] }] };
        LoopChoice[] loops = [.. machine.Fitted.Loops, new("second", 12, 24, 60)];
        await _store.Machines.ChangeAsync("Ann", new(changed, loops), machine.Fitted.Version, default);
        IReadOnlyList<Setup> setups = await _store.Setups.ListAsync(machine.Machine.Id);
        Assert.All(setups, s => Assert.Equal(["final", "second"], s.Loops.Select(l => l.LoopKey)));
        Assert.Equal(43, setups.Single(s => s.Name == "Trial B").Loops[0].RearSize);
    }

    [Fact]
    public async Task Wheels_fitted_meanwhile_in_another_window_are_told()
    {
        FittedMachine machine = await _store.AddMachineAsync();
        MachineDraft other = new(machine.Machine, [new("final", 16, 45, 112)]);
        await _store.Machines.ChangeAsync("Ann", other, machine.Fitted.Version, default);
        MachineDraft mine = new(machine.Machine, [new("final", 14, 45, 112)]);
        ChangedMeanwhileException result = await Assert.ThrowsAsync<ChangedMeanwhileException>(() =>
            _store.Machines.ChangeAsync("Ben", mine, machine.Fitted.Version, default)
        );
        Assert.Equal("setup", result.Thing);
    }

    [Fact]
    public async Task A_trial_of_one_side_is_a_trial_of_both()
    {
        MachineDraft draft = StartingMachines.For(MachineKind.KickBoard);
        Drive left = draft.Machine.Drives[0];
        Drive right = left with
        {
            Key = "right",
            Mirrors = left.Key,
            Stages = [.. left.Stages.OfType<Loop>().Select(l => l with { Key = "right-final" })],
            Outputs = [new("right wheel", left.Outputs[0].Shaft, true, left.Outputs[0].RoadWheel)],
        };
        Machine machine = draft.Machine with { Name = "Board", Drives = [left, right] };
        LoopChoice[] fitted = [draft.Fitted[0], draft.Fitted[0] with { LoopKey = "right-final" }];
        FittedMachine added = await _store.Machines.AddAsync("Ann", new(machine, fitted), default);
        Setup trial = await _store.AddTrialAsync(added.Machine.Id, "Trial A", 15, 42);
        Assert.All(trial.Loops, l => Assert.Equal((15, 42), (l.FrontSize, l.RearSize)));
    }

    [Fact]
    public async Task A_discarded_trial_is_kept_and_can_be_taken_up_again()
    {
        FittedMachine machine = await _store.AddMachineAsync();
        Setup trial = await _store.AddTrialAsync(machine.Machine.Id, "Trial B", 15, 43);
        Setup gone = (await _store.Setups.ChangeAsync("Ann", trial with { Status = SetupStatus.Discarded }, default))!;
        Assert.Equal(SetupStatus.Discarded, gone.Status);
        Setup back = (await _store.Setups.ChangeAsync("Ann", gone with { Status = SetupStatus.Trial }, default))!;
        Assert.Equal(SetupStatus.Trial, back.Status);
    }

    [Fact]
    public async Task Nobody_becomes_as_fitted_by_an_edit()
    {
        FittedMachine machine = await _store.AddMachineAsync();
        Setup trial = await _store.AddTrialAsync(machine.Machine.Id, "Trial B", 15, 43);
        Setup edited = (
            await _store.Setups.ChangeAsync("Ann", trial with { Status = SetupStatus.AsFitted, Name = "X" }, default)
        )!;
        Assert.Equal((SetupStatus.Trial, "X"), (edited.Status, edited.Name));
        Setup fitted = (
            await _store.Setups.ChangeAsync(
                "Ann",
                machine.Fitted with
                {
                    Status = SetupStatus.Discarded,
                    Note = "n",
                },
                default
            )
        )!;
        Assert.Equal((SetupStatus.AsFitted, "n"), (fitted.Status, fitted.Note));
    }

    [Fact]
    public async Task A_file_brings_a_machine_to_another_store_whole()
    {
        FittedMachine machine = await _store.AddMachineAsync("Traveller");
        Setup trial = await _store.AddTrialAsync(machine.Machine.Id, "Trial B", 15, 43);
        Aim aim = TempStore.AimFor(machine.Machine.Id);
        AimOutcome outcome = aim.Outcomes[0] with { SetupId = trial.Id };
        await _store.Aims.AddAsync("Ann", aim with { Outcomes = [outcome] }, default);
        MachineFile file = (await _store.Files.WriteAsync(machine.Machine.Id))!;
        MachineFile asText = EarlierJson.FromJson<MachineFile>(EarlierJson.ToJson(file));

        using TempStore other = new();
        await other.AddMachineAsync("Already here"); // so that ids differ
        FittedMachine read = await other.Files.ReadAsync("Ben", asText, default);
        IReadOnlyList<Setup> setups = await other.Setups.ListAsync(read.Machine.Id);
        Aim readAim = (await other.Aims.ListAsync(read.Machine.Id)).Single();
        Assert.Equal("Traveller", read.Machine.Name);
        Assert.Equal(["As fitted", "Trial B"], setups.Select(s => s.Name));
        Assert.Equal(setups[1].Id, readAim.Outcomes[0].SetupId);
        Assert.Equal(machine.Fitted.Loops, read.Fitted.Loops);
        Assert.Single(await other.Stock.GearboxSets.ListAsync()); // the same box was known already
    }

    [Fact]
    public async Task A_gearbox_set_in_use_stays()
    {
        await _store.AddMachineAsync("User of it");
        GearboxSet set = (await _store.Stock.GearboxSets.ListAsync()).Single();
        StillUsedException refused = await Assert.ThrowsAsync<StillUsedException>(() =>
            _store.Stock.GearboxSets.RemoveAsync("Ann", set.Id, set.Version, default)
        );
        Assert.Contains("User of it", refused.Message, StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_gearbox_set_nobody_uses_can_go_and_come_back()
    {
        GearboxSet set = await _store.Stock.GearboxSets.AddAsync(
            "Ann",
            new(0, 0, "spare", [2, 1], false, null),
            default
        );
        await _store.Stock.GearboxSets.RemoveAsync("Ann", set.Id, set.Version, default);
        Assert.Empty(await _store.Stock.GearboxSets.ListAsync());
        await _store.Undoing.UndoAsync("Ann", (await _store.LastChangeAsync()).Id, default);
        Assert.Equal("spare", (await _store.Stock.GearboxSets.ListAsync()).Single().Name);
    }

    [Fact]
    public async Task An_aim_that_does_not_suit_its_machine_is_refused()
    {
        FittedMachine machine = await _store.AddMachineAsync();
        Aim aim = TempStore.AimFor(machine.Machine.Id) with { Target = new CruiseSpeed(90, 17, 5000, 5300) };
        InvalidInputException refused = await Assert.ThrowsAsync<InvalidInputException>(() =>
            _store.Aims.AddAsync("Ann", aim, default)
        );
        Assert.Equal("Target.GearIndex", refused.Issues.Single().Field);
    }
}
