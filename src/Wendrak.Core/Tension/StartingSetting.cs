using Wendrak.Core.Loops;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tension;

/// <summary>How a loop is set as long as nobody was asked: by what Fit says moves, and by what is usual for the kind of machine.</summary>
public static class StartingSetting
{
    /// <summary>What somebody said of the loop, else what it begins with.</summary>
    public static LoopSetting StoredOr(
        IReadOnlyList<LoopSetting>? stored,
        string loopKey,
        LoopLayout? layout,
        MachineKind kind
    ) => stored?.FirstOrDefault(s => s.LoopKey == loopKey) ?? For(loopKey, layout, kind);

    /// <param name="layout">Null where nothing was laid out.</param>
    public static LoopSetting For(string loopKey, LoopLayout? layout, MachineKind kind)
    {
        AdjusterKind usual = MachineKinds.Get(kind).Adjuster;
        return new(loopKey, new(layout is null ? usual : KindOf(layout, usual)));
    }

    /// <summary>A driven shaft that moves is an axle with two ends on a vehicle, a bearing on one screw elsewhere.</summary>
    private static AdjusterKind KindOf(LoopLayout layout, AdjusterKind usual) =>
        layout.Moving switch
        {
            null => AdjusterKind.FixedCentres,
            { Wheel: LoopLayout.RearName, Track: ArcTrack } => AdjusterKind.Eccentric,
            { Wheel: LoopLayout.RearName } => usual == AdjusterKind.OneScrew
                ? AdjusterKind.OneScrew
                : AdjusterKind.TwoEnds,
            { Wheel: LoopLayout.FrontName } => AdjusterKind.SlidingMotor,
            _ => AdjusterKind.OneScrew,
        };
}
