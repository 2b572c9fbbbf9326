namespace Wendrak.Core.Loops;

/// <summary>Free play of a slack run: the whole up-and-down movement at its middle.</summary>
/// <remarks>
/// A run of S with e too much in it is pulled to a triangle: play = 2·√((S + e)²/4 − S²/4). Statics of a slack chain;
/// what is moved is the total, not half of it.
/// </remarks>
public static class SlackRun
{
    /// <summary>Play that a length over the path gives, mm; 0 for a run that is stretched.</summary>
    public static double PlayMm(double runMm, double excessMm) =>
        excessMm <= 0 ? 0 : Math.Sqrt((runMm + excessMm) * (runMm + excessMm) - runMm * runMm);

    /// <summary>Length over the path that a play takes, mm.</summary>
    public static double ExcessMm(double runMm, double playMm) => Math.Sqrt(runMm * runMm + playMm * playMm) - runMm;
}
