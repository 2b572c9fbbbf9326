using Wendrak.Core.Loads;

namespace Wendrak.Web;

public static class LoadsEndpoints
{
    public static void MapLoads(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder loads = app.MapComputing("/api/loads", "Loads");
        loads.MapPost("/loop", (LoadsInput input) => TypedResults.Ok(LoopLoads.Of(input))).WithName("loadLoop");
        loads
            .MapPost(
                "/shaft-hub-capacity",
                (ShaftHubCapacityInput input) => TypedResults.Ok(ShaftHubCapacity.Of(input))
            )
            .WithName("checkShaftHub");
        loads
            .MapPost("/known-chain", (KnownChainInput input) => TypedResults.Ok(KnownChain.Of(input)))
            .WithName("loadKnownChain");
        loads
            .MapPost("/alternative", (LoopAlternativeStart asked) => TypedResults.Ok(LoopAlternative.Start(asked)))
            .WithName("startAlternative");
        loads.MapPost("/mends", (LoadsInput input) => TypedResults.Ok(LoadMends.Of(input))).WithName("mendLoads");
    }
}
