using Wendrak.Core.Quantities;
using static System.Math;

namespace Wendrak.Core.Gearing;

/// <summary>Speed ripple of a chain on a small sprocket (chordal action).</summary>
public static class SpeedRipple
{
    /// <summary>
    /// Speed variation of the chain, peak to peak over mean, percent, by the links that lie once round the wheel: half its gaps for
    /// a double pitch chain.
    /// </summary>
    /// <remarks>
    /// Δv/v = (π/n)·(1/sin(π/n) − 1/tan(π/n)) = (π/n)·tan(π/(2n)). Source: Shigley ch. 17, roller chain. For chains
    /// only: a toothed belt lies round its pulley and has next to none.
    /// </remarks>
    public static readonly Formula<Func<double, double>> Percent = new(
        "Speed ripple",
        "δ",
        ("chain speed, peak to peak over mean", "%"),
        n => Maths.Percent(PI / n * Tan(PI / (2 * n))),
        [("links once round the smaller sprocket", "")],
        "Shigley ch. 17, roller chain",
        "Chains only; the wheels are taken as rigid and the run as straight."
    );
}
