using Wendrak.Core.Quantities;

namespace Wendrak.Core.Evaluation;

/// <summary>The one place a page asks: one machine, what of it is in view, and what is wanted of it.</summary>
public static class MachineEvaluation
{
    /// <param name="workshop">May be left out where <see cref="EvaluationParts.NeedsWorkshop"/> is false.</param>
    /// <returns>Only what was asked. What can't be told is refused in its own part and keeps nothing else back.</returns>
    /// <exception cref="InvalidInputException">The scope names something that the machine has not.</exception>
    public static EvaluationAnswer Answer(
        StoredMachine stored,
        Workshop? workshop,
        EvaluationScope scope,
        EvaluationParts parts
    )
    {
        MachineInView view = new(stored, scope, workshop);
        Part<T>? Tell<TAsked, T>(
            TAsked? question,
            Func<MachineInView, TAsked, T> tell,
            Func<MachineInView, TAsked, (string From, string To)>? path = null
        )
            where TAsked : class => question is null ? null : Asked(view, question, tell, path);
        return new()
        {
            Comparison = Tell(parts.Comparison, RatioAnswers.Comparison),
            SideBySide = Tell(parts.SideBySide, RatioAnswers.SideBySide),
            Drives = Tell(parts.Drives, RatioAnswers.Drives),
            Bands = Tell(parts.Bands, RatioAnswers.Bands, (_, _) => ("Aim", nameof(BandsQuestion.Target))),
            NearestAims = Tell(parts.NearestAims, RatioAnswers.NearestAims),
            StartingAim = Tell(parts.StartingAim, RatioAnswers.Starting),
            BetterAim = Tell(parts.BetterAim, RatioAnswers.Better),
            StartingSearch = Tell(parts.StartingSearch, RatioAnswers.StartingSearches),
            Search = Tell(parts.Search, RatioAnswers.Search, (_, _) => ("Search", nameof(SearchQuestion.Changes))),
            FollowUps = Tell(parts.FollowUps, (v, _) => RatioAnswers.FollowUpsOf(v)),
            Fit = Tell(parts.Fit, FitAnswers.Fit),
            Neighbours = Tell(parts.Neighbours, FitAnswers.Neighbours),
            Combinations = Tell(parts.Combinations, FitAnswers.Combinations),
            PairsForMove = Tell(parts.PairsForMove, FitAnswers.ForMove),
            FixedCentre = Tell(parts.FixedCentre, FitAnswers.FixedCentres),
            LengthForCentre = Tell(parts.LengthForCentre, FitAnswers.ForCentre),
            Suspension = Tell(parts.Suspension, FitAnswers.Suspension),
            Rail = Tell(parts.Rail, (v, _) => FitAnswers.SideToSide(v)),
            StackWorkings = Tell(parts.StackWorkings, FitAnswers.StackWorkings),
            Drawing = Tell(parts.Drawing, FitAnswers.Drawing),
            StartingLayout = Tell(parts.StartingLayout, FitAnswers.Starting),
            StartingAdjuster = Tell(parts.StartingAdjuster, FitAnswers.AdjusterFor),
            Loads = Tell(parts.Loads, LoadAnswers.Loads),
            Mends = Tell(parts.Mends, LoadAnswers.Mends),
            LoadsBeside = Tell(parts.LoadsBeside, LoadAnswers.Beside),
            ShaftHub = Tell(parts.ShaftHub, LoadAnswers.ShaftHub),
            StartingAlternative = Tell(parts.StartingAlternative, LoadAnswers.Starting),
            Build = Tell(parts.Build, BuildAnswers.Build),
            Look = Tell(parts.Look, LookAnswers.Look),
            Due = Tell(parts.Due, (v, _) => v.Due),
            Wear = Tell(parts.Wear, (v, _) => WearAnswers.Wear(v)),
            Set = Tell(parts.Set, SetAnswers.Set, SetAnswers.InHandPath),
            Closing = Tell(parts.Closing, SetAnswers.Closing),
            SideMatch = Tell(parts.SideMatch, SetAnswers.SideMatch)!,
            Straightness = Tell(parts.Straightness, SetAnswers.Straight),
            Warmth = Tell(parts.Warmth, SetAnswers.Warmth),
            RunningIn = Tell(parts.RunningIn, SetAnswers.RunIn),
            Practice = Tell(parts.Practice, SetAnswers.Practice),
            PracticeScore = Tell(parts.PracticeScore, SetAnswers.Score, (_, _) => ("Loop.", "")),
            Guesses = Tell(parts.Guesses, (v, _) => GuessList.Of(v)),
            // Last: what was told in full before is not worked out again for its line.
            Headlines = Tell(parts.Headlines, (v, _) => Evaluation.Headlines.From(v)),
        };
    }

    private static Part<T> Asked<TAsked, T>(
        MachineInView view,
        TAsked question,
        Func<MachineInView, TAsked, T> tell,
        Func<MachineInView, TAsked, (string From, string To)>? path
    )
    {
        try
        {
            return new(tell(view, question));
        }
        catch (InvalidInputException e)
        {
            return new(default, path is null ? e.Issues : Placed(e.Issues, path(view, question)));
        }
    }

    /// <summary>Issues at the member of the question that their fields came from.</summary>
    private static InputIssue[] Placed(IReadOnlyList<InputIssue> issues, (string From, string To) path) =>
        [.. issues.Select(i => Refusal.At(i, path.From, path.To))];
}
