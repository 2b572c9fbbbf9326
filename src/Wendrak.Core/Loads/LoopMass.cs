using Wendrak.Core.Gearing;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Loads;

/// <summary>Weight of a chain or belt, so that kinds can be compared.</summary>
internal static class LoopMass
{
    /// <summary>All strands or belts together, kg/m; null where neither tables nor person tell.</summary>
    public static double? KgPerM(LoadedLoop loop) => KgPerM(loop.Loop, loop.Strength);

    /// <inheritdoc cref="KgPerM(LoadedLoop)"/>
    public static double? KgPerM(Loop loop, LoopStrength strength)
    {
        string standard = strength.Standard ?? loop.Standard;
        double? one =
            strength.MassKgPerM
            ?? loop.DriveElement switch
            {
                DriveElement.Chain => Chains.Find(standard)?.MassKgPerM,
                DriveElement.ToothedBelt => SynchronousProfiles.Find(standard)?.MassKgPerMPerMmWidth * strength.WidthMm,
                DriveElement.VBelt => VSections.Find(standard)?.MassKgPerM,
                _ => null,
            };
        return one * strength.Strands;
    }
}
