using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Shafts;

/// <summary>Spacers of one thickness.</summary>
/// <param name="ThicknessMm">Of one spacer, mm.</param>
/// <param name="Count">How many there are.</param>
public sealed record SpacerCount(double ThicknessMm, int Count);

/// <summary>Which stacks stand first.</summary>
public enum SpacerOrder
{
    FewestPieces,

    /// <summary>Least line error, then least float, then fewest pieces.</summary>
    NearestToLine,
}

/// <summary>A shaft to fill, and what there is to fill it with.</summary>
/// <param name="Drive">The drive the shaft belongs to.</param>
/// <param name="Stock">Every piece can be used once.</param>
/// <param name="ToleranceMm">Largest line error; null for 0.5 mm with a belt on the shaft, 1 mm with chains only.</param>
/// <param name="FloatLeastMm">Play along the shaft that must remain.</param>
/// <param name="FloatMostMm">Play that may remain; null for 0.5 mm.</param>
public sealed record SpacerStacksInput(
    Drive Drive,
    ShaftWidths Shaft,
    IReadOnlyList<SpacerCount> Stock,
    double? ToleranceMm,
    double FloatLeastMm,
    double? FloatMostMm,
    SpacerOrder Order
);

/// <summary>Spacers between two hubs, or between a hub and the end of the shaft.</summary>
/// <param name="WantedMm">Width that would put both sprockets on their lines; negative where they overlap.</param>
/// <param name="RemainderMm">Wanted less stacked.</param>
/// <param name="PiecesMm">Thicknesses that are stacked there, mm.</param>
public sealed record SpacerGap(IReadOnlyList<double> PiecesMm, double WantedMm, double RemainderMm)
{
    /// <summary>All pieces of the gap together.</summary>
    public double SumMm => PiecesMm.Sum();
}

/// <summary>A sprocket where the spacers put it.</summary>
/// <param name="LeftFaceMm">Left face of the hub, from the left shoulder.</param>
/// <param name="PlaneMm">Middle of the teeth as it comes to stand, from the left shoulder.</param>
/// <param name="ErrorMm">From its line; positive to the right.</param>
/// <param name="LoopKey">Key of the loop it is about.</param>
/// <param name="HubWidthMm">Width of its hub, mm.</param>
/// <param name="IsTurned">True where its other face is put outwards.</param>
public sealed record SeatedSprocket(
    string LoopKey,
    WheelSide Side,
    double LeftFaceMm,
    double HubWidthMm,
    double PlaneMm,
    double ErrorMm,
    bool IsTurned
);

/// <summary>One way to fill a shaft; <see cref="SpacerWorkings"/> explains it.</summary>
/// <param name="Gaps">Left of the first sprocket, between them, right of the last.</param>
/// <param name="LineErrorMm">The largest of the sprockets' errors, without sign.</param>
/// <param name="FloatMm">What is left free along the shaft.</param>
/// <param name="Pieces">How many spacers it takes.</param>
public sealed record FilledShaft(
    IReadOnlyList<SpacerGap> Gaps,
    IReadOnlyList<SeatedSprocket> Sprockets,
    double LineErrorMm,
    double FloatMm,
    int Pieces
)
{
    // Sums of hundredths: nearer than that is equal.
    private const double RoundingMm = 1e-6;

    /// <summary>Whether as much lies at the left end as at the right one, as a rear wheel that must stay in its middle wants it.</summary>
    public bool HasEqualEnds => Math.Abs(Gaps[0].SumMm - Gaps[^1].SumMm) < RoundingMm;
}

/// <summary>The piece whose lack keeps a shaft from being filled.</summary>
/// <param name="IsMade">True where the drawer knows no such thickness, and it must be made.</param>
/// <param name="TakenBy">Shaft that takes the last of that thickness; null where none does.</param>
/// <param name="ThicknessMm">That is missing, mm.</param>
public sealed record MissingSpacer(double ThicknessMm, bool IsMade, string? TakenBy);

/// <summary>Ways to fill the shafts with spacers.</summary>
/// <param name="ToleranceMm">As asked, or the default.</param>
/// <param name="Ways">Best first; at most 8; empty when the stock holds none.</param>
/// <param name="Nearest">Where there is no way: what comes nearest, so that its remainders tell what is missing.</param>
/// <param name="IsComplete">False when the stock allows more stacks than were tried.</param>
/// <param name="Missing">Where there is no way: the one piece more that would make one; null where no single piece does.</param>
/// <param name="FloatMostMm">How much may stay free along a shaft, mm.</param>
public sealed record SpacerStacksResult(
    double ToleranceMm,
    double FloatMostMm,
    IReadOnlyList<FilledShaft> Ways,
    FilledShaft? Nearest,
    bool IsComplete,
    MissingSpacer? Missing = null
);

/// <summary>Ways that were found, best first, and whether all were looked at.</summary>
internal sealed record SpacerWays(IReadOnlyList<FilledShaft> Ways, bool IsComplete);

/// <summary>Finds spacers that put the sprockets of a shaft on their lines.</summary>
/// <remarks>Subset sum. Tolerances 0.5 mm for belts and 1 mm for chains: common practice.</remarks>
public static class SpacerStacks
{
    private const double BeltToleranceMm = 0.5;
    private const double ChainToleranceMm = 1;
    private const double UsualFloatMm = 0.5;
    private const int MostThicknesses = 40;
    private const double ThinnestMm = 0.05;
    private const int MostTried = 40;

    /// <exception cref="InvalidInputException">A width is not physical, the hubs fill the shaft, or there is no stock.</exception>
    public static SpacerStacksResult Find(SpacerStacksInput input)
    {
        Check(input);
        return Told(input, Ways(input));
    }

    /// <summary>What ways that were found tell: beside them the bounds they keep, and what is missing where there is none.</summary>
    internal static SpacerStacksResult Told(SpacerStacksInput input, SpacerWays found)
    {
        (double tolerance, double floatMost) = Bounds(input);
        FilledShaft? nearest = found.Ways.Count > 0 ? null : Nearest(input, tolerance, floatMost);
        return new(
            tolerance,
            floatMost,
            found.Ways,
            nearest,
            found.IsComplete,
            nearest is null ? null : Missing(input, nearest)
        );
    }

    /// <summary>The one piece more with which the shaft could be filled: of a thickness that is known, else the one that would have to be made.</summary>
    private static MissingSpacer? Missing(SpacerStacksInput input, FilledShaft nearest)
    {
        (double Thickness, int Pieces)? best = null;
        foreach (double thickness in input.Stock.Select(s => s.ThicknessMm).Distinct())
        {
            SpacerStacksInput more = input with { Stock = [.. input.Stock, new(thickness, 1)] };
            if (
                Ways(more, SpacerSearch.TriesForOne).Ways is [var way, ..]
                && (best is null || way.Pieces < best.Value.Pieces)
            )
                best = (thickness, way.Pieces);
        }
        if (best is { } known)
            return new(known.Thickness, false, null);
        foreach (double made in ToBeMade(input.Stock, nearest))
            if (Ways(input with { Stock = [.. input.Stock, new(made, 1)] }, SpacerSearch.TriesForOne).Ways.Count > 0)
                return new(made, true, null);
        return null;
    }

    /// <summary>Thicknesses that would fill a gap alone or beside one or two pieces of the drawer, the fewest beside it first.</summary>
    private static IEnumerable<double> ToBeMade(IReadOnlyList<SpacerCount> stock, FilledShaft nearest)
    {
        double[] pieces = [.. stock.Where(s => s.Count > 0).Select(s => s.ThicknessMm).Distinct()];
        IEnumerable<double> beside =
        [
            0,
            .. pieces.OrderDescending(),
            .. pieces.SelectMany(a => pieces.Where(b => b <= a).Select(b => a + b)).OrderDescending(),
        ];
        return beside
            .SelectMany(sum => nearest.Gaps.Select(g => Math.Round(g.WantedMm - sum, 2)))
            .Where(mm => mm >= ThinnestMm)
            .Distinct()
            .Take(MostTried);
    }

    /// <summary>Ways alone of an input that was checked, without what comes nearest or is missing.</summary>
    internal static SpacerWays Ways(SpacerStacksInput input, int mostTries = SpacerSearch.MostTries)
    {
        (double tolerance, double floatMost) = Bounds(input);
        SpacerSearch search = new(input.Shaft, input.Stock, input.Order, input.FloatLeastMm, mostTries);
        return new(search.Ways(tolerance, floatMost), search.IsComplete);
    }

    /// <summary>As asked, or what is usual.</summary>
    internal static (double Tolerance, double FloatMost) Bounds(SpacerStacksInput input) =>
        (input.ToleranceMm ?? UsualTolerance(input), input.FloatMostMm ?? Math.Max(UsualFloatMm, input.FloatLeastMm));

    /// <summary>What spacers must measure together at least, with the usual float left.</summary>
    internal static double LeastToFillMm(ShaftWidths shaft) =>
        Math.Max(0, shaft.LengthMm - shaft.Sprockets.Sum(s => s.HubWidthMm) - UsualFloatMm);

    /// <summary>How far a wheel may stand from its line, mm.</summary>
    internal static double ToleranceFor(DriveElement element) =>
        element == DriveElement.Chain ? ChainToleranceMm : BeltToleranceMm;

    private static double UsualTolerance(SpacerStacksInput input) =>
        input
            .Drive.Stages.OfType<Loop>()
            .Where(l => input.Shaft.Sprockets.Any(s => s.LoopKey == l.Key))
            .Min(l => ToleranceFor(l.DriveElement));

    /// <summary>Allows more and more error and float until something goes on.</summary>
    private static FilledShaft? Nearest(SpacerStacksInput input, double tolerance, double floatMost)
    {
        for (double more = 0.5; more < 2 * input.Shaft.LengthMm; more *= 2)
        {
            SpacerSearch search = new(
                input.Shaft,
                input.Stock,
                SpacerOrder.NearestToLine,
                input.FloatLeastMm,
                SpacerSearch.TriesForOne
            );
            if (search.Ways(tolerance + more, floatMost + more) is [var first, ..])
                return first;
        }
        return null;
    }

    /// <summary>Refuses what no shaft can be.</summary>
    internal static void Check(SpacerStacksInput input)
    {
        DriveRules.Require(input.Drive);
        Guard guard = new();
        guard
            .Include(new Guard("Shaft.").Include(ShaftWidths.Check(input.Shaft, input.Drive)))
            .Count(nameof(input.Stock), input.Stock.Count, 1, MostThicknesses, "thicknesses")
            .BetweenIfGiven(nameof(input.ToleranceMm), input.ToleranceMm, 0, 50, "mm")
            .Between(nameof(input.FloatLeastMm), input.FloatLeastMm, 0, 50, "mm")
            .BetweenIfGiven(nameof(input.FloatMostMm), input.FloatMostMm, input.FloatLeastMm, 50, "mm")
            .OneOf(nameof(input.Order), input.Order);
        for (int i = 0; i < input.Stock.Count; i++)
            guard.Include(
                new Guard($"{nameof(input.Stock)}[{i}].").Include(
                    CheckSpacer(input.Stock[i].ThicknessMm, input.Stock[i].Count)
                )
            );
        guard.ThrowIfAny();
    }

    /// <summary>What a spacer may be, wherever it is listed.</summary>
    internal static Guard CheckSpacer(double thicknessMm, int count) =>
        new Guard()
            .Between(nameof(SpacerCount.ThicknessMm), thicknessMm, ThinnestMm, 1_000, "mm")
            .Between(nameof(SpacerCount.Count), count, 0, 1_000, "pieces");
}
