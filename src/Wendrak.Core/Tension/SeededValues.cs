namespace Wendrak.Core.Tension;

/// <summary>
/// Values that look like chance and are none: the same for a seed on every machine and in every version, which the base library
/// does not promise of its own. Source: SplitMix64, Steele, Lea and Flood, Fast splittable pseudorandom number generators (2014).
/// </summary>
internal sealed class SeededValues(long seed)
{
    private ulong _state = unchecked((ulong)seed);

    /// <summary>A stream of its own for each place of a seed.</summary>
    public static SeededValues For(int seed, int place, int part) =>
        new((((long)seed << 20) ^ ((long)place << 4)) + part);

    /// <returns>0 to below 1, evenly.</returns>
    public double Next()
    {
        ulong z = _state = unchecked(_state + 0x9E3779B97F4A7C15);
        z = unchecked((z ^ (z >> 30)) * 0xBF58476D1CE4E5B9);
        z = unchecked((z ^ (z >> 27)) * 0x94D049BB133111EB);
        return ((z ^ (z >> 31)) >> 11) * (1.0 / (1UL << 53));
    }

    /// <summary>Normal about 0.</summary>
    public double Normal(double sigma) =>
        MathNet.Numerics.Distributions.Normal.InvCDF(0, sigma, Math.Clamp(Next(), 1e-12, 1 - 1e-12));
}
