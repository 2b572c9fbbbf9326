using Wendrak.Core.Loops;

namespace Wendrak.Core.Fit;

/// <summary>How much adjustment is left, one figure for every kind of adjuster.</summary>
/// <param name="LeftMm">Travel from where the moving wheel stands to where the path is longest.</param>
/// <param name="LeftPercent">Of the whole track.</param>
/// <param name="ElongationPercent">Elongation of the loop, against the path as it is, that this takes up.</param>
/// <param name="Steps">In the adjuster's own steps, whole ones of clicks and shims; null where no step was given.</param>
/// <param name="IsNearlyUsedUp">Less than a tenth of the track is left.</param>
public sealed record AdjustmentReserve(
    double LeftMm,
    double LeftPercent,
    double ElongationPercent,
    double? Steps,
    AdjusterStep? Step,
    bool IsNearlyUsedUp
)
{
    /// <summary>Warned of before the adjuster is at its end; common practice.</summary>
    public const double LeastSharePercent = 10;

    // A step that is there but for the last digit is there.
    private const double Rounding = 1e-6;

    /// <returns>Null with fixed centres.</returns>
    internal static AdjustmentReserve? Of(FittedLoop fitted, LoopPath path, double travelMm)
    {
        if (fitted.Range is not { } range)
            return null;
        double left = Math.Abs(range.TightestAtMm - travelMm);
        double percent = left / fitted.TrackMm * 100;
        return new(
            left,
            percent,
            (range.MostMm / path.LengthMm - 1) * 100,
            fitted.Counted is { } step ? StepsIn(left, step) : null,
            fitted.Counted,
            percent < LeastSharePercent
        );
    }

    private static double StepsIn(double leftMm, AdjusterStep step)
    {
        double steps = leftMm / step.TravelMm;
        return step.Kind == AdjusterStepKind.Turn ? steps : Math.Floor(steps + Rounding);
    }
}
