using System.Globalization;
using System.Text;
using Wendrak.Core.Loops;

namespace Wendrak.Core.Drawing;

/// <summary>Writes a drawing as DXF, release 12: lines, arcs and circles in mm, one layer per kind.</summary>
/// <remarks>Group codes as in the published DXF reference of release 12.</remarks>
public static class DxfText
{
    public static string Write(LoopDrawing drawing)
    {
        StringBuilder text = new();
        void Pair(int code, string value) => text.Append(code).Append('\n').Append(value).Append('\n');
        void Number(int code, double value) => Pair(code, value.ToString("0.000000", CultureInfo.InvariantCulture));
        void Place(int code, Point p)
        {
            Number(code, p.XMm);
            Number(code + 10, p.YMm);
            Number(code + 20, 0);
        }
        void Entity(string kind, DrawingLayer layer)
        {
            Pair(0, kind);
            Pair(8, LayerName(layer));
        }
        Pair(0, "SECTION");
        Pair(2, "HEADER");
        Pair(9, "$ACADVER");
        Pair(1, "AC1009");
        Pair(0, "ENDSEC");
        WriteLayers(Pair);
        Pair(0, "SECTION");
        Pair(2, "ENTITIES");
        foreach (DrawnLine line in drawing.Lines)
        {
            Entity("LINE", line.Layer);
            Place(10, line.Start);
            Place(11, line.End);
        }
        foreach (DrawnArc arc in drawing.Arcs)
        {
            Entity("ARC", arc.Layer);
            Place(10, arc.Centre);
            Number(40, arc.RadiusMm);
            Number(50, arc.StartDeg);
            Number(51, arc.EndDeg);
        }
        foreach (DrawnCircle circle in drawing.Circles)
        {
            Entity("CIRCLE", circle.Layer);
            Place(10, circle.Centre);
            Number(40, circle.RadiusMm);
        }
        Pair(0, "ENDSEC");
        Pair(0, "EOF");
        return text.ToString();
    }

    private static void WriteLayers(Action<int, string> pair)
    {
        DrawingLayer[] layers = Enum.GetValues<DrawingLayer>();
        pair(0, "SECTION");
        pair(2, "TABLES");
        pair(0, "TABLE");
        pair(2, "LAYER");
        pair(70, layers.Length.ToString(CultureInfo.InvariantCulture));
        for (int i = 0; i < layers.Length; i++)
        {
            pair(0, "LAYER");
            pair(2, LayerName(layers[i]));
            pair(70, "0");
            pair(62, (i + 1).ToString(CultureInfo.InvariantCulture));
            pair(6, "CONTINUOUS");
        }
        pair(0, "ENDTAB");
        pair(0, "ENDSEC");
    }

    private static string LayerName(DrawingLayer layer) => layer.ToString().ToUpperInvariant();
}
