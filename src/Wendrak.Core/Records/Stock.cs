using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Records;

/// <summary>A wheel in the workshop's lists.</summary>
public sealed record StockItem(long Id, int Version, StockWheel Wheel, string? Note) : StoredRecord(Id, Version);

/// <summary>Spacers of one size in the workshop's drawer.</summary>
/// <param name="BoreMm">The shaft they go on.</param>
public sealed record StockSpacer(long Id, int Version, double ThicknessMm, double BoreMm, int Count)
    : StoredRecord(Id, Version);
