using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Choices;

/// <summary>Which kind of drive a loop is.</summary>
public static class KindOfLoop
{
    /// <summary>Key of its kind; null for a flat belt, which is not weighed.</summary>
    public static string? Of(Loop loop, LoopStrength? strength, MachineKind machine) =>
        loop.DriveElement switch
        {
            DriveElement.Chain => OfChain(loop, strength, machine),
            DriveElement.ToothedBelt => "toothedBelt",
            DriveElement.VBelt => "vBelt",
            DriveElement.RoundBelt => "roundBelt",
            _ => null,
        };

    private static string OfChain(Loop loop, LoopStrength? strength, MachineKind machine)
    {
        if (strength?.Strands > 1)
            return "twoStrandChain";
        ChainSize? size = Chains.Find(strength?.Standard ?? loop.Standard);
        if (size?.IsDoublePitch == true)
            return "doublePitchChain";
        if (size?.Family == "A heavy")
            return "heavyChain";
        LubricationSchool school = strength?.School ?? MachineKinds.Get(machine).Lubrication;
        return school == LubricationSchool.SealedRing ? "sealedChain" : "plainChain";
    }
}
