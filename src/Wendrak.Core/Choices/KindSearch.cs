using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Lengths;
using Wendrak.Core.Loads;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wheels;
using static System.Math;

namespace Wendrak.Core.Choices;

/// <summary>Finds of every kind of drive the smallest that holds in the place of a loop.</summary>
public sealed class KindSearch
{
    private static readonly LoadCheckKind[] OfStrength =
    [
        LoadCheckKind.BeltPull,
        LoadCheckKind.BeltCount,
        LoadCheckKind.BreakingLoad,
        LoadCheckKind.BreakingLoadWithShock,
    ];

    private const double SamePitchMm = 0.05;

    /// <summary>A margin that is better by less is no reason to take a heavier one, or other wheels: judgement.</summary>
    private const double Nearer = 0.05;

    /// <summary>Rounding must not ask for a link more.</summary>
    private const double WholeTolerance = 1e-6;

    private readonly LoadsInput _input;
    private readonly LoopSetting _setting;
    private readonly Loop _loop;
    private readonly LoopChoice _choice;
    private readonly bool _isPullKnown;
    private readonly bool _isJudged;
    private readonly IReadOnlyList<LoopAlternative> _own;
    private readonly KindCandidates _candidates;
    private readonly double _ratio;
    private readonly Lazy<double?> _fittedTravel;
    private readonly Lazy<double> _rearOutsideMm;

    /// <param name="input">The loop as fitted; its strength names it.</param>
    /// <param name="setting">How it is set as fitted.</param>
    /// <param name="own">Chains and belts of other kinds that were typed for this loop.</param>
    /// <param name="isJudged">False for what hoists, carries persons or flies.</param>
    public KindSearch(LoadsInput input, LoopSetting setting, IReadOnlyList<LoopAlternative> own, bool isJudged)
    {
        (_input, _setting, _own, _isJudged) = (input, setting, own, isJudged);
        _loop = DriveLoops.Find(input.Drive, input.Strength.LoopKey, "Strength.LoopKey");
        _choice = input.Loops.First(c => c.LoopKey == _loop.Key);
        _isPullKnown = LoadSource.TellsPull(input.Source, input.Drive);
        LoopLoadsResult? fitted = LoadsAsFitted();
        _candidates = new(
            _loop,
            _choice,
            input.Strength,
            input.Kind,
            fitted?.HardestTorqueNm,
            fitted?.Points.Max(p => p.SmallerRpm)
        );
        _ratio = Abs(StageRatio.Compute(_loop, _choice));
        _fittedTravel = new(() => TravelOf(input.Drive, _choice));
        _rearOutsideMm = new(() => 2 * WheelOutline.For(_loop, _choice.RearSize).OutsideRadiusMm);
    }

    private LoopLoadsResult? LoadsAsFitted()
    {
        try
        {
            return _isPullKnown ? LoopLoads.Evaluate(_input, false) : null;
        }
        catch (InvalidInputException)
        {
            return null;
        }
    }

    /// <summary>Key of the kind that is on; null for one that is not weighed.</summary>
    public string? FittedKind => KindOfLoop.Of(_loop, _input.Strength, _input.Kind);

    public KindAtPlace At(ChoiceKind kind)
    {
        if (kind.Element is null)
            return NoLoopKinds.Of(kind, _ratio, CentreMm);
        if (kind.Key == FittedKind)
            return Laid(Judge(kind, _candidates.AsItIs, isFitted: true, isOwn: false)!);
        LoopAlternative[] typed = [.. _own.Where(a => KindOfLoop.Of(LoopOf(a), a.Strength, _input.Kind) == kind.Key)];
        IEnumerable<LoopAlternative> tried = typed.Length > 0 ? typed : _candidates.Of(kind);
        Judged? best = null;
        foreach (LoopAlternative candidate in tried)
        {
            if (Judge(kind, candidate, isFitted: false, typed.Length > 0) is not { } at)
                continue;
            if (best is null || IsBetter(at, best))
                best = at;
            // A friction belt of which nobody said what it can take: no other size of it would tell more.
            if (at.Grade == KindHolds.Holds || (at.Grade == KindHolds.NotTold && !kind.Element.Value.IsToothed()))
                break;
        }
        return best is null
            ? new(
                kind,
                false,
                KindHolds.NothingNear,
                null,
                false,
                0,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                []
            )
            : Laid(best);
    }

    /// <summary>With how it lies between the shafts: of the one that is shown alone, for it turns no choice.</summary>
    private KindAtPlace Laid(Judged at)
    {
        (KindFit? fit, string? problem) = FitOf(at.Input, at.Choice, at.Place.IsFitted);
        return at.Place with { Fit = fit, FitProblem = problem, Window = WindowOf(at) };
    }

    /// <summary>Of what is on as it is set here; of another kind as such a one is set to begin with.</summary>
    private KindWindow? WindowOf(Judged at)
    {
        LoadsInput of = at.Input;
        LoopSetting setting = at.Place.IsFitted ? _setting : StartingSetting.For(_loop.Key, of.Layout, of.Kind);
        try
        {
            SetAdvice advice = SetEvaluation.Advise(
                new(of.Drive, of.Kind, of.Loops, of.RoadWheels, of.Layout, of.Source, of.Strength, setting, []),
                explains: false
            );
            return advice is { Window: { } window, WindowLooseReading: double loose, WindowTightReading: double tight }
                ? new(advice.WindowMethod, loose, tight, window.Reason)
                : null;
        }
        catch (InvalidInputException)
        {
            return null; // What Set would refuse has no window yet.
        }
    }

    /// <summary>The first that is as good stays: they come the lightest first. Where none holds, the one that is nearest to it.</summary>
    private static bool IsBetter(Judged at, Judged best) =>
        at.Grade != best.Grade
            ? at.Grade < best.Grade
            : at.Grade == KindHolds.DoesNotHold && at.LeastMargin > best.LeastMargin + Nearer;

    /// <param name="Grade">By its figures alone, told or not.</param>
    private sealed record Judged(
        KindAtPlace Place,
        LoadsInput Input,
        LoopChoice Choice,
        KindHolds Grade,
        double LeastMargin
    );

    /// <returns>Null where it can’t be there at all.</returns>
    private Judged? Judge(ChoiceKind kind, LoopAlternative setup, bool isFitted, bool isOwn)
    {
        LoadsInput input;
        try
        {
            input = isFitted ? _input : setup.In(_input);
            // What runs over the idlers now runs over them with another chain or belt of the same pitch, too.
            if (!isFitted && IsOfThePitch(setup))
                input = input with { Layout = _input.Layout };
        }
        catch (InvalidInputException) when (!isFitted)
        {
            return null;
        }
        LoopChoice choice = input.Loops.First(c => c.LoopKey == _loop.Key);
        Judged Is(KindHolds holds, double margin, Func<KindAtPlace, KindAtPlace> with) =>
            new(with(Place(holds)), input, choice, holds, margin);
        KindAtPlace Place(KindHolds holds) =>
            new(
                kind,
                isFitted,
                _isJudged ? holds : KindHolds.FiguresOnly,
                setup,
                isOwn,
                (
                    Abs(StageRatio.Compute(DriveLoops.Find(input.Drive, _loop.Key, "Strength.LoopKey"), choice))
                        / _ratio
                    - 1
                ) * 100,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                []
            );
        if (!_isPullKnown)
            return Is(KindHolds.NotTold, 0, p => p with { Missing = nameof(LoadSource.PeakTorqueNm) });
        LoopLoadsResult loads;
        try
        {
            loads = LoopLoads.Evaluate(input, false);
            // A belt is set as the advised margin asks for, where nobody said how.
            if (!isFitted && loads is { IsTensionAdvised: true, InstalledTensionN: double tension })
            {
                LoopStrength tight = input.Strength with { InstalledTensionN = Ceiling(tension) };
                setup = setup with { Strength = tight };
                loads = LoopLoads.Evaluate(input with { Strength = tight }, false);
            }
        }
        catch (InvalidInputException e)
        {
            // What is on stays in its column, with the field that Loads refuses.
            return isFitted ? Is(KindHolds.NotTold, 0, p => p with { Missing = e.Issues[0].Field }) : null;
        }
        LoadCheck? untold = loads.Checks.FirstOrDefault(c => c.Missing is not null && OfStrength.Contains(c.Kind));
        LoadCheck[] poor = [.. loads.Checks.Where(c => c is { Margin: < 1, IsAdvisory: false })];
        KindHolds holds =
            loads.Verdict == Verdict.Stop ? KindHolds.DoesNotHold
            : untold is not null ? KindHolds.NotTold
            : poor.Length > 0 ? KindHolds.Watch
            : loads.Smallest is null ? KindHolds.NotTold
            : KindHolds.Holds;
        return Is(
            holds,
            poor.Select(c => c.Margin!.Value).DefaultIfEmpty(1).Min(),
            p =>
                p with
                {
                    Setup = setup,
                    Figures = loads.Figures,
                    Missing = untold?.Missing,
                    NeedsPullN =
                        untold is not null && loads.Figures.HardestPullN is double pull
                            ? pull * loads.ShockFactor
                            : null,
                    Worst = _isJudged ? poor.MinBy(c => c.Margin) : null,
                    MassKg = loads.MassKg,
                }
        );
    }

    private bool IsOfThePitch(LoopAlternative setup) => IsOfThePitch(_loop, setup);

    /// <summary>Whether the wheels and idlers of a loop go with it.</summary>
    internal static bool IsOfThePitch(Loop loop, LoopAlternative setup) =>
        setup.DriveElement == loop.DriveElement
        && (
            loop.IsToothed
                ? Abs(WheelOutline.PitchMm(loop with { Standard = setup.Standard }) - WheelOutline.PitchMm(loop))
                    < SamePitchMm
                : setup.Standard == loop.Standard
        );

    private Loop LoopOf(LoopAlternative setup) =>
        _loop with
        {
            DriveElement = setup.DriveElement,
            Standard = setup.Standard,
        };

    private double? CentreMm => _input.Layout is { } layout ? layout.Front.DistanceTo(layout.Rear) : null;

    private (KindFit? Fit, string? Problem) FitOf(LoadsInput input, LoopChoice choice, bool isFitted)
    {
        if (input.Layout is not { } layout)
            return (null, null);
        Loop loop = DriveLoops.Find(input.Drive, _loop.Key, "Strength.LoopKey");
        LoopFitResult fit;
        try
        {
            fit = LoopFit.Evaluate(
                new(
                    input.Drive,
                    choice,
                    isFitted ? choice : choice with { Links = null, LengthMm = null },
                    layout,
                    null,
                    false,
                    null
                ),
                false
            );
        }
        catch (InvalidInputException e)
        {
            return (null, e.Issues[0].Message);
        }
        double? length =
            isFitted && fit.ChosenLength is double chosen ? chosen
            : layout.Moving is null ? NextWhole(loop, fit.ExactLength)
            : fit.RecommendedLength;
        FittingLength? at = fit.Lengths.FirstOrDefault(l => l.Length == length);
        double rear = 2 * WheelOutline.For(loop, choice.RearSize).OutsideRadiusMm;
        return (
            new(
                length,
                layout.Moving is null ? (length - fit.ExactLength) * fit.UnitMm : null,
                fit.ExactLength,
                fit.LengthUnit,
                layout.Moving is null || isFitted ? null : at?.TravelMm - _fittedTravel.Value,
                layout.Moving?.Wheel,
                at?.TravelUsedPercent is double used ? 100 - used : null,
                2 * WheelOutline.For(loop, choice.FrontSize).OutsideRadiusMm,
                rear,
                rear - _rearOutsideMm.Value,
                layout.Idlers.Count < _input.Layout!.Idlers.Count
            ),
            null
        );
    }

    /// <summary>The next length that can be had round shafts that stay; null of a belt that is cut to length.</summary>
    private static double? NextWhole(Loop loop, double exact) =>
        LoopLengths
            .Around(loop, exact, exact, halfLinks: false)
            .Where(l => l >= exact - WholeTolerance)
            .Select(l => (double?)l)
            .FirstOrDefault();

    private double? TravelOf(Drive drive, LoopChoice choice)
    {
        try
        {
            return LoopFit
                .Evaluate(new(drive, choice, choice, _input.Layout!, null, false, null), false)
                .ClosingTravelMm;
        }
        catch (InvalidInputException)
        {
            return null;
        }
    }
}
