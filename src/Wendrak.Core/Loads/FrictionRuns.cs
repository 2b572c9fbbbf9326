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
    internal static FrictionRuns? Compute(LoadedLoop loop, double installedN)
    {
        if (loop.Loop.IsToothed || loop.PointOf(OperatingPointKind.HardestPull) is not { } hardest)
            return null;
        double half = loop.PullN(hardest) / 2;
        double slack = Math.Max(0, installedN - half);
        Explained? ratio =
            slack > 0
                ? RatioOfRuns.With(new(installedN, IsUsual: loop.Strength.InstalledTensionN is null), 2 * half)
                : null;
        return new(
            installedN,
            slack + 2 * half,
            slack,
            ratio?.Value,
            BeltFriction.RatioAtSlip(FrictionBeltChecks.EffectiveFriction(loop), loop.GrippingWrapDeg)
        )
        {
            RatioBy = ratio,
        };
    }

    private static readonly Formula<Func<double, double, double>> RatioOfRuns = new(
        "T1/T2 at the hardest pull",
        "T1/T2",
        ("without what going round adds", ""),
        (T, F) => (T + F / 2) / (T - F / 2),
        [("one run at rest", "N"), ("hardest pull", "N")],
        "Euler-Eytelwein, Shigley ch. 17",
        "It slips once the ratio reaches the one at which friction lets go."
    );

    private Explained? RatioBy { get; init; }

    internal Working? Explain() =>
        RatioBy?.Working is { } working
            ? working with
            {
                Beside = [new("E", "ratio at which it slips", RatioAtSlip, "")],
            }
            : null;
}
