using MathNet.Numerics.RootFinding;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Loops;

/// <summary>Finds where a movable wheel must stand so that a loop of a given length closes.</summary>
/// <remarks>
/// The length has two roots wherever the wheel could also stand on the other side of its neighbour, or where an eccentric comes
/// round again: on the track the first from its start is taken, beside the track the one nearest to it, and never one behind
/// another wheel.
/// </remarks>
public static class LoopClosing
{
    private const double AccuracyMm = 1e-9;

    // Fine enough for an arc of a whole turn, where two roots within one step show as a dip. What that does not find is looked for
    // finely: an idler may touch on a few millimetres of its track only.
    private const int Steps = 24;
    private const int FineSteps = 384;

    private const int GapSteps = 4;

    // One place close to either end: else a dip in the first or last step has no neighbour to show it.
    private const double NearEnd = 1e-4;

    // Halvings that find the edge between possible and impossible places to a millionth of a step.
    private const int EdgeHalvings = 20;

    /// <summary>
    /// Travel along the track, mm from its start, negative before it; null when no place on it, nor near enough to it on the
    /// wheel's own side, closes the loop.
    /// </summary>
    /// <param name="moving">Place of the movable wheel in <paramref name="wheels"/>.</param>
    /// <param name="beyondMm">How far past both ends of the track to look as well.</param>
    public static double? TravelMm(
        IReadOnlyList<LoopWheel> wheels,
        int moving,
        Track track,
        Turning turning,
        BeltArrangement arrangement,
        double lengthMm,
        double beyondMm = 0
    )
    {
        LoopWheel[] placed = [.. wheels];
        double Excess(double travel)
        {
            placed[moving] = placed[moving] with { Centre = track.At(travel) };
            return LoopTracing.Length(placed, turning, arrangement) - lengthMm;
        }
        // Beside its track the wheel goes on only as far as no other stands in its way.
        double ExcessBeside(double travel) => IsClear(wheels, moving, track.At(travel)) ? Excess(travel) : double.NaN;

        double end = track.LengthMm;
        if (OnTrack(Excess, end, IsConvex(wheels, track, arrangement)) is double travel)
            return travel;
        if (beyondMm <= 0)
            return null;
        // No step leaps over a wheel that stands in the way.
        int steps = (int)Math.Clamp(beyondMm / wheels[moving].Outline.RunRadiusMm, Steps, FineSteps);
        double? before = NearestRoot(ExcessBeside, 0, -beyondMm, steps, stopAtImpossible: true);
        double? after = NearestRoot(ExcessBeside, end, end + beyondMm, steps, stopAtImpossible: true);
        return before is double b && after is double a ? (-b <= a - end ? b : a) : before ?? after;
    }

    /// <summary>With a straight track and every wheel inside, the length has one lowest place and rises to both sides.</summary>
    internal static bool IsConvex(IReadOnlyList<LoopWheel> wheels, Track track, BeltArrangement arrangement) =>
        track is LineTrack && arrangement == BeltArrangement.Open && wheels.All(w => w.Side == RunSide.Inside);

    private static double? OnTrack(Func<double, double> excess, double end, bool isConvex)
    {
        (double atStart, double atEnd) = (excess(0), excess(end));
        if (isConvex && double.IsFinite(atStart) && double.IsFinite(atEnd))
        {
            if (atStart * atEnd <= 0)
                return Root(excess, new(0, atStart), new(end, atEnd));
            // Both ends too short: so is all between. Both too long: only a track that passes its neighbour dips between.
            double inward = end * NearEnd;
            if (atStart < 0 || excess(inward) >= atStart || excess(end - inward) >= atEnd)
                return null;
        }
        return NearestRoot(excess, 0, end, Steps, stopAtImpossible: false)
            ?? NearestRoot(excess, 0, end, FineSteps, stopAtImpossible: false);
    }

    /// <summary>The root nearest to <paramref name="from"/> on the way to <paramref name="to"/>.</summary>
    /// <param name="stopAtImpossible">Whether the way ends where the loop can no longer be laid.</param>
    private static double? NearestRoot(
        Func<double, double> excess,
        double from,
        double to,
        int steps,
        bool stopAtImpossible
    )
    {
        (Sample? before, Sample? low) = (null, null);
        foreach (Sample high in Walk(excess, from, to, steps))
        {
            if (stopAtImpossible && !high.IsPossible)
                return null;
            if (low is { } l && (RootInDip(excess, before, l, high) ?? RootBetween(excess, l, high)) is double root)
                return root;
            (before, low) = (low, high);
        }
        return null;
    }

    /// <summary>Places along a way, with two more at every edge between what can be laid and what can't.</summary>
    private static IEnumerable<Sample> Walk(Func<double, double> excess, double from, double to, int steps)
    {
        Sample At(double travel) => new(travel, excess(travel));
        Sample last = At(from);
        yield return last;
        for (int i = 0; i <= steps + 1; i++)
        {
            double share =
                i == 0 ? NearEnd
                : i < steps ? (double)i / steps
                : i == steps ? 1 - NearEnd
                : 1;
            Sample next = At(from + (to - from) * share);
            if (last.IsPossible != next.IsPossible)
            {
                (Sample possible, Sample impossible) = last.IsPossible ? (last, next) : (next, last);
                Sample edge = LastPossible(excess, possible, impossible);
                Sample beside = At(edge.TravelMm + NearEnd * (possible.TravelMm - edge.TravelMm));
                yield return last.IsPossible ? beside : edge;
                yield return last.IsPossible ? edge : beside;
            }
            yield return next;
            last = next;
        }
    }

    // NaN, an impossible place, is on neither side.
    private static double? RootBetween(Func<double, double> excess, Sample low, Sample high) =>
        low.Excess * high.Excess <= 0 ? Root(excess, low, high) : null;

    /// <summary>The place next to the edge of what can be laid.</summary>
    private static Sample LastPossible(Func<double, double> excess, Sample possible, Sample impossible)
    {
        for (int i = 0; i < EdgeHalvings; i++)
        {
            double middle = (possible.TravelMm + impossible.TravelMm) / 2;
            Sample tried = new(middle, excess(middle));
            (possible, impossible) = tried.IsPossible ? (tried, impossible) : (possible, tried);
        }
        return possible;
    }

    /// <summary>Where the middle of three samples is nearest to closing, two roots may hide between its neighbours.</summary>
    private static double? RootInDip(Func<double, double> excess, Sample? before, Sample middle, Sample after)
    {
        if (!middle.IsPossible)
            return null;
        double sign = Math.Sign(middle.Excess);
        bool isDip =
            before is { } b
            && sign * (b.Excess - middle.Excess) >= 0
            && sign * (after.Excess - middle.Excess) >= 0
            && sign * middle.Excess > 0;
        if (!isDip)
            return null;
        double from = before!.Value.TravelMm;
        // An impossible place between two possible ones is as bad as the middle: the search keeps away from it.
        double OffFrom(double travel) =>
            excess(travel) is var e && double.IsFinite(e) ? sign * e : sign * middle.Excess;
        double lowest = LowestPlace.Find(
            OffFrom,
            Math.Min(from, after.TravelMm),
            Math.Max(from, after.TravelMm),
            AccuracyMm
        );
        double there = excess(lowest);
        return sign * there <= 0 ? Root(excess, before.Value, new(lowest, there)) : null;
    }

    /// <summary>The root between two places of which one is too long and one too short; null where it can't be laid there.</summary>
    private static double? Root(Func<double, double> excess, Sample low, Sample high)
    {
        if (low.Excess == 0)
            return low.TravelMm;
        if (high.Excess == 0)
            return high.TravelMm;
        double? impossible = null;
        double Watched(double travel)
        {
            double here = excess(travel);
            if (double.IsFinite(here))
                return here;
            impossible = travel;
            return 0; // ends the search
        }
        (double from, double to) = (Math.Min(low.TravelMm, high.TravelMm), Math.Max(low.TravelMm, high.TravelMm));
        double root = Brent.FindRoot(Watched, from, to, AccuracyMm, 200);
        if (impossible is not double gap)
            return root;
        // A gap between two possible places: the root is on one side of it, or nowhere.
        return NearestRoot(excess, low.TravelMm, gap, GapSteps, stopAtImpossible: false)
            ?? NearestRoot(excess, gap, high.TravelMm, GapSteps, stopAtImpossible: false);
    }

    /// <summary>Whether a wheel has room at a place: no two wheels of a loop lie in one another.</summary>
    private static bool IsClear(IReadOnlyList<LoopWheel> wheels, int moving, Point centre)
    {
        for (int k = 0; k < wheels.Count; k++)
            if (
                k != moving
                && centre.DistanceTo(wheels[k].Centre)
                    < wheels[moving].Outline.RunRadiusMm + wheels[k].Outline.RunRadiusMm
            )
                return false;
        return true;
    }

    private readonly record struct Sample(double TravelMm, double Excess)
    {
        public bool IsPossible => double.IsFinite(Excess);
    }
}
