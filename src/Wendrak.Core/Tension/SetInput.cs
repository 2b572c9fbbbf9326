using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Loops;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tension;

/// <summary>A loop that is being set.</summary>
/// <param name="Layout">Where its wheels stand; null where nobody laid it out: then the span must be measured.</param>
/// <param name="Source">What pulls, for windows by load; null where nobody said.</param>
/// <param name="Strength">The chain or belt, as far as it is known.</param>
/// <param name="Rounds">In order; the first is as found.</param>
/// <param name="Gauge">Pairs that turn a gauge's own scale into tightness.</param>
public sealed record SetInput(
    Drive Drive,
    MachineKind Kind,
    IReadOnlyList<LoopChoice> Loops,
    IReadOnlyList<RoadWheelChoice> RoadWheels,
    LoopLayout? Layout,
    LoadSource? Source,
    LoopStrength? Strength,
    LoopSetting Setting,
    IReadOnlyList<SetRound> Rounds,
    SetGoal Goal = SetGoal.Both,
    IReadOnlyList<CalibrationPair>? Gauge = null
)
{
    internal Loop Loop => DriveLoops.Find(Drive, Setting.LoopKey, "Setting.LoopKey");

    /// <summary>The same with what the layout says of the adjuster.</summary>
    internal SetInput OnLayout() => this with { Setting = Setting.On(Layout) };

    internal LoopStrength StrengthOrNothing => Strength ?? new(Setting.LoopKey);
}
