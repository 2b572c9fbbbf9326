using Wendrak.Core.Gearing;

namespace Wendrak.Core.Machines;

/// <summary>One loop of a machine at a glance.</summary>
public sealed record LoopSummary(
    string LoopKey,
    string Name,
    LoopMedium Medium,
    string Standard,
    double FrontSize,
    double RearSize,
    double Ratio,
    int? Links
);

/// <summary>A machine's drives at a glance.</summary>
/// <param name="GearCount">Gears of the first drive; 1 without.</param>
/// <param name="TallestOverall">Overall ratio of the first drive in its last gear.</param>
/// <param name="Findings">What does not go together.</param>
public sealed record MachineSummary(
    IReadOnlyList<LoopSummary> Loops,
    int GearCount,
    double TallestOverall,
    IReadOnlyList<DriveFinding> Findings
)
{
    public static MachineSummary Of(Machine machine, Setup fitted)
    {
        MachineDrivesResult state = MachineDrives.Evaluate(
            new(machine.Drives, fitted.Loops, fitted.RoadWheels, machine.Drives[0].Input.LimitSpeedRpm)
        );
        IReadOnlyList<GearState> gears = state.Drives[0].Gears;
        return new(
            [.. MachineRules.LoopsOf(machine).Select(l => SummaryOf(l, fitted.Loops.First(c => c.LoopKey == l.Key)))],
            gears.Count,
            gears[^1].Outputs[0].Reduction,
            state.Findings
        );
    }

    private static LoopSummary SummaryOf(Loop loop, LoopChoice choice) =>
        new(
            loop.Key,
            loop.Name,
            loop.Medium,
            loop.Standard,
            choice.FrontSize,
            choice.RearSize,
            Math.Abs(StageRatio.OfLoop(loop, choice.FrontSize, choice.RearSize)),
            choice.Links
        );
}
