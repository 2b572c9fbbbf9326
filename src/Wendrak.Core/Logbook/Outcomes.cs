using Wendrak.Core.Comparing;
using Wendrak.Core.Records;

namespace Wendrak.Core.Logbook;

/// <summary>What each setup of a machine brought.</summary>
internal sealed class Outcomes(
    FairComparisonQuestion question,
    IReadOnlyList<SetupPeriod> periods,
    IReadOnlyList<LogEntry> log
)
{
    /// <summary>More dots would be one blot.</summary>
    private const int MostShown = 300;
    private readonly LogLine[] _lines = [.. log.Where(e => !e.IsStruck).Select(e => e.Line)];

    public SetupOutcome Of(Setup setup, Observation[] values)
    {
        double[] scores = [.. Mine<ScoreGiven>(setup).Select(s => (double)s.Score)];
        return new(
            setup.Id,
            setup.Name,
            values.Length < 2 ? null : Sample.Of([.. values.Select(v => v.Value)], "Values"),
            OverallOf(values),
            values.Length,
            values[Math.Max(0, values.Length - MostShown)..],
            question.Measure == ComparedMeasure.Fuel && values.Length > 0
                ? FuelUse.From(FuelMeasure.LitresPer100Km, values.Average(v => v.Value))
                : null,
            [
                .. Mine<MeanTold>(setup)
                    .OrderBy(m => m.On)
                    .Where(m => MeasureOf(m.Of) == question.Measure)
                    .Select(m => new Hearsay(m.On, ValueOf(m), m.Whose)),
            ],
            scores.Length == 0 ? null : scores.Average(),
            scores.Length,
            CostOf(setup)
        );
    }

    /// <summary>Weighed by distance: a long stretch counts for more of what was paid, and no more for how sure it is.</summary>
    private static double? OverallOf(Observation[] values) =>
        values.Length > 0 && values.All(v => v.Km is not null)
            ? values.Sum(v => v.Value * v.Km!.Value) / values.Sum(v => v.Km!.Value)
            : null;

    private DistanceCost? CostOf(Setup setup) => DistanceCost.Of(setup.Id, periods, _lines, question.RatePerHour ?? 0);

    private IEnumerable<T> Mine<T>(Setup setup)
        where T : LogLine => _lines.OfType<T>().Where(l => SetupPeriod.Of(l, periods) == setup.Id);

    private static ComparedMeasure MeasureOf(ToldMean told) =>
        told == ToldMean.WhPerKm ? ComparedMeasure.Energy : ComparedMeasure.Fuel;

    private static double ValueOf(MeanTold told) =>
        told.Of == ToldMean.WhPerKm
            ? told.Value
            : FuelUse.From(Enum.Parse<FuelMeasure>(told.Of.ToString()), told.Value).LitresPer100Km;
}
