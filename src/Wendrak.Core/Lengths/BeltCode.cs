using System.Globalization;
using System.Text.RegularExpressions;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Lengths;

/// <summary>What length a code on a belt tells.</summary>
public enum BeltCodeLength
{
    /// <summary>Teeth, or the pitch length they make.</summary>
    Pitch,

    /// <summary>Datum length of a V-belt.</summary>
    Datum,

    /// <summary>Inside length of a V-belt; the datum length follows from the section.</summary>
    Inside,

    /// <summary>Effective outside length of a narrow inch belt: not to be mixed with datum diameters.</summary>
    Effective,
}

/// <summary>A belt's code, read.</summary>
/// <param name="LengthKind">What the figure in the code is.</param>
/// <param name="Teeth">Null for friction belts.</param>
/// <param name="LengthMm">Pitch length of a toothed belt, datum length of a V-belt, effective length of a narrow inch belt.</param>
/// <param name="InsideLengthMm">Of a V-belt whose section tells it; else null.</param>
/// <param name="WidthMm">Null where the code does not say.</param>
/// <param name="IsNotched">Whether its inside is notched (an X in the section) or plain; null for toothed belts.</param>
/// <param name="Code">The code written the standard's way.</param>
/// <param name="Standard">Profile or section it tells.</param>
public sealed record BeltCodeReading(
    DriveElement DriveElement,
    string Standard,
    BeltCodeLength LengthKind,
    int? Teeth,
    double LengthMm,
    double? InsideLengthMm,
    double? WidthMm,
    bool? IsNotched,
    string Code
);

/// <summary>What a code says.</summary>
/// <param name="Reading">Null where it names no profile or section.</param>
/// <param name="CouldBe">Without one: what it could be, by its figure alone; those of the loop's own kind first.</param>
public sealed record BeltCodeAnswer(BeltCodeReading? Reading, IReadOnlyList<BeltCodeReading> CouldBe);

/// <summary>Reads the codes that stand on belts, and writes them.</summary>
/// <remarks>
/// Toothed, metric: length – profile – width in mm, e.g. 1240-8M-30 (ISO 13050); width profile/length, e.g. 16T5/500
/// (DIN 7721); teeth with a T, e.g. 118T BIKE11. Toothed, inch: length in tenths of an inch, profile, width in
/// hundredths, e.g. 300L075 (ISO 5296). V: section and datum length in mm, e.g. SPZ 1250 (ISO 4184), or inside length
/// in inches for A to D, e.g. A52 (Shigley ch. 17); narrow inch belts tenths of an inch, e.g. 5V800. Forms from memory.
/// </remarks>
public static class BeltCode
{
    private const double LeastTeeth = 10;
    private const double MostTeeth = 10_000;

    // Standard inch codes drop up to a half of a tenth: 187 stands for 18.75 in, an eighth of a tooth.
    private const double LargestOddTooth = 0.2;

    // Largest codes of the series, inches, with some room: A 180, B 360, C 420, D 660. From memory.
    private const double LongestInchCodeOfA = 200;
    private const double LongestInchCode = 660;

    private const double ShortestVMm = 150;
    private const double LongestVMm = 25_000;

    private static readonly HashSet<string> InchProfiles = ["MXL", "XL", "L", "H", "XH"];
    private static readonly HashSet<string> EffectiveSections = ["3V", "5V", "8V", "3VX", "5VX"];

    private const string Forms = "Give a code like 1240-8M-30, 16T5/500, 300L075, 118T BIKE11, SPZ 1250, A52 or 5V800.";

    // The longest designations first, so that XL is not read as L.
    private static readonly string Profiles = string.Join(
        '|',
        SynchronousProfiles.All.Select(p => p.ProfileId).OrderByDescending(id => id.Length).Select(Regex.Escape)
    );
    private static readonly string Sections = string.Join(
        '|',
        VSections.All.Select(s => s.Section).OrderByDescending(id => id.Length).Select(Regex.Escape)
    );
    private static readonly Regex ToothedForm = new(
        $@"^(?<before>[0-9.]+)?(?<teeth>T(?![0-9]))?[-/ ]*(?<profile>{Profiles})(?:[-/ ]*(?<after>[0-9.]+))?(?<teethAfter>T)?$",
        RegexOptions.CultureInvariant
    );
    private static readonly Regex VForm = new(
        $@"^(?<section>{Sections})[-/ ]*(?<length>[0-9.]+)[ ]*(?<unit>MM|IN|LD|LI)?$",
        RegexOptions.CultureInvariant
    );

    /// <summary>Reads a code. Spaces, dashes, slashes and lower case don't matter; a comma is a decimal point.</summary>
    /// <exception cref="InvalidInputException">No such form, or a length that makes no whole tooth count.</exception>
    public static BeltCodeReading Read(string code)
    {
        string text = (code ?? "").Trim().ToUpperInvariant().Replace(',', '.').Replace('–', '-');
        if (text.Length > Guard.LongestName)
            throw Refused("too_long", $"Give {Guard.LongestName} characters or fewer.");
        if (ToothedForm.Match(text) is { Success: true } toothed)
            return Toothed(toothed);
        return VForm.Match(text) is { Success: true } v ? VBelt(v) : throw Refused("unreadable", Forms);
    }

    private const int MostPossible = 12;

    /// <summary>Reads a code, or says what a figure without profile or section could be.</summary>
    /// <param name="likely">Standard of the loop it is held against; null for none.</param>
    /// <exception cref="InvalidInputException">No such form, and nothing it could be.</exception>
    public static BeltCodeAnswer Answer(string code, string? likely)
    {
        if (!LoneFigure.IsMatch((code ?? "").Trim()))
            return new(Read(code!), []);
        BeltCodeReading[] possible =
        [
            .. Sectionless(code!.Trim())
                .OrderByDescending(r => r.Standard == likely)
                .ThenByDescending(r =>
                    LoopLengths.IsStandard(r.DriveElement, r.Standard, r.Teeth ?? r.LengthMm) == true
                )
                .Take(MostPossible),
        ];
        return possible.Length > 0 ? new(null, possible) : throw Refused("unreadable", Forms);
    }

    private static readonly Regex LoneFigure = new(@"^[0-9]+([.,][0-9]+)?$", RegexOptions.CultureInvariant);

    /// <summary>The figure read as a length of every profile and section it makes a belt of.</summary>
    private static IEnumerable<BeltCodeReading> Sectionless(string figure)
    {
        foreach (
            string standard in SynchronousProfiles
                .All.Select(p => p.ProfileId)
                .Concat(VSections.All.Select(s => s.Section))
        )
        {
            BeltCodeReading? read = null;
            try
            {
                read = Read(WritesWidthFirst(standard) ? $"{standard}/{figure}" : $"{standard} {figure}");
            }
            catch (InvalidInputException)
            {
                continue; // No belt of that profile is as long.
            }
            yield return read;
        }
    }

    private static bool IsNotched(VSection section) => section.Section.EndsWith('X');

    /// <summary>Writes the code of a toothed belt.</summary>
    /// <exception cref="InvalidInputException">The profile is in no table.</exception>
    public static string Write(string profileId, int teeth, double? widthMm)
    {
        SynchronousProfile profile =
            SynchronousProfiles.Find(profileId)
            ?? throw new InvalidInputException("Standard", "unknown", "Give a toothed-belt profile of the tables.");
        double length = teeth * profile.PitchMm;
        if (InchProfiles.Contains(profileId))
        {
            double tenths = length / UnitFactors.MmPerInch * 10;
            // 18.75 in is written 187, as the standard drops the half; the finest profile keeps a decimal.
            double written = profileId == "MXL" ? tenths : Math.Ceiling(tenths - 0.5 - 1e-6);
            double? hundredths = widthMm / UnitFactors.MmPerInch * 100;
            return FormattableString.Invariant($"{written:0.#}{profileId}{hundredths:000}");
        }
        if (WritesWidthFirst(profileId))
            return FormattableString.Invariant($"{widthMm:0.##}{profileId}/{length:0.##}");
        string width = widthMm is double w ? FormattableString.Invariant($"-{w:0.##}") : "";
        return FormattableString.Invariant($"{length:0.##}-{profileId}{width}");
    }

    /// <summary>DIN 7721 writes the width first.</summary>
    private static bool WritesWidthFirst(string profileId) =>
        profileId.StartsWith('T') || profileId.StartsWith("AT", StringComparison.Ordinal);

    private static BeltCodeReading Toothed(Match match)
    {
        SynchronousProfile profile = SynchronousProfiles.Find(match.Groups["profile"].Value)!;
        double? before = Number(match, "before");
        double? after = Number(match, "after");
        (double? length, double? width) = (before, after);
        double teeth;
        if (match.Groups["teeth"].Success || match.Groups["teethAfter"].Success)
        {
            bool first = match.Groups["teeth"].Success;
            (length, width) = first ? (before, after) : (after, before);
            teeth = length ?? throw Refused("unreadable", Forms);
        }
        else
        {
            if (WritesWidthFirst(profile.ProfileId))
                (length, width) = (after, before);
            // A lone number is always the length.
            if (length is null)
                (length, width) = (width, null);
            double given = length ?? throw Refused("unreadable", Forms);
            bool inch = InchProfiles.Contains(profile.ProfileId);
            teeth = given * (inch ? UnitFactors.MmPerInch / 10 : 1) / profile.PitchMm;
            width = inch ? width / 100 * UnitFactors.MmPerInch : width;
        }
        int whole = WholeTeeth(teeth, profile);
        return new(
            DriveElement.ToothedBelt,
            profile.ProfileId,
            BeltCodeLength.Pitch,
            whole,
            whole * profile.PitchMm,
            null,
            width,
            null,
            Write(profile.ProfileId, whole, width)
        );
    }

    private static int WholeTeeth(double teeth, SynchronousProfile profile)
    {
        double whole = Math.Round(teeth);
        if (!(teeth >= LeastTeeth && teeth <= MostTeeth))
            throw Refused("not_physical", $"Give a code for {LeastTeeth} to {MostTeeth:0} teeth.");
        if (Math.Abs(teeth - whole) > LargestOddTooth)
            throw Refused(
                "not_whole",
                FormattableString.Invariant(
                    $"Check the code: {teeth:0.##} teeth of {profile.PitchMm:0.###} mm are no whole number."
                )
            );
        return (int)whole;
    }

    private static BeltCodeReading VBelt(Match match)
    {
        VSection section = VSections.Find(match.Groups["section"].Value)!;
        double given = Number(match, "length")!.Value;
        string unit = match.Groups["unit"].Value;
        if (EffectiveSections.Contains(section.Section))
            return V(section, BeltCodeLength.Effective, given * UnitFactors.MmPerInch / 10, null);
        if (unit == "LI" || unit == "IN" || (unit.Length == 0 && IsInches(section, given)))
        {
            double inside = unit == "LI" ? given : given * UnitFactors.MmPerInch;
            double add =
                section.InsideToPitchLengthAddMm
                ?? throw Refused(
                    "unknown",
                    $"Give the datum length: no inside length is defined for {section.Section}."
                );
            return V(section, BeltCodeLength.Inside, inside + add, inside);
        }
        return V(section, BeltCodeLength.Datum, given, given - section.InsideToPitchLengthAddMm);
    }

    private static BeltCodeReading V(VSection section, BeltCodeLength kind, double lengthMm, double? insideMm)
    {
        if (!(lengthMm >= ShortestVMm && lengthMm <= LongestVMm))
            throw Refused("not_physical", $"Give a code for a belt of {ShortestVMm} to {LongestVMm:0} mm.");
        string code = kind switch
        {
            BeltCodeLength.Effective => FormattableString.Invariant(
                $"{section.Section}{lengthMm / UnitFactors.MmPerInch * 10:0}"
            ),
            BeltCodeLength.Inside => FormattableString.Invariant(
                $"{section.Section}{insideMm!.Value / UnitFactors.MmPerInch:0.#}"
            ),
            _ => FormattableString.Invariant($"{section.Section} {lengthMm:0.#}"),
        };
        return new(
            DriveElement.VBelt,
            section.Section,
            kind,
            null,
            lengthMm,
            insideMm,
            section.TopWidthMm,
            IsNotched(section),
            code
        );
    }

    /// <summary>Classical belts carry inches inside: no belt of these sections is as short as that in millimetres.</summary>
    private static bool IsInches(VSection section, double given) =>
        section.InsideToPitchLengthAddMm is not null
        && given <= (section.Section[0] == 'A' ? LongestInchCodeOfA : LongestInchCode);

    private static double? Number(Match match, string group)
    {
        Group found = match.Groups[group];
        if (!found.Success)
            return null;
        return double.TryParse(found.Value, NumberStyles.Float, CultureInfo.InvariantCulture, out double value)
            ? value
            : throw Refused("unreadable", Forms);
    }

    private static InvalidInputException Refused(string code, string message) => new("Code", code, message);
}
