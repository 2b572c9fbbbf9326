using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;
using static System.Math;
using static Wendrak.Core.Quantities.Maths;

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

/// <summary>How a belt sits in its groove.</summary>
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
/// <param name="WornFromMm">A flank hollow from here on is worn, mm.</param>
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
    public static GrooveResult Judge(GrooveInput input)
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
        Explained top = AboveRim.With(
            section.TopWidthMm,
            input.TopWidthMm,
            new(angle, IsUsual: input.AngleDeg is null)
        );
        double above = top.Value;
        Explained under = BottomGap.With(input.DepthMm, above, section.HeightMm);
        double gap = under.Value;
        Working seat = top.Working;
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
            [seat with { Source = $"{seat.Source}; section: {section.Source}" }, under.Working]
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

    private static readonly Formula<Func<double, double, double, double>> AboveRim = new(
        "Top of the belt above the rim",
        "t",
        ("negative is below", "mm"),
        (w, g, β) => (w - g) / (2 * Tan(Rad(β) / 2)),
        [("top width of the belt", "mm"), ("width of the groove at the rim", "mm"), ("angle between the flanks", "°")],
        "geometry of a wedge",
        "A new, straight belt: bending it over a small pulley narrows its wedge a little."
    );

    private static readonly Formula<Func<double, double, double, double>> BottomGap = new(
        "Gap under the belt",
        "b",
        ("gap", "mm"),
        (d, t, h) => d + t - h,
        [("depth of the groove", "mm"), ("top above the rim", "mm"), ("height of the belt", "mm")],
        "geometry; a belt that touches the bottom slips: common practice",
        "A worn belt sits lower than this."
    );
}
