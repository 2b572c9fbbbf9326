using Wendrak.Core.Evaluation;
using Wendrak.Core.Gearing;
using Wendrak.Core.Procedures;
using Wendrak.Core.Records;
using Wendrak.Core.Shafts;
using Wendrak.Core.Tests.Evaluation;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Procedures;

/// <summary>What a machine has of its own: words, minutes, torques and steps; and both ways round of its hubs.</summary>
public sealed class OwnProcedureTests
{
    private static readonly AddedStep Paint = new(
        "paint",
        StepPhase.Close,
        "set",
        "Draw a paint line across the axle nut.",
        "It shows at a glance whether it moved.",
        1,
        true
    );

    private static OwnProcedure Own(
        IReadOnlyList<StepWording>? reworded = null,
        IReadOnlyList<AddedStep>? added = null
    ) => new(ProcedureFamily.FinalChain, reworded ?? [], added ?? []);

    private static Machine With(params OwnProcedure[] own) =>
        Works.On(MachineKind.Motorcycle).Machine with
        {
            Name = "Own",
            Procedures = own,
        };

    private static void Check(Machine machine) =>
        MachineRules.Check(machine, Works.On(MachineKind.Motorcycle).Fitted.Loops);

    private static PlanMade Plan(Machine machine) =>
        Works.Plan(
            (machine, Works.On(MachineKind.Motorcycle).Fitted, Works.On(MachineKind.Motorcycle).Loop),
            ProcedureFamily.FinalChain,
            ChangeKind.FrontWheel
        );

    private static IReadOnlyList<PlannedStep> Steps(Machine machine) => Plan(machine).Made!.Steps;

    [Fact]
    public void Its_words_minutes_torque_and_steps_stand_in_its_plans()
    {
        Machine machine = With(
            Own(
                [
                    new("front-nut-tight", "Nut to 108 Nm, third gear in, brake held.", 9, 108),
                    new("chain-lift", null, 5, null),
                ],
                [Paint]
            )
        );
        Check(machine);
        IReadOnlyList<PlannedStep> steps = Steps(machine);
        ProcedureStep nut = steps.Single(s => s.Step.Key == "front-nut-tight").Step;
        Assert.Equal(
            ("Nut to 108 Nm, third gear in, brake held.", 9, 108d),
            (nut.Do, nut.Minutes, nut.Fastener!.TorqueNm)
        );
        ProcedureStep lift = steps.Single(s => s.Step.Key == "chain-lift").Step;
        Assert.Equal(5, lift.Minutes);
        Assert.StartsWith("Push the driven wheel forward", lift.Do, StringComparison.Ordinal);
        string[] keys = [.. steps.Select(s => s.Step.Key)];
        Assert.True(Array.IndexOf(keys, "paint") > Array.IndexOf(keys, "set"));
        Assert.True(steps.Single(s => s.Step.Key == "paint").Step.IsMust);
        // A plan that was made keeps what it was made with.
        Assert.DoesNotContain(Steps(With()), s => s.Step.Key == "paint");
    }

    [Fact]
    public void What_does_not_belong_to_the_procedure_is_refused_at_its_field()
    {
        void Refuses(string field, params OwnProcedure[] own) =>
            Refusals.Names($"Procedures[{own.Length - 1}].{field}", () => Check(With(own)));
        Refuses("Reworded[0].Step", Own([new("anchor", "x", null, null)]));
        Refuses("Reworded[0].TorqueNm", Own([new("found", null, null, 20)]));
        Refuses("Reworded[0].TorqueNm", Own([new("front-nut-tight", null, null, 1_001)]));
        Refuses("Reworded[0].TorqueFor", Own([new("front-nut-tight", null, null, null, TorqueThread.Dry)]));
        Refuses("Reworded[0].TorqueFor", Own([new("front-nut-tight", null, null, 90, (TorqueThread)9)]));
        Refuses("Reworded[0].WayMm", Own([new("found", null, null, null, null, 4)]));
        Refuses("Reworded[0].WayMm", Own([new("front-on", null, null, null, null, 501)]));
        Refuses("Reworded[0].Do", Own([new("found", " ", null, null)]));
        Refuses("Reworded[0].Minutes", Own([new("found", null, 0.4, null)]));
        Refuses("Reworded", Own([new("found", "x", null, null), new("found", "y", null, null)]));
        Refuses("Added[0].Key", Own(added: [Paint with { Key = "found" }]));
        Refuses("Added[1].Key", Own(added: [Paint, Paint]));
        Refuses("Added[0].After", Own(added: [Paint with { After = "anchor" }]));
        Refuses("Added[0].After", Own(added: [Paint with { Phase = StepPhase.Before }]));
        Refuses("Added[0].Do", Own(added: [Paint with { Do = "" }]));
        Refuses("Added[0].Minutes", Own(added: [Paint with { Minutes = 1_441 }]));
        Refuses("Added", Own(added: [.. Enumerable.Range(0, 21).Select(i => Paint with { Key = $"k{i}" })]));
        Refuses("Family", Own(), Own());
        // One that was typed for a rivet before it was asked for no more keeps nobody from changing the machine.
        Check(With(Own([new("join", null, null, 20)])));
        // One that was added can be waited for.
        Check(With(Own(added: [Paint, Paint with { Key = "look", After = "paint" }])));
    }

    [Fact]
    public void A_turned_hub_moves_its_row_by_twice_what_it_stands_off_the_middle()
    {
        ShaftWidths shaft = new("drive", "output shaft", 0, 60, 24, [new("final", WheelSide.Front, 18, 4, 20, true)]);
        StoredMachine stored = Benches.Motorcycle();
        StoredMachine measured = stored with { Machine = stored.Machine with { Shafts = [shaft] } };
        BuildQuestion front = new(Changes: [ChangeKind.FrontWheel]);
        Assert.Empty(stored.Ask(new() { Build = front }).Build!.Answer!.Hubs);
        BuildAnswer answer = measured.Ask(new() { Build = front }).Build!.Answer!;
        HubAtStep hub = Assert.Single(answer.Hubs);
        Assert.DoesNotContain(answer.Ways, w => w.Step == hub.Step);
        // From 4 of 18 mm to 14 of 18 mm.
        Assert.Equal(("front-on", 4, 14, 10, 24), (hub.Step, hub.PlaneMm, hub.TurnedPlaneMm, hub.MovesMm, hub.BoreMm));
        Assert.Empty(measured.Ask(new() { Build = new(Changes: [ChangeKind.TensionOnly]) }).Build!.Answer!.Hubs);
    }

    /// <summary>Common practice: a dished sprocket turned round stands off by twice its dish, spacers by their difference.</summary>
    [Theory]
    [InlineData("rear-on", 4.5, 9)]
    [InlineData("wheel-in", 6, 6)]
    public void What_is_measured_once_on_a_machine_tells_how_far_a_part_is_off_the_wrong_way_round(
        string step,
        double mm,
        double moves
    )
    {
        StoredMachine stored = Benches.Motorcycle();
        WayAtStep At(params OwnProcedure[] own) =>
            (stored with { Machine = stored.Machine with { Procedures = own } })
                .Ask(new() { Build = new(Changes: [ChangeKind.WholeSet]) })
                .Build!.Answer!.Ways.Single(w => w.Step == step);
        Assert.Equal((null, null), (At().MeasuredMm, At().MovesMm));
        WayAtStep measured = At(Own([new(step, null, null, null, null, mm)]));
        Assert.Equal((mm, moves), (measured.MeasuredMm, measured.MovesMm));
    }

    /// <summary>Sources: ISO 10190 (chain 520), ISO 13050 (8M), as the tables have them.</summary>
    [Fact]
    public void A_clip_and_an_arrow_are_drawn_on_the_run_as_its_standard_measures_it()
    {
        StoredMachine chain = Benches.Motorcycle();
        BuildQuestion loop = new(Changes: [ChangeKind.Loop]);
        IReadOnlyList<RunAtStep> Runs(StoredMachine machine, BuildQuestion question) =>
            machine.Ask(new() { Build = question }).Build!.Answer!.Runs;
        Assert.Equal(new("join", RunMark.Clip, "520", 15.875, 15, 10.16), Assert.Single(Runs(chain, loop)));
        Assert.Empty(Runs(chain, new(Changes: [ChangeKind.TensionOnly])));

        StoredMachine With(DriveElement element, string standard)
        {
            Drive drive = chain.Machine.Drives[0];
            Stage[] stages =
            [
                .. drive.Stages.Select(s => s is Loop l ? l with { DriveElement = element, Standard = standard } : s),
            ];
            return chain with { Machine = chain.Machine with { Drives = [drive with { Stages = stages }] } };
        }
        Assert.Equal(
            new("belt-on", RunMark.Arrow, "8M", 8, 6, 3.38),
            Assert.Single(Runs(With(DriveElement.ToothedBelt, "8M"), loop))
        );
        // Its plates are in no table.
        Assert.Empty(Runs(With(DriveElement.Chain, "of our own"), loop));
    }
}
