using Wendrak.Core.Evaluation;

namespace Wendrak.Web;

public static class RedoEndpoints
{
    public static void MapRedo(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder redo = app.MapComputing("/api/redo", "Redo");
        redo.MapPost("/", (FollowUpInput input) => TypedResults.Ok(FollowUps.After(input))).WithName("redoAfter");
    }
}
