using Wendrak.Core.Gearing;
using Wendrak.Core.Lengths;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Fit;

/// <summary>A layout to begin with, which the owner then measures and corrects.</summary>
public static class StartingLayout
{
    // Room to either side of where the fitted length closes. Common practice: a slot takes up about one pitch each way.
    private const double RoomMm = 20;

    // Where no length was counted: 40 pitches, the middle of the handbooks' advice, or twice the large pulley.
    private const double Pitches = 40;

    /// <summary>The driving wheel at the origin, the driven one behind it in a slot around where its length closes.</summary>
    /// <exception cref="InvalidInputException">The loop or its wheels are refused, or the length does not go round them.</exception>
    /// <param name="kind">Says what is usually moved; null for the driven axle.</param>
    /// <param name="centreMm">As measured; null for the one that the fitted length asks for.</param>
    public static LoopLayout For(Drive drive, LoopChoice choice, MachineKind? kind = null, double? centreMm = null)
    {
        Loop loop = DriveLoops.Find(drive, choice.LoopKey, "Choice.LoopKey");
        new Guard().CheckChoice("Choice.", choice, loop).ThrowIfAny();
        TwoPulleyFormulas wheels = new(loop, choice.FrontSize, choice.RearSize);
        double centre = centreMm ?? Math.Round(CentreMm(wheels, choice));
        new Guard()
            .That(
                centre > wheels.TouchingMm,
                "Measured." + nameof(MeasuredPlace.CentreMm),
                "below_min",
                FormattableString.Invariant($"Give more than {wheels.TouchingMm:0.0} mm: there the wheels touch."),
                wheels.TouchingMm
            )
            .ThrowIfAny();
        // Short drives have less room in front: there the wheels would touch.
        Point near = new(-Math.Max(centre - RoomMm, Math.Ceiling(wheels.TouchingMm)), 0);
        Point far = new(-(centre + RoomMm), 0);
        MovingWheel axle = new(LoopLayout.RearName, new LineTrack(near, far));
        LoopLayout layout = new(loop.Key, Turning.Clockwise, new(0, 0), new(-centre, 0), [], axle);
        if (kind is not MachineKind of || new Adjuster(MachineKinds.Get(of).Adjuster).UsualWheel(layout) == axle.Wheel)
            return layout;
        LoopLayout still = layout with { Moving = null };
        return still with
        {
            Moving = StartingAdjuster.For(new(drive, choice, still, MachineKinds.Get(of).Adjuster)).Moving,
        };
    }

    /// <summary>Distance of the shafts that a fitted length asks for, mm; null where none was counted.</summary>
    internal static double? CentreByLengthMm(Drive drive, LoopChoice choice)
    {
        Loop loop = DriveLoops.Find(drive, choice.LoopKey, "Choice.LoopKey");
        return (loop.IsToothed ? choice.Links : choice.LengthMm) is double length
            ? new TwoPulleyFormulas(loop, choice.FrontSize, choice.RearSize).CentreMm(length)
            : null;
    }

    /// <summary>
    /// What measuring and slack explain, mm: a link or tooth more puts the shaft half its length further; a belt of mm may be off
    /// by its tolerance. Judgement.
    /// </summary>
    internal static double OffByLengthMm(Drive drive, Loop loop) =>
        loop.IsToothed ? new TwoPulleyFormulas(loop, 20, 20).UnitMm / 2 : RoomMm / 2;

    private static double CentreMm(TwoPulleyFormulas wheels, LoopChoice choice)
    {
        Loop loop = wheels.Loop;
        if ((loop.IsToothed ? choice.Links : choice.LengthMm) is double length)
            return wheels.CentreMm(length);
        (double d1, double d2) = (wheels.FrontDiameterMm, wheels.RearDiameterMm);
        double usual = Math.Max(
            d1 + d2 + RoomMm,
            loop.DriveElement == DriveElement.Chain ? Pitches * wheels.UnitMm : 2 * Math.Max(d1, d2)
        );
        // A V-belt is made in a series of lengths: the slot is put where one of them reaches.
        return loop.DriveElement == DriveElement.VBelt ? wheels.CentreMm(NearestStandard(wheels.Length(usual))) : usual;
    }

    private static double NearestStandard(double lengthMm) =>
        LoopLengths.StandardDatumLengthsMm.Where(l => l >= lengthMm).DefaultIfEmpty(lengthMm).Min();
}
