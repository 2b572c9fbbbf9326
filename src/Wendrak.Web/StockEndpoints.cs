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
        RouteGroupBuilder wheels = app.MapStored("/api/stock", "Stock");
        new ListWords("Stock", "listStock", "a wheel or loop in stock", "wheels and loops in stock").Give(
            wheels.MapGet("/", ListEndpoints<StockItem>.ListAsync),
            wheels.MapPost("/", ListEndpoints<StockItem>.AddAsync),
            wheels.MapPut("/{id:long}", ListEndpoints<StockItem>.ChangeAsync),
            wheels.MapDelete("/{id:long}", ListEndpoints<StockItem>.RemoveAsync)
        );

        RouteGroupBuilder spacers = app.MapStored("/api/spacers", "Stock");
        new ListWords("Spacer", "listSpacers", "spacers of one width", "spacers in stock").Give(
            spacers.MapGet("/", ListEndpoints<StockSpacer>.ListAsync),
            spacers.MapPost("/", ListEndpoints<StockSpacer>.AddAsync),
            spacers.MapPut("/{id:long}", ListEndpoints<StockSpacer>.ChangeAsync),
            spacers.MapDelete("/{id:long}", ListEndpoints<StockSpacer>.RemoveAsync)
        );

        RouteGroupBuilder parts = app.MapStored("/api/parts", "Stock");
        new ListWords("Part", "listParts", "a part in stock", "parts in stock").Give(
            parts.MapGet("/", ListEndpoints<StockPart>.ListAsync),
            parts.MapPost("/", ListEndpoints<StockPart>.AddAsync),
            parts.MapPut("/{id:long}", ListEndpoints<StockPart>.ChangeAsync),
            parts.MapDelete("/{id:long}", ListEndpoints<StockPart>.RemoveAsync)
        );

        RouteGroupBuilder tools = app.MapStored("/api/tools", "Stock");
        new ListWords("Tool", "listTools", "a tool", "tools on hand").Give(
            tools.MapGet("/", ListEndpoints<HandTool>.ListAsync),
            tools.MapPost("/", ListEndpoints<HandTool>.AddAsync),
            tools.MapPut("/{id:long}", ListEndpoints<HandTool>.ChangeAsync),
            tools.MapDelete("/{id:long}", ListEndpoints<HandTool>.RemoveAsync)
        );

        RouteGroupBuilder sets = app.MapStored("/api/gearbox-sets", "Stock");
        new ListWords("GearboxSet", "listGearboxSets", "a set of gears", "sets of gears").Give(
            sets.MapGet("/", ListEndpoints<GearboxSet>.ListAsync),
            sets.MapPost("/", ListEndpoints<GearboxSet>.AddAsync),
            sets.MapPut("/{id:long}", ListEndpoints<GearboxSet>.ChangeAsync),
            sets.MapDelete("/{id:long}", ListEndpoints<GearboxSet>.RemoveAsync)
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
