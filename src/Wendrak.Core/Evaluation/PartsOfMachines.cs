using Wendrak.Core.Gearing;
using Wendrak.Core.Records;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Evaluation;

/// <summary>What can come off another machine of the yard where Stock has none.</summary>
internal static class PartsOfMachines
{
    /// <remarks>Teeth and standard are known of a wheel; whether it goes on the other shaft is seen with it in the hand.</remarks>
    public static IEnumerable<TrayStandIn> Wheels(
        Loop loop,
        WheelSide side,
        double size,
        Machine machine,
        Workshop workshop
    ) =>
        from other in Others(loop, machine, workshop)
        where (side == WheelSide.Front ? other.Choice.FrontSize : other.Choice.RearSize) == size
        select new TrayStandIn(
            $"the {(side == WheelSide.Front ? "front" : "rear")} wheel of {other.Machine}",
            $"taken off, where bore and fastening are the same; {other.Machine} then stands without one",
            null
        );

    /// <summary>Chains and belts of the same standard and length.</summary>
    public static IEnumerable<TrayStandIn> Loops(Loop loop, LoopChoice wanted, Machine machine, Workshop workshop) =>
        from other in Others(loop, machine, workshop)
        where (other.Choice.Links, other.Choice.LengthMm) == (wanted.Links, wanted.LengthMm)
        let element = loop.DriveElement == DriveElement.Chain ? "chain" : "belt"
        select new TrayStandIn(
            $"the {element} of {other.Machine}",
            $"taken off, as worn as it is; {other.Machine} then stands without one",
            null
        );

    private static IEnumerable<LoopOnMachine> Others(Loop loop, Machine machine, Workshop workshop) =>
        workshop.OnMachines.Where(on => on.MachineId != machine.Id && on.Loop.Standard == loop.Standard);
}
