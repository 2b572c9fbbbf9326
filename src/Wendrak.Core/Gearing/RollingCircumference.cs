using System.Runtime.CompilerServices;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Gearing;

/// <summary>Way per turn of a wheel, from its roll-out where there is one, else from its marking.</summary>
/// <param name="CircumferenceMm">Way per turn under load, mm.</param>
/// <param name="DiameterMm">Outside diameter unloaded, mm; from the roll-out where only that is known.</param>
/// <param name="Reading">What the marking says; null when only rolled out.</param>
/// <param name="IsMeasured">True where a roll-out tells it.</param>
public sealed record RollingResult(
    double CircumferenceMm,
    double DiameterMm,
    SizeReading? Reading,
    bool IsMeasured,
    Working Working
);

public static class RollingCircumference
{
    private const double SmallestRollOutMm = 30;
    private const double LargestRollOutMm = 10_000;

    /// <summary>Everything wrong with a road wheel's description.</summary>
    public static Guard Check(RoadWheel wheel)
    {
        Guard guard = new();
        guard
            .BetweenIfGiven(nameof(wheel.RollOutMm), wheel.RollOutMm, SmallestRollOutMm, LargestRollOutMm, "mm")
            .That(
                wheel.RollOutMm is not null || !string.IsNullOrWhiteSpace(wheel.Size),
                nameof(wheel.Size),
                "missing",
                $"Give what is written on it, e.g. {RoadWheelSize.AcceptedForms}, or a measured roll-out."
            );
        if (!string.IsNullOrWhiteSpace(wheel.Size))
        {
            try
            {
                RoadWheelSize.Parse(wheel.Size);
            }
            catch (InvalidInputException refused)
            {
                foreach (InputIssue issue in refused.Issues)
                    guard.That(false, issue.Field, issue.Code, issue.Message, issue.Limit);
            }
        }
        return guard;
    }

    /// <summary>Way per turn, mm.</summary>
    /// <exception cref="InvalidInputException">Neither a readable marking nor a roll-out within its bounds.</exception>
    /// <remarks>A roll-out overrides everything.</remarks>
    public static RollingResult For(RoadWheel wheel) => Known.GetValue(wheel, Find);

    // A size is read from its marking; a wheel is never changed, only replaced.
    private static readonly ConditionalWeakTable<RoadWheel, RollingResult> Known = [];

    private static RollingResult Find(RoadWheel wheel)
    {
        Check(wheel).ThrowIfAny();
        SizeReading? reading = string.IsNullOrWhiteSpace(wheel.Size) ? null : RoadWheelSize.Parse(wheel.Size);
        if (wheel.RollOutMm is double rollOut)
        {
            Explained measured = RolledOut.With(rollOut);
            return new(measured.Value, reading?.FreeDiameterMm ?? rollOut / Math.PI, reading, true, measured.Working);
        }
        Explained marked = Marked.With(reading!.FreeDiameterMm, new(reading.RollingFactor, IsUsual: true));
        Working working = marked.Working;
        return new(
            marked.Value,
            reading.FreeDiameterMm,
            reading,
            false,
            working with
            {
                Source = $"{reading.Source}; {working.Source}",
            }
        );
    }

    private static readonly Formula<Func<double, double>> RolledOut = new(
        "Rolling circumference",
        "U",
        ("rolling circumference", "mm"),
        roll => roll,
        [("measured way per turn", "mm")],
        "measured; common practice: three turns or more, rider on, divided by the turns",
        "True for the pressure and load at which it was rolled."
    );

    private static readonly Formula<Func<double, double, double>> Marked = new(
        "Rolling circumference",
        "U",
        ("rolling circumference", "mm"),
        (D, k) => Math.PI * D * k,
        [("free diameter from the marking", "mm"), ("rolling over free circumference", "")],
        "k: ETRTO coefficients from memory (motorcycle), common practice (others)",
        "Makers' tyres of one marking differ by 1 to 2 %; a roll-out replaces this."
    );
}
