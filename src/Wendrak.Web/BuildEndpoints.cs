using Wendrak.Core.Procedures;

namespace Wendrak.Web;

public static class BuildEndpoints
{
    public static void MapBuild(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder build = app.MapComputing("/api/build", "Build");
        build
            .MapPost("/torque-estimate", (TorqueEstimateInput input) => TypedResults.Ok(TorqueEstimate.From(input)))
            .WithName("estimateTorque")
            .WithSummary("What an arm and a pull at its end come to: an estimate, no torque reading");
    }
}
