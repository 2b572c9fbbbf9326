using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;
using Wendrak.Store.Bodies;
using Wendrak.Store.Ledger;
using Wendrak.Store.Machines;
using Wendrak.Store.Records;

namespace Wendrak.Store.Tests;

/// <summary>Visits of Set: what happened is written down once, event by event.</summary>
public sealed class VisitTests : IDisposable
{
    private const string Loop = "final";
    private readonly TempStore _store = new();
    private int _key;

    public void Dispose() => _store.Dispose();

    private static readonly SetRound Found = new(0, 0, LockState.Nipped, [], TemperatureC: 17);
    private static readonly SetRound Tight = new(0.5, 0.5, LockState.Torqued, []);

    private static ReadingTaken Play(double mm, int place = 0) => new(Loop, new(ReadingMethod.FreePlay, mm, place));

    private static RoundKept Kept => new(Loop, null);

    private static VisitClosed Closed(string? reason, params ClosingStep[] steps) =>
        new(Loop, new(2026, 11, 26), 98, steps, null, null, null, reason);

    private async Task<SetJob> BegunAsync()
    {
        FittedMachine machine = await _store.AddMachineAsync();
        SetJob visit = new(0, 0, machine.Machine.Id, Loop, new(2026, 11, 26), null, SetGoal.Both, [], [], null);
        return (await _store.Jobs.AddAsync("Ann", visit, default))!;
    }

    private async Task<SetJob> HappensAsync(SetJob visit, string? who, params JobEvent[] events) =>
        (
            await _store.Jobs.AppendAsync(
                who,
                visit.Id,
                [.. events.Select(e => new SentEvent($"key {_key++}", e))],
                default
            )
        )!.Visit!;

    private async Task<SetJob> ReadAsync(SetJob visit) => (await _store.Jobs.ListAsync(visit.MachineId))[0];

    private async Task RefusesAsync(string field, SetJob visit, params JobEvent[] events)
    {
        InvalidInputException refused = await Assert.ThrowsAsync<InvalidInputException>(() =>
            HappensAsync(visit, "Ann", events)
        );
        Assert.Contains(refused.Issues, i => i.Field == field);
    }

    [Fact]
    public async Task A_visit_is_signed_by_whoever_does_it_and_goes_on_where_it_stopped()
    {
        SetJob visit = await BegunAsync();
        Assert.Equal("Ann", visit.Who);
        await HappensAsync(visit, "Ann", new RoundNoted(Loop, Found with { Who = "Somebody else" }), Play(52));
        await HappensAsync(visit, "Ben", Play(49, 1), Kept);
        SetRound found = Assert.Single((await ReadAsync(visit)).Rounds);
        Assert.Equal([52, 49], found.Readings.Select(r => r.Value));
        Assert.Equal(("Ann", 17, LockState.Nipped), (found.Who, found.TemperatureC, found.Lock));
        Assert.NotNull(found.At);
    }

    [Fact]
    public async Task What_two_devices_read_is_added_and_a_reading_sent_twice_counts_once()
    {
        SetJob visit = await BegunAsync();
        SentEvent sent = new("of one device", Play(52));
        await _store.Jobs.AppendAsync("Ann", visit.Id, [sent], default);
        await _store.Jobs.AppendAsync("Ben", visit.Id, [new("of the other", Play(49, 2))], default);
        await _store.Jobs.AppendAsync("Ann", visit.Id, [sent], default);
        SetInHand inHand = (await ReadAsync(visit)).InHand!;
        Assert.Equal([(0, 52.0), (2, 49.0)], inHand.Round!.Readings.Select(r => (r.Position, r.Value)));
        // Read again at the same place it stands in the place of the first.
        await HappensAsync(visit, "Ben", Play(50));
        Assert.Equal([50, 49], (await ReadAsync(visit)).InHand!.Round!.Readings.Select(r => r.Value));
    }

    [Fact]
    public async Task A_reading_is_taken_back_by_one_more_entry_and_brought_again()
    {
        SetJob visit = await BegunAsync();
        await HappensAsync(visit, "Ann", Play(52), Kept, Play(40));
        await _store.UndoLastAsync();
        Assert.Null((await ReadAsync(visit)).InHand);
        await _store.UndoLastAsync(); // the undoing is an entry itself
        Assert.Equal(40, (await ReadAsync(visit)).InHand!.Round!.Readings.Single().Value);
        long keeping = (await _store.History.ListAsync(visit.MachineId, null, 10))
            .First(c => c.What.StartsWith("kept", StringComparison.Ordinal))
            .Id;
        CannotUndoException refused = await Assert.ThrowsAsync<CannotUndoException>(() =>
            _store.Undoing.UndoAsync("Ann", keeping, default)
        );
        Assert.Contains("later change first", refused.Message, StringComparison.Ordinal);
        await _store.UndoLastAsync();
        await _store.Undoing.UndoAsync("Ann", keeping, default);
        SetJob back = await ReadAsync(visit);
        Assert.Empty(back.Rounds);
        Assert.Equal(52, back.InHand!.Round!.Readings.Single().Value);
    }

    [Fact]
    public async Task The_history_knows_what_belongs_to_one_round()
    {
        SetJob visit = await BegunAsync();
        await HappensAsync(visit, "Ann", new RoundNoted(Loop, Found), Play(52), Play(149, 1));
        await HappensAsync(visit, "Ann", new ReadingDiscarded(Loop, 1), Kept, Play(40), new RoundDropped(Loop));
        IReadOnlyList<Change> told = await _store.History.ListAsync(visit.MachineId, null, 7);
        Assert.Equal(
            [
                RoundEntry.End,
                RoundEntry.Reading,
                RoundEntry.End,
                RoundEntry.Reading,
                RoundEntry.Reading,
                RoundEntry.Reading,
                RoundEntry.Reading,
            ],
            told.Select(c => c.Round)
        );
        Assert.Null((await _store.History.ListAsync(visit.MachineId, told[^1].Id, 1))[0].Round);
    }

    [Fact]
    public async Task A_visit_begun_by_mistake_is_cancelled_brought_back_with_its_readings_and_cancelled_again()
    {
        SetJob visit = await BegunAsync();
        await HappensAsync(visit, "Ann", Play(52));
        await _store.Jobs.AppendAsync("Ann", visit.Id, [new("cancel", new VisitCancelled(Loop))], default);
        Assert.Empty(await _store.Jobs.ListAsync(visit.MachineId));
        Assert.Empty(await _store.Jobs.ListOpenAsync());
        await _store.UndoLastAsync();
        Assert.Equal(52, (await ReadAsync(visit)).InHand!.Round!.Readings.Single().Value);
        await _store.UndoLastAsync(); // the undoing is an entry itself
        Assert.Empty(await _store.Jobs.ListAsync(visit.MachineId));
        // Begun once more it is another visit, with nothing of the first.
        SetJob anew = (await _store.Jobs.AddAsync("Ben", visit with { Id = 0, Version = 0 }, default))!;
        Assert.Null((await ReadAsync(anew)).InHand);
        await HappensAsync(anew, "Ben", Play(50), Kept);
        InvalidInputException refused = await Assert.ThrowsAsync<InvalidInputException>(() =>
            _store.Jobs.AppendAsync("Ben", anew.Id, [new("cancel again", new VisitCancelled(Loop))], default)
        );
        Assert.Equal("kept", refused.Issues[0].Code);
    }

    [Fact]
    public async Task A_visit_that_was_gone_on_with_holds_its_machine()
    {
        SetJob visit = await BegunAsync();
        await HappensAsync(visit, "Ann", Play(52));
        Change[] history = [.. await _store.History.ListAsync(visit.MachineId, null, 10)];
        foreach (Change change in history.Where(c => c.What.StartsWith("began", StringComparison.Ordinal)))
            Assert.Contains(
                "gone on with",
                (
                    await Assert.ThrowsAsync<CannotUndoException>(() =>
                        _store.Undoing.UndoAsync(null, change.Id, default)
                    )
                ).Message,
                StringComparison.Ordinal
            );
        CannotUndoException held = await Assert.ThrowsAsync<CannotUndoException>(() =>
            _store.Undoing.UndoAsync(null, history[^1].Id, default)
        );
        Assert.Contains("visit “of 2026-11-26”", held.Message, StringComparison.Ordinal);
        Assert.Equal(52, (await ReadAsync(visit)).InHand!.Round!.Readings[0].Value);
        // Entry by entry all of it can be taken back, and brought again.
        for (int i = 0; i < 3; i++)
            await _store.Undoing.UndoAsync(null, history[i].Id, default);
        Assert.Empty(await _store.Machines.ListAsync());
        for (int i = 0; i < 3; i++)
            await _store.Undoing.UndoAsync(null, (await _store.History.ListAsync(null, null, 9))[2 * i].Id, default);
        Assert.Equal(52, (await ReadAsync(visit)).InHand!.Round!.Readings[0].Value);
    }

    [Fact]
    public async Task A_machine_that_is_removed_takes_its_visits_along_and_brings_them_back()
    {
        SetJob visit = await BegunAsync();
        await HappensAsync(visit, "Ann", Play(52), Kept);
        await _store.AddTrialAsync(visit.MachineId, "Trial B", 15, 43);
        await _store.Aims.AddAsync("Ann", TempStore.AimFor(visit.MachineId), default);
        Machine machine = (await _store.Machines.FindAsync(visit.MachineId))!.Machine;
        Assert.True(await _store.Machines.RemoveAsync("Ann", machine.Id, machine.Version, default));
        Assert.Empty(await _store.Machines.ListAsync());
        Assert.Null(await _store.Jobs.AppendAsync("Ann", visit.Id, [new("late", Play(1))], default));
        await _store.UndoLastAsync();
        Assert.Single((await ReadAsync(visit)).Rounds);
        Assert.Equal(2, (await _store.Setups.ListAsync(machine.Id)).Count);
        Assert.Single(await _store.Aims.ListAsync(machine.Id));
        Assert.False(await _store.Machines.RemoveAsync("Ann", 999, 1, default));
    }

    [Fact]
    public async Task It_is_closed_only_with_everything_tight_and_every_step_done()
    {
        SetJob visit = await BegunAsync();
        ClosingStep[] all = Enum.GetValues<ClosingStep>();
        await HappensAsync(visit, "Ann", new RoundNoted(Loop, Found), Play(52), Kept);
        await RefusesAsync("Closing.Lock", visit, Closed("so", all));
        await HappensAsync(visit, "Ann", new RoundNoted(Loop, Tight), Play(30));
        await RefusesAsync("InHand.Round", visit, Closed("so", all));
        await HappensAsync(visit, "Ann", Kept);
        await RefusesAsync("Closing.Done", visit, Closed("so", all[..3]));
        await RefusesAsync("Closing.Done", visit, Closed("so", [.. all.Reverse()]));
        // Nobody confirmed the cautions: a reason is asked, and what is open is kept beside it.
        await RefusesAsync("Closing.Reason", visit, Closed(null, all));
        await HappensAsync(visit, "Ben", Closed("alone on the road", all));
        SetClosing kept = (await ReadAsync(visit)).Closing!;
        Assert.Equal((98, "alone on the road", "Ben"), (kept.TorqueNm, kept.Reason, kept.Who));
        Assert.Equal([ClosedDespite.CautionsNotConfirmed], kept.Despite!);
        await RefusesAsync("Closing", visit, Play(1));
    }

    [Fact]
    public async Task Ticks_cautions_goal_and_ties_go_on_on_another_device()
    {
        SetJob visit = await BegunAsync();
        CalibrationPair hand = new(ReadingMethod.Feel, 2, ReadingMethod.FreePlay, 30, Who: "somebody");
        await HappensAsync(
            visit,
            "Ann",
            new StepTicked(Loop, ClosingStep.FinalTorque, true),
            new StepTicked(Loop, ClosingStep.AdjusterLocks, true),
            new StepTicked(Loop, ClosingStep.AdjusterLocks, false),
            new CautionsSeen(Loop),
            new GoalChosen(Loop, SetGoal.TensionOnly),
            new ReadingsTied(Loop, hand)
        );
        SetJob read = await ReadAsync(visit);
        Assert.Equal([ClosingStep.FinalTorque], read.InHand!.Done);
        Assert.Equal(("Ann", SetGoal.TensionOnly), (read.Cautions!.Who, read.Goal));
        Assert.Equal([hand with { Who = "Ann" }], read.Gauge);
        await RefusesAsync("InHand.Done", visit, new StepTicked(Loop, ClosingStep.TurnsFreely, true));
    }

    [Fact]
    public async Task What_can_not_be_is_refused_and_nothing_of_it_is_written()
    {
        SetJob visit = await BegunAsync();
        await RefusesAsync("InHand.Round", visit, Play(50), Kept, Kept);
        Assert.Null((await ReadAsync(visit)).InHand);
        await RefusesAsync("InHand.Round.TurnsRolled", visit, new RoundNoted(Loop, Found with { TurnsRolled = -1 }));
        await RefusesAsync("Events[0].Event.LoopKey", visit, Play(50) with { LoopKey = "none" });
        await RefusesAsync("Events[0].Event.kind", visit, new VisitBegun(Loop, SetGoal.Both));
        await Assert.ThrowsAsync<InvalidInputException>(() =>
            _store.Jobs.AppendAsync("Ann", visit.Id, [new("", Play(5))], default)
        );
        Assert.Null(await _store.Jobs.AppendAsync("Ann", 999, [new("k", Play(5))], default));
    }

    [Fact]
    public async Task Visits_and_settings_go_into_the_machine_file()
    {
        SetJob visit = await BegunAsync();
        await HappensAsync(visit, "Ann", new RoundNoted(Loop, Found), Play(52), Kept, Play(40));
        FittedMachine stored = (await _store.Machines.FindAsync(visit.MachineId))!;
        LoopSetting[] settings = [new(Loop, new(AdjusterKind.TwoEnds, MmPerUnit: 1.5), Bias: 0.2)];
        MachineDraft draft = new(stored.Machine with { Settings = settings }, stored.Fitted.Loops);
        await _store.Machines.ChangeAsync("Ann", draft, stored.Fitted.Version, default);
        SetJob before = await ReadAsync(visit);
        MachineFile file = (await _store.Files.WriteAsync(visit.MachineId))!;
        FittedMachine read = await _store.Files.ReadAsync("Ben", file, default);
        Assert.Equal(settings, read.Machine.Settings);
        SetJob copied = Assert.Single(await _store.Jobs.ListAsync(read.Machine.Id));
        SetJob asIts = before with { Id = copied.Id, MachineId = copied.MachineId, Version = copied.Version };
        Assert.Equal(EarlierJson.ToJson(asIts), EarlierJson.ToJson(copied));
        await Assert.ThrowsAsync<ChangedMeanwhileException>(() =>
            _store.Jobs.RemoveAsync("Ann", copied.Id, copied.Version - 1, default)
        );
        Assert.True(await _store.Jobs.RemoveAsync("Ann", copied.Id, copied.Version, default));
        Assert.Empty(await _store.Jobs.ListAsync(read.Machine.Id));
        await _store.UndoLastAsync();
        Assert.Equal(
            EarlierJson.ToJson(copied),
            EarlierJson.ToJson(Assert.Single(await _store.Jobs.ListAsync(read.Machine.Id)))
        );
    }

    [Fact]
    public async Task What_nobody_signed_is_not_signed_by_whoever_brings_it()
    {
        FittedMachine machine = await _store.AddMachineAsync();
        SetRound unsigned = Found with { Readings = [new(ReadingMethod.FreePlay, 31, 0)] };
        SetJob begun = new(0, 0, 0, Loop, new(2026, 11, 26), null, SetGoal.Both, [], [], null);
        MachineFile file = (await _store.Files.WriteAsync(machine.Machine.Id))! with
        {
            Jobs = [FiledJob.From(begun), FiledJob.From(begun with { Rounds = [unsigned] })],
        };
        FittedMachine read = await _store.Files.ReadAsync("Ben", file, default);
        Assert.All(await _store.Jobs.ListAsync(read.Machine.Id), v => Assert.Null(v.Who));
        Assert.All(await _store.Jobs.ListAsync(read.Machine.Id), v => Assert.All(v.Rounds, r => Assert.Null(r.Who)));
    }

    [Fact]
    public async Task The_file_of_a_machine_whose_loop_and_drive_were_renamed_is_read_again()
    {
        SetJob visit = await BegunAsync();
        await HappensAsync(visit, "Ann", Play(52), Kept);
        await _store.Aims.AddAsync("Ann", TempStore.AimFor(visit.MachineId), default);
        FittedMachine stored = (await _store.Machines.FindAsync(visit.MachineId))!;
        Core.Gearing.Drive drive = stored.Machine.Drives[0] with { Key = "renamed" };
        MachineDraft draft = new(stored.Machine with { Drives = [drive] }, stored.Fitted.Loops);
        await _store.Machines.ChangeAsync("Ann", draft, stored.Fitted.Version, default);
        FittedMachine read = await _store.Files.ReadAsync(
            "Ann",
            (await _store.Files.WriteAsync(visit.MachineId))!,
            default
        );
        Assert.Equal("drive", Assert.Single(await _store.Aims.ListAsync(read.Machine.Id)).DriveKey);
        Assert.Single(await _store.Jobs.ListAsync(read.Machine.Id));
    }

    [Fact]
    public async Task A_visit_to_a_loop_that_is_not_there_is_refused()
    {
        FittedMachine machine = await _store.AddMachineAsync();
        SetJob visit = new(0, 0, machine.Machine.Id, "none", new(2026, 1, 1), null, SetGoal.Both, [], [], null);
        await Assert.ThrowsAsync<InvalidInputException>(() => _store.Jobs.AddAsync("Ann", visit, default));
        Assert.Null(await _store.Jobs.AddAsync("Ann", visit with { MachineId = 999 }, default));
    }
}
