using System.Globalization;
using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Shafts;

namespace Wendrak.Core.Stock;

/// <summary>Spacers of one size in the workshop's drawer.</summary>
/// <param name="ThicknessMm">Thickness of one, mm.</param>
/// <param name="BoreMm">The shaft they go on.</param>
/// <param name="Count">How many there are.</param>
/// <param name="Price">Price of one; null when not known.</param>
/// <param name="Obtainable">False when nobody has or makes it any more.</param>
/// <param name="Supply">How it is got; null where nobody said.</param>
public sealed record StockSpacer(
    long Id,
    int Version,
    double ThicknessMm,
    double BoreMm,
    int Count,
    double? Price = null,
    bool Obtainable = true,
    SupplyNote? Supply = null
) : StockRecord(Id, Version)
{
    /// <exception cref="InvalidInputException">Every issue is named.</exception>
    public void Check() =>
        new Guard()
            .Include(SpacerStacks.CheckSpacer(ThicknessMm, Count))
            .Include(ShaftWidths.CheckDiameter(nameof(BoreMm), BoreMm))
            .BetweenIfGiven(nameof(Price), Price, 0, StockWheel.MostMoney, "")
            .Include(new Guard("Supply.").Include(Supply?.Check() ?? new()))
            .ThrowIfAny();

    public override string Describe() =>
        string.Create(CultureInfo.InvariantCulture, $"spacer {ThicknessMm} mm for {BoreMm} mm");

    public override int Pieces() => Count;

    public override double? UnitPrice() => Price;

    public override StockRecord WithPieces(int count) => this with { Count = count };
}
