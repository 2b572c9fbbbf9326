using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tension;

/// <summary>How the advisor fares with one simulated drive.</summary>
/// <param name="Rounds">Of turning until it said “done” or gave up; as found and the last torque are not counted.</param>
/// <param name="IsInside">True when the drive, as it really stands, is right in what was asked: tension, gap, or both.</param>
/// <param name="IsDeadEnd">True when it gave up although a few steps of a hand would bring it right.</param>
/// <param name="TurnedUnits">All that was turned on the way, either side and either way.</param>
/// <param name="OverByUnits">How far the tightest place ever went past the window, in units of the adjuster; 0 when it never did.</param>
public sealed record PracticeRun(
    NextStep End,
    int Rounds,
    bool IsInside,
    bool IsDeadEnd,
    double TurnedUnits,
    double OverByUnits
);

/// <summary>Sets simulated drives by the advisor's word alone.</summary>
public static class PracticeRuns
{
    private const int MostRounds = 58; // what a visit takes, as found and the last torque aside
    private const double Reading = 1; // standard deviation: no drive stands truer than the hand that reads it
    private const double GapSlackMm = 0.25;
    private const int NearSteps = 8; // of a hand, either way: what a person would still try

    /// <exception cref="InvalidInputException">The loop has no window, or is refused.</exception>
    public static PracticeRun Run(int seed, SetInput loop, PracticeInstrument instrument = PracticeInstrument.Usual)
    {
        SpanFacts span = SpanFinder.Find(loop);
        bool isChain = loop.Loop.DriveElement == DriveElement.Chain;
        TightnessScale scale = new(isChain, span, instrument == PracticeInstrument.Gauge);
        TensionWindow window =
            WindowFinder.Find(loop, scale).Window
            ?? throw new InvalidInputException("Loop.Setting.MakerLow", "missing", "Give a window to set by.");
        Bench bench = new(new(seed, loop.Setting, scale, window, instrument), loop, window, scale);
        List<SetRound> rounds = [bench.Read([], 0, 0, LockState.Nipped)];
        double over = 0;
        bool wasOver = bench.OverByUnits(rounds) > 0;
        for (int turned = 0; ; )
        {
            SetAdvice advice = SetEvaluation.Advise(loop with { Rounds = rounds });
            (double left, double right)? advised = advice.Next switch
            {
                NextStep.Turn => (UnitsOf(advice, isRight: false), UnitsOf(advice, isRight: true)),
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
            bool isRight = bench.Stands(rounds, 0, 0, Reading);
            if (advised is not { } move || rounds.Count > MostRounds)
                return new(
                    advice.Next,
                    turned,
                    isRight,
                    advice.Next != NextStep.Done && !isRight && bench.CanBeRight(rounds, NearSteps),
                    rounds.Sum(r => Math.Abs(r.LeftUnits) + Math.Abs(r.RightUnits)),
                    over
                );
            turned += advice.Next == NextStep.Turn ? 1 : 0;
            rounds.Add(bench.Read(rounds, move.left, move.right, advice.UsualLock));
            double past = bench.OverByUnits(rounds);
            wasOver &= past > 0;
            // What was found too tight is no overshoot until it was inside once.
            if (!wasOver && move.left + move.right > 0)
                over = Math.Max(over, past);
        }
    }

    private static double UnitsOf(SetAdvice advice, bool isRight) =>
        advice.Moves.Where(m => (m.Side == Side.Right) == isRight).Sum(m => m.Tightens ? m.Units : -m.Units);

    /// <summary>A hidden drive with what is asked of it.</summary>
    private sealed class Bench(
        PracticeDrive.HiddenDrive hidden,
        SetInput loop,
        TensionWindow window,
        TightnessScale scale
    )
    {
        public SetRound Read(IReadOnlyList<SetRound> before, double left, double right, LockState locked)
        {
            SetRound turned = new(left, right, locked, []);
            PracticeReading read = hidden.Read([.. before, turned], locked);
            // Whoever asks for tracking alone reads nothing else.
            return turned with
            {
                Readings = loop.Goal == SetGoal.TrackingOnly ? [] : read.Readings,
                GapMm = loop.Goal == SetGoal.TensionOnly ? null : read.GapMm,
            };
        }

        public double OverByUnits(IReadOnlyList<SetRound> rounds) =>
            loop.Goal == SetGoal.TrackingOnly
                ? 0
                : (hidden.Tightest(rounds, rounds[^1].Lock) - window.High) / hidden.SlopePerUnit(rounds);

        /// <summary>Whether the drive itself would be right after a further move.</summary>
        /// <param name="slack">Standard deviations of reading it that count as inside; negative ones as outside.</param>
        public bool Stands(IReadOnlyList<SetRound> rounds, double left, double right, double slack)
        {
            LockState locked = rounds[^1].Lock;
            SetRound[] then = [.. rounds, new(left, right, locked, [])];
            double off = slack * Math.Max(0.02 * Math.Abs(window.High), 0.1 * (window.High - window.Low));
            double gapOff = slack * GapSlackMm;
            bool isTight =
                hidden.Tightest(then, locked) <= window.High + off
                && hidden.Loosest(then, locked) >= window.LoosestAllowed(scale) - off;
            double gap = hidden.Gap(then, locked);
            bool isTracked =
                loop.Setting.GapSide is null
                || (gap >= loop.Setting.GapLow - gapOff && gap <= loop.Setting.GapHigh + gapOff);
            return (loop.Goal == SetGoal.TrackingOnly || isTight) && (loop.Goal == SetGoal.TensionOnly || isTracked);
        }

        /// <summary>Whether some further move brings it where every reading calls it right.</summary>
        public bool CanBeRight(IReadOnlyList<SetRound> rounds, int steps)
        {
            for (int l = -steps; l <= steps; l++)
            for (int r = -steps; r <= steps; r++)
                if (
                    (loop.Setting.Adjuster.HasTwoEnds || r == 0)
                    && Stands(rounds, l * loop.Setting.Adjuster.Step, r * loop.Setting.Adjuster.Step, -Reading)
                )
                    return true;
            return false;
        }
    }
}
