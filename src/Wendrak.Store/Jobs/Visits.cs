using Wendrak.Core.Records;

namespace Wendrak.Store.Jobs;

/// <summary>Visits of Set as the events of their jobs tell them.</summary>
internal static class Visits
{
    /// <summary>One for each loop that was set at the job.</summary>
    /// <param name="rows">Of the job, also those that were taken back.</param>
    public static IReadOnlyList<SetJob> Replay(Job job, IReadOnlyCollection<EventRow> rows) =>
        [
            .. EventRow
                .Standing(rows)
                .Select(r => r.ToEntry())
                .Where(e => e.Event is SetEvent)
                .GroupBy(e => ((SetEvent)e.Event).LoopKey)
                .Select(loop => SetVisit.Replay(job, [.. loop]))
                .OfType<SetJob>()
                // Also when what came last was taken back: then the newest entry is the undoing.
                .Select(visit => visit with { Version = (int)rows.Max(r => r.Id) }),
        ];
}
