using Wendrak.Core.Choices;
using Wendrak.Core.Evaluation;
using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Records;
using Wendrak.Core.Tension;
using Wendrak.Core.Tests.Evaluation;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Records;

/// <summary>A belt tried in the place of a chain: what hangs on the kind goes with it, there and back.</summary>
public sealed class SetupKindsTests
{
    private static StoredMachine Stored()
    {
        StoredMachine stored = Benches.Motorcycle();
        return stored with
        {
            Machine = stored.Machine with
            {
                Loads = new([new("drive", PeakTorqueNm: 12, PeakPowerKw: 8)], [new("final", BreakingLoadN: 34_000)]),
                Settings =
                [
                    new(
                        "final",
                        new(AdjusterKind.TwoEnds),
                        MakerMethod: ReadingMethod.FreePlay,
                        MakerLow: 30,
                        MakerHigh: 40
                    ),
                ],
                Inspections =
                [
                    new("final", null, [new(InspectedPart.Joint, "closed end leads", null, null, "manual, p. 12")]),
                ],
            },
        };
    }

    private static Setup Trial(StoredMachine stored, string kind = "toothedBelt")
    {
        KindTrial trial = KindTrial.Of(stored, "final", kind);
        return Benches.Setup(2, SetupStatus.Trial, trial.Loops, trial.Name) with { Kinds = trial.Kinds };
    }

    [Fact]
    public void A_kind_becomes_a_trial_with_everything_that_hangs_on_it_begun()
    {
        StoredMachine stored = Stored();
        Setup trial = Trial(stored);
        MachineRules.Check(trial, stored.Machine);
        LoopKind kind = Assert.Single(trial.Kinds!);
        Assert.Equal((DriveElement.ToothedBelt, "final"), (kind.DriveElement, kind.LoopKey));
        Assert.NotNull(kind.Layout);
        Assert.NotNull(kind.Strength);
        Assert.Null(kind.Strength.BreakingLoadN);
        Assert.NotNull(Assert.Single(trial.Loops).Links);

        stored = stored with { Setups = [.. stored.Setups, trial] };
        EvaluationScope scope = new(["final"], trial.Id);
        EvaluationAnswer answer = stored.Ask(
            new()
            {
                Headlines = new(),
                Comparison = new(true),
                Fit = new(),
                Loads = new(),
                Set = new(),
                Build = new(),
                FollowUps = new(),
                LoadsBeside = new(),
            },
            scope
        );
        Assert.Null(answer.Fit!.Refused);
        Assert.InRange(answer.Fit.Answer!.ClosingTravelMm!.Value, 0, answer.Fit.Answer.TrackMm);
        Assert.Equal(kind.Standard, answer.Loads!.Answer!.Standard);
        Assert.Null(answer.Loads.Answer.Oiling);
        Assert.Null(answer.Set!.Refused);
        Assert.Null(answer.Build!.Refused);
        Assert.Equal((15, 45), (answer.Build.Answer!.Was.FrontSize, answer.Build.Answer.Was.RearSize));
        Assert.NotEmpty(answer.FollowUps!.Answer!);
        Assert.Null(answer.Comparison!.Refused);
        // As fitted stays what is on: a chain, beside the belt.
        Assert.Equal(["520", kind.Standard], answer.LoadsBeside!.Answer!.Select(c => c.Figures.Standard));
        Assert.Equal(
            stored.Ask(new() { Loads = new() }).Loads!.Answer!.MassKg,
            answer.LoadsBeside.Answer![0].Figures.MassKg
        );
    }

    [Fact]
    public void The_ratio_of_a_belt_is_compared_with_that_of_the_chain_that_is_on()
    {
        StoredMachine stored = Stored();
        Setup trial = Trial(stored, "vBelt");
        stored = stored with { Setups = [.. stored.Setups, trial] };
        IReadOnlyList<SetupFigures> setups = stored
            .Ask(new() { Comparison = new() }, new(["final"], trial.Id))
            .Comparison!.Answer!.Setups;
        Assert.Equal(3, setups[0].FinalRatio, 9);
        // By hand: diameters by 2 % more turns of the driving wheel, since a V-belt slips by so much.
        LoopChoice wheels = trial.Loops[0];
        Assert.Equal(wheels.RearSize / wheels.FrontSize / 0.98, setups[1].FinalRatio, 6);
    }

    [Fact]
    public void Fitting_swaps_the_kinds_and_going_back_swaps_them_again()
    {
        StoredMachine stored = Stored();
        Setup trial = Trial(stored);
        Setup other = Benches.Setup(3, SetupStatus.Trial, [new("final", 16, 45, 112)], "C");
        KindsSwapped on = SetupKinds.Swap(stored.Machine, trial, [stored.Fitted, other]);
        Loop belt = Assert.Single(MachineRules.LoopsOf(on.Machine));
        Assert.Equal(DriveElement.ToothedBelt, belt.DriveElement);
        Assert.Null(on.Machine.Settings);
        Assert.Null(on.Machine.Inspections);
        Assert.Equal(trial.Kinds![0].Strength, Assert.Single(on.Machine.Loads!.Strengths));
        // Both that are of the chain keep it, with its breaking load, its window and its maker’s grades.
        Assert.Equal([1L, 3L], on.Others.Select(s => s.Id));
        Assert.All(on.Others, s => Assert.Equal(34_000, s.Kinds![0].Strength!.BreakingLoadN));
        Assert.All(on.Others, s => MachineRules.Check(s with { Status = SetupStatus.Former }, on.Machine));

        Setup off = trial with { Kinds = null };
        KindsSwapped back = SetupKinds.Swap(on.Machine, on.Others[0], [off, on.Others[1]]);
        Assert.Equivalent(stored.Machine, back.Machine, strict: true);
        Assert.Equivalent(trial.Kinds, back.Others.First(s => s.Id == 2).Kinds, strict: true);
        // The other trial has its chain still; on a machine with that chain it is the same as before.
        Assert.Equivalent(
            stored.Machine,
            SetupKinds.On(back.Machine, back.Others.First(s => s.Id == 3).Kinds),
            strict: true
        );
    }

    [Fact]
    public void A_setup_without_kinds_swaps_nothing()
    {
        StoredMachine stored = Stored();
        KindsSwapped same = SetupKinds.Swap(
            stored.Machine,
            Benches.Setup(2, SetupStatus.Trial, stored.Fitted.Loops),
            [stored.Fitted]
        );
        Assert.Same(stored.Machine, same.Machine);
        Assert.Empty(same.Others);
    }

    [Fact]
    public void What_is_changed_while_the_belt_is_in_view_goes_to_the_trial_and_the_rest_to_the_machine()
    {
        StoredMachine stored = Stored();
        Setup trial = Trial(stored);
        Machine seen = SetupKinds.On(stored.Machine, trial.Kinds);
        Machine changed = seen with
        {
            Note = "noisy",
            Loads = seen.Loads! with { Strengths = [seen.Loads.Strengths[0] with { InstalledTensionN = 777 }] },
        };
        (Machine machine, Setup setup) = SetupKinds.Split(changed, stored.Machine, trial);
        Assert.Equivalent(stored.Machine with { Note = "noisy" }, machine, strict: true);
        Assert.Equal(777, setup.Kinds![0].Strength!.InstalledTensionN);
    }

    [Fact]
    public void Mirrored_loops_become_the_kind_together()
    {
        StoredMachine stored = Benches.Rail();
        KindTrial trial = KindTrial.Of(stored, "left last", "sealedChain");
        Assert.Equal(["left last", "right last"], trial.Kinds.Select(k => k.LoopKey).Order());
        Setup setup = Benches.Setup(2, SetupStatus.Trial, trial.Loops) with { Kinds = trial.Kinds };
        MachineRules.Check(setup, stored.Machine);
    }

    [Fact]
    public void What_can_not_be_tried_is_refused()
    {
        foreach (string kind in (string[])["sealedChain", "planetary", "shaft", "rope", "clip"])
            Refusals.Names("Kind", () => KindTrial.Of(Stored(), "final", kind));
    }

    [Fact]
    public void Kinds_that_the_machine_could_not_have_are_refused()
    {
        StoredMachine stored = Stored();
        Setup trial = Trial(stored);
        LoopKind kind = trial.Kinds![0];
        void Names(string field, params LoopKind[] kinds) =>
            Refusals.Names(field, () => MachineRules.Check(trial with { Kinds = kinds }, stored.Machine));
        Names("Kinds[0].LoopKey", kind with { LoopKey = "gone" });
        Names("Kinds[1].LoopKey", kind, kind);
        Names("Kinds[0].DriveElement", kind with { DriveElement = (DriveElement)99 });
        Names("Kinds[0].LoopKey", kind with { Strength = kind.Strength! with { LoopKey = "first" } });
    }

    [Fact]
    public void A_kind_of_a_loop_that_is_gone_goes_with_it()
    {
        StoredMachine stored = Stored();
        LoopKind kind = Trial(stored).Kinds![0];
        Assert.Null(SetupKinds.For(stored.Machine, [kind with { LoopKey = "gone" }]));
        Assert.Equal([kind], SetupKinds.For(stored.Machine, [kind, kind with { LoopKey = "gone" }]));
    }

    public static TheoryData<MachineKind> EveryKind => [.. Enum.GetValues<MachineKind>()];

    [Theory, MemberData(nameof(EveryKind))]
    public void A_machine_just_added_is_weighed_tried_fitted_and_brought_back(MachineKind kind)
    {
        MachineDraft draft = StartingMachines.For(kind);
        draft = draft with { Machine = draft.Machine with { Name = "New" } };
        StoredMachine stored = StoredMachine.From(draft, new(2026, 12, 1));
        int tried = 0;
        foreach (Loop loop in MachineRules.LoopsOf(stored.Machine))
        {
            ChoiceDesk desk = ChoiceDesk.Of(new(stored, null, loop.Key, null), null, new(2026, 12, 1));
            foreach (MatterOffered matter in desk.Matters)
                ChoiceDesk.Of(new(stored, null, loop.Key, matter.Key), null, new(2026, 12, 1));
            foreach (ChoiceColumn column in desk.Columns.Where(c => c.CanBeTried))
            {
                KindTrial begun = KindTrial.Of(stored, loop.Key, column.Key);
                Setup trial = new(
                    2,
                    1,
                    0,
                    begun.Name,
                    SetupStatus.Trial,
                    begun.Loops,
                    [],
                    new(2026, 12, 1),
                    null,
                    null,
                    null,
                    Kinds: begun.Kinds
                );
                MachineRules.Check(trial, stored.Machine);
                StoredMachine with = stored with { Setups = [stored.Fitted, trial] };
                EvaluationAnswer answer = with.Ask(
                    new()
                    {
                        Headlines = new(),
                        Comparison = new(),
                        Drives = new(1_000),
                        StartingLayout = new(),
                        FollowUps = new(),
                        Build = new(),
                        Set = new(),
                    },
                    new([loop.Key], trial.Id)
                );
                Assert.Null(answer.Headlines!.Refused);
                Assert.Null(answer.Comparison!.Refused);
                Assert.Null(answer.Build!.Refused);
                Assert.Null(answer.FollowUps!.Refused);
                Assert.Null(answer.StartingLayout!.Refused);
                KindsSwapped on = SetupKinds.Swap(stored.Machine, trial, [stored.Fitted]);
                MachineRules.Check(on.Machine, trial.Loops);
                KindsSwapped back = SetupKinds.Swap(on.Machine, on.Others[0], [trial with { Kinds = null }]);
                Assert.Equivalent(stored.Machine, back.Machine, strict: true);
                tried++;
            }
        }
        Assert.True(tried > 0, $"{kind}");
    }
}
