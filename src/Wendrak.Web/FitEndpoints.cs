using Wendrak.Core.Drawing;
using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Lengths;
using Wendrak.Core.Loops;
using Wendrak.Core.Shafts;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wheels;

namespace Wendrak.Web;

/// <summary>A drive and the wheels of one of its loops, to begin that loop's layout from.</summary>
/// <param name="Kind">Of machine: says what is usually moved.</param>
public sealed record StartingLayoutInput(Drive Drive, LoopChoice Choice, MachineKind Kind);

/// <param name="Code">As it stands on the belt.</param>
/// <param name="Standard">Of the loop it is held against; null for none.</param>
public sealed record BeltCodeInput(string Code, string? Standard = null);

/// <param name="Standard">Chain of the tables.</param>
public sealed record SprocketInput(string Standard, int Teeth);

/// <summary>Belting on a coil: turns, thickness or both are given.</summary>
public sealed record CoilInput(double OuterDiameterMm, double InnerDiameterMm, double? Turns, double? ThicknessMm);

public static class FitEndpoints
{
    public static void MapFit(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder fit = app.MapComputing("/api/fit", "Fit");
        fit.MapPost("/loop", (LoopFitInput input) => TypedResults.Ok(LoopFit.Of(input))).WithName("fitLoop");
        fit.MapPost("/pairs", (PairFitsInput input) => TypedResults.Ok(PairFits.Of(input))).WithName("fitPairs");
        fit.MapPost("/suspension", (SuspensionPlayInput input) => TypedResults.Ok(SuspensionPlay.Of(input)))
            .WithName("calculateSuspensionPlay");
        fit.MapPost("/fixed-centre", (FixedCentreInput input) => TypedResults.Ok(FixedCentre.Pairs(input)))
            .WithName("findFixedCentrePairs");
        fit.MapPost("/neighbours", (LoopFitInput input) => TypedResults.Ok(NeighbourPairs.Of(input)))
            .WithName("fitNeighbours");
        fit.MapPost("/combinations", (LoopCombinationsInput input) => TypedResults.Ok(LoopCombinations.Of(input)))
            .WithName("findCombinations");
        fit.MapPost("/pairs-for-move", (PairsForMoveInput input) => TypedResults.Ok(PairsForMove.Of(input)))
            .WithName("findPairsForMove");
        fit.MapPost("/length-for-centre", (LengthForCentreInput input) => TypedResults.Ok(LengthForCentre.Of(input)))
            .WithName("findLengthForCentre");
        fit.MapPost("/spacers", (SpacerStacksInput input) => TypedResults.Ok(SpacerStacks.Of(input)))
            .WithName("findSpacerStacks");
        fit.MapPost("/spacer-workings", (SpacerWorkingsInput input) => TypedResults.Ok(SpacerWorkings.Of(input)))
            .WithName("explainSpacers");
        fit.MapPost("/rail", (RailInput input) => TypedResults.Ok(Rail.Of(input))).WithName("layRail");
        fit.MapPost("/belt-code", (BeltCodeInput input) => TypedResults.Ok(BeltCode.Answer(input.Code, input.Standard)))
            .WithName("readBeltCode");
        fit.MapPost("/cut-belt", (CutBeltInput input) => TypedResults.Ok(CutBelt.Of(input))).WithName("cutBelt");
        fit.MapPost("/groove", (GrooveInput input) => TypedResults.Ok(GrooveMatch.Of(input))).WithName("matchGroove");
        fit.MapPost(
                "/coil",
                (CoilInput input) =>
                    TypedResults.Ok(
                        CoilLength.Of(input.OuterDiameterMm, input.InnerDiameterMm, input.Turns, input.ThicknessMm)
                    )
            )
            .WithName("measureCoil");
        fit.MapPost(
                "/sprocket",
                (SprocketInput input) => TypedResults.Ok(SprocketSize.OfChain(input.Standard, input.Teeth))
            )
            .WithName("measureSprocket");
        fit.MapPost("/drawing", (LoopFitInput input) => TypedResults.Ok(Drawing(input))).WithName("drawLoop");
        fit.MapPost(
                "/starting-layout",
                (StartingLayoutInput input) => TypedResults.Ok(StartingLayout.Of(input.Drive, input.Choice, input.Kind))
            )
            .WithName("startLayout");
        fit.MapPost("/starting-parts", (StartingPartsInput input) => TypedResults.Ok(StartingParts.At(input)))
            .WithName("startParts");
        fit.MapPost("/starting-adjuster", (StartingAdjusterInput input) => TypedResults.Ok(StartingAdjuster.Of(input)))
            .WithName("startAdjuster");
    }

    private static LoopDrawingFiles Drawing(LoopFitInput input) =>
        LoopDrawingFiles.Of(LoopDrawing.Of(LoopFit.Of(input, false).Path, input.Layout));
}
