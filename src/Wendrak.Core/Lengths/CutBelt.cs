using Wendrak.Core.Quantities;

namespace Wendrak.Core.Lengths;

/// <summary>Belts that are made to measure on the spot.</summary>
public enum CutBeltKind
{
    /// <summary>Round or V cord, welded end to end.</summary>
    WeldedCord,

    /// <summary>Round ring, bought by inside diameter.</summary>
    ORing,

    /// <summary>Belt of links that are hooked together.</summary>
    LinkBelt,
}

/// <param name="FittedMm">Length of the path it runs on, at the middle of the belt.</param>
/// <param name="StretchPercent">How much longer it is on the wheels than off them; null for the kind's usual.</param>
/// <param name="JointMm">Added for the joint before it is made: overlap, or what the weld melts away.</param>
/// <param name="SectionMm">Diameter of a round cord or ring; needed for an O-ring and for the pull.</param>
/// <param name="ModulusMpa">Pull per area and stretch, from the maker; null to leave the pull out.</param>
/// <param name="LinkPitchMm">Length of one link of a link belt; null to leave the count out.</param>
public sealed record CutBeltInput(
    CutBeltKind Kind,
    double FittedMm,
    double? StretchPercent,
    double JointMm,
    double? SectionMm,
    double? ModulusMpa,
    double? LinkPitchMm
);

/// <param name="StretchPercent">As given, or the kind's usual.</param>
/// <param name="FreeLengthMm">Off the wheels, joined.</param>
/// <param name="CutLengthMm">To cut, with what the joint takes.</param>
/// <param name="InsideDiameterMm">Of an O-ring; null for other kinds.</param>
/// <param name="Links">Whole links of a link belt; null without their length.</param>
/// <param name="PullN">Pull in the belt at rest from its stretch; null without section and modulus.</param>
/// <param name="IsUsualStretch">False outside the usual range, which stands beside it.</param>
public sealed record CutBeltResult(
    double StretchPercent,
    double FreeLengthMm,
    double CutLengthMm,
    double? InsideDiameterMm,
    int? Links,
    double? PullN,
    bool IsUsualStretch,
    double LeastUsualPercent,
    double MostUsualPercent,
    IReadOnlyList<Working> Workings
);

/// <summary>Free length of a belt that is cut to its drive.</summary>
/// <remarks>Free length = fitted length / (1 + stretch). Stretch 5 to 10 percent: common practice.</remarks>
public static class CutBelt
{
    private const double LeastUsualPercent = 5;
    private const double MostUsualPercent = 10;
    private const double UsualPercent = 8;

    /// <exception cref="InvalidInputException">A value is not physical, or an O-ring has no section.</exception>
    public static CutBeltResult Of(CutBeltInput input)
    {
        new Guard()
            .OneOf(nameof(input.Kind), input.Kind)
            .Between(nameof(input.FittedMm), input.FittedMm, 20, 50_000, "mm")
            .BetweenIfGiven(nameof(input.StretchPercent), input.StretchPercent, 0, 30, "%")
            .Between(nameof(input.JointMm), input.JointMm, 0, 200, "mm")
            .BetweenIfGiven(nameof(input.SectionMm), input.SectionMm, 0.5, 50, "mm")
            .BetweenIfGiven(nameof(input.ModulusMpa), input.ModulusMpa, 0.1, 5_000, "MPa")
            .BetweenIfGiven(nameof(input.LinkPitchMm), input.LinkPitchMm, 2, 200, "mm")
            .That(
                input.Kind != CutBeltKind.ORing || input.SectionMm is not null,
                nameof(input.SectionMm),
                "missing",
                "Give the thickness of the ring: its inside diameter depends on it."
            )
            .ThrowIfAny();
        double stretch = input.StretchPercent ?? UsualPercent;
        double free = input.FittedMm / (1 + stretch / 100);
        double? inside = input.Kind == CutBeltKind.ORing ? free / Math.PI - input.SectionMm : null;
        new Guard()
            .That(
                inside is null or > 0,
                nameof(input.SectionMm),
                "too_large",
                FormattableString.Invariant(
                    $"Give less than {free / Math.PI:0.##} mm: a ring as thick as that has no inside."
                )
            )
            .ThrowIfAny();
        return new(
            stretch,
            free,
            free + input.JointMm,
            inside,
            input.Kind == CutBeltKind.LinkBelt ? (int?)(free / input.LinkPitchMm + 1e-9) : null,
            PullN(input, stretch),
            stretch is >= LeastUsualPercent and <= MostUsualPercent,
            LeastUsualPercent,
            MostUsualPercent,
            Workings(input, stretch, free, inside)
        );
    }

    private static IReadOnlyList<Working> Workings(CutBeltInput input, double stretch, double free, double? inside)
    {
        WorkingValue strain = new("ε", "stretch", stretch / 100, "", input.StretchPercent is null);
        List<Working> workings =
        [
            new(
                "Length to cut",
                "L_cut = L / (1 + ε) + j",
                [
                    new("L", "path of the belt on its wheels", input.FittedMm, "mm"),
                    strain,
                    new("j", "added for the joint", input.JointMm, "mm"),
                ],
                new("L_cut", "to cut", free + input.JointMm, "mm"),
                "definition of strain; stretch of 5 to 10 %: common practice",
                "Takes the whole belt as stretched alike; the maker's stretch and modulus win. A slipping belt wants more stretch within its limit."
            ),
        ];
        if (inside is double diameter)
            workings.Add(
                new(
                    "Inside diameter of the ring",
                    "D = L / (1 + ε) / π − s",
                    [
                        new("L", "path of the belt on its wheels", input.FittedMm, "mm"),
                        strain,
                        new("s", "thickness of the ring", input.SectionMm!.Value, "mm"),
                    ],
                    new("D", "inside", diameter, "mm"),
                    "geometry",
                    "The path is that of the ring's middle."
                )
            );
        if (PullN(input, stretch) is double pull)
            workings.Add(
                new(
                    "Pull at rest",
                    "F = E·A·ε, A = π·s²/4",
                    [
                        new("E", "modulus, from the maker", input.ModulusMpa!.Value, "MPa"),
                        new("s", "thickness of a round cord", input.SectionMm!.Value, "mm"),
                        strain,
                    ],
                    new("F", "in each run", pull, "N"),
                    "Hooke's law",
                    "Fresh and cold: cords lose part of it in the first hours."
                )
            );
        return workings;
    }

    private static double? PullN(CutBeltInput input, double stretch) =>
        Math.PI * input.SectionMm * input.SectionMm / 4 * input.ModulusMpa * stretch / 100;
}
