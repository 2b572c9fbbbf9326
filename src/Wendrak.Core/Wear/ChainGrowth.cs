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
/// <param name="ReadsShortMm">What the instrument reads less than a known length, mm; negative where it reads more.</param>
/// <param name="Pull">What it was pulled with; null for about a hundredth of its breaking load.</param>
public sealed record ChainGrowthInput(
    string ChainId,
    int Pitches,
    MeasuredOver Over,
    IReadOnlyList<double> MeasuredMm,
    double? RollerPlayMm = null,
    double? ReadsShortMm = null,
    MeasuringPull? Pull = null
);

/// <summary>What a chain was pulled with while it was measured, and how it gives, if that was looked for.</summary>
/// <param name="LoadN">On all strands together, N.</param>
/// <param name="SecondLoadN">The first place again, under another load, N; null where nobody did.</param>
/// <param name="SecondMm">What was read there then, mm.</param>
/// <param name="NominalN">That it should have been pulled with, N. The core says it by the machine, whoever sends what.</param>
public sealed record MeasuringPull(
    double LoadN,
    double? SecondLoadN = null,
    double? SecondMm = null,
    double? NominalN = null
);

/// <summary>How much a chain has grown.</summary>
/// <param name="Percent">At each place, in the order they were measured.</param>
/// <param name="WorstPercent">The largest: the chain is as worn as its worst place.</param>
/// <param name="SpreadPercent">Between the largest and the smallest.</param>
/// <param name="OfLoadPercent">What was taken off, since it was pulled with another load than it should be; null where how it gives was not measured.</param>
public sealed record ChainGrowthResult(
    IReadOnlyList<double> Percent,
    double WorstPercent,
    double SpreadPercent,
    double? OfLoadPercent,
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

    // The two loads differ by a third at least of the larger: less tells more of the reading than of the chain. Common practice.
    private const double LeastStep = 1 / 3.0;

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
            .BetweenIfGiven(nameof(input.ReadsShortMm), input.ReadsShortMm, -5, 5, "mm")
            .Include(new Guard($"{nameof(input.Pull)}.").Include(Check(input)))
            .ThrowIfAny();
        Explained? give = GiveOf(chain!, input);
        Explained[] growths = [.. input.MeasuredMm.Select(m => At(chain!, input, m, give?.Value ?? 0))];
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
            give?.Value,
            give is { } g ? [worst.Working, g.Working] : [worst.Working]
        );
    }

    private static Guard Check(ChainGrowthInput input)
    {
        Guard guard = new();
        if (input.Pull is not { } pull)
            return guard;
        return guard
            .Between(nameof(pull.LoadN), pull.LoadN, 1, 1e6, "N")
            .BetweenIfGiven(nameof(pull.SecondLoadN), pull.SecondLoadN, 1, 1e6, "N")
            .That(
                pull.SecondLoadN is double second
                    ? Math.Abs(second - pull.LoadN) >= LeastStep * Math.Max(second, pull.LoadN)
                    : pull.SecondMm is null,
                nameof(pull.SecondLoadN),
                "too_near",
                "Say what it was pulled with the second time: half as much again at least, or half as much at most."
            )
            .That(
                pull.SecondLoadN is null || pull.SecondMm is not null,
                nameof(pull.SecondMm),
                "missing",
                "Say what was read at the first place with that load."
            )
            .That(
                pull.SecondLoadN is not double load
                    || pull.SecondMm is not double mm
                    || input.MeasuredMm.Count == 0
                    || (mm - input.MeasuredMm[0]) * (load - pull.LoadN) >= 0,
                nameof(pull.SecondMm),
                "other_way",
                "Pulled harder it can’t be shorter: measure the first place again."
            );
    }

    /// <summary>What another load than the one it is measured with makes of it, %; null where how it gives is not known.</summary>
    private static Explained? GiveOf(ChainSize chain, ChainGrowthInput input) =>
        input
            is {
                Pull:
                {
                    LoadN: double load,
                    SecondLoadN: double secondLoad,
                    SecondMm: double second,
                    NominalN: double measuring
                },
                MeasuredMm: [double first, ..]
            }
            ? Give.With(second - first, secondLoad - load, load - measuring, input.Pitches, chain.PitchMm)
            : null;

    private static Explained At(ChainSize chain, ChainGrowthInput input, double measuredMm, double givePercent)
    {
        double play = input.RollerPlayMm ?? 0;
        // Jaws press both rollers towards each other, or apart, by half their play each.
        double toPins = input.Over switch
        {
            MeasuredOver.OuterRollers => play - chain.RollerDiameterMm,
            MeasuredOver.InnerRollers => chain.RollerDiameterMm - play,
            _ => 0,
        };
        return Growth.With(measuredMm, toPins + (input.ReadsShortMm ?? 0), input.Pitches, chain.PitchMm, givePercent);
    }

    private static readonly Formula<Func<double, double, double, double, double, double>> Growth = new(
        "Growth of the chain",
        "e",
        ("longer than new", "%"),
        (L, c, n, p, g) => Maths.Percent((L + c) / (n * p) - 1) - g,
        [
            ("measured", "mm"),
            ("from the faces to the pins, and what the instrument reads short", "mm"),
            ("pitches", ""),
            ("pitch", "mm"),
            ("of the load it was pulled with", "%"),
        ],
        "Machinery’s Handbook; ACA",
        "Pulled taut with about a hundredth of its breaking load; play of the rollers that was not felt for reads as growth or hides it."
    );

    private static readonly Formula<Func<double, double, double, double, double, double>> Give = new(
        "What another load than the measuring load makes of it",
        "g",
        ("taken off", "%"),
        (dL, dF, F, n, p) => Maths.Percent(dL / dF * F / (n * p)),
        [
            ("first place, longer under the second load", "mm"),
            ("second load more than the first", "N"),
            ("first load more than the measuring load", "N"),
            ("pitches", ""),
            ("pitch", "mm"),
        ],
        "Hooke’s law between two loads on the same chain; measuring load ISO 606, from memory",
        "As far as it gives alike between the loads: below a hundredth of the breaking load oil and rust hold the joints."
    );
}
