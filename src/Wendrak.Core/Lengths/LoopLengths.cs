using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wheels;

namespace Wendrak.Core.Lengths;

/// <summary>Lengths a chain or belt is made in.</summary>
public static class LoopLengths
{
    /// <summary>Of a toothed belt, from its mm.</summary>
    internal static readonly Formula<Func<double, double, double>> InTeeth = new(
        "Length in belt teeth",
        "X",
        ("length", "teeth"),
        (L, p) => L / p,
        [("length", "mm"), ("pitch", "mm")],
        "definition of pitch",
        "Only whole teeth can be had."
    );

    /// <summary>Of a chain, from its mm.</summary>
    internal static readonly Formula<Func<double, double, double>> InLinks = new(
        "Length in links",
        "X",
        ("length", "links"),
        (L, p) => L / p,
        [("length", "mm"), ("pitch", "mm")],
        "definition of pitch",
        "Only whole links can be had; an odd number asks for a half link."
    );

    /// <summary>Datum lengths of V-belts, mm. Source: ISO 4184 on the R20 series of ISO 3 (from memory).</summary>
    public static IReadOnlyList<double> StandardDatumLengthsMm { get; } =
    [
        630,
        710,
        800,
        900,
        1000,
        1120,
        1250,
        1400,
        1600,
        1800,
        2000,
        2240,
        2500,
        2800,
        3150,
        3550,
        4000,
        4500,
        5000,
        5600,
        6300,
        7100,
        8000,
    ];

    /// <summary>Whether a length is of the standard's series; null where no table tells, as for chains.</summary>
    public static bool? IsStandard(Loop loop, double length) => IsStandard(loop.DriveElement, loop.Standard, length);

    /// <inheritdoc cref="IsStandard(Loop, double)"/>
    public static bool? IsStandard(DriveElement element, string standard, double length) =>
        element switch
        {
            DriveElement.VBelt => StandardDatumLengthsMm.Contains(length),
            DriveElement.ToothedBelt => BeltLengths.TeethFor(standard)?.Contains((int)length),
            _ => null,
        };

    /// <summary>What the length of a loop is counted in.</summary>
    public static LengthUnit UnitOf(DriveElement element) =>
        element switch
        {
            DriveElement.Chain => LengthUnit.Links,
            DriveElement.ToothedBelt => LengthUnit.BeltTeeth,
            _ => LengthUnit.Mm,
        };

    /// <summary>Loop length of one unit, mm: the pitch of a chain or toothed belt, 1 for a belt measured in mm.</summary>
    public static double UnitMm(Loop loop) => loop.IsToothed ? WheelOutline.PitchMm(loop) : 1;

    /// <summary>
    /// Lengths from one below the range to one above it, in units of <see cref="UnitMm"/>: even links, all belt teeth,
    /// standard datum lengths. Empty for a belt that is cut to length.
    /// </summary>
    /// <param name="halfLinks">Odd link counts too, joined by a cranked link.</param>
    public static IReadOnlyList<double> Around(Loop loop, double least, double most, bool halfLinks)
    {
        if (loop.DriveElement == DriveElement.VBelt)
        {
            double[] all = [.. StandardDatumLengthsMm];
            int first = Math.Max(0, Array.FindIndex(all, l => l >= least) - 1);
            int last = Array.FindIndex(all, l => l > most);
            return all[first..(last < 0 ? all.Length : last + 1)];
        }
        if (!loop.IsToothed)
            return [];
        int step = loop.DriveElement == DriveElement.Chain && !halfLinks ? 2 : 1;
        double from = Math.Ceiling(least / step) * step - step;
        double to = Math.Floor(most / step) * step + step;
        List<double> lengths = [];
        for (double length = Math.Max(step, from); length <= to; length += step)
            lengths.Add(length);
        return lengths;
    }
}
