using Microsoft.AspNetCore.Http.HttpResults;
using Wendrak.Core.Evaluation;
using Wendrak.Core.Gearing;
using Wendrak.Core.Records;
using Wendrak.Core.Vocabulary;
using Wendrak.Store;
using Wendrak.Store.Demo;
using Wendrak.Store.Machines;

namespace Wendrak.Web;

/// <summary>A machine as a card in the yard shows it.</summary>
/// <param name="KindsOf">The setup whose kinds of loops stand on it here; null where it is as it is.</param>
public sealed record MachineCard(Machine Machine, Setup Fitted, MachineSummary Summary, KindsInView? KindsOf = null);

/// <summary>A machine to be stored, with the wheels on it.</summary>
/// <param name="FittedVersion">Version of the setup as fitted that the wheels were read from; 0 for a new machine.</param>
/// <param name="Change">Why it differs from what is stored.</param>
/// <param name="KindsOf">The setup whose kinds of loops stood on it as it was read: what hangs on these is stored with the setup.</param>
public sealed record MachineSave(
    Machine Machine,
    IReadOnlyList<LoopChoice> Fitted,
    int FittedVersion,
    MachineChange Change = MachineChange.OtherParts,
    KindsInView? KindsOf = null
);

/// <param name="Name">Of the copy.</param>
public sealed record CopyName(string Name);

public static class MachineEndpoints
{
    public static void MapMachines(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder machines = app.MapStored("/api/machines", "Machines");
        machines
            .MapGet("/", ListAsync)
            .WithName("listMachines")
            .WithSummary("All machines, each with what the yard shows of it");
        app.MapStored("/api/demo", "Machines")
            .MapPost("/", AddDemoAsync)
            .WithName("addDemo")
            .WithSummary("Puts the invented machines into an empty yard, and onto empty shelves what lies there");
        machines.MapGet("/{id:long}", FindAsync).WithName("findMachine").WithSummary("One machine");
        machines.MapPost("/", AddAsync).WithName("addMachine").WithSummary("Adds a machine");
        machines.MapPut("/{id:long}", ChangeAsync).WithName("changeMachine").WithSummary("Changes a machine");
        machines
            .MapDelete("/{id:long}", RemoveAsync)
            .WithName("removeMachine")
            .WithSummary("Removes a machine and what belongs to it; undo brings all of it back");
        machines
            .MapPost("/{id:long}/follow-ups", FollowUpsAfterAsync)
            .WithName("followUpsAfterChange")
            .WithSummary("What is to be done again once a machine is changed like this");
        machines
            .MapPost("/{id:long}/copy", CopyAsync)
            .WithName("copyMachine")
            .WithSummary("Adds a copy of a machine under another name");
        machines.MapMachineFiles();
        machines
            .MapGet("/starting/{kind}", Starting)
            .WithName("startMachine")
            .WithSummary("What a new machine of a kind begins with");
    }

    // A route value is not read by the JSON settings, which spell kinds in camelCase: so it is read here.
    private static Results<Ok<MachineDraft>, NotFound> Starting(string kind) =>
        Enum.TryParse(kind, ignoreCase: true, out MachineKind known) && Enum.IsDefined(known)
            ? TypedResults.Ok(StartingMachines.For(known))
            : TypedResults.NotFound();

    private static async Task<NoContent> AddDemoAsync(
        Database database,
        MachineStore yard,
        StockStore stock,
        MachineFiles machines
    )
    {
        await DemoData.AddAsync(database, yard, stock, machines);
        return TypedResults.NoContent();
    }

    private static async Task<Ok<List<MachineCard>>> ListAsync(
        MachineStore store,
        MachineCards cards,
        HttpContext context,
        long? after = null,
        int? most = null
    ) => TypedResults.Ok(cards.Make(ListPart.Take(await store.ListAsync(), m => m.Machine.Id, after, most, context)));

    private static async Task<Results<Ok<MachineCard>, NotFound>> FindAsync(
        long id,
        MachineStore store,
        SetupStore setups,
        MachineCards cards,
        long? kindsOf = null
    )
    {
        if (await store.FindAsync(id) is not { } machine)
            return TypedResults.NotFound();
        return
            kindsOf is long of
            && (await setups.ListAsync(id)).FirstOrDefault(s => s.Id == of) is { Kinds: { Count: > 0 } } setup
            ? TypedResults.Ok(WithKindsOf(setup, machine))
            : TypedResults.Ok(cards.Make(machine));
    }

    /// <summary>The machine as it is with the kinds of a setup on it.</summary>
    private static MachineCard WithKindsOf(Setup setup, FittedMachine m)
    {
        Machine with = SetupKinds.On(m.Machine, setup.Kinds);
        return new(
            with,
            m.Fitted,
            MachineSummary.From(
                with,
                m.Fitted with
                {
                    Loops = setup.Loops,
                    RoadWheels = setup.RoadWheels,
                },
                m.Visits,
                m.Stops
            ),
            new(setup.Id, setup.Version)
        );
    }

    private static async Task<Created<MachineCard>> AddAsync(
        MachineSave save,
        MachineStore store,
        HttpContext context,
        CancellationToken ct
    )
    {
        FittedMachine added = await store.AddAsync(context.Who(), new(save.Machine, save.Fitted), ct);
        return TypedResults.Created($"/api/machines/{added.Machine.Id}", CardOf(added));
    }

    private static async Task<Ok<MachineCard>> ChangeAsync(
        long id,
        MachineSave save,
        MachineStore store,
        HttpContext context,
        CancellationToken ct
    )
    {
        MachineDraft draft = new(save.Machine with { Id = id }, save.Fitted);
        return TypedResults.Ok(
            CardOf(await store.ChangeAsync(context.Who(), draft, save.FittedVersion, ct, save.Change, save.KindsOf))
        );
    }

    private static async Task<Results<NoContent, NotFound>> RemoveAsync(
        long id,
        int version,
        MachineStore store,
        HttpContext context,
        CancellationToken ct
    ) => await store.RemoveAsync(context.Who(), id, version, ct) ? TypedResults.NoContent() : TypedResults.NotFound();

    private static async Task<Results<Ok<IReadOnlyList<FollowUpTask>>, NotFound>> FollowUpsAfterAsync(
        long id,
        MachineSave save,
        MachineStore store
    ) =>
        await store.FollowUpsAfterAsync(new(save.Machine with { Id = id }, save.Fitted), save.KindsOf) is { } items
            ? TypedResults.Ok(items)
            : TypedResults.NotFound();

    private static async Task<Results<Created<MachineCard>, NotFound>> CopyAsync(
        long id,
        CopyName copy,
        MachineStore store,
        HttpContext context,
        CancellationToken ct
    ) =>
        await store.CopyAsync(context.Who(), id, copy.Name, ct) is { } added
            ? TypedResults.Created($"/api/machines/{added.Machine.Id}", CardOf(added))
            : TypedResults.NotFound();

    internal static MachineCard CardOf(FittedMachine m) =>
        new(m.Machine, m.Fitted, MachineSummary.From(m.Machine, m.Fitted, m.Visits, m.Stops));
}
