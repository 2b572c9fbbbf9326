using Wendrak.Core.Evaluation;
using Wendrak.Core.Gearing;
using Wendrak.Core.Procedures;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;
using Wendrak.Core.Tests.Evaluation;
using Wendrak.Core.Tests.Gearing;

namespace Wendrak.Core.Tests.Procedures;

/// <summary>What Build says before anything is begun: which change, which order, what lies ready.</summary>
public sealed class BuildAnswerTests
{
    private static BuildAnswer Ask(StoredMachine stored, long? setup = null, Workshop? workshop = null) =>
        stored.Ask(new() { Build = new() }, setup is null ? null : new(["final"], setup), workshop).Build!.Answer!;

    [Theory]
    [InlineData(16, 45, ChangeKind.FrontWheel)]
    [InlineData(15, 43, ChangeKind.RearWheel)]
    [InlineData(16, 43, ChangeKind.BothWheels)]
    public void What_differs_from_as_fitted_is_what_is_to_be_done(double front, double rear, ChangeKind change)
    {
        StoredMachine stored = Benches.Motorcycle(Benches.Setup(2, SetupStatus.Trial, Drives.Pair(front, rear)));
        BuildAnswer answer = Ask(stored, 2);
        Assert.Equal((ProcedureFamily.FinalChain, change), (answer.Family, answer.Change));
        Assert.Equal((front, rear), (answer.Wanted.FrontSize, answer.Wanted.RearSize));
        Assert.Equal(answer.Steps.Sum(s => s.Step.Minutes), answer.Minutes);
        Assert.Equal(Enum.GetValues<StepPhase>(), answer.Phases.Select(p => p.Phase));
        Assert.All(
            answer.Phases,
            p => Assert.Equal(answer.Steps.Where(s => s.Step.Phase == p.Phase).Sum(s => s.Step.Minutes), p.Minutes)
        );
    }

    [Fact]
    public void As_fitted_the_tension_is_what_there_is_to_do_and_the_usual_family_comes_first()
    {
        BuildAnswer answer = Ask(Benches.Motorcycle());
        Assert.Equal(ChangeKind.TensionOnly, answer.Change);
        Assert.Equal(answer.Was, answer.Wanted);
        Assert.Equal(ProcedureFamily.FinalChain, answer.Families[0].Family);
        Assert.Contains(answer.Families, f => f.Family == ProcedureFamily.GearHub);
        Assert.DoesNotContain(answer.Families, f => f.Family == ProcedureFamily.FinalBelt);
        Assert.DoesNotContain(
            ChangeKind.BeltToChain,
            answer.Families.Single(f => f.Family == ProcedureFamily.ArmSwap).Changes
        );
        Part<BuildAnswer> refused = Benches.Motorcycle().Ask(new() { Build = new([ProcedureFamily.FinalBelt]) }).Build!;
        Assert.Equal("Family", refused.Refused![0].Field);
    }

    [Fact]
    public void The_tray_is_counted_against_Stock_by_wheel_length_and_kind()
    {
        StoredMachine stored = Benches.Motorcycle(Benches.Setup(2, SetupStatus.Trial, Drives.Pair(16, 45)));
        static StockPart Part(PartKind kind, string name, string? goesWith, int count) =>
            new(0, 0, kind, name, goesWith, count, null, true, null);
        Workshop workshop = new(
            [
                new(1, 1, new("520", WheelSide.Front, 16, null, 2, null, true), null),
                new(2, 1, new("520", WheelSide.Front, 15, null, 9, null, true), null),
                new(3, 1, new("520", WheelSide.Rear, 16, null, 9, null, true), null),
                new(4, 1, new("525", WheelSide.Front, 16, null, 9, null, true), null),
            ],
            [],
            [],
            [
                Part(PartKind.Chain, "112 links, sealed", "520", 1),
                Part(PartKind.Chain, "1112 links", "520", 5),
                Part(PartKind.Chain, "112 links", "428", 5),
                Part(PartKind.Lock, "tab washer M20", null, 3),
                Part(PartKind.JoiningLink, "rivet", "520", 0),
            ]
        );
        BuildAnswer answer = stored
            .Ask(new() { Build = new(Changes: [ChangeKind.WholeSet]) }, new(["final"], 2), workshop)
            .Build!.Answer!;
        int? InStock(string part) => answer.Tray.Single(t => t.Part.Key == part).InStock;
        Assert.Equal(
            (2, 1, 3, 0, 0),
            (
                InStock("front-wheel"),
                InStock("chain"),
                InStock("tab-washer"),
                InStock("joining-link"),
                InStock("rear-wheel")
            )
        );
        Assert.Equal("front sprocket, 16 teeth, 520", answer.Tray.Single(t => t.Part.Key == "front-wheel").What);
        Assert.Equal("chain in its length, 520, 112 links", answer.Tray.Single(t => t.Part.Key == "chain").What);
        // Tools: nobody listed any, nothing is missing; one listed, the others are.
        Assert.Empty(answer.MissingTools);
        BuildAnswer listed = Ask(stored, 2, workshop with { Tools = [new(1, 1, ToolKind.Spanner, null)] });
        Assert.Contains(listed.MissingTools, t => t.Tool == ToolKind.Socket);
        Assert.DoesNotContain(listed.MissingTools, t => t.Tool == ToolKind.Spanner);
    }

    [Theory]
    [InlineData(ChangeKind.FrontWheel, 25)]
    [InlineData(ChangeKind.RearWheel, 60)]
    [InlineData(ChangeKind.WholeSet, 75)]
    public void Minutes_really_taken_stand_beside_what_Ratio_counts(ChangeKind change, double counted)
    {
        (Machine machine, Setup fitted, _) = Works.On(Vocabulary.MachineKind.Motorcycle);
        JobContent job = Works.Begun(ProcedureFamily.FinalChain, change);
        PlanToWork Work(JobContent at, double minutes) =>
            PlanToWork.From(at.Plan!, minutes, new(machine, fitted, [fitted], [], []), new([], [], [], []));
        Assert.Null(Work(job, 85).Taken);
        JobContent done = Works.WorkedUpTo(job, null);
        Assert.Null(Work(done, 0).Taken);
        WorkTaken taken = Work(done, 85).Taken!;
        Assert.Equal((85, counted), (taken.Minutes, taken.CountedMinutes));
        WorkCosts before = WorkCosts.Default;
        Assert.Equal(
            change switch
            {
                ChangeKind.FrontWheel => before with { FrontMinutes = 85 },
                ChangeKind.RearWheel => before with { RearMinutes = 85 },
                _ => before with { BothMinutes = 85 },
            },
            taken.Work
        );
        Assert.Null(Work(Works.WorkedUpTo(Works.Begun(ProcedureFamily.FinalChain, ChangeKind.Loop), null), 85).Taken);
    }

    [Fact]
    public void What_went_on_is_to_be_told_from_when_its_parts_are_on_until_the_machine_says_it()
    {
        (Machine machine, Setup fitted, Loop loop) = Works.On(Vocabulary.MachineKind.Motorcycle);
        LoopChoice was = fitted.Loops.Single(l => l.LoopKey == loop.Key);
        LoopChoice wanted = was with { FrontSize = was.FrontSize + 1 };
        LoopChoice? ToFit(JobContent at, LoopChoice on) =>
            PlanToWork
                .From(at.Plan!, 0, new(machine, fitted with { Loops = [on] }, [fitted], [], []), new([], [], [], []))
                .ToFit;
        PlanMade plan = WorkPlan.Fill(
            new(ChangeKind.FrontWheel, loop.Key, ProcedureFamily.FinalChain, wanted),
            machine,
            fitted,
            ""
        );
        JobContent begun = Works.After(JobContent.From(new(3, 1, 7, new(2026, 11, 30)), []), plan);
        Assert.Null(ToFit(Works.WorkedUpTo(begun, "front-nut-tight"), was));
        JobContent on = Works.WorkedUpTo(begun, "set");
        Assert.Equal(wanted, ToFit(on, was));
        Assert.Null(ToFit(on, wanted));
        Assert.Null(ToFit(Works.WorkedUpTo(Works.Begun(ProcedureFamily.FinalChain, ChangeKind.FrontWheel), null), was));
    }

    /// <summary>A pulley of 212.5 mm is no sprocket: it is planned only where a trial is of that kind.</summary>
    [Fact]
    public void What_a_trial_of_another_kind_wants_are_wheels_of_that_kind()
    {
        (Machine machine, Setup fitted, Loop loop) = Works.On(Vocabulary.MachineKind.Motorcycle);
        LoopKind belt = new(
            loop.Key,
            Vocabulary.DriveElement.VBelt,
            "A",
            Vocabulary.BeltArrangement.Open,
            0.015,
            null,
            null,
            null,
            null,
            false
        );
        PlanMade plan = new(ChangeKind.WholeSet, loop.Key, ProcedureFamily.FinalChain, new(loop.Key, 100, 212.5, null));
        Setup trial = fitted with { Id = 7, Status = SetupStatus.Trial, Loops = [plan.Wanted!], Kinds = [belt] };
        PlanMade ofTrial = plan with { TrialId = 7, Wanted = null };
        Assert.Equal(plan.Wanted, WorkPlan.Fill(ofTrial, machine, fitted, "", trial).Wanted);
        Refusals.Names("Wanted.RearSize", () => WorkPlan.Fill(plan, machine, fitted, ""));
        Refusals.Names(
            "Wanted.RearSize",
            () => WorkPlan.Fill(ofTrial, machine, fitted, "", trial with { Kinds = null })
        );
        Refusals.Names(
            "Wanted",
            () => WorkPlan.Fill(ofTrial with { Wanted = new(loop.Key, 100, 200, null) }, machine, fitted, "", trial)
        );
        Refusals.Names("TrialId", () => WorkPlan.Fill(ofTrial, machine, fitted, ""));
        Refusals.Names(
            "TrialId",
            () => WorkPlan.Fill(ofTrial, machine, fitted, "", trial with { Status = SetupStatus.Discarded })
        );
    }

    [Fact]
    public void A_rear_wheel_in_halves_leaves_the_road_wheel_in()
    {
        (Machine machine, Setup fitted, Loop loop) = Works.On(Vocabulary.MachineKind.Motorcycle);
        bool WheelComesOut(bool isSplit)
        {
            Loop rear = loop with { RearIsSplit = isSplit };
            Drive drive = machine.Drives[0];
            Machine split = machine with
            {
                Drives = [drive with { Stages = [.. drive.Stages.Select(s => s == loop ? rear : s)] }],
            };
            return Works
                .Plan((split, fitted, rear), ProcedureFamily.FinalChain, ChangeKind.RearWheel)
                .Made!.Steps.Any(s => s.Step.Key == "wheel-out");
        }
        Assert.True(WheelComesOut(false));
        Assert.False(WheelComesOut(true));
    }

    [Fact]
    public void The_strip_tells_how_far_the_plan_is()
    {
        StationHeadlines Headlines(PlanAtJob? plan) =>
            (Benches.Motorcycle() with { Plan = plan }).Ask(new() { Headlines = new() }).Headlines!.Answer!;
        Assert.Equal((0, StationState.Open), (Headlines(null).Build.Of, Headlines(null).Build.State));
        PlanAtJob half = new(ChangeKind.Loop, "final", "Final chain", 3, 9, 35, "Next.");
        Assert.Equal(new(StationState.Open, null, 9, 3, 35), Headlines(half).Build);
        Assert.Equal(StationState.Done, Headlines(half with { Done = 9, Next = null }).Build.State);
    }
}
