using Wendrak.Core.Records;
using Wendrak.Core.Tension;
using Wendrak.Store.Ledger;
using Wendrak.Store.Machines;
using Wendrak.Store.Records;

namespace Wendrak.Store.Tests;

/// <summary>What must be done again is ticked off by doing it at a job, and comes back with the closing that did it.</summary>
public sealed class DoneByClosingTests : IDisposable
{
    private static readonly DateOnly Today = new(2026, 11, 29);
    private readonly TempStore _store = new();
    private long _machine;

    public void Dispose() => _store.Dispose();

    [Fact]
    public async Task A_closed_reading_ticks_off_the_new_reading_and_an_alignment_only_where_a_gap_was_read()
    {
        SetJob visit = await BeginAsync();
        await FitTrialAsync();
        await ReadAsync(visit, gapMm: null);
        await CloseAsync(visit);
        Assert.Equal([FollowUpKind.Alignment], await OpenAtSetAsync());

        SetJob second = await BeginAsync();
        await ReadAsync(second, gapMm: 1.5);
        await CloseAsync(second);
        Assert.Empty(await OpenAtSetAsync());
    }

    [Fact]
    public async Task What_was_read_of_the_wheels_before_ticks_nothing_off()
    {
        SetJob visit = await BeginAsync();
        await ReadAsync(visit, 1.5);
        await FitTrialAsync();
        await CloseAsync(visit);
        Assert.Equal([FollowUpKind.Alignment, FollowUpKind.Reading], await OpenAtSetAsync());
    }

    [Fact]
    public async Task Ticking_something_else_by_hand_in_between_does_not_matter()
    {
        SetJob visit = await BeginAsync();
        Setup fitted = await FitTrialAsync();
        await ReadAsync(visit, 1.5);
        Setup ticked = fitted with { FollowUps = [.. fitted.FollowUps!.Where(t => t.Task != FollowUpKind.Ratio)] };
        await _store.Setups.ChangeAsync("Ann", ticked, default);
        await CloseAsync(visit);
        Assert.Empty(await OpenAtSetAsync());
    }

    [Fact]
    public async Task The_closing_and_its_ticks_are_one_entry_that_is_undone_and_done_again_together()
    {
        SetJob visit = await BeginAsync();
        await FitTrialAsync();
        await ReadAsync(visit, 1.5);
        await CloseAsync(visit);
        Change closing = await _store.LastChangeAsync();
        Assert.Equal("closed the setting of final: it did what was to be done again", closing.What);
        Assert.Equal("setup", Assert.Single(closing.Things).Thing);

        foreach (int _ in new[] { 1, 2 })
        {
            await _store.UndoLastAsync();
            Assert.Equal([FollowUpKind.Alignment, FollowUpKind.Reading], await OpenAtSetAsync());
            Assert.Null((await FindAsync(visit)).Closing);
            await _store.UndoLastAsync();
            Assert.Empty(await OpenAtSetAsync());
            Assert.NotNull((await FindAsync(visit)).Closing);
        }
    }

    [Fact]
    public async Task A_closing_that_was_gone_on_from_is_not_undone_with_its_ticks()
    {
        SetJob visit = await BeginAsync();
        await FitTrialAsync();
        await ReadAsync(visit, 1.5);
        await CloseAsync(visit);
        long closing = (await _store.LastChangeAsync()).Id;
        await HappensAsync(visit, new JobSigned(Today, null, null, null, "so"));
        await Assert.ThrowsAsync<CannotUndoException>(() => _store.Undoing.UndoAsync("Ann", closing, default));
        Assert.Empty(await OpenAtSetAsync());
    }

    [Fact]
    public async Task Sent_twice_it_is_ticked_off_once()
    {
        SetJob visit = await BeginAsync();
        await FitTrialAsync();
        await ReadAsync(visit, 1.5);
        foreach (int _ in new[] { 1, 2 })
            await _store.Jobs.AppendAsync("Ann", visit.Id, [new("closing", Closed)], default);
        Assert.Single(
            await _store.History.ListAsync(null, null, 50),
            c => c.What.StartsWith("closed", StringComparison.Ordinal)
        );
    }

    private static VisitClosed Closed { get; } =
        new("final", Today, 90, Enum.GetValues<ClosingStep>(), null, null, null, "as it should be");

    private async Task<SetJob> BeginAsync()
    {
        if (_machine == 0)
            _machine = (await _store.AddMachineAsync()).Machine.Id;
        SetJob visit = new(0, 0, _machine, "final", Today, null, SetGoal.Both, [], [], null);
        return (await _store.Jobs.AddAsync("Ann", visit, default))!;
    }

    private async Task<Setup> FitTrialAsync()
    {
        Setup trial = await _store.AddTrialAsync(_machine, "Trial B", 15, 43);
        await _store.Setups.FitAsync("Ann", trial.Id, trial.Version, default);
        return await FittedAsync();
    }

    private Task ReadAsync(SetJob visit, double? gapMm) =>
        HappensAsync(
            visit,
            new RoundNoted("final", new(0, 0, LockState.Torqued, [], gapMm)),
            new ReadingTaken("final", new(ReadingMethod.FreePlay, 31)),
            new RoundKept("final", null)
        );

    private Task CloseAsync(SetJob visit) => HappensAsync(visit, Closed);

    private Task HappensAsync(SetJob visit, params JobEvent[] events) =>
        _store.Jobs.AppendAsync(
            "Ann",
            visit.Id,
            [.. events.Select(e => new SentEvent($"{Guid.NewGuid()}", e))],
            default
        );

    private async Task<SetJob> FindAsync(SetJob visit) =>
        (await _store.Jobs.ListAsync(_machine)).Single(v => v.Id == visit.Id);

    private async Task<Setup> FittedAsync() => (await _store.Machines.FindAsync(_machine))!.Fitted;

    private async Task<FollowUpKind[]> OpenAtSetAsync() =>
        [.. ((await FittedAsync()).FollowUps ?? []).Where(t => t.Station == Station.Set).Select(t => t.Task)];
}
