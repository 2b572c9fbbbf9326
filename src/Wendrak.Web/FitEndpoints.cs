using Wendrak.Core.Gearing;
using Wendrak.Core.Geometry;

namespace Wendrak.Web;

/// <summary>A drive and the wheels of one of its loops, to begin that loop's layout from.</summary>
public sealed record StartingLayoutInput(Drive Drive, LoopChoice Choice);

/// <summary>The side view as files.</summary>
/// <param name="Dxf">Release 12, mm.</param>
public sealed record LoopDrawingFiles(string Svg, string Dxf);

public static class FitEndpoints
{
    public static void MapFit(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder fit = app.MapComputing("/api/fit", "Fit");
        fit.MapPost("/loop", (LoopFitInput input) => TypedResults.Ok(LoopFit.Of(input))).WithName("fitLoop");
        fit.MapPost("/pairs", (PairFitsInput input) => TypedResults.Ok(PairFits.Of(input))).WithName("fitPairs");
        fit.MapPost("/suspension", (SuspensionPlayInput input) => TypedResults.Ok(SuspensionPlay.Of(input)))
            .WithName("calculateSuspensionPlay");
        fit.MapPost("/fixed-centre", (FixedCentreInput input) => TypedResults.Ok(FixedCentre.Pairs(input)))
            .WithName("findFixedCentrePairs");
        fit.MapPost("/drawing", (LoopFitInput input) => TypedResults.Ok(Drawing(input))).WithName("drawLoop");
        fit.MapPost(
                "/starting-layout",
                (StartingLayoutInput input) => TypedResults.Ok(StartingLayout.Of(input.Drive, input.Choice))
            )
            .WithName("startLayout");
    }

    private static LoopDrawingFiles Drawing(LoopFitInput input)
    {
        LoopDrawing drawing = LoopDrawing.Of(LoopFit.Of(input).Path, input.Layout);
        return new(SvgText.Of(drawing), DxfText.Of(drawing));
    }
}
