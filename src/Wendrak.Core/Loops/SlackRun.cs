using Wendrak.Core.Quantities;
using static System.Math;

namespace Wendrak.Core.Loops;

/// <summary>Free play of a slack run: the whole up-and-down movement at its middle.</summary>
/// <remarks>
/// A run of L with e too much in it is pulled to a triangle. Statics of a slack chain; what is moved is the total, not half of it.
/// </remarks>
public static class SlackRun
{
    private static readonly Quantity Run = new("slack run", "mm");

    internal static readonly Formula<Func<double, double, double>> Play = new(
        "Free play",
        "s",
        ("whole up-and-down movement", "mm"),
        (L, e) => Sqrt(Pow(L + e, 2) - Pow(L, 2)),
        [Run, ("loop that is more than the path", "mm")],
        "statics of a slack chain",
        "Pulled taut both ways: sag under its own weight is another curve."
    );

    internal static readonly Formula<Func<double, double, double>> Excess = new(
        "Loop that is more than the path",
        "e",
        ("too much of loop", "mm"),
        (L, s) => Sqrt(Pow(L, 2) + Pow(s, 2)) - L,
        [Run, ("free play in all", "mm")],
        "statics of a slack chain",
        "Pulled taut both ways: sag under its own weight is another curve."
    );

    /// <summary>Play that a length over the path gives, mm; 0 for a run that is stretched.</summary>
    public static double PlayMm(double runMm, double excessMm) => excessMm <= 0 ? 0 : Play.Value(runMm, excessMm);

    /// <summary>Length over the path that a play takes, mm.</summary>
    public static double ExcessMm(double runMm, double playMm) => Excess.Value(runMm, playMm);
}
