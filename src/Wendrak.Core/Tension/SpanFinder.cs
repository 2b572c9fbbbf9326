using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tension;

/// <summary>What is known of the run that is read: from where it was laid out, else as it was measured.</summary>
internal static class SpanFinder
{
    // Glass or steel cord: order of magnitude from memory, for a first guess that the first round corrects.
    private const double AxialStiffnessNPerMm = 4_000;

    public static SpanFacts Find(SetInput input)
    {
        Loop loop = input.Loop;
        LoopPath? path = PathOf(input);
        double? typed = input.Setting.SpanMm;
        (double slack, double tight)? runs = path is null || typed is not null ? null : Runs(path);
        double? span = typed ?? (loop.DriveElement == DriveElement.Chain ? runs?.slack : Longest(runs));
        return new(
            span,
            input.Setting.MassKgPerM ?? LoopMass.KgPerM(loop, input.StrengthOrNothing),
            input.StrengthOrNothing.ForceAt1PercentN * 100
                ?? (
                    loop.DriveElement == DriveElement.ToothedBelt
                        ? input.StrengthOrNothing.WidthMm * AxialStiffnessNPerMm
                        : null
                ),
            path?.LengthMm,
            path is null ? 1 : CosOf(path),
            runs?.slack,
            runs?.tight,
            input.StrengthOrNothing.ForceAt1PercentN is not null
        );
    }

    private static LoopPath? PathOf(SetInput input)
    {
        if (input.Layout is null)
            return null;
        try
        {
            LoopChoice choice =
                input.Loops.FirstOrDefault(c => c.LoopKey == input.Setting.LoopKey)
                ?? throw new InvalidInputException("Loops", "missing", "Give the wheels of the loop.");
            return LoopFit.Lay(new(input.Drive, choice, choice, input.Layout, null, false, null)).Path;
        }
        catch (InvalidInputException)
        {
            return null; // It can't be laid there: then only what was measured is known, and a reading may still be written down.
        }
    }

    /// <summary>Longest free piece of either run.</summary>
    private static (double SlackMm, double TightMm) Runs(LoopPath path)
    {
        int rear = 0;
        while (path.Wheels[rear].Name != LoopLayout.RearName)
            rear++;
        return (path.Spans.Take(rear).Max(s => s.LengthMm), path.Spans.Skip(rear).Max(s => s.LengthMm));
    }

    /// <summary>A chain is read on its slack run, a belt where its free run is longest.</summary>
    private static double? Longest((double SlackMm, double TightMm)? runs) =>
        runs is { } r ? Math.Max(r.SlackMm, r.TightMm) : null;

    /// <summary>Between the runs and the line of centres, along which the axle is moved.</summary>
    private static double CosOf(LoopPath path)
    {
        WrappedWheel front = path.Wheels[0];
        WrappedWheel rear = path.Wheels.First(w => w.Name == LoopLayout.RearName);
        double centre = front.Centre.DistanceTo(rear.Centre);
        double across = Math.Abs(rear.Outline.RunRadiusMm - front.Outline.RunRadiusMm);
        return Math.Sqrt(Math.Max(0.01, 1 - across * across / (centre * centre)));
    }
}
