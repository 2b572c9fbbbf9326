using Wendrak.Core.Quantities;

namespace Wendrak.Core.Comparing;

/// <summary>One fill of a tank or battery.</summary>
/// <param name="Km">Odometer, km; null where nobody looked.</param>
/// <param name="Amount">L or Wh.</param>
/// <param name="IsFull">Up to where it is always filled.</param>
/// <param name="IsOneMissing">One before it was not written down.</param>
public readonly record struct Fill(double? Km, double Amount, bool IsFull, bool IsOneMissing);

/// <summary>From one full fill to the next: only then it is known what was used.</summary>
/// <param name="First">Place of the fill it begins at.</param>
/// <param name="Last">Place of the fill it ends at.</param>
/// <param name="Km">How far.</param>
/// <param name="Amount">Used on the way: all that was filled after the first, up to and with the last.</param>
public sealed record Stretch(int First, int Last, double Km, double Amount);

/// <summary>What of a list of fills tells how much was used.</summary>
/// <param name="Stretches">In their order.</param>
/// <param name="Missing">Stretches in which a fill was not written down.</param>
/// <param name="Backwards">Stretches over which the odometer did not go forward.</param>
public sealed record FullToFull(IReadOnlyList<Stretch> Stretches, int Missing, int Backwards)
{
    /// <remarks>Source: common practice; what is in a tank that is not full nobody knows.</remarks>
    /// <param name="fills">In the order in which they were made.</param>
    public static FullToFull Of(IReadOnlyList<Fill> fills)
    {
        List<Stretch> stretches = [];
        (int missing, int backwards) = (0, 0);
        int? from = null;
        double amount = 0;
        bool isGap = false;
        for (int i = 0; i < fills.Count; i++)
        {
            Fill fill = fills[i];
            amount += fill.Amount;
            isGap |= fill.IsOneMissing;
            // A full one whose distance nobody read ends nothing: what it took goes to the next.
            if (!fill.IsFull || fill.Km is not double km)
                continue;
            if (from is int first)
            {
                double run = km - fills[first].Km!.Value;
                if (isGap)
                    missing++;
                else if (run <= 0)
                    backwards++;
                else
                    stretches.Add(new(first, i, run, amount));
            }
            (from, amount, isGap) = (i, 0, false);
        }
        return new(stretches, missing, backwards);
    }

    /// <summary>L/100 km of one stretch.</summary>
    public static Formula<Func<double, double, double>> Fuel { get; } =
        new(
            "Fuel from full to full",
            "q",
            ("fuel used", "L/100 km"),
            (V, s) => 100 * V / s,
            [("filled in after the first full, with the last", "L"), ("between the two", "km")],
            "definition; common practice",
            "True to how alike both were full: on short stretches that is most of the spread."
        );

    /// <summary>Wh/km of one stretch.</summary>
    public static Formula<Func<double, double, double>> Energy { get; } =
        new(
            "Energy from full to full",
            "w",
            ("energy used", "Wh/km"),
            (E, s) => E / s,
            [("charged after the first full, with the last", "Wh"), ("between the two", "km")],
            "definition; common practice",
            "Out of the plug: what the charger loses is in it."
        );
}
