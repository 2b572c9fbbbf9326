using Wendrak.Core.Quantities;

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
/// <param name="Low">Loose end, in the scale of the loop.</param>
/// <param name="High">Tight end.</param>
public sealed record TensionWindow(double Low, double High, WindowOrigin Origin, string Reason)
{
    /// <summary>Loosest position of a chain may have this much more play than the window's: common practice, mm of play.</summary>
    public const double ChainBeyondMm = 15;

    /// <summary>Where the lowest reading is aimed at, by taste: 0 as loose as holds, 1 as tight as allowed.</summary>
    /// <param name="spread">From lowest to highest; both ends must find room.</param>
    public double AimFor(double spread, double bias) => Aim(spread, bias).Value;

    private Explained Aim(double spread, double bias)
    {
        Given low = new(Low, Meaning: Reason);
        return spread >= High - Low ? FilledAim.With(low, High, spread) : BeltAim.With(low, High, spread, bias);
    }

    private const string Title = "Where the loosest position is aimed at";
    private const string BothInside = "both ends must be inside: common practice";
    private static readonly Quantity Loosest = new("loosest position", "");
    private static readonly Quantity LowEnd = new("loose end of the window", "");
    private static readonly Quantity HighEnd = new("tight end of the window", "");
    private static readonly Quantity Spread = new("round the wheel", "");
    private static readonly Quantity Taste = new("0 as loose as holds, 1 as tight as allowed", "");

    private static readonly Formula<Func<double, double, double, double, double>> ChainAim = new(
        Title,
        "aim",
        Loosest,
        (low, high, spread, bias) => low + bias * (high - low) - spread,
        [LowEnd, HighEnd, Spread, Taste],
        BothInside,
        "Of a chain the tight place is set. The maker's figure wins."
    );

    private static readonly Formula<Func<double, double, double, double, double>> BeltAim = new(
        Title,
        "aim",
        Loosest,
        (low, high, spread, bias) => low + bias * (high - low - spread),
        [LowEnd, HighEnd, Spread, Taste],
        BothInside,
        "The maker's figure wins."
    );

    private static readonly Formula<Func<double, double, double, double>> FilledAim = new(
        Title,
        "aim",
        Loosest,
        (low, high, spread) => (low + high - spread) / 2,
        [LowEnd, HighEnd, Spread],
        BothInside,
        "The spread fills the window: its middle is aimed at."
    );

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
    internal Explained AimOfLoosest(TightnessScale scale, double spread, double bias) =>
        scale.Unit == TightnessUnit.LoopMm
            ? ChainAim.With(new(Low, Meaning: Reason), High, spread, bias)
            : Aim(spread, bias);

    /// <summary>Whether no setting brings both ends inside.</summary>
    internal bool IsTooNarrowFor(TightnessScale scale, double spread) => High - spread < LoosestAllowed(scale) - Least;

    private double Least => 1e-9 * (1 + Math.Abs(High));
}
