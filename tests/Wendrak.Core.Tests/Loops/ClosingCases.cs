using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wheels;

namespace Wendrak.Core.Tests.Loops;

/// <summary>A loop with one movable wheel, and a place of it whose path length is asked for.</summary>
public sealed record ClosingCase(
    IReadOnlyList<LoopWheel> Wheels,
    int Moving,
    Track Track,
    Turning Turning,
    BeltArrangement Arrangement,
    double PlaceMm,
    double BeyondMm
)
{
    public double? LengthAt(double travelMm)
    {
        LoopWheel[] placed = [.. Wheels];
        placed[Moving] = placed[Moving] with { Centre = Track.At(travelMm) };
        return LoopTracing.Trace(placed, Turning, Arrangement).Path?.LengthMm;
    }

    /// <summary>How far a place is off the track.</summary>
    public double OffMm(double travelMm) => Math.Max(0, Math.Max(-travelMm, travelMm - Track.LengthMm));

    /// <summary>
    /// What is wrong with the place found for the length at <see cref="PlaceMm"/>; null when it closes and no other place is
    /// nearer to the track, which is looked for by walking along it, not by solving.
    /// </summary>
    public string? Fault()
    {
        if (LengthAt(PlaceMm) is not double length)
            return null; // no loop there to begin with
        double? found = LoopClosing.TravelMm(Wheels, Moving, Track, Turning, Arrangement, length, BeyondMm);
        if (found is not double travel)
            return "no place found, where one is known";
        if (LengthAt(travel) is not double again || Math.Abs(again - length) > 1e-5)
            return $"at {travel} mm the path is {LengthAt(travel)} mm, asked for {length} mm";
        if (OffMm(travel) > OffMm(PlaceMm) + 1e-5)
            return $"{travel} mm is farther off the track than {PlaceMm} mm";
        return OffMm(travel) > 0 ? NearerPlace(length, OffMm(travel)) : null;
    }

    private string? NearerPlace(double length, double offMm)
    {
        const int steps = 50;
        foreach (double sign in new[] { -1.0, 1 })
        {
            double? before = null;
            for (int i = 0; i < steps; i++)
            {
                double at = (sign < 0 ? 0 : Track.LengthMm) + sign * offMm * 0.999 * i / steps;
                double? excess = LengthAt(at) - length;
                if (before * excess < 0)
                    return $"a place near {at} mm closes as well, found {offMm} mm off the track";
                before = excess;
            }
        }
        return null;
    }
}

/// <summary>Loops of every kind, from tips just clear to 3 m apart. Invented, by a seed.</summary>
public static class ClosingCases
{
    private static readonly (DriveElement DriveElement, string Standard)[] Kinds =
    [
        (DriveElement.Chain, "04C"),
        (DriveElement.Chain, "520"),
        (DriveElement.Chain, "16B"),
        (DriveElement.ToothedBelt, "3M"),
        (DriveElement.ToothedBelt, "5M"),
        (DriveElement.ToothedBelt, "14M"),
        (DriveElement.VBelt, "A"),
        (DriveElement.FlatBelt, "flat"),
        (DriveElement.RoundBelt, "round"),
    ];

    public static ClosingCase Of(int seed)
    {
        Random random = new(seed);
        double Between(double low, double high) => low + (high - low) * random.NextDouble();
        (DriveElement element, string standard) = Kinds[random.Next(Kinds.Length)];
        bool crossed = element is DriveElement.FlatBelt or DriveElement.RoundBelt && random.Next(3) == 0;
        BeltArrangement arrangement = crossed ? BeltArrangement.Crossed : BeltArrangement.Open;
        Loop loop = new("l", "l", "in", "out", element, standard, arrangement, 0, null, null, null, null, false);
        double Size() => loop.IsToothed ? random.Next(9, 90) : Between(20, 500);
        WheelOutline front = WheelOutline.For(loop, Size());
        WheelOutline rear = random.Next(5) == 0 ? front : WheelOutline.For(loop, Size());
        double touching =
            Math.Max(front.OutsideRadiusMm, front.RunRadiusMm) + Math.Max(rear.OutsideRadiusMm, rear.RunRadiusMm);
        // Many near ones: there the wrong side is at hand.
        double centre = touching + 0.01 + Math.Pow(random.NextDouble(), 3) * Math.Max(10, 3_000 - touching);
        double angle = Between(-Math.PI, Math.PI);
        Point along = new(Math.Cos(angle), Math.Sin(angle));
        Point across = new(-along.YMm, along.XMm);
        Turning turning = random.Next(2) == 0 ? Turning.Clockwise : Turning.Counterclockwise;
        LoopWheel a = new("front", new(0, 0), front, RunSide.Inside, null);
        LoopWheel b = new("rear", centre * along, rear, RunSide.Inside, null);
        double track = Math.Pow(random.NextDouble(), 2) * 300 + 1;
        int shape = random.Next(crossed ? 3 : 5);
        if (shape == 2)
        {
            double radius = Math.Min(Between(2, 40), (centre - touching) / 2);
            if (radius >= 0.5)
            {
                ArcTrack arc = new(
                    centre * along,
                    radius,
                    Between(0, 360),
                    Between(20, 360) * (random.Next(2) == 0 ? 1 : -1)
                );
                return new([a, b], 1, arc, turning, arrangement, Between(0, arc.LengthMm), 0);
            }
        }
        if (shape >= 3)
        {
            // An idler that is pushed in from outside on its back, or out from inside.
            RunSide side = shape == 3 ? RunSide.Back : RunSide.Inside;
            WheelOutline roller = WheelOutline.Roller(Between(10, 80));
            Point from =
                Between(0.25, 0.75) * centre * along + (random.Next(2) == 0 ? 1 : -1) * Between(0, 200) * across;
            LineTrack push = new(from, from + Between(20, 200) * across);
            LoopWheel idler = new("idler", from, roller, side, null);
            return new([a, idler, b], 1, push, turning, arrangement, Between(0, push.LengthMm), 0);
        }
        // The rear or the front goes back in its slot, straight or askew.
        bool movesFront = random.Next(3) == 0;
        double askew = random.Next(2) == 0 ? 0 : Between(-0.6, 0.6);
        Point way = Math.Cos(askew) * (movesFront ? -1.0 : 1) * along + Math.Sin(askew) * across;
        LineTrack slot = new((movesFront ? a : b).Centre, (movesFront ? a : b).Centre + track * way);
        double beyond = Math.Max(60, 4 * track);
        double place = random.Next(3) switch
        {
            0 => Between(0, track),
            1 => track + Between(0, beyond),
            _ => -Between(0, Math.Min(beyond, (centre - touching) * 0.8)),
        };
        return new([a, b], movesFront ? 0 : 1, slot, turning, arrangement, place, beyond);
    }
}
