using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using static System.Math;
using static Wendrak.Core.Quantities.Maths;

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

    private static readonly Quantity LeftQuantity = new("way left", "mm");

    private static readonly Formula<Func<double, double, double>> Left = new(
        "Way left on the adjuster",
        "l",
        LeftQuantity,
        (t_end, t) => Abs(t_end - t),
        [("travel at the longest path", "mm"), ("travel where it stands", "mm")],
        "plane geometry",
        "An adjuster may bind before its end: the maker's mark wins."
    );

    private static readonly Formula<Func<double, double, double>> Share = new(
        "Adjustment left",
        "share",
        ("of the adjuster", "%"),
        (l, T) => Percent(l / T),
        [LeftQuantity, ("whole way", "mm")],
        "plane geometry; warned of under 10 %: common practice",
        "An adjuster may bind before its end: the maker's mark wins."
    );

    private static readonly Formula<Func<double, double, double>> Turns = new(
        "Turns left",
        "n",
        ("turns", ""),
        (l, s) => l / s,
        [LeftQuantity, ("way of one turn", "mm")],
        "plane geometry",
        "An adjuster may bind before its end: the maker's mark wins."
    );

    // A step that is there but for the last digit is there.
    private static readonly Formula<Func<double, double, double>> WholeSteps = new(
        "Steps left",
        "n",
        ("whole steps", ""),
        (l, s) => Floor(l / s + 0.000001),
        [LeftQuantity, ("way of one step", "mm")],
        "plane geometry",
        "Clicks and shims count whole. An adjuster may bind before its end: the maker's mark wins."
    );

    /// <summary>Elongation of a loop that the longest path takes up.</summary>
    internal static readonly Formula<Func<double, double, double>> Elongation = new(
        "Elongation that can still be taken up",
        "reserve",
        ("elongation", "%"),
        (L_end, L) => Percent(L_end / L - 1),
        [("longest path on the track", "mm"), ("loop, or the path where it stands", "mm")],
        "plane geometry",
        "Says nothing about when a belt is worn."
    );

    /// <returns>Null with fixed centres.</returns>
    internal static AdjustmentReserve? Compute(FittedLoop fitted, LoopPath path, double travelMm)
    {
        if (fitted.Range is not { } range)
            return null;
        double left = Left.Value(range.TightestAtMm, travelMm);
        double percent = Share.Value(left, fitted.TrackMm);
        return new(
            left,
            percent,
            Elongation.Value(range.MostMm, path.LengthMm),
            fitted.Counted is { } step ? StepsIn(left, step).Value : null,
            fitted.Counted,
            percent < LeastSharePercent
        );
    }

    private static Explained StepsIn(double leftMm, AdjusterStep step) =>
        step.Kind == AdjusterStepKind.Turn
            ? Turns.With(leftMm, step.TravelMm)
            : WholeSteps.With(
                leftMm,
                new(step.TravelMm, Meaning: $"way of one {step.Kind.ToString().ToLowerInvariant()}")
            );

    internal static IEnumerable<Working> Workings(FittedLoop fitted, AdjustmentReserve reserve, double travelMm)
    {
        yield return Share.With(reserve.LeftMm, fitted.TrackMm).Working;
        yield return Left.With(fitted.Range!.Value.TightestAtMm, travelMm).Working;
        if (fitted.Counted is { } step)
            yield return StepsIn(reserve.LeftMm, step).Working;
    }
}
