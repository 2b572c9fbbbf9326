namespace Wendrak.Core.Traces;

/// <summary>One point of a trace as it was read.</summary>
/// <param name="TimeS">Since the first point, s.</param>
/// <param name="SpeedKmh">As the device says; null where it gives places only.</param>
/// <param name="LatitudeDeg">Of its place; null where it gives speeds only.</param>
/// <param name="LongitudeDeg">Of its place; null where it gives speeds only.</param>
/// <param name="ShaftRpm">Of the motor; null where it does not say.</param>
internal readonly record struct TracePoint(
    double TimeS,
    double? SpeedKmh,
    double? LatitudeDeg,
    double? LongitudeDeg,
    double? ShaftRpm
);

/// <summary>What of a trace was not taken.</summary>
/// <param name="WithoutTime">Points without a time.</param>
/// <param name="Doubled">Points of a moment that was there already.</param>
/// <param name="OutOfOrder">Points that go back in time.</param>
/// <param name="Unreadable">Points that can’t be read.</param>
/// <param name="IsCut">It ends in the middle: what stands before is taken.</param>
public sealed record TraceFaults(int WithoutTime, int Doubled, int OutOfOrder, int Unreadable, bool IsCut);

/// <summary>Points one after the other, however many; what is wrong with some is counted and keeps no other back.</summary>
internal abstract class TraceReader
{
    private double? _firstAt;
    private double _lastAt = double.NegativeInfinity;
    private int _doubled;
    private int _outOfOrder;

    /// <summary>Its times are moments, not seconds of its own.</summary>
    protected virtual bool HasDay => true;

    protected int WithoutTime { get; set; }
    protected int Unreadable { get; set; }
    protected bool IsCut { get; set; }

    public TraceFaults Faults => new(WithoutTime, _doubled, _outOfOrder, Unreadable, IsCut);

    /// <summary>Day of its first point, by universal time; null where it tells seconds only.</summary>
    public DateOnly? On =>
        HasDay && _firstAt is double first
            ? DateOnly.FromDateTime(new DateTime((long)(first * TimeSpan.TicksPerSecond), DateTimeKind.Utc))
            : null;

    /// <summary>From the first to the last that was read so far, s.</summary>
    public double DurationS => _firstAt is double first ? _lastAt - first : 0;

    /// <summary>In the order in which they were made.</summary>
    public IEnumerable<TracePoint> Points()
    {
        foreach (TracePoint point in Read())
        {
            _firstAt ??= point.TimeS;
            if (point.TimeS == _lastAt)
                _doubled++;
            else if (point.TimeS < _lastAt)
                _outOfOrder++;
            else
            {
                _lastAt = point.TimeS;
                yield return point with
                {
                    TimeS = point.TimeS - _firstAt.Value,
                };
            }
        }
    }

    /// <summary>As they stand there, with any time in s.</summary>
    protected abstract IEnumerable<TracePoint> Read();
}
