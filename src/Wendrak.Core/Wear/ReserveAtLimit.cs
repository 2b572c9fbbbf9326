using Wendrak.Core.Quantities;

namespace Wendrak.Core.Wear;

/// <summary>What is left of the adjuster when a chain has worn to its limit.</summary>
/// <param name="TakesUpPercent">Elongation of a new chain that the adjuster takes up, %.</param>
/// <param name="LeftMm">Way left at the limit, mm; 0 where it is used up before.</param>
/// <param name="IsUsedUpFirst">The adjuster ends before the chain is at its limit: then that is the limit.</param>
public sealed record ReserveAtLimit(double TakesUpPercent, double LeftMm, bool IsUsedUpFirst, Working Working)
{
    /// <param name="leftMm">Way left with a new chain, mm.</param>
    /// <param name="takesUpPercent">Elongation which that takes up, %.</param>
    /// <param name="limitPercent">Elongation at which the chain is replaced, %.</param>
    internal static ReserveAtLimit Of(double leftMm, double takesUpPercent, double limitPercent)
    {
        Explained left = Left.With(leftMm, limitPercent, takesUpPercent);
        return new(takesUpPercent, Math.Max(0, left.Value), left.Value < 0, left.Working);
    }

    private static readonly Formula<Func<double, double, double, double>> Left = new(
        "Way of the adjuster left at the limit of the chain",
        "l",
        ("way left", "mm"),
        (l_0, w, e) => l_0 * (1 - w / e),
        [("way left with a new chain", "mm"), ("limit", "%"), ("elongation that the adjuster takes up", "%")],
        "geometry of the loop as it is laid out; in proportion between new and used up",
        "True where the loop is laid out at Fit as it stands with a new chain."
    );
}
