using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Tension;
using Wendrak.Core.Tests.Fit;
using Wendrak.Core.Tests.Gearing;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Tension;

/// <summary>Loops to be set, for the tests of the advisor.</summary>
internal static class SetCases
{
    /// <summary>8 mm belt of 20 mm on a moped: 5.0 kg/km and mm, free span near 400 mm; tension by the maker's Hz.</summary>
    public static SetInput Belt(params SetRound[] rounds)
    {
        Loop loop = Drives.Chain("final", "in", "out") with
        {
            DriveElement = DriveElement.ToothedBelt,
            Standard = "8M",
        };
        return new(
            Drives.WithStages([loop]),
            MachineKind.Moped,
            [new("final", 28, 80, null)],
            [],
            Fits.Slot(400, 430),
            null,
            new("final", WidthMm: 20),
            new(
                "final",
                new(AdjusterKind.TwoEnds, MmPerUnit: 1.5),
                GapSide: Side.Left,
                MakerMethod: ReadingMethod.Pluck,
                MakerLow: 64,
                MakerHigh: 74
            ),
            rounds
        );
    }

    /// <summary>520 chain of a motorcycle with a swing arm's slot, by practice.</summary>
    public static SetInput Chain(params SetRound[] rounds) =>
        new(
            Drives.Motorcycle(),
            MachineKind.Motorcycle,
            Drives.Pair(15, 45, null),
            [],
            Fits.Slot(620, 700) with
            {
                SwingArm = new(new(-80, -10), 30, 60),
            },
            null,
            null,
            new("final", new(AdjusterKind.TwoEnds)),
            rounds
        );

    public static Loop Loop(this SetInput input) => input.Drive.Stages.OfType<Loop>().Single();

    public static SetRound Plucked(double left, double right, double? gap, params double[] hz) =>
        new(left, right, LockState.Nipped, [.. hz.Select((h, i) => new Reading(ReadingMethod.Pluck, h, i))], gap);

    public static SetRound Played(double turns, params double[] play) =>
        new(turns, turns, LockState.Nipped, [.. play.Select((p, i) => new Reading(ReadingMethod.FreePlay, p, i))]);

    /// <summary>The same with another adjuster, and the wheel it moves laid out.</summary>
    public static SetInput On(SetInput input, AdjusterKind kind, string? moves) =>
        input with
        {
            Layout = input.Layout! with
            {
                Moving = moves is null ? null : new(moves, new LineTrack(new(0, 0), new(20, 0))),
            },
            Setting = input.Setting with { Adjuster = new(kind), GapSide = null },
        };
}
