using Wendrak.Core.Loads;

namespace Wendrak.Web;

public static class LoadsEndpoints
{
    public static void MapLoads(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder loads = app.MapComputing("/api/loads", "Loads");
        loads
            .MapPost("/loop", (LoadsInput input) => TypedResults.Ok(LoopLoads.Evaluate(input)))
            .WithName("loadLoop")
            .WithSummary("Pulls, margins, shaft loads and life of a loop");
        loads
            .MapPost(
                "/shaft-hub-capacity",
                (ShaftHubCapacityInput input) => TypedResults.Ok(ShaftHubCapacity.Compute(input))
            )
            .WithName("checkShaftHub")
            .WithSummary("Whether key, spline, bolts or shaft hold a torque");
        loads
            .MapPost("/known-chain", (KnownChainInput input) => TypedResults.Ok(KnownChain.Compute(input)))
            .WithName("loadKnownChain")
            .WithSummary("Loads of a drive that is known to last, from what is remembered of it");
        loads
            .MapPost("/alternative", (LoopAlternativeStart asked) => TypedResults.Ok(LoopAlternative.Start(asked)))
            .WithName("startAlternative")
            .WithSummary("What another kind of chain or belt in the place of a loop begins with");
        loads
            .MapPost("/mends", (LoadsInput input) => TypedResults.Ok(LoadMends.Find(input)))
            .WithName("mendLoads")
            .WithSummary("What would mend the checks that are not fine, each computed");
    }
}
