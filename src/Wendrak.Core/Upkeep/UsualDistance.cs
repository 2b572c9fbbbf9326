using Wendrak.Core.Quantities;

namespace Wendrak.Core.Upkeep;

/// <summary>What the odometer said on a day.</summary>
/// <param name="On">Day.</param>
/// <param name="Km">What it said, km.</param>
public sealed record OdometerEntry(DateOnly On, double Km);

/// <summary>How far a machine usually goes, learned from its odometer.</summary>
/// <param name="KmPerWeek">Over a year, or what is known of it.</param>
/// <param name="From">First entry it is learned from.</param>
/// <param name="To">Last one.</param>
public sealed record UsualDistance(double KmPerWeek, OdometerEntry From, OdometerEntry To, Working Working)
{
    private const int DaysPerWeek = 7;

    /// <summary>Less is one tour, not a habit: judgement.</summary>
    private const int FewestDays = 14;
    private const int DaysOfYear = 365;

    /// <param name="entries">In any order.</param>
    /// <returns>Null with fewer than two entries two weeks apart, and where it did not move.</returns>
    public static UsualDistance? Learn(IEnumerable<OdometerEntry> entries)
    {
        OdometerEntry[] ordered = [.. entries.OrderBy(e => e.On).ThenBy(e => e.Km)];
        if (ordered is not [.., { } last])
            return null;
        // A whole year where there is one: less of it would be a season.
        OdometerEntry first =
            ordered.LastOrDefault(e => last.On.DayNumber - e.On.DayNumber >= DaysOfYear) ?? ordered[0];
        int days = last.On.DayNumber - first.On.DayNumber;
        if (days < FewestDays || last.Km <= first.Km)
            return null;
        Explained usual = PerWeek.With(last.Km, first.Km, days);
        return new(usual.Value, first, last, usual.Working);
    }

    /// <summary>The day on which the machine has usually run so far.</summary>
    /// <returns>Null for one so far off that no calendar has it.</returns>
    public DateOnly? DayAt(double km)
    {
        double days = Math.Ceiling((km - To.Km) / KmPerWeek * DaysPerWeek);
        return days <= DateOnly.MaxValue.DayNumber - To.On.DayNumber && To.On.DayNumber + days >= 0
            ? To.On.AddDays((int)days)
            : null;
    }

    private static readonly Formula<Func<double, double, double, double>> PerWeek = new(
        "Usual distance a week",
        "v",
        ("usual distance", "km/week"),
        (s_2, s_1, d) => 7 * (s_2 - s_1) / d,
        [("odometer last", "km"), ("odometer a year before, or at first", "km"), ("days between", "")],
        "definition of a mean",
        "Over a year, from the last entry that is a year old; a machine that stood for months goes further in the weeks it goes."
    );
}
