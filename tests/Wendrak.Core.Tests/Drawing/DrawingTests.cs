using System.Globalization;
using System.Xml.Linq;
using Wendrak.Core.Drawing;
using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Tests.Gearing;
using static Wendrak.Core.Tests.Fit.Fits;

namespace Wendrak.Core.Tests.Drawing;

public sealed class DrawingTests
{
    private static (LoopFitResult Fit, LoopDrawing Drawing) Drawn(LoopLayout layout)
    {
        LoopFitResult fit = LoopFit.Evaluate(Motorcycle(layout, 15, 45, 112));
        return (fit, LoopDrawing.Draw(fit.Path, layout));
    }

    private static LoopLayout WithIdler(Turning turning)
    {
        double y = turning == Turning.Clockwise ? -90 : 90;
        Idler idler = new("idler", new(-300, y), 12, true, RunSide.Back, LoopRun.Slack);
        return Slot(628, 668, idler) with { Turning = turning };
    }

    /// <summary>Lines and arcs of a drawing, each end on the next, make one closed path of the right length.</summary>
    [Theory]
    [InlineData(Turning.Clockwise)]
    [InlineData(Turning.Counterclockwise)]
    public void Runs_and_arcs_close_and_add_up(Turning turning)
    {
        (LoopFitResult fit, LoopDrawing drawing) = Drawn(WithIdler(turning));
        double straight = drawing.Lines.Where(l => l.Layer == DrawingLayer.Runs).Sum(l => l.Start.DistanceTo(l.End));
        Assert.Equal(fit.Path.Spans.Sum(s => s.LengthMm), straight, 1e-6);
        DrawnArc[] arcs = [.. drawing.Arcs.Where(a => a.Layer == DrawingLayer.Arcs)];
        foreach ((DrawnArc arc, WrappedWheel wheel) in arcs.Zip(fit.Path.Wheels))
        {
            Assert.Equal(wheel.WrapDeg, (arc.EndDeg - arc.StartDeg + 360) % 360, 1e-6);
            Point[] ends = [On(arc, arc.StartDeg), On(arc, arc.EndDeg)];
            Assert.Contains(ends, e => e.DistanceTo(wheel.ArcStart) < 1e-6);
            Assert.Contains(ends, e => e.DistanceTo(wheel.ArcEnd) < 1e-6);
        }
    }

    private static Point On(DrawnArc arc, double degrees) =>
        arc.Centre + arc.RadiusMm * new Point(Math.Cos(degrees * Math.PI / 180), Math.Sin(degrees * Math.PI / 180));

    [Fact]
    public void Dxf_has_a_layer_per_kind_and_every_entity_on_one()
    {
        (_, LoopDrawing drawing) = Drawn(WithIdler(Turning.Clockwise));
        string[] lines = DxfText.Write(drawing).Split('\n');
        // Group codes and values take turns, one line each.
        (string Code, string Value)[] pairs =
        [
            .. Enumerable.Range(0, lines.Length / 2).Select(i => (lines[2 * i], lines[2 * i + 1])),
        ];
        string[] layers = [.. Enum.GetNames<DrawingLayer>().Select(n => n.ToUpperInvariant())];
        Assert.All(pairs.Where(p => p.Code == "8"), p => Assert.Contains(p.Value, layers));
        Assert.Equal(drawing.Lines.Count, pairs.Count(p => p == ("0", "LINE")));
        Assert.Equal(drawing.Arcs.Count, pairs.Count(p => p == ("0", "ARC")));
        Assert.Equal(drawing.Circles.Count, pairs.Count(p => p == ("0", "CIRCLE")));
        Assert.Equal(("0", "EOF"), pairs[^1]);
        Assert.All(layers, l => Assert.Contains(("2", l), pairs));
    }

    [Fact]
    public void Svg_is_well_formed_and_in_millimetres()
    {
        (LoopFitResult fit, LoopDrawing drawing) = Drawn(WithIdler(Turning.Clockwise));
        XElement root = XElement.Parse(SvgText.Write(drawing));
        double[] box =
        [
            .. root.Attribute("viewBox")!.Value.Split(' ').Select(v => double.Parse(v, CultureInfo.InvariantCulture)),
        ];
        Assert.Equal(box[2] + "mm", root.Attribute("width")!.Value);
        // Centre distance, both outside radii and the margin on either side.
        double expected =
            fit.CentreMm + fit.Path.Wheels.Where(w => w.Name != "idler").Sum(w => w.Outline.OutsideRadiusMm) + 20;
        Assert.Equal(expected, box[2], 1e-3);
        Assert.Equal(Enum.GetNames<DrawingLayer>(), root.Elements().Select(g => g.Attribute("id")!.Value));
    }

    [Fact]
    public void An_arc_track_is_drawn_between_its_ends_whichever_way_it_swings()
    {
        foreach (double swing in new[] { 30.0, -30 })
        {
            LoopLayout layout = Slot(640, 660) with { Moving = new("rear", new ArcTrack(new(-640, 0), 8, 170, swing)) };
            (_, LoopDrawing drawing) = Drawn(layout);
            DrawnArc track = drawing.Arcs.Single(a => a.Layer == DrawingLayer.Track);
            Assert.Equal(30, (track.EndDeg - track.StartDeg + 360) % 360, 1e-9);
        }
    }

    [Fact]
    public void A_starting_layout_closes_the_length_that_is_on_the_loop()
    {
        Drive drive = Drives.Motorcycle();
        LoopChoice choice = new("final", 15, 45, 112);
        LoopLayout layout = StartingLayout.For(drive, choice);
        LoopFitResult fit = LoopFit.Evaluate(new(drive, choice, choice, layout, null, false, null));
        Assert.Equal(112, fit.ExactLength, 1e-6);
        Assert.True(fit.Lengths.Single(l => l.Length == 112).Fits);
        Assert.Equal(635, -StartingLayout.For(drive, choice with { Links = null }).Rear.XMm); // 40 pitches
        Refusals.Names("Choice.LoopKey", () => StartingLayout.For(drive, choice with { LoopKey = "x" }));
        Refusals.Names("Links", () => StartingLayout.For(drive, choice with { Links = 20 }));
    }
}
