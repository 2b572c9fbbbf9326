using Wendrak.Core.Upkeep;

namespace Wendrak.Core.Tests.Upkeep;

/// <summary>A usual distance is learned from what the odometer said, and not made up.</summary>
public sealed class UsualDistanceTests
{
    private static readonly DateOnly Start = new(2026, 1, 1);

    private static OdometerEntry After(int days, double km) => new(Start.AddDays(days), km);

    [Fact]
    public void It_is_what_was_run_by_the_weeks_it_took()
    {
        UsualDistance usual = UsualDistance.Learn([After(70, 3_000), After(0, 1_000), After(35, 2_900)])!;
        Assert.Equal(200, usual.KmPerWeek, 9); // 2 000 km in ten weeks, whatever lies between
        Assert.Equal((After(0, 1_000), After(70, 3_000)), (usual.From, usual.To));
        Assert.Equal(200, usual.Working.Result.Value, 9);
    }

    [Fact]
    public void A_year_counts_and_not_what_was_before_it()
    {
        UsualDistance usual = UsualDistance.Learn([After(0, 0), After(366, 20_000), After(732, 20_366)])!;
        Assert.Equal(7, usual.KmPerWeek, 9);
        // A few days short of a year would be a season: the entry before it is taken.
        UsualDistance longer = UsualDistance.Learn([After(0, 0), After(50, 5_000), After(400, 4_000 + 1_000)])!;
        Assert.Equal(After(0, 0), longer.From);
    }

    [Fact]
    public void One_entry_one_tour_and_standing_still_tell_none()
    {
        Assert.Null(UsualDistance.Learn([]));
        Assert.Null(UsualDistance.Learn([After(0, 1_000)]));
        Assert.Null(UsualDistance.Learn([After(0, 1_000), After(13, 1_900)]));
        Assert.NotNull(UsualDistance.Learn([After(0, 1_000), After(14, 1_900)]));
        Assert.Null(UsualDistance.Learn([After(0, 1_000), After(100, 1_000)]));
    }

    [Fact]
    public void A_distance_has_the_day_on_which_it_is_run_wholly()
    {
        UsualDistance usual = UsualDistance.Learn([After(0, 0), After(70, 700)])!;
        Assert.Equal(Start.AddDays(70 + 5), usual.DayAt(750));
        Assert.Equal(Start.AddDays(70 + 6), usual.DayAt(751));
        Assert.Equal(Start.AddDays(70 - 10), usual.DayAt(600));
        Assert.Null(usual.DayAt(1e12));
        Assert.Null(usual.DayAt(-1e12));
    }
}
