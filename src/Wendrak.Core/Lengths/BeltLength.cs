using MathNet.Numerics.RootFinding;
using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;
using static System.Math;
using static Wendrak.Core.Quantities.Maths;

namespace Wendrak.Core.Lengths;

/// <summary>Belt over two pulleys: length from the centre distance and back; pitch or datum diameters throughout.</summary>
public static class BeltLength
{
    private const double AccuracyMm = 1e-9;

    private const string Source = "Shigley ch. 17";
    private const string Limits =
        "Two wheels, no idler. The centres in the list solve the same relation for the lengths that can be had.";
    private static readonly Quantity Centre = new("centre distance", "mm");
    private static readonly Quantity Front = new("front, pitch or datum circle", "mm");
    private static readonly Quantity Rear = new("rear, pitch or datum circle", "mm");
    private static readonly Quantity Lean = new("lean of the runs", "°");
    private static readonly Quantity Needed = new("length needed", "mm");

    internal static readonly Formula<Func<double, double, double, double, double>> Open = new(
        "Length for a centre distance",
        "L",
        Needed,
        (C, d, D, α) => 2 * C * Cos(Rad(α)) + PI * (D + d) / 2 + Rad(α) * (D - d),
        [Centre, Front, Rear, Lean],
        Source,
        Limits
    );

    internal static readonly Formula<Func<double, double, double, double, double>> Crossed = new(
        "Length for a centre distance",
        "L",
        Needed,
        (C, d, D, α) => 2 * C * Cos(Rad(α)) + (PI + 2 * Rad(α)) * (D + d) / 2,
        [Centre, Front, Rear, Lean],
        Source,
        Limits
    );

    private const string ShortSource = "Shigley ch. 17; Machinery's Handbook";
    private const string ShortLimits = "Always too short; most of all for crossed belts on near centres.";

    internal static readonly Formula<Func<double, double>> ShortRuns = new(
        "Short form: both runs",
        "runs",
        ("as long as the centre distance", "mm"),
        C => 2 * C,
        [Centre],
        ShortSource,
        ShortLimits
    );

    internal static readonly Formula<Func<double, double, double>> ShortWheels = new(
        "Short form: both wheels",
        "wheels",
        ("half of either", "mm"),
        (d, D) => PI * (d + D) / 2,
        [Front, Rear],
        ShortSource,
        ShortLimits
    );

    internal static readonly Formula<Func<double, double, double>> ShortDifference = new(
        "Short form: what unequal wheels add",
        "difference",
        ("the runs lean", "mm"),
        (a, C) => Pow(a, 2) / (4 * C),
        [("rear less front, or both together of a crossed belt", "mm"), Centre],
        ShortSource,
        ShortLimits
    );

    /// <summary>Exact length, mm.</summary>
    /// <exception cref="InvalidInputException">A value is not physical, or the pulleys are too near each other.</exception>
    public static double Mm(BeltArrangement arrangement, double diameter1Mm, double diameter2Mm, double centreMm)
    {
        Check(diameter1Mm, diameter2Mm)
            .MoreThan("CentreMm", centreMm, SmallestCentreMm(arrangement, diameter1Mm, diameter2Mm), "mm")
            .ThrowIfAny();
        return Unchecked(arrangement, diameter1Mm, diameter2Mm, centreMm);
    }

    /// <summary>The handbooks' short form, mm. Always too short; most of all for crossed belts on near centres.</summary>
    /// <remarks>L = 2C + π(D + d)/2 + (D ∓ d)²/(4C). Source: Shigley ch. 17.</remarks>
    public static double HandbookMm(
        BeltArrangement arrangement,
        double diameter1Mm,
        double diameter2Mm,
        double centreMm
    ) => HandbookPieces(arrangement, diameter1Mm, diameter2Mm, centreMm).Sum;

    /// <summary>The three pieces of the short form, mm.</summary>
    /// <exception cref="InvalidInputException">A value is not physical.</exception>
    internal static LengthPieces HandbookPieces(
        BeltArrangement arrangement,
        double diameter1Mm,
        double diameter2Mm,
        double centreMm
    )
    {
        Check(diameter1Mm, diameter2Mm).MoreThan("CentreMm", centreMm, 0, "mm").ThrowIfAny();
        double across = Across(arrangement, diameter1Mm, diameter2Mm);
        return new(
            ShortRuns.Value(centreMm),
            ShortWheels.Value(diameter1Mm, diameter2Mm),
            ShortDifference.Value(across, centreMm)
        );
    }

    /// <summary>Centre distance that a belt length closes, mm.</summary>
    /// <exception cref="InvalidInputException">The belt is too short to go round both pulleys.</exception>
    public static double CentreMm(BeltArrangement arrangement, double diameter1Mm, double diameter2Mm, double lengthMm)
    {
        Check(diameter1Mm, diameter2Mm).ThrowIfAny();
        double nearest = SmallestCentreMm(arrangement, diameter1Mm, diameter2Mm);
        double least = Unchecked(arrangement, diameter1Mm, diameter2Mm, nearest);
        new Guard().MoreThan("LengthMm", lengthMm, least, "mm").AtMost("LengthMm", lengthMm, 1e6, "mm").ThrowIfAny();
        return Brent.FindRoot(
            c => Unchecked(arrangement, diameter1Mm, diameter2Mm, c) - lengthMm,
            nearest,
            lengthMm,
            AccuracyMm,
            200
        );
    }

    /// <summary>The handbooks' closed form of the centre distance of an open belt, mm.</summary>
    /// <remarks>C = (k + √(k² − 2(D − d)²))/4, k = L − π(D + d)/2. Source: Shigley ch. 17.</remarks>
    /// <exception cref="InvalidInputException">The belt is too short.</exception>
    public static double HandbookCentreMm(double diameter1Mm, double diameter2Mm, double lengthMm)
    {
        Check(diameter1Mm, diameter2Mm).ThrowIfAny();
        double k = lengthMm - Math.PI * (diameter1Mm + diameter2Mm) / 2;
        double across = diameter1Mm - diameter2Mm;
        double root = k * k - 2 * across * across;
        new Guard()
            .That(
                k > 0 && root >= 0,
                "LengthMm",
                "too_short",
                "Give a longer belt: this one does not go round both pulleys."
            )
            .ThrowIfAny();
        return (k + Math.Sqrt(root)) / 4;
    }

    private static Guard Check(double diameter1Mm, double diameter2Mm) =>
        new Guard()
            .Between("Diameter1Mm", diameter1Mm, WheelSize.SmallestDatumMm, WheelSize.LargestDatumMm, "mm")
            .Between("Diameter2Mm", diameter2Mm, WheelSize.SmallestDatumMm, WheelSize.LargestDatumMm, "mm");

    /// <summary>An open belt may go round touching circles inside each other; a crossed one needs room to cross.</summary>
    private static double SmallestCentreMm(BeltArrangement arrangement, double diameter1Mm, double diameter2Mm) =>
        Math.Abs(Across(arrangement, diameter1Mm, diameter2Mm)) / 2;

    private static double Across(BeltArrangement arrangement, double diameter1Mm, double diameter2Mm) =>
        arrangement == BeltArrangement.Crossed ? diameter1Mm + diameter2Mm : diameter2Mm - diameter1Mm;

    private static double Unchecked(
        BeltArrangement arrangement,
        double diameter1Mm,
        double diameter2Mm,
        double centreMm
    )
    {
        bool isCrossed = arrangement == BeltArrangement.Crossed;
        double lean = RunLean.Deg(diameter1Mm, diameter2Mm, centreMm, isCrossed);
        return (isCrossed ? Crossed : Open).Value(centreMm, diameter1Mm, diameter2Mm, lean);
    }
}
