using Wendrak.Core.Alignment;
using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Tension;

namespace Wendrak.Core.Evaluation;

/// <summary>A visit that only the page knows, since it is practised.</summary>
public sealed record PractisedVisit(SetGoal Goal, IReadOnlyList<SetRound> Rounds, IReadOnlyList<CalibrationPair> Gauge);

/// <summary>A stored visit.</summary>
/// <param name="JobId">Job at which it was.</param>
/// <param name="LoopKey">Loop that was set, whichever is in view.</param>
public sealed record VisitKey(long JobId, string LoopKey);

/// <summary>What the rounds of a visit tell, and what to do next.</summary>
/// <param name="Visit">A stored visit; null between visits to the loop in view.</param>
/// <param name="Practised">In the place of a stored visit.</param>
/// <param name="Round">Being read; null for what is stored as in hand.</param>
/// <param name="IsKeptOnly">True to leave out what is in hand.</param>
/// <param name="Setting">How the loop is set, as it is typed; null for what is stored.</param>
/// <param name="Workings">Whether to tell how each figure came about.</param>
public sealed record SetQuestion(
    VisitKey? Visit = null,
    PractisedVisit? Practised = null,
    SetRound? Round = null,
    bool IsKeptOnly = false,
    LoopSetting? Setting = null,
    bool Workings = false
);

/// <summary>What a visit would be closed over.</summary>
/// <param name="TorqueNm">As it was measured; null where nobody did.</param>
/// <param name="Visit">That is to be closed.</param>
public sealed record ClosingPart(VisitKey Visit, double? TorqueNm);

/// <summary>The newest visit to the loop of the drive that mirrors this one.</summary>
/// <param name="Match">Null while one of both was not read.</param>
/// <param name="Other">The visit to the other side.</param>
public sealed record SideMatchAnswer(VisitKey Other, SideMatchResult? Match);

/// <summary>How straight the loop in view runs, by one kind of reading.</summary>
/// <param name="CentreMm">Between both shafts; null for where the wheels stand.</param>
/// <param name="SpacingMm">Between both adjusters; null where nothing is to be turned.</param>
/// <param name="Setting">How the loop is set, as it is typed; null for what is stored.</param>
/// <param name="LineOffsetMm">Rear against front by a line along both wheels, mm, positive to the right; null where it was not taken.</param>
public sealed record StraightnessQuestion(
    double? CentreMm = null,
    double? SpacingMm = null,
    StraightEdge? Edge = null,
    AxleMarks? Marks = null,
    double? LineOffsetMm = null,
    StringReading? AlongString = null,
    LoopSetting? Setting = null
);

/// <summary>What warmth does to the belt in view.</summary>
/// <param name="AxialStiffnessN">Null for what is known of it.</param>
/// <param name="HotC">As warm as it gets, °C.</param>
/// <param name="ColdC">As it was set, °C.</param>
public sealed record WarmthQuestion(
    CaseMetal Case,
    double HotC,
    double ColdC,
    SetQuestion Set,
    double? AxialStiffnessN = null
);

/// <summary>How the belt in view loses tension until a day.</summary>
/// <param name="Hours">Run since it was fitted, or lying under tension.</param>
/// <param name="UntilHours">From now to when it must be right; null for a week.</param>
/// <param name="Own">Readings of this very belt, which make the curve its own; null for the usual one.</param>
public sealed record RunningInQuestion(
    CordKind Cord,
    double Hours,
    SetQuestion Set,
    double? UntilHours = null,
    OwnReadings? Own = null
);

/// <summary>A reading of the simulated drive.</summary>
/// <param name="Seed">Tells one practice drive from another.</param>
/// <param name="Lock">Of the nut, now.</param>
public sealed record PracticeQuestion(int Seed, SetQuestion Set, LockState Lock);

/// <summary>How somebody fared who set the simulated drive by their own decisions.</summary>
/// <param name="Seed">Tells one practice drive from another.</param>
/// <param name="Practised">With the rounds that were kept; the first is as found.</param>
/// <param name="Setting">How the loop is set, as it is typed; null for what is stored.</param>
public sealed record PracticeScoreQuestion(int Seed, PractisedVisit Practised, LoopSetting? Setting = null);

/// <summary>Answers about setting. What is set is what is on the machine, whatever else is in view.</summary>
internal static class SetAnswers
{
    public static SetAdvice Set(MachineInView view, SetQuestion question)
    {
        SetAdvice advice = SetEvaluation.Advise(InputOf(view, question), question.Workings);
        // A simulated drive is set with no tool at all.
        return question.Practised is null ? advice with { Manual = advice.Manual.With(view.Workshop.Tools) } : advice;
    }

    /// <summary>The round in hand stands after those kept; of a visit that is not there none is.</summary>
    public static (string From, string To) InHandPath(MachineInView view, SetQuestion question)
    {
        IReadOnlyList<SetRound>? kept = question.Practised?.Rounds ?? view.FindVisit(question.Visit)?.Rounds;
        return ($"Rounds[{kept?.Count ?? 0}]", nameof(SetQuestion.Round));
    }

    public static ClosingAnswer Closing(MachineInView view, ClosingPart question)
    {
        SetJob visit = view.VisitOf(question.Visit);
        return ClosingReasons.Find(
            new(InputOf(view, new(question.Visit, IsKeptOnly: true)), visit.Cautions is not null, question.TorqueNm)
        );
    }

    public static SideMatchAnswer? SideMatch(MachineInView view, SetQuestion question)
    {
        HashSet<string> mirrored = [.. MirroredLoops(view)];
        if (view.Stored.Visits.FirstOrDefault(v => mirrored.Contains(v.LoopKey)) is not { } other)
            return null;
        SetInput mine = InputOf(view, question);
        SetInput theirs = InputOf(view, new(new(other.Id, other.LoopKey), IsKeptOnly: true));
        bool areRead = IsRead(mine) && IsRead(theirs);
        return new(new(other.Id, other.LoopKey), areRead ? Tension.SideMatch.Compare(new(mine, theirs)) : null);
    }

    public static StraightnessResult Straight(MachineInView view, StraightnessQuestion question)
    {
        Loop loop = view.AnyLoop;
        return Straightness.Judge(
            new(
                view.Machine.Kind,
                loop.DriveElement,
                question.CentreMm
                    ?? CentreOf(view)
                    ?? throw new InvalidInputException("CentreMm", "missing", "Give the distance of both shafts."),
                question.SpacingMm,
                InputOf(view, new(Setting: question.Setting)).Setting,
                question.Edge,
                question.Marks,
                question.LineOffsetMm,
                question.AlongString
            )
        );
    }

    public static ThermalTensionResult Warmth(MachineInView view, WarmthQuestion question)
    {
        SpanFacts span = SpanFinder.Find(InputOf(view, question.Set));
        return ThermalTension.Compute(
            new(
                question.Case,
                CentreOf(view) ?? throw NotLaidOut(),
                question.HotC,
                question.ColdC,
                span.CosRun,
                span.LoopLengthMm ?? throw NotLaidOut(),
                question.AxialStiffnessN
                    ?? span.AxialStiffnessN
                    ?? throw new InvalidInputException("AxialStiffnessN", "missing", "Give the belt’s stiffness.")
            )
        );
    }

    public static RunningInResult RunIn(MachineInView view, RunningInQuestion question)
    {
        SetAdvice advice = Set(view, question.Set with { Workings = false });
        // Without newtons, as with no window or no mass, it is told as a share.
        bool inNewton = advice.Unit == TightnessUnit.Newton;
        return RunningIn.Predict(
            new(
                question.Cord,
                question.Hours,
                question.UntilHours,
                inNewton ? advice.Aim : null,
                inNewton && advice.Rounds is [.., { } last] ? last.Loosest : null,
                inNewton ? advice.Window?.High : null,
                advice.Setting.MostShaftLoadN,
                question.Own
            )
        );
    }

    public static PracticeReading Practice(MachineInView view, PracticeQuestion question)
    {
        SetInput loop = InputOf(view, question.Set);
        // How it answers goes by what was turned; what was read before says nothing to it.
        return PracticeDrive.Read(
            new(
                question.Seed,
                loop with
                {
                    Rounds = [.. loop.Rounds.Select(r => r with { Readings = [] })],
                },
                question.Lock
            )
        );
    }

    public static PracticeScore Score(MachineInView view, PracticeScoreQuestion question) =>
        PracticeScoring.Of(question.Seed, InputOf(view, new(Practised: question.Practised, Setting: question.Setting)));

    /// <exception cref="InvalidInputException">The visit is not this machine's, or its loop is not there any more.</exception>
    private static SetInput InputOf(MachineInView view, SetQuestion question)
    {
        SetJob visit =
            question.Visit is { } key ? view.VisitOf(key)
            : question.Practised is { } p ? Between(view) with { Goal = p.Goal, Rounds = p.Rounds, Gauge = p.Gauge }
            : Between(view);
        SetRound? inHand = question.IsKeptOnly ? null : question.Round ?? visit.InHand?.Round;
        // A visit is to what is on the machine, whatever is in view beside it.
        bool isStored = visit.Id != 0;
        SetInput input =
            SetInputs.For(
                isStored ? view.Stored.Machine : view.Machine,
                isStored ? view.Fitted.Loops : view.Base.Loops,
                isStored ? view.Fitted.RoadWheels : view.Base.RoadWheels,
                inHand is null ? visit : visit with { Rounds = [.. visit.Rounds, inHand] }
            ) ?? throw new InvalidInputException("Visit", "unknown", "The loop of this visit is not there any more.");
        return question.Setting is null ? input : input with { Setting = question.Setting };
    }

    private static SetJob Between(MachineInView view) =>
        new(0, 0, view.Machine.Id, view.AnyLoop.Key, default, null, SetGoal.Both, [], [], null);

    private static bool IsRead(SetInput input) => input.Rounds.Any(r => r.Readings.Count > 0);

    /// <summary>Loops at the same place of the drives that mirror the one in view.</summary>
    private static IEnumerable<string> MirroredLoops(MachineInView view)
    {
        int place = view.Drive.Stages.ToList().FindIndex(s => s.Key == view.AnyLoop.Key);
        return view
            .Machine.Drives.Where(d =>
                d.Key != view.Drive.Key && (d.Mirrors == view.Drive.Key || view.Drive.Mirrors == d.Key)
            )
            .Select(d => d.Stages.ElementAtOrDefault(place)?.Key)
            .OfType<string>();
    }

    /// <summary>Between both shafts as fitted; null where nobody laid it out.</summary>
    private static double? CentreOf(MachineInView view) =>
        view.LayoutOf(view.AnyLoop) is null ? null : LoopFit.Evaluate(FitAnswers.InputOf(view), false).CentreMm;

    private static InvalidInputException NotLaidOut() =>
        new("Scope.LoopKeys", "missing", "Say first at Fit where the wheels stand.");
}
