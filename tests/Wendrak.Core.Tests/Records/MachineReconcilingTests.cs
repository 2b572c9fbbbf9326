using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Loops;
using Wendrak.Core.Records;
using Wendrak.Core.Shafts;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Records;

public sealed class MachineReconcilingTests
{
    private static readonly Machine Measured = WithWidths(StartingMachines.For(MachineKind.Motorcycle).Machine);

    private static Machine WithWidths(Machine machine)
    {
        Drive drive = machine.Drives[0];
        Loop loop = drive.Stages.OfType<Loop>().First();
        return machine with
        {
            Shafts = [new(drive.Key, loop.DrivingShaft, 0, 60, 25, [new(loop.Key, WheelSide.Front, 20, 8, 30, false)])],
            Layouts = [new(loop.Key, Turning.Clockwise, new(0, 0), new(-640, 0), [], null)],
        };
    }

    private static Machine WithLoop(Func<Loop, Loop> change) =>
        Measured with
        {
            Drives =
            [
                .. Measured.Drives.Select(d =>
                    d with
                    {
                        Stages = [.. d.Stages.Select(s => s is Loop l ? change(l) : s)],
                    }
                ),
            ],
        };

    [Fact]
    public void Widths_stay_with_their_wheels_when_a_shaft_gets_another_name()
    {
        Machine renamed = MachineReconciling.ToDrives(WithLoop(l => l with { DrivingShaft = "countershaft" }));
        ShaftWidths widths = Assert.Single(renamed.Shafts!);
        Assert.Equal("countershaft", widths.Shaft);
        Assert.Equal(Measured.Shafts![0].Sprockets, widths.Sprockets);
    }

    [Fact]
    public void What_was_measured_of_a_removed_loop_goes_with_it()
    {
        Machine without = MachineReconciling.ToDrives(WithLoop(l => l with { Key = "another" }));
        Assert.Null(without.Shafts);
        Assert.Null(without.Layouts);
    }

    [Fact]
    public void Of_another_kind_of_loop_only_what_it_has_is_still_looked_at_as_its_maker_says()
    {
        LoopInspection chain = new(
            "final",
            InspectionKind.Rail,
            [new(InspectedPart.Guard, "clear", null, null, null), new(InspectedPart.Rings, "there", null, null, null)]
        );
        Machine As(DriveElement element) =>
            MachineReconciling.ToDrives(
                WithLoop(l => l with { DriveElement = element }) with
                {
                    Inspections = [chain],
                }
            );
        Assert.Same(chain.Grades[1], As(DriveElement.Chain).Inspections![0].Grades[1]);
        LoopInspection belt = Assert.Single(As(DriveElement.ToothedBelt).Inspections!);
        Assert.Null(belt.Kind);
        Assert.Equal([InspectedPart.Guard], belt.Grades.Select(g => g.Part));
        Machine gone = WithLoop(l => l with { Key = "another" }) with { Inspections = [chain] };
        Assert.Null(MachineReconciling.ToDrives(gone).Inspections);
    }

    [Fact]
    public void A_refused_grade_is_named_where_it_was_sent()
    {
        LoopInspection sent = new(
            "final",
            null,
            [
                new(InspectedPart.Shims, "gone with the variable belt", null, null, null),
                new(InspectedPart.Guard, " ", null, null, null),
            ]
        );
        MachineDraft draft = StartingMachines.For(MachineKind.Motorcycle);
        draft = draft with { Machine = draft.Machine with { Name = "A", Inspections = [sent] } };
        Refusals.Names("Machine.Inspections[0].Grades[1].Fine", () => MachineReconciling.Checked(draft));
    }

    [Fact]
    public void A_machine_that_is_whole_stays_as_it_is()
    {
        Machine same = MachineReconciling.ToDrives(Measured);
        Assert.Equal(Measured.Layouts, same.Layouts);
        Assert.Equal(Measured.Shafts![0].Sprockets, Assert.Single(same.Shafts!).Sprockets);
        Assert.Null(MachineReconciling.ToDrives(Measured with { Shafts = null, Layouts = null }).Shafts);
    }

    /// <summary>What goes with a removed loop leaves its list shorter: a refusal still names the place that was sent.</summary>
    [Fact]
    public void A_refusal_names_the_place_as_it_was_sent()
    {
        IReadOnlyList<LoopChoice> fitted = StartingMachines.For(MachineKind.Motorcycle).Fitted;
        ShaftWidths good = Measured.Shafts![0];
        SprocketOnShaft gone = good.Sprockets[0] with { LoopKey = "gone" };
        ShaftWidths bad = good with { Sprockets = [gone, good.Sprockets[0] with { HubWidthMm = 0 }] };
        LoopLayout layout = Measured.Layouts![0];
        LoopSetting setting = new(layout.LoopKey, new(AdjusterKind.FixedCentres));
        LoopStrength strength = new(layout.LoopKey);
        Machine sent = Measured with
        {
            Name = "Sent",
            Shafts = [good with { Sprockets = [gone] }, bad],
            Layouts = [layout with { LoopKey = "gone" }, layout with { Front = new(double.NaN, 0) }],
            Settings = [setting with { LoopKey = "gone" }, setting with { Bias = 2 }],
            Loads = new([], [strength with { LoopKey = "gone" }, strength with { Strands = 0 }]),
        };
        string[] fields = [.. Refusals.Of(() => MachineReconciling.Checked(new(sent, fitted))).Select(i => i.Field)];
        Assert.Contains("Machine.Shafts[1].Sprockets[1].HubWidthMm", fields);
        Assert.Contains("Machine.Layouts[1].Front.XMm", fields);
        Assert.Contains("Machine.Settings[1].Bias", fields);
        Assert.Contains("Machine.Loads.Strengths[1].Strands", fields);
    }
}
