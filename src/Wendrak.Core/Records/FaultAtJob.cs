using Wendrak.Core.Faults;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Records;

/// <summary>What came of a test, as a job tells it.</summary>
/// <param name="Entry">Number of the entry that says so: taken back by it.</param>
/// <param name="Test">Key of the test.</param>
/// <param name="Answer">Key of its answer.</param>
/// <param name="Values">What was measured; null where it was looked at.</param>
/// <param name="Unit">Of the values; null for none.</param>
/// <param name="Seen">What stops the machine by this answer; null for nothing.</param>
/// <param name="Who">Null where nobody said.</param>
/// <param name="At">When.</param>
public sealed record FaultAnswerAtJob(
    long Entry,
    string Test,
    string Answer,
    IReadOnlyList<double>? Values,
    string? Unit,
    string? Seen,
    string? Who,
    DateTimeOffset At
);

/// <summary>The cause that was found.</summary>
/// <param name="Entry">Number of the entry that says so.</param>
/// <param name="Causes">Keys of one cause or two.</param>
/// <param name="What">In words, as its finding says it.</param>
/// <param name="Why">What ruled out the others; null for nothing.</param>
/// <param name="IsCured">Its finding is mended, or was normal.</param>
/// <param name="How">What was done about it; null while it stands.</param>
/// <param name="IsGone">Asked after the cure; null while nobody said.</param>
/// <param name="Who">Null where nobody said.</param>
/// <param name="At">When.</param>
public sealed record FaultCauseFound(
    long Entry,
    IReadOnlyList<string> Causes,
    string What,
    string? Why,
    bool IsCured,
    string? How,
    bool? IsGone,
    string? Who,
    DateTimeOffset At
);

/// <summary>A search for a fault of a loop, as a job tells it.</summary>
/// <param name="Entry">Number of the entry that said last what it does.</param>
/// <param name="LoopKey">Of the loop.</param>
/// <param name="Kind">What the loop was then.</param>
/// <param name="At">What was at it or beside it.</param>
/// <param name="Signs">What it does.</param>
/// <param name="Circumstances">What somebody says came before.</param>
/// <param name="NotSo">What the record says and somebody says is not so.</param>
/// <param name="Control">Null where no other machine is used alike.</param>
/// <param name="People">Who can lend a hand.</param>
/// <param name="Words">More of it; null for nothing.</param>
/// <param name="Answers">In the order in which they came, one for each test.</param>
/// <param name="Found">Null while it goes on.</param>
public sealed record FaultAtJob(
    long Entry,
    string LoopKey,
    FaultKind Kind,
    IReadOnlyList<FaultSetting> At,
    IReadOnlyList<string> Signs,
    IReadOnlyList<string> Circumstances,
    IReadOnlyList<string> NotSo,
    ControlSaid? Control,
    int People,
    string? Words,
    IReadOnlyList<FaultAnswerAtJob> Answers,
    FaultCauseFound? Found
)
{
    /// <summary>All searches of a job, in the order in which they were begun; the last one of a loop is the one that goes on.</summary>
    internal static IReadOnlyList<FaultAtJob> Of(IEnumerable<JobEntry> entries, IReadOnlyList<JobFinding> findings)
    {
        List<FaultAtJob> all = [];
        foreach (JobEntry entry in entries)
            switch (entry.Event)
            {
                case FaultDescribed said:
                    int at = said.IsNew == true ? -1 : all.FindLastIndex(f => f.LoopKey == said.LoopKey);
                    FaultAtJob now = From(entry, said);
                    if (at < 0)
                        all.Add(now);
                    else
                        all[at] = now with { Answers = all[at].Answers, Found = all[at].Found };
                    break;
                case FaultTested tested:
                    Change(tested.LoopKey, f => f with { Answers = With(f.Answers, entry, tested) });
                    break;
                case FaultFound found:
                    Change(found.LoopKey, f => f with { Found = From(entry, found, findings) });
                    break;
                case CureJudged judged:
                    Change(
                        judged.LoopKey,
                        f => f with { Found = f.Found is { } cause ? cause with { IsGone = judged.IsGone } : null }
                    );
                    break;
            }
        return all;

        void Change(string loopKey, Func<FaultAtJob, FaultAtJob> change)
        {
            if (all.FindLastIndex(f => f.LoopKey == loopKey) is >= 0 and int at)
                all[at] = change(all[at]);
        }
    }

    private static FaultAtJob From(JobEntry entry, FaultDescribed said) =>
        new(
            entry.Sequence,
            said.LoopKey,
            said.LoopKind,
            said.At ?? [],
            said.Signs,
            said.Circumstances,
            said.NotSo ?? [],
            said.Control,
            said.People,
            said.Words,
            [],
            null
        );

    private static IReadOnlyList<FaultAnswerAtJob> With(
        IReadOnlyList<FaultAnswerAtJob> answers,
        JobEntry entry,
        FaultTested t
    ) =>
        [
            .. answers.Where(a => a.Test != t.Test),
            new(entry.Sequence, t.Test, t.Answer, t.Values, t.Unit, t.Seen, entry.Actor, entry.At),
        ];

    private static FaultCauseFound From(JobEntry entry, FaultFound found, IReadOnlyList<JobFinding> findings)
    {
        JobFinding? seen = findings.LastOrDefault(f => f.What == found.What && f.Entry <= entry.Sequence);
        return new(
            entry.Sequence,
            found.Causes,
            found.What,
            found.Why,
            found.Grade == FindingGrade.Fine || seen?.CuredAt is not null,
            seen?.How,
            null,
            entry.Actor,
            entry.At
        );
    }
}
