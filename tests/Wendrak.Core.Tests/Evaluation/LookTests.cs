using Wendrak.Core.Evaluation;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Procedures;
using Wendrak.Core.Records;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Evaluation;

/// <summary>What Check says of a loop: what is looked at, how it was before, what stands, and what is due.</summary>
public sealed class LookTests
{
    private static readonly DateOnly Day = new(2026, 11, 1);

    private static JobContent Job(long id, double? km, params JobEvent[] events)
    {
        JobContent job = JobContent.From(new(id, 1, 7, Day.AddDays((int)id * 10)), []);
        long at = id * 100;
        foreach (JobEvent e in events.Prepend(new JobOpened(JobReason.Visit, null, km, null)))
        {
            JobRules.CheckNext(job, e);
            job = job.After(
                new(++at, new DateTimeOffset(job.Job.OpenedOn.ToDateTime(TimeOnly.MinValue), TimeSpan.Zero), "Ann", e)
            );
        }
        return job;
    }

    private static FindingNoted Seen(
        InspectedPart part,
        FindingGrade grade,
        double? untilKm = null,
        DateOnly? untilOn = null
    ) => new($"{part} seen", grade, "final", null, new(part, UntilKm: untilKm, UntilOn: untilOn));

    private static FindingNoted Watched(InspectedPart part) => Seen(part, FindingGrade.Watch, 19_000, new(2027, 1, 15));

    private static StoredMachine With(params JobContent[] jobs) => Benches.Motorcycle() with { Jobs = jobs };

    private static LookAnswer Look(StoredMachine stored, params InspectionKind[] kinds) =>
        stored.Ask(new() { Look = new(kinds) }).Look!.Answer!;

    private static DueAnswer Due(StoredMachine stored) => stored.Ask(new() { Due = new() }).Due!.Answer!;

    [Fact]
    public void A_chain_is_looked_at_as_a_chain_until_somebody_says_it_runs_on_a_rail()
    {
        LookAnswer look = Look(With());
        Assert.Equal((InspectionKind.Chain, LookVerdict.NotLooked), (look.Kind, look.Verdict));
        Assert.DoesNotContain(look.Parts, p => p.Part == InspectedPart.Blocks);
        LookAnswer rail = Look(With(), InspectionKind.Rail);
        Assert.Contains(rail.Parts, p => p.Part == InspectedPart.Blocks);
        Assert.Equal("Kinds[0]", With().Ask(new() { Look = new([InspectionKind.Belt]) }).Look!.Refused!.Single().Field);
    }

    private static StoredMachine Inspected(params LoopInspection[] inspections) =>
        With() with
        {
            Machine = With().Machine with { Inspections = inspections },
        };

    [Fact]
    public void As_what_it_is_looked_at_is_kept()
    {
        StoredMachine rail = Inspected(new LoopInspection("final", InspectionKind.Rail, []));
        Assert.Equal(InspectionKind.Rail, Look(rail).Kind);
        Assert.Equal(InspectionKind.Chain, Look(rail, InspectionKind.Chain).Kind);
    }

    /// <summary>Set cold, a V-belt is read again warm; a variable belt has no tension of its own to read.</summary>
    [Fact]
    public void What_happened_asks_for_what_such_a_loop_has()
    {
        StoredMachine As(InspectionKind kind)
        {
            StoredMachine stored = Inspected(new LoopInspection("final", kind, []));
            Drive drive = stored.Machine.Drives[0];
            Stage[] belts =
            [
                .. drive.Stages.Select(s =>
                    s is Loop l ? l with { DriveElement = DriveElement.VBelt, Standard = "SPB" } : s
                ),
            ];
            Machine machine = stored.Machine with { Drives = [drive with { Stages = belts }] };
            return stored with
            {
                Machine = machine,
                Jobs = [Job(1, 17_000, new UseEventNoted(UseEvent.SetCold, null))],
            };
        }
        Assert.Contains(Due(As(InspectionKind.VBelt)).Items, i => i.Kind == DueKind.Event);
        Assert.DoesNotContain(Due(As(InspectionKind.VariableBelt)).Items, i => i.Kind == DueKind.Event);
    }

    [Fact]
    public void What_its_maker_says_stands_in_place_of_what_the_trade_says()
    {
        GradeCriteria trade = Look(With()).Parts.Single(p => p.Part == InspectedPart.Joint).Criteria!;
        Assert.Empty(trade.Makers);
        MakerGrades makers = new(InspectedPart.Joint, null, "any clip at all", null, "manual, page 41");
        LookAnswer look = Look(Inspected(new LoopInspection("final", null, [makers])));
        GradeCriteria joint = look.Parts.Single(p => p.Part == InspectedPart.Joint).Criteria!;
        Assert.Equal((trade.Fine, "any clip at all", trade.Stop), (joint.Fine, joint.Watch, joint.Stop));
        Assert.Equal([FindingGrade.Watch], joint.Makers);
        Assert.Equal("manual, page 41", joint.MakersSource);
        Assert.Empty(look.Parts.Single(p => p.Part == InspectedPart.Rings).Criteria!.Makers);
    }

    [Fact]
    public void What_no_maker_can_say_of_such_a_loop_is_refused_at_its_field()
    {
        MakerGrades good = new(InspectedPart.Joint, "closed", null, null, null);
        void Refuses(string field, params LoopInspection[] inspections) =>
            Refusals.Names(
                $"Inspections{field}",
                () => MachineRules.Check(Inspected(inspections).Machine, Inspected().Fitted.Loops)
            );
        Refuses("[0].LoopKey", new LoopInspection("another", null, []));
        Refuses("[1].LoopKey", new("final", null, []), new("final", null, []));
        Refuses("[0].Kind", new LoopInspection("final", InspectionKind.Belt, []));
        Refuses("[0].Grades[1].Part", new LoopInspection("final", null, [good, good]));
        Refuses("[0].Grades[0].Part", new LoopInspection("final", null, [good with { Part = InspectedPart.Shims }]));
        Refuses("[0].Grades[0].Part", new LoopInspection("final", null, [good with { Part = InspectedPart.Other }]));
        Refuses("[0].Grades[0].Fine", new LoopInspection("final", null, [good with { Fine = null }]));
        Refuses("[0].Grades[0].Stop", new LoopInspection("final", null, [good with { Stop = " " }]));
        Refuses("[0].Grades[0].Source", new LoopInspection("final", null, [good with { Source = new('x', 301) }]));
        MachineRules.Check(Inspected(new LoopInspection("final", null, [good])).Machine, Inspected().Fitted.Loops);
    }

    [Fact]
    public void The_same_place_stands_beside_last_time_and_the_time_before()
    {
        LookAnswer look = Look(
            With(
                Job(1, 17_000, Seen(InspectedPart.Plates, FindingGrade.Fine)),
                Job(2, 17_400, new RestFine("final", [InspectedPart.Plates, InspectedPart.Rust])),
                Job(3, 17_800, Watched(InspectedPart.Plates)),
                Job(
                    4,
                    18_200,
                    Watched(InspectedPart.Plates),
                    Seen(InspectedPart.Plates, FindingGrade.Stop) with
                    {
                        What = "a crack",
                    }
                )
            )
        );
        PartToLookAt plates = look.Parts.Single(p => p.Part == InspectedPart.Plates);
        // All of this time, one each of the two times before.
        Assert.Equal([4, 4, 3, 2], plates.Seen.Select(s => s.JobId));
        Assert.Equal(
            [FindingGrade.Stop, FindingGrade.Watch, FindingGrade.Watch, FindingGrade.Fine],
            plates.Seen.Select(s => s.Grade)
        );
        Assert.Equal(18_200, plates.Seen[0].OdometerKm);
        Assert.Equal([2], look.Parts.Single(p => p.Part == InspectedPart.Rust).Seen.Select(s => s.JobId));
    }

    [Fact]
    public void What_stands_makes_the_verdict()
    {
        JobContent watched = Job(1, null, Watched(InspectedPart.Plates));
        Assert.Equal(LookVerdict.Watch, Look(With(watched)).Verdict);
        // A later job that finds it fine ends it; the same job does not, it mends it.
        Assert.Equal(
            LookVerdict.Fine,
            Look(With(watched, Job(2, null, Seen(InspectedPart.Plates, FindingGrade.Fine)))).Verdict
        );
        Assert.Equal(
            LookVerdict.Watch,
            Look(With(watched, Job(2, null, Seen(InspectedPart.Rings, FindingGrade.Fine)))).Verdict
        );
        JobContent stopped = Job(1, null, Seen(InspectedPart.Joint, FindingGrade.Stop));
        Assert.Equal(LookVerdict.Stop, Look(With(stopped)).Verdict);
        // A stop is ended by mending it alone.
        Assert.Equal(
            LookVerdict.Stop,
            Look(With(stopped, Job(2, null, Seen(InspectedPart.Joint, FindingGrade.Fine)))).Verdict
        );
        JobContent mended = Job(
            1,
            null,
            Seen(InspectedPart.Joint, FindingGrade.Stop),
            new FindingCured("Joint seen", "another joint")
        );
        Assert.Equal(LookVerdict.Fine, Look(With(mended)).Verdict);
    }

    [Fact]
    public void Of_what_hoists_or_flies_what_was_seen_is_kept_and_no_verdict_given()
    {
        StoredMachine stored = With(Job(1, null, Seen(InspectedPart.Joint, FindingGrade.Stop)));
        StoredMachine hoist = stored with
        {
            Machine = stored.Machine with { Loads = new([new("drive", LiftsOrFlies: true)], []) },
        };
        LookAnswer look = Look(hoist);
        Assert.Equal(LookVerdict.NotJudged, look.Verdict);
        Assert.All(look.Parts, p => Assert.Null(p.Criteria));
        Assert.Single(look.Parts.Single(p => p.Part == InspectedPart.Joint).Seen);
        Assert.Equal(LookVerdict.NotJudged, hoist.Ask(new() { Headlines = new() }).Headlines!.Answer!.Check.Verdict);
    }

    [Fact]
    public void What_is_watched_is_due_at_its_distance_or_day_whichever_comes_first()
    {
        // 2 000 km in 20 days: 700 km a week.
        DueAnswer due = Due(With(Job(1, 16_000, Watched(InspectedPart.Plates)), Job(3, 18_000)));
        Assert.Equal(700, due.Usual!.KmPerWeek, 9);
        DueItem watch = due.Items.Single(i => i.Kind == DueKind.Watch);
        Assert.Equal((19_000, new DateOnly(2027, 1, 15)), (watch.AtKm, watch.On));
        Assert.Equal(new(2026, 12, 11), watch.Expected); // ten days after the 1st of December
        Assert.False(watch.IsNow);
        // Nobody said how far it goes: the day alone.
        Assert.Equal(
            new(2027, 1, 15),
            Due(With(Job(1, null, Watched(InspectedPart.Plates)))).Items.Single(i => i.Kind == DueKind.Watch).Expected
        );
        // The distance is run.
        StoredMachine far = With(Job(1, 16_000, Watched(InspectedPart.Plates)));
        far = far with { Machine = far.Machine with { OdometerKm = 19_000 } };
        Assert.True(Due(far).Items[0] is { Kind: DueKind.Watch, IsNow: true });
    }

    [Fact]
    public void An_event_makes_its_own_looks_due_until_they_are_done()
    {
        UseEventNoted knock = new(UseEvent.Knock, null);
        StoredMachine hit = With(Job(1, null, knock));
        DueItem due = Due(hit).Items[0];
        Assert.Equal((DueKind.Event, UseEvent.Knock, true), (due.Kind, due.Event, due.IsNow));
        Assert.Contains(InspectedPart.Plates, due.Parts);
        Assert.True(Look(hit).Parts.Single(p => p.Part == InspectedPart.Plates).IsAsked);
        Assert.False(Look(hit).Parts.Single(p => p.Part == InspectedPart.Rust).IsAsked);
        Assert.Equal(StationState.LookAgain, hit.Ask(new() { Headlines = new() }).Headlines!.Answer!.Check.State);
        // One of them seen, the others are left; all of them seen, nothing is.
        DueItem left = Due(With(Job(1, null, knock, Seen(InspectedPart.Plates, FindingGrade.Fine)))).Items[0];
        Assert.Equal(due.Parts.Except([InspectedPart.Plates]), left.Parts);
        Assert.Equal(due.Key, left.Key);
        Assert.DoesNotContain(
            Due(With(Job(1, null, knock, new RestFine("final", due.Parts)))).Items,
            i => i.Kind == DueKind.Event
        );
        // What was looked at before says nothing of what happened since.
        Assert.Equal(due.Parts, Due(With(Job(1, null, new RestFine("final", due.Parts), knock))).Items[0].Parts);
    }

    [Fact]
    public void A_look_is_due_again_after_the_interval_of_the_trade()
    {
        DueItem never = Assert.Single(Due(With()).Items);
        Assert.Equal((DueKind.Interval, null, null), (never.Kind, never.AtKm, never.On));
        Assert.Contains("not looked at", never.Why, StringComparison.Ordinal);
        RestFine all = new("final", [.. Look(With()).Parts.Select(p => p.Part)]);
        DueItem next = Assert.Single(Due(With(Job(1, 18_000, all))).Items);
        Assert.Equal((19_000, new DateOnly(2026, 11, 11).AddDays(180)), (next.AtKm, next.On));
        Assert.Equal(new(1_000, 1_000, 180), next.Every);
        Assert.Equal(never.Key, next.Key);
        // A part that was looked at by itself is not the loop: it counts from when all of it was.
        RestFine rust = new("final", [InspectedPart.Rust]);
        Assert.Contains("Not all", Assert.Single(Due(With(Job(1, 18_000, rust))).Items).Why, StringComparison.Ordinal);
        Assert.Equal(next.On, Assert.Single(Due(With(Job(1, 18_000, all), Job(3, 18_500, rust))).Items).On);
    }

    [Fact]
    public void What_a_closing_list_asks_and_what_other_parts_ask_is_due()
    {
        JobContent set = Job(
            2,
            18_000,
            new VisitBegun("final", SetGoal.Both),
            new RoundNoted("final", new(0, 0, LockState.Torqued, [])),
            new ReadingTaken("final", new(ReadingMethod.FreePlay, 35)),
            new RoundKept("final", null),
            new VisitClosed(
                "final",
                new(2026, 11, 21),
                98,
                Enum.GetValues<ClosingStep>(),
                new(2026, 12, 24),
                null,
                null,
                null
            )
        );
        StoredMachine stored = With(set);
        DueItem reading = Due(stored).Items.Single(i => i.Kind == DueKind.Reading);
        Assert.Equal((new DateOnly(2026, 12, 24), null), (reading.On, reading.AtKm));
        FollowUpTask task = new(FollowUpKind.Alignment, "drive", "final", [ChangedPart.FrontWheel]);
        DueItem again = Due(stored with { Fitted = stored.Fitted with { FollowUps = [task] } }).Items[0];
        Assert.Equal((DueKind.FollowUp, task, true), (again.Kind, again.Task, again.IsNow));
    }

    [Theory]
    [InlineData(18_000d, 18_300d, "Whoever set it")]
    [InlineData(null, null, "nobody said what the odometer showed")]
    public void A_distance_that_a_plan_asks_for_is_due_or_says_why_not(double? km, double? atKm, string why)
    {
        StoredMachine stored = With();
        PlanMade plan = WorkPlan.Fill(
            new(ChangeKind.FrontWheel, "final", ProcedureFamily.FinalChain, null),
            stored.Machine,
            stored.Fitted,
            ""
        );
        JobContent job = Job(1, km, plan)
            .After(
                new(
                    500,
                    DateTimeOffset.UnixEpoch,
                    null,
                    new StepDone("again", StepOutcome.Done, null, null, [new("again-km", 300)], null)
                )
            );
        DueItem due = Due(With(job)).Items.Single(i => i.Kind == DueKind.Reading);
        Assert.Equal(atKm, due.AtKm);
        Assert.Contains(why, due.Why, StringComparison.Ordinal);
    }

    /// <summary>Twenty hours a week, from 400 h on; read again after 30.</summary>
    [Fact]
    public void Hours_that_a_plan_asks_for_are_due_by_the_hour_counter_or_say_why_not()
    {
        StoredMachine stored = With();
        PlanMade plan = WorkPlan.Fill(
            new(ChangeKind.FrontWheel, "final", ProcedureFamily.FinalChain, null),
            stored.Machine,
            stored.Fitted,
            ""
        );
        JobContent At(int day, double? hours, params JobEvent[] events)
        {
            JobContent job = JobContent.From(new(day, 1, 7, Day.AddDays(day)), []);
            long entry = day * 100;
            foreach (JobEvent e in events.Prepend(new JobOpened(JobReason.Visit, null, null, hours)))
                job = job.After(new(++entry, DateTimeOffset.UnixEpoch, "Ann", e));
            return job;
        }
        StepDone again = new("again", StepOutcome.Done, null, null, [new("again-h", 30)], null);
        DueItem Reading(params JobContent[] jobs) => Due(With(jobs)).Items.Single(i => i.Kind == DueKind.Reading);
        DueItem due = Reading(At(1, 200), At(71, 400, plan, again));
        Assert.Equal((430d, Day.AddDays(71 + 11), false), (due.AtHours, due.Expected, due.IsNow));
        Assert.True(Reading(At(1, 200), At(71, 400, plan, again), At(80, 430)).IsNow);
        DueItem unsaid = Reading(At(71, null, plan, again));
        Assert.Null(unsaid.AtHours);
        Assert.Contains("hour counter", unsaid.Why, StringComparison.Ordinal);
        Assert.Equal(20, Due(With(At(1, 200), At(71, 400))).UsualHours!.HoursPerWeek, 9);
    }

    [Fact]
    public void What_is_typed_of_a_finding_is_refused_at_its_field()
    {
        static void Refuses(string field, FindingNoted finding) => Refusals.Names(field, () => Job(1, null, finding));
        FindingNoted fine = Seen(InspectedPart.Plates, FindingGrade.Fine);
        FindingDetail detail = fine.Detail!;
        Refuses("Detail.UntilOn", Seen(InspectedPart.Plates, FindingGrade.Watch));
        Refuses("Detail.UntilKm", fine with { Detail = detail with { UntilKm = 5 } });
        Refuses("Detail.UntilOn", fine with { Detail = detail with { UntilOn = new(2027, 1, 1) } });
        Refuses("Detail.UntilOn", Seen(InspectedPart.Plates, FindingGrade.Watch, untilOn: new(2026, 11, 1)));
        Refuses("Detail.UntilOn", Seen(InspectedPart.Plates, FindingGrade.Watch, untilOn: new(2047, 1, 1)));
        Refuses("Detail.UntilKm", Seen(InspectedPart.Plates, FindingGrade.Watch, untilKm: -1));
        Refuses("Detail.FromTooth", fine with { Detail = detail with { FromTooth = 0 } });
        Refuses("Detail.ToTooth", fine with { Detail = detail with { FromTooth = 1, ToTooth = 501 } });
        Refuses("Detail.FromTooth", fine with { Detail = detail with { ToTooth = 3 } });
        Refuses("Detail.Run", fine with { Detail = detail with { Run = (LoopRun)7 } });
        Refuses("Detail.Part", fine with { Detail = detail with { Part = (InspectedPart)99 } });
        Refuses("Detail.Against", fine with { Detail = detail with { Against = new('x', 2_001) } });
        Refuses("Detail.Measure.Unit", fine with { Detail = detail with { Measure = new(0.6, " ") } });
        Refuses("Detail.Measure.Value", fine with { Detail = detail with { Measure = new(double.NaN, "%") } });
        Refuses("LoopKey", fine with { LoopKey = null });
        Refuses("What", fine with { What = "frayed hoist rope" });
        Refuses("Words", fine with { Words = "the clutch cable too" });
        Refusals.Names("Parts", () => Job(1, null, new RestFine("final", [])));
        Refusals.Names("Parts", () => Job(1, null, new RestFine("final", [InspectedPart.Rust, InspectedPart.Rust])));
        Refusals.Names("Event", () => Job(1, null, new UseEventNoted((UseEvent)99, null)));
        Assert.True(new FindingMeasure(0.6, "%").IsHearsay);
        Assert.False(new FindingMeasure(0.6, "%", "caliper").IsHearsay);
    }

    [Fact]
    public void A_belt_a_v_belt_and_a_rail_are_each_looked_at_as_what_they_are()
    {
        static InspectionKind KindOf(DriveElement element, AdjusterKind adjuster) =>
            InspectionKinds.Suiting(element, adjuster)[0];
        Assert.Equal(InspectionKind.Belt, KindOf(DriveElement.ToothedBelt, AdjusterKind.TwoEnds));
        Assert.Equal(InspectionKind.VBelt, KindOf(DriveElement.VBelt, AdjusterKind.SlidingMotor));
        Assert.Equal(InspectionKind.VBelt, KindOf(DriveElement.RoundBelt, AdjusterKind.FixedCentres));
        Assert.Equal(InspectionKind.Rail, KindOf(DriveElement.Chain, AdjusterKind.Cam));
        Assert.Equal(InspectionKind.Chain, KindOf(DriveElement.Chain, AdjusterKind.TwoEnds));
        Assert.Equal(
            NoFigure.NoLoop,
            With().Ask(new() { Headlines = new() }, new([])).Headlines!.Answer!.Check.Without
        );
    }
}
