namespace Wendrak.Core.Gearing;

/// <summary>What the hits are sorted by.</summary>
public enum RatioRanking
{
    LeastWork,
    Closeness,
    Wear,
    Price,
}

/// <summary>A pair of wheels.</summary>
/// <param name="FrontSize">Driving wheel: teeth, or datum diameter in mm of a friction belt.</param>
/// <param name="RearSize">Driven wheel, in the same measure.</param>
public sealed record WheelPair(double FrontSize, double RearSize);

/// <summary>Which wheels of one loop are tried.</summary>
/// <param name="OnShelfOnly">Try only wheels on the shelf or on the machine.</param>
/// <param name="StandardSizesOnly">For friction pulleys: the preferred datum diameters of ISO 4183 only.</param>
/// <param name="LargestRatio">Largest ratio allowed in this loop; null for no limit.</param>
/// <param name="Links">Links or belt teeth, for how often tooth meets link; null when not known.</param>
/// <param name="Work">Minutes and money of this loop's wheels; null for the default.</param>
/// <param name="Typed">Pairs typed in by hand; they join whatever the ranges say.</param>
/// <param name="LoopKey">Key of the loop it is about.</param>
/// <param name="FrontMin">Smallest driving wheel to try: teeth, or datum diameter in mm.</param>
/// <param name="FrontMax">Largest driving wheel to try.</param>
/// <param name="RearMin">Smallest driven wheel to try.</param>
/// <param name="RearMax">Largest driven wheel to try.</param>
public sealed record LoopSearch(
    string LoopKey,
    double FrontMin,
    double FrontMax,
    double RearMin,
    double RearMax,
    bool OnShelfOnly,
    bool StandardSizesOnly,
    double? LargestRatio,
    int? Links,
    WorkCosts? Work,
    IReadOnlyList<WheelPair> Typed
);

/// <summary>A search for wheels: the whole question in one record.</summary>
/// <param name="Fitted">Wheels on the machine now; changes and work are counted from these.</param>
/// <param name="Search">One loop, or two in series to be chosen together.</param>
/// <param name="Aim">What to reach; null shows every pair without a band.</param>
/// <param name="Gears">Gears that count (see <see cref="RatioBands"/>); empty for all.</param>
public sealed record RatioSearchInput(
    Drive Drive,
    IReadOnlyList<LoopChoice> Fitted,
    IReadOnlyList<RoadWheelChoice> RoadWheels,
    IReadOnlyList<LoopSearch> Search,
    AimTarget? Aim,
    IReadOnlyList<int> Gears,
    RatioRanking Ranking,
    IReadOnlyList<StockWheel> Stock
);
