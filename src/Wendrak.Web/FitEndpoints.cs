using Wendrak.Core.Geometry;

namespace Wendrak.Web;

public static class FitEndpoints
{
    public static void MapFit(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder fit = app.MapComputing("/api/fit", "Fit");
        fit.MapPost("/loop", (LoopFitInput input) => TypedResults.Ok(LoopFit.Of(input))).WithName("fitLoop");
    }
}
