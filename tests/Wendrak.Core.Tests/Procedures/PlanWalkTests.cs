using Wendrak.Core.Procedures;
using Wendrak.Core.Records;

namespace Wendrak.Core.Tests.Procedures;

/// <summary>Each family walked through with its trap sprung: it ends in a refusal, a deviation or an open item, never signed.</summary>
/// <remarks>Traps: common practice.</remarks>
public sealed class PlanWalkTests
{
    private static readonly JobSigned Plain = new(new(2026, 11, 30), null, null, null, null);

    /// <summary>All but from a chain to a belt: the machine it is tried on has a belt.</summary>
    public static TheoryData<ProcedureFamily, ChangeKind> Walks
    {
        get
        {
            TheoryData<ProcedureFamily, ChangeKind> walks = [];
            foreach (ProcedureFamily family in Enum.GetValues<ProcedureFamily>())
            foreach (ChangeKind change in ProcedureLibrary.Get(family).Changes.Except([ChangeKind.ChainToBelt]))
                walks.Add(family, change);
            return walks;
        }
    }

    [Theory]
    [MemberData(nameof(Walks))]
    public void Done_in_its_order_it_ends_signed(ProcedureFamily family, ChangeKind change)
    {
        JobContent job = Works.WorkedUpTo(Works.Begun(family, change), null);
        Assert.Equal((job.Plan!.Steps.Count, 0), (job.Plan.Done, job.Plan.MinutesLeft));
        Assert.Equal([], job.Sheet.BlockedBy);
        Assert.Empty(job.Sheet.Despite);
        Assert.Equal(JobState.Ended, Works.After(job, Plain).Sheet.State);
    }

    [Theory]
    [MemberData(nameof(Walks))]
    public void Any_must_step_left_open_blocks_by_its_name(ProcedureFamily family, ChangeKind change)
    {
        JobContent begun = Works.Begun(family, change);
        foreach (PlanStep must in begun.Plan!.Steps.Where(s => s.Step.IsMust))
        {
            JobContent job = Works.WorkedUpTo(begun, must.Step.Key);
            Assert.Contains(new(SignatureBlock.StepOpen, must.Step.Do), job.Sheet.BlockedBy);
            Refusals.Names("kind", () => Works.After(job, Plain));
            if (!must.Step.IsAtSet)
                Refusals.Names(
                    "Outcome",
                    () =>
                        Works.After(
                            job,
                            Works.Done(job, must.Step.Key) with
                            {
                                Outcome = StepOutcome.LeftOut,
                                Why = "no time",
                            }
                        )
                );
        }
    }

    [Fact]
    public void The_chain_is_not_fed_once_the_arm_is_in()
    {
        JobContent job = Works.WorkedUpTo(Works.Begun(ProcedureFamily.ArmSwap, ChangeKind.BeltToChain), "feed");
        string said = Refusals.Names("Step", () => Works.After(job, Works.Done(job, "arm-in")));
        Assert.Contains("closes the way", said, StringComparison.Ordinal);
        Assert.Contains("Feed the loop from behind", said, StringComparison.Ordinal);
        // Moved there on purpose it is refused as well.
        Refusals.Names("Before", () => Works.After(job, new StepMoved("arm-in", "feed")));
    }

    [Fact]
    public void The_hidden_screw_can_not_be_forgotten()
    {
        JobContent job = Works.WorkedUpTo(Works.Begun(ProcedureFamily.MotorSlide, ChangeKind.Loop), "hidden");
        Refusals.Names("Step", () => Works.After(job, Works.Done(job, "nut")));
        Assert.Contains(job.Sheet.BlockedBy, b => b.What.StartsWith("The hidden screw", StringComparison.Ordinal));
        // Three of four in reach is a deviation, not done.
        JobContent early = Works.WorkedUpTo(Works.Begun(ProcedureFamily.MotorSlide, ChangeKind.Loop), "others");
        StepDone two = Works.Done(early, "others") with
        {
            Fastening = new(2, 3, 4, TorqueBy.Maker, LockCondition.Fresh),
        };
        Refusals.Names("Fastening.Count", () => Works.After(early, two));
        JobContent told = Works.After(early, two with { Outcome = StepOutcome.Differently, Why = "stripped" });
        Assert.Contains(SignedDespite.Deviation, told.Sheet.Despite);
        Assert.Equal("stripped", told.Sheet.Deviations.Single().Why);
        Refusals.Names(
            "Fastening.Of",
            () => Works.After(early, two with { Fastening = new(2, 2, 4, TorqueBy.Maker, LockCondition.Fresh) })
        );
    }

    [Fact]
    public void A_dummy_shaft_left_in_blocks_and_one_that_is_out_is_counted()
    {
        JobContent job = Works.WorkedUpTo(Works.Begun(ProcedureFamily.RobotRail, ChangeKind.Loop), "gearbox");
        Assert.Contains(job.Sheet.BlockedBy, b => b.What.Contains("dummy", StringComparison.Ordinal));
        Refusals.Names(
            "Values[0].Value",
            () => Works.After(job, Works.Done(job, "gearbox") with { Values = [new("dummy-out", 0)] })
        );
    }

    [Fact]
    public void Port_covers_left_on_block()
    {
        JobContent job = Works.WorkedUpTo(Works.Begun(ProcedureFamily.VBeltPlate, ChangeKind.Loop), "covers");
        Assert.Contains(job.Sheet.BlockedBy, b => b.What.Contains("port", StringComparison.Ordinal));
    }

    [Fact]
    public void A_key_that_is_not_locked_blocks_and_is_not_done()
    {
        JobContent job = Works.WorkedUpTo(Works.Begun(ProcedureFamily.VBeltPlate, ChangeKind.FrontWheel), "key-lock");
        Assert.Contains(job.Sheet.BlockedBy, b => b.What.Contains("key", StringComparison.Ordinal));
        StepDone locked = Works.Done(job, "key-lock");
        Refusals.Names(
            "Fastening.Lock",
            () => Works.After(job, locked with { Fastening = locked.Fastening! with { Lock = LockCondition.None } })
        );
        Assert.DoesNotContain(
            Works.After(job, locked).Sheet.BlockedBy,
            b => b.What.Contains("key", StringComparison.Ordinal)
        );
    }

    [Theory]
    [InlineData(
        ProcedureFamily.FinalChain,
        ChangeKind.RearWheel,
        "wheel-in",
        "swapped, left for right",
        "off the middle"
    )]
    [InlineData(
        ProcedureFamily.FinalChain,
        ChangeKind.FrontWheel,
        "front-on",
        "marked face inward",
        "row of teeth moves"
    )]
    [InlineData(ProcedureFamily.FinalChain, ChangeKind.Loop, "join", "clip, its open end leading", "pushed off")]
    [InlineData(
        ProcedureFamily.FinalChain,
        ChangeKind.Loop,
        "join",
        "clip on a machine that rolls back over its guide",
        "knocks the clip off"
    )]
    [InlineData(ProcedureFamily.RobotRail, ChangeKind.FrontWheel, "wheels-on", "hub inward", "row moves")]
    [InlineData(
        ProcedureFamily.GearHub,
        ChangeKind.FrontWheel,
        "on",
        "hub away from the bearing",
        "part of their width"
    )]
    public void The_mirror_is_refused_with_what_it_would_do(
        ProcedureFamily family,
        ChangeKind change,
        string step,
        string wrong,
        string does
    )
    {
        JobContent job = Works.WorkedUpTo(Works.Begun(family, change), step);
        StepDone done = Works.Done(job, step);
        Assert.Contains(
            does,
            Refusals.Names("Way", () => Works.After(job, done with { Way = wrong })),
            StringComparison.Ordinal
        );
        // Neither differently nor for now: it would stand mirrored.
        Refusals.Names(
            "Way",
            () => Works.After(job, done with { Way = wrong, Outcome = StepOutcome.ForNow, Why = "quick" })
        );
        Refusals.Names("Way", () => Works.After(job, done with { Way = null }));
        Assert.Equal(StepState.Done, StateOf(Works.After(job, done), step));
    }

    [Fact]
    public void Tension_is_read_after_the_nut_or_the_job_stays_open()
    {
        JobContent job = Works.WorkedUpTo(Works.Begun(ProcedureFamily.FinalBelt, ChangeKind.TensionOnly), "set");
        Refusals.Names("Step", () => Works.After(job, Works.Done(job, "set")));
        Refusals.Names("Step", () => Works.After(job, Works.Done(job, "cap-on")));
        JobContent begun = Works.After(job, [.. Works.Closed("final").Take(4)]);
        Assert.Equal(StepState.Open, StateOf(begun, "set"));
        JobContent closed = Works.After(begun, [.. Works.Closed("final").Skip(4)]);
        Assert.Equal((StepState.Done, "cap-on"), (StateOf(closed, "set"), closed.Plan!.Next));
    }

    [Fact]
    public void For_now_blocks_until_it_is_done_for_good_and_left_out_asks_a_reason()
    {
        JobContent job = Works.WorkedUpTo(Works.Begun(ProcedureFamily.FinalChain, ChangeKind.FrontWheel), "cover-on");
        StepDone cover = Works.Done(job, "cover-on");
        Refusals.Names("Why", () => Works.After(job, cover with { Outcome = StepOutcome.ForNow }));
        JobContent now = Works.After(job, cover with { Outcome = StepOutcome.ForNow, Why = "two screws short" });
        Assert.Contains(now.Sheet.BlockedBy, b => b.Kind == SignatureBlock.StepForNow);
        JobContent end = Works.WorkedUpTo(now, null);
        Refusals.Names("kind", () => Works.After(end, Plain));
        JobContent good = Works.After(end, cover);
        Assert.Empty(good.Sheet.BlockedBy);
        JobContent begun = Works.Begun(ProcedureFamily.FinalChain, ChangeKind.TensionOnly);
        JobContent left = Works.After(begun, new StepDone("found", StepOutcome.LeftOut, "no caliper", null, [], null));
        Refusals.Names(
            "Outcome",
            () =>
                Works.After(
                    begun,
                    new StepDone("found", StepOutcome.LeftOut, "so", null, [new("front-teeth", 15)], null)
                )
        );
        JobContent all = Works.WorkedUpTo(left, null);
        Assert.Equal([SignedDespite.Deviation], all.Sheet.Despite);
        Assert.StartsWith("left out:", all.Sheet.Deviations.Single().What, StringComparison.Ordinal);
        Refusals.Names("Reason", () => Works.After(all, Plain));
        Assert.Equal(JobState.Ended, Works.After(all, Plain with { Reason = "told the rider" }).Sheet.State);
    }

    [Fact]
    public void A_missing_part_blocks_until_it_is_there_or_something_stands_in()
    {
        JobContent job = Works.WorkedUpTo(Works.Begun(ProcedureFamily.FinalChain, ChangeKind.FrontWheel), null);
        JobContent missing = Works.After(job, new TrayTicked("tab-washer", TrayState.Missing, null));
        Assert.Equal([new(SignatureBlock.PartMissing, "tab washer, new")], missing.Sheet.BlockedBy);
        Refusals.Names("StandIn", () => Works.After(missing, new TrayTicked("tab-washer", TrayState.StandIn, " ")));
        Refusals.Names("Part", () => Works.After(missing, new TrayTicked("anchor", TrayState.There, null)));
        JobContent stands = Works.After(
            missing,
            new TrayTicked("tab-washer", TrayState.StandIn, "the old one, turned")
        );
        Assert.Empty(stands.Sheet.BlockedBy);
        Assert.Equal([SignedDespite.Deviation], stands.Sheet.Despite);
        Assert.Empty(Works.After(stands, new TrayTicked("tab-washer", TrayState.There, null)).Sheet.Despite);
    }

    [Fact]
    public void A_torque_is_the_makers_or_told_as_what_it_is()
    {
        JobContent job = Works.WorkedUpTo(
            Works.Begun(ProcedureFamily.FinalChain, ChangeKind.FrontWheel),
            "front-nut-tight"
        );
        StepDone nut = Works.Done(job, "front-nut-tight");
        Refusals.Names("Fastening", () => Works.After(job, nut with { Fastening = null }));
        FasteningDone tight = nut.Fastening!;
        Refusals.Names(
            "Fastening.TorqueNm",
            () => Works.After(job, nut with { Fastening = tight with { By = TorqueBy.Feel } })
        );
        Refusals.Names(
            "Fastening.TorqueNm",
            () => Works.After(job, nut with { Fastening = tight with { TorqueNm = 1_001 } })
        );
        Refusals.Names(
            "Fastening.Lock",
            () => Works.After(job, nut with { Fastening = tight with { Lock = LockCondition.Spent } })
        );
        Refusals.Names(
            "Fastening.Lock",
            () => Works.After(job, nut with { Fastening = tight with { Lock = LockCondition.None } })
        );
        JobContent felt = Works.After(job, nut with { Fastening = tight with { By = TorqueBy.Feel, TorqueNm = null } });
        Assert.Equal([SignedDespite.NoTorque], Works.WorkedUpTo(felt, null).Sheet.Despite);
        JobContent arm = Works.After(job, nut with { Fastening = tight with { By = TorqueBy.ArmAndPull } });
        Assert.Contains(
            "no torque reading",
            arm.Plan!.Steps.Single(s => s.Step.Key == "front-nut-tight").Warnings.Single(),
            StringComparison.Ordinal
        );
        // Threadlocker cures.
        JobContent screw = Works.WorkedUpTo(Works.Begun(ProcedureFamily.GearHub, ChangeKind.FrontWheel), "on");
        PlanStep on = Works.After(screw, Works.Done(screw, "on")).Plan!.Steps.Single(s => s.Step.Key == "on");
        Assert.Equal(on.At!.Value.AddHours(24), on.HoldsFrom);
    }

    /// <summary>Common practice: threadlocker and grease make a torque that was given for a dry thread pull harder.</summary>
    [Theory]
    [InlineData(LockKind.Threadlocker, null, TorqueThread.Dry, "is for a dry thread")]
    [InlineData(LockKind.Threadlocker, null, null, "ask the maker whether")]
    [InlineData(LockKind.Threadlocker, null, TorqueThread.Wet, null)]
    [InlineData(LockKind.LockNut, TorqueThread.Wet, TorqueThread.Dry, "is for a dry thread")]
    [InlineData(LockKind.LockNut, null, TorqueThread.Dry, null)]
    public void A_torque_for_a_dry_thread_warns_where_something_is_on_it(
        LockKind kind,
        TorqueThread? goesIn,
        TorqueThread? torqueFor,
        string? warning
    )
    {
        PlanMade plan = Works.Plan(Works.For(ProcedureFamily.GearHub), ProcedureFamily.GearHub, ChangeKind.FrontWheel);
        StepFastener screws = new("screws of the hub", 2, kind, null, 12, goesIn, torqueFor);
        JobContent job = Works.After(
            JobContent.From(new(3, 1, 7, new(2026, 11, 30)), []),
            plan with
            {
                Made = plan.Made! with
                {
                    Steps =
                    [
                        .. plan.Made.Steps.Select(s =>
                            s.Step.Key == "on" ? s with { Step = s.Step with { Fastener = screws } } : s
                        ),
                    ],
                },
            }
        );
        JobContent at = Works.WorkedUpTo(job, "on");
        PlanStep on = Works.After(at, Works.Done(at, "on")).Plan!.Steps.Single(s => s.Step.Key == "on");
        if (warning is null)
            Assert.Empty(on.Warnings);
        else
            Assert.Contains(warning, Assert.Single(on.Warnings), StringComparison.Ordinal);
    }

    [Fact]
    public void Steps_move_where_nothing_breaks_and_are_opened_again_from_the_last_one()
    {
        JobContent job = Works.Begun(ProcedureFamily.FinalChain, ChangeKind.Loop);
        string[] before = [.. job.Plan!.Steps.Select(s => s.Step.Key)];
        JobContent moved = Works.After(job, new StepMoved("tray", before[0]));
        Assert.Equal("tray", moved.Plan!.Next);
        Assert.Equal(before.Order(), moved.Plan.Steps.Select(s => s.Step.Key).Order());
        // Only a habit: allowed, and told.
        Assert.Equal(OrderBound.Habit, PlanRules.FaultOf(job.Plan, new StepMoved("wear", before[0]))!.Bound);
        PlanStep habit = Works.After(job, new StepMoved("wear", before[0])).Plan!.Steps[0];
        Assert.Contains("usually done before", habit.Warnings.Single(), StringComparison.Ordinal);
        Refusals.Names("Before", () => Works.After(job, new StepMoved("join", before[0])));
        Refusals.Names("Step", () => Works.After(job, new StepMoved("anchor", null)));
        Refusals.Names("Before", () => Works.After(job, new StepMoved("tray", "anchor")));
        JobContent worked = Works.WorkedUpTo(job, "join");
        Refusals.Names("Step", () => Works.After(worked, new StepReopened("chain-open")));
        Refusals.Names("Step", () => Works.After(worked, new StepReopened("join")));
        Refusals.Names("Step", () => Works.After(worked, new StepMoved("chain-open", null)));
        JobContent again = Works.After(worked, new StepReopened("chain-feed"));
        Assert.Equal("chain-feed", again.Plan!.Next);
        // Done twice, by two pages at once, it is done.
        JobContent twice = Works.After(again, Works.Done(again, "chain-feed"), Works.Done(again, "chain-feed"));
        Assert.Equal(worked.Plan!.Done, twice.Plan!.Done);
    }

    [Fact]
    public void What_a_step_writes_down_is_bounded_and_named()
    {
        JobContent job = Works.WorkedUpTo(Works.Begun(ProcedureFamily.FinalChain, ChangeKind.FrontWheel), "front-off");
        StepDone off = Works.Done(job, "front-off");
        Refusals.Names("Values[0].Value", () => Works.After(job, off with { Values = [new("spacer", 21)] }));
        Refusals.Names("Values[0].Key", () => Works.After(job, off with { Values = [new("colour", 2)] }));
        Refusals.Names("Values", () => Works.After(job, off with { Values = [new("spacer", 2), new("spacer", 2)] }));
        Refusals.Names("Way", () => Works.After(job, off with { Way = "outward" }));
        Refusals.Names(
            "Fastening.Count",
            () => Works.After(job, off with { Fastening = new(1, 1, null, TorqueBy.Feel, LockCondition.None) })
        );
        PlanStep found = Works
            .After(job, off with { Values = [new("spacer", 2)] })
            .Plan!.Steps.Single(s => s.Step.Key == "front-off");
        Assert.Equal((2, "Ann"), (found.Values.Single().Value, found.Who));
    }

    [Fact]
    public void A_photo_goes_with_a_step_of_the_plan_and_no_other()
    {
        JobContent job = Works.Begun(ProcedureFamily.FinalChain, ChangeKind.TensionOnly);
        PhotoTaken photo = new(new('a', 64), 9, 9, null, PhotoShows.Anything, null, null, null, "found");
        Assert.Equal("found", Works.After(job, photo).Sheet.Photos.Single().Step);
        Refusals.Names("Step", () => Works.After(job, photo with { Step = "anchor" }));
    }

    [Fact]
    public void A_job_has_one_plan_and_steps_ask_for_one()
    {
        JobContent job = Works.Begun(ProcedureFamily.FinalChain, ChangeKind.Loop);
        PlanMade again = Works.Plan(Works.For(ProcedureFamily.FinalChain), ProcedureFamily.FinalChain, ChangeKind.Loop);
        Refusals.Names("kind", () => Works.After(job, again));
        JobContent none = JobContent.From(new(3, 1, 7, new(2026, 11, 30)), []);
        Assert.Null(none.Plan);
        Refusals.Names("Step", () => Works.After(none, new StepDone("found", StepOutcome.Done, null, null, [], null)));
        Refusals.Names("Part", () => Works.After(none, new TrayTicked("chain", TrayState.There, null)));
        // One of a file is looked at as closely.
        PlannedStep[] steps = [.. again.Made!.Steps];
        Refusals.Names(
            "Made.Steps",
            () => Works.After(none, again with { Made = again.Made with { Steps = [.. steps.Reverse()] } })
        );
        Refusals.Names("Made", () => Works.After(none, again with { Made = null }));
        Refusals.Names("Made.Steps", () => Works.After(none, again with { Made = again.Made with { Steps = [] } }));
        Refusals.Names(
            "Made.Steps[1].Step.Key",
            () => Works.After(none, again with { Made = again.Made with { Steps = [steps[0], steps[0]] } })
        );
    }

    [Fact]
    public void A_step_of_a_file_is_looked_at_to_its_last_number()
    {
        PlanMade plan = Works.Plan(Works.For(ProcedureFamily.FinalChain), ProcedureFamily.FinalChain, ChangeKind.Loop);
        JobContent none = JobContent.From(new(3, 1, 7, new(2026, 11, 30)), []);
        ProcedureStep first = plan.Made!.Steps[0].Step;
        void Refuses(string field, ProcedureStep step) =>
            Refusals.Names(
                $"Made.Steps[0].Step.{field}",
                () => Works.After(none, plan with { Made = plan.Made with { Steps = [new(step, [])] } })
            );
        StepFastener nut = new("nut", 1, LockKind.Threadlocker, 24);
        Refuses("Fastener.CureHours", first with { Fastener = nut with { CureHours = 1e300 } });
        Refuses("Fastener.TorqueNm", first with { Fastener = nut with { TorqueNm = 0 } });
        Refuses("Fastener.Count", first with { Fastener = nut with { Count = 0 } });
        Refuses("Fastener.Lock", first with { Fastener = nut with { Lock = (LockKind)99 } });
        Refuses("Minutes", first with { Minutes = double.NaN });
        Refuses("Hands", first with { Hands = 0 });
        Refuses("Tools[0].Kind", first with { Tools = [new((Core.Stock.ToolKind)99)] });
        Refuses("Records[0].High", first with { Records = [new("a", "a", "mm", 2, 1)] });
        Refuses("Parts[0].Count", first with { Parts = [new("a", "a", "a", Count: 0)] });
        Refuses("Way.Wrong", first with { Way = new("Which?", "so", []) });
        Refuses("Do", first with { Do = " " });
    }

    private static StepState StateOf(JobContent job, string key) =>
        job.Plan!.Steps.Single(s => s.Step.Key == key).State;
}
