using Wendrak.Core.Evaluation;
using Wendrak.Core.Gearing;
using Wendrak.Core.Records;
using Wendrak.Core.Tests.Gearing;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Records;

public sealed class MachineRulesTests
{
    private static Machine Bike(string name = "Test") =>
        new(0, 0, name, MachineKind.Motorcycle, null, 100, null, [Drives.Motorcycle()], null);

    private static Setup Fitted(SetupStatus status = SetupStatus.AsFitted) =>
        new(1, 1, 0, "As fitted", status, Drives.Pair(15, 45), [], new(2026, 1, 1), null, null, null);

    private static Aim Aim(AimTarget target) =>
        new(0, 0, 0, "aim", "drive", target, new(null, null, null), new(0, 0, 0, 0, 0, 0), null, []);

    [Fact]
    public void Every_kind_of_machine_has_a_drive_to_begin_with()
    {
        foreach (MachineKind kind in Enum.GetValues<MachineKind>())
        {
            MachineDraft draft = StartingMachines.For(kind);
            MachineRules.Check(draft.Machine with { Name = "x" }, draft.Fitted);
            Assert.Equal(kind, draft.Machine.Kind);
        }
    }

    [Fact]
    public void A_machine_without_a_name_is_refused() =>
        Refusals.Names("Name", () => MachineRules.Check(Bike(" "), Drives.Pair(15, 45)));

    [Fact]
    public void A_negative_odometer_is_refused() =>
        Refusals.Names("OdometerKm", () => MachineRules.Check(Bike() with { OdometerKm = -1 }, Drives.Pair(15, 45)));

    [Fact]
    public void A_setup_must_name_outputs_the_machine_has()
    {
        Setup setup = Fitted() with { RoadWheels = [new("front wheel", new("47-622", null))] };
        Refusals.Names("RoadWheels[0].OutputName", () => MachineRules.Check(setup, Bike()));
    }

    [Fact]
    public void An_aim_must_suit_the_drive()
    {
        Refusals.Names("Target.GearIndex", () => MachineRules.Check(Aim(new CruiseSpeed(90, 6, 5000, 5300)), Bike()));
        Refusals.Names("DriveKey", () => MachineRules.Check(Aim(new FinalRatio(2, 3)) with { DriveKey = "x" }, Bike()));
    }

    [Theory]
    [InlineData(0, 0, "Outcomes[0].Score")]
    [InlineData(6, 0, "Outcomes[0].Score")]
    [InlineData(3, 4, "Wishes.Quiet")]
    public void Scores_and_wishes_have_their_scale(int score, int quiet, string field)
    {
        AimOutcome outcome = new(new(2026, 1, 1), 1, "x", [], new(null, null, null), score, null);
        Aim aim = Aim(new FinalRatio(2, 3)) with { Outcomes = [outcome], Wishes = new(0, quiet, 0, 0, 0, 0) };
        Refusals.Names(field, () => MachineRules.Check(aim, Bike()));
    }

    [Fact]
    public void A_file_has_exactly_one_setup_as_fitted()
    {
        MachineFile.From(Bike(), [Fitted()], []).Check();
        Refusals.Names("Setups", () => MachineFile.From(Bike(), [Fitted(), Fitted()], []).Check());
        Refusals.Names("Setups", () => MachineFile.From(Bike(), [Fitted(SetupStatus.Trial)], []).Check());
    }

    [Fact]
    public void A_file_of_another_kind_or_a_newer_program_is_refused()
    {
        MachineFile file = MachineFile.From(Bike(), [Fitted()], []);
        Refusals.Names("Format", () => (file with { Format = "something" }).Check());
        Refusals.Names("FormatVersion", () => (file with { FormatVersion = MachineFile.NewestVersion + 1 }).Check());
    }

    [Fact]
    public void Setups_keep_their_wheels_when_a_loop_is_added()
    {
        Loop[] loops = [Drives.Chain("final", "a", "b"), Drives.Chain("new", "b", "c")];
        LoopChoice[] fitted = [new("final", 15, 45, 112), new("new", 10, 20, 60)];
        LoopChoice[] kept =
        [
            .. SetupReconciling.ToLoops(loops, [new("final", 15, 43, 112), new("gone", 1, 2, null)], fitted),
        ];
        Assert.Equal([new("final", 15, 43, 112), new("new", 10, 20, 60)], kept);
    }

    [Fact]
    public void A_machine_at_a_glance_names_loops_that_can_be_chosen_together()
    {
        Drive drive = Drives.WithStages([Drives.Chain("first", "in", "jack"), Drives.Chain("final", "jack", "axle")]);
        LoopChoice[] loops = [new("first", 14, 38, 84), new("final", 15, 45, 96)];
        MachineSummary summary = MachineSummary.From(
            Bike() with
            {
                Drives = [drive],
            },
            Fitted() with
            {
                Loops = loops,
            },
            []
        );
        Assert.Equal(["first"], summary.Loops[1].LoopsBefore);
        Assert.Equal(38.0 / 14 * 3, summary.TallestOverall, 12);
        Assert.Equal((13, 17, 40, 50), Range(summary.Loops[1].Search));
    }

    private static (double, double, double, double) Range(LoopSearch s) =>
        (s.FrontMin, s.FrontMax, s.RearMin, s.RearMax);
}
