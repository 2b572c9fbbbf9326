using Wendrak.Core.Gearing;
using Wendrak.Core.Lengths;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wheels;

namespace Wendrak.Core.Fit;

/// <summary>Two shafts that can't be moved, and the wheels that may go on them.</summary>
/// <param name="MostSlackMm">Loop length that may be over, mm; null for <see cref="FixedCentre.UsualSlackMm"/>.</param>
/// <param name="HalfLinks">Whether an odd number of links may be joined by a cranked link.</param>
/// <param name="LoopKey">Key of the loop it is about.</param>
/// <param name="CentreMm">Distance of the shafts, mm.</param>
/// <param name="FrontMin">Smallest driving wheel to try: teeth, or datum diameter in mm.</param>
/// <param name="FrontMax">Largest driving wheel to try.</param>
/// <param name="RearMin">Smallest driven wheel to try.</param>
/// <param name="RearMax">Largest driven wheel to try.</param>
public sealed record FixedCentreInput(
    Drive Drive,
    string LoopKey,
    double CentreMm,
    int FrontMin,
    int FrontMax,
    int RearMin,
    int RearMax,
    double? MostSlackMm,
    bool HalfLinks
);

/// <summary>Pairs that close on fixed centres.</summary>
/// <param name="MostSlackMm">What was allowed: as asked, or the usual.</param>
/// <param name="Pairs">Least slack first; at most 200.</param>
public sealed record FixedCentreResult(double MostSlackMm, IReadOnlyList<FixedCentrePair> Pairs);

/// <summary>A pair of wheels and the length that goes round them with little slack.</summary>
/// <param name="Length">Links or belt teeth.</param>
/// <param name="SlackMm">Loop length that is over, mm.</param>
/// <param name="FreePlayMm">Whole up-and-down movement at the middle of a run.</param>
/// <param name="CentreMoveMm">How much farther apart an eccentric would have to bring the shafts to take it up; null where that finds no place.</param>
/// <param name="Front">Teeth of the driving wheel.</param>
/// <param name="Rear">Teeth of the driven wheel.</param>
/// <param name="Ratio">Driven over driving wheel.</param>
/// <param name="IsHalfLink">Joined by a cranked link.</param>
public sealed record FixedCentrePair(
    int Front,
    int Rear,
    double Ratio,
    int Length,
    double SlackMm,
    double FreePlayMm,
    double? CentreMoveMm,
    bool IsHalfLink
);

/// <summary>Finds wheels for shafts at a fixed distance: robot rails, gear cases, track bicycles.</summary>
public static class FixedCentre
{
    /// <summary>Slack that a short rail runs with quietly, mm; common practice, a default to be changed.</summary>
    public const double UsualSlackMm = 1.5;

    private const int MostPairs = 10_000;
    private const int MostListed = 200;

    // Parts are made to a tolerance: a chain this much short still goes on. Common practice.
    private const double ShortMm = 0.05;

    /// <summary>Pairs with slack from none to the given one, least slack first; at most 200.</summary>
    /// <exception cref="InvalidInputException">The loop has no teeth, or a bound is not physical.</exception>
    public static FixedCentreResult Pairs(FixedCentreInput input)
    {
        Loop loop = Check(input);
        double unit = LoopLengths.UnitMm(loop);
        double allowed = input.MostSlackMm ?? UsualSlackMm;
        int step = loop.DriveElement == DriveElement.Chain && !input.HalfLinks ? 2 : 1;
        List<FixedCentrePair> pairs = [];
        for (int front = input.FrontMin; front <= input.FrontMax; front++)
        for (int rear = input.RearMin; rear <= input.RearMax; rear++)
        {
            LoopWheel[] wheels = Wheels(loop, front, rear, input.CentreMm, unit);
            (LoopPath? path, _) = LoopTracing.Trace(wheels, Turning.Clockwise, loop.Arrangement);
            if (path is null || wheels.Sum(w => w.Outline.OutsideRadiusMm) > input.CentreMm)
                continue;
            int length = (int)Math.Ceiling((path.LengthMm - ShortMm) / unit / step) * step;
            double slack = length * unit - path.LengthMm;
            if (slack <= allowed)
                pairs.Add(PairOf(loop, front, rear, length, slack, path, input.CentreMm, unit));
        }
        FixedCentrePair[] ranked =
        [
            .. pairs
                .OrderBy(p => p.IsHalfLink)
                .ThenBy(p => Math.Abs(p.SlackMm))
                .ThenByDescending(p => p.Front)
                .Take(MostListed),
        ];
        return new(allowed, ranked);
    }

    private static FixedCentrePair PairOf(
        Loop loop,
        int front,
        int rear,
        int length,
        double slack,
        LoopPath path,
        double centre,
        double unit
    )
    {
        double run = path.Spans[0].LengthMm;
        LineTrack apart = new(new(-centre, 0), new(-centre - unit - 2 * slack, 0));
        double? move = LoopClosing.TravelMm(
            Wheels(loop, front, rear, centre, unit),
            1,
            apart,
            Turning.Clockwise,
            loop.Arrangement,
            length * unit,
            unit
        );
        return new(
            front,
            rear,
            Math.Abs(StageRatio.OfLoop(loop, front, rear)),
            length,
            slack,
            SlackRun.PlayMm(run, slack),
            move,
            loop.DriveElement == DriveElement.Chain && length % 2 != 0
        );
    }

    private static LoopWheel[] Wheels(Loop loop, int front, int rear, double centre, double unit) =>
        [
            new(LoopLayout.FrontName, new(0, 0), WheelOutline.For(loop, front), RunSide.Inside, unit),
            new(LoopLayout.RearName, new(-centre, 0), WheelOutline.For(loop, rear), RunSide.Inside, unit),
        ];

    private static Loop Check(FixedCentreInput input)
    {
        Loop loop = DriveLoops.Find(input.Drive, input.LoopKey, nameof(input.LoopKey));
        int least = (int)WheelSize.Smallest(loop.DriveElement);
        long pairs = (input.FrontMax - input.FrontMin + 1L) * (input.RearMax - input.RearMin + 1L);
        new Guard()
            .That(
                loop.IsToothed,
                nameof(input.LoopKey),
                "no_teeth",
                "Give a chain or a toothed belt: others are cut or chosen by length."
            )
            .Between(nameof(input.CentreMm), input.CentreMm, 5, 20_000, "mm")
            .Between(nameof(input.FrontMin), input.FrontMin, least, WheelSize.MostTeeth, "teeth")
            .Between(nameof(input.RearMin), input.RearMin, least, WheelSize.MostTeeth, "teeth")
            .Between(nameof(input.FrontMax), input.FrontMax, input.FrontMin, WheelSize.MostTeeth, "teeth")
            .Between(nameof(input.RearMax), input.RearMax, input.RearMin, WheelSize.MostTeeth, "teeth")
            .BetweenIfGiven(nameof(input.MostSlackMm), input.MostSlackMm, 0, 100, "mm")
            .That(
                pairs <= MostPairs,
                nameof(input.RearMax),
                "too_many",
                $"Narrow the ranges: {pairs} pairs.",
                MostPairs
            )
            .ThrowIfAny();
        return loop;
    }
}
