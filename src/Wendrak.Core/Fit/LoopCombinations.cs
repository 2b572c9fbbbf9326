using Wendrak.Core.Gearing;
using Wendrak.Core.Lengths;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Fit;

/// <summary>Wheels and lengths that can be had for one loop, and where its wheels stand.</summary>
/// <param name="Fronts">Tooth counts to try in front; empty for those that can be had, or those worth a search where none is listed.</param>
/// <param name="Rears">Tooth counts that the hub or shaft takes, in the same way.</param>
/// <param name="Stock">Wheels on the shelf and on suppliers' lists.</param>
/// <param name="Lengths">Links or belt teeth that can be had; empty for every whole one that closes.</param>
public sealed record LoopCombinationsInput(
    Drive Drive,
    LoopChoice Fitted,
    LoopLayout Layout,
    IReadOnlyList<int> Fronts,
    IReadOnlyList<int> Rears,
    IReadOnlyList<int> Lengths,
    IReadOnlyList<StockWheel> Stock
);

/// <summary>Two wheels and a length that close on the adjuster.</summary>
/// <param name="FrontOverRear">The ratio the bicycle way round.</param>
/// <param name="TravelMm">What the adjuster must go from its start to tension it.</param>
/// <param name="LeftMm">What it could still go.</param>
/// <param name="TeethInMesh">Of the wheel with the fewest in mesh.</param>
/// <param name="FrontSupply">How it can be had, its mounting counted.</param>
/// <param name="Money">Price of both wheels; 0 where both are there, null where one is not known.</param>
/// <param name="Breaks">Limits of the machine, its hub among them, that the pair breaks.</param>
/// <param name="Front">Teeth of the driving wheel.</param>
/// <param name="Rear">Teeth of the driven wheel.</param>
/// <param name="Length">Links or belt teeth.</param>
/// <param name="CentreMm">Distance of the shafts then, mm.</param>
public sealed record LoopCombination(
    int Front,
    int Rear,
    int Length,
    double FrontOverRear,
    double CentreMm,
    double TravelMm,
    double LeftMm,
    int TeethInMesh,
    WheelSupply FrontSupply,
    WheelSupply RearSupply,
    double? Money,
    IReadOnlyList<ConstraintBreak> Breaks
);

/// <summary>Wheels and lengths that close on the adjuster.</summary>
/// <param name="TrackMm">Whole way of the adjuster.</param>
/// <param name="Fronts">What was tried.</param>
/// <param name="Combinations">Nearest to the ratio as fitted first, then by travel; at most 300.</param>
/// <param name="Count">All that close, listed or not.</param>
/// <param name="Conditions">What a belt asks of a frame; empty for chains and machines that are not pedalled.</param>
/// <param name="Rears">What was tried behind.</param>
public sealed record LoopCombinationsResult(
    double TrackMm,
    IReadOnlyList<int> Fronts,
    IReadOnlyList<int> Rears,
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
    public static LoopCombinationsResult Find(LoopCombinationsInput input)
    {
        FittedLoop like = FittedLoop.OfFitted(input.Drive, input.Fitted, input.Layout);
        int[] fronts = Sizes(input.Fronts, input, like.Loop, WheelSide.Front);
        int[] rears = Sizes(input.Rears, input, like.Loop, WheelSide.Rear);
        Check(input, like, (long)fronts.Length * rears.Length);
        double fitted = input.Fitted.FrontSize / input.Fitted.RearSize;
        var byCloseness = fronts
            .SelectMany(front => rears.Select(rear => (Front: front, Rear: rear)))
            .GroupBy(pair => Math.Abs(Math.Log((double)pair.Front / pair.Rear / fitted)))
            .OrderBy(pairs => pairs.Key);
        List<LoopCombination> listed = [];
        int count = 0;
        foreach (var pairs in byCloseness)
        {
            (FittedLoop Loop, double Length)[] reaching =
            [
                .. pairs.Select(p => like.With(p.Front, p.Rear)).SelectMany(l => Reaching(l, input.Lengths)),
            ];
            count += reaching.Length;
            // The path changes steadily along the track: what reaches closes. Where is looked for only if it is listed.
            if (listed.Count >= MostListed)
                continue;
            LoopCombination[] closing =
            [
                .. reaching.Select(r => Closed(r.Loop, r.Length, input)).OfType<LoopCombination>(),
            ];
            count -= reaching.Length - closing.Length;
            listed.AddRange(closing.OrderBy(c => c.Breaks.Count > 0).ThenBy(c => c.TravelMm));
        }
        LoopCombination[] ranked = [.. listed.Take(MostListed)];
        bool pedalledBelt =
            input.Drive.Input.Kind == InputKind.Rider && like.Loop.DriveElement == DriveElement.ToothedBelt;
        return new(like.TrackMm, fronts, rears, ranked, count, pedalledBelt ? FrameConditions.ForBelt : []);
    }

    /// <summary>Lengths between the shortest and the longest path on the track.</summary>
    private static IEnumerable<(FittedLoop Loop, double Length)> Reaching(FittedLoop loop, IReadOnlyList<int> lengths)
    {
        if (loop.Range is not { } range)
            return [];
        // A track changes the path by twice its own length at most, and so do the thousandths beyond its ends.
        const double beyondMm = 2 * FittedLoop.ToleranceMm;
        IEnumerable<double> tried =
            lengths.Count > 0
                ? lengths.Distinct().Select(l => (double)l)
                : LoopLengths.Around(loop.Loop, range.LeastMm / loop.UnitMm, range.MostMm / loop.UnitMm, false);
        return tried
            .Where(l => l * loop.UnitMm >= range.LeastMm - beyondMm && l * loop.UnitMm <= range.MostMm + beyondMm)
            .Select(l => (loop, l));
    }

    private static LoopCombination? Closed(FittedLoop loop, double length, LoopCombinationsInput input)
    {
        FittingLength fit = loop.LengthOf(length);
        if (!fit.Fits || loop.Trace(fit.TravelMm!.Value).Path is not { } path)
            return null;
        (double front, double rear) = (loop.Choice.FrontSize, loop.Choice.RearSize);
        WheelSupply frontSupply = Supply.Find(input.Stock, loop.Loop, WheelSide.Front, front, input.Fitted.FrontSize);
        WheelSupply rearSupply = Supply.Find(input.Stock, loop.Loop, WheelSide.Rear, rear, input.Fitted.RearSize);
        return new(
            (int)loop.Choice.FrontSize,
            (int)loop.Choice.RearSize,
            (int)length,
            loop.Choice.FrontSize / loop.Choice.RearSize,
            fit.CentreMm!.Value,
            Math.Max(0, fit.TravelMm.Value),
            Math.Max(0, loop.TrackMm - fit.TravelMm.Value),
            path.Wheels.Where(w => w.TeethEngaged is not null).Min(w => w.TeethEngaged!.Value),
            frontSupply,
            rearSupply,
            frontSupply.Price + rearSupply.Price,
            new WheelLimits(input.Drive, loop.Loop).BreaksOf(front, rear, rear / front, null)
        );
    }

    /// <summary>As given, else what can be had for this place, else what a search would try first.</summary>
    private static int[] Sizes(IReadOnlyList<int> given, LoopCombinationsInput input, Loop loop, WheelSide side)
    {
        if (given.Count > 0)
            return [.. given.Distinct()];
        double fitted = side == WheelSide.Front ? input.Fitted.FrontSize : input.Fitted.RearSize;
        int[] listed =
        [
            .. input
                .Stock.Where(w =>
                    w.Side == side
                    && Supply.Find(input.Stock, loop, side, w.Size, fitted).Availability
                        is Availability.OnShelf
                            or Availability.ToBuy
                            or Availability.MountingNotSaid
                )
                .Select(w => (int)w.Size)
                .Append((int)fitted)
                .Distinct()
                .Order(),
        ];
        if (listed.Length > 1)
            return listed;
        LoopSearch around = SearchAround.Fitted(loop, input.Fitted, null);
        (double least, double most) =
            side == WheelSide.Front ? (around.FrontMin, around.FrontMax) : (around.RearMin, around.RearMax);
        return [.. Enumerable.Range((int)least, (int)most - (int)least + 1)];
    }

    private static void Check(LoopCombinationsInput input, FittedLoop like, long pairs)
    {
        Guard guard = StockWheel.Check(nameof(input.Stock), input.Stock);
        guard
            .That(
                like.Loop.IsToothed,
                "Layout.LoopKey",
                "no_teeth",
                "Give a chain or a toothed belt: other belts are cut or chosen by length."
            )
            .That(
                input.Layout.Moving is not null,
                "Layout.Moving",
                "missing",
                "Give what moves: between fixed centres look for pairs with little slack."
            )
            .That(
                pairs <= MostPairs,
                nameof(input.Rears),
                "too_many",
                $"Give fewer wheels: {pairs} pairs, at most {MostPairs} are tried at once.",
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
