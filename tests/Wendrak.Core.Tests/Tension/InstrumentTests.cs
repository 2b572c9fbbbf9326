using Wendrak.Core.Tension;
using Xunit.Abstractions;

namespace Wendrak.Core.Tests.Tension;

/// <summary>The advisor with every instrument and goal, against simulated drives; thousands of them in the benchmark.</summary>
public sealed class InstrumentTests(ITestOutputHelper output)
{
    private const int Drives = 50;

    public static TheoryData<string> Names => [.. InstrumentCases.All.Select(c => c.Name)];

    [Theory, MemberData(nameof(Names))]
    public void No_instrument_ends_in_a_dead_end_nor_past_the_window_by_more_than_a_hand_step(string name)
    {
        (_, SetInput loop, PracticeInstrument instrument) = InstrumentCases.All.Single(c => c.Name == name);
        PracticeRun[] runs = [.. Enumerable.Range(0, Drives).Select(seed => PracticeRuns.Run(seed, loop, instrument))];
        foreach (var end in runs.GroupBy(r => r.End))
            output.WriteLine($"{end.Key}: {end.Count()}, inside {end.Count(r => r.Tally.IsInside)}");
        output.WriteLine(
            $"over by {runs.Max(r => r.Tally.OverByUnits):0.####} turn, rounds {runs.Average(r => r.Tally.Rounds):0.0}"
        );
        int[] dead = [.. runs.Select((r, seed) => (r, seed)).Where(x => x.r.IsDeadEnd).Select(x => x.seed)];
        Assert.True(dead.Length == 0, $"dead ends: {string.Join(", ", dead.Select(s => $"{s} {runs[s].End}"))}");
        Assert.True(runs.Max(r => r.Tally.OverByUnits) <= loop.Setting.Adjuster.Step * (1 + 1e-9));
        Assert.True(runs.Count(r => r.End == NextStep.Done) >= 0.9 * Drives);
        Assert.True(
            runs.Count(r => r.End == NextStep.Done && r.Tally.IsInside) >= 0.9 * runs.Count(r => r.End == NextStep.Done)
        );
    }
}
