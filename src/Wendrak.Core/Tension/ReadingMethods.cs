using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tension;

/// <summary>Pairs of readings that turn a scale of one's own into the loop's.</summary>
/// <param name="Gauge">Of a gauge: two make a line.</param>
/// <param name="Feel">Of one person's hand: one says where “about right” lies.</param>
public sealed record PairsNeeded(int Gauge, int Feel);

/// <summary>By what the tightness of a loop can be read.</summary>
internal static class ReadingMethods
{
    internal static readonly PairsNeeded Pairs = new(2, 1);

    private static readonly ReadingMethod[] OfChain = [ReadingMethod.FreePlay, ReadingMethod.Gauge, ReadingMethod.Feel];
    private static readonly ReadingMethod[] OfBelt =
    [
        ReadingMethod.Pluck,
        ReadingMethod.Push,
        ReadingMethod.Gauge,
        ReadingMethod.Feel,
    ];

    private static readonly ReadingMethod[] OfSheave = [ReadingMethod.BeltHeight];

    /// <summary>What serves for it, the usual one first. Source: common practice.</summary>
    internal static IReadOnlyList<ReadingMethod> For(DriveElement element, AdjusterKind adjuster) =>
        adjuster == AdjusterKind.SheaveShims ? OfSheave
        : element == DriveElement.Chain ? OfChain
        : OfBelt;

    /// <summary>What a maker's window can be told in: any of them but a hand, which has no figures.</summary>
    internal static IReadOnlyList<ReadingMethod> OfWindow(DriveElement element, AdjusterKind adjuster) =>
        [.. For(element, adjuster).Where(m => m != ReadingMethod.Feel)];

    /// <summary>Places all round that find the tight one, the fewest first; a belt stands as high in its sheave at every place.</summary>
    /// <remarks>Source: common practice.</remarks>
    internal static IReadOnlyList<int> PlacesFor(AdjusterKind adjuster) =>
        adjuster == AdjusterKind.SheaveShims ? [1] : [4, 6, 8];
}
