using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;

namespace Wendrak.Core.Wheels;

/// <summary>A groove as it is measured, and the belt meant for it.</summary>
/// <param name="Section">V-belt section of the tables.</param>
/// <param name="DatumDiameterMm">Of the pulley: small ones have a narrower groove angle.</param>
/// <param name="TopWidthMm">Width of the groove at the rim.</param>
/// <param name="DepthMm">Rim to the bottom of the groove.</param>
/// <param name="AngleDeg">Between the two flanks; null for what the standard gives this pulley.</param>
/// <param name="HollowMm">Deepest hollow of a flank under a straight edge; null when not measured.</param>
public sealed record GrooveInput(
    string Section,
    double DatumDiameterMm,
    double TopWidthMm,
    double DepthMm,
    double? AngleDeg,
    double? HollowMm
);

public enum GrooveVerdict
{
    /// <summary>Carried by its flanks, about flush with the rim.</summary>
    Seated,

    /// <summary>Lies on the bottom of the groove: the flanks don't grip.</summary>
    Bottoms,

    /// <summary>Stands out so far that only part of its flanks carries.</summary>
    StandsProud,

    /// <summary>Sunk below the rim: a narrower belt than the groove, or both are worn.</summary>
    SitsDeep,
}

/// <param name="AboveRimMm">Top of the belt above the rim; negative below it.</param>
/// <param name="BottomGapMm">Left under the belt; 0 or less where it bottoms.</param>
/// <param name="StandardAngleDeg">What the standard gives a pulley of this size.</param>
/// <param name="AngleFits">Whether the measured angle is within 1° of it; null when not measured.</param>
/// <param name="IsWorn">Whether a flank is hollow beyond the limit; null when not measured.</param>
public sealed record GrooveResult(
    double AboveRimMm,
    double BottomGapMm,
    double StandardAngleDeg,
    bool? AngleFits,
    bool? IsWorn,
    double WornFromMm,
    GrooveVerdict Verdict,
    IReadOnlyList<Working> Workings
);

/// <summary>Whether a V-belt section and a groove belong together.</summary>
/// <remarks>A wedge rests where groove and belt are equally wide. Angles: ISO 4183. Limits of the seat: common practice, from memory.</remarks>
public static class GrooveMatch
{
    // Shares of the belt's height.
    private const double MostProudShare = 0.2;
    private const double MostSunkShare = 0.1;

    // A pulley is cut to half a degree: common practice, from memory.
    private const double LargestAngleErrorDeg = 1;

    /// <exception cref="InvalidInputException">An unknown section, or a groove that is not physical.</exception>
    public static GrooveResult Of(GrooveInput input)
    {
        VSection section =
            VSections.Find(input.Section)
            ?? throw new InvalidInputException(
                nameof(input.Section),
                "unknown",
                "Give a V-belt section of the tables."
            );
        double standard = AngleFor(section, input.DatumDiameterMm);
        double angle = input.AngleDeg ?? standard;
        double wornFrom = WearLimits.GrooveHollowMm;
        double tan = Math.Tan(angle * Math.PI / 360);
        double widest = double.IsFinite(tan) ? 2 * input.DepthMm * tan : 0;
        new Guard()
            .Between(nameof(input.DatumDiameterMm), input.DatumDiameterMm, 10, 3_000, "mm")
            .Between(nameof(input.TopWidthMm), input.TopWidthMm, 2, 100, "mm")
            .Between(nameof(input.DepthMm), input.DepthMm, 1, 100, "mm")
            .BetweenIfGiven(nameof(input.AngleDeg), input.AngleDeg, 20, 60, "°")
            .BetweenIfGiven(nameof(input.HollowMm), input.HollowMm, 0, 20, "mm")
            .That(
                !(widest > input.TopWidthMm + 1e-9),
                nameof(input.DepthMm),
                "too_large",
                FormattableString.Invariant(
                    $"Give {input.TopWidthMm / 2 / tan:0.##} mm or less: there the flanks meet."
                ),
                input.TopWidthMm / 2 / tan
            )
            .ThrowIfAny();
        double above = (section.TopWidthMm - input.TopWidthMm) / (2 * tan);
        double gap = input.DepthMm + above - section.HeightMm;
        GrooveVerdict verdict =
            gap <= 0 ? GrooveVerdict.Bottoms
            : above > MostProudShare * section.HeightMm ? GrooveVerdict.StandsProud
            : above < -MostSunkShare * section.HeightMm ? GrooveVerdict.SitsDeep
            : GrooveVerdict.Seated;
        return new(
            above,
            gap,
            standard,
            input.AngleDeg is double measured ? Math.Abs(measured - standard) <= LargestAngleErrorDeg : null,
            input.HollowMm is double hollow ? hollow > wornFrom : null,
            wornFrom,
            verdict,
            Workings(input, section, angle, above, gap)
        );
    }

    /// <summary>Groove angle of a pulley, degrees: small pulleys bend the belt more, which narrows its wedge.</summary>
    public static double AngleFor(VSection section, double datumDiameterMm)
    {
        (double? Angle, double? UpTo)[] steps =
        [
            (section.GrooveAngle1Deg, section.GrooveAngle1UpToDatumMm),
            (section.GrooveAngle2Deg, section.GrooveAngle2UpToDatumMm),
            (section.GrooveAngle3Deg, section.GrooveAngle3UpToDatumMm),
            (section.GrooveAngle4Deg, null),
        ];
        (double? angle, _) = steps.First(s => s.Angle is not null && (s.UpTo is null || datumDiameterMm <= s.UpTo));
        return angle!.Value;
    }

    private static IReadOnlyList<Working> Workings(
        GrooveInput input,
        VSection section,
        double angle,
        double above,
        double gap
    ) =>
        [
            new(
                "Top of the belt above the rim",
                "t = (w − g) / (2·tan(β/2))",
                [
                    new("w", "top width of the belt", section.TopWidthMm, "mm"),
                    new("g", "width of the groove at the rim", input.TopWidthMm, "mm"),
                    new("β", "angle between the flanks", angle, "°", input.AngleDeg is null),
                ],
                new("t", "negative is below", above, "mm"),
                $"geometry of a wedge; section: {section.Source}",
                "A new, straight belt: bending it over a small pulley narrows its wedge a little."
            ),
            new(
                "Gap under the belt",
                "b = d + t − h",
                [
                    new("d", "depth of the groove", input.DepthMm, "mm"),
                    new("t", "top above the rim", above, "mm"),
                    new("h", "height of the belt", section.HeightMm, "mm"),
                ],
                new("b", "gap", gap, "mm"),
                "geometry; a belt that touches the bottom slips: common practice",
                "A worn belt sits lower than this."
            ),
        ];
}
