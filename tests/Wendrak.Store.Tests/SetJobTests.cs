using Wendrak.Core.Machines;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tension;
using Wendrak.Store.Ledger;
using Wendrak.Store.Machines;

namespace Wendrak.Store.Tests;

public sealed class SetJobTests : IDisposable
{
    private readonly TempStore _store = new();

    public void Dispose() => _store.Dispose();

    private static readonly SetRound AsFound = new(
        0,
        0,
        LockState.Nipped,
        [new(ReadingMethod.FreePlay, 52), new(ReadingMethod.FreePlay, 49, 1)],
        At: new(2026, 11, 26, 9, 30, 0, TimeSpan.Zero),
        Who: "Ann"
    );

    private static readonly SetRound Last = new(0.5, 0.5, LockState.Torqued, [new(ReadingMethod.FreePlay, 30)]);

    private static SetClosing Closed(params ClosingStep[] steps) =>
        new(new(2026, 11, 26), "Ann", 98, steps, null, null);

    private async Task<SetJob> OpenedAsync(params SetRound[] rounds)
    {
        FittedMachine machine = await _store.AddMachineAsync();
        SetJob job = new(0, 0, machine.Machine.Id, "final", new(2026, 11, 26), "Ann", SetGoal.Both, rounds, [], null);
        return (await _store.SetJobs.AddAsync("Ann", job, default))!;
    }

    private async Task<SetJob> ReadAsync(SetJob job) => (await _store.SetJobs.ListAsync(job.MachineId))[0];

    [Fact]
    public async Task A_visit_that_was_broken_off_goes_on_where_it_stopped()
    {
        SetJob opened = await OpenedAsync(AsFound);
        SetJob read = await ReadAsync(opened);
        Assert.Equal(AsFound.Readings, read.Rounds[0].Readings);
        Assert.Equal(AsFound.At, read.Rounds[0].At);
        SetJob changed = (
            await _store.SetJobs.ChangeAsync("Ben", read with { Rounds = [.. read.Rounds, Last] }, default)
        )!;
        Assert.Equal(2, (await ReadAsync(opened)).Rounds.Count);
        Assert.True(changed.Version > opened.Version);
        await _store.Log.UndoAsync("Ben", (await _store.LastChangeAsync()).Id, default);
        Assert.Single((await ReadAsync(opened)).Rounds);
    }

    [Fact]
    public async Task As_found_is_never_edited()
    {
        SetJob opened = await OpenedAsync(AsFound);
        SetRound other = AsFound with { Readings = [new(ReadingMethod.FreePlay, 30)] };
        InvalidInputException refused = await Assert.ThrowsAsync<InvalidInputException>(() =>
            _store.SetJobs.ChangeAsync("Ann", opened with { Rounds = [other] }, default)
        );
        Assert.Equal("Rounds[0]", refused.Issues.Single().Field);
        Assert.Equal(AsFound.Readings, (await ReadAsync(opened)).Rounds[0].Readings);
        // Who began without a reading may still write down what was found.
        SetJob empty = await OpenedAsync();
        Assert.NotNull(await _store.SetJobs.ChangeAsync("Ann", empty with { Rounds = [AsFound] }, default));
    }

    [Fact]
    public async Task It_is_closed_only_with_everything_tight_and_every_step_done()
    {
        SetJob opened = await OpenedAsync(AsFound);
        ClosingStep[] all = Enum.GetValues<ClosingStep>();
        async Task<string> RefusedAsync(SetJob job) =>
            (await Assert.ThrowsAsync<InvalidInputException>(() => _store.SetJobs.ChangeAsync("Ann", job, default)))
                .Issues[0]
                .Field;
        Assert.Equal("Closing.Lock", await RefusedAsync(opened with { Closing = Closed(all) }));
        SetJob ready = opened with { Rounds = [AsFound, Last] };
        Assert.Equal("Closing.Done", await RefusedAsync(ready with { Closing = Closed(all[..3]) }));
        Assert.Equal("Closing.Done", await RefusedAsync(ready with { Closing = Closed([.. all.Reverse()]) }));
        // Nobody confirmed the cautions: a reason is asked, and what is open is kept beside it.
        Assert.Equal("Closing.Reason", await RefusedAsync(ready with { Closing = Closed(all) }));
        SetClosing reasoned = Closed(all) with { Reason = "alone on the road" };
        SetJob closed = (await _store.SetJobs.ChangeAsync("Ann", ready with { Closing = reasoned }, default))!;
        SetClosing kept = (await ReadAsync(opened)).Closing!;
        Assert.Equal((98, "alone on the road"), (kept.TorqueNm, kept.Reason));
        Assert.Equal([ClosedDespite.CautionsNotConfirmed], kept.Despite!);
        Assert.Equal("Closing", await RefusedAsync(closed with { Closing = null }));
    }

    [Fact]
    public async Task What_is_in_hand_goes_on_on_another_device()
    {
        SetJob opened = await OpenedAsync(AsFound);
        SetInHand inHand = new(Last, [ClosingStep.FinalTorque]);
        CautionsConfirmed cautions = new("Ann", new(2026, 11, 26, 9, 20, 0, TimeSpan.Zero));
        await _store.SetJobs.ChangeAsync("Ann", opened with { InHand = inHand, Cautions = cautions }, default);
        SetJob read = await ReadAsync(opened);
        Assert.Equal(Last.Readings, read.InHand!.Round!.Readings);
        Assert.Equal([ClosingStep.FinalTorque], read.InHand.Done);
        Assert.Equal(cautions, read.Cautions);
        // A round that is not kept is no last reading.
        await RefusesAsync(
            "InHand.Round",
            read with
            {
                Rounds = [AsFound, Last],
                Closing = Closed(Enum.GetValues<ClosingStep>()),
            }
        );
        await RefusesAsync("InHand.Done", read with { InHand = new(null, [ClosingStep.Guards]) });
        await RefusesAsync("Rounds[1].TurnsRolled", read with { InHand = new(Last with { TurnsRolled = -1 }, []) });
    }

    private async Task RefusesAsync(string field, SetJob job)
    {
        InvalidInputException refused = await Assert.ThrowsAsync<InvalidInputException>(() =>
            _store.SetJobs.ChangeAsync("Ann", job, default)
        );
        Assert.Contains(refused.Issues, i => i.Field == field);
    }

    [Fact]
    public async Task Two_windows_are_told_of_each_other()
    {
        SetJob opened = await OpenedAsync(AsFound);
        await _store.SetJobs.ChangeAsync("Ann", opened with { Rounds = [AsFound, Last] }, default);
        await Assert.ThrowsAsync<ChangedMeanwhileException>(() =>
            _store.SetJobs.ChangeAsync("Ben", opened with { Goal = SetGoal.TensionOnly }, default)
        );
    }

    [Fact]
    public async Task Visits_and_settings_go_into_the_machine_file()
    {
        SetJob opened = await OpenedAsync(AsFound);
        FittedMachine stored = (await _store.Machines.FindAsync(opened.MachineId))!;
        LoopSetting[] settings = [new("final", MmPerUnit: 1.5, Bias: 0.2)];
        await _store.Machines.ChangeAsync(
            "Ann",
            new(stored.Machine with { Settings = settings }, stored.Fitted.Loops),
            stored.Fitted.Version,
            default
        );
        MachineFile file = (await _store.Machines.ToFileAsync(opened.MachineId))!;
        FittedMachine read = await _store.Machines.FromFileAsync("Ann", file, default);
        Assert.Equal(settings, read.Machine.Settings);
        SetJob copied = (await _store.SetJobs.ListAsync(read.Machine.Id)).Single();
        Assert.Equal(AsFound.Readings, copied.Rounds[0].Readings);
        Assert.True(await _store.SetJobs.RemoveAsync("Ann", copied.Id, copied.Version, default));
        Assert.Empty(await _store.SetJobs.ListAsync(read.Machine.Id));
    }

    [Fact]
    public async Task A_visit_to_a_loop_that_is_not_there_is_refused()
    {
        FittedMachine machine = await _store.AddMachineAsync();
        SetJob job = new(0, 0, machine.Machine.Id, "none", new(2026, 1, 1), null, SetGoal.Both, [], [], null);
        await Assert.ThrowsAsync<InvalidInputException>(() => _store.SetJobs.AddAsync("Ann", job, default));
        Assert.Null(await _store.SetJobs.AddAsync("Ann", job with { MachineId = 999 }, default));
    }
}
