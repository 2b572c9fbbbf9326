using Wendrak.Core.Evaluation;
using Wendrak.Core.Faults;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Vocabulary;
using Wendrak.Store.Ledger;
using Wendrak.Store.Machines;
using Wendrak.Store.Records;

namespace Wendrak.Store.Tests;

/// <summary>A search for a fault is stored at a job; what hangs on an answer comes and goes with it.</summary>
public sealed class FaultStoreTests : IDisposable
{
    private static readonly DateOnly Today = new(2026, 12, 1);
    private static readonly FaultDescribed Knocks = new("final", ["knocksOnce"], ["rain"]);
    private static readonly FaultTested Clip = new("final", "lookChain", "clip");
    private readonly TempStore _store = new();
    private int _key;

    public void Dispose() => _store.Dispose();

    private async Task<long> MachineAsync() => (await _store.AddMachineAsync()).Machine.Id;

    private async Task<JobSheet> SaidAsync(long machine, JobEvent e) =>
        (await _store.Jobs.SearchAsync("Ann", machine, "final", Today, new($"key {_key++}", e), default))!;

    private async Task UndoAsync(long entry) => await _store.Undoing.UndoAsync("Ben", entry, default);

    private async Task<string[]> StopsAsync(long machine) =>
        [.. (await _store.Machines.ListAsync()).Single(m => m.Machine.Id == machine).Stops.Select(s => $"{s.What}")];

    [Fact]
    public async Task The_first_word_opens_a_job_about_something_wrong_and_the_next_goes_to_it()
    {
        long machine = await MachineAsync();
        JobSheet first = await SaidAsync(machine, Knocks);
        Assert.Equal((JobReason.SomethingWrong, FaultKind.Chain), (first.Reason, first.Faults[0].Kind));
        JobSheet second = await SaidAsync(machine, Knocks with { Signs = ["clicks"] });
        Assert.Equal((first.Id, "clicks"), (second.Id, Assert.Single(second.Faults).Signs[0]));
        Assert.Null(await _store.Jobs.SearchAsync("Ann", 99, "final", Today, new("other", Knocks), default));
    }

    [Fact]
    public async Task Where_a_job_goes_on_it_is_written_down_there_and_one_about_something_wrong_goes_first()
    {
        long machine = await MachineAsync();
        JobSheet wrong = (
            await _store.Jobs.OpenAsync("Ann", machine, Today, new(JobReason.SomethingWrong, null, null, null), default)
        )!;
        await _store.Jobs.OpenAsync("Ann", machine, Today, new(JobReason.Visit, null, null, null), default);
        Assert.Equal(wrong.Id, (await SaidAsync(machine, Knocks)).Id);
    }

    [Fact]
    public async Task Nothing_is_opened_for_a_word_that_is_refused()
    {
        long machine = await MachineAsync();
        string before = await EveryOrder.EverythingAsync(_store);
        InvalidInputException refused = await Assert.ThrowsAsync<InvalidInputException>(() => SaidAsync(machine, Clip));
        Assert.Equal("Event.LoopKey", refused.Issues[0].Field);
        refused = await Assert.ThrowsAsync<InvalidInputException>(() =>
            SaidAsync(machine, Knocks with { Control = new(99, []) })
        );
        Assert.Equal("Event.Control.MachineId", refused.Issues[0].Field);
        Assert.Equal(before, await EveryOrder.EverythingAsync(_store));
        // What came after is not taken for what was refused.
        Assert.Equal("knocksOnce", (await SaidAsync(machine, Knocks)).Faults[0].Signs[0]);
        refused = await Assert.ThrowsAsync<InvalidInputException>(() =>
            SaidAsync(machine, Knocks with { Control = new(machine, []) })
        );
        Assert.Equal("Event.Control.MachineId", refused.Issues[0].Field);
    }

    [Fact]
    public async Task An_answer_that_stops_it_stands_on_the_yard_and_goes_with_the_answer()
    {
        long machine = await MachineAsync();
        await SaidAsync(machine, Knocks);
        JobSheet job = await SaidAsync(machine, Clip);
        Assert.Equal(["The clip of the joint is gone or bent"], await StopsAsync(machine));
        await UndoAsync(job.Faults[0].Answers[0].Entry);
        Assert.Empty(await StopsAsync(machine));
        Change undoing = (await _store.History.ListAsync(null, null, 1))[0];
        await UndoAsync(undoing.Id);
        Assert.Equal(["The clip of the joint is gone or bent"], await StopsAsync(machine));
    }

    [Fact]
    public async Task What_others_rest_on_is_not_taken_back_before_them()
    {
        long machine = await MachineAsync();
        JobSheet said = await SaidAsync(machine, Knocks);
        JobSheet job = await SaidAsync(machine, Clip);
        long answer = job.Faults[0].Answers[0].Entry;
        await Assert.ThrowsAsync<CannotUndoException>(() => UndoAsync(said.Faults[0].Entry));
        job = await SaidAsync(machine, new FaultFound("final", ["clipLost"]));
        await Assert.ThrowsAsync<CannotUndoException>(() => UndoAsync(answer));
        FindingCured mended = new("The clip of the joint is gone or bent", "a new one");
        job = (await _store.Jobs.AppendAsync("Ann", job.Id, [new("cure", mended)], default))!.Job;
        Assert.Empty(await StopsAsync(machine));
        job = await SaidAsync(machine, new CureJudged("final", true));
        Assert.Equal([new FaultCount("clipLost", 1, 1)], await _store.Jobs.CountFaultsAsync());
        await Assert.ThrowsAsync<CannotUndoException>(() => UndoAsync(job.Faults[0].Found!.Entry));
        // From the end: whether it is gone, the cure, what was found, the answer.
        for (int i = 0; i < 4; i++)
        {
            Change newest = (await _store.History.ListAsync(machine, null, 50)).First(c =>
                c.UndoneBy is null && c.Undoes is null
            );
            await UndoAsync(newest.Id);
        }
        Assert.Empty(await _store.Jobs.CountFaultsAsync());
        Assert.Empty((await _store.Jobs.ListSheetsAsync(machine))[0].Faults[0].Answers);
    }

    [Fact]
    public async Task A_machine_that_stood_beside_it_may_leave_the_yard()
    {
        long machine = await MachineAsync();
        Machine other = (await _store.AddMachineAsync()).Machine;
        FaultDescribed beside = Knocks with { Control = new(other.Id, ["dust"]) };
        await SaidAsync(machine, beside);
        await _store.Machines.RemoveAsync("Ann", other.Id, other.Version, default);
        JobSheet job = await SaidAsync(machine, beside with { Words = "worse uphill" });
        Assert.Equal("worse uphill", job.Faults[0].Words);
    }

    [Fact]
    public async Task Whether_it_is_gone_is_asked_until_it_is_said_and_counts_also_after_the_signature()
    {
        long machine = await MachineAsync();
        await SaidAsync(machine, Knocks);
        await SaidAsync(machine, Clip);
        JobSheet job = await SaidAsync(machine, new FaultFound("final", ["clipLost"]));
        FindingCured mended = new("The clip of the joint is gone or bent", "a new one");
        JobSigned signed = new(new(2026, 12, 1), null, null, null, null);
        job = (await _store.Jobs.AppendAsync("Ann", job.Id, [new("cure", mended), new("sign", signed)], default))!.Job;
        Assert.Equal(JobState.Ended, job.State);
        Assert.True(FaultGoingOn.Of(Assert.Single(await _store.Jobs.ListSearchedAsync())).Single().AsksIfGone);
        CureJudged gone = new("final", true);
        await _store.Jobs.AppendAsync("Ann", job.Id, [new("gone", gone)], default);
        Assert.Equal([new FaultCount("clipLost", 1, 1)], await _store.Jobs.CountFaultsAsync());
        Assert.Empty((await _store.Jobs.ListSearchedAsync()).SelectMany(FaultGoingOn.Of));
        Change newest = (await _store.History.ListAsync(machine, null, 1))[0];
        await UndoAsync(newest.Id);
        Assert.Empty(await _store.Jobs.CountFaultsAsync());
        // And again.
        await UndoAsync((await _store.History.ListAsync(machine, null, 1))[0].Id);
        Assert.Equal([new FaultCount("clipLost", 1, 1)], await _store.Jobs.CountFaultsAsync());
        Assert.Equal(JobState.Ended, (await _store.Jobs.ListSheetsAsync(machine))[0].State);
    }

    [Fact]
    public async Task A_search_goes_with_the_machine_in_its_file_but_for_the_machine_beside_it()
    {
        long machine = await MachineAsync();
        long other = (await _store.AddMachineAsync()).Machine.Id;
        await SaidAsync(machine, Knocks with { Control = new(other, ["dust"]), Words = "uphill" });
        await SaidAsync(machine, Clip);
        MachineFile file = (await _store.Files.WriteAsync(machine))!;
        long read = (await _store.Files.ReadAsync("Ann", file, default)).Machine.Id;
        FaultAtJob fault = (await _store.Jobs.ListSheetsAsync(read))[0].Faults[0];
        Assert.Equal(("uphill", null, "dust"), (fault.Words, fault.Control!.MachineId, fault.Control.Circumstances[0]));
        Assert.Equal(["The clip of the joint is gone or bent"], await StopsAsync(read));
    }
}
