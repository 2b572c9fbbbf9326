using Wendrak.Core.Gearing;
using Wendrak.Core.Stock;

namespace Wendrak.Core.Evaluation;

/// <summary>One line of Stock, as far as it has to be there in time.</summary>
/// <param name="Count">On the shelf.</param>
/// <param name="Obtainable">False when no supplier has it any more.</param>
/// <param name="DeliveryDays">From ordering to having it; null where nobody said.</param>
internal sealed record OnShelf(int Count, bool Obtainable, int? DeliveryDays);

/// <summary>Chains, belts and wheels of Stock, by what they go on.</summary>
/// <param name="Parts">Chains and belts among them.</param>
/// <param name="Wheels">Wheels.</param>
public sealed record Shelf(IReadOnlyList<StockPart> Parts, IReadOnlyList<StockItem> Wheels)
{
    /// <summary>Of chains and belts as this one is on its loop.</summary>
    internal IReadOnlyList<OnShelf> LoopsOf(Loop loop, LoopChoice choice) =>
        [
            .. Parts
                .Where(p => TrayCounts.IsLoopOf(p, loop, choice))
                .Select(p => new OnShelf(p.Count, p.Obtainable, p.Supply?.DeliveryDays)),
        ];

    /// <summary>Of wheels of that size for this loop.</summary>
    internal IReadOnlyList<OnShelf> WheelsOf(Loop loop, WheelSide side, double size) =>
        [
            .. Wheels
                .Where(w => (w.Wheel.Standard, w.Wheel.Side, w.Wheel.Size) == (loop.Standard, side, size))
                .Select(w => new OnShelf(w.Wheel.Count, w.Wheel.Obtainable, w.Supply?.DeliveryDays)),
        ];
}
