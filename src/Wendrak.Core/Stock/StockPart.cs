using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Stock;

/// <summary>Parts of a drive beside its wheels and the spacers of its shafts.</summary>
public enum PartKind
{
    Chain,
    Belt,

    /// <summary>The link that closes a chain: riveted, clipped or cranked.</summary>
    JoiningLink,
    Pin,
    Washer,
    Seal,
    Plate,
    Key,

    /// <summary>Tab washers, circlips, lock nuts, threadlocker.</summary>
    Lock,

    /// <summary>Nuts, bolts and screws.</summary>
    Fastener,
    Bearing,

    /// <summary>Whatever else a drive has.</summary>
    Other,
}

/// <summary>A part on the shelf or on a supplier's list.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Name">Which one: “112 links, sealed”.</param>
/// <param name="GoesWith">Chain, belt, section, shaft or machine it is for, in free words; null for any.</param>
/// <param name="Count">How many are on the shelf; 0 for one that would be ordered.</param>
/// <param name="Price">Price of one; null when not known.</param>
/// <param name="Obtainable">False when no supplier has it any more.</param>
/// <param name="Note">Free words; null for none.</param>
/// <param name="Supply">How it is got; null where nobody said.</param>
public sealed record StockPart(
    long Id,
    int Version,
    PartKind Kind,
    string Name,
    string? GoesWith,
    int Count,
    double? Price,
    bool Obtainable,
    string? Note,
    SupplyNote? Supply = null
) : StockRecord(Id, Version)
{
    /// <exception cref="InvalidInputException">Every issue is named.</exception>
    public void Check() =>
        new Guard()
            .OneOf(nameof(Kind), Kind)
            .Named(nameof(Name), Name)
            .Include(GoesWith is null ? new() : new Guard().Named(nameof(GoesWith), GoesWith))
            .Between(nameof(Count), Count, 0, StockWheel.MostPieces, "pieces")
            .BetweenIfGiven(nameof(Price), Price, 0, StockWheel.MostMoney, "")
            .Note(nameof(Note), Note)
            .Include(new Guard("Supply.").Include(Supply?.Check() ?? new()))
            .ThrowIfAny();

    public override string Describe() =>
        $"{(Kind == PartKind.Other ? "" : $"{WordOf(Kind)} ")}{Name}{(GoesWith is null ? "" : $" for {GoesWith}")}";

    public override int Pieces() => Count;

    public override double? UnitPrice() => Price;

    public override StockRecord WithPieces(int count) => this with { Count = count };

    private static string WordOf(PartKind kind) =>
        kind == PartKind.JoiningLink ? "joining link" : $"{kind}".ToLowerInvariant();
}
