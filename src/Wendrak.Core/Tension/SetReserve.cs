using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tension;

/// <summary>How it is known what an adjuster has left.</summary>
public enum ReserveOrigin
{
    /// <summary>Read at its marks or thread in this visit, less what was turned since.</summary>
    Measured,

    /// <summary>By the angle of an eccentric.</summary>
    Eccentric,

    /// <summary>By where Fit lays a loop of its nominal length; a grown one has less.</summary>
    Fit,
}

/// <summary>Way that an adjuster has left to tighten.</summary>
/// <param name="AfterUnits">After the move: in turns, whole clicks or shims; null of an eccentric.</param>
/// <param name="IsNearlyUsedUp">Less than a tenth of the way is left after the move; null where the whole way is not known.</param>
public sealed record SetReserve(
    double NowMm,
    double AfterMm,
    double? AfterUnits,
    bool? IsNearlyUsedUp,
    ReserveOrigin Origin
)
{
    private const double LeastShare = AdjustmentReserve.LeastSharePercent / 100;

    /// <param name="tightness">Of the middle of the newest round, in the scale of the loop; null where it can't be told.</param>
    /// <param name="moveMm">Way of the axle's middle in the next move.</param>
    /// <returns>Null where nobody looked and nothing was laid out.</returns>
    internal static SetReserve? Of(SetInput input, NextStepFinder advisor, double? tightness, double moveMm)
    {
        LoopSetting setting = input.Setting;
        FittedLoop? fitted = Fitted(input);
        if (advisor.WayLeftMm is double measured)
            return Told(setting, measured, moveMm, fitted?.TrackMm, ReserveOrigin.Measured);
        if (advisor.EccentricLeftMm is double left)
            return Told(setting, left, moveMm, 2 * setting.Adjuster.EccentricOffset, ReserveOrigin.Eccentric);
        bool isStraight = advisor.Unit is TightnessUnit.Newton or TightnessUnit.LoopMm;
        if (
            fitted is not { Closing: double closing, Range: { } range }
            || tightness is not double t
            || !isStraight
            || setting.Adjuster.Kind == AdjusterKind.SprungArm
        )
            return null;
        // From where the loop is just taut: a slack chain stands before that place, a tight belt beyond it.
        double now = Math.Abs(range.TightestAtMm - closing) - t / advisor.Tension.Slope;
        return Told(setting, now, moveMm, fitted.TrackMm, ReserveOrigin.Fit);
    }

    private static SetReserve Told(
        LoopSetting setting,
        double nowMm,
        double moveMm,
        double? wholeMm,
        ReserveOrigin origin
    )
    {
        double after = nowMm - moveMm;
        double units = after / setting.Adjuster.TravelMm;
        return new(
            nowMm,
            after,
            setting.Adjuster.IsEccentric ? null
                : setting.Adjuster.Turns ? units
                : Math.Floor(units + 1e-6),
            wholeMm is > 0 ? after < LeastShare * wholeMm : null,
            origin
        );
    }

    /// <summary>Null where nothing was laid out, or what moves is no axle or motor that goes straight.</summary>
    private static FittedLoop? Fitted(SetInput input)
    {
        LoopChoice? choice = input.Loops.FirstOrDefault(c => c.LoopKey == input.Setting.LoopKey);
        if (
            choice is null
            || input.Layout is not { Moving: { Wheel: LoopLayout.FrontName or LoopLayout.RearName, Track: LineTrack } }
        )
            return null;
        try
        {
            return new(new(input.Drive, choice, choice, input.Layout, null, false, null));
        }
        catch (InvalidInputException)
        {
            return null; // It can't be laid there: then nobody knows what is left.
        }
    }
}
