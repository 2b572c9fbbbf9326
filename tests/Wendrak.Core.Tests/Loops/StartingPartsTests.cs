using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Records;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Loops;

/// <summary>What somebody adds and has not corrected yet can be stored as it is.</summary>
public sealed class StartingPartsTests
{
    [Theory]
    [InlineData(MachineKind.Motorcycle)]
    [InlineData(MachineKind.Moped)]
    [InlineData(MachineKind.Winch)]
    public void A_layout_with_all_of_them_is_one_that_may_be_stored(MachineKind kind)
    {
        MachineDraft draft = StartingMachines.For(kind);
        Loop loop = draft.Machine.Drives[0].Stages.OfType<Loop>().Single();
        LoopLayout layout = new(loop.Key, Turning.Clockwise, new(0, 0), new(-640, 0), [], null);
        StartingParts parts = StartingParts.At(new(loop.DriveElement, layout.Front, layout.Rear));
        LoopLayout with = layout with { Idlers = [parts.Idler], SwingArm = parts.Arm, Limits = [parts.Edge] };
        MachineRules.Check(draft.Machine with { Name = "Tried", Layouts = [with] }, draft.Fitted);
        Assert.Equal(loop.DriveElement == DriveElement.Chain, parts.Idler.IsToothed);
        Assert.Equal(parts.Idler.IsToothed ? parts.IdlerTeeth : parts.IdlerMm, parts.Idler.Size);
        // Half-way, and the pivot nearer to the front wheel than to the rear.
        Assert.Equal((-320.0, -77.0, 60.0), (parts.Idler.Centre.XMm, parts.Arm.Pivot.XMm, parts.Edge.From.XMm));
        Refusals.Names("Front.XMm", () => StartingParts.At(new(loop.DriveElement, new(double.NaN, 0), layout.Rear)));
    }

    [Fact]
    public void Every_kind_of_stage_can_be_added_to_a_drive()
    {
        Assert.Equal(
            typeof(Stage).Assembly.GetTypes().Where(t => t.IsSubclassOf(typeof(Stage))).Select(t => t.Name).Order(),
            StartingStages.All.Select(s => s.GetType().Name).Order()
        );
        foreach (Stage stage in StartingStages.All)
        {
            Drive drive = StartingStages.Drive with
            {
                Key = "drive",
                Stages = [stage with { Key = "added", DrivingShaft = "motor", DrivenShaft = "wheel" }],
                Outputs = [StartingStages.Drive.Outputs[0] with { Shaft = "wheel" }],
            };
            LoopChoice[] fitted = stage is Loop loop
                ? [new("added", StartingLoop.All.First(w => w.DriveElement == loop.DriveElement).FrontSize, 45, null)]
                : [];
            MachineDraft draft = StartingMachines.For(MachineKind.Other);
            MachineRules.Check(draft.Machine with { Name = "Tried", Drives = [drive] }, fitted);
        }
    }
}
