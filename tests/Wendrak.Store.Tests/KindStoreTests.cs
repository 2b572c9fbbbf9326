using Wendrak.Core.Choices;
using Wendrak.Core.Evaluation;
using Wendrak.Core.Gearing;
using Wendrak.Core.Procedures;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Vocabulary;
using Wendrak.Store.Ledger;
using Wendrak.Store.Machines;
using Wendrak.Store.Records;

namespace Wendrak.Store.Tests;

/// <summary>Another kind of chain or belt is fitted, gone back from, undone, and changed while it is only tried.</summary>
public sealed class KindStoreTests : IDisposable
{
    private readonly TempStore _store = new();

    public void Dispose() => _store.Dispose();

    private async Task<(FittedMachine Machine, Setup Trial)> TriedAsync()
    {
        FittedMachine machine = await _store.AddMachineAsync();
        long id = machine.Machine.Id;
        KindTrial trial = KindTrial.Of(
            new(machine.Machine, machine.Fitted, [machine.Fitted], [], []),
            "final",
            "toothedBelt"
        );
        NewTrial made = new(trial.Name, trial.Loops, null, null);
        return (machine, (await _store.Setups.AddTrialAsync("Ann", id, made, default, trial.Kinds))!);
    }

    private async Task<DriveElement> OnAsync(long id) =>
        MachineRules.LoopsOf((await _store.Machines.FindAsync(id))!.Machine).Single(l => l.Key == "final").DriveElement;

    [Fact]
    public async Task A_belt_goes_on_the_chain_is_kept_and_comes_back_as_it_was()
    {
        (FittedMachine before, Setup trial) = await TriedAsync();
        long id = before.Machine.Id;
        Assert.Equal(DriveElement.Chain, await OnAsync(id));

        IReadOnlyList<Setup> setups = (await _store.Setups.FitAsync("Ann", trial.Id, trial.Version, default))!;
        Assert.Equal(DriveElement.ToothedBelt, await OnAsync(id));
        Setup on = setups.Single(s => s.Status == SetupStatus.AsFitted);
        Assert.Equal((trial.Id, null), (on.Id, on.Kinds));
        Assert.NotEmpty(on.FollowUps!);
        Setup chain = setups.Single(s => s.Status == SetupStatus.Former);
        Assert.Equal(DriveElement.Chain, Assert.Single(chain.Kinds!).DriveElement);

        Assert.NotNull(await _store.Setups.FitAgainAsync("Ann", chain.Id, chain.Version, default));
        FittedMachine after = (await _store.Machines.FindAsync(id))!;
        Assert.Equivalent(before.Machine with { Version = 0 }, after.Machine with { Version = 0 }, strict: true);
        Assert.Equal((chain.Id, null), (after.Fitted.Id, after.Fitted.Kinds));
        Setup belt = (await _store.Setups.ListAsync(id)).Single(s => s.Id == trial.Id);
        Assert.Equal(DriveElement.ToothedBelt, Assert.Single(belt.Kinds!).DriveElement);
    }

    [Fact]
    public async Task Undoing_a_fitting_puts_machine_and_setups_back()
    {
        (FittedMachine machine, Setup trial) = await TriedAsync();
        string before = await EveryOrder.EverythingAsync(_store);
        await _store.Setups.FitAsync("Ann", trial.Id, trial.Version, default);
        Assert.NotEqual(before, await EveryOrder.EverythingAsync(_store));
        await _store.UndoLastAsync();
        Assert.Equal(before, await EveryOrder.EverythingAsync(_store));
        Assert.Equal(DriveElement.Chain, await OnAsync(machine.Machine.Id));
    }

    /// <summary>
    /// Pulleys of a broken diameter go on no chain; wheels that go on what is on as well, or are the very ones, do not say which
    /// kind was planned: its trial does.
    /// </summary>
    [Theory]
    [InlineData(100, 212.5)]
    [InlineData(14, 42)]
    public async Task A_plan_for_a_kind_that_is_tried_fits_that_kind(double front, double rear)
    {
        long id = (await _store.AddMachineAsync()).Machine.Id;
        LoopKind belt = new(
            "final",
            DriveElement.VBelt,
            "A",
            BeltArrangement.Open,
            0.015,
            null,
            null,
            null,
            null,
            false
        );
        LoopChoice wanted = new("final", front, rear, null);
        JobSheet job = (
            await _store.Jobs.OpenAsync("Ann", id, new(2026, 12, 1), new(JobReason.Visit, null, null, null), default)
        )!;
        Setup trial = (
            await _store.Setups.AddTrialAsync("Ann", id, new("V-belt", [wanted], null, null), default, [belt])
        )!;
        // Another trial has the same wheels, of the kind that is on.
        if (front < 20)
            await _store.Setups.AddTrialAsync("Ann", id, new("Chain", [wanted], null, null), default);
        PlanMade plan = new(ChangeKind.WholeSet, "final", ProcedureFamily.FinalChain, null, TrialId: trial.Id);
        await Assert.ThrowsAsync<InvalidInputException>(() =>
            _store.Jobs.AppendAsync("Ann", job.Id, [new("early", plan with { TrialId = 999 })], default)
        );
        await _store.Jobs.AppendAsync("Ann", job.Id, [new("plan", plan)], default);
        int key = 0;
        await PlannedWork.WorkAsync(_store, job, () => $"step {key++}");
        IReadOnlyList<Setup> setups = (await _store.Setups.PutPlanOnAsync("Ann", job.Id, default))!;
        Assert.Equal(trial.Id, setups.Single(s => s.Status == SetupStatus.AsFitted).Id);
        Assert.Equal(DriveElement.VBelt, await OnAsync(id));
    }

    [Fact]
    public async Task A_plan_of_a_trial_goes_with_it_into_a_copy_and_fits_nothing_else_once_it_is_given_up()
    {
        (FittedMachine machine, Setup trial) = await TriedAsync();
        JobOpened opened = new(JobReason.Visit, null, null, null);
        JobSheet job = (await _store.Jobs.OpenAsync("Ann", machine.Machine.Id, new(2026, 12, 1), opened, default))!;
        PlanMade plan = new(ChangeKind.WholeSet, "final", ProcedureFamily.FinalChain, null, TrialId: trial.Id);
        await _store.Jobs.AppendAsync("Ann", job.Id, [new("plan", plan)], default);
        int key = 0;
        await PlannedWork.WorkAsync(_store, job, () => $"step {key++}");

        MachineFile file = (await _store.Files.WriteAsync(machine.Machine.Id))!;
        long copy = (await _store.Files.ReadAsync("Ann", file, default)).Machine.Id;
        JobSheet copied = (await _store.Jobs.ListSheetsAsync(copy)).Single();
        long itsTrial = (await _store.Setups.ListAsync(copy)).Single(s => s.Status == SetupStatus.Trial).Id;
        Assert.NotEqual(trial.Id, itsTrial);
        Assert.Equal(itsTrial, (await _store.Jobs.FindPlanAsync(copied.Id))!.Plan.TrialId);

        await _store.Setups.ChangeAsync("Ann", trial with { Status = SetupStatus.Discarded }, default);
        InvalidInputException gone = await Assert.ThrowsAsync<InvalidInputException>(() =>
            _store.Setups.PutPlanOnAsync("Ann", job.Id, default)
        );
        Assert.Equal("trial_gone", gone.Issues[0].Code);
        await _store.UndoLastAsync();
        await _store.Setups.PutPlanOnAsync("Ann", job.Id, default);
        Assert.Equal(DriveElement.ToothedBelt, await OnAsync(machine.Machine.Id));
        await _store.Setups.PutPlanOnAsync("Ann", copied.Id, default);
        Assert.Equal(DriveElement.ToothedBelt, await OnAsync(copy));
    }

    [Fact]
    public async Task What_is_changed_while_it_is_tried_is_stored_with_the_trial()
    {
        (FittedMachine machine, Setup trial) = await TriedAsync();
        Machine seen = SetupKinds.On(machine.Machine, trial.Kinds);
        Machine changed = seen with
        {
            Note = "noisy",
            Loads = new(
                seen.Loads?.Sources ?? [],
                [.. (seen.Loads?.Strengths ?? []).Select(s => s.LoopKey == "final" ? s with { WidthMm = 33 } : s)]
            ),
        };
        FittedMachine stored = await _store.Machines.ChangeAsync(
            "Ann",
            new(changed, machine.Fitted.Loops),
            machine.Fitted.Version,
            default,
            MachineChange.Correction,
            new(trial.Id, trial.Version)
        );
        Assert.Equal("noisy", stored.Machine.Note);
        Assert.Equal(DriveElement.Chain, await OnAsync(stored.Machine.Id));
        Assert.DoesNotContain(stored.Machine.Loads?.Strengths ?? [], s => s.WidthMm == 33);
        Setup tried = (await _store.Setups.ListAsync(stored.Machine.Id)).Single(s => s.Id == trial.Id);
        Assert.Equal(33, tried.Kinds![0].Strength!.WidthMm);
    }

    [Fact]
    public async Task What_is_sent_of_a_trial_that_changed_or_is_on_meanwhile_is_never_stored_as_what_is_on()
    {
        (FittedMachine machine, Setup trial) = await TriedAsync();
        Machine seen = SetupKinds.On(machine.Machine, trial.Kinds);
        Task<FittedMachine> SendAsync(long setup, int version) =>
            _store.Machines.ChangeAsync(
                "Ann",
                new(seen with { Note = "belt" }, machine.Fitted.Loops),
                machine.Fitted.Version,
                default,
                MachineChange.Correction,
                new(setup, version)
            );
        string before = await EveryOrder.EverythingAsync(_store);
        await Assert.ThrowsAsync<ChangedMeanwhileException>(() => SendAsync(999, 1));
        await Assert.ThrowsAsync<ChangedMeanwhileException>(() => SendAsync(machine.Fitted.Id, 1));
        await Assert.ThrowsAsync<ChangedMeanwhileException>(() => SendAsync(trial.Id, trial.Version + 1));
        (FittedMachine _, Setup elsewhere) = await TriedAsync();
        await Assert.ThrowsAsync<ChangedMeanwhileException>(() => SendAsync(elsewhere.Id, elsewhere.Version));
        await _store.Machines.RemoveAsync("Ann", elsewhere.MachineId, 1, default);
        Assert.Equal(before, await EveryOrder.EverythingAsync(_store));
        Assert.Equal(DriveElement.Chain, await OnAsync(machine.Machine.Id));
    }

    [Fact]
    public async Task A_trial_beside_it_has_the_same_kinds_and_both_go_into_the_file_and_a_copy()
    {
        (FittedMachine machine, Setup trial) = await TriedAsync();
        long id = machine.Machine.Id;
        LoopChoice wheels = trial.Loops.Single(l => l.LoopKey == "final");
        NewTrial more = new("D", [wheels with { FrontSize = wheels.FrontSize + 1 }], null, null, trial.Id);
        Setup beside = (await _store.Setups.AddTrialAsync("Ann", id, more, default))!;
        Assert.Equivalent(trial.Kinds, beside.Kinds, strict: true);
        FittedMachine copy = (await _store.Machines.CopyAsync("Ann", id, "Copy", default))!;
        Assert.Equal(2, (await _store.Setups.ListAsync(copy.Machine.Id)).Count(s => s.Kinds is { Count: 1 }));
        FittedMachine read = await _store.Files.ReadAsync("Ann", (await _store.Files.WriteAsync(id))!, default);
        IEnumerable<Setup> kinds = (await _store.Setups.ListAsync(read.Machine.Id)).Where(s => s.Kinds is not null);
        Assert.Equal(2, kinds.Count());
        Assert.All(kinds, s => Assert.Equivalent(trial.Kinds, s.Kinds, strict: true));
    }

    [Fact]
    public async Task A_weighing_is_stored_with_the_machine_and_undone()
    {
        FittedMachine machine = await _store.AddMachineAsync();
        string before = await EveryOrder.EverythingAsync(_store);
        LoopWeighing weighing = LoopWeighing.Empty("final", null) with { Wishes = [new(DriveWish.Quiet, 3)] };
        await _store.Machines.ChangeAsync(
            "Ann",
            new(machine.Machine with { Weighings = [weighing] }, machine.Fitted.Loops),
            machine.Fitted.Version,
            default
        );
        Assert.Equal(3, (await _store.Machines.FindAsync(machine.Machine.Id))!.Machine.Weighings![0].Wishes[0].Weight);
        await _store.UndoLastAsync();
        Assert.Equal(before, await EveryOrder.EverythingAsync(_store));
    }
}
