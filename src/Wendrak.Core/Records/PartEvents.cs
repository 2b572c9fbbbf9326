namespace Wendrak.Core.Records;

/// <summary>The lists that Stock keeps count by.</summary>
public enum StockList
{
    Wheels,
    Parts,
    Spacers,
}

/// <summary>A line of Stock.</summary>
/// <param name="List">Which list it stands in.</param>
/// <param name="Id">Of the record there.</param>
public sealed record StockPlace(StockList List, long Id);

/// <summary>Parts went into the machine.</summary>
/// <param name="What">What they are. Of what was taken from Stock the record says it, whoever sends what.</param>
/// <param name="Count">How many.</param>
/// <param name="UnitPrice">What one cost; null when not known. Of what was taken from Stock it is the price there.</param>
/// <param name="From">Line of Stock that holds so many fewer since; null for what came from elsewhere, and in files.</param>
public sealed record PartUsed(string What, int Count, double? UnitPrice, StockPlace? From) : JobEvent;
