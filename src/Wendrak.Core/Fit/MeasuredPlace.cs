using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Fit;

/// <summary>Where the shafts of a loop stand, as a rule tells it on the machine; null for what nobody measured.</summary>
/// <param name="CentreMm">From the middle of the driving shaft to the middle of the driven one, mm.</param>
/// <param name="SlotMm">Whole way of the axle, or of what else is moved, mm.</param>
/// <param name="FromSlackMm">How far it stands from the end at which the loop is slackest, mm.</param>
public sealed record MeasuredPlace(double? CentreMm = null, double? SlotMm = null, double? FromSlackMm = null)
{
    private const double Farthest = 10_000;

    internal Guard Check() =>
        new Guard()
            .BetweenIfGiven(nameof(CentreMm), CentreMm, 20, Farthest, "mm")
            .BetweenIfGiven(nameof(SlotMm), SlotMm, 0.5, Farthest, "mm")
            .BetweenIfGiven(nameof(FromSlackMm), FromSlackMm, 0, SlotMm ?? Farthest, "mm");

    /// <summary>The layout with what is moved on a slot of that length, where it stands in it.</summary>
    /// <remarks>What turns about a middle, an idler, and what does not move are left as they are.</remarks>
    internal LoopLayout On(LoopLayout layout)
    {
        if (
            (SlotMm ?? FromSlackMm) is null
            || layout.Moving is not { Track: LineTrack track } moving
            || layout.MovesIdler
        )
            return layout;
        double usual = track.LengthMm;
        double from = FromSlackMm ?? SlotMm!.Value / 2;
        double slot = SlotMm ?? Math.Max(usual, from);
        Point way = 1 / usual * (track.To - track.From);
        Point here = moving.Wheel == LoopLayout.FrontName ? layout.Front : layout.Rear;
        return layout with
        {
            Moving = moving with { Track = new LineTrack(here - from * way, here + (slot - from) * way) },
        };
    }
}
