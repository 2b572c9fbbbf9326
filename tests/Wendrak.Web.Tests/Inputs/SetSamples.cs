using Wendrak.Core.Gearing;
using Wendrak.Core.Lengths;
using Wendrak.Core.Loads;
using Wendrak.Core.Loops;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;
using static Wendrak.Web.Tests.Reference.Asked;

namespace Wendrak.Web.Tests.Inputs;

/// <summary>Loops that are being set, each with all that such a one can say.</summary>
internal static class SetSamples
{
    /// <summary>A belt pushed and plucked on a machine that stands on its wheels.</summary>
    public static SetInput Visit
    {
        get
        {
            SetRound Pushed(double left, double mm, double c, double kg) =>
                new(left, left, LockState.Loose, [new(ReadingMethod.Push, mm, 0, 20)])
                {
                    TemperatureC = c,
                    TurnsRolled = left == 0 ? null : 4,
                    LoadKg = kg,
                };
            return new(
                DriveOf(1_950, LoopOf(DriveElement.ToothedBelt, "8M")),
                MachineKind.Motorcycle,
                Wheels(28, 70),
                [],
                Slot(420, 430) with
                {
                    Idlers = [new("idler", new(-150, -72), 40, false, RunSide.Back, LoopRun.Slack)],
                },
                new("drive", 60),
                new("final", WidthMm: 30, ForceAt1PercentN: 20_000),
                new("final", new(AdjusterKind.TwoEnds))
                {
                    MassKgPerM = 0.2,
                    MakerMethod = ReadingMethod.Push,
                    MakerLow = 8,
                    MakerHigh = 10,
                    MakerForceN = 20,
                },
                [Pushed(0, 14, 20, 0), Pushed(0.5, 12, 22, 0)],
                SetGoal.Both,
                []
            );
        }
    }

    public static SetInput ChainOnItsWheels =>
        new(
            DriveOf(1_950, Chain("520")),
            MachineKind.Motorcycle,
            Wheels(15, 45, 112),
            [],
            Slot(630, 670) with
            {
                SwingArm = new(new(-60, 10), 80, 120),
            },
            null,
            null,
            new("final", new(AdjusterKind.TwoEnds)),
            [new(0, 0, LockState.Torqued, [new(ReadingMethod.FreePlay, 40)], OnStand: false)]
        );

    /// <summary>A belt that stands high in a sheave with shims.</summary>
    public static SetInput InSheave =>
        new(
            DriveOf(1_950, LoopOf(DriveElement.VBelt, "A")),
            MachineKind.Moped,
            Wheels(100, 120),
            [],
            null,
            null,
            null,
            new("final", new(AdjusterKind.SheaveShims), Shims: new(0.5, 28, ShimSense.UnderOpeningBolts, 9, 3))
            {
                MakerMethod = ReadingMethod.BeltHeight,
                MakerLow = -0.5,
                MakerHigh = 1.5,
            },
            [
                new(0, 0, LockState.Torqued, [new(ReadingMethod.BeltHeight, 4)], ShimsIn: 6, FreeAtIdle: false),
                new(-3, 0, LockState.Torqued, [new(ReadingMethod.BeltHeight, 1)], FreeAtIdle: false),
            ]
        );
}
