using Wendrak.Core.Drawing;
using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Shafts;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Evaluation;

/// <summary>How the loop in view fits.</summary>
/// <param name="TravelMm">Where the adjuster stands; null for where the length in view closes.</param>
/// <param name="HalfLinks">Whether an odd number of links may be joined by a cranked link.</param>
/// <param name="Layout">As it was dragged or typed, in the place of the stored one.</param>
/// <param name="Workings">Whether to tell how each figure came about.</param>
public sealed record FitQuestion(
    double? TravelMm = null,
    bool HalfLinks = false,
    LoopLayout? Layout = null,
    bool Workings = false
);

/// <summary>The pairs around the one in view.</summary>
public sealed record NeighboursQuestion(LoopLayout? Layout = null);

/// <summary>Everything that closes on the adjuster; empty lists for whatever can be had.</summary>
/// <param name="Fronts">Driving wheels that can be had; empty for any.</param>
/// <param name="Rears">Driven wheels that can be had; empty for any.</param>
/// <param name="Lengths">Links or belt teeth that can be had; empty for any.</param>
public sealed record CombinationsQuestion(
    IReadOnlyList<int> Fronts,
    IReadOnlyList<int> Rears,
    IReadOnlyList<int> Lengths,
    LoopLayout? Layout = null
);

/// <summary>Pairs that make the wheel go by so much.</summary>
/// <param name="MoveMm">Way wanted of the axle, mm; positive makes the drive longer.</param>
public sealed record PairsForMoveQuestion(double MoveMm, LoopLayout? Layout = null);

/// <summary>Pairs that close on fixed centres.</summary>
/// <param name="MostSlackMm">Null for the usual.</param>
/// <param name="HalfLinks">Whether a cranked link may be used.</param>
public sealed record FixedCentreQuestion(double? MostSlackMm = null, bool HalfLinks = false, LoopLayout? Layout = null);

/// <summary>The length that a centre distance asks for.</summary>
/// <param name="CentreMm">Null for where the wheels stand.</param>
/// <param name="Workings">Whether to tell how each figure came about.</param>
public sealed record LengthForCentreQuestion(double? CentreMm = null, bool Workings = false);

/// <summary>Free play through the suspension travel.</summary>
/// <param name="TravelMm">Where the adjuster stands; null for where the length in view closes.</param>
/// <param name="PlayOnStandMm">As set; null for the play that leaves enough.</param>
/// <param name="LeastPlayMm">Wanted at the tightest place; null for the usual.</param>
/// <param name="Workings">Whether to tell how each figure came about.</param>
public sealed record SuspensionQuestion(
    double? TravelMm = null,
    double? PlayOnStandMm = null,
    double? LeastPlayMm = null,
    LoopLayout? Layout = null,
    bool Workings = false
);

/// <summary>The shafts of the drive from side to side.</summary>
public sealed record RailQuestion;

/// <summary>How the rows of one stack of spacers came about.</summary>
/// <param name="GapsMm">The pieces of every gap, from left to right.</param>
/// <param name="Turned">Whether a sprocket is put on the other way round, in their order.</param>
/// <param name="Shaft">Name of the shaft.</param>
public sealed record StackWorkingsQuestion(
    string Shaft,
    IReadOnlyList<IReadOnlyList<double>> GapsMm,
    IReadOnlyList<bool> Turned
);

/// <summary>A first layout of the loop in view.</summary>
/// <param name="Measured">Where its shafts stand; null for where the fitted length puts them.</param>
public sealed record StartingLayoutQuestion(MeasuredPlace? Measured = null);

/// <summary>A layout to begin with.</summary>
/// <param name="Setting">How the loop is set, as it goes with that layout; null where nobody said.</param>
/// <param name="CentreByLengthMm">Distance of the shafts that the fitted length asks for, mm.</param>
/// <param name="IsFarFromLength">What was measured is further from that than half a link or tooth explains: one of both is wrong.</param>
public sealed record StartingLayoutAnswer(
    LoopLayout Layout,
    LoopSetting? Setting,
    double? CentreByLengthMm = null,
    bool IsFarFromLength = false
);

/// <summary>An adjuster of another kind to begin with.</summary>
/// <param name="Now">As it is drafted; null for what is stored.</param>
/// <param name="Layout">That it is to move a wheel of; null where it is only said what is turned.</param>
/// <param name="Wheel">That it moves; null for the usual.</param>
public sealed record StartingAdjusterQuestion(
    AdjusterKind Kind,
    Adjuster? Now = null,
    LoopLayout? Layout = null,
    string? Wheel = null
);

/// <summary>Answers about places and lengths.</summary>
internal static class FitAnswers
{
    public static LoopFitResult Fit(MachineInView view, FitQuestion question) =>
        question is { TravelMm: null, HalfLinks: false, Layout: null, Workings: false }
            ? view.Fit
            : LoopFit.Evaluate(
                InputOf(view, question.Layout, question.TravelMm, question.HalfLinks),
                question.Workings
            );

    public static LoopDrawingFiles Drawing(MachineInView view, FitQuestion question)
    {
        LoopFitInput input = InputOf(view, question.Layout, question.TravelMm, question.HalfLinks);
        return LoopDrawingFiles.From(LoopDrawing.Draw(LoopFit.Evaluate(input, false).Path, input.Layout));
    }

    /// <summary>The question of the core, from what is stored, in view and drafted.</summary>
    public static LoopFitInput InputOf(
        MachineInView view,
        LoopLayout? draft = null,
        double? travelMm = null,
        bool halfLinks = false
    )
    {
        Loop loop = view.AnyLoop;
        return new(
            view.Drive,
            view.ChoiceOf(loop),
            view.FittedOf(loop),
            LayoutOf(view, draft),
            travelMm,
            halfLinks,
            ChainOfMachine.LimitOf(view.Machine, loop, view.FittedOf(loop))?.Percent,
            view.SettingOf(loop).Adjuster
        );
    }

    private static LoopLayout LayoutOf(MachineInView view, LoopLayout? draft) =>
        draft
        ?? view.LayoutOf(view.AnyLoop)
        ?? throw new InvalidInputException("Layout", "missing", "Say first where the wheels stand.");

    public static NeighbourPairsResult Neighbours(MachineInView view, NeighboursQuestion question) =>
        NeighbourPairs.Find(InputOf(view, question.Layout));

    public static LoopCombinationsResult Combinations(MachineInView view, CombinationsQuestion question) =>
        LoopCombinations.Find(
            new(
                view.Drive,
                view.FittedOf(view.AnyLoop),
                LayoutOf(view, question.Layout),
                question.Fronts,
                question.Rears,
                question.Lengths,
                view.Wheels
            )
        );

    public static IReadOnlyList<PairForMove> ForMove(MachineInView view, PairsForMoveQuestion question) =>
        PairsForMove.Find(
            new(view.Drive, view.FittedOf(view.AnyLoop), LayoutOf(view, question.Layout), question.MoveMm)
        );

    public static FixedCentreResult FixedCentres(MachineInView view, FixedCentreQuestion question)
    {
        Loop loop = view.AnyLoop;
        LoopSearch search = SearchAround.Fitted(loop, view.FittedOf(loop), null);
        return FixedCentre.Pairs(
            new(
                view.Drive,
                loop.Key,
                LoopFit.Evaluate(InputOf(view, question.Layout), false).CentreMm,
                (int)search.FrontMin,
                (int)search.FrontMax,
                (int)search.RearMin,
                (int)search.RearMax,
                question.MostSlackMm,
                question.HalfLinks
            )
        );
    }

    public static LengthForCentreResult ForCentre(MachineInView view, LengthForCentreQuestion question)
    {
        LengthForCentreResult result = LengthForCentre.Find(
            new(view.Drive, view.ChoiceOf(view.AnyLoop), question.CentreMm ?? view.Fit.CentreMm, false)
        );
        return question.Workings ? result : result with { Workings = [] };
    }

    public static SuspensionPlayResult Suspension(MachineInView view, SuspensionQuestion question)
    {
        SuspensionPlayResult result = SuspensionPlay.Compute(
            new(
                view.Drive,
                view.ChoiceOf(view.AnyLoop),
                LayoutOf(view, question.Layout),
                question.TravelMm,
                question.PlayOnStandMm,
                question.LeastPlayMm
            )
        );
        return question.Workings ? result : result with { Workings = [] };
    }

    public static RailResult SideToSide(MachineInView view) =>
        Rail.LayOut(
            new(
                view.Drive,
                view.OfDrive(view.Loops),
                [.. (view.Machine.Layouts ?? []).Where(l => MachineInView.LoopOf(view.Drive, l.LoopKey) is not null)],
                // One drawer for the whole machine: what another drive's shafts take is not there for these.
                view.Machine.Shafts
                    ?? [],
                [.. view.Workshop.Spacers.Select(s => new BoredSpacers(s.ThicknessMm, s.BoreMm, s.Count))],
                [.. view.Machine.Drives.Where(d => d.Key != view.Drive.Key)]
            )
        );

    public static IReadOnlyList<Working> StackWorkings(MachineInView view, StackWorkingsQuestion question) =>
        SpacerWorkings.Explain(
            new(
                view.Drive,
                view.Machine.Shafts?.FirstOrDefault(s => s.DriveKey == view.Drive.Key && s.Shaft == question.Shaft)
                    ?? throw new InvalidInputException("Shaft", "unknown", "Name a shaft that was measured."),
                question.GapsMm,
                question.Turned
            )
        );

    /// <summary>Moved by what somebody said it is set by, else by what is usual for such a machine.</summary>
    public static StartingLayoutAnswer Starting(MachineInView view, StartingLayoutQuestion question)
    {
        MeasuredPlace measured = question.Measured ?? new();
        Refusal.Under(nameof(question.Measured), () => measured.Check().ThrowIfAny());
        StartingLayoutAnswer answer = AtCentre(view, measured.CentreMm);
        double? byLength = StartingLayout.CentreByLengthMm(view.Drive, view.ChoiceOf(view.AnyLoop));
        return answer with
        {
            Layout = measured.On(answer.Layout),
            CentreByLengthMm = byLength,
            IsFarFromLength =
                measured.CentreMm - byLength is double off
                && Math.Abs(off) > StartingLayout.OffByLengthMm(view.Drive, view.AnyLoop),
        };
    }

    private static StartingLayoutAnswer AtCentre(MachineInView view, double? centreMm)
    {
        (Loop loop, LoopChoice choice) = (view.AnyLoop, view.ChoiceOf(view.AnyLoop));
        LoopLayout usual = StartingLayout.For(view.Drive, choice, view.Machine.Kind, centreMm);
        if (view.Machine.Settings?.FirstOrDefault(s => s.LoopKey == loop.Key) is not { } setting)
            return new(usual, null);
        bool wantsIdler = setting.Adjuster.Kind == AdjusterKind.SprungArm;
        LoopLayout still = usual with
        {
            Moving = null,
            Idlers = wantsIdler ? [StartingParts.At(new(loop.DriveElement, usual.Front, usual.Rear)).Idler] : [],
        };
        AdjusterOnLayout set = StartingAdjuster.For(
            new(view.Drive, choice, still, setting.Adjuster.Kind, null, setting.Adjuster)
        );
        return new(still with { Moving = set.Moving }, setting with { Adjuster = set.Adjuster });
    }

    public static AdjusterOnLayout AdjusterFor(MachineInView view, StartingAdjusterQuestion question)
    {
        Adjuster now = question.Now ?? view.SettingOf(view.AnyLoop).Adjuster;
        return question.Layout is { } layout
            ? StartingAdjuster.For(
                new(view.Drive, view.ChoiceOf(view.AnyLoop), layout, question.Kind, question.Wheel, now)
            )
            : new(now.As(question.Kind), null);
    }
}
