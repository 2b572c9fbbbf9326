using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Geometry;

/// <summary>Two wheels and the centre distance somebody wants between them.</summary>
public sealed record LengthForCentreInput(Drive Drive, LoopChoice Choice, double CentreMm, bool HalfLinks);

/// <summary>A length that can be had, and the centre distance it asks for.</summary>
/// <param name="Length">Links, belt teeth or mm.</param>
/// <param name="CentreMoveMm">Against the wanted distance.</param>
/// <param name="SmallWrapDeg">Wrap of the smaller wheel there.</param>
/// <param name="TeethInMesh">Whole teeth of the smaller wheel; null for smooth pulleys.</param>
/// <param name="IsStandard">Whether it is of the standard's series; null where no table tells.</param>
public sealed record LengthAtCentre(
    double Length,
    double CentreMm,
    double CentreMoveMm,
    double SmallWrapDeg,
    int? TeethInMesh,
    bool? IsStandard,
    bool IsHalfLink
);

/// <param name="NeededLength">Exact length at the wanted distance, in the unit.</param>
/// <param name="HandbookLength">The handbooks' short form of it.</param>
/// <param name="Nearest">The nearest of the series, then the nearest others. Empty for a belt that is cut.</param>
public sealed record LengthForCentreResult(
    LengthUnit LengthUnit,
    double UnitMm,
    double NeededLength,
    double HandbookLength,
    IReadOnlyList<LengthAtCentre> Nearest
);

/// <summary>From a wanted centre distance to the lengths that come nearest, and the distances those ask for.</summary>
/// <remarks>An endless belt can't be made to measure, so that the centre follows the length. Source: Shigley ch. 17.</remarks>
public static class LengthForCentre
{
    // Of the series, and of the other whole tooth counts.
    private const int Listed = 4;

    // How far to look for a length of the series beside the whole tooth counts, as a part of the needed length.
    private const double Aside = 0.25;

    /// <exception cref="InvalidInputException">Wheels or distance are refused, or the wheels would overlap.</exception>
    public static LengthForCentreResult Of(LengthForCentreInput input)
    {
        Loop loop = DriveLoops.Find(input.Drive, input.Choice.LoopKey, "Choice.LoopKey");
        new Guard("Choice.")
            .CheckWheel(nameof(input.Choice.FrontSize), input.Choice.FrontSize, loop)
            .CheckWheel(nameof(input.Choice.RearSize), input.Choice.RearSize, loop)
            .ThrowIfAny();
        TwoWheels wheels = new(loop, input.Choice.FrontSize, input.Choice.RearSize);
        new Guard().Between(nameof(input.CentreMm), input.CentreMm, 5, 20_000, "mm").ThrowIfAny();
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
        return new(wheels.Unit, wheels.UnitMm, needed, wheels.HandbookLength(input.CentreMm), nearest);
    }

    private static IEnumerable<double> Candidates(Loop loop, double needed, bool halfLinks)
    {
        double aside = loop.Medium == LoopMedium.Chain ? 2 : needed * Aside;
        IEnumerable<double> all = LoopLengths
            .Around(loop, needed - aside, needed + aside, halfLinks)
            .OrderBy(l => Math.Abs(l - needed));
        return all.GroupBy(l => LoopLengths.IsStandard(loop, l)).SelectMany(series => series.Take(Listed));
    }

    private static LengthAtCentre At(TwoWheels wheels, double length, double wantedMm)
    {
        double centre = wheels.Centre(length);
        double wrap = wheels.SmallWrapDeg(centre);
        return new(
            length,
            centre,
            centre - wantedMm,
            wrap,
            wheels.SmallTeeth is int teeth ? (int)(teeth * wrap / 360) : null,
            LoopLengths.IsStandard(wheels.Loop, length),
            wheels.Loop.Medium == LoopMedium.Chain && length % 2 != 0
        );
    }

    /// <summary>The two-wheel formulas of chains and belts under one hood, lengths in links, teeth or mm.</summary>
    private sealed class TwoWheels(Loop loop, double front, double rear)
    {
        private readonly double _d1 = 2 * WheelOutline.Of(loop, front).RunRadiusMm;
        private readonly double _d2 = 2 * WheelOutline.Of(loop, rear).RunRadiusMm;

        public Loop Loop => loop;
        public double UnitMm { get; } = LoopLengths.UnitMm(loop);
        public int? SmallTeeth => loop.IsToothed ? (int)Math.Min(front, rear) : null;

        public LengthUnit Unit =>
            loop.Medium switch
            {
                LoopMedium.Chain => LengthUnit.Links,
                LoopMedium.ToothedBelt => LengthUnit.BeltTeeth,
                _ => LengthUnit.Mm,
            };

        public double Length(double centreMm) =>
            IsChain
                ? ChainLength.Links(UnitMm, (int)front, (int)rear, centreMm)
                : BeltLength.Mm(loop.Course, _d1, _d2, centreMm) / UnitMm;

        public double HandbookLength(double centreMm) =>
            IsChain
                ? ChainLength.HandbookLinks(UnitMm, (int)front, (int)rear, centreMm)
                : BeltLength.HandbookMm(loop.Course, _d1, _d2, centreMm) / UnitMm;

        public double Centre(double length) =>
            IsChain
                ? ChainLength.CentreMm(UnitMm, (int)front, (int)rear, length)
                : BeltLength.CentreMm(loop.Course, _d1, _d2, length * UnitMm);

        /// <summary>Whether a length goes round both wheels without their rims touching.</summary>
        public bool Reaches(double length)
        {
            double apart = WheelOutline.Of(loop, front).OutsideRadiusMm + WheelOutline.Of(loop, rear).OutsideRadiusMm;
            return length > Length(apart + 1e-6);
        }

        public double SmallWrapDeg(double centreMm)
        {
            double across = loop.Course == LoopCourse.Crossed ? -(_d1 + _d2) : Math.Abs(_d2 - _d1);
            return 180 - 2 * Math.Asin(across / (2 * centreMm)) * 180 / Math.PI;
        }

        private bool IsChain => loop.Medium == LoopMedium.Chain;
    }
}
