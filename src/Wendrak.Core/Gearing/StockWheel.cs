using Wendrak.Core.Quantities;

namespace Wendrak.Core.Gearing;

/// <summary>Driving or driven wheel of a loop.</summary>
public enum WheelSide
{
    Front,
    Rear,
}

/// <summary>A sprocket or pulley on the shelf or on a supplier's list.</summary>
/// <param name="Standard">Chain, belt profile or section it is made for.</param>
/// <param name="Size">Teeth, or datum diameter in mm for friction belts.</param>
/// <param name="Mounting">How it sits on its shaft; null when it fits any shaft, e.g. bored to order.</param>
/// <param name="Count">How many are on the shelf; 0 for one that would be ordered.</param>
/// <param name="Price">Price of one; null when not known.</param>
/// <param name="Obtainable">False when no supplier has it any more.</param>
public sealed record StockWheel(
    string Standard,
    WheelSide Side,
    double Size,
    string? Mounting,
    int Count,
    double? Price,
    bool Obtainable
)
{
    /// <summary>More than any shelf holds: judgement, to catch a slip.</summary>
    internal const int MostPieces = 100_000;

    /// <summary>For one piece: judgement, to catch a slip.</summary>
    internal const double MostMoney = 1_000_000;
    private const int MostWheels = 5_000;

    /// <summary>Whether there can be such a wheel.</summary>
    internal Guard Check() =>
        new Guard()
            .Named(nameof(Standard), Standard)
            .OneOf(nameof(Side), Side)
            .Between(nameof(Size), Size, WheelSize.FewestChainTeeth, WheelSize.LargestDatumMm, "")
            .That(
                Mounting is null || Mounting.Length <= Guard.LongestName,
                nameof(Mounting),
                "too_long",
                $"Give {Guard.LongestName} characters or fewer.",
                Guard.LongestName
            )
            .Between(nameof(Count), Count, 0, MostPieces, "pieces")
            .BetweenIfGiven(nameof(Price), Price, 0, MostMoney, "");

    /// <summary>Whether there can be such a stock; a size without bounds would be searched without end.</summary>
    internal static Guard Check(string field, IReadOnlyList<StockWheel> stock)
    {
        Guard guard = new Guard().Count(field, stock.Count, 0, MostWheels, "wheels");
        for (int i = 0; i < stock.Count; i++)
            guard.Include(new Guard($"{field}[{i}].").Include(stock[i].Check()));
        return guard;
    }
}

/// <summary>Whether a wheel can be had for a place on a machine.</summary>
public enum Availability
{
    /// <summary>It is on the machine now.</summary>
    Fitted,
    OnShelf,
    ToBuy,

    /// <summary>Not in the lists: ask a supplier.</summary>
    NotListed,

    /// <summary>It is listed, but nobody said how wheels sit on this machine: whether it fits is not known.</summary>
    MountingNotSaid,

    /// <summary>This size exists, but not in this machine's mounting.</summary>
    OtherMounting,
    NotObtainable,
}

/// <summary>How a wheel can be had.</summary>
/// <param name="Price">What it costs to have it; 0 when it is there, null when not known.</param>
public sealed record WheelSupply(Availability Availability, double? Price);

public static class Supply
{
    /// <summary>How a wheel can be had.</summary>
    /// <param name="fittedSize">Size of the wheel in that place now.</param>
    public static WheelSupply Find(
        IEnumerable<StockWheel> stock,
        Loop loop,
        WheelSide side,
        double size,
        double fittedSize
    )
    {
        if (size == fittedSize)
            return new(Availability.Fitted, 0);
        string? mounting = side == WheelSide.Front ? loop.FrontMounting : loop.RearMounting;
        StockWheel[] ofSize =
        [
            .. stock.Where(w => w.Side == side && w.Size == size && Same(w.Standard, loop.Standard)),
        ];
        StockWheel[] fitting =
        [
            .. ofSize.Where(w => w.Mounting is null || (mounting is not null && Same(w.Mounting, mounting))),
        ];
        if (fitting.Any(w => w.Count > 0))
            return new(Availability.OnShelf, 0);
        if (fitting.Any(w => w.Obtainable))
            return new(Availability.ToBuy, fitting.Where(w => w.Obtainable).Min(w => w.Price));
        if (fitting.Length > 0)
            return new(Availability.NotObtainable, null);
        // Not said is not “any”: a wheel that sits on one shaft only is no find on an unknown one.
        if (mounting is null && ofSize.Any(w => w.Count > 0 || w.Obtainable))
            return new(
                Availability.MountingNotSaid,
                ofSize.Any(w => w.Count > 0) ? 0 : ofSize.Where(w => w.Obtainable).Min(w => w.Price)
            );
        return new(ofSize.Length > 0 ? Availability.OtherMounting : Availability.NotListed, null);
    }

    private static bool Same(string a, string b) =>
        string.Equals(a.Trim(), b.Trim(), StringComparison.OrdinalIgnoreCase);
}
