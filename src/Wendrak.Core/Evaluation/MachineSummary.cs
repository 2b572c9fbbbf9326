using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Records;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wear;

namespace Wendrak.Core.Evaluation;

/// <summary>One loop of a machine at a glance.</summary>
/// <param name="FrontOverRear">The ratio the bicycle way round.</param>
/// <param name="LoopsBefore">Keys of the loops between the input and this one: it can be chosen together with these.</param>
/// <param name="Search">The wheels worth trying around what is fitted, to start a search from.</param>
/// <param name="WearLimitPercent">Elongation at which the chain is replaced; null for belts.</param>
/// <param name="IsPullKnown">Whether somebody said how hard it is pulled: without that its loads can't be asked for.</param>
/// <param name="Setting">How it is set: as it was asked, else by what moves it.</param>
/// <param name="LoopKey">Key of the loop it is about.</param>
/// <param name="Name">What people call it.</param>
/// <param name="Standard">Chain size, belt profile or section.</param>
/// <param name="FrontSize">Driving wheel: teeth, or datum diameter in mm of a friction belt.</param>
/// <param name="RearSize">Driven wheel, in the same measure.</param>
/// <param name="Ratio">Driven over driving wheel.</param>
/// <param name="Links">Links of the chain or teeth of the belt; null where not counted.</param>
/// <param name="DriveKey">Key of the drive it is about.</param>
public sealed record LoopSummary(
    string LoopKey,
    string Name,
    DriveElement DriveElement,
    string Standard,
    double FrontSize,
    double RearSize,
    double Ratio,
    double FrontOverRear,
    int? Links,
    string DriveKey,
    IReadOnlyList<string> LoopsBefore,
    LoopSearch Search,
    double? WearLimitPercent,
    bool IsPullKnown,
    LoopSetting Setting
);

/// <summary>One drive of a machine at a glance.</summary>
/// <param name="GearLabels">“1” to “6”, first gear first; one empty label for a drive without gears.</param>
/// <param name="AimKinds">Aims that make sense for what turns it, in the order they are thought of.</param>
/// <param name="MatchTolerancePercent">Half the band that an aim to match another setup begins with.</param>
/// <param name="DriveKey">Key of the drive it is about.</param>
public sealed record DriveSummary(
    string DriveKey,
    IReadOnlyList<string> GearLabels,
    IReadOnlyList<StartingAimKind> AimKinds,
    double MatchTolerancePercent
);

/// <summary>A machine's drives at a glance.</summary>
/// <param name="GearCount">Gears of the first drive; 1 without.</param>
/// <param name="TallestOverall">Overall ratio of the first drive in its last gear.</param>
/// <param name="Drives">All its drives.</param>
/// <param name="Findings">What does not go together.</param>
/// <param name="OpenReadings">Loops that were left outside their window.</param>
/// <param name="HasHistory">Whether something was fitted or set since it was typed: before that, changes of it are corrections.</param>
/// <param name="Stops">Seen on it and not mended: it does not go out with these.</param>
public sealed record MachineSummary(
    IReadOnlyList<LoopSummary> Loops,
    int GearCount,
    double TallestOverall,
    IReadOnlyList<DriveSummary> Drives,
    IReadOnlyList<DriveFinding> Findings,
    IReadOnlyList<OpenReading> OpenReadings,
    bool HasHistory,
    IReadOnlyList<PartSeen> Stops
)
{
    /// <param name="visits">To its loops, in any order.</param>
    /// <param name="stops">Seen on it and not mended; null for nothing.</param>
    public static MachineSummary From(
        Machine machine,
        Setup fitted,
        IReadOnlyList<SetJob> visits,
        IReadOnlyList<PartSeen>? stops = null
    )
    {
        MachineDrivesResult state = MachineDrives.Evaluate(
            new(machine.Drives, fitted.Loops, fitted.RoadWheels, machine.Drives[0].Input.LimitSpeedRpm)
        );
        IReadOnlyList<GearState> gears = state.Drives[0].Gears;
        return new(
            [.. machine.Drives.SelectMany(d => LoopsOf(new(d, fitted.Loops), machine))],
            gears.Count,
            gears[^1].Outputs[0].Reduction,
            [
                .. machine.Drives.Zip(
                    state.Drives,
                    (drive, d) =>
                        new DriveSummary(
                            d.DriveKey,
                            [.. d.Gears.Select(g => g.Label)],
                            StartingAim.KindsFor(drive.Input.Kind),
                            StartingAim.MatchTolerancePercent
                        )
                ),
            ],
            state.Findings,
            OpenReading.AllOf(machine, fitted, visits),
            fitted.FittedOn is not null || visits.Count > 0 || fitted.FollowUps is { Count: > 0 },
            stops ?? []
        );
    }

    private static IEnumerable<LoopSummary> LoopsOf(DriveTrain train, Machine machine)
    {
        foreach (Loop loop in train.Drive.Stages.OfType<Loop>())
        {
            LoopChoice choice = train.ChoiceOf(loop.Key);
            double ratio = Math.Abs(StageRatio.Compute(loop, choice));
            yield return new(
                loop.Key,
                loop.Name,
                loop.DriveElement,
                loop.Standard,
                choice.FrontSize,
                choice.RearSize,
                ratio,
                1 / ratio,
                choice.Links,
                train.Drive.Key,
                [
                    .. train
                        .PathTo(loop.DrivingShaft)
                        .Select(s => train.Drive.Stages[s])
                        .OfType<Loop>()
                        .Select(l => l.Key),
                ],
                SearchAround.Fitted(loop, choice, machine.Work),
                ChainOfMachine.LimitOf(machine, loop, choice)?.Percent,
                LoadSource.TellsPull(
                    machine.Loads?.Sources.FirstOrDefault(s => s.DriveKey == train.Drive.Key),
                    train.Drive
                ),
                StartingSetting.StoredOr(
                    machine.Settings,
                    loop.Key,
                    machine.Layouts?.FirstOrDefault(l => l.LoopKey == loop.Key),
                    machine.Kind
                )
            );
        }
    }
}
