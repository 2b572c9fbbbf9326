using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tension;

/// <summary>How it is known what an adjuster has left.</summary>
public enum ReserveOrigin
{
    /// <summary>Read at its marks or thread in this visit, less what was turned since.</summary>
    Measured,

    /// <summary>By the angle of an eccentric.</summary>
    Eccentric,

    /// <summary>By where Fit lays a loop of its nominal length; a grown one has less.</summary>
    Fit,
}

/// <summary>Way that an adjuster has left to tighten.</summary>
/// <param name="AfterUnits">After the move: in turns, whole clicks or shims; null of an eccentric.</param>
/// <param name="IsNearlyUsedUp">Less than a tenth of the way is left after the move; null where the whole way is not known.</param>
/// <param name="NowMm">As it stands, mm of the axle’s way.</param>
/// <param name="AfterMm">After the move, mm.</param>
public sealed record SetReserve(
    double NowMm,
    double AfterMm,
    double? AfterUnits,
    bool? IsNearlyUsedUp,
    ReserveOrigin Origin
)
{
    /// <summary>What is left now and after the move, each with its working.</summary>
    internal IReadOnlyList<Explained> Figures { get; private init; } = [];

    private const string Geometry = "plane geometry";
    private const string Seated = "As long as both ends of the axle stay seated against their adjusters.";
    private static readonly Quantity Now = new("left now", "mm");

    private static readonly Formula<Func<double, double, double>> After = new(
        "What the adjuster has left",
        "after",
        ("left after the move", "mm"),
        (now, move) => now - move,
        [Now, ("way of the axle's middle", "mm")],
        Geometry,
        Seated
    );

    private static readonly Formula<Func<double, double>> AsMeasured = new(
        "What the adjuster has left now",
        "now",
        Now,
        measured => measured,
        [("as measured, less what was turned since", "mm")],
        Geometry,
        Seated
    );

    private static readonly Formula<Func<double, double, double, double, double>> ByFit = new(
        "What the adjuster has left now",
        "now",
        Now,
        (t_end, t_taut, t, k) => Math.Abs(t_end - t_taut) - t / k,
        [
            ("travel at the longest path, by Fit", "mm"),
            ("travel where a loop of its nominal length is taut, by Fit", "mm"),
            ("middle of loosest and tightest", ""),
            ("for each mm of axle, as learned", ""),
        ],
        Geometry,
        "Of a loop of its nominal length: a grown one has less. Measure it at the marks to be sure."
    );

    private const double LeastShare = AdjustmentReserve.LeastSharePercent / 100;

    /// <param name="tightness">Of the middle of the newest round, in the scale of the loop; null where it can't be told.</param>
    /// <param name="moveMm">Way of the axle's middle in the next move.</param>
    /// <returns>Null where nobody looked and nothing was laid out.</returns>
    internal static SetReserve? Compute(SetInput input, NextStepFinder advisor, double? tightness, double moveMm)
    {
        LoopSetting setting = input.Setting;
        FittedLoop? fitted = Fitted(input);
        if (advisor.WayLeftMm is double measured)
            return From(setting, AsMeasured.With(measured), moveMm, fitted?.TrackMm, ReserveOrigin.Measured);
        if (advisor.EccentricLeft is { } left)
            return From(setting, left, moveMm, 2 * setting.Adjuster.EccentricOffset, ReserveOrigin.Eccentric);
        bool isStraight = advisor.Unit is TightnessUnit.Newton or TightnessUnit.LoopMm;
        if (
            fitted is not { Closing: double closing, Range: { } range }
            || tightness is not double t
            || !isStraight
            || setting.Adjuster.Kind == AdjusterKind.SprungArm
        )
            return null;
        // From where the loop is just taut: a slack chain stands before that place, a tight belt beyond it.
        string unit = SetWorkings.UnitOf(advisor.Unit);
        Explained now = ByFit.With(
            range.TightestAtMm,
            closing,
            new(t, Unit: unit),
            new(advisor.Tension.Slope, Unit: unit + "/mm")
        );
        return From(setting, now, moveMm, fitted.TrackMm, ReserveOrigin.Fit);
    }

    private static SetReserve From(
        LoopSetting setting,
        Explained now,
        double moveMm,
        double? wholeMm,
        ReserveOrigin origin
    )
    {
        Explained left = After.With(now.Value, moveMm);
        double after = left.Value;
        double units = after / setting.Adjuster.TravelMm;
        return new(
            now.Value,
            after,
            setting.Adjuster.IsEccentric ? null
                : setting.Adjuster.Turns ? units
                : Math.Floor(units + 1e-6),
            wholeMm is > 0 ? after < LeastShare * wholeMm : null,
            origin
        )
        {
            Figures = [left, now],
        };
    }

    /// <summary>Null where nothing was laid out, or what moves is no axle or motor that goes straight.</summary>
    private static FittedLoop? Fitted(SetInput input)
    {
        LoopChoice? choice = input.Loops.FirstOrDefault(c => c.LoopKey == input.Setting.LoopKey);
        if (
            choice is null
            || input.Layout is not { Moving: { Wheel: LoopLayout.FrontName or LoopLayout.RearName, Track: LineTrack } }
        )
            return null;
        try
        {
            return new(new(input.Drive, choice, choice, input.Layout, null, false, null));
        }
        catch (InvalidInputException)
        {
            return null; // It can't be laid there: then nobody knows what is left.
        }
    }
}
