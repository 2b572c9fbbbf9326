using Wendrak.Core.Gearing;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Wear;

/// <summary>Which use of the wear table a machine's chain falls under.</summary>
public static class ChainUse
{
    /// <summary>Elongation at which this chain is replaced, percent; null for belts. A maker's figure wins over it.</summary>
    public static double? WearLimitPercent(MachineKind kind, Loop loop, LoopChoice choice)
    {
        if (loop.DriveElement != DriveElement.Chain)
            return null;
        return WearLimits.ChainElongationPercent(
            MachineKinds.Get(kind).ChainWear,
            WheelSize.LinksRound(loop, Math.Max(choice.FrontSize, choice.RearSize))
        );
    }
}
