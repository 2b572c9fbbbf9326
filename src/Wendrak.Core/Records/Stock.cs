using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Records;

/// <summary>A wheel in the workshop's lists.</summary>
/// <param name="Note">Free words; null for none.</param>
public sealed record StockItem(long Id, int Version, StockWheel Wheel, string? Note) : StoredRecord(Id, Version);

/// <summary>Spacers of one size in the workshop's drawer.</summary>
/// <param name="BoreMm">The shaft they go on.</param>
/// <param name="ThicknessMm">Thickness of one, mm.</param>
/// <param name="Count">How many there are.</param>
public sealed record StockSpacer(long Id, int Version, double ThicknessMm, double BoreMm, int Count)
    : StoredRecord(Id, Version);
