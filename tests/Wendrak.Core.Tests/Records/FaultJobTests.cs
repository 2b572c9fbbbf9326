using Wendrak.Core.Evaluation;
using Wendrak.Core.Faults;
using Wendrak.Core.Records;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Records;

/// <summary>A search for a fault as the events of a job tell it.</summary>
public sealed class FaultJobTests
{
    private static readonly FaultDescribed Knocks = new("final", ["knocksOnce"], ["rain"], At: [FaultSetting.Motor]);
    private static readonly FaultFound Stiff = new(
        "final",
        ["stiffLink"],
        "A link that has gone stiff",
        "why",
        FindingGrade.Watch,
        ["bendLinks"]
    );
    private static readonly JobSigned Signed = new(new(2026, 12, 1), null, null, null, null);
    private static readonly FaultTested Bent = new("final", "bendLinks", "aLink");

    private static JobContent Job(params JobEvent[] events)
    {
        JobContent job = JobContent.From(new(1, 1, 7, new(2026, 12, 1)), []);
        foreach (JobEvent e in events.Prepend(new JobOpened(JobReason.SomethingWrong, null, null, null)))
        {
            JobRules.CheckNext(job, e);
            job = job.After(new(job.Entries.Count + 1, DateTimeOffset.UnixEpoch, "Ann", e));
        }
        return job;
    }

    /// <summary>What is known only on the road is said after the signature; all else is not.</summary>
    [Fact]
    public void Whether_it_is_gone_may_be_said_once_the_job_is_signed()
    {
        JobContent signed = Job(Knocks, Bent, Stiff, new FindingCured(Stiff.What, "freed"), Signed);
        Assert.Equal(JobState.Ended, signed.Sheet.State);
        JobContent judged = Judged(signed, false);
        Assert.Equal((true, JobState.Ended), (judged.IsSigned, judged.Sheet.State));
        Assert.False(judged.Sheet.Faults[0].Found!.IsGone);
        Assert.True(Judged(judged, true).Sheet.Faults[0].Found!.IsGone);
        Refusals.Names("kind", () => JobRules.CheckNext(judged, Bent));
        FaultGoingOn asks = Assert.Single(FaultGoingOn.Of(signed.Sheet));
        Assert.Equal((true, Stiff.What), (asks.AsksIfGone, asks.Found));
        Assert.Empty(FaultGoingOn.Of(judged.Sheet));
        // A newer search of the loop tells of this one, too; one of another loop does not.
        JobSheet newer = Judged(signed, true).Sheet;
        Assert.Empty(FaultGoingOn.AllOf([newer, signed.Sheet]));
        Assert.Equal(Stiff.What, Assert.Single(FaultGoingOn.AllOf([signed.Sheet, newer])).Found);
        JobSheet other = Job(Knocks with { LoopKey = "other" }).Sheet;
        Assert.Equal(["other", "final"], FaultGoingOn.AllOf([other, signed.Sheet]).Select(f => f.LoopKey));
        // A search that was left open with its job asks nothing any more.
        Assert.Empty(FaultGoingOn.Of(Job(Knocks, Bent, Signed).Sheet));
    }

    private static JobContent Judged(JobContent job, bool isGone)
    {
        CureJudged said = new("final", isGone);
        JobRules.CheckNext(job, said);
        return job.After(new(job.Entries.Count + 1, DateTimeOffset.UnixEpoch, "Ann", said));
    }

    private static void Refuses(string field, JobEvent next, params JobEvent[] before) =>
        Refusals.Names(field, () => JobRules.CheckNext(Job(before), next));

    [Fact]
    public void What_is_said_last_counts_and_answers_stay()
    {
        FaultAtJob fault = Job(Knocks, Bent, Knocks with { Signs = ["clicks"], Words = "worse uphill" })
            .Sheet.Faults.Single();
        Assert.Equal(("clicks", "worse uphill", "aLink"), (fault.Signs[0], fault.Words, fault.Answers[0].Answer));
        fault = Job(Knocks, Bent, Bent with { Answer = "none" }).Sheet.Faults.Single();
        Assert.Equal("none", Assert.Single(fault.Answers).Answer);
    }

    [Fact]
    public void Another_search_begins_anew_and_the_first_one_stays()
    {
        IReadOnlyList<FaultAtJob> faults = Job(Knocks, Bent, Knocks with { IsNew = true }).Sheet.Faults;
        Assert.Equal([1, 0], faults.Select(f => f.Answers.Count));
        // Of another loop it is one of its own.
        Assert.Equal(2, Job(Knocks, Knocks with { LoopKey = "other" }).Sheet.Faults.Count);
    }

    [Fact]
    public void An_answer_that_stops_it_stands_as_seen_once_and_blocks_the_signature()
    {
        FaultTested clip = new("final", "lookChain", "clip", Seen: "The clip is gone");
        JobSheet sheet = Job(Knocks, clip, clip).Sheet;
        JobFinding seen = Assert.Single(sheet.Findings);
        Assert.Equal(("The clip is gone", FindingGrade.Stop), (seen.What, seen.Grade));
        Assert.Contains(sheet.BlockedBy, b => b.Kind == SignatureBlock.StopFinding);
        // Looked at again and said otherwise: it is mended by somebody, not by a word.
        sheet = Job(Knocks, clip, clip with { Answer = "no", Seen = null }).Sheet;
        Assert.Single(sheet.Findings);
        sheet = Job(Knocks, clip, new FindingCured("The clip is gone", "a new one")).Sheet;
        Assert.Empty(sheet.BlockedBy);
    }

    [Fact]
    public void What_is_found_stands_until_it_is_mended_and_then_it_is_asked_whether_it_is_gone()
    {
        JobSheet sheet = Job(Knocks, Bent, Stiff).Sheet;
        Assert.Equal(("A link that has gone stiff", "why"), (sheet.Findings[0].What, sheet.Findings[0].Words));
        Assert.False(sheet.Faults[0].Found!.IsCured);
        FindingCured mended = new(Stiff.What, "worked free");
        FaultCauseFound found = Job(Knocks, Bent, Stiff, mended).Sheet.Faults[0].Found!;
        Assert.Equal((true, "worked free", null), (found.IsCured, found.How, found.IsGone));
        Assert.True(Job(Knocks, Bent, Stiff, mended, new CureJudged("final", true)).Sheet.Faults[0].Found!.IsGone);
        // What is normal is noted, and nothing is to be mended.
        FaultFound normal = new("final", ["stiffLink"], "as it is", null, FindingGrade.Fine);
        Assert.True(Job(Knocks, normal).Sheet.Faults[0].Found!.IsCured);
    }

    [Fact]
    public void What_can_t_come_next_is_refused_at_its_field()
    {
        Refuses("LoopKey", Bent);
        Refuses("LoopKey", Stiff);
        Refuses("LoopKey", new CureJudged("final", true), Knocks, Bent, Stiff);
        Refuses("LoopKey", Bent, Knocks, Bent, Stiff);
        Refuses("IsNew", Knocks, Knocks, Bent, Stiff);
        Refuses("Tests", Stiff, Knocks);
        Refuses("Test", Bent with { Test = "aboveRim" }, Knocks);
        Refuses("Answer", Bent with { Answer = "perhaps" }, Knocks);
        Refuses("Values[1]", Bent with { Values = [1, -1] }, Knocks);
        Refuses("Values", Bent with { Values = [.. Enumerable.Repeat(1.0, 13)] }, Knocks);
        Refuses("Causes", Stiff with { Causes = [] }, Knocks, Bent);
        Refuses("Causes[0]", Stiff with { Causes = ["beltHigh"] }, Knocks, Bent);
        Refuses("Grade", Stiff with { Grade = (FindingGrade)9 }, Knocks, Bent);
        Refuses("What", Stiff with { What = " " }, Knocks, Bent);
        Refuses("What", Stiff with { What = new string('x', 2001) }, Knocks, Bent);
        Refuses("Unit", Bent with { Unit = new string('x', 2001) }, Knocks);
        Refuses("Why", Stiff with { Why = new string('x', 2001) }, Knocks, Bent);
        Refuses("Signs[1]", Knocks with { Signs = ["clicks", "clicks"] });
        Refuses("Signs[0]", Knocks with { Signs = ["creeps"] });
        Refuses("Circumstances[0]", Knocks with { Circumstances = ["moon"] });
        Refuses("NotSo[0]", Knocks with { NotSo = ["moon"] });
        Refuses("Control.Circumstances[0]", Knocks with { Control = new(null, ["moon"]) });
        Refuses("Control.NotSo[0]", Knocks with { Control = new(null, [], ["moon"]) });
        Refuses("People", Knocks with { People = 0 });
        Refuses("Words", Knocks with { Words = new string('x', 2001) });
        Refuses("LoopKind", Knocks with { LoopKind = (FaultKind)9 });
        Refuses("At[0]", Knocks with { At = [(FaultSetting)9] });
        Refuses("LoopKey", Knocks with { LoopKey = "" });
    }

    [Fact]
    public void A_file_takes_no_machine_of_another_yard_along()
    {
        FaultDescribed beside = Knocks with { Control = new(3, ["rain"]) };
        FiledJob filed = FiledJob.From(Job(beside));
        Assert.Null(((FaultDescribed)filed.Events[1].Event).Control!.MachineId);
        filed.Check();
        FiledJob other = filed with { Events = [filed.Events[0], filed.Events[1] with { Event = beside }] };
        Refusals.Names("Events[1].Event.Control.MachineId", other.Check);
    }
}
