using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;

namespace Wendrak.Web;

/// <summary>A drive with its wheels, and the aim to turn into bands.</summary>
public sealed record RatioBandsInput(
    Drive Drive,
    IReadOnlyList<LoopChoice> Loops,
    IReadOnlyList<RoadWheelChoice> RoadWheels,
    IReadOnlyList<string> LoopKeys,
    AimTarget Aim,
    IReadOnlyList<int> Gears
);

public static class RatioEndpoints
{
    public static void MapRatio(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder ratio = app.MapComputing("/api/ratio", "Ratio");
        ratio
            .MapPost("/search", (RatioSearchInput input) => TypedResults.Ok(RatioSearch.Run(input)))
            .WithName("searchRatios");
        ratio
            .MapPost("/bands", (RatioBandsInput input) => TypedResults.Ok(Bands(input)))
            .WithName("calculateRatioBands");
        ratio
            .MapPost("/compare", (SetupComparisonInput input) => TypedResults.Ok(SetupComparison.Compare(input)))
            .WithName("compareSetups");
        ratio
            .MapPost("/drives", (MachineDrivesInput input) => TypedResults.Ok(MachineDrives.Evaluate(input)))
            .WithName("evaluateDrives");
        ratio
            .MapPost("/road-wheel", (RoadWheel input) => TypedResults.Ok(RollingCircumference.Of(input)))
            .WithName("readRoadWheel");
        ratio
            .MapPost("/nearest-aim", (NearestAimInput input) => TypedResults.Ok(NearestAim.Of(input)))
            .WithName("findNearestAim");
        ratio
            .MapPost("/starting-search", (StartingSearchInput input) => TypedResults.Ok(StartingSearch.Of(input)))
            .WithName("startSearch");
        ratio
            .MapPost("/starting-aim", (StartingAimInput input) => TypedResults.Ok(StartingAim.Of(input)))
            .WithName("startAim");
    }

    private static RatioBandsResult Bands(RatioBandsInput input)
    {
        DriveTrain train = new(input.Drive, input.Loops);
        new Guard().Count(nameof(input.LoopKeys), input.LoopKeys.Count, 1, 2, "loops").ThrowIfAny();
        return RatioBands.Of(train, input.LoopKeys, input.RoadWheels, input.Aim, input.Gears);
    }
}
