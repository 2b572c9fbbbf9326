using MathNet.Numerics.RootFinding;
using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;
using static Wendrak.Core.Quantities.Maths;

namespace Wendrak.Core.Lengths;

/// <summary>What shims do at a sheave that opens and closes: asked once of a machine, since both ways are built.</summary>
public enum ShimSense
{
    /// <summary>Under the bolts that push its halves apart: one out opens it, the belt sinks.</summary>
    UnderOpeningBolts,

    /// <summary>Between its halves: one in opens it, the belt sinks.</summary>
    BetweenHalves,
}

/// <summary>A V-belt that stands too high or too low in a sheave with shims.</summary>
/// <param name="SheaveAngleDeg">Between the faces of the sheave.</param>
/// <param name="ShimMm">Thickness of one shim.</param>
/// <param name="Sense">What they do here.</param>
/// <param name="StandsMm">Top of the belt above the rim as it is; negative below it.</param>
/// <param name="WantedMm">The same as it should be; its maker’s figure, else level or slightly proud.</param>
/// <param name="ShimsIn">That are there now, at each bolt.</param>
/// <param name="Spare">That could be put in at each bolt.</param>
/// <param name="RadiusMm">At which the belt runs in this sheave now; null where no ratio is asked for.</param>
/// <param name="CentreMm">Between the shafts; asked for with the radius.</param>
/// <param name="LengthMm">Of the belt, where it bends; asked for with the radius.</param>
/// <param name="IsDriver">This sheave drives; else it is driven.</param>
public sealed record SheaveShimsInput(
    double SheaveAngleDeg,
    double ShimMm,
    ShimSense Sense,
    double StandsMm,
    double WantedMm,
    int ShimsIn,
    int Spare,
    double? RadiusMm = null,
    double? CentreMm = null,
    double? LengthMm = null,
    bool IsDriver = false
);

/// <summary>How many shims to put in or take out, the same at every bolt.</summary>
/// <param name="PerShimMm">How far one lets the belt sink or rise.</param>
/// <param name="Out">To be taken out at each bolt.</param>
/// <param name="In">To be put in at each bolt.</param>
/// <param name="ThenMm">Top of the belt above the rim then.</param>
/// <param name="Left">Shims that are there then, at each bolt.</param>
/// <param name="Missing">So many more would be wanted at each bolt and are not there; 0 for none.</param>
/// <param name="RatioNow">Driven radius over driving radius as it runs now; null where it is not asked for.</param>
/// <param name="RatioThen">The same then.</param>
public sealed record SheaveShimsResult(
    double PerShimMm,
    int Out,
    int In,
    double ThenMm,
    int Left,
    int Missing,
    double? RatioNow,
    double? RatioThen,
    IReadOnlyList<Working> Workings
);

/// <summary>Shims of a variable belt. Source: geometry of the wedge (engineering n); the same count at every bolt is common practice.</summary>
public static class SheaveShims
{
    internal const int MostShims = 30;
    internal const double MostAboveMm = 30;
    private const double Accuracy = 1e-9;
    private const double LeastRadiusMm = 2.5;
    private const double Apart = 0.01;

    /// <exception cref="InvalidInputException">Every issue is named.</exception>
    public static SheaveShimsResult Find(SheaveShimsInput input)
    {
        Check(input);
        Explained per = Sinking.With(input.ShimMm, input.SheaveAngleDeg);
        // Positive: it is to sink.
        int wanted = (int)Math.Round((input.StandsMm - input.WantedMm) / per.Value, MidpointRounding.AwayFromZero);
        bool takesOut = !PutsIn(input.Sense, raises: wanted <= 0);
        int asked = Math.Abs(wanted);
        int done = Math.Min(asked, takesOut ? input.ShimsIn : input.Spare);
        double sinks = Math.Sign(wanted) * done * per.Value;
        double? now = input.RadiusMm is double r ? Ratio(input, r) : null;
        double? then = input.RadiusMm is double was ? Ratio(input, was - sinks) : null;
        return new(
            per.Value,
            takesOut ? done : 0,
            takesOut ? 0 : done,
            input.StandsMm - sinks,
            input.ShimsIn + (takesOut ? -done : done),
            asked - done,
            now,
            then,
            [per.Working]
        );
    }

    /// <summary>Whether shims are put in for it, else taken out.</summary>
    /// <param name="raises">The belt is to stand higher, else lower.</param>
    internal static bool PutsIn(ShimSense sense, bool raises) => raises == (sense == ShimSense.UnderOpeningBolts);

    /// <summary>By the length of the belt, which stays: the other sheave gives way until it fits.</summary>
    private static double Ratio(SheaveShimsInput input, double radiusMm)
    {
        (double centre, double length) = (input.CentreMm!.Value, input.LengthMm!.Value);
        double LengthAt(double other) => BeltLength.Mm(BeltArrangement.Open, 2 * radiusMm, 2 * other, centre);
        // Two sheaves that touch are the end of it.
        (double low, double high) = (LeastRadiusMm, centre - radiusMm - Apart);
        if (radiusMm < LeastRadiusMm || high <= low || LengthAt(low) > length || LengthAt(high) < length)
            throw new InvalidInputException(
                nameof(input.LengthMm),
                "not_physical",
                "Check radius, centre distance and length: no other sheave fits them."
            );
        double root = Brent.FindRoot(other => LengthAt(other) - length, low, high, Accuracy);
        return input.IsDriver ? root / radiusMm : radiusMm / root;
    }

    internal static Guard CheckSheaveAngle(this Guard guard, string field, double? angleDeg) =>
        guard.BetweenIfGiven(field, angleDeg, 15, 60, "°");

    internal static Guard CheckShim(this Guard guard, string field, double? mm) =>
        guard.BetweenIfGiven(field, mm, 0.05, 10, "mm");

    private static void Check(SheaveShimsInput input)
    {
        bool asksRatio = input.RadiusMm is not null || input.CentreMm is not null || input.LengthMm is not null;
        Guard guard = new Guard()
            .CheckSheaveAngle(nameof(input.SheaveAngleDeg), input.SheaveAngleDeg)
            .CheckShim(nameof(input.ShimMm), input.ShimMm)
            .OneOf(nameof(input.Sense), input.Sense)
            .Between(nameof(input.StandsMm), input.StandsMm, -MostAboveMm, MostAboveMm, "mm")
            .Between(nameof(input.WantedMm), input.WantedMm, -MostAboveMm, MostAboveMm, "mm")
            .Between(nameof(input.ShimsIn), input.ShimsIn, 0, MostShims, "")
            .Between(nameof(input.Spare), input.Spare, 0, MostShims, "")
            .BetweenIfGiven(nameof(input.RadiusMm), input.RadiusMm, 10, 500, "mm")
            .BetweenIfGiven(nameof(input.CentreMm), input.CentreMm, 50, 3_000, "mm")
            .BetweenIfGiven(nameof(input.LengthMm), input.LengthMm, 150, 10_000, "mm");
        foreach (
            (string field, double? value) in ((string, double?)[])
                [
                    (nameof(input.RadiusMm), input.RadiusMm),
                    (nameof(input.CentreMm), input.CentreMm),
                    (nameof(input.LengthMm), input.LengthMm),
                ]
        )
            guard.That(
                !asksRatio || value is not null,
                field,
                "missing",
                "For a ratio give radius, centre distance and length, or none of them."
            );
        guard.ThrowIfAny();
    }

    /// <summary>How far one shim lets the belt sink or rise, mm.</summary>
    internal static readonly Formula<Func<double, double, double>> Sinking = new(
        "How far one shim lets the belt sink or rise",
        "d",
        ("by one shim at every bolt", "mm"),
        (t, alpha) => t / (2 * Math.Tan(Rad(alpha) / 2)),
        [("thickness of a shim", "mm"), ("between the faces of the sheave", "°")],
        "geometry of the wedge; engineering reference n",
        "Both faces move against each other by the thickness. The same count at every bolt, or the halves stand askew."
    );
}
