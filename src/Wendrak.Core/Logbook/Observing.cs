using System.Globalization;
using Wendrak.Core.Comparing;
using Wendrak.Core.Records;

namespace Wendrak.Core.Logbook;

/// <summary>Values of a log, each with the setup it is of.</summary>
internal sealed class Observing
{
    /// <summary>In the key of runs in which nothing drives.</summary>
    public const string RunningOut = "running out";

    private readonly IReadOnlyList<SetupPeriod> _periods;
    private readonly LogLine[] _lines;
    private readonly List<(string Key, Observation Value)> _found = [];
    private FullToFull _fills = new([], 0, 0);
    private int _ofNoSetup;

    /// <param name="entries">Of the machine, in any order.</param>
    public Observing(ComparedMeasure measure, IReadOnlyList<SetupPeriod> periods, IReadOnlyList<LogEntry> entries)
    {
        _periods = periods;
        _lines =
        [
            .. entries
                .Where(e => !e.IsStruck)
                .OrderBy(e => e.Line.On)
                .ThenBy(e => e.Line.OdometerKm ?? double.MaxValue)
                .ThenBy(e => e.LotId)
                .ThenBy(e => e.Number)
                .Select(e => e.Line),
        ];
        Observe(measure);
        NotCounted = new(_fills.Missing, _fills.Backwards, _ofNoSetup, entries.Count(e => e.IsStruck));
    }

    public NotCounted NotCounted { get; }

    /// <summary>Those with the most values first.</summary>
    public IReadOnlyList<ObservedAlike> Alike =>
        [
            .. _found
                .GroupBy(f => f.Key)
                .Select(g => new ObservedAlike(g.Key, [.. g.Select(f => f.Value)]))
                .OrderByDescending(g => g.Values.Count)
                .ThenBy(g => g.Key, StringComparer.Ordinal),
        ];

    private void Observe(ComparedMeasure measure)
    {
        switch (measure)
        {
            case ComparedMeasure.Fuel:
                FuelFilled[] fuel = [.. _lines.OfType<FuelFilled>()];
                Stretches(
                    fuel,
                    l => new(l.OdometerKm, l.Litres, l.IsFull, l.IsOneMissing == true),
                    FullToFull.Fuel.Value
                );
                break;
            case ComparedMeasure.Energy:
                Charged[] charges = [.. _lines.OfType<Charged>()];
                Stretches(
                    charges,
                    l => new(l.OdometerKm, l.EnergyWh, l.IsFull, l.IsOneMissing == true),
                    FullToFull.Energy.Value
                );
                break;
            case ComparedMeasure.Time:
                foreach (RunTimed run in _lines.OfType<RunTimed>())
                    Add(KeyOf(run), run, run.Seconds);
                break;
            default:
                foreach (NoiseRead noise in _lines.OfType<NoiseRead>())
                    Add(KeyOf(noise), noise, noise.Db);
                break;
        }
    }

    private void Stretches<T>(T[] lines, Func<T, Fill> fillOf, Func<double, double, double> used)
        where T : LogLine
    {
        _fills = FullToFull.Of([.. lines.Select(fillOf)]);
        foreach (Stretch stretch in _fills.Stretches)
        {
            T[] within = lines[(stretch.First + 1)..(stretch.Last + 1)];
            (DateOnly from, T end) = (lines[stretch.First].On, within[^1]);
            // Where somebody said with which setup, all of the stretch must be of that one.
            long? setup = within.Any(l => l.SetupId is not null)
                ? within.Select(l => l.SetupId).Distinct().Count() == 1
                    ? end.SetupId
                    : null
                : SetupPeriod.Through(_periods, from, end.On);
            if (setup is long id)
                _found.Add(
                    (
                        "",
                        new(
                            id,
                            used(stretch.Amount, stretch.Km),
                            from,
                            end.On,
                            stretch.Km,
                            end.OdometerKm,
                            [.. within.Select(l => l.Under)]
                        )
                    )
                );
            else
                _ofNoSetup++;
        }
    }

    private void Add(string key, LogLine line, double value)
    {
        if (SetupPeriod.Of(line, _periods) is long id)
            _found.Add((key, new(id, value, line.On, line.On, null, line.OdometerKm, [line.Under])));
        else
            _ofNoSetup++;
    }

    private static string KeyOf(RunTimed run)
    {
        string gear = run.Gear is int g ? $", gear {g}" : "";
        string stand = run.Under?.IsOnStand == true ? ", on a stand" : "";
        string start = run.Start switch
        {
            RunStart.Rolling => "rolling",
            RunStart.Standing => "from rest",
            RunStart.StandingFromSignal => "from rest, by the signal",
            _ => RunningOut,
        };
        return string.Create(
            CultureInfo.InvariantCulture,
            $"{run.FromKmh:0.#} to {run.ToKmh:0.#} km/h, {start}{gear}{stand}"
        );
    }

    private static string KeyOf(NoiseRead noise) =>
        string.Create(
            CultureInfo.InvariantCulture,
            $"{noise.DistanceM:0.##} m, {noise.Method.Trim().ToLowerInvariant()}"
        );
}
