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
    public static double Percent(double newReduction, double oldReduction) => (newReduction / oldReduction - 1) * 100;

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
