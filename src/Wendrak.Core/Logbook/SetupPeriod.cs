using Wendrak.Core.Records;

namespace Wendrak.Core.Logbook;

/// <summary>How long a setup was on the machine, once.</summary>
/// <param name="SetupId">Which one.</param>
/// <param name="From">Day on which it went on.</param>
/// <param name="Until">Day on which it came off; null while it is on.</param>
/// <param name="FromKm">What the odometer said then, km; null where nobody looked.</param>
public sealed record SetupPeriod(long SetupId, DateOnly From, DateOnly? Until, double? FromKm)
{
    /// <summary>When which setup was on a machine, as far as that is known, oldest first.</summary>
    /// <param name="setups">Of the machine.</param>
    /// <param name="jobs">Of the machine.</param>
    public static IReadOnlyList<SetupPeriod> AllOf(IEnumerable<Setup> setups, IEnumerable<JobSheet> jobs)
    {
        Setup[] known = [.. setups];
        IEnumerable<SetupPeriod> told =
        [
            .. known
                .Where(s => s is { FittedOn: not null, Status: SetupStatus.AsFitted or SetupStatus.Former })
                .Select(s => new SetupPeriod(s.Id, s.FittedOn!.Value, null, s.FittedAtKm)),
            .. known
                .Where(s => s.AsLeft?.PutOnAt is not null)
                .Select(s => new SetupPeriod(s.Id, DayOf(s.AsLeft!.PutOnAt!.Value), null, null)),
            .. jobs.SelectMany(j =>
                j.Fitted.Where(f => known.Any(s => s.Id == f.SetupId))
                    .Select(f => new SetupPeriod(f.SetupId, DayOf(f.At), null, j.OdometerKm))
            ),
        ];
        // Nobody said since when: of the only one that ever was on, always; else since it was noted.
        if (
            known.FirstOrDefault(s => s is { Status: SetupStatus.AsFitted, FittedOn: null }) is { } fitted
            && told.All(p => p.SetupId != fitted.Id)
        )
            told = told.Append(new(fitted.Id, told.Any() ? fitted.MadeOn : DateOnly.MinValue, null, null));
        List<SetupPeriod> periods = [];
        // Of what was told twice of one day the one with its distance.
        foreach (SetupPeriod next in told.OrderBy(p => p.From).ThenBy(p => p.FromKm is null))
        {
            if (periods is [.., { } last])
            {
                if (last.SetupId == next.SetupId)
                    continue;
                periods[^1] = last with { Until = next.From };
            }
            periods.Add(next);
        }
        return periods;
    }

    /// <summary>The setup that was on from one day to another; null for none, for two, and before anything was written down.</summary>
    public static long? Through(IReadOnlyList<SetupPeriod> periods, DateOnly from, DateOnly to) =>
        periods.LastOrDefault(p => p.From <= from && (p.Until is not { } until || to <= until))?.SetupId;

    /// <summary>The setup that a line is of: the one that somebody named, else the one that was on by its day.</summary>
    internal static long? Of(LogLine line, IReadOnlyList<SetupPeriod> periods) =>
        line.SetupId ?? Through(periods, line.On, line.On);

    private static DateOnly DayOf(DateTimeOffset at) => DateOnly.FromDateTime(at.UtcDateTime);
}
