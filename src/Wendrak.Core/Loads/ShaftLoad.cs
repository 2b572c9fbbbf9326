using Wendrak.Core.Quantities;
using static System.Math;
using static Wendrak.Core.Quantities.Maths;

namespace Wendrak.Core.Loads;

/// <summary>What the two runs of a loop put on a shaft.</summary>
/// <param name="FromTightRunDeg">Direction, turned from the tight run towards the slack one.</param>
/// <param name="LoadN">On the shaft, N.</param>
public sealed record ShaftLoadResult(double LoadN, double FromTightRunDeg);

/// <summary>Resultant of both runs on a wheel. Source: statics.</summary>
public static class ShaftLoad
{
    internal static readonly Formula<Func<double, double, double, double>> Resultant = new(
        "Load on the driving shaft",
        "R",
        ("on the shaft", "N"),
        (T1, T2, θ) => Sqrt(Pow(T1, 2) + Pow(T2, 2) - 2 * T1 * T2 * Cos(Rad(θ))),
        [("tight run less its centrifugal part", "N"), ("slack run less its centrifugal part", "N"), ("wrap", "°")],
        "statics",
        "What going round takes from either run does not reach the shaft and is left out of R."
    );

    public static ShaftLoadResult Compute(double tightN, double slackN, double wrapDeg)
    {
        double wrap = Rad(wrapDeg);
        double load = Resultant.Value(tightN, slackN, wrapDeg);
        double along = Atan2(slackN * Sin(PI - wrap), tightN + slackN * Cos(PI - wrap));
        return new(load, Deg(along));
    }

    /// <summary>2·T_i·sin(θ/2): at rest, both runs alike.</summary>
    public static double AtRestN(double installedTensionN, double wrapDeg) =>
        2 * installedTensionN * Sin(Rad(wrapDeg) / 2);
}
