using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Wear;

namespace Wendrak.Core.Evaluation;

/// <summary>Readings of the chain that is on a loop: since the last one that was said to be of a new chain.</summary>
/// <param name="Records">Oldest first.</param>
/// <param name="Before">Readings of chains before it.</param>
internal sealed record WearSeries(IReadOnlyList<WearRecord> Records, int Before)
{
    public static WearSeries Of(string loopKey, IEnumerable<JobSheet> jobs)
    {
        WearRecord[] all =
        [
            .. jobs.SelectMany(j =>
                    j.Elongations.Where(e => e.LoopKey == loopKey)
                        .Select(e => new WearRecord(j.Id, j.OpenedOn, j.OdometerKm, e, false))
                )
                .OrderBy(r => r.Measured.Entry),
        ];
        int first = Math.Max(0, Array.FindLastIndex(all, r => r.Measured.IsNewChain));
        return new(all[first..], first);
    }

    /// <summary>By the odometer; null without a reading that has one, and where all are at one distance.</summary>
    public WearForecast? Forecast(double limitPercent)
    {
        WearReading[] readings = [.. Told().Select(r => new WearReading(r.OdometerKm!.Value, r.Measured.WorstPercent))];
        if (readings.Length == 0)
            return null;
        try
        {
            return GrowthForecast.From(readings, limitPercent);
        }
        catch (InvalidInputException)
        {
            return null; // All at one distance: nothing has worn between them.
        }
    }

    /// <summary>The same records, those named that lie off the line.</summary>
    public IReadOnlyList<WearRecord> WithOff(WearForecast? forecast)
    {
        WearRecord[] told = [.. Told()];
        HashSet<long> off = [.. (forecast?.OffLine ?? []).Select(i => told[i].Measured.Entry)];
        return [.. Records.Select(r => r with { IsOffLine = off.Contains(r.Measured.Entry) })];
    }

    public IReadOnlyList<Working> Workings =>
        Records is [.., { Measured: { } m }]
            ? ChainGrowth.Compute(new(m.ChainId, m.Pitches, m.Over, m.MeasuredMm, m.RollerPlayMm)).Workings
            : [];

    private IEnumerable<WearRecord> Told() => Records.Where(r => r.OdometerKm is not null).OrderBy(r => r.OdometerKm);
}
