using Wendrak.Core.Quantities;

namespace Wendrak.Core.Stock;

/// <summary>Pieces of one sort that the workshop keeps count of.</summary>
public abstract record StockRecord(long Id, int Version) : StoredRecord(Id, Version)
{
    /// <summary>What people call one of them: “front 15 for 520”.</summary>
    public abstract string Describe();

    /// <summary>How many there are.</summary>
    public abstract int Pieces();

    /// <summary>What one costs; null when not known.</summary>
    public abstract double? UnitPrice();

    /// <summary>The same with another count.</summary>
    public abstract StockRecord WithPieces(int count);
}
