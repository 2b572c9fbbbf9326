using System.Globalization;
using System.Text.RegularExpressions;
using Wendrak.Core.Gearing;
using Wendrak.Core.Procedures;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Evaluation;

/// <summary>What must lie on the tray, against what Stock has.</summary>
internal static partial class TrayCounts
{
    internal const string FrontWheel = "front-wheel";
    internal const string RearWheel = "rear-wheel";
    internal const string JoiningLink = "joining-link";
    internal const string Belt = "belt";
    internal const string Chain = "chain";

    internal const string Spacers = "spacers";

    public static TrayCount Count(TrayPart part, Loop loop, LoopChoice wanted, Machine machine, Workshop workshop) =>
        part.Key switch
        {
            Spacers => CountSpacers(part, loop, machine, workshop),
            FrontWheel => CountWheel(part, loop, WheelSide.Front, wanted.FrontSize, machine, workshop),
            RearWheel => CountWheel(part, loop, WheelSide.Rear, wanted.RearSize, machine, workshop),
            _ => CountPart(part, loop, wanted, machine, workshop),
        };

    private static TrayCount CountSpacers(TrayPart part, Loop loop, Machine machine, Workshop workshop)
    {
        try
        {
            IReadOnlyList<ShaftOnTray> shafts = SpacersOnTray.Of(machine, loop, workshop);
            string what =
                shafts.Count > 0 ? part.What : $"{part.What}; no shaft of this loop is measured that takes any";
            return TrayCount.NotCounted(part, what) with { IsShort = shafts.Any(s => !s.IsFilled), Shafts = shafts };
        }
        catch (InvalidInputException e)
        {
            // A drawer of more kinds than are tried keeps nobody from the work.
            return TrayCount.NotCounted(part, $"{part.What}; they can't be laid out here: {e.Issues[0].Message}");
        }
    }

    private static TrayCount CountWheel(
        TrayPart part,
        Loop loop,
        WheelSide side,
        double size,
        Machine machine,
        Workshop workshop
    )
    {
        StockItem[] lines =
        [
            .. workshop.Wheels.Where(w =>
                w.Wheel.Standard == loop.Standard && w.Wheel.Side == side && w.Wheel.Size == size
            ),
        ];
        string unit = loop.DriveElement.IsToothed() ? "teeth" : "mm";
        return ToCount(
            part,
            string.Create(CultureInfo.InvariantCulture, $"{part.What}, {size} {unit}, {loop.Standard}"),
            lines.Sum(l => l.Pieces()),
            [.. lines.Select(l => l.Describe())],
            PartsOfMachines.Wheels(loop, side, size, machine, workshop)
        );
    }

    private static TrayCount CountPart(TrayPart part, Loop loop, LoopChoice wanted, Machine machine, Workshop workshop)
    {
        string what = part.Key is Chain or Belt ? $"{part.What}, {Length(loop, wanted)}" : part.What;
        if (part.Kind == PartKind.Other)
            return TrayCount.NotCounted(part, what);
        StockPart[] lines = [.. workshop.Parts.Where(p => p.Kind == part.Kind && Suits(p, loop, wanted))];
        int inStock = lines.Sum(l => l.Count);
        return ToCount(
            part,
            what,
            inStock,
            [.. lines.Select(l => l.Describe())],
            [
                .. part.Kind == PartKind.Chain ? LongerChains(loop, wanted, workshop, part.Count - inStock) : [],
                .. part.Key is Chain or Belt ? PartsOfMachines.Loops(loop, wanted, machine, workshop) : [],
            ]
        );
    }

    /// <param name="standIns">Told only where there is too little.</param>
    private static TrayCount ToCount(
        TrayPart part,
        string what,
        int inStock,
        IReadOnlyList<string> lines,
        IEnumerable<TrayStandIn> standIns
    )
    {
        bool isShort = inStock < part.Count;
        return new(part, what, inStock, isShort, lines, isShort ? [.. standIns] : [], []);
    }

    /// <summary>Chains of the same kind from which links can be taken out, an inner and an outer one at a time, and reels.</summary>
    /// <param name="missing">How many chains there are too few.</param>
    /// <remarks>Common practice: pins are ground off and pressed out, and the joining link closes it again.</remarks>
    private static IReadOnlyList<TrayStandIn> LongerChains(Loop loop, LoopChoice wanted, Workshop workshop, int missing)
    {
        if (wanted.Links is not int links)
            return [];
        StockPart[] there =
        [
            .. workshop.Parts.Where(p => p.Kind == PartKind.Chain && p.Count > 0 && GoesWith(p, loop)),
        ];
        double metres =
            links * (Chains.All.FirstOrDefault(c => c.ChainId == loop.Standard)?.PitchMm ?? double.NaN) / 1000;
        return
        [
            .. there
                .Select(p => (Part: p, More: LinksOf(p.Name) - links))
                .Where(p => p.More is > 0 && p.More % 2 == 0 && p.Part.Count >= missing)
                .OrderBy(p => p.More)
                .Select(p => new TrayStandIn(
                    p.Part.Describe(),
                    $"{p.More} links are taken out",
                    p.Part.Count - missing
                )),
            .. there
                .Where(p => MetresOf(p.Name) >= missing * metres)
                .Select(p => new TrayStandIn(p.Describe(), "cut from it", p.Count)),
        ];
    }

    private static int? LinksOf(string name) =>
        LinksInName().Match(name) is { Success: true } found
            ? int.Parse(found.Groups[1].ValueSpan, CultureInfo.InvariantCulture)
            : null;

    private static double? MetresOf(string name) =>
        MetresInName().Match(name) is { Success: true } found
            ? double.Parse(found.Groups[1].ValueSpan, CultureInfo.InvariantCulture)
            : null;

    [GeneratedRegex(@"(?<![\d.])(\d{1,4}) links", RegexOptions.CultureInvariant)]
    private static partial Regex LinksInName();

    [GeneratedRegex(@"(?<![\d.])(\d{1,3}(?:\.\d{1,2})?) m on a reel", RegexOptions.CultureInvariant)]
    private static partial Regex MetresInName();

    /// <summary>What goes with nothing in particular suits everything; a chain or belt must say its length.</summary>
    private static bool Suits(StockPart part, Loop loop, LoopChoice wanted) =>
        GoesWith(part, loop) && (part.Kind is not (PartKind.Chain or PartKind.Belt) || SaysLength(part.Name, wanted));

    /// <summary>The chain or belt itself, of the length that is on the loop.</summary>
    internal static bool IsLoopOf(StockPart part, Loop loop, LoopChoice choice) =>
        part.Kind == (loop.DriveElement == DriveElement.Chain ? PartKind.Chain : PartKind.Belt)
        && GoesWith(part, loop)
        && SaysLength(part.Name, choice);

    private static bool GoesWith(StockPart part, Loop loop) =>
        part.GoesWith is null || part.GoesWith.Contains(loop.Standard, StringComparison.OrdinalIgnoreCase);

    private static bool SaysLength(string name, LoopChoice wanted) =>
        ((double?)wanted.Links ?? wanted.LengthMm) is not double length
        || Regex.IsMatch(
            name,
            $@"(?<![\d.]){Regex.Escape(length.ToString(CultureInfo.InvariantCulture))}(?![\d.]\d)(?!\d)"
        );

    private static string Length(Loop loop, LoopChoice wanted) =>
        wanted.Links is int links
            ? $"{loop.Standard}, {links} {(loop.DriveElement == DriveElement.Chain ? "links" : "teeth")}"
        : wanted.LengthMm is double length
            ? string.Create(CultureInfo.InvariantCulture, $"{loop.Standard}, {length} mm")
        : loop.Standard;
}
