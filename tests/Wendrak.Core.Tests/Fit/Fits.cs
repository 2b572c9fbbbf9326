using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Tests.Gearing;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Fit;

/// <summary>Loops in their place, for the tests of the fit.</summary>
internal static class Fits
{
    public static LoopLayout Slot(double fromMm, double toMm, params Idler[] idlers) =>
        new(
            "final",
            Turning.Clockwise,
            new(0, 0),
            new(-fromMm, 0),
            idlers,
            new(LoopLayout.RearName, new LineTrack(new(-fromMm, 0), new(-toMm, 0)))
        );

    /// <summary>A toothed belt of 8 mm pitch.</summary>
    public static LoopFitInput Belt(LoopLayout layout, double front, double rear, int? teeth)
    {
        Loop belt = Drives.Chain("final", "in", "out") with
        {
            DriveElement = DriveElement.ToothedBelt,
            Standard = "8M",
        };
        LoopChoice choice = new("final", front, rear, teeth);
        return new(Drives.WithStages([belt]), choice, choice, layout, null, false, null);
    }

    public static LoopFitInput Motorcycle(LoopLayout layout, double front, double rear, int? links) =>
        new(Drives.Motorcycle(), new("final", front, rear, links), new("final", 15, 45, 112), layout, null, false, 1);
}
