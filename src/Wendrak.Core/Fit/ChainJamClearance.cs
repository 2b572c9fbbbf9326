using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Fit;

/// <summary>Whether a chain that comes off a sprocket finds room between its tips and an edge, or jams there.</summary>
/// <remarks>
/// A chain that climbs stands with its rollers on the tips: its plates then reach d1/2 + h2/2 over them. With less room it
/// is pinched between tip and edge and stops the wheel or breaks the case. Geometry of ISO 606 sizes; that a lone chain must
/// be able to fall clear is common practice. A heap of chain needs more.
/// </remarks>
/// <param name="Wheel">The sprocket nearest to the edge.</param>
/// <param name="RoomMm">From its tips to the edge as near as that comes, mm; negative when they touch.</param>
/// <param name="NeededMm">Height of a chain that stands on the tips, mm.</param>
public sealed record ChainJamClearance(string Wheel, double RoomMm, double NeededMm)
{
    private static readonly Formula<Func<double, double, double>> OnTheTips = new(
        "Way out of a chain",
        "needed",
        ("height of a chain that stands on the tips", "mm"),
        (d1, h2) => (d1 + h2) / 2,
        [("roller", "mm"), ("plate", "mm")],
        "geometry of ISO 606 sizes; that a lone chain must fall clear: common practice",
        "One layer of chain. A heap of it needs more; a guard that holds the chain on the teeth needs none."
    );

    internal Explained Needed { get; init; }

    /// <summary>True where a chain that comes off falls clear.</summary>
    public bool IsOpen => RoomMm >= NeededMm;

    internal static ChainJamClearance? Measure(ClearanceLimit limit, FittedLoop fitted, LoopPath path)
    {
        if (fitted.Loop.DriveElement != DriveElement.Chain || Chains.Find(fitted.Loop.Standard) is not { } chain)
            return null;
        if (chain.PlateHeightMm is not double height)
            return null;
        (string wheel, double gap) = path
            .Wheels.Where(w => w.TeethEngaged is not null)
            .Select(w => (w.Name, Segments.Distance(w.Centre, limit.From, limit.To) - w.Outline.OutsideRadiusMm))
            .MinBy(g => g.Item2);
        Explained needed = OnTheTips.With(chain.RollerDiameterMm, height);
        return new(wheel, gap - limit.MovesMm, needed.Value) { Needed = needed };
    }
}
