using Wendrak.Core.Alignment;

namespace Wendrak.Core.Tension;

/// <summary>Says which adjuster to turn, which way and how far, and when to stop.</summary>
/// <remarks>
/// Model: the mean place of both ends sets tightness, their difference the gap; a belt walks to the side where the shafts are
/// closer (common practice). How much is learned from the rounds, beginning with what stiffness and geometry expect.
/// </remarks>
internal sealed class SetAdvisor
{
    private const double GapSigmaMm = 0.2; // read by rule: common practice

    // Standard deviations of what is not known yet that a move must leave below the window's end: before and after the first answer.
    private const double FirstCaution = 3;
    private const double Caution = 1;
    private const double SurpriseLimit = 3.5;
    private const double FaintShare = 0.12; // of the expected answer: then it does not move with its adjuster

    private readonly LoopSetting _setting;
    private readonly TightnessScale _scale;
    private readonly TensionWindow? _window;
    private readonly SetGoal _goal;
    private readonly IReadOnlyList<SetRound> _rounds;
    private readonly double _expectedSlope;
    private readonly AdjusterTravel _travel;
    private double _standing; // units done at the left or only adjuster since as found

    public LearnedResponse Tension { get; }
    public LearnedResponse Gap { get; }
    public double ExpectedSlope => _expectedSlope;
    public double Bias => _setting.Bias;
    public TightnessUnit Unit => _scale.Unit;

    /// <summary>Left on the adjuster as it was measured, less what was turned since; null where nobody looked.</summary>
    public double? WayLeftMm { get; private set; }

    /// <summary>Left of an eccentric by its angle; null for anything else.</summary>
    public double? EccentricLeftMm => _travel.LeftMm(_standing);

    public SetAdvisor(
        LoopSetting setting,
        TightnessScale scale,
        TensionWindow? window,
        SetGoal goal,
        IReadOnlyList<SetRound> rounds
    )
    {
        (_setting, _scale, _window, _goal, _rounds) = (setting, scale, window, goal, rounds);
        _travel = new(setting);
        (_expectedSlope, double share) = ExpectedAnswer.OfTension(scale, setting, FirstTightness());
        double nut = Math.Max(Math.Abs(window?.High ?? FirstTightness() ?? 1), 1e-6) * ExpectedAnswer.NutShare;
        Tension = new(_expectedSlope, share * Math.Abs(_expectedSlope), nut);
        (double gapSlope, double gapShare) = ExpectedAnswer.OfGap(setting);
        Gap = new(gapSlope, gapShare * Math.Abs(gapSlope), ExpectedAnswer.NutGapMm);
        WayLeftMm = rounds is [{ WayLeftMm: double left }, ..] ? left : null;
        for (int i = 1; i < rounds.Count; i++)
            LearnFrom(rounds[i - 1], rounds[i]);
    }

    private double? FirstTightness() =>
        _rounds
            .SelectMany(round => round.Readings.Select(_scale.In(round).Of))
            .FirstOrDefault(t => t is not null)
            ?.Value;

    private void LearnFrom(SetRound before, SetRound after)
    {
        (double mean, double skew) = Moved(after.LeftUnits, after.RightUnits);
        _standing += after.LeftUnits;
        WayLeftMm = after.WayLeftMm ?? WayLeftMm - mean;
        int tightened = Torqued(after) - Torqued(before);
        if (MeanOf(before) is { } was && MeanOf(after) is { } now)
            Tension.Learn(
                mean,
                tightened,
                now.Value - was.Value,
                Math.Sqrt(now.Sigma * now.Sigma + was.Sigma * was.Sigma)
            );
        if (before.GapMm is double gapBefore && after.GapMm is double gapAfter)
            Gap.Learn(skew, tightened, gapAfter - gapBefore, Math.Sqrt(2) * GapSigmaMm);
    }

    private static int Torqued(SetRound round) => round.Lock == LockState.Torqued ? 1 : 0;

    private Tightness? MeanOf(SetRound round)
    {
        Tightness[] told = [.. round.Readings.Select(_scale.In(round).Of).OfType<Tightness>()];
        if (told.Length == 0)
            return null;
        double sigma = Math.Sqrt(told.Sum(t => t.Sigma * t.Sigma)) / told.Length;
        return new(told.Average(t => t.Value), sigma);
    }

    /// <summary>Way of the axle's middle from where it stands, and how much further the right end goes than the left, mm.</summary>
    public (double MeanMm, double SkewMm) Moved(double left, double right) =>
        _setting.HasTwoEnds
            ? ((left + right) / 2 * _setting.MmPerUnit, (right - left) * _setting.MmPerUnit)
            : (_travel.Mm(_standing, left), 0);

    /// <summary>What comes next after the last round.</summary>
    public (NextStep Next, double Left, double Right) Next(RoundResult? last)
    {
        if (last is null || (last.Loosest is null && last.GapMm is null))
            return (Unread(last), 0, 0);
        if (_window is null && _goal != SetGoal.TrackingOnly)
            return (NextStep.GiveWindow, 0, 0);
        if (IsUnfaithful())
            return (NextStep.LooseOrBent, 0, 0);
        SetRound now = _rounds[^1];
        bool isTorqued = now.Lock == LockState.Torqued;
        if (IsThere(last, isTorqued))
            return (isTorqued ? NextStep.Done : NextStep.TightenAndRead, 0, 0);
        if (WantsTension && last.Spread is double spread && _window!.IsTooNarrowFor(_scale, spread))
            return (NextStep.SpreadTooWide, 0, 0);
        if (IsAtItsEnd(last))
            return (NextStep.AtItsEnd, 0, 0);
        (double left, double right) = BestMove(last, isTorqued ? 0 : 1);
        return left == 0 && right == 0 ? (NextStep.AsNearAsAHand, 0, 0) : (NextStep.Turn, left, right);
    }

    private static NextStep Unread(RoundResult? last) =>
        last?.Method switch
        {
            null => NextStep.ReadAsFound,
            ReadingMethod.Feel or ReadingMethod.Gauge => NextStep.TieReading,
            _ => NextStep.GiveWindow,
        };

    /// <summary>Whether what is left on the adjuster is less than it takes to come into the window.</summary>
    private bool IsAtItsEnd(RoundResult last) =>
        WantsTension
        && (WayLeftMm ?? EccentricLeftMm) is double way
        && last is { Loosest: double low, Tightest: double high }
        && Math.Max(_window!.LoosestAllowed(_scale) - low, _window.Low - high) > way * Tension.Slope;

    private bool WantsTension => _goal != SetGoal.TrackingOnly;
    private bool WantsGap => _goal != SetGoal.TensionOnly && _setting.GapSide is not null;

    private bool IsUnfaithful() =>
        Tension.Rounds > 0
        && (
            Tension.LastSurprise > SurpriseLimit
            || Tension.Slope < FaintShare * _expectedSlope && Tension.SlopeSigma < FaintShare * _expectedSlope
            || Gap.LastSurprise > SurpriseLimit
        );

    /// <summary>Whether it will stand where it should once everything is tight: what the nut is known to do is counted in.</summary>
    private bool IsThere(RoundResult last, bool isTorqued)
    {
        (double nut, double nutGap) = isTorqued ? (0, 0) : (Tension.Shift, Gap.Shift);
        bool isTight =
            last is { Loosest: double low, Tightest: double high }
            && _window?.Holds(_scale, low + nut, high + nut) == true;
        bool isTracked =
            last.GapMm is not double gap || (gap + nutGap >= _setting.GapLow && gap + nutGap <= _setting.GapHigh);
        return (!WantsTension || isTight) && (!WantsGap || isTracked);
    }

    /// <summary>Of all moves a hand can make, the one that comes nearest without going past the window.</summary>
    private (double Left, double Right) BestMove(RoundResult last, int tightening)
    {
        int most = (int)Math.Floor(_setting.MostAtOnce / _setting.Step + 1e-9);
        (double Left, double Right) best = (0, 0);
        double bestCost = Cost(last, 0, 0, tightening);
        for (int l = -most; l <= most; l++)
        for (int r = -most; r <= most; r++)
        {
            (double left, double right) = (l * _setting.Step, r * _setting.Step);
            if (!IsAllowed(l, r, last.GapMm is not null) || !_travel.IsWithin(_standing + left))
                continue;
            double cost = Cost(last, left, right, tightening);
            if (cost < bestCost - 1e-9)
                (best, bestCost) = ((left, right), cost);
        }
        return best;
    }

    /// <summary>Both ends go alike, so that the axle stays as square as it is, unless a gap tells which one must go further.</summary>
    private bool IsAllowed(int left, int right, bool isGapRead) =>
        !_setting.HasTwoEnds ? right == 0
        : !WantsGap || !isGapRead ? left == right
        : _goal == SetGoal.TrackingOnly ? left == -right || left == 0 || right == 0
        : true;

    /// <summary>How far from the aim a move would end, as parts of the windows' halves; infinite where it may go past.</summary>
    private double Cost(RoundResult last, double left, double right, int tightening)
    {
        const double perAdjuster = 0.02; // leave one alone rather than turn both for nothing
        (double mean, double skew) = Moved(left, right);
        double cost = (left != 0 ? perAdjuster : 0) + (right != 0 ? perAdjuster : 0);
        if (WantsTension && _window is not null && last is { Loosest: double low, Tightest: double high })
        {
            double change = Tension.Predict(mean, tightening);
            double sigma = Tension.SigmaOf(mean, tightening);
            if (mean > 0 && high + change + (Tension.Rounds == 0 ? FirstCaution : Caution) * sigma > _window.High)
                return double.PositiveInfinity;
            double half = Math.Max((_window.High - _window.Low) / 2, 1e-9);
            double off = (low + change - _window.AimOfLoosest(_scale, high - low, _setting.Bias)) / half;
            cost += off * off;
        }
        if (WantsGap && last.GapMm is double gap)
        {
            double half = Math.Max((_setting.GapHigh - _setting.GapLow) / 2, 0.1);
            double off = (gap + Gap.Predict(skew, tightening) - (_setting.GapLow + _setting.GapHigh) / 2) / half;
            cost += off * off;
        }
        return cost;
    }
}
