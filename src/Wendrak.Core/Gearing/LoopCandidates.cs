using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Gearing;

/// <summary>All pairs of one loop that a search tries, with everything that does not depend on the aim.</summary>
internal sealed class LoopCandidates
{
    private readonly Loop _loop;
    private readonly LoopSearch _search;
    private readonly int _gapsPerLink;
    private readonly LoopChoice _fitted;
    private readonly SmallWheel _smallWheel;
    private readonly WheelLimits _limits;
    private readonly double[] _ripples = new double[WheelSize.MostTeeth + 1];
    private readonly MeetingWheel?[] _meeting = new MeetingWheel?[WheelSize.MostTeeth + 1];

    public IReadOnlyList<LoopPick> Picks { get; }
    public WorkCosts Work { get; }

    /// <param name="loopIndex">Place in the search, for the names of refused fields.</param>
    public LoopCandidates(
        DriveTrain train,
        LoopSearch search,
        int loopIndex,
        IReadOnlyList<StockWheel> stock,
        int mostPairs
    )
    {
        _search = search;
        _loop =
            train.Drive.Stages.OfType<Loop>().FirstOrDefault(l => l.Key == search.LoopKey)
            ?? throw new InvalidInputException($"Search[{loopIndex}].LoopKey", "unknown", "Give a loop of this drive.");
        Check($"Search[{loopIndex}].");
        _fitted = train.ChoiceOf(_loop.Key);
        _smallWheel = new(_loop);
        _gapsPerLink = WheelSize.GapsPerLink(_loop);
        _limits = new(train.Drive, _loop);
        Work = search.Work ?? WorkCosts.DefaultFor(_loop);
        Picks = Enumerate(stock, $"Search[{loopIndex}].", mostPairs);
    }

    private void Check(string at)
    {
        double min = WheelSize.Smallest(_loop.DriveElement);
        double max = WheelSize.Largest(_loop.DriveElement);
        string unit = WheelSize.Unit(_loop.DriveElement);
        Guard guard = new(at);
        guard
            .Between(nameof(_search.FrontMin), _search.FrontMin, min, max, unit)
            .Between(nameof(_search.FrontMax), _search.FrontMax, min, max, unit)
            .Between(nameof(_search.RearMin), _search.RearMin, min, max, unit)
            .Between(nameof(_search.RearMax), _search.RearMax, min, max, unit)
            .Ordered(nameof(_search.FrontMin), _search.FrontMin, nameof(_search.FrontMax), _search.FrontMax, unit)
            .Ordered(nameof(_search.RearMin), _search.RearMin, nameof(_search.RearMax), _search.RearMax, unit)
            .BetweenIfGiven(nameof(_search.LargestRatio), _search.LargestRatio, 0.01, 200, "")
            .BetweenIfGiven(nameof(_search.Links), _search.Links, 10, 10_000, "links")
            .Count(nameof(_search.Typed), _search.Typed.Count, 0, 50, "typed pairs");
        for (int i = 0; i < _search.Typed.Count; i++)
            guard
                .CheckWheel($"{nameof(_search.Typed)}[{i}].FrontSize", _search.Typed[i].FrontSize, _loop)
                .CheckWheel($"{nameof(_search.Typed)}[{i}].RearSize", _search.Typed[i].RearSize, _loop);
        if (_search.Work is { } work)
            guard.Include(new Guard("Work.").Include(WorkCosts.Check(work)));
        guard.ThrowIfAny();
    }

    private List<LoopPick> Enumerate(IReadOnlyList<StockWheel> stock, string at, int mostPairs)
    {
        double[] fronts = Sizes(stock, WheelSide.Front, _search.FrontMin, _search.FrontMax, _fitted.FrontSize);
        double[] rears = Sizes(stock, WheelSide.Rear, _search.RearMin, _search.RearMax, _fitted.RearSize);
        long pairs = (long)fronts.Length * rears.Length;
        new Guard(at)
            .That(
                pairs <= mostPairs,
                nameof(_search.RearMax),
                "too_many",
                $"Narrow the ranges: {pairs} pairs, at most {mostPairs} are tried at once.",
                mostPairs
            )
            .ThrowIfAny();
        ILookup<double, StockWheel> bySize = stock.ToLookup(w => w.Size);
        WheelSupply FrontSupply(double size) =>
            Supply.Find(bySize[size], _loop, WheelSide.Front, size, _fitted.FrontSize);
        WheelSupply RearSupply(double size) => Supply.Find(bySize[size], _loop, WheelSide.Rear, size, _fitted.RearSize);
        WheelSupply[] frontSupply = [.. fronts.Select(FrontSupply)];
        WheelSupply[] rearSupply = [.. rears.Select(RearSupply)];
        HashSet<WheelPair> typed = [.. _search.Typed];
        List<LoopPick> picks = new((int)pairs + typed.Count + 1);
        for (int f = 0; f < fronts.Length; f++)
        for (int r = 0; r < rears.Length; r++)
        {
            bool isTyped = typed.Count > 0 && typed.Remove(new(fronts[f], rears[r]));
            picks.Add(Pick(fronts[f], rears[r], frontSupply[f], rearSupply[r], isTyped));
        }
        foreach (WheelPair pair in typed)
            picks.Add(
                Pick(pair.FrontSize, pair.RearSize, FrontSupply(pair.FrontSize), RearSupply(pair.RearSize), true)
            );
        return picks;
    }

    /// <summary>Sizes in the range; the fitted wheel is always among them, since leaving it is the least work.</summary>
    private double[] Sizes(IReadOnlyList<StockWheel> stock, WheelSide side, double min, double max, double fitted)
    {
        IEnumerable<double> all =
            _search.OnShelfOnly
                ? stock
                    .Where(w =>
                        w.Count > 0
                        && Supply.Find([w], _loop, side, w.Size, double.NaN).Availability
                            is Availability.OnShelf
                                or Availability.MountingNotSaid
                    )
                    .Select(w => w.Size)
            : _loop.IsToothed ? Whole(min, max)
            : _search.StandardSizesOnly ? VSections.PreferredDatumDiametersMm
            : Whole(min, max);
        return [.. all.Where(s => s >= min && s <= max).Append(fitted).Distinct().Order()];
    }

    private static IEnumerable<double> Whole(double min, double max)
    {
        for (double size = Math.Ceiling(min); size <= max; size++)
            yield return size;
    }

    private LoopPick Pick(double front, double rear, WheelSupply frontSupply, WheelSupply rearSupply, bool isTyped)
    {
        double ratio = Math.Abs(StageRatio.OfLoop(_loop, front, rear));
        double small = Math.Min(front, rear);
        return new(
            _loop.Key,
            front,
            rear,
            ratio,
            MovesOf(front, rear),
            _loop.DriveElement == DriveElement.Chain ? RippleOf((int)small) : null,
            HuntingOf((int)front, (int)rear),
            _smallWheel.Judge(small),
            frontSupply,
            rearSupply,
            _limits.BreaksOf(front, rear, ratio, _search.LargestRatio),
            isTyped
        );
    }

    private double RippleOf(int teeth)
    {
        ref double ripple = ref _ripples[teeth];
        return ripple != 0 ? ripple : ripple = SpeedRipple.Percent.Value((double)teeth / _gapsPerLink);
    }

    private HuntingResult? HuntingOf(int front, int rear) =>
        _loop.IsToothed && _search.Links * _gapsPerLink is int links
            ? Hunting.Count(_meeting[front] ??= new(front, links), _meeting[rear] ??= new(rear, links))
            : null;

    private ChangedSprockets MovesOf(double front, double rear) =>
        (front != _fitted.FrontSize, rear != _fitted.RearSize) switch
        {
            (false, false) => ChangedSprockets.Nothing,
            (true, false) => ChangedSprockets.FrontOnly,
            (false, true) => ChangedSprockets.RearOnly,
            _ => ChangedSprockets.Both,
        };
}
