using Wendrak.Core.Evaluation;
using Wendrak.Core.Faults;
using Wendrak.Core.Gearing;
using Wendrak.Core.Procedures;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;
using Wendrak.Core.Tables;
using Wendrak.Core.Tension;
using Wendrak.Core.Tests.Gearing;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wear;

namespace Wendrak.Core.Tests.Evaluation;

/// <summary>A search on a stored machine: what its record says of it, what is asked next, and what is written down.</summary>
public sealed class FaultSearchTests
{
    private static readonly DateOnly Today = new(2026, 12, 1);
    private static readonly Workshop Empty = new([], [], [], []);
    private static readonly FaultDescribed Knocks = new("final", ["knocksOnce"], [], At: [FaultSetting.Motor]);

    private int _jobs;

    private JobContent Job(DateOnly on, params JobEvent[] events)
    {
        int number = ++_jobs;
        JobContent job = JobContent.From(new(number, 1, 7, on), []);
        int entry = number * 100;
        DateTimeOffset at = new(on, new(12, 0), TimeSpan.Zero);
        foreach (JobEvent e in events.Prepend(new JobOpened(JobReason.SomethingWrong, null, 100 * number, null)))
            job = job.After(new(entry++, at, "Ann", e));
        return job;
    }

    private static FaultSearch Search(params JobContent[] jobs) =>
        new(Bench() with { Jobs = jobs }, "final", null, Today);

    /// <summary>The maker says how much play it has: 30 to 40 mm.</summary>
    private static StoredMachine Bench()
    {
        StoredMachine stored = Benches.Motorcycle();
        LoopSetting setting = new(
            "final",
            new(AdjusterKind.TwoEnds),
            MakerMethod: ReadingMethod.FreePlay,
            MakerLow: 30,
            MakerHigh: 40
        );
        return stored with { Machine = stored.Machine with { Settings = [setting] } };
    }

    private static FaultDesk Desk(params JobContent[] jobs) => FaultDesk.Of(Search(jobs), Empty, [], null);

    private static ElongationMeasured Measured(double percent) =>
        new("final", 16, MeasuredOver.Pins, [16 * 15.875 * (1 + percent / 100)], null, false, "520");

    private static string[] So(FaultDesk desk) => [.. desk.Circumstances.Where(c => c.IsSo).Select(c => c.Key)];

    [Fact]
    public void Lately_is_sixty_days_or_until_it_was_looked_at()
    {
        UseEventNoted rain = new(UseEvent.DeepWater, null);
        Assert.Equal(["rain"], So(Desk(Job(Today.AddDays(-60), rain))));
        // Older, and nobody looked since: it is still due, and counts.
        Assert.Equal(["rain"], So(Desk(Job(Today.AddDays(-300), rain))));
        RestFine looked = new("final", [.. InspectionItems.For(InspectionKind.Chain).Select(i => i.Part)]);
        Assert.Empty(So(Desk(Job(Today.AddDays(-300), rain), Job(Today.AddDays(-200), looked))));
        Assert.Empty(So(Desk(Job(Today.AddDays(-3), new UseEventNoted(UseEvent.Contest, null)))));
    }

    [Fact]
    public void What_the_record_says_counts_until_somebody_says_otherwise()
    {
        UseEventNoted dust = new(UseEvent.Dust, null);
        FaultDesk desk = Desk(Job(Today, dust, Knocks with { NotSo = ["dust"], Circumstances = ["rain"] }));
        CircumstanceChoice denied = desk.Circumstances.Single(c => c.Key == "dust");
        Assert.Equal((false, Today), (denied.IsSo, denied.Fact!.On));
        Assert.Equal(["rain"], So(desk));
    }

    [Fact]
    public void Worn_past_half_of_its_limit_is_told_with_its_figure()
    {
        CircumstanceChoice worn = Desk(Job(Today.AddDays(-40), Measured(0.8)))
            .Circumstances.Single(c => c.Key == "worn");
        Assert.True(worn.IsSo);
        Assert.Equal(0.8, worn.Fact!.Measured!.Values[0], 6);
        Assert.DoesNotContain("worn", So(Desk(Job(Today.AddDays(-40), Measured(0.1)))));
    }

    [Fact]
    public void Parts_fitted_lately_are_new_and_of_more_than_five_years_old()
    {
        StoredMachine Fitted(DateOnly on) =>
            Benches.Motorcycle() is var m ? m with { Fitted = m.Fitted with { FittedOn = on } } : m;
        string[] Of(DateOnly on) => So(FaultDesk.Of(new(Fitted(on), "final", null, Today), Empty, [], null));
        Assert.Equal(["newParts"], Of(Today.AddDays(-60)));
        Assert.Empty(Of(Today.AddDays(-61)));
        Assert.Empty(Of(Today.AddYears(-5).AddDays(1)));
        Assert.Equal(["old"], Of(Today.AddYears(-5)));
    }

    /// <summary>A fault of today may not have been there at an older look: three days, judgement.</summary>
    [Fact]
    public void A_fresh_look_answers_its_test_and_an_older_one_does_not()
    {
        FindingNoted plates = new("plates", FindingGrade.Fine, "final", null, new(InspectedPart.Plates));
        FindingNoted joint = new("joint", FindingGrade.Fine, "final", null, new(InspectedPart.Joint));
        FaultDesk fresh = Desk(Job(Today.AddDays(-3), plates, joint));
        WayStep step = fresh.Way.Single();
        Assert.Equal(("lookChain", null, Today.AddDays(-3)), (step.Test, step.Entry, step.Record!.On));
        Assert.DoesNotContain(fresh.Result.Left, t => t.Key == "lookChain");
        Assert.Empty(Desk(Job(Today.AddDays(-4), plates, joint)).Way);
        // One of its two parts alone says nothing of the other.
        Assert.Empty(Desk(Job(Today, plates)).Way);
        FindingNoted gone = joint with { Grade = FindingGrade.Stop };
        FaultDesk stopped = Desk(Job(Today, plates, gone));
        Assert.True(stopped.Result.IsStop);
        Assert.True(stopped.Way.Single().IsStop);
        // Mended, nothing is known of it any more.
        Assert.Empty(Desk(Job(Today, plates, gone, new FindingCured("joint", "new"))).Way);
    }

    [Fact]
    public void What_the_record_answers_is_asked_all_the_same_where_somebody_wants_to()
    {
        JobContent job = Job(Today, Measured(0.2));
        Assert.Equal("elongation", Desk(job).Way.Single().Test);
        FaultDesk asked = FaultDesk.Of(
            Search(
                job,
                Job(
                    Today,
                    Knocks,
                    new FaultTested("final", "lookChain", "no"),
                    new FaultTested("final", "moveWheel", "no")
                )
            ),
            Empty,
            [],
            "elongation"
        );
        Assert.Equal("elongation", asked.Result.Next!.Test.Key);
        Assert.Equal(("%", 1, 1.0), (asked.Measure!.Unit, asked.Measure.Count, asked.Measure.High));
        Refusals.Names(
            "Asked",
            () =>
                FaultDesk.Of(
                    Search(Job(Today, Knocks, new FaultTested("final", "bendLinks", "none"))),
                    Empty,
                    [],
                    "bendLinks"
                )
        );
    }

    [Fact]
    public void Play_has_the_lines_of_its_window_before_anybody_read_it()
    {
        FaultMeasure play = Search().Record.Measures.Single(m => m.Test == "playFour");
        Assert.Equal(("mm", 4), (play.Unit, play.Count));
        Assert.Equal(30, play.Low!.Value, 6);
        Assert.Equal(40, play.High!.Value, 6);
        JobContent job = Job(Today, Knocks);
        FaultTested told = (FaultTested)
            Search(job)
                .Fill(
                    new FaultTested("final", "playFour", "", [.. Enumerable.Repeat(play.High!.Value + 5, 4)]),
                    Empty,
                    ""
                );
        Assert.Equal(("slackAll", "mm"), (told.Answer, told.Unit));
        Refusals.Names(
            "Event.Values",
            () => Search(job).Fill(new FaultTested("final", "bendLinks", "", [1]), Empty, "Event")
        );
    }

    [Fact]
    public void What_was_read_fresh_is_an_answer_and_what_was_read_before_a_circumstance()
    {
        SetJob visit = Benches.Visit(3, "final", 90, 95);
        FaultSearch On(DateOnly today) => new(Bench() with { Visits = [visit] }, "final", null, today);
        FaultRecord fresh = On(visit.OpenedOn.AddDays(1)).Record;
        Assert.Equal(("playFour", "slackAll"), (fresh.Answers.Single().Test, fresh.Answers.Single().Answer));
        Assert.DoesNotContain(fresh.Facts, f => f.Circumstance.StartsWith("window", StringComparison.Ordinal));
        FaultRecord later = On(visit.OpenedOn.AddDays(30)).Record;
        Assert.Empty(later.Answers);
        Assert.Equal([95.0, 90.0], Assert.Single(later.Facts, f => f.Circumstance == "windowOut").Measured!.Values);
        Assert.Equal("tightAll", Answered(10, 15));
        Assert.Equal("uneven", Answered(35, 60));
        Assert.Equal("even", Answered(32, 38));

        string Answered(params double[] play) =>
            new FaultSearch(Bench() with { Visits = [Benches.Visit(3, "final", play)] }, "final", null, visit.OpenedOn)
                .Record.Answers.Single()
                .Answer;
    }

    [Fact]
    public void A_machine_beside_it_is_one_with_such_a_loop_and_brings_its_own_record()
    {
        StoredMachine other = Benches.Motorcycle() with
        {
            Jobs = [Job(Today, new UseEventNoted(UseEvent.DeepWater, null))],
        };
        JobContent job = Job(Today, Knocks with { Circumstances = ["rain"], Control = new(9, []) });
        FaultSearch search = new(Benches.Motorcycle() with { Jobs = [job] }, "final", other, Today);
        FaultDesk desk = FaultDesk.Of(search, Empty, [], null);
        Assert.True(desk.Control!.Circumstances.Single(c => c.Key == "rain").IsSo);
        // What no other one can have met is not offered.
        Assert.DoesNotContain(desk.Control.Circumstances, c => c.Key == "grew");
        double shared = desk.Result.Odds.Single(o => o.Key == "stiffLink").Probability;
        FaultSearch dry = new(Benches.Motorcycle() with { Jobs = [job] }, "final", Benches.Motorcycle(), Today);
        double differs = FaultDesk.Of(dry, Empty, [], null).Result.Odds.Single(o => o.Key == "stiffLink").Probability;
        Assert.True(differs > shared, $"{differs} {shared}");
        LoopOnMachine Beside(long id, FaultKind kind) =>
            new(
                id,
                $"{id}",
                (Loop)Drives.Motorcycle().Stages.Single(s => s.Key == "final"),
                Drives.Pair(15, 45)[^1],
                kind
            );
        Workshop yard = Empty with
        {
            OnMachines = [Beside(7, FaultKind.Chain), Beside(8, FaultKind.Chain), Beside(9, FaultKind.Belt)],
        };
        Assert.Equal([8L], FaultDesk.Of(search, yard, [], null).Controls.Select(c => c.MachineId));
    }

    [Fact]
    public void Tools_that_are_not_listed_keep_a_test_back_once_any_is()
    {
        Workshop Having(params ToolKind[] kinds) =>
            Empty with
            {
                Tools = [.. kinds.Select((k, i) => new HandTool(i, 1, k, null))],
            };
        bool CanMeasure(Workshop workshop) =>
            FaultDesk
                .Of(Search(Job(Today, Knocks)), workshop, [], null)
                .Result.Left.Single(t => t.Key == "elongation")
                .CanBeDone;
        Assert.True(CanMeasure(Empty));
        Assert.False(CanMeasure(Having(ToolKind.Stand)));
        Assert.True(CanMeasure(Having(ToolKind.Stand, ToolKind.Caliper)));
        // Chalk is in every workshop.
        Assert.True(
            FaultDesk
                .Of(Search(Job(Today, Knocks)), Having(ToolKind.Stand), [], null)
                .Result.Left.Single(t => t.Key == "chalkLink")
                .CanBeDone
        );
    }

    [Fact]
    public void What_is_found_says_what_ruled_out_the_others_and_whose_word_it_is()
    {
        JobContent job = Job(
            Today,
            Knocks,
            new FaultTested("final", "lookChain", "no"),
            new FaultTested("final", "moveWheel", "no"),
            new FaultTested("final", "bendLinks", "aLink"),
            new FaultTested("final", "chalkLink", "link")
        );
        FaultFound Found(string cause) => (FaultFound)Search(job).Fill(new FaultFound("final", [cause]), Empty, "");
        FaultFound stiff = Found("stiffLink");
        Assert.Equal(("A link that has gone stiff", FindingGrade.Watch), (stiff.What, stiff.Grade));
        Assert.Equal(["lookChain", "moveWheel", "bendLinks", "chalkLink"], stiff.Tests);
        Assert.StartsWith("Likely. Ruled out: ", stiff.Why, StringComparison.Ordinal);
        Assert.Contains(
            "The joining link is too tight or crooked (Does a link stay bent? A link does)",
            stiff.Why,
            StringComparison.Ordinal
        );
        Assert.Contains(
            "Somebody decided on it: the tests point at “A link that has gone stiff”.",
            Found("clipLost").Why,
            StringComparison.Ordinal
        );
        Assert.Equal(FindingGrade.Stop, Found("clipLost").Grade);
    }

    /// <summary>A slack chain that was found stands and is watched; a clip that is gone stops it, found or not.</summary>
    [Fact]
    public void What_stops_it_is_said_apart_from_what_only_stands()
    {
        FaultTested clip = new("final", "lookChain", "clip", Seen: "The clip is gone");
        FaultFound slack = new("final", ["chainSlack"], "slack");
        FaultDesk desk = Desk(Job(Today, Knocks, slack));
        Assert.Equal(["slack"], desk.Open);
        Assert.Empty(desk.Stops);
        desk = Desk(Job(Today, Knocks, clip, slack));
        Assert.Equal(["The clip is gone", "slack"], desk.Open);
        Assert.Equal(["The clip is gone"], desk.Stops);
        desk = Desk(Job(Today, Knocks, clip, slack, new FindingCured("The clip is gone", "a new one")));
        Assert.Equal(["slack"], desk.Open);
        Assert.Empty(desk.Stops);
    }

    [Fact]
    public void A_cure_at_build_has_a_procedure_of_this_machine_that_does_it()
    {
        FaultDesk desk = Desk(Job(Today, Knocks));
        FaultCure worn = desk.Cures.Single(c => c.Cause == "chainWorn");
        Assert.Equal(
            (Station.Build, ProcedureFamily.FinalChain, ChangeKind.WholeSet),
            (worn.Station, worn.Family, worn.Change)
        );
        FaultCure slack = desk.Cures.Single(c => c.Cause == "chainSlack");
        Assert.Equal((Station.Set, null, null), (slack.Station, slack.Family, slack.Change));
        Assert.All(desk.Cures.Where(c => c.Station == Station.Build), c => WorkPlanMakes(c));

        static void WorkPlanMakes(FaultCure cure)
        {
            StoredMachine stored = Benches.Motorcycle();
            Assert.NotEmpty(
                WorkPlan
                    .Fill(new(cure.Change!.Value, "final", cure.Family!.Value, null), stored.Machine, stored.Fitted, "")
                    .Made!.Steps
            );
        }
    }

    [Fact]
    public void This_yard_s_own_count_is_of_cures_that_were_asked_about()
    {
        JobContent Cured(bool? isGone, params string[] causes) =>
            Job(
                Today,
                [
                    Knocks,
                    new FaultFound("final", causes, "it"),
                    new FindingCured("it", "done"),
                    .. isGone is bool gone ? (JobEvent[])[new CureJudged("final", gone)] : [],
                ]
            );
        JobSheet[] jobs =
        [
            Cured(true, "stiffLink").Sheet,
            Cured(false, "stiffLink").Sheet,
            Cured(null, "stiffLink").Sheet,
            Cured(true, "chainWorn", "dryJoints").Sheet,
        ];
        Assert.Equal([new("chainWorn", 1, 1), new("dryJoints", 1, 1), new("stiffLink", 2, 1)], FaultCount.AllOf(jobs));
        FaultDesk desk = FaultDesk.Of(
            Search(Cured(false, "stiffLink"), Job(Today, Knocks with { IsNew = true })),
            Empty,
            [],
            null
        );
        Assert.Equal(("it", false), (desk.Before.Single().What, desk.Before.Single().IsGone));
    }

    [Fact]
    public void A_search_goes_on_until_it_is_said_whether_it_is_gone()
    {
        Assert.Equal(["knocks once in a while, evenly"], FaultGoingOn.Of(Job(Today, Knocks).Sheet).Single().Signs);
        FaultGoingOn found = FaultGoingOn
            .Of(Job(Today, Knocks, new FaultFound("final", ["stiffLink"], "it")).Sheet)
            .Single();
        Assert.Equal(("it", false), (found.Found, found.AsksIfGone));
        JobEvent[] cured = [Knocks, new FaultFound("final", ["stiffLink"], "it"), new FindingCured("it", "done")];
        Assert.True(FaultGoingOn.Of(Job(Today, cured).Sheet).Single().AsksIfGone);
        Assert.Empty(FaultGoingOn.Of(Job(Today, [.. cured, new CureJudged("final", true)]).Sheet));
    }

    [Fact]
    public void Another_kind_of_loop_is_another_search()
    {
        JobContent job = Job(Today, Knocks with { At = [] });
        FaultSearch search = Search(job);
        Assert.Null(search.Said);
        FaultDescribed filled = (FaultDescribed)search.Fill(Knocks, Empty, "");
        Assert.True(filled.IsNew);
        Assert.Equal((FaultKind.Chain, FaultSetting.Motor), (filled.LoopKind, filled.At![0]));
        Assert.Throws<InvalidInputException>(() => new FaultSearch(Benches.Motorcycle(), "other", null, Today));
    }

    [Fact]
    public void A_drive_says_what_can_go_wrong_beside_its_loop()
    {
        Assert.Equal(
            [FaultSetting.Motor],
            FaultOfLoop.Find(Benches.Motorcycle().Machine, "final").At.Where(a => a != FaultSetting.Primary)
        );
        FaultOfLoop rail = FaultOfLoop.Find(Benches.Rail().Machine, "left last");
        Assert.Contains(FaultSetting.Robot, rail.At);
        Machine looked = Benches.Rail().Machine with { Inspections = [new("left last", InspectionKind.Rail, [])] };
        Assert.Equal(FaultKind.Rail, FaultOfLoop.Find(looked, "left last").Kind);
    }
}
