using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Records;
using Wendrak.Core.Tables;
using Wendrak.Core.Wear;

namespace Wendrak.Core.Evaluation;

/// <summary>What is known of one chain of a machine, wherever somebody typed it.</summary>
internal static class ChainOfMachine
{
    /// <summary>Part of its breaking load that a chain is pulled with while it is measured. Source: ISO 606, from memory; common practice.</summary>
    private const double MeasuringPart = 0.01;

    /// <returns>Null for belts.</returns>
    public static ChainLimit? LimitOf(Machine machine, Loop loop, LoopChoice choice) =>
        ChainUse.WearLimit(machine.Kind, loop, choice, StrengthOf(machine, loop)?.ElongationLimitPercent);

    /// <summary>What it is to be pulled with while it is measured, N; null where the table has no such chain.</summary>
    public static double? MeasuringLoadN(Machine machine, Loop loop)
    {
        LoopStrength? strength = StrengthOf(machine, loop);
        return (strength?.BreakingLoadN ?? Chains.Find(loop.Standard)?.MinTensileN)
            * (strength?.Strands ?? 1)
            * MeasuringPart;
    }

    private static LoopStrength? StrengthOf(Machine machine, Loop loop) =>
        machine.Loads?.Strengths.FirstOrDefault(s => s.LoopKey == loop.Key);
}
