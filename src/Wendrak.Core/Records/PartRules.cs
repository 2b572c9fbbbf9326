using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Stock;

namespace Wendrak.Core.Records;

/// <summary>What may be said of parts that were used at a job.</summary>
public static class PartRules
{
    /// <summary>Parts taken out of a line of Stock.</summary>
    /// <param name="path">Where the event stands in what was sent; empty for nowhere.</param>
    /// <returns>The line as it is left, and the event as the record takes it: in the words and at the price of Stock.</returns>
    /// <exception cref="InvalidInputException">There are not so many.</exception>
    public static (T Left, PartUsed Used) Take<T>(T stock, PartUsed sent, string path)
        where T : StockRecord
    {
        int there = stock.Pieces();
        new Guard()
            .That(
                sent.Count <= there,
                path.Length == 0 ? nameof(sent.Count) : $"{path}.{nameof(sent.Count)}",
                "too_many",
                there == 0
                    ? "Stock has none of it. Count anew there first, or say what came from elsewhere."
                    : $"Stock has {there} of it. Count anew there first, or take fewer.",
                there
            )
            .ThrowIfAny();
        return (
            (T)stock.WithPieces(there - sent.Count),
            sent with
            {
                What = stock.Describe(),
                UnitPrice = stock.UnitPrice(),
            }
        );
    }

    internal static Guard Check(Guard guard, PartUsed used)
    {
        guard
            .Between(nameof(used.Count), used.Count, 1, StockWheel.MostPieces, "pieces")
            .BetweenIfGiven(nameof(used.UnitPrice), used.UnitPrice, 0, StockWheel.MostMoney, "");
        if (used.From is { } from)
            guard.OneOf("From.List", from.List);
        // Of what comes from Stock the name stands there, and is put together from longer words than a name is.
        return guard
            .That(
                used.From is not null || !string.IsNullOrWhiteSpace(used.What),
                nameof(used.What),
                "missing",
                "Say what it is."
            )
            .Note(nameof(used.What), used.What);
    }
}
