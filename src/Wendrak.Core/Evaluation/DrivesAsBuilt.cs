using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;

namespace Wendrak.Core.Evaluation;

/// <summary>A machine's drives with everything on them.</summary>
public sealed record DrivesAsBuilt(
    IReadOnlyList<Drive> Drives,
    IReadOnlyList<LoopChoice> Loops,
    IReadOnlyList<RoadWheelChoice> RoadWheels,
    IReadOnlyList<LoopLayout>? Layouts
)
{
    public static DrivesAsBuilt From(Machine machine, Setup setup) =>
        new(machine.Drives, setup.Loops, setup.RoadWheels, machine.Layouts);

    internal Guard Check() => MachineDrives.Check(Drives, Loops).Include(Gearing.RoadWheels.Check(RoadWheels, Drives));

    internal LoopChoice? ChoiceOf(string loopKey) => Loops.FirstOrDefault(c => c.LoopKey == loopKey);

    internal LoopLayout? LayoutOf(string loopKey) => Layouts?.FirstOrDefault(l => l.LoopKey == loopKey);
}
