using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;

namespace Wendrak.Core.Wear;

/// <summary>Between which faces a length of chain was measured.</summary>
public enum MeasuredOver
{
    /// <summary>Pin to pin, by a scale or a gauge.</summary>
    Pins,

    /// <summary>Outside of two rollers, between the jaws of a caliper that press them together.</summary>
    OuterRollers,

    /// <summary>Inside of two rollers, the jaws of a caliper pushing them apart.</summary>
    InnerRollers,
}

/// <summary>A length of chain, pulled taut, at several places of it.</summary>
/// <param name="ChainId">Designation of the chain; its pitch and rollers are those of the table.</param>
/// <param name="Pitches">That were measured at once.</param>
/// <param name="Over">Between which faces.</param>
/// <param name="MeasuredMm">As read, one for each place, mm.</param>
/// <param name="RollerPlayMm">Of a roller on its bush, mm; null where nobody felt for it: none is taken off.</param>
public sealed record ChainGrowthInput(
    string ChainId,
    int Pitches,
    MeasuredOver Over,
    IReadOnlyList<double> MeasuredMm,
    double? RollerPlayMm = null
);

/// <summary>How much a chain has grown.</summary>
/// <param name="Percent">At each place, in the order they were measured.</param>
/// <param name="WorstPercent">The largest: the chain is as worn as its worst place.</param>
/// <param name="SpreadPercent">Between the largest and the smallest.</param>
public sealed record ChainGrowthResult(
    IReadOnlyList<double> Percent,
    double WorstPercent,
    double SpreadPercent,
    IReadOnlyList<Working> Workings
);

/// <summary>Growth of a chain over many pitches. Source: Machinery’s Handbook; ACA.</summary>
public static class ChainGrowth
{
    private const int MostPlaces = 12;

    /// <summary>Beyond these the pitches were miscounted, or it is another chain. Source: common practice.</summary>
    internal const double LeastPercent = -0.5;

    /// <inheritdoc cref="LeastPercent"/>
    internal const double MostPercent = 6;

    /// <exception cref="InvalidInputException">No such chain, a field out of bounds, or no growth a chain can have.</exception>
    public static ChainGrowthResult Compute(ChainGrowthInput input)
    {
        ChainSize? chain = Chains.Find(input.ChainId);
        new Guard()
            .That(chain is not null, nameof(input.ChainId), "unknown", "Give a chain of the table.")
            .Between(nameof(input.Pitches), input.Pitches, 6, 200, "")
            .Between(nameof(input.MeasuredMm), input.MeasuredMm.Count, 1, MostPlaces, "places")
            .BetweenIfGiven(nameof(input.RollerPlayMm), input.RollerPlayMm, 0, 1, "mm")
            .That(
                input.RollerPlayMm is null || input.Over != MeasuredOver.Pins,
                nameof(input.RollerPlayMm),
                "unwanted",
                "From pin to pin rollers do not matter: leave their play out."
            )
            .ThrowIfAny();
        Explained[] growths = [.. input.MeasuredMm.Select(m => At(chain!, input, m))];
        Guard guard = new();
        for (int i = 0; i < growths.Length; i++)
            guard.That(
                growths[i].Value is >= LeastPercent and <= MostPercent,
                FormattableString.Invariant($"{nameof(input.MeasuredMm)}[{i}]"),
                "not_this_chain",
                FormattableString.Invariant(
                    $"Over so many pitches a chain is {LeastPercent} to {MostPercent} % longer than new. Count them again, and look which chain it is."
                )
            );
        guard.ThrowIfAny();
        Explained worst = growths.MaxBy(g => g.Value);
        return new(
            [.. growths.Select(g => g.Value)],
            worst.Value,
            worst.Value - growths.Min(g => g.Value),
            [worst.Working]
        );
    }

    private static Explained At(ChainSize chain, ChainGrowthInput input, double measuredMm)
    {
        double play = input.RollerPlayMm ?? 0;
        // Jaws press both rollers towards each other, or apart, by half their play each.
        double toPins = input.Over switch
        {
            MeasuredOver.OuterRollers => play - chain.RollerDiameterMm,
            MeasuredOver.InnerRollers => chain.RollerDiameterMm - play,
            _ => 0,
        };
        return Growth.With(measuredMm, toPins, input.Pitches, chain.PitchMm);
    }

    private static readonly Formula<Func<double, double, double, double, double>> Growth = new(
        "Growth of the chain",
        "e",
        ("longer than new", "%"),
        (L, c, n, p) => Maths.Percent((L + c) / (n * p) - 1),
        [("measured", "mm"), ("from the faces to the pins", "mm"), ("pitches", ""), ("pitch", "mm")],
        "Machinery’s Handbook; ACA",
        "Pulled taut with about a hundredth of its breaking load; play of the rollers that was not felt for reads as growth or hides it."
    );
}
