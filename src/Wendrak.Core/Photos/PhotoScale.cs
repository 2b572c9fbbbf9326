using Wendrak.Core.Quantities;
using static Wendrak.Core.Quantities.Maths;

namespace Wendrak.Core.Photos;

/// <summary>A line drawn on a photo, in pixels of the stored picture from its upper left corner.</summary>
/// <param name="X1">Of its beginning, px to the right.</param>
/// <param name="Y1">Of its beginning, px down.</param>
/// <param name="X2">Of its end, px to the right.</param>
/// <param name="Y2">Of its end, px down.</param>
public sealed record DrawnLine(double X1, double Y1, double X2, double Y2)
{
    internal double LengthPx => Math.Sqrt(((X2 - X1) * (X2 - X1)) + ((Y2 - Y1) * (Y2 - Y1)));
}

/// <summary>A length on a photo, by another one that is known.</summary>
/// <param name="LengthMm">Best estimate, mm.</param>
/// <param name="PlusMinusMm">What the placing of four ends by a finger leaves open, mm.</param>
/// <param name="Working">Formula, values, source and limits.</param>
public sealed record PhotoLength(double LengthMm, double PlusMinusMm, Working Working);

/// <summary>Measures on a photo: a line of known length sets the scale for another one.</summary>
public static class PhotoScale
{
    /// <summary>Where a finger puts an end of a line, px of the stored picture. Judgement: half a fingertip's slip on a phone.</summary>
    public const double EndPx = 3;

    /// <summary>The shortest line that sets a scale or is measured, px. Judgement: below it the ends alone are a fifth of it.</summary>
    public const double ShortestPx = 20;

    /// <summary>Both lines lie in one plane, and the camera looks square at it.</summary>
    /// <param name="known">Line whose length is known.</param>
    /// <param name="knownMm">Its length, mm.</param>
    /// <param name="measured">Line to be measured.</param>
    public static PhotoLength Measure(DrawnLine known, double knownMm, DrawnLine measured)
    {
        Explained length = Length.With(knownMm, measured.LengthPx, known.LengthPx);
        double open = Open.With(length.Value, EndPx, measured.LengthPx, known.LengthPx).Value;
        return new(
            length.Value,
            open,
            length.Working with
            {
                Beside =
                [
                    new("±", FormattableString.Invariant($"the four ends, each put down to {EndPx} px"), open, "mm"),
                ],
            }
        );
    }

    private const string Plane =
        "Both lines in one plane and the camera square to it: a part a tenth nearer to the camera reads a tenth too long.";

    private static readonly Formula<Func<double, double, double, double>> Length = new(
        "Length on a photo",
        "l",
        ("along the line", "mm"),
        (L, p, P) => L * p / P,
        [("known length", "mm"), ("line that is measured", "px"), ("line of known length", "px")],
        "similar figures: what lies in one plane square to the camera is pictured in one scale; common practice",
        Plane
    );

    private static readonly Formula<Func<double, double, double, double, double>> Open = new(
        "What the ends leave open",
        "u",
        ("on either side", "mm"),
        (l, e, p, P) => l * e * Math.Sqrt(2) * Math.Sqrt(1 / (p * p) + 1 / (P * P)),
        [("length", "mm"), ("each end put down to", "px"), ("line measured", "px"), ("line of known length", "px")],
        "propagation of independent uncertainties through a quotient, JCGM 100:2008, 5.1.2",
        "The ends only; not a tilted camera."
    );
}
