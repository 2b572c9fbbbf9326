using Wendrak.Core.Procedures;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Tension;
using Wendrak.Store.Bodies;
using Wendrak.Store.Machines;
using Wendrak.Store.Records;

namespace Wendrak.Store.Tests;

/// <summary>The plan of a job in the data file: made by the core, taken back step by step, carried by the machine’s file.</summary>
public sealed class PlanTests : IDisposable
{
    private static readonly DateOnly Today = new(2026, 11, 30);
    private static readonly PlanMade Tension = new(ChangeKind.TensionOnly, "final", ProcedureFamily.FinalChain, null);
    private readonly TempStore _store = new();
    private int _key;

    public void Dispose() => _store.Dispose();

    private async Task<JobSheet> OpenAsync()
    {
        long id = (await _store.AddMachineAsync()).Machine.Id;
        return (await _store.Jobs.OpenAsync("Ann", id, Today, new(JobReason.Visit, null, null, null), default))!;
    }

    private async Task<JobSheet> HappensAsync(JobSheet job, params JobEvent[] events) =>
        (
            await _store.Jobs.AppendAsync(
                "Ann",
                job.Id,
                [.. events.Select(e => new SentEvent($"key {_key++}", e))],
                default
            )
        )!.Job;

    private async Task<JobPlan?> PlanAsync(JobSheet job) => (await _store.Jobs.FindPlanAsync(job.Id))?.Plan;

    private async Task UndoAsync(string what) =>
        await _store.Undoing.UndoAsync(
            "Ben",
            (await _store.History.ListAsync(null, null, 60)).First(c => c.What == what && c.UndoneBy is null).Id,
            default
        );

    private static StepDone Did(string step) => new(step, StepOutcome.Done, null, null, [], null);

    private static JobEvent[] Setting() =>
        [
            new VisitBegun("final", SetGoal.Both),
            new RoundNoted("final", new(0, 0, LockState.Torqued, [])),
            new ReadingTaken("final", new(ReadingMethod.FreePlay, 35)),
            new RoundKept("final", null),
            new VisitClosed("final", Today, 98, Enum.GetValues<ClosingStep>(), null, null, null, "as it is"),
        ];

    [Fact]
    public async Task Its_steps_are_the_cores_whoever_sends_what()
    {
        JobSheet job = await OpenAsync();
        Assert.Null(await PlanAsync(job));
        Assert.Null((await HappensAsync(job, new NoteWritten("a"))).Plan);
        PlanMade forged = Tension with { Made = new("forged", 9, new("final", 1, 1, null), []) };
        JobSheet planned = await HappensAsync(job, forged);
        Assert.Equal(("Final chain", 0), (planned.Plan!.Title, planned.Plan.Done));
        JobPlan plan = (await PlanAsync(job))!;
        Assert.Equal(
            (ChangeKind.TensionOnly, "final", ProcedureLibrary.Get(Tension.Family).Version),
            (plan.Change, plan.LoopKey, plan.ProcedureVersion)
        );
        Assert.Equal(planned.Plan.Of, plan.Steps.Count);
        // The newest plan that is not ended is what the machine’s strip tells.
        Assert.Equal(
            planned.Plan,
            (await new MachineReader(_store.Database, _store.Jobs).FindAsync(job.MachineId))!.Plan
        );
    }

    [Fact]
    public async Task What_does_not_suit_the_machine_is_refused_at_its_field()
    {
        JobSheet job = await OpenAsync();
        async Task<string> FieldAsync(PlanMade plan) =>
            (await Assert.ThrowsAsync<InvalidInputException>(() => HappensAsync(job, plan))).Issues[0].Field;
        Assert.Equal("Events[0].Event.LoopKey", await FieldAsync(Tension with { LoopKey = "none" }));
        Assert.Equal("Events[0].Event.Family", await FieldAsync(Tension with { Family = ProcedureFamily.FinalBelt }));
        Assert.Equal("Events[0].Event.Change", await FieldAsync(Tension with { Change = ChangeKind.BeltToChain }));
        Assert.Equal(
            "Events[0].Event.Wanted.LoopKey",
            await FieldAsync(Tension with { Wanted = new("other", 15, 45, 112) })
        );
        Assert.Equal(
            "Events[0].Event.Wanted.FrontSize",
            await FieldAsync(Tension with { Wanted = new(Tension.LoopKey, 0, 45, 112) })
        );
    }

    [Fact]
    public async Task A_step_is_taken_back_unless_another_one_stands_on_it()
    {
        JobSheet job = await HappensAsync(await OpenAsync(), Tension, Did("found"), Did("lift"), Did("slack"));
        JobPlan before = (await PlanAsync(job))!;
        await HappensAsync(job, Setting());
        await HappensAsync(job, Did("down"));
        JobPlan whole = (await PlanAsync(job))!;
        Assert.Null(whole.Next);
        // The last step stands on what Set closed.
        string refused = (
            await Assert.ThrowsAsync<CannotUndoException>(() => UndoAsync("closed the setting of final"))
        ).Message;
        Assert.Contains("needs it as it is", refused, StringComparison.Ordinal);
        await UndoAsync("done: step down");
        await UndoAsync("closed the setting of final");
        JobPlan open = (await PlanAsync(job))!;
        Assert.Equal("set", open.Next);
        Assert.Equal(before.Done, open.Done);
        await Assert.ThrowsAsync<CannotUndoException>(() => UndoAsync("planned the work"));
        foreach (string step in (string[])["slack", "lift", "found"])
            await UndoAsync($"done: step {step}");
        await UndoAsync("planned the work");
        Assert.Null(await PlanAsync(job));
        // And the plan comes back with the undoing taken back.
        await UndoAsync("undone: planned the work");
        Assert.Equal(before.Steps.Count, (await PlanAsync(job))!.Steps.Count);
    }

    [Fact]
    public async Task It_goes_with_the_file_of_its_machine_and_reads_back_the_same()
    {
        JobSheet job = await HappensAsync(
            await OpenAsync(),
            Tension,
            new StepMoved("lift", "found"),
            Did("lift"),
            new StepDone("found", StepOutcome.Differently, "no caliper: by eye", null, [new("front-teeth", 15)], null)
        );
        MachineFile file = (await _store.Files.WriteAsync(job.MachineId))!;
        FittedMachine read = await _store.Files.ReadAsync("Ben", file, default);
        JobSheet other = Assert.Single(await _store.Jobs.ListSheetsAsync(read.Machine.Id));
        Assert.Equal(EarlierJson.ToJson(await PlanAsync(job)), EarlierJson.ToJson(await PlanAsync(other)));
        Assert.Equal("no caliper: by eye", Assert.Single(other.Deviations).Why);
    }
}
