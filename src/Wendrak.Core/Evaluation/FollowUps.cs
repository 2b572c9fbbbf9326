using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;

namespace Wendrak.Core.Evaluation;

/// <summary>A machine before and after a change.</summary>
public sealed record FollowUpInput(DrivesAsBuilt Before, DrivesAsBuilt After);

/// <summary>Why a machine is stored as another one.</summary>
public enum MachineChange
{
    /// <summary>Other parts are on it, or stand elsewhere: that asks for things to be done again.</summary>
    OtherParts,

    /// <summary>What was typed was wrong: the machine itself is as it was.</summary>
    Correction,
}

/// <summary>What else must be done again when a part of a drive is changed.</summary>
/// <remarks>
/// Geometry decides what a part moves; that every change ends in alignment and a reading is common practice. The maker's
/// service instructions win.
/// </remarks>
public static class FollowUps
{
    private static readonly FollowUpKind[] WholeLoop =
    [
        FollowUpKind.Length,
        FollowUpKind.Slot,
        FollowUpKind.Clearances,
        FollowUpKind.SuspensionPlay,
        FollowUpKind.Alignment,
        FollowUpKind.Reading,
    ];

    private static readonly Dictionary<ChangedPart, FollowUpKind[]> OfLoop = new()
    {
        [ChangedPart.FrontWheel] = WholeLoop,
        [ChangedPart.RearWheel] = WholeLoop,
        [ChangedPart.LoopKind] = WholeLoop,
        [ChangedPart.Place] = WholeLoop,
        [ChangedPart.LoopLength] = [.. WholeLoop.Except([FollowUpKind.Length])],
        // The wheel was out: its axle was put back by hand, and a wider tyre may reach the loop.
        [ChangedPart.RoadWheel] =
        [
            FollowUpKind.Slot,
            FollowUpKind.Clearances,
            FollowUpKind.Alignment,
            FollowUpKind.Reading,
        ],
        [ChangedPart.Edge] = [FollowUpKind.Clearances],
    };

    /// <summary>In the order of the work; empty when nothing was changed that matters.</summary>
    /// <exception cref="InvalidInputException">A drive, a choice or a road wheel of the new state is refused.</exception>
    public static IReadOnlyList<FollowUpTask> After(FollowUpInput input)
    {
        // What was is only compared with: a machine stored under older rules must stay changeable.
        new Guard()
            .Include(new Guard("After.").Include(input.After.Check()))
            .ThrowIfAny();
        return InOrder(input.After.Drives.SelectMany(drive => OfDrive(drive, input)));
    }

    /// <summary>What was open before, as far as its loop is still there: a correction asks for nothing more.</summary>
    public static IReadOnlyList<FollowUpTask> StillThere(IReadOnlyList<FollowUpTask> open, DrivesAsBuilt after)
    {
        HashSet<string> drives = [.. after.Drives.Select(d => d.Key)];
        HashSet<string> loops = [.. after.Drives.SelectMany(d => d.Stages).OfType<Loop>().Select(l => l.Key)];
        return InOrder(
            open.Where(i => drives.Contains(i.DriveKey) && (i.LoopKey is null || loops.Contains(i.LoopKey)))
        );
    }

    /// <summary>What was open before a change, as far as it is still there, with what the change asks for.</summary>
    public static IReadOnlyList<FollowUpTask> With(IReadOnlyList<FollowUpTask> open, FollowUpInput change)
    {
        return InOrder(
            StillThere(open, change.After)
                .Concat(After(change))
                .GroupBy(i => (i.Task, i.DriveKey, i.LoopKey))
                .Select(same => same.First() with { Because = [.. same.SelectMany(i => i.Because).Distinct()] })
        );
    }

    private static FollowUpTask[] InOrder(IEnumerable<FollowUpTask> items) => [.. items.OrderBy(i => i.Task)];

    private static IEnumerable<FollowUpTask> OfDrive(Drive drive, FollowUpInput input)
    {
        Drive? old = input.Before.Drives.FirstOrDefault(d => d.Key == drive.Key);
        ChangedPart[] ratio = [.. RatioParts(drive, old, input).Distinct()];
        if (ratio.Length > 0)
            yield return new(FollowUpKind.Ratio, drive.Key, null, ratio);
        ChangedPart[] shown = [.. ShownParts(drive, old, input).Distinct()];
        if (shown.Length > 0)
            yield return new(FollowUpKind.Speedometer, drive.Key, null, shown);
        foreach (Loop loop in drive.Stages.OfType<Loop>())
        {
            ChangedPart[] parts = [.. ChangedParts.OfLoop(loop, drive, old, input)];
            foreach (FollowUpKind task in WholeLoop.Where(t => Applies(t, input.After.LayoutOf(loop.Key))))
            {
                ChangedPart[] because = [.. parts.Where(p => OfLoop[p].Contains(task))];
                if (because.Length > 0)
                    yield return new(task, drive.Key, loop.Key, because);
            }
        }
    }

    /// <summary>What makes speeds other ones: wheels of another ratio, road wheels, gearing.</summary>
    private static IEnumerable<ChangedPart> RatioParts(Drive drive, Drive? old, FollowUpInput input)
    {
        foreach (ChangedPart part in LoopParts(drive, input, _ => true))
            yield return part;
        if (ChangedParts.IsRoadWheelOther(drive, old, input))
            yield return ChangedPart.RoadWheel;
        if (ChangedParts.IsGearingOther(drive, old))
            yield return ChangedPart.Gearing;
    }

    /// <summary>What of that the speedometer does not see by itself.</summary>
    private static IEnumerable<ChangedPart> ShownParts(Drive drive, Drive? old, FollowUpInput input)
    {
        if (drive.SpeedPickup is SpeedPickup.None or SpeedPickup.OtherWheel)
            yield break;
        if (drive.SpeedPickup == SpeedPickup.GearboxOutput)
            foreach (ChangedPart part in LoopParts(drive, input, loop => IsBehindGearbox(loop, drive)))
                yield return part;
        if (ChangedParts.IsRoadWheelOther(drive, old, input))
            yield return ChangedPart.RoadWheel;
    }

    /// <summary>Wheels of loops whose ratio is another one; two other wheels of the same ratio leave speeds as they were.</summary>
    private static IEnumerable<ChangedPart> LoopParts(Drive drive, FollowUpInput input, Func<Loop, bool> counts)
    {
        foreach (Loop loop in drive.Stages.OfType<Loop>().Where(counts))
        {
            LoopChoice? was = input.Before.ChoiceOf(loop.Key);
            LoopChoice now = input.After.ChoiceOf(loop.Key)!;
            if (was is null || was.RearSize * now.FrontSize == now.RearSize * was.FrontSize)
                continue;
            if (was.FrontSize != now.FrontSize)
                yield return ChangedPart.FrontWheel;
            if (was.RearSize != now.RearSize)
                yield return ChangedPart.RearWheel;
        }
    }

    private static bool IsBehindGearbox(Loop loop, Drive drive) =>
        !DriveShafts
            .TurnedBy(drive, loop.DrivenShaft)
            .Overlaps(drive.Stages.OfType<Gearbox>().Select(g => g.DrivenShaft));

    private static bool Applies(FollowUpKind task, LoopLayout? layout) =>
        task switch
        {
            FollowUpKind.Slot => layout is null || layout.Moving is not null,
            FollowUpKind.SuspensionPlay => layout?.SwingArm is not null,
            _ => true,
        };
}
