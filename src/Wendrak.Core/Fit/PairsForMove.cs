using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Fit;

/// <summary>An adjuster that was moved, or must be, with the same chain or belt.</summary>
/// <param name="Fitted">Wheels and length as fitted.</param>
/// <param name="MoveMm">Along the track from where it stands as fitted; positive towards its end.</param>
public sealed record PairsForMoveInput(Drive Drive, LoopChoice Fitted, LoopLayout Layout, double MoveMm);

/// <summary>A pair of wheels that would put the axle about where it is wanted.</summary>
/// <param name="OffMm">Its move less the move asked for.</param>
/// <param name="RatioChangePercent">Against as fitted; positive is shorter.</param>
/// <param name="FrontSize">Driving wheel: teeth, or datum diameter in mm of a friction belt.</param>
/// <param name="RearSize">Driven wheel, in the same measure.</param>
/// <param name="MoveMm">Way of the axle from where it is, mm; positive makes the drive longer.</param>
public sealed record PairForMove(
    double FrontSize,
    double RearSize,
    double MoveMm,
    double OffMm,
    double RatioChangePercent
);

/// <summary>The question the other way round: the axle goes by so much, which teeth does that ask for?</summary>
public static class PairsForMove
{
    private const int MostListed = 8;
    private const double MostMoveMm = 1_000;

    /// <returns>Pairs with which the present length closes, nearest to the move first; empty where none closes on the track.</returns>
    /// <exception cref="InvalidInputException">A part of the question is refused.</exception>
    public static IReadOnlyList<PairForMove> Find(PairsForMoveInput input)
    {
        FittedLoop fitted = FittedLoop.OfFitted(input.Drive, input.Fitted, input.Layout);
        new Guard()
            .Between(nameof(input.MoveMm), input.MoveMm, -MostMoveMm, MostMoveMm, "mm")
            .That(
                fitted.Loop.IsToothed,
                "Fitted.LoopKey",
                "no_teeth",
                "Give a chain or a toothed belt: pulleys are asked for by diameter."
            )
            .ThrowIfAny();
        LoopSearch around = SearchAround.Fitted(fitted.Loop, input.Fitted, null);
        double ratio = input.Fitted.RearSize / input.Fitted.FrontSize;
        return
        [
            .. Sizes(around.FrontMin, around.FrontMax)
                .SelectMany(front => Sizes(around.RearMin, around.RearMax).Select(rear => new WheelPair(front, rear)))
                .Select(pair => PairFits.Find(fitted, fitted.Closing, pair))
                .Where(fit => fit.MoveMm is not null)
                .Select(fit => new PairForMove(
                    fit.FrontSize,
                    fit.RearSize,
                    fit.MoveMm!.Value,
                    fit.MoveMm.Value - input.MoveMm,
                    (fit.RearSize / fit.FrontSize / ratio - 1) * 100
                ))
                .OrderBy(p => Math.Abs(p.OffMm))
                .Take(MostListed),
        ];
    }

    private static IEnumerable<double> Sizes(double least, double most)
    {
        for (double size = Math.Ceiling(least); size <= most; size++)
            yield return size;
    }
}
