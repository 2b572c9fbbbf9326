namespace Wendrak.Core.Loops;

/// <summary>Shortest and longest path of a loop while one wheel goes along its track.</summary>
/// <param name="TightestAtMm">Travel at which the path is longest: there the adjuster is at its end.</param>
internal readonly record struct TrackRange(double LeastMm, double MostMm, double TightestAtMm)
{
    // Of a closed convex path the length is convex in the place of a wheel, so a straight track has its longest at an end.
    private const int FewSamples = 4;
    private const int Samples = 32;
    private const double AccuracyMm = 1e-4;

    /// <param name="lengthAt">Path length at a travel, mm; NaN where the loop can't be laid.</param>
    /// <param name="isConvex">True for a straight track and wheels that are all inside the loop.</param>
    /// <returns>Null when the loop can't be laid anywhere on the track.</returns>
    public static TrackRange? Find(Func<double, double> lengthAt, double trackMm, bool isConvex)
    {
        double[] lengths = Sampled(lengthAt, trackMm, isConvex ? FewSamples : Samples);
        if (isConvex && lengths.Any(double.IsNaN))
            lengths = Sampled(lengthAt, trackMm, Samples);
        if (lengths.All(double.IsNaN))
            return null;
        (double longestAt, double most) = Highest(lengthAt, lengths, trackMm);
        (_, double least) = Highest(t => -lengthAt(t), [.. lengths.Select(l => -l)], trackMm);
        return new(-least, most, longestAt);
    }

    private static double[] Sampled(Func<double, double> lengthAt, double trackMm, int samples) =>
        [.. Enumerable.Range(0, samples + 1).Select(i => lengthAt(trackMm * i / samples))];

    /// <summary>The highest sample, or the top between its neighbours where that is higher.</summary>
    private static (double At, double Value) Highest(Func<double, double> f, double[] sampled, double trackMm)
    {
        double step = trackMm / (sampled.Length - 1);
        int best = Enumerable.Range(0, sampled.Length).Where(i => !double.IsNaN(sampled[i])).MaxBy(i => sampled[i]);
        (double at, double value) = (best * step, sampled[best]);
        bool isInside = best > 0 && best < sampled.Length - 1;
        if (!isInside || double.IsNaN(sampled[best - 1]) || double.IsNaN(sampled[best + 1]))
            return (at, value);
        // A place where the loop can't be laid is no better than the highest sample.
        double Depth(double t) => f(t) is var here && double.IsFinite(here) ? -here : -value;
        double top = LowestPlace.Find(Depth, at - step, at + step, AccuracyMm);
        return f(top) > value ? (top, f(top)) : (at, value);
    }
}
