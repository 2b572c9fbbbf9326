namespace Wendrak.Core.Drawing;

/// <summary>The side view as files.</summary>
/// <param name="Dxf">Release 12, mm.</param>
public sealed record LoopDrawingFiles(string Svg, string Dxf)
{
    public static LoopDrawingFiles Of(LoopDrawing drawing) => new(SvgText.Of(drawing), DxfText.Of(drawing));
}
