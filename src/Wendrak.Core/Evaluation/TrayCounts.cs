using System.Globalization;
using System.Text.RegularExpressions;
using Wendrak.Core.Gearing;
using Wendrak.Core.Procedures;
using Wendrak.Core.Stock;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Evaluation;

/// <summary>What must lie on the tray, against what Stock has.</summary>
internal static class TrayCounts
{
    internal const string FrontWheel = "front-wheel";
    internal const string RearWheel = "rear-wheel";

    public static TrayCount Count(TrayPart part, Loop loop, LoopChoice wanted, Workshop workshop) =>
        part.Key switch
        {
            FrontWheel => CountWheel(part, loop, WheelSide.Front, wanted.FrontSize, workshop),
            RearWheel => CountWheel(part, loop, WheelSide.Rear, wanted.RearSize, workshop),
            _ => CountPart(part, loop, wanted, workshop),
        };

    private static TrayCount CountWheel(TrayPart part, Loop loop, WheelSide side, double size, Workshop workshop)
    {
        StockItem[] lines =
        [
            .. workshop.Wheels.Where(w =>
                w.Wheel.Standard == loop.Standard && w.Wheel.Side == side && w.Wheel.Size == size
            ),
        ];
        string unit = loop.DriveElement.IsToothed() ? "teeth" : "mm";
        return new(
            part,
            string.Create(CultureInfo.InvariantCulture, $"{part.What}, {size} {unit}, {loop.Standard}"),
            lines.Sum(l => l.Pieces()),
            [.. lines.Select(l => l.Describe())]
        );
    }

    private static TrayCount CountPart(TrayPart part, Loop loop, LoopChoice wanted, Workshop workshop)
    {
        string what = part.Key is "chain" or "belt" ? $"{part.What}, {Length(loop, wanted)}" : part.What;
        if (part.Kind == PartKind.Other)
            return new(part, what, null, []);
        StockPart[] lines = [.. workshop.Parts.Where(p => p.Kind == part.Kind && Suits(p, loop, wanted))];
        return new(part, what, lines.Sum(l => l.Count), [.. lines.Select(l => l.Describe())]);
    }

    /// <summary>What goes with nothing in particular suits everything; a chain or belt must say its length.</summary>
    private static bool Suits(StockPart part, Loop loop, LoopChoice wanted) =>
        (part.GoesWith is null || part.GoesWith.Contains(loop.Standard, StringComparison.OrdinalIgnoreCase))
        && (part.Kind is not (PartKind.Chain or PartKind.Belt) || SaysLength(part.Name, wanted));

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
