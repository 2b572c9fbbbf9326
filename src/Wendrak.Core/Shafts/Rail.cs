using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Shafts;

/// <summary>A drive with all its loops in their places, and what is known of its shafts.</summary>
/// <param name="Loops">Wheels of every loop in view.</param>
/// <param name="Layouts">Loops without one are left out.</param>
/// <param name="Shafts">Widths of the shafts that were measured, those of the machine's other drives too.</param>
/// <param name="Spacers">By bore; only those of a shaft's diameter go on it. One drawer for all shafts.</param>
/// <param name="OtherDrives">Drives of the same machine whose shafts are filled from the same drawer.</param>
public sealed record RailInput(
    Drive Drive,
    IReadOnlyList<LoopChoice> Loops,
    IReadOnlyList<LoopLayout> Layouts,
    IReadOnlyList<ShaftWidths> Shafts,
    IReadOnlyList<BoredSpacers> Spacers,
    IReadOnlyList<Drive>? OtherDrives = null
);

/// <summary>Spacers of one thickness and bore.</summary>
/// <param name="ThicknessMm">Thickness of one, mm.</param>
/// <param name="BoreMm">Their bore, mm.</param>
/// <param name="Count">How many there are.</param>
public sealed record BoredSpacers(double ThicknessMm, double BoreMm, int Count);

/// <summary>A shaft in the picture.</summary>
/// <param name="Centre">In one side view of the whole drive; null where no layout tells.</param>
/// <param name="Stacks">What fills it, beside what the other shafts take; null where the drawer has no spacer of its diameter.</param>
public sealed record RailShaft(ShaftWidths Widths, Point? Centre, SpacerStacksResult? Stacks);

/// <summary>One loop among its neighbours.</summary>
/// <param name="Path">In the side view that all loops of the drive share.</param>
/// <param name="FrontPlaneMm">Middle of the front wheel's teeth across the machine; null where its shaft is not filled.</param>
/// <param name="OffsetMm">Rear against front, positive to the right; null where either is not known.</param>
/// <param name="AllowedMm">How far the two may stand apart.</param>
/// <param name="IsInRow">Whether they stand no farther apart than that; null where the offset is not known.</param>
/// <param name="LoopKey">Key of the loop it is about.</param>
/// <param name="RearPlaneMm">The same of the rear wheel.</param>
public sealed record RailLoop(
    string LoopKey,
    LoopPath Path,
    double? FrontPlaneMm,
    double? RearPlaneMm,
    double? OffsetMm,
    double AllowedMm,
    bool? IsInRow
);

/// <summary>Loops side by side on their shafts.</summary>
/// <param name="Shafts">Those of the drive.</param>
/// <param name="Loops">Those with a layout, in the order of the drive.</param>
public sealed record RailResult(IReadOnlyList<RailShaft> Shafts, IReadOnlyList<RailLoop> Loops);

/// <summary>Lays all loops of a drive into one picture, seen from the side and from above.</summary>
/// <remarks>Loops that share a shaft meet there. Rows within 0.5 mm for belts, 1 mm for chains: common practice.</remarks>
public static class Rail
{
    /// <exception cref="InvalidInputException">A part of the question is refused, or a layout is impossible.</exception>
    public static RailResult LayOut(RailInput input)
    {
        DriveRules.Require(input.Drive);
        DriveRules.CheckChoices([.. input.Drive.Stages.OfType<Loop>()], input.Loops).ThrowIfAny();
        CheckSpacers(input.Spacers);
        Dictionary<string, Point> places = [];
        List<(Loop Loop, LoopPath Path)> laid = [];
        foreach (Loop loop in input.Drive.Stages.OfType<Loop>())
            for (int i = 0; i < input.Layouts.Count; i++)
                if (input.Layouts[i].LoopKey == loop.Key)
                    laid.Add((loop, Place(input, loop, i, places)));
        RailShaft[] shafts =
        [
            .. input
                .Shafts.Zip(Filled(input))
                .Where(s => s.First.DriveKey == input.Drive.Key)
                .Select(s => new RailShaft(s.First, places.GetValueOrDefault(s.First.Shaft), s.Second)),
        ];
        return new(shafts, [.. laid.Select(l => Row(l.Loop, l.Path, shafts))]);
    }

    /// <summary>Moves a loop so that its driving wheel comes to stand where the loop before it left that shaft.</summary>
    private static LoopPath Place(RailInput input, Loop loop, int at, Dictionary<string, Point> places)
    {
        LoopChoice choice = input.Loops.First(c => c.LoopKey == loop.Key);
        LoopFitInput question = new(input.Drive, choice, choice, input.Layouts[at], null, false, null);
        LoopPath path = Refusal.Renamed("Layout.", $"Layouts[{at}].", () => LoopFit.Lay(question).Path);
        Point front = path.Wheels[0].Centre;
        Point by = places.TryGetValue(loop.DrivingShaft, out Point? known) ? known - front : new(0, 0);
        LoopPath moved = new(
            [
                .. path.Wheels.Select(w =>
                    w with
                    {
                        Centre = w.Centre + by,
                        ArcStart = w.ArcStart + by,
                        ArcEnd = w.ArcEnd + by,
                    }
                ),
            ],
            [.. path.Spans.Select(s => s with { Start = s.Start + by, End = s.End + by })],
            path.LengthMm
        );
        places.TryAdd(loop.DrivingShaft, front + by);
        places.TryAdd(loop.DrivenShaft, moved.Wheels.First(w => w.Name == LoopLayout.RearName).Centre);
        return moved;
    }

    private static IReadOnlyList<SpacerStacksResult?> Filled(RailInput input)
    {
        Drive[] drives = [input.Drive, .. input.OtherDrives ?? []];
        for (int i = 0; i < input.Shafts.Count; i++)
            new Guard($"{nameof(input.Shafts)}[{i}].")
                .That(
                    drives.Any(d => d.Key == input.Shafts[i].DriveKey),
                    nameof(ShaftWidths.DriveKey),
                    "unknown",
                    $"Give one of: {string.Join(", ", drives.Select(d => d.Key))}."
                )
                .ThrowIfAny();
        return SpacerDrawer.Fill(
            [.. input.Shafts.Select(s => new ShaftToFill(drives.First(d => d.Key == s.DriveKey), s))],
            input.Spacers,
            (at, ask) => Refusal.Renamed("Shaft.", $"Shafts[{at}].", ask)
        );
    }

    private static void CheckSpacers(IReadOnlyList<BoredSpacers> spacers)
    {
        Guard guard = new();
        for (int i = 0; i < spacers.Count; i++)
            guard.Include(
                new Guard($"{nameof(RailInput.Spacers)}[{i}].")
                    .Include(SpacerStacks.CheckSpacer(spacers[i].ThicknessMm, spacers[i].Count))
                    .Include(ShaftWidths.CheckDiameter(nameof(BoredSpacers.BoreMm), spacers[i].BoreMm))
            );
        guard.ThrowIfAny();
    }

    private static RailLoop Row(Loop loop, LoopPath path, RailShaft[] shafts)
    {
        double? front = Plane(loop.Key, WheelSide.Front, shafts);
        double? rear = Plane(loop.Key, WheelSide.Rear, shafts);
        double? offset = rear - front;
        double allowed = SpacerStacks.ToleranceFor(loop.DriveElement);
        return new(loop.Key, path, front, rear, offset, allowed, offset is double mm ? Math.Abs(mm) <= allowed : null);
    }

    private static double? Plane(string loopKey, WheelSide side, RailShaft[] shafts)
    {
        foreach (RailShaft shaft in shafts)
            if (shaft.Stacks?.Ways is [var best, ..])
                foreach (SeatedSprocket seated in best.Sprockets)
                    if (seated.LoopKey == loopKey && seated.Side == side)
                        return shaft.Widths.LeftMm + seated.PlaneMm;
        return null;
    }
}
