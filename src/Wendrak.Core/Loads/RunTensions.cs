using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Loads;

/// <summary>Tension of both runs at an operating point.</summary>
/// <param name="CentrifugalN">Part of either that going round takes.</param>
/// <param name="InstalledN">Of one run at rest; null for chains, which are set by play.</param>
/// <param name="IsAdvised">True when nobody gave it: then it is what the advised margin asks for.</param>
internal sealed record RunTensions(
    double TightN,
    double SlackN,
    double CentrifugalN,
    double? InstalledN,
    bool IsAdvised
)
{
    public static RunTensions Compute(LoadedLoop loop, OperatingPoint point)
    {
        double pull = loop.PullN(point);
        double speed = loop.SpeedMS(point);
        double centrifugal = (LoopMass.KgPerM(loop) ?? 0) * speed * speed;
        if (loop.Loop.DriveElement == DriveElement.Chain)
        {
            double standing = ChainChecks.StandingN(loop, point);
            return new(pull + standing, standing, centrifugal, null, false);
        }
        double installed = loop.Strength.InstalledTensionN ?? Advised(loop);
        double slack = Math.Max(0, installed - pull / 2);
        return new(
            slack + pull + centrifugal,
            slack + centrifugal,
            centrifugal,
            installed,
            loop.Strength.InstalledTensionN is null
        );
    }

    /// <summary>Tension of one run at rest that the hardest pull asks for, with the advised margin over it.</summary>
    private static double Advised(LoadedLoop loop)
    {
        double pull = loop.PullN(loop.Points.MaxBy(p => p.TorqueNm)!);
        double wrap = loop.GrippingWrapDeg;
        if (loop.Loop.DriveElement != DriveElement.ToothedBelt)
            return LoadLimits.Get("slip", "friction belt").Limit!.Value
                * BeltFriction.Margin(FrictionBeltChecks.EffectiveFriction(loop), wrap, 1, pull).NeededTensionN;
        double flank = SynchronousProfiles.Find(loop.Standard)?.FlankHalfAngleDeg ?? 0;
        return LoadLimits.Get("tooth jump", "toothed belt").Limit!.Value
            * SynchronousLoads.Jump(1, pull, flank, ToothedBeltChecks.Friction(loop), wrap).NeededTensionN;
    }
}
