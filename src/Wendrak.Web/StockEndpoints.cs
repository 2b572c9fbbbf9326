using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Records;
using Wendrak.Core.Tables;

namespace Wendrak.Web;

/// <summary>What a designation may be, for the choice beside a field, and what a new loop or work plan starts with.</summary>
public sealed record Designations(
    IReadOnlyList<string> Chains,
    IReadOnlyList<string> DoublePitchChains,
    IReadOnlyList<string> ToothedBelts,
    IReadOnlyList<string> VBelts,
    IReadOnlyList<HubGearPattern> HubGears,
    IReadOnlyList<StartingWheels> StartingWheels,
    IReadOnlyList<Stage> StartingStages,
    Drive StartingDrive,
    int MostAlternatives,
    WorkCosts DefaultWork
);

public static class StockEndpoints
{
    public static void MapStock(this IEndpointRouteBuilder app)
    {
        ListEndpoints<StockItem>.Map(app, "/api/stock", "Stock", "listStock");
        ListEndpoints<StockSpacer>.Map(app, "/api/spacers", "Spacer", "listSpacers");
        RouteGroupBuilder sets = ListEndpoints<GearboxSet>.Map(
            app,
            "/api/gearbox-sets",
            "GearboxSet",
            "listGearboxSets"
        );
        sets.MapGet("/designations", () => TypedResults.Ok(Known)).WithName("listDesignations");
    }

    private static Designations Known { get; } =
        new(
            [.. Chains.All.Select(c => c.ChainId)],
            [.. Chains.All.Where(c => c.IsDoublePitch).Select(c => c.ChainId)],
            [.. SynchronousProfiles.All.Select(p => p.ProfileId)],
            [.. VSections.All.Select(s => s.Section)],
            HubGears.All,
            StartingWheels.All,
            StartingStages.All,
            StartingStages.Drive,
            LoopAlternative.MostOfALoop,
            WorkCosts.Default
        );
}
