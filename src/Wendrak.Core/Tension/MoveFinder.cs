using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tension;

/// <summary>Finds, of all moves a hand can make, the one that brings tension and gap nearest without going past the window.</summary>
internal sealed class MoveFinder(
    LoopSetting setting,
    TightnessScale scale,
    TensionWindow? window,
    SetGoal goal,
    LearnedResponse tension,
    LearnedResponse gap,
    IReadOnlyList<SetRound> rounds
)
{
    // Standard deviations of what is not known yet that a move must leave below the window's end: before and after the first answer.
    private const double FirstCaution = 3;
    private const double Caution = 1;

    private readonly AdjusterTravel _travel = new(setting);
    private double _standing; // units done at the left or only adjuster since as found

    public bool WantsTension => goal != SetGoal.TrackingOnly;
    public bool WantsGap => goal != SetGoal.TensionOnly && setting.GapSide is not null;

    /// <summary>Left of an eccentric by its angle; null for anything else.</summary>
    public Explained? EccentricLeft => _travel.Left(_standing);

    /// <summary>Counts what was turned at the left or only adjuster.</summary>
    public void Stand(double leftUnits) => _standing += leftUnits;

    /// <summary>Way of the axle's middle from where it stands, and how much further the right end goes than the left, mm.</summary>
    public (double MeanMm, double SkewMm) Moved(double left, double right) =>
        setting.Adjuster.HasTwoEnds
            ? ((left + right) / 2 * setting.Adjuster.TravelMm, (right - left) * setting.Adjuster.TravelMm)
            : (_travel.Mm(_standing, left), 0);

    /// <summary>The smallest step of one end, where nothing is known yet of how the gap answers.</summary>
    public (double Left, double Right) TrialOfGap(RoundResult last)
    {
        double wanted = (setting.GapLow + setting.GapHigh) / 2 - last.GapMm!.Value;
        int skew = Math.Sign(wanted * gap.Slope);
        // Both tighten or both loosen it: what also mends the tension, else the right end, which most people turn for tracking.
        bool tightens = TightensForTrack(last) ?? true;
        return (skew > 0) == tightens ? (0, skew * setting.Adjuster.Step) : (-skew * setting.Adjuster.Step, 0);
    }

    /// <summary>Of all moves a hand can make, the one that comes nearest without going past the window.</summary>
    public (double Left, double Right) Best(RoundResult last, int tightening)
    {
        int most = (int)Math.Floor(setting.Adjuster.MostAtOnce / setting.Adjuster.Step + 1e-9);
        bool? tightensForTrack = goal == SetGoal.TrackingOnly ? TightensForTrack(last) : null;
        (double Left, double Right) best = (0, 0);
        double bestCost = Cost(last, 0, 0, tightening);
        for (int l = -most; l <= most; l++)
        for (int r = -most; r <= most; r++)
        {
            (double left, double right) = (l * setting.Adjuster.Step, r * setting.Adjuster.Step);
            if (
                !IsAllowed(l, r, last, tightensForTrack)
                || !_travel.IsWithin(_standing + left)
                || ShimsLeft.Of(setting, rounds, left) is { IsPossible: false }
            )
                continue;
            double cost = Cost(last, left, right, tightening);
            if (cost < bestCost - 1e-9)
                (best, bestCost) = ((left, right), cost);
        }
        return best;
    }

    /// <summary>Both ends go alike, so that the axle stays as square as it is, unless a gap tells which one must go further.</summary>
    private bool IsAllowed(int left, int right, RoundResult last, bool? tightensForTrack)
    {
        if (!setting.Adjuster.HasTwoEnds)
            return right == 0;
        if (!WantsGap || last.GapMm is null)
            return left == right;
        if (goal != SetGoal.TrackingOnly)
            return true;
        bool isPair = left == -right;
        bool isOneEnd = left == 0 || right == 0;
        // Tension that is right stays right when both ends go against each other.
        if (IsTensionKnownRight(last))
            return isPair || isOneEnd;
        return isOneEnd
            && (
                tightensForTrack is bool tightens ? (tightens ? left + right >= 0 : left + right <= 0)
                : setting.TrackingEnd == Side.Right ? left == 0
                : right == 0
            );
    }

    private bool IsTensionKnownRight(RoundResult last) =>
        last is { Loosest: double low, Tightest: double high } && window?.Holds(scale, low, high) == true;

    /// <summary>Whether it is known which end is turned for the gap alone; else somebody must be asked.</summary>
    public bool KnowsEnd(RoundResult last) =>
        !setting.Adjuster.HasTwoEnds
        || IsTensionKnownRight(last)
        || TightensForTrack(last) is not null
        || setting.TrackingEnd is not null;

    /// <summary>Whether turning for the gap should tighten as well: where tension is known, or felt, to be off; else null.</summary>
    private bool? TightensForTrack(RoundResult last)
    {
        if (last.Grades is { } grades && (grades.HasLoose || grades.HasTight))
            return !grades.HasTight;
        if (window is null || last is not { Loosest: double low, Tightest: double high })
            return null;
        return window.Holds(scale, low, high) ? null : high <= window.High;
    }

    /// <summary>How far from the aim a move would end, as parts of the windows' halves; infinite where it may go past.</summary>
    private double Cost(RoundResult last, double left, double right, int tightening)
    {
        const double perAdjuster = 0.02; // leave one alone rather than turn both for nothing
        (double mean, double skew) = Moved(left, right);
        double cost = (left != 0 ? perAdjuster : 0) + (right != 0 ? perAdjuster : 0);
        if (WantsTension && window is not null && last is { Loosest: double low, Tightest: double high })
        {
            double change = tension.Predict(mean, tightening);
            double sigma = tension.SigmaOf(mean, tightening);
            // One hand step more than it should take is the least that can go wrong: once it has answered, that much is risked.
            bool isSmallest = tension.Rounds > 0 && IsSmallest(left) && IsSmallest(right);
            double caution =
                isSmallest ? 0
                : tension.Rounds == 0 ? FirstCaution
                : Caution;
            if (mean > 0 && high + change + caution * sigma > window.High)
                return double.PositiveInfinity;
            double half = Math.Max((window.High - window.Low) / 2, 1e-9);
            double off = (low + change - window.AimOfLoosest(scale, high - low, setting.Bias).Value) / half;
            cost += off * off;
        }
        if (WantsGap && last.GapMm is double at)
        {
            double half = Math.Max((setting.GapHigh - setting.GapLow) / 2, 0.1);
            double off = (at + gap.Predict(skew, tightening) - (setting.GapLow + setting.GapHigh) / 2) / half;
            cost += off * off;
        }
        return cost;
    }

    private bool IsSmallest(double units) => Math.Abs(units) <= setting.Adjuster.Step * (1 + 1e-9);
}
