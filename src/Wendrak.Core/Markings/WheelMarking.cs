using System.Globalization;
using System.Text.RegularExpressions;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;

namespace Wendrak.Core.Markings;

/// <summary>Reads what is stamped on a sprocket or a pulley: its teeth, often with what runs on it.</summary>
/// <remarks>
/// Teeth with a T or behind “z =” (ISO symbols), the chain before or behind: 15T 520, 45T. Pulleys: teeth, profile, width (24-8M-30; P
/// before it in ISO 13050), width of inch profiles in hundredths of an inch (20L100, ISO 5294). Forms from memory.
/// </remarks>
internal static partial class WheelMarking
{
    private const int LeastTeeth = 6;
    private const int MostTeeth = 200;

    public static MarkingReading? Read(string text)
    {
        if (Pulley().Match(text) is { Success: true } p)
            return OfPulley(p);
        if (Teeth().Match(text) is not { Success: true } m || CountOf(m) is not int teeth)
            return null;
        string of = $"{m.Groups["before"].Value}{m.Groups["after"].Value}".Trim(' ', '-', '/');
        if (of.Length == 0)
            return Of("Wheel", null, teeth, $"{teeth}T", []);
        return ChainMarking.Read(of) is { } chain && chain.Figures.All(f => f.What != "links")
                ? Of(
                    "Sprocket",
                    chain.Standard,
                    teeth,
                    $"{teeth}T {chain.Standard}",
                    [new("pitch", chain.Figures[0].Value, "mm")]
                )
            : SynchronousProfiles.Find(of) is { } profile
                ? Of(
                    "Pulley",
                    profile.ProfileId,
                    teeth,
                    $"{teeth}T {profile.ProfileId}",
                    [new("pitch", profile.PitchMm, "mm")]
                )
            : null;
    }

    private static MarkingReading? OfPulley(Match m)
    {
        if (SynchronousProfiles.Find(m.Groups["profile"].Value) is not { } profile || CountOf(m) is not int teeth)
            return null;
        bool isInch = profile.ProfileId is "MXL" or "XL" or "L" or "H" or "XH";
        double? width = m.Groups["width"].Success
            ? double.Parse(m.Groups["width"].Value, CultureInfo.InvariantCulture)
                * (isInch ? UnitFactors.MmPerInch / 100 : 1)
            : null;
        return Of(
            "Pulley",
            profile.ProfileId,
            teeth,
            isInch ? $"{teeth}{profile.ProfileId}{m.Groups["width"].Value}" : Write(teeth, profile.ProfileId, width),
            [
                new("pitch", profile.PitchMm, "mm"),
                .. width is double w ? (MarkingFigure[])[new("for a belt as wide as", w, "mm")] : [],
            ]
        );
    }

    private static string Write(int teeth, string profileId, double? widthMm) =>
        widthMm is double mm
            ? FormattableString.Invariant($"{teeth}-{profileId}-{mm:0.#}")
            : FormattableString.Invariant($"{teeth}-{profileId}");

    private static int? CountOf(Match m) =>
        int.Parse(m.Groups["teeth"].Value, null) is >= LeastTeeth and <= MostTeeth and int teeth ? teeth : null;

    private static MarkingReading Of(
        string what,
        string? standard,
        int teeth,
        string written,
        IReadOnlyList<MarkingFigure> figures
    ) =>
        new(
            MarkedThing.Wheel,
            what,
            standard,
            written,
            [new("teeth", teeth, ""), .. figures],
            teeth,
            standard is null ? "It does not say what runs on it: measure the pitch over ten teeth." : null,
            "ISO 606, ISO 5294, ISO 13050 (forms from memory)"
        );

    [GeneratedRegex(
        @"^(?<before>[^=]*?[ -])?(?:Z ?= ?(?<teeth>[0-9]{1,3})|(?<teeth>[0-9]{1,3}) ?(?:T|TEETH|Z))(?<after>[ -].+)?$",
        RegexOptions.CultureInvariant
    )]
    private static partial Regex Teeth();

    [GeneratedRegex(
        @"^P? ?(?<teeth>[0-9]{1,3})[ -]?(?<profile>MXL|XL|L|XH|H|T2\.5|T5|T10|AT5|AT10|3M|5M|8M|14M)(?:[ -]?(?<width>[0-9]{1,3}(?:\.[0-9])?))?$",
        RegexOptions.CultureInvariant
    )]
    private static partial Regex Pulley();
}
