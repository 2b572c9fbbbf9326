using Wendrak.Core.Quantities;

namespace Wendrak.Core.Geometry;

public enum AdjusterStepKind
{
    /// <summary>A whole turn of the adjuster's screw.</summary>
    Turn,

    /// <summary>A click of a cam or a toothed plate.</summary>
    Click,

    /// <summary>A shim put in or taken out.</summary>
    Shim,
}

/// <summary>What a person does at the adjuster, and how far that moves the wheel.</summary>
/// <param name="TravelMm">Along the track: the pitch of the screw, the way of one click, the thickness of a shim.</param>
public sealed record AdjusterStep(AdjusterStepKind Kind, double TravelMm)
{
    internal Guard Check() =>
        new Guard().OneOf(nameof(Kind), Kind).Between(nameof(TravelMm), TravelMm, 0.01, 100, "mm");
}

/// <summary>How much adjustment is left, one figure for every kind of adjuster.</summary>
/// <param name="LeftMm">Travel from where the mover stands to where the path is longest.</param>
/// <param name="LeftPercent">Of the whole track.</param>
/// <param name="GrowthPercent">Growth of the loop, against the path as it is, that this takes up.</param>
/// <param name="Steps">In the adjuster's own steps, whole ones of clicks and shims; null where no step was given.</param>
/// <param name="IsNearlyUsedUp">Less than a tenth of the track is left.</param>
public sealed record AdjustmentReserve(
    double LeftMm,
    double LeftPercent,
    double GrowthPercent,
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
        if (fitted.Layout.Mover is not { } mover || fitted.Range is not { } range)
            return null;
        double left = Math.Abs(range.TightestAtMm - travelMm);
        double percent = left / fitted.TrackMm * 100;
        return new(
            left,
            percent,
            (range.MostMm / path.LengthMm - 1) * 100,
            mover.Step is { } step ? StepsIn(left, step) : null,
            mover.Step,
            percent < LeastSharePercent
        );
    }

    private static double StepsIn(double leftMm, AdjusterStep step)
    {
        double steps = leftMm / step.TravelMm;
        return step.Kind == AdjusterStepKind.Turn ? steps : Math.Floor(steps + Rounding);
    }
}
