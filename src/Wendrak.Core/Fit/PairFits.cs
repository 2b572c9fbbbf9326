using Wendrak.Core.Gearing;
using Wendrak.Core.Lengths;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Fit;

/// <summary>Pairs of wheels to try with the chain or belt that is on the machine.</summary>
public sealed record PairFitsInput(Drive Drive, LoopChoice Fitted, LoopLayout Layout, IReadOnlyList<WheelPair> Pairs);

/// <summary>What a pair does to the place of the mover.</summary>
/// <param name="MoveMm">From where it stands as fitted, along its track; null where the present length does not close.</param>
/// <param name="Fits">Whether the present length closes on the track.</param>
/// <param name="LengthChange">
/// Smallest change of the present length that does fit, in links, belt teeth or mm; 0 when it fits, null where none does.
/// </param>
/// <param name="FrontSize">Driving wheel: teeth, or datum diameter in mm of a friction belt.</param>
/// <param name="RearSize">Driven wheel, in the same measure.</param>
public sealed record PairFit(double FrontSize, double RearSize, double? MoveMm, bool Fits, double? LengthChange);

/// <summary>Says of many pairs at once whether the present chain or belt still fits, and where the axle goes.</summary>
public static class PairFits
{
    public const int MostPairs = 500;

    /// <summary>One answer per pair, in the order given.</summary>
    /// <exception cref="InvalidInputException">A part of the question is refused.</exception>
    public static IReadOnlyList<PairFit> Find(PairFitsInput input)
    {
        new Guard().Count(nameof(input.Pairs), input.Pairs.Count, 0, MostPairs, "pairs").ThrowIfAny();
        FittedLoop fitted = FittedLoop.OfFitted(input.Drive, input.Fitted, input.Layout);
        return
        [
            .. input.Pairs.Select(
                (pair, i) =>
                    Refusal.Renamed("Choice.", $"{nameof(input.Pairs)}[{i}].", () => Find(fitted, fitted.Closing, pair))
            ),
        ];
    }

    /// <param name="like">The loop with any wheels, and the length in question.</param>
    /// <param name="standsMm">Where the mover is now.</param>
    internal static PairFit Find(FittedLoop like, double? standsMm, WheelPair pair)
    {
        FittedLoop loop = like.With(pair.FrontSize, pair.RearSize);
        double? change = NearestChange(loop);
        bool fit = change == 0;
        return new(pair.FrontSize, pair.RearSize, fit ? loop.Closing - standsMm : null, fit, change);
    }

    private static double? NearestChange(FittedLoop loop)
    {
        if (loop.ChosenLength is not double length || loop.Range is not { } range)
            return null;
        if (loop.LengthOf(length).Fits)
            return 0;
        double[] changes =
        [
            .. LoopLengths
                .Around(loop.Loop, range.LeastMm / loop.UnitMm, range.MostMm / loop.UnitMm, false)
                .Where(l => loop.LengthOf(l).Fits)
                .Select(l => l - length),
        ];
        return changes.Length == 0 ? null : changes.MinBy(Math.Abs);
    }
}
