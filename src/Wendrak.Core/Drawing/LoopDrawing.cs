using Wendrak.Core.Loops;

namespace Wendrak.Core.Drawing;

/// <summary>What a line of a drawing is; one layer of a DXF file each.</summary>
public enum DrawingLayer
{
    /// <summary>Straight runs of the chain or belt.</summary>
    Runs,

    /// <summary>Where it lies on its wheels.</summary>
    Arcs,

    /// <summary>Pitch or datum circles.</summary>
    PitchCircles,

    /// <summary>Over the tips or rims.</summary>
    OutsideCircles,

    /// <summary>Centre marks.</summary>
    Centres,

    /// <summary>The way of the mover.</summary>
    Track,
}

public sealed record DrawnLine(DrawingLayer Layer, Point Start, Point End);

/// <param name="StartDeg">Counterclockwise from +x to <paramref name="EndDeg"/>.</param>
public sealed record DrawnArc(DrawingLayer Layer, Point Centre, double RadiusMm, double StartDeg, double EndDeg);

public sealed record DrawnCircle(DrawingLayer Layer, Point Centre, double RadiusMm);

/// <summary>The side view in lines, arcs and circles, mm.</summary>
public sealed record LoopDrawing(
    IReadOnlyList<DrawnLine> Lines,
    IReadOnlyList<DrawnArc> Arcs,
    IReadOnlyList<DrawnCircle> Circles
)
{
    private const double CentreMarkMm = 4;

    public static LoopDrawing Draw(LoopPath path, LoopLayout layout)
    {
        List<DrawnLine> lines = [.. path.Spans.Select(s => new DrawnLine(DrawingLayer.Runs, s.Start, s.End))];
        List<DrawnArc> arcs = [];
        List<DrawnCircle> circles = [];
        foreach (WrappedWheel wheel in path.Wheels)
        {
            if (wheel.WrapDeg > 0)
                arcs.Add(ArcOf(wheel, layout.Turning));
            circles.Add(new(DrawingLayer.PitchCircles, wheel.Centre, wheel.Outline.RunRadiusMm));
            circles.Add(new(DrawingLayer.OutsideCircles, wheel.Centre, wheel.Outline.OutsideRadiusMm));
            lines.Add(Mark(wheel.Centre, new(CentreMarkMm, 0)));
            lines.Add(Mark(wheel.Centre, new(0, CentreMarkMm)));
        }
        switch (layout.Moving?.Track)
        {
            case LineTrack line:
                lines.Add(new(DrawingLayer.Track, line.From, line.To));
                break;
            case ArcTrack arc:
                double end = arc.StartDeg + arc.SwingDeg;
                (double from, double to) = arc.SwingDeg > 0 ? (arc.StartDeg, end) : (end, arc.StartDeg);
                arcs.Add(new(DrawingLayer.Track, arc.Pivot, arc.RadiusMm, Turned(from), Turned(to)));
                break;
        }
        return new(lines, arcs, circles);
    }

    private static DrawnLine Mark(Point centre, Point half) => new(DrawingLayer.Centres, centre - half, centre + half);

    private static DrawnArc ArcOf(WrappedWheel wheel, Turning turning)
    {
        double Direction(Point p) =>
            Turned(Math.Atan2(p.YMm - wheel.Centre.YMm, p.XMm - wheel.Centre.XMm) * 180 / Math.PI);
        bool counterclockwise = turning == Turning.Counterclockwise == wheel.TurnsWithLoop;
        double start = Direction(wheel.ArcStart);
        double end = Direction(wheel.ArcEnd);
        (start, end) = counterclockwise ? (start, end) : (end, start);
        return new(DrawingLayer.Arcs, wheel.Centre, wheel.Outline.RunRadiusMm, start, end);
    }

    private static double Turned(double degrees) => (degrees % 360 + 360) % 360;
}
