using Wendrak.Core.Quantities;

namespace Wendrak.Core.Tension;

/// <summary>Says which adjuster to turn, which way and how far, and when to stop.</summary>
/// <remarks>
/// Model: the mean place of both ends sets tightness, their difference the gap; a belt walks to the side where the shafts are
/// closer (common practice). How much is learned from the rounds, beginning with what stiffness and geometry expect. The smallest
/// step is allowed once where nothing is known: both ends alike for tension, one of them for the gap.
/// </remarks>
internal sealed class NextStepFinder
{
    private const double GapSigmaMm = 0.2; // read by rule: common practice

    private readonly LoopSetting _setting;
    private readonly TightnessScale _scale;
    private readonly TensionWindow? _window;
    private readonly SetGoal _goal;
    private readonly IReadOnlyList<SetRound> _rounds;
    private readonly double _expectedSlope;
    private readonly bool _isSlopeKnown;
    private readonly MoveFinder _moves;
    private AnswerFault? _fault;

    public LearnedResponse Tension { get; }
    public LearnedResponse Gap { get; }
    public double ExpectedSlope => _expectedSlope;
    public double Bias => _setting.Bias;
    public TightnessUnit Unit => _scale.Unit;

    /// <inheritdoc cref="MoveFinder.Moved"/>
    public (double MeanMm, double SkewMm) Moved(double left, double right) => _moves.Moved(left, right);

    /// <summary>Left on the adjuster as it was measured, less what was turned since; null where nobody looked.</summary>
    public double? WayLeftMm { get; private set; }

    /// <inheritdoc cref="MoveFinder.EccentricLeft"/>
    public Explained? EccentricLeft => _moves.EccentricLeft;

    public NextStepFinder(
        LoopSetting setting,
        TightnessScale scale,
        TensionWindow? window,
        SetGoal goal,
        IReadOnlyList<SetRound> rounds
    )
    {
        (_setting, _scale, _window, _goal, _rounds) = (setting, scale, window, goal, rounds);
        (_expectedSlope, double share, _isSlopeKnown) = ExpectedAnswer.OfTension(scale, setting, FirstTightness());
        double nut = Math.Max(Math.Abs(window?.High ?? FirstTightness() ?? 1), 1e-6) * ExpectedAnswer.NutShare;
        Tension = new(_expectedSlope, share * Math.Abs(_expectedSlope), nut);
        (double gapSlope, double gapShare) = ExpectedAnswer.OfGap(setting);
        Gap = new(gapSlope, gapShare * Math.Abs(gapSlope), ExpectedAnswer.NutGapMm);
        _moves = new(setting, scale, window, goal, Tension, Gap, rounds);
        WayLeftMm = rounds is [{ WayLeftMm: double left }, ..] ? left : null;
        for (int i = 1; i < rounds.Count; i++)
            LearnFrom(rounds[i - 1], rounds[i]);
    }

    private double? FirstTightness() =>
        _rounds
            .SelectMany(round => round.Readings.Select(_scale.In(round).Read))
            .FirstOrDefault(t => t is not null)
            ?.Value;

    private void LearnFrom(SetRound before, SetRound after)
    {
        (double mean, double skew) = _moves.Moved(after.LeftUnits, after.RightUnits);
        _moves.Stand(after.LeftUnits);
        WayLeftMm = after.WayLeftMm ?? WayLeftMm - mean;
        if (after.LearnAnew)
        {
            // Mended since: neither the answer nor what was wrong with it says anything of how it stands now.
            _fault = null;
            Tension.Forget();
            Gap.Forget();
            return;
        }
        if (_setting.Adjuster.SetsItself)
            return; // a spring that is let go changes it with no turn at all
        int tightened = Torqued(after) - Torqued(before);
        Tightness? change = Change(before, after);
        double? gapChange = after.GapMm - before.GapMm;
        _fault = AnswerFault.Find(
            mean,
            skew,
            tightened,
            change,
            gapChange,
            Tension,
            Gap,
            _window,
            _setting.Adjuster.IsOfSheave
        );
        if (change is { } answer)
            Tension.Learn(mean, tightened, answer.Value, answer.Sigma);
        if (gapChange is double gap)
            Gap.Learn(skew, tightened, gap, Math.Sqrt(2) * GapSigmaMm);
    }

    private static int Torqued(SetRound round) => round.Lock == LockState.Torqued ? 1 : 0;

    private Tightness? Change(SetRound before, SetRound after) =>
        MeanOf(before) is { } was && MeanOf(after) is { } now
            ? new(now.Value - was.Value, Math.Sqrt(now.Sigma * now.Sigma + was.Sigma * was.Sigma))
            : null;

    private Tightness? MeanOf(SetRound round)
    {
        Tightness[] answer = [.. round.Readings.Select(_scale.In(round).Read).OfType<Tightness>()];
        if (answer.Length == 0)
            return null;
        double sigma = Math.Sqrt(answer.Sum(t => t.Sigma * t.Sigma)) / answer.Length;
        return new(answer.Average(t => t.Value), sigma);
    }

    /// <summary>What comes next after the last round.</summary>
    public (NextStep Next, double Left, double Right) Next(RoundResult? last)
    {
        if (last is null || (last.Method is null && last.GapMm is null))
            return (NextStep.ReadAsFound, 0, 0);
        if (_moves.WantsTension && Unjudged(last) is NextStep unjudged)
            return (unjudged, 0, 0);
        if (_fault is not null || IsWithoutAnswer())
            return (NextStep.LooseOrBent, 0, 0);
        bool isTorqued = _rounds[^1].Lock == LockState.Torqued;
        if (IsTight(last, isTorqued) && IsTracked(last, isTorqued) && _rounds[^1].FreeAtIdle == false)
            return (NextStep.NotFreeAtIdle, 0, 0);
        if (IsTight(last, isTorqued) && IsTracked(last, isTorqued))
            return (isTorqued ? NextStep.Done : NextStep.TightenAndRead, 0, 0);
        if (_setting.Adjuster.IsFixed)
            return (NextStep.NothingMoves, 0, 0);
        if (_setting is { Adjuster.IsOfSheave: true, Shims: null or { IsTold: false } })
            return (NextStep.SayShims, 0, 0);
        if (_setting.Adjuster.SetsItself)
            return (_rounds.Count > 1 ? NextStep.SpringIsWrong : NextStep.LetSpringSet, 0, 0);
        if (_moves.WantsTension && last.SureSpread is double spread && _window?.IsTooNarrowFor(_scale, spread) == true)
            return (NextStep.SpreadTooWide, 0, 0);
        if (IsAtItsEnd(last))
            return (NextStep.AtItsEnd, 0, 0);
        return Turned(last, isTorqued);
    }

    /// <summary>What keeps a reading from being judged; null where nothing does.</summary>
    private NextStep? Unjudged(RoundResult last)
    {
        if (last.Loosest is null && last.Grades is null)
            return last.Method is ReadingMethod.Feel or ReadingMethod.Gauge ? NextStep.TieReading
                : last.Method is null && _moves.WantsGap ? null
                : NextStep.GiveWindow;
        return _window is null && last.Grades is null ? NextStep.GiveWindow : null;
    }

    private (NextStep, double, double) Turned(RoundResult last, bool isTorqued)
    {
        bool wantsTrack = _moves.WantsGap && last.GapMm is not null && !IsTracked(last, isTorqued);
        int wayOfTension = WayOfTension(last, isTorqued);
        if (last.Grades is not null && wayOfTension != 0)
            return ByFeel(last, wayOfTension);
        if (_goal == SetGoal.TrackingOnly && wantsTrack && !_moves.KnowsEnd(last))
            return (NextStep.ChooseTrackingEnd, 0, 0);
        (double left, double right) = _moves.Best(last, isTorqued ? 0 : 1);
        if (left == 0 && IsHalfAShimOff(last) && !HasShimFor(wayOfTension))
            return (NextStep.NoShimLeft, 0, 0);
        (double mean, double skew) = _moves.Moved(left, right);
        // Where nothing is known yet the smallest step is allowed once: then it learns.
        if (wayOfTension != 0 && !_setting.Adjuster.IsOfSheave && Tension.Rounds == 0 && mean * wayOfTension <= 0)
            return (
                NextStep.Turn,
                wayOfTension * _setting.Adjuster.Step,
                _setting.Adjuster.HasTwoEnds ? wayOfTension * _setting.Adjuster.Step : 0
            );
        if (wantsTrack && wayOfTension == 0 && Gap.Rounds == 0 && skew == 0 && _setting.Adjuster.HasTwoEnds)
            (left, right) = _moves.TrialOfGap(last);
        return left == 0 && right == 0 ? (NextStep.AsNearAsAHand, 0, 0) : (NextStep.Turn, left, right);
    }

    /// <summary>Whether a shim, were it there, would bring it nearer.</summary>
    private bool IsHalfAShimOff(RoundResult last) =>
        _window is not null
        && last is { Loosest: double low, Tightest: double high }
        && Math.Abs(_window.AimOfLoosest(_scale, high - low, _setting.Bias).Value - low)
            > _setting.Adjuster.TravelMm / 2;

    /// <summary>False where the next shim that way is not there; true of any other adjuster.</summary>
    private bool HasShimFor(int way) => ShimsLeft.Of(_setting, _rounds, way) is not { IsPossible: false };

    /// <summary>A hand tells loose, right or tight: one smallest step that way, and none back again.</summary>
    private (NextStep, double, double) ByFeel(RoundResult last, int way)
    {
        if (last.Grades is { HasLoose: true, HasTight: true })
            return (NextStep.SpreadTooWide, 0, 0);
        (double before, double skew) = _moves.Moved(_rounds[^1].LeftUnits, _rounds[^1].RightUnits);
        // What was turned for the gap may be made good; a step of tension that went too far is none to be undone.
        if (_rounds.Count > 1 && before * way < 0 && skew == 0 && !_rounds[^1].LearnAnew)
            return (NextStep.AsNearAsAHand, 0, 0);
        return (
            NextStep.Turn,
            way * _setting.Adjuster.Step,
            _setting.Adjuster.HasTwoEnds ? way * _setting.Adjuster.Step : 0
        );
    }

    /// <summary>+1 where it must be tightened, −1 where loosened, 0 where tension is fine or not asked for.</summary>
    private int WayOfTension(RoundResult last, bool isTorqued)
    {
        if (!_moves.WantsTension || IsTight(last, isTorqued))
            return 0;
        if (last.Grades is { } grades)
            return grades.HasTight ? -1 : 1;
        if (_window is null || last is not { Loosest: double low, Tightest: double high })
            return 0;
        double nut = isTorqued ? 0 : Tension.Shift;
        return high + nut > _window.High ? -1
            : low + nut < _window.LoosestAllowed(_scale) || high + nut < _window.Low ? 1
            : 0;
    }

    /// <summary>Whether what is left on the adjuster is less than it takes to come into the window.</summary>
    private bool IsAtItsEnd(RoundResult last) =>
        _moves.WantsTension
        && _window is not null
        && (WayLeftMm ?? EccentricLeft?.Value) is double way
        && last is { Loosest: double low, Tightest: double high }
        && Math.Max(_window.LoosestAllowed(_scale) - low, _window.Low - high) > way * Tension.Slope;

    /// <summary>Whether it was turned and turned and hardly answers: an adjuster that slips, or an axle that is not free.</summary>
    private bool IsWithoutAnswer() =>
        Tension.Rounds > 0
        && Tension.Slope + 2 * Tension.SlopeSigma
            < (_isSlopeKnown ? AnswerFault.FaintShare : AnswerFault.FaintShareOfAGuess) * _expectedSlope;

    /// <summary>Whether tension will be right once everything is tight: what the nut is known to do is counted in.</summary>
    private bool IsTight(RoundResult last, bool isTorqued)
    {
        if (!_moves.WantsTension)
            return true;
        if (last.Grades is { } grades)
            return !grades.HasLoose && !grades.HasTight;
        double nut = isTorqued ? 0 : Tension.Shift;
        return last is { Loosest: double low, Tightest: double high }
            && _window?.Holds(_scale, low + nut, high + nut) == true;
    }

    private bool IsTracked(RoundResult last, bool isTorqued)
    {
        double nut = isTorqued ? 0 : Gap.Shift;
        return !_moves.WantsGap
            || last.GapMm is not double gap
            || (gap + nut >= _setting.GapLow && gap + nut <= _setting.GapHigh);
    }
}
