using Wendrak.Core.Gearing;
using Wendrak.Core.Lengths;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Fit;

/// <summary>Two wheels and the centre distance somebody wants between them.</summary>
/// <param name="CentreMm">Distance of the shafts, mm.</param>
/// <param name="HalfLinks">Whether a cranked link may be used.</param>
public sealed record LengthForCentreInput(Drive Drive, LoopChoice Choice, double CentreMm, bool HalfLinks);

/// <summary>A length that can be had, and the centre distance it asks for.</summary>
/// <param name="Length">Links, belt teeth or mm.</param>
/// <param name="CentreMoveMm">Against the wanted distance.</param>
/// <param name="SmallWrapDeg">Wrap of the smaller wheel there.</param>
/// <param name="TeethInMesh">Whole teeth of the smaller wheel; null for smooth pulleys.</param>
/// <param name="IsStandard">Whether it is of the standard's series; null where no table tells.</param>
/// <param name="CentreMm">Distance of the shafts it gives, mm.</param>
/// <param name="IsHalfLink">Joined by a cranked link.</param>
public sealed record LengthAtCentre(
    double Length,
    double CentreMm,
    double CentreMoveMm,
    double SmallWrapDeg,
    int? TeethInMesh,
    bool? IsStandard,
    bool IsHalfLink
);

/// <summary>Lengths that come near a distance of the shafts.</summary>
/// <param name="NeededLength">Exact length at the wanted distance, in the unit.</param>
/// <param name="Handbook">The handbooks' short form of it, piece by piece.</param>
/// <param name="Nearest">The nearest of the series, then the nearest others. Empty for a belt that is cut.</param>
/// <param name="UnitMm">Length of one link or belt tooth, mm; 1 for other belts.</param>
public sealed record LengthForCentreResult(
    LengthUnit LengthUnit,
    double UnitMm,
    double NeededLength,
    LengthPieces Handbook,
    IReadOnlyList<LengthAtCentre> Nearest,
    IReadOnlyList<Working> Workings
);

/// <summary>From a wanted centre distance to the lengths that come nearest, and the distances those ask for.</summary>
/// <remarks>An endless belt can't be made to measure, so that the centre follows the length. Source: Shigley ch. 17.</remarks>
public static class LengthForCentre
{
    // Of the series, and of the other whole tooth counts.
    private const int Listed = 4;

    // How far to look for a length of the series beside the whole tooth counts, as a part of the needed length.
    private const double AsideShare = 0.25;

    /// <exception cref="InvalidInputException">Wheels or distance are refused, or the wheels would overlap.</exception>
    public static LengthForCentreResult Find(LengthForCentreInput input)
    {
        Loop loop = DriveLoops.Find(input.Drive, input.Choice.LoopKey, "Choice.LoopKey");
        new Guard().CheckChoice("Choice.", input.Choice, loop).ThrowIfAny();
        TwoPulleyFormulas wheels = new(loop, input.Choice.FrontSize, input.Choice.RearSize);
        new Guard()
            .MoreThan(nameof(input.CentreMm), input.CentreMm, wheels.TouchingMm, "mm")
            .AtMost(nameof(input.CentreMm), input.CentreMm, 20_000, "mm")
            .ThrowIfAny();
        double needed = wheels.Length(input.CentreMm);
        LengthAtCentre[] nearest =
        [
            .. Candidates(loop, needed, input.HalfLinks)
                .Where(wheels.Reaches)
                .Select(length => At(wheels, length, input.CentreMm))
                .OrderBy(l => l.IsHalfLink)
                .ThenBy(l => l.IsStandard == false)
                .ThenBy(l => Math.Abs(l.Length - needed)),
        ];
        return new(
            LoopLengths.UnitOf(loop.DriveElement),
            wheels.UnitMm,
            needed,
            wheels.HandbookPieces(input.CentreMm),
            nearest,
            [.. wheels.Workings(input.CentreMm)]
        );
    }

    private static IEnumerable<double> Candidates(Loop loop, double needed, bool halfLinks)
    {
        double aside = loop.DriveElement == DriveElement.Chain ? 2 : needed * AsideShare;
        IEnumerable<double> all = LoopLengths
            .Around(loop, needed - aside, needed + aside, halfLinks)
            .OrderBy(l => Math.Abs(l - needed));
        return all.GroupBy(l => LoopLengths.IsStandard(loop, l)).SelectMany(series => series.Take(Listed));
    }

    private static LengthAtCentre At(TwoPulleyFormulas wheels, double length, double wantedMm)
    {
        double centre = wheels.CentreMm(length);
        double wrap = wheels.SmallWrapDeg(centre);
        return new(
            length,
            centre,
            centre - wantedMm,
            wrap,
            wheels.SmallTeeth is double teeth ? (int)(teeth * wrap / 360) : null,
            LoopLengths.IsStandard(wheels.Loop, length),
            wheels.Loop.DriveElement == DriveElement.Chain && length % 2 != 0
        );
    }
}
