using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Records;

/// <summary>One part of a loop as it was looked at once.</summary>
/// <param name="JobId">Of the job it was looked at.</param>
/// <param name="Entry">Number of the entry that says so.</param>
/// <param name="LoopKey">Key of the loop; null for none.</param>
/// <param name="OdometerKm">What the machine had run when it came in; null where nobody looked.</param>
/// <param name="What">In a few words; null where it was fine with all else.</param>
/// <param name="Words">More of it; null for nothing.</param>
/// <param name="Who">Null where nobody said.</param>
/// <param name="At">When.</param>
/// <param name="CuredAt">When it was mended; null while it stands, and of what is fine.</param>
/// <param name="Detail">Null where it was fine with all else, and of what has no place on a loop.</param>
public sealed record PartSeen(
    long JobId,
    long Entry,
    string? LoopKey,
    InspectedPart Part,
    FindingGrade Grade,
    double? OdometerKm,
    string? What,
    string? Words,
    string? Who,
    DateTimeOffset At,
    DateTimeOffset? CuredAt,
    FindingDetail? Detail
)
{
    /// <summary>Everything that was looked at on a machine, newest first.</summary>
    /// <param name="jobs">Of the machine, in any order.</param>
    public static IReadOnlyList<PartSeen> AllOf(IEnumerable<JobSheet> jobs) =>
        [.. jobs.SelectMany(Of).OrderByDescending(s => s.Entry)];

    /// <summary>
    /// What stands: a stop until it is mended; what is watched until it is mended, or a later job looked at the same part again.
    /// </summary>
    /// <param name="seen">Newest first.</param>
    public static IReadOnlyList<PartSeen> Standing(IReadOnlyList<PartSeen> seen) =>
        [
            .. seen.Where(s =>
                s is { Grade: FindingGrade.Stop, CuredAt: null }
                || (s is { Grade: FindingGrade.Watch, CuredAt: null } && !IsLookedAtSince(s, seen))
            ),
        ];

    private static bool IsLookedAtSince(PartSeen watched, IReadOnlyList<PartSeen> seen) =>
        seen.Any(s =>
            s.Entry > watched.Entry
            && s.JobId != watched.JobId
            && (s.LoopKey, s.Part) == (watched.LoopKey, watched.Part)
        );

    private static IEnumerable<PartSeen> Of(JobSheet job)
    {
        foreach (JobFinding f in job.Findings)
            yield return new(
                job.Id,
                f.Entry,
                f.LoopKey,
                f.Detail?.Part ?? InspectedPart.Other,
                f.Grade,
                job.OdometerKm,
                f.What,
                f.Words,
                f.Who,
                f.At,
                f.CuredAt,
                f.Detail
            );
        foreach (RestAtJob rest in job.Rest)
        foreach (InspectedPart part in rest.Parts)
            yield return new(
                job.Id,
                rest.Entry,
                rest.LoopKey,
                part,
                FindingGrade.Fine,
                job.OdometerKm,
                null,
                null,
                rest.Who,
                rest.At,
                null,
                null
            );
    }
}
