using Wendrak.Core.Quantities;

namespace Wendrak.Core.Loops;

/// <summary>An edge that nothing of the loop may touch: case, arm, pad, tyre, guard, ground.</summary>
/// <param name="From">One end of the edge in the side view; the same as the other end for a corner.</param>
/// <param name="LeastMm">Gap wanted, mm.</param>
/// <param name="MovesMm">How far it comes nearer when it moves or flexes: a tyre that grows, a guard that bends, mm.</param>
/// <param name="Name">What it is: case, arm, tyre.</param>
public sealed record ClearanceLimit(string Name, Point From, Point To, double LeastMm, double MovesMm = 0)
{
    internal Guard Check() =>
        new Guard()
            .Named(nameof(Name), Name)
            .Include(TrackBounds.Place(nameof(From), From))
            .Include(TrackBounds.Place(nameof(To), To))
            .Between(nameof(LeastMm), LeastMm, 0, 500, "mm")
            .Between(nameof(MovesMm), MovesMm, 0, 500, "mm");
}
