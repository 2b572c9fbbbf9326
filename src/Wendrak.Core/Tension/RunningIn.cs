using Wendrak.Core.Quantities;
using static Wendrak.Core.Quantities.Maths;

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
/// <param name="UntilHours">From now to when it must be right; null for a week.</param>
/// <param name="WantedN">Tension wanted then, the span's; null where nothing tells it in newtons: then shares are told.</param>
/// <param name="NowN">As it was last read; null where it was not.</param>
/// <param name="MostN">The tight end of its window; null without one.</param>
/// <param name="MostShaftLoadN">Load of both runs that the shaft may carry; null where nobody said.</param>
/// <param name="Own">Readings of this very belt, which make the curve its own; null for the usual one.</param>
public sealed record RunningInInput(
    CordKind Cord,
    double Hours,
    double? UntilHours = null,
    double? WantedN = null,
    double? NowN = null,
    double? MostN = null,
    double? MostShaftLoadN = null,
    OwnReadings? Own = null
);

/// <param name="Fraction">Part of what was set that was left.</param>
/// <param name="Hours">Since it was fitted.</param>
public sealed record FractionLeft(double Hours, double Fraction);

/// <summary>How a belt loses tension until a day.</summary>
/// <param name="UntilHours">What was counted from now to when it must be right.</param>
/// <param name="OverPercent">How much more than wanted must be set now so that the wanted tension is there on the day.</param>
/// <param name="SetNowN">The same in newtons; null where nothing tells what is wanted.</param>
/// <param name="LeftPercent">What is left on the day of what is there now.</param>
/// <param name="ExpectedN">What there will be on the day if it is left as it was read; null where it was not.</param>
/// <param name="IsAboveWindow">True when that would be tighter than the window allows.</param>
/// <param name="IsAboveBearing">True when both runs would then load the shaft by more than it may carry.</param>
/// <param name="MostNowN">The most that may be set now, by window and shaft; null where neither is known.</param>
/// <param name="FitWithinHours">“Fit later”: a new belt fitted no longer than this before the day stays allowed; null elsewhere.</param>
/// <param name="SetAgainAfterHours">“Set again”: set to the most now, it has come down to what is wanted by then; null elsewhere.</param>
/// <param name="CheckAfterHours">When it will have lost a tenth from now: look again then.</param>
/// <param name="LevelFromHours">From here on it loses less than a hundredth a day: to fit it earlier is better than to set it high.</param>
/// <param name="Curve">Part that is left over the hours since fitting.</param>
public sealed record RunningInResult(
    double UntilHours,
    double OverPercent,
    double? SetNowN,
    double LeftPercent,
    double? ExpectedN,
    bool IsAboveWindow,
    bool IsAboveBearing,
    double? MostNowN,
    double? FitWithinHours,
    double? SetAgainAfterHours,
    double? CheckAfterHours,
    double LevelFromHours,
    IReadOnlyList<FractionLeft> Curve,
    IReadOnlyList<Working> Workings
);

/// <summary>How a new belt runs in, and what to set today for the day it is needed.</summary>
public static class RunningIn
{
    private const double WeekHours = 7 * 24;
    private const double LookAgainAt = 0.9;
    private const double LevelADay = 0.01;
    internal const double MostHours = 24 * 365 * 10;
    private const int Points = 40;

    // A tenth of what belts do: flatter than that is the error of two readings. Judgement.
    private const double FlattestExponent = 0.05;

    /// <exception cref="InvalidInputException">A value is not physical, or the two readings do not fall.</exception>
    public static RunningInResult Predict(RunningInInput input)
    {
        new Guard()
            .OneOf(nameof(input.Cord), input.Cord)
            .Between(nameof(input.Hours), input.Hours, 0, MostHours, "h")
            .BetweenIfGiven(nameof(input.UntilHours), input.UntilHours, 0, MostHours, "h")
            .BetweenIfGiven(nameof(input.WantedN), input.WantedN, 1, 1e6, "N")
            .BetweenIfGiven(nameof(input.NowN), input.NowN, 0, 1e6, "N")
            .BetweenIfGiven(nameof(input.MostN), input.MostN, 1, 1e6, "N")
            .BetweenIfGiven(nameof(input.MostShaftLoadN), input.MostShaftLoadN, 1, 1e6, "N")
            .ThrowIfAny();
        double until = input.UntilHours ?? WeekHours;
        Relaxation usual = input.Cord == CordKind.Rubber ? Relaxation.Rubber : Relaxation.StiffCord;
        Relaxation curve = input.Own is null ? usual : Own(input.Own, usual.Floor);
        bool isUsual = input.Own is null;
        Explained byNow = curve.Explain(input.Hours, isUsual);
        Explained onTheDay = curve.Explain(input.Hours + until, isUsual);
        (double now, double then) = (byNow.Value, onTheDay.Value);
        Explained left = Left.With(now, then);
        Explained over = Over.With(now, then);
        Explained? expected = input.NowN is double read ? LeftOnTheDay.With(read, now, then) : null;
        Explained? toSet = input.WantedN is double wanted ? SetNow.With(wanted, now, then) : null;
        double? set = toSet?.Value;
        double? most = Least(input.MostN, input.MostShaftLoadN / 2);
        bool isPast = set > most;
        double end = Math.Max(WeekHours, input.Hours + until);
        return new(
            until,
            over.Value,
            set,
            left.Value,
            expected?.Value,
            set > input.MostN,
            2 * set > input.MostShaftLoadN,
            most,
            isPast && most >= input.WantedN ? HoursTo(h => curve.LeftAfter(0, h) <= input.WantedN / most) : null,
            isPast && most > input.WantedN
                ? HoursTo(h => curve.LeftAfter(input.Hours, h) <= input.WantedN / most)
                : null,
            HoursTo(h => curve.LeftAfter(input.Hours, h) <= LookAgainAt),
            HoursTo(h => curve.FractionAfter(h) - curve.FractionAfter(h + 24) <= LevelADay * curve.FractionAfter(h))
                ?? MostHours,
            [
                .. Enumerable
                    .Range(0, Points + 1)
                    .Select(i => end * i * i / (Points * Points))
                    .Select(h => new FractionLeft(h, curve.FractionAfter(h))),
            ],
            [
                .. new[] { expected, toSet }.OfType<Explained>().Select(e => e.Working),
                over.Working,
                left.Working,
                byNow.Working with
                {
                    Title = "Part that is left by now",
                },
                onTheDay.Working with
                {
                    Title = "Part that is left of what was set, on the day",
                },
            ]
        );
    }

    private static double? Least(double? one, double? other) =>
        one is double a && other is double b ? Math.Min(a, b) : one ?? other;

    private const string Curve = "the belt's curve: an engineering fit (common practice), or its own two readings";

    private static readonly Formula<Func<double, double, double, double>> SetNow = new(
        "What to set now",
        "T_now",
        ("to set", "N"),
        (T, f_now, f_day) => T * f_now / f_day,
        [("wanted on the day", "N"), ("part that is left by now", ""), ("part that is left on the day", "")],
        Curve,
        "Never above what the window and the bearing allow."
    );

    private static readonly Formula<Func<double, double, double, double>> LeftOnTheDay = new(
        "What is left on the day",
        "T_day",
        ("on the day", "N"),
        (T_read, f_now, f_day) => T_read * f_day / f_now,
        [("loosest place, as read", "N"), ("part that is left by now", ""), ("part that is left on the day", "")],
        Curve,
        "Left as it was read."
    );

    private static readonly Formula<Func<double, double, double>> Over = new(
        "How much more than wanted",
        "over",
        ("to set now", "%"),
        (f_now, f_day) => Percent(f_now / f_day - 1),
        [("part that is left by now", ""), ("part that is left on the day", "")],
        Curve,
        "Never above what the window and the bearing allow."
    );

    private static readonly Formula<Func<double, double, double>> Left = new(
        "Part that is left on the day",
        "left",
        ("of what is there now", "%"),
        (f_now, f_day) => Percent(f_day / f_now),
        [("part that is left by now", ""), ("part that is left on the day", "")],
        Curve,
        "Left as it is."
    );

    /// <summary>Two readings can't tell three figures: what it levels off at stays the usual one, as long as it lies below both.</summary>
    private static Relaxation Own(OwnReadings readings, double usualFloor)
    {
        const double belowLast = 0.9; // of the last reading: it will lose a little more. Judgement.
        (FractionLeft first, FractionLeft second) = readings.Fractions();
        Relaxation own = Relaxation.Fit(
            Math.Min(usualFloor, second.Fraction * belowLast),
            (first.Hours, first.Fraction),
            (second.Hours, second.Fraction)
        );
        new Guard("Own.")
            .That(
                own.Exponent >= FlattestExponent,
                nameof(readings.Second),
                "too_near",
                "Both readings are nearly alike: they tell no curve. Give one that has fallen more.",
                readings.First
            )
            .ThrowIfAny();
        return own;
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
