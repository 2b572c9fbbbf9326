namespace Wendrak.Core.Loads;

/// <summary>What the two runs of a loop put on a shaft.</summary>
/// <param name="FromTightRunDeg">Direction, turned from the tight run towards the slack one.</param>
public sealed record ShaftLoadResult(double LoadN, double FromTightRunDeg);

/// <summary>Resultant of both runs on a wheel. Source: statics.</summary>
public static class ShaftLoad
{
    /// <summary>R = √(T1² + T2² − 2·T1·T2·cos θ).</summary>
    public static ShaftLoadResult Of(double tightN, double slackN, double wrapDeg)
    {
        double wrap = wrapDeg * Math.PI / 180;
        double load = Math.Sqrt(tightN * tightN + slackN * slackN - 2 * tightN * slackN * Math.Cos(wrap));
        double along = Math.Atan2(slackN * Math.Sin(Math.PI - wrap), tightN + slackN * Math.Cos(Math.PI - wrap));
        return new(load, along * 180 / Math.PI);
    }

    /// <summary>2·T_i·sin(θ/2): at rest, both runs alike.</summary>
    public static double AtRestN(double installedTensionN, double wrapDeg) =>
        2 * installedTensionN * Math.Sin(wrapDeg / 2 * Math.PI / 180);
}
