namespace Wendrak.Core.Records;

/// <summary>Something that was seen at a job.</summary>
/// <param name="Entry">Number of the entry that says so: undone by it.</param>
/// <param name="What">In a few words.</param>
/// <param name="LoopKey">Of the loop it is at; null for none.</param>
/// <param name="Words">More of it; null for nothing.</param>
/// <param name="Who">Null where nobody said.</param>
/// <param name="At">When it was seen.</param>
/// <param name="CuredAt">When it was mended; null while it stands.</param>
/// <param name="How">What was done about it; null while it stands.</param>
/// <param name="Detail">Of what is looked at on a loop; null of anything else.</param>
public sealed record JobFinding(
    long Entry,
    string What,
    FindingGrade Grade,
    string? LoopKey,
    string? Words,
    string? Who,
    DateTimeOffset At,
    DateTimeOffset? CuredAt,
    string? How,
    FindingDetail? Detail
)
{
    /// <summary>In the order in which they were seen.</summary>
    internal static IReadOnlyList<JobFinding> Of(IEnumerable<JobEntry> entries)
    {
        List<JobFinding> findings = [];
        foreach (JobEntry entry in entries)
        {
            if (entry.Event is FindingNoted seen)
                findings.Add(
                    new(
                        entry.Sequence,
                        seen.What,
                        seen.Grade,
                        seen.LoopKey,
                        seen.Words,
                        entry.Actor,
                        entry.At,
                        null,
                        null,
                        seen.Detail
                    )
                );
            if (
                entry.Event is FindingCured cured
                && findings.FindIndex(f => f.What == cured.What && f.CuredAt is null) is >= 0 and int at
            )
                findings[at] = findings[at] with { CuredAt = entry.At, How = cured.How };
        }
        return findings;
    }
}
