using Wendrak.Core.Gearing;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Wear;

/// <summary>Whose limit of elongation it is.</summary>
public enum ChainLimitBy
{
    /// <summary>Common practice for such a use.</summary>
    Trade,

    /// <summary>The maker of the chain or of the machine, as somebody typed it.</summary>
    Maker,

    /// <summary>The largest wheel: a longer pitch would ride up its teeth and jump, whoever allows more.</summary>
    LargestWheel,
}

/// <summary>Elongation at which a chain is replaced, and who says so.</summary>
/// <param name="Percent">Longer than new, %.</param>
/// <param name="By">Whose it is.</param>
public sealed record ChainLimit(double Percent, ChainLimitBy By);

/// <summary>Which use of the wear table a machine's chain falls under.</summary>
public static class ChainUse
{
    /// <summary>The maker's figure wins over the trade's, and the largest wheel over both. Source: Machinery's Handbook, ACA; common practice.</summary>
    /// <param name="makersPercent">What the maker lets it grow by, %; null where nobody typed it.</param>
    /// <returns>Null for belts.</returns>
    public static ChainLimit? WearLimit(MachineKind kind, Loop loop, LoopChoice choice, double? makersPercent)
    {
        if (loop.DriveElement != DriveElement.Chain)
            return null;
        double said = makersPercent ?? WearLimits.ChainElongationPercent(MachineKinds.Get(kind).ChainWear);
        double rides = WearLimits.RidesUpPercent(
            WheelSize.LinksRound(loop, Math.Max(choice.FrontSize, choice.RearSize))
        );
        return rides < said
            ? new(rides, ChainLimitBy.LargestWheel)
            : new(said, makersPercent is null ? ChainLimitBy.Trade : ChainLimitBy.Maker);
    }
}
