using System.Runtime.CompilerServices;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Gearing;

/// <summary>
/// What is so of a drive whatever its wheels: that it can be computed, its gears, the way to each shaft. Worked out once for
/// each drive, since a drive is never changed, only replaced.
/// </summary>
internal sealed class DriveFacts
{
    private static readonly ConditionalWeakTable<Drive, DriveFacts> Known = [];

    private readonly Dictionary<string, int[]> _paths = [];

    /// <exception cref="InvalidInputException">The drive is refused; every issue is named.</exception>
    private DriveFacts(Drive drive)
    {
        new Guard($"{nameof(Drive)}.").Include(DriveRules.Find(drive)).ThrowIfAny();
        Loops = [.. drive.Stages.OfType<Loop>()];
        LoopKeys = Loops.Select(l => l.Key).ToHashSet();
        Gears = DriveGears.List(drive);
        _paths[drive.Input.Shaft] = [];
        // In order: a stage starts on a shaft that is driven already.
        for (int i = 0; i < drive.Stages.Count; i++)
            _paths[drive.Stages[i].DrivenShaft] = [.. _paths[drive.Stages[i].DrivingShaft], i];
    }

    public IReadOnlyList<Loop> Loops { get; }
    public IReadOnlySet<string> LoopKeys { get; }
    public IReadOnlyList<DriveGear> Gears { get; }

    /// <summary>Stages between the input and a shaft, in running order; empty for the input shaft, and for one that is not there.</summary>
    public IReadOnlyList<int> PathTo(string shaft) => _paths.GetValueOrDefault(shaft) ?? [];

    /// <exception cref="InvalidInputException">The drive is refused; every issue is named.</exception>
    public static DriveFacts For(Drive drive) => Known.GetValue(drive, d => new(d));

    /// <summary>Whether the drive was found to be in order before.</summary>
    public static bool AreKnown(Drive drive) => Known.TryGetValue(drive, out _);
}
