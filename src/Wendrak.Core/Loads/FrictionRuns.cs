using Wendrak.Core.Quantities;

namespace Wendrak.Core.Loads;

/// <summary>T1/T2: both runs at the hardest pull, and the ratio at which friction lets go.</summary>
/// <param name="InstalledN">Of one run at rest.</param>
/// <param name="TightN">T1 = T + F/2, without what going round adds to both.</param>
/// <param name="SlackN">T2 = T − F/2; 0 where it would run slack.</param>
/// <param name="Ratio">Null where the slack run has nothing left: it slips.</param>
/// <param name="RatioAtSlip">e^(f'·θ) of the wheel that slips first.</param>
public sealed record FrictionRuns(double InstalledN, double TightN, double SlackN, double? Ratio, double RatioAtSlip)
{
    /// <summary>Both runs of a loop that is set to a tension.</summary>
    /// <remarks>Their sum stays what it is at rest, as for belts whose centres are fixed. Source: Shigley ch. 17.</remarks>
    /// <returns>Null for chains and toothed belts, and where no pull is known.</returns>
    internal static FrictionRuns? Of(LoadedLoop loop, double installedN)
    {
        if (loop.Loop.IsToothed || loop.PointOf(OperatingPointKind.HardestPull) is not { } hardest)
            return null;
        double half = loop.PullN(hardest) / 2;
        double slack = Math.Max(0, installedN - half);
        return new(
            installedN,
            slack + 2 * half,
            slack,
            slack > 0 ? (slack + 2 * half) / slack : null,
            BeltFriction.RatioAtSlip(FrictionBeltChecks.EffectiveFriction(loop), loop.GrippingWrapDeg)
        );
    }

    internal Working? Explain() =>
        Ratio is not double ratio
            ? null
            : new(
                "T1/T2 at the hardest pull",
                "T1/T2 = (T + F/2)/(T − F/2)",
                [
                    new("T", "one run at rest", InstalledN, "N"),
                    new("F", "hardest pull", TightN - SlackN, "N"),
                    new("e^(f'·θ)", "where it slips", RatioAtSlip, ""),
                ],
                new("T1/T2", "without what going round adds", ratio, ""),
                "Euler-Eytelwein, Shigley ch. 17",
                "It slips once the ratio reaches e^(f'·θ)."
            );
}
