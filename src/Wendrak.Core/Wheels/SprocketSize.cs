using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;

namespace Wendrak.Core.Wheels;

/// <summary>The diameters of a chain sprocket, mm.</summary>
/// <param name="OutsideMm">Over the tips, ASME tooth form.</param>
/// <param name="CaliperMm">Over the bottoms as a caliper reads them; less than the root for an odd tooth count.</param>
/// <param name="LargestHubMm">A larger hub fouls the plates.</param>
/// <param name="LargestShroudMm">ISO; null where the plate height is not known.</param>
public sealed record SprocketDiameters(
    double PitchMm,
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
    /// <summary>Radius of the circle the pins lie on, mm.</summary>
    /// <remarks>R = p/(2·sin(π/N)). Source: ISO 606.</remarks>
    public static double PitchRadiusMm(double pitchMm, double teeth) => pitchMm / (2 * Math.Sin(Math.PI / teeth));

    // Clearance between hub and plates, 0.03 in.
    private const double HubClearanceMm = 0.762;

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
        return Of(chain.PitchMm, teeth, chain.RollerDiameterMm, chain.PlateHeightMm, chain.GapsPerLink);
    }

    /// <param name="teeth">Gaps, which are twice the links round it under a double pitch chain.</param>
    /// <exception cref="InvalidInputException">Fewer than 5 teeth, or a roller that does not fit into the pitch.</exception>
    public static SprocketDiameters Of(
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
        double gapMm = pitchMm / gapsPerLink; // the teeth are those for a chain of this pitch
        double pitchDiameter = 2 * PitchRadiusMm(pitchMm, links);
        double cot = 1 / Math.Tan(Math.PI / links);
        double caliper = teeth % 2 == 0 ? pitchDiameter : pitchDiameter * Math.Cos(Math.PI / (2 * teeth));
        return new(
            pitchDiameter,
            2 * WheelOutline.ChainOutsideRadiusMm(pitchMm, links, gapsPerLink),
            pitchDiameter + 1.25 * gapMm - rollerDiameterMm,
            pitchDiameter + gapMm * (1 - 1.6 / teeth) - rollerDiameterMm,
            pitchDiameter - rollerDiameterMm,
            caliper - rollerDiameterMm,
            pitchMm * cot - gapMm - HubClearanceMm,
            plateHeightMm is double h ? pitchMm * cot - 1.04 * h - 0.76 : null,
            Workings(pitchMm, teeth, gapsPerLink, rollerDiameterMm, pitchDiameter, caliper - rollerDiameterMm)
        );
    }

    private static IReadOnlyList<Working> Workings(
        double pitchMm,
        int teeth,
        int gapsPerLink,
        double rollerMm,
        double pitchDiameterMm,
        double caliperMm
    )
    {
        const string source = "ISO 606 and ASME B29.1 as printed in Machinery's Handbook";
        return
        [
            new(
                "Pitch diameter",
                gapsPerLink == 1 ? "d = p / sin(180°/N)" : "d = p / sin(360°/N)",
                [new("p", "pitch", pitchMm, "mm"), new("N", gapsPerLink == 1 ? "teeth" : "gaps", teeth, "")],
                new("d", "circle of the pins", pitchDiameterMm, "mm"),
                source,
                "A new chain; a worn one rides higher."
            ),
            new(
                "Over the bottoms",
                teeth % 2 == 0 ? "c = d − d1" : "c = d·cos(90°/N) − d1",
                [
                    new("d", "pitch diameter", pitchDiameterMm, "mm"),
                    new("N", "teeth", teeth, ""),
                    new("d1", "roller", rollerMm, "mm"),
                ],
                new("c", "as a caliper reads it", caliperMm, "mm"),
                source,
                gapsPerLink == 1
                    ? "An odd count has no two bottoms opposite each other. Outside: p·(0.6 + cot(180°/N)); largest hub: p·(cot(180°/N) − 1) − 0.762 mm."
                    : "An odd count has no two bottoms opposite each other. Outside: p·(0.3 + cot(360°/N)); largest hub: p·(cot(360°/N) − 0.5) − 0.762 mm: teeth and plates are those of the chain of half the pitch (ISO 1275; from memory)."
            ),
        ];
    }

    internal static Guard CheckPitch(double pitchMm) => new Guard().Between("PitchMm", pitchMm, 1, 200, "mm");
}
