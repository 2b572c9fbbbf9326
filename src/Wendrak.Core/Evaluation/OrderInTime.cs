using Wendrak.Core.Gearing;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Evaluation;

/// <summary>Until when a part has to be ordered, to be there on the day.</summary>
/// <param name="OnShelf">How many of it are there.</param>
/// <param name="DeliveryDays">From ordering to having it, by the quickest supplier; null where nobody said.</param>
/// <param name="OrderOn">Last day to order it; null where one is there, where no delivery is known, and where no day is.</param>
public sealed record OrderInTime(int OnShelf, int? DeliveryDays, DateOnly? OrderOn)
{
    /// <summary>What has to be replaced where one part of a loop is worn: its wheel, its chain or its belt as it is on it.</summary>
    /// <param name="neededOn">When it is to be there; null where that is not known.</param>
    /// <returns>Null where Stock knows none of it, and where nothing is replaced.</returns>
    internal static OrderInTime? Of(
        Shelf shelf,
        Loop loop,
        LoopChoice choice,
        InspectedPart worn,
        DateOnly? neededOn
    ) =>
        worn switch
        {
            InspectedPart.FrontTeeth => Of(shelf.WheelsOf(loop, WheelSide.Front, choice.FrontSize), neededOn),
            InspectedPart.RearTeeth => Of(shelf.WheelsOf(loop, WheelSide.Rear, choice.RearSize), neededOn),
            _ when IsOfLoop(worn) => Of(shelf.LoopsOf(loop, choice), neededOn),
            _ => null,
        };

    private static OrderInTime? Of(IReadOnlyList<OnShelf> same, DateOnly? neededOn)
    {
        if (same.Count == 0)
            return null;
        int there = same.Sum(p => p.Count);
        int? days = same.Where(p => p.Obtainable).Min(p => p.DeliveryDays);
        return new(there, days, there > 0 || days is null ? null : neededOn?.AddDays(-days.Value));
    }

    private static bool IsOfLoop(InspectedPart part) =>
        InspectionItems.All.Any(i => i.Part == part && i.Place == InspectedPlace.Loop);
}
