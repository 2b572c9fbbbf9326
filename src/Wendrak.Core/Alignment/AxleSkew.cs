using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;
using static System.Math;
using static Wendrak.Core.Quantities.Maths;

namespace Wendrak.Core.Alignment;

/// <param name="DifferenceMm">Right less left, from the same point ahead to the axle.</param>
/// <param name="RightTurnsToSquare">On the right adjuster alone, in the sense that pulls the axle back; null without a thread.</param>
/// <param name="WalksTo">Where a belt goes: to the side where the shafts are closer. Null where it is square.</param>
public sealed record AxleSkewResult(double SkewDeg, double DifferenceMm, double? RightTurnsToSquare, Side? WalksTo);

/// <summary>An axle that is further back on one side. Source: trigonometry; tracking rule: common practice.</summary>
public static class AxleSkew
{
    internal static readonly Formula<Func<double, double, double, double>> Skew = new(
        "Skew of the axle",
        "γ",
        ("skew", "°"),
        (left, right, spacing) => Deg(Atan((right - left) / spacing)),
        [("from a point ahead", "mm"), ("from a point ahead", "mm"), ("of both ends", "mm")],
        "trigonometry",
        "Marks on arms are often off: measure from the pivot."
    );

    /// <param name="leftMm">From a point ahead to the axle, as a trammel or marks tell.</param>
    /// <param name="spacingMm">Between both adjusters.</param>
    /// <param name="pitchMm">Of the adjusters' thread; null where they have none.</param>
    /// <exception cref="InvalidInputException">A value is not physical.</exception>
    public static AxleSkewResult Compute(double leftMm, double rightMm, double spacingMm, double? pitchMm)
    {
        new Guard()
            .MoreThan(nameof(leftMm), leftMm, 0, "mm")
            .MoreThan(nameof(rightMm), rightMm, 0, "mm")
            .MoreThan(nameof(spacingMm), spacingMm, 0, "mm")
            .BetweenIfGiven(nameof(pitchMm), pitchMm, 0.1, 20, "mm")
            .ThrowIfAny();
        double difference = rightMm - leftMm;
        return new(
            Skew.Value(leftMm, rightMm, spacingMm),
            difference,
            -difference / pitchMm,
            difference > 0 ? Side.Left
                : difference < 0 ? Side.Right
                : null
        );
    }
}
