using Wendrak.Core.Records;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;
using Xunit.Abstractions;

namespace Wendrak.Core.Tests.Tension;

/// <summary>The advisor against simulated drives whose stiffness, run-out, skew and nut shift it does not know.</summary>
public sealed class PracticeTests(ITestOutputHelper output)
{
    private const int Drives = 200; // a thousand of each are in bench

    [Theory]
    [InlineData("belt")]
    [InlineData("chain")]
    public void It_brings_simulated_drives_into_window_and_track(string kind)
    {
        SetInput loop = kind == "belt" ? SetCases.Belt() : SetCases.Chain();
        PracticeRun[] runs = [.. Enumerable.Range(0, Drives).Select(seed => PracticeRuns.Run(seed, loop))];
        int inside = runs.Count(r => r.IsInside && r.End == NextStep.Done);
        double median = runs.Select(r => r.Rounds).Order().ElementAt(Drives / 2);
        double most = runs.Max(r => r.OverByUnits);
        output.WriteLine(
            $"{kind}: {inside} of {Drives} inside and done, median {median} rounds, most over {most:0.###} turns"
        );
        foreach (var end in runs.GroupBy(r => r.End))
            output.WriteLine($"  {end.Key}: {end.Count()}");
        Assert.True(inside >= 0.9 * Drives, $"{inside} of {Drives}");
        Assert.True(median <= 3, $"median {median}");
        Assert.True(most <= 1 / 16.0, $"over by {most} turns");
    }

    /// <summary>Every machine that ships to learn on has a window, and can be set by what is told.</summary>
    [Fact]
    public void The_machines_to_learn_on_can_be_set()
    {
        const int seeds = 100;
        foreach (MachineDraft draft in PracticeMachines.All)
        {
            Machine machine = draft.Machine;
            SetInput loop = new(
                machine.Drives[0],
                machine.Kind,
                draft.Fitted,
                [],
                machine.Layouts![0],
                null,
                machine.Loads?.Strengths[0],
                machine.Settings![0],
                []
            );
            Assert.NotNull(SetEvaluation.Advise(loop).WindowLooseReading);
            PracticeRun[] runs = [.. Enumerable.Range(0, seeds).Select(seed => PracticeRuns.Run(seed, loop))];
            int inside = runs.Count(r => r.IsInside && r.End == NextStep.Done);
            output.WriteLine($"{machine.Name}: {inside} of {seeds}, over {runs.Max(r => r.OverByUnits):0.####}");
            foreach (var end in runs.GroupBy(r => r.End))
                output.WriteLine($"  {end.Key}: {end.Count()}");
            Assert.True(inside >= 0.9 * seeds, $"{machine.Name}: {inside} of {seeds}");
            Assert.True(runs.Max(r => r.OverByUnits) <= loop.Setting.Adjuster.Step, machine.Name);
        }
    }

    [Fact]
    public void The_same_seed_is_the_same_drive_and_answers_its_adjusters()
    {
        SetInput loop = SetCases.Belt(new SetRound(0, 0, LockState.Nipped, []));
        PracticeReading found = PracticeDrive.Read(new(7, loop, LockState.Nipped));
        Assert.Equal(found.Readings, PracticeDrive.Read(new(7, loop, LockState.Nipped)).Readings);
        SetInput turned = loop with { Rounds = [.. loop.Rounds, new SetRound(0.5, 0.5, LockState.Nipped, [])] };
        PracticeReading after = PracticeDrive.Read(new(7, turned, LockState.Nipped));
        Assert.True(after.Readings.Average(r => r.Value) > found.Readings.Average(r => r.Value));
        Assert.Equal(4, found.Readings.Count);
        Assert.NotNull(found.GapMm);
    }

    [Fact]
    public void Without_a_window_there_is_nothing_to_practise_for() =>
        Refusals.Names(
            "Loop.Setting.MakerLow",
            () =>
                PracticeDrive.Read(
                    new(
                        1,
                        SetCases.Belt() with
                        {
                            Setting = new("final", new(AdjusterKind.TwoEnds)),
                            Strength = null,
                        },
                        LockState.Nipped
                    )
                )
        );
}
