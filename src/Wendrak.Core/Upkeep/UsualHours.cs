using Wendrak.Core.Quantities;

namespace Wendrak.Core.Upkeep;

/// <summary>What the hour counter said on a day.</summary>
/// <param name="On">Day.</param>
/// <param name="Hours">What it said, h.</param>
public sealed record HourEntry(DateOnly On, double Hours);

/// <summary>How long a machine usually runs, learned from its hour counter.</summary>
/// <param name="HoursPerWeek">Over all that is known.</param>
/// <param name="From">First entry it is learned from.</param>
/// <param name="To">Last one.</param>
public sealed record UsualHours(double HoursPerWeek, HourEntry From, HourEntry To, Working Working)
{
    private const int DaysPerWeek = 7;

    /// <summary>Less is one task, not a habit: judgement.</summary>
    private const int FewestDays = 14;

    /// <param name="entries">In any order.</param>
    /// <returns>Null with fewer than two entries two weeks apart, and where it did not run.</returns>
    public static UsualHours? Learn(IEnumerable<HourEntry> entries)
    {
        HourEntry[] ordered = [.. entries.OrderBy(e => e.On).ThenBy(e => e.Hours)];
        if (ordered is not [{ } first, .., { } last])
            return null;
        int days = last.On.DayNumber - first.On.DayNumber;
        if (days < FewestDays || last.Hours <= first.Hours)
            return null;
        Explained usual = PerWeek.With(last.Hours, first.Hours, days);
        return new(usual.Value, first, last, usual.Working);
    }

    /// <summary>The day on which the machine has usually run so long.</summary>
    /// <returns>Null for one so far off that no calendar has it.</returns>
    public DateOnly? DayAt(double hours)
    {
        double days = Math.Ceiling((hours - To.Hours) / HoursPerWeek * DaysPerWeek);
        return days <= DateOnly.MaxValue.DayNumber - To.On.DayNumber && To.On.DayNumber + days >= 0
            ? To.On.AddDays((int)days)
            : null;
    }

    private static readonly Formula<Func<double, double, double, double>> PerWeek = new(
        "Usual hours a week",
        "h",
        ("usual hours", "h/week"),
        (h_2, h_1, d) => 7 * (h_2 - h_1) / d,
        [("hour counter last", "h"), ("hour counter at first", "h"), ("days between", "")],
        "definition of a mean",
        "Over all that was written down: a machine that stands in winter runs longer in the weeks it runs."
    );
}
