using Wendrak.Core.Quantities;

namespace Wendrak.Core.Alignment;

/// <summary>How two wheels lie to each other.</summary>
/// <param name="OffsetMm">Of the second wheel's middle from the line of the first, across the belt.</param>
/// <param name="AngleDeg">Between both wheels.</param>
/// <param name="OffsetMmPerM">Offset for each metre of centre.</param>
/// <param name="OffsetAngleDeg">The same as an angle.</param>
/// <param name="EdgeLies">False where the straight-edge hardly lies on the first wheel: then the reading says little.</param>
public sealed record StraightedgeReadingResult(
    double OffsetMm,
    double AngleDeg,
    double OffsetMmPerM,
    double OffsetAngleDeg,
    bool EdgeLies
);

/// <summary>A straight-edge along both wheels, gaps read at two places of each. Source: plane trigonometry.</summary>
public static class StraightedgeReading
{
    // More than this between both gaps of the wheel it should lie on: common practice.
    private const double LiesWithinMm = 0.5;

    /// <param name="xMm">Four places along the edge: two on the first wheel, two on the second.</param>
    /// <param name="gapMm">From face to edge, negative past the edge.</param>
    /// <param name="rimWidthFrontMm">A wider rim's face stands further out.</param>
    /// <exception cref="InvalidInputException">Not four, or two places are one.</exception>
    public static StraightedgeReadingResult Of(
        IReadOnlyList<double> xMm,
        IReadOnlyList<double> gapMm,
        double rimWidthFrontMm,
        double rimWidthRearMm
    )
    {
        const double mostGapMm = 50;
        Guard guard = new();
        guard
            .Count(nameof(xMm), xMm.Count, 4, 4, "places")
            .Count(nameof(gapMm), gapMm.Count, 4, 4, "gaps")
            .Between(nameof(rimWidthFrontMm), rimWidthFrontMm, 0, 1_000, "mm")
            .Between(nameof(rimWidthRearMm), rimWidthRearMm, 0, 1_000, "mm");
        guard.ThrowIfAny();
        for (int i = 0; i < 4; i++)
            guard.Between($"{nameof(gapMm)}[{i}]", gapMm[i], -mostGapMm, mostGapMm, "mm");
        guard
            .That(xMm[1] > xMm[0], $"{nameof(xMm)}[1]", "order", "Give a place beyond the first one.")
            .That(xMm[2] > xMm[1], $"{nameof(xMm)}[2]", "order", "Give a place on the second wheel, beyond the first.")
            .That(xMm[3] > xMm[2], $"{nameof(xMm)}[3]", "order", "Give a place beyond the third one.")
            .ThrowIfAny();
        double slopeA = (gapMm[1] - gapMm[0]) / (xMm[1] - xMm[0]);
        double slopeB = (gapMm[3] - gapMm[2]) / (xMm[3] - xMm[2]);
        (double midA, double midB) = ((xMm[0] + xMm[1]) / 2, (xMm[2] + xMm[3]) / 2);
        double lineAtB = (gapMm[0] + gapMm[1]) / 2 + slopeA * (midB - midA);
        double offset = (gapMm[2] + gapMm[3]) / 2 - lineAtB - (rimWidthFrontMm - rimWidthRearMm) / 2;
        double centre = midB - midA;
        return new(
            offset,
            (Math.Atan(slopeB) - Math.Atan(slopeA)) * 180 / Math.PI,
            offset / centre * 1_000,
            Math.Atan(offset / centre) * 180 / Math.PI,
            Math.Abs(gapMm[1] - gapMm[0]) <= LiesWithinMm
        );
    }
}
