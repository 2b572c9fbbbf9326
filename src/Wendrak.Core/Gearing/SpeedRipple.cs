namespace Wendrak.Core.Gearing;

/// <summary>Speed ripple of a chain on a small sprocket (chordal action).</summary>
public static class SpeedRipple
{
    /// <summary>Speed variation of the chain, peak to peak over mean, percent.</summary>
    /// <param name="teeth">Links that lie once round the wheel: half its gaps for a double pitch chain.</param>
    /// <remarks>
    /// Δv/v = (π/n)·(1/sin(π/n) − 1/tan(π/n)) = (π/n)·tan(π/(2n)). Source: Shigley ch. 17, roller chain. For chains
    /// only: a toothed belt lies round its pulley and has next to none.
    /// </remarks>
    public static double Percent(double teeth) => 100 * Math.PI / teeth * Math.Tan(Math.PI / (2 * teeth));
}
