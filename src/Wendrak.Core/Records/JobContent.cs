using System.Collections.Immutable;
using Wendrak.Core.Tension;

namespace Wendrak.Core.Records;

/// <summary>A job with all that happened at it, and what that comes to.</summary>
/// <remarks>Events are added, never changed: what stands is told anew by all of them that were not taken back.</remarks>
public sealed class JobContent
{
    private readonly Lazy<JobSheet> _sheet;
    private readonly Lazy<JobPlan?> _plan;

    private readonly ImmutableDictionary<string, long> _begun;

    private JobContent(
        Job job,
        ImmutableList<JobEntry> entries,
        IReadOnlyList<SetJob> visits,
        ImmutableDictionary<string, long> begun,
        long version
    )
    {
        (Job, Entries, _begun) = (job, entries, begun);
        Visits = [.. visits.Select(v => v with { Version = (int)version })];
        _sheet = new(() => ToSheet(version));
        _plan = new(() => JobPlan.From(Entries, Visits));
    }

    public Job Job { get; }

    /// <summary>Those that stand, in their order.</summary>
    public ImmutableList<JobEntry> Entries { get; }

    /// <summary>One for each loop that was set at it.</summary>
    public IReadOnlyList<SetJob> Visits { get; }

    /// <summary>Told when it is asked for: a thousand readings come and go without.</summary>
    public JobSheet Sheet => _sheet.Value;

    /// <summary>The order of the work at it; null where none was made.</summary>
    public JobPlan? Plan => _plan.Value;

    /// <summary>Whether a fault is gone is known only on the road: it may be said after the signature, and is no part of what was signed.</summary>
    public bool IsSigned => Entries.LastOrDefault(e => e.Event is not CureJudged)?.Event is JobSigned;

    /// <param name="entries">Those that stand, in their order.</param>
    /// <param name="version">Number of the newest entry, also of one that was taken back since; null for the last of these.</param>
    public static JobContent From(Job job, IReadOnlyList<JobEntry> entries, long? version = null)
    {
        JobContent content = new(job, [], [], ImmutableDictionary<string, long>.Empty, version ?? 0);
        foreach (JobEntry entry in entries)
            content = content.After(entry, version);
        return content;
    }

    /// <summary>The job after one more event.</summary>
    public JobContent After(JobEntry entry) => After(entry, null);

    public SetJob? VisitTo(string loopKey) => Visits.FirstOrDefault(v => v.LoopKey == loopKey);

    /// <summary>
    /// Whether other wheels on these loops are a part of it. What is fitted after a loop was closed is another visit: a loop is set
    /// once at a job, and would stand unread here for good.
    /// </summary>
    public bool TakesFittingOf(IReadOnlyList<string> loopKeys) =>
        Sheet.State == JobState.GoesOn && loopKeys.All(loop => VisitTo(loop)?.Closing is null);

    /// <summary>Number of the entry that began to set a loop: in its order visits follow each other, whichever job they are of.</summary>
    public long BegunAt(string loopKey) => _begun[loopKey];

    private JobContent After(JobEntry entry, long? version) =>
        new(Job, Entries.Add(entry), VisitsAfter(entry), BegunAfter(entry), version ?? entry.Sequence);

    private ImmutableDictionary<string, long> BegunAfter(JobEntry entry) =>
        entry.Event switch
        {
            VisitBegun begun when !_begun.ContainsKey(begun.LoopKey) => _begun.Add(begun.LoopKey, entry.Sequence),
            VisitCancelled cancelled => _begun.Remove(cancelled.LoopKey),
            _ => _begun,
        };

    private IReadOnlyList<SetJob> VisitsAfter(JobEntry entry)
    {
        if (entry.Event is not SetEvent set)
            return Visits;
        if (set is VisitCancelled)
            return [.. Visits.Where(v => v.LoopKey != set.LoopKey)];
        if (VisitTo(set.LoopKey) is { } visit)
            return [.. Visits.Select(v => v.LoopKey == visit.LoopKey ? SetVisit.After(v, entry) : v)];
        return SetVisit.Begin(Job, entry) is { } begun ? [.. Visits, begun] : Visits;
    }

    private JobEntry? Last<T>()
        where T : JobEvent => Entries.LastOrDefault(e => e.Event is T);

    private JobSheet ToSheet(long version)
    {
        JobOpened? opened = Last<JobOpened>()?.Event as JobOpened;
        ProvisionalPart[] provisional = Provisional();
        IReadOnlyList<JobFinding> findings = JobFinding.Of(Entries);
        JobPart[] parts = [.. Of<PartUsed>().Select(p => JobPart.From(p.Entry, p.Event))];
        Signature? signature = Last<JobSigned>() is { Event: JobSigned s } signed
            ? new(s.SignedOn, signed.Actor, s.Score, s.Word, s.Despite ?? [], s.Reason)
            : null;
        string? waitsFor = Entries.LastOrDefault(e => e.Event is WaitBegun or WaitEnded)?.Event is WaitBegun wait
            ? wait.For
            : null;
        return new(
            Job.Id,
            version,
            Job.MachineId,
            Job.OpenedOn,
            Entries.Count == 0 ? null : Entries[0].Actor,
            opened?.Reason ?? JobReason.Visit,
            opened?.About,
            opened?.OdometerKm,
            opened?.Hours,
            JobRules.StationsFor(opened?.Reason ?? JobReason.Visit),
                // Where nobody opened the job itself, setting was all there was to it, and ends with it, cancelled or not.
                signature is not null
                || (
                    opened is null
                    && (Visits.Count > 0 || Entries.Any(e => e.Event is VisitCancelled))
                    && Visits.All(v => v.Closing is not null)
                )
                    ? JobState.Ended
                : waitsFor is null ? JobState.GoesOn
                : JobState.Waits,
            waitsFor,
            [.. Visits.Select(LoopOf)],
            [.. Of<NoteWritten>().Select(n => new JobNote(n.Event.Text, n.Entry.Actor, n.Entry.At))],
            [
                .. Of<DeviationNoted>()
                    .Select(d => new Deviation(d.Event.What, d.Event.Why, d.Entry.Actor, d.Entry.At)),
                .. PlanSigning.Deviations(Plan),
            ],
            provisional,
            findings,
            [
                .. Of<RestFine>()
                    .Select(r => new RestAtJob(
                        r.Entry.Sequence,
                        r.Event.LoopKey,
                        r.Event.Parts,
                        r.Entry.Actor,
                        r.Entry.At
                    )),
            ],
            [
                .. Of<UseEventNoted>()
                    .Select(u => new UseEventAtJob(
                        u.Entry.Sequence,
                        u.Event.Event,
                        u.Event.Words,
                        u.Entry.Actor,
                        u.Entry.At
                    )),
            ],
            [.. Of<ElongationMeasured>().Select(m => ElongationAtJob.From(m.Entry, m.Event))],
            FaultAtJob.Of(Entries, findings),
            JobPhoto.Of(Entries),
            [
                .. Of<SetupFitted>()
                    .Select(f => new FittedAtJob(
                        f.Entry.Sequence,
                        f.Event.SetupId,
                        f.Event.Name,
                        f.Event.Again,
                        f.Entry.Actor,
                        f.Entry.At
                    )),
            ],
            parts,
            PartsCost.From(parts),
            Of<TimeSpent>().Sum(t => t.Event.Minutes),
            People(),
            signature is null ? Blocks(waitsFor, provisional) : [],
            signature is null ? Despite() : [],
            [
                .. Visits.SelectMany(v =>
                    (v.Closing?.Outside ?? []).Select(outside => new OutsideAtJob(v.LoopKey, outside))
                ),
            ],
            signature,
            PlanAtJob.From(Plan)
        );
    }

    private IEnumerable<(T Event, JobEntry Entry)> Of<T>()
        where T : JobEvent
    {
        foreach (JobEntry entry in Entries)
            if (entry.Event is T wanted)
                yield return (wanted, entry);
    }

    private ProvisionalPart[] Provisional()
    {
        List<ProvisionalPart> parts = [];
        foreach (JobEntry entry in Entries)
        {
            if (entry.Event is ProvisionalFitted fitted)
                parts.Add(new(fitted.What, entry.Actor, entry.At, null));
            if (
                entry.Event is ProvisionalCleared cleared
                && parts.FindIndex(p => p.What == cleared.What && p.ClearedAt is null) is >= 0 and int at
            )
                parts[at] = parts[at] with { ClearedAt = entry.At };
        }
        return [.. parts];
    }

    private JobPerson[] People() =>
        [
            .. Entries
                .Where(e => e.Actor is not null)
                .GroupBy(e => e.Actor!)
                .Select(of => new JobPerson(of.Key, of.Sum(e => e.Event is TimeSpent t ? t.Minutes : 0))),
        ];

    private BlockedBy[] Blocks(string? waitsFor, ProvisionalPart[] provisional) =>
        [
            .. waitsFor is null ? [] : new[] { new BlockedBy(SignatureBlock.Waits, waitsFor) },
            .. provisional
                .Where(p => p.ClearedAt is null)
                .Select(p => new BlockedBy(SignatureBlock.Provisional, p.What)),
            .. Visits.Where(v => v.Closing is null).Select(v => new BlockedBy(SignatureBlock.LoopNotClosed, v.LoopKey)),
            .. NotReadTight().Select(loop => new BlockedBy(SignatureBlock.NoLastReading, loop)),
            .. JobFinding
                .Of(Entries)
                .Where(f => f is { Grade: FindingGrade.Stop, CuredAt: null })
                .Select(f => new BlockedBy(SignatureBlock.StopFinding, f.What)),
            .. PlanSigning.Blocks(Plan),
        ];

    private static LoopAtJob LoopOf(SetJob v) =>
        new(
            v.LoopKey,
            v.Rounds.Count,
            v.Closing is not null,
            v.Closing?.Done ?? v.InHand?.Done ?? [],
            v.Rounds is [.., { Lock: LockState.Torqued }]
        );

    /// <summary>Set and not read with everything tight, or with other wheels on since.</summary>
    private IEnumerable<string> NotReadTight()
    {
        IEnumerable<string> set = Visits.Where(v => v.Closing is null && !LoopOf(v).IsReadTight).Select(v => v.LoopKey);
        IEnumerable<string> fitted = Of<SetupFitted>()
            .SelectMany(f => (f.Event.ChangedLoops ?? []).Select(loop => (Loop: loop, f.Entry.Sequence)))
            .Where(f => !Of<VisitClosed>().Any(c => c.Event.LoopKey == f.Loop && c.Entry.Sequence > f.Sequence))
            .Select(f => f.Loop);
        return set.Concat(fitted).Distinct();
    }

    private SignedDespite[] Despite()
    {
        IEnumerable<SignedDespite> ofLoops = Visits
            .SelectMany(v => v.Closing?.Despite ?? [])
            .Select(d =>
                d switch
                {
                    ClosedDespite.OutsideWindow => SignedDespite.OutsideWindow,
                    ClosedDespite.AdvisorStopped => SignedDespite.AdvisorStopped,
                    ClosedDespite.CautionsNotConfirmed => SignedDespite.CautionsNotConfirmed,
                    _ => SignedDespite.NoTorque,
                }
            );
        SignedDespite[] ofSteps = Of<DeviationNoted>().Any() ? [SignedDespite.Deviation] : [];
        return [.. ofSteps.Concat(PlanSigning.Despite(Plan, Entries)).Concat(ofLoops).Distinct().Order()];
    }
}
