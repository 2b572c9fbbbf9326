using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tension;

/// <summary>How the advisor fares with one simulated drive.</summary>
/// <param name="End">What it said last: “done”, or why it gave up.</param>
/// <param name="IsDeadEnd">True when it gave up although a few steps of a hand would bring it right.</param>
public sealed record PracticeRun(NextStep End, PracticeTally Tally, bool IsDeadEnd);

/// <summary>Sets simulated drives by the advisor's word alone.</summary>
public static class PracticeRuns
{
    private const int MostRounds = 58; // what a visit takes, as found and the last torque aside
    private const int NearSteps = 8; // of a hand, either way: what a person would still try

    /// <param name="loop">With no rounds it is found with its nut nipped; else its first one is how it was found.</param>
    /// <exception cref="InvalidInputException">The loop has no window, or is refused.</exception>
    public static PracticeRun Run(int seed, SetInput loop, PracticeInstrument instrument = PracticeInstrument.Usual)
    {
        SpanFacts span = SpanFinder.Find(loop);
        bool isChain = loop.Loop.DriveElement == DriveElement.Chain;
        TightnessScale scale = new(isChain, span, instrument == PracticeInstrument.Gauge);
        TensionWindow window =
            WindowFinder.Find(loop, scale).Window
            ?? throw new InvalidInputException("Loop.Setting.MakerLow", "missing", "Give a window to set by.");
        PracticeBench bench = new(new(seed, loop.Setting, scale, window, instrument), loop, window, scale);
        PracticeCount count = new(bench);
        count.Add(loop.Rounds.Count > 0 ? loop.Rounds[0] : bench.Read([], 0, 0, LockState.Nipped));
        while (true)
        {
            SetAdvice advice = SetEvaluation.Advise(loop with { Rounds = count.Rounds }, explains: false);
            (double left, double right)? advised = advice.Next switch
            {
                NextStep.Turn => (
                    AdjusterMove.UnitsOf(advice.Moves, isRight: false),
                    AdjusterMove.UnitsOf(advice.Moves, isRight: true)
                ),
                NextStep.TightenAndRead => (0, 0),
                // Somebody is asked, and says.
                NextStep.ChooseTrackingEnd => (0, 0),
                _ => null,
            };
            if (advice.Next == NextStep.ChooseTrackingEnd)
            {
                loop = loop with { Setting = loop.Setting with { TrackingEnd = Side.Right } };
                continue;
            }
            if (advised is not { } move || count.Rounds.Count > MostRounds)
                return new(
                    advice.Next,
                    count.Tally,
                    advice.Next != NextStep.Done && !count.IsInside && bench.CanBeRight(count.Rounds, NearSteps)
                );
            count.Add(bench.Read(count.Rounds, move.left, move.right, advice.UsualLock));
        }
    }
}
