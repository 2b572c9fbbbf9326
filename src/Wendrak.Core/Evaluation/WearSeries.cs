using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Wear;

namespace Wendrak.Core.Evaluation;

/// <summary>Readings of the chain that is on a loop: since the last one that was said, or is seen, to be of another chain.</summary>
/// <param name="Records">Oldest first.</param>
/// <param name="Before">Readings of chains before it.</param>
internal sealed record WearSeries(IReadOnlyList<WearRecord> Records, int Before)
{
    /// <summary>Part of its limit from which a chain is watched. Source: common practice, from memory (inspection.csv).</summary>
    public const double WatchedFrom = 0.5;

    public static WearSeries Of(string loopKey, IEnumerable<JobSheet> jobs)
    {
        WearRecord[] all =
        [
            .. jobs.SelectMany(j =>
                    j.Elongations.Where(e => e.LoopKey == loopKey)
                        .Select(e => new WearRecord(j.Id, j.OpenedOn, j.OdometerKm, e, false, false))
                )
                .OrderBy(r => r.Measured.Entry),
        ];
        int first = all.Length - 1;
        while (
            first > 0
            && !all[first].Measured.IsNewChain
            && all[first].Measured.ChainId == all[first - 1].Measured.ChainId
        )
            first--;
        first = Math.Max(0, first);
        return new(all[first..], first);
    }

    /// <summary>By the newest reading; null without one.</summary>
    public FindingGrade? GradeFor(double limitPercent) =>
        Records is not [.., { Measured.WorstPercent: double worst }] ? null
        : worst >= limitPercent ? FindingGrade.Stop
        : worst >= limitPercent * WatchedFrom ? FindingGrade.Watch
        : FindingGrade.Fine;

    /// <summary>By the odometer; null without a reading that has one.</summary>
    public WearForecast? Forecast(double limitPercent)
    {
        WearReading[] readings = [.. Told().Select(r => new WearReading(r.OdometerKm!.Value, r.Measured.WorstPercent))];
        return readings.Length == 0 ? null
            : readings.Length > 1 && readings[0].At == readings[^1].At
                ? new(WearTrend.OneDistance, null, null, null, null, null, null, [])
            : GrowthForecast.From(readings, limitPercent);
    }

    /// <summary>The same records, those named that lie off the line.</summary>
    public IReadOnlyList<WearRecord> WithOff(WearForecast? forecast)
    {
        WearRecord[] told = [.. Told()];
        HashSet<long> off = [.. (forecast?.OffLine ?? []).Select(i => told[i].Measured.Entry)];
        HashSet<long> counted = [.. told.Select(t => t.Measured.Entry)];
        return
        [
            .. Records.Select(r =>
                r with
                {
                    IsOffLine = off.Contains(r.Measured.Entry),
                    IsCounted = counted.Contains(r.Measured.Entry),
                }
            ),
        ];
    }

    public IReadOnlyList<Working> Workings =>
        Records is [.., { Measured: { } m }]
            ? ChainGrowth
                .Compute(new(m.ChainId, m.Pitches, m.Over, m.MeasuredMm, m.RollerPlayMm, m.ReadsShortMm, m.Pull))
                .Workings
            : [];

    /// <summary>What makes the line: with a distance, and of one use.</summary>
    private IEnumerable<WearRecord> Told() =>
        Records
            .Skip(Records.Select((r, i) => r.Measured.IsNewUse ? i : 0).DefaultIfEmpty(0).Max())
            .Where(r => r.OdometerKm is not null)
            .OrderBy(r => r.OdometerKm);
}
