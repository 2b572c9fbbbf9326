using System.Text.RegularExpressions;
using Wendrak.Core.Tables;

namespace Wendrak.Core.Markings;

/// <summary>Reads what is stamped on the plates of a chain, in both systems.</summary>
/// <remarks>
/// ISO 606: pitch in sixteenths of an inch, series, a dash and the number of strands (16B-2), the links after it. ASME B29.1: pitch in
/// eighths of an inch, then 0 for rollers, 5 for none, 1 for a light one (40, 35, 41), H for heavy plates, strands after a dash; C20
/// before it for double pitch (C2040). Motorcycle: pitch and inner width in eighths (520). Bicycle: pitch and inner width in inches
/// (1/2 x 1/8). Forms from memory; every size is one of table <c>chains.csv</c>.
/// </remarks>
internal static partial class ChainMarking
{
    private const int LeastLinks = 20;
    private const string Ansi = "ANSI ";

    /// <summary>What a size may be called, the longest names first, so that 60H is not read as 60.</summary>
    private static readonly (string Name, ChainSize Size)[] Names =
    [
        .. Chains.All.SelectMany(c => NamesOf(c).Select(n => (n, c))).OrderByDescending(n => n.n.Length),
    ];

    public static MarkingReading? Read(string text)
    {
        foreach ((string name, ChainSize size) in Names)
            if (After(text, name) is { } rest && Rest().Match(rest) is { Success: true } m && Of(size, m) is { } read)
                return read;
        return null;
    }

    private static MarkingReading? Of(ChainSize chain, Match m)
    {
        string build = m.Groups["build"].Value;
        // Letters behind its number are a maker’s word of motorcycle chains alone: elsewhere they would be another size.
        if (build.Length > 0 && chain.Family != "motorcycle")
            return null;
        int strands = m.Groups["strands"].Success ? int.Parse(m.Groups["strands"].Value, null) : 1;
        int? links = m.Groups["links"].Success ? int.Parse(m.Groups["links"].Value, null) : null;
        if (links < LeastLinks)
            return null;
        return new(
            MarkedThing.Chain,
            WordsOf(chain, strands),
            chain.ChainId,
            Write(chain, strands, links),
            [
                new("pitch", chain.PitchMm, "mm"),
                new("inner width", chain.InnerWidthMm, "mm"),
                new("roller", chain.RollerDiameterMm, "mm"),
                .. strands > 1 ? (MarkingFigure[])[new("strands", strands, "")] : [],
                .. links is int count ? (MarkingFigure[])[new("links", count, "")] : [],
            ],
            null,
            build.Length == 0 ? null
                : build == "H" ? "H: heavier plates, common practice. Its wheels are the same."
                : $"“{build}” is its maker’s own word for plates or sealing rings: it can be wider over its pins. See that it clears.",
            chain.Source
        );
    }

    private static IEnumerable<string> NamesOf(ChainSize chain)
    {
        yield return chain.ChainId;
        if (chain.Family == "A heavy")
            yield return Ansi + chain.ChainId;
        if (chain.AlsoCalled is not { } other)
            yield break;
        if (other.StartsWith(Ansi, StringComparison.Ordinal))
        {
            yield return other;
            yield return other[Ansi.Length..];
            if (chain.IsDoublePitch)
                yield return $"C{other[Ansi.Length..]}";
        }
        else if (other.Contains('/') && other.Contains(" x ", StringComparison.Ordinal) && char.IsDigit(other[^1]))
            yield return other;
    }

    /// <summary>What comes behind a name, whatever spaces and marks of inches are in it; null where the text begins otherwise.</summary>
    private static string? After(string text, string name)
    {
        int at = 0;
        foreach (char wanted in name.ToUpperInvariant().Where(c => c != ' '))
        {
            while (at < text.Length && text[at] is ' ' or '"')
                at++;
            if (at == text.Length || text[at] != wanted)
                return null;
            at++;
        }
        while (at < text.Length && text[at] == '"')
            at++;
        string rest = text[at..];
        // 5200 is no 520 with something behind it.
        return rest.Length > 0 && char.IsDigit(rest[0]) ? null : rest;
    }

    private static string WordsOf(ChainSize chain, int strands)
    {
        string kind = chain.Family switch
        {
            "A" => "Roller chain of the A series",
            "A heavy" => "Roller chain of the A series, heavy plates",
            "B" => "Roller chain of the B series",
            "double pitch" => "Chain of double pitch",
            "bicycle" => "Bicycle chain",
            _ => "Motorcycle chain",
        };
        return strands > 1 ? FormattableString.Invariant($"{kind}, {strands} strands") : kind;
    }

    private static string Write(ChainSize chain, int strands, int? links)
    {
        string size =
            chain.Family is "A" or "B" or "A heavy" || strands > 1
                ? FormattableString.Invariant($"{chain.ChainId}-{strands}")
                : chain.ChainId;
        return links is int count ? FormattableString.Invariant($"{size} x {count}") : size;
    }

    [GeneratedRegex(
        @"^ ?(?<build>(?!X ?(?:[0-9]|$))[A-Z][A-Z0-9]{0,4})?(?: ?- ?(?<strands>[1-4])(?![0-9]))?(?:(?: ?[X/-] ?| +)(?<links>[0-9]{2,4}) ?(?:L|LINKS)?)?$",
        RegexOptions.CultureInvariant
    )]
    private static partial Regex Rest();
}
