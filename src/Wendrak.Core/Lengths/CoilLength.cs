using Wendrak.Core.Quantities;

namespace Wendrak.Core.Lengths;

/// <summary>Belting on a coil.</summary>
/// <param name="LengthMm">From the turns where they are known, else from the thickness.</param>
/// <param name="ImpliedThicknessMm">Thickness the turns ask for; null without turns.</param>
/// <param name="Agree">Whether turns and thickness tell the same within the percent beside it; null unless both are known.</param>
public sealed record CoilLengthResult(
    double LengthMm,
    double Turns,
    double? ImpliedThicknessMm,
    bool? Agree,
    double LargestDisagreementPercent,
    IReadOnlyList<Working> Workings
);

/// <summary>How much belting a coil holds.</summary>
public static class CoilLength
{
    // Beyond this the count is wrong or the winding loose; common practice.
    private const double LargestDisagreement = 0.20;

    /// <summary>Length on a coil from its outer and inner diameter and the turns, the thickness, or both.</summary>
    /// <remarks>L = π·n·(Do + Di)/2, n = (Do − Di)/(2t). Source: geometry; Machinery's Handbook.</remarks>
    /// <exception cref="InvalidInputException">Neither turns nor thickness, or diameters that hold no coil.</exception>
    public static CoilLengthResult Of(
        double outerDiameterMm,
        double innerDiameterMm,
        double? turns,
        double? thicknessMm
    )
    {
        new Guard()
            .Between(nameof(innerDiameterMm), innerDiameterMm, 1, 5_000, "mm")
            .MoreThan(nameof(outerDiameterMm), outerDiameterMm, innerDiameterMm, "mm")
            .AtMost(nameof(outerDiameterMm), outerDiameterMm, 10_000, "mm")
            .BetweenIfGiven(nameof(turns), turns, 1, 10_000, "turns")
            .BetweenIfGiven(nameof(thicknessMm), thicknessMm, 0.1, 100, "mm")
            .That(
                turns is not null || thicknessMm is not null,
                nameof(turns),
                "missing",
                "Give the turns or the thickness."
            )
            .ThrowIfAny();
        double build = (outerDiameterMm - innerDiameterMm) / 2;
        double n = turns ?? build / thicknessMm!.Value;
        double? implied = turns is null ? null : build / n;
        double length = Math.PI * n * (outerDiameterMm + innerDiameterMm) / 2;
        List<WorkingValue> values =
        [
            new("Do", "outside of the coil", outerDiameterMm, "mm"),
            new("Di", "inside of the coil", innerDiameterMm, "mm"),
        ];
        values.Add(
            turns is double counted ? new("n", "turns", counted, "") : new("t", "thickness", thicknessMm!.Value, "mm")
        );
        return new(
            length,
            n,
            implied,
            implied is double i && thicknessMm is double t ? Math.Abs(i / t - 1) <= LargestDisagreement : null,
            100 * LargestDisagreement,
            [
                new(
                    "Belting on a coil",
                    turns is null ? "L = π·n·(Do + Di)/2, n = (Do − Di)/(2t)" : "L = π·n·(Do + Di)/2",
                    values,
                    new("L", "on the coil", length, "mm"),
                    "geometry; Machinery's Handbook",
                    "Turns that lie close; a loose winding holds less than its thickness tells."
                ),
            ]
        );
    }
}
