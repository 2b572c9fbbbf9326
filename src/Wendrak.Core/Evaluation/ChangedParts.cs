using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Records;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Evaluation;

/// <summary>Finds what differs between two states of a drive.</summary>
internal static class ChangedParts
{
    /// <summary>Parts of one loop, and the road wheels it turns, that are other ones or stand elsewhere.</summary>
    public static IEnumerable<ChangedPart> OfLoop(Loop loop, Drive drive, Drive? oldDrive, FollowUpInput input)
    {
        Loop? old = oldDrive?.Stages.OfType<Loop>().FirstOrDefault(l => l.Key == loop.Key);
        if (old is null || KindOf(old) != KindOf(loop))
            yield return ChangedPart.LoopKind;
        LoopChoice? was = input.Before.ChoiceOf(loop.Key);
        LoopChoice now = input.After.ChoiceOf(loop.Key)!;
        if (was is not null && was.FrontSize != now.FrontSize)
            yield return ChangedPart.FrontWheel;
        if (was is not null && was.RearSize != now.RearSize)
            yield return ChangedPart.RearWheel;
        if (was is not null && (was.Links, was.LengthMm) != (now.Links, now.LengthMm))
            yield return ChangedPart.LoopLength;
        // What is measured for the first time has not moved.
        if (input.Before.LayoutOf(loop.Key) is { } stood && input.After.LayoutOf(loop.Key) is { } stands)
        {
            if (!ReferenceEquals(stood, stands) && !AreAtSamePlace(stood, stands))
                yield return ChangedPart.Place;
            if (!ReferenceEquals(stood, stands) && !(stood.Limits ?? []).SequenceEqual(stands.Limits ?? []))
                yield return ChangedPart.Edge;
        }
        HashSet<string> turned = DriveShafts.TurnedWith(drive, loop.DrivenShaft);
        if (RoadWheelPairs(drive, oldDrive, input).Any(p => turned.Contains(p.Shaft) && IsOtherThing(p.Was, p.Now)))
            yield return ChangedPart.RoadWheel;
    }

    /// <summary>Whether a road wheel of the drive is another one, or rolls otherwise than was thought.</summary>
    public static bool IsRoadWheelOther(Drive drive, Drive? oldDrive, FollowUpInput input) =>
        RoadWheelPairs(drive, oldDrive, input).Any(p => p.Was != p.Now);

    private static IEnumerable<(string Shaft, RoadWheel? Was, RoadWheel? Now)> RoadWheelPairs(
        Drive drive,
        Drive? oldDrive,
        FollowUpInput input
    ) =>
        from output in drive.Outputs
        let old = oldDrive?.Outputs.FirstOrDefault(o => o.Name == output.Name)
        where old is not null
        select (
            output.Shaft,
            RoadWheels.On(old, input.Before.RoadWheels),
            RoadWheels.On(output, input.After.RoadWheels)
        );

    /// <summary>A roll-out measured on the same tyre takes no wheel out.</summary>
    private static bool IsOtherThing(RoadWheel? was, RoadWheel? now) =>
        was?.Size != now?.Size || (now?.Size is null && was != now);

    /// <summary>Whether a pair, gearbox or gear hub beside the loops is another one.</summary>
    public static bool IsGearingOther(Drive drive, Drive? old) =>
        old is not null && !ReferenceEquals(drive, old) && !HasSameGearing(drive, old);

    private static bool HasSameGearing(Drive a, Drive b) =>
        GearingOf(a).Select(s => s.Stage).SequenceEqual(GearingOf(b).Select(s => s.Stage))
        && GearingOf(a).SelectMany(s => s.Steps).SequenceEqual(GearingOf(b).SelectMany(s => s.Steps));

    /// <summary>What turns what by how much, without names; lists beside, which records compare by reference.</summary>
    private static IEnumerable<(Stage Stage, IReadOnlyList<double> Steps)> GearingOf(Drive drive) =>
        drive
            .Stages.Where(s => s is not Loop)
            .Select(s => s with { Name = "" })
            .Select(s =>
                s switch
                {
                    Gearbox box => (box with { Set = new(0, 0, "", [], false, null) }, box.Set.Reductions),
                    HubGear hub => (hub with { SpeedFactors = [] }, hub.SpeedFactors),
                    _ => (s, (IReadOnlyList<double>)[]),
                }
            );

    private static (DriveElement, string, BeltArrangement) KindOf(Loop loop) =>
        (loop.DriveElement, loop.Standard, loop.Arrangement);

    private static bool AreAtSamePlace(LoopLayout a, LoopLayout b) =>
        (a with { Idlers = [], Limits = null }) == (b with { Idlers = [], Limits = null })
        && a.Idlers.SequenceEqual(b.Idlers);
}
