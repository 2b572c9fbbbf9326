using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wheels;

namespace Wendrak.Core.Loops;

/// <summary>What runs over a loop, and where its two axles stand.</summary>
public sealed record StartingPartsInput(DriveElement DriveElement, Point Front, Point Rear);

/// <summary>Parts to begin with that somebody adds to a layout and then measures. Judgement: near where such a part usually is.</summary>
/// <param name="Idler">Between the axles, on the back of the slack run; toothed for a chain.</param>
/// <param name="IdlerTeeth">Of one with teeth.</param>
/// <param name="IdlerMm">Diameter of one without.</param>
/// <param name="Edge">Before the front wheel, upright.</param>
/// <param name="Arm">Its pivot a little behind the front wheel; hangs and comes up as much as a small motorcycle's.</param>
public sealed record StartingParts(Idler Idler, double IdlerTeeth, double IdlerMm, ClearanceLimit Edge, SwingArm Arm)
{
    private const double UsualTeeth = 11;
    private const double UsualMm = 40;
    private const double EdgeAheadMm = 60;
    private const double EdgeHalfMm = 20;
    private const double EdgeLeastMm = 3;
    private const double PivotShare = 0.12; // of the way from the front axle to the rear
    private const double DroopMm = 30;
    private const double BumpMm = 100;

    /// <exception cref="InvalidInputException">A place is refused.</exception>
    public static StartingParts At(StartingPartsInput input)
    {
        (DriveElement element, Point front, Point rear) = input;
        new Guard()
            .OneOf(nameof(input.DriveElement), element)
            .Include(TrackBounds.Place(nameof(input.Front), front))
            .Include(TrackBounds.Place(nameof(input.Rear), rear))
            .ThrowIfAny();
        bool isToothed = element == DriveElement.Chain;
        double x = Math.Round(front.XMm + EdgeAheadMm);
        return new(
            new(
                "idler",
                Rounded(0.5 * (front + rear)),
                isToothed ? UsualTeeth : UsualMm,
                isToothed,
                RunSide.Back,
                LoopRun.Slack
            ),
            UsualTeeth,
            UsualMm,
            new("edge", new(x, front.YMm - EdgeHalfMm), new(x, front.YMm + EdgeHalfMm), EdgeLeastMm, 0),
            new(new(Math.Round((1 - PivotShare) * front.XMm + PivotShare * rear.XMm), front.YMm), DroopMm, BumpMm)
        );
    }

    private static Point Rounded(Point p) => new(Math.Round(p.XMm), Math.Round(p.YMm));
}
