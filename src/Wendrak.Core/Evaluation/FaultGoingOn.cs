using Wendrak.Core.Records;
using Wendrak.Core.Tables;

namespace Wendrak.Core.Evaluation;

/// <summary>A search for a fault, at whatever machine.</summary>
/// <param name="MachineId">Of the machine.</param>
/// <param name="JobId">At which it is written down.</param>
/// <param name="LoopKey">Of the loop.</param>
/// <param name="Signs">What it does, in words.</param>
/// <param name="Found">The cause, in words; null while nobody found it.</param>
/// <param name="AsksIfGone">It is cured, and nobody said yet whether the fault is gone.</param>
public sealed record FaultGoingOn(
    long MachineId,
    long JobId,
    string LoopKey,
    IReadOnlyList<string> Signs,
    string? Found,
    bool AsksIfGone
)
{
    /// <summary>Those of a job that are not done with; of one that has ended those that were mended and nobody tried since.</summary>
    public static IEnumerable<FaultGoingOn> Of(JobSheet job) =>
        job
            .Faults.GroupBy(f => f.LoopKey)
            .Select(f => f.Last())
            .Where(f =>
                job.State == JobState.Ended
                    ? f.Found is { How: not null, IsGone: null }
                    : f.Found is not { IsGone: not null }
            )
            .Select(f => new FaultGoingOn(
                job.MachineId,
                job.Id,
                f.LoopKey,
                [.. f.Signs.Select(s => FaultSigns.All.FirstOrDefault(k => k.Key == s)?.What).OfType<string>()],
                f.Found?.What,
                f.Found is { How: not null, IsGone: null }
            ));
}
