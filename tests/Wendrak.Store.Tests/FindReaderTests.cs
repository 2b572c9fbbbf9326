using Wendrak.Core.Records;
using Wendrak.Store.Machines;

namespace Wendrak.Store.Tests;

public sealed class FindReaderTests : IDisposable
{
    private readonly TempStore _store = new();
    private readonly FindReader _names;

    public FindReaderTests() => _names = new(_store.Database, _store.Jobs);

    public void Dispose() => _store.Dispose();

    [Fact]
    public async Task Everything_is_there_by_its_name_and_what_was_changed_last_comes_first()
    {
        long first = (await _store.AddMachineAsync("First")).Machine.Id;
        long second = (await _store.AddMachineAsync("Second")).Machine.Id;
        Assert.Equal(["Second", "First"], (await _names.ReadAsync()).Machines.Select(m => m.Name));

        Setup trial = await _store.AddTrialAsync(first, "Long legs", 16, 45);
        Aim aim = (await _store.Aims.AddAsync(TempStore.Who, TempStore.AimFor(first), default))!;
        FindIndex found = await _names.ReadAsync();
        Assert.Equal(["First", "Second"], found.Machines.Select(m => m.Name));
        Assert.Equal(new(trial.Id, first, "Long legs"), Assert.Single(found.Trials));
        Assert.Equal(new(aim.Id, first, aim.Name), Assert.Single(found.Aims));
        Assert.Equal("final", Assert.Single(found.Machines[0].Loops).Key);
        Assert.Empty(found.Jobs);

        // What happens at a job counts as a change of its machine.
        JobSheet job = (
            await _store.Jobs.OpenAsync(
                TempStore.Who,
                second,
                new(2026, 1, 2),
                new(JobReason.Visit, null, null, null),
                default
            )
        )!;
        found = await _names.ReadAsync();
        Assert.Equal(["Second", "First"], found.Machines.Select(m => m.Name));
        Assert.Equal(new(job.Id, second, JobReason.Visit, null), Assert.Single(found.Jobs));
        Assert.All(found.Machines, m => Assert.False(m.IsRetired));
    }

    [Fact]
    public async Task In_an_empty_yard_there_is_nothing_to_find()
    {
        FindIndex found = await _names.ReadAsync();
        Assert.Empty(found.Machines);
        Assert.Empty(found.Trials);
        Assert.Empty(found.Aims);
        Assert.Empty(found.Jobs);
    }

    [Fact]
    public async Task What_is_fitted_or_removed_is_no_trial_any_more()
    {
        long id = (await _store.AddMachineAsync()).Machine.Id;
        Setup trial = await _store.AddTrialAsync(id, "Long legs", 16, 45);
        await _store.Setups.FitAsync(TempStore.Who, trial.Id, trial.Version, default);
        Assert.Empty((await _names.ReadAsync()).Trials);
    }
}
