using Wendrak.Core.Alignment;
using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Tension;

namespace Wendrak.Core.Evaluation;

/// <summary>A visit that only the page knows, since it is practised.</summary>
public sealed record PractisedVisit(SetGoal Goal, IReadOnlyList<SetRound> Rounds, IReadOnlyList<CalibrationPair> Gauge);

/// <summary>What the rounds of a visit tell, and what to do next.</summary>
/// <param name="VisitId">A stored visit, to whatever loop; null between visits to the loop in view.</param>
/// <param name="Practised">In the place of a stored visit.</param>
/// <param name="Round">Being read; null for what is stored as in hand.</param>
/// <param name="IsKeptOnly">True to leave out what is in hand.</param>
/// <param name="Setting">How the loop is set, as it is typed; null for what is stored.</param>
public sealed record SetQuestion(
    long? VisitId = null,
    PractisedVisit? Practised = null,
    SetRound? Round = null,
    bool IsKeptOnly = false,
    LoopSetting? Setting = null,
    bool Workings = false
);

/// <summary>What a visit would be closed over.</summary>
/// <param name="TorqueNm">As it was measured; null where nobody did.</param>
public sealed record ClosingPart(long VisitId, double? TorqueNm);

/// <summary>The newest visit to the loop of the drive that mirrors this one.</summary>
/// <param name="Match">Null while one of both was not read.</param>
public sealed record SideMatchAnswer(long OtherVisitId, SideMatchResult? Match);

/// <summary>How straight the loop in view runs, by one kind of reading.</summary>
/// <param name="CentreMm">Between both shafts; null for where the wheels stand.</param>
/// <param name="SpacingMm">Between both adjusters; null where nothing is to be turned.</param>
/// <param name="Setting">How the loop is set, as it is typed; null for what is stored.</param>
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
public sealed record WarmthQuestion(
    CaseMetal Case,
    double HotC,
    double ColdC,
    SetQuestion Set,
    double? AxialStiffnessN = null
);

/// <summary>How the belt in view loses tension until a day.</summary>
public sealed record RunningInQuestion(
    CordKind Cord,
    double Hours,
    double UntilHours,
    SetQuestion Set,
    OwnReadings? Own = null
);

/// <summary>A reading of the simulated drive.</summary>
/// <param name="Seed">Tells one practice drive from another.</param>
/// <param name="Lock">Of the nut, now.</param>
public sealed record PracticeQuestion(int Seed, SetQuestion Set, LockState Lock);

/// <summary>Answers about setting. What is set is what is on the machine, whatever else is in view.</summary>
internal static class SetAnswers
{
    public static SetAdvice Set(MachineInView view, SetQuestion asked) =>
        SetEvaluation.Of(InputOf(view, asked), asked.Workings);

    /// <summary>The round in hand stands after those kept; of a visit that is not there none is.</summary>
    public static (string From, string To) InHandPath(MachineInView view, SetQuestion asked)
    {
        IReadOnlyList<SetRound>? kept =
            asked.Practised?.Rounds ?? view.Stored.Visits.FirstOrDefault(v => v.Id == asked.VisitId)?.Rounds;
        return ($"Rounds[{kept?.Count ?? 0}]", nameof(SetQuestion.Round));
    }

    public static IReadOnlyList<ClosedDespite> Closing(MachineInView view, ClosingPart asked)
    {
        SetJob visit = view.VisitOf(asked.VisitId);
        return ClosingReasons.Of(
            new(InputOf(view, new(asked.VisitId, IsKeptOnly: true)), visit.Cautions is not null, asked.TorqueNm)
        );
    }

    public static SideMatchAnswer? SideMatch(MachineInView view, SetQuestion asked)
    {
        HashSet<string> mirrored = [.. MirroredLoops(view)];
        if (view.Stored.Visits.FirstOrDefault(v => mirrored.Contains(v.LoopKey)) is not { } other)
            return null;
        SetInput mine = InputOf(view, asked);
        SetInput theirs = InputOf(view, new(other.Id, IsKeptOnly: true));
        bool areRead = IsRead(mine) && IsRead(theirs);
        return new(other.Id, areRead ? Tension.SideMatch.Of(new(mine, theirs)) : null);
    }

    public static StraightnessResult Straight(MachineInView view, StraightnessQuestion asked)
    {
        Loop loop = view.AnyLoop;
        return Straightness.Of(
            new(
                view.Machine.Kind,
                loop.Medium,
                asked.CentreMm
                    ?? CentreOf(view)
                    ?? throw new InvalidInputException("CentreMm", "missing", "Give the distance of both shafts."),
                asked.SpacingMm,
                InputOf(view, new(Setting: asked.Setting)).Setting,
                asked.Edge,
                asked.Marks,
                asked.LineOffsetMm,
                asked.AlongString
            )
        );
    }

    public static ThermalTensionResult Warmth(MachineInView view, WarmthQuestion asked)
    {
        SpanFacts span = SpanFinder.Of(InputOf(view, asked.Set));
        return ThermalTension.Of(
            new(
                asked.Case,
                CentreOf(view) ?? throw NotLaidOut(),
                asked.HotC,
                asked.ColdC,
                span.CosRun,
                span.LoopLengthMm ?? throw NotLaidOut(),
                asked.AxialStiffnessN
                    ?? span.AxialStiffnessN
                    ?? throw new InvalidInputException("AxialStiffnessN", "missing", "Give the belt’s stiffness.")
            )
        );
    }

    public static RunningInResult RunIn(MachineInView view, RunningInQuestion asked)
    {
        SetAdvice advice = Set(view, asked.Set with { Workings = false });
        // Without newtons, as with no window or no mass, it is told as a share.
        bool inNewton = advice.Unit == TightnessUnit.Newton;
        return RunningIn.Of(
            new(
                asked.Cord,
                asked.Hours,
                asked.UntilHours,
                inNewton ? advice.Aim : null,
                inNewton && advice.Rounds is [.., { } last] ? last.Loosest : null,
                inNewton ? advice.Window?.High : null,
                advice.Setting.MostShaftLoadN,
                asked.Own
            )
        );
    }

    public static PracticeReading Practice(MachineInView view, PracticeQuestion asked)
    {
        SetInput loop = InputOf(view, asked.Set);
        // How it answers goes by what was turned; what was read before says nothing to it.
        return PracticeDrive.Read(
            new(asked.Seed, loop with { Rounds = [.. loop.Rounds.Select(r => r with { Readings = [] })] }, asked.Lock)
        );
    }

    /// <exception cref="InvalidInputException">The visit is not this machine's, or its loop is not there any more.</exception>
    private static SetInput InputOf(MachineInView view, SetQuestion asked)
    {
        SetJob visit =
            asked.VisitId is long id ? view.VisitOf(id)
            : asked.Practised is { } p ? Between(view) with { Goal = p.Goal, Rounds = p.Rounds, Gauge = p.Gauge }
            : Between(view);
        SetRound? inHand = asked.IsKeptOnly ? null : asked.Round ?? visit.InHand?.Round;
        SetInput input =
            SetInputs.For(
                view.Machine,
                view.Fitted.Loops,
                view.Fitted.RoadWheels,
                inHand is null ? visit : visit with { Rounds = [.. visit.Rounds, inHand] }
            ) ?? throw new InvalidInputException("VisitId", "unknown", "The loop of this visit is not there any more.");
        return asked.Setting is null ? input : input with { Setting = asked.Setting };
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
        view.LayoutOf(view.AnyLoop) is null ? null : LoopFit.Of(FitAnswers.InputOf(view), false).CentreMm;

    private static InvalidInputException NotLaidOut() =>
        new("Scope.LoopKeys", "missing", "Say first at Fit where the wheels stand.");
}
