using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Wendrak.Core.Alignment;
using Wendrak.Core.Machines;
using Wendrak.Core.Sound;
using Wendrak.Core.Tension;
using Wendrak.Store.Machines;

namespace Wendrak.Web;

public static class SetEndpoints
{
    public static void MapSet(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder set = app.MapComputing("/api/set", "Set");
        set.MapPost("/advice", (SetInput input) => TypedResults.Ok(SetAdvising.Of(input))).WithName("adviseSetting");
        set.MapPost("/closing", (ClosingQuestion asked) => TypedResults.Ok(ClosingReasons.Of(asked)))
            .WithName("askClosing");
        set.MapPost("/match", (SideMatchInput input) => TypedResults.Ok(SideMatch.Of(input))).WithName("matchSides");
        set.MapPost("/straightness", (StraightnessInput input) => TypedResults.Ok(Straightness.Of(input)))
            .WithName("judgeStraightness");
        set.MapPost("/running-in", (RunningInInput input) => TypedResults.Ok(RunningIn.Of(input))).WithName("runIn");
        set.MapPost("/warmth", (ThermalTensionInput input) => TypedResults.Ok(ThermalTension.Of(input)))
            .WithName("warm");
        set.MapPost("/sprung-arm", (SprungArmInput input) => TypedResults.Ok(SprungArm.Of(input)))
            .WithName("balanceArm");
        set.MapPost("/practice", (PracticeInput input) => TypedResults.Ok(PracticeDrive.Read(input)))
            .WithName("readPractice");
        set.MapGet("/practice-machines", () => TypedResults.Ok(PracticeMachines.All.Select(CardOf).ToList()))
            .WithName("listPracticeMachines");
        set.MapPost("/listen", ListenAsync)
            .Accepts<Stream>("audio/wav")
            .WithMetadata(new RequestSizeLimitAttribute(RequestLimits.MostSoundBytes))
            .WithName("listen");
        set.MapGet("/pluck", (double hz) => TypedResults.File(PluckSound.Wav(hz), "audio/wav")).WithName("pluck");

        RouteGroupBuilder jobs = app.MapStored("/api", "Set jobs");
        jobs.MapGet("/machines/{id:long}/set-jobs", ListAsync).WithName("listSetJobs");
        jobs.MapPost("/machines/{id:long}/set-jobs", AddAsync).WithName("addSetJob");
        jobs.MapPut("/set-jobs/{id:long}", ChangeAsync).WithName("changeSetJob");
        jobs.MapDelete("/set-jobs/{id:long}", RemoveAsync).WithName("removeSetJob");
    }

    /// <summary>A machine that is not stored, as if it were.</summary>
    private static MachineCard CardOf(MachineDraft draft)
    {
        Setup fitted = new(
            0,
            0,
            0,
            draft.Machine.Name,
            SetupStatus.AsFitted,
            draft.Fitted,
            [],
            DateOnly.FromDateTime(DateTime.Today),
            null,
            null,
            null
        );
        return new(draft.Machine, fitted, MachineSummary.Of(draft.Machine, fitted, []));
    }

    /// <summary>A recording as the body of the request, with the range that is expected where one is known.</summary>
    private static async Task<Ok<PluckHearing>> ListenAsync(
        Stream recording,
        double? lowHz,
        double? highHz,
        CancellationToken ct
    )
    {
        using MemoryStream file = new();
        await recording.CopyToAsync(file, ct);
        file.Position = 0;
        ExpectedHz? expected = lowHz is double low && highHz is double high ? new(low, high) : null;
        return TypedResults.Ok(PluckEar.Hear(WavRecording.Read(file), expected));
    }

    private static async Task<Ok<IReadOnlyList<SetJob>>> ListAsync(long id, SetJobStore store) =>
        TypedResults.Ok(await store.ListAsync(id));

    private static async Task<Results<Ok<SetJob>, NotFound>> AddAsync(
        long id,
        SetJob job,
        SetJobStore store,
        HttpContext context,
        CancellationToken ct
    ) =>
        await store.AddAsync(context.Who(), job with { MachineId = id }, ct) is { } added
            ? TypedResults.Ok(added)
            : TypedResults.NotFound();

    private static async Task<Results<Ok<SetJob>, NotFound>> ChangeAsync(
        long id,
        SetJob job,
        SetJobStore store,
        HttpContext context,
        CancellationToken ct
    ) =>
        await store.ChangeAsync(context.Who(), job with { Id = id }, ct) is { } changed
            ? TypedResults.Ok(changed)
            : TypedResults.NotFound();

    private static async Task<Results<NoContent, NotFound>> RemoveAsync(
        long id,
        int version,
        SetJobStore store,
        HttpContext context,
        CancellationToken ct
    ) => await store.RemoveAsync(context.Who(), id, version, ct) ? TypedResults.NoContent() : TypedResults.NotFound();
}
