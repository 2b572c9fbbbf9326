namespace Wendrak.Core.Traces;

/// <summary>Some points of a trace as one, to be drawn.</summary>
/// <param name="FromS">First moment, s.</param>
/// <param name="ToS">Last moment, s.</param>
/// <param name="LowKmh">Lowest speed, km/h.</param>
/// <param name="HighKmh">Highest speed, km/h.</param>
public sealed record TraceStroke(double FromS, double ToS, double LowKmh, double HighKmh);

/// <summary>A trace of any length as so many strokes as can be drawn: no peak is lost.</summary>
internal sealed class TracePicture
{
    private const int MostStrokes = 800;
    private readonly List<TraceStroke> _strokes = [];
    private int _pointsOfStroke = 1;
    private int _points;

    public IReadOnlyList<TraceStroke> Strokes => _strokes;

    public void Next(SpeedAt speed)
    {
        if (_points++ % _pointsOfStroke != 0)
        {
            TraceStroke last = _strokes[^1];
            _strokes[^1] = new(
                last.FromS,
                speed.TimeS,
                Math.Min(last.LowKmh, speed.Kmh),
                Math.Max(last.HighKmh, speed.Kmh)
            );
            return;
        }
        if (_strokes.Count == MostStrokes)
            Halve();
        _strokes.Add(new(speed.TimeS, speed.TimeS, speed.Kmh, speed.Kmh));
    }

    private void Halve()
    {
        for (int i = 0; i < MostStrokes / 2; i++)
        {
            (TraceStroke a, TraceStroke b) = (_strokes[2 * i], _strokes[2 * i + 1]);
            _strokes[i] = new(a.FromS, b.ToS, Math.Min(a.LowKmh, b.LowKmh), Math.Max(a.HighKmh, b.HighKmh));
        }
        _strokes.RemoveRange(MostStrokes / 2, MostStrokes / 2);
        _pointsOfStroke *= 2;
    }
}
