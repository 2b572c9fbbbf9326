using Wendrak.Core.Quantities;

namespace Wendrak.Core.Tension;

/// <summary>How one belt lost tension: as it was set, and twice after that.</summary>
/// <param name="InHz">Frequencies of one and the same span, which go with the root of tension; else newtons.</param>
/// <param name="FirstHours">Since it was fitted.</param>
/// <param name="AsSet">Read as it was set.</param>
/// <param name="First">First reading after that.</param>
/// <param name="SecondHours">Since it was fitted, of the second.</param>
/// <param name="Second">Second reading.</param>
public sealed record OwnReadings(
    bool InHz,
    double AsSet,
    double FirstHours,
    double First,
    double SecondHours,
    double Second
)
{
    /// <summary>Parts that were left.</summary>
    /// <exception cref="InvalidInputException">They do not fall with time.</exception>
    internal (FractionLeft First, FractionLeft Second) Fractions()
    {
        new Guard("Own.")
            .Between(nameof(AsSet), AsSet, 1, 1e6, InHz ? "Hz" : "N")
            .Between(nameof(FirstHours), FirstHours, 0.1, RunningIn.MostHours, "h")
            .Between(nameof(SecondHours), SecondHours, 0.1, RunningIn.MostHours, "h")
            .That(
                SecondHours > FirstHours,
                nameof(SecondHours),
                "order",
                "Give a later time than the first one.",
                FirstHours
            )
            .That(First > 0 && First < AsSet, nameof(First), "not_falling", "Give less than it was set to.", AsSet)
            .That(Second > 0 && Second < First, nameof(Second), "not_falling", "Give less than the first one.", First)
            .ThrowIfAny();
        double power = InHz ? 2 : 1;
        return (new(FirstHours, Math.Pow(First / AsSet, power)), new(SecondHours, Math.Pow(Second / AsSet, power)));
    }
}
