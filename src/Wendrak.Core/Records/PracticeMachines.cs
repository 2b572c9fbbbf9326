using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Records;

/// <summary>Machines to learn setting on, with no vehicle: they are never stored, and what answers is a simulated drive.</summary>
/// <remarks>All figures are invented.</remarks>
public static class PracticeMachines
{
    private const string Key = "final";
    private const double BeltWidthMm = 20;

    /// <summary>A belt with two adjusters and a gap, a chain with two adjusters, a belt with an eccentric.</summary>
    public static IReadOnlyList<MachineDraft> All { get; } = [Belt(), Chain(), Eccentric()];

    private static MachineDraft Belt() =>
        Laid(
            "Belt, two screws",
            StartingMachines.For(MachineKind.Moped),
            new(
                Key,
                new(AdjusterKind.TwoEnds, MmPerUnit: 1.25),
                BeltSide: Side.Left,
                GapSide: Side.Left,
                MakerMethod: ReadingMethod.Pluck,
                MakerLow: 62,
                MakerHigh: 72,
                FinalTorqueNm: 55
            )
        );

    private static MachineDraft Chain() =>
        Laid(
            "Chain, two screws",
            StartingMachines.For(MachineKind.Motorcycle),
            new(
                Key,
                new(AdjusterKind.TwoEnds, MmPerUnit: 1.25),
                BeltSide: Side.Left,
                FinalTorqueNm: 90,
                Suspension: RearSuspension.SwingArm
            )
        );

    private static MachineDraft Eccentric() =>
        Laid(
            "Belt, eccentric",
            StartingMachines.For(MachineKind.Moped),
            new(
                Key,
                new(AdjusterKind.Eccentric, EccentricDeg: 60),
                MakerMethod: ReadingMethod.Pluck,
                MakerLow: 60,
                MakerHigh: 72
            )
        );

    private static MachineDraft Laid(string name, MachineDraft draft, LoopSetting setting)
    {
        Machine machine = draft.Machine;
        Drive drive = machine.Drives[0];
        LoopLayout layout = StartingLayout.For(drive, draft.Fitted[0]);
        AdjusterKind kind = setting.Adjuster.Kind;
        return draft with
        {
            Machine = machine with
            {
                Name = name,
                Layouts =
                [
                    layout with
                    {
                        Moving = StartingAdjuster.For(new(drive, draft.Fitted[0], layout, kind)).Moving,
                    },
                ],
                Settings = [setting],
                Loads =
                    drive.Stages.OfType<Loop>().Single().DriveElement == DriveElement.Chain
                        ? null
                        : new([], [new(Key, WidthMm: BeltWidthMm)]),
            },
        };
    }
}
