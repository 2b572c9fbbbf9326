using Wendrak.Core.Quantities;
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
        int inside = runs.Count(r => r.Tally.IsInside && r.End == NextStep.Done);
        double median = runs.Select(r => r.Tally.Rounds).Order().ElementAt(Drives / 2);
        double most = runs.Max(r => r.Tally.OverByUnits);
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
            int inside = runs.Count(r => r.Tally.IsInside && r.End == NextStep.Done);
            output.WriteLine($"{machine.Name}: {inside} of {seeds}, over {runs.Max(r => r.Tally.OverByUnits):0.####}");
            foreach (var end in runs.GroupBy(r => r.End))
                output.WriteLine($"  {end.Key}: {end.Count()}");
            Assert.True(inside >= 0.9 * seeds, $"{machine.Name}: {inside} of {seeds}");
            Assert.True(runs.Max(r => r.Tally.OverByUnits) <= loop.Setting.Adjuster.Step, machine.Name);
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

    /// <summary>Whoever does at every step what the advisor would do is its equal; the same drive, the same readings.</summary>
    [Fact]
    public void Whoever_decides_as_the_advisor_does_fares_as_well()
    {
        foreach (SetInput loop in new[] { SetCases.Belt(), SetCases.Chain() })
            for (int seed = 0; seed < 20; seed++)
            {
                List<SetRound> rounds = [Read(seed, loop, [], 0, 0, LockState.Torqued)];
                while (true)
                {
                    SetAdvice advice = SetEvaluation.Advise(loop with { Rounds = rounds });
                    if (advice.Next is not (NextStep.Turn or NextStep.TightenAndRead))
                        break;
                    (double left, double right) = (Units(advice, Side.Left), Units(advice, Side.Right));
                    rounds.Add(Read(seed, loop, rounds, left, right, advice.UsualLock));
                }
                PracticeScore score = PracticeScoring.Of(seed, loop with { Rounds = rounds });
                Assert.Equal(score.Master, score.Own);
                Assert.Equal(rounds.Count - 1, score.Rounds.Count);
                Assert.All(score.Rounds, r => Assert.True(r.IsLikeAdvised));
            }
    }

    [Fact]
    public void A_hand_that_goes_too_far_is_told_by_how_much_and_what_would_have_been_turned()
    {
        SetInput loop = SetCases.Chain();
        int seed = Enumerable.Range(0, 50).First(s => ReadsLoose(s, loop));
        SetRound found = Read(seed, loop, [], 0, 0, LockState.Torqued);
        SetRound far = Read(seed, loop, [found], 3, 3, LockState.Nipped);
        PracticeScore score = PracticeScoring.Of(seed, loop with { Rounds = [found, far] });
        Assert.Equal(
            (1, false, false, 6.0),
            (score.Own.Rounds, score.Own.IsInside, score.Own.IsTorqued, score.Own.TurnedUnits)
        );
        DecidedRound round = Assert.Single(score.Rounds);
        Assert.Equal(
            (3.0, 3.0, NextStep.Turn, false),
            (round.LeftUnits, round.RightUnits, round.Advised, round.IsLikeAdvised)
        );
        Assert.NotEmpty(round.Moves);
        // Worked out by hand from what is revealed: as found, run-out and answer give the place it went past the window.
        Working over = score.Workings.Single(w => w.Title.StartsWith("Past the window", StringComparison.Ordinal));
        Assert.Equal(over.Result.Value, score.Own.OverByUnits, 9);
        double Of(string symbol) => over.Values.Single(v => v.Symbol == symbol).Value;
        Assert.Equal(score.Hidden.Tightest, Of("T"), 9);
        Assert.True(score.Own.OverByUnits > 1, $"{score.Own.OverByUnits}");
        Assert.Equal(0, PracticeScoring.Of(seed, loop with { Rounds = [found] }).Own.OverByUnits);
        Assert.True(score.Master.IsInside);
    }

    /// <summary>What is revealed is what it answers: a reading without noise lies within a hand’s error of it.</summary>
    [Fact]
    public void What_is_revealed_is_what_was_read()
    {
        SetInput loop = SetCases.Belt();
        for (int seed = 0; seed < 30; seed++)
        {
            SetRound found = Read(seed, loop, [], 0, 0, LockState.Torqued);
            HiddenFacts hidden = PracticeScoring.Of(seed, loop with { Rounds = [found] }).Hidden;
            double[] read = [.. found.Readings.Select(r => r.Value)];
            Assert.InRange(read.Max(), hidden.LoosestReading!.Value * 0.97, hidden.TightestReading!.Value * 1.03);
            Assert.InRange(read.Min(), hidden.LoosestReading!.Value * 0.97, hidden.TightestReading!.Value * 1.03);
            Assert.True(hidden.PerStepReading > 0);
            Assert.InRange(found.GapMm!.Value, hidden.GapMm!.Value - 0.5, hidden.GapMm!.Value + 0.5);
        }
    }

    [Fact]
    public void Nothing_is_scored_before_it_was_read_as_found() =>
        Refusals.Names("Loop.Rounds", () => PracticeScoring.Of(1, SetCases.Belt()));

    private static bool ReadsLoose(int seed, SetInput loop) =>
        SetEvaluation.Advise(loop with { Rounds = [Read(seed, loop, [], 0, 0, LockState.Torqued)] })
            is { Next: NextStep.Turn, Moves: [{ Tightens: true }, ..] };

    private static double Units(SetAdvice advice, Side side) =>
        advice.Moves.Where(m => m.Side == side).Sum(m => m.Tightens ? m.Units : -m.Units);

    private static SetRound Read(
        int seed,
        SetInput loop,
        IReadOnlyList<SetRound> before,
        double left,
        double right,
        LockState locked
    )
    {
        SetRound turned = new(left, right, locked, []);
        PracticeReading read = PracticeDrive.Read(new(seed, loop with { Rounds = [.. before, turned] }, locked));
        return turned with { Readings = read.Readings, GapMm = read.GapMm };
    }
}
