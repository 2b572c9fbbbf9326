using Wendrak.Core.Logbook;
using Wendrak.Core.Records;
using static Wendrak.Core.Tests.Logbook.Logs;

namespace Wendrak.Core.Tests.Logbook;

/// <summary>When which setup was on a machine.</summary>
public sealed class SetupPeriodTests
{
    private static DateOnly Day(int n) => Start.AddDays(n);

    [Fact]
    public void Each_ends_where_the_next_begins_and_trials_were_never_on()
    {
        IReadOnlyList<SetupPeriod> periods = SetupPeriod.AllOf(
            [
                Setup(2, 15, 43, 60, SetupStatus.AsFitted, atKm: 900),
                Setup(1, 15, 45, 0),
                Setup(3, 16, 45, 30, SetupStatus.Trial),
                Setup(4, 16, 45, 30) with
                {
                    FittedOn = null,
                },
            ],
            []
        );
        Assert.Equal([new(1, Day(0), Day(60), null), new SetupPeriod(2, Day(60), null, 900)], periods);
    }

    [Fact]
    public void Of_what_is_on_since_nobody_knows_when_it_is_taken_that_it_always_was_or_since_it_was_noted()
    {
        Setup unsaid = Setup(2, 15, 43, 0, SetupStatus.AsFitted) with { FittedOn = null, MadeOn = Day(40) };
        Assert.Equal(
            [new SetupPeriod(2, DateOnly.MinValue, null, null)],
            SetupPeriod.AllOf([unsaid, Setup(3, 16, 45, 30, SetupStatus.Trial)], [])
        );
        Assert.Equal(
            [new SetupPeriod(1, Day(0), Day(40), null), new SetupPeriod(2, Day(40), null, null)],
            SetupPeriod.AllOf([unsaid, Setup(1, 15, 45, 0)], [])
        );
    }

    [Fact]
    public void One_that_was_on_twice_is_known_by_what_was_kept_of_its_first_time()
    {
        Setup again = Setup(1, 15, 45, 90, SetupStatus.AsFitted) with
        {
            AsLeft = new(new(Day(10).ToDateTime(new(12, 0)), TimeSpan.Zero), default, null, null, null),
        };
        Assert.Equal(
            [(1L, Day(10)), (2L, Day(60)), (1L, Day(90))],
            SetupPeriod.AllOf([again, Setup(2, 15, 43, 60)], []).Select(p => (p.SetupId, p.From))
        );
    }

    [Fact]
    public void From_one_day_to_another_one_setup_must_have_been_on_all_the_time()
    {
        IReadOnlyList<SetupPeriod> periods = SetupPeriod.AllOf([Setup(1, 15, 45, 10), Setup(2, 15, 43, 60)], []);
        long? Through(int from, int to) => SetupPeriod.Through(periods, Day(from), Day(to));
        Assert.Equal(1, Through(10, 60));
        Assert.Equal(2, Through(60, 60));
        Assert.Null(Through(59, 61));
        Assert.Null(Through(9, 11));
        Assert.Equal(2, Through(61, 900));
    }
}
