using static System.Math;

namespace Wendrak.Core.Traces;

/// <summary>A speed at a moment.</summary>
/// <param name="TimeS">Since the first point, s.</param>
/// <param name="Kmh">km/h.</param>
/// <param name="ShaftRpm">Of the motor; null where it is not known.</param>
internal readonly record struct SpeedAt(double TimeS, double Kmh, double? ShaftRpm);

/// <summary>Speeds of a trace: as the device says them, else from places.</summary>
internal sealed class TraceSpeeds
{
    /// <summary>Mean radius of the earth, m. Source: IUGG.</summary>
    private const double EarthM = 6_371_008.8;
    private const double KmhPerMs = 3.6;

    /// <summary>Places this far to either side make a speed, s. Judgement: shorter is noise, longer rounds a short run off.</summary>
    private const double ReachS = 1;

    // Of three speeds in a row, the middle one off the mean of its neighbours has one and a half times the spread of one.
    private const double SpreadOfMiddle = 1.5;
    private readonly IEnumerable<TracePoint> _points;
    private double _squares;
    private int _count;

    public TraceSpeeds(IEnumerable<TracePoint> points) => _points = points;

    /// <summary>Whether speeds are worked out from places.</summary>
    public bool AreFromPlaces { get; private set; }

    /// <summary>Standard deviation of one speed, by how far each lies off its neighbours, km/h; null with fewer than three.</summary>
    public double? NoiseKmh => _count == 0 ? null : Sqrt(_squares / _count / SpreadOfMiddle);

    public IEnumerable<SpeedAt> All()
    {
        (SpeedAt Before, SpeedAt Last)? two = null;
        SpeedAt? one = null;
        foreach (SpeedAt speed in Speeds())
        {
            if (two is { } t && speed.TimeS > t.Before.TimeS)
            {
                // Against the line between its neighbours: a steady pull is no noise.
                double part = (t.Last.TimeS - t.Before.TimeS) / (speed.TimeS - t.Before.TimeS);
                _squares += Pow(t.Last.Kmh - (t.Before.Kmh + part * (speed.Kmh - t.Before.Kmh)), 2);
                _count++;
            }
            two = one is { } o ? (o, speed) : null;
            one = speed;
            yield return speed;
        }
    }

    private IEnumerable<SpeedAt> Speeds()
    {
        List<TracePoint> near = [];
        int next = 0;
        foreach (TracePoint point in _points)
        {
            if (point.SpeedKmh is double said)
            {
                yield return new(point.TimeS, said, point.ShaftRpm);
                continue;
            }
            AreFromPlaces = true;
            near.Add(point);
            while (next < near.Count && near[next].TimeS + ReachS <= point.TimeS)
            {
                if (Between(near, next) is { } speed)
                    yield return speed;
                next++;
                int gone = near.FindIndex(p => p.TimeS >= near[next - 1].TimeS - 2 * ReachS);
                near.RemoveRange(0, Max(0, gone));
                next -= Max(0, gone);
            }
        }
        for (; next < near.Count; next++)
            if (Between(near, next) is { } speed)
                yield return speed;
    }

    private static SpeedAt? Between(List<TracePoint> near, int at)
    {
        int first = at;
        int last = at;
        while (first > 0 && near[at].TimeS - near[first].TimeS < ReachS)
            first--;
        while (last < near.Count - 1 && near[last].TimeS - near[at].TimeS < ReachS)
            last++;
        double seconds = near[last].TimeS - near[first].TimeS;
        if (seconds <= 0)
            return null;
        // A mean over some time is the speed at its middle, wherever the place lies that asked for it.
        double middle = (near[first].TimeS + near[last].TimeS) / 2;
        return new(middle, DistanceM(near[first], near[last]) / seconds * KmhPerMs, near[at].ShaftRpm);
    }

    /// <summary>Over the great circle. Source: haversine formula.</summary>
    private static double DistanceM(TracePoint a, TracePoint b)
    {
        double latitude = Rad(b.LatitudeDeg!.Value - a.LatitudeDeg!.Value);
        double longitude = Rad(b.LongitudeDeg!.Value - a.LongitudeDeg!.Value);
        double h =
            Pow(Sin(latitude / 2), 2)
            + Cos(Rad(a.LatitudeDeg.Value)) * Cos(Rad(b.LatitudeDeg.Value)) * Pow(Sin(longitude / 2), 2);
        return 2 * EarthM * Asin(Min(1, Sqrt(h)));
    }

    private static double Rad(double degrees) => degrees * PI / 180;
}
