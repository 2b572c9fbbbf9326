using Wendrak.Core.Choices;
using Wendrak.Core.Comparing;
using Wendrak.Core.Loads;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Evaluation;

/// <summary>A reason with the side it is on.</summary>
internal sealed record SidedReason(
    ReasonSide Side,
    string Text,
    SaidBy SaidBy,
    string? Who = null,
    string? School = null,
    DriveWish? Wish = null
) : ReasonTold(Text, SaidBy, Who, School, Wish);

/// <summary>Reasons for and against: those that follow from figures, those of the trade, and those brought up here.</summary>
internal static class ChoiceSayings
{
    /// <summary>A ratio nearer than this to the one that is on is the same: judgement.</summary>
    private const double SamePercent = 0.5;

    /// <param name="key">Of what is weighed.</param>
    /// <param name="place">What it is here; null for a part.</param>
    /// <param name="fitted">Key of what is on; null where that is not known.</param>
    /// <param name="wheels">On the shelf for it; null where that is not asked.</param>
    public static IEnumerable<SidedReason> Of(
        string key,
        KindAtPlace? place,
        LoopWeighing weighing,
        string? fitted,
        MachineKind machine,
        int? wheels
    ) =>
        [
            .. place is null ? [] : OfFigures(place),
            .. wheels is int count ? [OfShelf(count)] : (SidedReason[])[],
            .. OfLevel(key, weighing, fitted),
            .. ChoiceReasons
                .Of(key, machine)
                .Select(r => new SidedReason(r.Side, r.Text, r.SaidBy, r.Source, r.School, r.Wish)),
            .. weighing
                .Reasons.Where(r => r.Option == key)
                .Select(r => new SidedReason(r.Side, r.Text, r.SaidBy, r.Who, null, r.Wish)),
        ];

    /// <summary>For each wish what common practice says of it: for, against, or nothing where it says both.</summary>
    public static Dictionary<DriveWish, int> PracticeOf(string key, MachineKind machine, LoopWeighing weighing) =>
        ChoiceReasons
            .Of(key, machine)
            .Where(r => r is { SaidBy: SaidBy.CommonPractice, School: null })
            .Select(r => (r.Wish, r.Side))
            .Concat(
                weighing
                    .Reasons.Where(r => r.Option == key && r.SaidBy == SaidBy.CommonPractice)
                    .Select(r => (r.Wish, r.Side))
            )
            .Where(r => r.Wish is not null)
            .GroupBy(r => r.Wish!.Value)
            .ToDictionary(g => g.Key, g => Math.Sign(g.Sum(r => r.Side == ReasonSide.For ? 1 : -1)));

    private static IEnumerable<SidedReason> OfFigures(KindAtPlace place)
    {
        const SaidBy by = SaidBy.MakerOrStandard;
        if (place.Figures?.Smallest?.Margin is double margin && place.Holds != KindHolds.FiguresOnly)
            yield return new(
                margin >= 1 ? ReasonSide.For : ReasonSide.Against,
                FormattableString.Invariant($"its least margin is ×{margin:0.00}"),
                by
            );
        if (place.Worst is { Margin: double poor })
            yield return new(
                ReasonSide.Against,
                FormattableString.Invariant(
                    $"{(place.Holds == KindHolds.DoesNotHold ? "a check stops it" : "a check is to be watched")}: ×{poor:0.00}, named where it holds"
                ),
                by
            );
        if (Math.Abs(place.RatioPercent) > SamePercent)
            yield return new(
                ReasonSide.Against,
                FormattableString.Invariant(
                    $"its ratio is {Math.Abs(place.RatioPercent):0.0} % {(place.RatioPercent > 0 ? "shorter" : "taller")} than what is on"
                ),
                by
            );
        if (place.Fit is { } fit)
        {
            if (fit.WithoutIdlers)
                yield return new(ReasonSide.Against, "counted without the idler or tensioner that is there now", by);
            if (fit is { Length: null, Mover: not null })
                yield return new(ReasonSide.Against, "no length of it reaches on the adjustment there is", by);
        }
        if (place.FitProblem is not null)
            yield return new(ReasonSide.Against, "it can’t be laid where the shafts stand", by);
    }

    private static SidedReason OfShelf(int wheels) =>
        wheels > 0
            ? new(
                ReasonSide.For,
                wheels == 1
                    ? "1 wheel for it on the shelf"
                    : FormattableString.Invariant($"{wheels} wheels for it on the shelf"),
                SaidBy.MeasuredHere,
                Wish: DriveWish.RatioChanges
            )
            : new(
                ReasonSide.Against,
                "no wheel for it on the shelf",
                SaidBy.MeasuredHere,
                Wish: DriveWish.RatioChanges
            );

    private static IEnumerable<SidedReason> OfLevel(string key, LoopWeighing weighing, string? fitted)
    {
        if (
            fitted is null
            || key == fitted
            || weighing.LevelHow is not { } how
            || weighing.FiguresOf(fitted).LevelDb is not double now
            || weighing.FiguresOf(key).LevelDb is not double then
            || now == then
        )
            yield break;
        SoundDifference difference = SoundDifference.Between(now, then);
        yield return new(
            difference.Db < 0 ? ReasonSide.For : ReasonSide.Against,
            FormattableString.Invariant(
                $"{Math.Abs(difference.Db):0.#} dB {(difference.Db < 0 ? "less" : "more")} than what is on ({how}): heard {(difference.Db < 0 ? 1 / difference.LoudnessRatio : difference.LoudnessRatio):0.0} times as {(difference.Db < 0 ? "quiet" : "loud")}"
            ),
            SaidBy.MeasuredHere,
            Wish: DriveWish.Quiet
        );
    }
}
