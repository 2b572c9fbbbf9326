using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Gearing;

/// <summary>Bounds of what counts as a wheel of a loop: inside is computed and judged, outside is refused.</summary>
public static class WheelSize
{
    /// <summary>Fewest teeth a chain can lie on without folding back on itself.</summary>
    public const int FewestChainTeeth = 5;

    /// <summary>Fewest teeth of a toothed-belt pulley.</summary>
    public const int FewestBeltTeeth = 6;

    /// <summary>Most teeth; beyond this a typing mistake is likelier than a wheel.</summary>
    public const int MostTeeth = 500;

    /// <summary>Smallest and largest datum diameter of a friction pulley, mm.</summary>
    public const double SmallestDatumMm = 5;
    public const double LargestDatumMm = 3000;

    public static double Smallest(DriveElement element) =>
        element switch
        {
            DriveElement.Chain => FewestChainTeeth,
            DriveElement.ToothedBelt => FewestBeltTeeth,
            _ => SmallestDatumMm,
        };

    /// <summary>Gaps of a wheel that one link takes up: 2 on a double pitch chain, whose wheels are cut for the chain of half its pitch.</summary>
    /// <remarks>
    /// Source: ISO 1275, ACA. Wheels of a double pitch chain are counted in gaps at half its pitch, as a double-cut one is: one
    /// that is cut for every link has half as many teeth as it counts.
    /// </remarks>
    public static int GapsPerLink(Loop loop) =>
        loop.DriveElement == DriveElement.Chain && Chains.Find(loop.Standard) is { } chain ? chain.GapsPerLink : 1;

    /// <summary>Links that lie once round a wheel: its teeth, but half of its gaps under a double pitch chain.</summary>
    public static double LinksRound(Loop loop, double size) => size / GapsPerLink(loop);

    public static double Largest(DriveElement element) => element.IsToothed() ? MostTeeth : LargestDatumMm;

    public static string Unit(DriveElement element) => element.IsToothed() ? "teeth" : "mm";

    /// <summary>Refuses sizes outside the bounds, and broken tooth counts.</summary>
    public static Guard CheckWheel(this Guard guard, string field, double size, Loop loop)
    {
        guard.Between(
            field,
            size,
            Smallest(loop.DriveElement) * GapsPerLink(loop),
            Largest(loop.DriveElement),
            Unit(loop.DriveElement)
        );
        bool whole = !loop.IsToothed || size == Math.Floor(size) || !double.IsFinite(size);
        return guard.That(whole, field, "not_whole", "Give a whole number of teeth.");
    }

    /// <summary>Refuses wheels and a length that the loop can't have.</summary>
    public static Guard CheckChoice(this Guard guard, string at, LoopChoice choice, Loop loop) =>
        guard
            .CheckWheel(at + nameof(choice.FrontSize), choice.FrontSize, loop)
            .CheckWheel(at + nameof(choice.RearSize), choice.RearSize, loop)
            .BetweenIfGiven(at + nameof(choice.Links), choice.Links, 10, 10_000, "links")
            .BetweenIfGiven(at + nameof(choice.LengthMm), choice.LengthMm, 50, 50_000, "mm");
}
