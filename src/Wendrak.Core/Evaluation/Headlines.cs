using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Lengths;
using Wendrak.Core.Loads;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Tension;

namespace Wendrak.Core.Evaluation;

/// <summary>What every station says in one line.</summary>
public sealed record HeadlinesQuestion;

/// <summary>How far a station is with what is in view.</summary>
public enum StationState
{
    /// <summary>Something is still to be said or done.</summary>
    Open,
    Done,

    /// <summary>Done, as far as what it rests on is so: some of that nobody measured or typed.</summary>
    OnGuess,

    /// <summary>A change of parts asks to look again, and nobody has said yet that it was done.</summary>
    LookAgain,
}

/// <summary>Why a station has no figure.</summary>
public enum NoFigure
{
    /// <summary>A direct drive.</summary>
    NoLoop,

    /// <summary>Nobody said where the wheels stand.</summary>
    NotLaidOut,

    /// <summary>Nobody said how hard it is pulled.</summary>
    NoPull,

    /// <summary>What is stored is refused; asking the station itself tells why.</summary>
    Refused,
}

/// <summary>What is aimed for, at a glance.</summary>
/// <param name="Target">Null where nothing is aimed for.</param>
public sealed record AimHeadline(StationState State, AimTarget? Target);

/// <summary>The ratio, at a glance.</summary>
/// <param name="ChangePercent">Against as fitted; null of what is fitted.</param>
/// <param name="MeetsAim">Null without an aim.</param>
/// <param name="FinalRatio">Of the chosen loops; null where it can’t be told.</param>
public sealed record RatioHeadline(
    StationState State,
    NoFigure? Without,
    double? FinalRatio = null,
    double? ChangePercent = null,
    bool? MeetsAim = null
);

/// <summary>The length, at a glance.</summary>
/// <param name="Length">Null where none is counted.</param>
/// <param name="IsOffTheTrack">True where the length does not close on the adjuster.</param>
/// <param name="MovedMm">How far what is moved goes from where it is as fitted, mm, positive tightens; null of what is fitted, and where it is not known.</param>
public sealed record FitHeadline(
    StationState State,
    NoFigure? Without,
    LengthInUnit? Length = null,
    bool IsOffTheTrack = false,
    double? MovedMm = null
);

/// <summary>Of a chain or belt as it is counted.</summary>
/// <param name="Value">Figure in the unit beside it.</param>
public sealed record LengthInUnit(double Value, LengthUnit Unit);

/// <summary>The loads, at a glance.</summary>
/// <param name="IsJudged">False for what this program does not decide.</param>
/// <param name="Verdict">Not applicable where it is not known or not judged.</param>
/// <param name="Worst">The check that is not fine; null where all are.</param>
/// <param name="SmallestMargin">Null where none could be told.</param>
public sealed record LoadsHeadline(
    StationState State,
    NoFigure? Without,
    bool IsJudged = true,
    Verdict Verdict = Verdict.NotApplicable,
    WorstCheck? Worst = null,
    double? SmallestMargin = null
);

/// <summary>What decides.</summary>
public sealed record WorstCheck(LoadCheckKind Kind);

/// <summary>The order of the work, at a glance.</summary>
/// <param name="Of">Steps of the plan; 0 where none was made.</param>
/// <param name="Done">Those of them that are not open.</param>
/// <param name="MinutesLeft">Usual time of what is open, min.</param>
public sealed record BuildHeadline(
    StationState State,
    NoFigure? Without,
    int Of = 0,
    int Done = 0,
    double MinutesLeft = 0
);

/// <summary>How tight it was last, at a glance.</summary>
/// <param name="Lowest">Of the last round that was read; null where none was.</param>
/// <param name="GoesOn">A visit is open.</param>
/// <param name="Highest">The same at its other end.</param>
public sealed record SetHeadline(
    StationState State,
    NoFigure? Without,
    ReadingMethod? Method = null,
    double? Lowest = null,
    double? Highest = null,
    bool GoesOn = false
);

/// <summary>What is due next, at a glance.</summary>
/// <param name="Verdict">By what stands on the loop in view.</param>
/// <param name="Next">What is due first; null where nothing has a day, a distance or happened.</param>
public sealed record CheckHeadline(StationState State, NoFigure? Without, LookVerdict Verdict, DueItem? Next);

/// <summary>One line for every station, for the wheels and loop in view.</summary>
/// <param name="RestsOn">Stations whose figures rest on what nobody measured or typed.</param>
public sealed record StationHeadlines(
    AimHeadline Aim,
    RatioHeadline Ratio,
    FitHeadline Fit,
    LoadsHeadline Loads,
    BuildHeadline Build,
    SetHeadline Set,
    CheckHeadline Check,
    IReadOnlyList<StationGuesses> RestsOn
);

/// <summary>What of a station’s figure is assumed.</summary>
/// <param name="Station">Which.</param>
/// <param name="Kinds">What nobody measured or typed.</param>
public sealed record StationGuesses(Station Station, IReadOnlyList<GuessKind> Kinds);

/// <summary>Tells how far every station is.</summary>
internal static class Headlines
{
    public static StationHeadlines From(MachineInView view) =>
        new(
            new(view.Target is null ? StationState.Open : StationState.Done, view.Target),
            Ratio(view),
            Fit(view),
            Loads(view),
            Build(view),
            Set(view),
            Check(view),
            GuessList.RestsOn(view)
        );

    private static RatioHeadline Ratio(MachineInView view)
    {
        SetupFigures figures;
        try
        {
            figures = view.Comparison.Setups[^1];
        }
        catch (InvalidInputException)
        {
            return new(StateOf(view, Station.Ratio, false), NoFigure.Refused);
        }
        return new(
            StateOf(view, Station.Ratio, figures.MeetsAim == true),
            null,
            figures.FinalRatio,
            view.IsFitted ? null : figures.ChangePercent,
            figures.MeetsAim
        );
    }

    private static FitHeadline Fit(MachineInView view)
    {
        FitHeadline Without(NoFigure why) => new(StateOf(view, Station.Fit, false), why);
        if (view.Loop is null)
            return Without(NoFigure.NoLoop);
        if (view.LayoutOf(view.Loop) is null)
            return Without(NoFigure.NotLaidOut);
        try
        {
            (_, double? length, LengthUnit unit, bool isOff) = view.Laid;
            return new(
                StateOf(view, Station.Fit, length is not null && !isOff),
                null,
                length is double l ? new(l, unit) : null,
                isOff,
                view.IsFitted ? null : LoopFit.MovedMm(FitAnswers.InputOf(view))
            );
        }
        catch (InvalidInputException)
        {
            return Without(NoFigure.Refused);
        }
    }

    private static LoadsHeadline Loads(MachineInView view)
    {
        if (view.Loop is null)
            return new(StationState.Open, NoFigure.NoLoop);
        if (!LoadAnswers.IsPullKnown(view))
            return new(StationState.Open, NoFigure.NoPull);
        try
        {
            LoadCheck[] checks = LoadChecks.Check(view.Loaded);
            bool isJudged = view.Loaded.Input.Source.IsJudged;
            Verdict verdict = isJudged ? LoadChecks.VerdictOf(checks) : Verdict.NotApplicable;
            return new(
                StateOf(view, Station.Loads, verdict == Verdict.Fine),
                null,
                isJudged,
                verdict,
                verdict is Verdict.Stop or Verdict.Watch
                    ? new(checks.First(c => c.Verdict == verdict && !c.IsAdvisory).Kind)
                    : null,
                LoadChecks.SmallestMargin(checks)?.Margin
            );
        }
        catch (InvalidInputException)
        {
            return new(StationState.Open, NoFigure.Refused);
        }
    }

    private static BuildHeadline Build(MachineInView view) =>
        view.Loop is null ? new(StationState.Open, NoFigure.NoLoop)
        : view.Stored.Plan is not { } plan ? new(StationState.Open, null)
        : new(plan.Next is null ? StationState.Done : StationState.Open, null, plan.Of, plan.Done, plan.MinutesLeft);

    private static SetHeadline Set(MachineInView view)
    {
        if (view.Loop is null)
            return new(StationState.Open, NoFigure.NoLoop);
        // What was read of the chain that is on says nothing of the belt that is tried.
        SetJob? newest = view.IsOtherKind(view.Loop)
            ? null
            : view.Stored.Visits.FirstOrDefault(v => v.LoopKey == view.Loop.Key);
        SetRound? read = newest?.Rounds.LastOrDefault(r => r.Readings.Count > 0);
        ReadingMethod? method = read?.Readings[0].Method;
        double[] values = [.. (read?.Readings ?? []).Where(r => r.Method == method).Select(r => r.Value)];
        return new(
            StateOf(view, Station.Set, newest?.Closing is not null),
            null,
            method,
            values.Length == 0 ? null : values.Min(),
            values.Length == 0 ? null : values.Max(),
            newest is { Closing: null }
        );
    }

    private static CheckHeadline Check(MachineInView view)
    {
        if (view.Loop is null)
            return new(StationState.Open, NoFigure.NoLoop, LookVerdict.NotLooked, null);
        LookVerdict verdict = LookAnswers.IsJudged(view)
            ? LookAnswers.VerdictOf([.. view.Seen.Where(s => s.LoopKey == view.Loop.Key)])
            : LookVerdict.NotJudged;
        DueItem? next = view.Due.Items.FirstOrDefault(i => i.IsNow || i.Expected is not null || i.AtKm is not null);
        return new(
            next is { Kind: DueKind.Event, IsNow: true } ? StationState.LookAgain
                : verdict is LookVerdict.Fine or LookVerdict.Watch ? StationState.Done
                : StationState.Open,
            null,
            verdict,
            next
        );
    }

    private static StationState StateOf(MachineInView view, Station station, bool isDone) =>
        view.IsFitted && (view.Fitted.FollowUps ?? []).Any(t => t.Station == station) ? StationState.LookAgain
        : !isDone ? StationState.Open
        : GuessList.Bears(view, station) ? StationState.OnGuess
        : StationState.Done;
}
