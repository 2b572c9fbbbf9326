using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Evaluation;

/// <summary>Loads of the loop in view.</summary>
/// <param name="Source">What pulls, as it is typed; null for what is stored.</param>
/// <param name="Strength">The chain or belt, as it is typed; null for what is stored.</param>
/// <param name="Workings">Whether to tell how each figure came about.</param>
public sealed record LoadsQuestion(LoadSource? Source = null, LoopStrength? Strength = null, bool Workings = false);

/// <summary>Loads as fitted, of trials, and of chains and belts of another kind in the loop's place.</summary>
/// <param name="Alternatives">As they are being typed; null for those stored.</param>
public sealed record LoadsBesideQuestion(
    LoadSource? Source = null,
    LoopStrength? Strength = null,
    IReadOnlyList<LoopAlternative>? Alternatives = null
);

/// <summary>One of the loops laid side by side.</summary>
/// <param name="SetupId">Of a trial; null for as fitted and for an alternative.</param>
/// <param name="Alternative">Its place among the alternatives; null for none.</param>
/// <param name="Name">Of the setup or the loop in its place.</param>
/// <param name="Assumed">What stands where nothing was given.</param>
public sealed record LoadsColumn(
    string Name,
    long? SetupId,
    int? Alternative,
    LoopFigures Figures,
    AssumedLoads Assumed
)
{
    internal static LoadsColumn From(string name, long? setupId, int? alternative, LoopLoadsResult loads) =>
        new(name, setupId, alternative, loads.Figures, loads.Assumed);
}

/// <summary>Whether what joins a wheel to its shaft holds.</summary>
/// <param name="TorqueNm">Null for the hardest that the loop asks of it.</param>
/// <param name="Source">What pulls, as it is typed; null for what is stored.</param>
/// <param name="YieldMpa">Stress at which the weaker part gives way, MPa; null for the usual steel.</param>
/// <param name="ProofTorqueNm">Torque it was seen to hold, Nm; null for none.</param>
public sealed record ShaftHubQuestion(
    ShaftHubConnection Carrier,
    double? TorqueNm = null,
    double? YieldMpa = null,
    double? ProofTorqueNm = null,
    LoadSource? Source = null,
    LoopStrength? Strength = null
);

/// <summary>A chain or belt of another kind to begin with.</summary>
public sealed record StartingAlternativeQuestion(DriveElement DriveElement);

/// <summary>Answers about loads.</summary>
internal static class LoadAnswers
{
    /// <summary>Beside as fitted.</summary>
    private const int MostBeside = 4;

    public static LoopLoadsResult Loads(MachineInView view, LoadsQuestion question) =>
        question is { Source: null, Strength: null, Workings: false }
            ? view.Loads
            : Marked(
                view,
                LoopLoads.Evaluate(
                    InputOf(view, view.Loops, view.RoadWheels, question.Source, question.Strength),
                    question.Workings
                )
            );

    private static LoopLoadsResult Marked(MachineInView view, LoopLoadsResult loads) =>
        loads.Workings.Count == 0 ? loads : loads with { Workings = new AssumedInputs(view).Mark(loads.Workings) };

    public static IReadOnlyList<CheckMends> Mends(MachineInView view, LoadsQuestion question) =>
        LoadMends.Find(InputOf(view, view.Loops, view.RoadWheels, question.Source, question.Strength));

    public static IReadOnlyList<LoadsColumn> Beside(MachineInView view, LoadsBesideQuestion question)
    {
        // As fitted is what is on, whatever kind is in view.
        MachineInView asFitted = view.Other is null
            ? view
            : new(view.Stored, view.Scope with { SetupId = null, Picks = null }, view.Workshop);
        LoadsInput fitted = InputOf(
            asFitted,
            view.Fitted.Loops,
            view.Fitted.RoadWheels,
            question.Source,
            view.Other is null ? question.Strength : null
        );
        LoopAlternative[] others =
        [
            .. question.Alternatives
                ?? (view.Machine.Loads?.Alternatives ?? []).Where(a => a.Strength.LoopKey == view.AnyLoop.Key),
        ];
        IEnumerable<Setup> trials = view
            .Stored.Setups.Where(s => s.Status == SetupStatus.Trial)
            .Take(Math.Max(0, MostBeside - others.Length));
        return
        [
            LoadsColumn.From("as fitted", null, null, LoopLoads.Evaluate(fitted, false)),
            .. trials.Select(s =>
                LoadsColumn.From(s.Name, s.Id, null, LoopLoads.Evaluate(OfTrial(view, s, question), false))
            ),
            .. others.Select((a, i) => LoadsColumn.From(a.Name, null, i, InPlace(fitted with { Alternative = a }, i))),
        ];
    }

    private static LoadsInput OfTrial(MachineInView view, Setup trial, LoadsBesideQuestion question)
    {
        MachineInView of = new(view.Stored, view.Scope with { SetupId = trial.Id, Picks = null }, view.Workshop);
        // What is being typed is of the kind that is in view.
        bool isTyped = of.Other?.Id == view.Other?.Id;
        return InputOf(of, trial.Loops, trial.RoadWheels, question.Source, isTyped ? question.Strength : null);
    }

    /// <summary>Which of them is wrong is known here only.</summary>
    private static LoopLoadsResult InPlace(LoadsInput input, int index) =>
        Refusal.Renamed(
            "Alternative.",
            $"{nameof(LoadsBesideQuestion.Alternatives)}[{index}].",
            () => LoopLoads.Evaluate(input, false)
        );

    public static ShaftHubCapacityResult ShaftHub(MachineInView view, ShaftHubQuestion question)
    {
        LoadSource source = question.Source ?? SourceOf(view);
        return ShaftHubCapacity.Compute(
            new(
                question.Carrier,
                question.TorqueNm ?? Loads(view, new(question.Source, question.Strength)).HardestTorqueNm,
                question.YieldMpa,
                question.ProofTorqueNm,
                source.LiftsOrFlies == true
            )
        );
    }

    public static LoopAlternative Starting(MachineInView view, StartingAlternativeQuestion question) =>
        LoopAlternative.Start(new(view.Drive, view.FittedOf(view.AnyLoop), question.DriveElement));

    /// <summary>Whether somebody said how hard it is pulled: without that there are no loads.</summary>
    public static bool IsPullKnown(MachineInView view) =>
        LoadSource.TellsPull(view.Machine.Loads?.Sources.FirstOrDefault(s => s.DriveKey == view.Drive.Key), view.Drive);

    private static LoadSource SourceOf(MachineInView view) =>
        view.Machine.Loads?.Sources.FirstOrDefault(s => s.DriveKey == view.Drive.Key) ?? new(view.Drive.Key);

    /// <summary>What is in view, as its loads are stored; a loop that is laid for its fit is not laid again.</summary>
    public static LoadedLoop LoadedOf(MachineInView view) =>
        new(
            InputOf(view, view.Loops, view.RoadWheels, null, null),
            view.LayoutOf(view.AnyLoop) is null ? null : view.Laid.Path
        );

    /// <summary>What is fitted, as its loads are stored.</summary>
    public static LoadsInput AsFitted(MachineInView view) =>
        InputOf(view, view.Fitted.Loops, view.Fitted.RoadWheels, null, null);

    private static LoadsInput InputOf(
        MachineInView view,
        IReadOnlyList<LoopChoice> loops,
        IReadOnlyList<RoadWheelChoice> roadWheels,
        LoadSource? source,
        LoopStrength? strength
    )
    {
        Loop loop = view.AnyLoop;
        return new(
            view.Drive,
            view.Machine.Kind,
            view.OfDrive(loops),
            roadWheels,
            view.LayoutOf(loop),
            source ?? SourceOf(view),
            strength ?? view.Machine.Loads?.Strengths.FirstOrDefault(s => s.LoopKey == loop.Key) ?? new(loop.Key)
        );
    }
}
