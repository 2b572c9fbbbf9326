using MathNet.Numerics.RootFinding;
using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Lengths;

/// <summary>Belt over two pulleys: length from the centre distance and back; pitch or datum diameters throughout.</summary>
/// <remarks>
/// Open: sin α = (D − d)/(2C), L = 2C·cos α + π(D + d)/2 + α(D − d). Crossed: sin α = (D + d)/(2C),
/// L = 2C·cos α + (π + 2α)(D + d)/2. Source: Shigley ch. 17.
/// </remarks>
public static class BeltLength
{
    private const double AccuracyMm = 1e-9;

    /// <summary>Exact length, mm.</summary>
    /// <exception cref="InvalidInputException">A value is not physical, or the pulleys are too near each other.</exception>
    public static double Mm(BeltArrangement course, double diameter1Mm, double diameter2Mm, double centreMm)
    {
        Check(diameter1Mm, diameter2Mm)
            .MoreThan("CentreMm", centreMm, SmallestCentreMm(course, diameter1Mm, diameter2Mm), "mm")
            .ThrowIfAny();
        return Unchecked(course, diameter1Mm, diameter2Mm, centreMm);
    }

    /// <summary>The handbooks' short form, mm. Always too short; most of all for crossed belts on near centres.</summary>
    /// <remarks>L = 2C + π(D + d)/2 + (D ∓ d)²/(4C). Source: Shigley ch. 17.</remarks>
    public static double HandbookMm(BeltArrangement course, double diameter1Mm, double diameter2Mm, double centreMm) =>
        HandbookPieces(course, diameter1Mm, diameter2Mm, centreMm).Sum;

    /// <summary>The three pieces of the short form, mm.</summary>
    /// <exception cref="InvalidInputException">A value is not physical.</exception>
    internal static LengthPieces HandbookPieces(
        BeltArrangement course,
        double diameter1Mm,
        double diameter2Mm,
        double centreMm
    )
    {
        Check(diameter1Mm, diameter2Mm).MoreThan("CentreMm", centreMm, 0, "mm").ThrowIfAny();
        double across = Across(course, diameter1Mm, diameter2Mm);
        return new(2 * centreMm, Math.PI * (diameter1Mm + diameter2Mm) / 2, across * across / (4 * centreMm));
    }

    /// <summary>Centre distance that a belt length closes, mm.</summary>
    /// <exception cref="InvalidInputException">The belt is too short to go round both pulleys.</exception>
    public static double CentreMm(BeltArrangement course, double diameter1Mm, double diameter2Mm, double lengthMm)
    {
        Check(diameter1Mm, diameter2Mm).ThrowIfAny();
        double nearest = SmallestCentreMm(course, diameter1Mm, diameter2Mm);
        double least = Unchecked(course, diameter1Mm, diameter2Mm, nearest);
        new Guard().MoreThan("LengthMm", lengthMm, least, "mm").AtMost("LengthMm", lengthMm, 1e6, "mm").ThrowIfAny();
        return Brent.FindRoot(
            c => Unchecked(course, diameter1Mm, diameter2Mm, c) - lengthMm,
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
    private static double SmallestCentreMm(BeltArrangement course, double diameter1Mm, double diameter2Mm) =>
        Math.Abs(Across(course, diameter1Mm, diameter2Mm)) / 2;

    private static double Across(BeltArrangement course, double diameter1Mm, double diameter2Mm) =>
        course == BeltArrangement.Crossed ? diameter1Mm + diameter2Mm : diameter2Mm - diameter1Mm;

    private static double Unchecked(BeltArrangement course, double diameter1Mm, double diameter2Mm, double centreMm)
    {
        double across = Across(course, diameter1Mm, diameter2Mm);
        double sin = across / (2 * centreMm);
        double alpha = double.IsNaN(sin) ? 0 : Math.Asin(Math.Clamp(sin, -1, 1));
        double straight = 2 * centreMm * Math.Cos(alpha) + Math.PI * (diameter1Mm + diameter2Mm) / 2;
        return straight + alpha * across;
    }
}
