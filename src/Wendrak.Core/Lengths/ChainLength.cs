using MathNet.Numerics.RootFinding;
using Wendrak.Core.Quantities;
using Wendrak.Core.Wheels;
using static System.Math;
using static Wendrak.Core.Quantities.Maths;

namespace Wendrak.Core.Lengths;

/// <summary>Chain over two sprockets: links from the centre distance and back.</summary>
/// <remarks>
/// Each arc is its share of the teeth, since a chain lies as a polygon of its pitch. Agrees with the tables of ISO 10823. Teeth
/// are the links that lie once round a wheel: of a double pitch chain half its gaps, a broken number where they are odd.
/// </remarks>
public static class ChainLength
{
    // Far below what can be measured; the issue asks for 1 µm.
    private const double AccuracyMm = 1e-9;
    private const double LongestCentreMm = 1e6;

    private static readonly Quantity Pitch = new("pitch", "mm");
    private static readonly Quantity Front = new("links once round the front", "");
    private static readonly Quantity Rear = new("links once round the rear", "");
    private static readonly Quantity Centre = new("centre distance", "mm");

    internal static readonly Formula<Func<double, double, double, double, double, double>> Exact = new(
        "Length for a centre distance",
        "X",
        ("length needed", "links"),
        (C, p, N1, N2, α) =>
            2 * C * Cos(Rad(α)) / p + N1 * (PI - 2 * Rad(α)) / (2 * PI) + N2 * (PI + 2 * Rad(α)) / (2 * PI),
        [Centre, Pitch, Front, Rear, ("lean of the runs", "°")],
        "geometry; agrees with ISO 10823",
        "Two wheels, no idler. The centres in the list solve the same relation for the lengths that can be had."
    );

    private const string ShortSource = "Shigley ch. 17; Machinery's Handbook";
    private const string ShortLimits = "A little short; on very small, nearly equal sprockets right to 0.0001 link.";

    internal static readonly Formula<Func<double, double, double>> ShortRuns = new(
        "Short form: both runs",
        "runs",
        ("as long as the centre distance", "links"),
        (C, p) => 2 * C / p,
        [Centre, Pitch],
        ShortSource,
        ShortLimits
    );

    internal static readonly Formula<Func<double, double, double>> ShortWheels = new(
        "Short form: both wheels",
        "wheels",
        ("half of either", "links"),
        (N1, N2) => (N1 + N2) / 2,
        [Front, Rear],
        ShortSource,
        ShortLimits
    );

    internal static readonly Formula<Func<double, double, double, double, double>> ShortDifference = new(
        "Short form: what unequal wheels add",
        "difference",
        ("the runs lean", "links"),
        (N1, N2, p, C) => Pow(N2 - N1, 2) * p / (4 * Pow(PI, 2) * C),
        [Front, Rear, Pitch, Centre],
        ShortSource,
        ShortLimits
    );

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
        return new(
            ShortRuns.Value(centreMm, pitchMm),
            ShortWheels.Value(teeth1, teeth2),
            ShortDifference.Value(teeth1, teeth2, pitchMm, centreMm)
        );
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

    private static double LinksUnchecked(double pitchMm, double teeth1, double teeth2, double centreMm) =>
        Exact.Value(
            centreMm,
            pitchMm,
            teeth1,
            teeth2,
            RunLean.Deg(
                SprocketSize.PitchDiameterMm.Value(pitchMm, teeth1),
                SprocketSize.PitchDiameterMm.Value(pitchMm, teeth2),
                centreMm
            )
        );
}
