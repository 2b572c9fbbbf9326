using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Evaluation;

/// <summary>What a loop of a machine is, as far as it goes wrong in its own ways.</summary>
/// <param name="Loop">Of the machine.</param>
/// <param name="Kind">What it is.</param>
/// <param name="At">What is at it or beside it.</param>
public sealed record FaultOfLoop(Loop Loop, FaultKind Kind, IReadOnlyList<FaultSetting> At)
{
    /// <exception cref="InvalidInputException">The machine has no such loop.</exception>
    public static FaultOfLoop Find(Machine machine, string loopKey)
    {
        Drive? drive = machine.Drives.FirstOrDefault(d => MachineInView.LoopOf(d, loopKey) is not null);
        if (drive is null)
            throw new InvalidInputException("LoopKey", "unknown", "Name a loop of this machine.");
        Loop loop = MachineInView.LoopOf(drive, loopKey)!;
        return new(loop, KindOf(machine, loop), [.. SettingsOf(machine, drive, loop)]);
    }

    public static FaultKind KindOf(Machine machine, Loop loop) =>
        (loop.DriveElement, DueList.KindOf(machine, loop)) switch
        {
            (DriveElement.Chain, InspectionKind.Rail) => FaultKind.Rail,
            (DriveElement.Chain, _) => FaultKind.Chain,
            (DriveElement.ToothedBelt, _) => FaultKind.Belt,
            (DriveElement.RoundBelt, _) => FaultKind.RoundBelt,
            (_, InspectionKind.VariableBelt) => FaultKind.VariableBelt,
            _ => FaultKind.VBelt,
        };

    private static IEnumerable<FaultSetting> SettingsOf(Machine machine, Drive drive, Loop loop)
    {
        if (drive.Input.Kind != InputKind.Rider)
            yield return FaultSetting.Motor;
        if (drive.Stages.Any(s => s is HubGear))
            yield return FaultSetting.Hub;
        if (drive.Stages.SkipWhile(s => s != loop).Any(s => s is Gearbox))
            yield return FaultSetting.Primary;
        if (machine.Kind == MachineKind.Robot)
            yield return FaultSetting.Robot;
    }
}
