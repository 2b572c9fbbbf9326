using Wendrak.Core.Evaluation;

namespace Wendrak.Web;

public static class FollowUpEndpoints
{
    public static void MapFollowUps(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder followUps = app.MapComputing("/api/follow-ups", "Follow-ups");
        followUps
            .MapPost("/", (FollowUpInput input) => TypedResults.Ok(FollowUps.After(input)))
            .WithName("followUpsAfter")
            .WithSummary("What is to be done again after a change of wheels or loop");
    }
}
