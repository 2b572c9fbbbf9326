using Wendrak.Core.Quantities;

namespace Wendrak.Core.Tension;

/// <summary>How far the axle would have to go for tension to be as aimed at, before it is asked what a hand can make.</summary>
internal static class ExactMove
{
    private static readonly Formula<Func<double, double, double, double, double>> Way = new(
        "Way to the aim, exactly",
        "x",
        ("of the axle; positive tightens", "mm"),
        (T_aim, T, ΔT, k) => (T_aim - T - ΔT) / k,
        [
            ("aimed at for the loosest place", ""),
            ("read there", ""),
            ("what tightening the nut will add", ""),
            ("gained for each mm of axle", ""),
        ],
        "what was read and what was learned",
        "What is advised is the nearest a hand can make, and never past the window."
    );

    /// <returns>Null where nothing was read, nothing tells the aim, or tension is not to be set.</returns>
    public static Explained? Compute(SetInput input, double? aim, RoundResult? last, LearnedResponse tension)
    {
        if (input.Setting.Adjuster is { IsFixed: true } or { SetsItself: true } || input.Goal == SetGoal.TrackingOnly)
            return null;
        bool isTorqued = input.Rounds is [.., { Lock: LockState.Torqued }];
        return aim is double wanted && last?.Loosest is double loosest && tension.Slope > 0
            ? Way.With(wanted, loosest, isTorqued ? 0 : tension.Shift, tension.Slope)
            : null;
    }

    /// <summary>In the unit of the scale.</summary>
    public static Working Explain(Explained way, string unit) =>
        way.Working with
        {
            Values = [.. way.Working.Values.Select((v, i) => v with { Unit = i == 3 ? $"{unit}/mm" : unit })],
        };
}
