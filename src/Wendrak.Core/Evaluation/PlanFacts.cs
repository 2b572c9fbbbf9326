using Wendrak.Core.Gearing;
using Wendrak.Core.Procedures;
using Wendrak.Core.Records;
using Wendrak.Core.Tables;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Evaluation;

/// <summary>What is true of a machine, one of its loops and a change: conditions of steps ask nothing else.</summary>
internal static class PlanFacts
{
    public static IReadOnlySet<Fact> Of(Machine machine, Drive drive, Loop loop, ChangeKind change) =>
        OfLoop(machine, drive, loop)
            .Concat(
                ChangeFacts.Of(
                    change,
                    // A rear wheel in halves comes off with the road wheel in place.
                    IsAtRoadWheel(drive, loop) && !loop.RearIsSplit,
                    loop.DriveElement != DriveElement.Chain
                )
            )
            .ToHashSet();

    /// <summary>What a loop is set by: as stored, or usual for the machine.</summary>
    public static AdjusterKind AdjusterOf(Machine machine, Loop loop) =>
        StartingSetting
            .StoredOr(
                machine.Settings,
                loop.Key,
                machine.Layouts?.FirstOrDefault(l => l.LoopKey == loop.Key),
                machine.Kind
            )
            .Adjuster.Kind;

    private static IEnumerable<Fact> OfLoop(Machine machine, Drive drive, Loop loop)
    {
        MachineKindRow kind = MachineKinds.Get(machine.Kind);
        if (drive.Input.Kind == InputKind.Engine)
            yield return Fact.Engine;
        if (drive.Input.Kind == InputKind.Motor)
            yield return Fact.Motor;
        if (kind.HasRoadBrake)
            yield return Fact.OnWheels;
        if (kind.HasRoadBrake && drive.Input.Kind != InputKind.Rider)
            yield return Fact.Speedometer;
        foreach (Fact adjuster in OfAdjuster(AdjusterOf(machine, loop)))
            yield return adjuster;
    }

    private static Fact[] OfAdjuster(AdjusterKind adjuster) =>
        adjuster switch
        {
            AdjusterKind.TwoEnds => [Fact.TwoAdjusters],
            AdjusterKind.Cam => [Fact.Cams],
            AdjusterKind.SlidingMotor or AdjusterKind.SpringSlide => [Fact.MotorMoves],
            AdjusterKind.FixedCentres => [Fact.FixedCentres],
            _ => [],
        };

    private static bool IsAtRoadWheel(Drive drive, Loop loop)
    {
        HashSet<string> turned = DriveShafts.TurnedWith(drive, loop.DrivenShaft);
        return drive.Outputs.Any(o => o.RoadWheel is not null && turned.Contains(o.Shaft));
    }
}
