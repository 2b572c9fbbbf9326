using MathNet.Numerics.RootFinding;
using Wendrak.Core.Gearing;

namespace Wendrak.Core.Geometry;

/// <summary>Finds where a movable wheel must stand so that a loop of a given length closes.</summary>
public static class LoopClosing
{
    private const double AccuracyMm = 1e-9;

    // The length is not always monotonic in the travel: the bracket is looked for in steps, coarse before fine.
    private static readonly int[] Steps = [8, 64];

    /// <summary>Travel along the track, mm from its start; null when no place on it closes the loop.</summary>
    /// <param name="moving">Place of the movable wheel in <paramref name="wheels"/>.</param>
    /// <param name="beyondMm">How far past both ends of the track to look as well.</param>
    public static double? TravelMm(
        IReadOnlyList<LoopWheel> wheels,
        int moving,
        Track track,
        Turning turning,
        LoopCourse course,
        double lengthMm,
        double beyondMm = 0
    )
    {
        LoopWheel[] placed = [.. wheels];
        double Excess(double travel)
        {
            placed[moving] = placed[moving] with { Centre = track.At(travel) };
            return LoopTracing.Length(placed, turning, course) - lengthMm;
        }
        (double from, double to) = (-beyondMm, track.LengthMm + beyondMm);
        foreach (int steps in Steps)
        {
            double low = from;
            double lowExcess = Excess(low);
            for (int i = 1; i <= steps; i++)
            {
                double high = from + (to - from) * i / steps;
                double highExcess = Excess(high);
                if (lowExcess == 0)
                    return low;
                // NaN, an impossible place, is on neither side.
                if (lowExcess * highExcess <= 0)
                    return highExcess == 0 ? high : Brent.FindRoot(Excess, low, high, AccuracyMm, 200);
                (low, lowExcess) = (high, highExcess);
            }
        }
        return null;
    }
}
