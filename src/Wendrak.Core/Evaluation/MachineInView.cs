using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Tension;

namespace Wendrak.Core.Evaluation;

/// <summary>A machine with what is looked at put on it: which parts belong together is decided here and nowhere else.</summary>
internal sealed class MachineInView
{
    private readonly Lazy<SetupComparisonResult> _comparison;
    private readonly Lazy<LoopFitResult> _fit;
    private readonly Lazy<LoopLoadsResult> _loads;
    private readonly Lazy<LaidLoop> _laid;
    private readonly Lazy<LoadedLoop> _loaded;
    private readonly Lazy<IReadOnlyList<PartSeen>> _seen;
    private readonly Lazy<DueAnswer> _due;

    /// <exception cref="InvalidInputException">A loop, a setup or an aim of the scope is not the machine's.</exception>
    public MachineInView(StoredMachine stored, EvaluationScope scope, Workshop? workshop)
    {
        (Stored, Scope, Workshop) = (stored, scope, workshop ?? new([], [], [], []));
        Other = stored.Setups.FirstOrDefault(t => t.Id == scope.SetupId && t.Kinds is { Count: > 0 });
        Machine = SetupKinds.On(stored.Machine, Other?.Kinds);
        Check();
        Drive =
            Machine.Drives.FirstOrDefault(d => scope.LoopKeys.Count > 0 && LoopOf(d, scope.LoopKeys[0]) is not null)
            ?? Machine.Drives[0];
        Loop = scope.LoopKeys is [.., { } last] ? LoopOf(Drive, last) : null;
        (Name, Loops, RoadWheels) = Shown();
        IsFitted = Other is null && Loops.SequenceEqual(Fitted.Loops) && RoadWheels == Fitted.RoadWheels;
        Aim? aim = stored.Aims.FirstOrDefault(a => a.Id == scope.AimId);
        Aim = aim?.DriveKey == Drive.Key ? aim : null;
        Target = scope.Band?.AsAim() ?? Aim?.Target;
        _comparison = new(() => RatioAnswers.Compare(this));
        _fit = new(() => LoopFit.Evaluate(FitAnswers.InputOf(this), false));
        _laid = new(() => LoopFit.Lay(FitAnswers.InputOf(this)));
        _loaded = new(() => LoadAnswers.LoadedOf(this));
        _seen = new(() => PartSeen.AllOf(stored.Jobs.Select(j => j.Sheet)));
        _due = new(() =>
            DueList.Of(stored.Machine, Fitted, stored.Jobs, stored.Odometer, new(Workshop.Parts, Workshop.Wheels))
        );
        _loads = new(() => LoopLoads.Evaluate(Loaded, false));
    }

    /// <summary>What is in view against as fitted, without workings; told once however often it is asked for.</summary>
    /// <exception cref="InvalidInputException">It can't be told.</exception>
    public SetupComparisonResult Comparison => _comparison.Value;

    /// <summary>The same of the loop's fit as stored.</summary>
    /// <exception cref="InvalidInputException">It can't be told.</exception>
    public LoopFitResult Fit => _fit.Value;

    /// <summary>The same of the loop's loads as stored.</summary>
    /// <exception cref="InvalidInputException">They can't be told.</exception>
    public LoopLoadsResult Loads => _loads.Value;

    /// <summary>The loop laid as stored.</summary>
    /// <exception cref="InvalidInputException">It can't be laid.</exception>
    public LaidLoop Laid => _laid.Value;

    /// <summary>The loop as it is pulled.</summary>
    /// <exception cref="InvalidInputException">What is stored is refused, or nothing tells how hard it is pulled.</exception>
    public LoadedLoop Loaded => _loaded.Value;

    /// <summary>Everything that was looked at on the machine, newest first.</summary>
    public IReadOnlyList<PartSeen> Seen => _seen.Value;

    /// <summary>What is due on it.</summary>
    public DueAnswer Due => _due.Value;

    public StoredMachine Stored { get; }
    public EvaluationScope Scope { get; }
    public Workshop Workshop { get; }

    /// <summary>As it is with what is in view on it: a belt in the place of its chain, where that is looked at.</summary>
    public Machine Machine { get; }
    public Setup Fitted => Stored.Fitted;

    /// <summary>The setup in view, where loops of it are another kind than those that are on; null else.</summary>
    public Setup? Other { get; }

    /// <summary>What searches go round and others are laid beside: as fitted, and of another kind the setup in view itself.</summary>
    public Setup Base => Other ?? Fitted;
    public Drive Drive { get; }

    /// <summary>The drive as it is on the machine now.</summary>
    public Drive FittedDrive => Stored.Machine.Drives.First(d => d.Key == Drive.Key);

    /// <summary>The loop being chosen, the last where two are; null of a direct drive.</summary>
    public Loop? Loop { get; }

    /// <summary>Of what is in view: “as fitted”, a setup's own, or “picked”.</summary>
    public string Name { get; }
    public IReadOnlyList<LoopChoice> Loops { get; }
    public IReadOnlyList<RoadWheelChoice> RoadWheels { get; }
    public bool IsFitted { get; }

    /// <summary>The aim asked for, where it is one of this drive.</summary>
    public Aim? Aim { get; }

    /// <summary>A dragged band, else the aim's target; null for none.</summary>
    public AimTarget? Target { get; }

    public IReadOnlyList<StockWheel> Wheels => [.. Workshop.Wheels.Select(w => w.Wheel)];

    /// <exception cref="InvalidInputException">The question is about a loop, and there is none.</exception>
    public Loop AnyLoop =>
        Loop
        ?? throw new InvalidInputException(
            "Scope.LoopKeys",
            "missing",
            "Name a loop: a direct drive has no chain or belt."
        );

    public LoopChoice ChoiceOf(Loop loop) => Loops.First(c => c.LoopKey == loop.Key);

    /// <summary>What is on in the place of a loop; of another kind it is no measure, and the setup in view stands for it.</summary>
    public LoopChoice FittedOf(Loop loop) =>
        (IsOtherKind(loop) ? Base : Fitted).Loops.First(c => c.LoopKey == loop.Key);

    /// <summary>The loop as it is on the machine now.</summary>
    public Loop LoopAsFitted(Loop loop) => LoopOf(FittedDrive, loop.Key)!;

    /// <summary>Whether it is another kind in view than the one that is on.</summary>
    public bool IsOtherKind(Loop loop) => Other?.Kinds?.Any(k => k.LoopKey == loop.Key) == true;

    public LoopLayout? LayoutOf(Loop loop) => Machine.Layouts?.FirstOrDefault(l => l.LoopKey == loop.Key);

    public LoopSetting SettingOf(Loop loop) =>
        StartingSetting.StoredOr(Machine.Settings, loop.Key, LayoutOf(loop), Machine.Kind);

    /// <summary>Wheels of this drive's loops alone.</summary>
    public IReadOnlyList<LoopChoice> OfDrive(IReadOnlyList<LoopChoice> loops) =>
        [.. loops.Where(c => LoopOf(Drive, c.LoopKey) is not null)];

    /// <exception cref="InvalidInputException">No such visit of this machine.</exception>
    public SetJob VisitOf(VisitKey key) =>
        FindVisit(key) ?? throw new InvalidInputException("Visit", "unknown", "Name a visit of this machine.");

    public SetJob? FindVisit(VisitKey? key) =>
        Stored.Visits.FirstOrDefault(v => v.Id == key?.JobId && v.LoopKey == key.LoopKey);

    public static Loop? LoopOf(Drive drive, string key) =>
        drive.Stages.OfType<Loop>().FirstOrDefault(l => l.Key == key);

    private (string Name, IReadOnlyList<LoopChoice> Loops, IReadOnlyList<RoadWheelChoice> RoadWheels) Shown()
    {
        if (Scope.Picks is { Count: > 0 } picks)
            return (
                "picked",
                [
                    .. Base.Loops.Select(c =>
                        picks.FirstOrDefault(p => p.LoopKey == c.LoopKey) is { } pick
                            ? pick.On(MachineRules.LoopsOf(Machine).First(l => l.Key == c.LoopKey), c)
                            : c
                    ),
                ],
                Base.RoadWheels
            );
        Setup? setup = Stored.Setups.FirstOrDefault(s => s.Id == Scope.SetupId && s.Id != Fitted.Id);
        return setup is null
            ? ("as fitted", Fitted.Loops, Fitted.RoadWheels)
            : (setup.Name, setup.Loops, setup.RoadWheels);
    }

    private void Check()
    {
        const int inSeries = 2;
        Guard guard = new("Scope.");
        guard.Count(nameof(Scope.LoopKeys), Scope.LoopKeys.Count, 0, inSeries, "loops");
        HashSet<string> loops = [.. MachineRules.LoopsOf(Machine).Select(l => l.Key)];
        for (int i = 0; i < Scope.LoopKeys.Count; i++)
            guard.That(
                loops.Contains(Scope.LoopKeys[i]),
                $"{nameof(Scope.LoopKeys)}[{i}]",
                "unknown",
                "Name a loop of this machine."
            );
        for (int i = 0; i < (Scope.Picks?.Count ?? 0); i++)
            guard.That(
                loops.Contains(Scope.Picks![i].LoopKey),
                $"{nameof(Scope.Picks)}[{i}].LoopKey",
                "unknown",
                "Name a loop of this machine."
            );
        guard
            .That(
                Scope.SetupId is null || Stored.Setups.Any(s => s.Id == Scope.SetupId),
                nameof(Scope.SetupId),
                "unknown",
                "Name a setup of this machine."
            )
            .That(
                Scope.AimId is null || Stored.Aims.Any(a => a.Id == Scope.AimId),
                nameof(Scope.AimId),
                "unknown",
                "Name an aim of this machine."
            )
            .ThrowIfAny();
    }
}
