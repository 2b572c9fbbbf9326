using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Choices;

/// <summary>What one of the things that are weighed does for a wish, in figures.</summary>
/// <param name="Wish">The wish it bears on.</param>
/// <param name="Low">Least, in the unit of the wish.</param>
/// <param name="High">Most; the same where it is one figure.</param>
/// <param name="SaidBy">Who says so.</param>
public sealed record WishFact(DriveWish Wish, double Low, double High, SaidBy SaidBy)
{
    /// <summary>Half way between both.</summary>
    public double Middle => (Low + High) / 2;

    /// <summary>Whether it is sure enough to be weighed: measured, or by a maker or standard.</summary>
    public bool IsFirm => SaidBy <= SaidBy.MakerOrStandard;
}

/// <summary>How figures of a wish are compared.</summary>
internal static class WishMeasure
{
    private const double DbTwiceAsLoud = 10;

    public static bool IsMoreBetter(DriveWish wish) => wish is DriveWish.LongLife or DriveWish.RatioChanges;

    /// <summary>Part of the best of them that one comes to, 0 to 1: half as long, twice as dear or twice as loud is one half.</summary>
    /// <param name="middles">Of all that are compared.</param>
    public static double PartOfBest(DriveWish wish, double middle, IEnumerable<double> middles) =>
        PartOf(BestOf(wish, middles), wish, middle);

    /// <summary>The best of all that are compared, as it is sensed.</summary>
    public static double BestOf(DriveWish wish, IEnumerable<double> middles) =>
        IsMoreBetter(wish) ? middles.Max(m => Sensed(wish, m)) : middles.Min(m => Sensed(wish, m));

    /// <inheritdoc cref="PartOfBest"/>
    /// <param name="best">Of all that are compared, as it is sensed.</param>
    public static double PartOf(double best, DriveWish wish, double middle) =>
        IsMoreBetter(wish) ? Sensed(wish, middle) / best : best / Sensed(wish, middle);

    /// <summary>Levels are compared as they are heard; what is nothing at all counts as the least that matters.</summary>
    private static double Sensed(DriveWish wish, double value) =>
        wish switch
        {
            // Twice as loud for 10 dB more: sone scale of ISO 532, from memory.
            DriveWish.Quiet => Math.Pow(2, value / DbTwiceAsLoud),
            DriveWish.LittleUpkeep => Math.Max(value, LeastMinutes),
            DriveWish.RatioChanges => value + 1,
            _ => Math.Max(value, Least),
        };

    /// <summary>A minute in 1 000 km or hours is nothing: judgement.</summary>
    private const double LeastMinutes = 1;
    private const double Least = 1e-6;
}
