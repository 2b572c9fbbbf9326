namespace Wendrak.Core.Drawing;

/// <summary>The side view as files.</summary>
/// <param name="Dxf">Release 12, mm.</param>
/// <param name="Svg">The side view as a picture, in SVG.</param>
public sealed record LoopDrawingFiles(string Svg, string Dxf)
{
    public static LoopDrawingFiles From(LoopDrawing drawing) => new(SvgText.Write(drawing), DxfText.Write(drawing));
}
