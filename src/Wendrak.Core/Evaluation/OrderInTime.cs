using Wendrak.Core.Gearing;
using Wendrak.Core.Stock;

namespace Wendrak.Core.Evaluation;

/// <summary>Until when a part has to be ordered, to be there on the day.</summary>
/// <param name="OnShelf">How many of it are there.</param>
/// <param name="DeliveryDays">From ordering to having it, by the quickest supplier; null where nobody said.</param>
/// <param name="OrderOn">Last day to order it; null where one is there, where no delivery is known, and where no day is.</param>
public sealed record OrderInTime(int OnShelf, int? DeliveryDays, DateOnly? OrderOn)
{
    /// <summary>A chain or belt as it is on a loop.</summary>
    /// <param name="parts">Of Stock.</param>
    /// <param name="neededOn">When it is to be there; null where that is not known.</param>
    /// <returns>Null where Stock knows none of it.</returns>
    internal static OrderInTime? Of(IReadOnlyList<StockPart> parts, Loop loop, LoopChoice choice, DateOnly? neededOn)
    {
        StockPart[] same = [.. parts.Where(p => TrayCounts.IsLoopOf(p, loop, choice))];
        if (same.Length == 0)
            return null;
        int there = same.Sum(p => p.Count);
        int? days = same.Where(p => p.Obtainable).Min(p => p.Supply?.DeliveryDays);
        return new(there, days, there > 0 || days is null ? null : neededOn?.AddDays(-days.Value));
    }
}
