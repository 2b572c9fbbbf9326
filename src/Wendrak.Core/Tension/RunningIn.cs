using Wendrak.Core.Quantities;

namespace Wendrak.Core.Tension;

/// <summary>What a belt's cords are of; they decide how much tension it loses.</summary>
public enum CordKind
{
    /// <summary>Rubber with glass or polyester cords.</summary>
    Rubber,

    /// <summary>Aramid or carbon cords.</summary>
    StiffCord,
}

/// <summary>A belt that was fitted some time ago, and the day it is needed.</summary>
/// <param name="Hours">Run since it was fitted, or lying under tension.</param>
/// <param name="UntilHours">From now to when it must be right.</param>
/// <param name="WantedN">Tension wanted then, the span's.</param>
/// <param name="First">Two readings of this belt since it was fitted make the curve its own; null for the usual one.</param>
public sealed record RunningInInput(
    CordKind Cord,
    double Hours,
    double UntilHours,
    double WantedN,
    FractionLeft? First = null,
    FractionLeft? Second = null
);

/// <param name="Fraction">Part of what was set that was left.</param>
public sealed record FractionLeft(double Hours, double Fraction);

/// <param name="SetNowN">What to set now so that the wanted tension is there on the day.</param>
/// <param name="OverPercent">What that is more than wanted.</param>
/// <param name="CheckAfterHours">When it will have lost a tenth from now: look again then.</param>
/// <param name="Curve">Part that is left over the hours since fitting.</param>
/// <param name="LevelFromHours">From here on it loses less than a hundredth a day: to fit it earlier is better than to set it high.</param>
public sealed record RunningInResult(
    double SetNowN,
    double OverPercent,
    double? CheckAfterHours,
    double LevelFromHours,
    IReadOnlyList<FractionLeft> Curve,
    IReadOnlyList<Working> Workings
);

/// <summary>How a new belt runs in, and what to set today for the day it is needed.</summary>
public static class RunningIn
{
    private const double LookAgainAt = 0.9;
    private const double LevelADay = 0.01;
    private const double MostHours = 24 * 365;
    private const int Points = 40;

    /// <exception cref="InvalidInputException">A value is not physical, or the two readings do not fall.</exception>
    public static RunningInResult Of(RunningInInput input)
    {
        new Guard()
            .OneOf(nameof(input.Cord), input.Cord)
            .Between(nameof(input.Hours), input.Hours, 0, MostHours, "h")
            .Between(nameof(input.UntilHours), input.UntilHours, 0, MostHours, "h")
            .Between(nameof(input.WantedN), input.WantedN, 1, 1e6, "N")
            .ThrowIfAny();
        Relaxation usual = input.Cord == CordKind.Rubber ? Relaxation.Rubber : Relaxation.StiffCord;
        Relaxation curve = input is { First: { } a, Second: { } b }
            ? Relaxation.Fit(Math.Min(usual.Floor, b.Fraction * 0.9), (a.Hours, a.Fraction), (b.Hours, b.Fraction))
            : usual;
        double set = curve.SetNowN(input.WantedN, input.Hours, input.UntilHours);
        double end = Math.Max(168, input.Hours + input.UntilHours);
        return new(
            set,
            (set / input.WantedN - 1) * 100,
            HoursTo(h => curve.FractionAfter(input.Hours + h) / curve.FractionAfter(input.Hours) <= LookAgainAt),
            HoursTo(h => curve.FractionAfter(h) - curve.FractionAfter(h + 24) <= LevelADay * curve.FractionAfter(h))
                ?? MostHours,
            [
                .. Enumerable
                    .Range(0, Points + 1)
                    .Select(i => end * i * i / (Points * Points))
                    .Select(h => new FractionLeft(h, curve.FractionAfter(h))),
            ],
            [
                new(
                    "What to set now",
                    "T_now = T·f(t)/f(t + d), f = r + (1 − r)·exp(−(t/τ)^β)",
                    [
                        new("T", "wanted on the day", input.WantedN, "N"),
                        new("t", "since it was fitted", input.Hours, "h"),
                        new("d", "until the day", input.UntilHours, "h"),
                        new("r", "what it levels off at", curve.Floor, "", input.First is null),
                        new("τ", "time", curve.TauHours, "h", input.First is null),
                        new("β", "exponent", curve.Exponent, "", input.First is null),
                    ],
                    new("T_now", "to set", set, "N"),
                    "engineering fit through what the trade says of rubber belts: a fifth lost in hours, half in a week (common practice)",
                    "Two readings of this belt make it its own curve. Never above what the bearing may carry."
                ),
            ]
        );
    }

    private static double? HoursTo(Func<double, bool> isThere)
    {
        if (!isThere(MostHours))
            return null;
        (double from, double to) = (0, MostHours);
        for (int i = 0; i < 60; i++)
        {
            double middle = (from + to) / 2;
            (from, to) = isThere(middle) ? (from, middle) : (middle, to);
        }
        return to;
    }
}
