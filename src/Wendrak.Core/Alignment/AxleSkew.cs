using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Alignment;

/// <param name="DifferenceMm">Right less left, from the same point ahead to the axle.</param>
/// <param name="RightTurnsToSquare">On the right adjuster alone, in the sense that pulls the axle back; null without a thread.</param>
/// <param name="WalksTo">Where a belt goes: to the side where the shafts are closer. Null where it is square.</param>
public sealed record AxleSkewResult(double SkewDeg, double DifferenceMm, double? RightTurnsToSquare, Side? WalksTo);

/// <summary>An axle that is further back on one side. Source: trigonometry; tracking rule: common practice.</summary>
public static class AxleSkew
{
    /// <param name="leftMm">From a point ahead to the axle, as a trammel or marks tell.</param>
    /// <param name="spacingMm">Between both adjusters.</param>
    /// <param name="pitchMm">Of the adjusters' thread; null where they have none.</param>
    /// <exception cref="InvalidInputException">A value is not physical.</exception>
    public static AxleSkewResult Of(double leftMm, double rightMm, double spacingMm, double? pitchMm)
    {
        new Guard()
            .MoreThan(nameof(leftMm), leftMm, 0, "mm")
            .MoreThan(nameof(rightMm), rightMm, 0, "mm")
            .MoreThan(nameof(spacingMm), spacingMm, 0, "mm")
            .BetweenIfGiven(nameof(pitchMm), pitchMm, 0.1, 20, "mm")
            .ThrowIfAny();
        double difference = rightMm - leftMm;
        return new(
            Math.Atan(difference / spacingMm) * 180 / Math.PI,
            difference,
            -difference / pitchMm,
            difference > 0 ? Side.Left
                : difference < 0 ? Side.Right
                : null
        );
    }
}
