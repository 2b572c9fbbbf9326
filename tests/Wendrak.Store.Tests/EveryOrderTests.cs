using Wendrak.Store.Ledger;

namespace Wendrak.Store.Tests;

/// <summary>Add, change, remove, undo and redo of every kind in any order: nothing is lost, and nothing fails but by a refusal.</summary>
public sealed class EveryOrderTests
{
    private const int Steps = 100;
    private const int First = 100;

    public static TheoryData<int> Seeds => [.. Enumerable.Range(1, 12), 1016, 1022, 1037];

    [Theory, MemberData(nameof(Seeds))]
    public Task All_that_was_done_can_be_taken_back_to_the_last_and_brought_again(int seed) =>
        TakeBackAndBringAgainAsync(seed, Steps);

    internal static async Task TakeBackAndBringAgainAsync(int seed, int steps)
    {
        using TempStore store = new();
        EveryOrder order = new(store, seed);
        for (int step = 0; step < steps; step++)
            await order.StepAsync();
        string end = await EveryOrder.EverythingAsync(store);
        List<Change> taken = [];
        foreach (Change change in await StandingAsync(store))
            taken.Add(await store.Undoing.UndoAsync("Ann", change.Id, default));
        Assert.Equal("", await EveryOrder.EverythingAsync(store));
        // And every one of these undoings is taken back, the last one first.
        foreach (Change undoing in taken.AsEnumerable().Reverse())
            await store.Undoing.UndoAsync("Ann", undoing.Id, default);
        Assert.Equal(end, await EveryOrder.EverythingAsync(store));
        store.Database.LookThrough();
        Assert.Empty(store.Database.Damage.Found);
    }

    /// <summary>What has an effect now, newest first: an undoing that stands has taken its own effect away with the other's.</summary>
    private static async Task<IEnumerable<Change>> StandingAsync(TempStore store)
    {
        Dictionary<long, Change> all = (await store.History.ListAsync(null, null, 2000)).ToDictionary(c => c.Id);
        return all.Values.Where(c => c.UndoneBy is null && Depth(c) % 2 == 0).OrderByDescending(c => c.Id);

        int Depth(Change change) => change.Undoes is long undone ? 1 + Depth(all[undone]) : 0;
    }

    [Fact]
    public async Task Every_kind_of_step_was_done()
    {
        HashSet<string> left = ["put on"];
        for (int seed = First; seed < First + 9; seed++)
        {
            using TempStore store = new();
            EveryOrder order = new(store, seed);
            if (seed == First)
                left.UnionWith(order.Kinds);
            for (int step = 0; step < 120; step++)
                await order.StepAsync();
            left.ExceptWith(order.Done.Keys);
        }
        Assert.Empty(left);
    }
}
