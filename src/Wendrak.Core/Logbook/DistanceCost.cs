using Wendrak.Core.Comparing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;

namespace Wendrak.Core.Logbook;

/// <summary>What 1 000 km cost with a setup, in the money the log is written in.</summary>
/// <param name="Km">Over which distance that is known, km.</param>
/// <param name="PartsPer1000Km">Parts, each over the distance it lasted.</param>
/// <param name="UpkeepPer1000Km">Working time at its rate, and what was used up.</param>
/// <param name="FuelPer1000Km">Fuel and charge that was paid for.</param>
/// <param name="TotalPer1000Km">All of it.</param>
/// <param name="HasPartsThatLast">A part is still on: it is counted as if it ended now, so it will cost less.</param>
/// <param name="Working">Of the total.</param>
public sealed record DistanceCost(
    double Km,
    double PartsPer1000Km,
    double UpkeepPer1000Km,
    double FuelPer1000Km,
    double TotalPer1000Km,
    bool HasPartsThatLast,
    Working Working
)
{
    private const double MinutesPerHour = 60;

    /// <param name="setupId">Of the setup.</param>
    /// <param name="all">When which setup was on the machine.</param>
    /// <param name="lines">Of the machine’s log.</param>
    /// <param name="ratePerHour">What an hour of work is worth.</param>
    /// <returns>Null where no distance was read.</returns>
    public static DistanceCost? Of(
        long setupId,
        IReadOnlyList<SetupPeriod> all,
        IReadOnlyList<LogLine> lines,
        double ratePerHour
    )
    {
        SetupPeriod[] periods = [.. all.Where(p => p.SetupId == setupId)];
        LogLine[] read = [.. lines.Where(l => l.OdometerKm is not null).OrderBy(l => l.OdometerKm)];
        (double From, double To)[] run = [.. periods.Select(p => RunIn(p, read)).Where(r => r.To > r.From)];
        double km = run.Sum(r => r.To - r.From);
        if (km <= 0)
            return null;
        LogLine[] mine = [.. lines.Where(l => SetupPeriod.Of(l, all) == setupId)];
        Part[] parts = [.. PartsOf(read)];
        double ofParts = parts.Sum(p => p.Cost / p.LastedKm * run.Sum(r => Overlap(r, p)));
        double minutes = mine.OfType<UpkeepDone>().Sum(u => u.Minutes);
        double usedUp = mine.OfType<UpkeepDone>().Sum(u => u.Cost ?? 0);
        double fuel =
            PaidPer1000Km(
                mine.OfType<FuelFilled>(),
                f => new(f.OdometerKm, f.Cost ?? 0, f.IsFull, f.IsOneMissing == true)
            )
            + PaidPer1000Km(
                mine.OfType<Charged>(),
                c => new(c.OdometerKm, c.Cost ?? 0, c.IsFull, c.IsOneMissing == true)
            );
        Explained total = Per1000.With(ofParts, usedUp, minutes / MinutesPerHour, ratePerHour, km, fuel);
        double Each(double money) => 1000 * money / km;
        return new(
            km,
            Each(ofParts),
            Each(usedUp + minutes / MinutesPerHour * ratePerHour),
            fuel,
            total.Value,
            parts.Any(p => p.IsOn && run.Sum(r => Overlap(r, p)) > 0),
            total.Working
        );
    }

    /// <summary>From full to full, as far as it was paid for: what the first one cost was run before it.</summary>
    private static double PaidPer1000Km<T>(IEnumerable<T> fills, Func<T, Fill> paidOf)
        where T : LogLine
    {
        IReadOnlyList<Stretch> paid =
        [
            .. FullToFull
                .Of([.. fills.OrderBy(f => f.On).ThenBy(f => f.OdometerKm ?? double.MaxValue).Select(paidOf)])
                .Stretches.Where(s => s.Amount > 0),
        ];
        return paid.Count == 0 ? 0 : 1000 * paid.Sum(s => s.Amount) / paid.Sum(s => s.Km);
    }

    private sealed record Part(double FromKm, double LastedKm, double Cost, bool IsOn);

    /// <summary>Each lasts until the next of its name, else as long as is expected of it, else so far.</summary>
    private static IEnumerable<Part> PartsOf(LogLine[] read)
    {
        double now = read.Max(l => l.OdometerKm!.Value);
        foreach (
            IGrouping<string, PartPaid> same in read.OfType<PartPaid>().GroupBy(p => p.What.Trim().ToLowerInvariant())
        )
        {
            PartPaid[] ordered = [.. same];
            for (int i = 0; i < ordered.Length; i++)
            {
                double from = ordered[i].OdometerKm!.Value;
                double? next = i + 1 < ordered.Length ? ordered[i + 1].OdometerKm - from : null;
                double lasted = next ?? Math.Max(now - from, ordered[i].ExpectedKm ?? 0);
                if (lasted > 0)
                    yield return new(from, lasted, ordered[i].Cost, next is null && ordered[i].ExpectedKm is null);
            }
        }
    }

    /// <summary>From the first to the last that was read while it was on.</summary>
    private static (double From, double To) RunIn(SetupPeriod period, LogLine[] read)
    {
        double[] within =
        [
            .. read.Where(l => IsIn(period, l.On) || l.On == period.Until).Select(l => l.OdometerKm!.Value),
        ];
        return within.Length == 0 ? (0, 0) : (period.FromKm ?? within.Min(), within.Max());
    }

    private static bool IsIn(SetupPeriod period, DateOnly on) =>
        on >= period.From && (period.Until is not { } until || on < until);

    private static double Overlap((double From, double To) run, Part part) =>
        Math.Max(0, Math.Min(run.To, part.FromKm + part.LastedKm) - Math.Max(run.From, part.FromKm));

    private static readonly Formula<Func<double, double, double, double, double, double, double>> Per1000 = new(
        "Cost of 1 000 km",
        "c",
        ("parts, upkeep and fuel", "/1 000 km"),
        (P, U, t, r, s, F) => 1000 * (P + U + t * r) / s + F,
        [
            ("parts, as far as they lasted in it", ""),
            ("used up at upkeep", ""),
            ("working time", "h"),
            ("what an hour is worth", "/h"),
            ("run with it", "km"),
            ("fuel and charge, from full to full", "/1 000 km"),
        ],
        "definition; common practice",
        "What was not written down is not in it: insurance, tyres and time on the road neither, unless somebody wrote them."
    );
}
