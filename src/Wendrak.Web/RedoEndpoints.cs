using Wendrak.Core.Evaluation;

namespace Wendrak.Web;

public static class RedoEndpoints
{
    public static void MapRedo(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder redo = app.MapComputing("/api/redo", "Redo");
        redo.MapPost("/", (RedoInput input) => TypedResults.Ok(Redo.After(input))).WithName("redoAfter");
    }
}
