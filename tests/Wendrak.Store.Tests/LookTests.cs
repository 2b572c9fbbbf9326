using Wendrak.Core.Evaluation;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wear;
using Wendrak.Store.Ledger;
using Wendrak.Store.Machines;

namespace Wendrak.Store.Tests;

/// <summary>What was looked at and what happened is stored at a job; what hangs on it comes and goes with it.</summary>
public sealed class LookTests : IDisposable
{
    private static readonly DateOnly Today = new(2026, 11, 30);
    private static readonly UseEventNoted Knock = new(UseEvent.Knock, "kerb");
    private readonly TempStore _store = new();
    private int _key;

    public void Dispose() => _store.Dispose();

    private async Task<long> MachineAsync() => (await _store.AddMachineAsync()).Machine.Id;

    private Task<JobSheet?> KnockAsync(long machine) =>
        _store.Jobs.HappenedAsync("Ann", machine, Today, Knock, default);

    private async Task<JobSheet> HappensAsync(JobSheet job, JobEvent e) =>
        (await _store.Jobs.AppendAsync("Ann", job.Id, [new($"key {_key++}", e)], default))!.Job;

    private async Task UndoNewestAsync()
    {
        Change newest = (await _store.History.ListAsync(null, null, 1))[0];
        await _store.Undoing.UndoAsync("Ben", newest.Id, default);
    }

    private async Task<DueItem[]> DueAsync(long machine, DueKind kind)
    {
        FittedMachine m = (await _store.Machines.FindAsync(machine))!;
        return [.. DueList.Of(m.Machine, m.Fitted, m.Jobs, m.Odometer, new([], [])).Items.Where(i => i.Kind == kind)];
    }

    [Fact]
    public async Task An_event_opens_a_job_and_one_undo_takes_all_of_it_back()
    {
        long machine = await MachineAsync();
        string before = await EveryOrder.EverythingAsync(_store);
        JobSheet job = (await KnockAsync(machine))!;
        Assert.Equal((UseEvent.Knock, "kerb"), (job.UseEvents[0].Event, job.UseEvents[0].Words));
        Assert.Single(await DueAsync(machine, DueKind.Event));
        string after = await EveryOrder.EverythingAsync(_store);
        await UndoNewestAsync();
        Assert.Equal(before, await EveryOrder.EverythingAsync(_store));
        Assert.Empty(await DueAsync(machine, DueKind.Event));
        await UndoNewestAsync();
        Assert.Equal(after, await EveryOrder.EverythingAsync(_store));
    }

    [Fact]
    public async Task Where_a_job_goes_on_it_is_written_down_there()
    {
        long machine = await MachineAsync();
        JobSheet first = (await KnockAsync(machine))!;
        JobSheet second = (await KnockAsync(machine))!;
        Assert.Equal((first.Id, 2), (second.Id, second.UseEvents.Count));
        Assert.Equal(2, (await DueAsync(machine, DueKind.Event)).Length);
        Assert.Null(await KnockAsync(machine + 99));
        InvalidInputException refused = await Assert.ThrowsAsync<InvalidInputException>(() =>
            _store.Jobs.HappenedAsync("Ann", machine, Today, new((UseEvent)99, null), default)
        );
        Assert.Equal("Happened.Event", refused.Issues[0].Field);
    }

    [Fact]
    public async Task A_stop_stands_on_the_machine_until_it_is_mended_and_comes_back_when_that_is_undone()
    {
        long machine = await MachineAsync();
        JobSheet job = (await KnockAsync(machine))!;
        FindingNoted crack = new("joint", FindingGrade.Stop, "final", null, new(InspectedPart.Joint));
        await HappensAsync(job, crack);
        async Task<IEnumerable<string?>> StopsAsync() =>
            (await _store.Machines.ListAsync()).Single(m => m.Machine.Id == machine).Stops.Select(s => s.What);
        Assert.Equal(["joint"], await StopsAsync());
        Assert.True(Assert.Single(await DueAsync(machine, DueKind.Stop)).IsNow);
        await HappensAsync(job, new FindingCured("joint", "another one"));
        Assert.Empty(await StopsAsync());
        await UndoNewestAsync();
        Assert.Equal(["joint"], await StopsAsync());
        // With its job it goes, and comes back.
        JobSheet now = (await _store.Jobs.ListSheetsAsync(machine))[0];
        await _store.Jobs.RemoveAsync("Ann", now.Id, now.Version, default);
        Assert.Empty(await StopsAsync());
        Assert.Empty(await DueAsync(machine, DueKind.Event));
        await UndoNewestAsync();
        Assert.Equal(["joint"], await StopsAsync());
        Assert.Single(await DueAsync(machine, DueKind.Event));
    }

    [Fact]
    public async Task A_measured_chain_is_told_by_the_machine_stored_and_taken_back()
    {
        long machine = await MachineAsync();
        JobSheet job = (await KnockAsync(machine))!;
        string before = await EveryOrder.EverythingAsync(_store);
        // Whoever sends another chain: it is the machine’s.
        ElongationMeasured sent = new("final", 16, MeasuredOver.Pins, [255, 254.8, 255.1], ChainId: "16A");
        ElongationAtJob measured = Assert.Single((await HappensAsync(job, sent)).Elongations);
        Assert.Equal(("520", 3), (measured.ChainId, measured.Percent.Count));
        Assert.Equal(100 * (255.1 / (16 * 15.875) - 1), measured.WorstPercent, 9);
        await UndoNewestAsync();
        Assert.Equal(before, await EveryOrder.EverythingAsync(_store));
        await UndoNewestAsync();
        Assert.Equal(
            measured.WorstPercent,
            (await _store.Jobs.ListSheetsAsync(machine))[0].Elongations.Single().WorstPercent
        );
        InvalidInputException refused = await Assert.ThrowsAsync<InvalidInputException>(() =>
            HappensAsync(job, sent with { MeasuredMm = [255, 280] })
        );
        Assert.Equal("Events[0].Event.MeasuredMm[1]", refused.Issues[0].Field);
    }

    [Fact]
    public async Task A_look_of_all_else_ends_what_an_event_asks_for_and_undone_asks_again()
    {
        long machine = await MachineAsync();
        JobSheet job = (await KnockAsync(machine))!;
        IReadOnlyList<InspectedPart> asked = (await DueAsync(machine, DueKind.Event))[0].Parts;
        job = await HappensAsync(job, new RestFine("final", asked));
        Assert.Equal(asked, job.Rest[0].Parts);
        Assert.Empty(await DueAsync(machine, DueKind.Event));
        await UndoNewestAsync();
        Assert.Equal(asked, (await DueAsync(machine, DueKind.Event))[0].Parts);
        await UndoNewestAsync();
        Assert.Empty(await DueAsync(machine, DueKind.Event));
        await Assert.ThrowsAsync<InvalidInputException>(() => HappensAsync(job, new RestFine("no loop", asked)));
    }
}
