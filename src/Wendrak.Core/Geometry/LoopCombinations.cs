using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Geometry;

/// <summary>Wheels and lengths that can be had for one loop, and where its wheels stand.</summary>
/// <param name="Fronts">Tooth counts that can be had in front.</param>
/// <param name="Rears">Tooth counts that the hub or shaft takes.</param>
/// <param name="Lengths">Links or belt teeth that can be had; empty for every whole one that closes.</param>
public sealed record LoopCombinationsInput(
    Drive Drive,
    LoopChoice Fitted,
    LoopLayout Layout,
    IReadOnlyList<int> Fronts,
    IReadOnlyList<int> Rears,
    IReadOnlyList<int> Lengths
);

/// <summary>Two wheels and a length that close on the adjuster.</summary>
/// <param name="FrontOverRear">The ratio the bicycle way round.</param>
/// <param name="TravelMm">What the adjuster must go from its start to tension it.</param>
/// <param name="LeftMm">What it could still go.</param>
/// <param name="TeethInMesh">Of the wheel with the fewest in mesh.</param>
public sealed record LoopCombination(
    int Front,
    int Rear,
    int Length,
    double FrontOverRear,
    double CentreMm,
    double TravelMm,
    double LeftMm,
    int TeethInMesh
);

/// <param name="TrackMm">Whole way of the adjuster.</param>
/// <param name="Combinations">Nearest to the ratio as fitted first, then by travel; at most 300.</param>
/// <param name="Count">All that close, listed or not.</param>
/// <param name="Conditions">What a belt asks of a frame; empty for chains and machines that are not pedalled.</param>
public sealed record LoopCombinationsResult(
    double TrackMm,
    IReadOnlyList<LoopCombination> Combinations,
    int Count,
    IReadOnlyList<FrameCondition> Conditions
);

/// <summary>All combinations of wheels and lengths that close between two shafts with the way their adjuster has.</summary>
public static class LoopCombinations
{
    private const int MostPairs = 1_000;
    private const int MostLengths = 100;
    private const int MostListed = 300;

    /// <exception cref="InvalidInputException">A part of the question is refused, or nothing moves on the loop.</exception>
    public static LoopCombinationsResult Of(LoopCombinationsInput input)
    {
        FittedLoop like = new(new(input.Drive, input.Fitted, input.Fitted, input.Layout, null, false, null));
        Check(input, like);
        List<LoopCombination> all = [];
        foreach (int front in input.Fronts.Distinct())
        foreach (int rear in input.Rears.Distinct())
            all.AddRange(OfPair(like.With(front, rear), front, rear, input.Lengths));
        double fitted = input.Fitted.FrontSize / input.Fitted.RearSize;
        LoopCombination[] ranked =
        [
            .. all.OrderBy(c => Math.Abs(Math.Log(c.FrontOverRear / fitted))).ThenBy(c => c.TravelMm).Take(MostListed),
        ];
        bool pedalledBelt = input.Drive.Input.Kind == InputKind.Rider && like.Loop.Medium == LoopMedium.ToothedBelt;
        return new(like.TrackMm, ranked, all.Count, pedalledBelt ? FrameConditions.ForBelt : []);
    }

    private static IEnumerable<LoopCombination> OfPair(FittedLoop loop, int front, int rear, IReadOnlyList<int> lengths)
    {
        if (loop.Range is not { } range)
            yield break;
        IEnumerable<double> tried =
            lengths.Count > 0
                ? lengths.Distinct().Select(l => (double)l)
                : LoopLengths.Around(loop.Loop, range.Least / loop.UnitMm, range.Most / loop.UnitMm, false);
        foreach (double length in tried)
        {
            if (length * loop.UnitMm < range.Least - loop.UnitMm || length * loop.UnitMm > range.Most + loop.UnitMm)
                continue;
            FittingLength fit = loop.LengthOf(length);
            if (!fit.Fits || loop.Trace(fit.TravelMm!.Value).Path is not { } path)
                continue;
            yield return new(
                front,
                rear,
                (int)length,
                (double)front / rear,
                fit.CentreMm!.Value,
                Math.Max(0, fit.TravelMm.Value),
                Math.Max(0, loop.TrackMm - fit.TravelMm.Value),
                path.Wheels.Where(w => w.TeethEngaged is not null).Min(w => w.TeethEngaged!.Value)
            );
        }
    }

    private static void Check(LoopCombinationsInput input, FittedLoop like)
    {
        long pairs = (long)input.Fronts.Count * input.Rears.Count;
        Guard guard = new();
        guard
            .That(
                like.Loop.IsToothed,
                "Layout.LoopKey",
                "no_teeth",
                "Give a chain or a toothed belt: other belts are cut or chosen by length."
            )
            .That(
                input.Layout.Mover is not null,
                "Layout.Mover",
                "missing",
                "Give what moves: between fixed centres look for pairs with little slack."
            )
            .That(
                pairs is > 0 and <= MostPairs,
                nameof(input.Rears),
                "too_many",
                $"Give 1 to {MostPairs} pairs.",
                MostPairs
            )
            .Count(nameof(input.Lengths), input.Lengths.Count, 0, MostLengths, "lengths");
        Wheels(guard, nameof(input.Fronts), input.Fronts, like.Loop);
        Wheels(guard, nameof(input.Rears), input.Rears, like.Loop);
        for (int i = 0; i < input.Lengths.Count; i++)
            guard.Between($"{nameof(input.Lengths)}[{i}]", input.Lengths[i], 10, 10_000, "teeth or links");
        guard.ThrowIfAny();
    }

    private static void Wheels(Guard guard, string field, IReadOnlyList<int> sizes, Loop loop)
    {
        for (int i = 0; i < sizes.Count; i++)
            guard.CheckWheel($"{field}[{i}]", sizes[i], loop);
    }
}
