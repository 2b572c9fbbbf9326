using Wendrak.Core.Logbook;
using Wendrak.Core.Records;
using static Wendrak.Core.Tests.Logbook.Logs;

namespace Wendrak.Core.Tests.Logbook;

/// <summary>What else differed between two setups, from the records.</summary>
public sealed class OtherDifferencesTests
{
    private static readonly double[] Some = [4.0, 4.1, 4.2, 4.1];

    private static FairComparison Found(RunConditions? first, RunConditions? second, int secondDay = 60) =>
        Compare(
            [Setup(1, 15, 45, 0, atKm: 0), Setup(2, 15, 43, secondDay - 1, atKm: 1_000)],
            [.. Fills(0, 0, Some, first), .. Fills(secondDay, 1_000, Some, second)]
        );

    private static OtherDifference? Of(OtherCondition condition, RunConditions? first, RunConditions? second) =>
        Found(first, second).Others.SingleOrDefault(o => o.Condition == condition);

    [Theory]
    [InlineData(80, 88, false)]
    [InlineData(80, 90, true)]
    public void Loads_a_tenth_apart_are_named(double first, double second, bool isNamed)
    {
        OtherDifference? load = Of(OtherCondition.Load, new(LoadKg: first), new(LoadKg: second));
        Assert.Equal(isNamed, load is not null);
        if (isNamed)
            Assert.Equal((first, second), (load!.FirstMean, load.SecondMean));
    }

    [Theory]
    [InlineData(5, false)]
    [InlineData(5.1, true)]
    public void Wind_is_named_from_what_a_hand_feels(double kmh, bool isNamed) =>
        Assert.Equal(isNamed, Of(OtherCondition.Wind, new(WindKmh: 0), new(WindKmh: kmh)) is not null);

    [Theory]
    [InlineData(0.5, false)]
    [InlineData(0.6, true)]
    public void Slope_is_named_from_half_a_percent(double percent, bool isNamed) =>
        Assert.Equal(isNamed, Of(OtherCondition.Slope, new(SlopePercent: 0), new(SlopePercent: percent)) is not null);

    [Fact]
    public void Other_words_are_told_in_both_their_own()
    {
        RunConditions town = new("Ann", Route: "Town", Weather: "dry", Surface: "tar");
        RunConditions dyke = new("Bo", Route: "dyke road", Weather: "rain", Surface: "gravel");
        IReadOnlyList<OtherDifference> others = Found(town, dyke).Others;
        Assert.Equal(
            [("Town", "dyke road"), ("Ann", "Bo"), ("dry", "rain"), ("tar", "gravel")],
            others
                .Where(o => o.First is not null && o.Condition is not (OtherCondition.Order or OtherCondition.Season))
                .Select(o => (o.First!, o.Second!))
        );
        Assert.DoesNotContain(Found(town, town with { Who = " ANN" }).Others, o => o.Condition == OtherCondition.Rider);
    }

    [Fact]
    public void Words_that_are_shared_by_seven_of_ten_count_as_alike()
    {
        RunConditions town = new(Route: "town");
        LogLine[] Mixed(int towns) =>
            [
                .. Fills(0, 0, [4, 4.1, 4.2, 4, 4.1, 4.2, 4, 4.1, 4.2, 4], town, days: 1),
                .. Fills(60, 2_000, [4, 4.1, 4.2, 4, 4.1, 4.2, 4, 4.1, 4.2, 4], town, days: 1)
                    .Select((l, i) => i > towns ? l with { Under = new(Route: "hills") } : l),
            ];
        Setup[] setups = [Setup(1, 15, 45, 0), Setup(2, 15, 43, 59)];
        Assert.DoesNotContain(Compare(setups, Mixed(7)).Others, o => o.Condition == OtherCondition.Route);
        OtherDifference route = Compare(setups, Mixed(6)).Others.Single(o => o.Condition == OtherCondition.Route);
        Assert.Equal(("town", "town 60 %, hills 40 %"), (route.First, route.Second));
    }

    [Fact]
    public void The_part_of_the_year_is_named_where_it_is_another()
    {
        Assert.DoesNotContain(Found(null, null, 30).Others, o => o.Condition == OtherCondition.Season);
        OtherDifference season = Found(null, null, 180).Others.Single(o => o.Condition == OtherCondition.Season);
        Assert.Equal(("Jan", "Jul"), (season.First, season.Second![..3]));
    }

    [Fact]
    public void One_after_the_other_is_named_either_way_round()
    {
        Assert.Equal("before", Found(null, null).Others.Single(o => o.Condition == OtherCondition.Order).First);
        FairComparison turned = Compare(
            [Setup(1, 15, 45, 0), Setup(2, 15, 43, 59)],
            [.. Fills(0, 0, Some), .. Fills(60, 1_000, Some)],
            asked: q => q with { FirstId = 2, SecondId = 1 }
        );
        Assert.Equal("after", turned.Others.Single(o => o.Condition == OtherCondition.Order).First);
    }

    [Theory]
    [InlineData(500, false)]
    [InlineData(501, true)]
    public void Parts_that_ran_further_are_named_from_the_first_distance_on(double more, bool isNamed)
    {
        FairComparison found = Compare(
            [Setup(1, 15, 45, 0, atKm: 0), Setup(2, 15, 43, 59, atKm: 1_000 - more)],
            [.. Fills(0, 0, Some), .. Fills(60, 1_000, Some)]
        );
        Assert.Equal(isNamed, found.Others.Any(o => o.Condition == OtherCondition.PartsAge));
    }

    [Fact]
    public void What_nobody_said_each_time_is_named_as_unsaid()
    {
        Assert.Equal(
            [OtherCondition.Load, OtherCondition.Route, OtherCondition.Rider, OtherCondition.Weather],
            Found(null, null).Unsaid
        );
        Assert.Equal([OtherCondition.Weather], Found(new("Ann", 80, "town"), new("Ann", 80, "town", "dry")).Unsaid);
    }
}
