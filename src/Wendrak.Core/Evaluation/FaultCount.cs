using Wendrak.Core.Records;

namespace Wendrak.Core.Evaluation;

/// <summary>How often a cure helped in this yard.</summary>
/// <param name="Cause">Key of the cause.</param>
/// <param name="Asked">So often it was found, cured and asked about.</param>
/// <param name="Gone">So often the fault was gone then.</param>
public sealed record FaultCount(string Cause, int Asked, int Gone)
{
    /// <param name="jobs">Of all machines.</param>
    public static IReadOnlyList<FaultCount> AllOf(IEnumerable<JobSheet> jobs) =>
        [
            .. jobs.SelectMany(j => j.Faults)
                .Where(f => f.Found is { IsGone: not null })
                .SelectMany(f => f.Found!.Causes.Select(c => (Cause: c, IsGone: f.Found.IsGone == true)))
                .GroupBy(f => f.Cause)
                .OrderBy(f => f.Key, StringComparer.Ordinal)
                .Select(f => new FaultCount(f.Key, f.Count(), f.Count(g => g.IsGone))),
        ];
}
