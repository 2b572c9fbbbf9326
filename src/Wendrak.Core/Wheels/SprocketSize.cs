using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;
using static System.Math;

namespace Wendrak.Core.Wheels;

/// <summary>The diameters of a chain sprocket, mm.</summary>
/// <param name="PitchDiameterMm">Of the circle the pins lie on; the pitch itself is the chain's.</param>
/// <param name="OutsideMm">Over the tips, ASME tooth form.</param>
/// <param name="CaliperMm">Over the bottoms as a caliper reads them; less than the root for an odd tooth count.</param>
/// <param name="LargestHubMm">A larger hub fouls the plates.</param>
/// <param name="LargestShroudMm">ISO; null where the plate height is not known.</param>
/// <param name="TipLargestMm">Over the tips at most, ISO 606.</param>
/// <param name="TipSmallestMm">Over the tips at least, ISO 606.</param>
/// <param name="RootMm">Over the bottoms of the gaps.</param>
public sealed record SprocketDiameters(
    double PitchDiameterMm,
    double OutsideMm,
    double TipLargestMm,
    double TipSmallestMm,
    double RootMm,
    double CaliperMm,
    double LargestHubMm,
    double? LargestShroudMm,
    IReadOnlyList<Working> Workings
);

/// <summary>Sprocket diameters from chain and teeth.</summary>
/// <remarks>Source: ISO 606 and ASME B29.1 as printed in Machinery's Handbook.</remarks>
public static class SprocketSize
{
    private const string Tables = "ISO 606 and ASME B29.1 as printed in Machinery's Handbook";
    private const string New = "A new chain; a worn one rides higher.";
    private static readonly Quantity Pitch = new("pitch", "mm");
    private static readonly Quantity PitchCircle = new("pitch diameter", "mm");
    private static readonly Quantity Roller = new("roller", "mm");
    private static readonly Quantity LinksRound = new(
        "links once round: teeth, or half of them under a double pitch chain",
        ""
    );
    private static readonly Quantity Gaps = new("gaps for each link: 1, or 2 of a double pitch chain", "");
    private static readonly Quantity Teeth = new("teeth", "");

    /// <summary>Diameter of the circle the pins lie on, mm, by the pitch and the links that lie once round.</summary>
    public static readonly Formula<Func<double, double, double>> PitchDiameterMm = new(
        "Pitch diameter",
        "d",
        ("circle of the pins", "mm"),
        (p, n) => p / Sin(PI / n),
        [Pitch, LinksRound],
        Tables,
        New
    );

    /// <summary>Radius of the same circle, mm.</summary>
    public static double PitchRadiusMm(double pitchMm, double links) => PitchDiameterMm.Value(pitchMm, links) / 2;

    /// <summary>
    /// Over the tips, mm. The teeth for a double pitch chain are as high as those for the chain of half its pitch (ISO 1275; from
    /// memory).
    /// </summary>
    internal static readonly Formula<Func<double, double, double, double>> OutsideDiameterMm = new(
        "Over the tips",
        "d_o",
        ("outside diameter", "mm"),
        (p, g, n) => p * (0.6 / g + 1 / Tan(PI / n)),
        [Pitch, Gaps, LinksRound],
        Tables,
        "ASME tooth form; those of others lie between the largest and the smallest of ISO."
    );

    private static readonly Formula<Func<double, double, double, double, double>> TipLargest = new(
        "Over the tips, the largest",
        "d_a",
        ("largest outside diameter", "mm"),
        (d, p, g, d1) => d + 1.25 * p / g - d1,
        [PitchCircle, Pitch, Gaps, Roller],
        Tables,
        "What ISO 606 lets a maker cut."
    );

    private static readonly Formula<Func<double, double, double, double, double, double>> TipSmallest = new(
        "Over the tips, the smallest",
        "d_a",
        ("smallest outside diameter", "mm"),
        (d, p, g, N, d1) => d + p / g * (1 - 1.6 / N) - d1,
        [PitchCircle, Pitch, Gaps, Teeth, Roller],
        Tables,
        "What ISO 606 lets a maker cut."
    );

    private static readonly Formula<Func<double, double, double>> Root = new(
        "Root diameter",
        "d_f",
        ("circle that the bottoms touch", "mm"),
        (d, d1) => d - d1,
        [PitchCircle, Roller],
        Tables,
        New
    );

    private static readonly Formula<Func<double, double, double>> CaliperEven = new(
        "Over the bottoms",
        "c",
        ("as a caliper reads it", "mm"),
        (d, d1) => d - d1,
        [PitchCircle, Roller],
        Tables,
        "Two bottoms lie opposite each other."
    );

    private static readonly Formula<Func<double, double, double, double>> CaliperOdd = new(
        "Over the bottoms",
        "c",
        ("as a caliper reads it", "mm"),
        (d, N, d1) => d * Cos(PI / (2 * N)) - d1,
        [PitchCircle, Teeth, Roller],
        Tables,
        "An odd count has no two bottoms opposite each other."
    );

    private static readonly Formula<Func<double, double, double, double>> LargestHub = new(
        "Largest hub",
        "h",
        ("a larger one fouls the plates", "mm"),
        (p, g, n) => p / Tan(PI / n) - p / g - 0.762,
        [Pitch, Gaps, LinksRound],
        Tables,
        "0.762 mm (0.03 in) are left between hub and plates."
    );

    private static readonly Formula<Func<double, double, double, double>> LargestShroud = new(
        "Largest shroud",
        "d_g",
        ("a larger one fouls the plates", "mm"),
        (p, h2, n) => p / Tan(PI / n) - 1.04 * h2 - 0.76,
        [Pitch, ("height of a plate", "mm"), LinksRound],
        "ISO 606",
        "Of the ISO tooth form."
    );

    /// <summary>The diameters of a sprocket for a chain of the tables.</summary>
    /// <exception cref="InvalidInputException">An unknown chain, or fewer than 5 teeth.</exception>
    public static SprocketDiameters OfChain(string standard, int teeth)
    {
        ChainSize chain =
            Chains.Find(standard)
            ?? throw new InvalidInputException("Standard", "unknown", "Give a chain of the tables.");
        new Guard()
            .Between(
                "Teeth",
                teeth,
                Gearing.WheelSize.FewestChainTeeth * chain.GapsPerLink,
                Gearing.WheelSize.MostTeeth,
                "teeth"
            )
            .ThrowIfAny();
        return Compute(chain.PitchMm, teeth, chain.RollerDiameterMm, chain.PlateHeightMm, chain.GapsPerLink);
    }

    /// <param name="teeth">Gaps, which are twice the links round it under a double pitch chain.</param>
    /// <exception cref="InvalidInputException">Fewer than 5 teeth, or a roller that does not fit into the pitch.</exception>
    public static SprocketDiameters Compute(
        double pitchMm,
        int teeth,
        double rollerDiameterMm,
        double? plateHeightMm,
        int gapsPerLink = 1
    )
    {
        // A chain of double pitch has a link over every other gap.
        CheckPitch(pitchMm)
            .Between(
                "Teeth",
                teeth,
                Gearing.WheelSize.FewestChainTeeth * gapsPerLink,
                Gearing.WheelSize.MostTeeth * gapsPerLink,
                "teeth"
            )
            .MoreThan(nameof(rollerDiameterMm), rollerDiameterMm, 0, "mm")
            .That(
                rollerDiameterMm < pitchMm,
                nameof(rollerDiameterMm),
                "too_large",
                "Give less than the pitch.",
                pitchMm
            )
            .BetweenIfGiven(nameof(plateHeightMm), plateHeightMm, 0.1, 2 * pitchMm, "mm")
            .ThrowIfAny();
        double links = (double)teeth / gapsPerLink;
        Explained pitch = PitchDiameterMm.With(pitchMm, links);
        double d = pitch.Value;
        Explained outside = OutsideDiameterMm.With(pitchMm, gapsPerLink, links);
        Explained largest = TipLargest.With(d, pitchMm, gapsPerLink, rollerDiameterMm);
        Explained smallest = TipSmallest.With(d, pitchMm, gapsPerLink, teeth, rollerDiameterMm);
        Explained root = Root.With(d, rollerDiameterMm);
        Explained caliper =
            teeth % 2 == 0 ? CaliperEven.With(d, rollerDiameterMm) : CaliperOdd.With(d, teeth, rollerDiameterMm);
        Explained hub = LargestHub.With(pitchMm, gapsPerLink, links);
        Explained? shroud = plateHeightMm is double height ? LargestShroud.With(pitchMm, height, links) : null;
        return new(
            d,
            outside.Value,
            largest.Value,
            smallest.Value,
            root.Value,
            caliper.Value,
            hub.Value,
            shroud?.Value,
            [
                pitch.Working,
                caliper.Working,
                root.Working,
                outside.Working,
                largest.Working,
                smallest.Working,
                hub.Working,
                .. shroud is { } guide ? [guide.Working] : Array.Empty<Working>(),
            ]
        );
    }

    internal static Guard CheckPitch(double pitchMm) => new Guard().Between("PitchMm", pitchMm, 1, 200, "mm");
}
