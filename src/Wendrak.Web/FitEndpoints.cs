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
/// <param name="Teeth">How many the wheel has.</param>
public sealed record SprocketInput(string Standard, int Teeth);

/// <summary>Belting on a coil: turns, thickness or both are given.</summary>
/// <param name="OuterDiameterMm">Of the coil, mm.</param>
/// <param name="InnerDiameterMm">Of its hole, mm.</param>
/// <param name="Turns">Counted; null where only the thickness is known.</param>
/// <param name="ThicknessMm">Of the belting, mm; null where only the turns are known.</param>
public sealed record CoilInput(double OuterDiameterMm, double InnerDiameterMm, double? Turns, double? ThicknessMm);

public static class FitEndpoints
{
    public static void MapFit(this IEndpointRouteBuilder app)
    {
        RouteGroupBuilder fit = app.MapComputing("/api/fit", "Fit");
        fit.MapPost("/loop", (LoopFitInput input) => TypedResults.Ok(LoopFit.Evaluate(input)))
            .WithName("fitLoop")
            .WithSummary("Fit of a loop: lengths that reach, adjustment left, wraps, clearances");
        fit.MapPost("/pairs", (PairFitsInput input) => TypedResults.Ok(PairFits.Find(input)))
            .WithName("fitPairs")
            .WithSummary("Whether each of many pairs fits with the length in view");
        fit.MapPost("/suspension", (SuspensionPlayInput input) => TypedResults.Ok(SuspensionPlay.Compute(input)))
            .WithName("calculateSuspensionPlay")
            .WithSummary("Free play through the travel of a swing arm, and what to set on the stand");
        fit.MapPost("/fixed-centre", (FixedCentreInput input) => TypedResults.Ok(FixedCentre.Pairs(input)))
            .WithName("findFixedCentrePairs")
            .WithSummary("Pairs whose loop closes at a centre distance that can't be moved");
        fit.MapPost("/neighbours", (LoopFitInput input) => TypedResults.Ok(NeighbourPairs.Find(input)))
            .WithName("fitNeighbours")
            .WithSummary("The pairs around the one in view, and how each fits");
        fit.MapPost("/combinations", (LoopCombinationsInput input) => TypedResults.Ok(LoopCombinations.Find(input)))
            .WithName("findCombinations")
            .WithSummary("Wheels and lengths in any combination that fit");
        fit.MapPost("/pairs-for-move", (PairsForMoveInput input) => TypedResults.Ok(PairsForMove.Find(input)))
            .WithName("findPairsForMove")
            .WithSummary("Pairs that put the axle where it is wanted");
        fit.MapPost("/length-for-centre", (LengthForCentreInput input) => TypedResults.Ok(LengthForCentre.Find(input)))
            .WithName("findLengthForCentre")
            .WithSummary("Lengths that come nearest to a wanted centre distance");
        fit.MapPost("/spacers", (SpacerStacksInput input) => TypedResults.Ok(SpacerStacks.Find(input)))
            .WithName("findSpacerStacks")
            .WithSummary("Stacks of spacers that bring every sprocket of a shaft into its line");
        fit.MapPost("/spacer-workings", (SpacerWorkingsInput input) => TypedResults.Ok(SpacerWorkings.Explain(input)))
            .WithName("explainSpacers")
            .WithSummary("How the place of every sprocket came about, from the pieces that lie there");
        fit.MapPost("/rail", (RailInput input) => TypedResults.Ok(Rail.LayOut(input)))
            .WithName("layRail")
            .WithSummary("Two loops and a middle shaft between them laid out, with spacers in stock");
        fit.MapPost("/belt-code", (BeltCodeInput input) => TypedResults.Ok(BeltCode.Answer(input.Code, input.Standard)))
            .WithName("readBeltCode")
            .WithSummary("What the code on a belt says, and whether it goes with a loop");
        fit.MapPost("/cut-belt", (CutBeltInput input) => TypedResults.Ok(CutBelt.Compute(input)))
            .WithName("cutBelt")
            .WithSummary("Length to cut a cord, ring or link belt to, for its path");
        fit.MapPost("/sheave-shims", (SheaveShimsInput input) => TypedResults.Ok(SheaveShims.Find(input)))
            .WithName("findShims")
            .WithSummary("How many shims to put in or take out where a variable belt stands too high or too low");
        fit.MapPost("/groove", (GrooveInput input) => TypedResults.Ok(GrooveMatch.Judge(input)))
            .WithName("matchGroove")
            .WithSummary("How a V-belt section sits in a groove");
        fit.MapPost(
                "/coil",
                (CoilInput input) =>
                    TypedResults.Ok(
                        CoilLength.Compute(input.OuterDiameterMm, input.InnerDiameterMm, input.Turns, input.ThicknessMm)
                    )
            )
            .WithName("measureCoil")
            .WithSummary("Belting on a coil, by its turns, its thickness or both");
        fit.MapPost(
                "/sprocket",
                (SprocketInput input) => TypedResults.Ok(SprocketSize.OfChain(input.Standard, input.Teeth))
            )
            .WithName("measureSprocket")
            .WithSummary("Diameters of a chain sprocket by chain and teeth");
        fit.MapPost("/drawing", (LoopFitInput input) => TypedResults.Ok(Drawing(input)))
            .WithName("drawLoop")
            .WithSummary("A loop drawn to scale, as files that other programs read");
        fit.MapPost(
                "/starting-layout",
                (StartingLayoutInput input) =>
                    TypedResults.Ok(StartingLayout.For(input.Drive, input.Choice, input.Kind))
            )
            .WithName("startLayout")
            .WithSummary("What a loop's layout begins with");
        fit.MapPost("/starting-parts", (StartingPartsInput input) => TypedResults.Ok(StartingParts.At(input)))
            .WithName("startParts")
            .WithSummary("What an added idler, edge or swing arm begins with");
        fit.MapPost("/starting-adjuster", (StartingAdjusterInput input) => TypedResults.Ok(StartingAdjuster.For(input)))
            .WithName("startAdjuster")
            .WithSummary("What another kind of adjuster keeps of the one before, or begins with");
    }

    private static LoopDrawingFiles Drawing(LoopFitInput input) =>
        LoopDrawingFiles.From(LoopDrawing.Draw(LoopFit.Evaluate(input, false).Path, input.Layout));
}
