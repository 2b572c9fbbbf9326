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
    /// <summary>Of each loop what its newest search left open: what was found since tells of an older one, too.</summary>
    /// <param name="jobs">At which a fault was searched, newest first.</param>
    public static IEnumerable<FaultGoingOn> AllOf(IEnumerable<JobSheet> jobs)
    {
        HashSet<(long, string)> seen = [];
        foreach (JobSheet job in jobs)
        {
            FaultGoingOn[] open = [.. Of(job)];
            foreach (string loopKey in job.Faults.Select(f => f.LoopKey).Distinct())
                if (seen.Add((job.MachineId, loopKey)) && open.FirstOrDefault(f => f.LoopKey == loopKey) is { } fault)
                    yield return fault;
        }
    }

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
