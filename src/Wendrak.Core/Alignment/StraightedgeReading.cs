using Wendrak.Core.Quantities;
using static System.Math;
using static Wendrak.Core.Quantities.Maths;

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
)
{
    /// <summary>Offset, the line it is counted from, and the angle.</summary>
    internal IReadOnlyList<Explained> Explained { get; init; } = [];
}

/// <summary>A straight-edge along both wheels, gaps read at two places of each. Source: plane trigonometry.</summary>
public static class StraightedgeReading
{
    // More than this between both gaps of the wheel it should lie on: common practice.
    private const double LiesWithinMm = 0.5;

    private static readonly Formula<Func<double, double, double, double, double, double>> LineThere = new(
        "Line of the front wheel, behind",
        "l",
        ("gap that the front wheel's own line has at the rear one", "mm"),
        (g1, g2, x1, x2, x) => (g1 + g2) / 2 + (g2 - g1) / (x2 - x1) * (x - (x1 + x2) / 2),
        [
            ("first gap of the front wheel", "mm"),
            ("second gap of it", "mm"),
            ("place of the first", "mm"),
            ("place of the second", "mm"),
            ("middle of both places behind", "mm"),
        ],
        "plane trigonometry",
        "The edge must lie on the front wheel."
    );

    private static readonly Formula<Func<double, double, double, double, double, double>> Offset = new(
        "Offset of the rear wheel",
        "o",
        ("offset", "mm"),
        (g3, g4, l, w_f, w_r) => (g3 + g4) / 2 - l - (w_f - w_r) / 2,
        [
            ("first gap of the rear wheel", "mm"),
            ("second gap of it", "mm"),
            ("line of the front wheel there", "mm"),
            ("front rim", "mm"),
            ("rear rim", "mm"),
        ],
        "plane trigonometry",
        "Twist out of the plane needs a second reading through the vertical."
    );

    private static readonly Formula<Func<double, double, double, double, double>> Angle = new(
        "Angle between both wheels",
        "γ",
        ("by the slopes of both gaps", "°"),
        (rise_r, run_r, rise_f, run_f) => Deg(Atan(rise_r / run_r) - Atan(rise_f / run_f)),
        [
            ("second gap less the first, rear", "mm"),
            ("between their places", "mm"),
            ("second gap less the first, front", "mm"),
            ("between their places", "mm"),
        ],
        "plane trigonometry",
        "Both gaps of a wheel far apart: a rim is not that true."
    );

    /// <param name="xMm">Four places along the edge: two on the first wheel, two on the second.</param>
    /// <param name="gapMm">From face to edge, negative past the edge.</param>
    /// <param name="rimWidthFrontMm">A wider rim's face stands further out.</param>
    /// <exception cref="InvalidInputException">Not four, or two places are one.</exception>
    public static StraightedgeReadingResult Evaluate(
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
        (double midA, double midB) = ((xMm[0] + xMm[1]) / 2, (xMm[2] + xMm[3]) / 2);
        Explained line = LineThere.With(gapMm[0], gapMm[1], xMm[0], xMm[1], midB);
        Explained off = Offset.With(gapMm[2], gapMm[3], line.Value, rimWidthFrontMm, rimWidthRearMm);
        Explained turned = Angle.With(gapMm[3] - gapMm[2], xMm[3] - xMm[2], gapMm[1] - gapMm[0], xMm[1] - xMm[0]);
        double offset = off.Value;
        double centre = midB - midA;
        return new(
            offset,
            turned.Value,
            offset / centre * 1_000,
            Deg(Atan(offset / centre)),
            Abs(gapMm[1] - gapMm[0]) <= LiesWithinMm
        )
        {
            Explained = [off, line, turned],
        };
    }
}
