using System.Runtime.CompilerServices;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Gearing;

/// <summary>Way per turn of a wheel, from its roll-out where there is one, else from its marking.</summary>
/// <param name="CircumferenceMm">Way per turn under load, mm.</param>
/// <param name="DiameterMm">Outside diameter unloaded, mm; from the roll-out where only that is known.</param>
/// <param name="Reading">What the marking says; null when only rolled out.</param>
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
    /// <remarks>
    /// U = π·D·k, k the rolling factor of the kind of tyre; a roll-out overrides everything. Sources: ETRTO
    /// coefficients (from memory) for motorcycles, common practice for bicycles and solid wheels.
    /// </remarks>
    public static RollingResult Of(RoadWheel wheel) => Known.GetValue(wheel, Find);

    // A size is read from its marking; a wheel is never changed, only replaced.
    private static readonly ConditionalWeakTable<RoadWheel, RollingResult> Known = [];

    private static RollingResult Find(RoadWheel wheel)
    {
        Check(wheel).ThrowIfAny();
        SizeReading? reading = string.IsNullOrWhiteSpace(wheel.Size) ? null : RoadWheelSize.Parse(wheel.Size);
        if (wheel.RollOutMm is double rollOut)
            return new(rollOut, reading?.FreeDiameterMm ?? rollOut / Math.PI, reading, true, MeasuredWorking(rollOut));
        double circumference = Math.PI * reading!.FreeDiameterMm * reading.RollingFactor;
        return new(circumference, reading.FreeDiameterMm, reading, false, SizeWorking(reading, circumference));
    }

    private static Working MeasuredWorking(double rollOutMm) =>
        new(
            "Rolling circumference",
            "U = roll-out",
            [new("U", "measured way per turn", rollOutMm, "mm")],
            new("U", "rolling circumference", rollOutMm, "mm"),
            "measured; common practice: three turns or more, rider on, divided by the turns",
            "True for the pressure and load at which it was rolled."
        );

    private static Working SizeWorking(SizeReading reading, double circumferenceMm) =>
        new(
            "Rolling circumference",
            "U = π · D · k",
            [
                new("D", "free diameter from the marking", reading.FreeDiameterMm, "mm"),
                new("k", "rolling over free circumference", reading.RollingFactor, "", IsDefault: true),
            ],
            new("U", "rolling circumference", circumferenceMm, "mm"),
            $"{reading.Source}; k: ETRTO coefficients from memory (motorcycle), common practice (others)",
            "Makers' tyres of one marking differ by 1 to 2 %; a roll-out replaces this."
        );
}
