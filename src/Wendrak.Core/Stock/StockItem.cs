using System.Globalization;
using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Stock;

/// <summary>A wheel in the workshop's lists.</summary>
/// <param name="Note">Free words; null for none.</param>
/// <param name="Supply">How it is got; null where nobody said.</param>
public sealed record StockItem(long Id, int Version, StockWheel Wheel, string? Note, SupplyNote? Supply = null)
    : StockRecord(Id, Version)
{
    /// <exception cref="InvalidInputException">Every issue is named.</exception>
    public void Check() =>
        new Guard()
            .Include(new Guard("Wheel.").Include(Wheel.Check()))
            .Note(nameof(Note), Note)
            .Include(new Guard("Supply.").Include(Supply?.Check() ?? new()))
            .ThrowIfAny();

    public override string Describe() =>
        string.Create(
            CultureInfo.InvariantCulture,
            $"{(Wheel.Side == WheelSide.Front ? "front" : "rear")} {Wheel.Size} for {Wheel.Standard}"
        );

    public override int Pieces() => Wheel.Count;

    public override double? UnitPrice() => Wheel.Price;

    public override StockRecord WithPieces(int count) => this with { Wheel = Wheel with { Count = count } };
}
