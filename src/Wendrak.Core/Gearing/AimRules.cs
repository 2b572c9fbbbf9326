using Wendrak.Core.Quantities;

namespace Wendrak.Core.Gearing;

/// <summary>What makes an aim computable for a drive.</summary>
public static class AimRules
{
    public const int MostOutcomes = 200;

    private const double FastestKmh = 500;
    private const double FastestRpm = 100_000;
    private const double WidestTolerancePercent = 50;

    /// <summary>Everything wrong with a target, for a drive with this many gears.</summary>
    public static Guard Check(AimTarget target, int gears)
    {
        Guard guard = new();
        switch (target)
        {
            case CruiseSpeed t:
                Gear(guard, t.GearIndex, gears);
                guard.Between(nameof(t.SpeedKmh), t.SpeedKmh, 0.1, FastestKmh, "km/h");
                Range(
                    guard,
                    nameof(t.ShaftSpeedLowRpm),
                    t.ShaftSpeedLowRpm,
                    nameof(t.ShaftSpeedHighRpm),
                    t.ShaftSpeedHighRpm
                );
                break;
            case TopSpeed t:
                Gear(guard, t.GearIndex, gears);
                guard.Between(nameof(t.SpeedKmh), t.SpeedKmh, 0.1, FastestKmh, "km/h");
                Tolerance(guard, t.TolerancePercent);
                break;
            case SpeedAtCadence t:
                Gear(guard, t.GearIndex, gears);
                guard.Between(nameof(t.SpeedKmh), t.SpeedKmh, 0.1, FastestKmh, "km/h");
                Range(guard, nameof(t.CadenceLowRpm), t.CadenceLowRpm, nameof(t.CadenceHighRpm), t.CadenceHighRpm);
                break;
            case OutputSpeed t:
                Gear(guard, t.GearIndex, gears);
                guard.Between(nameof(t.OutputSpeedRpm), t.OutputSpeedRpm, 0.01, FastestRpm, "rpm");
                Range(
                    guard,
                    nameof(t.ShaftSpeedLowRpm),
                    t.ShaftSpeedLowRpm,
                    nameof(t.ShaftSpeedHighRpm),
                    t.ShaftSpeedHighRpm
                );
                break;
            case OverallRatio t:
                if (t.GearIndex is int gear)
                    Gear(guard, gear, gears);
                Ratios(guard, t.Low, t.High);
                break;
            case FinalRatio t:
                Ratios(guard, t.Low, t.High);
                break;
            case GainRatio t:
                Gear(guard, t.GearIndex, gears);
                Ratios(guard, t.Low, t.High);
                break;
            case MatchSetup t:
                Tolerance(guard, t.TolerancePercent);
                break;
        }
        return guard;
    }

    /// <summary>Everything wrong with the words and scores kept with an aim.</summary>
    public static Guard CheckMemory(Conditions conditions, Wishes wishes, IReadOnlyList<AimOutcome> outcomes)
    {
        Guard guard = new();
        Words(guard, "Conditions.", conditions);
        guard
            .Between("Wishes.LittleUpkeep", wishes.LittleUpkeep, 0, Wishes.Most, "")
            .Between("Wishes.Quiet", wishes.Quiet, 0, Wishes.Most, "")
            .Between("Wishes.Range", wishes.Range, 0, Wishes.Most, "")
            .Between("Wishes.CarryingLoads", wishes.CarryingLoads, 0, Wishes.Most, "")
            .Between("Wishes.Response", wishes.Response, 0, Wishes.Most, "")
            .Between("Wishes.LowCost", wishes.LowCost, 0, Wishes.Most, "")
            .Count("Outcomes", outcomes.Count, 0, MostOutcomes, "outcomes");
        for (int i = 0; i < outcomes.Count; i++)
        {
            guard
                .Between($"Outcomes[{i}].Score", outcomes[i].Score, 1, 5, "")
                .Note($"Outcomes[{i}].Note", outcomes[i].Note);
            Words(guard, $"Outcomes[{i}].Conditions.", outcomes[i].Conditions);
        }
        return guard;
    }

    private static void Words(Guard guard, string at, Conditions conditions)
    {
        foreach (
            (string name, string? word) in new[]
            {
                (nameof(conditions.Surface), conditions.Surface),
                (nameof(conditions.Weather), conditions.Weather),
                (nameof(conditions.Load), conditions.Load),
            }
        )
            guard.That(
                word is null || word.Length <= Guard.LongestName,
                at + name,
                "too_long",
                $"Give {Guard.LongestName} characters or fewer.",
                Guard.LongestName
            );
    }

    private static void Gear(Guard guard, int index, int gears) =>
        guard.That(
            index >= 0 && index < gears,
            nameof(CruiseSpeed.GearIndex),
            "no_such_gear",
            gears == 1
                ? "Give 0: this drive has no gears to choose from."
                : $"Give 0 to {gears - 1}, for gears 1 to {gears}.",
            gears - 1
        );

    private static void Range(Guard guard, string lowField, double low, string highField, double high) =>
        guard
            .Between(lowField, low, 1, FastestRpm, "rpm")
            .Between(highField, high, 1, FastestRpm, "rpm")
            .Ordered(lowField, low, highField, high, "rpm");

    private static void Ratios(Guard guard, double low, double high) =>
        guard
            .Between(nameof(FinalRatio.Low), low, 0.01, 10_000, "")
            .Between(nameof(FinalRatio.High), high, 0.01, 10_000, "")
            .Ordered(nameof(FinalRatio.Low), low, nameof(FinalRatio.High), high, "");

    private static void Tolerance(Guard guard, double percent) =>
        guard.Between(nameof(TopSpeed.TolerancePercent), percent, 0.1, WidestTolerancePercent, "percent");
}
