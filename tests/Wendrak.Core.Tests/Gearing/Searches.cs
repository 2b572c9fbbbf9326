using Wendrak.Core.Gearing;

namespace Wendrak.Core.Tests.Gearing;

/// <summary>Questions around one motorcycle with 15/45 fitted, for the tests of the search.</summary>
internal static class Searches
{
    public static LoopSearch Range(double frontMin, double frontMax, double rearMin, double rearMax) =>
        new("final", frontMin, frontMax, rearMin, rearMax, false, false, null, 112, null, []);

    public static RatioSearchInput Search(AimTarget? aim, LoopSearch? search = null) =>
        new(
            Drives.Motorcycle(),
            Drives.Pair(15, 45),
            [],
            [search ?? Range(13, 17, 40, 48)],
            aim,
            [],
            RatioRanking.LeastWork,
            []
        );

    public static string[] Pairs(IEnumerable<RatioCandidate> candidates) =>
        [.. candidates.Select(c => FormattableString.Invariant($"{c.Loops[0].FrontSize}/{c.Loops[0].RearSize}"))];

    public static StockWheel Wheel(
        WheelSide side,
        double size,
        int count,
        double? price,
        bool obtainable,
        string mounting
    ) => new("520", side, size, mounting, count, price, obtainable);
}
