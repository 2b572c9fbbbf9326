using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Fit;

/// <summary>A loop that is laid out, and the kind of adjuster it is to have.</summary>
/// <param name="Wheel">What it moves; null for the wheel that kind usually moves.</param>
/// <param name="Now">What is known of the adjuster; null for nothing.</param>
public sealed record StartingAdjusterInput(
    Drive Drive,
    LoopChoice Choice,
    LoopLayout Layout,
    AdjusterKind Kind,
    string? Wheel = null,
    Adjuster? Now = null
);

/// <summary>An adjuster with the wheel it moves.</summary>
/// <param name="Moving">Null for fixed centres.</param>
public sealed record AdjusterOnLayout(Adjuster Adjuster, MovingWheel? Moving);

/// <summary>An adjuster to begin with, around where its wheel stands; the owner then measures and corrects it.</summary>
public static class StartingAdjuster
{
    // Room to either side; common practice: a slot takes up about one pitch each way.
    private const double RoomMm = 20;

    /// <summary>
    /// Its track starts where the loop is slackest and ends where it is tightest, so that a travel means the same for every kind.
    /// A track that the same wheel has already, and that is of the right shape, is kept.
    /// </summary>
    /// <exception cref="InvalidInputException">A part is refused, or a spring is to hold an idler where there is none.</exception>
    public static AdjusterOnLayout For(StartingAdjusterInput input)
    {
        new Guard().OneOf(nameof(input.Kind), input.Kind).ThrowIfAny();
        Adjuster adjuster = (input.Now ?? new(input.Kind)).As(input.Kind);
        MovingWheel? moving = MovingBy(adjuster, input);
        // From here on the layout says how far it is off its middle.
        return new(moving is { Track: ArcTrack } ? adjuster with { EccentricMm = null } : adjuster, moving);
    }

    private static MovingWheel? MovingBy(Adjuster adjuster, StartingAdjusterInput input)
    {
        (Drive drive, LoopChoice choice, LoopLayout layout, _, _, _) = input;
        if (
            (adjuster.IsFixed || adjuster.IsOfSheave ? null : input.Wheel ?? adjuster.UsualWheel(layout))
            is not string wheel
        )
            return null;
        if (layout.Moving is { } now && now.Wheel == wheel && now.Track is ArcTrack == adjuster.IsEccentric)
            return now;
        LoopLayout still = layout with { Moving = null };
        FittedLoop loop = new(new(drive, choice, choice, still, null, false, null));
        LoopWheel[] wheels = still.WheelsFor(loop.Loop, choice, 0);
        int at = Array.FindIndex(wheels, w => w.Name == wheel);
        new Guard()
            .That(
                at >= 0,
                nameof(input.Wheel),
                "unknown",
                $"Give one of: {string.Join(", ", wheels.Select(w => w.Name))}."
            )
            .ThrowIfAny();
        Point tighter = Tighter(wheels, at, still.Turning, loop.Loop.Arrangement);
        Point here = wheels[at].Centre;
        return adjuster.IsEccentric
            ? new(wheel, new ArcTrack(here, adjuster.EccentricOffset, DegreesOf(-1.0 * tighter), 180))
            : new(wheel, new LineTrack(here - RoomMm * tighter, here + RoomMm * tighter));
    }

    /// <summary>Direction in which the wheel tightens the loop most, of length 1: the slope of the path's length.</summary>
    private static Point Tighter(LoopWheel[] wheels, int at, Turning turning, BeltArrangement arrangement)
    {
        const double stepMm = 0.01;
        double LengthAt(Point by)
        {
            LoopWheel[] moved = [.. wheels];
            moved[at] = moved[at] with { Centre = moved[at].Centre + by };
            return LoopTracing.Length(moved, turning, arrangement);
        }
        double x = LengthAt(new(stepMm, 0)) - LengthAt(new(-stepMm, 0));
        double y = LengthAt(new(0, stepMm)) - LengthAt(new(0, -stepMm));
        double slope = Math.Sqrt(x * x + y * y);
        // An idler that is not touched yet has no slope: then away from the driving wheel, as an axle.
        Point away = slope > 0 ? new(x, y) : wheels[at].Centre - wheels[at == 0 ? 1 : 0].Centre;
        double length = Math.Sqrt(away.XMm * away.XMm + away.YMm * away.YMm);
        // Along the machine within a degree is along the machine.
        Point unit = length > 0 ? (1 / length) * away : new(-1, 0);
        return Math.Abs(unit.YMm) < LevelSine ? new(Math.Sign(unit.XMm), 0)
            : Math.Abs(unit.XMm) < LevelSine ? new(0, Math.Sign(unit.YMm))
            : unit;
    }

    private const double LevelSine = 0.0175;

    private static double DegreesOf(Point direction) => Math.Atan2(direction.YMm, direction.XMm) * 180 / Math.PI;
}
