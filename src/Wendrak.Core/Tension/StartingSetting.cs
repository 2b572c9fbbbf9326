using Wendrak.Core.Fit;
using Wendrak.Core.Loops;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tension;

/// <summary>How a loop is set as long as nobody was asked: by what Fit says moves it.</summary>
public static class StartingSetting
{
    /// <param name="layout">Null where nothing was laid out: then by what is usual for the kind of machine.</param>
    public static LoopSetting Of(string loopKey, LoopLayout? layout, MachineKind kind)
    {
        LoopSetting usual = new(loopKey, UsualKind(kind));
        if (layout?.Mover is not { } mover)
            return usual;
        return usual with
        {
            Kind = KindOf(mover, usual.Kind),
            MmPerUnit = mover.Step?.TravelMm ?? usual.MmPerUnit,
            EccentricMm = mover is { Kind: MoverKind.Eccentric, Track: ArcTrack arc } ? arc.RadiusMm : null,
        };
    }

    /// <summary>Boards and winches slide their motor; a robot has one screw or none. Common practice.</summary>
    private static AdjusterKind UsualKind(MachineKind kind) =>
        kind switch
        {
            _ when StartingLayout.SlidesItsMotor(kind) => AdjusterKind.SlidingMotor,
            MachineKind.Robot or MachineKind.Other => AdjusterKind.OneScrew,
            _ => AdjusterKind.TwoEnds,
        };

    /// <summary>A driven shaft that moves is an axle with two ends on a vehicle, a bearing on one screw elsewhere.</summary>
    private static AdjusterKind KindOf(Mover mover, AdjusterKind usual) =>
        (mover.Kind, mover.Step?.Kind) switch
        {
            (MoverKind.Eccentric, _) => AdjusterKind.Eccentric,
            (_, AdjusterStepKind.Shim) => AdjusterKind.Shims,
            (MoverKind.Axle or MoverKind.BothArms, AdjusterStepKind.Click) => AdjusterKind.Cam,
            (MoverKind.Axle or MoverKind.BothArms, _) => usual == AdjusterKind.OneScrew
                ? AdjusterKind.OneScrew
                : AdjusterKind.TwoEnds,
            (MoverKind.Motor, _) => AdjusterKind.SlidingMotor,
            _ => AdjusterKind.OneScrew,
        };
}
