using Wendrak.Core.Gearing;
using Wendrak.Core.Tables;

namespace Wendrak.Core.Loads;

/// <summary>Weight of a chain or belt, so that kinds can be compared.</summary>
internal static class LoopMass
{
    /// <summary>All strands or belts together, kg/m; null where neither tables nor person tell.</summary>
    public static double? KgPerM(LoadedLoop loop)
    {
        double? one =
            loop.Strength.MassKgPerM
            ?? loop.Loop.Medium switch
            {
                LoopMedium.Chain => Chains.Find(loop.Standard)?.MassKgPerM,
                LoopMedium.ToothedBelt => SynchronousProfiles.Find(loop.Standard)?.MassKgPerMPerMmWidth
                    * loop.Strength.WidthMm,
                LoopMedium.VBelt => VSections.Find(loop.Standard)?.MassKgPerM,
                _ => null,
            };
        return one * loop.Strength.Strands;
    }
}
