using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;
using Wendrak.Core.Tables;

namespace Wendrak.Web;

/// <summary>What a designation may be, for the choice beside a field, and what a new loop or work plan starts with.</summary>
/// <param name="Chains">Chain sizes of the tables.</param>
/// <param name="DoublePitchChains">Those of them with plates for every other gap.</param>
/// <param name="ToothedBelts">Profiles of the tables.</param>
/// <param name="VBelts">Sections of the tables.</param>
/// <param name="MostAlternatives">How many may stand in the place of one loop.</param>
public sealed record Designations(
    IReadOnlyList<string> Chains,
    IReadOnlyList<string> DoublePitchChains,
    IReadOnlyList<string> ToothedBelts,
    IReadOnlyList<string> VBelts,
    IReadOnlyList<HubGearPattern> HubGears,
    IReadOnlyList<StartingLoop> StartingLoops,
    IReadOnlyList<Stage> StartingStages,
    Drive StartingDrive,
    int MostAlternatives,
    WorkCosts DefaultWork
);

public static class StockEndpoints
{
    public static void MapStock(this IEndpointRouteBuilder app)
    {
        ListEndpoints<StockItem>.Map(
            app,
            "/api/stock",
            "Stock",
            "listStock",
            "a wheel or loop in stock",
            "wheels and loops in stock"
        );
        ListEndpoints<StockSpacer>.Map(
            app,
            "/api/spacers",
            "Spacer",
            "listSpacers",
            "spacers of one width",
            "spacers in stock"
        );
        ListEndpoints<StockPart>.Map(app, "/api/parts", "Part", "listParts", "a part in stock", "parts in stock");
        ListEndpoints<HandTool>.Map(app, "/api/tools", "Tool", "listTools", "a tool", "tools on hand");
        RouteGroupBuilder sets = ListEndpoints<GearboxSet>.Map(
            app,
            "/api/gearbox-sets",
            "GearboxSet",
            "listGearboxSets",
            "a set of gears",
            "sets of gears"
        );
        sets.MapGet("/designations", () => TypedResults.Ok(Known))
            .WithName("listDesignations")
            .WithSummary("What can be had: chains, belt profiles, sections, hub gears, and what new parts begin with");
    }

    private static Designations Known { get; } =
        new(
            [.. Chains.All.Select(c => c.ChainId)],
            [.. Chains.All.Where(c => c.IsDoublePitch).Select(c => c.ChainId)],
            [.. SynchronousProfiles.All.Select(p => p.ProfileId)],
            [.. VSections.All.Select(s => s.Section)],
            HubGears.All,
            StartingLoop.All,
            StartingStages.All,
            StartingStages.Drive,
            LoopAlternative.MostOfALoop,
            WorkCosts.Default
        );
}
