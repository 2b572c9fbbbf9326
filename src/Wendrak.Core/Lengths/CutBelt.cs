using Wendrak.Core.Quantities;
using static System.Math;
using static Wendrak.Core.Quantities.Maths;

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
/// <param name="LeastUsualPercent">Usual stretch begins here.</param>
/// <param name="MostUsualPercent">Usual stretch ends here.</param>
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
public static class CutBelt
{
    private const double LeastUsualPercent = 5;
    private const double MostUsualPercent = 10;
    private const double UsualPercent = 8;

    /// <exception cref="InvalidInputException">A value is not physical, or an O-ring has no section.</exception>
    public static CutBeltResult Compute(CutBeltInput input)
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
        Given stretch = new(input.StretchPercent ?? UsualPercent, IsUsual: input.StretchPercent is null);
        Explained off = FreeLength.With(input.FittedMm, stretch);
        double free = off.Value;
        Explained? inside = input is { Kind: CutBeltKind.ORing, SectionMm: double ring }
            ? Inside.With(free, ring)
            : null;
        new Guard()
            .That(
                inside is null or { Value: > 0 },
                nameof(input.SectionMm),
                "too_large",
                FormattableString.Invariant(
                    $"Give less than {free / PI:0.##} mm: a ring as thick as that has no inside."
                )
            )
            .ThrowIfAny();
        Explained cut = CutLength.With(free, input.JointMm);
        Explained? pull = input is { SectionMm: double cord, ModulusMpa: double modulus }
            ? Pull.With(modulus, cord, stretch)
            : null;
        return new(
            stretch.Value,
            free,
            cut.Value,
            inside?.Value,
            input.Kind == CutBeltKind.LinkBelt ? (int?)(free / input.LinkPitchMm + 1e-9) : null,
            pull?.Value,
            stretch.Value is >= LeastUsualPercent and <= MostUsualPercent,
            LeastUsualPercent,
            MostUsualPercent,
            [cut.Working, off.Working, .. new[] { inside, pull }.OfType<Explained>().Select(e => e.Working)]
        );
    }

    private static readonly Quantity Path = new("path of the belt on its wheels", "mm");
    private static readonly Quantity Stretch = new("stretch", "%");

    private static readonly Formula<Func<double, double, double>> FreeLength = new(
        "Length off the wheels",
        "L_0",
        ("joined, before it is fitted", "mm"),
        (L, ε) => L / (1 + Part(ε)),
        [Path, Stretch],
        "definition of strain; stretch of 5 to 10 %: common practice",
        "Takes the whole belt as stretched alike; the maker's stretch and modulus win. A slipping belt wants more stretch within its limit."
    );

    private static readonly Formula<Func<double, double, double>> CutLength = new(
        "Length to cut",
        "L_cut",
        ("to cut", "mm"),
        (L_0, j) => L_0 + j,
        [("length off the wheels", "mm"), ("added for the joint", "mm")],
        "sum",
        "As much as the joint takes, and no more."
    );

    private static readonly Formula<Func<double, double, double>> Inside = new(
        "Inside diameter of the ring",
        "D",
        ("inside", "mm"),
        (L_0, s) => L_0 / PI - s,
        [("length off the wheels", "mm"), ("thickness of the ring", "mm")],
        "geometry",
        "The path is that of the ring's middle."
    );

    private static readonly Formula<Func<double, double, double, double>> Pull = new(
        "Pull at rest",
        "F",
        ("in each run", "N"),
        (E, s, ε) => E * PI * Pow(s, 2) / 4 * Part(ε),
        [("modulus, from the maker", "MPa"), ("thickness of a round cord", "mm"), Stretch],
        "Hooke's law",
        "Fresh and cold: cords lose part of it in the first hours."
    );
}
