using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;

namespace Wendrak.Core.Evaluation;

/// <summary>What is in view against as fitted.</summary>
/// <param name="Workings">Whether to tell how each figure came about.</param>
public sealed record ComparisonQuestion(bool Workings = false);

/// <summary>Stored setups against as fitted.</summary>
/// <param name="SetupIds">Setups to stand beside each other.</param>
public sealed record BesideQuestion(IReadOnlyList<long> SetupIds);

/// <summary>Every shaft with its speed.</summary>
/// <param name="InputSpeedRpm">Speed of the input; null for its usual one.</param>
/// <param name="Workings">Whether to tell how each figure came about.</param>
public sealed record DrivesQuestion(double InputSpeedRpm, bool Workings = false);

/// <summary>Bands of the final ratio that a target asks for.</summary>
/// <param name="Target">As it is typed.</param>
/// <param name="Workings">Whether to tell how each figure came about.</param>
public sealed record BandsQuestion(AimTarget Target, bool Workings = false);

/// <summary>Remembered aims of this drive most like one that is typed.</summary>
public sealed record NearestAimsQuestion(AimTarget Target, Conditions Conditions, Wishes Wishes);

/// <summary>A target of a kind to begin with.</summary>
public sealed record StartingAimQuestion(StartingAimKind Kind);

/// <summary>The wheels to begin a search with.</summary>
/// <param name="Gears">That count for the aim; empty for all.</param>
public sealed record StartingSearchQuestion(IReadOnlyList<int> Gears);

/// <summary>What is changed of the search to begin with; null leaves it.</summary>
/// <param name="LargestRatio">Of the loop; null for any.</param>
/// <param name="LoopKey">Key of the loop it is about.</param>
/// <param name="FrontMin">Smallest driving wheel to try: teeth, or datum diameter in mm.</param>
/// <param name="FrontMax">Largest driving wheel to try.</param>
/// <param name="RearMin">Smallest driven wheel to try.</param>
/// <param name="RearMax">Largest driven wheel to try.</param>
/// <param name="OnShelfOnly">Only what is in stock.</param>
/// <param name="StandardSizesOnly">Only sizes of the standard’s series.</param>
public sealed record LoopSearchChange(
    string LoopKey,
    double? FrontMin = null,
    double? FrontMax = null,
    double? RearMin = null,
    double? RearMax = null,
    bool? OnShelfOnly = null,
    bool? StandardSizesOnly = null,
    double? LargestRatio = null,
    IReadOnlyList<WheelPair>? Typed = null
)
{
    internal LoopSearch On(LoopSearch begun) =>
        begun with
        {
            FrontMin = FrontMin ?? begun.FrontMin,
            FrontMax = FrontMax ?? begun.FrontMax,
            RearMin = RearMin ?? begun.RearMin,
            RearMax = RearMax ?? begun.RearMax,
            OnShelfOnly = OnShelfOnly ?? begun.OnShelfOnly,
            StandardSizesOnly = StandardSizesOnly ?? begun.StandardSizesOnly,
            LargestRatio = LargestRatio ?? begun.LargestRatio,
            Typed = Typed ?? begun.Typed,
        };
}

/// <summary>Pairs that meet the aim.</summary>
/// <param name="Drag">A band while it is being dragged, in the place of the aim.</param>
/// <param name="Rows">Of how many pairs, the first of the list, it is told where the axle goes; at most <see cref="PairFits.MostPairs"/>.</param>
/// <param name="Gears">Gears to look at, counted from 0; empty for all.</param>
/// <param name="Workings">Whether to tell how each figure came about.</param>
public sealed record SearchQuestion(
    IReadOnlyList<LoopSearchChange> Changes,
    IReadOnlyList<int> Gears,
    RatioRanking Ranking,
    int Rows,
    RatioWindow? Drag = null,
    bool Workings = false
);

/// <summary>Pairs that meet an aim, and where they put the axle.</summary>
/// <param name="Fits">
/// Where the axle goes with the first pairs of the list and the chain or belt that is on it; empty where that is not known, or
/// two loops are chosen together.
/// </param>
/// <param name="Split">Where one loop is asked too much: shared between stages; null where one can do it, and for two loops.</param>
public sealed record SearchAnswer(RatioSearchResult Found, IReadOnlyList<PairFit> Fits, StageSplit? Split);

/// <summary>What has to be done again when what is in view goes on.</summary>
public sealed record FollowUpsQuestion;

/// <summary>An aim to begin with, from what somebody wants better.</summary>
/// <param name="Better">What is wanted.</param>
public sealed record BetterAimQuestion(Better Better);

/// <summary>Answers about ratio and aim.</summary>
internal static class RatioAnswers
{
    public static SetupComparisonResult Comparison(MachineInView view, ComparisonQuestion question) =>
        question.Workings ? Marked(view, Compare(view, true)) : view.Comparison;

    private static SetupComparisonResult Marked(MachineInView view, SetupComparisonResult all)
    {
        AssumedInputs assumed = new(view);
        return all with { Setups = [.. all.Setups.Select(s => s with { Workings = assumed.Mark(s.Workings) })] };
    }

    /// <summary>What is in view against as fitted.</summary>
    public static SetupComparisonResult Compare(MachineInView view, bool explains = false) =>
        SetupComparison.Compare(
            InputOf(view, view.IsFitted ? [] : [new(view.Name, view.Loops, view.RoadWheels) { Drive = view.Drive }]),
            explains
        );

    public static SetupComparisonResult SideBySide(MachineInView view, BesideQuestion question) =>
        SetupComparison.Compare(
            InputOf(
                view,
                [
                    .. view
                        .Stored.Setups.Where(s => question.SetupIds.Contains(s.Id))
                        .Select(s => new ComparedSetup(s.Name, s.Loops, s.RoadWheels)
                        {
                            Drive = SetupKinds
                                .On(view.Stored.Machine, s.Kinds)
                                .Drives.First(d => d.Key == view.Drive.Key),
                        }),
                ]
            ),
            false
        );

    private static SetupComparisonInput InputOf(MachineInView view, IReadOnlyList<ComparedSetup> others)
    {
        // A trial may change more loops than the one being chosen: all that differ are spoken of together.
        IEnumerable<string> differing = others
            .SelectMany(s => s.Loops)
            .Where(l =>
                view.Fitted.Loops.FirstOrDefault(f => f.LoopKey == l.LoopKey) is { } before
                && (before.FrontSize, before.RearSize) != (l.FrontSize, l.RearSize)
            )
            .Select(l => l.LoopKey);
        Setup? delivered = view.Stored.Setups.FirstOrDefault(s => s.Status == SetupStatus.AsDelivered);
        return new(
            view.Drive,
            [
                .. view
                    .Scope.LoopKeys.Concat(differing)
                    .Distinct()
                    .Where(key => MachineInView.LoopOf(view.Drive, key) is not null),
            ],
            new("as fitted", view.Fitted.Loops, view.Fitted.RoadWheels) { Drive = view.FittedDrive },
            others,
            view.Target,
            [],
            delivered is null
                ? null
                : new(delivered.Name, delivered.Loops, delivered.RoadWheels)
                {
                    Drive = SetupKinds
                        .On(view.Stored.Machine, delivered.Kinds)
                        .Drives.First(d => d.Key == view.Drive.Key),
                }
        );
    }

    public static MachineDrivesResult Drives(MachineInView view, DrivesQuestion question)
    {
        MachineDrivesResult result = MachineDrives.Evaluate(
            new(view.Machine.Drives, view.Loops, view.RoadWheels, question.InputSpeedRpm)
        );
        return question.Workings ? result : result with { Workings = [] };
    }

    public static RatioBandsResult Bands(MachineInView view, BandsQuestion question)
    {
        _ = view.AnyLoop;
        return RatioBands.Find(
            new DriveTrain(view.Drive, view.Base.Loops),
            view.Scope.LoopKeys,
            view.Base.RoadWheels,
            question.Target,
            [],
            question.Workings
        );
    }

    public static NearestAimResult NearestAims(MachineInView view, NearestAimsQuestion question) =>
        NearestAim.Find(
            new(
                view.Drive,
                view.Base.Loops,
                view.Base.RoadWheels,
                view.AnyLoop.Key,
                question.Target,
                question.Conditions,
                question.Wishes,
                [
                    .. view
                        .Stored.Aims.Where(a => a.Id != view.Scope.AimId && a.DriveKey == view.Drive.Key)
                        .Select(a => new RememberedAim(a.Id, a.Name, a.Target, a.Conditions, a.Wishes, a.Outcomes)),
                ]
            )
        );

    public static AimTarget Starting(MachineInView view, StartingAimQuestion question) =>
        StartingAim.For(new(view.Drive, view.Base.Loops, view.Base.RoadWheels, view.Scope.LoopKeys, question.Kind));

    public static BetterAim Better(MachineInView view, BetterAimQuestion question) =>
        BetterAim.For(
            new DriveTrain(view.Drive, view.OfDrive(view.Base.Loops)).FinalRatio(view.Scope.LoopKeys),
            question.Better
        );

    public static IReadOnlyList<LoopSearch> StartingSearches(MachineInView view, StartingSearchQuestion question) =>
        StartingSearch.For(
            new(
                view.Drive,
                view.Base.Loops,
                view.Base.RoadWheels,
                view.Scope.LoopKeys,
                view.Target,
                question.Gears,
                view.Machine.Work,
                view.Wheels
            )
        );

    public static SearchAnswer Search(MachineInView view, SearchQuestion question)
    {
        new Guard().Between(nameof(question.Rows), question.Rows, 0, PairFits.MostPairs, "pairs").ThrowIfAny();
        RatioSearchResult result = RatioSearch.Run(
            new(
                view.Drive,
                view.Base.Loops,
                view.Base.RoadWheels,
                [.. Begun(view, question).Select(s => WithTrials(view, Changed(s, question.Changes)))],
                question.Drag?.AsAim() ?? view.Target,
                question.Gears,
                question.Ranking,
                view.Wheels
            )
        );
        return new(
            question.Workings ? result : result with { Workings = [] },
            FitsOf(view, result, question.Rows),
            SplitOf(view, result)
        );
    }

    /// <summary>By the middle of the band of the gear that is aimed at; where pairs with enough teeth meet it, one stage can do it.</summary>
    private static StageSplit? SplitOf(MachineInView view, RatioSearchResult found)
    {
        if (view.Scope.LoopKeys.Count != 1 || found.Bands.Count == 0)
            return null;
        RatioBand band = found.Bands.FirstOrDefault(b => b.GearLabel == found.AimGearLabel) ?? found.Bands[^1];
        StageSplit? split = StageSplit.Of(
            view.AnyLoop,
            view.Machine.Kind,
            view.FittedOf(view.AnyLoop),
            band.FinalGeometricMiddle,
            StartingSearch.Widest
        );
        return
            split is { Because: SplitBecause.TooFewTeeth }
            && found.Hits.Any(h => h.Loops.All(l => Math.Min(l.FrontSize, l.RearSize) >= split.FewestSize))
            ? null
            : split;
    }

    private static IReadOnlyList<PairFit> FitsOf(MachineInView view, RatioSearchResult found, int rows) =>
        view.Scope.LoopKeys.Count == 1 && view.LayoutOf(view.AnyLoop) is { Moving: not null } layout
            ? PairFits.Find(
                new(
                    view.Drive,
                    view.FittedOf(view.AnyLoop),
                    layout,
                    [
                        .. (found.Hits.Count > 0 ? found.Hits : found.Nearest)
                            .Take(rows)
                            .SelectMany(c => c.Loops)
                            .Select(p => new WheelPair(p.FrontSize, p.RearSize)),
                    ]
                )
            )
            : [];

    /// <summary>Wide enough for what the shelf offers and the aim can reach; where the aim is refused the search itself says so.</summary>
    private static IReadOnlyList<LoopSearch> Begun(MachineInView view, SearchQuestion question)
    {
        try
        {
            return StartingSearches(view, new(question.Gears));
        }
        catch (InvalidInputException)
        {
            return
            [
                .. view
                    .Scope.LoopKeys.Select(key => MachineInView.LoopOf(view.Drive, key))
                    .OfType<Loop>()
                    .Select(l => SearchAround.Fitted(l, view.FittedOf(l), view.Machine.Work)),
            ];
        }
    }

    private static LoopSearch Changed(LoopSearch begun, IReadOnlyList<LoopSearchChange> changes) =>
        changes.FirstOrDefault(c => c.LoopKey == begun.LoopKey)?.On(begun) ?? begun;

    /// <summary>Pairs of stored trials outside the ranges: they stay on the scale all the same.</summary>
    private static LoopSearch WithTrials(MachineInView view, LoopSearch search)
    {
        IEnumerable<WheelPair> beyond = view
            .Stored.Setups.Where(s => s.Status == SetupStatus.Trial)
            // Wheels of another kind of chain or belt do not stand on its scale.
            .Where(s =>
                s.Id == view.Other?.Id || (view.Other is null && s.Kinds?.Any(k => k.LoopKey == search.LoopKey) != true)
            )
            .SelectMany(s => s.Loops)
            .Where(c => c.LoopKey == search.LoopKey)
            .Select(c => new WheelPair(c.FrontSize, c.RearSize))
            .Where(p =>
                p.FrontSize < search.FrontMin
                || p.FrontSize > search.FrontMax
                || p.RearSize < search.RearMin
                || p.RearSize > search.RearMax
            );
        return search with { Typed = [.. search.Typed.Union(beyond)] };
    }

    public static IReadOnlyList<FollowUpTask> FollowUpsOf(MachineInView view) =>
        view.IsFitted
            ? []
            : FollowUps.After(
                new(
                    DrivesAsBuilt.From(view.Stored.Machine, view.Fitted),
                    new(view.Machine.Drives, view.Loops, view.RoadWheels, view.Machine.Layouts)
                )
            );
}
