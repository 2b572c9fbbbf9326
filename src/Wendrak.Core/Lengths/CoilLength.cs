using Wendrak.Core.Quantities;
using static System.Math;

namespace Wendrak.Core.Lengths;

/// <summary>Belting on a coil.</summary>
/// <param name="LengthMm">From the turns where they are known, else from the thickness.</param>
/// <param name="ImpliedThicknessMm">Thickness the turns ask for; null without turns.</param>
/// <param name="Agree">Whether turns and thickness tell the same within the percent beside it; null unless both are known.</param>
/// <param name="Turns">As counted, or from the thickness.</param>
/// <param name="LargestDisagreementPercent">How far turns and thickness may be apart.</param>
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
    /// <exception cref="InvalidInputException">Neither turns nor thickness, or diameters that hold no coil.</exception>
    public static CoilLengthResult Compute(
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
        Explained? byThickness = turns is null
            ? TurnsOf.With(outerDiameterMm, innerDiameterMm, thicknessMm!.Value)
            : null;
        double n = turns ?? byThickness!.Value.Value;
        double? implied = turns is double known ? ThicknessOf.Value(outerDiameterMm, innerDiameterMm, known) : null;
        Explained length = OnCoil.With(n, outerDiameterMm, innerDiameterMm);
        return new(
            length.Value,
            n,
            implied,
            implied is double i && thicknessMm is double t ? Abs(i / t - 1) <= LargestDisagreement : null,
            100 * LargestDisagreement,
            byThickness is { } counted ? [length.Working, counted.Working]
                : thicknessMm is null ? [length.Working]
                : [length.Working, ThicknessOf.With(outerDiameterMm, innerDiameterMm, n).Working]
        );
    }

    private const string Geometry = "geometry; Machinery's Handbook";
    private const string Close = "Turns that lie close; a loose winding holds less than its thickness tells.";
    private static readonly Quantity Outside = new("outside of the coil", "mm");
    private static readonly Quantity Inside = new("inside of the coil", "mm");

    private static readonly Formula<Func<double, double, double, double>> OnCoil = new(
        "Belting on a coil",
        "L",
        ("on the coil", "mm"),
        (n, D, d) => PI * n * (D + d) / 2,
        [("turns", ""), Outside, Inside],
        Geometry,
        Close
    );

    private static readonly Formula<Func<double, double, double, double>> TurnsOf = new(
        "Turns of the coil",
        "n",
        ("turns", ""),
        (D, d, t) => (D - d) / (2 * t),
        [Outside, Inside, ("thickness", "mm")],
        Geometry,
        Close
    );

    private static readonly Formula<Func<double, double, double, double>> ThicknessOf = new(
        "Thickness that the turns ask for",
        "t",
        ("thickness", "mm"),
        (D, d, n) => (D - d) / (2 * n),
        [Outside, Inside, ("turns", "")],
        Geometry,
        Close
    );
}
