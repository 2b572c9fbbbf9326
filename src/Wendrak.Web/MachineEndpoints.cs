using Microsoft.AspNetCore.Http.HttpResults;
using Wendrak.Core.Gearing;
using Wendrak.Core.Machines;
using Wendrak.Store.Machines;

namespace Wendrak.Web;

/// <summary>A machine as a card in the yard shows it.</summary>
public sealed record MachineCard(Machine Machine, Setup Fitted, MachineSummary Summary);

/// <summary>A machine to be stored, with the wheels on it.</summary>
/// <param name="FittedVersion">Version of the setup as fitted that the wheels were read from; 0 for a new machine.</param>
/// <param name="Change">Why it differs from what is stored.</param>
public sealed record MachineSave(
    Machine Machine,
    IReadOnlyList<LoopChoice> Fitted,
    int FittedVersion,
    MachineChange Change = MachineChange.OtherParts
);

public sealed record CopyName(string Name);

public static class MachineEndpoints
{
    public static void MapMachines(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder machines = app.MapStored("/api/machines", "Machines");
        machines.MapGet("/", ListAsync).WithName("listMachines");
        machines.MapGet("/{id:long}", FindAsync).WithName("findMachine");
        machines.MapPost("/", AddAsync).WithName("addMachine");
        machines.MapPut("/{id:long}", ChangeAsync).WithName("changeMachine");
        machines.MapDelete("/{id:long}", RemoveAsync).WithName("removeMachine");
        machines.MapPost("/{id:long}/redo", RedoAfterAsync).WithName("redoAfterChange");
        machines.MapPost("/{id:long}/copy", CopyAsync).WithName("copyMachine");
        machines.MapGet("/{id:long}/file", ToFileAsync).WithName("writeMachineFile");
        machines.MapPost("/file", FromFileAsync).WithName("readMachineFile");
        machines.MapGet("/starting/{kind}", Starting).WithName("startMachine");
    }

    // A route value is not read by the JSON settings, which spell kinds in camelCase: so it is read here.
    private static Results<Ok<MachineDraft>, NotFound> Starting(string kind) =>
        Enum.TryParse(kind, ignoreCase: true, out MachineKind known) && Enum.IsDefined(known)
            ? TypedResults.Ok(StartingMachines.For(known))
            : TypedResults.NotFound();

    private static async Task<Ok<List<MachineCard>>> ListAsync(MachineStore store) =>
        TypedResults.Ok((await store.ListAsync()).Select(CardOf).ToList());

    private static async Task<Results<Ok<MachineCard>, NotFound>> FindAsync(long id, MachineStore store) =>
        await store.FindAsync(id) is { } machine ? TypedResults.Ok(CardOf(machine)) : TypedResults.NotFound();

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
            CardOf(await store.ChangeAsync(context.Who(), draft, save.FittedVersion, ct, save.Change))
        );
    }

    private static async Task<Results<NoContent, NotFound>> RemoveAsync(
        long id,
        int version,
        MachineStore store,
        HttpContext context,
        CancellationToken ct
    ) => await store.RemoveAsync(context.Who(), id, version, ct) ? TypedResults.NoContent() : TypedResults.NotFound();

    private static async Task<Results<Ok<IReadOnlyList<RedoItem>>, NotFound>> RedoAfterAsync(
        long id,
        MachineSave save,
        MachineStore store
    ) =>
        await store.RedoAfterAsync(new(save.Machine with { Id = id }, save.Fitted)) is { } items
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

    private static async Task<Results<Ok<MachineFile>, NotFound>> ToFileAsync(long id, MachineFiles files) =>
        await files.WriteAsync(id) is { } file ? TypedResults.Ok(file) : TypedResults.NotFound();

    private static async Task<Created<MachineCard>> FromFileAsync(
        MachineFile file,
        MachineFiles files,
        HttpContext context,
        CancellationToken ct
    )
    {
        FittedMachine added = await files.ReadAsync(context.Who(), file, ct);
        return TypedResults.Created($"/api/machines/{added.Machine.Id}", CardOf(added));
    }

    private static MachineCard CardOf(FittedMachine m) =>
        new(m.Machine, m.Fitted, MachineSummary.Of(m.Machine, m.Fitted, m.Visits));
}
