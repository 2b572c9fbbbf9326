using System.Globalization;
using System.Text.RegularExpressions;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;

namespace Wendrak.Core.Gearing;

/// <summary>Which system a marking belongs to.</summary>
public enum SizeForm
{
    MetricMotorcycle,
    InchMotorcycle,
    AlphanumericMotorcycle,
    Etrto,
    InchBicycle,
    PlainDiameter,
}

/// <summary>What a marking says.</summary>
/// <param name="FreeDiameterMm">Diameter unloaded, mm.</param>
/// <param name="RollingFactor">Rolling over free circumference, a default for this kind of tyre.</param>
/// <param name="Explanation">How the marking was read, for the person who typed it.</param>
/// <param name="Source">Standard behind the diameter.</param>
public sealed record SizeReading(
    SizeForm Form,
    double FreeDiameterMm,
    double RollingFactor,
    string Explanation,
    string Source
);

/// <summary>Reads the size written on a tyre, wheel, drum or roller.</summary>
public static partial class RoadWheelSize
{
    /// <summary>Forms that can be read, for a refusal and for the hint beside the field.</summary>
    public const string AcceptedForms =
        "180/55ZR17, 130/90-16, MT90-16, 3.25-19, 47-622, 26x2.10, 700x28C, 100 mm or 4 in";

    /// <summary>Smallest and largest plain diameter (roller, drum) taken at face value, mm.</summary>
    public const double SmallestPlainMm = 10;
    public const double LargestPlainMm = 3000;

    /// <summary>Smallest and largest tyre taken at face value, mm.</summary>
    public const double SmallestTyreMm = 60;
    public const double LargestTyreMm = 1000;

    // Ratio of rolling to free circumference. Motorcycle: ETRTO coefficients 3.05 (radial) and 2.99 (diagonal) over π,
    // from memory. Bicycle and solid wheels: common practice.
    private const double RadialFactor = 3.05 / Math.PI;
    private const double DiagonalFactor = 2.99 / Math.PI;
    private const double BicycleFactor = 0.99;

    // A bare diameter is taken as measured where it rolls: drum, roller, solid wheel.
    private const double PlainFactor = 1.0;

    /// <summary>Reads a marking.</summary>
    /// <param name="text">As written on the wheel; case and spaces do not matter, a decimal comma is accepted.</param>
    /// <exception cref="InvalidInputException">Not readable, or ambiguous: the message says what was understood.</exception>
    /// <remarks>Forms and sources: docs/sources.md, “Road wheel sizes”.</remarks>
    public static SizeReading Parse(string text)
    {
        string compact = Normal(text);
        if (BareNumberPattern().IsMatch(compact))
            throw Bare(compact);
        SizeReading reading =
            PlainDiameter(compact)
            ?? MetricMotorcycle(compact)
            ?? Alphanumeric(compact)
            ?? InchBicycle(compact)
            ?? DashedPair(compact)
            ?? throw Unreadable(text, compact);
        new Guard()
            .Between(
                "Size",
                reading.FreeDiameterMm,
                reading.Form == SizeForm.PlainDiameter ? SmallestPlainMm : SmallestTyreMm,
                reading.Form == SizeForm.PlainDiameter ? LargestPlainMm : LargestTyreMm,
                "mm across"
            )
            .ThrowIfAny();
        return reading;
    }

    private static string Normal(string text) =>
        Spaces()
            .Replace(text, "")
            .Replace(',', '.')
            .Replace('×', 'x')
            .Replace('–', '-')
            .Replace('″', '"')
            .ToUpperInvariant();

    private static SizeReading? PlainDiameter(string text)
    {
        Match m = PlainPattern().Match(text);
        if (!m.Success)
            return null;
        double value = Number(m, "d");
        bool inch = m.Groups["u"].Value != "MM";
        double mm = inch ? value * UnitFactors.MmPerInch : value;
        return new(SizeForm.PlainDiameter, mm, PlainFactor, "A plain diameter.", "as measured");
    }

    private static SizeReading? MetricMotorcycle(string text)
    {
        Match m = MetricPattern().Match(text);
        if (!m.Success)
            return null;
        return Metric(
            SizeForm.MetricMotorcycle,
            Number(m, "w"),
            Number(m, "a"),
            Number(m, "r"),
            m.Groups["c"].Value.Contains('R'),
            "ISO 5751"
        );
    }

    private static SizeReading Metric(
        SizeForm form,
        double width,
        double aspect,
        double rim,
        bool radial,
        string source
    )
    {
        double diameter = UnitFactors.MmPerInch * rim + 2 * width * aspect / 100;
        string structure = radial ? "radial" : "diagonal or belted";
        return new(
            form,
            diameter,
            radial ? RadialFactor : DiagonalFactor,
            FormattableString.Invariant($"{width} mm wide, side {aspect} % of that, {rim} in rim, {structure}."),
            source
        );
    }

    private static SizeReading? Alphanumeric(string text)
    {
        Match m = LetterPattern().Match(text);
        if (!m.Success)
            return null;
        double? width = WidthOfLetters(m.Groups["l"].Value);
        if (width is null)
            return null;
        return Metric(
            SizeForm.AlphanumericMotorcycle,
            width.Value,
            Number(m, "a"),
            Number(m, "r"),
            m.Groups["c"].Value.Contains('R'),
            "letter widths from memory"
        );
    }

    /// <summary>Section width of a letter pair, mm. From memory: confirm with a metric marking where there is one.</summary>
    private static double? WidthOfLetters(string letters) =>
        letters switch
        {
            "MH" => 80,
            "MJ" => 90,
            "MM" => 100,
            "MN" => 110,
            "MR" => 120,
            "MT" => 130,
            "MU" => 140,
            "MV" => 150,
            _ => null,
        };

    private static SizeReading? InchBicycle(string text)
    {
        Match m = InchBicyclePattern().Match(text);
        if (!m.Success)
            return null;
        double code = Number(m, "d");
        double width = Number(m, "w");
        // French sizes carry the bead seat in the name: 700C and 650B with a width in mm, or in inches below 10.
        string letter = m.Groups["f"].Value + m.Groups["p"].Value;
        double? french = (code, letter) switch
        {
            (700, _) => 622,
            (650, "A") => 590,
            (650, "B") => 584,
            (650, "C") => 571,
            _ => null,
        };
        double? bead = french ?? BeadSeats.OfDecimalInchCode(code);
        if (bead is null || m.Groups["frac"].Success)
            throw Ambiguous(code, m.Groups["frac"].Success);
        double widthMm = width < 10 ? width * UnitFactors.MmPerInch : width;
        return new(
            SizeForm.InchBicycle,
            bead.Value + 2 * widthMm,
            BicycleFactor,
            FormattableString.Invariant($"Bead seat {bead} mm, {widthMm:0.#} mm wide."),
            "ISO 5775 bead seats"
        );
    }

    /// <summary>“47-622” and “3.25-19” look alike: a second number above 100 is a bead seat in mm.</summary>
    private static SizeReading? DashedPair(string text)
    {
        Match m = DashedPattern().Match(text);
        if (!m.Success)
            return null;
        double width = Number(m, "w");
        double second = Number(m, "d");
        if (second > 100)
            return Etrto(width, second);
        if (width is < 1 or > 7 || second is < 6 or > 30)
            return null;
        double aspect = IsLowSection(width) ? 0.85 : 1.0;
        return new(
            SizeForm.InchMotorcycle,
            UnitFactors.MmPerInch * (second + 2 * width * aspect),
            DiagonalFactor,
            FormattableString.Invariant(
                $"{width} in wide, side {aspect * 100:0} % of that, {second} in rim, diagonal."
            ),
            aspect < 1 ? "ISO 4223, low section from memory" : "ISO 4223"
        );
    }

    private static SizeReading Etrto(double width, double bead)
    {
        string? names = BeadSeats.CommonNames(bead);
        string known = names is null ? "not among the usual bead seats: check the sidewall" : $"also called {names}";
        return new(
            SizeForm.Etrto,
            bead + 2 * width,
            BicycleFactor,
            FormattableString.Invariant($"{width} mm wide on a {bead} mm bead seat ({known})."),
            "ISO 5775"
        );
    }

    // Widths whose side is 0.85 of the width instead of all of it. From memory.
    private static bool IsLowSection(double width) => width is 3.60 or 4.10 or 4.60 or 5.10 or 6.10;

    private static InvalidInputException Ambiguous(double code, bool fraction)
    {
        string number = code.ToString(CultureInfo.InvariantCulture);
        IReadOnlyList<double> beads = BeadSeats.CandidatesForInchCode(code);
        string could = beads.Count > 0 ? $" {number} in may sit on bead seat {string.Join(", ", beads)} mm." : "";
        string why = fraction
            ? "An inch size with a fraction is another tyre than the same number with a decimal."
            : $"{number} in is not one of the decimal inch sizes.";
        return new(
            "Size",
            "ambiguous",
            $"{why}{could} Give the two numbers with a dash from the sidewall, e.g. 37-590, or a roll-out."
        );
    }

    private static InvalidInputException Bare(string number)
    {
        IReadOnlyList<double> beads = BeadSeats.CandidatesForInchCode(
            double.Parse(number, CultureInfo.InvariantCulture)
        );
        string could =
            beads.Count > 1 ? $" As a bicycle size it may mean bead seat {string.Join(", ", beads)} mm." : "";
        return new(
            "Size",
            "ambiguous",
            $"A number alone has no unit.{could} Give {number} mm, {number} in, or the whole marking."
        );
    }

    private static InvalidInputException Unreadable(string text, string compact)
    {
        string[] numbers = [.. NumberPattern().Matches(compact).Select(m => m.Value)];
        string understood =
            numbers.Length == 0
                ? "There is no number in it."
                : $"Understood the numbers {string.Join(" and ", numbers.Take(4))}, but not how they belong together.";
        string shown = text.Length > 30 ? text[..30] + "…" : text;
        return new("Size", "unreadable", $"“{shown}” can't be read. {understood} Give e.g. {AcceptedForms}.");
    }

    private static double Number(Match match, string group) =>
        double.Parse(match.Groups[group].ValueSpan, NumberStyles.Float, CultureInfo.InvariantCulture);

    private const string N = @"\d{1,4}(?:\.\d{1,3})?";

    [GeneratedRegex(@"\s+")]
    private static partial Regex Spaces();

    [GeneratedRegex($"^{N}$")]
    private static partial Regex BareNumberPattern();

    [GeneratedRegex(N)]
    private static partial Regex NumberPattern();

    [GeneratedRegex($"^(?<d>{N})(?<u>MM|IN|INCH|\")$")]
    private static partial Regex PlainPattern();

    [GeneratedRegex(
        $@"^(?<w>\d{{2,3}})/(?<a>\d{{2,3}})(?<c>-|[A-Z]{{1,3}}-?)(?<r>\d{{1,2}}(?:\.5)?)(?:[A-Z0-9()/]{{0,12}})?$"
    )]
    private static partial Regex MetricPattern();

    [GeneratedRegex(@"^(?<l>[A-Z]{2})(?<a>\d{2,3})(?<c>-|[A-Z]{1,2}-?)(?<r>\d{2})$")]
    private static partial Regex LetterPattern();

    [GeneratedRegex($@"^(?<d>{N})(?<p>[ABC]?)X(?<w>{N})(?<frac>(?:\d/\d{{1,2}}|/\d{{1,2}}).*)?(?<f>[ABC]?)$")]
    private static partial Regex InchBicyclePattern();

    [GeneratedRegex($@"^(?<w>{N})-(?<d>{N})(?:[A-Z]{{0,3}})?$")]
    private static partial Regex DashedPattern();
}
