namespace Wendrak.Core.Gearing;

/// <summary>Where a gear of the new gearing would stand among the old gears.</summary>
/// <param name="Gear">Old gear number, with decimals: 5.7 is most of the way from fifth to sixth.</param>
/// <param name="Beyond">Outside the old box: shorter than first or taller than top; the number is an extrapolation.</param>
public sealed record FeelsLikeResult(double Gear, RatioDirection Beyond);

public static class FeelsLike
{
    /// <summary>“Sixth now feels like 5.7 of before.”</summary>
    /// <param name="oldReductionsPerMm">
    /// Old overall reduction of every gear over the old rolling circumference, first gear first and falling.
    /// </param>
    /// <param name="numbers">Numbers of the old gears, rising; null for 1, 2, 3 …</param>
    /// <param name="newReductionPerMm">The new gear's overall reduction over the new circumference.</param>
    /// <returns>Null when there are fewer than two old gears, or they do not fall from first to last.</returns>
    /// <remarks>
    /// x = a + ln(g_a/e)/ln(g_a/g_(a+1)) between the old gears a and a+1 that enclose e; outside, from the end pair.
    /// Equal steps of feel are equal ratios, hence logarithms (common practice).
    /// </remarks>
    public static FeelsLikeResult? Compare(
        IReadOnlyList<double> oldReductionsPerMm,
        double newReductionPerMm,
        IReadOnlyList<int>? numbers = null
    )
    {
        int count = oldReductionsPerMm.Count;
        for (int g = 1; g < count; g++)
            if (oldReductionsPerMm[g] >= oldReductionsPerMm[g - 1])
                return null;
        if (count < 2)
            return null;
        int pair = 0;
        while (pair < count - 2 && newReductionPerMm < oldReductionsPerMm[pair + 1])
            pair++;
        double step = Math.Log(oldReductionsPerMm[pair] / oldReductionsPerMm[pair + 1]);
        int Number(int index) => numbers?[index] ?? index + 1;
        double part = Math.Log(oldReductionsPerMm[pair] / newReductionPerMm) / step;
        double gear = Number(pair) + part * (Number(pair + 1) - Number(pair));
        // Rounding must not call an unchanged top gear “taller than top”.
        const double unchanged = 1e-9;
        RatioDirection beyond =
            gear < Number(0) - unchanged ? RatioDirection.Shorter
            : gear > Number(count - 1) + unchanged ? RatioDirection.Taller
            : RatioDirection.Same;
        return new(gear, beyond);
    }
}
