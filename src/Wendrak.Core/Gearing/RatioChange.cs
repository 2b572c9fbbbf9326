using Wendrak.Core.Quantities;

namespace Wendrak.Core.Gearing;

/// <summary>A larger reduction is shorter (more pull, more rpm), a smaller one taller.</summary>
public enum RatioDirection
{
    Same,
    Shorter,
    Taller,
}

/// <summary>How one ratio stands to another.</summary>
public static class RatioChange
{
    // Below this a change can't be felt or read: 0.005 % shows as 0.00 %.
    private const double SamePercent = 0.005;

    /// <summary>Change of reduction, percent; positive is shorter.</summary>
    public static readonly Formula<Func<double, double, double>> Percent = new(
        "Change of the ratio",
        "Δ",
        ("positive is shorter", "%"),
        (i, i_before) => Maths.Percent(i / i_before - 1),
        [("ratio", ""), ("ratio before", "")],
        RoadSpeed.Source,
        "Shaft speed at a road speed changes by the same percent."
    );

    /// <summary>The same as it is felt: a larger road wheel makes a gearing taller just as a smaller ratio does.</summary>
    internal static readonly Formula<Func<double, double, double, double>> Felt = new(
        "Change against as fitted",
        "Δ",
        ("positive is shorter", "%"),
        (i, i_fitted, u) => Maths.Percent(i / (i_fitted * u) - 1),
        [("final ratio", ""), ("final ratio as fitted", ""), ("rolling circumference against as fitted", "")],
        RoadSpeed.Source,
        "Shaft speed at a road speed changes by the same percent."
    );

    public static RatioDirection Direction(double percent) =>
        Math.Abs(percent) < SamePercent ? RatioDirection.Same
        : percent > 0 ? RatioDirection.Shorter
        : RatioDirection.Taller;

    /// <summary>How many rear teeth have the effect of a change in front, at the same rear wheel.</summary>
    /// <param name="frontChange">Teeth added in front; negative for fewer.</param>
    /// <returns>Rear teeth to add for the same ratio, as an exact decimal.</returns>
    /// <remarks>dr = Nr·Nf/(Nf + df) − Nr: the rear wheel that gives the same ratio on the old front wheel.</remarks>
    public static double RearTeethLike(int frontTeeth, int rearTeeth, int frontChange) =>
        (double)rearTeeth * frontTeeth / (frontTeeth + frontChange) - rearTeeth;
}
