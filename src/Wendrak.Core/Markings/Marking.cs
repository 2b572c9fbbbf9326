using System.Text.RegularExpressions;
using Wendrak.Core.Gearing;
using Wendrak.Core.Lengths;
using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Markings;

/// <summary>Reads a marking as it is stamped, moulded or printed: what it is, and what else it could be.</summary>
public static partial class Marking
{
    private const string Forms =
        "Forms that are read: 520, 428H x 132, 08B-2, ANSI 40, C2040, 1/2 x 1/8; 1240-8M-30, 300L075, SPZ 1250, A52; 15T 520, 24-8M-30; 130/90-16, 37-622.";

    /// <param name="text">As it stands there; case and spaces do not matter, a decimal comma is accepted.</param>
    /// <param name="on">On what it stands; null where nobody knows.</param>
    /// <exception cref="InvalidInputException">Nothing known: the message says what was understood, and up to where.</exception>
    public static MarkingAnswer Read(string text, MarkedThing? on = null)
    {
        Guard guard = new Guard().Named("Text", text);
        if (on is MarkedThing thing)
            guard.OneOf("On", thing);
        guard.ThrowIfAny();
        string normal = Normal(text);
        MarkingReading[] all = [.. All(normal, on)];
        if (all.Length == 0)
            throw new InvalidInputException("Text", "unreadable", $"{Understood(normal, on)} {Forms}");
        // A lone number stands on many things: none goes before the others, unless somebody said on what it stands.
        bool isOpen = Lone().IsMatch(normal) && all.Length > 1;
        return isOpen ? new(null, all) : new(all[0], all[1..]);
    }

    /// <summary>Every way in which it can be read.</summary>
    private static IEnumerable<MarkingReading> All(string text, MarkedThing? on)
    {
        if (on is null or MarkedThing.Chain && ChainMarking.Read(text) is { } chain)
            yield return chain;
        MarkingReading[] belts = on is null or MarkedThing.Belt ? [.. BeltsOf(text)] : [];
        foreach (MarkingReading belt in belts)
            yield return belt;
        // 240L100 is a belt, 20L100 too short for one: then it is a pulley of so many teeth.
        if (on == MarkedThing.Wheel || (on is null && belts.Length == 0))
            if (WheelMarking.Read(text) is { } wheel)
                yield return wheel;
        if (on == MarkedThing.Wheel && Lone().IsMatch(text) && WheelMarking.Read($"{text}T") is { } teeth)
            yield return teeth;
        if (on is null or MarkedThing.Tyre && TyreOf(text) is { } tyre)
            yield return tyre;
    }

    private static IEnumerable<MarkingReading> BeltsOf(string text)
    {
        BeltCodeAnswer answer;
        try
        {
            answer = BeltCode.Answer(text, null);
        }
        catch (InvalidInputException)
        {
            yield break;
        }
        foreach (BeltCodeReading belt in answer.Reading is { } read ? [read] : answer.CouldBe)
            yield return Of(belt);
    }

    private static MarkingReading Of(BeltCodeReading belt)
    {
        bool isToothed = belt.DriveElement == DriveElement.ToothedBelt;
        return new(
            MarkedThing.Belt,
            isToothed ? "Toothed belt"
                : belt.IsNotched == true ? "V-belt, notched inside"
                : "V-belt",
            belt.Standard,
            belt.Code,
            [
                .. belt.Teeth is int teeth ? (MarkingFigure[])[new("teeth", teeth, "")] : [],
                new(
                    belt.LengthKind switch
                    {
                        BeltCodeLength.Pitch => "pitch length",
                        BeltCodeLength.Datum => "datum length",
                        BeltCodeLength.Inside => "datum length from the inside one",
                        _ => "effective outside length",
                    },
                    belt.LengthMm,
                    "mm"
                ),
                .. belt.WidthMm is double width ? (MarkingFigure[])[new("width", width, "mm")] : [],
            ],
            null,
            belt.LengthKind == BeltCodeLength.Effective
                ? "An effective length must not be mixed with datum diameters."
                : null,
            "ISO 13050, DIN 7721, ISO 5296, ISO 4184 (forms from memory)"
        );
    }

    /// <returns>Null where it is no size of a tyre.</returns>
    internal static MarkingReading? FindTyre(string text) => TyreOf(Normal(text));

    private static MarkingReading? TyreOf(string text)
    {
        try
        {
            SizeReading size = RoadWheelSize.Parse(text);
            return size.Form == SizeForm.PlainDiameter
                ? null
                : new(
                    MarkedThing.Tyre,
                    $"Tyre: {size.Explanation}",
                    null,
                    text,
                    [new("diameter unloaded", size.FreeDiameterMm, "mm")],
                    null,
                    null,
                    size.Source
                );
        }
        catch (InvalidInputException)
        {
            return null;
        }
    }

    /// <summary>The longest beginning that is known by itself, and where it stops being so.</summary>
    private static string Understood(string text, MarkedThing? on)
    {
        for (int length = text.Length - 1; length > 1; length--)
        {
            string begin = text[..length].Trim(' ', '-', '/', 'X');
            if (All(begin, on).FirstOrDefault() is { } known)
                return $"Understood “{begin}” ({known.What}); “{text[length..].Trim()}” behind it says nothing that is known here.";
        }
        return "Nothing at its beginning is known here.";
    }

    private static string Normal(string text) =>
        Spaces()
            .Replace(text.Trim(), " ")
            .Replace(',', '.')
            .Replace('×', 'x')
            .Replace('–', '-')
            .Replace('″', '"')
            .ToUpperInvariant();

    [GeneratedRegex(@"^[0-9]+(\.[0-9]+)?$", RegexOptions.CultureInvariant)]
    private static partial Regex Lone();

    [GeneratedRegex(@"\s+", RegexOptions.CultureInvariant)]
    private static partial Regex Spaces();
}
