using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Store.Ledger;

namespace Wendrak.Store.Tests;

/// <summary>What a plan puts on is told to the machine as one change, and taken back as one.</summary>
public sealed class PlanOnMachineTests : IDisposable
{
    private static readonly DateOnly Today = new(2026, 11, 30);
    private readonly TempStore _store = new();
    private int _key;

    public void Dispose() => _store.Dispose();

    private string Key() => $"key {_key++}";

    private async Task<JobSheet> OpenAsync()
    {
        long id = (await _store.AddMachineAsync()).Machine.Id;
        return (await _store.Jobs.OpenAsync("Ann", id, Today, new(JobReason.Visit, null, null, null), default))!;
    }

    private async Task<(JobSheet Job, LoopChoice Wanted)> WithPartsOnAsync()
    {
        JobSheet job = await OpenAsync();
        LoopChoice wanted = await PlannedWork.PutPartsOnAsync(_store, job, Key);
        return (await SheetAsync(job), wanted);
    }

    private async Task<Setup> FittedAsync(long machineId) =>
        (await _store.Setups.ListAsync(machineId)).Single(s => s.Status == SetupStatus.AsFitted);

    private async Task<JobSheet> SheetAsync(JobSheet job) =>
        (await _store.Jobs.ListSheetsAsync(job.MachineId)).Single(s => s.Id == job.Id);

    private async Task UndoNewestAsync()
    {
        Change newest = (await _store.History.ListAsync(null, null, 1))[0];
        await _store.Undoing.UndoAsync("Ben", newest.Id, default);
    }

    [Fact]
    public async Task One_change_makes_the_trial_and_fits_it_and_one_undo_takes_both_back()
    {
        (JobSheet job, LoopChoice wanted) = await WithPartsOnAsync();
        string before = await EveryOrder.EverythingAsync(_store);
        Assert.Contains(SignedDespite.NotOnMachine, job.Despite);

        await _store.Setups.PutPlanOnAsync("Ann", job.Id, default);
        Setup on = await FittedAsync(job.MachineId);
        Assert.Contains(wanted, on.Loops);
        Assert.Equal(FormattableString.Invariant($"{wanted.FrontSize}/{wanted.RearSize}"), on.Name);
        job = await SheetAsync(job);
        Assert.Equal(on.Name, Assert.Single(job.Fitted).Name);
        Assert.DoesNotContain(SignedDespite.NotOnMachine, job.Despite);
        // What hangs on other wheels is asked for as after any fitting: the loop wants a reading.
        Assert.Contains(job.BlockedBy, b => b.Kind == SignatureBlock.NoLastReading);
        string after = await EveryOrder.EverythingAsync(_store);

        await UndoNewestAsync();
        Assert.Equal(before, await EveryOrder.EverythingAsync(_store));
        Assert.Contains(SignedDespite.NotOnMachine, (await SheetAsync(job)).Despite);
        await UndoNewestAsync();
        Assert.Equal(after, await EveryOrder.EverythingAsync(_store));
    }

    [Fact]
    public async Task A_trial_with_those_wheels_is_the_one_that_goes_on_and_one_with_another_road_wheel_is_not()
    {
        (JobSheet job, LoopChoice wanted) = await WithPartsOnAsync();
        Setup trial = (
            await _store.Setups.AddTrialAsync("Ann", job.MachineId, new("Tall", [wanted], null, null), default)
        )!;
        await _store.Setups.PutPlanOnAsync("Ann", job.Id, default);
        Assert.Equal(
            (trial.Id, "Tall"),
            ((await FittedAsync(job.MachineId)).Id, (await FittedAsync(job.MachineId)).Name)
        );

        Setup other = trial with { RoadWheels = [new("wheel", new RoadWheel(null, 1_900))] };
        Assert.True(trial.HasSameWheels([.. trial.Loops.Reverse()], trial.RoadWheels));
        Assert.False(other.HasSameWheels(trial.Loops, trial.RoadWheels));
        Assert.False(trial.HasSameWheels([wanted with { Links = 1 }], trial.RoadWheels));
    }

    [Fact]
    public async Task Nothing_is_put_on_before_its_parts_are_nor_twice()
    {
        JobSheet job = await OpenAsync();
        await PlannedWork.PlanAsync(_store, job, Key);
        string before = await EveryOrder.EverythingAsync(_store);
        Assert.DoesNotContain(SignedDespite.NotOnMachine, (await SheetAsync(job)).Despite);
        async Task RefusedAsync(JobSheet at) =>
            Assert.Equal(
                "nothing_to_fit",
                (
                    await Assert.ThrowsAsync<InvalidInputException>(() =>
                        _store.Setups.PutPlanOnAsync("Ann", at.Id, default)
                    )
                )
                    .Issues[0]
                    .Code
            );
        await RefusedAsync(job);
        Assert.Equal(before, await EveryOrder.EverythingAsync(_store));
        (JobSheet on, _) = await WithPartsOnAsync();
        await _store.Setups.PutPlanOnAsync("Ann", on.Id, default);
        await RefusedAsync(on);
        Assert.Null(await _store.Setups.PutPlanOnAsync("Ann", 999, default));
    }

    [Fact]
    public async Task It_is_written_down_at_a_job_that_waits_too()
    {
        (JobSheet job, _) = await WithPartsOnAsync();
        await _store.Jobs.AppendAsync("Ann", job.Id, [new(Key(), new WaitBegun("a tab washer"))], default);
        await _store.Setups.PutPlanOnAsync("Ann", job.Id, default);
        job = await SheetAsync(job);
        Assert.Single(job.Fitted);
        Assert.DoesNotContain(SignedDespite.NotOnMachine, job.Despite);
    }

    [Fact]
    public void A_trial_that_nobody_named_is_called_by_its_wheels_and_a_number_where_that_is_taken()
    {
        LoopChoice wheels = new("final", 15, 42.5, 112);
        Setup Named(string name) => new(1, 1, 1, name, SetupStatus.Trial, [wheels], [], Today, null, null, null);
        Assert.Equal("15/42.5", MachineRules.TrialName(wheels, [Named("Trial A")]));
        Assert.Equal("15/42.5 (2)", MachineRules.TrialName(wheels, [Named("15/42.5")]));
        Assert.Equal("15/42.5 (3)", MachineRules.TrialName(wheels, [Named("15/42.5 (2)"), Named("15/42.5")]));
    }
}
