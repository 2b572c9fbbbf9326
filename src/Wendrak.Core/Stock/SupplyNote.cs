using Wendrak.Core.Quantities;

namespace Wendrak.Core.Stock;

/// <summary>What is known of getting a part.</summary>
/// <param name="Supplier">Who has it, in free words; null where nobody said.</param>
/// <param name="DeliveryDays">From ordering to having it, days; null where not known.</param>
/// <param name="KnownOn">Day since which it is known whether it can be had; null where nobody said.</param>
public sealed record SupplyNote(string? Supplier, int? DeliveryDays, DateOnly? KnownOn)
{
    /// <summary>A year: what takes longer can’t be had. Judgement.</summary>
    public const int MostDays = 365;

    internal Guard Check() =>
        new Guard()
            .Note(nameof(Supplier), Supplier)
            .BetweenIfGiven(nameof(DeliveryDays), DeliveryDays, 0, MostDays, "days");
}
