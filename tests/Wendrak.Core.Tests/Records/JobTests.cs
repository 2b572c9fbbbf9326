using CsCheck;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Tension;

namespace Wendrak.Core.Tests.Records;

/// <summary>A job is what happened at it: what may come next, what it comes to, and what stands in the way of the signature.</summary>
public sealed class JobTests
{
    private static readonly DateTimeOffset Morning = new(2026, 11, 29, 8, 0, 0, TimeSpan.Zero);
    private static readonly JobOpened Opened = new(JobReason.SomethingWrong, "squeals when pulling away", 18_420, null);
    private static readonly JobSigned Plain = new(new(2026, 11, 29), null, null, null, null);

    private static JobContent Empty => JobContent.From(new(3, 1, 7, new(2026, 11, 29)), []);

    private static JobContent After(params (string? Who, JobEvent Event)[] happened) => After(Empty, happened);

    private static JobContent After(JobContent job, params (string? Who, JobEvent Event)[] happened)
    {
        foreach ((string? who, JobEvent e) in happened)
        {
            JobRules.CheckNext(job, e);
            long number = job.Sheet.Version + 1;
            job = job.After(new(number, Morning.AddMinutes(number), who, e));
        }
        return job;
    }

    private static IEnumerable<(string?, JobEvent)> Closing(string loop, params ClosedDespite[] despite) =>
        [
            ("Ann", new VisitBegun(loop, SetGoal.Both)),
            ("Ann", new RoundNoted(loop, new(0, 0, LockState.Torqued, []))),
            ("Ann", new ReadingTaken(loop, new(ReadingMethod.FreePlay, 35))),
            ("Ann", new RoundKept(loop, null)),
            (
                "Ann",
                new VisitClosed(loop, new(2026, 11, 29), null, Enum.GetValues<ClosingStep>(), null, null, despite, "so")
            ),
        ];

    [Fact]
    public void What_was_said_when_it_came_in_stands_on_the_sheet()
    {
        JobSheet sheet = After(("Ann", Opened)).Sheet;
        Assert.Equal(
            (JobReason.SomethingWrong, "squeals when pulling away", 18_420d, "Ann", JobState.GoesOn),
            (sheet.Reason, sheet.About, sheet.OdometerKm, sheet.Who, sheet.State)
        );
        Assert.Equal(new(2026, 11, 29), sheet.OpenedOn);
        Assert.Null(sheet.Hours);
        Refusals.Names("kind", () => After((null, Opened), (null, Opened)));
        Refusals.Names("OdometerKm", () => After((null, Opened with { OdometerKm = -1 })));
        Refusals.Names("Hours", () => After((null, Opened with { Hours = JobRules.MostHours + 1 })));
        Refusals.Names("Reason", () => After((null, Opened with { Reason = (JobReason)9 })));
    }

    [Fact]
    public void It_waits_until_what_it_waits_for_has_come()
    {
        JobContent waits = After((null, Opened), ("Ann", new WaitBegun("joining link 520")));
        Assert.Equal((JobState.Waits, "joining link 520"), (waits.Sheet.State, waits.Sheet.WaitsFor));
        Assert.Equal([new(SignatureBlock.Waits, "joining link 520")], waits.Sheet.BlockedBy);
        JobSheet goesOn = After(waits, ("Ben", new WaitEnded())).Sheet;
        Assert.Equal((JobState.GoesOn, null), (goesOn.State, goesOn.WaitsFor));
        Refusals.Names("kind", () => After((null, Opened), (null, new WaitEnded())));
        Refusals.Names("For", () => After((null, new WaitBegun(" "))));
        // Another thing it waits for takes the place of the first.
        Assert.Equal("a seal", After(waits, (null, new WaitBegun("a seal"))).Sheet.WaitsFor);
    }

    [Fact]
    public void What_stops_it_blocks_until_it_is_mended_and_what_is_to_be_watched_does_not()
    {
        FindingNoted crack = new("crack at a tooth", FindingGrade.Stop, "final", "third from the joint");
        JobContent seen = After(
            (null, Opened),
            ("Ann", crack),
            ("Ann", new FindingNoted("dust", FindingGrade.Watch, null, null))
        );
        Assert.Equal([new(SignatureBlock.StopFinding, "crack at a tooth")], seen.Sheet.BlockedBy);
        Assert.Empty(seen.Sheet.Despite);
        Refusals.Names("kind", () => After(seen, (null, Plain)));
        Refusals.Names("What", () => After(seen, (null, crack)));
        Refusals.Names("How", () => After(seen, (null, new FindingCured(crack.What, " "))));
        Refusals.Names("What", () => After(seen, (null, new FindingCured("rust", "oiled"))));
        Refusals.Names("Grade", () => After((null, crack with { Grade = (FindingGrade)5 })));
        Refusals.Names("Words", () => After((null, crack with { Words = new string('x', 2_001) })));
        JobContent mended = After(seen, ("Ben", new FindingCured(crack.What, "another belt")));
        Assert.Empty(mended.Sheet.BlockedBy);
        Assert.Equal(("Ann", "another belt"), (mended.Sheet.Findings[0].Who, mended.Sheet.Findings[0].How));
        Assert.Equal(JobState.Ended, After(mended, (null, Plain)).Sheet.State);
        // Mended, it may be seen again.
        Assert.Equal(3, After(mended, (null, crack)).Sheet.Findings.Count);
        // A photo shows it; of what nobody saw there is none.
        PhotoTaken photo = new(new('a', 64), 9, 9, null, PhotoShows.Anything, null, null, null, Finding: crack.What);
        Assert.Equal(crack.What, After(seen, (null, photo)).Sheet.Photos.Single().Finding);
        Refusals.Names("Finding", () => After(seen, (null, photo with { Finding = "rust" })));
    }

    [Fact]
    public void Notes_time_and_who_did_what_are_gathered()
    {
        JobSheet sheet = After(
            ("Ann", Opened),
            ("Ben", new NoteWritten("oil on the belt")),
            ("Ben", new TimeSpent(25)),
            ("Ann", new TimeSpent(10)),
            (null, new TimeSpent(5))
        ).Sheet;
        Assert.Equal([new("oil on the belt", "Ben", Morning.AddMinutes(2))], sheet.Notes);
        Assert.Equal(40, sheet.Minutes);
        Assert.Equal([new("Ann", 10), new("Ben", 25)], sheet.People);
        Refusals.Names("Minutes", () => After((null, new TimeSpent(0))));
        Refusals.Names("Minutes", () => After((null, new TimeSpent(JobRules.MostMinutes + 1))));
        Refusals.Names("Text", () => After((null, new NoteWritten("  "))));
        Refusals.Names("Text", () => After((null, new NoteWritten(new('x', Guard.LongestNote + 1)))));
    }

    [Fact]
    public void What_is_provisional_blocks_the_signature_by_its_name_until_it_is_cleared()
    {
        JobContent job = After((null, Opened), ("Ann", new ProvisionalFitted("clip link for the try")));
        Assert.Equal([new(SignatureBlock.Provisional, "clip link for the try")], job.Sheet.BlockedBy);
        InvalidInputException blocked = Assert.Throws<InvalidInputException>(() => After(job, (null, Plain)));
        Assert.Contains("clip link for the try", blocked.Issues[0].Message, StringComparison.Ordinal);
        Refusals.Names("What", () => After(job, (null, new ProvisionalFitted("clip link for the try"))));
        Refusals.Names("What", () => After(job, (null, new ProvisionalCleared("another one"))));
        JobContent cleared = After(job, ("Ben", new ProvisionalCleared("clip link for the try")));
        Assert.Equal(Morning.AddMinutes(3), Assert.Single(cleared.Sheet.Provisional).ClearedAt);
        Assert.Empty(cleared.Sheet.BlockedBy);
        Assert.NotNull(After(cleared, (null, Plain)).Sheet.Signature);
        // The same thing may become provisional again.
        Assert.Single(After(cleared, (null, new ProvisionalFitted("clip link for the try"))).Sheet.BlockedBy);
    }

    [Fact]
    public void A_deviation_asks_for_a_reason_and_blocks_nothing()
    {
        JobContent job = After((null, Opened), ("Ann", new DeviationNoted("set with the engine warm", "no time")));
        Assert.Empty(job.Sheet.BlockedBy);
        Assert.Equal([SignedDespite.Deviation], job.Sheet.Despite);
        Refusals.Names("Reason", () => After(job, (null, Plain)));
        JobSigned reasoned = JobRules.Fill(job.Sheet, Plain with { Reason = "read again cold next week" });
        Signature signature = After(job, ("Ann", reasoned)).Sheet.Signature!;
        Assert.Equal([SignedDespite.Deviation], signature.Despite);
        Assert.Equal("read again cold next week", signature.Reason);
        Refusals.Names("What", () => After((null, new DeviationNoted("", "why"))));
        Refusals.Names("Why", () => After((null, new DeviationNoted("what", ""))));
    }

    [Fact]
    public void A_reason_that_nothing_asks_for_is_not_kept() =>
        Assert.Null(JobRules.Fill(After((null, Opened)).Sheet, Plain with { Reason = "because" }).Reason);

    [Theory]
    [InlineData(ClosedDespite.OutsideWindow, SignedDespite.OutsideWindow)]
    [InlineData(ClosedDespite.AdvisorStopped, SignedDespite.AdvisorStopped)]
    [InlineData(ClosedDespite.CautionsNotConfirmed, SignedDespite.CautionsNotConfirmed)]
    [InlineData(ClosedDespite.NoTorque, SignedDespite.NoTorque)]
    public void What_a_loop_was_closed_over_is_told_again_at_the_signature(ClosedDespite closed, SignedDespite told) =>
        Assert.Equal([told], After(After((null, Opened)), [.. Closing("final", closed)]).Sheet.Despite);

    [Fact]
    public void Parts_that_were_used_stand_there_with_what_they_cost_and_what_nobody_knows_the_price_of_is_said()
    {
        JobSheet sheet = After(
            (null, Opened),
            ("Ann", new PartUsed("rivet link", 2, 3.5, new(StockList.Parts, 4))),
            ("Ben", new PartUsed("seal of the owner", 1, null, null))
        ).Sheet;
        Assert.Equal(
            [(2, 7d, true), (1, (double?)null, false)],
            sheet.Parts.Select(p => (p.Count, p.Price, p.IsFromStock))
        );
        Assert.Equal(new(7, 1), sheet.PartsCost);
        Assert.Null(After((null, Opened)).Sheet.PartsCost);
        Refusals.Names("What", () => After((null, new PartUsed(" ", 1, null, null))));
        Refusals.Names("What", () => After((null, new PartUsed("", 1, null, null))));
        Refusals.Names("Count", () => After((null, new PartUsed("x", 0, null, null))));
        Refusals.Names("UnitPrice", () => After((null, new PartUsed("x", 1, -1, null))));
        Refusals.Names("From.List", () => After((null, new PartUsed("", 1, null, new((StockList)9, 1)))));
        FiledJob filed = FiledJob.From(After((null, Opened), (null, new PartUsed("x", 1, 2, new(StockList.Parts, 4)))));
        Assert.Null(((PartUsed)filed.Events[1].Event).From);
        Refusals.Names(
            "Events[0].Event.From",
            new FiledJob(
                new(2026, 11, 29),
                [new(Morning, null, new PartUsed("x", 1, 2, new(StockList.Parts, 4)))]
            ).Check
        );
    }

    [Fact]
    public void Several_loops_are_one_job_and_each_must_be_closed()
    {
        JobContent job = After(
            After((null, Opened)),
            [.. Closing("left"), ("Ben", new VisitBegun("right", SetGoal.Both))]
        );
        Assert.Equal(
            [("left", 1, true, 5, true), ("right", 0, false, 0, false)],
            job.Sheet.Loops.Select(l => (l.LoopKey, l.Rounds, l.IsClosed, l.Done.Count, l.IsReadTight))
        );
        Assert.Equal(
            [new(SignatureBlock.LoopNotClosed, "right"), new(SignatureBlock.NoLastReading, "right")],
            job.Sheet.BlockedBy
        );
        Assert.All(job.Visits, v => Assert.Equal((3L, 7L, job.Sheet.Version), (v.Id, v.MachineId, (long)v.Version)));
        Refusals.Names("kind", () => After(job, (null, new VisitBegun("left", SetGoal.Both))));
        Refusals.Names("LoopKey", () => After(job, (null, new RoundDropped("middle"))));
    }

    [Fact]
    public void A_reading_that_was_none_is_discarded_and_the_others_stay()
    {
        JobContent job = After(
            After((null, Opened)),
            ("Ann", new VisitBegun("left", SetGoal.Both)),
            ("Ann", new ReadingTaken("left", new(ReadingMethod.FreePlay, 35, 0))),
            ("Ann", new ReadingTaken("left", new(ReadingMethod.FreePlay, 350, 1)))
        );
        SetJob visit = After(job, ("Ann", new ReadingDiscarded("left", 1))).Visits[0];
        Assert.Equal([(0, 35.0)], visit.InHand!.Round!.Readings.Select(r => (r.Position, r.Value)));
        Refusals.Names("Position", () => After(job, ("Ann", new ReadingDiscarded("left", 2))));
    }

    [Fact]
    public void A_visit_begun_by_mistake_is_cancelled_and_can_be_begun_anew()
    {
        JobContent begun = After(
            After((null, Opened)),
            ("Ann", new VisitBegun("left", SetGoal.Both)),
            ("Ann", new ReadingTaken("left", new(ReadingMethod.FreePlay, 35)))
        );
        JobContent cancelled = After(begun, ("Ann", new VisitCancelled("left")));
        Assert.Empty(cancelled.Visits);
        Assert.DoesNotContain(cancelled.Sheet.BlockedBy, b => b.Kind == SignatureBlock.LoopNotClosed);
        Assert.Equal(JobState.GoesOn, cancelled.Sheet.State);
        JobContent anew = After(cancelled, ("Ann", new VisitBegun("left", SetGoal.TensionOnly)));
        Assert.Equal((SetGoal.TensionOnly, null), (anew.Visits[0].Goal, anew.Visits[0].InHand));
        // Once a round is kept something was set, and that stays in the record.
        JobContent kept = After(begun, ("Ann", new RoundKept("left", null)));
        Refusals.Names("Rounds", () => After(kept, ("Ann", new VisitCancelled("left"))));
    }

    [Fact]
    public void A_job_that_was_nothing_but_a_cancelled_visit_is_ended() =>
        Assert.Equal(
            JobState.Ended,
            After(After(("Ann", new VisitBegun("left", SetGoal.Both))), ("Ann", new VisitCancelled("left"))).Sheet.State
        );

    [Fact]
    public void No_reading_after_the_last_nut_blocks_the_signature()
    {
        JobContent read = After(
            After((null, Opened)),
            ("Ann", new VisitBegun("left", SetGoal.Both)),
            ("Ann", new RoundNoted("left", new(0, 0, LockState.Nipped, []))),
            ("Ann", new ReadingTaken("left", new(ReadingMethod.FreePlay, 35))),
            ("Ann", new RoundKept("left", null)),
            ("Ann", new StepTicked("left", ClosingStep.FinalTorque, true))
        );
        Assert.Contains(new(SignatureBlock.NoLastReading, "left"), read.Sheet.BlockedBy);
        Assert.Equal([ClosingStep.FinalTorque], read.Sheet.Loops[0].Done);
        JobContent tight = After(
            read,
            ("Ann", new RoundNoted("left", new(0, 0, LockState.Torqued, []))),
            ("Ann", new ReadingTaken("left", new(ReadingMethod.FreePlay, 35))),
            ("Ann", new RoundKept("left", null))
        );
        Assert.Equal([new(SignatureBlock.LoopNotClosed, "left")], tight.Sheet.BlockedBy);
        // Other wheels on it since ask for a reading again; a setup that changes nothing of a loop does not.
        JobContent closed = After(After((null, Opened)), [.. Closing("left")]);
        Assert.Empty(closed.Sheet.BlockedBy);
        Assert.Empty(After(closed, (null, new SetupFitted(1, "B", null))).Sheet.BlockedBy);
        JobContent fitted = After(closed, (null, new SetupFitted(1, "B", null, ["left", "right"])));
        Assert.Equal(["left", "right"], fitted.Sheet.BlockedBy.Select(b => b.What));
        Refusals.Names("kind", () => After(fitted, (null, Plain)));
        JobContent before = After((null, Opened), (null, new SetupFitted(1, "B", null, ["left"])));
        Assert.Empty(After(before, [.. Closing("left")]).Sheet.BlockedBy);
    }

    [Fact]
    public void Setting_alone_is_a_job_that_ends_when_all_of_it_is_closed()
    {
        JobContent begun = After(("Ann", new VisitBegun("left", SetGoal.Both)));
        Assert.Equal((JobReason.Visit, JobState.GoesOn), (begun.Sheet.Reason, begun.Sheet.State));
        Assert.Equal(JobState.Ended, After([.. Closing("left")]).Sheet.State);
        Assert.Equal(JobState.GoesOn, After(After((null, Opened)), [.. Closing("left")]).Sheet.State);
    }

    [Fact]
    public void A_signed_job_takes_nothing_more()
    {
        JobContent signed = After((null, Opened), ("Ann", Plain with { Score = 4, Word = "pulls well" }));
        Signature signature = signed.Sheet.Signature!;
        Assert.Equal(("Ann", 4, "pulls well"), (signature.Who, signature.Score, signature.Word));
        Assert.Equal(JobState.Ended, signed.Sheet.State);
        foreach (JobEvent e in new JobEvent[] { new NoteWritten("late"), Plain, new VisitBegun("a", SetGoal.Both) })
            Refusals.Names("kind", () => After(signed, (null, e)));
        foreach (int score in new[] { 0, JobRules.BestScore + 1 })
            Refusals.Names("Score", () => After((null, Opened), (null, Plain with { Score = score })));
    }

    /// <summary>Every kind of event in any order: what is refused changes nothing, what is taken is on the sheet.</summary>
    [Fact]
    public void In_whatever_order_it_comes_nothing_is_lost()
    {
        Gen<JobEvent> any = Gen.OneOf<JobEvent>(
            Gen.Int[0, 99].Select(i => (JobEvent)new NoteWritten($"note {i}")),
            Gen.Int[0, 3].Select(i => (JobEvent)new WaitBegun($"part {i}")),
            Gen.Const<JobEvent>(new WaitEnded()),
            Gen.Int[1, 60].Select(i => (JobEvent)new TimeSpent(i)),
            Gen.Int[0, 9].Select(i => (JobEvent)new DeviationNoted($"what {i}", "why")),
            Gen.Int[0, 2].Select(i => (JobEvent)new ProvisionalFitted($"thing {i}")),
            Gen.Int[0, 2].Select(i => (JobEvent)new ProvisionalCleared($"thing {i}")),
            Gen.Int[1, 9].Select(i => (JobEvent)new PartUsed($"part {i}", i, i % 2 == 0 ? i : null, null)),
            Gen.Const<JobEvent>(new VisitBegun("final", SetGoal.Both)),
            Gen.Const<JobEvent>(Plain with { Reason = "so" })
        );
        any.Array[0, 40]
            .Sample(events =>
            {
                JobContent job = After((null, Opened));
                List<JobEvent> taken = [];
                foreach (JobEvent e in events)
                    try
                    {
                        job = After(job, ("Ann", e));
                        taken.Add(e);
                    }
                    catch (InvalidInputException) { }
                JobSheet sheet = job.Sheet;
                Assert.Equal(taken.OfType<NoteWritten>().Select(n => n.Text), sheet.Notes.Select(n => n.Text));
                Assert.Equal(taken.OfType<TimeSpent>().Sum(t => t.Minutes), sheet.Minutes);
                PartUsed[] used = [.. taken.OfType<PartUsed>()];
                Assert.Equal(used.Select(p => p.What), sheet.Parts.Select(p => p.What));
                Assert.Equal(used.Sum(p => p.Count * (p.UnitPrice ?? 0)), sheet.PartsCost?.Price ?? 0);
                Assert.Equal(used.Count(p => p.UnitPrice is null), sheet.PartsCost?.Unpriced ?? 0);
                Assert.Equal(taken.OfType<DeviationNoted>().Count(), sheet.Deviations.Count);
                int standing = taken.OfType<ProvisionalFitted>().Count() - taken.OfType<ProvisionalCleared>().Count();
                Assert.Equal(standing, sheet.Provisional.Count(p => p.ClearedAt is null));
                Assert.Equal(taken.OfType<JobSigned>().Any(), sheet.State == JobState.Ended);
                Assert.Equal(taken.Count + 1, sheet.Version);
                // Told anew from all of it, it is the same; and so is what a file says of it.
                Assert.Equivalent(sheet, JobContent.From(job.Job, job.Entries).Sheet, strict: true);
                FiledJob filed = FiledJob.From(job);
                filed.Check();
                Assert.Equal(job.Entries.Select(x => x.Event), filed.Events.Select(x => x.Event));
            });
    }

    [Fact]
    public void A_file_whose_job_can_t_have_been_is_refused_at_the_event()
    {
        FiledJob job = new(new(2026, 11, 29), [new(Morning, null, Opened), new(Morning, null, new WaitEnded())]);
        Refusals.Names("Events[1].Event.kind", job.Check);
        Refusals.Names("Events", new FiledJob(new(2026, 11, 29), []).Check);
    }

    /// <summary>Common practice: another gearing goes through all that hangs on the wheels; what comes in is looked at as found.</summary>
    [Theory]
    [InlineData(JobReason.Visit, Station.Check, Station.Set)]
    [InlineData(JobReason.SomethingWrong, Station.Check, Station.Build, Station.Set)]
    [InlineData(
        JobReason.AnotherGearing,
        Station.Aim,
        Station.Ratio,
        Station.Fit,
        Station.Loads,
        Station.Build,
        Station.Set,
        Station.Check
    )]
    [InlineData(JobReason.PartNotToBeHad, Station.Loads, Station.Fit, Station.Build, Station.Set, Station.Check)]
    public void Why_it_came_in_says_where_it_is_done(JobReason reason, params Station[] stations) =>
        Assert.Equal(stations, After((null, Opened with { Reason = reason })).Sheet.Stations);
}
