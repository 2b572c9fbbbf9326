using System.Globalization;
using System.Xml.Linq;
using Wendrak.Core.Loops;

namespace Wendrak.Core.Drawing;

/// <summary>Writes a drawing as SVG at full size: one user unit is a millimetre, one group per layer.</summary>
public static class SvgText
{
    private const double MarginMm = 10;

    public static string Write(LoopDrawing drawing)
    {
        XNamespace svg = "http://www.w3.org/2000/svg";
        (Point low, Point high) = Bounds(drawing);
        (double width, double height) = (high.XMm - low.XMm, high.YMm - low.YMm);
        XElement root = new(
            svg + "svg",
            new XAttribute("width", Number(width) + "mm"),
            new XAttribute("height", Number(height) + "mm"),
            new XAttribute("viewBox", $"{Number(low.XMm)} {Number(-high.YMm)} {Number(width)} {Number(height)}"),
            new XAttribute("fill", "none"),
            new XAttribute("stroke", "black"),
            new XAttribute("stroke-width", "0.5")
        );
        foreach (DrawingLayer layer in Enum.GetValues<DrawingLayer>())
            root.Add(
                new XElement(
                    svg + "g",
                    new XAttribute("id", layer.ToString()),
                    drawing.Lines.Where(l => l.Layer == layer).Select(l => Line(svg, l)),
                    drawing.Arcs.Where(a => a.Layer == layer).Select(a => Arc(svg, a)),
                    drawing.Circles.Where(c => c.Layer == layer).Select(c => Circle(svg, c))
                )
            );
        return root.ToString();
    }

    private static XElement Line(XNamespace svg, DrawnLine line) =>
        new(
            svg + "line",
            new XAttribute("x1", Number(line.Start.XMm)),
            new XAttribute("y1", Number(-line.Start.YMm)),
            new XAttribute("x2", Number(line.End.XMm)),
            new XAttribute("y2", Number(-line.End.YMm))
        );

    /// <summary>Counterclockwise upwards is against the clock on the screen as well: sweep 0.</summary>
    private static XElement Arc(XNamespace svg, DrawnArc arc)
    {
        Point At(double degrees)
        {
            double angle = degrees * Math.PI / 180;
            return arc.Centre + arc.RadiusMm * new Point(Math.Cos(angle), Math.Sin(angle));
        }
        Point start = At(arc.StartDeg);
        Point end = At(arc.EndDeg);
        int large = (arc.EndDeg - arc.StartDeg + 360) % 360 > 180 ? 1 : 0;
        string path =
            $"M{Number(start.XMm)} {Number(-start.YMm)}A{Number(arc.RadiusMm)} {Number(arc.RadiusMm)} 0 {large} 0 "
            + $"{Number(end.XMm)} {Number(-end.YMm)}";
        return new(svg + "path", new XAttribute("d", path));
    }

    private static XElement Circle(XNamespace svg, DrawnCircle circle) =>
        new(
            svg + "circle",
            new XAttribute("cx", Number(circle.Centre.XMm)),
            new XAttribute("cy", Number(-circle.Centre.YMm)),
            new XAttribute("r", Number(circle.RadiusMm))
        );

    private static (Point Low, Point High) Bounds(LoopDrawing drawing)
    {
        Point margin = new(MarginMm, MarginMm);
        Point Corner(Func<double, double, double> pick, int side) =>
            drawing
                .Circles.Select(c => c.Centre + side * new Point(c.RadiusMm, c.RadiusMm))
                .Concat(drawing.Lines.SelectMany(l => new[] { l.Start, l.End }))
                .Aggregate((a, b) => new(pick(a.XMm, b.XMm), pick(a.YMm, b.YMm)));
        return (Corner(Math.Min, -1) - margin, Corner(Math.Max, 1) + margin);
    }

    private static string Number(double value) => value.ToString("0.####", CultureInfo.InvariantCulture);
}
