using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Wendrak.Core.Alignment;
using Wendrak.Core.Evaluation;
using Wendrak.Core.Frequency;
using Wendrak.Core.Records;
using Wendrak.Core.Tension;
using Wendrak.Store;

namespace Wendrak.Web;

public static class SetEndpoints
{
    public static void MapSet(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder set = app.MapComputing("/api/set", "Set");
        set.MapPost("/advice", (SetInput input) => TypedResults.Ok(SetEvaluation.Of(input))).WithName("adviseSetting");
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
        set.MapGet(
                "/practice-machines",
                (TimeProvider clock) => TypedResults.Ok(PracticeMachines.All.Select(m => CardOf(m, clock)).ToList())
            )
            .WithName("listPracticeMachines");
        set.MapPost("/listen", ListenAsync)
            .Accepts<Stream>("audio/wav")
            .WithMetadata(new RequestSizeLimitAttribute(RequestLimits.MostSoundBytes))
            .WithName("listen");
        set.MapGet("/pluck", (double hz) => TypedResults.File(PluckSound.Wav(hz), "audio/wav")).WithName("pluck");
    }

    /// <summary>A machine that is not stored, as if it were.</summary>
    private static MachineCard CardOf(MachineDraft draft, TimeProvider clock)
    {
        StoredMachine machine = StoredMachine.Of(draft, clock.Today());
        return new(machine.Machine, machine.Fitted, MachineSummary.Of(machine.Machine, machine.Fitted, []));
    }

    /// <summary>A recording as the body of the request, with the range that is expected where one is known.</summary>
    private static async Task<Ok<FrequencyReading>> ListenAsync(
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
        return TypedResults.Ok(BeltFrequencyMeter.Measure(WavRecording.Read(file), expected));
    }
}
