using Wendrak.Core.Upkeep;

namespace Wendrak.Core.Tests.Upkeep;

/// <summary>Usual hours are learned from what the hour counter said, and not made up.</summary>
public sealed class UsualHoursTests
{
    private static readonly DateOnly Start = new(2026, 1, 1);

    private static HourEntry After(int days, double hours) => new(Start.AddDays(days), hours);

    [Fact]
    public void They_are_what_was_run_by_the_weeks_it_took()
    {
        UsualHours usual = UsualHours.Learn([After(70, 300), After(0, 100), After(35, 290)])!;
        Assert.Equal(20, usual.HoursPerWeek, 9);
        Assert.Equal((After(0, 100), After(70, 300)), (usual.From, usual.To));
        Assert.Equal(20, usual.Working.Result.Value, 9);
        Assert.Equal(Start.AddDays(70 + 7), usual.DayAt(320));
        Assert.Equal(Start.AddDays(70 + 8), usual.DayAt(321));
        Assert.Null(usual.DayAt(1e12));
        Assert.Null(usual.DayAt(-1e12));
    }

    [Fact]
    public void One_entry_one_task_and_standing_still_tell_none()
    {
        Assert.Null(UsualHours.Learn([]));
        Assert.Null(UsualHours.Learn([After(0, 100)]));
        Assert.Null(UsualHours.Learn([After(0, 100), After(13, 190)]));
        Assert.NotNull(UsualHours.Learn([After(0, 100), After(14, 190)]));
        Assert.Null(UsualHours.Learn([After(0, 100), After(100, 100)]));
    }
}
