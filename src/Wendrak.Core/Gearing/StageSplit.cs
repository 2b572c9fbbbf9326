using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Gearing;

/// <summary>Why one loop is asked too much.</summary>
public enum SplitBecause
{
    /// <summary>Its ratio is more than one stage of it should do.</summary>
    RatioTooLarge,

    /// <summary>With as many teeth as the small wheel should have, the large one finds no room.</summary>
    TooFewTeeth,
}

/// <summary>A ratio that is too much for one loop, shared between as few stages as it takes.</summary>
/// <param name="Ratio">That is asked for, above 1; of a loop that speeds up, its reciprocal.</param>
/// <param name="MostRatio">Of one stage.</param>
/// <param name="MostRatioSource">Who says so.</param>
/// <param name="FewestSize">That the small wheel should have: teeth, or datum diameter in mm; null where nobody says.</param>
/// <param name="SizeUnit">Of the wheels: teeth or mm.</param>
/// <param name="Stages">How many it takes.</param>
/// <param name="Each">Ratio of each, where all have the same.</param>
/// <param name="Pairs">Wheels of each stage, from the driving end.</param>
/// <param name="Gives">What they come to together.</param>
/// <param name="OffPercent">How far that is off, signed.</param>
/// <remarks>
/// Equal shares make the largest wheel as small as it can be. Source: algebra (of numbers with one product, equal ones have the
/// smallest sum); how much one stage should do, and its fewest teeth: the tables, common practice.
/// </remarks>
public sealed record StageSplit(
    SplitBecause Because,
    double Ratio,
    double MostRatio,
    string MostRatioSource,
    double? FewestSize,
    string SizeUnit,
    int Stages,
    double Each,
    IReadOnlyList<WheelPair> Pairs,
    double Gives,
    double OffPercent,
    IReadOnlyList<Working> Workings
)
{
    /// <summary>Nearer than this a split is as good as exact; among those the smaller wheels count. Judgement.</summary>
    private const double NearPercent = 0.5;

    /// <summary>Small wheels that are tried: the fewest teeth, and so many above.</summary>
    private const int SmallsTried = 9;
    private const double Rounding = 1e-9;

    /// <param name="loop">That is asked.</param>
    /// <param name="fitted">What is on it now.</param>
    /// <param name="ratio">Asked of it, either way up, not 0.</param>
    /// <param name="mostLarger">How much larger than the one that is on the large wheel may be, where its room was not said.</param>
    /// <returns>Null where one stage can do it.</returns>
    public static StageSplit? Of(Loop loop, MachineKind machine, LoopChoice fitted, double ratio, double mostLarger)
    {
        ratio = Math.Abs(ratio);
        bool speedsUp = ratio < 1;
        double room = (speedsUp ? null : loop.LargestRear) ?? mostLarger * Math.Max(fitted.FrontSize, fitted.RearSize);
        double step = speedsUp ? 1 / ratio : ratio;
        (double most, string source) = MostOf(loop.DriveElement, machine);
        double? fewest = SmallWheel.Fewest(loop);
        if (step <= most && !(fewest * step > room))
            return null;
        int stages = Math.Max(2, (int)Math.Ceiling(Math.Log(step) / Math.Log(most) - Rounding));
        Explained each = Share.With(step, stages);
        double least = SmallWheel.AdvisedMinimum(loop) ?? Math.Min(fitted.FrontSize, fitted.RearSize);
        double[] sizes = Sizes(loop, least);
        double[] smalls = [.. sizes.Where(s => s >= least).Take(SmallsTried)];
        var best = (
            from first in smalls
            from firstLarge in Around(sizes, first * WithSlip(loop, each.Value))
            let rest = step / Math.Pow(RatioOf(loop, first, firstLarge), stages - 1)
            from last in smalls
            from lastLarge in Around(sizes, last * WithSlip(loop, rest))
            let gives = Math.Pow(RatioOf(loop, first, firstLarge), stages - 1) * RatioOf(loop, last, lastLarge)
            let off = Math.Abs(gives / step - 1) * 100
            let isMuch = Math.Max(RatioOf(loop, first, firstLarge), RatioOf(loop, last, lastLarge)) > most
            orderby isMuch, Math.Max(off, NearPercent), (stages - 1) * firstLarge + lastLarge, off
            select (First: (first, firstLarge), Last: (last, lastLarge), Gives: gives)
        ).First();
        WheelPair Pair((double Small, double Large) of) => speedsUp ? new(of.Large, of.Small) : new(of.Small, of.Large);
        return new(
            step > most ? SplitBecause.RatioTooLarge : SplitBecause.TooFewTeeth,
            step,
            most,
            source,
            fewest,
            WheelSize.Unit(loop.DriveElement),
            stages,
            each.Value,
            [.. Enumerable.Repeat(Pair(best.First), stages - 1), Pair(best.Last)],
            best.Gives,
            (best.Gives / step - 1) * 100,
            [each.Working]
        );
    }

    private static (double Most, string Source) MostOf(DriveElement element, MachineKind machine)
    {
        ChoiceKind kind = ChoiceKinds.All.First(k =>
            k.Element == (element == DriveElement.FlatBelt ? DriveElement.VBelt : element)
        );
        return MachineKinds.Get(machine).MostLoopRatio is double own
            ? (own, "trade practice: 2 to 3 on small robots")
            : (kind.MostRatio, kind.MostRatioSource);
    }

    private static double[] Sizes(Loop loop, double least) =>
        loop.DriveElement == DriveElement.VBelt ? [.. VSections.PreferredDatumDiametersMm]
        : loop.IsToothed
            ?
            [
                .. Enumerable
                    .Range(0, WheelSize.MostTeeth)
                    .Select(n => (double)(n * WheelSize.GapsPerLink(loop)))
                    .Where(n => n >= least && n <= WheelSize.MostTeeth),
            ]
        : [.. Enumerable.Range((int)Math.Ceiling(least), 500).Select(n => (double)n)];

    /// <summary>The next smaller and the next larger one that is made.</summary>
    private static IEnumerable<double> Around(double[] sizes, double wanted)
    {
        int at = Array.BinarySearch(sizes, wanted);
        if (at >= 0)
            return [sizes[at]];
        int above = ~at;
        return sizes[Math.Max(0, above - 1)..Math.Min(sizes.Length, above + 1)];
    }

    /// <summary>What slips is made so much shorter that the speed is the same.</summary>
    private static double WithSlip(Loop loop, double ratio) => loop.IsToothed ? ratio : ratio * (1 - loop.SlipFraction);

    private static double RatioOf(Loop loop, double small, double large) =>
        Math.Abs(StageRatio.OfLoop(loop, small, large));

    private static readonly Formula<Func<double, double, double>> Share = new(
        "Ratio of each of several stages",
        "i_s",
        ("the same for all", ""),
        (i, n) => Math.Pow(i, 1 / n),
        [("ratio in all, at least 1", ""), ("stages", "")],
        "algebra: equal shares make the largest wheel as small as it can be",
        "Wheels have whole teeth or sizes of a series: the nearest pairs are named beside it."
    );
}
