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
            // What stands already stands once, however it was seen.
            if (
                AsNoted(entry.Event) is { } seen
                && (entry.Event is FindingNoted || !findings.Any(f => Stands(f, seen.What)))
            )
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

    /// <summary>The finding that an event makes: seen at a look, by a test that stops the machine, or as the cause of a fault.</summary>
    private static FindingNoted? AsNoted(JobEvent happened) =>
        happened switch
        {
            FindingNoted seen => seen,
            FaultTested { Seen: string what } test => new(what, FindingGrade.Stop, test.LoopKey, null),
            FaultFound found => new(found.What, found.Grade, found.LoopKey, found.Why),
            _ => null,
        };

    private static bool Stands(JobFinding finding, string what) => finding.What == what && finding.CuredAt is null;
}
