using MathNet.Numerics.RootFinding;
using Wendrak.Core.Quantities;
using Wendrak.Core.Wheels;

namespace Wendrak.Core.Lengths;

/// <summary>Chain over two sprockets: links from the centre distance and back.</summary>
/// <remarks>
/// X = 2·C·cos α/p + N1·(π − 2α)/(2π) + N2·(π + 2α)/(2π), sin α = (R2 − R1)/C, R = p/(2·sin(π/N)). Each arc is its
/// share of the teeth, since a chain lies as a polygon of its pitch. Geometry; agrees with the tables of ISO 10823. Teeth are
/// the links that lie once round a wheel: of a double pitch chain half its gaps, a broken number where they are odd.
/// </remarks>
public static class ChainLength
{
    // Far below what can be measured; the issue asks for 1 µm.
    private const double AccuracyMm = 1e-9;
    private const double LongestCentreMm = 1e6;

    /// <summary>Exact number of links, not rounded.</summary>
    /// <exception cref="InvalidInputException">A value is not physical, or one sprocket lies inside the other.</exception>
    public static double Links(double pitchMm, double teeth1, double teeth2, double centreMm)
    {
        Check(pitchMm, teeth1, teeth2)
            .MoreThan("CentreMm", centreMm, SmallestCentreMm(pitchMm, teeth1, teeth2), "mm")
            .ThrowIfAny();
        return LinksUnchecked(pitchMm, teeth1, teeth2, centreMm);
    }

    /// <summary>The handbooks' short form, links. A little short; on very small, nearly equal sprockets right to 0.0001 link.</summary>
    /// <remarks>X = 2C/p + (N1 + N2)/2 + (N2 − N1)²·p/(4π²·C). Source: Shigley ch. 17; Machinery's Handbook.</remarks>
    public static double HandbookLinks(double pitchMm, double teeth1, double teeth2, double centreMm) =>
        HandbookPieces(pitchMm, teeth1, teeth2, centreMm).Sum;

    /// <summary>The three pieces of the short form, links.</summary>
    /// <exception cref="InvalidInputException">A value is not physical.</exception>
    internal static LengthPieces HandbookPieces(double pitchMm, double teeth1, double teeth2, double centreMm)
    {
        Check(pitchMm, teeth1, teeth2).MoreThan("CentreMm", centreMm, 0, "mm").ThrowIfAny();
        double c = centreMm / pitchMm;
        double step = (teeth2 - teeth1) / (2 * Math.PI);
        return new(2 * c, (teeth1 + teeth2) / 2.0, step * step / c);
    }

    /// <summary>Centre distance that a number of links closes, mm.</summary>
    /// <exception cref="InvalidInputException">Too few links to go round both sprockets.</exception>
    public static double CentreMm(double pitchMm, double teeth1, double teeth2, double links)
    {
        Check(pitchMm, teeth1, teeth2).ThrowIfAny();
        double nearest = SmallestCentreMm(pitchMm, teeth1, teeth2);
        double least = LinksUnchecked(pitchMm, teeth1, teeth2, nearest);
        new Guard()
            .MoreThan("Links", links, least, "links")
            .AtMost("Links", links, LongestCentreMm / pitchMm, "links")
            .ThrowIfAny();
        // A chain is longer than twice its centre distance: half its length is always far enough.
        return Brent.FindRoot(
            c => LinksUnchecked(pitchMm, teeth1, teeth2, c) - links,
            nearest,
            Math.Max(nearest, links * pitchMm),
            AccuracyMm,
            200
        );
    }

    /// <summary>The handbooks' closed form of the centre distance, mm.</summary>
    /// <remarks>
    /// C = p/4·(−A + √(A² − 8·((N2 − N1)/2π)²)), A = (N1 + N2)/2 − X. Source: Shigley ch. 17, Eq. 17-35.
    /// </remarks>
    /// <exception cref="InvalidInputException">Too few links.</exception>
    public static double HandbookCentreMm(double pitchMm, double teeth1, double teeth2, double links)
    {
        Check(pitchMm, teeth1, teeth2).ThrowIfAny();
        double a = (teeth1 + teeth2) / 2.0 - links;
        double step = (teeth2 - teeth1) / (2 * Math.PI);
        double root = a * a - 8 * step * step;
        new Guard()
            .That(a < 0 && root >= 0, "Links", "too_few", "Give more links: these do not go round both sprockets.")
            .ThrowIfAny();
        return pitchMm / 4 * (-a + Math.Sqrt(root));
    }

    /// <summary>How far the axle goes back to take up the elongation of a chain, mm, to first order.</summary>
    /// <remarks>ΔC = g·X·p/(2·cos α): both runs become longer by ΔC·cos α. Source: geometry.</remarks>
    /// <param name="elongationPercent">Elongation of the chain, percent.</param>
    public static double ElongationTravelMm(
        double pitchMm,
        double teeth1,
        double teeth2,
        double links,
        double centreMm,
        double elongationPercent
    )
    {
        Check(pitchMm, teeth1, teeth2)
            .MoreThan("CentreMm", centreMm, SmallestCentreMm(pitchMm, teeth1, teeth2), "mm")
            .Between("Links", links, 10, 10_000, "links")
            .Between("ElongationPercent", elongationPercent, 0, 10, "%")
            .ThrowIfAny();
        double sin =
            (SprocketSize.PitchRadiusMm(pitchMm, teeth2) - SprocketSize.PitchRadiusMm(pitchMm, teeth1)) / centreMm;
        return elongationPercent / 100 * links * pitchMm / (2 * Math.Sqrt(1 - sin * sin));
    }

    internal static Guard Check(double pitchMm, double teeth1, double teeth2) =>
        SprocketSize
            .CheckPitch(pitchMm)
            .Between("Teeth1", teeth1, Gearing.WheelSize.FewestChainTeeth, Gearing.WheelSize.MostTeeth, "teeth")
            .Between("Teeth2", teeth2, Gearing.WheelSize.FewestChainTeeth, Gearing.WheelSize.MostTeeth, "teeth");

    /// <summary>Below this one pitch circle lies inside the other and there is no straight run.</summary>
    private static double SmallestCentreMm(double pitchMm, double teeth1, double teeth2) =>
        Math.Abs(SprocketSize.PitchRadiusMm(pitchMm, teeth2) - SprocketSize.PitchRadiusMm(pitchMm, teeth1));

    private static double LinksUnchecked(double pitchMm, double teeth1, double teeth2, double centreMm)
    {
        double sin =
            (SprocketSize.PitchRadiusMm(pitchMm, teeth2) - SprocketSize.PitchRadiusMm(pitchMm, teeth1)) / centreMm;
        double alpha = double.IsNaN(sin) ? 0 : Math.Asin(Math.Clamp(sin, -1, 1));
        return 2 * centreMm * Math.Cos(alpha) / pitchMm
            + teeth1 * (Math.PI - 2 * alpha) / (2 * Math.PI)
            + teeth2 * (Math.PI + 2 * alpha) / (2 * Math.PI);
    }
}
