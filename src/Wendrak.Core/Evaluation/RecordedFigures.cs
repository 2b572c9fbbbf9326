using Wendrak.Core.Choices;
using Wendrak.Core.Comparing;
using Wendrak.Core.Gearing;
using Wendrak.Core.Logbook;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Wear;

namespace Wendrak.Core.Evaluation;

/// <summary>How long what is on lasts, by how its chain grew.</summary>
/// <param name="Low">At least, km.</param>
/// <param name="High">At most, km.</param>
/// <param name="Readings">Of its growth.</param>
public sealed record RecordedLife(double Low, double High, int Readings);

/// <summary>How it was looked after.</summary>
/// <param name="Minutes">Each time, in the mean, min.</param>
/// <param name="EveryKm">From one time to the next, in the mean, km.</param>
/// <param name="Times">How often that was written down.</param>
public sealed record RecordedUpkeep(double Minutes, double EveryKm, int Times);

/// <summary>What it used, from full to full.</summary>
/// <param name="Per100">Litres or kWh for 100 km.</param>
/// <param name="IsCharged">kWh, else litres.</param>
/// <param name="Stretches">From full to full.</param>
public sealed record RecordedUse(double Per100, bool IsCharged, int Stretches);

/// <summary>What its owner gave it.</summary>
/// <param name="Mean">1 to 5.</param>
/// <param name="Times">How often.</param>
public sealed record RecordedScore(double Mean, int Times);

/// <summary>What the record of a machine says of what is on a loop, as far as a weighing asks for it; null for what it does not say.</summary>
/// <param name="Option">Key of its kind of drive; null for one that is not weighed.</param>
/// <param name="Life">Null of belts, which do not grow, and before a line can be drawn.</param>
/// <param name="Upkeep">Null before the second time that the odometer was read at.</param>
/// <param name="Use">Null before two full fills; of the setup that is on.</param>
/// <param name="Score">Of the setup that is on.</param>
/// <param name="Workings">Of each figure.</param>
public sealed record RecordedFigures(
    string? Option,
    RecordedLife? Life,
    RecordedUpkeep? Upkeep,
    RecordedUse? Use,
    RecordedScore? Score,
    IReadOnlyList<Working> Workings
)
{
    private const double WhPerKmToKwhPer100Km = 0.1;

    /// <summary>What of a log is asked for.</summary>
    public static readonly IReadOnlyList<string> LogKinds = ["upkeepDone", "fuelFilled", "charged", "scoreGiven"];

    /// <param name="stored">The machine.</param>
    /// <param name="loopKey">Key of the loop.</param>
    /// <param name="log">Lines of those kinds.</param>
    /// <exception cref="InvalidInputException">No such loop.</exception>
    public static RecordedFigures Of(StoredMachine stored, string loopKey, IReadOnlyList<LogEntry> log)
    {
        MachineInView view = OptionsAtLoop.ViewOf(stored, null, loopKey);
        Loop loop = view.AnyLoop;
        IReadOnlyList<SetupPeriod> periods = SetupPeriod.AllOf(stored.Setups, stored.Jobs.Select(j => j.Sheet));
        LogLine[] mine =
        [
            .. log.Where(e => !e.IsStruck && SetupPeriod.Of(e.Line, periods) == stored.Fitted.Id)
                .Select(e => e.Line)
                .OrderBy(l => l.OdometerKm),
        ];
        List<Working> workings = [];
        return new(
            KindOfLoop.Of(
                loop,
                stored.Machine.Loads?.Strengths.FirstOrDefault(s => s.LoopKey == loopKey),
                stored.Machine.Kind
            ),
            LifeOf(view, workings),
            UpkeepOf([.. mine.OfType<UpkeepDone>()], workings),
            UseOf(stored.Fitted.Id, periods, log, workings),
            mine.OfType<ScoreGiven>().ToArray() is { Length: > 0 } scores
                ? new(scores.Average(s => s.Score), scores.Length)
                : null,
            workings
        );
    }

    private static RecordedLife? LifeOf(MachineInView view, List<Working> workings)
    {
        Loop loop = view.AnyLoop;
        double? limit = ChainOfMachine.LimitOf(view.Machine, loop, view.FittedOf(loop))?.Percent;
        WearSeries series = WearSeries.Of(loop.Key, view.Stored.Jobs.Select(j => j.Sheet));
        if (
            limit is not double percent
            || series.Forecast(percent)
                is not { Trend: WearTrend.Rising, SlopePercent: double slope, Reached: double reached } forecast
        )
            return null;
        Explained life = LifeByGrowth.With(percent, slope);
        workings.Add(life.Working);
        // As early or late as the line may meet the limit; where it can't be said how late, no later than it does.
        double early = reached - (forecast.MeanLine?.Low ?? reached);
        double late = (forecast.MeanLine?.High ?? reached) - reached;
        return new(Math.Max(1, life.Value - early), life.Value + late, series.Records.Count);
    }

    private static RecordedUpkeep? UpkeepOf(UpkeepDone[] done, List<Working> workings)
    {
        double[] at = [.. done.Select(d => d.OdometerKm).OfType<double>()];
        if (at.Length < 2 || at[^1] <= at[0])
            return null;
        Explained every = Between.With(at[0], at[^1], at.Length);
        workings.Add(every.Working);
        return new(done.Average(d => d.Minutes), every.Value, at.Length);
    }

    private static RecordedUse? UseOf(
        long setupId,
        IReadOnlyList<SetupPeriod> periods,
        IReadOnlyList<LogEntry> log,
        List<Working> workings
    )
    {
        foreach (
            ComparedMeasure measure in (ReadOnlySpan<ComparedMeasure>)[ComparedMeasure.Fuel, ComparedMeasure.Energy]
        )
        {
            Observation[] found =
            [
                .. new Observing(measure, periods, log)
                    .Alike.SelectMany(a => a.Values)
                    .Where(o => o.SetupId == setupId && o.Km is not null),
            ];
            double km = found.Sum(o => o.Km!.Value);
            if (km <= 0)
                continue;
            double used = found.Sum(o => o.Value * o.Km!.Value);
            bool isFuel = measure == ComparedMeasure.Fuel;
            Explained use = isFuel ? FullToFull.Fuel.With(used / 100, km) : FullToFull.Energy.With(used, km);
            workings.Add(use.Working);
            return new(isFuel ? use.Value : use.Value * WhPerKmToKwhPer100Km, !isFuel, found.Length);
        }
        return null;
    }

    private static readonly Formula<Func<double, double, double>> LifeByGrowth = new(
        "Lasts, by how it grows",
        "s",
        ("from new to its limit", "km"),
        (e, m) => 1000 * e / m,
        [("limit of growth", "%"), ("growth in 1 000 km, by the line through its readings", "%")],
        "least squares; common practice for the limit",
        "As unsure as where the line meets the limit; of the use it had."
    );

    private static readonly Formula<Func<double, double, double, double>> Between = new(
        "Looked after every",
        "s",
        ("from one time to the next", "km"),
        (a, b, n) => (b - a) / (n - 1),
        [("first time", "km"), ("last time", "km"), ("times that were written down", "")],
        "definition",
        "What nobody wrote down was not done."
    );
}
