using Wendrak.Core.Gearing;
using Wendrak.Core.Lengths;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Fit;

/// <summary>One loop in its place, with the wheels and length in view.</summary>
/// <param name="Choice">Wheels and links in view.</param>
/// <param name="Fitted">Wheels and links on the machine: the wheelbase is told against these.</param>
/// <param name="TravelMm">Where the mover stands; null for where the length in view closes.</param>
/// <param name="HalfLinks">Whether an odd number of links may be joined by a cranked link.</param>
/// <param name="WearLimitPercent">Elongation at which the chain is replaced; null to leave that out.</param>
public sealed record LoopFitInput(
    Drive Drive,
    LoopChoice Choice,
    LoopChoice Fitted,
    LoopLayout Layout,
    double? TravelMm,
    bool HalfLinks,
    double? WearLimitPercent,
    Adjuster? Adjuster = null
);

/// <param name="Length">Null where none is counted.</param>
internal sealed record LaidLoop(LoopPath Path, double? Length, LengthUnit Unit, bool IsOffTheTrack);

/// <summary>Fits chains and belts: which length closes where.</summary>
public static class LoopFit
{
    // A slot with room for more lengths than this is no slot; the list stays readable.
    private const int MostLengths = 40;

    /// <exception cref="InvalidInputException">Any part is refused, or the layout is impossible; the wheel is named.</exception>
    /// <param name="explains">Whether the workings are told, too.</param>
    public static LoopFitResult Evaluate(LoopFitInput input, bool explains = true)
    {
        FittedLoop fitted = new(input);
        double? closing = fitted.Closing;
        (LoopPath path, double travel) = Laid(fitted, input.TravelMm);
        FreePlay? play = FreePlayOf(fitted, path, travel);
        AdjustmentReserve? reserve = AdjustmentReserve.Compute(fitted, path, travel);
        IReadOnlyList<ClearanceFigure> clearances = Clearances.Measure(fitted, path, play);
        FittingLength[] lengths = Lengths(fitted);
        (double? recommended, LengthReason reason) = Recommend(
            lengths,
            fitted.Loop.DriveElement,
            input.WearLimitPercent
        );
        return new(
            path,
            fitted.LengthUnit,
            fitted.UnitMm,
            travel,
            fitted.TrackMm,
            fitted.MovesRoadWheel,
            path.Wheels[0].Centre.DistanceTo(path.Wheels[fitted.RearIndex].Centre),
            AdviceFor(fitted),
            path.LengthMm / fitted.UnitMm,
            fitted.ChosenLength,
            closing,
            play,
            reserve,
            lengths,
            recommended,
            reason,
            clearances,
            FitFindings.Find(fitted, path, reserve),
            explains
                ?
                [
                    .. FitWorkings.Explain(fitted, path, input, reserve, play, travel),
                    .. ClearanceWorkings.Explain(fitted.Layout, clearances),
                ]
                : []
        );
    }

    /// <summary>The loop laid, and no more: with the mover where the length in view closes.</summary>
    /// <exception cref="InvalidInputException">Any part is refused, or the layout is impossible; the wheel is named.</exception>
    internal static LaidLoop Lay(LoopFitInput input)
    {
        FittedLoop fitted = new(input);
        return new(
            Laid(fitted, input.TravelMm).Path,
            fitted.ChosenLength,
            fitted.LengthUnit,
            fitted.IsOnTrack == false
        );
    }

    /// <summary>How far the mover goes from where it is as fitted, mm, positive tightens; null where that is not known.</summary>
    internal static double? MovedMm(LoopFitInput input)
    {
        FittedLoop fitted = new(input);
        return fitted.ChosenLength is double length ? fitted.LengthOf(length).MovedMm : null;
    }

    private static (LoopPath Path, double TravelMm) Laid(FittedLoop fitted, double? travelMm)
    {
        double travel = travelMm ?? Math.Clamp(fitted.Closing ?? fitted.TrackMm / 2, 0, fitted.TrackMm);
        (LoopPath? path, LayoutProblem? problem) = fitted.Trace(travel);
        return path is null ? throw Impossible(problem!) : (path, travel);
    }

    /// <summary>The refusal of a layout that can't be laid, at the wheel that is the matter.</summary>
    private static InvalidInputException Impossible(LayoutProblem problem)
    {
        string by = problem.ByMm is double mm ? FormattableString.Invariant($" by {mm:0.0} mm") : "";
        string message = problem.Fault switch
        {
            LayoutFault.Overlap =>
                $"“{problem.Wheel}” and “{problem.Other}” leave no run between them{by}: move one away.",
            LayoutFault.NotTouching =>
                $"The loop passes “{problem.Wheel}” without touching it{by}: move it into the loop.",
            LayoutFault.CutsWheel =>
                $"The run from “{problem.Other}” would go through “{problem.Wheel}”{by}: move it out of the way.",
            _ => $"The runs from “{problem.Wheel}” and “{problem.Other}” cross: give the wheels in running order.",
        };
        return new($"Layout.{problem.Wheel}", problem.Fault.ToString(), message);
    }

    private static CentreAdviceResult? AdviceFor(FittedLoop fitted) =>
        fitted.Loop.DriveElement == DriveElement.Chain
            ? CentreAdvice.Advise(
                fitted.UnitMm,
                WheelSize.LinksRound(fitted.Loop, fitted.Choice.FrontSize),
                WheelSize.LinksRound(fitted.Loop, fitted.Choice.RearSize),
                WheelSize.GapsPerLink(fitted.Loop)
            )
            : null;

    private static FittingLength[] Lengths(FittedLoop fitted)
    {
        if (fitted.Range is not { } range)
            return [];
        List<double> all =
        [
            .. LoopLengths.Around(
                fitted.Loop,
                range.LeastMm / fitted.UnitMm,
                range.MostMm / fitted.UnitMm,
                fitted.HalfLinks
            ),
        ];
        if (fitted.ChosenLength is double chosen && !all.Contains(chosen))
            all.Add(chosen);
        return
        [
            .. all.OrderBy(l => LoopLengths.IsStandard(fitted.Loop, l) == false)
                .ThenBy(l => l)
                .Take(MostLengths)
                .Select(fitted.LengthOf),
        ];
    }

    /// <summary>
    /// Of those that fit: no half link, reserve beyond the wear limit, a length of the standard's series, for a chain the
    /// front third of the slot, then the least change. A belt hardly grows: it needs no room for that.
    /// </summary>
    private static (double? Length, LengthReason Reason) Recommend(
        FittingLength[] lengths,
        DriveElement element,
        double? wearLimit
    )
    {
        // Common practice: a new chain sits in the front third, so that there is room to take up its elongation.
        const double frontThird = 100 / 3.0;
        FittingLength[] fit = [.. lengths.Where(l => l.Fits)];
        if (fit.Length == 0)
            return (null, LengthReason.NoneReaches);
        if (fit.Length == 1)
            return (fit[0].Length, LengthReason.OnlyOne);
        FittingLength best = fit.OrderBy(l => l.IsHalfLink)
            .ThenBy(l => l.ReservePercent < (wearLimit ?? 0))
            .ThenBy(l => l.IsStandard == false)
            .ThenBy(l => element == DriveElement.Chain && l.TravelUsedPercent > frontThird)
            .ThenBy(l => l.MovedMm is double moved ? Math.Abs(moved) : (double?)null)
            .ThenByDescending(l => l.ReservePercent)
            .First();
        LengthReason reason =
            element == DriveElement.Chain && best.TravelUsedPercent <= frontThird ? LengthReason.FrontThird
            : best.IsStandard == true && fit.Any(l => l.IsStandard == false) ? LengthReason.StandardLength
            : fit.Any(l => l.ReservePercent > best.ReservePercent) ? LengthReason.LeastChange
            : LengthReason.MostReserve;
        return (best.Length, reason);
    }

    /// <summary>Up-and-down movement at the middle of the slack run, where the chosen length is longer than the path.</summary>
    private static FreePlay? FreePlayOf(FittedLoop fitted, LoopPath path, double travel)
    {
        if (fitted.ChosenLength is not double length)
            return null;
        double excess = FitWorkings.OverThePath.Value(length, fitted.UnitMm, path.LengthMm);
        LoopSpan run = path.Spans.Take(fitted.RearIndex).MaxBy(s => s.LengthMm)!;
        return new(excess, SlackRun.PlayMm(run.LengthMm, excess), run.LengthMm, fitted.Closing - travel);
    }
}
