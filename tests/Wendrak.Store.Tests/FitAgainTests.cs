using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Tension;
using Wendrak.Store.Bodies;
using Wendrak.Store.Demo;
using Wendrak.Store.Ledger;
using Wendrak.Store.Machines;
using Wendrak.Store.Records;

namespace Wendrak.Store.Tests;

/// <summary>What worked goes back on as it stood then, and the job that does it says what is to be reached.</summary>
public sealed class FitAgainTests : IDisposable
{
    private static readonly DateOnly Today = DateOnly.FromDateTime(DateTime.UtcNow);
    private readonly TempStore _store = new();
    private int _key;

    public void Dispose() => _store.Dispose();

    /// <summary>The motorcycle of the demo: laid out, and with a trial.</summary>
    private async Task<FittedMachine> CurlewAsync()
    {
        await DemoData.FillAsync(_store.Database, TimeProvider.System);
        return (await _store.Machines.ListAsync()).Single(m => m.Machine.Name == "Curlew");
    }

    private async Task<Setup> SetupAsync(long machine, string name) =>
        (await _store.Setups.ListAsync(machine)).Single(s => s.Name == name);

    private async Task HappensAsync(JobSheet job, params JobEvent[] events) =>
        await _store.Jobs.AppendAsync(
            "Ann",
            job.Id,
            [.. events.Select(e => new SentEvent($"key {_key++}", e))],
            default
        );

    private async Task<JobSheet> OpenAsync(long machine)
    {
        JobSheet waiting = Assert.Single(await _store.Jobs.ListOpenAsync(), j => j.MachineId == machine);
        await HappensAsync(waiting, new WaitEnded());
        return waiting;
    }

    private Task SetAsync(JobSheet job, params double[] play) =>
        HappensAsync(
            job,
            [
                new VisitBegun("final", SetGoal.Both),
                new RoundNoted("final", new(0, 0, LockState.Torqued, [])),
                .. play.Select((p, i) => new ReadingTaken("final", new(ReadingMethod.FreePlay, p, i))),
                new RoundKept("final", null),
                new VisitClosed("final", Today, 95, Enum.GetValues<ClosingStep>(), null, null, null, "so"),
            ]
        );

    private static string State(Machine machine) =>
        EarlierJson.ToJson(machine.Layouts) + EarlierJson.ToJson(machine.Settings) + EarlierJson.ToJson(machine.Shafts);

    /// <summary>A trial is fitted and set at a job, another one goes on, and things are moved for that.</summary>
    private async Task<(FittedMachine Then, Setup Trial)> WorkedAsync()
    {
        FittedMachine curlew = await CurlewAsync();
        long id = curlew.Machine.Id;
        JobSheet job = await OpenAsync(id);
        Setup trial = await SetupAsync(id, "Trial B");
        await _store.Setups.FitAsync("Ann", trial.Id, trial.Version, default);
        await SetAsync(job, 35, 38, 36, 41);
        FittedMachine then = (await _store.Machines.FindAsync(id))!;
        Setup other = await SetupAsync(id, "Trial C");
        await _store.Setups.FitAsync("Ben", other.Id, other.Version, default);
        FittedMachine now = (await _store.Machines.FindAsync(id))!;
        Machine moved = now.Machine with
        {
            Settings = [.. (now.Machine.Settings ?? []).Select(s => s with { FinalTorqueNm = 77 })],
            Layouts =
            [
                .. (now.Machine.Layouts ?? []).Select(l => l with { Front = l.Front with { XMm = l.Front.XMm + 1 } }),
            ],
        };
        await _store.Machines.ChangeAsync("Ben", new(moved, now.Fitted.Loops), now.Fitted.Version, default);
        return (then, await SetupAsync(id, "Trial B"));
    }

    [Fact]
    public async Task It_goes_on_as_it_stood_then_and_says_what_is_to_be_reached()
    {
        (FittedMachine then, Setup trial) = await WorkedAsync();
        long id = then.Machine.Id;
        Assert.NotEqual(State(then.Machine), State((await _store.Machines.FindAsync(id))!.Machine));
        JobSheet job = (await _store.Setups.FitAgainAsync("Ann", trial.Id, trial.Version, default))!;
        FittedMachine now = (await _store.Machines.FindAsync(id))!;
        Assert.Equal(State(then.Machine), State(now.Machine));
        Assert.Equal((trial.Id, "Trial B"), (now.Fitted.Id, now.Fitted.Name));
        Assert.Equal(then.Fitted.Loops, now.Fitted.Loops);
        FittedAtJob fitted = job.Fitted[^1];
        Assert.Equal((trial.Id, "Trial B", "Ann"), (fitted.SetupId, fitted.Name, fitted.Who));
        Assert.True(fitted.Again!.IsPlaceKnown);
        ReadingToReach reach = Assert.Single(fitted.Again.ToReach);
        Assert.Equal(("final", ReadingMethod.FreePlay, 35d, 41d), (reach.LoopKey, reach.Method, reach.Low, reach.High));
        // What was moved for it asks to be looked at again.
        Assert.Contains(now.Fitted.FollowUps!, t => t.Task == FollowUpKind.Reading);
        Assert.Equal(SetupStatus.Former, (await SetupAsync(id, "Trial C")).Status);
    }

    [Fact]
    public async Task It_belongs_to_the_job_that_takes_it_and_else_opens_one()
    {
        (FittedMachine then, Setup trial) = await WorkedAsync();
        JobSheet open = Assert.Single(
            await _store.Jobs.ListOpenAsync(),
            j => j.MachineId == then.Machine.Id && j.State == JobState.GoesOn
        );
        // What went on after its loop was closed is no part of it: it could not be read there any more.
        Assert.Equal(["Trial B"], open.Fitted.Select(f => f.Name));
        Assert.DoesNotContain(open.BlockedBy, b => b.Kind == SignatureBlock.NoLastReading);
        JobSheet fresh = (await _store.Setups.FitAgainAsync("Ben", trial.Id, trial.Version, default))!;
        Assert.NotEqual(open.Id, fresh.Id);
        Assert.Equal(
            (JobReason.AnotherGearing, "Trial B again", JobState.GoesOn, "Ben"),
            (fresh.Reason, fresh.About, fresh.State, fresh.Who)
        );
        Assert.Equal([new(SignatureBlock.NoLastReading, "final")], fresh.BlockedBy);
        // Its loop is not closed there: another one goes on at the same job.
        Setup former = await SetupAsync(then.Machine.Id, "Trial C");
        JobSheet same = (await _store.Setups.FitAgainAsync("Ben", former.Id, former.Version, default))!;
        Assert.Equal(fresh.Id, same.Id);
        Assert.Empty(same.Fitted[1].Again!.ToReach);
        await SetAsync(same, 35, 36);
        Assert.Empty((await _store.Jobs.ListSheetsAsync(then.Machine.Id)).Single(j => j.Id == same.Id).BlockedBy);
    }

    [Fact]
    public async Task Taken_back_setups_places_and_job_are_as_before_and_can_come_again()
    {
        (FittedMachine then, Setup trial) = await WorkedAsync();
        FittedMachine before = (await _store.Machines.FindAsync(then.Machine.Id))!;
        int jobs = (await _store.Jobs.ListSheetsAsync(then.Machine.Id)).Count;
        await _store.Setups.FitAgainAsync("Ann", trial.Id, trial.Version, default);
        await _store.UndoLastAsync();
        FittedMachine back = (await _store.Machines.FindAsync(then.Machine.Id))!;
        Assert.Equal(State(before.Machine), State(back.Machine));
        Assert.Equal("Trial C", back.Fitted.Name);
        Assert.Equal(jobs, (await _store.Jobs.ListSheetsAsync(then.Machine.Id)).Count);
        await _store.UndoLastAsync();
        Assert.Equal("Trial B", (await _store.Machines.FindAsync(then.Machine.Id))!.Fitted.Name);
        IReadOnlyList<JobSheet> again = await _store.Jobs.ListSheetsAsync(then.Machine.Id);
        Assert.Equal((jobs + 1, "Trial B"), (again.Count, again[0].Fitted[0].Name));
    }

    [Fact]
    public async Task What_was_never_on_or_fits_no_more_is_refused()
    {
        (FittedMachine then, Setup trial) = await WorkedAsync();
        long id = then.Machine.Id;
        Setup on = await SetupAsync(id, "Trial C");
        InvalidInputException refused = await Assert.ThrowsAsync<InvalidInputException>(() =>
            _store.Setups.FitAgainAsync("Ann", on.Id, on.Version, default)
        );
        Assert.Equal("Version", refused.Issues[0].Field);
        await Assert.ThrowsAsync<ChangedMeanwhileException>(() =>
            _store.Setups.FitAgainAsync("Ann", trial.Id, trial.Version - 1, default)
        );
        Assert.Null(await _store.Setups.FitAgainAsync("Ann", 9_999, 1, default));
        // Nobody but the fitting itself writes it down.
        JobSheet job = (await _store.Jobs.ListSheetsAsync(id))[0];
        await Assert.ThrowsAsync<InvalidInputException>(() => HappensAsync(job, new SetupFitted(1, "x", null)));
    }

    [Fact]
    public async Task A_file_keeps_how_it_stood_and_which_setup_it_was()
    {
        (FittedMachine then, Setup trial) = await WorkedAsync();
        await _store.Setups.FitAgainAsync("Ann", trial.Id, trial.Version, default);
        MachineFile file = (await _store.Files.WriteAsync(then.Machine.Id))!;
        FittedMachine read = await _store.Files.ReadAsync("Ann", file, default);
        Setup copy = await SetupAsync(read.Machine.Id, "Trial C");
        Assert.NotNull(copy.AsLeft);
        JobSheet job = (await _store.Jobs.ListSheetsAsync(read.Machine.Id)).First(j => j.Fitted.Count > 0);
        Assert.Equal(
            ["Trial B"],
            await Task.WhenAll(
                job.Fitted.Select(async f =>
                    (await _store.Setups.ListAsync(read.Machine.Id)).Single(s => s.Id == f.SetupId).Name
                )
            )
        );
        Assert.NotNull(await _store.Setups.FitAgainAsync("Ann", copy.Id, copy.Version, default));
    }
}
