using Microsoft.AspNetCore.Http.HttpResults;
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
        set.MapPost("/advice", (SetInput input) => TypedResults.Ok(SetEvaluation.Advise(input)))
            .WithName("adviseSetting")
            .WithSummary("What was read, whether it is right, and what to turn next");
        set.MapPost("/closing", (ClosingQuestion asked) => TypedResults.Ok(ClosingReasons.Find(asked)))
            .WithName("askClosing")
            .WithSummary("What is to be confirmed before a visit is closed");
        set.MapPost("/match", (SideMatchInput input) => TypedResults.Ok(SideMatch.Compare(input)))
            .WithName("matchSides")
            .WithSummary("Whether both sides of a machine are as tight as each other");
        set.MapPost("/straightness", (StraightnessInput input) => TypedResults.Ok(Straightness.Judge(input)))
            .WithName("judgeStraightness")
            .WithSummary("Offset and angle of a loop against what it may have, and what to turn");
        set.MapPost("/running-in", (RunningInInput input) => TypedResults.Ok(RunningIn.Predict(input)))
            .WithName("runIn")
            .WithSummary("How a new belt loses tension, and what to set for the day it is needed");
        set.MapPost("/warmth", (ThermalTensionInput input) => TypedResults.Ok(ThermalTension.Compute(input)))
            .WithName("warm")
            .WithSummary("What warmth adds to a belt on fixed centres");
        set.MapPost("/sprung-arm", (SprungArmInput input) => TypedResults.Ok(SprungArm.Compute(input)))
            .WithName("balanceArm")
            .WithSummary("Tension that a sprung arm holds");
        set.MapPost("/practice", (PracticeInput input) => TypedResults.Ok(PracticeDrive.Read(input)))
            .WithName("readPractice")
            .WithSummary("What would be read on a machine to practise on");
        set.MapGet(
                "/practice-machines",
                (TimeProvider clock) => TypedResults.Ok(PracticeMachines.All.Select(m => CardOf(m, clock)).ToList())
            )
            .WithName("listPracticeMachines")
            .WithSummary("The machines to practise on");
        set.MapPost("/listen", ListenAsync)
            .Accepts<Stream>("audio/wav")
            .WithMetadata(new RequestSizeLimit(RequestLimits.MostSoundBytes))
            .WithName("listen")
            .WithSummary("Frequency of a plucked span, from a recording");
        set.MapGet("/pluck", (double hz) => TypedResults.File(PluckSound.Wav(hz), "audio/wav"))
            .WithName("pluck")
            .WithSummary("Sound of a span of a given frequency, to try a meter on");
    }

    /// <summary>A machine that is not stored, as if it were.</summary>
    private static MachineCard CardOf(MachineDraft draft, TimeProvider clock)
    {
        StoredMachine machine = StoredMachine.From(draft, clock.Today());
        return new(machine.Machine, machine.Fitted, MachineSummary.From(machine.Machine, machine.Fitted, []));
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
