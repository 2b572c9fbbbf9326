using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;
using Wendrak.Store.Bodies;
using Wendrak.Store.Demo;
using Wendrak.Store.Ledger;
using Wendrak.Store.Machines;
using Wendrak.Store.Records;

namespace Wendrak.Store.Tests;

/// <summary>Jobs in the data file: what two people do at one is added, each thing can be taken back, and nothing goes missing.</summary>
public sealed class JobTests : IDisposable
{
    private static readonly DateOnly Today = new(2026, 11, 29);
    private static readonly JobSigned Plain = new(Today, 4, "pulls well", null, null);
    private readonly TempStore _store = new();
    private int _key;

    public void Dispose() => _store.Dispose();

    private async Task<JobSheet> OpenAsync(long? machine = null, double? km = 21_500)
    {
        long id = machine ?? (await _store.AddMachineAsync()).Machine.Id;
        JobOpened opened = new(JobReason.AnotherGearing, "front 16 for the ridge", km, null);
        return (await _store.Jobs.OpenAsync("Ann", id, Today, opened, default))!;
    }

    private async Task<JobSheet> HappensAsync(JobSheet job, string? who, params JobEvent[] events) =>
        (
            await _store.Jobs.AppendAsync(
                who,
                job.Id,
                [.. events.Select(e => new SentEvent($"key {_key++}", e))],
                default
            )
        )!.Job;

    private async Task<JobSheet> ReadAsync(JobSheet job) =>
        (await _store.Jobs.ListSheetsAsync(job.MachineId)).Single(j => j.Id == job.Id);

    private async Task UndoAsync(string what) =>
        await _store.Undoing.UndoAsync(
            "Undoer",
            (await _store.History.ListAsync(null, null, 50)).First(c => c.What == what && c.UndoneBy is null).Id,
            default
        );

    private async Task<string> RefusesUndoAsync(string what) =>
        (await Assert.ThrowsAsync<CannotUndoException>(() => UndoAsync(what))).Message;

    private static SetJob Setting(long machine, string loop) =>
        new(0, 0, machine, loop, Today, null, SetGoal.Both, [], [], null);

    private static void Same(JobSheet expected, JobSheet actual) =>
        Assert.Equal(EarlierJson.ToJson(expected), EarlierJson.ToJson(actual with { Version = expected.Version }));

    [Fact]
    public async Task The_people_of_the_yard_are_who_did_something_at_a_job()
    {
        Assert.Empty(await _store.Jobs.ListPeopleAsync());
        JobSheet job = await OpenAsync();
        await HappensAsync(job, "Ben", new NoteWritten("a"));
        await HappensAsync(job, null, new NoteWritten("b"));
        Assert.Equal(["Ann", "Ben"], (await _store.Jobs.ListPeopleAsync()).Order());
    }

    [Fact]
    public async Task A_machine_that_comes_in_has_run_what_its_odometer_says()
    {
        JobSheet job = await OpenAsync();
        Assert.Equal(("Ann", "front 16 for the ridge", 21_500d), (job.Who, job.About, job.OdometerKm));
        Assert.Equal(21_500, (await _store.Machines.FindAsync(job.MachineId))!.Machine.OdometerKm);
        Same(job, Assert.Single(await _store.Jobs.ListOpenAsync()));
        await UndoAsync("opened a job");
        Assert.Empty(await _store.Jobs.ListOpenAsync());
        Assert.NotEqual(21_500, (await _store.Machines.FindAsync(job.MachineId))!.Machine.OdometerKm);
        await _store.UndoLastAsync();
        Same(job, Assert.Single(await _store.Jobs.ListOpenAsync()));
        Assert.Equal(21_500, (await _store.Machines.FindAsync(job.MachineId))!.Machine.OdometerKm);
    }

    [Fact]
    public async Task A_job_that_is_written_down_late_does_not_turn_the_odometer_back()
    {
        JobSheet now = await OpenAsync();
        JobSheet late = await OpenAsync(now.MachineId, 17_000);
        Assert.Equal(17_000, late.OdometerKm);
        Assert.Equal(21_500, (await _store.Machines.FindAsync(now.MachineId))!.Machine.OdometerKm);
    }

    [Fact]
    public async Task A_job_asks_for_nothing_but_its_machine()
    {
        FittedMachine machine = await _store.AddMachineAsync();
        JobSheet job = (
            await _store.Jobs.OpenAsync(
                null,
                machine.Machine.Id,
                Today,
                new(JobReason.Visit, null, null, null),
                default
            )
        )!;
        Assert.Equal((null, null, JobState.GoesOn), (job.Who, job.OdometerKm, job.State));
        Assert.Equal(machine.Machine.Version, (await _store.Machines.FindAsync(job.MachineId))!.Machine.Version);
        Assert.Null(await _store.Jobs.OpenAsync(null, 999, Today, new(JobReason.Visit, null, null, null), default));
        await Assert.ThrowsAsync<InvalidInputException>(() => OpenAsync(machine.Machine.Id, -1));
    }

    [Fact]
    public async Task What_two_people_do_is_added_and_what_is_sent_twice_counts_once()
    {
        JobSheet job = await OpenAsync();
        SentEvent sent = new("of one device", new NoteWritten("oil on the belt"));
        await _store.Jobs.AppendAsync("Ann", job.Id, [sent], default);
        await _store.Jobs.AppendAsync("Ben", job.Id, [new("of the other", new TimeSpent(20))], default);
        await _store.Jobs.AppendAsync("Ann", job.Id, [sent], default);
        JobSheet now = await ReadAsync(job);
        Assert.Equal("oil on the belt", Assert.Single(now.Notes).Text);
        Assert.Equal([new("Ann", 0), new("Ben", 20)], now.People);
        Assert.Null(await _store.Jobs.AppendAsync("Ann", 999, [sent], default));
        InvalidInputException refused = await Assert.ThrowsAsync<InvalidInputException>(() =>
            HappensAsync(job, "Ann", new NoteWritten("kept?"), new WaitEnded())
        );
        Assert.Equal("Events[1].Event.kind", Assert.Single(refused.Issues).Field);
        Same(now, await ReadAsync(job)); // all of what is sent together, or none of it
    }

    [Fact]
    public async Task Each_thing_can_be_taken_back_also_after_the_other_one_went_on()
    {
        JobSheet job = await OpenAsync();
        await HappensAsync(job, "Ann", new NoteWritten("wrong machine"), new ProvisionalFitted("clip link"));
        JobSheet before = await HappensAsync(job, "Ben", new TimeSpent(20), new WaitBegun("a rivet link"));
        await UndoAsync("wrote a note");
        JobSheet without = await ReadAsync(job);
        Same(before with { Notes = [] }, without);
        await _store.UndoLastAsync(); // the undoing is an entry itself
        Assert.Equal("wrong machine", Assert.Single((await ReadAsync(job)).Notes).Text);
        await UndoAsync("waits for a rivet link");
        Assert.Equal(JobState.GoesOn, (await ReadAsync(job)).State);
        // What something else hangs on is held, and says so.
        await HappensAsync(job, "Ben", new ProvisionalCleared("clip link"));
        Assert.Contains(
            "needs it as it is",
            await RefusesUndoAsync("noted as provisional: clip link"),
            StringComparison.Ordinal
        );
        await UndoAsync("cleared what was provisional: clip link");
        await UndoAsync("noted as provisional: clip link");
        Assert.Empty((await ReadAsync(job)).Provisional);
    }

    [Fact]
    public async Task A_signed_job_stays_as_it_is_until_the_signature_is_taken_back()
    {
        JobSheet job = await OpenAsync();
        await HappensAsync(job, "Ann", new NoteWritten("chain dry"), new DeviationNoted("set warm", "no time"));
        await Assert.ThrowsAsync<InvalidInputException>(() => HappensAsync(job, "Ann", Plain));
        JobSheet signed = await HappensAsync(job, "Ann", Plain with { Reason = "read again cold" });
        Assert.Equal([SignedDespite.Deviation], signed.Signature!.Despite);
        Assert.Empty(await _store.Jobs.ListOpenAsync());
        Assert.Contains("signature", await RefusesUndoAsync("wrote a note"), StringComparison.Ordinal);
        Assert.Contains("gone on with", await RefusesUndoAsync("opened a job"), StringComparison.Ordinal);
        await UndoAsync("signed the job");
        Assert.Null((await ReadAsync(job)).Signature);
        await UndoAsync("wrote a note");
        // Signed anew what is in it now: the one taken back would be of what was.
        await HappensAsync(job, "Ben", Plain with { Reason = "so" });
        Assert.Equal("Ben", (await ReadAsync(job)).Signature!.Who);
    }

    [Fact]
    public async Task Loops_are_set_at_the_job_that_goes_on_and_at_none_that_waits()
    {
        await DemoData.FillAsync(_store.Database, TimeProvider.System);
        FittedMachine robot = (await _store.Machines.ListAsync()).Single(m => m.Machine.Kind == MachineKind.Robot);
        string[] loops = [.. robot.Fitted.Loops.Select(l => l.LoopKey)];
        JobSheet job = await OpenAsync(robot.Machine.Id);
        foreach (string loop in loops)
        {
            SetJob visit = (await _store.Jobs.AddAsync("Ben", Setting(robot.Machine.Id, loop), default))!;
            Assert.Equal((job.Id, loop, "Ben"), (visit.Id, visit.LoopKey, visit.Who));
        }
        Assert.Equal(loops, (await ReadAsync(job)).Loops.Select(l => l.LoopKey));
        Assert.Equal(loops.Length, (await _store.Jobs.ListAsync(robot.Machine.Id)).Count);
        // Once at a job: begun again there it is another visit.
        SetJob another = (await _store.Jobs.AddAsync("Ben", Setting(robot.Machine.Id, loops[0]), default))!;
        Assert.NotEqual(job.Id, another.Id);
        JobSheet waits = await OpenAsync((await _store.AddMachineAsync()).Machine.Id);
        await HappensAsync(waits, "Ann", new WaitBegun("a seal"));
        Assert.NotEqual(waits.Id, (await _store.Jobs.AddAsync(null, Setting(waits.MachineId, "final"), default))!.Id);
        await Assert.ThrowsAsync<InvalidInputException>(() =>
            _store.Jobs.AddAsync("Ben", Setting(robot.Machine.Id, "gone"), default)
        );
    }

    [Fact]
    public async Task What_was_begun_last_is_the_newest_visit_whichever_job_it_is_of_and_has_its_own_day()
    {
        JobSheet older = await OpenAsync();
        await HappensAsync(older, "Ann", new WaitBegun("a seal"));
        JobSheet newer = await OpenAsync(older.MachineId);
        await _store.Jobs.AddAsync("Ann", Setting(older.MachineId, "final"), default);
        await HappensAsync(older, "Ann", new WaitEnded());
        SetJob late = Setting(older.MachineId, "final") with { OpenedOn = Today.AddDays(3) };
        await _store.Jobs.AddAsync("Ann", late, default);
        Assert.Equal(
            [(older.Id, Today.AddDays(3)), (newer.Id, Today)],
            (await _store.Jobs.ListAsync(older.MachineId)).Select(v => (v.Id, v.OpenedOn))
        );
    }

    [Fact]
    public async Task A_signature_is_not_brought_back_over_what_it_did_not_see()
    {
        JobSheet job = await OpenAsync();
        await HappensAsync(job, "Ann", new DeviationNoted("warm", "no time"));
        await HappensAsync(job, "Ann", Plain with { Reason = "so" });
        await UndoAsync("signed the job");
        long undone = (await _store.LastChangeAsync()).Id;
        await UndoAsync("noted a deviation: warm");
        CannotUndoException refused = await Assert.ThrowsAsync<CannotUndoException>(() =>
            _store.Undoing.UndoAsync("Ann", undone, default)
        );
        Assert.Contains("Sign it anew", refused.Message, StringComparison.Ordinal);
    }

    [Fact]
    public async Task The_file_of_a_machine_carries_its_jobs()
    {
        JobSheet job = await OpenAsync();
        await HappensAsync(
            job,
            "Ann",
            new NoteWritten("chain dry"),
            new TimeSpent(30),
            new DeviationNoted("warm", "so")
        );
        await _store.Jobs.AddAsync("Ben", Setting(job.MachineId, "final"), default);
        await HappensAsync(job, "Ben", new ReadingTaken("final", new(ReadingMethod.FreePlay, 31)));
        await UndoAsync("wrote a note");
        await OpenAsync(job.MachineId, null);
        IReadOnlyList<JobSheet> before = await _store.Jobs.ListSheetsAsync(job.MachineId);
        using MemoryStream text = new();
        await MachineFileText.WriteAsync(
            System.IO.Pipelines.PipeWriter.Create(text, new(leaveOpen: true)),
            (await _store.Files.WriteAsync(job.MachineId))!,
            default
        );
        text.Position = 0;
        MachineFile file = await MachineFileText.ReadAsync(System.IO.Pipelines.PipeReader.Create(text), default);
        FittedMachine copy = await _store.Files.ReadAsync("Cleo", file, default);
        IReadOnlyList<JobSheet> read = await _store.Jobs.ListSheetsAsync(copy.Machine.Id);
        Assert.Equal(2, read.Count);
        foreach ((JobSheet was, JobSheet now) in before.Zip(read))
            Same(was, now with { Id = was.Id, MachineId = was.MachineId });
    }

    [Fact]
    public async Task A_job_is_removed_whole_and_brought_back_and_is_there_after_a_new_start()
    {
        JobSheet job = await HappensAsync(await OpenAsync(), "Ann", new NoteWritten("chain dry"));
        await Assert.ThrowsAsync<ChangedMeanwhileException>(() =>
            _store.Jobs.RemoveAsync("Ann", job.Id, job.Version - 1, default)
        );
        Assert.True(await _store.Jobs.RemoveAsync("Ann", job.Id, job.Version, default));
        Assert.Empty(await _store.Jobs.ListSheetsAsync(job.MachineId));
        Assert.Contains("Bring it back", await RefusesUndoAsync("wrote a note"), StringComparison.Ordinal);
        await _store.UndoLastAsync();
        _store.Database.Dispose();
        using TempStore again = new(_store.Folder, keep: true);
        Same(job, Assert.Single(await again.Jobs.ListSheetsAsync(job.MachineId)));
    }

    /// <summary>
    /// Two people do and take back all kinds of things in generated orders: what is told is what stands, whoever asks, and each
    /// undoing takes away just what it says.
    /// </summary>
    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    [InlineData(4)]
    [InlineData(5)]
    public async Task In_every_order_nothing_is_lost_and_nothing_counts_twice(int seed)
    {
        Random random = new(seed);
        JobSheet job = await OpenAsync();
        await _store.Jobs.AddAsync("Ann", Setting(job.MachineId, "final"), default);
        for (int i = 0; i < 60; i++)
        {
            string who = random.Next(2) == 0 ? "Ann" : "Ben";
            JobSheet before = await ReadAsync(job);
            try
            {
                if (random.Next(4) > 0)
                    await HappensAsync(job, who, Any(random, i));
                else
                {
                    // Of what happened at it: not of its machine, nor its own opening.
                    Change[] entries = [.. (await _store.History.ListAsync(job.MachineId, null, 40)).SkipLast(2)];
                    if (entries.Length == 0)
                        continue;
                    await _store.Undoing.UndoAsync(who, entries[random.Next(entries.Length)].Id, default);
                }
            }
            catch (Exception e) when (e is InvalidInputException or CannotUndoException)
            {
                Same(before, await ReadAsync(job));
                continue;
            }
            JobSheet now = await ReadAsync(job);
            Assert.True(now.Version > before.Version);
            // A program that starts now tells the same.
            using TempStore other = new(_store.Folder, keep: true);
            Same(now, Assert.Single(await other.Jobs.ListSheetsAsync(job.MachineId)));
        }
    }

    private static JobEvent Any(Random random, int i) =>
        random.Next(9) switch
        {
            0 => new NoteWritten($"note {i}"),
            1 => new WaitBegun($"part {i}"),
            2 => new WaitEnded(),
            3 => new TimeSpent(i + 1),
            4 => new DeviationNoted($"what {i}", "why"),
            5 => new ProvisionalFitted($"thing {random.Next(3)}"),
            6 => new ProvisionalCleared($"thing {random.Next(3)}"),
            7 => new ReadingTaken("final", new(ReadingMethod.FreePlay, 20 + i, random.Next(4))),
            _ => new JobSigned(Today, null, null, null, "so"),
        };
}
