using Wendrak.Core.Geometry;

namespace Wendrak.Core.Tension;

/// <summary>How a loop is set as long as nobody was asked: by what Fit says moves it.</summary>
public static class StartingSetting
{
    /// <param name="layout">Null where nothing was laid out: then a screw at either end, the usual one.</param>
    public static LoopSetting Of(string loopKey, LoopLayout? layout)
    {
        LoopSetting usual = new(loopKey);
        if (layout?.Mover is not { } mover)
            return usual;
        return usual with
        {
            Kind = KindOf(mover),
            MmPerUnit = mover.Step?.TravelMm ?? usual.MmPerUnit,
            EccentricMm = mover is { Kind: MoverKind.Eccentric, Track: ArcTrack arc } ? arc.RadiusMm : null,
        };
    }

    private static AdjusterKind KindOf(Mover mover) =>
        (mover.Kind, mover.Step?.Kind) switch
        {
            (MoverKind.Eccentric, _) => AdjusterKind.Eccentric,
            (_, AdjusterStepKind.Shim) => AdjusterKind.Shims,
            (MoverKind.Axle or MoverKind.BothArms, AdjusterStepKind.Click) => AdjusterKind.Cam,
            (MoverKind.Axle or MoverKind.BothArms, _) => AdjusterKind.TwoEnds,
            (MoverKind.Motor, _) => AdjusterKind.SlidingMotor,
            _ => AdjusterKind.OneScrew,
        };
}
