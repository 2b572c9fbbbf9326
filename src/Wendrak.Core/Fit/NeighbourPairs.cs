using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;

namespace Wendrak.Core.Fit;

/// <summary>A pair beside the one in view, with the length in view.</summary>
/// <param name="Ratio">Rear over front, slip included.</param>
/// <param name="RatioChangePercent">Against the pair in view; positive is shorter.</param>
/// <param name="Fit">Whether the length in view still closes; its move counts from where the pair in view closes.</param>
public sealed record NeighbourPair(double Ratio, double RatioChangePercent, PairFit Fit);

/// <summary>Where the adjuster goes with the pairs around the one in view.</summary>
/// <param name="Fronts">Sizes tried in front, smallest first.</param>
/// <param name="Pairs">Front by front, rears from small to large.</param>
/// <param name="Rears">Sizes tried behind, smallest first.</param>
public sealed record NeighbourPairsResult(
    IReadOnlyList<double> Fronts,
    IReadOnlyList<double> Rears,
    IReadOnlyList<NeighbourPair> Pairs
);

/// <summary>Both sides of an odd change: what one tooth in front or up to three behind would do with the same length.</summary>
public static class NeighbourPairs
{
    private const int FrontSteps = 1;
    private const int RearSteps = 3;

    /// <exception cref="InvalidInputException">A part of the question is refused.</exception>
    public static NeighbourPairsResult Find(LoopFitInput input)
    {
        FittedLoop inView = new(input);
        Loop loop = inView.Loop;
        double[] fronts = Around(loop, input.Choice.FrontSize, FrontSteps);
        double[] rears = Around(loop, input.Choice.RearSize, RearSteps);
        double ratio = Ratio(loop, input.Choice.FrontSize, input.Choice.RearSize);
        List<NeighbourPair> pairs = [];
        foreach (double front in fronts)
        foreach (double rear in rears)
        {
            double here = Ratio(loop, front, rear);
            pairs.Add(new(here, (here / ratio - 1) * 100, PairFits.Find(inView, inView.Closing, new(front, rear))));
        }
        return new(fronts, rears, pairs);
    }

    private static double Ratio(Loop loop, double front, double rear) => Math.Abs(StageRatio.OfLoop(loop, front, rear));

    /// <summary>Teeth one by one; friction pulleys along the preferred diameters.</summary>
    private static double[] Around(Loop loop, double size, int steps)
    {
        (double least, double most) = (WheelSize.Smallest(loop.DriveElement), WheelSize.Largest(loop.DriveElement));
        IEnumerable<double> all = loop.IsToothed
            ? Enumerable.Range(-steps, 2 * steps + 1).Select(step => size + step)
            : VSections
                .PreferredDatumDiametersMm.Where(d => d < size)
                .TakeLast(steps)
                .Append(size)
                .Concat(VSections.PreferredDatumDiametersMm.Where(d => d > size).Take(steps));
        return [.. all.Where(s => s >= least && s <= most)];
    }
}
