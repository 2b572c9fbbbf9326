using Wendrak.Core.Quantities;

namespace Wendrak.Core.Gearing;

/// <summary>What wheels to look among first.</summary>
/// <param name="LoopKeys">Loops that are chosen, in series; the last one is widened for the aim.</param>
/// <param name="Aim">What to reach; null for none.</param>
/// <param name="Gears">Gears that count; empty for all.</param>
/// <param name="Work">Minutes and money of changing wheels; null for the default.</param>
public sealed record StartingSearchInput(
    Drive Drive,
    IReadOnlyList<LoopChoice> Fitted,
    IReadOnlyList<RoadWheelChoice> RoadWheels,
    IReadOnlyList<string> LoopKeys,
    AimTarget? Aim,
    IReadOnlyList<int> Gears,
    WorkCosts? Work,
    IReadOnlyList<StockWheel> Stock
);

/// <summary>A search around what is fitted that holds what the shelf offers and what the aim can reach.</summary>
public static class StartingSearch
{
    /// <summary>A wheel twice or half as large is another drive: judgement.</summary>
    public const double Widest = 2;
    private const int MostSteps = 200;

    /// <returns>A search per loop, in the order of the keys.</returns>
    /// <exception cref="InvalidInputException">The drive, its wheels, the aim or a loop is refused.</exception>
    public static IReadOnlyList<LoopSearch> For(StartingSearchInput input)
    {
        DriveTrain train = new(input.Drive, input.Fitted, nameof(input.Fitted));
        Guard guard = new();
        for (int i = 0; i < input.LoopKeys.Count; i++)
            guard.That(
                input.Drive.Stages.OfType<Loop>().Any(l => l.Key == input.LoopKeys[i]),
                $"{nameof(input.LoopKeys)}[{i}]",
                "unknown",
                "Give a loop of this drive."
            );
        guard
            .Count(nameof(input.LoopKeys), input.LoopKeys.Count, 1, 2, "loops in series")
            .Include(StockWheel.Check(nameof(input.Stock), input.Stock))
            .ThrowIfAny();
        LoopSearch[] searches =
        [
            .. input
                .LoopKeys.Select(key => input.Drive.Stages.OfType<Loop>().First(l => l.Key == key))
                .Select(loop =>
                    WithShelf(loop, SearchAround.Fitted(loop, train.ChoiceOf(loop.Key), input.Work), input.Stock)
                ),
        ];
        if (input.Aim is null)
            return searches;
        RatioBand[] bands = [.. RatioBands.Find(train, input.LoopKeys, input.RoadWheels, input.Aim, input.Gears).Bands];
        Loop last = input.Drive.Stages.OfType<Loop>().First(l => l.Key == input.LoopKeys[^1]);
        // What the loops before it can give stays what is fitted there.
        double before =
            train.FinalRatio(input.LoopKeys)
            / StageRatio.OfLoop(last, train.ChoiceOf(last.Key).FrontSize, train.ChoiceOf(last.Key).RearSize);
        searches[^1] = Reaching(last, searches[^1], bands, Math.Abs(before));
        return searches;
    }

    /// <summary>Wide enough for every wheel on the shelf that is made for this loop.</summary>
    private static LoopSearch WithShelf(Loop loop, LoopSearch search, IReadOnlyList<StockWheel> stock)
    {
        double[] Sizes(WheelSide side) =>
            [
                .. stock
                    .Where(w =>
                        w.Count > 0
                        && w.Side == side
                        && Supply.Find([w], loop, side, w.Size, double.NaN).Availability
                            is Availability.OnShelf
                                or Availability.MountingNotSaid
                    )
                    .Select(w => w.Size),
            ];
        double[] fronts = Sizes(WheelSide.Front);
        double[] rears = Sizes(WheelSide.Rear);
        return search with
        {
            FrontMin = fronts.Append(search.FrontMin).Min(),
            FrontMax = fronts.Append(search.FrontMax).Max(),
            RearMin = rears.Append(search.RearMin).Min(),
            RearMax = rears.Append(search.RearMax).Max(),
        };
    }

    /// <summary>Widened step by step, the rear before the front, until some pair lies in a band or nothing reasonable is left.</summary>
    private static LoopSearch Reaching(Loop loop, LoopSearch search, RatioBand[] bands, double before)
    {
        LoopSearch wide = search;
        (double least, double most) = (
            Math.Max(WheelSize.Smallest(loop.DriveElement), Math.Floor(search.RearMin / Widest)),
            Math.Min(loop.LargestRear ?? WheelSize.Largest(loop.DriveElement), Math.Ceiling(search.RearMax * Widest))
        );
        (double leastFront, double mostFront) = (
            Math.Max(loop.SmallestFront ?? WheelSize.Smallest(loop.DriveElement), Math.Floor(search.FrontMin / Widest)),
            Math.Min(WheelSize.Largest(loop.DriveElement), Math.Ceiling(search.FrontMax * Widest))
        );
        double step = loop.IsToothed ? 1 : Math.Max(1, search.RearMax * 0.05);
        for (int i = 0; i < MostSteps && !Reaches(loop, wide, bands, before); i++)
        {
            bool wantsMore = bands.Min(b => b.FinalLow) > before * Ratio(loop, wide.FrontMin, wide.RearMax);
            LoopSearch next = wantsMore
                ? wide with
                {
                    RearMax = Math.Min(most, wide.RearMax + step),
                    FrontMin = i % 3 == 2 ? Math.Max(leastFront, wide.FrontMin - step) : wide.FrontMin,
                }
                : wide with
                {
                    RearMin = Math.Max(least, wide.RearMin - step),
                    FrontMax = i % 3 == 2 ? Math.Min(mostFront, wide.FrontMax + step) : wide.FrontMax,
                };
            // Nothing reaches it: then a range as wide as that only hides what is near.
            if (next == wide && i % 3 == 2)
                return search;
            wide = next;
        }
        return Reaches(loop, wide, bands, before) ? wide : search;
    }

    private static bool Reaches(Loop loop, LoopSearch search, RatioBand[] bands, double before)
    {
        // A pulley may have any diameter: what lies between the ends can be had.
        if (!loop.IsToothed)
        {
            double low = before * Ratio(loop, search.FrontMax, search.RearMin);
            double high = before * Ratio(loop, search.FrontMin, search.RearMax);
            return bands.Any(b => b.FinalLow <= high && b.FinalHigh >= low);
        }
        for (double front = Math.Ceiling(search.FrontMin); front <= search.FrontMax; front++)
        for (double rear = Math.Ceiling(search.RearMin); rear <= search.RearMax; rear++)
        {
            double final = before * Ratio(loop, front, rear);
            if (bands.Any(b => final >= b.FinalLow && final <= b.FinalHigh))
                return true;
        }
        return false;
    }

    private static double Ratio(Loop loop, double front, double rear) => Math.Abs(StageRatio.OfLoop(loop, front, rear));
}
