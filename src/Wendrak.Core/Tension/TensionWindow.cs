namespace Wendrak.Core.Tension;

/// <summary>Where a window comes from.</summary>
public enum WindowOrigin
{
    /// <summary>The maker's figure, typed in.</summary>
    Maker,

    /// <summary>Use and kind of drive: common practice.</summary>
    Practice,

    /// <summary>What this drive's own load asks for.</summary>
    Load,
}

/// <summary>The lowest and highest tightness accepted, in the scale of the loop.</summary>
/// <param name="Reason">Why it lies there, with its source.</param>
public sealed record TensionWindow(double Low, double High, WindowOrigin Origin, string Reason)
{
    /// <summary>Loosest position of a chain may have this much more play than the window's: common practice, mm of play.</summary>
    public const double ChainBeyondMm = 15;

    /// <summary>Where the lowest reading is aimed at, by taste: 0 as loose as holds, 1 as tight as allowed.</summary>
    /// <param name="spread">From lowest to highest; both ends must find room.</param>
    public double AimFor(double spread, double bias) =>
        spread >= High - Low ? (Low + High - spread) / 2 : Low + bias * (High - Low - spread);

    /// <summary>Whether both ends are inside: of a chain the tight place, and the loose one within what is allowed beyond.</summary>
    internal bool Holds(TightnessScale scale, double loosest, double tightest) =>
        tightest <= High + Least && loosest >= LoosestAllowed(scale) - Least && tightest >= Low - Least;

    /// <summary>Whether one position is inside: one looser than the window only beside a tight place that lies in it.</summary>
    /// <param name="tightest">Of its round; null where nothing tells it.</param>
    internal bool HoldsOne(TightnessScale scale, double tightness, double? tightest) =>
        tightness <= High + Least && tightness >= (tightest >= Low - Least ? LoosestAllowed(scale) : Low) - Least;

    /// <summary>What the loosest position may have.</summary>
    internal double LoosestAllowed(TightnessScale scale)
    {
        if (scale is not { Unit: TightnessUnit.LoopMm, Span.SpanMm: double span })
            return Low;
        double play = ChainPlay.PlayMm(span, Math.Min(-Low, span / 10));
        return -ChainPlay.ExcessMm(span, Math.Min(play + ChainBeyondMm, span / 5));
    }

    /// <summary>Where the loosest position is aimed at: of a chain so that its tight place lies in the window.</summary>
    internal double AimOfLoosest(TightnessScale scale, double spread, double bias) =>
        scale.Unit == TightnessUnit.LoopMm ? Low + bias * (High - Low) - spread : AimFor(spread, bias);

    /// <summary>Whether no setting brings both ends inside.</summary>
    internal bool IsTooNarrowFor(TightnessScale scale, double spread) => High - spread < LoosestAllowed(scale) - Least;

    private double Least => 1e-9 * (1 + Math.Abs(High));
}
