using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;

namespace Wendrak.Web;

/// <summary>A drive with its wheels, and the aim to turn into bands.</summary>
/// <param name="LoopKeys">Loops that are chosen.</param>
/// <param name="Gears">Gears to look at, counted from 0; empty for all.</param>
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
            .WithName("searchRatios")
            .WithSummary("Tooth pairs or diameters for a band of ratios, ranked");
        ratio
            .MapPost("/bands", (RatioBandsInput input) => TypedResults.Ok(Bands(input)))
            .WithName("calculateRatioBands")
            .WithSummary("An aim turned into bands of ratio, gear by gear");
        ratio
            .MapPost("/compare", (SetupComparisonInput input) => TypedResults.Ok(SetupComparison.Compare(input)))
            .WithName("compareSetups")
            .WithSummary("Setups beside what is fitted: ratio, speeds in each gear, change, speedometer");
        ratio
            .MapPost("/drives", (MachineDrivesInput input) => TypedResults.Ok(MachineDrives.Evaluate(input)))
            .WithName("evaluateDrives")
            .WithSummary("Ratio, speeds and findings of every gear and output of a machine's drives");
        ratio
            .MapPost("/road-wheel", (RoadWheel input) => TypedResults.Ok(RollingCircumference.For(input)))
            .WithName("readRoadWheel")
            .WithSummary("Way per turn of a road wheel, from its marking or its roll-out");
        ratio
            .MapPost("/nearest-aim", (NearestAimInput input) => TypedResults.Ok(NearestAim.Find(input)))
            .WithName("findNearestAim")
            .WithSummary("Of aims kept before, the nearest to conditions and target");
        ratio
            .MapPost("/starting-search", (StartingSearchInput input) => TypedResults.Ok(StartingSearch.For(input)))
            .WithName("startSearch")
            .WithSummary("What a search begins with: sizes around what is fitted, and work to be paid");
        ratio
            .MapPost("/starting-aim", (StartingAimInput input) => TypedResults.Ok(StartingAim.For(input)))
            .WithName("startAim")
            .WithSummary("What a new aim of a kind begins with");
    }

    private static RatioBandsResult Bands(RatioBandsInput input)
    {
        DriveTrain train = new(input.Drive, input.Loops);
        new Guard().Count(nameof(input.LoopKeys), input.LoopKeys.Count, 1, 2, "loops").ThrowIfAny();
        return RatioBands.Find(train, input.LoopKeys, input.RoadWheels, input.Aim, input.Gears);
    }
}
