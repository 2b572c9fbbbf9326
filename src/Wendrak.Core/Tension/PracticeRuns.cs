using Wendrak.Core.Quantities;

namespace Wendrak.Core.Tension;

/// <summary>How the advisor fares with one simulated drive.</summary>
/// <param name="Rounds">Of turning until it said “done” or gave up; as found and the last torque are not counted.</param>
/// <param name="IsInside">True when the drive, as it really stands, has both ends in the window and the gap in its bounds.</param>
/// <param name="OverByUnits">How far the tightest place ever went past the window, in units of the adjuster; 0 when it never did.</param>
public sealed record PracticeRun(NextStep End, int Rounds, bool IsInside, double OverByUnits);

/// <summary>Sets simulated drives by the advisor's word alone.</summary>
public static class PracticeRuns
{
    private const int MostRounds = 20;

    /// <exception cref="InvalidInputException">The loop has no window, or is refused.</exception>
    public static PracticeRun Of(int seed, SetInput loop)
    {
        SpanFacts span = SpanFinder.Of(loop);
        TightnessScale scale = new(loop.Loop.Medium == Gearing.LoopMedium.Chain, span);
        TensionWindow window =
            WindowFinder.Of(loop, scale)
            ?? throw new InvalidInputException("Loop.Setting.MakerLow", "missing", "Give a window to set by.");
        PracticeDrive.HiddenDrive hidden = new(seed, loop.Setting, scale, window);
        List<SetRound> rounds = [ReadRound(hidden, [], 0, 0, LockState.Nipped)];
        double over = 0;
        bool wasOver = hidden.Tightest(rounds, LockState.Nipped) > window.High;
        for (int turned = 0; ; )
        {
            SetAdvice advice = SetAdvising.Of(loop with { Rounds = rounds });
            LockState locked = advice.Next == NextStep.TightenAndRead ? LockState.Torqued : LockState.Nipped;
            if (advice.Next is not (NextStep.Turn or NextStep.TightenAndRead) || rounds.Count > MostRounds)
                return new(advice.Next, turned, Stands(hidden, rounds, window, scale, loop.Setting), over);
            double left = UnitsOf(advice, isRight: false);
            double right = UnitsOf(advice, isRight: true);
            if (advice.Next == NextStep.Turn)
                turned++;
            rounds.Add(ReadRound(hidden, rounds, left, right, locked));
            double past = (hidden.Tightest(rounds, locked) - window.High) / hidden.SlopePerUnit(rounds);
            wasOver &= past > 0;
            // What was found too tight is no overshoot until it was inside once.
            if (!wasOver && left + right > 0)
                over = Math.Max(over, past);
        }
    }

    private static double UnitsOf(SetAdvice advice, bool isRight) =>
        advice.Moves.Where(m => (m.Side == Alignment.Side.Right) == isRight).Sum(m => m.Tightens ? m.Units : -m.Units);

    private static SetRound ReadRound(
        PracticeDrive.HiddenDrive hidden,
        IReadOnlyList<SetRound> before,
        double left,
        double right,
        LockState locked
    )
    {
        SetRound turned = new(left, right, locked, []);
        PracticeReading read = hidden.Read([.. before, turned], locked);
        return turned with { Readings = read.Readings, GapMm = read.GapMm };
    }

    private static bool Stands(
        PracticeDrive.HiddenDrive hidden,
        IReadOnlyList<SetRound> rounds,
        TensionWindow window,
        TightnessScale scale,
        LoopSetting setting
    )
    {
        LockState locked = rounds[^1].Lock;
        double gap = hidden.Gap(rounds, locked);
        // A reading is no truer than the hand that takes it: one standard deviation of it beyond the window is inside.
        double slack = 0.02 * Math.Abs(window.High);
        return hidden.Tightest(rounds, locked) <= window.High + slack
            && hidden.Loosest(rounds, locked) >= window.LoosestAllowed(scale) - slack
            && (setting.GapSide is null || (gap >= setting.GapLow - 0.25 && gap <= setting.GapHigh + 0.25));
    }
}
