using Wendrak.Core.Tension;

namespace Wendrak.Core.Records;

/// <summary>How a loop was left while a setup was on the machine: what is to be reached when it is fitted again.</summary>
/// <param name="LoopKey">Of the loop.</param>
/// <param name="On">Day on which it was closed so.</param>
/// <param name="Method">How it was read; null where only the gap was.</param>
/// <param name="Low">Lowest reading all round, in the unit of the method; null where only the gap was read.</param>
/// <param name="High">Highest of the same.</param>
/// <param name="ForceN">Of a push, N; null for other methods.</param>
/// <param name="GapMm">Between belt and flange, mm; null where it was not read.</param>
public sealed record ReadingToReach(
    string LoopKey,
    DateOnly On,
    ReadingMethod? Method,
    double? Low,
    double? High,
    double? ForceN,
    double? GapMm
);

/// <summary>What was put back with a setup that worked before.</summary>
/// <param name="IsPlaceKnown">Whether places, shims and settings are those of then; else they are as they were before.</param>
/// <param name="AimName">The aim it did best by; null where none was judged with it.</param>
/// <param name="ToReach">Of each loop that was read then.</param>
public sealed record FittedAgain(bool IsPlaceKnown, string? AimName, IReadOnlyList<ReadingToReach> ToReach);

/// <summary>A setup went onto the machine.</summary>
/// <param name="SetupId">Which one; 0 where it is gone.</param>
/// <param name="Name">As it was called then.</param>
/// <param name="Again">What was put back with it; null for one that is new on the machine.</param>
/// <param name="ChangedLoops">Keys of the loops that have other wheels, or another chain or belt, since; null for none.</param>
public sealed record SetupFitted(
    long SetupId,
    string Name,
    FittedAgain? Again,
    IReadOnlyList<string>? ChangedLoops = null
) : JobEvent
{
    /// <summary>Of two setups of one machine.</summary>
    public static IReadOnlyList<string>? FindChanged(Setup before, Setup after)
    {
        HashSet<string> kinds = [.. (after.Kinds ?? []).Select(k => k.LoopKey)];
        string[] changed =
        [
            .. after
                .Loops.Where(l =>
                    kinds.Contains(l.LoopKey) || before.Loops.FirstOrDefault(b => b.LoopKey == l.LoopKey) != l
                )
                .Select(l => l.LoopKey),
        ];
        return changed.Length == 0 ? null : changed;
    }
}
