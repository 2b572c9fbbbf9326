using Microsoft.AspNetCore.Http.HttpResults;
using Wendrak.Core.Gearing;
using Wendrak.Core.Machines;
using Wendrak.Core.Tables;
using Wendrak.Store.Machines;

namespace Wendrak.Web;

/// <summary>What a designation may be, for the choice beside a field, and what a new loop or work plan starts with.</summary>
public sealed record Designations(
    IReadOnlyList<string> Chains,
    IReadOnlyList<string> DoublePitchChains,
    IReadOnlyList<string> ToothedBelts,
    IReadOnlyList<string> VBelts,
    IReadOnlyList<HubGearPattern> HubGears,
    IReadOnlyList<StartingWheels> StartingWheels,
    WorkCosts DefaultWork
);

public static class StockEndpoints
{
    public static void MapStock(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder stock = app.MapStored("/api/stock", "Stock");
        stock
            .MapGet(
                "/",
                async Task<Ok<IReadOnlyList<StockItem>>> (StockStore store) => TypedResults.Ok(await store.ListAsync())
            )
            .WithName("listStock");
        stock.MapPost("/", AddAsync).WithName("addStock");
        stock.MapPut("/{id:long}", ChangeAsync).WithName("changeStock");
        stock.MapDelete("/{id:long}", RemoveAsync).WithName("removeStock");

        RouteGroupBuilder spacers = app.MapStored("/api/spacers", "Stock");
        spacers
            .MapGet(
                "/",
                async Task<Ok<IReadOnlyList<StockSpacer>>> (StockStore store) =>
                    TypedResults.Ok(await store.SpacersAsync())
            )
            .WithName("listSpacers");
        spacers.MapPost("/", AddSpacerAsync).WithName("addSpacer");
        spacers.MapPut("/{id:long}", ChangeSpacerAsync).WithName("changeSpacer");
        spacers.MapDelete("/{id:long}", RemoveSpacerAsync).WithName("removeSpacer");

        RouteGroupBuilder sets = app.MapStored("/api/gearbox-sets", "Stock");
        sets.MapGet(
                "/",
                async Task<Ok<IReadOnlyList<GearboxSet>>> (StockStore store) =>
                    TypedResults.Ok(await store.GearboxSetsAsync())
            )
            .WithName("listGearboxSets");
        sets.MapPost("/", AddSetAsync).WithName("addGearboxSet");
        sets.MapPut("/{id:long}", ChangeSetAsync).WithName("changeGearboxSet");
        sets.MapDelete("/{id:long}", RemoveSetAsync).WithName("removeGearboxSet");
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
            WorkCosts.Default
        );

    private static async Task<Ok<StockItem>> AddAsync(
        StockItem item,
        StockStore store,
        HttpContext context,
        CancellationToken ct
    ) => TypedResults.Ok(await store.AddAsync(context.Who(), item, ct));

    private static async Task<Ok<StockItem>> ChangeAsync(
        long id,
        StockItem item,
        StockStore store,
        HttpContext context,
        CancellationToken ct
    ) => TypedResults.Ok(await store.ChangeAsync(context.Who(), item with { Id = id }, ct));

    private static async Task<NoContent> RemoveAsync(
        long id,
        int version,
        StockStore store,
        HttpContext context,
        CancellationToken ct
    )
    {
        await store.RemoveAsync(context.Who(), id, version, ct);
        return TypedResults.NoContent();
    }

    private static async Task<Ok<StockSpacer>> AddSpacerAsync(
        StockSpacer spacer,
        StockStore store,
        HttpContext context,
        CancellationToken ct
    ) => TypedResults.Ok(await store.AddSpacerAsync(context.Who(), spacer, ct));

    private static async Task<Ok<StockSpacer>> ChangeSpacerAsync(
        long id,
        StockSpacer spacer,
        StockStore store,
        HttpContext context,
        CancellationToken ct
    ) => TypedResults.Ok(await store.ChangeSpacerAsync(context.Who(), spacer with { Id = id }, ct));

    private static async Task<NoContent> RemoveSpacerAsync(
        long id,
        int version,
        StockStore store,
        HttpContext context,
        CancellationToken ct
    )
    {
        await store.RemoveSpacerAsync(context.Who(), id, version, ct);
        return TypedResults.NoContent();
    }

    private static async Task<Ok<GearboxSet>> AddSetAsync(
        GearboxSet set,
        StockStore store,
        HttpContext context,
        CancellationToken ct
    ) => TypedResults.Ok(await store.AddSetAsync(context.Who(), set, ct));

    private static async Task<Ok<GearboxSet>> ChangeSetAsync(
        long id,
        GearboxSet set,
        StockStore store,
        HttpContext context,
        CancellationToken ct
    ) => TypedResults.Ok(await store.ChangeSetAsync(context.Who(), set with { Id = id }, ct));

    private static async Task<NoContent> RemoveSetAsync(
        long id,
        int version,
        StockStore store,
        HttpContext context,
        CancellationToken ct
    )
    {
        await store.RemoveSetAsync(context.Who(), id, version, ct);
        return TypedResults.NoContent();
    }
}
