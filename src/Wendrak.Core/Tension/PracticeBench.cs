using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tension;

/// <summary>A hidden drive with what is asked of it.</summary>
internal sealed class PracticeBench(
    PracticeDrive.HiddenDrive hidden,
    SetInput loop,
    TensionWindow window,
    TightnessScale scale
)
{
    /// <summary>Standard deviation that counts as inside: no drive stands truer than the hand that reads it.</summary>
    public const double Reading = 1;

    private const double GapSlackMm = 0.25;

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

    /// <summary>How far the tightest place is past the window, in units of the adjuster; below 0 where it is not.</summary>
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
