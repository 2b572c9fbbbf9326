namespace Wendrak.Core.Traces;

/// <summary>A run between two speeds, found in a trace.</summary>
/// <param name="FromS">When the first speed was passed, s since the first point.</param>
/// <param name="ToS">When the second one was.</param>
/// <param name="Seconds">Between the two, s.</param>
/// <param name="ErrorS">Standard deviation of that by the noise of the speeds, s; null where that is not known.</param>
/// <param name="Gear">In which it was at both; null where the motor’s speed is not known or it was shifted.</param>
/// <param name="PossibleGears">In which it may have been at the first speed: there the motor turns neither too slowly nor too fast.</param>
public sealed record FoundRun(
    double FromS,
    double ToS,
    double Seconds,
    double? ErrorS,
    int? Gear,
    IReadOnlyList<int> PossibleGears
);

/// <summary>Finds runs as speeds stream by.</summary>
internal sealed class RunFinder(double fromKmh, double toKmh)
{
    /// <summary>What counts as moving where a run begins at rest, km/h. Judgement: a place that stands still wanders by that much.</summary>
    public const double MovesFromKmh = 2;
    private readonly double _sign = toKmh > fromKmh ? 1 : -1;
    private readonly double _first = fromKmh == 0 ? MovesFromKmh : fromKmh;
    private readonly List<(SpeedAt From, SpeedAt To, double RateFrom, double RateTo)> _found = [];
    private (SpeedAt At, double Rate)? _begun;
    private SpeedAt? _last;

    /// <summary>Both ends of each, with how fast the speed changed there, km/h a second.</summary>
    public IReadOnlyList<(SpeedAt From, SpeedAt To, double RateFrom, double RateTo)> Found => _found;

    public void Next(SpeedAt speed)
    {
        if (_last is { } last && speed.TimeS > last.TimeS)
        {
            // The last passing of the first speed counts: before it, the run was not under way.
            if (Crossing(last, speed, _first) is { } begin)
                _begun = begin;
            else if (_begun is not null && (speed.Kmh - _first) * _sign < 0)
                _begun = null;
            if (_begun is { } b && Crossing(last, speed, toKmh) is { } end)
            {
                _found.Add((b.At, end.At, b.Rate, end.Rate));
                _begun = null;
            }
        }
        _last = speed;
    }

    /// <summary>Where it passes a speed in the sense of the run, on the straight line between two points.</summary>
    private (SpeedAt At, double Rate)? Crossing(SpeedAt a, SpeedAt b, double kmh)
    {
        if ((a.Kmh - kmh) * _sign >= 0 || (b.Kmh - kmh) * _sign < 0)
            return null;
        double part = (kmh - a.Kmh) / (b.Kmh - a.Kmh);
        double seconds = b.TimeS - a.TimeS;
        double? rpm = a.ShaftRpm + part * (b.ShaftRpm - a.ShaftRpm);
        return (new(a.TimeS + part * seconds, kmh, rpm), (b.Kmh - a.Kmh) / seconds);
    }
}
